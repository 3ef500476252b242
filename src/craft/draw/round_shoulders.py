"""A knit laid round the shoulders: its body on the back, its sleeves brought forward and knotted on the chest."""

from __future__ import annotations

from craft.cloth import Piece
from craft.cloth.piece import colour_of
from craft.draw.figure import neck_half, shoulder_line
from craft.draw.shapes import Fold, Point, Run, Shape, area, flip, folds, lines, other_side, whole
from craft.draw.weave import thread, weave_of
from craft.look import Outfit

#: The knot lies so far below the high point of the shoulder, the sleeves' ends and the body's hem so far; a sleeve laid flat
#: is so broad, its cuff's rib so tall, cm (W).
KNOT, ENDS, HEM, SLEEVE, RIB = 21.0, 43.0, 36.0, 7.0, 5.0


def knit_front(outfit: Outfit, piece: Piece) -> list[Shape]:
    """The sleeves over the shoulders, their knot and their ends; behind the neck the collar of it."""
    colour, slot = colour_of(piece), piece.place
    high, n = outfit.at("shoulder"), neck_half(outfit.body)
    tip = outfit.body.breadths["shoulder_breadth"].cm / 2
    line = shoulder_line(outfit.body, outfit.lift)
    knot: Point = (0.0, high - KNOT)
    weave, ink = weave_of(piece, colour, 35.0), thread(colour)
    rim = [(x, y + 1.0) for x, y in line if n * 1.4 < x < tip * 0.86]
    drape: list[Run] = [
        [(n * 1.1, high + 2.8), *rim, (tip * 0.84, high - 3.4)],
        [(tip * 0.84, high - 3.4), (tip * 0.72, high - 9.5), (tip * 0.36, knot[1] + 1.6), (1.6, knot[1] - 2.2)],
        [(1.6, knot[1] - 2.2), (0.2, knot[1] + 2.4)],
        [(0.2, knot[1] + 2.4), (n * 0.86, high - 8.0), (n * 1.04, high - 2.0), (n * 1.1, high + 2.8)],
    ]
    right = area("knit_shoulders_right", slot, drape, colour, weave=weave, light="form")
    behind: list[Run] = [
        [(n * 1.5, high + 1.2), (n * 1.1, high + 3.0), (0.0, high + 3.6)],
        [(0.0, high - 1.0), (n * 1.5, high + 1.2)],
    ]
    found = [area("knit_shoulders_behind", slot, whole([behind[0][::-1], [behind[0][0], (0.0, high - 1.0)]]), thread(colour, 0.2)),
             right, other_side(right, "knit_shoulders_left", drape)]  # fmt: skip
    for name, lean, low in (("left", -1.0, high - ENDS + 4.0), ("right", 1.0, high - ENDS)):
        found += _end(slot, colour, piece, name, knot, (knot[0] + 5.2 * lean, low))
    bent = [Fold((tip * 0.5, high - 5.0), (tip * 0.2, knot[1] + 5.0), 0.8, 0.6), Fold((tip * 0.72, high - 7.5), (tip * 0.34, knot[1] + 3.4), 0.9, 0.5)]  # fmt: skip
    bent += [Fold((-x, y), (-u, v), -bow, wide) for (x, y), (u, v), bow, wide in bent]
    tied: Run = [(-3.4, knot[1] + 2.6), (0.2, knot[1] + 3.2), (3.4, knot[1] + 1.4), (3.0, knot[1] - 2.6), (-0.4, knot[1] - 3.4), (-3.2, knot[1] - 1.4), (-3.4, knot[1] + 2.6)]  # fmt: skip
    return [
        *found,
        folds("knit_shoulders_folds_front", slot, bent, ink),
        area("knit_knot_front", slot, [tied], colour, weave=weave_of(piece, colour, -30.0), light="form"),
        lines(
            "knit_knot_lines_front",
            slot,
            "seam",
            [[(-2.6, knot[1] + 1.8), (0.6, knot[1] + 0.2), (2.4, knot[1] - 2.0)]],
            ink,
        ),
    ]


def _end(slot: str, colour: str, piece: Piece, name: str, start: Point, end: Point) -> list[Shape]:
    """A sleeve's end that hangs from the knot, with its cuff."""
    half, key = SLEEVE / 2, f"knit_end_{name}_front"
    bow: Point = ((start[0] + end[0]) / 2 + (end[0] - start[0]) * 0.2, (start[1] + end[1]) / 2)
    outer: Run = [(start[0] - half * 0.5, start[1]), (bow[0] - half, bow[1]), (end[0] - half * 0.8, end[1])]
    inner: Run = [(end[0] + half * 0.8, end[1]), (bow[0] + half, bow[1]), (start[0] + half * 0.5, start[1])]
    cuff: list[Run] = [[(end[0] - half * 0.86, end[1] + RIB), (end[0] + half * 0.86, end[1] + RIB)]]
    cuff += [
        [(end[0] + half * part, end[1]), (end[0] + half * part, end[1] + RIB)] for part in (-0.5, -0.17, 0.17, 0.5)
    ]
    weave = weave_of(piece, colour, 8.0 if end[0] > start[0] else -8.0)
    return [
        area(
            key, slot, [outer, [outer[-1], inner[0]], inner, [inner[-1], outer[0]]], colour, weave=weave, light="form"
        ),
        lines(f"{key[:-6]}_cuff_front", slot, "seam", cuff, thread(colour), clip=key),
    ]


def knit_behind(outfit: Outfit, piece: Piece) -> list[Shape]:
    """Its body, which lies on the back from shoulder to shoulder, with the seams of the sleeves and the rib of its hem."""
    colour, slot = colour_of(piece), piece.place
    high, n = outfit.at("shoulder"), neck_half(outfit.body)
    tip, low = outfit.body.breadths["shoulder_breadth"].cm / 2, high - HEM
    rim = [(x, y + 1.0) for x, y in shoulder_line(outfit.body, outfit.lift) if n * 1.4 < x < tip * 0.86]
    shoulder: Run = [(n * 1.1, high + 2.2), *rim, (tip * 0.9, high - 4.0)]
    side: Run = [shoulder[-1], (tip * 0.98, high - 14.0), (tip * 0.94, low + 2.0)]
    runs: list[Run] = [
        [(0.0, high + 0.6), (n * 0.8, high + 1.2), shoulder[0]],
        shoulder,
        side,
        [side[-1], (tip * 0.5, low), (0.0, low - 0.4)],
    ]
    seam: Run = [(tip * 0.74, high - 2.4), (tip * 0.66, high - 12.0), (tip * 0.9, high - 20.0)]
    rib: list[Run] = [[(tip * 0.95, low + RIB + 1.6), (0.0, low + RIB), (-tip * 0.95, low + RIB + 1.6)]]
    rib += [
        [(tip * part, low + 2.0 * part**2), (tip * part, low + RIB + 1.4 * part**2)]
        for part in (-0.8, -0.6, -0.4, -0.2, 0.0, 0.2, 0.4, 0.6, 0.8)
    ]
    return [
        area("knit_shoulders", slot, whole(runs), colour, weave=weave_of(piece, colour), light="form"),
        lines("knit_shoulders_seams", slot, "seam", [seam, flip(seam), *rib], thread(colour), clip="knit_shoulders"),
    ]  # fmt: skip
