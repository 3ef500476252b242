"""Optimistic concurrency: a write names the version it was made from; a stale one is refused
with the current state, so that the screen can offer both."""

from __future__ import annotations

from typing import Any, TypeVar

from django.db import transaction
from django.db.models import Model

from studio.people.models import Member
from studio.scoping import StudioRow

Row = TypeVar("Row", bound=StudioRow)


class Stale(Exception):
    """The row was changed since the version the write was made from."""

    def __init__(self, current: Model) -> None:
        self.current = current
        super().__init__("stale")


def write(row_type: type[Row], member: Member, row_id: Any, version: int, **changes: Any) -> Row:
    """Change one row of the member's studio if it is still at `version`; raises Stale, or Http404
    where it is gone or was removed."""
    with transaction.atomic():
        row: Row = row_type.objects.of(member).kept().select_for_update(of=("self",)).found(id=row_id)
        if row.version != version:
            raise Stale(row)
        for name, value in changes.items():
            setattr(row, name, value)
        row.version += 1
        row.changed_by = member
        row.save()
        return row
