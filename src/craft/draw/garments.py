"""Garments as they hang: outlines from their own figures and how they are worn."""

from __future__ import annotations

from dataclasses import replace

from craft.draw.bottom import draw_bottom
from craft.draw.extras import draw_extras
from craft.draw.layer import draw_layer
from craft.draw.shapes import Shape
from craft.draw.shoes import draw_shoes
from craft.draw.skirt import draw_skirt
from craft.draw.swim import draw_swim
from craft.draw.top import draw_top
from craft.look import Outfit


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
    middle = top + below if bib and legs else below + top
    layers = tuple(shape for at, layer in enumerate(outfit.layers) for shape in draw_layer(outfit, layer, at))
    extras = draw_extras(outfit)
    skin = tuple(shape for shape in extras if shape.key == "tights")
    under = tuple(shape for shape in extras if shape.key in ("belt", "buckle"))
    over = tuple(shape for shape in extras if shape not in (*skin, *under))
    return skin + draw_swim(outfit) + middle + under + layers + over


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
