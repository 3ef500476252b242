"""The verbs of people: what a stylist does to clients and to the studio's settings."""

from __future__ import annotations

from datetime import UTC, datetime
from typing import Any

from django.db import transaction
from django.db.models import Count

from studio.concurrency import Stale, write
from studio.people.models import Client, Member, Studio


def add_client(member: Member, name: str, note: str = "") -> Client:
    """A new client of the member's studio."""
    return Client.objects.create(studio_id=member.studio_id, name=name, note=note, changed_by=member)


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
    client: Client = Client.objects.of(member).found(id=client_id)
    client.removed_at, client.changed_by = when, member
    client.version += 1
    client.save()
    return client


def counts(member: Member) -> dict[Any, tuple[int, int]]:
    """How many measures and looks each client of the studio has."""
    from studio.bodies.models import Reading
    from studio.looks.models import Look

    measures = Reading.objects.of(member).values_list("session__client").annotate(n=Count("measure", distinct=True))
    looks = Look.objects.of(member).kept().values_list("client").annotate(n=Count("id"))
    found: dict[Any, tuple[int, int]] = {client: (n, 0) for client, n in measures}
    for client, n in looks:
        found[client] = (found.get(client, (0, 0))[0], n)
    return found


def change_studio(member: Member, version: int, **changes: Any) -> Studio:
    """Change the units or the schools of the studio; raises Stale."""
    with transaction.atomic():
        studio = Studio.objects.select_for_update().get(id=member.studio_id)
        if studio.version != version:
            raise Stale(studio)
        for name, value in changes.items():
            setattr(studio, name, value)
        studio.version += 1
        studio.save()
        return studio
