"""The client's language: how a tuck, a heel and a reason are told to who wears them. No girth, no weight, no fault."""

from __future__ import annotations

from collections.abc import Iterable

from craft.judge.finding import Finding

#: How each tuck is told in a sentence; {} is the piece.
TUCKS = {
    "none": "Leave {} out, over the waistband.",
    "full": "Tuck {} in all round, flat.",
    "bloused": "Tuck {} in all round, then raise your arms once so that it eases out.",
    "front": "Tuck {} in at the front only, between the two front loops.",
    "half": "Tuck in one front of {}, and let the other hang.",
    "side": "Tuck {} in at one side, at the hip.",
    "back": "Tuck in only the back of {}, under the layer.",
    "tail_fold": "Fold the back hem of {} up under itself.",
    "knot": "Knot {} in front, just at the waistband.",
    "lifted": "Tuck {} in flat, then lift it a little behind.",
    "front_and_tail": "Tuck in one front of {}, and fold the back hem under.",
    "gathered": "Gather {} at one side with a hair elastic from beneath.",
    "bra": "Slip the hem of {} up under the band of the bra, and let it fall to the waistband.",
}
#: What a reason in favour is to who wears the look, by the reason's code. A code that is not here is not told: it is about
#: something that a client need not hear of.
REASONS = {
    "ankle_shown": "A glimpse of ankle keeps it light.",
    "balance_gained": "Above and below balance each other.",
    "colour_answered": "A colour comes back in a second place, so it all belongs together.",
    "colour_column": "One colour runs from top to bottom: long and quiet.",
    "contrast_of_ease": "Close and loose answer each other.",
    "dark_recedes": "The dark tone stays quiet and lets the rest speak.",
    "dated": "It is a shape of today.",
    "draws_to_asset": "The eye goes where you like it to go.",
    "dress_code": "It is what is asked for there.",
    "foot_weight_answers": "The shoe is just as strong as the rest asks for.",
    "heel_lift": "The heel lifts the whole line.",
    "hem_on_narrow_place": "The hem ends in a good place.",
    "leg_lengthened": "It makes a long leg.",
    "leg_line_whole": "Leg and shoe are one line.",
    "lengthening_line": "Its long lines lead the eye up and down.",
    "near_tones_joined": "The tones are of one family.",
    "neck_lengthens": "The neckline frames your face.",
    "rise_fits": "The waistband sits where it stays.",
    "skims": "It skims, and moves with you.",
    "smart": "It reads smart without trying.",
    "style": "It is your own style.",
    "support": "It holds well.",
    "texture_contrast": "Two surfaces make it rich.",
    "third_piece": "The third piece finishes it.",
    "toe_line": "The toe of the shoe carries the line on.",
    "waist_marked": "The waist is marked.",
}
#: A heel up to the first, up to the second and up to the third, cm, is flat, low, middling; above that it is high.
FLAT, LOW, MIDDLING = 2.5, 4.5, 7.0
MOST_REASONS = 2


def heel_said(heel: float) -> str:
    """A heel in a word.

    >>> heel_said(1.5), heel_said(6)
    ('flat', 'a middling heel')
    """
    if heel <= FLAT:
        return "flat"
    return "a low heel" if heel <= LOW else "a middling heel" if heel <= MIDDLING else "a high heel"


def reasons_of(findings: Iterable[Finding]) -> list[tuple[str, str]]:
    """The strongest reasons in favour, in the client's language: code and sentence, each once."""
    found: dict[str, str] = {}
    for finding in findings:
        if finding.stance == "for" and finding.code in REASONS and finding.code not in found:
            found[finding.code] = REASONS[finding.code]
    return list(found.items())[:MOST_REASONS]


def listed(words: Iterable[str]) -> str:
    """Words in a row.

    >>> listed(["the belt"]), listed(["the belt", "the scarf", "the bag"])
    ('the belt', 'the belt, the scarf and the bag')
    """
    every = list(words)
    return every[0] if len(every) == 1 else f"{', '.join(every[:-1])} and {every[-1]}" if every else ""


def the(title: str) -> str:
    """A title within a sentence: “the navy blazer”; a name that begins with an article keeps it."""
    first = title.split(" ")[0].casefold()
    lowered = title[:1].lower() + title[1:] if title[1:2].islower() else title
    return lowered if first in ("the", "a", "an", "her", "his") else f"the {lowered}"
