"""A figure that knows how sure it is."""

from __future__ import annotations

from typing import Literal, NamedTuple

#: `measured`: read once from a tape. `repeated`: read twice or more.
#: `carried`: read in an earlier session, not more than six months ago. `aged`: longer ago.
#: `said`: the client's own word. `described`: follows from a word for a garment.
#: `estimated`: computed from other figures.
Origin = Literal["measured", "repeated", "carried", "aged", "said", "described", "estimated"]

#: Origins that are drawn stitched; the others are basted.
SETTLED: frozenset[Origin] = frozenset({"measured", "repeated", "carried"})

#: A normal variable lies this many deviations around its mean in 80 of 100 cases.
OF_80 = 1.2816


# A tuple, for a body is made of fifty and is known by the hash of them all; what to measure next draws 180 bodies.
class Quantity(NamedTuple):
    """A length in cm with its spread (one standard deviation, cm) and where it comes from.

    >>> Quantity(76.0, 0.5, "measured").settled
    True
    """

    cm: float
    spread: float
    origin: Origin

    @property
    def settled(self) -> bool:
        """Whether it is drawn stitched (settled) or basted (not yet)."""
        return self.origin in SETTLED

    @property
    def range80(self) -> tuple[float, float]:
        """Where the true value lies in four of five cases, cm.

        >>> Quantity(76.0, 1.0, "estimated").range80
        (74.7184, 77.2816)
        """
        return self.cm - OF_80 * self.spread, self.cm + OF_80 * self.spread
