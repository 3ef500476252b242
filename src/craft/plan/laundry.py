"""Laundry: when it is done, how long it takes, how often a piece is worn before it. All that a plan must keep of it."""

from __future__ import annotations

from collections.abc import Iterable, Iterator, Sequence
from dataclasses import dataclass
from datetime import date, timedelta

from craft.cloth import Piece
from craft.plan.occasion import Wearing

#: How often a piece is worn before it is washed, by kind; what is not named is not washed between wears of a plan (W: usual
#: habits; next to the skin once, over something several times).
WEARS = {
    **dict.fromkeys(("tee", "tank", "camisole", "bodysuit", "shirt", "blouse", "leggings"), 1),
    **dict.fromkeys(("knit", "sweatshirt", "dress", "jumpsuit", "shorts"), 2),
    **dict.fromkeys(("trousers", "skirt", "dungarees"), 3),
    "jeans": 4,
}


def wears_of(piece: Piece) -> int | None:
    """How many days a piece is worn before it is washed; None where that is not counted.

    >>> wears_of(Piece.of({"is": "tee"})), wears_of(Piece.of({"is": "coat"}))
    (1, None)
    """
    return WEARS.get(piece.kind)


@dataclass(frozen=True, slots=True)
class Laundry:
    """The weekdays on which what was worn goes into the wash, Monday 0, and after how many days it hangs again; 0 is the same
    day. Without days nothing is washed while the plan lasts."""

    weekdays: frozenset[int] = frozenset()
    takes: int = 1

    def days(self, first: date, last: date) -> list[date]:
        """The days of the wash from the first to the last.

        >>> Laundry(frozenset({5})).days(date(2026, 3, 2), date(2026, 3, 15))
        [datetime.date(2026, 3, 7), datetime.date(2026, 3, 14)]
        """
        every = (first + timedelta(number) for number in range((last - first).days + 1))
        return [day for day in every if day.weekday() in self.weekdays]

    def last_before(self, day: date) -> date | None:
        """The last day of the wash before a day; None where there is none."""
        if not self.weekdays:
            return None
        return next(day - timedelta(back) for back in range(1, 8) if (day - timedelta(back)).weekday() in self.weekdays)


@dataclass(frozen=True, slots=True)
class Stretch:
    """The days between two washes: which of a plan's days, what each piece was worn in it before the plan began, and the days
    afterwards on which what was worn in it is still in the wash."""

    days: tuple[date, ...]
    worn_before: dict[str, int]
    away: tuple[date, ...]


def stretches(days: Sequence[date], laundry: Laundry, worn: Iterable[Wearing] = ()) -> Iterator[Stretch]:
    """The stretches that a plan's days fall into, with that before it as far as it is still in the wash. What is worn on a day
    of the wash is washed the next time."""
    if not days:
        return
    listed, past = sorted(set(days)), list(worn)
    first = listed[0]
    washes = laundry.days(first, listed[-1])
    began = laundry.last_before(first)
    if began is not None:
        yield Stretch((), _counted(past, laundry.last_before(began), began), _away(began, laundry, listed))
    borders: list[date | None] = [began, *washes, None]
    for at, start in enumerate(borders[:-1]):
        end = borders[at + 1]
        inside = tuple(day for day in listed if (start is None or day >= start) and (end is None or day < end))
        before = _counted(past, start, first) if at == 0 and start is not None else {}
        yield Stretch(inside, before, _away(end, laundry, listed) if end is not None else ())


def _away(wash: date, laundry: Laundry, days: Iterable[date]) -> tuple[date, ...]:
    return tuple(day for day in days if wash <= day < wash + timedelta(laundry.takes))


def _counted(worn: Iterable[Wearing], start: date | None, end: date) -> dict[str, int]:
    """On how many days from a start to before an end each piece was worn."""
    days: dict[str, set[date]] = {}
    for one in worn:
        if (start is None or one.on >= start) and one.on < end:
            for key in one.keys:
                days.setdefault(key, set()).add(one.on)
    return {key: len(of) for key, of in days.items()}
