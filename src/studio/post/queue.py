"""What a worker does with letters: each is offered to the mail server until it takes it, at growing intervals, or refuses it.

A letter whose worker died between the server's yes and the note of it is sent twice, under one Message-ID: better twice than never.
"""

from __future__ import annotations

import logging
from datetime import UTC, datetime, timedelta
from smtplib import SMTPDataError, SMTPException, SMTPRecipientsRefused, SMTPResponseException, SMTPSenderRefused
from typing import Any
from uuid import UUID

from cryptography.fernet import InvalidToken
from django.conf import settings
from django.core.mail import get_connection
from django.db import close_old_connections, transaction
from procrastinate.contrib.django import app

from studio.post.envelope import opened
from studio.post.models import REFUSED, SENT, WAITING, Outgoing

#: After the first, second ... time in vain it is tried again so much later; after the last it is given up (W: a server that is
#: away for a night or a weekend's day is there again).
WAITS = tuple(timedelta(minutes=minutes) for minutes in (1, 5, 15, 60, 240, 720, 1440))
#: What became of a letter about an account is known so long; then the row goes. One to a client is known as long as they are.
KNOWN = timedelta(days=30)
log = logging.getLogger(__name__)


def hand_over(outgoing_id: UUID) -> None:
    """Have a letter sent, with this transaction."""
    send.defer(outgoing_id=str(outgoing_id))


@app.task(name="post.send", queue="post")
def send(outgoing_id: str) -> None:
    """Send one letter, if it waits still."""
    close_old_connections()
    try:
        deliver(outgoing_id)
    finally:
        close_old_connections()


@app.periodic(cron="* * * * *")
@app.task(name="post.again", queue="post", queueing_lock="post.again")
def again(timestamp: int) -> None:
    """Send what waits and is due: what was tried in vain, and what a worker died over."""
    close_old_connections()
    try:
        for outgoing_id in due():
            deliver(outgoing_id)
    finally:
        close_old_connections()


def due() -> list[Any]:
    """The letters that wait and may be tried, the longest due first."""
    rows = Outgoing.objects.filter(state=WAITING, next_at__lte=datetime.now(UTC))
    return list(rows.order_by("next_at").values_list("id", flat=True))


def deliver(outgoing_id: Any) -> None:
    """Offer a letter to the mail server, and note what it said. One that another worker has in hand is left to it."""
    with transaction.atomic():
        rows = Outgoing.objects.select_for_update(of=("self",), skip_locked=True)
        row = rows.filter(id=outgoing_id, state=WAITING, next_at__lte=datetime.now(UTC)).first()
        if row is None:
            return
        try:
            get_connection(settings.POST_GOES_BY).send_messages([opened(bytes(row.sealed))])
        except InvalidToken:
            _end(row, REFUSED, "It lies under a key that this server does not have any more.")
        except (OSError, SMTPException) as error:
            _in_vain(row, error)
        except Exception as error:
            # Whatever is wrong with this letter, the next one goes.
            log.exception("A letter could not be handed to the mail server")
            _in_vain(row, error)
        else:
            _end(row, SENT, "")


def _end(row: Outgoing, state: str, answer: str) -> None:
    row.state, row.answer, row.ended_at = state, answer[:300], datetime.now(UTC)
    if state == SENT:
        row.sealed = b""
    row.save(update_fields=["state", "answer", "ended_at", "sealed"])


def _in_vain(row: Outgoing, error: Exception) -> None:
    answer, for_good = _said(error)
    # What the server answers often names whom it is to: that is told at the letter, and in no log.
    log.warning("A letter was not taken (try %d): %s", row.tries + 1, type(error).__name__)
    if for_good or row.tries >= len(WAITS):
        _end(row, REFUSED, answer)
        return
    row.next_at = datetime.now(UTC) + WAITS[row.tries]
    row.tries, row.answer = row.tries + 1, answer[:300]
    row.save(update_fields=["next_at", "tries", "answer"])


def _said(error: Exception) -> tuple[str, bool]:
    """What the mail server answered, if it did, and whether that is its last word on this letter (RFC 5321, 4.2.1: replies
    from 500 on); that it does not let us in is none."""
    replies: list[tuple[int, bytes | str]] = []
    if isinstance(error, SMTPRecipientsRefused):
        replies += error.recipients.values()
    elif isinstance(error, SMTPResponseException):
        replies.append((error.smtp_code, error.smtp_error))
    text = "; ".join(
        f"{code} {said.decode(errors='replace') if isinstance(said, bytes) else said}" for code, said in replies
    )
    of_the_letter = isinstance(error, SMTPRecipientsRefused | SMTPSenderRefused | SMTPDataError)
    return text, of_the_letter and all(code >= 500 for code, _ in replies)
