"""Shoes as seen from the front: upper, sole, heel, shaft and strap."""

from __future__ import annotations

from craft.draw.shapes import Point, Shape, flipped, steps
from craft.look import Outfit

#: How broad a toe ends, over the shoe's breadth.
TOE_ENDS = {"round": 0.86, "square": 0.98, "almond": 0.62, "pointed": 0.26}


def draw_shoes(outfit: Outfit) -> tuple[Shape, ...]:
    """Both shoes, standing on the floor: nothing where none are worn. Points in cm, x from the middle, y from the floor."""
    shoes, body, lift = outfit.shoes, outfit.body, outfit.lift
    if shoes.piece is None:
        return ()
    centre = body.leg_centre(0.0) + 0.5
    half = shoes.breadth / 2
    sole = shoes.platform
    toe = TOE_ENDS[shoes.toe]
    bone = body.height("ankle_bone") + lift
    low = min(shoes.cover.cm, bone)
    # The vamp from its top down over the ball of the foot to the toe.
    ball = sole + 0.45 * (low - sole)
    side: list[tuple[float, float]] = [
        (half * 0.80, low),
        (half * 0.98, ball),
        (half, sole + 1.2),
        (half * (0.35 + 0.6 * toe), sole),
    ]
    if shoes.is_boot:
        ease = shoes.shaft_ease or 0.0
        shaft = [
            (body.leg_half_breadth(h - lift) + max(0.4, 0.17 * ease) * _narrowing(h, bone, shoes.cover.cm), h)
            for h in steps(shoes.cover.cm, bone, 2.0)
        ]
        side = shaft + side[1:]
    colour = shoes.colour
    shape: list[Point] = [(centre + x, y) for x, y in side] + [(centre - x, y) for x, y in reversed(side)]
    if shoes.is_boot:
        # The leg stands a little nearer to the midline than the foot.
        shape = [(x + body.leg_centre(max(y - lift, 0.0)) - centre if y > bone else x, y) for x, y in shape]
    found = [("upper", "cloth", shape)]
    if shoes.heel - shoes.platform > 1.5:
        thin = 0.28 if shoes.piece.word("heel_shape") == "stiletto" else 0.55
        found.insert(0, ("heel", "sole", _box(centre, half * thin, 0.0, shoes.heel * 0.9)))
    if sole > 0.3:
        found.append(("sole", "sole", _box(centre, half * (0.5 + 0.5 * toe), 0.0, sole)))
    if shoes.strap is not None:
        leg = body.leg_half_breadth(shoes.strap - lift) + 0.2
        found.append(
            ("strap", "cloth", _box(body.leg_centre(shoes.strap - lift), leg, shoes.strap - 0.6, shoes.strap + 0.6))
        )
    shapes = []
    for key, role, points in found:
        shapes.append(Shape(f"{key}_right", "shoes", role, tuple(points), colour))  # type: ignore[arg-type]
        shapes.append(Shape(f"{key}_left", "shoes", role, flipped(points), colour))  # type: ignore[arg-type]
    return tuple(shapes)


def _narrowing(height: float, bone: float, top: float) -> float:
    """A shaft stands off the leg most at its top."""
    return 0.5 + 0.5 * max(0.0, min(1.0, (height - bone) / max(top - bone, 1.0)))


def _box(centre: float, half: float, low: float, high: float) -> list[Point]:
    return [(centre - half, high), (centre + half, high), (centre + half * 0.96, low), (centre - half * 0.96, low)]
