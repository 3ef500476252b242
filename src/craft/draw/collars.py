"""Collars and lapels: areas of their own, laid over the fronts. One row a kind of collar; a word changes a row."""

from __future__ import annotations

from typing import NamedTuple

from craft.cloth import Piece
from craft.draw.frames import Cloth, Trunk
from craft.draw.shapes import Point, Run, Shape, area, flip
from craft.draw.weave import light_of, thread, weave_of
from craft.wear.openings import neck_of


class Collar(NamedTuple):
    """A collar by its sizes, cm (W): how high it stands, how deep it falls, how far its points spread from the middle."""

    stand: float
    fall: float
    spread: float


class Lapel(NamedTuple):
    """A lapel, cm (W): how far below the neck its gorge lies, its notch, how broad it is, and where it breaks: so far below
    the bust (or above, where less than nothing)."""

    gorge: float
    notch: float
    broad: float
    breaks: float


COLLARS = {
    "shirt": Collar(3.0, 7.0, 5.6),
    "polo_shirt": Collar(2.4, 6.0, 5.0),
    "jacket": Collar(3.0, 7.5, 7.0),
    "jumpsuit": Collar(2.6, 6.5, 5.6),
}
LAPELS = {"blazer": Lapel(9.0, 3.6, 8.2, 13.0), "coat": Lapel(10.0, 4.2, 10.0, 8.0)}


def has_lapels(piece: Piece) -> bool:
    """Whether its fronts turn back into lapels: not where it closes to a hood."""
    return piece.kind in LAPELS and piece.word("neck") in (None, "v") and not piece.flag("hooded")


def collar_of(cloth: Cloth, frame: Trunk) -> list[Shape]:
    """The collar of a closed garment, where it has one."""
    piece = cloth.piece
    if has_lapels(piece):
        return lapels(cloth, frame, 0.0)
    if neck_of(piece) in ("open_collar", "closed_collar") or (piece.kind == "jacket" and not piece.flag("hooded")):
        return _shirt_collar(cloth, frame)
    return []


def _shirt_collar(cloth: Cloth, frame: Trunk) -> list[Shape]:
    """Stand and fall: closed it meets in the middle, open it lies away from it."""
    row = COLLARS.get(cloth.piece.kind, COLLARS["shirt"])
    x, high = frame.neck[-1]
    middle = frame.neck[0][1]
    is_open = neck_of(cloth.piece) == "open_collar"
    inner: Point = (x * 0.34, high - row.fall * 0.62) if is_open else (0.2, middle + 0.2)
    point: Point = (row.spread + (1.6 if is_open else 0.0), (high if is_open else middle + 1.5) - row.fall)
    up: Point = (x * 0.82, high + row.stand)
    runs: list[Run] = [
        [inner, (x * 0.66, high - 0.2), up],
        [up, (x * 1.12, high + row.stand * 0.4), (x * 1.32, high - 1.6)],
        [(x * 1.32, high - 1.6), point],
        [point, inner],
    ]
    behind: list[Run] = [
        [(-up[0], up[1]), (0.0, up[1] - 1.2), up],
        [up, (x * 0.5, high - 1.0)],
        [(x * 0.5, high - 1.0), (0.0, high - 2.4), (-x * 0.5, high - 1.0)],
    ]
    inside = area(f"{cloth.key}_behind", cloth.slot, behind, thread(cloth.colour, 0.25))
    right = area(
        f"{cloth.key}_collar_right_front",
        cloth.slot,
        runs,
        cloth.colour,
        weave=weave_of(cloth.piece, cloth.colour, 40.0),
        light="form",
    )
    left = area(
        f"{cloth.key}_collar_left_front",
        cloth.slot,
        [flip(run) for run in runs],
        cloth.colour,
        weave=weave_of(cloth.piece, cloth.colour, -40.0),
    )
    return [inside, right, left]


def lapels(cloth: Cloth, frame: Trunk, gap: float) -> list[Shape]:
    """Both lapels with their collar, down to where they break; `gap` is how far each front stands from the middle there."""
    row = LAPELS[cloth.piece.kind]
    x, high = frame.neck[-1]
    button: Point = (gap + 0.2, max(frame.bust - row.breaks, frame.low + 6.0))
    gorge: Point = (x + row.broad * 0.62, high - row.gorge)
    notch: Point = (x + row.broad * 0.52 - 0.6, high - row.gorge - row.notch * 0.25)
    tip: Point = (x + row.broad * 0.95, high - row.gorge - 1.4)
    lapel: list[Run] = [
        [(x * 0.96, high - 1.0), ((x + button[0]) / 2 - 0.3, (high + button[1]) / 2), button],
        [button, (tip[0] * 0.86, (tip[1] + button[1]) / 2 + 4.0), tip],
        [tip, notch],
        [notch, (x * 0.96, high - 1.0)],
    ]
    collar: list[Run] = [
        [(x * 0.8, high + 2.4), (x * 0.94, high + 0.4), (x * 0.98, high - 1.6)],
        [(x * 0.98, high - 1.6), notch],
        [notch, gorge],
        [gorge, (x * 1.5, high - 1.4), (x * 1.16, high + 2.0), (x * 0.8, high + 2.4)],
    ]
    found: list[Shape] = []
    for side, mirrored in (("right", False), ("left", True)):
        turn = -12.0 if mirrored else 12.0
        weave, light = weave_of(cloth.piece, cloth.colour, turn), light_of(cloth.piece)
        for name, runs in (("lapel", lapel), ("collar", collar)):
            own = [flip(run) for run in runs] if mirrored else runs
            found.append(
                area(f"{cloth.key}_{name}_{side}_front", cloth.slot, own, cloth.colour, weave=weave, light=light)
            )
    behind: list[Run] = [
        [(-x * 0.8, high + 2.4), (0.0, high + 1.4), (x * 0.8, high + 2.4)],
        [(x * 0.8, high + 2.4), (x * 0.9, high)],
        [(x * 0.9, high), (0.0, high - 1.6), (-x * 0.9, high)],
    ]
    return [area(f"{cloth.key}_behind", cloth.slot, behind, thread(cloth.colour, 0.2)), *found]
