"""Appointments with a client, into a client file and out of one; whoever takes the file in is there."""

from __future__ import annotations

from collections.abc import Sequence
from datetime import UTC, datetime
from typing import Any

from craft.formats.client_file import FiledVisit
from studio.diary.calendars import checked_rule
from studio.diary.models import Appointment
from studio.diary.services import clock_of
from studio.people.models import Client, Member

SAME = (
    *("kind", "starts_at", "zone", "minutes", "title", "place", "travel", "buffer", "along", "note", "rule"),
    *("came_of", "done_at"),
)


def filed_visits(client: Client) -> list[FiledVisit]:
    """The appointments, by time."""
    return [
        FiledVisit(
            **{name: getattr(row, name) for name in SAME}, excepted=[datetime.fromisoformat(at) for at in row.excepted]
        )
        for row in Appointment.objects.filter(client=client, removed_at=None)
    ]


def restore_visits(member: Member, client: Client, filed: Sequence[FiledVisit]) -> None:
    """Appointments from a file. Raises InvalidInput for a zone or a repeat that is not known."""
    whose: dict[str, Any] = {"studio_id": member.studio_id, "client": client, "changed_by": member}
    for one in filed:
        clock_of(one.zone)
        checked_rule(one.rule)
        Appointment.objects.create(
            **whose,
            members=[member.pk],
            excepted=[at.astimezone(UTC).isoformat() for at in one.excepted],
            **{name: getattr(one, name) for name in SAME},
        )
