"""Reading the shape: five working shapes, and how far the nearest other one is.

A label alone misleads, most people sit near a border. So the reading says the
differentials, the shape, the runner-up and by how many cm of which measure it would tip.

A measured shoulder or hip breadth is held against what is usual for this stature, or this girth: an average one says
nothing that the girths have not said, and never changes the reading. What is broader or narrower than usual moves the
upper or the lower half, by how sure it is.
"""

from __future__ import annotations

from dataclasses import dataclass
from functools import lru_cache
from typing import Literal

from craft.body.body import Body
from craft.body.proportions import BREADTH_OVER_GIRTH, LINEAR_ROWS, SHOULDER_ROWS

Shape = Literal["rectangle", "triangle", "inverted_triangle", "hourglass", "oval"]

#: Borders of the working shapes. The brief (section 3) gives the words; the figures are our
#: reading of them, set where the eye of the trade turns from one word to the next.
LEAD = 0.06  # one of hip or bust leads by this share of their mean
WAIST = 0.175  # the waist is this share below the mean of bust and hip: a clear waist
MIDDLE = 0.97  # waist or belly comes to this share of the larger of bust and hip
WAIST_OF_OVAL = 0.09  # ... and there is less waist than this
#: A shoulder of this breadth times the factor counts like a bust of that girth: mean bust
#: over mean shoulder breadth of the reference body (proportions.py).
USUAL_BUST, USUAL_SHOULDER = 0.562, 0.226
SHOULDER_AS_GIRTH = USUAL_BUST / USUAL_SHOULDER
#: How far a bust girth, or a hip girth, may be from what the front view makes of it, and a breadth that was measured, cm of
#: girth: by these the two readings are weighed (W).
BY_GIRTH, BY_BREADTH = 3.0, 1.5
#: How far a measure is moved, cm, to find the border of the shape, and the step.
REACH, STEP = 15.0, 0.25


@dataclass(frozen=True, slots=True)
class Differential:
    """The difference of two measures: first minus second, cm and per cent of the second."""

    name: str
    cm: float
    per_cent: float
    settled: bool


@dataclass(frozen=True, slots=True)
class Border:
    """The nearest other shape: it would be read if `measure` were `cm` more (or less)."""

    shape: Shape
    measure: str
    cm: float


@dataclass(frozen=True, slots=True)
class Band:
    """A stretch of one measure, cm, along which one shape is read, all else as it is."""

    shape: Shape
    low: float
    high: float


@dataclass(frozen=True, slots=True)
class ShapeReading:
    """What shape is read, what else it nearly is, and from which differentials."""

    shape: Shape
    runner_up: Border | None
    has_waist: bool
    differentials: tuple[Differential, ...]
    settled: bool
    #: Along bust, waist and hip: what would be read there.
    bands: tuple[tuple[str, tuple[Band, ...]], ...] = ()

    @property
    def near_border(self) -> bool:
        """Whether advice should hold on both sides: nearer than two careful readings may differ."""
        return self.runner_up is not None and abs(self.runner_up.cm) <= 2.0


@dataclass(frozen=True, slots=True)
class _Girths:
    bust: float
    waist: float
    belly: float
    hip: float
    #: By how much the upper and the lower half look fuller than their girths say, cm of girth: breadths that are unusual.
    upper_more: float = 0.0
    lower_more: float = 0.0


def classify(girths: _Girths) -> Shape:
    """The working shape of these girths, cm."""
    upper, lower = girths.bust + girths.upper_more, girths.hip + girths.lower_more
    mean = (girths.bust + girths.hip) / 2
    waist = 1 - girths.waist / mean
    middle = max(girths.waist, girths.belly)
    if middle >= MIDDLE * max(girths.bust, girths.hip) and waist < WAIST_OF_OVAL:
        return "oval"
    lead = (lower - upper) / ((lower + upper) / 2)
    if lead >= LEAD:
        return "triangle"
    if lead <= -LEAD:
        return "inverted_triangle"
    return "hourglass" if waist >= WAIST else "rectangle"


def shape_of(body: Body) -> Shape:
    """The working shape alone."""
    return classify(_girths_of(body))


def _girths_of(body: Body) -> _Girths:
    figure = body.girths
    return _Girths(
        figure["bust"].cm,
        figure["waist"].cm,
        figure["belly"].cm if figure["belly"].settled else figure["waist"].cm,
        figure["hip"].cm,
        _shoulder_more(body),
        _hip_more(body),
    )


def usual_shoulder(stature: float, build: str | None) -> tuple[float, float]:
    """From and to which breadth, cm, a shoulder is usual for a stature: within a deviation of the mean of a build, or of
    any build where none is said.

    >>> low, high = usual_shoulder(170.0, None)
    >>> low < 38.0 < high
    True
    """
    rows = [SHOULDER_ROWS[build]] if build else list(SHOULDER_ROWS.values())
    ends = [(row.fraction - row.spread, row.fraction + row.spread) for row in rows]
    return min(low for low, _ in ends) * stature, max(high for _, high in ends) * stature


def _shoulder_more(body: Body) -> float:
    """By how much a measured shoulder makes the upper half look fuller than the bust says, cm of girth."""
    shoulder = body.breadths["shoulder_breadth"]
    if not shoulder.settled:
        return 0.0
    low, high = usual_shoulder(body.stature, body.measures.build)
    beyond = max(0.0, shoulder.cm - high) - max(0.0, low - shoulder.cm)
    return _weighed(beyond * SHOULDER_AS_GIRTH, shoulder.spread * SHOULDER_AS_GIRTH)


def _hip_more(body: Body) -> float:
    """By how much a measured hip breadth makes the lower half look fuller than the hip girth says, cm of girth."""
    hip = body.breadths["hip_breadth"]
    if not hip.settled:
        return 0.0
    usual, row = body.girth("hip") * BREADTH_OVER_GIRTH["hip"], LINEAR_ROWS["hip_breadth"]
    off = hip.cm - usual
    beyond = max(0.0, off - row.spread) - max(0.0, -off - row.spread)
    return _weighed(beyond / BREADTH_OVER_GIRTH["hip"], hip.spread / BREADTH_OVER_GIRTH["hip"])


def _weighed(more: float, spread: float) -> float:
    """What a breadth says beside a girth, each by how sure it is."""
    return more * BY_GIRTH**2 / (BY_GIRTH**2 + BY_BREADTH**2 + spread**2)


@lru_cache(maxsize=1024)
def read_shape(body: Body) -> ShapeReading:
    """Read the shape of a body from its girths.

    >>> from craft.body.measures import Measures
    >>> read_shape(Body.of(Measures.of({"stature": 165, "bust": 98, "waist": 72, "hip": 99}))).shape
    'hourglass'
    """
    return _reading(body, _girths_of(body), all(body.girths[name].settled for name in ("bust", "waist", "hip")))


@lru_cache(maxsize=1024)
def read_front(body: Body) -> ShapeReading:
    """The second reading, by what the eye meets from the front: breadths in place of girths.

    Shoulder and hip breadth stand for the girths that usually go with them; the waist has no
    breadth on the measure list and stays a girth.

    >>> from craft.body.measures import Measures
    >>> taken = {"stature": 165, "bust": 92, "waist": 80, "hip": 92, "shoulder_breadth": 40, "hip_breadth": 31}
    >>> read_front(Body.of(Measures.of(taken))).shape
    'inverted_triangle'
    """
    build = body.measures.build
    own = SHOULDER_ROWS[build].fraction if build else USUAL_SHOULDER
    upper = body.breadths["shoulder_breadth"].cm * USUAL_BUST / own
    lower = body.breadths["hip_breadth"].cm / BREADTH_OVER_GIRTH["hip"]
    waist = body.girths["waist"].cm
    girths = _Girths(upper, waist, waist, lower)
    return _reading(body, girths, all(figure.settled for figure in body.breadths.values()))


def _reading(body: Body, girths: _Girths, settled: bool) -> ShapeReading:
    shape = classify(girths)
    mean = (girths.bust + girths.hip) / 2
    return ShapeReading(
        shape,
        _nearest_border(girths, shape),
        1 - girths.waist / mean >= WAIST_OF_OVAL,
        _differentials(body),
        settled,
        tuple((name, _bands(girths, name)) for name in ("bust", "waist", "hip")),
    )


def _bands(girths: _Girths, name: str) -> tuple[Band, ...]:
    """What is read along one measure, REACH to either side of where it is."""
    here = getattr(girths, name)
    found: list[Band] = []
    for step in range(-int(REACH / STEP), int(REACH / STEP) + 1):
        shape, at = classify(_moved(girths, name, step * STEP)), here + step * STEP
        if found and found[-1].shape == shape:
            found[-1] = Band(shape, found[-1].low, at)
        else:
            found.append(Band(shape, found[-1].high if found else at, at))
    return tuple(found)


def _nearest_border(girths: _Girths, shape: Shape) -> Border | None:
    """The smallest change of one measure that reads as another shape."""
    nearest: Border | None = None
    for name in ("bust", "waist", "hip"):
        for step in range(1, int(REACH / STEP) + 1):
            if nearest and step * STEP >= abs(nearest.cm):
                break
            for change in (step * STEP, -step * STEP):
                other = classify(_moved(girths, name, change))
                if other != shape:
                    nearest = Border(other, name, change)
                    break
            else:
                continue
            break
    return nearest


def _moved(girths: _Girths, name: str, change: float) -> _Girths:
    values = {n: getattr(girths, n) for n in girths.__slots__}
    values[name] += change
    if name == "waist":
        # The belly goes with the waist: a tape does not change one without the other.
        values["belly"] += change
    return _Girths(**values)


def _differentials(body: Body) -> tuple[Differential, ...]:
    figures = dict(body.girths) | {"shoulder": body.breadths["shoulder_breadth"], "hips": body.breadths["hip_breadth"]}
    pairs = (
        ("shoulder_hip", "shoulder", "hips"),
        ("bust_waist", "bust", "waist"),
        ("waist_hip", "waist", "hip"),
        ("bust_hip", "bust", "hip"),
        ("belly_waist", "belly", "waist"),
    )
    found = []
    for name, first, second in pairs:
        one, two = figures[first], figures[second]
        by = one.cm - two.cm
        found.append(Differential(name, by, 100 * by / two.cm, one.settled and two.settled))
    return tuple(found)
