"""What a piece is called that has no name of its own."""

from __future__ import annotations

from typing import Any

from craft.cloth import Piece
from craft.cloth.words import said
from studio.rack.models import RackPiece
from studio.stored import readable


def title_of(piece: Piece) -> str:
    """“navy wrap dress”, “slim jeans”."""
    colour = piece.word("colour")
    return f"{said(colour)} {piece.name}" if colour and not colour.startswith("#") else piece.name


def titles_of(client_id: Any) -> dict[str, str]:
    """What each piece of a client is called, by its id, those too that hang no more."""
    rows = RackPiece.objects.filter(client_id=client_id).values_list("id", "name", "piece")
    return {str(row_id): name or title_of(Piece.of(piece)) for row_id, name, piece in rows if readable([piece])}
