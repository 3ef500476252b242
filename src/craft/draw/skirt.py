"""Skirts and the lower part of dresses as they hang: from the waist over the hip to the hem."""

from __future__ import annotations

import itertools

from craft.draw.shapes import Point, Shape, mirrored, steps
from craft.look import Outfit
from craft.wear import WornBottom

#: How far a skirt stands out at its hem over the hip's half breadth, by volume (0 to 4); closer ones draw in (W).
_SPREAD = ((0.0, 0.80), (0.9, 0.90), (1.7, 1.08), (2.3, 1.32), (2.6, 1.42), (4.0, 1.8))


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
    free = hip_half * (1 + (_spread(skirt.volume) - 1) * down * min(1.0, 0.35 + 0.65 * reach))
    return max(free, body.half_breadth(max(height - lift, 0.0)) + 0.3 if skirt.volume < 1.2 else free)


def draw_skirt(outfit: Outfit, skirt: WornBottom) -> tuple[Shape, ...]:
    """A skirt from its band down; of a dress, from the waist."""
    side: list[Point] = [(skirt_half(outfit, skirt, h), h) for h in steps(skirt.waistband.cm, skirt.hem.cm, 2.0)]
    piece = skirt.piece
    area = Shape("skirt", piece.slot, "cloth", tuple(side + mirrored(side)), skirt.colour, piece.word("pattern"))
    lines: list[tuple[str, list[Point]]] = []
    if piece.slot == "bottom":
        band = skirt.waistband.cm - 3.0
        half = skirt_half(outfit, skirt, band)
        lines.append(("band", [(-half, band), (half, band)]))
    if skirt.cut == "pleated":
        top, low = skirt.waistband.cm - 4.0, skirt.hem.cm
        for share in (-0.66, -0.33, 0.0, 0.33, 0.66):
            lines.append(
                (
                    f"pleat{share}",
                    [(share * skirt_half(outfit, skirt, top), top), (share * skirt_half(outfit, skirt, low), low)],
                )
            )
    if skirt.cut == "wrap":
        lines.append(("wrap", [(skirt_half(outfit, skirt, skirt.waistband.cm) * 0.7, skirt.waistband.cm),
                               (-skirt_half(outfit, skirt, skirt.hem.cm) * 0.1, skirt.hem.cm)]))  # fmt: skip
    return (area, *(Shape(key, piece.slot, "detail", tuple(points), skirt.colour) for key, points in lines))
