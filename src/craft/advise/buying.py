"""Buying, as practitioners do it: what reviews say, and what is not bought though it could be made to do (brief, section 20)."""

from __future__ import annotations

import re
from collections.abc import Iterator

from craft.cloth.kinds import KIND
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
#: A body is wider by so much on one day than on another: a firm band that leaves less fits on a slim day only, cm (W).
A_DAY = 1.5
#: Cloth that gives by less than this share is firm (W).
FIRM = 0.03
#: Where a leg that is no pair of shorts ends too short for everyone (brief, section 4), and necks and cut-outs that want a bra
#: of their own (section 20).
TOO_SHORT = ("mid_calf", "below_knee")
OWN_BRA_NECKS, OWN_BRA_CUT_OUTS = ("halter", "one_shoulder"), ("back", "shoulders")


def reviews_say(text: str) -> tuple[str, ...]:
    """What the reviews in a pasted text warn of, in sentences.

    >>> reviews_say("Lovely jeans, but the knees bag after an hour and it came up small")[0]
    'Reviews say that the knees bag: look for recovery.'
    """
    low = text.lower()
    return tuple(says for pattern, says in REVIEWS if pattern.search(low))


def not_bought(landed: Landed) -> Iterator[Sentence]:
    """Why a piece of a shop is better left there: a leg that is too short, which nothing mends; a band for slim days only; what
    wants a bra of its own.

    >>> from craft.body import Body, Measures
    >>> from craft.cloth import Piece
    >>> from craft.fit import land
    >>> body = Body.of(Measures.of({"stature": 165, "crotch_height": 76}))
    >>> [why.say() for why in not_bought(land(body, Piece.of({"is": "jeans", "inseam_cm": 46})))]
    ['Too short, and nothing lets a leg down so far: too long is mended, too short is not.']
    """
    piece = landed.piece
    hem = next((edge for edge in landed.edges if edge.key == "hem"), None)
    if piece.slot == "bottom" and KIND[piece.kind].has_legs and piece.kind != "shorts" and hem and hem.at in TOO_SHORT:
        yield Sentence("Too short, and nothing lets a leg down so far: too long is mended, too short is not.")
    band = next((ease for ease in landed.eases if ease.zone == "band"), None)
    if band is not None and 0.0 <= band.cm < A_DAY and band.gives < FIRM:
        yield Sentence.of("The band leaves {left}: it fits on a slim day only.", left=band.cm)
    if piece.word("neck") in OWN_BRA_NECKS or piece.word("cut_out") in OWN_BRA_CUT_OUTS:
        yield Sentence("It wants a bra of its own: buy it with that, or leave it.")
