"""An edge of a piece where it lands on a body, what it is named, and what it would be named within its spread."""

from __future__ import annotations

import math
from dataclasses import dataclass

from craft.body import Body, Origin
from craft.body.quantity import OF_80
from craft.cloth.words import said
from craft.wear.landing import WORD_SPREAD, Landing, name_height

#: A flat measurement of a garment is read to about this, cm.
FIGURE_SPREAD = 0.5


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
        return self.landing.cm


def edge(
    body: Body,
    key: str,
    name: str,
    cm: float,
    lift: float,
    *rests_on: str,
    described: bool = False,
    at: str = "",
) -> LandedEdge:
    """An edge at `cm` above the ground, in shoes that lift the body by `lift`; `rests_on` are the body's
    measures that its height follows from."""
    sources = [body.quantity(name) for name in rests_on]
    own = WORD_SPREAD if described else FIGURE_SPREAD
    spread = math.hypot(own, *(source.spread for source in sources))
    measured = not described and all(source.settled for source in sources)
    origin: Origin = "measured" if measured else "described" if described else "estimated"
    landing = Landing(cm, spread, origin)
    if at:
        return LandedEdge(key, name, landing, at, (at,), None)
    names = tuple(dict.fromkeys(name_height(body, cm + off, lift) for off in (-OF_80 * spread, 0.0, OF_80 * spread)))
    loosest = max(rests_on, key=lambda name: body.quantity(name).spread, default=None)
    doubtful = loosest is not None and len(names) > 1 and not body.quantity(loosest).settled
    return LandedEdge(key, name, landing, name_height(body, cm, lift), names, loosest if doubtful else None)
