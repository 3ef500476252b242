"""Recording: with what an operation does, in its transaction, an entry says who did it, to whom, and from where."""

from __future__ import annotations

from collections.abc import Callable
from contextlib import nullcontext
from datetime import timedelta
from functools import wraps
from time import monotonic
from typing import Any

from django.db import connection, transaction
from ninja import Status

from studio.audit.words import Kind, called
from studio.members.devices import device_of
from studio.observing import RECORDED
from studio.people.models import Client, Member
from studio.security import place_of
from studio.touched import begin
from studio.wall import transaction_of

#: Who looks at the same of the same client again within so long has looked once: a screen asks several times a minute
#: (W: about as long as one hand stays at one screen).
SAME_LOOK = timedelta(minutes=10)

_INSERT = """
INSERT INTO audit_entry (studio_id, at, by_id, subject, kind, area, place, device)
SELECT %(studio)s::bigint, now(), %(by)s::bigint, {subject}, %(kind)s::text, %(area)s::text, %(place)s::text, %(device)s::text {source}
"""
_OF_CLIENT = ("c.subject", "FROM people_client c WHERE c.id = %(client)s::uuid")
_OF_SUBJECT = ("%(subject)s::uuid", "WHERE true")
_UNLESS_SEEN = """
AND NOT EXISTS (SELECT 1 FROM audit_entry e WHERE e.subject = {subject} AND e.by_id = %(by)s::bigint AND e.area = %(area)s::text
AND e.kind = 'look' AND e.at > now() - %(within)s::interval)
"""
Operation = Callable[..., Any]
Look = tuple[int, str, str]
#: Looks that this process knows to be on record, and until when it need not ask the database again: its own for as long as they
#: are the same look, another process's for a minute.
_looked: dict[Look, float] = {}
ASKED_AGAIN, MOST_REMEMBERED = timedelta(minutes=1), 50_000


def record(operation: Operation) -> Operation:
    """Decorator of an operation: what it does is recorded, unless it tells of nobody."""
    module, name = operation.__module__, operation.__name__

    @wraps(operation)
    def recorded(request: Any, *given: Any, **named: Any) -> Any:
        what = called(module, name, request.method)
        if what is None:
            return operation(request, *given, **named)
        kind, area = what
        # What is erased is not there to be named afterwards.
        subject = _subject_of(named.get("client_id")) if kind == "erase" else None
        touched = begin()
        answer = operation(request, *given, **named)
        if not (isinstance(answer, Status) and answer.status_code >= 400) and isinstance(request.user, Member):
            write(request, kind, area, named.get("client_id") or (touched[-1] if touched else None), subject)
        return answer

    return recorded


def _subject_of(client_id: Any) -> Any:
    return Client.objects.filter(pk=client_id).values_list("subject", flat=True).first()


def write(request: Any, kind: Kind, area: str, client_id: Any, subject: Any = None) -> None:
    """Add an entry. A look at nobody's in particular is none."""
    if kind == "look" and client_id is None and area != "audit":
        return
    member: Member = request.user
    look = (member.pk, str(client_id), area) if kind == "look" else None
    if look is not None and _looked.get(look, 0.0) > monotonic():
        return
    of, source = _OF_CLIENT if client_id is not None and subject is None else _OF_SUBJECT
    statement = _INSERT.format(subject=of, source=source)
    if kind == "look" and client_id is not None:
        statement += _UNLESS_SEEN.format(subject=of)
    told = {
        "studio": member.studio_id,
        "by": member.pk,
        "client": client_id,
        "subject": subject,
        "kind": kind,
        "area": area,
        "place": place_of(request)[:45],
        "within": SAME_LOOK,
        "device": device_of(request.headers.get("User-Agent", "")),
    }
    with RECORDED.time(), nullcontext() if connection.in_atomic_block else transaction_of(member):
        written = _added(statement, told)
    if look is not None:
        lasts = (SAME_LOOK if written else ASKED_AGAIN).total_seconds()
        # Only once it is kept: what is taken back was not recorded.
        transaction.on_commit(lambda: _remember(look, monotonic() + lasts))


def _added(statement: str, told: dict[str, Any]) -> bool:
    """Run a statement that adds an entry; whether it did."""
    with connection.cursor() as cursor:
        cursor.execute(statement, told)
        added: bool = cursor.rowcount == 1
    return added


def _remember(look: Look, until: float) -> None:
    if len(_looked) > MOST_REMEMBERED:
        _looked.clear()
    _looked[look] = until
