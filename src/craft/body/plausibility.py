"""Catching slips at entry: a reading is compared with what the other readings lead one to expect.

An unusual body is never blocked: a doubt asks, names the likely intended value and is
answered by keeping the reading. Only what no tape can have read is refused.
"""

from __future__ import annotations

import math
from collections.abc import Iterator
from dataclasses import dataclass
from typing import Literal

from craft.body.estimate import estimate_girths, estimate_heights
from craft.body.measures import GIRTHS, HEIGHTS, MeasureKind, Measures, kind_of
from craft.body.proportions import GIRTH_ROWS, HEIGHT_ROWS
from craft.units import CM_PER_INCH

#: What a tape can have read at all on a person, cm.
POSSIBLE: dict[MeasureKind, tuple[float, float]] = {
    "height": (2.0, 250.0),
    "girth": (8.0, 260.0),
    "breadth": (10.0, 90.0),
    "length": (8.0, 260.0),
}
POSSIBLE_STATURE = (80.0, 250.0)
#: Readings further than this many deviations from what is expected are asked about; a
#: suggestion must lie within the second figure.
ASK_BEYOND, SUGGEST_WITHIN = 4.0, 2.5
#: Where nothing is known the expected stature, and its deviation, cm (G89, both sexes).
STATURE, STATURE_SPREAD = 168.0, 10.0
#: Two landmarks that stand this far the wrong way round, cm, were mixed up.
ORDER_SLACK = 0.5


@dataclass(frozen=True, slots=True)
class Doubt:
    """A question about one reading. `refused` doubts cannot be kept as they are."""

    measure: str
    cm: float
    reason: Literal["impossible", "unit", "digits", "order", "unusual"]
    text: str
    suggested_cm: float | None
    refused: bool = False


@dataclass(frozen=True, slots=True)
class _Expected:
    cm: float
    low: float
    high: float

    def holds(self, cm: float, deviations: float) -> bool:
        share = deviations / ASK_BEYOND
        return self.cm - (self.cm - self.low) * share <= cm <= self.cm + (self.high - self.cm) * share


def label(measure: str) -> str:
    """A measure's name as read aloud: “waist height”."""
    return measure.replace("_", " ")


def check(measure: str, cm: float, others: Measures) -> Doubt | None:
    """What is doubtful about reading `cm` for `measure`, given the other readings; None if nothing.

    >>> check("stature", 16.5, Measures()).suggested_cm
    165.0
    >>> round(check("waist", 29, Measures.of({"stature": 165})).suggested_cm, 1)
    73.7
    """
    kind = kind_of(measure)
    low, high = POSSIBLE_STATURE if measure == "stature" else POSSIBLE[kind]
    expected = _expected(measure, others)
    if not (math.isfinite(cm) and low <= cm <= high):
        better = _suggest(cm, expected)
        text = f"A {label(measure)} of this size cannot be: a tape reads {low:g} to {high:g} cm here."
        return Doubt(measure, cm, "impossible", text, better[1] if better else None, refused=True)
    if kind == "height":
        wrong = _out_of_order(measure, cm, others)
        if wrong:
            better = _suggest(cm, expected)
            return Doubt(measure, cm, "order", wrong, better[1] if better else None)
    if expected is None or expected.holds(cm, ASK_BEYOND):
        return None
    better = _suggest(cm, expected)
    if better:
        how, value = better
        text = "Was it read in inches?" if how == "unit" else "Did a digit slip?"
        return Doubt(measure, cm, how, f"Not what the other measures lead to expect. {text}", value)
    text = "Far from what the other measures lead to expect. Keep it if the tape says so."
    return Doubt(measure, cm, "unusual", text, None)


def _expected(measure: str, others: Measures) -> _Expected | None:
    rest = {name: cm for name, cm in others if name != measure}
    if measure == "stature":
        return _Expected(STATURE, STATURE - ASK_BEYOND * STATURE_SPREAD, STATURE + ASK_BEYOND * STATURE_SPREAD)
    stature = rest.get("stature", STATURE)
    loose = 1.0 if "stature" in rest else 1.3
    if measure in HEIGHT_ROWS:
        heights = {n: cm for n, cm in rest.items() if n in HEIGHTS}
        # One wrong landmark must not make its neighbours look wrong: compare with stature alone.
        figure = estimate_heights({"stature": heights.get("stature", STATURE)})[measure]
        reach = ASK_BEYOND * figure.spread * loose + 1.0
        return _Expected(figure.cm, figure.cm - reach, figure.cm + reach)
    if measure in GIRTH_ROWS:
        girths = {n: cm for n, cm in rest.items() if n in GIRTHS}
        figure = estimate_girths(stature, girths)[measure]
        ratio = math.exp(ASK_BEYOND * figure.spread / figure.cm * loose)
        return _Expected(figure.cm, figure.cm / ratio, figure.cm * ratio)
    return None


def _suggest(cm: float, expected: _Expected | None) -> tuple[Literal["unit", "digits"], float] | None:
    """The likely intended value: the slip whose mending comes nearest to what is expected."""
    if expected is None or not math.isfinite(cm):
        return None
    fits = [(how, value) for how, value in _mended(cm) if expected.holds(value, SUGGEST_WITHIN)]
    return min(fits, key=lambda fit: abs(fit[1] - expected.cm), default=None)


def _mended(cm: float) -> Iterator[tuple[Literal["unit", "digits"], float]]:
    yield "unit", cm * CM_PER_INCH
    yield "unit", cm / CM_PER_INCH
    yield "digits", cm * 10
    yield "digits", cm / 10
    yield "digits", cm + 100
    whole = f"{cm:g}"
    for at in range(len(whole) - 1):
        if whole[at].isdigit() and whole[at + 1].isdigit():
            yield "digits", float(whole[:at] + whole[at + 1] + whole[at] + whole[at + 2 :])
    for at, char in enumerate(whole):
        # A digit struck twice.
        if char.isdigit() and at and whole[at - 1] == char:
            yield "digits", float(whole[:at] + whole[at + 1 :])


def _out_of_order(measure: str, cm: float, others: Measures) -> str | None:
    place = HEIGHTS.index(measure)
    for name, other in others.among(HEIGHTS).items():
        below = HEIGHTS.index(name) < place
        if name != measure and (other > cm + ORDER_SLACK if below else other < cm - ORDER_SLACK):
            return f"This puts the {label(measure)} {'below' if below else 'above'} the {label(name)}."
    return None
