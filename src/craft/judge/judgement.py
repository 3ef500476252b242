"""The verdict: every rule is asked, its findings weighed, the leading reasons named."""

from __future__ import annotations

import math
from bisect import bisect_left
from collections.abc import Iterable, Mapping
from dataclasses import dataclass
from functools import lru_cache
from typing import Literal

from craft.errors import OutOfReach
from craft.facts import least
from craft.judge import (  # noqa: F401  each declares its rules
    attention,
    balance,
    beneath,
    cloth,
    colour,
    current,
    edges,
    feet,
    hems,
    layers,
    leg,
    legwear,
    length,
    limits,
    neck,
    palette,
    pattern,
    register,
    rise,
    style,
    surface,
    swim,
    volume,
)
from craft.judge.aims import Aims
from craft.judge.borders import Border
from craft.judge.finding import Finding, Remark
from craft.judge.rule import Client, Rule, asked, declared
from craft.look import Outfit
from craft.schools import Schools

Verdict = Literal["works", "watch", "against"]

#: Every rule that was declared.
RULES: tuple[Rule, ...] = declared()
#: Every border that a house may move: those that rules declare.
BORDERS: tuple[Border, ...] = tuple({border.key: border for rule in RULES for border in rule.borders}.values())


def moved(borders: Mapping[str, float]) -> dict[str, float]:
    """Borders that a house draws elsewhere than usual, checked. Raises OutOfReach."""
    known = {border.key: border for border in BORDERS}
    for key in borders:
        if key not in known:
            raise OutOfReach(f"“{key[:60]}” is not a border here.")
    return {key: known[key].checked(value) for key, value in borders.items() if value != known[key].usual}


#: A finding against of at least the first weight decides whatever else is good; of the second, where the score is below the
#: third. A score from the fourth works (W). Weights in thousandths.
ALONE, DECIDES, UNLESS, WORKS = 720, 500, 0.75, 0.55
#: Below this score a look does not work whatever it is.
FAILS = 0.35
#: How much more counts what speaks against, and how steeply the score follows (W).
AGAINST_COUNTS, STEEP = 1.25, 1.6
#: How many leading reasons a verdict comes with.
LEADING = 3


def score_of(good: int, bad: int) -> float:
    """The score, 0 to 1, of what speaks for and against a look, in thousandths: it only ranks.

    >>> score_of(0, 0), score_of(900, 200) > score_of(900, 300)
    (0.5, True)
    """
    return score_of_net(4 * good - round(4 * AGAINST_COUNTS) * bad)


def score_of_net(net: int) -> float:
    """The score of the balance of what speaks for and against, in whole quarters of a thousandth."""
    return 1 / (1 + math.exp(-STEEP * (net / 4) / 1000))


def net_from(border: Literal["works", "fails", "unless"]) -> int:
    """The least balance whose score is not below a border, in quarters of a thousandth.

    >>> score_of_net(net_from("works")) >= WORKS > score_of_net(net_from("works") - 1)
    True
    """
    least = {"works": WORKS, "fails": FAILS, "unless": UNLESS}[border]
    return bisect_left(range(-(1 << 19), 1 << 19), least, key=score_of_net) - (1 << 19)


def verdict_of(score: float, worst: int) -> Verdict:
    """The verdict that follows from a score and the heaviest finding against, in thousandths."""
    if worst >= ALONE or (worst >= DECIDES and score < UNLESS) or score < FAILS:
        return "against"
    return "works" if score >= WORKS and worst < DECIDES else "watch"


@dataclass(frozen=True, slots=True)
class Judgement:
    """Findings, strongest first; a score in 0 to 1 that only ranks; the verdict and why."""

    findings: tuple[Finding, ...]
    score: float
    verdict: Verdict

    @property
    def leading(self) -> tuple[Finding, ...]:
        """The two or three findings the verdict rests on."""
        weighed = [finding for finding in self.findings if finding.stance != "caution"]
        if self.verdict == "works":
            return tuple([f for f in weighed if f.stance == "for"][:LEADING])
        against = [f for f in weighed if f.counts_against]
        return tuple((against or weighed)[:LEADING])


@lru_cache(maxsize=4096)
def _asked(on: frozenset[str], client: Client) -> tuple[Rule, ...]:
    return asked(RULES, on, client)


def judge(outfit: Outfit, aims: Aims | None = None, rules: tuple[Rule, ...] | None = None) -> Judgement:
    """Judge an outfit for a client's aims, by every rule or only by some.

    >>> from craft.body import Body, Measures
    >>> from craft.look import Look, compose
    >>> look = Look.of([{"is": "jeans", "cut": "skinny"}, {"is": "tee", "fit": "tight"}])
    >>> judge(compose(Body.of(Measures.of({"stature": 165})), look)).verdict
    'against'
    """
    aims = aims or Aims()
    schools = outfit.schools
    weigh = Weighing.of(schools, aims)
    on = frozenset[str]().union(*[piece.seen_as for piece in outfit.pieces])
    client = Client(outfit.body, aims, schools)
    asks = _asked(on, client) if rules is None else asked(rules, on, client)
    return judgement_of([weigh.finding(rule, said) for rule in asks for said in rule.check(outfit, aims)])


def judgement_of(found: list[Finding]) -> Judgement:
    """The judgement that findings come to, in whatever order they were found."""
    found.sort(key=lambda finding: (-finding.thousandths, finding.rule, finding.title))
    good, bad, worst = tally(found)
    score = score_of(good, bad)
    return Judgement(tuple(found), score, verdict_of(score, worst))


def tally(findings: Iterable[Finding]) -> tuple[int, int, int]:
    """What speaks for, what against, and the heaviest against, in thousandths: all that score and verdict need."""
    good = bad = worst = 0
    for finding in findings:
        if finding.stance == "for":
            good += finding.thousandths
        elif finding.stance == "against" and not finding.outranked:
            bad += finding.thousandths
            worst = max(worst, finding.thousandths)
    return good, bad, worst


#: What speaks of softening, for the school that dresses the concern first; and by how much more it counts (W).
_SOFTENS = ("dark_recedes", "light_advances", "covers_zone", "skims", "clings", "draws_to_zone", "fade_draws_eye")
MORE = 1.25


@dataclass(frozen=True, slots=True)
class Weighing:
    """How a house weighs what rules say: schools change weights, never facts. In the school that takes rules for a guide
    what is liked in spite of one outranks it; in the strict school it is only noted."""

    softens_first: bool
    strict: bool
    liked: frozenset[str]

    @classmethod
    def of(cls, schools: Schools, aims: Aims) -> Weighing:
        """How a house weighs for a client."""
        return cls(schools.position("attention") == "soften", schools.position("rules_weight") == "strict", aims.liked)

    def finding(self, rule: Rule, said: Remark) -> Finding:
        """What a rule said as a finding of this house."""
        if not (self.softens_first or self.strict or self.liked):
            return Finding._make((rule.id, *said, rule.school, False, False))
        stance, weight = said.stance, said.thousandths
        more = 1.0
        if self.softens_first and said.code in _SOFTENS:
            more *= MORE
        if self.strict and stance == "against":
            more *= MORE
        if more != 1.0:
            weight = round(least(1000, round(weight * more)))
        liked = stance == "against" and rule.id in self.liked
        return Finding(
            rule.id, stance, weight, said.code, said.zone, said.height, said.figure, said.title, said.text, said.also,
            rule.school, liked, liked and not self.strict,
        )  # fmt: skip
