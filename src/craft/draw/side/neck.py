"""Necklines, collars and lapels from the side."""

from __future__ import annotations

from collections.abc import Sequence
from typing import NamedTuple

from craft.cloth import Piece
from craft.draw.behind import NECK_BEHIND, SLIP_BEHIND
from craft.draw.collars import LAPELS, has_lapels
from craft.draw.figure import SHOULDER_SLOPE
from craft.draw.frames import Cloth, Trunk
from craft.draw.hood import hood_side
from craft.draw.shapes import Point, Run, Shape, area, lines
from craft.draw.side.body import neck_round, side_of
from craft.draw.top import STANDS
from craft.draw.weave import light_of, thread, weave_of
from craft.look import Outfit
from craft.wear.openings import neck_of


class Cut(NamedTuple):
    """Where a garment of the upper body begins, cm above the ground, in front and behind; the points between them, over the
    shoulder; straps, where it hangs by them."""

    front: float
    back: float
    over: Sequence[Point]
    straps: Sequence[Run] = ()


def cut_of(outfit: Outfit, frame: Trunk, piece: Piece, strapped: bool = False) -> Cut:
    """The cut of a garment's neck, from its frame from the front."""
    body, lift = outfit.body, outfit.lift
    high, side = body.height("shoulder") + lift, side_of(outfit.body)
    middle = min(frame.neck[0][1], high - 1.5)
    if strapped:
        peak: Point = (side.front(frame.neck[-1][1] - lift) * 0.78, frame.neck[-1][1])
        back = high - SLIP_BEHIND
        over: Point = (-1.4, high + 0.2)
        between, below = (peak[1] + over[1]) / 2, (over[1] + back) / 2
        strap = [peak, (side.front(between - lift) * 0.72, between), over]
        behind = [over, (side.back(below - lift) * 0.86, below), (side.back(back - lift) * 0.9, back)]
        pit = frame.bust + 3.0
        return Cut(middle, back, [(side.back(back - lift) * 0.4, pit), (peak[0] * 0.3, pit), peak], [strap, behind])
    shoulder: Point = (-1.2, min(frame.neck[-1][1], high + 1.6))
    end: Point = (shoulder[0] - 0.6, high - SHOULDER_SLOPE * 0.2)
    return Cut(middle, high - NECK_BEHIND, [shoulder] if shoulder[1] > high - 1.0 else [end])


def draw_neck_side(outfit: Outfit, cloth: Cloth, cut: Cut, front: Sequence[Point]) -> tuple[Shape, ...]:
    """What stands or lies at the neck; `front` is the garment's front edge from the neckline down."""
    piece, high, n = cloth.piece, outfit.body.height("shoulder") + outfit.lift, neck_round(outfit.body)
    if cut.straps:
        return (lines(f"{cloth.key}_straps", cloth.slot, "edge", cut.straps, cloth.colour),)
    if piece.flag("hooded"):
        back = side_of(outfit.body).back(high - outfit.lift - 8.0)
        return tuple(hood_side(cloth, n, high, back))
    neck = neck_of(piece)
    if has_lapels(piece):
        return _lapel(cloth, high, n, front)
    if neck == "polo":
        band: Run = [(-n * 1.2, high + 6.4), (-n * 0.2, high + 5.0), (n * 0.94, high + 4.2)]
        low: Run = [(n * 1.12, high - 1.4), (-n * 0.2, high - 0.4), (-n * 1.5, high + 1.2)]
        return _band(cloth, [band, [band[-1], low[0]], low, [low[-1], band[0]]])
    if neck in STANDS or neck == "open_collar" or piece.kind == "jacket":
        top: Run = [(-n * 1.3, high + 4.4), (-n * 0.2, high + 2.6), (n * 0.6, high + 1.0)]
        point: Point = (n * 1.3 if neck == "open_collar" else n * 1.16, high - 5.4)
        under: Run = [point, (n * 0.1, high - 1.4), (-n * 1.5, high + 0.4)]
        return _band(cloth, [top, [top[-1], point], under, [under[-1], top[0]]], "collar")
    return ()


def _band(cloth: Cloth, runs: Sequence[Run], name: str = "neck") -> tuple[Shape, ...]:
    weave = weave_of(cloth.piece, cloth.colour, 20.0)
    return (area(f"{cloth.key}_{name}", cloth.slot, runs, cloth.colour, weave=weave, light="form"),)


def _lapel(cloth: Cloth, high: float, n: float, front: Sequence[Point]) -> tuple[Shape, ...]:
    """A collar round the nape, and the lapel that turns back from the front edge down to where it breaks."""
    row = LAPELS[cloth.piece.kind]
    gorge = high - row.gorge
    at = min(front, key=lambda point: abs(point[1] - gorge))[0]
    edge: Point = (max(at - 2.0, n), gorge)
    break_: Point = front[0]
    collar: list[Run] = [
        [(-n * 1.34, high + 4.0), (-n * 0.3, high + 2.2), (n * 0.7, high - 1.0)],
        [(n * 0.7, high - 1.0), edge],
        [edge, (n * 0.2, high - 4.0), (-n * 1.56, high - 0.2)],
        [(-n * 1.56, high - 0.2), (-n * 1.34, high + 4.0)],
    ]
    lapel: list[Run] = [[(n * 0.7, high - 1.0), ((n * 0.7 + break_[0]) / 2 + 0.8, (high + break_[1]) / 2), break_],
                        [break_, (edge[0] - 0.6, (edge[1] + break_[1]) / 2 + 2.0), (edge[0] - 1.4, edge[1] - 1.0)],
                        [(edge[0] - 1.4, edge[1] - 1.0), (n * 0.7, high - 1.0)]]  # fmt: skip
    weave, light = weave_of(cloth.piece, cloth.colour, 12.0), light_of(cloth.piece)
    return (
        area(f"{cloth.key}_lapel", cloth.slot, lapel, cloth.colour, weave=weave, light=light),
        area(f"{cloth.key}_collar", cloth.slot, collar, cloth.colour, weave=weave, light=light),
        lines(f"{cloth.key}_break", cloth.slot, "seam", [[lapel[0][0], break_]], thread(cloth.colour)),
    )
