"""Laws of drawing: every word of the vocabulary is drawn, on any body, where it lands and as wide as it is."""

from __future__ import annotations

import math
from typing import Any

import pytest
from hypothesis import given, settings

from craft.assessment import picture
from craft.body import Body
from craft.cloth.kinds import KINDS
from craft.cloth.words import DRESS_CUTS, FIT, HEM, LEG_CUTS, NECK, SWIM_DETAIL, TOP_CUTS
from craft.draw.profile import draw_profile
from craft.draw.shapes import Shape
from craft.look import Look, Outfit, compose
from tests.craft.looks import looks
from tests.craft.test_fit import BODY, bodies

Words = dict[str, Any]
TROUSERS: Words = {"is": "trousers"}
KIND_LIST = [kind for kinds in KINDS.values() for kind in kinds]
#: Every cut with a kind that takes it.
CUTS = [
    *(("trousers", cut) for cut in LEG_CUTS),
    *(("jumpsuit", cut) for cut in LEG_CUTS),
    *(("skirt", cut) for cut in DRESS_CUTS if cut not in ("sheath", "shift", "empire")),
    *(("dress", cut) for cut in DRESS_CUTS),
    *(("blouse", cut) for cut in TOP_CUTS),
    *(("jacket", cut) for cut in TOP_CUTS if cut != "ruffled"),
]


def worn(*pieces: Words, body: Body = BODY) -> Outfit:
    return compose(body, Look.of(list(pieces)))


def drawn(*pieces: Words, body: Body = BODY) -> dict[str, Shape]:
    return {shape.key: shape for shape in picture(worn(*pieces, body=body))}


def area(shape: Shape) -> float:
    """The area of a closed outline, cm²."""
    ring = zip(shape.points, (*shape.points[1:], shape.points[0]), strict=True)
    return abs(sum(x0 * y1 - x1 * y0 for (x0, y0), (x1, y1) in ring)) / 2


def of_slot(shapes: dict[str, Shape], slot: str) -> list[Shape]:
    return [shape for shape in shapes.values() if shape.slot == slot and shape.role != "detail"]


def breadth(shape: Shape) -> float:
    return max(x for x, _ in shape.points) - min(x for x, _ in shape.points)


@given(bodies(), looks())
@settings(max_examples=60)
def test_what_is_drawn_is_whole(body: Body, look: Look) -> None:
    for shape in (*picture(compose(body, look)), *draw_profile(compose(body, look))):
        assert all(math.isfinite(x) and math.isfinite(y) for x, y in shape.points), shape.key
        assert len(shape.points) >= (2 if shape.role == "detail" else 3), shape.key
        if shape.role in ("skin", "cloth"):
            assert area(shape) > 0.1, shape.key
    keys = [shape.key for shape in picture(compose(body, look))]
    assert len(keys) == len(set(keys))


@pytest.mark.parametrize("kind", KIND_LIST)
def test_every_kind_is_drawn_in_its_own_colour(kind: str) -> None:
    base = [] if kind in KINDS["one_piece"] or kind in KINDS["swim"] else [TROUSERS, {"is": "tee"}]
    pieces = [*(words for words in base if words["is"] not in (kind,)), {"is": kind, "colour": "red"}]
    if kind in KINDS["bottom"]:
        pieces = [{"is": kind, "colour": "red"}, {"is": "tee"}]
    elif kind in KINDS["top"]:
        pieces = [TROUSERS, {"is": kind, "colour": "red"}]
    red = [shape for shape in drawn(*pieces).values() if shape.colour == "red"]
    assert red, kind
    without = drawn(*(words for words in pieces if words["is"] != kind))
    assert {shape.key: shape for shape in red}.items() - without.items()


@pytest.mark.parametrize(("kind", "cut"), CUTS)
def test_every_cut_is_drawn_and_its_edges_lie_on_the_figure(kind: str, cut: str) -> None:
    base = [] if kind in KINDS["one_piece"] else [TROUSERS] if kind in KINDS["top"] else [{"is": "tee"}]
    if kind in KINDS["layer"]:
        base = [TROUSERS, {"is": "tee"}]
    outfit = worn(*base, {"is": kind, "cut": cut})
    assert all(shape.points for shape in picture(outfit))
    for edge in outfit.edges:
        assert -6 <= edge.height <= outfit.height and edge.half_breadth >= 0


@pytest.mark.parametrize("neck", NECK)
def test_every_neckline_is_drawn_below_the_chin_and_above_the_bust(neck: str) -> None:
    top = drawn(TROUSERS, {"is": "tee", "neck": neck})["top"]
    low = min(y for x, y in top.points if abs(x) < 0.5 and y > BODY.height("under_bust"))
    assert BODY.height("under_bust") < low < BODY.height("shoulder") + 12


@pytest.mark.parametrize("detail", SWIM_DETAIL)
def test_a_suit_with_any_detail_stays_on_the_body(detail: str) -> None:
    shapes = drawn({"is": "swimsuit", "swim_detail": [detail]})
    suit = [shape for shape in shapes.values() if shape.slot == "swimsuit" and shape.role == "cloth"]
    assert suit and all(breadth(shape) <= breadth(shapes["trunk"]) + 6 for shape in suit)


@pytest.mark.parametrize("kind", ["tee", "shirt", "knit", "coat", "blazer"])
def test_more_ease_is_drawn_wider(kind: str) -> None:
    base = [TROUSERS] if kind in KINDS["top"] else [TROUSERS, {"is": "tee"}]
    slot = "top" if kind in KINDS["top"] else "layer"
    wide = [sum(breadth(s) for s in of_slot(drawn(*base, {"is": kind, "fit": fit}), slot)) for fit in FIT]
    assert wide == sorted(wide) and wide[-1] > wide[0]


@pytest.mark.parametrize("kind", ["skirt", "dress"])
@pytest.mark.parametrize("hem", HEM[HEM.index("upper_thigh") : HEM.index("ankle") + 1])
def test_a_hem_is_drawn_where_it_lands(kind: str, hem: str) -> None:
    for shoe in ({"is": "flats"}, {"is": "pumps", "heel_cm": 9}):
        outfit = worn({"is": kind, "hem": hem}, shoe)
        slot = "bottom" if kind == "skirt" else "one_piece"
        lowest = min(y for shape in picture(outfit) if shape.slot == slot for _, y in shape.points)
        assert outfit.bottom is not None
        assert lowest == pytest.approx(outfit.bottom.hem.cm, abs=0.1)


@pytest.mark.parametrize("kind", KINDS["shoes"])
def test_a_shoe_stands_on_the_floor_and_lifts_the_body_by_its_heel(kind: str) -> None:
    for heel in (0.5, 4.0, 9.0):
        outfit = worn(TROUSERS, {"is": kind, "heel_cm": heel})
        shapes = picture(outfit)
        assert min(y for shape in shapes if shape.slot == "shoes" for _, y in shape.points) == pytest.approx(
            0.0, abs=0.05
        )
        crown = max(y for shape in shapes if shape.key == "head" for _, y in shape.points)
        assert crown == pytest.approx(BODY.stature + outfit.lift, abs=0.2) and outfit.lift >= heel


def test_an_open_layer_shows_what_is_under_it_and_a_closed_one_hides_it() -> None:
    base = [TROUSERS, {"is": "tee", "colour": "white"}]
    opened, closed = (of_slot(drawn(*base, {"is": "coat", **more}), "layer") for more in ({"open": True}, {}))
    at = BODY.height("navel")

    def covers_middle(shapes: list[Shape]) -> bool:
        return any(
            min(x for x, _ in shape.points) < -1 and max(x for x, _ in shape.points) > 1 and max(y for _, y in shape.points) > at
            for shape in shapes
            if "sleeve" not in shape.key
        )  # fmt: skip

    assert covers_middle(closed) and not covers_middle(opened)
    assert worn(*base, {"is": "coat", "open": True}).seen_at(at) != worn(*base, {"is": "coat"}).seen_at(at)


def test_the_side_has_every_slot_that_the_front_has_and_the_same_heights() -> None:
    outfit = worn(TROUSERS, {"is": "knit"}, {"is": "blazer"}, {"is": "tall_boots"})
    front, side = (
        {slot: max(y for s in shapes if s.slot == slot for _, y in s.points) for slot in ("bottom", "top", "layer")}
        for shapes in (picture(outfit), draw_profile(outfit))
    )
    for slot, high in front.items():
        assert side[slot] == pytest.approx(high, abs=8.0), slot
