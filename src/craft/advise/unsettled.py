"""Whether a verdict rests on an estimate: the measures whose true value could still turn it."""

from __future__ import annotations

from dataclasses import dataclass

from craft.body import Body, Measures, Quantity
from craft.body.measures import GIRTHS, HEIGHTS, LENGTHS, label
from craft.body.quantity import OF_80
from craft.judge import Aims, judge
from craft.judge.judgement import Verdict
from craft.look import Look, compose
from craft.schools import Schools
from craft.units import Sentence

#: Measures that a landing or an ease rests on; the others turn no verdict by themselves.
ASKED = tuple(
    name
    for name in (*HEIGHTS, *GIRTHS, *LENGTHS)
    if name not in ("neck", "wrist", "elbow_length", "foot_length", "mid_thigh_height", "back_rise")
)
#: How finely a reading would be taken, cm, once it is.
TAKEN = 0.5


@dataclass(frozen=True, slots=True)
class Unsettled:
    """A measure that is estimated and could turn the verdict: what it would be at either end of its 80 % range."""

    measure: str
    low: Verdict
    high: Verdict
    text: Sentence


def unsettled(
    body: Body, look: Look, schools: Schools | None = None, aims: Aims | None = None
) -> tuple[Unsettled, ...]:
    """The measures that could still turn the verdict of a look, those that turn it most first; none where all that
    matters was measured.

    >>> measured = {name: q.cm for name, q in Body.of(Measures.of({"stature": 165})).heights.items()}
    >>> body = Body.of(Measures.of(measured))
    >>> [one.measure for one in unsettled(body, Look.of([{"is": "jeans", "inseam_cm": 70}, {"is": "tee"}])) if "height" in one.measure]
    []
    """
    aims = aims or Aims()
    now = judge(compose(body, look, schools), aims).verdict
    found: list[tuple[float, Unsettled]] = []
    for name in ASKED:
        known = body.quantity(name)
        if known.settled:
            continue
        ends = []
        for end in known.range80:
            taken = Quantity(max(end, 1.0), TAKEN, "measured")
            other = Body.of(Measures.of({**body.measures.figures, name: taken}, body.measures.build))
            ends.append(judge(compose(other, look, schools), aims))
        if all(end.verdict == now for end in ends):
            continue
        text = Sentence.of(
            f"The {label(name)} is estimated, give or take {{spread}}, and could turn this verdict: measure it.",
            spread=OF_80 * known.spread,
        )
        one = Unsettled(name, ends[0].verdict, ends[1].verdict, text)
        found.append((abs(ends[0].score - ends[1].score), one))
    return tuple(one for _, one in sorted(found, key=lambda one: -one[0]))
