"""Where to lay the tape on a piece laid flat: one line a figure, on the flat that is drawn of it."""

from __future__ import annotations

import math
from collections.abc import Callable, Iterator
from dataclasses import dataclass

from craft.body import Body
from craft.cloth.kinds import KIND
from craft.draw.flat_frames import NECK_HALF
from craft.draw.flats import Flat, flat_of
from craft.draw.frames import Legs, Skirt, Trunk
from craft.draw.shapes import Point
from craft.draw.svg import bounds
from craft.fit import Landed
from craft.wear import wear_shoes

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
    found = dict(_lines(body, landed, flat_of(body, landed.piece)))
    known = KIND[landed.piece.kind].figures
    return tuple(
        FlatLine(key, (a, b), key in HALVED)
        for key, (a, b) in found.items()
        if key in known and math.dist(a, b) > SHORTEST
    )


_Line = tuple[str, tuple[Point, Point]]


def _lines(body: Body, landed: Landed, flat: Flat) -> Iterator[_Line]:
    if flat.trunk is not None:
        yield from _trunk(body, flat.trunk, whole=flat.legs is None)
        if flat.skirt is not None:
            yield "length_cm", ((NECK_HALF, flat.trunk.top), (NECK_HALF, flat.skirt.hem))
            yield _level("hem_sweep_cm", flat.skirt.half, flat.skirt.hem + 0.1)
    elif flat.skirt is not None:
        yield from _skirt(flat.skirt)
    if flat.legs is not None:
        yield from _legs(flat.legs, whole=flat.trunk is None)
    if landed.piece.slot == "shoes":
        yield from _shoe(body, landed, flat)
    if landed.piece.kind == "belt":
        left, low, right, top = bounds(shape for shape in flat.shapes if shape.key == "belt")
        yield "length_cm", ((left, low - 2.0), (right, low - 2.0))
        yield "width_cm", ((right - 6.0, top), (right - 6.0, low))


def _level(key: str, half: Callable[[float], float], height: float) -> _Line:
    return key, ((-half(height), height), (half(height), height))


def _legs(legs: Legs, *, whole: bool) -> Iterator[_Line]:
    if whole:
        yield _level("waist_cm", legs.trunk, legs.band - 0.1)
        yield _level("hip_cm", legs.trunk, legs.hip)
        yield "front_rise_cm", ((0.0, legs.band - 0.5), (0.0, legs.fork))
        yield "back_rise_cm", ((1.5, legs.band), (1.5, legs.fork))
    for key, height in (("thigh_cm", legs.fork - 3.0), ("knee_cm", legs.knee), ("leg_opening_cm", legs.hem + 0.1)):
        if legs.hem < height < legs.fork:
            yield key, ((legs.inner(height), height), (legs.outer(height), height))
    yield "inseam_cm", ((0.3, legs.fork), (legs.inner(legs.hem), legs.hem))
    yield "outseam_cm", ((legs.trunk(legs.band), legs.band), (legs.outer(legs.hem), legs.hem))


def _skirt(skirt: Skirt) -> Iterator[_Line]:
    yield _level("waist_cm", skirt.half, skirt.band - 0.1)
    yield _level("hip_cm", skirt.half, min(max(skirt.hip, skirt.hem + 1), skirt.band - 1))
    yield _level("hem_sweep_cm", skirt.half, skirt.hem + 0.1)
    yield "length_cm", ((0.0, skirt.band), (0.0, skirt.hem))


def _trunk(body: Body, trunk: Trunk, *, whole: bool) -> Iterator[_Line]:
    top, low = trunk.top, trunk.low
    yield _level("chest_cm", trunk.half, trunk.armpit[1])
    for key, height in (("under_bust_cm", body.height("under_bust")), ("waist_cm", trunk.waist), ("hip_cm", trunk.hip)):
        if height > low:
            yield _level(key, trunk.half, height)
    yield "neck_depth_cm", ((0.0, top), (0.0, trunk.neck[0][1]))
    end, at = trunk.shoulder[-1]
    yield "shoulder_cm", ((-end, at), (end, at))
    if whole:
        yield "length_cm", ((trunk.neck[-1][0], top), (trunk.neck[-1][0], low))
        yield _level("hem_sweep_cm", trunk.half, low + 0.1)
    yield "torso_loop_cm", ((trunk.neck[-1][0] - 2, top), (0.0, min(body.height("crotch"), trunk.waist)))
    if trunk.sleeve is not None:
        yield "sleeve_cm", (trunk.sleeve.outer[0], trunk.sleeve.outer[-1])
        long = math.dist(trunk.sleeve.outer[0], trunk.sleeve.outer[-1])
        yield "upper_arm_cm", trunk.sleeve.across(long * 0.72)


def _shoe(body: Body, landed: Landed, flat: Flat) -> Iterator[_Line]:
    left, _, right, top = bounds(flat.shapes)
    shoes = wear_shoes(body, landed.piece)
    yield "heel_cm", ((left - 1.5, shoes.heel), (left - 1.5, 0.0))
    yield "platform_cm", ((right - 3, max(shoes.platform, 0.8)), (right - 3, 0.0))
    if shoes.is_boot:
        yield "shaft_cm", ((0.8, top), (0.8, shoes.heel))
        upper = [x for x, y in next(shape.points for shape in flat.shapes if shape.key == "shoe") if y > top - 1.0]
        yield "shaft_girth_cm", ((min(upper), top - 0.2), (max(upper), top - 0.2))


__all__ = ["HALVED", "FlatLine", "flat_lines"]
