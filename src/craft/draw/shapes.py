"""A shape to draw: a path in millimetres of the real thing, x to the right of the midline, y above the ground.

A path is made of runs: smooth within a run, with a corner where two meet. Points are given in cm.
"""

from __future__ import annotations

import itertools
import math
import re
from collections.abc import Callable, Iterable, Sequence
from dataclasses import dataclass, replace
from typing import Literal, NamedTuple

Point = tuple[float, float]
Run = Sequence[Point]
#: `skin` the body; `cloth` an area with a silhouette; `sole` one of heels and soles. The others are without one: `bare`
#: skin that a cut-out shows, `seam` and `stitch` lines, `edge` a line as strong as a silhouette, `skinline` a line of the
#: body, `fold` thin areas that darken, `fade` one that is lighter towards its middle.
Role = Literal["skin", "cloth", "sole", "bare", "seam", "stitch", "edge", "skinline", "fold", "fade"]
#: How a form takes the light.
Light = Literal["form", "satin", "leather"]
AREAS: tuple[Role, ...] = ("skin", "cloth", "sole")
#: A handle is this share of its segment long: close to a circle's third.
_HANDLE = 0.36
_NUMBER = re.compile(r"(-?\d+)")


class Weave(NamedTuple):
    """Cloth as a tile of marks over its ground, mm: each mark is a path, a colour, and a line's width (0 is filled). It is turned
    by so many degrees about a point, where it meets the cloth that it is sewn to."""

    key: str
    width: float
    height: float
    turn: float
    marks: tuple[tuple[str, str, float], ...]
    about: Point = (0.0, 0.0)


@dataclass(frozen=True, slots=True)
class Shape:
    """One thing to paint. `d` is its path; `points` are those that it runs through, cm; `clip` names the area of the same
    slot that it may not leave."""

    key: str
    slot: str
    role: Role
    d: str
    points: tuple[Point, ...]
    colour: str | None = None
    weave: Weave | None = None
    light: Light | None = None
    clip: str | None = None
    #: How much of what is under it shows through, 1 for none.
    opacity: float = 1.0


def steps(top: float, bottom: float, by: float = 1.5) -> list[float]:
    """Heights from `top` down to `bottom`, both included, about `by` cm apart.

    >>> steps(3.0, 0.0)
    [3.0, 1.5, 0.0]
    """
    count = max(1, round((top - bottom) / by))
    return [top + (bottom - top) * at / count for at in range(count + 1)]


def down(side: Callable[[float], float], heights: Iterable[float]) -> list[Point]:
    """The points of a side, given as x at a height."""
    return [(side(height), height) for height in heights]


def flip(run: Run) -> list[Point]:
    """The same points on the other side of the midline."""
    return [(-x, y) for x, y in run]


def back(runs: Iterable[Run]) -> list[list[Point]]:
    """The same runs walked the other way round."""
    return [list(reversed(run)) for run in reversed(list(runs))]


def whole(right: Iterable[Run]) -> list[Run]:
    """A symmetrical outline from its right half, walked from the middle above to the middle below."""
    kept = list(right)
    return [*kept, *(flip(run) for run in back(kept))]


def straight(*points: Point) -> list[Run]:
    """Runs with a corner at every point."""
    return [[a, b] for a, b in itertools.pairwise(points)]


def between(a: Point, b: Point, part: float) -> Point:
    """A point so far along from one to the other."""
    return (a[0] + (b[0] - a[0]) * part, a[1] + (b[1] - a[1]) * part)


def path_of(runs: Iterable[Run], *, closed: bool) -> str:
    """An SVG path, mm.

    >>> path_of([[(0, 0), (1, 0)], [(1, 0), (1, 2)]], closed=True)
    'M0 0L10 0L10 20Z'
    """
    out: list[str] = []
    last: Point | None = None
    for run in runs:
        start = run[0]
        if last is None:
            out.append(f"M{_mm(start[0])} {_mm(start[1])}")
        elif start != last:
            out.append(f"L{_mm(start[0])} {_mm(start[1])}")
        if len(run) == 2:
            out.append(f"L{_mm(run[1][0])} {_mm(run[1][1])}")
        elif len(run) > 2:
            _curve(run, out)
        last = run[-1]
    return "".join(out) + ("Z" if closed else "")


def _mm(cm: float) -> int:
    return round(cm * 10.0)


def _curve(run: Run, out: list[str]) -> None:
    """Cubic Béziers through a run. Each handle follows the chord between a point's neighbours (Catmull-Rom), is no longer
    than its share of its own segment, and so never overshoots."""
    # In mm from here on; half of the time that a drawing takes is spent in this loop.
    points = [(x * 10.0, y * 10.0) for x, y in run]
    turns = [(0.0, 0.0)]
    for (x0, y0), (x1, y1) in zip(points, points[2:], strict=False):
        dx, dy = x1 - x0, y1 - y0
        size = math.hypot(dx, dy) or 1.0
        turns.append((dx / size, dy / size))
    turns[0] = _bent(points[0], points[1], turns[1])
    turns.append(_bent(points[-2], points[-1], turns[-1]))
    x0, y0 = points[0]
    u0, v0 = turns[0]
    for (x1, y1), (u1, v1) in zip(points[1:], turns[1:], strict=True):
        reach = math.hypot(x1 - x0, y1 - y0) * _HANDLE
        handles = (x0 + u0 * reach, y0 + v0 * reach, x1 - u1 * reach, y1 - v1 * reach, x1, y1)
        out.append("C%.0f %.0f %.0f %.0f %.0f %.0f" % handles)  # noqa: UP031 (twice as fast as any other)
        x0, y0, u0, v0 = x1, y1, u1, v1


def _bent(a: Point, b: Point, turn: Point) -> Point:
    """Where a curve heads at its end: as it bends there."""
    dx, dy = b[0] - a[0], b[1] - a[1]
    size = math.sqrt(dx * dx + dy * dy) or 1.0
    u, v = 2 * dx / size - turn[0], 2 * dy / size - turn[1]
    size = math.sqrt(u * u + v * v) or 1.0
    return (u / size, v / size)


def area(
    key: str,
    slot: str,
    runs: Iterable[Run],
    colour: str | None = None,
    *,
    role: Role = "cloth",
    weave: Weave | None = None,
    light: Light | None = None,
    clip: str | None = None,
    opacity: float = 1.0,
) -> Shape:
    """A closed area."""
    kept = [run for run in runs if len(run) > 1]
    points = tuple(point for run in kept for point in run)
    return Shape(key, slot, role, path_of(kept, closed=True), points, colour, weave, light, clip, opacity)


def lines(
    key: str, slot: str, role: Role, strokes: Iterable[Run], colour: str | None = None, *, clip: str | None = None
) -> Shape:
    """Open lines, each smooth; one shape, however many they are."""
    kept = [stroke for stroke in strokes if len(stroke) > 1]
    points = tuple(point for stroke in kept for point in stroke)
    return Shape(
        key, slot, role, "".join(path_of([stroke], closed=False) for stroke in kept), points, colour, clip=clip
    )


class Fold(NamedTuple):
    """A fold from where cloth is held to where it runs out: its ends, how far it bows to the left of its way, and its
    breadth, cm."""

    held: Point
    free: Point
    bow: float = 0.0
    wide: float = 0.5


def flip_folds(found: Iterable[Fold]) -> list[Fold]:
    """The same folds on the other side of the midline."""
    return [Fold((-a[0], a[1]), (-b[0], b[1]), -bow, wide) for a, b, bow, wide in found]


def folds(key: str, slot: str, found: Iterable[Fold], colour: str | None = None, *, clip: str | None = None) -> Shape:
    """Folds as thin areas that taper to nothing at the free end."""
    text: list[str] = []
    points: list[Point] = []
    for (x0, y0), (x1, y1), bow, wide in found:
        dx, dy = x1 - x0, y1 - y0
        size = math.sqrt(dx * dx + dy * dy) or 1.0
        u, v = -dy / size, dx / size
        mx, my = x0 + dx * 0.4, y0 + dy * 0.4
        text.append(
            f"M{_mm(x0)} {_mm(y0)}Q{_mm(mx + u * (bow + wide))} {_mm(my + v * (bow + wide))} {_mm(x1)} {_mm(y1)}"
            f"Q{_mm(mx + u * (bow - wide))} {_mm(my + v * (bow - wide))} {_mm(x0)} {_mm(y0)}Z"
        )
        points += [(x0, y0), (x1, y1)]
    return Shape(key, slot, "fold", "".join(text), tuple(points), colour, clip=clip)


def oval(x: float, y: float, wide: float, tall: float) -> list[Run]:
    """A closed oval round a middle, by its half breadth and half height."""
    turns = [math.tau * at / 8 for at in range(9)]
    return [[(x + wide * math.sin(turn), y + tall * math.cos(turn)) for turn in turns]]


def box(left: float, right: float, low: float, high: float) -> list[Run]:
    """Four straight sides."""
    return [
        [(left, high), (right, high)],
        [(right, high), (right, low)],
        [(right, low), (left, low)],
        [(left, low), (left, high)],
    ]


def along(path: Sequence[tuple[Point, float]]) -> tuple[list[Point], list[Point]]:
    """The two sides of a path of (point, half width): to the left of its way and to the right."""
    left, right = [], []
    for at, ((x, y), half) in enumerate(path):
        (x0, y0), _ = path[max(at - 1, 0)]
        (x1, y1), _ = path[min(at + 1, len(path) - 1)]
        dx, dy = x1 - x0, y1 - y0
        size = (dx * dx + dy * dy) ** 0.5 or 1.0
        left.append((x - dy / size * half, y + dx / size * half))
        right.append((x + dy / size * half, y - dx / size * half))
    return left, right


def moved(
    shape: Shape, across: float = 0.0, up: float = 0.0, *, turned: bool = False, slot: str | None = None
) -> Shape:
    """A shape somewhere else, cm; `turned` mirrors it at the midline first."""
    sign = -1 if turned else 1
    values = iter(_NUMBER.split(shape.d))
    out = [next(values)]
    for at, (value, mark) in enumerate(zip(values, values, strict=True)):
        out.append(str(sign * int(value) + _mm(across) if at % 2 == 0 else int(value) + _mm(up)) + mark)
    points = tuple((sign * x + across, y + up) for x, y in shape.points)
    return replace(shape, d="".join(out), points=points, slot=slot or shape.slot)


def _mirrored(weave: Weave) -> Weave:
    x, y = weave.about
    return weave._replace(key=f"{weave.key}l", turn=-weave.turn, about=(-x, y))


def other_side(shape: Shape, key: str, right: Iterable[Run]) -> Shape:
    """The same area on the left of the midline, from the runs of the right one."""
    runs = [flip(run) for run in right if len(run) > 1]
    weave = _mirrored(shape.weave) if shape.weave else None
    points = tuple(point for run in runs for point in run)
    clip = shape.clip.replace("_right", "_left") if shape.clip else None
    return replace(shape, key=key, d=path_of(runs, closed=True), points=points, weave=weave, clip=clip)
