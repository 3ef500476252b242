"""Laws of the drawing's own means: paths, folds, cloth, frames; and of what flats and shoes are drawn from."""

from __future__ import annotations

import itertools
import math
import re

import pytest
from hypothesis import assume, given
from hypothesis import strategies as st

from craft.cloth import Piece
from craft.cloth.colour import lightness
from craft.cloth.words import COLOURS, ONE_OF
from craft.draw.flat_lines import flat_lines
from craft.draw.flats import Flat, flat_of
from craft.draw.frames import Sleeve
from craft.draw.shapes import Fold, Point, area, flip, folds, moved, other_side, path_of, steps, straight, whole
from craft.draw.svg import bounds
from craft.draw.told import in_words
from craft.draw.weave import SYSTEMS, is_dark, mixed, system_of, thread, weave_of
from craft.fit import land
from tests.craft.test_fit import BODY

NUMBER = re.compile(r"-?\d+")
coordinates = st.floats(-150, 200, allow_nan=False).map(lambda value: round(value, 2))
points = st.tuples(coordinates, coordinates)
runs = st.lists(points, min_size=3, max_size=9, unique=True)


def numbers(d: str) -> list[int]:
    return [int(value) for value in NUMBER.findall(d)]


def curves(d: str) -> list[list[Point]]:
    """The Bézier segments of a path, mm: start, two handles, end."""
    found: list[list[Point]] = []
    at: Point = (0.0, 0.0)
    for command, rest in re.findall(r"([MLCQZ])([^MLCQZ]*)", d):
        values = numbers(rest)
        pairs = [(float(x), float(y)) for x, y in zip(values[::2], values[1::2], strict=True)]
        if command == "C":
            found.append([at, *pairs])
        if pairs:
            at = pairs[-1]
    return found


@given(runs)
def test_a_smooth_run_goes_through_its_points_in_order(run: list[Point]) -> None:
    ends = [curve[-1] for curve in curves(path_of([run], closed=False))]
    assert [math.dist(end, (x * 10, y * 10)) < 1.0 for end, (x, y) in zip(ends, run[1:], strict=True)] == [True] * len(
        ends
    )


@given(runs)
def test_a_handle_is_never_longer_than_its_share_of_the_way(run: list[Point]) -> None:
    for start, out, into, end in curves(path_of([run], closed=False)):
        way = math.dist(start, end)
        assert math.dist(start, out) <= 0.36 * way + 2.0 and math.dist(end, into) <= 0.36 * way + 2.0


@given(runs)
def test_a_run_has_no_kink(run: list[Point]) -> None:
    found = curves(path_of([run], closed=False))
    for (_, _, into, end), (_, out, _, _) in itertools.pairwise(found):
        before, after = (end[0] - into[0], end[1] - into[1]), (out[0] - end[0], out[1] - end[1])
        sizes = math.hypot(*before), math.hypot(*after)
        # Rounded to whole millimetres a short handle has no direction worth holding.
        assume(min(sizes) > 25)
        turn = (before[0] * after[0] + before[1] * after[1]) / (sizes[0] * sizes[1])
        assert turn > 0.98


@given(runs)
def test_an_outline_and_its_mirror_meet_in_the_middle(run: list[Point]) -> None:
    right = [[(0.0, 100.0), run[0]], run, [run[-1], (0.0, -50.0)]]
    outline = whole(right)
    assert outline[0][0] == (0.0, 100.0) and outline[-1][-1] == (0.0, 100.0)
    assert [flip(flip(one)) for one in outline] == [list(one) for one in outline]
    for one, following in itertools.pairwise(outline):
        assert one[-1] == pytest.approx(following[0])


@given(runs, st.floats(-40, 40), st.floats(-40, 40))
def test_what_is_moved_keeps_its_shape(run: list[Point], across: float, up: float) -> None:
    shape = area("one", "top", [run, [run[-1], run[0]]])
    there = moved(shape, across, up)
    own, other = numbers(shape.d), numbers(there.d)
    shifts = {(b - a) for a, b in zip(own[::2], other[::2], strict=True)}
    assert len(shifts) == 1 and abs(shifts.pop() - across * 10) <= 0.51
    assert re.sub(NUMBER, "", there.d) == re.sub(NUMBER, "", shape.d)


def test_the_other_side_has_its_own_clip_and_turns_its_cloth_the_other_way() -> None:
    runs = straight((1.0, 0.0), (5.0, 0.0), (5.0, 9.0), (1.0, 0.0))
    weave = weave_of(Piece.of({"is": "jeans"}), "mid_blue", 12.0)
    right = area("leg_right", "bottom", runs, "mid_blue", weave=weave, clip="bottom_right")
    left = other_side(right, "leg_left", runs)
    assert left.clip == "bottom_left" and left.weave and weave and left.weave.turn == -weave.turn
    assert bounds([left])[2] == -bounds([right])[0]


@given(points, points, st.floats(0.2, 1.2))
def test_a_fold_runs_from_where_it_is_held_to_where_it_is_free(held: Point, free: Point, wide: float) -> None:
    shape = folds("folds", "top", [Fold(held, free, 0.5, wide)])
    values = numbers(shape.d)
    assert values[:2] == values[-2:] == [round(held[0] * 10), round(held[1] * 10)] and shape.d.endswith("Z")


@given(st.floats(20, 180), st.floats(0, 19), st.floats(0.5, 9))
def test_steps_hold_both_ends_and_go_down(top: float, bottom: float, by: float) -> None:
    found = steps(top, bottom, by)
    assert found[0] == top and found[-1] == pytest.approx(bottom) and found == sorted(found, reverse=True)


@pytest.mark.parametrize("colour", COLOURS)
def test_a_seam_is_seen_on_every_colour(colour: str) -> None:
    assert abs(lightness(thread(colour)) - lightness(colour)) > 0.12
    assert (lightness(thread(colour)) > lightness(colour)) == is_dark(colour)


@given(st.sampled_from(sorted(COLOURS)), st.sampled_from(sorted(COLOURS)), st.floats(0, 1))
def test_a_mixture_lies_between_its_colours(one: str, other: str, part: float) -> None:
    low, high = sorted((lightness(one), lightness(other)))
    assert mixed(one, other, 0.0) == COLOURS[one] and mixed(one, other, 1.0) == COLOURS[other]
    # Mixed as light, not as the eye counts it, so a little beyond.
    assert low - 0.12 <= lightness(mixed(one, other, part)) <= high + 0.12


@pytest.mark.parametrize("name", SYSTEMS)
def test_every_cloth_has_marks_of_another_tone_than_its_ground(name: str) -> None:
    wide, tall, _, marks = SYSTEMS[name]
    for ground in ("#fbfbf8", "#17171a", "#5b7ea6"):
        drawn = marks(ground, "#b32d2e")
        assert drawn and all(colour.startswith("#") and colour != ground for _, colour, _ in drawn)
    assert wide > 0 and tall > 0


def test_cloth_words_lead_to_a_cloth_before_the_kind_does() -> None:
    assert system_of(Piece.of({"is": "jeans"})) == "denim"
    assert system_of(Piece.of({"is": "jeans", "fabric": ["leather"]})) is None
    assert system_of(Piece.of({"is": "trousers", "fabric": ["denim"]})) == "denim"
    assert system_of(Piece.of({"is": "blazer", "surface": "textured"})) == "tweed"


def test_a_line_across_a_sleeve_lies_so_far_above_its_cuff() -> None:
    sleeve = Sleeve(
        [(20.0, 130.0), (26.0, 100.0), (30.0, 80.0)],
        [(18.0, 118.0), (22.0, 80.0)],
        12.0,
        [(20.0, 130.0), (18.0, 118.0)],
    )
    for up in (0.0, 2.0, 6.0, 15.0):
        outer, inner = sleeve.across(up)
        assert math.dist(outer, (30.0, 80.0)) == pytest.approx(up) and math.dist(inner, (22.0, 80.0)) == pytest.approx(
            up
        )


def laid(**words: object) -> Flat:
    return flat_of(BODY, Piece.of(words))


@pytest.mark.parametrize(
    ("kind", "figure", "less", "more", "side"),
    [
        ("tank", "chest_cm", 90, 112, "wide"),
        ("knit", "sleeve_cm", 48, 62, "wide"),
        ("jeans", "inseam_cm", 60, 82, "tall"),
        ("jeans", "leg_opening_cm", 32, 60, "hem"),
        ("skirt", "length_cm", 45, 80, "tall"),
        ("skirt", "hem_sweep_cm", 100, 190, "wide"),
        ("tall_boots", "shaft_cm", 30, 42, "tall"),
        ("pumps", "heel_cm", 3, 10, "tall"),
        ("bag", "", 0, 0, ""),
    ],
)
def test_a_figure_that_grows_is_drawn_larger_on_the_flat(
    kind: str, figure: str, less: int, more: int, side: str
) -> None:
    if not figure:
        small, large = (bounds(laid(**{"is": kind, "size": size}).shapes) for size in ("small", "large"))
        assert large[2] - large[0] > small[2] - small[0]
        return
    one, two = (laid(**{"is": kind, figure: value}) for value in (less, more))
    if side == "hem":
        assert one.legs and two.legs and two.legs.outer(two.legs.hem) > one.legs.outer(one.legs.hem)
        return
    a, b = bounds(one.shapes), bounds(two.shapes)
    at = 0 if side == "wide" else 1
    assert b[at + 2] - b[at] > a[at + 2] - a[at]


@pytest.mark.parametrize("toe", ONE_OF["toe"])
def test_a_toe_is_told_from_every_other_in_both_views(toe: str) -> None:
    from craft.draw import draw_dressed
    from craft.look import Look, compose

    for other in ONE_OF["toe"]:
        if other == toe:
            continue
        sides = [[s.d for s in laid(**{"is": "pumps", "toe": one}).shapes] for one in (toe, other)]
        fronts = [
            [s.d for s in draw_dressed(compose(BODY, Look.of([{"is": "pumps", "toe": one}]))) if s.slot == "shoes"]
            for one in (toe, other)
        ]
        assert sides[0] != sides[1] and fronts[0] != fronts[1]


@pytest.mark.parametrize("kind", ["jeans", "skirt", "shirt", "coat", "dress", "jumpsuit", "tall_boots", "belt"])
def test_the_tape_lies_on_the_flat_it_is_drawn_on(kind: str) -> None:
    piece = Piece.of({"is": kind})
    left, low, right, top = bounds(flat_of(BODY, piece).shapes)
    lines = flat_lines(BODY, land(BODY, piece))
    assert lines
    for line in lines:
        for x, y in line.points:
            assert left - 4 <= x <= right + 4 and low - 4 <= y <= top + 4, line.key


def test_a_piece_is_told_with_its_colours_and_how_it_is_worn() -> None:
    said = {
        "is": "shirt",
        "colour": "white",
        "second_colour": "navy",
        "pattern": "check",
        "tuck": "half",
        "rolled": True,
    }
    assert in_words(Piece.of(said)) == "white and navy check shirt, sleeves rolled, tucked: half"
