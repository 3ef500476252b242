"""Judging again: a look of which only some pieces are others, by the rules that can see one of these.

A rule sees what it declares (rule.py), so of a look with another belt only the rules that look at belts, or read something that
a belt is a part of, can say anything else. A rail of three hundred pieces is ranked so.
"""

from __future__ import annotations

from dataclasses import dataclass
from functools import lru_cache

from craft.judge.aims import Aims
from craft.judge.judgement import RULES, Judgement, Weighing, judge, judgement_of
from craft.judge.rule import Client, Rule, asked
from craft.look import Outfit
from craft.look.readings import READINGS


@dataclass(frozen=True, slots=True)
class Judged:
    """A look on a client and how it is judged."""

    outfit: Outfit
    aims: Aims
    judgement: Judgement

    @classmethod
    def of(cls, outfit: Outfit, aims: Aims) -> Judged:
        """Judge a look by every rule."""
        return cls(outfit, aims, judge(outfit, aims))

    def again(self, outfit: Outfit) -> Judgement:
        """What `judge` says of another look on the same client, by the same schools.

        >>> from craft.body import Body, Measures
        >>> from craft.look import Look, compose
        >>> body = Body.of(Measures.of({"stature": 165}))
        >>> plain, belted = ([{"is": "jeans"}, {"is": "tee", "tuck": "full"}, *more] for more in ([], [{"is": "belt"}]))
        >>> with_belt = compose(body, Look.of(belted))
        >>> Judged.of(compose(body, Look.of(plain)), Aims()).again(with_belt) == judge(with_belt)
        True
        """
        was, new = set(self.outfit.pieces), set(outfit.pieces)
        if len(was) < len(self.outfit.pieces) or len(new) < len(outfit.pieces):
            return judge(outfit, self.aims)
        changed = frozenset[str]().union(*(piece.seen_as for piece in was ^ new))
        on = frozenset[str]().union(*(piece.seen_as for piece in new))
        client = Client(outfit.body, self.aims, outfit.schools)
        asks, touched = _touched(on, client, changed, self.outfit.heel == outfit.heel)
        weigh = Weighing.of(outfit.schools, self.aims)
        found = [finding for finding in self.judgement.findings if finding.rule not in touched]
        found += [weigh.finding(rule, said) for rule in asks for said in rule.check(outfit, self.aims)]
        return judgement_of(found)


@lru_cache(maxsize=4096)
def _touched(
    on: frozenset[str], client: Client, changed: frozenset[str], same_heel: bool
) -> tuple[tuple[Rule, ...], frozenset[str]]:
    """The rules to ask again of a look with these on, and the ids of all that can see one of what changed."""
    seeing = _seeing(changed, same_heel)
    return asked(seeing, on, client), frozenset(rule.id for rule in seeing)


@lru_cache(maxsize=1024)
def _seeing(changed: frozenset[str], same_heel: bool) -> tuple[Rule, ...]:
    """The rules that can see one of what changed: the same for every client."""
    return tuple(rule for rule in RULES if _sees(rule, changed, same_heel))


def _sees(rule: Rule, changed: frozenset[str], same_heel: bool) -> bool:
    """Whether what a rule says can be otherwise with something else at these places. Most rules read nothing of the shoes but
    how high they lift, which other shoes may leave as it was."""
    read = (READINGS[name] for name in rule.reads if not (same_heel and name == "heel"))
    return rule.about in changed or not changed.isdisjoint(rule.looks_at.union(*read))
