"""Trousers as they hang: as wide as their numbers say, with band, cuff and folds."""

from __future__ import annotations

from craft.body.proportions import LEG_BREADTH_OVER_GIRTH
from craft.draw.shapes import Point, Shape, mirrored, steps
from craft.draw.skirt import skirt_half
from craft.look import Outfit
from craft.wear import WornBottom
from craft.wear.cuts import CUFF_CM

#: A loose tube of girth g hangs this much times g broad in front view; a filled one is as broad
#: as the leg in it. From FREE cm of ease on, the cloth hangs from above and no longer follows the leg.
HANGS_BROAD, FREE = 0.335, 9.0
#: Of each cm of ease around the trunk, this much shows at each side in front view.
EASE_SHOWS = 0.17
BAND_CM = 3.5


def leg_sides(outfit: Outfit, bottom: WornBottom, height: float) -> tuple[float, float]:
    """Inner and outer x of the right trouser leg at a height above the ground."""
    body, on_body = outfit.body, height - outfit.lift
    own = body.leg_half_breadth(max(on_body, body.height("narrow_ankle")))
    girth = bottom.girth_at(height)
    loose = max(0.0, min(1.0, (girth - body.leg_girth(on_body)) / FREE))
    half = max(own + 0.35, girth * (LEG_BREADTH_OVER_GIRTH + (HANGS_BROAD - LEG_BREADTH_OVER_GIRTH) * loose) / 2)
    centre = body.leg_centre(max(on_body, 0.0))
    inner = max(0.3, centre - half)
    return inner, inner + 2 * half


def _trunk_half(outfit: Outfit, bottom: WornBottom, height: float) -> float:
    """Half breadth of the trousers above the fork; the ease of the thigh runs out at the band."""
    body = outfit.body
    own = body.half_breadth(max(height - outfit.lift, body.height("crotch")))
    room = max(bottom.waistband.cm - bottom.fork, 1.0)
    share = max(0.0, min(1.0, (bottom.waistband.cm - height) / room))
    return own + 0.3 + max(0.0, EASE_SHOWS * bottom.thigh_ease) * float(share**1.3)


def outer(outfit: Outfit, bottom: WornBottom, height: float) -> float:
    """Half breadth of the trousers' outline at a height above the ground."""
    if not bottom.has_legs:
        return skirt_half(outfit, bottom, height)
    if height >= bottom.fork:
        return _trunk_half(outfit, bottom, height)
    return leg_sides(outfit, bottom, height)[1]


def draw_bottom(outfit: Outfit) -> tuple[Shape, ...]:
    """The bottom as it hangs: nothing where none is worn. Points in cm, x from the middle, y from the floor."""
    bottom = outfit.bottom
    if bottom is None:
        return ()
    hem = bottom.hem.cm
    upper = [(_trunk_half(outfit, bottom, h), h) for h in steps(bottom.waistband.cm, bottom.fork + 0.5, 2.0)]
    legs = steps(bottom.fork, hem, 2.0)
    join = upper[-1][0]
    broad = leg_sides(outfit, bottom, hem)[1]
    outside: list[Point] = []
    for h in legs:
        # Hip and leg meet in one line: the leg takes over within a hand's breadth.
        fade = max(0.0, 1 - (bottom.fork - h) / 9.0)
        # What a full leg has more than the hip is broad falls in front and behind, not beside it.
        beside = join + max(0.0, broad - join) * (bottom.fork - h) / max(bottom.fork - hem, 1.0)
        outside.append((join * fade + min(beside, leg_sides(outfit, bottom, h)[1]) * (1 - fade), h))
    inside = [(leg_sides(outfit, bottom, h)[0], h) for h in reversed(legs)]
    side = [*upper, *outside, *inside]
    area = (*side, (0.0, bottom.fork), *mirrored(side))
    word = bottom.piece.word
    shapes = [Shape("bottom", "bottom", "cloth", area, bottom.colour, word("pattern"))]
    shapes += _details(outfit, bottom)
    return tuple(shapes)


def _details(outfit: Outfit, bottom: WornBottom) -> list[Shape]:
    band = bottom.waistband.cm - BAND_CM
    half = _trunk_half(outfit, bottom, band)
    lines: list[tuple[str, list[Point]]] = [("band", [(-half, band), (0.0, band - 0.8), (half, band)])]
    if bottom.piece.kind != "leggings":
        lines.append(("fly", [(0.0, band - 0.8), (0.0, bottom.fork + 4.0)]))
    heights = []
    if bottom.cuffed:
        heights.append(bottom.hem.cm + CUFF_CM)
    if bottom.stack >= 1.0 and not bottom.is_wide_hemmed:
        # Cloth that is too long lies in folds above the hem, one for each 2.5 cm or so.
        heights += [bottom.hem.cm + 1.8 + 2.2 * fold for fold in range(min(4, 1 + int(bottom.stack / 2.5)))]
    for at, height in enumerate(heights):
        inner, outside = leg_sides(outfit, bottom, height)
        sag = 0.0 if bottom.cuffed and at == 0 else 0.7
        line = [(inner, height), ((inner + outside) / 2, height - sag), (outside, height)]
        lines += [(f"fold_{at}_right", line), (f"fold_{at}_left", [(-x, y) for x, y in line])]
    return [Shape(key, "bottom", "detail", tuple(points), bottom.colour) for key, points in lines]
