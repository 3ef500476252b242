"""The sorting: what is proposed for each piece of a wardrobe, and why. One key decides; another decides otherwise.

The proposal is the first that holds of: it does not fit (and the tailor can save it, or not), it stands in no good look (and something
would adopt it, or nothing does), it is the twin of another, something hinders it, it hangs on a few looks only; else it is worn as
it is.
"""

from __future__ import annotations

import re
from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from typing import Literal

from craft.cloth.words import said
from craft.edit.altering import MOST_ALTERED, said_of
from craft.edit.orphans import Adoption
from craft.units import Sentence

Decision = Literal["wear", "partner", "alter", "does_not_fit", "out_of_keeping", "twin", "care"]
#: What may be decided of a piece, in the order of the keys.
DECISIONS: tuple[Decision, ...] = ("wear", "partner", "alter", "does_not_fit", "out_of_keeping", "twin", "care")
#: A piece in so few outfits hangs on a thread; one of whose looks no more than this share works is hard to put on (W).
FEW, SELDOM = 3, 0.25
#: What a note says that hinders a piece (brief, section 18), and what is to be done.
HINDERS: tuple[tuple[re.Pattern[str], str], ...] = (
    (re.compile(r"\b(?:iron|creas|crumpl)", re.I), "Needs ironing before anybody puts it on."),
    (re.compile(r"\b(?:button|zip|hole|tear|torn|seam|mend)", re.I), "Needs mending first."),
    (re.compile(r"\b(?:stain|spot|bleach|yellow)", re.I), "Needs a stain seen to: bleach or dye it."),
    (re.compile(r"\b(?:pill|bobbl|lint)", re.I), "Needs its pilling shaved off."),
    (re.compile(r"\bbra\b", re.I), "Wants another bra to it."),
)


@dataclass(frozen=True, slots=True)
class Proposal:
    """What is proposed for a piece: the decision, why, in how many good looks it stands, what would alter or adopt it, and its
    twin."""

    key: str
    decision: Decision
    reason: Sentence
    #: How many outfits work with it on the kind of day that it serves most, and which share of all its looks works.
    works: int
    share: float
    adoption: Adoption | None = None
    twin: str = ""


@dataclass(frozen=True, slots=True)
class Known:
    """What is known of a piece when it is sorted."""

    key: str
    works: int
    share: float
    #: The title of the check that says it does not fit; why it stays out otherwise (lent); what a note says of it.
    misfit: str = ""
    away: str = ""
    note: str = ""
    #: What stands in the way of an orphan, and what would adopt it, or save what does not fit.
    why: str = ""
    adoptions: tuple[Adoption, ...] = ()
    #: Another piece that makes the same looks, where that is the one to keep.
    twin: str = ""
    #: How its colour stands to the client's colouring: kept from the face is "away".
    by_face: str = ""


def propose(known: Known) -> Proposal:
    """What is proposed for one piece.

    >>> propose(Known("1", 40, 0.6)).decision, propose(Known("1", 0, 0.0, why="Too casual for formal")).decision
    ('wear', 'out_of_keeping')
    >>> tailor = Adoption("tailor", 12, change=("inseam_cm", -6.0))
    >>> propose(Known("1", 0, 0.0, why="Hem on the ground", adoptions=(tailor,))).reason.say()
    'Hem on the ground. Take 6 cm off the inseam: then 12 outfits.'
    """
    first = known.adoptions[0] if known.adoptions else None
    if known.misfit:
        return _misfit(known, first)
    if not known.works and not known.away:
        return _orphan(known, first)
    if known.twin:
        return _proposal(known, "twin", Sentence("Makes the same looks as its twin: one of the two is enough."))
    hinders = hindered(known.note)
    if hinders:
        return _proposal(known, "care", Sentence(hinders))
    if known.by_face == "away" and known.share < SELDOM:
        said_so = "Far from this colouring by the face, and seldom in a good look."
        return _proposal(known, "out_of_keeping", Sentence(said_so))
    if 0 < known.works < FEW:
        return _proposal(known, "partner", Sentence(f"Only {_many(known.works, 'outfit')}: it wants a partner."), first)
    if known.works and known.share < SELDOM:
        hard = f"Hard to put with the rest: {_one_in(known.share)} of its looks work."
        return _proposal(known, "partner", Sentence(hard), first)
    if known.away:
        return _proposal(known, "wear", Sentence(f"{known.away}: wear it when it is back."))
    return _proposal(
        known, "wear", Sentence(f"{_many(known.works, 'outfit')}; {_one_in(known.share)} of its looks work.")
    )


def _misfit(known: Known, first: Adoption | None) -> Proposal:
    if first is not None and first.change is not None and abs(first.change[1]) <= MOST_ALTERED:
        return _proposal(known, "alter", _tailored(known.misfit, first), first)
    return _proposal(known, "does_not_fit", Sentence(f"{known.misfit}, and no tailor makes that good."))


def _orphan(known: Known, first: Adoption | None) -> Proposal:
    why = f"{known.why}. " if known.why else ""
    if first is None:
        reason = known.why or "There is nothing to wear it with"
        return _proposal(known, "out_of_keeping", Sentence(f"{reason}, and nothing would change that."))
    if first.means == "tailor":
        return _proposal(known, "alter", _tailored(known.why, first), first)
    if first.means == "worn":
        how = ", ".join(f"{said(word)}: {said(str(value))}" for word, value in first.worn)
        return _proposal(
            known, "wear", Sentence(f"{why}Wear it otherwise ({how}): then {_many(first.looks, 'outfit')}."), first
        )
    what = said(first.kind)
    whose = f"the {what} of the kit" if first.means == "kit" else f"a partner, such as {_article(what)}"
    return _proposal(known, "partner", Sentence(f"{why}With {whose} it makes {_many(first.looks, 'outfit')}."), first)


def _tailored(why: str, first: Adoption) -> Sentence:
    does = said_of(first.change or ("", 0.0))
    start = f"{why}. " if why else ""
    return Sentence(f"{start}{does.template}: then {_many(first.looks, 'outfit')}.", does.lengths)


def _proposal(known: Known, decision: Decision, reason: Sentence, adoption: Adoption | None = None) -> Proposal:
    return Proposal(
        known.key, decision, reason, known.works, known.share, adoption, known.twin if decision == "twin" else ""
    )


def hindered(note: str) -> str:
    """What a note says that hinders a piece, as what is to be done; empty where nothing does.

    >>> hindered("lovely, but a button is off")
    'Needs mending first.'
    """
    return next((does for pattern, does in HINDERS if pattern.search(note)), "")


def _many(number: int, what: str) -> str:
    return f"{number:,} {what}{'' if number == 1 else 's'}"


def _one_in(share: float) -> str:
    """A share as it is said: “1 in 4”, “9 in 10”."""
    if share >= 0.5:
        return f"{min(10, round(share * 10))} in 10"
    return f"1 in {max(2, round(1 / share))}" if share > 0 else "none"


def _article(what: str) -> str:
    return what if what.endswith("s") else f"{'an' if what[0] in 'aeiou' else 'a'} {what}"


def in_order(proposals: Mapping[str, Proposal], keys: Sequence[str], slots: Mapping[str, str]) -> list[str]:
    """The order in which a wardrobe is gone through: bottoms first, for without them nothing is an outfit; then what hangs above,
    over, on the feet and besides (brief, section 18)."""
    places = ("bottom", "one_piece", "top", "layer", "shoes", "extra", "swim")
    return sorted(
        (key for key in keys if key in proposals), key=lambda key: (places.index(slots[key]), keys.index(key))
    )
