"""The verbs of measuring: open a session with consent, take readings, take them back, end it."""

from __future__ import annotations

from dataclasses import dataclass
from datetime import UTC, datetime
from decimal import Decimal
from typing import Any, Literal
from uuid import UUID

from django.db import transaction
from django.db.models import QuerySet
from django.utils import timezone

from craft.body.measures import kind_of
from craft.brief import CONSENT
from craft.measuring.cards import PROTOCOLS
from craft.measuring.checks import check
from craft.units import Unit, parse_length
from studio.bodies.known import Known, known_of, measures_from, open_session
from studio.bodies.models import Confirmation, MeasuringSession, Reading, Withdrawal
from studio.concurrency import hold, new_identity
from studio.errors import Doubtful, NotAllowed, Overtaken, Taken
from studio.people.models import Client, Member
from studio.policy import Right, may

#: The protocol that is the studio's own list.
OWN_LIST = "own"
Source = Literal["typed", "tape"]


@dataclass(frozen=True)
class Taking:
    """One reading as the desk hands it in."""

    id: UUID
    measure: str
    typed: str
    unit: Unit
    after: UUID | None = None
    checked: bool = False
    set_aside: bool = False
    said: bool = False
    source: Source = "typed"
    #: The value meant, where a doubt named it: counted in place of what was typed.
    meant_cm: float | None = None


def open_new_session(
    member: Member, client_id: Any, protocol: str, side: str, twice: bool, consent: dict[str, Any]
) -> MeasuringSession:
    """Begin measuring. The one going on is answered, if there is one. Raises NotAllowed."""
    with transaction.atomic():
        client = hold(member, client_id)
        going_on = open_session(client)
        if going_on:
            return going_on
        agreed = consent.get("agreed", ())
        missing = [key for key, _ in CONSENT[:2] if key not in agreed]
        if missing:
            raise NotAllowed("Ask first: without the client’s agreement nothing is measured or kept.", "agreed")
        if protocol not in (*PROTOCOLS, OWN_LIST):
            raise NotAllowed("This list of measures is not known.", "protocol")
        guardian = consent.get("guardian", "").strip() or str(client.brief.get("guardian", ""))
        if client.brief.get("minor") and not guardian:
            raise NotAllowed("This client is under age: name the guardian who is present.", "guardian")
        return MeasuringSession.objects.create(
            studio_id=member.studio_id,
            client=client,
            taken_by=member,
            protocol=protocol,
            side=side,
            twice=twice,
            consent={**consent, "guardian": guardian, "texts": [text for key, text in CONSENT if key in agreed]},
        )


def end_session(
    member: Member, client_id: Any, session_id: int, how: Literal["finished", "stopped"]
) -> MeasuringSession:
    """End a session; ending it twice changes nothing."""
    with transaction.atomic():
        client = hold(member, client_id)
        session: MeasuringSession = MeasuringSession.objects.of(member).filter(client=client).get_or_404(id=session_id)
        if session.ended_at is None:
            session.ended_at, session.ended = datetime.now(UTC), how
            session.save(update_fields=["ended_at", "ended"])
    return session


def take_reading(member: Member, client_id: Any, taking: Taking) -> None:
    """Add a reading.

    Handing the same reading in twice changes nothing. Raises NotALength, UnknownMeasure, Doubtful,
    Overtaken, NotAllowed or Http404; then nothing is written.
    """
    kind_of(taking.measure)
    typed_cm = round(parse_length(taking.typed, taking.unit), 2)
    with transaction.atomic():
        client = hold(member, client_id)
        session = open_session(client)
        if session is None:
            raise NotAllowed("No session is open. Ask for consent and begin one.")
        known = known_of(client, session)
        held = Reading.objects.of(member).filter(id=taking.id).values_list("session__client", "measure").first()
        if held is not None:
            if held != (client.id, taking.measure):
                raise Taken
            return
        cm = typed_cm if taking.meant_cm is None else round(taking.meant_cm, 2)
        if not taking.set_aside:
            today = list(known[taking.measure].readings) if taking.measure in known else []
            today = [r for r in today if r.session_id == session.id]
            _not_overtaken(taking.measure, today, taking.after)
            _ask(client, session, known, taking, cm, tuple(float(r.cm) for r in today if not r.said))
        with new_identity():
            Reading.objects.create(
                id=taking.id,
                studio_id=member.studio_id,
                session=session,
                taken_by=member,
                measure=taking.measure,
                cm=Decimal(str(cm if not taking.set_aside else min(typed_cm, 9999.0))),
                typed=taking.typed.strip()[:40],
                source=taking.source,
                said=taking.said,
                checked=taking.checked or taking.meant_cm is not None,
                set_aside=taking.set_aside,
                awaits=waits_for_eyes(member),
            )


def waits_for_eyes(member: Member) -> bool:
    """Whether what this member measures waits for a second pair of eyes."""
    return not may(member, Right.CONFIRM)


def waiting(client_id: Any) -> QuerySet[Reading]:
    """The readings of a client that count and wait for a second pair of eyes."""
    return Reading.objects.filter(
        session__client=client_id, awaits=True, confirmation=None, withdrawal=None, set_aside=False
    )


def confirm(member: Member, client_id: Any, measure: str) -> None:
    """A second pair of eyes has looked at this measure: all of its readings that wait are confirmed."""
    kind_of(measure)
    with transaction.atomic():
        client = hold(member, client_id)
        rows = waiting(client.id).filter(measure=measure)
        Confirmation.objects.bulk_create(Confirmation(reading=reading, by=member) for reading in rows)


def unconfirm(member: Member, client_id: Any, measure: str) -> None:
    """Undo a confirmation: what this member confirmed of the measure waits again."""
    kind_of(measure)
    with transaction.atomic():
        client = hold(member, client_id)
        Confirmation.objects.filter(reading__session__client=client, reading__measure=measure, by=member).delete()


def _not_overtaken(measure: str, today: list[Reading], after: UUID | None) -> None:
    newest = today[-1] if today else None
    if (newest.id if newest else None) != after:
        raise Overtaken(measure, newest)


def _ask(
    client: Client,
    session: MeasuringSession,
    known: dict[str, Known],
    taking: Taking,
    cm: float,
    today: tuple[float, ...],
) -> None:
    last = known_of(client, None, before=session).get(taking.measure)
    doubt = check(
        taking.measure,
        cm,
        measures_from({name: held for name, held in known.items() if name != taking.measure}, client),
        last=last.figure if last and last.figure.origin != "said" else None,
        this_session=today,
    )
    if doubt and (doubt.refused or not (taking.checked or taking.meant_cm is not None)):
        raise Doubtful(taking.measure, doubt, client.studio.unit)


def withdraw(member: Member, client_id: Any, reading_id: Any) -> None:
    """Take a reading back."""
    with transaction.atomic():
        reading = _own_reading(member, client_id, reading_id)
        Withdrawal.objects.get_or_create(reading=reading, defaults={"by": member, "at": timezone.now()})


def restore_reading(member: Member, client_id: Any, reading_id: Any) -> None:
    """Undo a withdrawal."""
    with transaction.atomic():
        reading = _own_reading(member, client_id, reading_id)
        Withdrawal.objects.filter(reading=reading).delete()


def _own_reading(member: Member, client_id: Any, reading_id: Any) -> Reading:
    client = hold(member, client_id)
    found: Reading = Reading.objects.of(member).filter(session__client=client).get_or_404(id=reading_id)
    return found
