"""Swim pieces: cups, straps, panels, ties, leg line and cut-outs, on the body that fills them or laid flat."""

from __future__ import annotations

from collections.abc import Callable
from typing import NamedTuple

from craft.body import Body
from craft.cloth import Piece
from craft.cloth.piece import colour_of
from craft.draw.figure import leg_inside, leg_outside
from craft.draw.frames import Cloth, Legs
from craft.draw.legs import draw_legs
from craft.draw.shapes import Fold, Point, Run, Shape, area, flip, folds, lines, oval, steps, whole
from craft.draw.weave import light_of, thread, weave_of
from craft.fit import land
from craft.look import Outfit

#: How high above the crotch a leg opening meets the side, as a share of the way from crotch to high hip, by word (W).
LEG_LINE = {"high_leg": 0.86, "low_leg": 0.22}
USUAL_LEG = 0.5
#: Half the breadth of the crotch, cm.
CROTCH_HALF = 3.2


class Levels(NamedTuple):
    """Where the body's levels lie, cm above the ground, and how broad a swim piece is at a height."""

    shoulder: float
    bust: float
    under: float
    waist: float
    high_hip: float
    hip: float
    crotch: float
    half: Callable[[float], float]

    @classmethod
    def on(cls, body: Body, lift: float, half: Callable[[float], float]) -> Levels:
        """The levels of a body that stands so far off the ground."""
        names = ("shoulder", "bust", "under_bust", "waist", "high_hip", "hip", "crotch")
        shoulder, bust, under, waist, high_hip, hip, crotch = (body.height(name) + lift for name in names)
        return cls(shoulder, bust, under, waist, high_hip, hip, crotch, half)


def draw_swim(outfit: Outfit) -> tuple[Shape, ...]:
    """Swim pieces, from the body outwards."""
    body, lift = outfit.body, outfit.lift
    crotch = body.height("crotch")
    levels = Levels.on(body, lift, lambda height: body.half_breadth(max(height - lift, crotch)) + 0.15)
    return tuple(
        shape
        for piece in outfit.look.all("swim")
        for shape in (_shorts(outfit, piece) if piece.kind == "swim_shorts" else sewn_swim(piece, levels))
    )


def _shorts(outfit: Outfit, piece: Piece) -> tuple[Shape, ...]:
    """Swim shorts: legs of their own, a hand's breadth off the thigh."""
    body, lift = outfit.body, outfit.lift
    landed = land(body, piece)
    crotch = body.height("crotch")

    def off(height: float) -> float:
        return 0.4 + 2.2 * max(0.0, min(1.0, (crotch + lift + 6.0 - height) / 20.0))

    frame = Legs(
        landed.edge("waistband").height + lift,
        crotch + lift - 1.0,
        landed.edge("hem").height + lift,
        outfit.at("hip"),
        outfit.at("knee"),
        lambda height: body.half_breadth(max(height - lift, crotch)) + off(height),
        lambda height: max(0.2, leg_inside(body, height - lift) - off(height)),
        lambda height: leg_outside(body, height - lift) + off(height),
    )
    return draw_legs(Cloth(piece, piece.kind, piece.kind, colour_of(piece)), frame)


def sewn_swim(piece: Piece, at: Levels, slot: str | None = None) -> tuple[Shape, ...]:
    """One swim piece at these levels."""
    cloth = Cloth(piece, slot or piece.kind, piece.kind, colour_of(piece))
    if piece.kind == "bikini_top":
        return _cups(cloth, at)
    if piece.kind == "bikini_bottom":
        return _brief(cloth, at, at.high_hip - 2.0)
    low = _leg_runs(piece, at) if piece.kind == "swimsuit" else _hem_runs(at)
    words = piece.words("swim_detail")
    depth = {True: at.bust + 1.0, False: at.bust + 6.0}["low_neck" in words]
    if "high_neck" in words:
        depth = at.shoulder - 4.0
    half = at.half(at.bust)
    peak: Point = (half * 0.56, at.bust + 10.0)
    above: list[Run] = [
        [(0.0, depth), (half * 0.3, depth + 0.22 * (peak[1] - depth)), peak],
        [peak, (peak[0] + _strap(piece), peak[1])],
        [(peak[0] + _strap(piece), peak[1]), (half * 0.84, at.bust + 5.0), (at.half(at.bust + 2.0), at.bust + 2.0)],
    ]
    side: Run = [(at.half(h), h) for h in steps(at.bust + 2.0, low[0][0][1], 5.0)]
    body = area(
        cloth.key,
        cloth.slot,
        whole([*above, side, *low]),
        cloth.colour,
        weave=weave_of(piece, cloth.colour),
        light=light_of(piece),
    )
    return (*_straps(cloth, at, peak), body, *_details(cloth, at))


def _strap(piece: Piece) -> float:
    words = piece.words("swim_detail")
    return 3.6 if "thick_strap" in words else 0.8 if "thin_strap" in words else 1.6


def _straps(cloth: Cloth, at: Levels, peak: Point) -> list[Shape]:
    wide = _strap(cloth.piece)
    x, y = peak
    top = at.shoulder - 0.8
    right: list[Run] = [
        [(x, y), (x * 0.98, (y + top) / 2), (x, top)],
        [(x, top), (x + wide, top - 0.3)],
        [(x + wide, top - 0.3), (x + wide * 0.98, y)],
        [(x + wide, y), (x, y)],
    ]
    return [
        area(f"{cloth.key}_strap_right", cloth.slot, right, cloth.colour),
        area(f"{cloth.key}_strap_left", cloth.slot, [flip(run) for run in right], cloth.colour),
    ]


def leg_line(piece: Piece, at: Levels) -> float:
    """How high a leg opening meets the side, cm above the ground."""
    words = piece.words("swim_detail")
    share = next((LEG_LINE[word] for word in LEG_LINE if word in words), USUAL_LEG)
    return at.crotch + share * (at.high_hip - at.crotch)


def _leg_runs(piece: Piece, at: Levels) -> list[Run]:
    """From the side at the leg opening's top round to the middle of the crotch, on the right."""
    top = leg_line(piece, at)
    start: Point = (at.half(top), top)
    return [
        [start, (start[0] * 0.62, at.crotch + (top - at.crotch) * 0.5), (CROTCH_HALF, at.crotch)],
        [(CROTCH_HALF, at.crotch), (0.0, at.crotch - 0.4)],
    ]


def _hem_runs(at: Levels) -> list[Run]:
    low = at.high_hip - 2.0
    return [[(at.half(low), low), (at.half(low) * 0.5, low - 0.3), (0.0, low - 0.4)]]


def _brief(cloth: Cloth, at: Levels, band: float) -> tuple[Shape, ...]:
    """A bikini bottom: band, leg line, ties or a band at its sides."""
    piece = cloth.piece
    low = _leg_runs(piece, at)
    top = low[0][0][1]
    band = max(band, top + 1.6)
    runs: list[Run] = [
        [(0.0, band - 1.6), (at.half(band) * 0.5, band - 1.1), (at.half(band), band)],
        [(at.half(band), band), low[0][0]],
        *low,
    ]
    shape = area(
        cloth.key, cloth.slot, whole(runs), cloth.colour, weave=weave_of(piece, cloth.colour), light=light_of(piece)
    )
    found = [shape]
    words = piece.words("swim_detail")
    if "side_ties" in words:
        x, y = at.half(band), (band + top) / 2
        knot: list[Run] = [
            [(x, y), (x + 3.0, y + 1.6), (x + 3.6, y - 0.6), (x, y)],
            [(x, y), (x + 1.4, y - 6.0)],
            [(x, y), (x + 3.0, y - 5.0)],
        ]
        found.append(
            lines(f"{cloth.key}_ties", cloth.slot, "edge", [*knot, *(flip(run) for run in knot)], thread(cloth.colour))
        )
    return (*found, *_details(cloth, at))


def _cups(cloth: Cloth, at: Levels) -> tuple[Shape, ...]:
    """A bikini top: two cups, a band and straps."""
    half = at.half(at.bust)
    piece, words = cloth.piece, cloth.piece.words("swim_detail")
    full = 2.0 if "full_cup" in words or "underwire" in words else 0.0
    peak: Point = (half * 0.52, at.bust + 6.5 + full)
    cup: list[Run] = [[(0.8, at.bust - 2.0), (half * 0.22, at.bust + 2.4 + full), peak], [peak, (half * 0.86, at.bust + 1.6 + full), (half * 0.97, at.bust - 2.0)],
                      [(half * 0.97, at.bust - 2.0), (half * 0.86, at.under + 0.4), (half * 0.46, at.under - 1.4), (half * 0.12, at.under + 0.6), (0.8, at.bust - 2.0)]]  # fmt: skip
    band: list[Run] = [
        [(half * 0.9, at.under + 2.6), (at.half(at.under), at.under + 2.2)],
        [(at.half(at.under), at.under + 2.2), (at.half(at.under), at.under + 0.2)],
        [(at.half(at.under), at.under + 0.2), (half * 0.8, at.under)],
    ]
    weave, light = weave_of(piece, cloth.colour), light_of(piece)
    found = _straps(cloth, at, peak)
    middle: list[Run] = [
        [(-1.6, at.bust - 2.4), (1.6, at.bust - 2.4)],
        [(1.6, at.bust - 2.4), (1.2, at.under + 0.8)],
        [(1.2, at.under + 0.8), (-1.2, at.under + 0.8)],
    ]
    found.append(area(f"{cloth.key}_middle", cloth.slot, middle, cloth.colour))
    for side, mirrored in (("right", False), ("left", True)):
        for name, runs in (("band", band), ("cup", cup)):
            own = [flip(run) for run in runs] if mirrored else runs
            found.append(area(f"{cloth.key}_{name}_{side}", cloth.slot, own, cloth.colour, weave=weave, light=light))
    seam: list[Run] = [[(half * 0.14, at.under + 1.6), (half * 0.46, at.under - 0.4), (half * 0.86, at.under + 1.4)]]
    if "underwire" in words or "full_cup" in words:
        found.append(
            lines(
                f"{cloth.key}_wire", cloth.slot, "stitch", [*seam, *(flip(run) for run in seam)], thread(cloth.colour)
            )
        )
    return (*found, *_details(cloth, at))


def _details(cloth: Cloth, at: Levels) -> list[Shape]:
    """What a swim piece's words add to it: each where it is sewn."""
    words, ink, key = cloth.piece.words("swim_detail"), thread(cloth.colour), cloth.key
    upper = cloth.piece.kind != "bikini_bottom"
    lower = cloth.piece.kind in ("bikini_bottom", "swimsuit")
    found: list[Shape] = []
    strokes: list[Run] = []
    bent: list[Fold] = []
    if "panel" in words and cloth.piece.kind in ("swimsuit", "tankini"):
        right: Run = [(at.half(h) * share, h) for h, share in ((at.bust, 0.74), (at.waist, 0.5), (at.hip, 0.66))]
        strokes += [right, flip(right)]
    if "crossed_front" in words and upper:
        strokes += [
            [(at.half(at.bust) * 0.55, at.bust + 8.0), (0.0, at.under + 2.0), (-at.half(at.under), at.under - 2.0)]
        ]
    if ("ruching" in words or "drape" in words) and cloth.piece.kind != "bikini_top":
        y = at.waist if upper else at.hip
        bent += [
            Fold((at.half(y + off), y + off), (-at.half(y) * 0.4, y + off * 0.6 + 2.0), 1.4, 0.5)
            for off in (-6.0, -2.5, 1.0, 4.5)
        ]
    if "drawn_waist" in words or "tie_waist" in words:
        y = at.waist
        strokes += [
            [(at.half(y), y), (0.0, y - 0.6), (-at.half(y), y)],
            [(0.4, y - 0.6), (2.2, y - 6.0)],
            [(0.4, y - 0.6), (-0.8, y - 6.5)],
        ]
    if "lacing" in words and upper:
        y = at.bust - 2.0
        strokes += [[(-1.8, y - off), (1.8, y - off - 2.2)] for off in (0.0, 2.6, 5.2)] + [
            [(1.8, y - off), (-1.8, y - off - 2.2)] for off in (0.0, 2.6, 5.2)
        ]
    if "flounce" in words or "skirted" in words:
        y, tall = (at.hip + 4.0, 11.0) if lower else (at.bust - 1.0, 9.0)
        half = at.half(y) + 0.8
        frill: list[Run] = [[(half, y), (0.0, y - 0.6), (-half, y)], [(-half, y), (-half - 1.8, y - tall)],
                            [(-half - 1.8 + (2 * half + 3.6) * part / 8, y - tall + (0.9 if part % 2 else 0.0)) for part in range(9)], [(half + 1.8, y - tall), (half, y)]]  # fmt: skip
        found.append(area(f"{key}_frill", cloth.slot, frill, cloth.colour, light="form"))
        bent += [
            Fold((x, y - tall + 0.4), (x * 0.94, y - 1.0), 0.3, 0.5)
            for x in (-half * 0.6, -half * 0.2, half * 0.2, half * 0.6)
        ]
    if ("cut_out" in words or "open_sides" in words) and cloth.piece.kind == "swimsuit":
        y, x = at.waist + 2.0, at.half(at.waist)
        hole: list[Run] = [[(x + 1.0, y + 6.0), (x * 0.6, y + 3.0), (x * 0.6, y - 3.0), (x + 1.0, y - 6.0)]]
        found += [
            area(f"{key}_cut_right", cloth.slot, hole, role="bare"),
            area(f"{key}_cut_left", cloth.slot, [flip(run) for run in hole], role="bare"),
        ]
        strokes += [*hole, *(flip(run) for run in hole)]
    if "centre_detail" in words:
        strokes += oval(0.0, at.bust - 3.0 if upper else at.high_hip - 4.0, 1.4, 1.4)
    if "side_detail" in words:
        y = at.hip + 3.0 if lower else at.under
        strokes += [run for sign in (-1, 1) for run in oval(sign * (at.half(y) - 3.0), y, 1.2, 1.2)]
    if strokes:
        found.append(lines(f"{key}_details_front", cloth.slot, "seam", strokes, ink))
    if bent:
        found.append(folds(f"{key}_folds", cloth.slot, bent, ink))
    return found
