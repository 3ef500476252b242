"""Buying, as practitioners do it: what reviews say, and what is not bought though it could be made to do (brief, section 20)."""

from __future__ import annotations

import re
from collections.abc import Iterator

from craft.fit import Landed
from craft.units import Sentence

#: What reviews say of a piece, by the words that buyers use, and what follows from it.
REVIEWS: tuple[tuple[re.Pattern[str], str], ...] = (
    (
        re.compile(r"\bknees?\b[^.]{0,25}\bbag|\bbag\w*[^.]{0,15}\bknees?\b"),
        "Reviews say that the knees bag: look for recovery.",
    ),
    (
        re.compile(r"\b(?:seat|bottom|bum)\b[^.]{0,25}\bbag|\bbag\w*[^.]{0,15}\b(?:seat|bottom|bum)\b"),
        "Reviews say that the seat bags: look at the back view, or for cloth that hugs.",
    ),
    (re.compile(r"\b(?:shrinks?|shrank|shrunk)\b"), "Reviews say that it shrinks: allow for it, or wash it cool."),
    (
        re.compile(r"\b(?:runs?|comes?|came) (?:up )?small\b|\bsize up\b"),
        "Reviews say that it runs small: try the size above.",
    ),
    (
        re.compile(r"\b(?:runs?|comes?|came) (?:up )?(?:large|big)\b|\bsize down\b"),
        "Reviews say that it runs large: try the size below.",
    ),
    (
        re.compile(r"\bsits? (?:much )?lower\b|\bnot (?:a )?high[- ]rise\b"),
        "Reviews say that it sits lower than its label.",
    ),
    (re.compile(r"\bsee[- ]through\b|\btransparent\b"), "Reviews say that it shows what is under it."),
)
#: Mends that are stop-gaps: what needs one to fit at all is not bought.
STOP_GAPS = frozenset({"tape", "under"})


def reviews_say(text: str) -> tuple[str, ...]:
    """What the reviews in a pasted text warn of, in sentences.

    >>> reviews_say("Lovely jeans, but the knees bag after an hour and it came up small")[0]
    'Reviews say that the knees bag: look for recovery.'
    """
    low = text.lower()
    return tuple(says for pattern, says in REVIEWS if pattern.search(low))


def not_bought(landed: Landed) -> Iterator[Sentence]:
    """Why a piece of a shop is better left there: what fits only with tape or something beneath it, and what is too short,
    which nothing mends."""
    for check in landed.checks:
        keys = {mend.key for mend in check.alterations}
        if check.stance == "against" and keys and keys <= STOP_GAPS:
            yield Sentence(f"{check.title}: it would need a stop-gap to be worn at all. Leave it.")
        elif check.stance == "against" and check.key == "length" and not keys:
            yield Sentence(f"{check.title}: too long is mended, too short is not. Leave it.")
