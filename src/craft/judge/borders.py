"""Borders: the figures that rules hold a look against, each with how far a house may move it.

A border stands in the module of its rules; which rules read it, they declare (rule.py).
"""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal, Protocol

from craft.errors import OutOfReach
from craft.schools import Schools


class Judged(Protocol):
    """What a house judges in its own way: a look, or a client."""

    @property
    def schools(self) -> Schools:
        """The schools it is judged by, with the borders this house moved."""
        ...


@dataclass(frozen=True, slots=True)
class Border:
    """A figure that rules share: what it says, its usual value, how far it may be moved."""

    key: str
    says: str
    usual: float
    low: float
    high: float
    unit: Literal["cm", "share", "scale", "°C"] = "cm"

    def of(self, judged: Judged) -> float:
        """The border as the house draws it that judges a look, or a client."""
        moved = judged.schools.moved
        return dict(moved).get(self.key, self.usual) if moved else self.usual

    def checked(self, value: float) -> float:
        """A value that a house may set. Raises OutOfReach."""
        if not self.low <= value <= self.high:
            raise OutOfReach(f"{self.says}: it can be moved from {self.low:g} to {self.high:g}, not to {value:g}.")
        return value
