"""Vertical balance: how stature divides, and where the narrow and the wide places lie."""

from __future__ import annotations

import math
from dataclasses import dataclass
from typing import Literal

from craft.body.body import Body
from craft.body.estimate import PLACE, prior
from craft.body.measures import Measures

StatureWord = Literal["petite", "average", "tall"]
WaistWord = Literal["short_waisted", "even", "long_waisted"]

#: Brief, section 3: petite is below about 163 cm. Tall from 173 (W: as far above the mean woman
#: and man together as petite is below, less what stature alone decides).
PETITE_BELOW, TALL_FROM = 163.0, 173.0
#: A share is called long or short when it is this many deviations from the usual for the stature (W).
WORD_FROM = 1.0


@dataclass(frozen=True, slots=True)
class Part:
    """A stretch of the body between two landmarks: cm, its share of stature, and beside the usual
    for this stature: how many cm more, and how many deviations that is."""

    name: str
    low: float
    high: float
    share: float
    over_usual: float
    deviations: float
    settled: bool

    @property
    def word(self) -> Literal["short", "usual", "long"]:
        """Short or long where the part is clearly off what is usual."""
        if abs(self.deviations) < WORD_FROM:
            return "usual"
        return "long" if self.deviations > 0 else "short"


@dataclass(frozen=True, slots=True)
class Place:
    """A narrow or wide place: its height and girth, and by how much it is narrower (or wider) than
    the wide (or narrow) places next to it, cm."""

    name: str
    kind: Literal["narrow", "wide"]
    height: float
    girth: float
    by: float
    settled: bool


#: Parts from the floor upwards: name, lower and upper landmark.
PARTS = (
    ("lower leg", None, "knee_height"),
    ("thigh", "knee_height", "crotch_height"),
    ("leg", None, "crotch_height"),
    ("torso", "crotch_height", "shoulder_height"),
    ("waist to crotch", "crotch_height", "waist_height"),
    ("shoulder to waist", "waist_height", "shoulder_height"),
)


def parts(body: Body) -> tuple[Part, ...]:
    """How stature divides on this body.

    >>> body = Body.of(Measures.of({"stature": 165, "crotch_height": 81}))
    >>> {part.name: part.word for part in parts(body)}["leg"]
    'long'
    """
    usual = prior().given(Measures.of({"stature": body.heights["stature"]}))
    found = []
    for name, lower, upper in PARTS:
        ends = [at for at in (lower, upper) if at]
        low = body.heights[lower].cm if lower else 0.0
        high = body.heights[upper].cm
        weights = {PLACE[upper]: 1.0} | ({PLACE[lower]: -1.0} if lower else {})
        expected = sum(weight * float(usual.mean[at]) for at, weight in weights.items())
        variance = sum(w * v * float(usual.cov[a, b]) for a, w in weights.items() for b, v in weights.items())
        over = high - low - expected
        settled = all(body.heights[end].settled for end in ends)
        found.append(Part(name, low, high, (high - low) / body.stature, over, over / math.sqrt(variance), settled))
    return tuple(found)


def stature_word(cm: float) -> StatureWord:
    """Petite, average or tall; `cm` is the stature."""
    return "petite" if cm < PETITE_BELOW else "tall" if cm >= TALL_FROM else "average"


def waist_word(body: Body) -> WaistWord:
    """Short- or long-waisted: the torso against the leg."""
    torso = next(part for part in parts(body) if part.name == "torso")
    return {"short": "short_waisted", "usual": "even", "long": "long_waisted"}[torso.word]  # type: ignore[return-value]


def places(body: Body) -> tuple[Place, ...]:
    """The narrow and the wide places, top to bottom.

    >>> body = Body.of(Measures.of({"stature": 165, "bust": 92, "waist": 70, "hip": 100}))
    >>> [place.name for place in places(body)][:3]
    ['bust line', 'under the bust', 'waist']
    """
    girths, at = body.girths, body.height
    knee_up = at("knee") + 0.2 * (at("crotch") - at("knee"))
    calf_down = at("calf") - 0.25 * (at("calf") - at("narrow_ankle"))
    rows: list[tuple[str, Literal["narrow", "wide"], float, float, tuple[str, ...]]] = [
        ("bust line", "wide", at("bust"), body.girth("bust"), ("bust", "bust_height")),
        ("under the bust", "narrow", at("under_bust"), body.girth("under_bust"), ("under_bust", "under_bust_height")),
        ("waist", "narrow", at("waist"), body.girth("waist"), ("waist", "waist_height")),
        ("belly", "wide", at("navel"), body.girth("belly"), ("belly", "navel_height")),
        ("hip", "wide", at("hip"), body.girth("hip"), ("hip", "hip_height")),
        ("upper thigh", "wide", at("crotch") - 2.0, body.girth("thigh"), ("thigh", "crotch_height")),
        ("above the knee", "narrow", knee_up, body.leg_girth(knee_up), ("knee", "knee_height")),
        ("fullest calf", "wide", at("calf"), body.girth("calf"), ("calf", "calf_height")),
        ("under the calf", "narrow", calf_down, body.leg_girth(calf_down), ("calf", "calf_height")),
        ("above the ankle bone", "narrow", at("narrow_ankle"), body.girth("ankle"), ("ankle", "narrow_ankle_height")),
    ]
    found = []
    for i, (name, kind, height, girth, from_) in enumerate(rows):
        # Trunk and leg are compared each with its own; a narrow place with the wide ones and the other way round.
        beside = [
            (r[1], r[3])
            for r in rows[max(0, i - 1) : i + 2]
            if r[0] != name and (r[2] >= at("crotch")) == (height >= at("crotch"))
        ]
        other = [cm for of, cm in beside if of != kind] or [cm for _, cm in beside]
        by = girth - sum(other) / len(other) if other else 0.0
        settled = all((girths[n] if n in girths else body.heights[n]).settled for n in from_)
        found.append(Place(name, kind, height, girth, by, settled))
    return tuple(found)
