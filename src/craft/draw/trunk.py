"""How tops and layers are made: body and sleeves, then seams, closings, collars, cuffs and ribs, by kind."""

from __future__ import annotations

import math

from craft.draw.collars import collar_of
from craft.draw.frames import Cloth, Sleeve, Trunk, raglan
from craft.draw.fronts import front_of
from craft.draw.hood import hood_of
from craft.draw.made import made
from craft.draw.panels import lettering, side_panels
from craft.draw.shapes import Fold, Point, Run, Shape, area, between, flip, flip_folds, folds, lines, other_side, oval
from craft.draw.weave import REPEAT, THREAD, light_of, met_at, opacity_of, system_of, thread, weave_of
from craft.wear.openings import neck_of


def draw_trunk(cloth: Cloth, frame: Trunk) -> tuple[Shape, ...]:
    """A closed garment of the upper body: sleeves, body, what is sewn on it."""
    piece = cloth.piece
    frame = frame if made(cloth).set_in else raglan(frame)
    body = area(
        cloth.key,
        cloth.slot,
        frame.runs,
        cloth.colour,
        weave=weave_of(piece, cloth.colour),
        light=light_of(piece),
        opacity=opacity_of(piece),
    )
    ink = thread(cloth.colour)
    found = [*draw_sleeves(cloth, frame.sleeve), body, *side_panels(cloth, frame.side, frame.waist)]
    seams, stitches, before = _seams(cloth, frame), _stitches(cloth, frame), _front_seams(cloth, frame)
    if seams:
        found.append(lines(f"{cloth.key}_seams", cloth.slot, "seam", seams, ink, clip=cloth.key))
    if before:
        found.append(lines(f"{cloth.key}_seams_front", cloth.slot, "seam", before, ink, clip=cloth.key))
    if stitches:
        found.append(lines(f"{cloth.key}_stitches", cloth.slot, "stitch", stitches, _topstitch(cloth), clip=cloth.key))
    bent = fall_of_cloth(cloth, frame)
    if bent:
        found.append(folds(f"{cloth.key}_folds", cloth.slot, bent, ink, clip=cloth.key))
    found += _neckband(cloth, frame)
    found += [*lettering(cloth, frame), *front_of(cloth, frame)]
    found += [*collar_of(cloth, frame), *hood_of(cloth, frame)]
    return tuple(found)


def _topstitch(cloth: Cloth) -> str:
    return THREAD if system_of(cloth.piece) == "denim" else thread(cloth.colour, 0.6)


#: Sleeves by side, and whether that is the mirrored one.
BOTH, RIGHT = (("right", False), ("left", True)), (("right", False),)


def draw_sleeves(
    cloth: Cloth, sleeve: Sleeve | None, key: str = "", sides: tuple[tuple[str, bool], ...] = BOTH
) -> list[Shape]:
    """The sleeves with cuffs, folds at the elbow, and what is turned up."""
    if sleeve is None:
        return []
    piece, name = cloth.piece, key or (f"{cloth.key}_sleeve" if cloth.slot == "layer" else "sleeve")
    weave = weave_of(piece, cloth.colour, sleeve.turn)
    if piece.word("pattern") in REPEAT:
        weave = met_at(weave, sleeve.armhole[len(sleeve.armhole) // 2])
    right = area(
        f"{name}_right",
        cloth.slot,
        sleeve.runs,
        cloth.colour,
        weave=weave,
        light=light_of(piece),
        opacity=opacity_of(piece),
    )
    found = [other_side(right, f"{name}_{side}", sleeve.runs) if mirrored else right for side, mirrored in sides]
    ink = thread(cloth.colour)
    for side, mirrored in sides:
        own = [flip(run) for run in _cuff_lines(cloth, sleeve)] if mirrored else _cuff_lines(cloth, sleeve)
        clip = f"{name}_{side}"
        if own:
            found.append(lines(f"{name}_cuff_{side}", cloth.slot, "seam", own, ink, clip=clip))
        bent = _elbow(cloth, sleeve)
        if mirrored:
            bent = flip_folds(bent)
        if bent:
            found.append(folds(f"{name}_folds_{side}", cloth.slot, bent, ink, clip=clip))
    found += _turned_up(cloth, sleeve, name, sides)
    return found


def _cuff_lines(cloth: Cloth, sleeve: Sleeve) -> list[Run]:
    how, piece = made(cloth), cloth.piece
    short = math.dist(sleeve.outer[0], sleeve.outer[-1]) < 32.0
    found: list[Run] = []
    if how.rib and not short:
        (a, b), (c, d) = sleeve.across(how.rib), sleeve.across(0.0)
        found += [
            [a, b],
            *([between(a, b, part), between(c, d, part)] for part in (0.14, 0.28, 0.43, 0.57, 0.72, 0.86)),
        ]
    elif how.cuff and not short and not piece.flag("rolled"):
        (a, b), (c, d) = sleeve.across(how.cuff), sleeve.across(0.0)
        found += [
            [a, b],
            [between(a, b, 0.3), between(c, d, 0.3)],
            *oval(*between(between(a, b, 0.42), between(c, d, 0.42), 0.5), 0.5, 0.5),
        ]
        high = sleeve.across(how.cuff + 7.0)
        found.append([between(a, b, 0.3), between(*high, 0.34)])
    elif how.stitched or short:
        found.append(list(sleeve.across(1.8)))
    elif piece.kind in ("blazer", "coat"):
        for up in (2.5, 4.5, 6.5):
            found += oval(*between(*sleeve.across(up), 0.16), 0.5, 0.5)
    return found


def _elbow(cloth: Cloth, sleeve: Sleeve) -> list[Fold]:
    """Folds where the arm bends, and on a sleeve pushed up many above its end."""
    long = math.dist(sleeve.outer[0], sleeve.outer[-1])
    found: list[Fold] = []
    if cloth.piece.flag("pushed"):
        for up in (1.6, 3.8, 6.2, 9.0):
            a, b = sleeve.across(up)
            found += [Fold(a, between(a, b, 0.85), 0.9, 0.7), Fold(b, between(b, a, 0.7), -0.9, 0.6)]
        return found
    if long > 42.0:
        middle = sleeve.across(long * 0.47)
        inside = sleeve.across(long * 0.44)
        found += [
            Fold(middle[1], between(*middle, 0.35), 0.8, 0.55),
            Fold(inside[1], between(*sleeve.across(long * 0.40), 0.45), 0.5, 0.45),
        ]
    if cloth.piece.word("sleeve_shape") == "puffed":
        head = sleeve.outer[0]
        for part in (0.25, 0.5, 0.75):
            a = between(head, sleeve.inner[0], part)
            found.append(Fold(a, (a[0] + 2.0, a[1] - 6.0), 0.4, 0.6))
    return found


def _turned_up(cloth: Cloth, sleeve: Sleeve, name: str, sides: tuple[tuple[str, bool], ...]) -> list[Shape]:
    """A rolled sleeve ends in two folds of itself, a little wider than it."""
    piece = cloth.piece
    if not piece.flag("rolled"):
        return []
    found: list[Shape] = []
    for at, (low, high) in enumerate(((2.7, 5.2), (-0.2, 2.9))):
        (a, b), (c, d) = sleeve.across(high), sleeve.across(max(low, 0.0))
        wide = 0.06
        right: list[Run] = [
            [between(a, b, -wide), between(a, b, 1 + wide)],
            [between(a, b, 1 + wide), between(c, d, 1 + wide)],
            [between(c, d, 1 + wide), between(c, d, -wide)],
        ]
        shape = area(f"{name}_roll{at}_right", cloth.slot, right, cloth.colour, light="form")
        found += [
            other_side(shape, f"{name}_roll{at}_{side}", right) if mirrored else shape for side, mirrored in sides
        ]
    return found


def _seams(cloth: Cloth, frame: Trunk) -> list[Run]:
    """Lines within the body of the garment, before and behind: princess seams and darts, ribs."""
    piece, how = cloth.piece, made(cloth)
    right: list[Run] = []
    if (
        piece.kind in ("blazer", "waistcoat", "coat")
        or piece.flag("darts")
        or piece.word("cut") in ("sheath", "pencil")
    ):
        x = 0.56
        right.append(
            [
                (frame.half(h) * x, h)
                for h in (frame.bust - 1.5, frame.waist, max(frame.low + 2.0, frame.hip + 4.0))
                if h > frame.low
            ]
        )
    found = [run for run in right if len(run) > 1]
    found += [flip(run) for run in found]
    if how.rib:
        found += rib_lines(frame, how.rib)
    return found


def _front_seams(cloth: Cloth, frame: Trunk) -> list[Run]:
    """Lines of the front alone: the yoke that comes over the shoulder, a sweatshirt's wedge, what wraps over."""
    piece, how = cloth.piece, made(cloth)
    found: list[Run] = []
    if how.yoke:
        a, b = between(frame.shoulder[0], frame.shoulder[-1], 0.06), between(frame.armhole[0], frame.armhole[1], 0.7)
        over: Run = [(a[0] + 0.4, a[1] - 4.0), ((a[0] + b[0]) / 2, (a[1] + b[1]) / 2 - 2.2), b]
        found += [over, flip(over)]
    if piece.kind == "sweatshirt" and not piece.flag("hooded"):
        y = frame.neck[0][1]
        found.append([(-2.6, y - 0.6), (0.0, y - 5.6), (2.6, y - 0.6)])
    if piece.word("cut") == "wrap":
        found += _wrapped(frame)
    return found


def rib_lines(frame: Trunk, tall: float) -> list[Run]:
    """A ribbed band at the hem: its upper edge and fine uprights."""
    low, ends = frame.low, (frame.hem[0], frame.hem[-1])
    high = low + tall
    right, left = (frame.half(high), ends[0][1] + tall), (-frame.half(high), ends[-1][1] + tall)
    found: list[Run] = [[right, (0.0, high), left]]
    for at in range(1, 18):
        part = at / 18
        a, b = between(right, left, part), between(ends[0], ends[1], part)
        bow = 4 * part * (1 - part)
        found.append([(a[0], a[1] + (high - a[1]) * bow), (b[0], b[1] + (low - b[1]) * bow)])
    return found


def _wrapped(frame: Trunk) -> list[Run]:
    """One front crosses the other and is tied at the left."""
    x, y = frame.neck[-1]
    tie = frame.tied if frame.tied is not None else frame.waist
    end = (-frame.half(tie) * 0.92, tie)
    over: Run = [(x, y), (x * 0.3, (y + tie) / 2 + 2.0), end]
    bow = [
        [end, (end[0] + 2.5, tie - 5.0), (end[0] + 1.5, tie - 11.0)],
        [end, (end[0] - 0.5, tie - 6.0), (end[0] - 2.0, tie - 10.0)],
    ]
    return [over, *bow]


def _stitches(cloth: Cloth, frame: Trunk) -> list[Run]:
    how = made(cloth)
    if not how.stitched or frame.tied is not None:
        return []
    return [[(x, y + 1.8) for x, y in frame.hem]]


def _neckband(cloth: Cloth, frame: Trunk) -> list[Shape]:
    """A band along the neckline: of rib or binding."""
    wide = made(cloth).neckband
    neck = neck_of(cloth.piece)
    if neck == "polo":
        return _rolled_neck(cloth, frame)
    if not wide or neck in ("open_collar", "closed_collar") or len(frame.neck) < 2:
        return []
    outer: list[Point] = []
    middle = frame.neck[0]
    for x, y in frame.neck:
        dx, dy = x, y - middle[1] - 30.0
        size = math.hypot(dx, dy) or 1.0
        outer.append((x + dx / size * wide * (1.0 if x else 0.0), y + dy / size * wide))
    edge: Run = [*(flip(outer[:0:-1]) if len(outer) > 2 else []), *outer] if len(outer) > 2 else outer
    runs: list[Run] = [edge] if len(outer) > 2 else [outer, flip(outer)]
    return [lines(f"{cloth.key}_neckband", cloth.slot, "seam", runs, thread(cloth.colour), clip=cloth.key)]


def _rolled_neck(cloth: Cloth, frame: Trunk) -> list[Shape]:
    """A polo neck stands up the neck and is folded over."""
    x, high = frame.neck[-1]
    top = frame.neck[0][1]
    right: list[Run] = [
        [(0.0, top - 0.5), (x * 0.6, top - 0.2), (x * 0.86, top)],
        [(x * 0.86, top), (x * 1.0, (top + high) / 2), (x * 1.12, high - 0.8)],
    ]
    low: Run = [(x * 1.12, high - 0.8), (x * 0.6, high - 2.6), (0.0, high - 3.2)]
    outline = [*right, low, *(flip(list(reversed(run))) for run in reversed([*right, low]))]
    up = [
        [(x * part, top - 0.4), (x * part * 1.25, high - 2.2 + abs(part) * 1.4)]
        for part in (-0.6, -0.4, -0.2, 0.0, 0.2, 0.4, 0.6)
    ]
    band = area(f"{cloth.key}_neck", cloth.slot, outline, cloth.colour, light="form")
    return [
        band,
        lines(f"{cloth.key}_neck_ribs", cloth.slot, "seam", up, thread(cloth.colour, 0.3), clip=f"{cloth.key}_neck"),
    ]


def fall_of_cloth(cloth: Cloth, frame: Trunk) -> list[Fold]:
    """How the cloth of the body falls: from bust and shoulder, over a band that holds it, where it is gathered."""
    piece = cloth.piece
    stiff = (
        piece.word("drape") == "stiff"
        or piece.kind in ("blazer", "coat", "jacket", "waistcoat", "gilet")
        or "structured" in piece.fabric
    )
    soft = (
        piece.word("drape") == "fluid"
        or bool({"draping", "satin", "thin"} & set(piece.fabric))
        or piece.kind in ("blouse", "camisole")
    )
    found: list[Fold] = []
    if not frame.flat and not stiff and frame.volume > 0.9:
        half = frame.half(frame.bust)
        reach = min(20.0, 5.0 + 5.0 * frame.volume)
        found.append(Fold((half * 0.97, frame.bust + 3.0), (half * 0.55, frame.bust - reach * 0.45), 0.9, 0.5))
        if soft or frame.volume > 1.8:
            found.append(
                Fold(
                    (half * 0.62, frame.bust - 2.0),
                    (half * 0.5, max(frame.low + 3, frame.bust - reach * 1.5)),
                    -0.6,
                    0.6,
                )
            )
    if frame.tied is not None and not frame.flat:
        # Cloth that a band holds falls over it in small folds.
        for share in (0.2, 0.45, 0.7, 0.88):
            x = frame.half(frame.tied) * share
            found.append(
                Fold((x, frame.tied + 0.3), (x * 1.05 + 0.4, frame.tied + 4.0 + 2.0 * frame.volume), 0.3, 0.45)
            )
    if piece.word("gathers") in ("bust", "middle") or piece.word("cut") == "ruched":
        y = frame.bust - 2.0 if piece.word("gathers") == "bust" else frame.waist
        found += [
            Fold((0.0, y + off), (frame.half(y) * 0.7, y + off * 1.6 + 1.0), 0.8, 0.5) for off in (-4.0, -1.5, 1.0, 3.5)
        ]
    found += flip_folds(found)
    if piece.word("gathers") == "side":
        y, x = frame.waist, frame.half(frame.waist)
        found += [Fold((x, y + off), (x * 0.1, y + off * 1.8), 1.0, 0.6) for off in (-5.0, -2.0, 1.0, 4.0)]
    return found
