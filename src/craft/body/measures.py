"""The measure list: every figure a tape can take, and a set of such figures."""

from __future__ import annotations

from collections.abc import Iterator, Mapping
from dataclasses import dataclass
from typing import Literal

from craft.body.quantity import Quantity
from craft.errors import UnknownMeasure

MeasureKind = Literal["height", "girth", "breadth", "length"]

#: Heights above the floor, barefoot, from the floor upwards.
HEIGHTS: tuple[str, ...] = (
    "ankle_bone_height",
    "narrow_ankle_height",
    "calf_height",
    "knee_height",
    "mid_thigh_height",
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
    "elbow_length",
    "arm_length",
    "foot_length",
)
MEASURES: tuple[str, ...] = HEIGHTS + GIRTHS + BREADTHS + LENGTHS

#: Names that the trade says otherwise than they are written here.
LABELS = {
    "front_rise_navel": "front rise to navel",
    "front_rise_waist": "front rise to waist",
    "elbow_length": "arm to elbow",
    "arm_length": "arm to wrist",
    "narrow_ankle_height": "narrowest leg height",
    "knee": "knee girth",
}

#: Standard deviation of one careful reading, cm. The trade takes a third reading when two
#: differ by more than 1 cm (girths) or 1.5 cm (heights): brief, section 2. Two readings with
#: deviation s differ by more than 2 * sqrt(2) * s about one time in twenty.
READING_SPREAD: dict[MeasureKind, float] = {"height": 0.55, "girth": 0.35, "breadth": 0.5, "length": 0.5}


#: The spread that two readings may differ by before a third is taken, cm (brief, section 2; breadths
#: and lengths as girths and heights, which they are taken like).
TOLERANCE: dict[MeasureKind, float] = {"height": 1.5, "girth": 1.0, "breadth": 1.0, "length": 1.5}

#: Measures of one limb, which the left and the right may differ in.
SIDED: tuple[str, ...] = (
    *("thigh", "knee", "calf", "ankle", "upper_arm", "wrist"),
    *("elbow_length", "arm_length", "foot_length"),
)


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


def label(measure: str) -> str:
    """A measure's name as read aloud: “waist height”."""
    return LABELS.get(measure, measure.replace("_", " "))


@dataclass(frozen=True, slots=True)
class Measures:
    """What is known of a body before anything is estimated. Hashable, so that a body is computed once per set.

    >>> Measures.of({"stature": 165, "hip": 100}).get("hip")
    100.0
    """

    items: tuple[tuple[str, Quantity], ...] = ()
    #: Whose usual breadths theirs are held against: a word of `brief.BUILD`, or open.
    build: str | None = None

    @classmethod
    def of(cls, taken: Mapping[str, float | Quantity], build: str | None = None) -> Measures:
        """Make a set from names and figures; a bare number is one careful reading in cm.

        Raises UnknownMeasure; figures must be positive.
        """
        figures = {name: _figure(name, given) for name, given in taken.items()}
        return cls(tuple(sorted(figures.items())), build)

    @property
    def figures(self) -> dict[str, Quantity]:
        """Everything taken, by name."""
        return dict(self.items)

    def figure(self, name: str) -> Quantity | None:
        """What was taken of one measure, with its spread and origin."""
        return dict(self.items).get(name)

    def get(self, name: str) -> float | None:
        """The figure in cm, or None where it was not taken."""
        figure = self.figure(name)
        return figure.cm if figure else None

    def among(self, names: tuple[str, ...]) -> dict[str, float]:
        """Those of `names` that were taken, cm."""
        return {name: figure.cm for name, figure in self.items if name in names}

    def without(self, *names: str) -> Measures:
        """The same set less some measures."""
        return Measures(tuple(item for item in self.items if item[0] not in names), self.build)

    def __iter__(self) -> Iterator[tuple[str, float]]:
        return ((name, figure.cm) for name, figure in self.items)

    def __len__(self) -> int:
        return len(self.items)


def _figure(name: str, given: float | Quantity) -> Quantity:
    kind = kind_of(name)
    figure = given if isinstance(given, Quantity) else Quantity(float(given), READING_SPREAD[kind], "measured")
    if not figure.cm > 0:
        raise ValueError(f"{name} must be more than nought.")
    return figure
