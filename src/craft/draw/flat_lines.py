"""Where to lay the tape on a piece laid flat: one line a figure, on the flat that is drawn of it."""

from __future__ import annotations

import math
from collections.abc import Iterable, Iterator, Sequence
from dataclasses import dataclass

from craft.body import Body
from craft.cloth.kinds import KIND
from craft.draw.flats import NECK_HALF, draw_flat
from craft.draw.shapes import Point, Shape
from craft.fit import Landed

#: Figures that go round: flat, the tape lies across and reads half.
HALVED = (
    *("chest_cm", "waist_cm", "hip_cm", "thigh_cm", "knee_cm", "leg_opening_cm", "hem_sweep_cm"),
    *("upper_arm_cm", "shaft_girth_cm", "under_bust_cm", "torso_loop_cm"),
)
#: A shorter line would be a dot, cm: a flat shoe has no heel to measure.
SHORTEST = 0.5


@dataclass(frozen=True, slots=True)
class FlatLine:
    """A figure's line on the flat, cm as the flat's own points; `half` where the tape reads half of the figure."""

    key: str
    points: tuple[Point, Point]
    half: bool


def flat_lines(body: Body, landed: Landed) -> tuple[FlatLine, ...]:
    """The lines of every figure of this piece that can be shown on its flat.

    >>> from craft.body import Measures
    >>> from craft.cloth import Piece
    >>> from craft.fit import land
    >>> body = Body.of(Measures.of({"stature": 165}))
    >>> lines = flat_lines(body, land(body, Piece.of({"is": "jeans", "inseam_cm": 70})))
    >>> [line.key for line in lines if line.half][:3]
    ['waist_cm', 'hip_cm', 'thigh_cm']
    """
    shapes = {shape.key: shape for shape in draw_flat(body, landed)}
    found = dict(_lines(body, landed, shapes))
    known = KIND[landed.piece.kind].figures
    return tuple(
        FlatLine(key, (a, b), key in HALVED)
        for key, (a, b) in found.items()
        if key in known and math.dist(a, b) > SHORTEST
    )


_Line = tuple[str, tuple[Point, Point]]


def _lines(body: Body, landed: Landed, shapes: dict[str, Shape]) -> Iterator[_Line]:
    if "trunk" in shapes:
        yield from _trunk(body, shapes["trunk"].points, shapes.get("sleeve"), suit="legs" in shapes)
    if "legs" in shapes:
        yield from _legs(body, shapes["legs"].points, whole="trunk" not in shapes)
    if "skirt" in shapes:
        yield from _skirt(body, shapes["skirt"].points)
    if "shoe" in shapes:
        yield from _shoe(landed, shapes["shoe"].points)
    if "belt" in shapes:
        points = shapes["belt"].points
        (left, right), (top, low) = _ends(x for x, _ in points), _ends((y for _, y in points), down=True)
        yield "length_cm", ((left, 0.0), (right, 0.0))
        yield "width_cm", ((0.0, top), (0.0, low))


def _ends(values: Iterable[float], *, down: bool = False) -> tuple[float, float]:
    held = list(values)
    return (max(held), min(held)) if down else (min(held), max(held))


def across(points: Sequence[Point], height: float) -> list[float]:
    """Where an outline is crossed at a height: x from left to right."""
    found = []
    for (x0, y0), (x1, y1) in zip(points, (*points[1:], points[0]), strict=True):
        if (y0 > height) != (y1 > height):
            found.append(x0 + (height - y0) / (y1 - y0) * (x1 - x0))
    return sorted(found)


def _level(key: str, points: Sequence[Point], height: float) -> Iterator[_Line]:
    xs = across(points, height)
    if len(xs) >= 2:
        yield key, ((xs[0], height), (xs[-1], height))


def _legs(body: Body, points: Sequence[Point], *, whole: bool) -> Iterator[_Line]:
    top, hem = _ends((y for _, y in points), down=True)
    crotch = next(y for x, y in points if x == 0.0)
    if whole:
        yield from _level("waist_cm", points, top - 0.1)
        yield from _level("hip_cm", points, min(body.height("hip"), top - 1))
        yield "front_rise_cm", ((0.0, top), (0.0, crotch))
        yield "back_rise_cm", ((1.5, top), (1.5, crotch))
    right = [(x, y) for x, y in points if x > 0]
    for key, height in (("thigh_cm", crotch - 3.0), ("knee_cm", body.height("knee")), ("leg_opening_cm", hem + 0.1)):
        xs = [x for x in across(points, height) if x > 0]
        if len(xs) >= 2 and height < crotch:
            yield key, ((xs[0], height), (xs[-1], height))
    inner = min(x for x, y in right if y <= hem + 0.01)
    outer = max(x for x, y in right if y <= hem + 0.01)
    yield "inseam_cm", ((0.3, crotch), (inner, hem))
    yield "outseam_cm", ((max(x for x, y in right if y >= top - 0.01), top), (outer, hem))


def _skirt(body: Body, points: Sequence[Point]) -> Iterator[_Line]:
    top, hem = _ends((y for _, y in points), down=True)
    yield from _level("waist_cm", points, top - 0.1)
    yield from _level("hip_cm", points, min(max(body.height("hip"), hem + 1), top - 1))
    yield from _level("hem_sweep_cm", points, hem + 0.1)
    yield "length_cm", ((0.0, top), (0.0, hem))


def _trunk(body: Body, points: Sequence[Point], sleeve: Shape | None, *, suit: bool) -> Iterator[_Line]:
    top, hem = _ends((y for _, y in points), down=True)
    bust, waist, hip = (body.height(name) for name in ("bust", "waist", "hip"))
    dip = min((y for x, y in points if x == 0.0 and y > bust - 25), default=top)
    yield from _level("chest_cm", points, bust + 0.3 * (top - bust))
    for key, height in (("under_bust_cm", body.height("under_bust")), ("waist_cm", waist), ("hip_cm", hip)):
        if height > hem:
            yield from _level(key, points, height)
    yield "neck_depth_cm", ((0.0, top), (0.0, dip))
    end = max(x for x, y in points if y > top - 6)
    yield "shoulder_cm", ((-end, top - 3.5), (end, top - 3.5))
    if not suit:
        yield "length_cm", ((NECK_HALF, top), (NECK_HALF, hem))
        yield from _level("hem_sweep_cm", points, hem + 0.1)
    yield "torso_loop_cm", ((NECK_HALF - 2, top), (0.0, min(body.height("crotch"), waist)))
    if sleeve is not None:
        start, outer, inner, armpit = sleeve.points
        yield "sleeve_cm", (start, outer)
        middle = ((start[0] * 3 + outer[0]) / 4, (start[1] * 3 + outer[1]) / 4)
        yield "upper_arm_cm", (middle, ((armpit[0] * 3 + inner[0]) / 4, (armpit[1] * 3 + inner[1]) / 4))


def _shoe(landed: Landed, points: Sequence[Point]) -> Iterator[_Line]:
    back, tip = _ends(x for x, _ in points)
    top = landed.edge("cover").height
    yield "heel_cm", ((back - 1.5, landed.shoes.heel), (back - 1.5, 0.0))
    yield "platform_cm", ((tip - 2, max(landed.shoes.platform, 0.8)), (tip - 2, 0.0))
    yield "shaft_cm", ((back + 1.0, top), (back + 1.0, landed.shoes.heel))
    yield from _level("shaft_girth_cm", points, top - 0.2)


__all__ = ["HALVED", "FlatLine", "across", "flat_lines"]
