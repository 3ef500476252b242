"""Laws of drawing a piece from every side: its back laid flat, the arm beside the trunk, patterns that meet, hoods, a knit round
the shoulders."""

from __future__ import annotations

import math
from typing import Any

import pytest
from hypothesis import given, settings

from craft.body import Body, Measures
from craft.cloth import Piece
from craft.cloth.kinds import KINDS
from craft.draw import draw_back
from craft.draw.behind import only_in_front
from craft.draw.flats import flat_behind, flat_of, has_back
from craft.draw.shapes import Shape, Weave
from craft.draw.side import draw_profile, side_of
from craft.draw.side.body import arm_side
from craft.draw.svg import bounds
from craft.draw.weave import weave_of
from craft.look import Look
from tests.craft.looks import looks
from tests.craft.test_drawing import TROUSERS, drawn, worn
from tests.craft.test_fit import BODY, bodies

Words = dict[str, Any]
SEWN = [kind for slot in ("bottom", "top", "layer", "one_piece") for kind in KINDS[slot]]
HOODED: Words = {"is": "sweatshirt", "hooded": True}
ROUND: Words = {"is": "knit", "worn": "shoulders", "colour": "burgundy"}


def by_key(shapes: tuple[Shape, ...]) -> dict[str, Shape]:
    return {shape.key: shape for shape in shapes}


@pytest.mark.parametrize("kind", SEWN)
def test_a_flat_has_a_back_as_large_as_its_front_and_without_what_lies_before(kind: str) -> None:
    piece = Piece.of({"is": kind})
    front, back = flat_of(BODY, piece).shapes, flat_behind(BODY, piece)
    assert has_back(piece) and not any(only_in_front(shape) for shape in back)
    assert [shape.d for shape in back] != [shape.d for shape in front]
    left, low, right, _ = bounds(back)
    assert (left, low) == pytest.approx(bounds(front)[:2], abs=2.0)
    assert -left == pytest.approx(right, abs=1.0)


def test_a_back_shows_what_is_sewn_there() -> None:
    keys = {
        kind: set(by_key(flat_behind(BODY, Piece.of({"is": kind}))))
        for kind in ("jeans", "shirt", "blazer", "dungarees")
    }
    assert {"pocket_left", "pocket_right", "back_yoke"} <= keys["jeans"]
    assert "trunk_back" in keys["shirt"] & keys["blazer"] and "straps_left" in keys["dungarees"]
    assert not has_back(Piece.of({"is": "loafers"})) and not has_back(Piece.of(ROUND))
    # A slit in a narrow skirt; a wide one needs none.
    pencil, wide = (
        by_key(flat_behind(BODY, Piece.of({"is": "skirt", "cut": cut})))["skirt_back"] for cut in ("pencil", "a_line")
    )
    assert len(pencil.points) > len(wide.points)


def colour_at(weave: Weave, x: float, y: float) -> tuple[float, float]:
    """Where in its tile a point of the cloth lies, mm."""
    turn = math.radians(-weave.turn)
    dx, dy = x - weave.about[0], y - weave.about[1]
    u = dx * math.cos(turn) - dy * math.sin(turn) + weave.about[0]
    v = dx * math.sin(turn) + dy * math.cos(turn) + weave.about[1]
    return u % weave.width, v % weave.height


@pytest.mark.parametrize("pattern", ["horizontal_stripe", "vertical_stripe", "check"])
@pytest.mark.parametrize("laid_flat", [False, True])
def test_a_pattern_meets_at_the_armhole_and_a_knitted_cloth_does_not_care(pattern: str, laid_flat: bool) -> None:
    said = {"is": "shirt", "pattern": pattern}
    shapes = by_key(flat_of(BODY, Piece.of(said)).shapes) if laid_flat else drawn(TROUSERS, said)
    trunk = shapes["trunk" if laid_flat else "top"].weave
    for side in ("sleeve_right", "sleeve_left"):
        sleeve = shapes[side].weave
        assert trunk and sleeve and sleeve.turn and any(sleeve.about)
        assert colour_at(sleeve, *sleeve.about) == pytest.approx(colour_at(trunk, *sleeve.about))
    plain = drawn(TROUSERS, {"is": "knit"})["sleeve_right"].weave
    assert plain and plain.about == (0.0, 0.0)


@given(bodies(), looks())
@settings(max_examples=40)
def test_from_the_side_an_arm_is_as_long_as_from_the_front_and_sleeves_end_where_they_do(
    body: Body, look: Look
) -> None:
    arm = arm_side(body, 0.0)
    assert arm[0][0][1] - arm[-1][0][1] <= body.lengths["arm_length"].cm + 0.01
    # The wrist hangs before the elbow, and neither beyond the trunk's own depth and half an arm.
    elbow, wrist = min(arm, key=lambda step: abs(step[0][1] - (arm[0][0][1] + arm[-1][0][1]) / 2)), arm[-1]
    assert elbow[0][0] < wrist[0][0] < side_of(body).front(body.height("hip")) + 12.0
    shapes = by_key(draw_profile(worn(*({"is": piece.kind, **dict(piece.said)} for piece in look.pieces), body=body)))
    assert shapes["arm"].role == "skin" and shapes["arm"].slot == "arm"


@pytest.mark.parametrize("sleeve", ["short", "elbow", "three_quarter", "long"])
def test_a_sleeve_ends_as_high_from_the_side_as_from_the_front(sleeve: str) -> None:
    said = {"is": "tee", "sleeve": sleeve}
    front = drawn(TROUSERS, said)["sleeve_right"]
    side = by_key(draw_profile(worn(TROUSERS, said)))["sleeve_right"]
    assert min(y for _, y in side.points) == pytest.approx(min(y for _, y in front.points), abs=3.0)


def test_the_side_shows_what_is_worn_besides_and_swimwear() -> None:
    besides: list[Words] = [
        {"is": kind} for kind in ("belt", "necklace", "scarf", "hat", "earrings", "bracelet", "tights")
    ]
    slots = {shape.slot for shape in draw_profile(worn(TROUSERS, {"is": "tee"}, *besides))}
    assert {words["is"] for words in besides} <= slots
    for kind in KINDS["swim"]:
        assert kind in {shape.slot for shape in draw_profile(worn({"is": kind}))}, kind
    assert "bib" in by_key(draw_profile(worn({"is": "dungarees"}, {"is": "tee"})))


def test_a_tuck_in_front_alone_falls_to_the_back_from_the_side() -> None:
    def hem(tuck: str) -> tuple[float, float]:
        top = by_key(draw_profile(worn(TROUSERS, {"is": "shirt", "tuck": tuck})))["top"]
        front = min(y for x, y in top.points if x == max(x for x, y in top.points if y < 115))
        return front, min(y for _, y in top.points)

    assert hem("front")[1] == pytest.approx(hem("none")[1], abs=0.5)
    assert hem("full")[1] > hem("front")[1] + 5.0


def test_a_belly_nobody_measured_does_not_stand_out() -> None:
    known = {"stature": 166, "bust": 92, "waist": 74, "hip": 100}
    guessed, full = Body.of(Measures.of(known)), Body.of(Measures.of({**known, "belly": 98}))
    at = guessed.height("navel")
    assert side_of(full).front(at) > side_of(guessed).front(at) + 1.0
    ends = [side_of(guessed).front(guessed.height(level)) for level in ("waist", "high_hip")]
    assert side_of(guessed).front(at) < max(ends) + 1.5


@pytest.mark.parametrize("kind", ["sweatshirt", "jacket", "coat", "gilet"])
def test_a_hood_is_drawn_from_every_side_and_takes_lapels_away(kind: str) -> None:
    plain, hooded = ({"is": kind}, {"is": kind, "hooded": True})
    base = [TROUSERS] if kind == "sweatshirt" else [TROUSERS, {"is": "tee"}]
    views = {
        "front": [set(drawn(*base, said)) for said in (plain, hooded)],
        "back": [set(by_key(draw_back(worn(*base, said)))) for said in (plain, hooded)],
        "side": [set(by_key(draw_profile(worn(*base, said)))) for said in (plain, hooded)],
        "flat": [set(by_key(flat_of(BODY, Piece.of(said)).shapes)) for said in (plain, hooded)],
        "flat back": [set(by_key(flat_behind(BODY, Piece.of(said)))) for said in (plain, hooded)],
    }
    for view, (without, with_it) in views.items():
        assert any("_hood" in key for key in with_it), view
        assert not any("_hood" in key for key in without), view
        assert not any("lapel" in key for key in with_it), view


def test_a_knit_round_the_shoulders_lies_there_from_every_side() -> None:
    outfit = worn(TROUSERS, {"is": "shirt"}, ROUND)
    front, back, side = (
        by_key(shapes)
        for shapes in (tuple(drawn(TROUSERS, {"is": "shirt"}, ROUND).values()), draw_back(outfit), draw_profile(outfit))
    )
    assert {"knit_shoulders_right", "knit_shoulders_left", "knit_knot_front"} <= front.keys()
    assert "knit_shoulders" in back and "knit_knot_front" not in back and "knit_knot" in side
    assert {shape.slot for shape in front.values() if shape.key.startswith("knit_")} == {"scarf"}
    # It is knitted whatever it is worn as.
    assert front["knit_knot_front"].weave is not None
    assert max(y for _, y in back["knit_shoulders"].points) <= outfit.at("shoulder") + 3.0


def test_lace_is_told_from_every_other_cloth() -> None:
    woven = {
        weave_of(Piece.of({"is": "blouse", "fabric": [cloth]}), "white")
        for cloth in ("lace", "crochet", "linen", "ribbed")
    }
    assert len(woven) == 4


@pytest.mark.parametrize(("cut", "areas"), [("slip", 1), ("shift", 1), ("sheath", 1), ("a_line", 2), ("wrap", 2)])
def test_a_dress_falls_in_one_where_no_seam_parts_it_at_the_waist(cut: str, areas: int) -> None:
    said = {"is": "dress", "cut": cut, "hem": "knee"}
    for shapes in (tuple(drawn(said).values()), flat_of(BODY, Piece.of(said)).shapes, draw_back(worn(said))):
        whole = [shape for shape in shapes if shape.role == "cloth" and shape.key in ("top", "trunk", "skirt")]
        assert len(whole) == areas
        # What is sewn on it lies on it.
        held = {shape.key for shape in shapes}
        assert all(shape.clip is None or shape.clip in held for shape in shapes if shape.slot == "one_piece")


def test_what_stretches_lies_narrower_and_a_bodysuit_ends_at_the_crotch() -> None:
    def size(kind: str) -> tuple[float, float]:
        left, low, right, _ = bounds(flat_of(BODY, Piece.of({"is": kind})).shapes)
        return right - left, low

    assert size("leggings")[0] < 0.9 * size("trousers")[0]
    assert size("bodysuit")[1] < size("tee")[1] - 8.0


def test_a_belt_over_what_hangs_draws_it_in_at_the_waist_and_on_a_band_lies_on_the_band() -> None:
    loose = {"is": "blouse", "fit": "relaxed", "hem": "upper_thigh"}
    waist = worn(TROUSERS).at("waist")

    def at_waist(shape: Shape) -> float:
        near = [x for x, y in shape.points if abs(y - waist) < 4.0]
        return max(near) - min(near)

    for view in (lambda *on: drawn(*on), lambda *on: by_key(draw_profile(worn(*on)))):
        free, held = (view(TROUSERS, loose, *belt)["top"] for belt in ([], [{"is": "belt"}]))
        assert at_waist(held) < at_waist(free) - 3.0
        belt = view(TROUSERS, loose, {"is": "belt"})["belt"]
        assert bounds([belt])[1] < waist < bounds([belt])[3]
        # Tucked, nothing is drawn in, and the belt lies on the band.
        tucked = [view(TROUSERS, {**loose, "tuck": "full"}, *belt) for belt in ([], [{"is": "belt"}])]
        assert tucked[0]["top"].d == tucked[1]["top"].d
        outfit = worn(TROUSERS, {**loose, "tuck": "full"}, {"is": "belt"})
        assert outfit.bottom is not None
        assert bounds([tucked[1]["belt"]])[3] <= outfit.bottom.waistband.cm + 0.5
