"""From where an edge is told at a fitting: a hem from the ground, a waistband from the navel, a sleeve from the wrist."""

from __future__ import annotations

from dataclasses import dataclass

from craft.body import Body
from craft.wear.openings import SHOULDER_FALLS


@dataclass(frozen=True, slots=True)
class Frame:
    """Where nought is, cm above the ground, and which way counts up: `sign` is 1 upwards and -1 downwards."""

    text: str
    zero: float
    sign: int

    def told(self, height: float) -> float:
        """A height above the ground as it is told.

        >>> Frame("below the wrist", 80.0, -1).told(78.5)
        1.5
        """
        return self.sign * (height - self.zero)

    def height(self, told: float) -> float:
        """What was told, as a height above the ground; the inverse of `told`."""
        return self.zero + self.sign * told


def frame_of(body: Body, key: str, lift: float) -> Frame:
    """The frame of an edge on this body, in shoes that lift it by `lift` cm."""
    match key:
        case "waistband":
            return Frame("above the navel", body.height("navel") + lift, 1)
        case "cuff":
            wrist = body.height("shoulder") - SHOULDER_FALLS - body.lengths["arm_length"].cm
            return Frame("past the wrist", wrist + lift, -1)
        case "neckline":
            return Frame("below the neck point", body.height("shoulder") + lift, -1)
    return Frame("above the ground", 0.0, 1)
