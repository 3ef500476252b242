"""Garments as they hang: outlines from their own figures and how they are worn."""

from __future__ import annotations

from craft.draw.bottom import draw_bottom
from craft.draw.shapes import Shape
from craft.draw.shoes import draw_shoes
from craft.draw.top import draw_top
from craft.look import Outfit


def draw_look(outfit: Outfit) -> tuple[Shape, ...]:
    """Every garment of a look, in the order to paint them: what lies under comes first."""
    shoes = draw_shoes(outfit)
    bottom = draw_bottom(outfit)
    top = draw_top(outfit)
    inside = outfit.bottom is not None and outfit.bottom.inside
    below = bottom + shoes if inside else shoes + bottom
    return below + top
