"""What a row holds as JSON, read as far as it can be: one bad row takes no list down, and is told."""

from __future__ import annotations

import logging
from collections.abc import Iterable, Mapping
from dataclasses import dataclass, field
from functools import lru_cache
from typing import Any, TypeVar

from pydantic import BaseModel, ValidationError

from craft.cloth import Piece
from craft.errors import UnknownWord

Form = TypeVar("Form", bound=BaseModel)
_log = logging.getLogger(__name__)


def stored(form: type[Form], held: Any) -> Form:
    """The form that a row holds. Parts that cannot be read are left out, and that is logged by their names alone."""
    kept = dict(held) if isinstance(held, Mapping) else {}
    try:
        return form.model_validate(kept)
    except ValidationError as error:
        unreadable = sorted({str(one["loc"][0]) for one in error.errors() if one["loc"]})
    _log.warning("a stored %s has unreadable parts: %s", form.__name__, ", ".join(unreadable))
    rest = {key: value for key, value in kept.items() if key not in unreadable}
    try:
        return form.model_validate(rest)
    except ValidationError:
        return form.model_validate({})


@dataclass(frozen=True)
class PieceRow:
    """A row's piece: read once, for a row of one version says one thing."""

    id: Any
    version: int
    words: Mapping[str, Any] = field(compare=False)


@lru_cache(maxsize=10_000)
def _one_of(piece: Piece) -> Piece:
    """One piece for all that are equal: what is computed of a piece is kept by it, and the same one is found at once."""
    return piece


@lru_cache(maxsize=10_000)
def stored_piece(row: PieceRow) -> Piece | None:
    """The piece that a row holds, or None where it cannot be read, which is logged."""
    try:
        return _one_of(Piece.of(row.words))
    except (UnknownWord, TypeError):
        _log.warning("a stored piece is unreadable: %s", row.id)
        return None


def readable(described: Iterable[Any]) -> list[Piece]:
    """Those of these described pieces that can be read."""
    found = []
    for words in described:
        try:
            found.append(Piece.of(words))
        except (UnknownWord, TypeError, ValueError):
            continue
    return found
