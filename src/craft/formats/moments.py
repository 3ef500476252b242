"""Times and days as they come in from outside: within a window that a studio can mean, and with their zone."""

from __future__ import annotations

from datetime import UTC, date, datetime, timedelta
from typing import Annotated

from pydantic import AfterValidator

#: Nothing here was measured or bought before, and nothing is due later than so many days from now.
EARLIEST, LATEST_DUE = date(1950, 1, 1), timedelta(days=3660)
#: How far ahead of ours another device's clock may run.
CLOCKS_DIFFER = timedelta(days=1)


def is_past(day: date) -> bool:
    """Whether something can have happened on a day.

    >>> is_past(date(2001, 5, 4)), is_past(date(1, 1, 1)), is_past(date(9999, 12, 31))
    (True, False, False)
    """
    return EARLIEST <= day <= datetime.now(UTC).date() + CLOCKS_DIFFER


def _past(when: datetime) -> datetime:
    if when.tzinfo is None:
        raise ValueError("a time is told with its zone, as 2026-03-01T10:00:00+01:00")
    if not is_past(when.date()):
        raise ValueError(f"a time lies between {EARLIEST.year} and now")
    return when


def _past_day(day: date) -> date:
    if not is_past(day):
        raise ValueError(f"a day lies between {EARLIEST.year} and today")
    return day


def _due(day: date) -> date:
    if not EARLIEST <= day <= datetime.now(UTC).date() + LATEST_DUE:
        raise ValueError(f"a day that something is due lies between {EARLIEST.year} and ten years from now")
    return day


def _moment(when: datetime) -> datetime:
    if when.tzinfo is None:
        raise ValueError("a time is told with its zone, as 2026-03-01T10:00:00+01:00")
    _due(when.date())
    return when


#: A time of a diary, past or to come; a time that something happened; a day that it did; a day that something is due.
Moment = Annotated[datetime, AfterValidator(_moment)]
Past = Annotated[datetime, AfterValidator(_past)]
PastDay = Annotated[date, AfterValidator(_past_day)]
Due = Annotated[date, AfterValidator(_due)]
