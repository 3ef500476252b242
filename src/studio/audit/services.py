"""The record, read: of one client, or searched by an owner."""

from __future__ import annotations

from dataclasses import dataclass
from datetime import UTC, date, datetime, time, timedelta
from typing import Any
from uuid import UUID

from studio.audit.models import Entry
from studio.audit.words import CALLED, DID, Kind, sentence
from studio.people.known import client_of
from studio.people.models import Client, Member

#: So many entries a page.
PAGE = 100


@dataclass(frozen=True)
class Sought:
    """What of the record is sought; what is None is anybody's or anything."""

    by: int | None = None
    client_id: UUID | None = None
    kind: Kind | None = None
    first: date | None = None
    last: date | None = None


@dataclass(frozen=True)
class Seen:
    """An entry in plain words. `client` is empty where it is of nobody, or of somebody who was erased."""

    at: datetime
    by: str
    did: str
    #: The same in two: what was done, and to what.
    verb: str
    what: str
    kind: str
    client: str
    client_id: UUID | None
    erased: bool
    place: str
    device: str


def of_client(member: Member, client_id: Any, offset: int = 0, limit: int = PAGE) -> tuple[int, list[Seen]]:
    """Who saw and did what of a client, the last first: how many entries, and a page of them. Raises Http404."""
    client = client_of(member, client_id)
    rows = Entry.objects.of(member).filter(subject=client.subject)
    return rows.count(), _told(member, rows.select_related("by__studio", "by__account")[offset : offset + limit])


def find(member: Member, sought: Sought, offset: int = 0, limit: int = PAGE) -> tuple[int, list[Seen]]:
    """What the record of the studio has of what is sought, the last first. Raises Http404 for a client that is not here."""
    rows = Entry.objects.of(member)
    if sought.client_id is not None:
        rows = rows.filter(subject=Client.objects.of(member).get_or_404(id=sought.client_id).subject)
    if sought.by is not None:
        rows = rows.filter(by_id=sought.by)
    if sought.kind is not None:
        rows = rows.filter(kind=sought.kind)
    if sought.first is not None:
        rows = rows.filter(at__gte=datetime.combine(sought.first, time(), UTC))
    if sought.last is not None:
        rows = rows.filter(at__lt=datetime.combine(sought.last + timedelta(days=1), time(), UTC))
    return rows.count(), _told(member, rows.select_related("by__studio", "by__account")[offset : offset + limit])


def _told(member: Member, rows: Any) -> list[Seen]:
    entries = list(rows)
    subjects = {entry.subject for entry in entries if entry.subject}
    clients = Client.objects.filter(studio_id=member.studio_id, subject__in=subjects)
    known = {subject: (pk, name) for subject, pk, name in clients.values_list("subject", "pk", "name")}
    return [
        Seen(
            at=entry.at,
            by=entry.by.name if entry.by else "",
            did=sentence(entry.kind, entry.area),
            verb=DID[entry.kind],
            what=CALLED.get(entry.area, entry.area),
            kind=entry.kind,
            client=known.get(entry.subject, (None, ""))[1],
            client_id=known.get(entry.subject, (None, ""))[0],
            erased=bool(entry.subject) and entry.subject not in known,
            place=entry.place,
            device=entry.device,
        )
        for entry in entries
    ]
