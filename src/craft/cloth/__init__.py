"""Pieces: what is hung on the body, in words or in flat measurements."""

from craft.cloth.piece import Piece
from craft.errors import UnknownWord

__all__ = ["Piece", "UnknownWord"]
