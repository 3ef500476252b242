"""Drawings as the screens paint them: the core's description, each shape turned into an answer once."""

from __future__ import annotations

from collections.abc import Iterable
from functools import lru_cache
from typing import Literal

from pydantic import BaseModel

from craft.body import Body
from craft.cloth.colour import hex_of
from craft.draw import Shape, Weave, draw_figure


class DrawnMark(BaseModel):
    """One mark of a cloth: a path, its colour and a line's width, mm (0 is filled)."""

    d: str
    colour: str
    wide: float


class DrawnWeave(BaseModel):
    """Cloth as a tile of marks, mm."""

    key: str
    width: float
    height: float
    turn: float
    #: What it is turned about, mm.
    about: list[float]
    marks: list[DrawnMark]


class DrawnShape(BaseModel):
    """One thing to paint: `d` is an SVG path in mm of the real thing, y above the floor; `box` is left, low, right, top, cm."""

    key: str
    slot: str
    role: Literal["skin", "cloth", "sole", "bare", "seam", "stitch", "edge", "skinline", "fold", "fade"]
    d: str
    box: list[float]
    colour: str | None = None
    weave: DrawnWeave | None = None
    light: Literal["form", "satin", "leather"] | None = None
    #: The area of the same slot that it may not leave.
    clip: str | None = None
    opacity: float = 1.0


def drawn(shapes: Iterable[Shape]) -> list[DrawnShape]:
    """Shapes as the screen paints them, in order."""
    return [_drawn(shape) for shape in shapes]


@lru_cache(maxsize=2048)
def _drawn(shape: Shape) -> DrawnShape:
    """One of them. While a hem moves, all but a few are those of the question before."""
    xs, ys = [x for x, _ in shape.points], [y for _, y in shape.points]
    # Our own paths, of the right shape by construction: a rack has thousands of them.
    return DrawnShape.model_construct(
        key=shape.key,
        slot=shape.slot,
        role=shape.role,
        d=shape.d,
        box=[round(min(xs), 1), round(min(ys), 1), round(max(xs), 1), round(max(ys), 1)],
        colour=hex_of(shape.colour) if shape.colour else None,
        weave=_woven(shape.weave) if shape.weave else None,
        light=shape.light,
        clip=shape.clip,
        opacity=shape.opacity,
    )


@lru_cache(maxsize=512)
def _woven(weave: Weave) -> DrawnWeave:
    marks = [DrawnMark.model_construct(d=d, colour=colour, wide=wide) for d, colour, wide in weave.marks]
    return DrawnWeave.model_construct(
        key=weave.key, width=weave.width, height=weave.height, turn=weave.turn, about=list(weave.about), marks=marks
    )


@lru_cache(maxsize=256)
def undressed(body: Body) -> list[DrawnShape]:
    """The undressed figure, barefoot."""
    return drawn(draw_figure(body))
