"""Reading the shape: five working shapes, and how far the nearest other one is.

A label alone misleads, most people sit near a border. So the reading says the
differentials, the shape, the runner-up and by how many cm of which measure it would tip.
"""

from __future__ import annotations

from dataclasses import dataclass
from functools import lru_cache
from typing import Literal

from craft.body.body import Body
from craft.body.proportions import BREADTH_OVER_GIRTH

Shape = Literal["rectangle", "triangle", "inverted_triangle", "hourglass", "oval"]

#: Borders of the working shapes. The brief (section 3) gives the words; the figures are our
#: reading of them, set where the eye of the trade turns from one word to the next.
LEAD = 0.06  # one of hip or bust leads by this share of their mean
WAIST = 0.175  # the waist is this share below the mean of bust and hip: a clear waist
MIDDLE = 0.97  # waist or belly comes to this share of the larger of bust and hip
WAIST_OF_OVAL = 0.09  # ... and there is less waist than this
#: A shoulder of this breadth times the factor counts like a bust of that girth: mean bust
#: over mean shoulder breadth of the reference body (proportions.py).
SHOULDER_AS_GIRTH = 0.562 / 0.226
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
    shoulder: float  # as a girth; nought where it was not measured


def classify(girths: _Girths) -> Shape:
    """The working shape of these girths, cm."""
    upper = max(girths.bust, girths.shoulder)
    mean = (girths.bust + girths.hip) / 2
    waist = 1 - girths.waist / mean
    middle = max(girths.waist, girths.belly)
    if middle >= MIDDLE * max(girths.bust, girths.hip) and waist < WAIST_OF_OVAL:
        return "oval"
    lead = (girths.hip - upper) / ((girths.hip + upper) / 2)
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
    shoulder = body.breadths["shoulder_breadth"]
    return _Girths(
        figure["bust"].cm,
        figure["waist"].cm,
        figure["belly"].cm if figure["belly"].settled else figure["waist"].cm,
        figure["hip"].cm,
        shoulder.cm * SHOULDER_AS_GIRTH if shoulder.settled else 0.0,
    )


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
    upper = body.breadths["shoulder_breadth"].cm * SHOULDER_AS_GIRTH
    lower = body.breadths["hip_breadth"].cm / BREADTH_OVER_GIRTH["hip"]
    waist = body.girths["waist"].cm
    girths = _Girths(upper, waist, waist, lower, 0.0)
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
