"""Two people at once: a write names the version it was made from, and what a desk hands in twice is kept once."""

from __future__ import annotations

from collections.abc import Iterator
from contextlib import contextmanager
from typing import Any, TypeVar

from django.db import IntegrityError, transaction
from django.http import Http404
from psycopg.errors import UniqueViolation

from studio.errors import Stale, Taken
from studio.people.models import Client, Member
from studio.scoping import StudioRow

Row = TypeVar("Row", bound=StudioRow)


def hold(member: Member, client_id: Any) -> Client:
    """A client of the member's studio, held until this transaction ends. Raises Http404, also where they were removed."""
    held: Client = Client.objects.of(member).not_removed().select_related("studio").locked_or_404(id=client_id)
    return held


def write(row_type: type[Row], member: Member, row_id: Any, version: int, **changes: Any) -> Row:
    """Change one row of the member's studio if it is still at `version`; raises Stale, or Http404
    where it is gone or was removed."""
    with transaction.atomic():
        row: Row = row_type.objects.of(member).not_removed().locked_or_404(id=row_id)
        if row.version != version:
            raise Stale(row)
        for name, value in changes.items():
            setattr(row, name, value)
        row.version += 1
        row.changed_by = member
        row.save(update_fields=[*changes, "version", "changed_by", "changed_at"])
        return row


def keep_once(row_type: type[Row], member: Member, row_id: Any, belongs: dict[str, Any], **content: Any) -> Row:
    """A row whose identity was made at the desk: kept once, however often it is handed in.

    `belongs` says whose it is, by the names of fields. Raises Taken where the studio has this identity for something
    else, and Http404, which says nothing, where it cannot be had.
    """
    with transaction.atomic():
        held: Row | None = row_type.objects.of(member).filter(id=row_id).first()
        if held is not None:
            if any(getattr(held, name) != value for name, value in belongs.items()):
                raise Taken
            return held
        with new_identity():
            whose = {"id": row_id, "studio_id": member.studio_id, "changed_by": member, **belongs}
            made: Any = row_type.objects.create(**whose, **content)
        kept: Row = made
        return kept


@contextmanager
def new_identity() -> Iterator[None]:
    """Within, a row is made under an identity from outside. Raises Http404 where that is not to be had: it may be
    another studio's, and that is not told."""
    try:
        with transaction.atomic():
            yield
    except IntegrityError as error:
        if isinstance(error.__cause__, UniqueViolation):
            raise Http404 from error
        raise
