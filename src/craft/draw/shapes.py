"""A shape to draw: points in cm, x to the right of the midline, y above the ground."""

from __future__ import annotations

from collections.abc import Callable, Iterable
from dataclasses import dataclass
from typing import Literal

Point = tuple[float, float]
Role = Literal["skin", "cloth", "sole", "detail"]


@dataclass(frozen=True, slots=True)
class Shape:
    """One outline. `detail` shapes are open lines; the rest are closed areas."""

    key: str
    slot: str
    role: Role
    points: tuple[Point, ...]
    colour: str | None = None
    pattern: str | None = None


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


def mirrored(points: Iterable[Point]) -> list[Point]:
    """The same points on the other side of the midline, in reverse, so that the two join up."""
    return [(-x, y) for x, y in reversed(list(points))]


def flipped(points: Iterable[Point]) -> tuple[Point, ...]:
    """The same points on the other side of the midline, in the same order."""
    return tuple((-x, y) for x, y in points)


def along(path: list[tuple[Point, float]]) -> list[Point]:
    """An outline around a path of (point, half width): down one side and up the other."""
    left, right = [], []
    for at, ((x, y), half) in enumerate(path):
        (x0, y0), _ = path[max(at - 1, 0)]
        (x1, y1), _ = path[min(at + 1, len(path) - 1)]
        dx, dy = x1 - x0, y1 - y0
        size = (dx * dx + dy * dy) ** 0.5 or 1.0
        left.append((x - dy / size * half, y + dx / size * half))
        right.append((x + dy / size * half, y - dx / size * half))
    return left + right[::-1]
