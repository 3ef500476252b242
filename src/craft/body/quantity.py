"""A figure that knows how sure it is."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal

#: `measured`: read from a tape. `described`: follows from a word somebody said.
#: `estimated`: computed from other figures.
Origin = Literal["measured", "described", "estimated"]


@dataclass(frozen=True, slots=True)
class Quantity:
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
        return self.origin == "measured"
