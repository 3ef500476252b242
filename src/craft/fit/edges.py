"""An edge of a piece where it lands on a body, what it is named, and what it would be named within its spread."""

from __future__ import annotations

from dataclasses import dataclass

from craft.body import Body
from craft.body.quantity import OF_80
from craft.cloth.words import said
from craft.wear.landing import Landing

_PLACES = {
    "below_knee": "below the knee",
    "above_knee": "above the knee",
    "mid_thigh": "at mid-thigh",
    "floor": "just off the floor",
    "puddle": "on the floor",
    "under_bust": "under the bust",
    "seat": "just under the seat",
    "lower_calf": "on the lower calf",
    "mid_calf": "at the fullest calf",
    "upper_thigh": "on the upper thigh",
    "foot": "on the foot",
}


def place(word: str) -> str:
    """Where a hem word is, in a sentence.

    >>> place("below_knee"), place("ankle")
    ('below the knee', 'at the ankle')
    """
    if word in _PLACES:
        return _PLACES[word]
    # Rises, and places that say themselves where they are.
    placed = word.endswith("_rise") or word.startswith(("at_", "above_", "over_", "on_", "below_"))
    return said(word) if placed else f"at the {said(word)}"


@dataclass(frozen=True, slots=True)
class LandedEdge:
    """One edge: height above the ground, cm, the hem word there, and the words that its spread still allows.

    `measure` is the body's measure that would settle which, where more than one word is possible.
    """

    key: str
    name: str
    landing: Landing
    at: str
    either: tuple[str, ...]
    measure: str | None

    @property
    def height(self) -> float:
        """Where it lies above the ground, cm."""
        return self.landing.cm

    @property
    def falls_to(self) -> float:
        """Where its length alone would take it, cm: lower than it lies where foot or ground holds it up."""
        return self.landing.falls_to


def edge(body: Body, key: str, name: str, landing: Landing, lift: float, *, at: str = "") -> LandedEdge:
    """An edge where it landed, in shoes that lift the body by `lift` cm; `at` names its place where no hem word does."""
    if at:
        return LandedEdge(key, name, landing, at, (at,), None)
    reach = OF_80 * landing.spread
    lower, here, higher = (landing.at(body, lift, off) for off in (-reach, 0.0, reach))
    names = tuple(dict.fromkeys((lower, here, higher)))
    loosest = max(landing.rests_on, key=lambda name: body.quantity(name).spread, default=None)
    doubtful = loosest is not None and len(names) > 1 and not body.quantity(loosest).settled
    return LandedEdge(key, name, landing, here, names, loosest if doubtful else None)
