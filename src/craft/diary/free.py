"""Free time of several at once, within the hours that they work."""

from __future__ import annotations

from collections.abc import Iterable, Iterator
from dataclasses import dataclass
from datetime import date, datetime, time, timedelta
from zoneinfo import ZoneInfo

from craft.diary.slots import Slot

#: Beginnings lie on these minutes; so many are offered.
STEP, OFFERED = 15, 40


@dataclass(frozen=True, slots=True)
class Hours:
    """When a house works: from and to, on which weekdays, Monday 0, by its own clock; on none of the days on which it is closed."""

    begins: time = time(9)
    ends: time = time(18)
    weekdays: frozenset[int] = frozenset(range(5))
    closed: frozenset[date] = frozenset()


@dataclass(frozen=True, slots=True)
class Wanted:
    """What is looked for: how long, the travel before and the buffer after, minutes; for whom; from which day to which."""

    minutes: int
    members: frozenset[str]
    first: date
    last: date
    travel: int = 0
    buffer: int = 0


def free(wanted: Wanted, taken: Iterable[Slot], hours: Hours, zone: ZoneInfo, after: datetime) -> list[datetime]:
    """Beginnings at which all of them are free, travel and buffer included, the earliest of each half day first; none before
    `after`. Local wall time, right over the change of clocks.

    >>> zone = ZoneInfo("UTC")
    >>> wanted = Wanted(60, frozenset({"ada"}), date(2026, 3, 2), date(2026, 3, 2))
    >>> busy = Slot("edit", datetime(2026, 3, 2, 9, tzinfo=zone), datetime(2026, 3, 2, 17, tzinfo=zone), frozenset({"ada"}))
    >>> [f"{at:%H:%M}" for at in free(wanted, [busy], Hours(), zone, datetime(2026, 3, 1, tzinfo=zone))]
    ['17:00']
    """
    busy = sorted(
        ((slot.leaves, slot.free_again) for slot in taken if slot.members & wanted.members), key=lambda span: span[0]
    )
    found = []
    for start in _beginnings(wanted, hours, zone):
        leaves = start - timedelta(minutes=wanted.travel)
        ends = start + timedelta(minutes=wanted.minutes + wanted.buffer)
        if start >= after and not any(begins < ends and leaves < done for begins, done in busy):
            found.append(start)
            if len(found) >= OFFERED * 4:
                break
    return _spread(found)


def _beginnings(wanted: Wanted, hours: Hours, zone: ZoneInfo) -> Iterator[datetime]:
    day = wanted.first
    while day <= wanted.last:
        if day.weekday() in hours.weekdays and day not in hours.closed:
            at = datetime.combine(day, hours.begins)
            last = datetime.combine(day, hours.ends) - timedelta(minutes=wanted.minutes)
            while at <= last:
                local = at.replace(tzinfo=zone)
                # An hour that the clocks leap over is no hour at all.
                if local.astimezone(ZoneInfo("UTC")).astimezone(zone).replace(tzinfo=None) == at:
                    yield local
                at += timedelta(minutes=STEP)
        day += timedelta(1)


def _spread(found: list[datetime]) -> list[datetime]:
    """The first of each half day first, then the others; in order of time."""
    halves: dict[tuple[date, bool], list[datetime]] = {}
    for at in found:
        halves.setdefault((at.date(), at.hour >= 13), []).append(at)
    picked: list[datetime] = []
    for number in range(max(map(len, halves.values()), default=0)):
        picked += [listed[number] for listed in halves.values() if number < len(listed)]
        if len(picked) >= OFFERED:
            break
    return sorted(picked[:OFFERED])
