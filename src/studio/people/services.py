"""The verbs of people: what a stylist does to clients and to the studio's settings."""

from __future__ import annotations

from collections.abc import Collection
from dataclasses import dataclass
from datetime import UTC, date, datetime
from typing import Any

from django.db import transaction
from django.db.models import Count, Max, Q, Window

from studio.concurrency import write
from studio.errors import Stale
from studio.members.models import Assignment
from studio.people.models import Client, Member, Studio
from studio.policy import Right, Role, may


def add_client(member: Member, name: str, note: str = "") -> Client:
    """A new client of the member's studio; one whom an apprentice adds is assigned to them."""
    with transaction.atomic():
        client = Client.objects.create(studio_id=member.studio_id, name=name, note=note, changed_by=member)
        if Role(member.role) is Role.APPRENTICE:
            Assignment.objects.create(studio_id=member.studio_id, client=client, member=member)
    return client


def change_client(member: Member, client_id: Any, version: int, **changes: Any) -> Client:
    """Rename a client or change the note; raises Stale."""
    return write(Client, member, client_id, version, **changes)


def remove_client(member: Member, client_id: Any) -> Client:
    """Take a client off the list; everything is kept until it is erased for good."""
    return _mark_removed(member, client_id, datetime.now(UTC))


def restore_client(member: Member, client_id: Any) -> Client:
    """Undo a removal."""
    return _mark_removed(member, client_id, None)


def _mark_removed(member: Member, client_id: Any, when: datetime | None) -> Client:
    with transaction.atomic():
        # Locked, and only what is meant is written: a change that was acknowledged meanwhile stays.
        client: Client = Client.objects.of(member).locked_or_404(id=client_id)
        client.removed_at, client.changed_by = when, member
        client.version += 1
        client.save(update_fields=["removed_at", "changed_by", "version", "changed_at"])
    return client


@dataclass(frozen=True)
class Counts:
    """How much is known of a client: measures, looks, and when they were last measured."""

    measures: int = 0
    looks: int = 0
    measured_on: date | None = None


def find_clients(member: Member, sought: str, offset: int, limit: int) -> tuple[int, list[Client]]:
    """How many clients have `sought` in name or note, and one page of them by name."""
    rows = Client.objects.of(member).not_removed()
    in_notes = may(member, Right.WORK)
    for word in sought.split():
        rows = rows.filter(Q(name__icontains=word) | Q(note__icontains=word) if in_notes else Q(name__icontains=word))
    page = rows.annotate(total=Window(Count("*"))).order_by("name", "created_at")[offset : offset + limit]
    found = list(page)
    # Beyond the end there is no row to tell how many there are.
    return found[0].total if found else rows.count() if offset else 0, found


def counts(studio_id: Any, client_ids: Collection[Any]) -> dict[Any, Counts]:
    """How much is known of each of these clients."""
    from studio.bodies.models import MeasuringSession, Reading
    from studio.looks.models import Look

    # Their sessions first: the database would else go through every reading of the studio.
    sessions = MeasuringSession.objects.filter(studio_id=studio_id, client__in=client_ids).values_list("id", flat=True)
    readings = Reading.objects.filter(session__in=list(sessions), set_aside=False, withdrawal__isnull=True)
    told = readings.values_list("session__client").annotate(Count("measure", distinct=True), Max("session__started_at"))
    looks = dict(
        Look.objects.filter(studio_id=studio_id, client__in=client_ids, removed_at=None)
        .values_list("client")
        .annotate(n=Count("id"))
    )
    measured = {client: (n, when.date()) for client, n, when in told}
    return {
        client: Counts(measured.get(client, (0, None))[0], looks.get(client, 0), measured.get(client, (0, None))[1])
        for client in client_ids
    }


def change_studio(member: Member, version: int, **changes: Any) -> Studio:
    """Change the units or the schools of the studio; raises Stale."""
    with transaction.atomic():
        studio = Studio.objects.select_for_update(no_key=True).get(id=member.studio_id)
        if studio.version != version:
            raise Stale(studio)
        for name, value in changes.items():
            setattr(studio, name, value)
        studio.version += 1
        studio.save(update_fields=[*changes, "version"])
        return studio
