"""The verbs of measuring: read, check, add; the newest reading of a measure is in force."""

from __future__ import annotations

from datetime import UTC, datetime
from decimal import Decimal
from typing import Any

from django.db import transaction

from craft.body import Measures
from craft.body.measures import kind_of
from craft.body.plausibility import Doubt, check
from craft.units import Unit, parse_length
from studio.bodies.models import MeasuringSession, Reading
from studio.people.models import Client, Member


class Overtaken(Exception):
    """Somebody took this measure since the screen last saw it; holds the reading now in force."""

    def __init__(self, current: Reading | None) -> None:
        self.current = current
        super().__init__("overtaken")


class Doubtful(Exception):
    """The reading should be looked at again before it is kept."""

    def __init__(self, doubt: Doubt) -> None:
        self.doubt = doubt
        super().__init__(doubt.text)


def readings_in_force(client: Client) -> dict[str, Reading]:
    """The newest reading of each measure; withdrawn ones are left out."""
    newest = Reading.objects.filter(session__client=client).order_by("measure", "-taken_at", "-id").distinct("measure")
    return {reading.measure: reading for reading in newest if reading.cm is not None}


def measures_of(client: Client) -> Measures:
    """The client's measures in force, for the craft."""
    return Measures.of({name: float(reading.cm) for name, reading in readings_in_force(client).items()})  # type: ignore[arg-type]


def take_reading(
    member: Member, client_id: Any, measure: str, typed: str, unit: Unit, *, after: Any = None, checked: bool = False
) -> Reading | None:
    """Add a reading as typed; an empty text withdraws the measure.

    `after` is the reading the screen saw in force. Raises NotALength, UnknownMeasure,
    Doubtful, Overtaken or Http404; then nothing is written.
    """
    kind_of(measure)
    cm = parse_length(typed, unit) if typed.strip() else None
    with transaction.atomic():
        client = Client.objects.of(member).kept().select_for_update(of=("self",)).found(id=client_id)
        before = readings_in_force(client)
        current = before.get(measure)
        if (current.id if current else None) != after:
            raise Overtaken(current)
        if cm is not None:
            others = Measures.of({n: float(r.cm) for n, r in before.items() if n != measure})  # type: ignore[arg-type]
            doubt = check(measure, round(cm, 2), others)
            if doubt and (doubt.refused or not checked):
                raise Doubtful(doubt)
        elif current is None:
            return None
        reading = Reading.objects.create(
            studio_id=member.studio_id,
            session=_session(member, client),
            measure=measure,
            cm=None if cm is None else Decimal(str(round(cm, 2))),
            typed=typed.strip()[:40],
            checked=checked,
        )
    return reading if cm is not None else None


def _session(member: Member, client: Client) -> MeasuringSession:
    """Today's session of this stylist with this client, opened if need be."""
    today = datetime.now(UTC).date()
    found = MeasuringSession.objects.of(member).filter(client=client, taken_by=member, started_at__date=today).last()
    return found or MeasuringSession.objects.create(studio_id=member.studio_id, client=client, taken_by=member)
