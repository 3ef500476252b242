"""An alteration that was made: which figure of the piece it changed, by how much."""

from __future__ import annotations

import math

from craft.cloth import Piece
from craft.cloth.kinds import FIGURES, KIND
from craft.fit.alter import Alteration
from craft.tryon.explain import GIRTHS

#: Alterations that take away, and those that give.
_SIGN = {"hem": -1.0, "sleeve": -1.0, "take_in": -1.0, "let_out": 1.0}


def changes(piece: Piece, check: str, alteration: Alteration) -> tuple[str, float] | None:
    """The figure that a tailor's alteration of a check changes and by how many cm, or None where it changes none.

    >>> from craft.units import Sentence
    >>> hem = Alteration("hem", "tailor", 3.0, Sentence(""), Sentence(""))
    >>> changes(Piece.of({"is": "skirt"}), "length", hem), changes(Piece.of({"is": "jeans"}), "length", hem)
    (('length_cm', -3.0), ('inseam_cm', -3.0))
    """
    sign = _SIGN.get(alteration.key)
    if sign is None:
        return None
    match alteration.key:
        case "hem":
            figure = KIND[piece.kind].length or ""
        case "sleeve":
            figure = "sleeve_cm"
        case _:
            # A band that loosens is taken in where the band is.
            zone = "band" if check == "loosens" else check
            figure = GIRTHS.get(zone, ("", ""))[0]
    if figure not in FIGURES[piece.slot]:
        return None
    # Never a hair too little: what is let out has to go round.
    return figure, sign * math.ceil(alteration.cm * 10 - 1e-6) / 10


def altered(piece: Piece, figure: str, by: float) -> Piece:
    """The piece after an alteration; the same where it has no such figure to change.

    >>> altered(Piece.of({"is": "jeans", "inseam_cm": 76}), "inseam_cm", -3.0).figure("inseam_cm")
    73.0
    """
    was = piece.figure(figure)
    return piece if was is None else piece.with_(**{figure: round(max(0.0, was + by), 1)})
