"""What the picture shows, in words: for who hears it instead of seeing it."""

from __future__ import annotations

from craft.cloth import Piece
from craft.cloth.colour import hex_of, nearest_name
from craft.cloth.piece import colour_of
from craft.cloth.words import COLOURS, said
from craft.look import Outfit
from craft.wear.top import TUCKS

#: How a piece is worn, by the flag that says so.
_WORN = {
    "open": "open",
    "cuffed": "cuffed",
    "rolled": "sleeves rolled",
    "pushed": "sleeves pushed up",
    "hooded": "with a hood",
}


def what_is_worn(outfit: Outfit) -> tuple[str, ...]:
    """Every piece from the outermost in: colour, cloth, cut, kind, and how it is worn.

    >>> from craft.body import Body, Measures
    >>> from craft.look import Look, compose
    >>> look = Look.of([{"is": "jeans", "cut": "slim"}, {"is": "knit", "colour": "cream", "fabric": ["ribbed"], "tuck": "front"}])
    >>> what_is_worn(compose(Body.of(Measures.of({"stature": 165})), look))
    ('cream ribbed knit, tucked: front', 'mid blue slim jeans')
    """
    return tuple(in_words(piece) for piece in reversed(outfit.pieces))


def in_words(piece: Piece) -> str:
    """A piece as the picture shows it.

    >>> in_words(Piece.of({"is": "blazer", "open": True, "surface": "textured"}))
    'navy textured blazer, open'
    """
    colour = colour_of(piece)
    named = colour if colour in COLOURS else nearest_name(hex_of(colour))
    second = piece.word("second_colour")
    parts = [named, *([f"and {second}"] if second else []), *sorted(piece.fabric)]
    parts += [word for key in ("surface", "pattern") if (word := piece.word(key))]
    how = [what for flag, what in _WORN.items() if piece.flag(flag)]
    tuck = piece.word("tuck")
    if tuck in TUCKS and tuck != "none":
        how.append(f"tucked: {said(tuck)}")
    return ", ".join([said(" ".join([*parts, piece.name])), *how])
