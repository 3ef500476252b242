"""Several readings of one measure: what they come to, how sure that is, and whether to take another."""

from __future__ import annotations

import math
import statistics
from collections.abc import Sequence
from dataclasses import dataclass
from functools import lru_cache

from craft.body.measures import READING_SPREAD, TOLERANCE, kind_of
from craft.body.quantity import Quantity

#: A client's own word (a size remembered, a height from a document) is off by this many times a
#: careful reading (W).
OWN_WORD = 5.0
#: Several readings share what the tape and the hand get wrong every time: the spread never falls
#: below this share of one reading's (W).
SHARED_ERROR = 0.6


@dataclass(frozen=True, slots=True)
class Settled:
    """The figure that readings come to, and whether they ask for one more."""

    figure: Quantity
    apart: float
    wants_another: bool


def settle(measure: str, readings: Sequence[float], *, twice: bool = True) -> Settled:
    """The median of readings (cm, in the order taken) with its spread.

    Two are taken; where they differ beyond tolerance a third decides. Raises
    statistics.StatisticsError when there is no reading.

    >>> settle("hip", [100.0, 103.0]).wants_another, settle("hip", [100.0, 103.0, 100.5]).figure.cm
    (True, 100.5)
    """
    return _settled(measure, tuple(readings), twice)


@lru_cache(maxsize=32_768)
def _settled(measure: str, readings: tuple[float, ...], twice: bool) -> Settled:
    # Kept: a history of years is settled anew each time it is looked at, and its readings never change.
    kind = kind_of(measure)
    one = READING_SPREAD[kind]
    count = len(readings)
    if count == 1:
        return Settled(Quantity(readings[0], one, "measured"), 0.0, twice)
    middle = statistics.median(readings)
    apart = max(readings) - min(readings)
    # The middle two tell how well the hand agrees with itself; an outlier is what the median is for.
    near = sorted(abs(cm - middle) for cm in readings)[: max(2, math.ceil(count / 2))]
    scatter = max(one, statistics.fmean(near))
    spread = max(scatter / math.sqrt(count), SHARED_ERROR * one)
    differs = apart > TOLERANCE[kind]
    return Settled(Quantity(middle, spread, "repeated"), apart, differs and count == 2)


def own_word(measure: str, cm: float) -> Quantity:
    """What a client says of themselves: used, and never taken for a measurement."""
    return Quantity(cm, OWN_WORD * READING_SPREAD[kind_of(measure)], "said")
