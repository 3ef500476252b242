"""The figures behind a candidate's words on this body: the range that would do, never the one exact thing."""

from __future__ import annotations

from collections.abc import Iterable

from craft.advise.shopping import Number
from craft.cloth import Piece

#: Which shopping numbers say a word of a piece, by the kind of word and the word itself.
_RISE = {
    "low": "front rise, low",
    "mid": "front rise, mid",
    "high": "front rise, high",
    "very_high": "front rise, very high",
}
_LEG = {"ankle": "inseam, ankle length", "ankle_bone": "inseam, to the bone", "foot": "inseam, wide to the foot"}
_OPENING = {"straight": "leg opening, straight", "slim": "leg opening, slim", "skinny": "leg opening, slim"}
_SKIRT = {"lower_calf": "length, midi", "below_knee": "length, below the knee", "knee": "length, below the knee", "above_knee": "length, above the knee", "ankle": "length, long"}  # fmt: skip
_CHEST = {"fitted": "chest, fitted", "skimming": "chest, skimming", "relaxed": "chest, relaxed"}
_LAYER = {"high_hip": "length, short", "waist": "length, short", "hip": "length, blazer", "seat": "length, blazer", "knee": "length, coat"}  # fmt: skip
_GROUP = {"skirt": "Skirts", "dress": "Dresses"}


def numbers_for(piece: Piece, numbers: Iterable[Number]) -> tuple[Number, ...]:
    """The shopping numbers that a piece in words is looked for by.

    >>> from craft.advise.shopping import shopping_numbers
    >>> from craft.body import Body, Measures
    >>> straight = Piece.of({"is": "jeans", "cut": "straight", "rise": "high", "hem": "ankle"})
    >>> [one.name for one in numbers_for(straight, shopping_numbers(Body.of(Measures.of({"stature": 165}))))]
    ['front rise, high', 'inseam, ankle length', 'leg opening, straight', 'hip']
    """
    wanted = set(_wanted(piece))
    found: dict[str, Number] = {}
    for number in numbers:
        if (number.group, number.name) in wanted:
            # Of a length by shoe the first will do: flat shoes.
            found.setdefault(number.name, number)
    return tuple(found.values())


def _wanted(piece: Piece) -> Iterable[tuple[str, str]]:
    hem, fit = piece.word("hem") or piece.row.hem, piece.word("fit") or piece.row.fit
    if piece.slot == "bottom" and piece.row.has_legs:
        legs = "Trousers and jeans"
        yield legs, _RISE.get(piece.word("rise") or piece.row.rise, "")
        yield legs, _LEG.get(hem, "")
        yield legs, _OPENING.get(piece.word("cut") or piece.row.cut, "")
        yield legs, "hip"
    elif piece.kind in _GROUP:
        yield _GROUP[piece.kind], _SKIRT.get(hem, "")
    if piece.slot in ("top", "layer", "one_piece"):
        yield "Tops", _CHEST.get(fit, "")
    if piece.slot == "layer":
        yield "Jackets and coats", _LAYER.get(hem, "")
    if piece.slot == "top" and piece.word("neck") == "v":
        yield "Tops", "neckline depth, V or scoop"
    if piece.kind == "belt":
        yield "Belts and prints", "belt width, up to"
    if piece.kind == "ankle_boots":
        yield "Boots", "shaft height, ankle boot"
