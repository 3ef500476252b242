"""One call for everything a screen shows of a look on a body."""

from __future__ import annotations

from dataclasses import dataclass

from craft.advise import Mend, mends_for
from craft.body import Body
from craft.draw import Shape, draw_dressed
from craft.judge import Aims, Judgement, judge
from craft.look import Look, Outfit, compose
from craft.schools import Schools


@dataclass(frozen=True, slots=True)
class Assessment:
    """An outfit, what is said of it, and the smallest mend of each finding against."""

    outfit: Outfit
    judgement: Judgement
    mends: dict[str, Mend]


def assess(
    body: Body, look: Look, schools: Schools | None = None, aims: Aims | None = None, *, mending: bool = True
) -> Assessment:
    """Land, judge and mend a look on a body; without mends while a hand still moves.

    >>> from craft.body import Measures
    >>> body = Body.of(Measures.of({"stature": 165, "bust": 92, "waist": 74, "hip": 100}))
    >>> assess(body, Look.of([{"is": "jeans", "cut": "slim"}])).outfit.bottom.hem_at
    'ankle'
    """
    aims = aims or Aims()
    outfit = compose(body, look, schools)
    judgement = judge(outfit, aims)
    return Assessment(outfit, judgement, mends_for(outfit, judgement, aims) if mending else {})


def picture(outfit: Outfit) -> tuple[Shape, ...]:
    """The figure and its garments as shapes to paint in order."""
    return draw_dressed(outfit)
