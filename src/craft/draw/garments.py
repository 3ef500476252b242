"""Garments as they hang: outlines from their own figures and how they are worn."""

from __future__ import annotations

from collections.abc import Callable, Hashable, Iterable
from dataclasses import replace
from functools import lru_cache, partial

from craft.draw.bib import draw_bib
from craft.draw.bottom import draw_bottom
from craft.draw.dress import draw_dress, falls_in_one
from craft.draw.extras import draw_extras
from craft.draw.figure import draw_figure
from craft.draw.frames import Cloth
from craft.draw.layer import at_their_places, draw_layer
from craft.draw.shapes import Shape
from craft.draw.shoes import draw_shoes
from craft.draw.skirt import draw_skirt
from craft.draw.swim import draw_swim
from craft.draw.top import belted_at, draw_top
from craft.look import Outfit
from craft.look.readings import BENEATH


class _Drawing:
    """A drawing that can be made, told from others by what it is drawn from: while a hem moves, all but one piece are what
    they were a moment ago."""

    __slots__ = ("_hash", "made_from", "make")

    def __init__(self, make: Callable[[], Iterable[Shape]], *made_from: Hashable) -> None:
        self.make, self.made_from, self._hash = make, made_from, hash(made_from)

    def __hash__(self) -> int:
        return self._hash

    def __eq__(self, other: object) -> bool:
        return isinstance(other, _Drawing) and self.made_from == other.made_from


@lru_cache(maxsize=2048)
def _made(drawing: _Drawing) -> tuple[Shape, ...]:
    return tuple(drawing.make())


def draw_look(outfit: Outfit, *, back: bool = False) -> tuple[Shape, ...]:
    """Every garment of a look, in the order to paint them: what lies under comes first."""
    top_on, bottom_on = outfit.top, outfit.bottom

    def kept(name: str, make: Callable[[], Iterable[Shape]], *parts: Hashable) -> tuple[Shape, ...]:
        return _made(_Drawing(make, name, outfit.body, outfit.lift, back, *parts))

    # A belt over a top draws it in.
    belted = belted_at(outfit)
    shoes = kept("shoes", lambda: draw_shoes(outfit, back=back), outfit.shoes)
    bottom = _of_its_piece(outfit, kept("bottom", lambda: _below(outfit, back=back), bottom_on))
    top = _of_its_piece(outfit, kept("top", lambda: draw_top(outfit), top_on, bottom_on, belted))
    inside = bottom_on is not None and bottom_on.inside
    legs = bottom_on is not None and bottom_on.has_legs
    # A skirt hangs over a tall shaft; a leg goes over it or into it.
    below = bottom + shoes if inside else shoes + bottom
    bib = outfit.one_piece is not None and outfit.one_piece.kind == "dungarees"
    in_one = outfit.one_piece is not None and not (outfit.look.piece("top") or outfit.look.piece("bottom"))
    # Of a dress the skirt is sewn over the bodice's edge, where it does not fall in one.
    middle = top + below + _bib(outfit) if bib and legs else top + below if in_one else below + top
    if in_one and outfit.one_piece is not None and falls_in_one(outfit.one_piece):
        middle = shoes + kept("dress", lambda: draw_dress(outfit), top_on, bottom_on, belted)
    over_it: tuple[Shape, ...] = ()
    for at, layer in enumerate(outfit.layers):
        is_outer = at == len(outfit.layers) - 1
        over_it += kept(f"layer{at}", partial(draw_layer, outfit, layer, at), layer, is_outer)
    layers = at_their_places(outfit, over_it)
    extras = kept(
        "extras",
        lambda: draw_extras(outfit, back=back),
        tuple(outfit.extras.items()),
        bottom_on,
        outfit.sock,
        belted and top_on,
    )
    beneath = (*BENEATH, "tights", "socks")
    skin = tuple(shape for shape in extras if shape.slot in beneath)
    under = tuple(shape for shape in extras if shape.slot == "belt")
    over = tuple(shape for shape in extras if shape.slot not in (*beneath, "belt"))
    return skin + draw_swim(outfit) + middle + under + layers + over


#: Shoes that show the foot in them.
_SHOWS_FOOT = ("sandals",)


def draw_dressed(outfit: Outfit) -> tuple[Shape, ...]:
    """The figure and everything on it, in the order to paint: what stands behind the neck before the figure."""
    worn = draw_look(outfit)
    shoes = outfit.shoes.piece
    figure = draw_figure(outfit.body, outfit.lift, shod=shoes is not None and shoes.kind not in _SHOWS_FOOT)
    behind = tuple(shape for shape in worn if shape.key.endswith("_behind"))
    return (*behind, *figure, *(shape for shape in worn if not shape.key.endswith("_behind")))


def _bib(outfit: Outfit) -> tuple[Shape, ...]:
    """The bib of dungarees and its straps, over the top that is worn under it."""
    bottom, body, lift = outfit.bottom, outfit.body, outfit.lift
    if bottom is None:
        return ()
    high, shoulder = body.height("bust") + lift + 1.0, body.height("shoulder") + lift + 0.6
    half = body.half_breadth(body.height("waist")) * 0.74
    return draw_bib(
        Cloth(bottom.piece, "one_piece", "bib", bottom.colour), half, bottom.waistband.cm - 0.5, high, shoulder
    )


def _below(outfit: Outfit, *, back: bool = False) -> tuple[Shape, ...]:
    bottom = outfit.bottom
    if bottom is None:
        return ()
    return draw_bottom(outfit, back=back) if bottom.has_legs else draw_skirt(outfit, bottom)


def _of_its_piece(outfit: Outfit, shapes: tuple[Shape, ...]) -> tuple[Shape, ...]:
    """The shapes of a dress or jumpsuit belong to it, both above and below the waist."""
    whole = outfit.one_piece
    if whole is None:
        return shapes
    own = {"bottom"} if outfit.look.piece("bottom") is None else set()
    if outfit.look.piece("top") is None:
        own.add("top")
    return tuple(replace(shape, slot="one_piece") if shape.slot in own else shape for shape in shapes)
