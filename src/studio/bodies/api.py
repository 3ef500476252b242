"""Readings: taken one at a time, checked on the way in."""

from __future__ import annotations

from datetime import datetime
from typing import Any, Literal
from uuid import UUID

from django.http import HttpRequest
from ninja import Router, Schema, Status
from pydantic import Field

from craft.body.measures import MEASURES, kind_of
from craft.body.plausibility import label
from craft.units import parse_length
from studio.bodies import services
from studio.bodies.models import MeasuringSession, Reading
from studio.people.models import Client
from studio.schemas import Refusal, Unit

router = Router()


class MeasureWord(Schema):
    name: str
    label: str
    kind: Literal["height", "girth", "breadth", "length"]


class Typed(Schema):
    text: str = Field(max_length=60)
    unit: Unit


class Read(Schema):
    cm: float


class ReadingIn(Schema):
    measure: str
    typed: str = Field(max_length=60)
    unit: Unit
    after: UUID | None = None
    checked: bool = False


class ReadingOut(Schema):
    id: UUID
    measure: str
    cm: float
    typed: str
    checked: bool
    taken_at: datetime
    taken_by: str


class Kept(Schema):
    reading: ReadingOut | None


class DoubtOut(Refusal):
    reason: str
    refused: bool
    suggested_cm: float | None


class OvertakenOut(Refusal):
    current: ReadingOut | None


class SessionOut(Schema):
    id: int
    started_at: datetime
    taken_by: str
    readings: list[ReadingOut]


def reading_out(reading: Reading) -> ReadingOut:
    return ReadingOut(
        id=reading.id,
        measure=reading.measure,
        cm=float(reading.cm or 0),
        typed=reading.typed,
        checked=reading.checked,
        taken_at=reading.taken_at,
        taken_by=reading.session.taken_by.name if reading.session.taken_by else "",
    )


@router.get("/measures", response=list[MeasureWord])
def measures(request: HttpRequest) -> Any:
    """The measure list."""
    return [MeasureWord(name=name, label=label(name), kind=kind_of(name)) for name in MEASURES]


@router.post("/length", response={200: Read, 422: Refusal})
def length(request: HttpRequest, given: Typed) -> Any:
    """What a typed length is in cm: the one reader of lengths there is."""
    return Read(cm=round(parse_length(given.text, given.unit), 2))


@router.get("/clients/{uuid:client_id}/readings", response=list[ReadingOut])
def readings(request: HttpRequest, client_id: UUID) -> Any:
    """The readings in force."""
    client = Client.objects.of(request.user).kept().found(id=client_id)
    return [reading_out(reading) for reading in services.readings_in_force(client).values()]


@router.post("/clients/{uuid:client_id}/readings", response={200: Kept, 409: OvertakenOut, 422: DoubtOut | Refusal})
def take(request: HttpRequest, client_id: UUID, given: ReadingIn) -> Any:
    """Add a reading, or withdraw the measure with an empty text. A doubt is asked, never blocked."""
    try:
        reading = services.take_reading(
            request.user,
            client_id,
            given.measure,
            given.typed,
            given.unit,
            after=given.after,
            checked=given.checked,
        )
    except services.Overtaken as late:
        current = reading_out(late.current) if late.current else None
        who = current.taken_by if current else "Somebody"
        return Status(
            409, OvertakenOut(message=f"{who} took this measure meanwhile.", field=given.measure, current=current)
        )
    except services.Doubtful as asked:
        doubt = asked.doubt
        told = DoubtOut(
            message=doubt.text,
            field=given.measure,
            reason=doubt.reason,
            refused=doubt.refused,
            suggested_cm=doubt.suggested_cm,
        )
        return Status(422, told)
    return Kept(reading=reading_out(reading) if reading else None)


@router.get("/clients/{uuid:client_id}/sessions", response=list[SessionOut])
def sessions(request: HttpRequest, client_id: UUID) -> Any:
    """Every measuring session of a client, newest first, with all its readings."""
    client = Client.objects.of(request.user).kept().found(id=client_id)
    rows = MeasuringSession.objects.filter(client=client).select_related("taken_by").prefetch_related("readings")
    return [
        SessionOut(
            id=row.id,
            started_at=row.started_at,
            taken_by=row.taken_by.name if row.taken_by else "",
            readings=[reading_out(reading) for reading in row.readings.all() if reading.cm is not None],
        )
        for row in rows.order_by("-started_at")
    ]
