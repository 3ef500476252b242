"""Swim pieces and tights on the figure: their flats, drawn in to the body that fills them."""

from __future__ import annotations

import math
from dataclasses import replace

from craft.draw.flats import draw_flat
from craft.draw.shapes import Point, Shape
from craft.fit import land
from craft.look import Outfit

#: A tube laid flat is half its girth broad; filled by a body it is about this share of that (W).
FILLED = 0.72


def draw_swim(outfit: Outfit) -> tuple[Shape, ...]:
    """Swim pieces, from the body outwards."""
    found: list[Shape] = []
    for piece in outfit.look.all("swim"):
        for shape in draw_flat(outfit.body, land(outfit.body, piece)):
            points = tuple(_worn(outfit, point) for point in shape.points)
            found.append(
                replace(
                    shape,
                    key=f"{piece.kind}_{shape.key}".replace(" ", "_").replace(",", ""),
                    slot=piece.kind,
                    points=points,
                )
            )
    return tuple(found)


def _worn(outfit: Outfit, point: Point) -> Point:
    """A point of a flat where it lies on the body, which is never narrower than the piece."""
    x, y = point
    body = outfit.body
    edge = body.half_breadth(max(y, body.height("crotch"))) + 0.3
    inside = min(abs(x) * FILLED, edge) if abs(x) > 4.0 else abs(x)
    return math.copysign(inside, x), y + outfit.lift
