"""What is worn besides, on the figure, at the heights where it lands; and what is beneath."""

from __future__ import annotations

from craft.cloth import Piece
from craft.cloth.piece import colour_of
from craft.draw.figure import arm_path, foot, leg_heights, leg_inside, leg_outside, neck_half, trunk_side
from craft.draw.round_shoulders import knit_behind, knit_front
from craft.draw.shapes import Fold, Point, Run, Shape, area, box, flip, folds, lines, other_side, oval, steps, whole
from craft.draw.top import belted_at, top_half
from craft.draw.weave import mixed, thread, weave_of
from craft.fit import land
from craft.look import Outfit
from craft.wear.openings import BELT_CM


def draw_extras(outfit: Outfit, *, back: bool = False) -> tuple[Shape, ...]:
    """What is worn besides, outermost last."""
    found: list[Shape] = []
    for place, piece in outfit.extras.items():
        if piece.kind in _DRAWN:
            found += _DRAWN[piece.kind](outfit, piece)
        elif place == "scarf":
            found += (knit_behind if back else knit_front)(outfit, piece)
    return tuple(found)


def end_of(outfit: Outfit, piece: Piece) -> float:
    """Where the lowest edge of an extra lies above the ground, cm."""
    return land(outfit.body, piece).edge("end").height + outfit.lift


def both(key: str, slot: str, runs: list[Run], colour: str) -> list[Shape]:
    """An area and the same on the other side."""
    right = area(f"{key}_right", slot, runs, colour)
    return [right, other_side(right, f"{key}_left", runs)]


def _belt(outfit: Outfit, piece: Piece) -> list[Shape]:
    wide = piece.figure("width_cm") or BELT_CM[piece.word("belted") or "medium"]
    bottom, over = outfit.bottom, belted_at(outfit)
    on_band = over is None and bottom is not None and bottom.has_legs
    at = bottom.waistband.cm - 1.8 if on_band and bottom is not None else outfit.at("waist")
    half = outfit.body.half_breadth(at - outfit.lift) + 1.0
    if over is not None and outfit.top is not None:
        half = top_half(outfit, outfit.top, at) + 0.5
    colour = piece.word("colour") or "brown"
    high, low = at + wide / 2, at - wide / 2
    right: list[Run] = [[(0.0, high - 0.5), (half * 0.5, high - 0.35), (half, high)], [(half, high), (half, low)],
                        [(half, low), (half * 0.5, low - 0.35), (0.0, low - 0.5)]]  # fmt: skip
    tall = wide / 2 + 0.5
    frame = box(-2.2, 2.0, at - tall - 0.4, at + tall - 0.6)
    pin: list[Run] = [[(-2.2, at - 0.5), (2.4, at - 0.5)]]
    holes = [run for x in (4.0, 6.2, 8.4) if x < half - 2 for run in oval(-x, at - 0.45, 0.25, 0.25)]
    return [
        area("belt", piece.kind, whole(right), colour, light="form"),
        lines("holes", piece.kind, "seam", holes, thread(colour)),
        area("buckle", piece.kind, frame, "#c9b27a" if piece.word("second_colour") == "gold" else "#b9babd"),
        lines("buckle_pin", piece.kind, "edge", pin),
    ]


def _necklace(outfit: Outfit, piece: Piece) -> list[Shape]:
    low, high = end_of(outfit, piece), outfit.body.height("shoulder") + outfit.lift + 1.5
    half = neck_half(outfit.body) * 1.16
    drop = high - low - 1.8
    side: list[Point] = [
        (half, high),
        (half * 0.92, high - 0.38 * drop),
        (half * 0.6, high - 0.8 * drop),
        (0.0, high - drop),
    ]
    arc: Run = [*side, *flip(list(reversed(side))[1:])]
    colour = piece.word("colour") or "silver"
    return [
        lines("necklace", piece.kind, "edge", [arc], thread(colour)),
        area(
            "pendant",
            piece.kind,
            [[(0.0, low + 2.4), (1.2, low + 0.9), (0.0, low), (-1.2, low + 0.9), (0.0, low + 2.4)]],
            colour,
            light="satin",
        ),
    ]


def _scarf(outfit: Outfit, piece: Piece) -> list[Shape]:
    low, high = end_of(outfit, piece), outfit.body.height("shoulder") + outfit.lift + 3.4
    colour = piece.word("colour") or "camel"
    n = neck_half(outfit.body)
    weave = weave_of(piece, colour)
    loop: list[Run] = [
        [
            (n * 1.05, high + 1.2),
            (n * 1.75, high - 1.4),
            (n * 1.62, high - 5.0),
            (n * 0.7, high - 8.6),
            (0.0, high - 9.4),
        ]
    ]
    inner: list[Run] = [
        [
            (-n * 1.05, high + 1.2),
            (-n * 0.6, high - 2.0),
            (0.0, high - 3.0),
            (n * 0.6, high - 2.0),
            (n * 1.05, high + 1.2),
        ]
    ]
    around: list[Run] = [loop[0], flip(list(reversed(loop[0]))), inner[0]]
    ends: list[Shape] = []
    for name, x, drop in (("scarf_end", n * 0.3, low), ("scarf_end2", -n * 1.5, low + 4.0)):
        wide = n * 1.35
        runs: list[Run] = [[(x * 0.6, high - 7.5), (x + wide * 0.9, high - 7.0)], [(x + wide * 0.9, high - 7.0), (x + wide * 1.06, (high + drop) / 2), (x + wide, drop + 2.0)],
                           [(x + wide, drop + 2.0), (x, drop + 2.2)], [(x, drop + 2.2), (x - 0.4, (high + drop) / 2), (x * 0.6, high - 7.5)]]  # fmt: skip
        ends.append(area(name, piece.kind, runs, colour, weave=weave, light="form"))
        fringe: list[Run] = [
            [(x + wide * part, drop + 2.2), (x + wide * part - 0.1, drop)]
            for part in (0.06, 0.2, 0.34, 0.48, 0.62, 0.76, 0.9)
        ]
        ends.append(lines(f"{name}_fringe", piece.kind, "seam", fringe, colour))
    bent = [
        Fold((-n * 1.5, high - 1.2), (n * 0.4, high - 7.6), -1.6, 0.7),
        Fold((n * 1.5, high - 1.0), (-n * 0.2, high - 5.6), 1.4, 0.6),
    ]
    return [*ends, area("scarf_loop", piece.kind, around, colour, weave=weave, light="form"),
            folds("scarf_folds", piece.kind, bent, colour, clip="scarf_loop")]  # fmt: skip


def _earrings(outfit: Outfit, piece: Piece) -> list[Shape]:
    low = end_of(outfit, piece)
    x = outfit.body.stature * 0.0445
    colour = piece.word("colour") or "silver"
    hook: list[Run] = [[(x, low + 3.6), (x + 0.1, low + 2.0)], [(-x, low + 3.6), (-x - 0.1, low + 2.0)]]
    drop: list[Run] = [[(x, low + 2.4), (x + 0.85, low + 0.9), (x, low), (x - 0.85, low + 0.9), (x, low + 2.4)]]
    return [lines("earring_hooks", piece.kind, "edge", hook), *both("earring", piece.kind, drop, colour)]


def _bag(outfit: Outfit, piece: Piece) -> list[Shape]:
    top = end_of(outfit, piece)
    body = outfit.body
    size = {"small": 0.72, "large": 1.28}.get(piece.word("size") or "", 1.0)
    x = -(body.half_breadth(body.height("hip")) + 10.0 + 5.0 * (size - 1))
    colour = piece.word("colour") or "brown"
    tip = body.breadths["shoulder_breadth"].cm / 2
    shoulder: Point = (-tip * 0.86, body.height("shoulder") + outfit.lift - 1.2)
    wide, tall = 11.0 * size, 19.0 * size
    outline: list[Run] = [[(x - wide * 0.92, top), (x, top - 0.5), (x + wide * 0.92, top)], [(x + wide * 0.92, top), (x + wide * 1.05, top - tall * 0.55), (x + wide, top - tall)],
                          [(x + wide, top - tall), (x, top - tall - 0.6), (x - wide, top - tall)], [(x - wide, top - tall), (x - wide * 1.05, top - tall * 0.55), (x - wide * 0.92, top)]]  # fmt: skip
    flap: list[Run] = [
        [
            (x - wide * 0.94, top - 0.2),
            (x - wide * 0.8, top - tall * 0.42),
            (x, top - tall * 0.52),
            (x + wide * 0.8, top - tall * 0.42),
            (x + wide * 0.94, top - 0.2),
        ]
    ]
    strap: list[Run] = [
        [shoulder, (x + wide * 0.2 + 2, (shoulder[1] + top) / 2), (x + wide * 0.66, top)],
        [(shoulder[0] - 1.0, shoulder[1] - 0.4), (x - wide * 0.3, (shoulder[1] + top) / 2), (x - wide * 0.66, top)],
    ]
    return [
        lines("bag_strap", piece.kind, "edge", strap, colour),
        area("bag", piece.kind, outline, colour, light="leather"),
        lines("bag_flap", piece.kind, "edge", flap, thread(colour)),
        area("bag_clasp", piece.kind, oval(x, top - tall * 0.5, 1.1, 0.9), "gold"),
    ]


def draw_hat(outfit: Outfit, piece: Piece) -> list[Shape]:
    """Crown, band and brim, from the front; a hat is round, and from the side it is the same."""
    brim = end_of(outfit, piece)
    half = outfit.body.stature * 0.052
    colour = piece.word("colour") or "camel"
    crown: list[Run] = [
        [
            (half * 1.06, brim + 0.8),
            (half * 1.0, brim + 6.0),
            (half * 0.72, brim + 10.6),
            (half * 0.3, brim + 11.2),
            (0.0, brim + 10.2),
        ]
    ]
    rim: list[Run] = [
        [(half * 2.05, brim + 0.9), (half * 1.2, brim - 0.9), (0.0, brim - 1.4)],
        [(0.0, brim + 1.2), (half * 1.1, brim + 1.3), (half * 2.05, brim + 0.9)],
    ]
    right, low = crown[0], rim
    dark = mixed(colour, "#1d1712", 0.5)
    return [
        area(
            "hat_crown",
            piece.kind,
            [[*flip(right), *reversed(right[:-1])], [right[0], (-right[0][0], right[0][1])]],
            colour,
            weave=weave_of(piece, colour),
            light="form",
        ),
        area("hat_band", piece.kind, box(-half * 1.05, half * 1.05, brim + 0.7, brim + 3.0), dark),
        area(
            "hat",
            piece.kind,
            [[*low[0], *flip(list(reversed(low[0]))[1:])], [*flip(list(reversed(low[1]))), *low[1][1:]]],
            colour,
            light="form",
        ),
    ]


def on_the_legs(outfit: Outfit, low: float, off: float) -> list[Run]:
    """What lies on the skin from the waist down to a height, `off` cm off it."""
    body, lift, crotch, waist = outfit.body, outfit.lift, outfit.body.height("crotch"), outfit.body.height("waist")
    trunk = [(x, y) for x, y in trunk_side(body, lift, off) if y <= waist + lift]
    legs = leg_heights(body, crotch - 4.0, low)
    outside: list[Point] = [*trunk, *((leg_outside(body, h) + off, h + lift) for h in legs)]
    inside: list[Point] = [(max(0.2, leg_inside(body, h) - 0.1), h + lift) for h in reversed(legs)]
    across: Run = [outside[-1], inside[0]]
    return whole([[(0.0, waist + lift), outside[0]], outside, across, [*inside, (0.0, crotch + lift)]])


def _tights(outfit: Outfit, piece: Piece) -> list[Shape]:
    """Over the skin from the waist to the toes; drawn under everything else."""
    body, lift = outfit.body, outfit.lift
    colour = piece.word("colour") or "black"
    opacity = 0.62 if piece.word("sheerness") in ("half_sheer", "see_through") or "sheer" in piece.fabric else 1.0
    feet = both("tights_foot", piece.kind, [foot(body, lift)], colour)
    legs = area(
        "tights",
        piece.kind,
        on_the_legs(outfit, body.height("ankle_bone") + 0.5, 0.1),
        colour,
        light="form",
        opacity=opacity,
    )
    return [*feet, legs]


def _socks(outfit: Outfit, piece: Piece) -> list[Shape]:
    """Over the foot and the leg up to their top; shoe and hem lie over them."""
    body, lift = outfit.body, outfit.lift
    top = outfit.sock.cm - lift if outfit.sock else 0.0
    bone = body.height("ankle_bone")
    legs = leg_heights(body, max(top, bone + 3.5), bone + 2.0)
    outside: list[Point] = [(leg_outside(body, h) + 0.2, h + lift) for h in legs]
    inside: list[Point] = [(max(0.1, leg_inside(body, h) - 0.2), h + lift) for h in reversed(legs)]
    colour = piece.word("colour") or "grey"
    sock: list[Run] = [[*outside, *foot(body, lift), *inside], [inside[-1], outside[0]]]
    weave = weave_of(piece, colour)
    right = area("sock_right", piece.kind, sock, colour, weave=weave)
    rib: list[Run] = [
        [(a, legs[0] + lift), (a, legs[0] + lift - 3.0)] for a in _between(inside[-1][0], outside[0][0], 7)
    ]
    both_ribs = [*rib, *(flip(run) for run in rib)]
    return [
        right,
        other_side(right, "sock_left", sock),
        lines("sock_ribs", piece.kind, "seam", both_ribs, thread(colour)),
    ]


def _between(a: float, b: float, count: int) -> list[float]:
    return [a + (b - a) * (at + 0.5) / count for at in range(count)]


def _at_wrist(outfit: Outfit, piece: Piece) -> list[Shape]:
    """A band round the left arm for a watch, round the right one for a bracelet."""
    (x, y), half = arm_path(outfit.body, outfit.lift)[-1]
    up, wide = (1.6, 0.9) if piece.kind == "watch" else (0.6, 0.4)
    side = -1 if piece.kind == "watch" else 1
    colour = colour_of(piece)
    a, b = side * (x - half - 0.25), side * (x + half + 0.15)
    high, low = y + up + wide, y + up - wide
    band: list[Run] = [
        [(a, high), ((a + b) / 2, high - 0.3), (b, high - 0.2)],
        [(b, high - 0.2), (b, low - 0.2)],
        [(b, low - 0.2), ((a + b) / 2, low - 0.4), (a, low)],
        [(a, low), (a, high)],
    ]
    found = [area(piece.kind, piece.kind, band, colour, light="satin")]
    if piece.kind == "watch":
        found.append(area("watch_face", piece.kind, oval((a + b) / 2, y + up - 0.2, 1.5, 1.6), "ivory"))
    return found


def _ring(outfit: Outfit, piece: Piece) -> list[Shape]:
    (x, y), _ = arm_path(outfit.body, outfit.lift)[-1]
    return [area("ring", piece.kind, oval(x + 1.2, y - 9.5, 0.8, 0.45), colour_of(piece))]


def _bra(outfit: Outfit, piece: Piece) -> list[Shape]:
    """Beneath: cups and a band; clothes lie over it."""
    body, lift = outfit.body, outfit.lift
    bust, under = body.height("bust") + lift, body.height("under_bust") + lift
    half, low = body.half_breadth(body.height("bust")) + 0.2, body.half_breadth(body.height("under_bust")) + 0.2
    colour = colour_of(piece)
    cup: list[Run] = [[(0.4, bust - 1.5), (half * 0.28, bust + 3.6), (half * 0.62, bust + 6.6)], [(half * 0.62, bust + 6.6), (half * 0.86, bust + 3.0), (half, bust)],
                      [(half, bust), (half * 0.9, under - 0.6), (half * 0.5, under - 1.6), (0.4, under + 0.8)], [(0.4, under + 0.8), (0.4, bust - 1.5)]]  # fmt: skip
    band: list[Run] = [
        [(0.0, under + 0.8), (low, under + 1.6)],
        [(low, under + 1.6), (low, under - 1.4)],
        [(low, under - 1.4), (0.0, under - 2.0)],
    ]
    strap: list[Run] = [[(half * 0.6, bust + 6.4), (half * 0.6, body.height("shoulder") + lift - 0.3)]]
    return [
        lines("strap_bra", piece.kind, "edge", [*strap, *(flip(run) for run in strap)], colour),
        area("bra", piece.kind, whole(band), colour),
        *both("bra_cup", piece.kind, cup, colour),
    ]


def _smoothing(outfit: Outfit, piece: Piece) -> list[Shape]:
    """Beneath: from the waist to the middle of the thigh, on the skin."""
    return [
        area(
            piece.kind,
            piece.kind,
            on_the_legs(outfit, outfit.body.height("mid_thigh"), 0.15),
            colour_of(piece),
            light="form",
        )
    ]


def _underslip(outfit: Outfit, piece: Piece) -> list[Shape]:
    """Beneath: from the bust to its hem."""
    body, lift, low = outfit.body, outfit.lift, end_of(outfit, piece)
    bust = body.height("bust")
    heights = steps(bust + 5.0, max(low - lift, body.height("crotch")), 6.0)
    side: list[Point] = [(body.half_breadth(h) + 0.3, h + lift) for h in heights]
    side.append((side[-1][0] + 0.5, low))
    colour = colour_of(piece)
    peak: Point = (side[0][0] * 0.6, side[0][1] + 2.0)
    runs: list[Run] = [[(0.0, bust + lift + 2.0), peak], [peak, side[0]], side, [side[-1], (0.0, low)]]
    over = body.height("shoulder") + lift - 0.2
    hung: list[Run] = [[peak, (peak[0], over)], [(-peak[0], peak[1]), (-peak[0], over)]]
    return [
        lines("slip_straps", piece.kind, "edge", hung, colour),
        area(piece.kind, piece.kind, whole(runs), colour, light="satin"),
    ]


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
    "hat": draw_hat,
}
