"""What comes next for a client, in a sentence for her."""

from __future__ import annotations

from studio.bodies.known import today
from studio.diary.services import next_of, title_of
from studio.fittings.models import Errand
from studio.people.models import Client

#: How what is due is told to whom it is due.
SAID = {"alter": "back from the tailor", "return": "to be sent back by", "size": "another size by"}


def following(client: Client) -> str:
    """The nearest dates that concern her, the next appointment first; nothing where there are none."""
    told = []
    visit = next_of(client)
    if visit is not None:
        at = visit.starts_at.astimezone(visit.clock)
        told.append(f"{title_of(visit).removesuffix(f', {client.name}')} on {at.day} {at:%B} at {at.hour}:{at:%M}")
    rows = Errand.objects.filter(client=client, removed_at=None, done_at=None, due_on__gte=today())
    told += [f"{row.title}, {SAID[row.kind]} {row.due_on.day} {row.due_on:%B}" for row in rows[:4] if row.due_on]
    return f"{'; '.join(told)}." if told else ""
