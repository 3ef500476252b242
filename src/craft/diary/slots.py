"""Time taken: whose, from when to when, where; which of it clashes, and where nobody can be in time."""

from __future__ import annotations

from collections.abc import Iterable, Iterator, Sequence
from dataclasses import dataclass
from datetime import datetime, timedelta
from typing import Literal, NamedTuple


@dataclass(frozen=True, slots=True)
class Slot:
    """Time taken by something: aware times, minutes of travel before and of buffer after, the place, and who is there."""

    key: str
    start: datetime
    end: datetime
    members: frozenset[str]
    place: str = ""
    travel: int = 0
    buffer: int = 0

    @property
    def leaves(self) -> datetime:
        """From when somebody is on the way."""
        return self.start - timedelta(minutes=self.travel)

    @property
    def free_again(self) -> datetime:
        """When the buffer is over."""
        return self.end + timedelta(minutes=self.buffer)


class Clash(NamedTuple):
    """Two that do not go together for somebody: they overlap, or there is no time to get from one to the other; `short` is how many
    minutes are missing."""

    what: Literal["overlap", "travel"]
    one: str
    other: str
    members: frozenset[str]
    short: int


def clashes(slots: Iterable[Slot]) -> list[Clash]:
    """Every clash, by time. Travel is needed where the places differ; a buffer may be used up, but is not a clash by itself.

    >>> at = lambda hour: datetime.fromisoformat(f"2026-03-02T{hour:02}:00+00:00")
    >>> one = Slot("one", at(9), at(11), frozenset({"ada"}), "Mill Lane")
    >>> clashes([one, Slot("two", at(10), at(12), frozenset({"ada"})), Slot("three", at(10), at(12), frozenset({"bo"}))])
    [Clash(what='overlap', one='one', other='two', members=frozenset({'ada'}), short=60)]
    >>> [(clash.what, clash.short) for clash in clashes([one, Slot("far", at(11), at(12), frozenset({"ada"}), "Quay", travel=30)])]
    [('travel', 30)]
    """
    found = []
    for one, other in _near(sorted(slots, key=lambda slot: (slot.start, slot.key))):
        both = one.members & other.members
        if not both:
            continue
        over = min(one.end, other.end) - max(one.start, other.start)
        if over > timedelta(0):
            found.append(Clash("overlap", one.key, other.key, both, _minutes(over)))
        elif _elsewhere(one, other) and (short := one.end - other.leaves) > timedelta(0):
            found.append(Clash("travel", one.key, other.key, both, _minutes(short)))
    return found


def _near(ordered: Sequence[Slot]) -> Iterator[tuple[Slot, Slot]]:
    """Pairs that could touch, the earlier first."""
    for number, one in enumerate(ordered):
        for other in ordered[number + 1 :]:
            if other.leaves >= one.end and other.start >= one.end:
                if other.start - one.end > timedelta(days=1):
                    break
                continue
            yield one, other


def _elsewhere(one: Slot, other: Slot) -> bool:
    return other.travel > 0 and (not one.place or one.place.strip().casefold() != other.place.strip().casefold())


def _minutes(span: timedelta) -> int:
    return int(span.total_seconds() // 60)
