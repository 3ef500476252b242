"""Laws of a piece on a body: lengths land where they must, cloth gives what it can, numbers run backwards."""

from __future__ import annotations

from dataclasses import replace

import pytest
from hypothesis import given
from hypothesis import strategies as st

from craft.advise.shopping import _SERVES, Number, shopping_numbers
from craft.body import Body, Measures
from craft.cloth import Piece
from craft.cloth.description import read_description
from craft.cloth.kinds import KIND, KINDS
from craft.cloth.stretch import gives_to, stretch
from craft.errors import NothingRead
from craft.fit import land
from craft.fit.zones import WORDS, ease_word
from craft.judge import Aims
from craft.schools import Schools
from craft.wear.cuts import CUFF_CM
from craft.wear.shoes import barefoot_on

A = {
    "stature": 165,
    "shoulder_height": 136,
    "bust_height": 118,
    "under_bust_height": 112,
    "waist_height": 104,
    "navel_height": 99,
    "high_hip_height": 93,
    "hip_height": 84,
    "crotch_height": 76,
    "knee_height": 45,
    "calf_height": 31.5,
    "narrow_ankle_height": 10.5,
    "ankle_bone_height": 6.8,
    "bust": 92,
    "under_bust": 78,
    "waist": 74,
    "belly": 84,
    "high_hip": 92,
    "hip": 100,
    "thigh": 58,
    "knee": 38,
    "calf": 37,
    "ankle": 22,
    "upper_arm": 28,
    "front_rise_navel": 28,
    "front_rise_waist": 33,
    "arm_length": 57,
    "torso_girth": 150,
}
BODY = Body.of(Measures.of(A))
heels = st.floats(0, 10)
KIND_LENGTHS = [("skirt", "length_cm", 40, 95), ("dress", "length_cm", 70, 130), ("coat", "length_cm", 60, 120),
                ("tee", "length_cm", 40, 80), ("jeans", "inseam_cm", 45, 90), ("jumpsuit", "inseam_cm", 50, 85)]  # fmt: skip


@st.composite
def bodies(draw: st.DrawFn) -> Body:
    taken = {"stature": draw(st.floats(150, 190))}
    for girth in ("bust", "waist", "hip"):
        taken[girth] = draw(st.floats(70, 130))
    return Body.of(Measures.of(taken))


@pytest.mark.parametrize(("kind", "key", "low", "high"), KIND_LENGTHS)
@given(st.data())
def test_a_longer_piece_never_ends_higher_and_a_heel_moves_the_floor(
    kind: str, key: str, low: float, high: float, data: st.DataObject
) -> None:
    body, heel = data.draw(bodies()), data.draw(heels)
    short, more = data.draw(st.floats(low, high)), data.draw(st.floats(0, 10))
    shoes = barefoot_on(heel)
    one, two = (land(body, Piece.of({"is": kind, key: cm}), shoes).edge("hem") for cm in (short, short + more))
    assert two.height <= one.height + 1e-6
    barefoot = land(body, Piece.of({"is": kind, key: short})).edge("hem").falls_to
    assert one.falls_to == pytest.approx(barefoot + heel, abs=1e-6)


@given(bodies(), st.floats(18, 40), st.floats(0, 6))
def test_a_longer_rise_never_lands_lower(body: Body, rise: float, more: float) -> None:
    low, high = (
        land(body, Piece.of({"is": "jeans", "front_rise_cm": cm})).edge("waistband").height
        for cm in (rise, rise + more)
    )
    assert high >= low - 1e-6


@pytest.mark.parametrize("kind", [kind for kinds in KINDS.values() for kind in kinds])
@given(bodies(), heels)
def test_every_kind_lands_inside_the_figure(kind: str, body: Body, heel: float) -> None:
    landed = land(
        body,
        Piece.of({"is": kind, "neck": "v", "sleeve": "long"} if KIND[kind].slot == "top" else {"is": kind}),
        barefoot_on(heel),
    )
    assert landed.edges, kind
    for edge in landed.edges:
        assert -5 <= edge.height <= body.stature + 12, edge
        assert edge.at and edge.landing.spread > 0
    assert [edge.height for edge in landed.edges] == sorted((edge.height for edge in landed.edges), reverse=True)


@given(st.floats(60, 130), st.floats(0, 60), st.floats(0, 30))
def test_ease_never_exceeds_the_cloth_and_more_stretch_is_never_tighter(chest: float, give: float, more: float) -> None:
    strains = []
    for share in (give, give + more):
        piece = Piece.of({"is": "tee", "chest_cm": chest, "stretch_pct": min(share, 90)})
        ease = next(ease for ease in land(BODY, piece).eases if ease.zone == "bust")
        strains.append(ease.strain)
        if ease.body > gives_to(piece, chest) + 0.5:
            assert ease.strain > 1 and ease.missing > 0
        if ease.strain <= 1:
            assert ease.missing == 0
    assert strains[1] <= strains[0] + 1e-9


@given(st.sampled_from(["bust", "waist", "band", "hip", "thigh", "upper arm"]), st.floats(-0.3, 0.6), st.floats(0, 0.3))
def test_more_ease_never_reads_closer(zone: str, share: float, more: float) -> None:
    assert WORDS.index(ease_word(zone, share + more)) >= WORDS.index(ease_word(zone, share))
    assert WORDS.index(ease_word(zone, share, layer=True)) <= WORDS.index(ease_word(zone, share))


@given(bodies(), st.floats(66, 90))
def test_alterations_reach_what_they_say(body: Body, inseam: float) -> None:
    piece = Piece.of({"is": "jeans", "cut": "slim", "inseam_cm": inseam})
    landed = land(body, piece, barefoot_on(2.0))
    for check in landed.checks:
        for change in check.alterations:
            if change.key == "cuff":
                assert change.cm % CUFF_CM == 0
            if change.key in ("hem", "cuff"):
                after = land(body, piece.with_(inseam_cm=inseam - change.cm), barefoot_on(2.0))
                assert after.edge("hem").falls_to == pytest.approx(landed.edge("hem").falls_to + change.cm)
                if change.key == "hem":
                    assert after.edge("hem").at == "ankle"
                    assert next(one for one in after.checks if one.key == "length").stance == "fits"


def test_the_complaints_of_the_trade_are_answered() -> None:
    """A label that is not true here, a straight leg on a full calf, a length for one heel only."""
    full = Body.of(Measures.of({**A, "calf": 44, "belly": 104, "front_rise_navel": 33}))
    jeans = Piece.of(
        {
            "is": "jeans",
            "cut": "straight",
            "rise": "high",
            "front_rise_cm": 28,
            "inseam_cm": 66,
            "leg_opening_cm": 42,
            "knee_cm": 45,
        }
    )
    by_key = {check.key: check for check in land(full, jeans).checks}
    assert by_key["rise"].stance == "watch" and "label says high" in by_key["rise"].text.say()
    assert by_key["leg"].title == "Reads as slim" and by_key["leg"].alterations[0].cm > 0
    wide = Piece.of({"is": "trousers", "cut": "wide", "inseam_cm": 80, "leg_opening_cm": 60})
    flat, high = (land(BODY, wide, barefoot_on(heel)) for heel in (2.0, 8.0))
    assert flat.stance == "caution" and "stairs" in next(c for c in flat.checks if c.key == "length").text.say()
    assert high.stance == "fits"
    heel = next(change for check in flat.checks for change in check.alterations if change.cost == "shoe")
    assert land(BODY, wide, barefoot_on(2.0 + heel.cm)).stance == "fits"


@pytest.mark.parametrize(
    ("words", "key", "stance"),
    [
        ({"is": "jeans", "waist_cm": 96, "front_rise_cm": 28}, "band", "against"),
        ({"is": "skirt", "length_cm": 71}, "length", "against"),
        ({"is": "shirt", "chest_cm": 88}, "bust", "against"),
        ({"is": "blazer", "chest_cm": 93}, "bust", "watch"),
        ({"is": "knit", "chest_cm": 88}, "bust", "fits"),
        ({"is": "blazer", "sleeve_cm": 62}, "sleeve", "against"),
        ({"is": "swimsuit", "torso_loop_cm": 105}, "torso", "against"),
        ({"is": "jumpsuit", "torso_loop_cm": 162, "inseam_cm": 60}, "torso", "watch"),
        ({"is": "tall_boots", "shaft_cm": 38, "shaft_girth_cm": 35}, "shaft", "against"),
        ({"is": "tall_boots", "shaft_cm": 38, "shaft_girth_cm": 39}, "shaft", "fits"),
        ({"is": "tee", "length_cm": 52.5}, "length", "watch"),
    ],
)
def test_each_kind_has_its_own_check(words: dict[str, object], key: str, stance: str) -> None:
    check = next(check for check in land(BODY, Piece.of(words)).checks if check.key == key)
    assert check.stance == stance
    if stance == "against" and key not in ("torso", "length"):
        assert check.alterations
    assert "{" not in check.text.say("in") and check.text.say("cm").endswith(".")


def test_no_heel_is_offered_as_a_mend_to_who_wears_none() -> None:
    for words in (
        {"cut": "wide", "inseam_cm": 80, "leg_opening_cm": 60},
        {"cut": "straight", "inseam_cm": 76, "leg_opening_cm": 42},
    ):
        piece = Piece.of({"is": "trousers", **words})
        with_, without = (land(BODY, piece, barefoot_on(2.0), heels=heels) for heels in (True, False))
        costs = [{change.cost for check in one.checks for change in check.alterations} for one in (with_, without)]
        assert "shoe" in costs[0] and costs[1] == costs[0] - {"shoe"}


def test_sitting_lifts_a_hem_only_for_who_is_asked_about_it() -> None:
    piece = Piece.of({"is": "trousers", "inseam_cm": 65})
    assert not [check for check in land(BODY, piece).checks if check.key == "sitting"]
    assert [check for check in land(BODY, piece, seated=True).checks if check.key == "sitting"]


def test_a_fuller_seat_lifts_a_skirt_and_a_fuller_bust_a_top() -> None:
    for kind, girth, cm in (("skirt", "hip", 116), ("tee", "bust", 108)):
        fuller = Body.of(Measures.of({**A, girth: cm}))
        piece = Piece.of({"is": kind, "length_cm": 60})
        assert land(fuller, piece).edge("hem").height > land(BODY, piece).edge("hem").height + 0.2


def test_a_landing_within_its_spread_of_a_border_says_either_and_what_to_measure() -> None:
    vague = Body.of(Measures.of({"stature": 165}))
    hem = land(vague, Piece.of({"is": "jeans", "inseam_cm": 70})).edge("hem")
    assert len(hem.either) > 1 and hem.measure == "crotch_height"
    sure = land(BODY, Piece.of({"is": "jeans", "inseam_cm": 66.5})).edge("hem")
    assert sure.measure is None and sure.landing.origin == "measured"


def test_what_rests_on_an_estimate_is_a_doubt_and_names_what_to_measure() -> None:
    vague = Body.of(Measures.of({"stature": 165}))
    arm = vague.lengths["arm_length"].cm
    near, far = (land(vague, Piece.of({"is": "shirt", "sleeve_cm": arm + by})).checks[-1] for by in (2.0, 9.0))
    assert (near.stance, far.stance) == ("watch", "against") and "measure the arm to wrist" in near.text.say()
    skirt = Piece.of({"is": "skirt", "waist_cm": vague.girth("waist") - 6})
    check = next(check for check in land(vague, skirt).checks if check.key == "band")
    assert check.stance == "watch" and "measure the waist" in check.text.say()
    tight = next(c for c in land(BODY, Piece.of({"is": "shirt", "chest_cm": 88})).checks if c.key == "bust")
    assert tight.stance == "against" and "estimate" not in tight.text.say()


def lands(body: Body, number: Number) -> float:
    """Where a piece with the middle of a number's range lands, above the ground."""
    kind = {
        "Skirts": "skirt",
        "Dresses": "dress",
        "Tops": "tee",
        "Jackets and coats": "coat",
        "Shorts": "shorts",
        "Boots": "tall_boots",
    }
    cut = {"is": kind.get(number.group, "trousers")}
    if "wide" in number.name:
        cut["cut"] = "wide"
    elif number.group.startswith("Trousers"):
        cut["cut"] = "slim"
    heel = {"a kitten heel": 4.5, "a mid heel": 6.5, "a high heel": 9.5, "flat shoes": 2.0}.get(number.worn, 0.0)
    landed = land(body, Piece.of({**cut, number.key: sum(number.good) / 2}), barefoot_on(heel))
    key = {"front_rise_cm": "waistband", "neck_depth_cm": "neckline", "shaft_cm": "cover"}.get(number.key, "hem")
    return landed.edge(key).height


@given(bodies())
def test_every_shopping_number_with_a_height_lands_there(body: Body) -> None:
    for number in shopping_numbers(body):
        assert number.good[0] <= number.good[1] and number.spread > 0
        if number.heights is None or number.key == "shaft_cm":
            continue
        low, high = number.heights
        assert low - 2.5 <= lands(body, number) <= high + 2.5, number
        if number.poor:
            middle = sum(number.good) / 2
            assert not number.poor[0] < middle < number.poor[1], number


def test_numbers_follow_the_school_and_leave_heels_out_where_they_are_not_worn() -> None:
    mid, high = (
        shopping_numbers(BODY, Schools.of({"rise_naming": naming})) for naming in ("navel_is_mid", "navel_is_high")
    )
    rise = {number.name: number.good for number in mid}
    assert rise["front rise, mid"] == {number.name: number.good for number in high}["front rise, high"]
    assert {number.worn for number in shopping_numbers(BODY, heels=False)} == {"", "any shoe", "flat shoes"}


@pytest.mark.parametrize(
    ("text", "kind", "figures", "doubled"),
    [
        ("front rise 27 cm, inseam 30in, leg opening 19 cm", "trousers", {"front_rise_cm": 27.0, "inseam_cm": 76.2, "leg_opening_cm": 38.0}, ["leg_opening_cm"]),
        ("Wide-leg jeans: Rise 11 1/2\", Inseam 32 inches", "jeans", {"front_rise_cm": 29.2, "inseam_cm": 81.3}, []),
        ("Slip skirt, length: 78 cm; waist (flat) 36", "skirt", {"length_cm": 78.0, "waist_cm": 72.0}, ["waist_cm"]),
        ("Boots, shaft height 40, shaft circumference 38cm, heel 5 cm", "tall_boots", {"shaft_cm": 40.0, "shaft_girth_cm": 38.0, "heel_cm": 5.0}, []),
        ("Swimsuit torso 148 hips 96", "swimsuit", {"torso_loop_cm": 148.0, "hip_cm": 96.0}, []),
    ],
)  # fmt: skip
def test_a_pasted_description_is_read(text: str, kind: str, figures: dict[str, float], doubled: list[str]) -> None:
    told = read_description(text)
    assert told.piece.kind == kind and dict(told.piece.figures) == figures and list(told.doubled) == doubled
    assert land(BODY, told.piece).edges


def test_a_description_without_figures_says_how_to_write_one_and_elastane_stretches() -> None:
    with pytest.raises(NothingRead, match="front rise 27 cm"):
        read_description("A lovely pair of trousers")
    told = read_description("High-rise skinny jeans, 98 % cotton 2 % elastane, inseam 70")
    assert (
        told.piece.word("rise") == "high"
        and told.piece.word("cut") == "skinny"
        and stretch(told.piece) == pytest.approx(0.16)
    )


def test_numbers_say_what_they_do_for_the_clients_aims_and_nothing_else_changes() -> None:
    plain = shopping_numbers(BODY)
    aimed = shopping_numbers(BODY, aims=Aims.of({"wants": ["lengthen_legs"], "soften": ["calves", "middle"]}))
    assert [replace(one, serves="") for one in aimed] == list(plain) and not any(one.serves for one in plain)
    said = {one.name: one.serves for one in aimed if one.serves}
    assert said["front rise, high"] == "lengthens the leg and holds the middle"
    assert said["leg opening, straight"] == "keeps off the calf" and "chest, fitted" not in said
    names = {one.name for one in plain}
    assert {name for _, _, listed, _ in _SERVES for name in listed} <= names
