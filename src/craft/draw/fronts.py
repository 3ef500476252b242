"""What closes the front of a garment, and the pockets on it: placket, zip, buttons, welts, flaps, patches."""

from __future__ import annotations

from craft.draw.frames import Cloth, Trunk
from craft.draw.made import BUTTONS_APART, made
from craft.draw.shapes import Run, Shape, flip, lines, oval
from craft.draw.weave import thread


def front_of(cloth: Cloth, frame: Trunk) -> list[Shape]:
    """What closes the front: placket, zip and buttons; and the pockets on it."""
    piece, how, ink = cloth.piece, made(cloth), thread(cloth.colour, 0.6)
    top, low = frame.neck[0][1], frame.low if frame.tied is None else max(frame.low, frame.tied)
    found: list[Shape] = []
    strokes: list[Run] = []
    buttons: list[Run] = []
    if how.placket:
        strokes += [[(-1.5, top), (-1.5, low)], [(1.5, top), (1.5, low)]]
    elif how.zip:
        strokes += [[(-0.5, top), (-0.5, low)], [(0.5, top), (0.5, low)]]
    elif how.opens:
        strokes += [[(0.0, top), (0.0, low)]]
    if how.buttons:
        start = min(top - 1.5, frame.waist + 4.0) if piece.kind in ("blazer", "coat") else top - 2.5
        for at in range(how.buttons):
            y = start - BUTTONS_APART * at
            if y > low + 2.5:
                buttons += oval(0.0 if how.placket else 1.4, y, 0.75, 0.75)
    if how.chest_pocket:
        strokes += _patch(frame)
    if strokes:
        found.append(lines(f"{cloth.key}_front", cloth.slot, "seam", strokes, ink, clip=cloth.key))
    if how.welts:
        found.append(
            lines(f"{cloth.key}_pockets_front", cloth.slot, "edge", welts(frame, how.welts), ink, clip=cloth.key)
        )
    if buttons:
        found.append(lines(f"{cloth.key}_buttons_front", cloth.slot, "edge", buttons, ink))
    if how.quilted:
        across: list[Run] = []
        height = frame.low + 7.0
        while height < frame.armpit[1] + 6.0:
            across.append([(frame.half(height), height), (0.0, height - 1.0), (-frame.half(height), height)])
            height += 7.5
        found.append(lines(f"{cloth.key}_quilting", cloth.slot, "seam", across, ink, clip=cloth.key))
    return found


def _patch(frame: Trunk) -> list[Run]:
    """A patch pocket on the client's left breast."""
    x, y = -frame.half(frame.bust) * 0.52, frame.bust + 4.5
    return [
        [(x - 4.4, y), (x + 4.4, y)],
        [(x - 4.4, y), (x - 4.2, y - 8.0)],
        [(x - 4.2, y - 8.0), (x, y - 9.6), (x + 4.2, y - 8.0)],
        [(x + 4.2, y - 8.0), (x + 4.4, y)],
    ]


def welts(frame: Trunk, kind: str) -> list[Run]:
    """Hip pockets of both sides, and a breast welt on what has flaps."""
    y = max(frame.low + 5.0, min(frame.waist - 9.0, frame.hip + 6.0))
    inner, outer = frame.half(y) * 0.36, frame.half(y) * 0.84
    if kind == "slant":
        right: list[Run] = [
            [(inner * 1.2, y + 9.0), (outer, y - 6.0)],
            [(inner * 1.2 - 2.0, y + 8.2), (outer - 2.0, y - 6.6)],
        ]
        return [*right, *(flip(run) for run in right)]
    tall = 5.0 if kind == "flap" else 1.6
    right = [
        [(inner, y), (outer, y + 0.7)],
        [(inner, y), (inner + 0.2, y - tall)],
        [(inner + 0.2, y - tall), (outer - 0.1, y - tall + 0.7)],
        [(outer - 0.1, y - tall + 0.7), (outer, y + 0.7)],
    ]
    both = [*right, *(flip(run) for run in right)]
    if kind == "flap":
        x, high = -frame.half(frame.bust) * 0.62, frame.bust + 6.5
        both += [[(x - 4.4, high + 0.8), (x + 4.4, high)], [(x - 4.4, high - 1.3), (x + 4.4, high - 2.1)]]
    return both
