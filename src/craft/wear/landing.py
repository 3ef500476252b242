"""Where an edge lands: heights of the hem words, and the word for a height.

A heel lifts the body off the floor. So words about the body (ankle, knee) move up with the
heel, and words about the floor (foot, floor, puddle) stay where they are.
"""

from __future__ import annotations

import math
from bisect import bisect_left
from functools import lru_cache
from itertools import pairwise
from typing import NamedTuple

from craft.body import Body, Origin

#: Heights of the words that belong to the floor, cm. A foot-length hem skims the top of the
#: foot; one within FLOOR_BELOW of the ground just clears it.
FLOOR_WORDS = {"foot": 3.0, "floor": 0.8, "puddle": -4.0}
FLOOR_BELOW = 1.5
#: An ankle hem lies at the narrow place or up to 2.5 cm higher (brief, section 4); half a cm of grace.
ANKLE_ABOVE = 3.0
#: How far around the ankle bone a hem still reads as at the bone, cm (W).
BONE_REACH = 1.5
#: A word is kept by a careful eye to about this, and a flat measurement of a garment read to about that, cm.
WORD_SPREAD, FIGURE_SPREAD = 1.0, 0.5


class Landing(NamedTuple):
    """Where an edge lies above the ground, cm, its spread and whether it is measured.

    `rests_on` names the body's measures that it follows from. `free` is where its length alone would take it, where
    foot or ground holds it up before that.
    """

    cm: float
    spread: float
    origin: Origin
    rests_on: tuple[str, ...] = ()
    free: float | None = None

    @classmethod
    def on(cls, body: Body, cm: float, *rests_on: str, described: bool = False, free: float | None = None) -> Landing:
        """A landing that follows from some of the body's measures, by a piece measured or described in words."""
        sources = [body.quantity(name) for name in rests_on]
        spread = math.hypot(WORD_SPREAD if described else FIGURE_SPREAD, *(source.spread for source in sources))
        if described:
            return cls(cm, spread, "described", rests_on, free)
        settled = all(source.settled for source in sources)
        return cls(cm, spread, "measured" if settled else "estimated", rests_on, free)

    @property
    def falls_to(self) -> float:
        """Where the length alone takes it: lower than it lies, where it is held up."""
        return self.cm if self.free is None else self.free

    def at(self, body: Body, lift: float, off: float = 0.0) -> str:
        """The hem word for where it lies, or `off` cm higher, in shoes that lift the body by `lift` cm."""
        height = self.cm + off
        return name_height(body, height if height > 0 or self.free is None else self.free, lift)


def word_height(body: Body, word: str) -> float:
    """Height of a hem word above the barefoot floor, cm.

    >>> from craft.body import Measures
    >>> word_height(Body.of(Measures.of({"stature": 165, "knee_height": 45})), "knee")
    45.0
    """
    if word in FLOOR_WORDS:
        return FLOOR_WORDS[word]
    at = body.height
    match word:
        case "seat":
            return at("crotch") + 0.3 * (at("hip") - at("crotch"))
        case "upper_thigh":
            return at("crotch") - 5.0
        case "above_knee":
            return at("knee") + 5.5
        case "below_knee":
            return at("knee") - 6.0
        case "mid_calf":
            return at("calf")
        case "lower_calf":
            return at("calf") - 0.45 * (at("calf") - at("narrow_ankle"))
        case "ankle":
            return at("narrow_ankle")
        case _:
            return at(word)


def landed_height(body: Body, word: str, lift: float) -> float:
    """Height of a hem word above the ground in shoes that lift the body by `lift` cm."""
    return FLOOR_WORDS[word] if word in FLOOR_WORDS else word_height(body, word) + lift


_ON_LEG = ("lower_calf", "mid_calf", "below_knee", "knee", "above_knee", "mid_thigh", "upper_thigh")
_ON_TRUNK = ("seat", "hip", "high_hip", "waist", "under_bust")


@lru_cache(maxsize=1024)
def _nominal_heights(body: Body) -> tuple[tuple[str, ...], tuple[float, ...]]:
    """The words above the ankle from the lowest up, and half-way between which of them one gives way to the next, cm
    barefoot. Asked for many times a look."""
    heights, words = zip(*sorted((word_height(body, word), word) for word in _ON_LEG + _ON_TRUNK), strict=True)
    return words, tuple((low + high) / 2 for low, high in pairwise(heights))


def name_height(body: Body, height: float, lift: float) -> str:
    """The hem word for a height above the ground, in shoes that lift the body by `lift` cm.

    >>> from craft.body import Measures
    >>> name_height(Body.of(Measures.of({"stature": 165, "calf_height": 31.5})), 33.0, 0.0)
    'mid_calf'
    """
    if height < 0:
        return "puddle"
    if height < FLOOR_BELOW:
        return "floor"
    # Rounded, so that a lift that was added and is taken off again names the same place.
    on_body = round(height - lift, 6)
    bone, narrow = body.height("ankle_bone"), body.height("narrow_ankle")
    # A hem that is held up by the instep lies just there.
    if on_body <= bone - BONE_REACH + 1e-6:
        return "foot"
    if on_body < min(bone + BONE_REACH, (bone + narrow) / 2):
        return "ankle_bone"
    if on_body <= narrow + ANKLE_ABOVE:
        return "ankle"
    words, borders = _nominal_heights(body)
    return words[bisect_left(borders, on_body)]
