"""Whose record a request opened: the last client whose row, or a row of whom, was asked for through the door of scoping."""

from __future__ import annotations

from contextvars import ContextVar
from typing import Any

#: The id of the client, or None; outside of a request that is recorded nothing is noted.
_CLIENT: ContextVar[list[Any] | None] = ContextVar("client", default=None)


def begin() -> list[Any]:
    """Note from now on, in this request, whose rows are opened; what is noted stands in the list."""
    noted: list[Any] = []
    _CLIENT.set(noted)
    return noted


def touch(row: Any) -> None:
    """A row was opened: note its client."""
    noted = _CLIENT.get()
    if noted is None:
        return
    whose = row
    for name in filter(None, getattr(row, "client_path", "").split("__")):
        whose = getattr(whose, f"{name}_id") if name == "client" else getattr(whose, name)
    if whose is not row:
        noted.extend([whose] if whose else [])
    elif row._meta.label == "people.Client":
        noted.append(row.pk)
