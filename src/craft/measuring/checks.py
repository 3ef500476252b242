"""Catching slips at entry: a reading is held against the other readings and the last session.

An unusual body is never blocked: a doubt asks, names the likely intended value and is
answered by keeping the reading. Only what no tape can have read is refused.
"""

from __future__ import annotations

import math
from collections.abc import Iterator, Mapping
from dataclasses import dataclass
from typing import Literal

from craft.body.estimate import PLACE, prior
from craft.body.measures import HEIGHTS, READING_SPREAD, SIDED, TOLERANCE, MeasureKind, Measures, kind_of, label
from craft.body.quantity import Quantity
from craft.units import CM_PER_INCH, Sentence

Reason = Literal["impossible", "unit", "digits", "order", "segments", "unusual", "changed", "side"]

#: What a tape can have read at all on a person, cm.
POSSIBLE: dict[MeasureKind, tuple[float, float]] = {
    "height": (2.0, 250.0),
    "girth": (8.0, 260.0),
    "breadth": (10.0, 90.0),
    "length": (8.0, 260.0),
}
POSSIBLE_STATURE = (80.0, 250.0)
#: Readings further than this many deviations from what is expected are asked about; a
#: suggestion must lie within the second figure. The deviations are those of the published
#: spreads in proportions.py, given everything else that was taken. Measured on bodies drawn
#: from published distributions (tests/craft/test_honesty.py): one true reading in a thousand is
#: asked about, nine in ten swapped digits and every unit slip are caught.
ASK_BEYOND, SUGGEST_WITHIN = 3.3, 2.5
#: Without a stature the reference is loose: landmarks are shares of it.
LOOSE = 1.3
#: Girths lean towards the full side (H03: skewness to 1.25), so full bodies get this much more room.
FULL_SIDE = 1.6
#: Two landmarks that stand this far the wrong way round, cm, were mixed up.
ORDER_SLACK = 0.5
#: Beside the last session: a change of more than this many deviations of both readings and the time
#: between (ageing.py) is asked about.
CHANGED_BEYOND = 3.0
#: A mended value this near to the last session's (share of it, W) is the likelier one.
LIKELY_CHANGE = 0.06
#: Left and right of a limb often differ by up to this share (W).
SIDES_DIFFER = 0.05


@dataclass(frozen=True, slots=True)
class Doubt:
    """A question about one reading. `refused` doubts cannot be kept as they are."""

    measure: str
    cm: float
    reason: Reason
    text: Sentence
    suggested_cm: float | None
    refused: bool = False


@dataclass(frozen=True, slots=True)
class Expected:
    """Where a reading is expected, and how far off it may lie before it is asked about, cm."""

    cm: float
    down: float
    up: float

    def holds(self, cm: float, deviations: float = ASK_BEYOND) -> bool:
        """Whether a reading lies within so many deviations of what is expected, cm."""
        off = cm - self.cm
        return -self.down * deviations <= off <= self.up * deviations


def check(
    measure: str,
    cm: float,
    others: Measures,
    *,
    last: Quantity | None = None,
    this_session: tuple[float, ...] = (),
) -> Doubt | None:
    """What is doubtful about reading `cm` for `measure`; None if nothing.

    `others` are the measures known of the client, `last` what an earlier session said of this one
    (aged), `this_session` the readings of it already taken today.

    >>> check("stature", 16.5, Measures()).suggested_cm
    165.0
    >>> round(check("waist", 29, Measures.of({"stature": 165})).suggested_cm, 1)
    73.7
    """
    others = others.without(measure)
    low, high = POSSIBLE_STATURE if measure == "stature" else POSSIBLE[kind_of(measure)]
    expected = _expect(measure, others, last)
    if not (math.isfinite(cm) and low <= cm <= high):
        cannot = f"A {label(measure)} of this size cannot be: a tape reads {{low}} to {{high}} here."
        text = Sentence.of(cannot, low=low, high=high)
        return Doubt(measure, cm, "impossible", text, _suggest(cm, expected)[1], refused=True)
    return (
        _beside_today(measure, cm, this_session)
        or _out_of_order(measure, cm, others, expected)
        or _beside_last(measure, cm, last)
        or _unlike_the_rest(measure, cm, others, last, expected)
    )


def _expect(measure: str, others: Measures, last: Quantity | None) -> Expected:
    """What the others lead to expect. Landmarks are held against stature alone, so that one wrong
    landmark does not make its neighbours look wrong; everything else against all."""
    if last is not None:
        return Expected(last.cm, last.spread + 0.5, last.spread + 0.5)
    height = kind_of(measure) == "height"
    known = Measures(tuple(i for i in others.items if i[0] == "stature")) if height else others
    figure = prior().given(known).of(measure)
    loose = 1.0 if measure == "stature" or others.get("stature") else LOOSE
    down = math.hypot(figure.spread, READING_SPREAD[kind_of(measure)]) * loose
    return Expected(figure.cm, down, down if height else down * FULL_SIDE)


def _beside_today(measure: str, cm: float, readings: tuple[float, ...]) -> Doubt | None:
    """A second reading of a limb that differs as left and right do. Other differences ask for a third."""
    if not readings or measure not in SIDED:
        return None
    off = abs(cm - readings[0])
    if off <= TOLERANCE[kind_of(measure)] or off > SIDES_DIFFER * readings[0] + TOLERANCE[kind_of(measure)]:
        return None
    text = "The first reading was {first}. Left and right often differ by so much: was it the same side?"
    return Doubt(measure, cm, "side", Sentence.of(text, first=readings[0]), None)


def _out_of_order(measure: str, cm: float, others: Measures, expected: Expected) -> Doubt | None:
    if kind_of(measure) != "height":
        return None
    place = HEIGHTS.index(measure)
    for name, other in others.among(HEIGHTS).items():
        below = HEIGHTS.index(name) < place
        if other > cm + ORDER_SLACK if below else other < cm - ORDER_SLACK:
            text = f"This puts the {label(measure)} {'below' if below else 'above'} the {label(name)} of {{other}}."
            better = _suggest(cm, expected)[1]
            if better is None:
                text += " About {about} is expected."
            return Doubt(measure, cm, "order", Sentence.of(text, other=other, about=expected.cm), better)
    return None


def _beside_last(measure: str, cm: float, last: Quantity | None) -> Doubt | None:
    if last is None:
        return None
    reach = CHANGED_BEYOND * math.hypot(last.spread, READING_SPREAD[kind_of(measure)])
    if abs(cm - last.cm) <= reach:
        return None
    likely = max(reach, LIKELY_CHANGE * last.cm) / SUGGEST_WITHIN
    how, better = _suggest(cm, Expected(last.cm, likely, likely))
    text = "Last time it was {last}; that is {by} {way}."
    text = text.replace("{way}", "more" if cm > last.cm else "less")
    asked = {"unit": " Was it read in inches?", "digits": " Did a digit slip?"}.get(how or "", "")
    if not asked and measure in SIDED:
        asked = " Is it the same side?"
    return Doubt(measure, cm, how or "changed", Sentence.of(text + asked, last=last.cm, by=abs(cm - last.cm)), better)


def _unlike_the_rest(
    measure: str, cm: float, others: Measures, last: Quantity | None, expected: Expected
) -> Doubt | None:
    if last is not None or expected.holds(cm):
        return _segments(measure, cm, others)
    how, better = _suggest(cm, expected)
    if how is None and (cannot := _segments(measure, cm, others)):
        return cannot
    beside = _nearest(measure, others)
    because, other = "About {about} is expected.", 0.0
    if beside:
        because, other = f"Beside the {label(beside[0])} of {{other}}, about {{about}} is expected.", beside[1]
    asked = {"unit": "Was it read in inches?", "digits": "Did a digit slip?"}.get(
        how or "", "Keep it if the tape says so."
    )
    said = Sentence.of(f"{because} {asked}", about=expected.cm, other=other)
    return Doubt(measure, cm, how or "unusual", said, better)


def _nearest(measure: str, others: Measures) -> tuple[str, float] | None:
    """The measure taken that tells most about this one."""
    belief, at = prior(), PLACE[measure]
    told = [(abs(float(belief.cov[at, PLACE[n]])) / float(belief.cov[PLACE[n], PLACE[n]]) ** 0.5, n) for n, _ in others]
    best = max(told, default=None)
    return (best[1], dict(others)[best[1]]) if best else None


#: Sums that a body cannot miss: a length along the front is never shorter than the height it climbs.
_CLIMBS = (
    ("front_rise_navel", "navel_height", "crotch_height"),
    ("front_rise_waist", "waist_height", "crotch_height"),
    ("back_rise", "waist_height", "crotch_height"),
    ("front_rise_waist", "front_rise_navel", None),
    ("arm_length", "elbow_length", None),
)
#: Girths that hold one another, larger first; a body outside is asked about once (W).
_HOLDS = (
    ("hip", "thigh", 8.0),
    ("thigh", "knee", 2.0),
    ("knee", "ankle", 4.0),
    ("calf", "ankle", 2.0),
    ("bust", "under_bust", -2.0),
)


def _segments(measure: str, cm: float, others: Measures) -> Doubt | None:
    """Segments that do not add up, and girths that do not go into one another."""
    known: Mapping[str, float] = {**dict(others), measure: cm}
    for along, upper, lower in _CLIMBS:
        parts = (along, upper) if lower is None else (along, upper, lower)
        if measure in parts and all(name in known for name in parts):
            climb = known[upper] - (known[lower] if lower else 0.0)
            if known[along] < climb - ORDER_SLACK:
                text = f"The {label(along)} of {{along}} is shorter than the {{climb}} it has to cover."
                return _with_expected(measure, cm, others, text, along=known[along], climb=climb)
    for larger, smaller, least in _HOLDS:
        both = measure in (larger, smaller) and larger in known and smaller in known
        if both and known[larger] < known[smaller] + least:
            text = f"The {label(larger)} of {{larger}} hardly holds the {label(smaller)} of {{smaller}}."
            return _with_expected(measure, cm, others, text, larger=known[larger], smaller=known[smaller])
    return None


def _with_expected(measure: str, cm: float, others: Measures, text: str, **figures: float) -> Doubt:
    """A doubt about how measures go together; where this one is expected, given all the others."""
    about = prior().given(others).of(measure).cm
    said = Sentence.of(f"{text} About {{about}} is expected here.", about=about, **figures)
    return Doubt(measure, cm, "segments", said, None)


def _suggest(cm: float, expected: Expected) -> tuple[Literal["unit", "digits"] | None, float | None]:
    """The likely intended value: the slip whose mending comes nearest to what is expected."""
    if not math.isfinite(cm):
        return None, None
    fits = [(how, value) for how, value in _mended(cm) if expected.holds(value, SUGGEST_WITHIN)]
    return min(fits, key=lambda fit: abs(fit[1] - expected.cm), default=(None, None))


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
