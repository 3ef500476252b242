"""What the air will be: by the season of a temperate place, with the days' own whims."""

from __future__ import annotations

import hashlib
import math
from datetime import date, timedelta

#: The year's mean and its swing, °C; the warmest day of the year; how far days stray; how often it rains.
MEAN, SWING, WARMEST, STRAYS, WET = 10.5, 8.5, 203, 5.0, 0.33
#: Nobody knows further ahead, days.
AHEAD = 10


def forecast(place: str, first: date, days: int, today: date) -> list[dict[str, object]]:
    """Each day that is within reach: low and high, °C, and rain, mm."""
    listed = (first + timedelta(number) for number in range(max(0, days)))
    return [_of(place.strip().casefold(), day) for day in listed if 0 <= (day - today).days <= AHEAD]


def _of(place: str, day: date) -> dict[str, object]:
    here, now = (
        _whim(place, "place"),
        (_whim(place, day.isoformat()) + _whim(place, (day - timedelta(1)).isoformat())) / 2,
    )
    season = math.cos(2 * math.pi * (day.timetuple().tm_yday - WARMEST) / 365)
    # A place has its own mean and more or less of a winter.
    middle = MEAN + 5 * here + SWING * (1 + 0.3 * _whim(place, "swing")) * season + STRAYS * now
    rain = round(max(0.0, 9 * (_whim(place, f"rain {day}") / 2 + 0.5 - (1 - WET))), 1)
    spread = 3.0 if rain else 5.0
    return {"date": day.isoformat(), "low": round(middle - spread, 1), "high": round(middle + spread, 1), "rain": rain}


def _whim(*of: str) -> float:
    """A number from -1 to 1 that is always the same for the same words."""
    digest = hashlib.sha256("\n".join(of).encode()).digest()
    return int.from_bytes(digest[:4], "big") / 2**31 - 1
