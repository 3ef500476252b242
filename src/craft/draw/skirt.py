"""Skirts and the lower part of dresses: from the waist over the hip to the hem; how they fall, pleat, wrap and are sewn."""

from __future__ import annotations

import itertools

from craft.draw.frames import Cloth, Skirt
from craft.draw.panels import side_panels
from craft.draw.shapes import Fold, Point, Run, Shape, area, flip, flip_folds, folds, lines, oval, whole
from craft.draw.weave import THREAD, light_of, opacity_of, system_of, thread, weave_of
from craft.look import Outfit
from craft.wear import WornBottom

#: How far a skirt stands out at its hem over the hip's half breadth, by volume (0 to 4); closer ones draw in (W).
_SPREAD = ((0.0, 0.80), (0.9, 0.90), (1.7, 1.08), (2.3, 1.32), (2.6, 1.42), (4.0, 1.8))
#: How broad a skirt's band is, cm; of one on an elastic (W).
BAND, SLIP_BAND = 3.2, 2.2


def _spread(volume: float) -> float:
    for (v0, s0), (v1, s1) in itertools.pairwise(_SPREAD):
        if volume <= v1:
            return s0 + (s1 - s0) * (volume - v0) / (v1 - v0)
    return _SPREAD[-1][1]


def skirt_half(outfit: Outfit, skirt: WornBottom, height: float) -> float:
    """Half breadth of a skirt at a height above the ground, cm."""
    body, lift = outfit.body, outfit.lift
    hip = body.height("hip") + lift
    own = body.half_breadth(max(height - lift, body.height("crotch"))) if height >= hip else 0.0
    hip_half = body.half_breadth(body.height("hip")) + 0.6
    if height >= hip:
        return own + 0.5
    # From the hip the cloth falls: straight to its sweep, over what is under it.
    down = (hip - height) / max(hip - min(skirt.hem.cm, hip - 1.0), 1.0)
    reach = (hip - skirt.hem.cm) / max(hip - body.height("knee") - lift, 1.0)
    bias = skirt.cut == "slip" and skirt.volume < 2.0
    # A bias cut clings to the thigh and swings out below it.
    down = down**2.0 * 1.15 - 0.12 * down if bias else down
    free = hip_half * (1 + (_spread(skirt.volume) - 1) * down * min(1.0, 0.35 + 0.65 * reach))
    return max(free, body.half_breadth(max(height - lift, 0.0)) + 0.3 if skirt.volume < 1.2 else free)


def skirt_frame_on(outfit: Outfit, skirt: WornBottom) -> Skirt:
    """A skirt as it hangs."""
    return Skirt(
        skirt.waistband.cm,
        outfit.body.height("hip") + outfit.lift,
        max(skirt.hem.cm, 0.0),
        lambda height: skirt_half(outfit, skirt, height),
        skirt.volume,
    )


def draw_skirt(outfit: Outfit, skirt: WornBottom) -> tuple[Shape, ...]:
    """A skirt from its band down; of a dress, from the waist."""
    cloth = Cloth(skirt.piece, skirt.piece.slot, "skirt", skirt.colour)
    return sewn_skirt(cloth, skirt_frame_on(outfit, skirt), skirt.cut)


def sewn_skirt(cloth: Cloth, frame: Skirt, cut: str) -> tuple[Shape, ...]:
    """A skirt and what is on it."""
    piece, band = cloth.piece, frame.band
    top, edge = frame.half(band), hem_of(frame)
    right: list[Run] = [[(0.0, band - 0.5), (top * 0.5, band - 0.35), (top, band)], [*frame.side()[:-1], edge[0]], edge]
    shape = area(cloth.key, cloth.slot, whole(right), cloth.colour, weave=weave_of(piece, cloth.colour),
                 light=light_of(piece), opacity=opacity_of(piece))  # fmt: skip
    return (shape, *side_panels(cloth, frame.side(), band), *worked_skirt(cloth, frame, cut))


def worked_skirt(cloth: Cloth, frame: Skirt, cut: str) -> tuple[Shape, ...]:
    """What is sewn on a skirt, and how it falls."""
    piece, found = cloth.piece, list[Shape]()
    seams, stitches, bent = _sewn(cloth, frame, cut)
    ink = thread(cloth.colour)
    if bent:
        found.append(folds(f"{cloth.key}_folds", cloth.slot, bent, ink, clip=cloth.key))
    if seams:
        found.append(lines(f"{cloth.key}_seams", cloth.slot, "seam", seams, ink, clip=cloth.key))
    if stitches:
        yarn = THREAD if system_of(piece) == "denim" else thread(cloth.colour, 0.6)
        found.append(lines(f"{cloth.key}_stitches", cloth.slot, "stitch", stitches, yarn, clip=cloth.key))
    return tuple(found)


def hem_of(frame: Skirt) -> Run:
    """The hem from the right side to the middle, at its lowest where it is meant to end; in waves where there is cloth."""
    foot, hem = frame.half(frame.hem), frame.hem
    waved = min(1.0, max(0.0, frame.volume - 1.2)) * (1.1 if not frame.flat else 0.7)
    if waved < 0.3:
        return [(foot, hem + 0.4), (foot * 0.6, hem + 0.1), (0.0, hem)]
    rises = ((1.0, 1.2), (0.86, 0.1), (0.68, 1.1), (0.46, 0.0), (0.22, 0.9), (0.0, 0.0))
    return [(foot * share, hem + waved * up) for share, up in rises]


def _sewn(cloth: Cloth, frame: Skirt, cut: str) -> tuple[list[Run], list[Run], list[Fold]]:
    piece, band, hem, hip = cloth.piece, frame.band, frame.hem, frame.hip
    seams: list[Run] = []
    stitches: list[Run] = []
    bent: list[Fold] = []
    own_band = piece.slot == "bottom"
    low = band - (SLIP_BAND if cut == "slip" else BAND)
    half = frame.half(low)
    if own_band:
        seams.append([(half, low), (0.0, low - 0.5), (-half, low)])
    denim = system_of(piece) == "denim"
    right: list[Run] = []
    if cut == "pleated":
        for at in range(1, 9):
            share = at / 8.6
            start: Point = (share * half, low - 0.4)
            end: Point = (share * frame.half(hem), hem)
            right.append([start, ((start[0] + end[0]) / 2, (low + hem) / 2), end])
            bent.append(Fold(end, (start[0] * 1.02, low - 6.0), 0.25, 0.7))
    elif cut == "pencil" or (own_band and frame.volume < 1.3 and cut != "slip" and not denim):
        right += [
            [(half * 0.5, low - 0.3), (half * 0.52, low - 9.0)],
            [(half * 0.74, low - 0.2), (half * 0.75, low - 7.5)],
        ]
    if own_band and denim:
        right += [[(half * 0.5, low - 0.4), (half * 0.64, low - 4.6), (frame.half(low - 7.0), low - 7.0)]]
        stitches += [
            [(2.6, low - 0.5), (2.6, low - 11.0), (0.0, low - 14.5)],
            [(frame.half(hem + 2), hem + 2), (-frame.half(hem + 2), hem + 2)],
        ]
        seams += [[(0.0, band), (0.0, low - 15.0)], *oval(0.0, low + 1.5, 0.75, 0.75)]
    if cut == "ruched":
        for off in range(6):
            y = hip + 4 - off * max((hip - hem) / 7, 2.0)
            if y > hem:
                bent.append(Fold((frame.half(y), y), (-frame.half(y) * 0.3, y + 3.5), 1.2, 0.6))
    elif cut != "pleated" and not frame.flat:
        bent += _hangs(cloth, frame)
    seams += [*right, *(flip(run) for run in right)]
    bent += flip_folds(bent) if cut != "ruched" else []
    if cut == "wrap":
        seams += _wrapped(frame, own_band=own_band)
    elif own_band and not denim and cut not in ("pleated", "slip") and frame.volume < 1.4:
        stitches.append([(frame.half(hem + 3), hem + 3), (-frame.half(hem + 3), hem + 3)])
    return seams, stitches, bent


def _wrapped(frame: Skirt, *, own_band: bool) -> list[Run]:
    """One side crosses the other and falls away from the knot."""
    band, hem = frame.band, frame.hem
    x = -frame.half(band) * 0.72
    over: Run = [
        (x, band - 0.5),
        (x * 0.5, (band + hem) / 2 + 6.0),
        (frame.half(hem) * 0.1, hem + 4.0),
        (frame.half(hem) * 0.5, hem),
    ]
    found = [over]
    if own_band:
        found += [
            [(x, band - 1.5), (x - 1.0, band - 8.0), (x - 2.6, band - 15.0)],
            [(x, band - 1.5), (x + 1.8, band - 7.0), (x + 1.4, band - 13.0)],
        ]
    return found


def _hangs(cloth: Cloth, frame: Skirt) -> list[Fold]:
    """Folds of the right half, from the hip to the hem: more and longer, the more cloth there is."""
    piece, hem, hip = cloth.piece, frame.hem, frame.hip
    if hip - hem < 12.0:
        return []
    soft = (
        piece.word("drape") == "fluid"
        or bool({"draping", "satin", "thin"} & set(piece.fabric))
        or piece.word("cut") == "slip"
    )
    places = (
        ((0.3, 0.5), (0.78, -0.7)) if frame.volume < 1.9 else ((0.14, 0.5), (0.42, -0.6), (0.68, 0.7), (0.88, -0.6))
    )
    if frame.volume < 1.3 and not soft:
        return []
    reach = 0.55 if frame.volume < 1.9 else 0.85
    foot = frame.half(hem)
    return [
        Fold(
            (foot * part, hem + 0.5),
            (frame.half(hip) * part * 0.9, hem + (hip - hem) * (reach - 0.18 * (at % 2))),
            bow,
            0.9,
        )
        for at, (part, bow) in enumerate(places)
    ]
