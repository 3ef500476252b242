"""Calendars in and out: RFC 5545 by icalendar, repeats by recurring-ical-events. What goes out comes in again as it was."""

from __future__ import annotations

from collections.abc import Iterable, Sequence
from dataclasses import dataclass, replace
from datetime import UTC, date, datetime, time, timedelta
from typing import Any
from zoneinfo import ZoneInfo, ZoneInfoNotFoundError

import recurring_ical_events
from icalendar import Calendar, Event, vRecur

from craft.diary.kinds import KINDS, VisitKind
from craft.errors import InvalidInput
from studio.diary.models import Appointment

PRODUCT = "-//Basilwood//Diary//EN"
#: A file holds so many events at most; a repeat is looked at so far.
MOST = 2000
#: Our own particulars of an event, as extensions that other calendars pass over.
OWN = {
    "kind": "X-BASILWOOD-KIND",
    "travel": "X-BASILWOOD-TRAVEL",
    "buffer": "X-BASILWOOD-BUFFER",
    "along": "X-BASILWOOD-ALONG",
}
#: Repeats that the diary knows.
FREQUENCIES = ("DAILY", "WEEKLY", "MONTHLY", "YEARLY")


@dataclass(frozen=True)
class Read:
    """An event of a file, as an appointment would hold it; or why it cannot be taken in."""

    uid: str
    title: str
    starts_at: datetime | None
    minutes: int
    zone: str
    place: str = ""
    note: str = ""
    rule: str = ""
    excepted: tuple[str, ...] = ()
    kind: VisitKind = "other"
    travel: int = 0
    buffer: int = 0
    along: str = ""
    refused: str = ""
    #: Of a single day of a repeat that was moved or cancelled: the repeat's uid, and the instant it takes the place of.
    instead_of: tuple[str, str] = ("", "")
    cancelled: bool = False


def event_of(row: Appointment, title: str) -> Event:
    """An appointment as an event."""
    event = Event()
    event.add("uid", row.uid or f"{row.id}@basilwood.invalid")
    event.add("dtstamp", row.changed_at.astimezone(UTC))
    event.add("summary", title)
    event.add("dtstart", row.starts_at.astimezone(row.clock))
    event.add("dtend", (row.starts_at + timedelta(minutes=row.minutes)).astimezone(row.clock))
    if row.place:
        event.add("location", row.place)
    if row.note:
        event.add("description", row.note)
    if row.rule:
        event.add("rrule", vRecur.from_ical(row.rule))
    for at in row.excepted:
        event.add("exdate", datetime.fromisoformat(at).astimezone(row.clock))
    for name, value in (("kind", row.kind), ("travel", row.travel), ("buffer", row.buffer), ("along", row.along)):
        if value:
            event.add(OWN[name], str(value))
    return event


def calendar_of(rows: Iterable[tuple[Appointment, str]], name: str) -> bytes:
    """Appointments with their titles as a calendar, its time zones described in it."""
    calendar = Calendar()
    calendar.add("prodid", PRODUCT)
    calendar.add("version", "2.0")
    calendar.add("x-wr-calname", name)
    for row, title in rows:
        calendar.add_component(event_of(row, title))
    calendar.add_missing_timezones()
    made: bytes = calendar.to_ical()
    return made


def occurrences(row: Appointment, first: datetime, last: datetime) -> list[datetime]:
    """The beginnings of an appointment that touch a span, as instants."""
    if not row.rule:
        ends = row.starts_at + timedelta(minutes=row.minutes)
        return [row.starts_at] if row.starts_at < last and ends > first else []
    calendar = Calendar()
    calendar.add_component(event_of(row, ""))
    found = recurring_ical_events.of(calendar).between(first, last)
    return sorted(event.start.astimezone(UTC) for event in found)


def read_calendar(text: str, zone: str) -> list[Read]:
    """The events of a calendar file. What has no time zone is of `zone`. Raises InvalidInput where it is no calendar."""
    try:
        calendar = Calendar.from_ical(text)
    except (ValueError, IndexError, KeyError) as error:
        raise InvalidInput("This is no calendar file that can be read (ICS).", "text") from error
    events = list(calendar.walk("VEVENT"))
    if not events:
        raise InvalidInput("There is no event in this file.", "text")
    if len(events) > MOST:
        raise InvalidInput(f"This file has more than {MOST} events. Take in a part of it.", "text")
    return _days_apart([_read(one, zone) for one in events])


def _days_apart(read: list[Read]) -> list[Read]:
    """Single days of repeats, each by itself, and left out by their repeat. Days that were cancelled are only left out."""
    repeats: dict[str, list[str]] = {one.uid: [] for one in read if one.rule and not one.refused}
    for one in read:
        uid, day = one.instead_of
        if uid in repeats:
            repeats[uid].append(day)
    found = []
    for one in read:
        if one.rule and one.uid in repeats:
            found.append(replace(one, excepted=(*one.excepted, *repeats[one.uid])))
        elif one.instead_of[0] and one.instead_of[0] not in repeats:
            found.append(replace(one, refused="A single day of a repeat that is not in this file."))
        elif not one.cancelled:
            found.append(one)
    return found


def _read(event: Any, zone: str) -> Read:
    uid, title = str(event.get("UID", ""))[:200], str(event.get("SUMMARY", "")).strip()[:120]
    try:
        return _taken(event, uid, title, zone)
    except _NotTaken as why:
        return Read(uid, title, None, 0, zone, refused=str(why))
    except (ValueError, TypeError, AttributeError, KeyError, OverflowError):
        return Read(uid, title, None, 0, zone, refused="It cannot be read.")


class _NotTaken(Exception):
    """Why an event is not taken in."""


def _taken(event: Any, uid: str, title: str, zone: str) -> Read:
    start = event.decoded("DTSTART")
    local, clock = _local(start, zone)
    cancelled = str(event.get("STATUS", "")).upper() == "CANCELLED"
    instead_of = ("", "")
    single = event.get("RECURRENCE-ID")
    if single is not None:
        if "RANGE" in single.params:
            raise _NotTaken("It moves all later days of a repeat: take the repeat in and move it here.")
        instead_of = uid, _local(single.dt, zone)[0].astimezone(UTC).isoformat()
        uid = f"{instead_of[1]} {uid}"[:200]
    elif cancelled:
        raise _NotTaken("It was cancelled.")
    end = event.decoded("DTEND") if event.get("DTEND") else None
    if end is not None:
        minutes = int((_local(end, zone)[0] - local).total_seconds() // 60)
    elif event.get("DURATION") is not None:
        minutes = int(event.decoded("DURATION").total_seconds() // 60)
    else:
        minutes = 60 if isinstance(start, datetime) else 24 * 60
    if not 0 < minutes <= 31 * 24 * 60:
        raise _NotTaken("It ends before it begins, or lasts longer than a month.")
    rule = _rule(event)
    told = str(event.get(OWN["kind"], "other"))
    return Read(
        uid, title, local.astimezone(UTC), minutes, clock,
        place=str(event.get("LOCATION", "")).strip()[:120],
        note=str(event.get("DESCRIPTION", "")).strip()[:400],
        rule=rule,
        excepted=tuple(_excepted(event, zone)),
        kind=next((kind for kind in KINDS if kind == told), "other"),
        travel=_whole(event, "travel"),
        buffer=_whole(event, "buffer"),
        along=str(event.get(OWN["along"], ""))[:120],
        instead_of=instead_of, cancelled=cancelled,
    )  # fmt: skip


def _rule(event: Any) -> str:
    held = event.get("RRULE")
    if held is None:
        return ""
    if isinstance(held, list):
        raise _NotTaken("It repeats by several rules at once.")
    rule = held.to_ical().decode()
    checked_rule(rule)
    return str(rule)


def checked_rule(rule: str) -> str:
    """A rule that the diary knows. Raises InvalidInput."""
    if not rule:
        return ""
    try:
        parsed = vRecur.from_ical(rule)
    except ValueError as error:
        raise InvalidInput("This repeat cannot be read.", "rule") from error
    if len(rule) > 120 or str(parsed.get("FREQ", [""])[0]).upper() not in FREQUENCIES:
        raise InvalidInput("It repeats by the day, week, month or year.", "rule")
    return str(parsed.to_ical().decode())


def _excepted(event: Any, zone: str) -> Sequence[str]:
    held = event.get("EXDATE")
    lists = held if isinstance(held, list) else [held] if held is not None else []
    return [_local(one.dt, zone)[0].astimezone(UTC).isoformat() for listed in lists for one in listed.dts]


def _whole(event: Any, name: str) -> int:
    told = str(event.get(OWN[name], "0"))
    return min(int(told), 600) if told.isdigit() else 0


def _local(told: datetime | date, zone: str) -> tuple[datetime, str]:
    """A time of a file with its clock: a day begins at its midnight, what floats is on the studio's wall."""
    if not isinstance(told, datetime):
        return datetime.combine(told, time(0), ZoneInfo(zone)), zone
    if told.tzinfo is None:
        return told.replace(tzinfo=ZoneInfo(zone)), zone
    key = getattr(told.tzinfo, "key", None)
    try:
        return told, str(ZoneInfo(key)) if key else "UTC"
    except (ZoneInfoNotFoundError, ValueError):
        return told.astimezone(UTC), "UTC"
