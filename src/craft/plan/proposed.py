"""A week proposed from how the client's time is spent: whole days by their shares, evenings as they come."""

from __future__ import annotations

from collections.abc import Mapping
from datetime import date, timedelta

from craft.judge.aims import Setting
from craft.plan.occasion import Occasion

#: What fills an evening after a day spent otherwise; what belongs to the end of a week.
EVENINGS, WEEKEND = ("dinner", "ceremony", "on_stage"), ("weekend", "outdoors", "home")
#: A week has so many evenings at most that a share is told of, and who usually sees her where (W).
DAYS = 7
SEEN_BY = {
    "relaxed_office": "colleagues", "formal_office": "colleagues", "workshop": "colleagues", "seated_work": "colleagues",
    "on_stage": "audience", "dinner": "friends", "ceremony": "family", "weekend": "friends",
}  # fmt: skip


def seen_by(occasion: str) -> frozenset[str]:
    """Who usually sees her there.

    >>> sorted(seen_by("dinner")), sorted(seen_by("home"))
    (['friends'], [])
    """
    return frozenset({SEEN_BY[occasion]} if occasion in SEEN_BY else ())


def proposed(
    shares: Mapping[str, float], codes: Mapping[str, str | None], first: date, days: int = DAYS
) -> list[Occasion]:
    """Occasions for some days: each day the one that is furthest behind its share, weekends first what belongs there, and
    evenings spread over the days.

    >>> week = proposed({"relaxed_office": 60, "dinner": 15, "weekend": 25}, {}, date(2026, 3, 2))
    >>> [one.setting.occasion for one in week if one.on.weekday() == 5]
    ['weekend']
    >>> sum(one.setting.occasion == "dinner" for one in week)
    1
    """
    whole = {name: share for name, share in shares.items() if share > 0 and name not in EVENINGS}
    total = sum(shares.values()) or 1.0
    given: dict[str, int] = dict.fromkeys(whole, 0)
    evenings = [
        name for name, share in shares.items() if name in EVENINGS and share > 0
        for _ in range(max(1, round(days * share / total)))
    ]  # fmt: skip
    found = []
    for number in range(days):
        day = first + timedelta(number)
        here = [name for name in whole if (name in WEEKEND) == (day.weekday() >= 5)] or list(whole)
        if here:
            name = max(here, key=lambda one: (whole[one] / (given[one] + 1), one))
            given[name] += 1
            found.append(_occasion(name, codes, day, number, "day"))
        for at, name in enumerate(evenings):
            # The last evening of the days first, then as far apart as they go.
            if number == days - 1 - round(at * days / len(evenings)) or (days == 1 and at == 0):
                found.append(_occasion(name, codes, day, number, f"evening {at}"))
    return found


def _occasion(name: str, codes: Mapping[str, str | None], day: date, number: int, part: str) -> Occasion:
    return Occasion(f"{number} {part}", day, Setting.of(name, codes.get(name)), seen_by(name))
