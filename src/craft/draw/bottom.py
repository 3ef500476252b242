"""Trousers as they hang: as wide as their numbers say."""

from __future__ import annotations

from collections.abc import Callable

from craft.body.proportions import LEG_BREADTH_OVER_GIRTH
from craft.draw.frames import Cloth, Legs
from craft.draw.legs import draw_legs
from craft.draw.shapes import Shape
from craft.draw.skirt import skirt_half
from craft.look import Outfit
from craft.wear import WornBottom

#: A loose tube of girth g hangs this much times g broad in front view; a filled one is as broad
#: as the leg in it. From FREE cm of ease on, the cloth hangs from above and no longer follows the leg.
HANGS_BROAD, FREE = 0.335, 9.0
#: Of each cm of ease around the trunk, this much shows at each side in front view.
EASE_SHOWS = 0.17
#: Over so much above and below a leg's corners are eased, cm (W).
EASED = 9.0


def leg_sides(outfit: Outfit, bottom: WornBottom, height: float) -> tuple[float, float]:
    """Inner and outer x of the right trouser leg at a height above the ground."""
    body, on_body = outfit.body, height - outfit.lift
    own = body.leg_half_breadth(max(on_body, body.height("narrow_ankle")))
    girth = bottom.girth_at(height)
    loose = max(0.0, min(1.0, (girth - body.leg_girth(on_body)) / FREE))
    half = max(own + 0.35, girth * (LEG_BREADTH_OVER_GIRTH + (HANGS_BROAD - LEG_BREADTH_OVER_GIRTH) * loose) / 2)
    centre = body.leg_centre(max(on_body, 0.0))
    inner = max(0.12, centre - half)
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


def bottom_frame(outfit: Outfit, bottom: WornBottom) -> Legs:
    """Trousers as they hang."""
    body, lift, hem, fork = outfit.body, outfit.lift, bottom.hem.cm, bottom.fork
    join = _trunk_half(outfit, bottom, fork + 0.5)
    broad = leg_sides(outfit, bottom, hem)[1]

    def outside(height: float) -> float:
        # Hip and leg meet in one line: the leg takes over within a hand's breadth.
        fade = max(0.0, 1 - (fork - height) / 9.0)
        # What a full leg has more than the hip is broad falls in front and behind, not beside it.
        beside = join + max(0.0, broad - join) * (fork - height) / max(fork - hem, 1.0)
        return join * fade + min(beside, leg_sides(outfit, bottom, height)[1]) * (1 - fade)

    def smooth(side: Callable[[float], float]) -> Callable[[float], float]:
        # Cut pieces are eased into each other: no leg bends in a corner at the knee.
        def eased(height: float) -> float:
            off = max(0.0, min(EASED, height - hem, fork - 6.0 - height))
            return side(height) if off < 0.5 else (side(height - off) + 2 * side(height) + side(height + off)) / 4

        return eased

    return Legs(
        bottom.waistband.cm,
        fork,
        hem,
        body.height("hip") + lift,
        body.height("knee") + lift,
        lambda height: _trunk_half(outfit, bottom, height),
        smooth(lambda height: leg_sides(outfit, bottom, height)[0]),
        smooth(outside),
        bottom.volume,
    )


def draw_bottom(outfit: Outfit, *, back: bool = False) -> tuple[Shape, ...]:
    """The bottom as it hangs: nothing where none is worn. Points in cm, x from the middle, y from the floor."""
    bottom = outfit.bottom
    if bottom is None:
        return ()
    cloth = Cloth(bottom.piece, "bottom", "bottom", bottom.colour)
    stack = 0.0 if bottom.is_wide_hemmed else bottom.stack
    return draw_legs(cloth, bottom_frame(outfit, bottom), cuffed=bottom.cuffed, stack=stack, back=back)
