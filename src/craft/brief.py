"""The brief: what a conversation with the client fills in, and the cautions that follow from it."""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import dataclass

#: Where a week is spent, as the conversation names it (brief, section 14).
OCCASIONS = (
    "workshop",
    "relaxed_office",
    "formal_office",
    "on_stage",
    "seated_work",
    "outdoors",
    "dinner",
    "weekend",
    "home",
    "travel",
    "ceremony",
)
DRESS_CODES = ("none", "relaxed", "smart", "formal", "black", "uniform", "protective", "religious")
#: What the client cannot or must not wear, beside what they do not want to (aims: wont).
LIMITS = (
    *("foot_ankle_knee_back_injury", "pregnancy", "circulatory_trouble", "reflux_or_breathlessness"),
    *("nickel", "latex", "dyes", "wool", "sun_sensitive_skin", "ladders_or_machinery", "bicycle"),
    *("protective_clothing_required", "religious_or_uniform_code", "measuring_is_hard"),
)
#: Whose usual breadths a client's shoulders and hips are held against, where it matters.
BUILD = ("woman", "man", "young")
WARMTH = ("cool", "neutral", "warm")
DEPTH = ("light", "medium", "deep")
CLARITY = ("soft", "medium", "clear")


@dataclass(frozen=True, slots=True)
class Caution:
    """Something that comes before style, and what it follows from."""

    because: str
    text: str


#: Brief, section 16.
_CAUTIONS: dict[str, str] = {
    "foot_ankle_knee_back_injury": "Heel changes, platforms and long wear after an injury: ask the clinician first.",
    "pregnancy": "No compression and no tight bands without medical advice.",
    "circulatory_trouble": "No compression, shapewear or tight bands without medical advice.",
    "reflux_or_breathlessness": "Tight bands and small bras can bring it on: size up, limit the hours; a doctor if it stays.",
    "nickel": "Nickel against the skin: check buttons, zips, buckles and jewellery.",
    "latex": "Latex in elastic, swimwear and shapewear: read the label.",
    "dyes": "Dark new dye on the skin: wash first, wear over a layer.",
    "wool": "Wool against the skin: a layer between, or another fibre.",
    "sun_sensitive_skin": "Covered skin and sunscreen for swim and open necks.",
    "ladders_or_machinery": "Trailing hems, loose soles and hanging ends are hazards on ladders and at machines.",
    "bicycle": "Wide and trailing hems catch in a chain: clip, cuff or choose a close leg.",
    "protective_clothing_required": "Protective, flame-resistant clothing and helmets come before style.",
    "religious_or_uniform_code": "The code comes first; style works inside it.",
    "measuring_is_hard": "Numbers stay off the screen. Stop when asked; if there is distress, pause and refer on.",
}


def cautions(limits: Iterable[str]) -> tuple[Caution, ...]:
    """What comes before style for a client with these limits.

    >>> [caution.because for caution in cautions(["nickel"])]
    ['nickel']
    """
    held = set(limits)
    return tuple(Caution(limit, _CAUTIONS[limit]) for limit in LIMITS if limit in held)


#: What is said before every session (brief, sections 2 and 16).
CONSENT: tuple[tuple[str, str], ...] = (
    ("measure", "Being measured today, over thin clothes, told each time where the tape goes next."),
    ("record", "The figures being kept in this studio’s records; exported or erased on request."),
    ("hold", "Holding the tape themselves at crotch and bust, if they wish."),
)
