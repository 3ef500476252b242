"""Two sessions side by side: what changed beyond what tape and hand explain, and what that touches."""

from __future__ import annotations

import math
from collections.abc import Mapping
from dataclasses import dataclass

from craft.body.estimate import PLACE, prior
from craft.body.measures import MEASURES
from craft.body.quantity import Quantity

#: A difference beyond this many deviations of both readings together is a change: noise alone
#: exceeds it one time in twenty.
BEYOND = 1.96
#: A measure not taken again is doubtful when a changed one tells this much of it (correlation, at
#: one stature).
TELLS = 0.6


@dataclass(frozen=True, slots=True)
class Change:
    """One measure in two sessions, cm; `noise` is the difference that noise alone may make."""

    measure: str
    before: Quantity
    after: Quantity
    noise: float

    @property
    def cm(self) -> float:
        """By how much the measure grew, cm."""
        return self.after.cm - self.before.cm

    @property
    def beyond_noise(self) -> bool:
        """Whether that is more than two readings of the same body differ by."""
        return abs(self.cm) > self.noise


@dataclass(frozen=True, slots=True)
class Doubtful:
    """A measure that was not taken again although a changed one speaks of it."""

    measure: str
    because: str
    expected_cm: float


def compare(before: Mapping[str, Quantity], after: Mapping[str, Quantity]) -> tuple[Change, ...]:
    """Every measure taken in both sessions.

    >>> then, now = {"waist": Quantity(74, 0.3, "repeated")}, {"waist": Quantity(77, 0.3, "repeated")}
    >>> compare(then, now)[0].beyond_noise
    True
    """
    return tuple(
        Change(name, before[name], after[name], BEYOND * math.hypot(before[name].spread, after[name].spread))
        for name in MEASURES
        if name in before and name in after
    )


def doubtful_after(changes: tuple[Change, ...], held: Mapping[str, Quantity]) -> tuple[Doubtful, ...]:
    """What of `held` (measures not taken again) the changes make doubtful, and where it is likely now."""
    stature = PLACE["stature"]
    cov = prior().cov
    rest = cov - cov[:, [stature]] @ cov[[stature], :] / cov[stature, stature]
    moved = {change.measure: change for change in changes if change.beyond_noise and change.measure != "stature"}
    found: list[Doubtful] = []
    for name, figure in held.items():
        if name in moved or name == "stature":
            continue
        at = PLACE[name]
        told = [(abs(rest[at, PLACE[n]]) / math.sqrt(rest[at, at] * rest[PLACE[n], PLACE[n]]), n) for n in moved]
        most = max(told, default=(0.0, ""))
        if most[0] >= TELLS:
            by = float(rest[at, PLACE[most[1]]] / rest[PLACE[most[1]], PLACE[most[1]]]) * moved[most[1]].cm
            found.append(Doubtful(name, most[1], figure.cm + by))
    return tuple(found)
