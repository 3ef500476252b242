"""Moving in wall time: what begins at ten begins at ten on another day, whatever the clocks did between."""

from __future__ import annotations

from datetime import UTC, datetime, timedelta
from zoneinfo import ZoneInfo


def at_wall(local: datetime, zone: ZoneInfo) -> datetime:
    """The instant of a wall time; of an hour that the clocks leap over, the hour after, and of one that comes twice the first.

    >>> at_wall(datetime(2026, 3, 29, 2, 30), ZoneInfo("Europe/Paris")).isoformat()
    '2026-03-29T01:30:00+00:00'
    """
    return local.replace(tzinfo=zone, fold=0).astimezone(UTC)


def moved(start: datetime, zone: ZoneInfo, *, days: int = 0, minutes: int = 0) -> datetime:
    """An instant moved by days and minutes of the wall's clock.

    >>> before = datetime(2026, 3, 28, 9, tzinfo=UTC)
    >>> moved(before, ZoneInfo("Europe/Paris"), days=1).isoformat()
    '2026-03-29T08:00:00+00:00'
    """
    local = start.astimezone(zone).replace(tzinfo=None)
    return at_wall(local + timedelta(days=days, minutes=minutes), zone)
