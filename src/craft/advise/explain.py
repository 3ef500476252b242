"""Why one look is better than another: the difference of their findings, in at most three sentences."""

from __future__ import annotations

from craft.judge import Judgement
from craft.judge.finding import Finding

MOST = 3
_SIGN = {"for": 1.0, "against": -1.0, "caution": 0.0}


def why_better(better: Judgement, worse: Judgement) -> tuple[tuple[Finding, bool], ...]:
    """The findings that most set two looks apart: each with whether it is the better look's own (else the worse one's).

    Only what speaks for the better look is said: what it has in its favour, and what the other has against it.
    """
    ours, theirs = _weighed(better), _weighed(worse)
    said: list[tuple[float, Finding, bool]] = []
    for key, (weight, finding) in ours.items():
        more = weight - theirs.get(key, (0.0, finding))[0]
        if finding.stance == "for" and more > 0.01:
            said.append((more, finding, True))
    for key, (weight, finding) in theirs.items():
        more = ours.get(key, (0.0, finding))[0] - weight
        if finding.stance == "against" and more > 0.01:
            said.append((more, finding, False))
    said.sort(key=lambda one: -one[0])
    return tuple((finding, own) for _, finding, own in said[:MOST])


def _weighed(judgement: Judgement) -> dict[tuple[str, str], tuple[float, Finding]]:
    """What each finding adds or takes, by rule and code."""
    return {
        (finding.rule, finding.code): (_SIGN[finding.stance] * finding.weight, finding)
        for finding in judgement.findings
    }
