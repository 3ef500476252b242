"""Borders: the figures that rules hold a look against, each with how far a house may move it.

A border belongs to the module of its rules; `judgement.BORDERS` lists them all.
"""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal

from craft.look import Outfit


class OutOfReach(ValueError):
    """A border that is not known, or moved further than makes sense."""


@dataclass(frozen=True, slots=True)
class Border:
    """A figure that rules share: the rules by key, what it says, its usual value, how far it may be moved."""

    key: str
    rules: tuple[str, ...]
    says: str
    usual: float
    low: float
    high: float
    unit: Literal["cm", "share", "scale", "°C"] = "cm"

    def of(self, outfit: Outfit) -> float:
        """The border as the house that judges this outfit draws it."""
        return outfit.schools.border(self.key, self.usual)

    def checked(self, value: float) -> float:
        """A value that a house may set. Raises OutOfReach."""
        if not self.low <= value <= self.high:
            raise OutOfReach(f"{self.says}: it can be moved from {self.low:g} to {self.high:g}, not to {value:g}.")
        return value
