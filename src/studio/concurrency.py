"""Optimistic concurrency: a write names the version it was made from; a stale one is refused
with the current state, so that the screen can offer both."""

from __future__ import annotations

from typing import Any, TypeVar

from django.db import transaction

from studio.errors import Stale
from studio.people.models import Member
from studio.scoping import StudioRow

Row = TypeVar("Row", bound=StudioRow)


def write(row_type: type[Row], member: Member, row_id: Any, version: int, **changes: Any) -> Row:
    """Change one row of the member's studio if it is still at `version`; raises Stale, or Http404
    where it is gone or was removed."""
    with transaction.atomic():
        row: Row = row_type.objects.of(member).not_removed().select_for_update(of=("self",)).get_or_404(id=row_id)
        if row.version != version:
            raise Stale(row)
        for name, value in changes.items():
            setattr(row, name, value)
        row.version += 1
        row.changed_by = member
        row.save(update_fields=[*changes, "version", "changed_by", "changed_at"])
        return row
