"""What is set into a piece or written on it: dark panels at its sides, lettering on its chest."""

from __future__ import annotations

from collections.abc import Sequence

from craft.draw.frames import Cloth, Trunk
from craft.draw.shapes import Point, Run, Shape, area, flip, lines
from craft.draw.weave import INK, mixed, thread

#: How much of the half breadth a side panel takes, how dark it is, and how far it is drawn in at the waist (W).
PANEL, DARK, DRAWN_IN = 0.34, 0.62, 0.07
#: Letters of lettering, in strokes of a square: a great and a small one, as a specimen of letters shows them, and no word.
_LETTERS: tuple[tuple[Sequence[Point], ...], ...] = (
    (((0.0, 0.0), (0.5, 1.0), (1.0, 0.0)), ((0.2, 0.4), (0.8, 0.4))),
    (
        ((0.15, 0.62), (0.6, 0.68), (0.85, 0.5), (0.85, 0.0)),
        ((0.85, 0.36), (0.3, 0.36), (0.1, 0.2), (0.25, 0.0), (0.85, 0.14)),
    ),
)


def side_panels(cloth: Cloth, side: Sequence[Point], waist: float) -> list[Shape]:
    """Dark panels along both sides of a part, from its side inwards; none where none are said, or where words that cannot be leave
    the part no side."""
    if cloth.piece.word("pattern") != "dark_side_panels" or not side:
        return []

    def inner(x: float, y: float) -> float:
        near = max(0.0, 1.0 - abs(y - waist) / 18.0)
        return x * (1.0 - PANEL - DRAWN_IN * near)

    within = [(inner(x, y), y) for x, y in reversed(side)]
    runs: list[Run] = [list(side), [side[-1], within[0]], within, [within[-1], side[0]]]
    colour = mixed(cloth.colour, INK, DARK)
    return [
        area(f"{cloth.key}_panel_right", cloth.slot, runs, colour, clip=cloth.key),
        area(f"{cloth.key}_panel_left", cloth.slot, [flip(run) for run in runs], colour, clip=cloth.key),
    ]


def lettering(cloth: Cloth, frame: Trunk) -> list[Shape]:
    """A line of letters across the chest; none where none is said."""
    if cloth.piece.word("pattern") != "lettering":
        return []
    tall, wide, gap = 8.0, 6.4, 1.6
    left, low = -(len(_LETTERS) * (wide + gap) - gap) / 2, frame.bust - 1.0
    strokes = [
        [(left + at * (wide + gap) + x * wide, low + y * tall) for x, y in stroke]
        for at, letter in enumerate(_LETTERS)
        for stroke in letter
    ]
    colour = cloth.piece.word("second_colour") or thread(cloth.colour, 0.9)
    return [lines(f"{cloth.key}_lettering_front", cloth.slot, "edge", strokes, colour, clip=cloth.key)]
