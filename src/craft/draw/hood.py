"""A hood: laid back round the neck where it is worn, standing where a piece is laid flat."""

from __future__ import annotations

from craft.draw.frames import Cloth, Trunk
from craft.draw.shapes import Fold, Point, Run, Shape, area, flip, folds, lines, other_side, whole
from craft.draw.weave import thread, weave_of

#: A hood that hangs on the back is so long, one that stands so tall, its cords hang so far, cm (W).
HANGS, STANDS, CORDS = 25.0, 31.0, 17.0


def hood_of(cloth: Cloth, frame: Trunk) -> list[Shape]:
    """The hood of a garment that has one, from the front."""
    if not cloth.piece.flag("hooded"):
        return []
    return _standing(cloth, frame) if frame.flat else _laid_back(cloth, frame)


def _laid_back(cloth: Cloth, frame: Trunk) -> list[Shape]:
    """Folds of it round the neck, and what stands behind it."""
    x, high = frame.neck[-1]
    key, slot, ink = f"{cloth.key}_hood", cloth.slot, thread(cloth.colour)
    # It is sewn into the neckline; where fronts are open it ends with their edge.
    low: Point = (
        (0.4, max(frame.neck[0][1], high - 11.0) - 1.0) if not cloth.piece.flag("open") else (x * 1.1, high - 5.0)
    )
    behind: Run = [(0.0, high + 6.0), (x * 1.2, high + 5.2), (x * 1.75, high + 1.8), (x * 1.5, high - 3.0)]
    lobe: list[Run] = [
        [(x * 0.86, high + 4.0), (x * 1.5, high + 4.0), (x * 1.78, high + 0.4), (x * 1.35, high - 5.4), low],
        [low, (x * 0.66, high - 5.0), (x * 0.9, high - 0.6), (x * 0.86, high + 4.0)],
    ]
    weave = weave_of(cloth.piece, cloth.colour, 30.0)
    right = area(f"{key}_right_front", slot, lobe, cloth.colour, weave=weave, light="form")
    bent = [Fold((x * 1.5, high + 2.6), (x * 0.8, high - 5.6), -1.0, 0.6)]
    bent.append(Fold((-x * 1.5, high + 2.6), (-x * 0.8, high - 5.6), 1.0, 0.6))
    found = [
        area(f"{key}_behind", slot, whole([behind, [behind[-1], (0.0, high - 3.0)]]), thread(cloth.colour, 0.25)),
        right,
        other_side(right, f"{key}_left_front", lobe),
        folds(f"{key}_folds_front", slot, bent, ink),
    ]
    return found if cloth.piece.flag("open") else [*found, _cords(cloth, (2.4, low[1] + 0.6))]


def _cords(cloth: Cloth, start: Point) -> Shape:
    x, y = start
    cord: Run = [(x, y), (x + 0.5, y - CORDS * 0.5), (x, y - CORDS)]
    return lines(f"{cloth.key}_cords_front", cloth.slot, "edge", [cord, flip(cord)], thread(cloth.colour, 0.9))


def _drawn_up(x: float, high: float) -> Run:
    """The outer edge of a hood that stands on a neck of this half breadth and height, from its top down."""
    return [
        (0.0, high + STANDS),
        (x * 0.75, high + STANDS * 0.93),
        (x * 1.3, high + STANDS * 0.62),
        (x * 1.36, high + STANDS * 0.3),
        (x * 1.1, high),
    ]


def _standing(cloth: Cloth, frame: Trunk) -> list[Shape]:
    """As it lies on a table: drawn up, its opening dark."""
    x, high = frame.neck[-1]
    key, slot = f"{cloth.key}_hood", cloth.slot
    dip = max(frame.neck[0][1], high - 12.0)
    outside: list[Run] = [
        _drawn_up(x, high),
        [(x * 1.1, high), (x * 0.7, high - 5.0), (0.0, dip)],
    ]
    inside: Run = [
        (0.0, high + STANDS * 0.84),
        (x * 0.62, high + STANDS * 0.74),
        (x * 0.86, high + STANDS * 0.42),
        (x * 0.5, high + 2.0),
        (0.0, dip + 3.0),
    ]
    return [
        area(key, slot, whole(outside), cloth.colour, weave=weave_of(cloth.piece, cloth.colour), light="form"),
        area(f"{key}_inside", slot, [[*inside, *flip(list(reversed(inside[:-1])))]], thread(cloth.colour, 0.3)),
        _cords(cloth, (2.6, dip + 2.0)),
    ]  # fmt: skip


def hood_up_behind(cloth: Cloth, frame: Trunk) -> list[Shape]:
    """As it lies on its face on a table: drawn up, its seam in the middle."""
    x, high = frame.neck[-1]
    runs: list[Run] = [
        _drawn_up(x, high),
        [(x * 1.1, high), (x * 0.7, high - 3.4), (0.0, high - 4.6)],
    ]
    key = f"{cloth.key}_hood"
    return [
        area(key, cloth.slot, whole(runs), cloth.colour, weave=weave_of(cloth.piece, cloth.colour), light="form"),
        lines(f"{key}_seam", cloth.slot, "seam", [[(0.0, high + STANDS), (0.0, high - 4.6)]], thread(cloth.colour)),
    ]  # fmt: skip


def hood_behind(cloth: Cloth, neck: float, high: float) -> list[Shape]:
    """On the back: it hangs in a point from the neck, whose half breadth and height are given."""
    low = high - HANGS
    runs: list[Run] = [
        [
            (0.0, high + 5.0),
            (neck * 1.3, high + 4.4),
            (neck * 1.9, high + 0.6),
            (neck * 1.9, high - 8.0),
            (neck * 0.9, low + 4.0),
            (0.0, low),
        ]
    ]
    seam: Run = [(0.0, high + 4.0), (0.3, (high + low) / 2), (0.0, low + 0.6)]
    key = f"{cloth.key}_hood"
    return [
        area(key, cloth.slot, whole(runs), cloth.colour, weave=weave_of(cloth.piece, cloth.colour), light="form"),
        lines(f"{key}_seam", cloth.slot, "seam", [seam], thread(cloth.colour), clip=key),
    ]  # fmt: skip


def hood_side(cloth: Cloth, neck: float, high: float, back: float) -> list[Shape]:
    """From the side: round the neck and down the back, whose x is given."""
    runs: list[Run] = [
        [
            (neck * 1.1, high - 4.0),
            (neck * 1.2, high - 0.4),
            (-neck * 0.2, high + 4.6),
            (-neck * 1.5, high + 5.4),
            (back - 3.4, high - 2.0),
            (back - 2.6, high - HANGS * 0.66),
            (back + 0.4, high - HANGS * 0.86),
        ],
        [
            (back + 0.4, high - HANGS * 0.86),
            (back + 5.0, high - 9.0),
            (-neck * 0.4, high - 4.0),
            (neck * 1.1, high - 4.0),
        ],
    ]
    return [area(f"{cloth.key}_hood", cloth.slot, runs, cloth.colour, weave=weave_of(cloth.piece, cloth.colour, 20.0), light="form")]  # fmt: skip
