"""The verbs of the diary: put down, change, move, say what came of it, find free time."""

from __future__ import annotations

from dataclasses import dataclass
from datetime import UTC, date, datetime, time, timedelta
from functools import cache
from typing import Any, NamedTuple
from uuid import UUID, uuid4
from zoneinfo import ZoneInfo, available_timezones

from django.db import transaction
from django.db.models import BooleanField, ExpressionWrapper, Q, Value

from craft.diary.free import Hours, Wanted, free
from craft.diary.kinds import KINDS, VisitKind
from craft.diary.moves import at_wall, moved
from craft.diary.slots import Clash, Slot, clashes
from craft.errors import InvalidInput
from studio.bodies.known import today
from studio.concurrency import hold, keep_once, write
from studio.diary.calendars import checked_rule, occurrences
from studio.diary.models import Appointment
from studio.errors import Stale
from studio.people.models import Client, Member
from studio.policy import seen_by

#: The diary is asked for so many days at once; an appointment lasts so long at most, minutes.
SPAN, LONGEST = 400, 31 * 24 * 60
#: A repeat is shown so often within what is asked for.
REPEATS = 400


class Occurrence(NamedTuple):
    """An appointment on a day: the row, and when it begins then."""

    row: Appointment
    starts_at: datetime

    @property
    def key(self) -> str:
        """What this one is known by: the appointment, and of a repeat the beginning."""
        return f"{self.row.id} {self.starts_at.isoformat()}" if self.row.rule else str(self.row.id)


@dataclass(frozen=True)
class Content:
    """What an appointment says. `local` is the wall time in its zone."""

    kind: VisitKind
    client_id: UUID | None
    title: str
    local: datetime
    minutes: int
    zone: str
    members: tuple[int, ...]
    place: str
    travel: int
    buffer: int
    along: str
    note: str
    rule: str


def days(member: Member, first: date, last: date, zone: str) -> tuple[list[Occurrence], list[Clash]]:
    """What of the diary touches some days and is open to the member, by time, and what does not go together with it: visits
    of clients who are closed to them take time all the same. Raises InvalidInput."""
    condition = seen_by(member, Appointment.client_path)
    is_open = Value(True) if condition is None else ExpressionWrapper(condition, BooleanField())
    every = between(of_all(member).annotate(is_open=is_open), first, last, zone)
    found = [one for one in every if one.row.is_open]
    open_to = {one.key for one in found}
    return found, [clash for clash in clashes(map(slot_of, every)) if {clash.one, clash.other} & open_to]


def between(among: Any, first: date, last: date, zone: str) -> list[Occurrence]:
    """Those among some appointments that touch some days, by time. Raises InvalidInput."""
    clock = clock_of(zone)
    if not timedelta(0) <= last - first <= timedelta(SPAN):
        raise InvalidInput(f"The diary is asked for {SPAN} days at most.", "last")
    begins, ends = (
        at_wall(datetime.combine(first, time(0)), clock),
        at_wall(datetime.combine(last + timedelta(1), time(0)), clock),
    )
    return _touching(kept(among), begins, ends)


def kept(among: Any) -> Any:
    """Those among some appointments that were not removed, nor their client."""
    return among.not_removed().select_related("client", "changed_by")


def _touching(rows: Any, begins: datetime, ends: datetime) -> list[Occurrence]:
    near = rows.filter(
        Q(rule="", starts_at__lt=ends, starts_at__gt=begins - timedelta(minutes=LONGEST))
        | ~Q(rule="") & Q(starts_at__lt=ends)
    )
    found = [Occurrence(row, at) for row in near for at in occurrences(row, begins, ends)[:REPEATS]]
    return sorted(found, key=lambda one: (one.starts_at, one.key))


def of_all(member: Member) -> Any:
    """Every appointment of the studio, those of clients who are closed to the member too: they take time all the same."""
    return Appointment.objects.filter(studio_id=member.studio_id)


def slot_of(one: Occurrence) -> Slot:
    """An occurrence as the core weighs it."""
    row = one.row
    return Slot(
        one.key, one.starts_at, one.starts_at + timedelta(minutes=row.minutes), frozenset(str(who) for who in row.members),
        row.place, row.travel, row.buffer,
    )  # fmt: skip


def put_down(member: Member, appointment_id: UUID, content: Content) -> Appointment:
    """Put an appointment into the diary. Raises InvalidInput or Http404."""
    with transaction.atomic():
        told = _checked(member, content)
        return keep_once(Appointment, member, appointment_id, {}, **told)


def change(member: Member, appointment_id: UUID, version: int, content: Content) -> Appointment:
    """Change an appointment, all of its days. Raises Stale, InvalidInput or Http404."""
    with transaction.atomic():
        Appointment.objects.of(member).not_removed().locked_or_404(id=appointment_id)
        return write(Appointment, member, appointment_id, version, **_checked(member, content))


def _checked(member: Member, content: Content) -> dict[str, Any]:
    if content.client_id is not None:
        hold(member, content.client_id)
    known = set(Member.objects.filter(studio_id=member.studio_id, id__in=content.members).values_list("id", flat=True))
    if set(content.members) - known:
        raise InvalidInput("Somebody who is to be there is not of this studio.", "members")
    clock = clock_of(content.zone)
    return {
        "kind": content.kind, "client_id": content.client_id, "title": content.title, "starts_at": at_wall(content.local, clock),
        "minutes": content.minutes, "zone": content.zone, "members": sorted(known), "place": content.place,
        "travel": content.travel, "buffer": content.buffer, "along": content.along, "note": content.note,
        "rule": checked_rule(content.rule),
    }  # fmt: skip


@cache
def _zones() -> frozenset[str]:
    """The time zones that are known: read from the disk once."""
    return frozenset(available_timezones())


def clock_of(zone: str) -> ZoneInfo:
    if zone not in _zones():
        raise InvalidInput("This time zone is not known.", "zone")
    return ZoneInfo(zone)


def move(
    member: Member, appointment_id: UUID, version: int, *, local: datetime | None = None, days: int = 0, minutes: int = 0,
    longer: int = 0, occurrence: datetime | None = None,
) -> Appointment:  # fmt: skip
    """Move an appointment by hand: to a wall time, or by days and minutes of the wall's clock, or make it longer. One day of a
    repeat that is moved stands by itself from then on. Raises Stale, InvalidInput or Http404."""
    with transaction.atomic():
        row: Appointment = Appointment.objects.of(member).not_removed().locked_or_404(id=appointment_id)
        if row.version != version:
            raise Stale(row)
        lasts = row.minutes + longer
        if not 5 <= lasts <= LONGEST:
            raise InvalidInput("An appointment lasts five minutes at least.", "minutes")
        if row.rule and occurrence is not None:
            return _apart(member, row, occurrence, local, days, minutes, lasts)
        to = (
            at_wall(local, row.clock)
            if local is not None
            else moved(row.starts_at, row.clock, days=days, minutes=minutes)
        )
        # What was left out of a repeat moves along, so that nothing comes back.
        by = to - row.starts_at
        excepted = [(datetime.fromisoformat(at) + by).isoformat() for at in row.excepted]
        return write(Appointment, member, row.id, version, starts_at=to, minutes=lasts, excepted=excepted)


def _apart(
    member: Member, row: Appointment, occurrence: datetime, local: datetime | None, days: int, minutes: int, lasts: int
) -> Appointment:
    if occurrence not in occurrences(row, occurrence, occurrence + timedelta(minutes=1)):
        raise InvalidInput("It is not on this day any more. Load the diary again.", "occurrence")
    to = at_wall(local, row.clock) if local is not None else moved(occurrence, row.clock, days=days, minutes=minutes)
    write(Appointment, member, row.id, row.version, excepted=sorted({*row.excepted, occurrence.isoformat()}))
    same = ("client_id", "kind", "title", "zone", "members", "place", "travel", "buffer", "along", "note")
    return Appointment.objects.create(
        id=uuid4(), studio_id=row.studio_id, changed_by=member, starts_at=to, minutes=lasts,
        **{name: getattr(row, name) for name in same},
    )  # fmt: skip


def leave_out(member: Member, appointment_id: UUID, version: int, occurrence: datetime) -> Appointment:
    """Leave one day of a repeat out. Raises Stale, InvalidInput or Http404."""
    with transaction.atomic():
        row: Appointment = Appointment.objects.of(member).not_removed().locked_or_404(id=appointment_id)
        if not row.rule:
            raise InvalidInput("It does not repeat.", "occurrence")
        return write(
            Appointment,
            member,
            row.id,
            version,
            excepted=sorted({*row.excepted, occurrence.astimezone(UTC).isoformat()}),
        )


def take_in_again(member: Member, appointment_id: UUID, version: int, occurrence: datetime) -> Appointment:
    """Undo that. Raises Stale or Http404."""
    with transaction.atomic():
        row: Appointment = Appointment.objects.of(member).not_removed().locked_or_404(id=appointment_id)
        kept = [at for at in row.excepted if at != occurrence.astimezone(UTC).isoformat()]
        return write(Appointment, member, row.id, version, excepted=kept)


def came_of(member: Member, appointment_id: UUID, version: int, text: str, *, done: bool) -> Appointment:
    """Say what came of a visit, and that it is done or is not after all. Raises Stale or Http404."""
    return write(
        Appointment, member, appointment_id, version, came_of=text, done_at=datetime.now(UTC) if done else None
    )


def find_free(member: Member, wanted: Wanted, hours: Hours, zone: str) -> list[datetime]:
    """When all of some members are free. Raises InvalidInput."""
    clock = clock_of(zone)
    taken = between(of_all(member), wanted.first - timedelta(1), wanted.last + timedelta(1), zone)
    return free(wanted, map(slot_of, taken), hours, clock, datetime.now(UTC))


def names_of(member: Member) -> dict[int, str]:
    """Who works in the studio: the names of its members by their ids, in the order of the names."""
    rows = Member.objects.filter(studio_id=member.studio_id, is_active=True).order_by("name", "id")
    return dict(rows.values_list("id", "name"))


def title_of(row: Appointment) -> str:
    """What an appointment is called: its own title, or the kind and for whom."""
    if row.title:
        return row.title
    named = KINDS[row.kind].name.capitalize()
    return f"{named}, {row.client.name}" if row.client else named


def next_of(client: Client) -> Appointment | None:
    """A client's next appointment that does not repeat."""
    begins = at_wall(datetime.combine(today(), time(0)), ZoneInfo("UTC"))
    rows = Appointment.objects.filter(client=client, removed_at=None, rule="", starts_at__gte=begins)
    found: Appointment | None = rows.order_by("starts_at").first()
    return found
