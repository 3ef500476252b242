"""Putting letters into the post, stopping one that has not gone, and trying one again that did not."""

from __future__ import annotations

from datetime import UTC, datetime

from django.core.mail import EmailMessage

from studio.people.models import Client, Studio
from studio.post import queue
from studio.post.envelope import seal
from studio.post.models import REFUSED, STOPPED, WAITING, Outgoing


def put(letter: EmailMessage, *, studio: Studio | None = None, client: Client | None = None) -> Outgoing:
    """Put a letter into the post, with this transaction: what is undone sends nothing."""
    row = Outgoing.objects.create(studio=studio, client=client, sealed=seal(letter))
    queue.hand_over(row.id)
    return row


def stop(outgoing: Outgoing) -> bool:
    """Take a letter out of the post; whether it had not gone yet."""
    rows = Outgoing.objects.filter(id=outgoing.id, state=WAITING)
    return bool(rows.update(state=STOPPED, ended_at=datetime.now(UTC)))


def try_again(outgoing: Outgoing) -> None:
    """Send a letter that waits, was refused or was stopped, now."""
    rows = Outgoing.objects.filter(id=outgoing.id, state__in=(WAITING, REFUSED, STOPPED))
    if rows.update(state=WAITING, tries=0, next_at=datetime.now(UTC), ended_at=None):
        queue.hand_over(outgoing.id)
