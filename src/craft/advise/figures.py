"""The figures of what is worn: what a tape would read on each piece, measured or as its words come to on this body."""

from __future__ import annotations

from craft.cloth import Piece
from craft.look import Outfit
from craft.wear import Landing
from craft.wear.length import fall_of

Figures = tuple[tuple[str, float], ...]


def figures_worn(outfit: Outfit) -> dict[str, Figures]:
    """By slot, the figures that place its edges, cm: what to shop for to have the same again.

    >>> from craft.body import Body, Measures
    >>> from craft.look import Look, compose
    >>> body = Body.of(Measures.of({"stature": 165}))
    >>> [key for key, _ in figures_worn(compose(body, Look.of([{"is": "jeans"}])))["bottom"]]
    ['front_rise_cm', 'inseam_cm', 'leg_opening_cm']
    """
    found: dict[str, Figures] = {}
    bottom, top, shoes = outfit.bottom, outfit.top, outfit.shoes
    if bottom:
        rise: Figures = (("front_rise_cm", bottom.front_rise),) if bottom.has_legs else ()
        opening: Figures = (("leg_opening_cm", bottom.opening),) if bottom.has_legs else ()
        found[bottom.piece.slot] = (*rise, *_length(outfit, bottom.piece, bottom.hem), *opening)
    if top and top.piece.slot == "top":
        found["top"] = (*_length(outfit, top.piece, top.hem), ("chest_cm", top.chest))
    for layer in outfit.layers:
        found[outfit.look.place_of(layer.piece)] = _length(outfit, layer.piece, layer.hem)
    if shoes.piece:
        found["shoes"] = (("heel_cm", shoes.heel),)
    return found


def _length(outfit: Outfit, piece: Piece, hem: Landing) -> Figures:
    fall = fall_of(outfit.body, piece)
    return ((fall.figure, fall.length(hem.falls_to, outfit.lift)),) if fall else ()
