"""The Body: landmarks on one vertical axis, a girth and a front-view breadth at each."""

from __future__ import annotations

from collections.abc import Callable, Mapping
from dataclasses import dataclass, field
from functools import cached_property, lru_cache
from types import MappingProxyType

import numpy as np
from scipy.interpolate import PchipInterpolator

from craft.body import proportions as ref
from craft.body.estimate import estimate
from craft.body.measures import BREADTHS, GIRTHS, HEIGHTS, LENGTHS, Measures
from craft.body.quantity import Quantity
from craft.body.rise import RiseCurve

Curve = Callable[[float], float]


@dataclass(frozen=True)
class Body:
    """One client's body, barefoot, in cm. Make it with `Body.of`.

    >>> body = Body.of(Measures.of({"stature": 165, "crotch_height": 76}))
    >>> body.heights["crotch_height"].settled, body.heights["knee_height"].settled
    (True, False)
    """

    measures: Measures
    heights: Mapping[str, Quantity] = field(compare=False)
    girths: Mapping[str, Quantity] = field(compare=False)
    breadths: Mapping[str, Quantity] = field(compare=False)
    lengths: Mapping[str, Quantity] = field(compare=False)
    rise: RiseCurve = field(compare=False)

    @cached_property
    def _hash(self) -> int:
        return hash(self.measures)

    def __hash__(self) -> int:
        # What is computed of a body is kept by it, so it is asked for its hash many times a landing.
        return self._hash

    @staticmethod
    def of(measures: Measures) -> Body:
        """The body these measures describe; the rest is estimated. Computed once per set."""
        return _body_of(measures)

    @staticmethod
    def whole(measures: Measures) -> Body:
        """The body of a set that holds every measure of the list: nothing is estimated, nothing kept.

        For searches over many bodies that are looked at once.
        """
        return _made(measures, measures.figures)

    @property
    def stature(self) -> float:
        """Stature, cm."""
        return self.heights["stature"].cm

    def height(self, name: str) -> float:
        """Height above the floor of a landmark, cm; the `_height` ending may be left out."""
        return self._heights[name]

    def girth(self, name: str) -> float:
        """A girth, cm."""
        return self.girths[name].cm

    @cached_property
    def _heights(self) -> Mapping[str, float]:
        # Asked for a hundred times a look, by either name.
        whole = {name: figure.cm for name, figure in self.heights.items()}
        return whole | {name.removesuffix("_height"): cm for name, cm in whole.items()}

    def quantity(self, name: str) -> Quantity:
        """Any measure of the list, with its spread and origin."""
        for held in (self.heights, self.girths, self.breadths, self.lengths):
            if name in held:
                return held[name]
        raise KeyError(name)

    # Curves are made when first asked for: a search over many bodies may never look.
    @cached_property
    def _torso(self) -> Curve:
        return _torso_curve(self.heights, self.girths, self.breadths)

    @cached_property
    def _legs(self) -> tuple[Curve, Curve]:
        """Front-view half breadth, and girth, of one leg by height."""
        return _leg_curves(self.heights, self.girths)

    def half_breadth(self, height: float) -> float:
        """Half the front-view breadth of the trunk or of both legs together at a height, cm."""
        if height >= self.height("crotch"):
            return self._torso(height)
        return self.leg_centre(height) + self.leg_half_breadth(height)

    def leg_half_breadth(self, height: float) -> float:
        """Half the front-view breadth of one leg at a height below the crotch, cm."""
        return self._legs[0](height)

    def leg_girth(self, height: float) -> float:
        """Girth of one leg at a height below the crotch, cm."""
        return self._legs[1](height)

    def leg_centre(self, height: float) -> float:
        """Distance of a leg's middle from the body's midline at a height, cm."""
        crotch = self.height("crotch")
        top = max(self.leg_half_breadth(crotch) + 0.2, self._torso(crotch) - self.leg_half_breadth(crotch))
        foot = max(0.8 * top, self.leg_half_breadth(self.height("calf")) + 0.6)
        return foot + (top - foot) * min(max(height / crotch, 0.0), 1.0)


@lru_cache(maxsize=1024)
def _body_of(measures: Measures) -> Body:
    return _made(measures, estimate(measures))


def _made(measures: Measures, known: Mapping[str, Quantity]) -> Body:
    heights, girths, breadths, lengths = (
        {name: known[name] for name in names} for names in (HEIGHTS, GIRTHS, BREADTHS, LENGTHS)
    )
    rise = RiseCurve.through(heights, lengths)
    return Body(
        measures,
        MappingProxyType(heights),
        MappingProxyType(girths),
        MappingProxyType(breadths),
        MappingProxyType(lengths),
        rise,
    )


def _curve(points: list[tuple[float, float]]) -> Curve:
    """A smooth curve through (height, value) points that never overshoots between them."""
    points = sorted(points)
    kept = [points[0]]
    for point in points[1:]:
        if point[0] - kept[-1][0] > 0.05:
            kept.append(point)
    xs, ys = np.array(kept).T
    grid = np.arange(xs[0], xs[-1] + 0.25, 0.25)
    values = PchipInterpolator(xs, ys, extrapolate=False)(np.clip(grid, xs[0], xs[-1]))
    table = values.tolist()
    low, last = float(xs[0]), len(table) - 1

    def at(height: float) -> float:
        place = (height - low) * 4.0
        if place <= 0:
            return float(table[0])
        index = int(place)
        if index >= last:
            return float(table[last])
        part = place - index
        return float(table[index] * (1 - part) + table[index + 1] * part)

    return at


def _torso_curve(
    heights: Mapping[str, Quantity], girths: Mapping[str, Quantity], breadths: Mapping[str, Quantity]
) -> Curve:
    hip_half = breadths["hip_breadth"].cm / 2
    scale = breadths["hip_breadth"].cm / (girths["hip"].cm * ref.BREADTH_OVER_GIRTH["hip"])

    def half(girth: str) -> float:
        # A client whose hips are broad for their girth is broad for it at the high hip too.
        own = 1 + (scale - 1) * 0.5 if girth == "high_hip" else 1.0
        return girths[girth].cm * ref.BREADTH_OVER_GIRTH[girth] * own / 2

    shoulder = breadths["shoulder_breadth"].cm / 2
    at = {name.removesuffix("_height"): figure.cm for name, figure in heights.items()}
    armpit = at["bust"] + 0.45 * (at["shoulder"] - at["bust"])
    return _curve(
        [
            # Full thighs stand out beside the crotch where hips alone would not.
            (at["crotch"], max(hip_half * 0.965, girths["thigh"].cm * ref.LEG_BREADTH_OVER_GIRTH + 0.2)),
            (at["hip"], hip_half),
            (at["high_hip"], half("high_hip")),
            (at["navel"], (half("belly") + half("waist")) / 2),
            (at["waist"], half("waist")),
            (at["under_bust"], half("under_bust")),
            (at["bust"], half("bust")),
            (armpit, max(half("bust"), shoulder * 0.92) * 0.985),
            (at["shoulder"], shoulder),
        ]
    )


def _leg_curves(heights: Mapping[str, Quantity], girths: Mapping[str, Quantity]) -> tuple[Curve, Curve]:
    at = {name.removesuffix("_height"): figure.cm for name, figure in heights.items()}
    girth = [
        (0.0, girths["ankle"].cm * 1.08),
        (at["ankle_bone"], girths["ankle"].cm * 1.08),
        (at["narrow_ankle"], girths["ankle"].cm),
        (at["calf"], girths["calf"].cm),
        ((at["calf"] + at["knee"]) / 2, (girths["calf"].cm * 0.6 + girths["knee"].cm * 0.4) * 0.985),
        (at["knee"], girths["knee"].cm),
        (at["knee"] + 0.2 * (at["crotch"] - at["knee"]), girths["knee"].cm * 1.02 + 0.06 * girths["thigh"].cm),
        (at["crotch"] - 2.0, girths["thigh"].cm),
        (at["crotch"], girths["thigh"].cm),
    ]
    round_at = _curve(girth)
    # The breadth is in one proportion to the girth all the way down, and so is a curve through it.
    return lambda height: round_at(height) * ref.LEG_BREADTH_OVER_GIRTH / 2, round_at
