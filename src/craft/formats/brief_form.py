"""The brief as a form that a conversation can fill in any order: everything may stay open."""

from __future__ import annotations

from typing import Annotated, Any, Literal

from pydantic import BaseModel, ConfigDict, Field, StringConstraints

from craft import brief
from craft.judge.aims import WORDS as AIM_WORDS

Said = Annotated[str, StringConstraints(strip_whitespace=True, max_length=600)]
Short = Annotated[str, StringConstraints(strip_whitespace=True, max_length=120)]


def _one_of(words: tuple[str, ...]) -> Any:
    return Literal[words]


class _Form(BaseModel):
    model_config = ConfigDict(extra="forbid")


class Stretch(_Form):
    """A part of the week: where, how much of it in per cent, and what is asked of clothes there."""

    occasion: _one_of(brief.OCCASIONS)  # type: ignore[valid-type]
    share: int = Field(ge=0, le=100)
    dress_code: _one_of(brief.DRESS_CODES) = "none"  # type: ignore[valid-type]


class Colouring(_Form):
    """Warmth, depth and clarity; each may be unknown."""

    warmth: _one_of(brief.WARMTH) | None = None  # type: ignore[valid-type]
    depth: _one_of(brief.DEPTH) | None = None  # type: ignore[valid-type]
    clarity: _one_of(brief.CLARITY) | None = None  # type: ignore[valid-type]


class Budget(_Form):
    """What may be spent, in whole units of a currency."""

    amount: int | None = Field(default=None, ge=0, le=10_000_000)
    currency: Annotated[str, StringConstraints(strip_whitespace=True, to_upper=True, max_length=3)] = "EUR"
    per: Literal["season", "year", "piece"] = "season"


class Aims(_Form):
    """Aims in the words of the craft (craft.judge.aims)."""

    wants: list[_one_of(AIM_WORDS["wants"])] = []  # type: ignore[valid-type]
    soften: list[_one_of(AIM_WORDS["soften"])] = []  # type: ignore[valid-type]
    show: list[_one_of(AIM_WORDS["show"])] = []  # type: ignore[valid-type]
    wont: list[_one_of(AIM_WORDS["wont"])] = []  # type: ignore[valid-type]
    style: list[_one_of(AIM_WORDS["style"])] = []  # type: ignore[valid-type]
    reach: list[_one_of(AIM_WORDS["reach"])] = Field(default=[], max_length=1)  # type: ignore[valid-type]
    never: list[_one_of(AIM_WORDS["never"])] = []  # type: ignore[valid-type]


class BriefForm(_Form):
    """Everything the first conversation may bring up."""

    changed: Said = ""
    no_longer_fits: Said = ""
    clothes_should: Said = ""
    will_not_wear: Said = ""
    limits: list[_one_of(brief.LIMITS)] = []  # type: ignore[valid-type]
    limits_note: Said = ""
    week: list[Stretch] = Field(default=[], max_length=len(brief.OCCASIONS))
    colouring: Colouring = Colouring()
    budget: Budget = Budget()
    seated: bool = False
    build: _one_of(brief.BUILD) | None = None  # type: ignore[valid-type]
    minor: bool = False
    guardian: Short = ""
