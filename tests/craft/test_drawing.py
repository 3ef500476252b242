"""Laws of drawing: every word of the vocabulary is drawn, on any body, where it lands and as wide as it is."""

from __future__ import annotations

import math
import random
import re
from pathlib import Path
from typing import Any
from xml.etree import ElementTree

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from craft.assessment import picture
from craft.body import Body, Measures, Quantity
from craft.cloth import Piece
from craft.cloth.kinds import KINDS
from craft.cloth.words import DRESS_CUTS, FIT, HEM, LEG_CUTS, NECK, SWIM_DETAIL, TOP_CUTS
from craft.draw import draw_back, draw_figure, draw_look
from craft.draw.flats import flat_of
from craft.draw.shapes import AREAS, Shape, moved
from craft.draw.side import draw_profile
from craft.draw.specimens import LOOKS, ROWS, bodies_svg, drawn_look, kinds_svg
from craft.draw.svg import bounds, framed_svg, painted, picture_svg
from craft.look import Look, Outfit, compose
from tests.craft.looks import looks
from tests.craft.test_fit import BODY, bodies
from tests.craft.test_search import a_piece

Words = dict[str, Any]
#: What a path is made of: whole millimetres, moves, lines and curves.
PATH = re.compile(r"(M-?\d+ -?\d+((L-?\d+ -?\d+)|(C(-?\d+ ){5}-?\d+)|(Q(-?\d+ ){3}-?\d+)|Z)*)+")
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


def box(shape: Shape) -> tuple[float, float, float, float]:
    return bounds([shape])


def area(shape: Shape) -> float:
    """The area of a closed outline, cm²."""
    ring = zip(shape.points, (*shape.points[1:], shape.points[0]), strict=True)
    return abs(sum(x0 * y1 - x1 * y0 for (x0, y0), (x1, y1) in ring)) / 2


def of_slot(shapes: dict[str, Shape], slot: str) -> list[Shape]:
    return [shape for shape in shapes.values() if shape.slot == slot and shape.role in AREAS]


def breadth(shape: Shape) -> float:
    return max(x for x, _ in shape.points) - min(x for x, _ in shape.points)


def views(outfit: Outfit) -> list[tuple[Shape, ...]]:
    """A look from everywhere it is drawn."""
    return [picture(outfit), draw_back(outfit), draw_profile(outfit)]


@given(bodies(), looks())
@settings(max_examples=60)
def test_what_is_drawn_is_whole(body: Body, look: Look) -> None:
    flats = [flat_of(body, piece).shapes for piece in look.pieces]
    for shapes in (*views(compose(body, look)), *flats):
        keys = [(shape.slot, shape.key) for shape in shapes]
        assert len(keys) == len(set(keys)), [key for key in keys if keys.count(key) > 1]
        for shape in shapes:
            assert all(math.isfinite(x) and math.isfinite(y) for x, y in shape.points), shape.key
            assert PATH.fullmatch(shape.d), (shape.key, shape.d[:80])
            if shape.role in ("skin", "cloth"):
                assert area(shape) > 0.1, shape.key


@given(bodies(), looks())
@settings(max_examples=40)
def test_nothing_is_drawn_below_the_floor_nor_outside_its_piece(body: Body, look: Look) -> None:
    for shapes in views(compose(body, look)):
        areas = {(shape.slot, shape.key): shape for shape in shapes if shape.role in AREAS}
        for shape in shapes:
            assert min(y for _, y in shape.points) > -0.1, shape.key
            if shape.role in ("seam", "stitch", "fold", "fade") and shape.clip is not None:
                # Painted, it is cut off at the area that it is sewn on; that area is there.
                assert (shape.slot, shape.clip) in areas, shape.key
            elif shape.role in ("seam", "stitch", "fold"):
                owns = [one for one in areas.values() if one.slot == shape.slot]
                left, low = min(box(one)[0] for one in owns), min(box(one)[1] for one in owns)
                right, top = max(box(one)[2] for one in owns), max(box(one)[3] for one in owns)
                for x, y in shape.points:
                    assert left - 4 <= x <= right + 4 and low - 4 <= y <= top + 4, shape.key


@given(bodies())
@settings(max_examples=40)
def test_the_figure_is_its_own_mirror_and_as_tall_and_broad_as_measured(body: Body) -> None:
    shapes = {shape.key: shape for shape in draw_figure(body)}
    for key in ("arm", "hand", "ear"):
        left = {(round(-x, 6), round(y, 6)) for x, y in shapes[f"{key}_left"].points}
        assert left == {(round(x, 6), round(y, 6)) for x, y in shapes[f"{key}_right"].points}
    trunk = [point for shape in shapes.values() if shape.key == "trunk" for point in shape.points]
    assert {(round(-x, 6), round(y, 6)) for x, y in trunk} == {(round(x, 6), round(y, 6)) for x, y in trunk}
    assert max(y for shape in shapes.values() for _, y in shape.points) == pytest.approx(body.stature, abs=0.1)
    for landmark in ("bust", "hip"):
        height = body.height(landmark)
        at = min(trunk, key=lambda point: (abs(point[1] - height), -point[0]))
        assert at[1] == pytest.approx(height, abs=1.7)
        assert at[0] == pytest.approx(body.half_breadth(at[1]), abs=0.05)


@given(bodies(), st.sampled_from(["bust", "waist", "hip", "upper_arm", "neck"]), st.floats(3, 12))
@settings(max_examples=40)
def test_a_wider_body_is_drawn_wider(body: Body, girth: str, more: float) -> None:
    taken = dict(body.measures.figures)
    taken[girth] = Quantity(body.girth(girth) + more, 0.5, "measured")
    wider = Body.of(Measures.of(taken))
    own, other = (sum(area(shape) for shape in draw_figure(one) if shape.role == "skin") for one in (body, wider))
    assert other > own


@pytest.mark.parametrize("seed", range(4))
def test_whatever_can_be_said_is_drawn_though_nobody_would_wear_it(seed: int) -> None:
    draw = random.Random(seed)
    for _ in range(25):
        base = draw.choice((("bottom", "top"), ("one_piece",)))
        pieces = [a_piece(draw, slot) for slot in (*base, "shoes", "layer", "extra")]
        outfit = compose(BODY, Look(tuple(pieces)))
        assert picture(outfit) and draw_back(outfit) and draw_profile(outfit)
        assert all(flat_of(BODY, piece) for piece in pieces)


def test_a_skirt_whose_words_leave_it_no_side_has_no_panels() -> None:
    words = {"is": "skirt", "hem": "under_bust", "rise": "very_high", "pattern": "dark_side_panels"}
    assert not [key for key in drawn(words, {"is": "tee"}) if "panel" in key]
    assert [key for key in drawn({**words, "hem": "knee"}, {"is": "tee"}) if "panel" in key]


def test_a_heel_moves_the_floor_and_nothing_of_the_body_above_the_foot() -> None:
    flat, heeled = ({shape.key: shape for shape in draw_figure(BODY, lift)} for lift in (0.0, 8.0))
    for key in ("head", "arm_right", "hand_left"):
        lifted = [value for x, y in flat[key].points for value in (x, y + 8.0)]
        assert lifted == pytest.approx([value for point in heeled[key].points for value in point])


def test_a_turned_shape_is_its_mirror_and_one_moved_comes_back() -> None:
    for shape in draw_profile(worn(TROUSERS, {"is": "knit"}, {"is": "loafers"})):
        assert moved(moved(shape, turned=True), turned=True).d.replace("-0", "0") == shape.d.replace("-0", "0")
        assert moved(moved(shape, 7.5, -3.0), -7.5, 3.0).d.replace("-0", "0") == shape.d.replace("-0", "0")


@pytest.mark.parametrize("kind", KIND_LIST)
def test_every_kind_lies_flat_in_a_drawing_of_its_own(kind: str) -> None:
    flats = {one: flat_of(BODY, Piece.of({"is": one})).shapes for one in (kind, "tee", "jeans")}
    assert flats[kind]
    assert [shape.d for shape in flats[kind]] not in [[s.d for s in flats[o]] for o in ("tee", "jeans") if o != kind]


@pytest.mark.parametrize(
    ("words", "other"),
    [
        ({"is": "knit", "fabric": ["chunky"]}, {"is": "knit"}),
        ({"is": "skirt", "fabric": ["satin"]}, {"is": "skirt"}),
        ({"is": "shirt", "pattern": "check"}, {"is": "shirt"}),
        ({"is": "shirt", "pattern": "vertical_stripe"}, {"is": "shirt", "pattern": "horizontal_stripe"}),
        ({"is": "blouse", "fabric": ["sheer"]}, {"is": "blouse"}),
        ({"is": "trousers", "fabric": ["leather"]}, {"is": "trousers"}),
        ({"is": "trousers", "fabric": ["linen"]}, {"is": "trousers"}),
        ({"is": "jeans", "fade": ["thighs"]}, {"is": "jeans"}),
        ({"is": "blazer", "surface": "textured"}, {"is": "blazer"}),
    ],
)
def test_cloth_can_be_told(words: Words, other: Words) -> None:
    def cloth(said: Words) -> set[object]:
        return {
            (s.key, s.weave, s.light, s.opacity) for s in flat_of(BODY, Piece.of(said)).shapes if s.role in AREAS
        } | {s.key for s in flat_of(BODY, Piece.of(said)).shapes if s.role == "fade"}

    assert cloth(words) != cloth(other)


def test_a_print_has_its_own_repeat_and_colours_and_turns_with_the_sleeve() -> None:
    said = {"is": "shirt", "pattern": "check", "repeat_cm": 7, "second_colour": "red", "colour": "white"}
    shapes = drawn(TROUSERS, said)
    body, sleeve, other = (shapes[key].weave for key in ("top", "sleeve_right", "sleeve_left"))
    assert body and sleeve and other
    assert body.width == body.height == 70.0 and body.turn == 0.0
    assert sleeve.turn == -other.turn and 2 < abs(sleeve.turn) < 30


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
            if "sleeve" not in shape.key and not shape.key.endswith(("_behind", "_front"))
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


@pytest.mark.parametrize("name", [name for name, _ in LOOKS])
def test_a_look_is_drawn_as_it_is_held(name: str) -> None:
    """Drift is seen in review: `./basilwood specimens` draws the held files anew."""
    held = (Path(__file__).parent / "drawn" / f"{name}.svg").read_text()
    assert picture_svg(drawn_look(dict(LOOKS)[name]), name) == held


def test_a_dressed_figure_is_at_most_four_hundred_elements() -> None:
    assert max(painted(drawn_look(look)).count("<path") for _, look in LOOKS) < 400


def test_the_sheets_show_every_kind() -> None:
    shown = {words["is"] for _, pieces in ROWS for words in pieces}
    assert {kind for kind in KIND_LIST if kind != "smoothing_shorts"} <= shown
    for sheet in (kinds_svg(), bodies_svg()):
        ElementTree.fromstring(sheet)  # noqa: S314 (our own)


@pytest.mark.parametrize("window", [(0.0, 20.0), (80.0, 115.0), (130.0, 170.0)])
def test_a_part_holds_what_is_seen_of_it_and_all_that_holds_that(window: tuple[float, float]) -> None:
    body = Body.of(Measures.of({"stature": 168}))
    pieces = [
        {"is": "jeans", "fade": ["thighs"]},
        {"is": "knit", "fabric": ["ribbed"], "tuck": "front"},
        {"is": "coat"},
    ]
    shapes = draw_look(compose(body, Look.of([*pieces, {"is": "trainers"}])))
    part = framed_svg(shapes, "part", "p", window=window)
    assert part.count("<path") < framed_svg(shapes, "whole", "p").count("<path")
    assert set(re.findall(r"url\(#([^)]+)\)", part)) <= set(re.findall(r'id="([^"]+)"', part))
    low, top = window
    seen = {
        shape.d for shape in shapes if low <= max(y for _, y in shape.points) and min(y for _, y in shape.points) <= top
    }
    # What lies in the window is painted, but where the area that holds it lies outside.
    assert all(shape.d in part for shape in shapes if shape.d in seen and not shape.clip)
