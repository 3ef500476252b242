"""Pieces: what is hung on the body, in words or in flat measurements."""

from craft.cloth.piece import Piece, UnknownWord
from craft.cloth.words import DRESSED_KINDS

__all__ = ["DRESSED_KINDS", "Piece", "UnknownWord"]
