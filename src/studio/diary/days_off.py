"""Public holidays of the place where a studio works, as the holidays library reckons them: nothing is looked up elsewhere."""

from __future__ import annotations

from datetime import date
from functools import lru_cache
from typing import Annotated

import holidays
from pydantic import AfterValidator

#: Names of holidays are told in the first of these languages that the library has of a country, else in the country's own.
LANGUAGES = ("en_GB", "en_US")


@lru_cache(maxsize=1)
def countries() -> dict[str, dict[str, str]]:
    """Every country whose holidays are known (ISO 3166), and its parts that have some of their own, by their names."""
    known = holidays.list_supported_countries(include_aliases=False)
    return {country: {part: _named(country, part) for part in parts} for country, parts in sorted(known.items())}


def _named(country: str, part: str) -> str:
    aliases = getattr(holidays, country).get_subdivision_aliases()
    return next(iter(aliases.get(part, ())), part)


def _known(place: str) -> str:
    country, _, part = place.partition("-")
    if place and (country not in countries() or (part and part not in countries()[country])):
        raise ValueError("The holidays of this place are not known.")
    return place


#: A country, or a part of one (“GB”, “GB-ENG”), whose holidays are known; or none.
Place = Annotated[str, AfterValidator(_known)]


@lru_cache(maxsize=256)
def _of_year(place: str, year: int) -> dict[date, str]:
    country, _, part = place.partition("-")
    known = holidays.list_localized_countries().get(country, [])
    language = next((language for language in LANGUAGES if language in known), None)
    return dict(holidays.country_holidays(country, subdiv=part or None, years=year, language=language))


def between(place: str, first: date, last: date) -> dict[date, str]:
    """The public holidays of a place from one day to another, by name; none where no place is said.

    >>> between("GB-ENG", date(2026, 12, 20), date(2026, 12, 26))
    {datetime.date(2026, 12, 25): 'Christmas Day', datetime.date(2026, 12, 26): 'Boxing Day'}
    """
    if not place:
        return {}
    years = range(first.year, last.year + 1)
    found = {day: name for year in years for day, name in _of_year(place, year).items() if first <= day <= last}
    return dict(sorted(found.items()))
