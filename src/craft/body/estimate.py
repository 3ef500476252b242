"""Estimates: what is not measured follows from what is.

Both estimates are the same step, a Gaussian belief conditioned on the figures taken. So a
measured figure always replaces its estimate, pulls its neighbours with it, and can only
narrow the spread of the others.
"""

from __future__ import annotations

from collections.abc import Mapping
from functools import lru_cache

import numpy as np
from numpy.typing import NDArray

from craft.body.measures import HEIGHTS, READING_SPREAD
from craft.body.proportions import GIRTH_ROWS, HEIGHT_ROWS
from craft.body.quantity import Quantity

Array = NDArray[np.float64]

#: Landmarks must stay in order; estimates keep at least this far apart, cm.
LEAST_GAP = 0.5


def _condition(mean: Array, cov: Array, known: list[int], values: Array) -> tuple[Array, Array]:
    """The belief after some entries became known exactly: new mean, new deviations."""
    if not known:
        return mean, np.sqrt(np.diag(cov))
    gain = cov[:, known] @ np.linalg.pinv(cov[np.ix_(known, known)])
    after = mean + gain @ (values - mean[known])
    left = cov - gain @ cov[known, :]
    return after, np.sqrt(np.clip(np.diag(left), 0.0, None))


@lru_cache(maxsize=1)
def _height_prior() -> tuple[Array, Array]:
    """Fractions of stature and their covariance: independent segments pinned to floor and crown."""
    rows = [HEIGHT_ROWS[name] for name in HEIGHTS]
    grow = np.cumsum([row.segment_spread**2 for row in rows])
    total = grow[-1]
    cov = np.minimum.outer(grow, grow) - np.outer(grow, grow) / total
    return np.array([row.fraction for row in rows]), cov


def estimate_heights(taken: Mapping[str, float]) -> dict[str, Quantity]:
    """Every landmark height from those taken; `taken` must hold `stature` (cm).

    >>> heights = estimate_heights({"stature": 165.0, "crotch_height": 78.0})
    >>> heights["crotch_height"].origin, heights["knee_height"].origin
    ('measured', 'estimated')
    """
    stature = taken["stature"]
    mean, cov = _height_prior()
    names = [name for name in HEIGHTS if name in taken and name != "stature"]
    known = [HEIGHTS.index(name) for name in names]
    after, spread = _condition(mean * stature, cov * stature**2, known, np.array([taken[n] for n in names]))
    heights: dict[str, Quantity] = {}
    for at, name in enumerate(HEIGHTS):
        if name in taken:
            heights[name] = Quantity(taken[name], READING_SPREAD["height"], "measured")
        else:
            heights[name] = Quantity(float(after[at]), float(spread[at]), "estimated")
    return _in_order(heights)


def _in_order(heights: dict[str, Quantity]) -> dict[str, Quantity]:
    """Keep estimates between the measured landmarks around them, floor to crown."""
    kept: dict[str, Quantity] = {}
    for at, name in enumerate(HEIGHTS):
        figure = heights[name]
        if figure.origin == "estimated":
            below = kept[HEIGHTS[at - 1]].cm if at else 0.0
            above = [(i, heights[n].cm) for i, n in enumerate(HEIGHTS) if i > at and heights[n].origin == "measured"]
            ceiling = min((cm - LEAST_GAP * (i - at) for i, cm in above), default=figure.cm)
            cm = max(min(figure.cm, ceiling), below + LEAST_GAP)
            figure = Quantity(cm, figure.spread, "estimated")
        kept[name] = figure
    return kept


@lru_cache(maxsize=1)
def _girth_prior() -> tuple[Array, Array]:
    """Logs of girth over stature and their covariance: one size factor, the rest each its own."""
    rows = list(GIRTH_ROWS.values())
    shared = np.array([row.spread * row.with_size for row in rows])
    own = np.array([row.spread**2 * (1 - row.with_size**2) for row in rows])
    return np.log([row.fraction for row in rows]), np.outer(shared, shared) + np.diag(own)


def estimate_girths(stature: float, taken: Mapping[str, float]) -> dict[str, Quantity]:
    """Every girth from stature and those taken, cm.

    >>> slim, full = (estimate_girths(165.0, {"hip": hip})["thigh"].cm for hip in (88.0, 112.0))
    >>> slim < full
    True
    """
    mean, cov = _girth_prior()
    names = list(GIRTH_ROWS)
    measured = [name for name in names if name in taken]
    known = [names.index(name) for name in measured]
    values = np.log([taken[name] / stature for name in measured])
    after, spread = _condition(mean, cov, known, values)
    girths: dict[str, Quantity] = {}
    for at, name in enumerate(names):
        if name in taken:
            girths[name] = Quantity(taken[name], READING_SPREAD["girth"], "measured")
        else:
            cm = float(np.exp(after[at])) * stature
            girths[name] = Quantity(cm, cm * float(spread[at]), "estimated")
    return girths
