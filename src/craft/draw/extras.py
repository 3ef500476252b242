"""Belts, pendants, scarves and bags on the figure, at the heights where they land."""

from __future__ import annotations

import math

from craft.cloth import Piece
from craft.cloth.piece import colour_of
from craft.draw.figure import arm_path, foot, neck_half
from craft.draw.shapes import Point, Shape, flipped, mirrored, steps
from craft.fit import land
from craft.look import Outfit
from craft.wear.openings import BELT_CM


def draw_extras(outfit: Outfit) -> tuple[Shape, ...]:
    """What is worn besides, outermost last."""
    found: list[Shape] = []
    for kind, piece in outfit.extras.items():
        found += _DRAWN[kind](outfit, piece) if kind in _DRAWN else []
    return tuple(found)


def _end(outfit: Outfit, piece: Piece) -> float:
    """Where the lowest edge of an extra lies above the ground, cm."""
    return land(outfit.body, piece).edge("end").height + outfit.lift


def _belt(outfit: Outfit, piece: Piece) -> list[Shape]:
    wide = piece.figure("width_cm") or BELT_CM[piece.word("belted") or "medium"]
    bottom = outfit.bottom
    at = (
        bottom.waistband.cm - 1.8
        if bottom is not None and bottom.has_legs
        else outfit.body.height("waist") + outfit.lift
    )
    half = outfit.body.half_breadth(at - outfit.lift) + 1.2
    colour = piece.word("colour") or "brown"
    band: list[Point] = [(half, at + wide / 2), (half, at - wide / 2)]
    buckle: list[Point] = [
        (-1.6, at + wide / 2),
        (1.6, at + wide / 2),
        (1.6, at - wide / 2),
        (-1.6, at - wide / 2),
        (-1.6, at + wide / 2),
    ]
    return [
        Shape("belt", piece.kind, "cloth", tuple(band + mirrored(band)), colour),
        Shape("buckle", piece.kind, "detail", tuple(buckle), colour),
    ]


def _necklace(outfit: Outfit, piece: Piece) -> list[Shape]:
    low, high = _end(outfit, piece), outfit.body.height("shoulder") + outfit.lift + 1.5
    half = neck_half(outfit.body) * 1.25
    arc: list[Point] = [
        (half * math.cos(a), high - (high - low) * math.sin(a)) for a in (math.pi * i / 20 for i in range(21))
    ]
    bead: list[Point] = [
        (1.2 * math.cos(a), low - 1.2 + 1.2 * math.sin(a)) for a in (math.tau * i / 12 for i in range(12))
    ]
    colour = piece.word("colour") or "silver"
    return [
        Shape("necklace", piece.kind, "detail", tuple(arc), colour),
        Shape("pendant", piece.kind, "cloth", tuple(bead), colour),
    ]


def _scarf(outfit: Outfit, piece: Piece) -> list[Shape]:
    low, high = _end(outfit, piece), outfit.body.height("shoulder") + outfit.lift + 3.0
    colour, pattern = piece.word("colour") or "camel", piece.word("pattern")
    neck = neck_half(outfit.body)
    loop: list[Point] = [(neck * 1.5, high), (neck * 1.7, high - 4.0), (0.0, high - 8.0)]
    end: list[Point] = [(0.5, high - 6.0), (neck * 0.9, high - 5.0), (neck * 1.1, low), (0.2, low)]
    return [
        Shape("scarf_loop", piece.kind, "cloth", tuple(loop + mirrored(loop[:-1])), colour, pattern),
        Shape("scarf_end", piece.kind, "cloth", tuple(end), colour, pattern),
    ]


def _earrings(outfit: Outfit, piece: Piece) -> list[Shape]:
    low = _end(outfit, piece)
    x = outfit.body.stature * 0.045
    colour = piece.word("colour") or "silver"
    drop: list[Point] = [(x, low + 2.4), (x + 0.9, low + 1.0), (x, low), (x - 0.9, low + 1.0)]
    return [
        Shape("earring_right", piece.kind, "cloth", tuple(drop), colour),
        Shape("earring_left", piece.kind, "cloth", tuple((-a, b) for a, b in drop), colour),
    ]


def _bag(outfit: Outfit, piece: Piece) -> list[Shape]:
    top = _end(outfit, piece)
    x = outfit.body.half_breadth(outfit.body.height("hip")) + 9.0
    colour = piece.word("colour") or "brown"
    shoulder: Point = (
        outfit.body.breadths["shoulder_breadth"].cm / 2 * 0.8,
        outfit.body.height("shoulder") + outfit.lift,
    )
    area: list[Point] = [(x - 10, top), (x + 10, top), (x + 12, top - 18), (x - 12, top - 18)]
    strap: list[Point] = [shoulder, (x - 8, top)]
    return [
        Shape("bag_strap", piece.kind, "detail", tuple(strap), colour),
        Shape("bag", piece.kind, "cloth", tuple(area), colour),
    ]


def _hat(outfit: Outfit, piece: Piece) -> list[Shape]:
    brim = _end(outfit, piece)
    half = outfit.body.stature * 0.055
    colour = piece.word("colour") or "camel"
    crown: list[Point] = [
        (half * 1.9, brim),
        (half * 1.05, brim + 1.2),
        (half * 0.9, brim + 10.0),
        (half * 0.3, brim + 11.0),
    ]
    return [Shape("hat", piece.kind, "cloth", tuple(crown + mirrored(crown)), colour)]


def _on_the_legs(outfit: Outfit, low: float, off: float) -> tuple[Point, ...]:
    """What lies on the skin from the waist down to a height, `off` cm off it."""
    body, lift, crotch = outfit.body, outfit.lift, outfit.body.height("crotch")
    trunk: list[Point] = [(body.half_breadth(h) + off, h + lift) for h in steps(body.height("waist"), crotch, 2.0)]
    legs = steps(crotch - 1.0, low, 2.0)
    outside: list[Point] = [(body.leg_centre(h) + body.leg_half_breadth(h) + off, h + lift) for h in legs]
    inside: list[Point] = [
        (max(0.2, body.leg_centre(h) - body.leg_half_breadth(h) - 0.1), h + lift) for h in reversed(legs)
    ]
    side = [*trunk, *outside, *inside]
    return (*side, (0.0, crotch + lift), *mirrored(side))


def _tights(outfit: Outfit, piece: Piece) -> list[Shape]:
    """Over the skin from the waist down; drawn under everything else."""
    area = _on_the_legs(outfit, outfit.body.height("ankle_bone"), 0.1)
    return [Shape("tights", piece.kind, "cloth", area, piece.word("colour") or "black")]


def _socks(outfit: Outfit, piece: Piece) -> list[Shape]:
    """Over the foot and the leg up to their top; shoe and hem lie over them."""
    body, lift = outfit.body, outfit.lift
    top = outfit.sock.cm - lift if outfit.sock else 0.0
    legs = steps(max(top, body.height("ankle_bone") + 0.5), body.height("ankle_bone"), 1.5)
    outside: list[Point] = [(body.leg_centre(h) + body.leg_half_breadth(h) + 0.15, h + lift) for h in legs]
    inside: list[Point] = [
        (max(0.1, body.leg_centre(h) - body.leg_half_breadth(h) - 0.15), h + lift) for h in reversed(legs)
    ]
    sock = [*outside, *foot(body, lift), *inside]
    colour = piece.word("colour") or "grey"
    return [
        Shape(f"sock_{side}", piece.kind, "cloth", tuple(points), colour, piece.word("pattern"))
        for side, points in (("right", sock), ("left", flipped(sock)))
    ]


def _at_wrist(outfit: Outfit, piece: Piece) -> list[Shape]:
    """A band round the left arm for a watch, round the right one for a bracelet."""
    (x, y), half = arm_path(outfit.body, outfit.lift)[-1]
    up, wide = (2.0, 1.0) if piece.kind == "watch" else (0.8, 0.5)
    side = -1 if piece.kind == "watch" else 1
    colour = colour_of(piece)
    band: list[Point] = [(x - half - 0.2, y + up + wide), (x + half + 0.2, y + up + wide),
                         (x + half + 0.2, y + up - wide), (x - half - 0.2, y + up - wide)]  # fmt: skip
    return [Shape(piece.kind, piece.kind, "cloth", tuple((side * a, b) for a, b in band), colour)]


def _ring(outfit: Outfit, piece: Piece) -> list[Shape]:
    (x, y), _ = arm_path(outfit.body, outfit.lift)[-1]
    spot: list[Point] = [
        (x + 0.7 * math.cos(a), y - 9.0 + 0.5 * math.sin(a)) for a in (math.tau * i / 10 for i in range(10))
    ]
    return [Shape("ring", piece.kind, "cloth", tuple(spot), colour_of(piece))]


def _bra(outfit: Outfit, piece: Piece) -> list[Shape]:
    """Beneath: cups and a band; clothes lie over it."""
    body, lift = outfit.body, outfit.lift
    bust, under = body.height("bust") + lift, body.height("under_bust") + lift
    half = body.half_breadth(body.height("bust")) + 0.2
    side: list[Point] = [(half * 0.3, bust + 5.0), (half * 0.7, bust + 6.0), (half, bust), (half * 0.97, under - 1.0)]
    strap: list[Point] = [(half * 0.6, bust + 5.5), (half * 0.62, body.height("shoulder") + lift - 0.5)]
    colour = colour_of(piece)
    return [
        Shape("bra", piece.kind, "cloth", ((0.0, bust - 1.0), *side, *mirrored(side)), colour),
        Shape("strap_bra_right", piece.kind, "detail", tuple(strap), colour),
        Shape("strap_bra_left", piece.kind, "detail", tuple((-x, y) for x, y in strap), colour),
    ]


def _smoothing(outfit: Outfit, piece: Piece) -> list[Shape]:
    """Beneath: from the waist to the middle of the thigh, on the skin."""
    area = _on_the_legs(outfit, outfit.body.height("mid_thigh"), 0.15)
    return [Shape(piece.kind, piece.kind, "cloth", area, colour_of(piece))]


def _underslip(outfit: Outfit, piece: Piece) -> list[Shape]:
    """Beneath: from the bust to its hem."""
    body, lift, low = outfit.body, outfit.lift, _end(outfit, piece)
    bust = body.height("bust")
    heights = steps(bust + 5.0, max(low - lift, body.height("crotch")), 3.0)
    side: list[Point] = [(body.half_breadth(h) + 0.3, h + lift) for h in heights]
    side.append((side[-1][0] + 0.5, low))
    return [Shape(piece.kind, piece.kind, "cloth", (*side, *mirrored(side)), colour_of(piece))]


_DRAWN = {
    "watch": _at_wrist,
    "bracelet": _at_wrist,
    "ring": _ring,
    "bra": _bra,
    "smoothing_shorts": _smoothing,
    "underslip": _underslip,
    "socks": _socks,
    "tights": _tights,
    "belt": _belt,
    "necklace": _necklace,
    "scarf": _scarf,
    "earrings": _earrings,
    "bag": _bag,
    "hat": _hat,
}
