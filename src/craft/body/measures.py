"""The measure list: every figure a tape can take, and a set of such figures."""

from __future__ import annotations

from collections.abc import Iterator, Mapping
from dataclasses import dataclass
from typing import Literal

MeasureKind = Literal["height", "girth", "breadth", "length"]

#: Heights above the floor, barefoot, from the floor upwards.
HEIGHTS: tuple[str, ...] = (
    "ankle_bone_height",
    "narrow_ankle_height",
    "calf_height",
    "knee_height",
    "crotch_height",
    "hip_height",
    "high_hip_height",
    "navel_height",
    "waist_height",
    "under_bust_height",
    "bust_height",
    "shoulder_height",
    "stature",
)
GIRTHS: tuple[str, ...] = (
    "neck",
    "bust",
    "under_bust",
    "waist",
    "belly",
    "high_hip",
    "hip",
    "thigh",
    "knee",
    "calf",
    "ankle",
    "upper_arm",
    "wrist",
)
BREADTHS: tuple[str, ...] = ("shoulder_breadth", "hip_breadth")
LENGTHS: tuple[str, ...] = (
    "front_rise_navel",
    "front_rise_waist",
    "back_rise",
    "torso_girth",
    "arm_length",
    "foot_length",
)
MEASURES: tuple[str, ...] = HEIGHTS + GIRTHS + BREADTHS + LENGTHS

#: Standard deviation of one careful reading, cm. The trade takes a third reading when two
#: differ by more than 1 cm (girths) or 1.5 cm (heights): brief, section 2. Two readings with
#: deviation s differ by more than 2 * sqrt(2) * s about one time in twenty.
READING_SPREAD: dict[MeasureKind, float] = {"height": 0.55, "girth": 0.35, "breadth": 0.5, "length": 0.5}


class UnknownMeasure(ValueError):
    """A name that is not on the measure list."""


def kind_of(name: str) -> MeasureKind:
    """Say whether a measure is a height, girth, breadth or length along the body."""
    if name in HEIGHTS:
        return "height"
    if name in GIRTHS:
        return "girth"
    if name in BREADTHS:
        return "breadth"
    if name in LENGTHS:
        return "length"
    raise UnknownMeasure(f"“{name[:40]}” is not on the measure list.")


@dataclass(frozen=True, slots=True)
class Measures:
    """What the tape said, in cm. Hashable, so that a body is computed once per set.

    >>> Measures.of({"stature": 165, "hip": 100}).get("hip")
    100.0
    """

    items: tuple[tuple[str, float], ...] = ()

    @classmethod
    def of(cls, taken: Mapping[str, float]) -> Measures:
        """Make a set from names and cm. Raises UnknownMeasure; figures must be positive."""
        for name, cm in taken.items():
            kind_of(name)
            if not cm > 0:
                raise ValueError(f"{name} must be more than nought.")
        return cls(tuple(sorted((name, float(cm)) for name, cm in taken.items())))

    def get(self, name: str) -> float | None:
        """The figure in cm, or None where it was not taken."""
        return dict(self.items).get(name)

    def among(self, names: tuple[str, ...]) -> dict[str, float]:
        """Those of `names` that were taken."""
        return {name: cm for name, cm in self.items if name in names}

    def __iter__(self) -> Iterator[tuple[str, float]]:
        return iter(self.items)

    def __len__(self) -> int:
        return len(self.items)
