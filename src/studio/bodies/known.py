"""What is known of a client's body today: each measure from its readings, carried over and aged."""

from __future__ import annotations

from collections.abc import Iterable, Mapping
from dataclasses import dataclass
from datetime import UTC, date, datetime, timedelta
from functools import lru_cache
from typing import Any, Protocol

from django.db import connection

from craft.body import Body, Measures, Quantity
from craft.measuring.ageing import carry
from craft.measuring.repeats import own_word, settle
from studio.bodies.models import MeasuringSession, Reading
from studio.people.models import Client

#: A session that was neither finished nor stopped counts as over after half a day.
OPEN_FOR = timedelta(hours=12)


@dataclass(frozen=True)
class Known:
    """One measure: the figure as it is worth today, and the readings and session it comes from."""

    measure: str
    figure: Quantity
    session: MeasuringSession
    readings: tuple[Reading, ...]
    wants_another: bool


class Taken(Protocol):
    """Of a reading: its figure, and whether it is the client's own word."""

    @property
    def cm(self) -> Any: ...
    @property
    def said(self) -> bool: ...


def today() -> date:
    return datetime.now(UTC).date()


def open_session(client: Client) -> MeasuringSession | None:
    """The session that is going on with this client, whoever opened it."""
    since = datetime.now(UTC) - OPEN_FOR
    rows = MeasuringSession.objects.filter(client=client, ended_at__isnull=True, started_at__gte=since)
    return rows.select_related("taken_by").order_by("-started_at").first()


def figure_of(measure: str, readings: Iterable[Taken], *, twice: bool) -> tuple[Quantity, bool]:
    """What one session's counting readings come to, and whether one more is asked for.

    Measured readings stand before the client's own word.
    """
    held = list(readings)
    taken = [float(reading.cm) for reading in held if not reading.said]
    if not taken:
        return own_word(measure, float(held[-1].cm)), False
    settled = settle(measure, taken, twice=twice)
    return settled.figure, settled.wants_another


def counting(client: Client) -> dict[str, dict[int, list[Reading]]]:
    """The readings that count, by measure and session, of the sessions that matter today: the newest
    that measured it, and the newest that heard it."""
    alive = Reading.objects.filter(session__client=client, set_aside=False, withdrawal__isnull=True)
    newest = alive.order_by("measure", "said", "-session__started_at", "-session_id").distinct("measure", "said")
    places = {(measure, session) for measure, session in newest.values_list("measure", "session_id")}
    # One row a session, not one a reading: they are few and the readings many.
    sessions = MeasuringSession.objects.in_bulk({session for _, session in places})
    found: dict[str, dict[int, list[Reading]]] = {}
    for reading in alive.filter(session_id__in=sessions):
        if (reading.measure, reading.session_id) in places:
            reading.session = sessions[reading.session_id]
            found.setdefault(reading.measure, {}).setdefault(reading.session_id, []).append(reading)
    return found


def known_of(
    client: Client, current: MeasuringSession | None, before: MeasuringSession | None = None
) -> dict[str, Known]:
    """Everything known of a client's body, by measure.

    `current` is the session going on, if any. Figures of the newest session are fresh; older ones
    are carried over and aged. With `before`, only sessions other than that one are looked at.
    """
    held = counting(client) if before is None else _all_but(client, before)
    newest = max((r.session.started_at for by in held.values() for rs in by.values() for r in rs), default=None)
    found = {}
    for measure, sessions in held.items():
        choices = [_known(measure, readings, current, newest) for readings in sessions.values()]
        # A measurement stands before the client's word until it is too old.
        choices.sort(key=lambda known: (known.figure.origin in ("said", "aged"), -known.session.started_at.timestamp()))
        found[measure] = choices[0]
    return found


def _all_but(client: Client, session: MeasuringSession) -> dict[str, dict[int, list[Reading]]]:
    alive = Reading.objects.filter(session__client=client, set_aside=False, withdrawal__isnull=True)
    older = alive.exclude(session=session).order_by("measure", "-session__started_at", "-session_id")
    places = set(older.distinct("measure").values_list("measure", "session_id"))
    found: dict[str, dict[int, list[Reading]]] = {}
    for reading in older.filter(session_id__in={at for _, at in places}).select_related("session"):
        if (reading.measure, reading.session_id) in places:
            found.setdefault(reading.measure, {}).setdefault(reading.session_id, []).insert(0, reading)
    return found


def _known(measure: str, readings: list[Reading], current: MeasuringSession | None, newest: datetime | None) -> Known:
    session = readings[0].session
    figure, wants = figure_of(measure, readings, twice=session.twice)
    going_on = current is not None and session.id == current.id
    last_of_all = current is None and session.started_at == newest
    taken_on = session.started_at.date()
    if not (going_on or last_of_all):
        figure = carry(measure, figure, taken_on, today())
    elif last_of_all:
        aged = carry(measure, figure, taken_on, today())
        # The newest session is what was measured, until it is too old or only a word.
        figure = aged if aged.origin in ("aged", "said") else Quantity(figure.cm, aged.spread, figure.origin)
    return Known(measure, figure, session, tuple(readings), wants and going_on)


def measures_from(known: Mapping[str, Known], client: Client) -> Measures:
    """The same for the craft, with whose usual breadths they are held against: the brief's word, the young's under age."""
    build = client.brief.get("build") or ("young" if client.brief.get("minor") else None)
    return Measures.of({name: held.figure for name, held in known.items()}, build)


def measures_of(client: Client) -> Measures:
    """The client's measures today, for the craft; settled anew only when a reading came or went."""
    told = (client.brief.get("build"), client.brief.get("minor"))
    return _settled(client, today(), _mark(client), told)


#: What changes whenever a reading, a withdrawal or a session of a client comes, goes or ends. Nearly every request asks
#: it, so it is put together once.
_MARK = """
SELECT count(r.id), count(r.id) FILTER (WHERE r.set_aside), count(w.id), max(w.id), max(r.session_id),
    (SELECT id FROM bodies_measuringsession WHERE client_id = %s AND ended_at IS NULL AND started_at >= %s
     ORDER BY started_at DESC LIMIT 1)
FROM bodies_measuringsession s JOIN bodies_reading r ON r.session_id = s.id
    LEFT JOIN bodies_withdrawal w ON w.reading_id = r.id
WHERE s.client_id = %s
"""


def _mark(client: Client) -> tuple[int | None, ...]:
    with connection.cursor() as cursor:
        cursor.execute(_MARK, [client.pk, datetime.now(UTC) - OPEN_FOR, client.pk])
        mark: tuple[int | None, ...] = cursor.fetchone()
    return mark


@lru_cache(maxsize=512)
def _settled(client: Client, day: date, mark: tuple[int | None, ...], told: tuple[Any, Any]) -> Measures:
    return measures_from(known_of(client, open_session(client)), client)


def body_of(client: Client) -> Body:
    return Body.of(measures_of(client))


def measures_before(client: Client) -> Measures | None:
    """The client's measures as they were before the last measuring; None where there was none before it."""
    last = MeasuringSession.objects.filter(client=client, readings__isnull=False).order_by("-started_at", "-id").first()
    known = known_of(client, None, before=last) if last is not None else {}
    return measures_from(known, client) if known else None
