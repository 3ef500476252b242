"""Every rule, found where it should be and silent one change away. Minimal pairs: what differs is the reason."""

from __future__ import annotations

from dataclasses import replace
from typing import Any

import pytest

from craft.assessment import assess
from craft.body import Body, Measures
from craft.body.shape import read_shape
from craft.body.words import SHAPES, nominal_measures
from craft.draw import draw_look
from craft.errors import OutOfReach, UnknownAim
from craft.judge import RULES, Aims, Finding, judge
from craft.judge.aims import Setting
from craft.judge.judgement import BORDERS, moved
from craft.look import Look, compose
from craft.schools import POSITIONS, Schools
from tests.craft.looks import judged_looks

Words = dict[str, Any]
BODY = Body.of(
    Measures.of(
        {"stature": 165, "bust": 92, "waist": 74, "belly": 84, "hip": 100, "crotch_height": 76, "front_rise_navel": 28}
    )
)
OVAL = Body.of(nominal_measures({"shape": "oval", "middle": "full"}, {}))
SHORT = Body.of(Measures.of({"stature": 158, "crotch_height": 80, "waist_height": 101, "navel_height": 98}))

JEANS: Words = {"is": "jeans", "cut": "slim", "hem": "ankle"}
WIDE: Words = {"is": "trousers", "cut": "wide", "hem": "foot"}
SKINNY: Words = {"is": "jeans", "cut": "skinny", "hem": "ankle"}
TEE: Words = {"is": "tee", "tuck": "full"}
LOAFERS: Words = {"is": "loafers"}
NAVY: Words = {**JEANS, "colour": "navy"}
CROPPED: Words = {"is": "jeans", "cut": "straight", "hem": "lower_calf"}
LONG_TEE: Words = {"is": "tee", "fit": "oversized", "hem": "upper_thigh"}
DRESS: Words = {"is": "dress", "cut": "shift", "hem": "above_knee", "colour": "navy"}
BOOTS: Words = {"is": "ankle_boots", "colour": "black"}


def found(rule: str, *pieces: Words, body: Body = BODY, aims: Aims | None = None, **school: str) -> Finding | None:
    judged = judge(compose(body, Look.of(list(pieces)), Schools.of(school)), aims)
    return next((finding for finding in judged.findings if finding.rule == rule), None)


#: rule, stance, pieces that have it, the piece that takes it away (in place of the one of its slot).
PAIRS: list[tuple[str, str, list[Words], Words]] = [
    ("rise.label", "against", [{"is": "jeans", "rise": "high", "front_rise_cm": 24}], {"is": "jeans", "front_rise_cm": 24}),
    ("rise.label", "for", [{"is": "jeans", "rise": "mid", "front_rise_cm": 28}], {"is": "jeans", "rise": "mid"}),
    ("length.trailing", "against", [{**WIDE, "hem": "puddle"}, LOAFERS], WIDE),
    ("length.trip_hazard", "caution", [{**WIDE, "hem": "puddle"}, LOAFERS], WIDE),
    ("length.bunching", "against", [{**SKINNY, "hem": "puddle"}], SKINNY),
    ("length.place", "for", [JEANS, TEE], {**JEANS, "hem": "lower_calf"}),
    ("length.place", "against", [{**JEANS, "hem": "mid_calf"}], JEANS),
    ("length.place", "against", [CROPPED, LOAFERS], {**CROPPED, "hem": "ankle"}),
    ("length.floor", "for", [WIDE, LOAFERS], {**WIDE, "hem": "puddle"}),
    ("length.floor", "against", [{**WIDE, "hem": "ankle"}, LOAFERS], {**JEANS, "hem": "ankle"}),
    ("length.ankle", "for", [JEANS, {"is": "flats"}], {"is": "ankle_boots"}),
    ("volume.contrast", "against", [SKINNY, {"is": "tee", "fit": "tight"}], {"is": "tee", "fit": "skimming"}),
    ("volume.contrast", "against", [WIDE, {"is": "shirt", "fit": "oversized"}], {"is": "shirt", "fit": "skimming", "tuck": "full"}),
    ("volume.contrast", "for", [SKINNY, {"is": "shirt", "fit": "oversized"}], {"is": "shirt", "fit": "fitted"}),
    ("volume.waist", "for", [JEANS, TEE], {"is": "tee", "tuck": "none"}),
    ("volume.waist_lost", "against", [WIDE, {"is": "shirt"}], {"is": "shirt", "tuck": "front"}),
    ("volume.tuck_bulk", "against", [{**JEANS, "rise": "high"}, {**LONG_TEE, "tuck": "full"}], {**LONG_TEE, "tuck": "front"}),
    ("volume.tuck_bulk", "against", [JEANS, {"is": "knit", "fabric": ["chunky"], "tuck": "full"}], {"is": "knit", "fabric": ["chunky"], "tuck": "front"}),
    ("edges.proportion", "for", [{**JEANS, "rise": "high"}, TEE], {"is": "tee", "tuck": "none"}),
    ("edges.proportion", "against", [JEANS, {"is": "shirt", "hem": "hip"}], {"is": "shirt", "hem": "high_hip"}),
    ("edges.top_hem", "against", [JEANS, {"is": "shirt", "hem": "hip"}], {"is": "shirt", "hem": "seat"}),
    ("edges.covers", "for", [SKINNY, {"is": "knit", "hem": "seat"}], {"is": "knit", "hem": "high_hip"}),
    ("edges.covers", "against", [{"is": "leggings"}, {"is": "tee"}], {"is": "tee", "hem": "upper_thigh"}),
    ("edges.gap", "against", [{**JEANS, "hem": "mid_calf"}, {"is": "ankle_boots", "shaft": "wide"}], {"is": "tall_boots"}),
    ("edges.gap", "for", [JEANS, {"is": "ankle_boots"}], LOAFERS),
    ("edges.gap", "for", [CROPPED, {"is": "sock_boots", "shaft": "close"}], {"is": "ankle_boots", "shaft": "wide"}),
    ("edges.strap", "against", [JEANS, {"is": "sandals", "ankle_strap": True}], {"is": "sandals"}),
    ("feet.weight", "against", [WIDE, {"is": "ankle_boots", "bulk": "chunky"}], {"is": "ankle_boots", "bulk": "dainty"}),
    ("feet.balance", "for", [SKINNY, {"is": "knit"}, {"is": "trainers", "bulk": "chunky"}], {"is": "trainers"}),
    ("feet.balance", "against", [SKINNY, {"is": "knit", "fit": "oversized"}, {"is": "flats"}], {"is": "trainers"}),
    ("feet.sock", "against", [JEANS, LOAFERS, {"is": "socks", "colour": "white"}], {"is": "socks", "colour": "mid_blue"}),
    ("feet.sock", "for", [JEANS, {"is": "loafers", "colour": "black"}, {"is": "socks", "colour": "black"}], {"is": "socks", "length_cm": 4}),
    ("length.ankle", "for", [JEANS, {"is": "flats"}], {"is": "socks"}),
    ("feet.tights", "for", [DRESS, BOOTS, {"is": "tights", "colour": "black"}], {"is": "tights", "colour": "cream"}),
    ("feet.tights", "against", [DRESS, BOOTS, {"is": "tights", "colour": "red"}], {"is": "tights", "colour": "black"}),
    ("feet.bare", "for", [DRESS, {"is": "pumps", "colour": "nude"}], {"is": "pumps", "colour": "black"}),
    ("colour.again", "for", [NAVY, {**LOAFERS, "colour": "black"}, {"is": "scarf", "colour": "black"}], {"is": "scarf", "colour": "lime"}),
    ("feet.inside", "against", [{**WIDE, "worn": "inside"}, {"is": "tall_boots"}], WIDE),
    ("feet.inside", "for", [{**SKINNY, "worn": "inside"}, {"is": "tall_boots"}], SKINNY),
    ("feet.toe", "for", [WIDE, {"is": "flats", "toe": "pointed"}], {"is": "flats", "toe": "almond"}),
    ("feet.toe", "against", [WIDE, {"is": "flats", "toe": "round"}], {"is": "flats", "toe": "almond"}),
    ("feet.heel", "for", [JEANS, {"is": "pumps", "heel": "mid"}], {"is": "pumps", "heel": "flat"}),
    ("feet.heel", "against", [{"is": "jeans", "cut": "flare"}, {"is": "flats"}], {"is": "flats", "toe": "pointed"}),
    ("feet.dated", "against", [SKINNY, {"is": "pumps", "heel": "high", "heel_shape": "stiletto"}], {"is": "pumps", "heel": "kitten"}),
    ("feet.over_knee", "against", [SKINNY, {"is": "over_knee_boots"}], {"is": "ankle_boots"}),
    ("feet.shaft", "against", [{**SKINNY, "worn": "inside"}, {"is": "tall_boots", "shaft": "wide"}], {"is": "tall_boots"}),
    ("feet.vamp", "against", [CROPPED, {"is": "loafers", "vamp": "high"}], LOAFERS),
    ("hems.shorts", "against", [{"is": "shorts", "inseam_cm": 5}, {"is": "pumps", "heel": "high"}], {"is": "pumps", "heel": "flat"}),
    ("hems.boot", "for", [{"is": "skirt", "hem": "mid_thigh"}, {"is": "over_knee_boots"}], LOAFERS),
    ("length.trails", "against", [JEANS, {"is": "coat", "hem": "puddle"}], {"is": "coat", "hem": "lower_calf"}),
    ("rise.dated", "against", [{**SKINNY, "rise": "low"}], {**SKINNY, "rise": "high"}),
    ("rise.skirt", "against", [{"is": "skirt", "rise": "low"}], {"is": "skirt", "rise": "high"}),
    ("volume.boxy", "against", [JEANS, {"is": "tee", "cut": "boxy"}], {"is": "tee", "fit": "relaxed"}),
    ("volume.ridge", "against", [{**JEANS, "fabric": ["thin"]}, {"is": "shirt", "tuck": "full"}], {"is": "shirt", "tuck": "lifted"}),
    ("volume.front", "against", [{**JEANS, "fabric": ["clinging"]}, {"is": "sweatshirt", "tuck": "front"}], {"is": "sweatshirt", "tuck": "none"}),
    ("cloth.shows", "against", [JEANS, {"is": "blouse", "fabric": ["sheer"]}], {"is": "blouse"}),
    ("volume.dress", "against", [{"is": "dress", "cut": "pencil", "fit": "tight", "hem": "mid_thigh"}], {"is": "dress", "cut": "shift", "hem": "mid_thigh"}),
    ("edges.tail", "for", [JEANS, {"is": "shirt", "tuck": "tail_fold"}], {"is": "shirt", "tuck": "none"}),
    ("attention.pockets", "against", [{**JEANS, "pockets": "seat_wide"}], {**JEANS, "pockets": "seat_high"}),
    ("attention.pockets", "for", [{**JEANS, "pockets": "seat_high"}], JEANS),
    ("pattern.two", "against", [JEANS, {**TEE, "pattern": "check"}, {"is": "blazer", "open": True, "pattern": "vertical_stripe"}], {"is": "blazer", "open": True}),
    ("pattern.two", "for", [{**JEANS, "pattern": "check"}, TEE], JEANS),
    ("palette.picked_up", "for", [NAVY, {**TEE, "colour": "white", "second_colour": "navy"}], {**TEE, "colour": "white"}),
    ("palette.holds", "for", [NAVY, {**TEE, "colour": "camel"}, {"is": "scarf", "colour": ["navy", "camel"]}], {"is": "scarf", "colour": "navy"}),
    ("palette.misses", "against", [{**JEANS, "colour": "black", "fabric": ["thin"]}, {"is": "trousers", "colour": "black"}, {**TEE, "colour": "#2b2d31"}], {**TEE, "colour": "black"}),
    ("palette.meets", "for", [{**JEANS, "rise": "high", "colour": "navy"}, {**TEE, "colour": "white"}], {**TEE, "colour": "charcoal"}),
    ("palette.wakes", "for", [{**JEANS, "colour": "grey"}, {**TEE, "colour": "grey"}, {"is": "bag", "colour": "red"}], {"is": "bag", "colour": "grey"}),
    ("palette.toned_down", "for", [JEANS, {**TEE, "colour": "fuchsia"}, {"is": "blazer", "open": True, "colour": "black"}], {"is": "blazer", "open": True, "colour": "cream"}),
    ("palette.metal", "for", [JEANS, {"is": "sandals", "colour": "gold"}, {"is": "earrings", "colour": "gold"}], {"is": "earrings", "colour": "silver"}),
    ("palette.clash", "against", [{**WIDE, "colour": "green"}, {**TEE, "colour": "red"}], {**TEE, "colour": "white"}),
    ("palette.kin", "for", [{**JEANS, "colour": "navy"}, {**TEE, "colour": "burgundy"}], {**TEE, "colour": "white"}),
    ("palette.kin", "for", [{**JEANS, "colour": "olive"}, {**TEE, "colour": "sage"}], {**TEE, "colour": "lilac"}),
    ("palette.again", "for", [{**JEANS, "colour": "navy"}, TEE, {"is": "blazer", "colour": "navy"}], {"is": "blazer", "colour": "camel"}),
    ("volume.knot", "against", [{**JEANS, "rise": "low"}, {"is": "shirt", "tuck": "knot"}], {"is": "shirt", "tuck": "front"}),
    ("belt.elastic", "for", [JEANS, {"is": "belt", "fabric": ["stretch"]}], {"is": "belt"}),

    ("style.costume", "against", [{"is": "jeans", "cut": "flare"}, {"is": "blouse", "cut": "ruffled", "pattern": "large_print"}, {"is": "pumps", "heel_shape": "platform"}], LOAFERS),
    ("style.grown_up", "for", [JEANS, {**TEE, "pattern": "lettering"}, {"is": "blazer"}], {"is": "cardigan"}),
    ("layers.third", "for", [JEANS, TEE, {"is": "knit", "worn": "shoulders", "colour": "camel"}], {"is": "bag"}),
    ("beneath.bra", "for", [JEANS, {"is": "bra", "lift": "lifted"}], {"is": "bra"}),
    ("beneath.smooths", "for", [{"is": "skirt", "cut": "slip", "fabric": ["satin"]}, {"is": "smoothing_shorts"}], {"is": "underslip"}),
    ("beneath.caution", "caution", [JEANS, {"is": "smoothing_shorts"}], {"is": "underslip"}),
    ("cloth.sheer", "against", [{**WIDE, "fabric": ["sheer"]}], {**WIDE, "fabric": ["rigid"]}),
    ("neck.buttoned", "for", [JEANS, {"is": "knit", "pushed": True}], {"is": "knit"}),
    ("swim.loop", "against", [{"is": "swimsuit", "torso_loop_cm": 120}], {"is": "swimsuit", "torso_loop_cm": 150}),
    ("swim.shorts", "against", [{"is": "swim_shorts", "hem": "knee"}], {"is": "swim_shorts"}),
    ("swim.one", "against", [{"is": "bikini_top", "colour": "#2b2d31"}, {"is": "bikini_bottom", "colour": "black"}], {"is": "swimsuit"}),
    ("swim.halves", "for", [{"is": "bikini_top", "colour": "white"}, {"is": "bikini_bottom", "colour": "navy"}], {"is": "swimsuit"}),
    ("swim.caution", "caution", [{"is": "swimsuit", "swim_detail": ["compression"]}], {"is": "swimsuit"}),
    ("feet.colour", "for", [{**JEANS, "colour": "navy"}, {**LOAFERS, "colour": "black"}], {**LOAFERS, "colour": "red"}),
    ("feet.colour", "against", [{**JEANS, "colour": "white"}, TEE, {**LOAFERS, "colour": "black"}], {**LOAFERS, "colour": "cream"}),
]  # fmt: skip


@pytest.mark.parametrize(("rule", "stance", "pieces", "instead"), PAIRS)
def test_a_rule_is_found_and_one_change_takes_it_away(
    rule: str, stance: str, pieces: list[Words], instead: Words
) -> None:
    there = found(rule, *pieces)
    assert there is not None and there.stance == stance
    slot = Look.of([instead]).pieces[0].slot
    rest = [words for words in pieces if Look.of([words]).pieces[0].slot != slot]
    gone = found(rule, *rest, instead)
    assert gone is None or gone.stance != stance


@pytest.mark.parametrize(
    ("rise", "fabric", "school", "stance"),
    [
        ("low", [], "hold_high", "against"),
        ("high", [], "hold_high", "for"),
        ("high", ["stretch"], "cross_middle", "against"),
        ("mid", [], "cross_middle", "for"),
        ("mid", ["stretch"], "cross_middle", None),
    ],
)
def test_schools_on_a_full_middle(rise: str, fabric: list[str], school: str, stance: str | None) -> None:
    piece = {"is": "jeans", "rise": rise, "fabric": fabric}
    there = found("rise.middle", piece, body=OVAL, full_middle_rise=school)
    assert (there.stance if there else None) == stance
    assert found("rise.middle", {"is": "jeans", "rise": "high"}) is None


def test_a_very_high_band_rides_up_the_more_the_less_room_there_is() -> None:
    tall = {
        torso: Body.of(nominal_measures({"stature": "tall", "torso": torso}, {})) for torso in ("short", "even", "long")
    }
    short, even = (
        found("rise.rides_up", {"is": "jeans", "rise": "very_high"}, body=tall[t]) for t in ("short", "even")
    )
    assert short and even and short.weight > even.weight
    assert found("rise.rides_up", {"is": "jeans", "rise": "very_high"}, body=tall["long"]) is None
    assert found("rise.rides_up", {"is": "jeans", "rise": "mid"}, body=SHORT) is None


def test_cling_is_said_for_a_full_middle_or_a_zone_to_soften() -> None:
    tight = {"is": "tee", "fit": "tight"}
    assert found("volume.cling", JEANS, tight) is None
    assert found("volume.cling", JEANS, tight, body=OVAL) is not None
    assert found("volume.cling", JEANS, tight, aims=Aims.of({"soften": ["middle"]})) is not None
    assert found("volume.cling", JEANS, {"is": "tee"}, body=OVAL) is None


def test_a_colour_by_the_face_is_weighed_by_how_far_it_lies_from_their_colouring() -> None:
    def by_face(colour: str, **known: str) -> tuple[str, float] | None:
        there = found("colour.face", JEANS, {**TEE, "colour": colour}, aims=Aims.of({}, known))
        return (there.stance, there.weight) if there else None

    assert by_face("black") is None and by_face("cream", depth="light") == ("for", 0.15)
    hard, softer = by_face("black", depth="light"), by_face("soft_navy", depth="light")
    assert hard and softer and hard[0] == softer[0] == "against" and hard[1] > softer[1]
    assert by_face("black", depth="deep") == ("for", 0.15)


def test_bare_skin_is_as_deep_as_the_client_says() -> None:
    shoes = {"is": "flats", "colour": "chestnut"}
    assert found("feet.bare", DRESS, shoes) is None
    assert found("feet.bare", DRESS, shoes, aims=Aims.of({}, {"depth": "deep"})) is not None


@pytest.mark.parametrize(
    ("aims", "rule", "stance", "pieces", "instead"),
    [
        ({"soften": ["middle"]}, "cloth.shows", "against", [JEANS, {"is": "blouse", "fabric": ["sheer"]}], {"is": "blouse"}),
        ({"wants": ["comfort"]}, "register.comfort", "for", [WIDE, {"is": "shirt"}, LOAFERS], {"is": "pumps", "heel": "high"}),
        ({"wants": ["comfort"]}, "register.comfort", "against", [WIDE, TEE, {"is": "pumps", "heel": "high"}], LOAFERS),
        ({"wants": ["comfort"]}, "register.comfort", "against", [SKINNY, TEE], WIDE),
        ({"soften": ["calves"]}, "leg.calves", "against", [SKINNY, TEE], WIDE),
        ({"soften": ["calves"]}, "leg.calves", "for", [WIDE, TEE], {**SKINNY, "hem": "mid_calf"}),
        ({"wont": ["tight"]}, "limits.tight", "against", [SKINNY, TEE], WIDE),
        ({"wont": ["short_hems"]}, "limits.short", "against", [{"is": "skirt", "hem": "mid_thigh"}], {"is": "skirt"}),
        ({"wants": ["slim"]}, "palette.slims", "for", [{**JEANS, "colour": "black"}, {**TEE, "colour": "navy"}], {**JEANS, "colour": "white"}),
        ({"wants": ["look_smart"]}, "register.shoe", "against", [JEANS, {"is": "ankle_boots", "bulk": "chunky"}], LOAFERS),
        ({"wants": ["look_current"]}, "current.leg", "for", [WIDE, TEE], SKINNY),
        ({"wants": ["look_current"]}, "current.shoe", "for", [JEANS, LOAFERS], {"is": "pumps"}),
        ({"wants": ["look_current"]}, "current.layer", "for", [JEANS, {"is": "blazer", "fit": "oversized"}], {"is": "blazer", "fit": "fitted"}),
        ({"wants": ["look_current"]}, "current.mix", "for", [JEANS, TEE, {"is": "blazer"}], {"is": "jacket"}),
        ({"wants": ["look_current"]}, "current.finish", "for", [{**JEANS, "hem_finish": "raw"}], JEANS),
        ({"never": ["blazer"]}, "style.never", "against", [JEANS, TEE, {"is": "blazer"}], {"is": "cardigan"}),
        ({"style": ["plain"]}, "style.own", "for", [JEANS, TEE], {**TEE, "pattern": "large_print"}),
        ({"style": ["sporty"]}, "style.own", "against", [{"is": "trousers"}, {"is": "blouse"}, {"is": "pumps"}], {"is": "sweatshirt"}),
        ({"soften": ["bust"]}, "attention.place", "against", [JEANS, {**TEE, "surface": "shiny"}], TEE),
        ({"soften": ["shoulders"]}, "balance.wide_shoulder", "against", [JEANS, {**TEE, "padded": True}], TEE),
        ({"soften": ["hips"]}, "attention.bag", "against", [JEANS, {"is": "bag", "colour": "red"}], {"is": "bag", "colour": "navy"}),
        ({"soften": ["middle"]}, "edges.middle", "against", [JEANS, {"is": "tee", "hem": "waist", "hem_cm": 100}], {"is": "tee", "hem": "seat"}),
        ({"soften": ["middle"]}, "rise.band", "against", [{**JEANS, "band": "two_button"}], {**JEANS, "band": "firm"}),
        ({"soften": ["seat"]}, "cloth.hips", "against", [{**SKINNY, "fabric": ["clinging"]}, TEE], WIDE),
        ({"show": ["feet"]}, "attention.shows", "for", [JEANS, {**LOAFERS, "pattern": "animal"}], LOAFERS),
        ({"show": ["ankles"]}, "edges.strap", "for", [CROPPED, {"is": "sandals", "bulk": "dainty", "ankle_strap": True}], {"is": "sandals"}),
        ({"soften": ["thighs"]}, "swim.thigh", "for", [{"is": "swimsuit", "swim_detail": ["skirted"]}], {"is": "swimsuit"}),
        ({"soften": ["middle"]}, "swim.middle", "against", [{"is": "swimsuit", "swim_detail": ["centre_detail"]}], {"is": "swimsuit"}),
        ({"wont": ["heels"]}, "limits.heels", "against", [JEANS, {"is": "pumps", "heel": "mid"}], LOAFERS),
    ],
)  # fmt: skip
def test_what_is_wanted_and_what_is_not_worn_are_heard(
    aims: Words, rule: str, stance: str, pieces: list[Words], instead: Words
) -> None:
    known = Aims.of(aims)
    there = found(rule, *pieces, aims=known)
    assert there is not None and there.stance == stance
    slot = Look.of([instead]).pieces[0].slot
    rest = [words for words in pieces if Look.of([words]).pieces[0].slot != slot]
    gone = found(rule, *rest, instead, aims=known)
    assert gone is None or gone.stance != stance
    without = found(rule, *pieces)
    assert without is None or without != there


def test_skin_tight_both_ways_reads_dated_the_more_where_current_is_wanted() -> None:
    tight = [SKINNY, {"is": "tee", "fit": "tight"}]
    plain, wanted = (found("volume.contrast", *tight, aims=Aims.of({"wants": w})) for w in ([], ["look_current"]))
    fitted = found("volume.contrast", JEANS, {"is": "tee", "fit": "fitted"})
    assert plain and wanted and fitted and "dated" in plain.codes and "dated" not in fitted.codes
    assert wanted.weight > plain.weight > fitted.weight


def test_a_high_leg_is_heard_where_length_is_wanted() -> None:
    longer = Aims.of({"wants": ["lengthen_legs"]})
    for detail, stance in (("high_leg", "for"), ("low_leg", "against")):
        suit = {"is": "swimsuit", "swim_detail": [detail]}
        told = found("swim.leg", suit, aims=longer)
        assert told is not None and told.stance == stance and found("swim.leg", suit) is None


def test_a_limit_is_a_caution_and_weighs_nothing() -> None:
    aims = Aims.of({"wont": ["heels"]})
    there = found("feet.limit", JEANS, {"is": "pumps", "heel": "high"}, aims=aims)
    assert there is not None and (there.stance, there.weight) == ("caution", 0.0)
    assert found("feet.limit", JEANS, {"is": "pumps", "heel": "high"}) is None


def test_aims_change_weights_never_facts() -> None:
    pieces = [{**JEANS, "rise": "high"}, TEE]
    plain, wanted = (found("edges.proportion", *pieces, aims=Aims.of({"wants": w})) for w in ([], ["lengthen_legs"]))
    assert plain and wanted
    assert wanted.weight > plain.weight
    assert (wanted.height, wanted.figure) == (plain.height, plain.figure)


@pytest.mark.parametrize("shape", sorted(SHAPES))
def test_the_words_for_a_shape_make_a_body_that_reads_so(shape: str) -> None:
    assert read_shape(Body.of(nominal_measures({"shape": shape}, {}))).shape == shape


def test_each_mend_says_what_to_do_and_free_ones_come_first() -> None:
    told = assess(BODY, Look.of([WIDE, {"is": "shirt", "fit": "relaxed"}, LOAFERS]))
    mend = told.mends["volume.contrast"]
    assert mend.cost == 0 and mend.slot == "top" and "uck" in mend.text.say()
    hemmed = assess(BODY, Look.of([{"is": "jeans", "cut": "slim", "inseam_cm": 78}, TEE, LOAFERS])).mends[
        "length.bunching"
    ]
    assert hemmed.text.say("in").endswith(".") and "Hem it by" in hemmed.text.say()
    assert dict(hemmed.change)["inseam_cm"] < 78


SUIT: list[Words] = [
    {"is": "trousers", "cut": "slim", "hem": "ankle"},
    {"is": "shirt", "tuck": "full"},
    {"is": "blazer"},
    {"is": "pumps"},
]
EASY: list[Words] = [JEANS, {"is": "sweatshirt"}, {"is": "trainers"}]


def in_setting(rule: str, pieces: list[Words], **setting: Any) -> Finding | None:
    return found(rule, *pieces, aims=replace(Aims(), setting=Setting.of(**setting)))


@pytest.mark.parametrize(
    ("pieces", "setting", "rule", "stance"),
    [
        (SUIT, {"occasion": "formal_office"}, "register.code", "for"),
        (EASY, {"occasion": "formal_office"}, "register.code", "against"),
        (EASY, {"occasion": "weekend"}, "register.code", "for"),
        (SUIT, {"code": "relaxed"}, "register.code", "against"),
        (SUIT, {"code": "black"}, "register.black", "against"),
        (SUIT, {"occasion": "workshop"}, "register.before", "caution"),
        (SUIT, {"celsius": -8}, "register.weather", "against"),
        (SUIT, {"celsius": 20}, "register.weather", "for"),
        ([*EASY, {"is": "coat", "fabric": ["chunky"]}], {"celsius": 33}, "register.weather", "against"),
        ([WIDE, TEE, {"is": "sandals"}], {"rain": True}, "register.rain", "against"),
        ([WIDE, TEE, LOAFERS], {"rain": True}, "register.wet_hem", "against"),
    ],
)
def test_where_it_is_worn_is_heard(pieces: list[Words], setting: Words, rule: str, stance: str) -> None:
    told = in_setting(rule, pieces, **setting)
    assert told is not None and told.stance == stance
    assert found(rule, *pieces) is None
    with pytest.raises(UnknownAim, match="nowhere"):
        Setting.of("nowhere")


def test_a_layer_can_be_taken_off_but_not_put_on() -> None:
    """Warm enough is asked of all that is on, cool enough of what is left without the layers."""
    warm_day = in_setting("register.weather", SUIT, celsius=26)
    assert warm_day is not None and warm_day.stance == "for"
    cold = in_setting("register.weather", SUIT[:2] + SUIT[3:], celsius=8)
    warm = in_setting("register.weather", [*SUIT, {"is": "coat"}], celsius=8)
    assert cold is not None and cold.stance == "against" and (warm is None or warm.weight < cold.weight)


def test_what_is_liked_all_the_same_outranks_a_rule_for_who_takes_rules_as_a_guide() -> None:
    pieces, liked = [WIDE, {"is": "shirt", "fit": "oversized"}], replace(Aims(), liked=frozenset({"volume.contrast"}))
    look = Look.of(pieces)
    against, guide = (judge(compose(BODY, look), aims) for aims in (Aims(), liked))
    strict = judge(compose(BODY, look, Schools.of({"rules_weight": "strict"})), liked)
    assert guide.score > against.score > strict.score
    for told in (guide, strict):
        assert next(f for f in told.findings if f.rule == "volume.contrast").liked
    assert all(finding.rule != "volume.contrast" for finding in guide.leading)


def test_every_border_belongs_to_rules_and_can_be_moved_within_reason() -> None:
    assert len({rule.id for rule in RULES}) == len(RULES)
    assert len({border.key for border in BORDERS}) == len(BORDERS)
    for border in BORDERS:
        assert border.low <= border.usual <= border.high, border.key
        with pytest.raises(OutOfReach):
            moved({border.key: border.high + 0.1})
    assert moved({BORDERS[0].key: BORDERS[0].usual}) == {}
    with pytest.raises(OutOfReach, match="nothing"):
        moved({"nothing": 1.0})


@pytest.mark.parametrize("border", BORDERS, ids=[border.key for border in BORDERS])
def test_a_moved_border_changes_what_is_found(border: Any) -> None:
    """At one end or the other of what it may be, something among all judged looks is said otherwise."""
    fit_weather = replace(Aims(), setting=Setting.of(celsius=16.0))

    def said(outfit: Any, aims: Aims, value: float) -> Any:
        ways = replace(outfit.schools, moved=((border.key, value),))
        aims = fit_weather if border.key == "bearable" else aims
        judged = judge(replace(outfit, schools=ways), aims)
        return [(f.rule, f.stance, f.code) for f in judged.findings]

    assert any(
        said(outfit, aims, border.usual) != said(outfit, aims, end)
        for _, outfit, aims in judged_looks()
        for end in (border.low, border.high)
    )


def test_every_school_is_asked_by_some_rule() -> None:
    # Two schools speak of every rule's weight, and of none's facts.
    named = {school for rule in RULES for school in rule.schools}
    assert named == set(POSITIONS) - {"attention", "rules_weight"}
    assert all(rule.source and rule.says for rule in RULES)


def test_a_collar_shows_at_the_neck_of_a_knit() -> None:
    shirt, knit = {"is": "shirt"}, {"is": "knit"}
    assert found("beneath.collar", JEANS, shirt, knit) is not None
    assert found("beneath.collar", JEANS, TEE, knit) is None


@pytest.mark.parametrize(("length", "stance"), [(64, "for"), (84, "against"), (56, None)])
def test_a_hem_beneath_shows_a_little_or_hangs_out(length: float, stance: str | None) -> None:
    told = found("beneath.hem", JEANS, {"is": "shirt", "length_cm": length}, {"is": "knit", "length_cm": 58})
    assert (told.stance if told else None) == stance


def test_gathers_on_a_low_bottom_draw_no_waist() -> None:
    aims = Aims.of({"soften": ["middle"]})
    top = {"is": "bikini_top"}
    for rise, draws in (("low", False), ("high", True)):
        low = {"is": "bikini_bottom", "rise": rise, "swim_detail": ["ruching"]}
        assert (found("swim.waist", top, low, aims=aims) is not None) == draws


def test_a_long_sleeve_pushed_up_is_for_a_cold_room() -> None:
    cold, warm = (replace(Aims(), setting=Setting.of("seated_work", None, celsius)) for celsius in (17.0, 23.0))
    pushed = {"is": "knit", "pushed": True}
    assert found("register.cold_room", JEANS, pushed, aims=cold) is not None
    assert found("register.cold_room", JEANS, pushed, aims=warm) is None
    assert found("register.cold_room", JEANS, {"is": "knit"}, aims=cold) is None


def test_a_knit_round_the_shoulders_is_worn_as_a_scarf() -> None:
    round_ = {"is": "knit", "worn": "shoulders", "colour": "camel"}
    outfit = compose(BODY, Look.of([JEANS, TEE, round_]))
    assert outfit.top is not None and outfit.top.piece.kind == "tee" and "scarf" in outfit.extras
    assert any(shape.slot == "scarf" or shape.key.startswith("scarf") for shape in draw_look(outfit))
