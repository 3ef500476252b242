"""The verdict: every rule is asked, its findings weighed, the leading reasons named."""

from __future__ import annotations

import math
from collections.abc import Callable, Iterator, Mapping
from dataclasses import dataclass, replace
from typing import Literal

from craft.judge import (
    attention,
    balance,
    cloth,
    colour,
    edges,
    feet,
    hems,
    layers,
    leg,
    legwear,
    length,
    neck,
    pattern,
    register,
    rise,
    surface,
    swim,
    volume,
)
from craft.judge.aims import Aims
from craft.judge.borders import Border, OutOfReach
from craft.judge.finding import Finding
from craft.look import Outfit
from craft.schools import Schools

Verdict = Literal["works", "watch", "against"]
Check = Callable[[Outfit, Aims], Iterator[Finding]]


#: Where a subject's rules come from: the section of the trade's working knowledge (brief) that each subject restates.
SOURCES = {
    **dict.fromkeys(("rise", "leg", "length"), "Bottoms: rise, leg, length (4)"),
    **dict.fromkeys(("edges", "hems"), "Edges are lines (6)"),
    **dict.fromkeys(("colour", "pattern", "surface"), "Colour, pattern, texture (10)"),
    **dict.fromkeys(("neck", "attention"), "Focal points (11)"),
    "volume": "Volume (7)",
    "cloth": "Volume (7)",
    "feet": "Shoes and boots (8)",
    "layers": "Layers (9)",
    "balance": "Reading the body (3)",
    "register": "Week, season, occasion (14)",
    "swim": "Swim (12)",
}


@dataclass(frozen=True, slots=True)
class Rule:
    """One rule of the trade: its subject, the predicate that finds it, and the schools that it asks."""

    subject: str
    check: Check
    schools: tuple[str, ...] = ()

    @property
    def key(self) -> str:
        """What the rule is known by: its subject and its own name."""
        return f"{self.subject}.{self.check.__name__}"

    @property
    def says(self) -> str:
        """The rule in one sentence."""
        return (self.check.__doc__ or "").strip().split("\n")[0]

    @property
    def source(self) -> str:
        """The part of the trade's working knowledge that it restates."""
        return "Tucks (5)" if self.check is volume.tuck_bulk else SOURCES[self.subject]


RULES: tuple[Rule, ...] = (
    Rule("rise", rise.label_against_truth, ("rise_naming",)),
    Rule("rise", rise.full_middle, ("full_middle_rise",)),
    Rule("rise", rise.rides_up),
    Rule("leg", leg.reads_as),
    Rule("length", length.trailing),
    Rule("length", length.bunching),
    Rule("length", length.hem_place),
    Rule("length", length.floor_length),
    Rule("length", length.cuffed_ankle),
    Rule("volume", volume.contrast, ("volume_rule",)),
    Rule("volume", volume.waist, ("loose_knit_on_slip",)),
    Rule("volume", volume.tuck_bulk),
    Rule("volume", volume.cling),
    Rule("edges", edges.proportion),
    Rule("edges", edges.top_hem),
    Rule("edges", edges.leg_gap),
    Rule("edges", edges.strap),
    Rule("feet", feet.weight, ("wide_leg_shoe",)),
    Rule("feet", feet.inside, ("straight_into_tall_boot",)),
    Rule("feet", feet.toe),
    Rule("feet", feet.heel),
    Rule("feet", feet.limits),
    Rule("feet", legwear.sock),
    Rule("feet", legwear.tights),
    Rule("feet", legwear.bare),
    Rule("hems", hems.place),
    Rule("hems", hems.boot),
    Rule("hems", hems.exposed),
    Rule("hems", hems.short),
    Rule("layers", layers.third_piece),
    Rule("layers", layers.line),
    Rule("layers", layers.hem),
    Rule("layers", layers.proportion),
    Rule("layers", layers.under_short),
    Rule("layers", layers.sleeves),
    Rule("layers", layers.shapeless),
    Rule("cloth", cloth.bottom_clings),
    Rule("cloth", cloth.upper_clings),
    Rule("cloth", cloth.upper_shows),
    Rule("cloth", cloth.bags),
    Rule("cloth", cloth.skims_hips, ("hip_strategy",)),
    Rule("colour", colour.recede),
    Rule("colour", colour.column),
    Rule("colour", colour.foot),
    Rule("colour", colour.bright),
    Rule("colour", colour.near_tones),
    Rule("colour", colour.near_face),
    Rule("surface", surface.variety),
    Rule("pattern", pattern.stripes_across),
    Rule("pattern", pattern.stripes_down),
    Rule("pattern", pattern.scale),
    Rule("pattern", pattern.draws),
    Rule("neck", neck.line),
    Rule("neck", neck.buttoned),
    Rule("attention", attention.jewellery),
    Rule("attention", attention.belt, ("belt_width",)),
    Rule("attention", attention.detail),
    Rule("attention", attention.assets),
    Rule("attention", attention.limits),
    Rule("balance", balance.shape, ("hip_strategy",)),
    Rule("balance", balance.shoulders),
    Rule("balance", balance.light),
    Rule("register", register.smart),
    Rule("register", register.comfort),
    Rule("register", register.code),
    Rule("register", register.weather),
    Rule("swim", swim.support),
    Rule("swim", swim.waist),
    Rule("swim", swim.pattern),
    Rule("swim", swim.torso),
    Rule("swim", swim.leg),
)

#: Every border that a house may move.
BORDERS: tuple[Border, ...] = (
    *(length.TRAILS_BELOW, length.SKIMS_TO, length.STACK_SHOWS, length.ON_CALF),
    *(edges.LONG_LEG, edges.HALF, edges.ON_HIP, edges.GAP_SHOWS),
    *(rise.FULL_MIDDLE, volume.CLOSE, volume.LOOSE, volume.MARKED, volume.BULK_SHOWS),
    *(feet.HEAVY, feet.LIFTS, colour.ONE_COLOUR, colour.ANCHORS, attention.ENOUGH, register.BEARABLE),
)


def moved(borders: Mapping[str, float]) -> dict[str, float]:
    """Borders that a house draws elsewhere than usual, checked. Raises OutOfReach."""
    known = {border.key: border for border in BORDERS}
    for key in borders:
        if key not in known:
            raise OutOfReach(f"“{key[:60]}” is not a border here.")
    return {key: known[key].checked(value) for key, value in borders.items() if value != known[key].usual}


#: A finding against of at least the first weight decides whatever else is good; of the second, where the score is below the
#: third. A score from the fourth works (W).
ALONE, DECIDES, UNLESS, WORKS = 0.72, 0.5, 0.75, 0.55
#: How many leading reasons a verdict comes with.
LEADING = 3


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


def judge(outfit: Outfit, aims: Aims | None = None) -> Judgement:
    """Judge an outfit for a client's aims.

    >>> from craft.body import Body, Measures
    >>> from craft.look import Look, compose
    >>> look = Look.of([{"is": "jeans", "cut": "skinny"}, {"is": "tee", "fit": "tight"}])
    >>> judge(compose(Body.of(Measures.of({"stature": 165})), look)).verdict
    'against'
    """
    aims = aims or Aims()
    schools = outfit.schools
    found = [
        _weighed(replace(finding, key=rule.key), schools, aims)
        for rule in RULES
        if not schools.muted or rule.key not in schools.muted
        for finding in rule.check(outfit, aims)
    ]
    found.sort(key=lambda finding: (-finding.weight, finding.rule))
    good = sum(finding.weight for finding in found if finding.stance == "for")
    bad = sum(finding.weight for finding in found if finding.counts_against)
    score = 1 / (1 + math.exp(-1.6 * (good - 1.25 * bad)))
    return Judgement(tuple(found), score, _verdict(found, score))


#: What speaks of softening, for the school that dresses the concern first; and by how much more it counts (W).
_SOFTENS = ("dark_recedes", "light_advances", "covers_zone", "skims", "clings", "draws_to_zone", "fade_draws_eye")
MORE = 1.25


def _weighed(finding: Finding, schools: Schools, aims: Aims) -> Finding:
    """A finding as the house weighs it: schools change weights, never facts. In the school that takes rules for a guide
    what is liked in spite of one outranks it; in the strict school it is only noted."""
    more = 1.0
    if finding.stance == "against" and finding.rule in aims.liked:
        finding = replace(finding, liked=True, outranked=schools.position("rules_weight") == "guide")
    if schools.position("attention") == "soften" and finding.code in _SOFTENS:
        more *= MORE
    if schools.position("rules_weight") == "strict" and finding.stance == "against":
        more *= MORE
    return finding if more == 1.0 else replace(finding, weight=min(1.0, finding.weight * more))


def _verdict(found: list[Finding], score: float) -> Verdict:
    worst = max((finding.weight for finding in found if finding.counts_against), default=0.0)
    if worst >= ALONE or (worst >= DECIDES and score < UNLESS) or score < 0.35:
        return "against"
    if score >= WORKS and worst < DECIDES:
        return "works"
    return "watch"
