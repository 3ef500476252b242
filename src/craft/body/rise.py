"""Rise is measured along the body: from the crotch seam under and up over the belly.

The front seam is taken as a quarter circle that comes forward from the crotch point, then
a line up the front. Its radius follows from the client's own front rise, so a fuller belly
eats rise: the same jeans stop lower.
"""

from __future__ import annotations

import math
from collections.abc import Mapping
from dataclasses import dataclass

from craft.body.quantity import Quantity

#: A quarter circle of radius r is this much longer along than it is tall, times r.
_EXTRA = math.pi / 2 - 1


@dataclass(frozen=True, slots=True)
class RiseCurve:
    """Lengths along the front of the body against heights, cm."""

    crotch: float
    navel: float
    waist: float
    to_navel: float
    to_waist: float

    @classmethod
    def through(cls, heights: Mapping[str, Quantity], lengths: Mapping[str, Quantity]) -> RiseCurve:
        """The curve through a body's crotch, navel and waist, given the front rise lengths to the latter two, cm."""
        crotch, navel, waist = (heights[f"{name}_height"].cm for name in ("crotch", "navel", "waist"))
        to_navel = max(lengths["front_rise_navel"].cm, navel - crotch)
        to_waist = max(lengths["front_rise_waist"].cm, to_navel + (waist - navel))
        return cls(crotch, navel, waist, to_navel, to_waist)

    @property
    def radius(self) -> float:
        """Radius of the quarter circle under the belly, at most the height of the navel above the crotch."""
        return min((self.to_navel - (self.navel - self.crotch)) / _EXTRA, self.navel - self.crotch)

    def height_of(self, along: float) -> float:
        """Height above the floor that a front rise of `along` cm reaches.

        >>> RiseCurve(76, 99, 104, 28, 33).height_of(28)
        99.0
        """
        if along > self.to_navel:
            slope = (self.waist - self.navel) / (self.to_waist - self.to_navel)
            return self.navel + (along - self.to_navel) * slope
        radius = self.radius
        arc = radius * math.pi / 2
        if along >= arc:
            # Straight up the front; stretched by what rounding of a very full belly leaves over.
            straight = self.to_navel - arc
            tall = self.navel - self.crotch - radius
            return self.navel - (self.to_navel - along) * (tall / straight if straight > 0.1 else 1.0)
        return self.crotch + radius * math.sin(max(along, 0.0) / radius) if radius else self.crotch

    def along(self, height: float) -> float:
        """The front rise, cm, that reaches a height: `height_of` backwards."""
        if height >= self.navel:
            slope = (self.to_waist - self.to_navel) / (self.waist - self.navel)
            return self.to_navel + (height - self.navel) * slope
        low, high = 0.0, self.to_navel
        for _ in range(40):
            middle = (low + high) / 2
            low, high = (middle, high) if self.height_of(middle) < height else (low, middle)
        return high
