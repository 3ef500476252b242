"""What was worn, told: how often each piece, what a wear has cost so far, what hangs unworn and since when, what is always worn."""

from __future__ import annotations

from collections.abc import Iterable, Mapping
from dataclasses import dataclass
from datetime import date

from craft.plan.occasion import Wearing

#: A piece hangs unworn after so many days without a wear; a tenth of the pieces, but those worn this often at least, are always
#: worn (W).
UNWORN_DAYS, ALWAYS_PART, ALWAYS_LEAST = 90, 0.1, 3


@dataclass(frozen=True, slots=True)
class Use:
    """How a piece was used: on how many days, the last of them, and what a day of it has cost so far."""

    key: str
    days: int
    last: date | None
    a_wear: float | None


def uses(keys: Iterable[str], worn: Iterable[Wearing], prices: Mapping[str, int]) -> list[Use]:
    """How each of some pieces was used, the most worn first. What was worn twice on a day was worn once.

    >>> [one.a_wear for one in uses(["jeans"], [Wearing(date(2026, 3, 2), frozenset({"jeans"}))], {"jeans": 80})]
    [80.0]
    """
    days: dict[str, set[date]] = {key: set() for key in keys}
    for one in worn:
        for key in one.keys & days.keys():
            days[key].add(one.on)
    found = [
        Use(key, len(on), max(on, default=None), prices[key] / len(on) if on and key in prices else None)
        for key, on in days.items()
    ]
    return sorted(found, key=lambda use: (-use.days, use.key))


def unworn(found: Iterable[Use], today: date, begun: date) -> list[Use]:
    """What hangs unworn: not worn for long, or never since records began, the longest first. Nothing is said before the records
    themselves are that old.

    >>> use = Use("dress", 0, None, None)
    >>> len(unworn([use], date(2026, 9, 1), date(2026, 3, 1))), len(unworn([use], date(2026, 3, 8), date(2026, 3, 1)))
    (1, 0)
    """
    long = [use for use in found if (today - (use.last or begun)).days >= UNWORN_DAYS]
    return sorted(long, key=lambda use: (use.last or begun, use.key))


def always_worn(found: Iterable[Use]) -> list[Use]:
    """The few that are worn most."""
    listed = list(found)
    most = max(1, round(ALWAYS_PART * len(listed)))
    return [use for use in listed[:most] if use.days >= ALWAYS_LEAST]
