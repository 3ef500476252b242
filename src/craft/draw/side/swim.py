"""Swim pieces from the side."""

from __future__ import annotations

from craft.cloth import Piece
from craft.cloth.piece import colour_of
from craft.draw.shapes import Point, Run, Shape, area, lines, steps
from craft.draw.side.body import side_of
from craft.draw.swim import Levels, leg_line
from craft.draw.weave import light_of, weave_of
from craft.fit import land
from craft.look import Outfit

#: How far a swim piece stands off the skin, and shorts off the thigh, cm (W).
OFF, SHORTS_OFF = 0.15, 1.6


def draw_swim_side(outfit: Outfit) -> tuple[Shape, ...]:
    """Swim pieces, from the body outwards."""
    return tuple(shape for piece in outfit.look.all("swim") for shape in _piece(outfit, piece))


def _piece(outfit: Outfit, piece: Piece) -> list[Shape]:
    body, lift = outfit.body, outfit.lift
    at = Levels.on(body, lift, lambda height: 0.0)
    words = piece.words("swim_detail")
    if piece.kind == "swim_shorts":
        landed = land(body, piece)
        return [
            _between(
                outfit, piece, landed.edge("waistband").height + lift, landed.edge("hem").height + lift, SHORTS_OFF
            )
        ]
    if piece.kind == "bikini_top":
        cup = _between(outfit, piece, at.bust + 4.5, at.under - 0.6)
        return [cup, _strap(outfit, piece, at.bust + 4.5)]
    low = leg_line(piece, at)
    if piece.kind == "bikini_bottom":
        return [_legged(outfit, piece, max(at.high_hip - 2.0, low + 1.6), low, at.crotch)]
    high = at.shoulder - 4.0 if "high_neck" in words else at.bust + (5.0 if "low_neck" in words else 9.0)
    if piece.kind == "tankini":
        return [_between(outfit, piece, high, at.high_hip - 2.0), _strap(outfit, piece, high)]
    return [_legged(outfit, piece, high, low, at.crotch), _strap(outfit, piece, high)]


def _sides(outfit: Outfit, high: float, low: float, off: float = OFF) -> tuple[list[Point], list[Point]]:
    side, lift = side_of(outfit.body), outfit.lift
    heights = steps(high, low, 4.0)
    return [(side.front(h - lift) + off, h) for h in heights], [(side.back(h - lift) - off, h) for h in heights]


def _made(piece: Piece, runs: list[Run]) -> Shape:
    colour = colour_of(piece)
    return area(piece.kind, piece.place, runs, colour, weave=weave_of(piece, colour), light=light_of(piece))


def _between(outfit: Outfit, piece: Piece, high: float, low: float, off: float = OFF) -> Shape:
    front, back = _sides(outfit, high, low, off)
    scooped: Run = [back[0], (back[0][0] * 0.3, high - 3.0), front[0]] if off == OFF else [back[0], front[0]]
    return _made(piece, [front, [front[-1], back[-1]], back[::-1], scooped])


def _legged(outfit: Outfit, piece: Piece, high: float, leg: float, crotch: float) -> Shape:
    """Down to the crotch, with the leg opening that rises to the side of the hip."""
    front, back = _sides(outfit, high, crotch + 1.0)
    x = (front[-1][0] + back[-1][0]) / 2
    top: Point = (x + 0.6, leg)
    opening: list[Run] = [[front[-1], (front[-1][0] * 0.7, crotch + 0.3 * (leg - crotch)), top],
                          [top, (back[-1][0] * 0.72, crotch + 0.35 * (leg - crotch)), back[-1]]]  # fmt: skip
    across: Run = [back[0], (x, high - (6.0 if piece.kind == "swimsuit" else 0.4)), front[0]]
    return _made(piece, [front, *opening, back[::-1], across])


def _strap(outfit: Outfit, piece: Piece, high: float) -> Shape:
    shoulder, side, lift = outfit.at("shoulder"), side_of(outfit.body), outfit.lift
    front: Point = (side.front(high - lift) * 0.8, high)
    behind: Point = (side.back(high - lift) * 0.9, high)
    middle = (high + shoulder) / 2
    over: Run = [front, (side.front(middle - lift) * 0.72, middle), (-1.4, shoulder + 0.2)]
    down: Run = [over[-1], (side.back(middle - lift) * 0.86, middle), behind]
    return lines(f"{piece.kind}_strap", piece.place, "edge", [over, down], colour_of(piece))
