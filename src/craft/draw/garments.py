"""Garments as they hang: outlines from their own figures and how they are worn."""

from __future__ import annotations

from dataclasses import replace

from craft.draw.bottom import draw_bottom
from craft.draw.extras import draw_extras
from craft.draw.layer import draw_layer
from craft.draw.shapes import Point, Shape
from craft.draw.shoes import draw_shoes
from craft.draw.skirt import draw_skirt
from craft.draw.swim import draw_swim
from craft.draw.top import draw_top
from craft.look import Outfit
from craft.look.readings import BENEATH


def draw_look(outfit: Outfit) -> tuple[Shape, ...]:
    """Every garment of a look, in the order to paint them: what lies under comes first."""
    shoes = draw_shoes(outfit)
    bottom = _below(outfit)
    top = _of_its_piece(outfit, draw_top(outfit))
    inside = outfit.bottom is not None and outfit.bottom.inside
    legs = outfit.bottom is not None and outfit.bottom.has_legs
    # A skirt hangs over a tall shaft; a leg goes over it or into it.
    below = bottom + shoes if inside else shoes + bottom
    bib = outfit.one_piece is not None and outfit.one_piece.kind == "dungarees"
    middle = top + below + _bib(outfit) if bib and legs else below + top
    layers = tuple(shape for at, layer in enumerate(outfit.layers) for shape in draw_layer(outfit, layer, at))
    extras = draw_extras(outfit)
    skin = tuple(shape for shape in extras if shape.slot in (*BENEATH, "tights", "socks"))
    under = tuple(shape for shape in extras if shape.key in ("belt", "buckle"))
    over = tuple(shape for shape in extras if shape not in (*skin, *under))
    return skin + draw_swim(outfit) + middle + under + layers + over


def _bib(outfit: Outfit) -> tuple[Shape, ...]:
    """The bib of dungarees and its straps, over the top that is worn under it."""
    bottom, body, lift = outfit.bottom, outfit.body, outfit.lift
    if bottom is None:
        return ()
    low, high = bottom.waistband.cm - 0.5, body.height("bust") + lift - 2.0
    half = body.half_breadth(body.height("waist")) * 0.72
    shoulder = body.height("shoulder") + lift + 0.4
    area: list[Point] = [(half, low), (half * 0.82, high), (-half * 0.82, high), (-half, low)]
    strap: list[Point] = [
        (half * 0.8, high - 2),
        (half * 0.5, high - 2),
        (half * 0.62, shoulder),
        (half * 0.9, shoulder - 0.6),
    ]
    parts = [("bib", area), ("strap_bib_right", strap), ("strap_bib_left", [(-x, y) for x, y in strap])]
    return tuple(Shape(key, "one_piece", "cloth", tuple(points), bottom.colour) for key, points in parts)


def _below(outfit: Outfit) -> tuple[Shape, ...]:
    bottom = outfit.bottom
    if bottom is None:
        return ()
    return _of_its_piece(outfit, draw_bottom(outfit) if bottom.has_legs else draw_skirt(outfit, bottom))


def _of_its_piece(outfit: Outfit, shapes: tuple[Shape, ...]) -> tuple[Shape, ...]:
    """The shapes of a dress or jumpsuit belong to it, both above and below the waist."""
    whole = outfit.one_piece
    if whole is None:
        return shapes
    own = {"bottom"} if outfit.look.piece("bottom") is None else set()
    if outfit.look.piece("top") is None:
        own.add("top")
    return tuple(replace(shape, slot="one_piece") if shape.slot in own else shape for shape in shapes)
