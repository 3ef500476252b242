"""Estimates: what is not measured follows from all that is.

One Gaussian belief over every measure at once (proportions.py), conditioned on the figures
taken, each with its own spread. So a girth informs the other girths, a landmark its neighbours,
a belly the rise over it. How narrow a belief becomes depends only on what was taken and how
surely, never on the values: one more measure can never widen another's spread.
"""

from __future__ import annotations

from dataclasses import dataclass
from functools import lru_cache

import numpy as np
from numpy.typing import NDArray

from craft.body import proportions as ref
from craft.body.measures import HEIGHTS, MEASURES, Measures
from craft.body.quantity import Quantity

Array = NDArray[np.float64]

#: Landmarks must stay in order; estimates keep at least this far apart, cm.
LEAST_GAP = 0.5

_GIRTHS = tuple(name for name in ref.TOGETHER if name != "stature")
#: What the belief is about: the measure list and the `chest` that `bust` follows from.
NAMES: tuple[str, ...] = HEIGHTS + _GIRTHS + tuple(ref.LINEAR_ROWS)
PLACE = {name: at for at, name in enumerate(NAMES)}


@dataclass(frozen=True)
class Belief:
    """Means (cm) and covariance (cm²) of everything in NAMES."""

    mean: Array
    cov: Array

    def of(self, name: str) -> Quantity:
        """What is believed of one measure, cm, with its spread."""
        at = PLACE[name]
        return Quantity(float(self.mean[at]), float(np.sqrt(max(self.cov[at, at], 0.0))), "estimated")

    def given(self, known: Measures) -> Belief:
        """The belief after these readings, each with its own spread."""
        if not len(known):
            return self
        figures = [(PLACE[name], figure) for name, figure in known.figures.items()]
        at = [place for place, _ in figures]
        off = np.array([figure.cm for _, figure in figures]) - self.mean[at]
        noise = np.diag([figure.spread**2 for _, figure in figures])
        seen = self.cov[np.ix_(at, at)] + noise
        gain = np.linalg.solve(seen, self.cov[at, :]).T
        return Belief(self.mean + gain @ off, self.cov - gain @ self.cov[at, :])

    def draw(self, count: int, seed: int = 0) -> Array:
        """Bodies drawn from the belief: one row each, columns as NAMES, cm."""
        values, vectors = np.linalg.eigh((self.cov + self.cov.T) / 2)
        root = vectors * np.sqrt(np.clip(values, 0.0, None))
        loose = np.random.default_rng(seed).standard_normal((count, len(NAMES)))
        return np.asarray(self.mean + loose @ root.T, dtype=np.float64)


@lru_cache(maxsize=1)
def prior() -> Belief:
    """What is believed of an adult before any tape.

    >>> round(prior().of("stature").cm)
    171
    """
    size = len(NAMES)
    mean, weights, own = np.zeros(size), np.zeros((size, size)), np.zeros((size, size))
    _heights(mean, weights, own)
    _girths(mean, weights, own)
    for name, row in ref.LINEAR_ROWS.items():
        at = PLACE[name]
        own[at, at] = row.spread**2
        mean[at] = row.plus + sum(weight * mean[PLACE[parent]] for parent, weight in row.parents.items())
        for parent, weight in row.parents.items():
            weights[at, PLACE[parent]] = weight
    # x = weights x + own noise, parents first, so the noise reaches x through (1 - weights)^-1.
    reach = np.linalg.inv(np.eye(size) - weights)
    return Belief(mean, reach @ own @ reach.T)


def _heights(mean: Array, weights: Array, own: Array) -> None:
    """Landmarks: shares of stature, with independent segments between them pinned to floor and crown."""
    rows = [ref.HEIGHT_ROWS[name] for name in HEIGHTS]
    grow = np.cumsum([row.segment_spread**2 for row in rows])
    bridge = (np.minimum.outer(grow, grow) - np.outer(grow, grow) / grow[-1]) * ref.STATURE**2
    last = PLACE["stature"]
    bridge[last, last] = ref.STATURE_SPREAD**2
    own[: last + 1, : last + 1] = bridge
    for name in HEIGHTS:
        mean[PLACE[name]] = ref.HEIGHT_ROWS[name].fraction * ref.STATURE
        if name != "stature":
            weights[PLACE[name], last] = ref.HEIGHT_ROWS[name].fraction


def _girths(mean: Array, weights: Array, own: Array) -> None:
    """Girths and shoulder breadth: a regression on stature, and what is left goes together as in H03."""
    means, spreads = (np.array(column) for column in zip(*ref.TOGETHER.values(), strict=True))
    size = len(means)
    lower = np.array([[*row, *(0.0,) * (size - len(row))] for row in ref.CORRELATIONS])
    cov = (lower + lower.T - np.eye(size)) * np.outer(spreads, spreads)
    slope = cov[1:, 0] / cov[0, 0]
    at = [PLACE[name] for name in _GIRTHS]
    own[np.ix_(at, at)] = cov[1:, 1:] - np.outer(slope, slope) * cov[0, 0]
    weights[at, PLACE["stature"]] = slope
    mean[at] = means[1:] + slope * (ref.STATURE - means[0])


@lru_cache(maxsize=1024)
def believe(measures: Measures) -> Belief:
    """The belief after these measures."""
    return prior().given(measures)


def estimate(measures: Measures) -> dict[str, Quantity]:
    """Every measure of the list: as taken, or estimated from all that was taken.

    >>> known = estimate(Measures.of({"stature": 165.0, "crotch_height": 78.0}))
    >>> known["crotch_height"].origin, known["knee_height"].origin
    ('measured', 'estimated')
    """
    belief = believe(measures)
    known = {name: measures.figure(name) or belief.of(name) for name in MEASURES}
    return known | _in_order({name: known[name] for name in HEIGHTS})


def _in_order(heights: dict[str, Quantity]) -> dict[str, Quantity]:
    """Keep estimates between the taken landmarks around them, floor to crown."""
    kept: dict[str, Quantity] = {}
    for at, name in enumerate(HEIGHTS):
        figure = heights[name]
        if figure.origin == "estimated":
            below = kept[HEIGHTS[at - 1]].cm if at else 0.0
            above = [(i, heights[n].cm) for i, n in enumerate(HEIGHTS) if i > at and heights[n].origin != "estimated"]
            ceiling = min((cm - LEAST_GAP * (i - at) for i, cm in above), default=figure.cm)
            cm = max(min(figure.cm, ceiling), below + LEAST_GAP)
            figure = Quantity(cm, figure.spread, "estimated")
        kept[name] = figure
    return kept
