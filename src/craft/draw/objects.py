"""What is worn besides, as objects on the rack: belt, jewellery, scarf, bag, hat, watch, and what is worn beneath."""

from __future__ import annotations

from collections.abc import Callable

from craft.body import Body
from craft.cloth.piece import colour_of
from craft.draw.frames import Cloth, Legs
from craft.draw.legs import draw_legs
from craft.draw.shapes import Fold, Point, Run, Shape, area, box, flip, folds, lines, oval, whole
from craft.draw.weave import mixed, thread, weave_of
from craft.fit import Landed
from craft.wear.openings import BELT_CM
from craft.wear.shoes import sock_top


def draw_object(body: Body, landed: Landed) -> tuple[Shape, ...]:
    """The thing by itself; nothing for kinds that have no drawing."""
    draw = _OBJECTS.get(landed.piece.kind)
    return tuple(draw(body, landed)) if draw else ()


def _ring_of(x: float, y: float, wide: float, tall: float, thick: float) -> list[Run]:
    """A band seen at a slant: an oval without its middle, as one outline."""
    outer, inner = oval(x, y, wide, tall)[0], oval(x, y, wide - thick, max(tall - thick * 0.8, 0.2))[0]
    return [outer, [outer[-1], inner[0]], list(reversed(inner)), [inner[-1], outer[0]]]


def _belt(body: Body, landed: Landed) -> list[Shape]:
    """Rolled up as it lies on a shelf, its buckle end to the right."""
    piece = landed.piece
    wide = piece.figure("width_cm") or BELT_CM[piece.word("belted") or "medium"]
    colour, ink = colour_of(piece), thread(colour_of(piece))
    roll = [
        area(
            "roll",
            piece.slot,
            [
                [(-9.0, wide), (0.0, wide + 2.6), (9.0, wide)],
                [(9.0, wide), (9.0, 0.0)],
                [(9.0, 0.0), (0.0, -2.6), (-9.0, 0.0)],
                [(-9.0, 0.0), (-9.0, wide)],
            ],
            colour,
            light="leather",
        )
    ]
    inside = area(
        "inside",
        piece.slot,
        [[(-9.0, wide), (0.0, wide + 2.6), (9.0, wide), (0.0, wide - 2.6), (-9.0, wide)]],
        mixed(colour, "#1d1712", 0.4),
    )
    coil: list[Run] = [
        [(-6.4, wide), (0.0, wide + 1.6), (6.4, wide), (0.0, wide - 1.6), (-4.6, wide), (0.0, wide + 0.9), (4.2, wide)]
    ]
    strap = area(
        "belt",
        piece.slot,
        [[(6.0, wide - 1.2), (20.0, wide - 2.2)], [(20.0, wide - 2.2), (20.0, -2.2)], [(20.0, -2.2), (6.0, -1.6)]],
        colour,
        light="leather",
    )
    frame = _frame(18.0, wide / 2 - 2.2, 3.0, wide / 2 + 0.8)
    metal = "gold" if piece.word("second_colour") == "gold" else "silver"
    return [*roll, inside, lines("coil", piece.slot, "edge", coil, colour), strap,
            lines("edge", piece.slot, "stitch", [[(6.0, wide - 2.0), (18.0, wide - 2.8)], [(6.0, -0.9), (18.0, -1.5)]], ink),
            area("buckle", piece.slot, frame, metal, light="satin"), lines("pin", piece.slot, "edge", [[(15.4, wide / 2 - 2.2), (21.6, wide / 2 - 2.2)]])]  # fmt: skip


def _frame(x: float, y: float, wide: float, tall: float) -> list[Run]:
    outer, inner = (
        box(x - wide, x + wide, y - tall, y + tall),
        box(x - wide + 0.8, x + wide - 0.8, y - tall + 0.8, y + tall - 0.8),
    )
    back = [list(reversed(run)) for run in reversed(inner)]
    return [*outer, [outer[-1][-1], back[0][0]], *back, [back[-1][-1], outer[0][0]]]


def _necklace(body: Body, landed: Landed) -> list[Shape]:
    piece = landed.piece
    drop = max(body.height("shoulder") - landed.edge("end").height, 8.0)
    half = 7.5 + 0.06 * drop
    colour = colour_of(piece)
    side: list[Point] = [
        (half * 0.5, 1.2),
        (half, -0.2 * drop),
        (half * 0.86, -0.55 * drop),
        (half * 0.4, -0.9 * drop),
        (0.0, -drop + 2.0),
    ]
    chain: Run = [*flip(side), *reversed(side[:-1])]
    clasp = oval(0.0, 2.0, 0.8, 0.6)
    top: Run = [(-half * 0.5, 1.2), (0.0, 2.0), (half * 0.5, 1.2)]
    drop_shape: list[Run] = [
        [(0.0, -drop + 2.2), (1.7, -drop - 0.4), (0.0, -drop - 2.4), (-1.7, -drop - 0.4), (0.0, -drop + 2.2)]
    ]
    return [
        lines("chain", piece.slot, "edge", [chain, top], thread(colour)),
        area("clasp", piece.slot, clasp, colour),
        area("pendant", piece.slot, drop_shape, colour, light="satin"),
    ]


def _earrings(body: Body, landed: Landed) -> list[Shape]:
    piece, colour = landed.piece, colour_of(landed.piece)
    long = max(piece.figure("length_cm") or 3.0, 1.5)
    found: list[Shape] = []
    for name, x in (("right", 2.6), ("left", -2.6)):
        hook: list[Run] = [[(x - 0.5, long), (x, long + 1.3), (x + 0.3, long + 0.2), (x, long - 0.5)]]
        drop: list[Run] = [[(x, long - 0.5), (x + 1.0, 0.9), (x, 0.0), (x - 1.0, 0.9), (x, long - 0.5)]]
        found += [
            lines(f"hook_{name}", piece.slot, "edge", hook, thread(colour)),
            area(f"drop_{name}", piece.slot, drop, colour, light="satin"),
        ]
    return found


def _scarf(body: Body, landed: Landed) -> list[Shape]:
    """Folded once over, its fringe below."""
    piece = landed.piece
    colour, long = colour_of(piece), (piece.figure("length_cm") or 170.0) / 4
    wide = min((piece.figure("width_cm") or 30.0) / 4, 14.0)
    weave = weave_of(piece, colour)
    found: list[Shape] = []
    for name, x, low in (("under", wide * 0.5, -long + 4.0), ("over", -wide * 0.4, -long)):
        runs: list[Run] = [
            [(x - wide, long * 0.9), (x, long), (x + wide, long * 0.9)],
            [(x + wide, long * 0.9), (x + wide * 1.06, 0.0), (x + wide, low)],
            [(x + wide, low), (x - wide, low)],
            [(x - wide, low), (x - wide * 1.04, 0.0), (x - wide, long * 0.9)],
        ]
        found.append(area(name, piece.slot, runs, colour, weave=weave, light="form"))
        fringe: list[Run] = [
            [(x - wide + 2 * wide * part / 9, low), (x - wide + 2 * wide * part / 9, low - 3.5)] for part in range(10)
        ]
        found.append(lines(f"{name}_fringe", piece.slot, "seam", fringe, thread(colour, 0.4)))
    bent = [
        Fold((-wide * 0.9, long * 0.7), (-wide * 0.6, -long * 0.4), 0.6, 0.6),
        Fold((0.0, long * 0.8), (wide * 0.2, -long * 0.2), -0.6, 0.6),
    ]
    return [*found, folds("folds", piece.slot, bent, clip="over")]


def _bag(body: Body, landed: Landed) -> list[Shape]:
    piece, colour = landed.piece, colour_of(landed.piece)
    size = {"small": 0.7, "large": 1.3}.get(piece.word("size") or "", 1.0)
    w, t = 16.0 * size, 22.0 * size
    handle: list[Run] = [
        [(-w * 0.5, 0.0), (-w * 0.42, 12.0), (0.0, 17.0), (w * 0.42, 12.0), (w * 0.5, 0.0)],
        [(-w * 0.5 + 1.4, 0.0), (-w * 0.36, 11.0), (0.0, 15.6), (w * 0.36, 11.0), (w * 0.5 - 1.4, 0.0)],
    ]
    outline: list[Run] = [
        [(-w * 0.94, 0.0), (0.0, -0.6), (w * 0.94, 0.0)],
        [(w * 0.94, 0.0), (w * 1.08, -t * 0.6), (w, -t)],
        [(w, -t), (0.0, -t - 0.6), (-w, -t)],
        [(-w, -t), (-w * 1.08, -t * 0.6), (-w * 0.94, 0.0)],
    ]
    flap: list[Run] = [
        [(-w * 0.96, -0.2), (0.0, -0.8), (w * 0.96, -0.2)],
        [(w * 0.96, -0.2), (w * 0.84, -t * 0.42), (0.0, -t * 0.54), (-w * 0.84, -t * 0.42), (-w * 0.96, -0.2)],
    ]
    return [
        lines("handle", piece.slot, "edge", handle, mixed(colour, "#1d1712", 0.3)),
        area("bag", piece.slot, outline, colour, light="leather"),
        area("flap", piece.slot, flap, colour, light="leather"),
        area("clasp", piece.slot, box(-1.6, 1.6, -t * 0.56, -t * 0.46), "gold"),
    ]


def _hat(body: Body, landed: Landed) -> list[Shape]:
    piece, colour = landed.piece, colour_of(landed.piece)
    crown: Run = [
        (-9.4, 0.6),
        (-9.0, 6.0),
        (-6.6, 11.6),
        (-2.6, 12.4),
        (0.0, 11.2),
        (2.6, 12.4),
        (6.6, 11.6),
        (9.0, 6.0),
        (9.4, 0.6),
    ]
    brim: list[Run] = [
        [(-20.0, 0.4), (-10.0, 1.6), (0.0, 2.0), (10.0, 1.6), (20.0, 0.4)],
        [(20.0, 0.4), (10.0, -2.2), (0.0, -3.0), (-10.0, -2.2), (-20.0, 0.4)],
    ]
    band: list[Run] = [
        [(-9.2, 3.6), (0.0, 2.8), (9.2, 3.6)],
        [(9.2, 3.6), (9.4, 0.8)],
        [(9.4, 0.8), (0.0, 0.0), (-9.4, 0.8)],
        [(-9.4, 0.8), (-9.2, 3.6)],
    ]
    return [
        area("brim", piece.slot, brim, colour, light="form"),
        area(
            "crown",
            piece.slot,
            [crown, [crown[-1], (0.0, -0.6), crown[0]]],
            colour,
            weave=weave_of(piece, colour),
            light="form",
        ),
        area("band", piece.slot, band, mixed(colour, "#1d1712", 0.55)),
    ]


def _socks(body: Body, landed: Landed) -> list[Shape]:
    piece, colour = landed.piece, colour_of(landed.piece)
    tall = max(sock_top(piece, 0.0).cm, 6.0)
    found: list[Shape] = []
    for name, x in (("left", -12.0), ("right", 5.0)):
        runs: list[Run] = [
            [(x - 4.2, tall), (x + 4.2, tall)],
            [(x + 4.2, tall), (x + 4.0, 9.0), (x + 6.0, 6.4), (x + 13.0, 4.2), (x + 15.4, 2.0), (x + 13.4, 0.0)],
            [(x + 13.4, 0.0), (x - 2.6, 0.0)],
            [(x - 2.6, 0.0), (x - 5.4, 2.4), (x - 4.6, 7.0), (x - 4.2, tall)],
        ]
        marks: list[Run] = [[(x + off, tall), (x + off, tall - 3.4)] for off in (-3.0, -1.8, -0.6, 0.6, 1.8, 3.0)]
        marks += [[(x - 4.8, 5.4), (x - 1.0, 4.0), (x - 0.4, 0.0)], [(x + 10.6, 5.0), (x + 9.8, 0.0)]]
        found += [
            area(name, piece.slot, runs, colour, weave=weave_of(piece, colour)),
            lines(f"{name}_marks", piece.slot, "seam", marks, thread(colour)),
        ]
    return found


def _at_wrist(body: Body, landed: Landed) -> list[Shape]:
    piece, colour = landed.piece, colour_of(landed.piece)
    found = [area(piece.kind, piece.slot, _ring_of(0.0, 0.0, 3.4, 2.4, 0.9), colour, light="satin")]
    if piece.kind == "watch":
        found += [area("face", piece.slot, oval(0.0, -2.2, 1.9, 1.9), colour, light="satin"), area("dial", piece.slot, oval(0.0, -2.2, 1.5, 1.5), "ivory"),
                  lines("hands", piece.slot, "edge", [[(0.0, -2.2), (0.0, -1.2)], [(0.0, -2.2), (0.8, -2.4)]])]  # fmt: skip
    return found


def _ring(body: Body, landed: Landed) -> list[Shape]:
    piece, colour = landed.piece, colour_of(landed.piece)
    stone: list[Run] = [
        [(-0.5, 1.1), (-0.25, 1.6)],
        [(-0.25, 1.6), (0.25, 1.6)],
        [(0.25, 1.6), (0.5, 1.1)],
        [(0.5, 1.1), (0.0, 0.6)],
        [(0.0, 0.6), (-0.5, 1.1)],
    ]
    return [
        area("ring", piece.slot, _ring_of(0.0, 0.0, 1.0, 0.8, 0.25), colour, light="satin"),
        area("stone", piece.slot, stone, "light_blue"),
    ]


def _tights(body: Body, landed: Landed) -> list[Shape]:
    return _legs(body, landed, body.height("waist"), 3.0)


def _smoothing(body: Body, landed: Landed) -> list[Shape]:
    return _legs(body, landed, body.height("waist"), body.height("mid_thigh"))


def _legs(body: Body, landed: Landed, band: float, hem: float) -> list[Shape]:
    """Something close on the legs, laid flat: narrower than the leg it stretches over."""
    crotch = body.height("crotch")
    piece = landed.piece

    def trunk(height: float) -> float:
        down = max(0.0, min(1.0, (band - height) / max(band - body.height("hip"), 1.0)))
        return (body.girth("waist") * (1 - down) + body.girth("hip") * down) / 4.7

    frame = Legs(band, crotch, hem, body.height("hip"), body.height("knee"), trunk, lambda h: 0.5 + 1.5 * (crotch - h) / crotch,
                 lambda h: 0.5 + 1.5 * (crotch - h) / crotch + body.leg_girth(h) / (2.9 - 0.5 * (crotch - h) / crotch), flat=True)  # fmt: skip
    return list(draw_legs(Cloth(piece, piece.slot, "legs", colour_of(piece)), frame))


def _bra(body: Body, landed: Landed) -> list[Shape]:
    piece, colour = landed.piece, colour_of(landed.piece)
    half = (piece.figure("under_bust_cm") or body.girth("under_bust")) / 4.2
    cup: list[Run] = [
        [(0.6, -2.0), (half * 0.26, 3.4), (half * 0.6, 7.4)],
        [(half * 0.6, 7.4), (half * 0.84, 3.0), (half, -0.6)],
        [(half, -0.6), (half * 0.84, -5.2), (half * 0.42, -6.0), (0.6, -2.0)],
    ]
    band: list[Run] = [
        [(0.0, -3.6), (half * 1.02, -0.6)],
        [(half * 1.02, -0.6), (half * 1.24, -1.6)],
        [(half * 1.24, -1.6), (half * 1.24, -4.4)],
        [(half * 1.24, -4.4), (half * 0.9, -6.2), (0.0, -6.6)],
    ]
    straps: list[Run] = [[(half * 0.6, 7.2), (half * 0.66, 16.0), (half * 0.9, 18.0)]]
    seam: list[Run] = [[(half * 0.2, -1.4), (half * 0.52, 0.8), (half * 0.92, 0.2)]]
    weave = weave_of(piece, colour)
    return [
        lines("straps", piece.slot, "edge", [*straps, *(flip(run) for run in straps)], mixed(colour, "#1d1712", 0.25)),
        area("band", piece.slot, whole(band), colour),
        area("cup_right", piece.slot, cup, colour, weave=weave, light="form"),
        area("cup_left", piece.slot, [flip(run) for run in cup], colour, weave=weave),
        lines("seams", piece.slot, "seam", [*seam, *(flip(run) for run in seam)], thread(colour)),
    ]


def _underslip(body: Body, landed: Landed) -> list[Shape]:
    piece, colour = landed.piece, colour_of(landed.piece)
    low = landed.edge("end").height - landed.shoes.lift
    top, half = body.height("bust") + 8.0, body.girth("bust") / 4.2
    peak: Point = (half * 0.56, top)
    runs: list[Run] = [
        [(0.0, top - 6.0), (half * 0.3, top - 4.4), peak],
        [peak, (half * 0.84, top - 6.0), (half, top - 9.0)],
        [(half, top - 9.0), (half * 0.92, body.height("waist")), (half * 1.08, body.height("hip")), (half * 1.14, low)],
        [(half * 1.14, low), (0.0, low - 0.4)],
    ]
    over = body.height("shoulder")
    strap: list[Run] = [[peak, (peak[0], over)], [(-peak[0], peak[1]), (-peak[0], over)]]
    return [
        lines("straps", piece.slot, "edge", strap, mixed(colour, "#1d1712", 0.25)),
        area("slip", piece.slot, whole(runs), colour, light="satin"),
    ]


_OBJECTS: dict[str, Callable[[Body, Landed], list[Shape]]] = {
    "belt": _belt,
    "necklace": _necklace,
    "earrings": _earrings,
    "scarf": _scarf,
    "bag": _bag,
    "hat": _hat,
    "socks": _socks,
    "watch": _at_wrist,
    "bracelet": _at_wrist,
    "ring": _ring,
    "tights": _tights,
    "smoothing_shorts": _smoothing,
    "bra": _bra,
    "underslip": _underslip,
}
