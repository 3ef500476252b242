"""The verbs of what is due: put it on the list, move its date, do it, take that back."""

from __future__ import annotations

from datetime import UTC, date, datetime
from typing import Any
from uuid import UUID

from django.db import transaction

from craft.cloth import Piece
from craft.tryon.alter import altered
from studio.concurrency import keep_once, write
from studio.fittings.models import Errand, ErrandKind
from studio.people.known import client_of
from studio.people.models import Member
from studio.rack.models import RackPiece
from studio.rack.naming import title_of


def listed(member: Member, client_id: Any = None) -> list[Errand]:
    """What is due, the soonest first, then what was done last; of one client or of the studio."""
    rows = Errand.objects.of(member).not_removed().select_related("client")
    if client_id is not None:
        rows = rows.filter(client=client_of(member, client_id))
    done = rows.filter(done_at__isnull=False).order_by("-done_at")[:50]
    return [*rows.filter(done_at__isnull=True), *done]


def owe(member: Member, piece_id: Any, errand_id: UUID, kind: ErrandKind, text: str, **more: Any) -> Errand:
    """Put something about a piece of the rack on the list; the same one handed in twice stands there once."""
    with transaction.atomic():
        row: RackPiece = RackPiece.objects.of(member).not_removed().locked_or_404(id=piece_id)
        whose = {"client_id": row.client_id, "rack_piece_id": row.id}
        title = (row.name or title_of(Piece.of(row.piece)))[:120]
        return keep_once(Errand, member, errand_id, whose, kind=kind, text=text, title=title, **more)


def move(member: Member, errand_id: Any, version: int, due_on: date | None) -> Errand:
    """Another date; raises Stale."""
    return write(Errand, member, errand_id, version, due_on=due_on)


def do(member: Member, errand_id: Any) -> Errand:
    """It is done: the piece is back in use, and an alteration changes the figure it was made to. Doing it twice
    changes nothing."""
    with transaction.atomic():
        errand = _locked(member, errand_id)
        if errand.done_at is None:
            errand.done_at = datetime.now(UTC)
            errand.applied = _apply(member, errand, errand.by_cm, "in_use" if errand.kind == "alter" else None)
            errand.version += 1
            errand.save(update_fields=["done_at", "applied", "version", "changed_at"])
    return errand


def undo(member: Member, errand_id: Any) -> Errand:
    """It is not done after all: the piece's figure goes back with it."""
    with transaction.atomic():
        errand = _locked(member, errand_id)
        if errand.done_at is not None:
            if errand.applied or errand.kind == "alter":
                _apply(member, errand, -errand.by_cm if errand.applied else 0.0, "at_the_tailor")
            errand.done_at, errand.applied = None, False
            errand.version += 1
            errand.save(update_fields=["done_at", "applied", "version", "changed_at"])
    return errand


def remove(member: Member, errand_id: Any) -> None:
    """Take it off the list; it can be brought back."""
    Errand.objects.soft_delete(member, id=errand_id)


def restore(member: Member, errand_id: Any) -> Errand:
    """Undo a removal."""
    errand: Errand = Errand.objects.restore(member, id=errand_id)
    return errand


def _locked(member: Member, errand_id: Any) -> Errand:
    rows = Errand.objects.of(member).not_removed().select_related("rack_piece", "client")
    found: Errand = rows.locked_or_404(id=errand_id)
    return found


def _apply(member: Member, errand: Errand, by: float, state: str | None) -> bool:
    """Change the piece's figure and state; whether a figure was changed."""
    row = errand.rack_piece
    if row is None or row.removed_at is not None:
        return False
    piece = Piece.of(row.piece)
    after = altered(piece, errand.figure, by) if errand.figure and by else piece
    facts = {**row.facts, **({"state": state} if state else {})}
    if after != piece or facts != row.facts:
        write(RackPiece, member, row.id, row.version, piece=after.described(), facts=facts)
    return after != piece
