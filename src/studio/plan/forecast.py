"""The forecast, read over HTTP (docs/forecast.md): each day's low and high, °C, and rain."""

from __future__ import annotations

import json
import urllib.error
import urllib.parse
import urllib.request
from collections.abc import Mapping, Sequence
from datetime import date

from django.conf import settings
from pydantic import BaseModel, Field, ValidationError

from studio.errors import NoForecast
from studio.plan.forms import OccasionForm

#: How long a forecast may take to answer, s; from so much rain on it rains, mm.
PATIENCE, WET = 4.0, 1.0
LARGEST = 200_000
SILENT = "The forecast does not answer. Type the air yourself, or try again."
#: What is spent in the evening is spent in air between the day's low and high: so far from the low, and by day
#: so far; a heated room has so much, °C (W).
EVENING, DAYTIME, ROOM = 0.4, 0.85, 21.0
EVENINGS = ("dinner", "ceremony", "on_stage")


class AirOf(BaseModel):
    """The air of a day."""

    date: date
    low: float = Field(ge=-80, le=60)
    high: float = Field(ge=-80, le=60)
    rain: float = Field(ge=0)


class _Told(BaseModel):
    days: list[AirOf] = Field(max_length=60)


def air_of(place: str, first: date, days: int) -> dict[date, AirOf]:
    """The air of some days at a place, as far as the forecast reaches. Raises NoForecast."""
    if not settings.WEATHER:
        raise NoForecast("No forecast is connected to this studio. Type the air yourself.")
    asked = urllib.parse.urlencode({"place": place, "from": first.isoformat(), "days": days})
    try:
        with urllib.request.urlopen(f"{settings.WEATHER}/forecast.json?{asked}", timeout=PATIENCE) as answer:  # noqa: S310
            told = _Told.model_validate(json.loads(answer.read(LARGEST)))
    except (urllib.error.URLError, OSError, ValueError, ValidationError) as error:
        raise NoForecast(SILENT) from error
    return {one.date: one for one in told.days}


def with_air(occasions: Sequence[OccasionForm], air: Mapping[date, AirOf]) -> list[OccasionForm]:
    """Occasions in the forecast's air; what was typed stays as it was typed."""
    return [
        one.model_copy(
            update={
                "celsius": _at(one, there),
                "outside": _outside(one, there),
                "rain": there.rain >= WET,
                "forecast": True,
            }
        )
        if (there := air.get(one.on)) is not None and (one.celsius is None or one.forecast)
        else one
        for one in occasions
    ]


def _outside(one: OccasionForm, air: AirOf) -> float:
    part = EVENING if one.occasion in EVENINGS else DAYTIME
    return float(round(air.low + part * (air.high - air.low)))


def _at(one: OccasionForm, air: AirOf) -> float:
    """The air that an occasion is spent in: indoors a cold day is heated, and a hot one is not cooled."""
    outside = _outside(one, air)
    return outside if one.read().setting.outdoors else max(outside, ROOM)
