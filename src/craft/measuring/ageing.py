"""Figures grow old: what an earlier session said is carried over, with a spread that widens."""

from __future__ import annotations

import math
from datetime import date, timedelta

from craft.body.measures import MeasureKind, kind_of
from craft.body.quantity import Quantity

#: How much an adult's measure changes in a year: one deviation as a share of itself (W). Bones
#: hardly move; girths follow weight.
DRIFT_A_YEAR: dict[MeasureKind, float] = {"height": 0.002, "girth": 0.035, "breadth": 0.012, "length": 0.012}

#: Measure again after about six months (brief, section 2).
GOOD_FOR = timedelta(days=183)


def carry(measure: str, figure: Quantity, taken_on: date, today: date) -> Quantity:
    """A figure from an earlier session as it is worth today; a client's own word stays one.

    >>> waist = Quantity(74.0, 0.35, "repeated")
    >>> old = carry("waist", waist, date(2025, 1, 10), date(2026, 1, 10))
    >>> old.origin, round(old.spread, 1)
    ('aged', 2.6)
    """
    years = max((today - taken_on).days, 0) / 365.25
    drift = DRIFT_A_YEAR[kind_of(measure)] * figure.cm * years
    spread = math.hypot(figure.spread, drift)
    if figure.origin == "said":
        return Quantity(figure.cm, spread, "said")
    return Quantity(figure.cm, spread, "aged" if today - taken_on > GOOD_FOR else "carried")


def due_on(taken_on: date) -> date:
    """The day from which a session's figures should be taken again."""
    return taken_on + GOOD_FOR
