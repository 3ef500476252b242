"""What a piece is called that has no name of its own."""

from __future__ import annotations

from craft.cloth import Piece
from craft.cloth.words import said


def title_of(piece: Piece) -> str:
    """“navy wrap dress”, “slim jeans”."""
    colour = piece.word("colour")
    return f"{said(colour)} {piece.name}" if colour and not colour.startswith("#") else piece.name
