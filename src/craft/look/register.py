"""A whole look's formality and warmth: what its pieces come to together."""

from __future__ import annotations

from collections.abc import Iterable

from craft.cloth import Piece
from craft.cloth.register import formality, insulation
from craft.facts import least, total

#: How much each place says of the whole; a layer and the shoes dress a base up or down (brief, section 14; W).
_SAYS = {"layer": 1.2, "one_piece": 2.0, "top": 0.8, "bottom": 1.0, "shoes": 1.1}
#: The most casual thing on pulls the whole down by this share (W).
PULLS = 0.3

#: From garments to an ensemble, and what is worn unseen, clo (McCullough and Jones, in ISO 9920).
ENSEMBLE, UNSEEN = 0.835, 0.161
#: The air layer round a dressed person, clo; skin at ease, °C; W/m² in one met; the share of it lost dry (ISO 7730).
AIR, SKIN, MET, DRY = 0.7, 33.5, 58.2, 0.75
#: m²K/W in one clo.
CLO_SI = 0.155
#: At rest indoors and walking outdoors, met (ISO 8996).
AT_REST, WALKING = 1.2, 2.0


def formality_of(pieces: Iterable[Piece]) -> float | None:
    """How formal a look reads, 0 to 4; None with nothing on that says so.

    >>> suit = [Piece.of({"is": "trousers"}), Piece.of({"is": "blazer"}), Piece.of({"is": "pumps"})]
    >>> formality_of(suit) > formality_of([*suit[:2], Piece.of({"is": "trainers"})])
    True
    """
    said = [(formality(piece), _SAYS[piece.slot]) for piece in pieces if piece.slot in _SAYS]
    if not said:
        return None
    mean = total(figure * weight for figure, weight in said) / total(weight for _, weight in said)
    return (1 - PULLS) * mean + PULLS * least(*(figure for figure, _ in said))


def insulation_of(pieces: Iterable[Piece]) -> float:
    """The insulation of a dressed person, clo.

    >>> round(insulation_of([Piece.of({"is": "trousers"}), Piece.of({"is": "shirt"})]), 2)
    0.57
    """
    return ENSEMBLE * total(insulation(piece) for piece in pieces) + UNSEEN


def at_ease_in(clo: float, met: float) -> float:
    """The still air, °C, in which somebody dressed so and moving so is neither warm nor cold.

    The dry heat balance of ISO 7730, with the air layer and the skin held at their usual; wind and sun are left out.

    >>> 22 < at_ease_in(0.6, AT_REST) < 25, 8 < at_ease_in(1.0, WALKING) < 13
    (True, True)
    """
    return SKIN - CLO_SI * (clo + AIR) * DRY * MET * met
