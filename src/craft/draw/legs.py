"""How trousers are made: two panels that meet in the middle, band, fly, pockets, creases, cuffs, fades and folds."""

from __future__ import annotations

from typing import NamedTuple

from craft.draw.frames import Cloth, Legs
from craft.draw.shapes import Fold, Point, Run, Shape, area, flip, flip_folds, folds, lines, other_side, oval
from craft.draw.weave import THREAD, light_of, mixed, opacity_of, system_of, thread, weave_of
from craft.wear.cuts import CUFF_CM

#: How broad a waistband is, cm, by its word (W).
BAND_CM = {"elastic": 4.0, "drawstring": 3.5, "firm": 6.0, "two_button": 5.0, "paper_bag": 4.0}
PLAIN_BAND = 3.6


class Made(NamedTuple):
    """How a kind of trousers is made (W): pockets in front, a crease, stitching, a fly, loops on its band."""

    pockets: str = "slant"
    crease: bool = False
    stitched: bool = False
    fly: bool = True
    loops: bool = True
    band: bool = True


MADE = {
    "jeans": Made("scoop", stitched=True),
    "trousers": Made("slant", crease=True),
    "leggings": Made("", fly=False, loops=False),
    "shorts": Made("slant"),
    "swim_shorts": Made("slant", fly=False, loops=False),
    "dungarees": Made("scoop", stitched=True, fly=False, loops=False, band=False),
    "jumpsuit": Made("slant", fly=False, loops=False, band=False),
    "smoothing_shorts": Made("", fly=False, loops=False, band=False),
}


def draw_legs(
    cloth: Cloth, frame: Legs, *, cuffed: bool = False, stack: float = 0.0, back: bool = False
) -> tuple[Shape, ...]:
    """Both panels, and everything on them."""
    piece, how = cloth.piece, MADE.get(cloth.piece.kind, Made())
    denim = system_of(piece) == "denim"
    panel: list[Run] = [
        [
            (0.0, frame.band - 0.5),
            (frame.trunk(frame.band) * 0.5, frame.band - 0.35),
            (frame.trunk(frame.band), frame.band),
        ],
        frame.side(),
        [(frame.outer(frame.hem), frame.hem), (frame.inner(frame.hem), frame.hem)],
        frame.inside(),
        [(0.0, frame.fork), (0.0, frame.band - 0.5)],
    ]
    right = area(
        f"{cloth.key}_right", cloth.slot, panel, cloth.colour,
        weave=weave_of(piece, cloth.colour), light=light_of(piece), opacity=opacity_of(piece),
    )  # fmt: skip
    found = [right, other_side(right, f"{cloth.key}_left", panel)]
    found += _faded(cloth, frame)
    seams, stitches, edges = _sewn(cloth, frame, how, back=back)
    ink = thread(cloth.colour)
    for side, mirrored in (("right", False), ("left", True)):
        clip = f"{cloth.key}_{side}"
        if seams:
            drawn = [flip(run) for run in seams] if mirrored else seams
            found.append(lines(f"{cloth.key}_seams_{side}", cloth.slot, "seam", drawn, ink, clip=clip))
        if stitches:
            drawn = [flip(run) for run in stitches] if mirrored else stitches
            yarn = THREAD if denim else thread(cloth.colour, 0.6)
            found.append(lines(f"{cloth.key}_stitches_{side}", cloth.slot, "stitch", drawn, yarn, clip=clip))
        bent = _falls(cloth, frame, stack)
        if mirrored:
            bent = flip_folds(bent)
        if bent:
            found.append(folds(f"{cloth.key}_folds_{side}", cloth.slot, bent, ink, clip=clip))
    if edges:
        found.append(lines(f"{cloth.key}_closing_front", cloth.slot, "seam", edges, thread(cloth.colour, 0.65)))
    if cuffed or piece.flag("cuffed"):
        found += _cuffs(cloth, frame)
    if piece.flag("side_stripe"):
        found += _stripes(cloth, frame)
    return tuple(found)


def _sewn(cloth: Cloth, frame: Legs, how: Made, *, back: bool) -> tuple[list[Run], list[Run], list[Run]]:
    """Seams and stitching of the right panel, and what closes it in the middle."""
    piece = cloth.piece
    word = piece.word("band") or ""
    tall = BAND_CM.get(word, PLAIN_BAND)
    low = frame.band - tall
    half, edge = frame.trunk(low), frame.trunk(frame.band)
    seams: list[Run] = []
    stitches: list[Run] = []
    closing: list[Run] = []
    if how.band:
        seams.append([(0.0, low - 0.5), (half * 0.5, low - 0.35), (half, low)])
        if word in ("elastic", "drawstring", "paper_bag") or piece.kind == "leggings":
            seams += [
                [(edge * part, frame.band - 0.4), (half * part * 0.99, low - 0.3)]
                for part in (0.1, 0.22, 0.34, 0.46, 0.58, 0.7, 0.82, 0.93)
            ]
        elif how.loops:
            for part in (0.42, 0.86):
                x = half * part
                seams += [[(x, frame.band + 0.1), (x, low - 0.6)], [(x + 1.2, frame.band + 0.1), (x + 1.2, low - 0.6)]]
        if word == "drawstring" and not back:
            closing += [
                [(-1.2, low + 1.4), (-1.8, low - 5.0), (-1.4, low - 10.0)],
                [(1.2, low + 1.4), (1.6, low - 5.0), (2.0, low - 9.0)],
            ]
        elif how.fly and not back:
            for at in range(2 if word == "two_button" else 1):
                closing += oval(0.0 if word != "two_button" else -1.4 + 2.8 * at, low + tall / 2 - 0.4, 0.75, 0.75)
    if how.fly and not back and word not in ("elastic", "drawstring"):
        end = max(frame.fork + 3.5, low - 16.0)
        stitches.append([(2.9, low - 0.5), (2.9, (low + end) / 2 - 1.0), (2.2, end + 1.6), (0.0, end - 0.6)])
    if not back:
        pocket = piece.word("pockets")
        seams += _pockets(pocket if pocket in ("none", "hip", "thigh") else how.pockets, frame, low)
    if how.pockets == "scoop":
        stitches += [[(x - 0.1, y - 0.7) for x, y in _pockets("scoop", frame, low)[0]]] if not back else []
    if how.crease and frame.hem < frame.knee - 5:
        middle = [(frame.inner(h) + frame.outer(h)) / 2 for h in (frame.fork - 6, frame.knee, frame.hem)]
        top: Point = (half * 0.5, frame.fork + 6.0)
        seams.append([top, (middle[0], frame.fork - 6), (middle[1], frame.knee), (middle[2], frame.hem)])
    finish = piece.word("hem_finish")
    if how.stitched and finish != "raw":
        stitches.append(
            [(frame.outer(frame.hem + 1.8), frame.hem + 1.8), (frame.inner(frame.hem + 1.8), frame.hem + 1.8)]
        )
    if finish == "raw":
        stitches += [
            [(x, frame.hem + 1.6), (x + 0.2, frame.hem)]
            for x in _spread(frame.inner(frame.hem), frame.outer(frame.hem), 12)
        ]
    if piece.word("cut") == "pleated" or (piece.kind == "trousers" and frame.volume > 2.6):
        seams += [[(half * part, low), (half * part * 1.02, low - 9.0)] for part in (0.3, 0.5)]
    if piece.flag("distressed"):
        x0, x1 = frame.inner(frame.knee), frame.outer(frame.knee)
        seams += [
            [
                (x0 + (x1 - x0) * 0.25, frame.knee + off),
                (x0 + (x1 - x0) * 0.5, frame.knee + off - 0.3),
                (x0 + (x1 - x0) * 0.76, frame.knee + off),
            ]
            for off in (-1.5, -0.5, 0.5, 1.5, 6.0, 7.0)
        ]
    return seams, stitches, closing


def _spread(a: float, b: float, count: int) -> list[float]:
    return [a + (b - a) * (at + 0.5) / count for at in range(count)]


def _pockets(kind: str, frame: Legs, low: float) -> list[Run]:
    half = frame.trunk(low)
    if kind == "scoop":
        mouth: Run = [(half * 0.5, low - 0.4), (half * 0.62, low - 4.6), (frame.trunk(low - 7.0) * 1.01, low - 7.0)]
        coin: Run = [(half * 0.66, low - 4.2), (half * 0.9, low - 3.6)]
        return [mouth, coin]
    if kind in ("slant", "hip"):
        return [[(half * 0.68, low - 0.3), (frame.trunk(low - 15.0), low - 15.5)]]
    if kind == "thigh":
        y = frame.fork - 12.0
        a, b = frame.outer(y) - 11.0, frame.outer(y) - 0.8
        return [[(a, y), (b, y)], [(a, y), (a, y - 15)], [(a, y - 15), (b, y - 15)], [(a, y - 3.5), (b, y - 3.5)]]
    return []


def _falls(cloth: Cloth, frame: Legs, stack: float) -> list[Fold]:
    """Folds of the right leg: whiskers at the fork, a bend at the knee, what hangs free, what is too long."""
    if frame.flat:
        return []
    piece, fork = cloth.piece, frame.fork
    soft = piece.word("drape") == "fluid" or bool({"draping", "satin", "thin"} & set(piece.fabric))
    found = [
        Fold((0.6, fork + 1.2), (frame.outer(fork - 6.0) * 0.52, fork + 4.6), 0.9, 0.5),
        Fold((0.8, fork + 0.2), (frame.outer(fork - 6.0) * 0.44, fork - 3.6), 0.5, 0.45),
    ]
    long = frame.hem < frame.knee - 6.0
    middle = (frame.inner(frame.knee) + frame.outer(frame.knee)) / 2
    if long and frame.volume < 2.4:
        wide = frame.outer(frame.knee) - frame.inner(frame.knee)
        found += [
            Fold((frame.inner(frame.knee), frame.knee + 1.5), (middle + wide * 0.12, frame.knee - 0.6), -0.7, 0.45),
            Fold((frame.outer(frame.knee), frame.knee - 3.0), (middle - wide * 0.05, frame.knee - 4.6), 0.6, 0.4),
        ]
    elif long or frame.volume > 1.8:
        # Wide legs hang in long folds from hip and thigh.
        for part, bow in (
            ((0.3, 0.5), (0.68, -0.6)) if not soft else ((0.22, 0.5), (0.46, -0.5), (0.72, 0.6), (0.9, -0.4))
        ):
            low = frame.hem + 1.0
            x = frame.inner(low) + (frame.outer(low) - frame.inner(low)) * part
            found.append(
                Fold(
                    (x, low),
                    (
                        frame.inner(fork - 8) + (frame.outer(fork - 8) - frame.inner(fork - 8)) * (0.3 + part * 0.5),
                        fork - 6.0,
                    ),
                    bow,
                    0.8,
                )
            )
    for at in range(min(4, int(0.5 + stack / 2.0))):
        y = frame.hem + 2.0 + 2.4 * at
        a, b = frame.inner(y), frame.outer(y)
        found.append(
            Fold((a, y), (a + (b - a) * 0.78, y - 1.0), -0.8, 0.6)
            if at % 2
            else Fold((b, y + 0.4), (b - (b - a) * 0.8, y - 0.6), 0.8, 0.6)
        )
    return found


def _cuffs(cloth: Cloth, frame: Legs) -> list[Shape]:
    """The leg turned up: the inside of the cloth, a little wider than the leg."""
    top = frame.hem + CUFF_CM
    a, b = frame.inner(frame.hem) - 0.35, frame.outer(frame.hem) + 0.35
    c, d = frame.inner(top) - 0.35, frame.outer(top) + 0.35
    runs: list[Run] = [
        [(c, top), ((c + d) / 2, top - 0.3), (d, top)],
        [(d, top), (b, frame.hem)],
        [(b, frame.hem), (a, frame.hem)],
        [(a, frame.hem), (c, top)],
    ]
    inside = mixed(cloth.colour, "#ffffff", 0.35) if system_of(cloth.piece) == "denim" else cloth.colour
    right = area(f"{cloth.key}_cuff_right", cloth.slot, runs, inside, light="form")
    return [right, other_side(right, f"{cloth.key}_cuff_left", runs)]


def _stripes(cloth: Cloth, frame: Legs) -> list[Shape]:
    """A stripe down the outer side."""
    side = frame.side()
    runs: list[Run] = [side, [side[-1], (side[-1][0] - 1.8, side[-1][1])], [(x - 1.8, y) for x, y in reversed(side)]]
    colour = cloth.piece.word("second_colour") or thread(cloth.colour, 0.9)
    right = area(f"{cloth.key}_stripe_right", cloth.slot, runs, colour, clip=f"{cloth.key}_right")
    left = other_side(right, f"{cloth.key}_stripe_left", runs)
    return [right, left]


def _faded(cloth: Cloth, frame: Legs) -> list[Shape]:
    """Where denim has been worn or washed lighter: soft fields on the thighs, one over the other."""
    piece = cloth.piece
    faded = piece.words("fade")
    light = piece.word("wash") in ("light_wash", "mid_wash")
    if system_of(piece) != "denim" or not ("thighs" in faded or light):
        return []
    y = (frame.fork + frame.knee) / 2 + 3.0
    middle, wide = (frame.inner(y) + frame.outer(y)) / 2, (frame.outer(y) - frame.inner(y)) / 2
    strong = 0.78 if "thighs" in faded else 0.66
    right = oval(middle, y, wide * strong, min(22.0, frame.fork - y + 9.0))
    return [
        area(f"{cloth.key}_fade_right", cloth.slot, right, role="fade", clip=f"{cloth.key}_right"),
        area(f"{cloth.key}_fade_left", cloth.slot, [flip(run) for run in right], role="fade", clip=f"{cloth.key}_left"),
    ]
