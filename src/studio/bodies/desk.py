"""The measuring desk as the screen reads it: every measure as it is known today, and what to take next."""

from __future__ import annotations

from typing import Any

from django.conf import settings
from django.db.models import Count, Exists, Max, OuterRef

from craft.advise.next_measure import Worth, next_measures
from craft.body import Body
from craft.body.measures import MEASURES
from craft.draw.tape import TapeLine, tape_on
from craft.measuring.ageing import due_on
from studio.bodies.known import Known, known_of, measures_from, measures_of, open_session
from studio.bodies.models import MeasuringSession, Reading
from studio.bodies.services import waiting
from studio.bodies.shapes import DeskOut, LastOut, MeasureOut, TapeOut, quantity_out, reading_out, session_out
from studio.drawings import undressed
from studio.people.known import client_of
from studio.people.models import Member
from studio.stored import readable


def desk_of(member: Member, client_id: Any) -> DeskOut:
    """Every measure of a client, this session's readings, and when to measure again."""
    client = client_of(member, client_id)
    session = open_session(client)
    known = known_of(client, session)
    before = known_of(client, None, before=session) if session else {}
    body = Body.of(measures_from(known, client))
    today: dict[str, list[Reading]] = {}
    if session:
        rows = Reading.objects.filter(session=session).select_related("taken_by", "withdrawal")
        for reading in rows:
            today.setdefault(reading.measure, []).append(reading)
    read = Exists(Reading.objects.filter(session=OuterRef("pk")))
    measured = MeasuringSession.objects.filter(read, client=client).aggregate(
        sessions=Count("id"), last=Max("started_at")
    )
    waits = dict(waiting(client.id).values_list("measure", "taken_by__name"))
    return DeskOut(
        session=session_out(session) if session else None,
        measures=[
            _measure(name, body, known.get(name), before.get(name), today.get(name, []), waits.get(name) or "")
            for name in MEASURES
        ],
        outline=undressed(body),
        stature=round(body.stature, 1),
        due_on=due_on(measured["last"].date()) if measured["last"] else None,
        sessions=measured["sessions"],
        tape=settings.TAPE or None,
    )


def _measure(
    name: str, body: Body, known: Known | None, last: Known | None, today: list[Reading], awaits: str
) -> MeasureOut:
    return MeasureOut(
        name=name,
        known=quantity_out(known.figure if known else body.quantity(name)),
        readings=[reading_out(reading) for reading in today],
        wants_another=bool(known and known.wants_another),
        awaits=awaits,
        last=LastOut(cm=round(last.figure.cm, 2), on=last.session.started_at.date()) if last else None,
        taken_on=known.session.started_at.date() if known else None,
        tape=_tape(tape_on(body, name)),
    )


def _tape(line: TapeLine) -> TapeOut:
    def rounded(lines: tuple[tuple[tuple[float, float], ...], ...]) -> list[list[list[float]]]:
        return [[[round(x, 1), round(y, 1)] for x, y in points] for points in lines]

    return TapeOut(height=round(line.height, 1), front=rounded(line.front), behind=rounded(line.behind))


def next_for(member: Member, client_id: Any) -> tuple[Worth, ...]:
    """What to measure next, for the bottoms in this client's looks."""
    from studio.looks.models import Look

    client = client_of(member, client_id)
    held = Look.objects.of(member).not_removed().filter(client=client).values_list("pieces", flat=True)
    pieces = readable(piece for look in held for piece in look)
    bottoms = [piece for piece in dict.fromkeys(pieces) if piece.slot == "bottom"][:12]
    return next_measures(measures_of(client), bottoms, client.ways)
