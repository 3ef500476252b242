"""What another school says of the same look: what comes, what goes, what weighs otherwise."""

from __future__ import annotations

from dataclasses import dataclass

from craft.body import Body
from craft.judge import Aims, Judgement, judge
from craft.judge.finding import Finding
from craft.look import Look, compose
from craft.schools import POSITIONS, Schools


@dataclass(frozen=True, slots=True)
class Switched:
    """A look in two schools: the judgement in each, and the findings that only one has; `turned` are those that both
    have, with another stance or weight, as the other school has them."""

    now: Judgement
    then: Judgement
    gone: tuple[Finding, ...]
    new: tuple[Finding, ...]
    turned: tuple[Finding, ...]

    @property
    def differs(self) -> bool:
        """Whether the other school says anything else of this look."""
        return bool(self.gone or self.new or self.turned)


def switch(body: Body, look: Look, schools: Schools, other: Schools, aims: Aims | None = None) -> Switched:
    """Judge a look in two schools and tell the difference.

    >>> from craft.body import Measures
    >>> body = Body.of(Measures.of({"stature": 165}))
    >>> worn = Look.of([{"is": "trousers", "cut": "wide"}, {"is": "trainers", "bulk": "chunky"}])
    >>> told = switch(body, worn, Schools(), Schools.of({"wide_leg_shoe": "echo"}))
    >>> [(finding.rule, finding.stance) for finding in told.turned]
    [('feet.weight', 'for')]
    """
    aims = aims or Aims()
    now, then = (judge(compose(body, look, ways), aims) for ways in (schools, other))
    had, has = ({f.rule: f for f in judged.findings} for judged in (now, then))
    return Switched(
        now,
        then,
        tuple(f for rule, f in had.items() if rule not in has),
        tuple(f for rule, f in has.items() if rule not in had),
        tuple(
            f for rule, f in has.items() if rule in had and (f.stance, f.weight) != (had[rule].stance, had[rule].weight)
        ),
    )


def other_views(
    body: Body, look: Look, schools: Schools, aims: Aims | None = None
) -> tuple[tuple[str, str, Switched], ...]:
    """Every other position of a school that speaks otherwise of a look: the school, the position, the difference.

    >>> from craft.body import Measures
    >>> worn = Look.of([{"is": "trousers", "cut": "wide"}, {"is": "trainers", "bulk": "chunky"}])
    >>> told = other_views(Body.of(Measures.of({"stature": 165})), worn, Schools())
    >>> ("wide_leg_shoe", "echo") in [(school, position) for school, position, _ in told]
    True
    """
    found = []
    for school in POSITIONS:
        for position in POSITIONS[school]:
            if position == schools.position(school):
                continue
            taken = {**dict(schools.taken), school: position}
            other = Schools.of(taken, schools.muted, dict(schools.moved))
            told = switch(body, look, schools, other, aims)
            if told.differs:
                found.append((school, position, told))
    return tuple(found)
