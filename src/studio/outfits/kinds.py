"""Kinds of long work over a wardrobe: how what it depends on is read anew, and how its answer is found."""

from __future__ import annotations

from collections.abc import Callable, Mapping
from typing import Any, NamedTuple, Protocol

from craft.search.crew import Progress
from studio.people.models import Client


class Depends(Protocol):
    """All that an answer depends on."""

    @property
    def key(self) -> str:
        """A hash of it."""


class Kind(NamedTuple):
    """How one kind of work is done."""

    read: Callable[[Client, Mapping[str, Any]], Depends]
    find: Callable[[Any, Progress], dict[str, Any]]


#: Every kind by its name; an app adds its own when it is ready.
KINDS: dict[str, Kind] = {}
