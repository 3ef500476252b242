"""Whether a piece suits the client's style, before they are asked: what their style words and what they never wear say of it."""

from __future__ import annotations

from craft.body import Body
from craft.cloth import Piece
from craft.judge import RULES, Aims, judge
from craft.look import Look, compose
from craft.schools import Schools

#: The rules of the client's own style.
STYLE = tuple(rule for rule in RULES if rule.id.startswith("style."))


def style_says(body: Body, piece: Piece, aims: Aims, schools: Schools) -> tuple[bool | None, str]:
    """Whether a piece by itself is in the client's style, and why; None where nothing was said of it.

    >>> from craft.body import Measures
    >>> body = Body.of(Measures.of({"stature": 165}))
    >>> style_says(body, Piece.of({"is": "blazer"}), Aims.of({"never": ["blazer"]}), Schools())
    (False, 'This client never wears a blazer.')
    """
    judged = judge(compose(body, Look((piece,)), schools), aims, STYLE)
    if not judged.findings:
        return None, ""
    against = [finding for finding in judged.findings if finding.counts_against]
    told = against or list(judged.findings)
    return not against, " ".join(finding.text.say() for finding in told)
