"""What the weights of the eye do: more of a fault weighs more, and what is no merit is praised less. Laws and smallest pairs."""

from __future__ import annotations

from craft.body import Body, Measures
from craft.cloth import Piece
from craft.cloth.register import formality
from craft.judge import Aims
from craft.judge.aims import Setting
from craft.look import Look, compose
from tests.craft.test_rules import BODY, JEANS, LOAFERS, OVAL, SKINNY, TEE, WIDE, Words, found


def test_ease_that_rolls_under_a_band_or_bags_at_the_seat_answers_nothing() -> None:
    def ease(*pieces: Words, body: Body = BODY) -> float:
        there = found("volume.contrast", *pieces, body=body)
        return there.weight if there and there.stance == "for" else 0.0

    sweatshirt = {"is": "sweatshirt", "fit": "oversized", "fabric": ["chunky"]}
    assert 0 < ease(SKINNY, {**sweatshirt, "tuck": "full"}) < ease(SKINNY, {**sweatshirt, "tuck": "front"})
    slim = Body.of(Measures.of({"stature": 172, "bust": 86, "waist": 72, "hip": 87}))
    knit = {"is": "knit", "fit": "fitted", "tuck": "full"}
    straight, wide = (
        ease({"is": "jeans", "cut": cut, "fabric": ["rigid"]}, knit, body=slim) for cut in ("straight", "wide")
    )
    assert 0 < straight < 0.25 <= wide


def test_every_zone_to_soften_is_looked_at_and_not_the_first_alone() -> None:
    aims = Aims.of({"soften": ["hips", "thighs"]})
    over = {"is": "shirt", "hem": "seat", "tuck": "none", "colour": "light_blue"}
    dark, pale = (found("colour.advances", {**WIDE, "colour": colour}, over, aims=aims) for colour in ("navy", "ivory"))
    assert dark and pale and pale.weight == 2 * dark.weight
    assert found("colour.recedes", {**WIDE, "colour": "navy"}, over, aims=aims) is not None


def test_what_is_seen_at_the_neck_frames_the_face() -> None:
    def framed(*pieces: Words) -> str | None:
        return compose(BODY, Look.of([JEANS, {**TEE, "colour": "coral"}, *pieces])).by_the_face

    assert framed() == framed({"is": "blazer", "colour": "navy"}) == "coral"
    assert framed({"is": "coat", "colour": "navy"}) == framed({"is": "scarf", "colour": "navy"}) == "navy"
    assert framed({"is": "coat", "colour": "navy", "open": True}) == "coral"


def test_a_belt_over_a_soft_closed_layer_gives_the_waist_back() -> None:
    worn = [{"is": "dress", "cut": "slip"}, {"is": "cardigan", "fit": "relaxed", "hem": "hip"}]
    assert (
        found("layers.waist", *worn, {"is": "belt"}) is not None and found("layers.hem", *worn, {"is": "belt"}) is None
    )
    assert found("layers.hem", *worn) is not None
    # Under a jacket it is at the trousers.
    assert compose(BODY, Look.of([WIDE, TEE, {"is": "blazer"}, {"is": "belt"}])).outer_belted is False


def test_a_waist_counts_for_less_on_a_full_middle_that_asks_for_none() -> None:
    tucked = [{"is": "trousers", "cut": "straight"}, {"is": "shirt", "tuck": "full"}]
    asks = Aims.of({"wants": ["define_waist"]})
    quiet, wanted = (found("volume.waist", *tucked, body=OVAL, aims=aims) for aims in (None, asks))
    usual = found("volume.waist", *tucked)
    assert quiet and wanted and usual and quiet.weight < usual.weight < wanted.weight


def test_nothing_is_seen_through_at_work() -> None:
    worn = [JEANS, {"is": "blouse", "fabric": ["sheer"]}]
    at_work, free = (Aims(setting=Setting.of(occasion)) for occasion in ("formal_office", "weekend"))
    assert found("register.shows", *worn, aims=at_work) is not None
    assert found("register.shows", *worn, aims=free) is None
    assert found("register.shows", worn[0], {"is": "camisole"}, worn[1], aims=at_work) is None


def test_something_dark_above_answers_a_dark_shoe_whatever_its_hue() -> None:
    pale = [{**JEANS, "colour": "grey"}, {**LOAFERS, "colour": "black"}]
    assert found("feet.colour", *pale, {**TEE, "colour": "white"}) is not None
    assert found("feet.colour", *pale, {**TEE, "colour": "cobalt"}) is None


def test_cloth_that_does_not_give_presses_more() -> None:
    aims = Aims.of({"wants": ["comfort"]})
    firm, gives = (
        found("register.comfort", {**SKINNY, "fit": "tight", "fabric": [cloth]}, TEE, aims=aims)
        for cloth in ("rigid", "stretch")
    )
    assert firm and gives and firm.weight > gives.weight


def test_boxy_widens_more_where_the_middle_leads_by_itself() -> None:
    boxy = {"is": "shirt", "cut": "boxy", "hem": "hip", "tuck": "none"}
    usual, full = (found("volume.boxy", JEANS, boxy, body=body) for body in (BODY, OVAL))
    assert usual and full and usual.weight < full.weight


def test_a_gathered_band_is_less_formal_than_a_plain_one() -> None:
    drawstring, plain = (formality(Piece.of({"is": "trousers", "band": band})) for band in ("drawstring", "plain"))
    assert drawstring < plain


def test_a_dark_shoe_that_is_answered_counts_more_and_says_so() -> None:
    shoes, layer = {**LOAFERS, "colour": "black"}, {"is": "blazer", "colour": "black"}
    pale, dark = (
        found("feet.colour", {**JEANS, "colour": colour}, {**TEE, "colour": "white"}, layer, shoes)
        for colour in ("cream", "burgundy")
    )
    assert pale and dark and pale.weight > dark.weight
    assert "goes up again" in pale.text.say() and "belong together" in dark.text.say()
