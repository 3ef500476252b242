"""Kinds of visit the trade has: how long each usually is, the travel and the buffer about it, and what follows."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal

VisitKind = Literal[
    "first_talk", "measuring", "try_on", "edit", "shops", "tailor", "hand_over", "check", "other", "away"
]  # fmt: skip


@dataclass(frozen=True, slots=True)
class Kind:
    """A kind of visit; minutes. `follows` are the kinds that usually come after, each with so many days between."""

    name: str
    minutes: int
    travel: int = 0
    buffer: int = 15
    with_client: bool = True
    follows: tuple[tuple[VisitKind, int], ...] = ()


#: Lengths by brief 22: a first talk 30 to 45 minutes, measuring 30 to 45, an edit 2 to 4 hours, shops together 2 to 3, a fitting 20, a
#: hand-over 45; travel and a buffer between. Where the brief gives a range its middle is taken; travel, buffers and days between
#: are house estimates (W).
KINDS: dict[VisitKind, Kind] = {
    "first_talk": Kind("first talk", 40, follows=(("measuring", 7),)),
    "measuring": Kind("measuring", 40, follows=(("edit", 7),)),
    "try_on": Kind("try-on", 90, 20, follows=(("tailor", 7), ("hand_over", 14))),
    "edit": Kind("edit at home", 180, 30, 30, follows=(("shops", 7), ("hand_over", 14))),
    "shops": Kind("shops together", 150, 30, 15, follows=(("try_on", 7), ("hand_over", 10))),
    "tailor": Kind("fitting at the tailor’s", 20, 20, follows=(("hand_over", 10),)),
    "hand_over": Kind("hand-over", 45, follows=(("check", 42),)),
    "check": Kind("check after a season", 45, follows=(("measuring", 14), ("edit", 90))),
    "other": Kind("other", 60),
    "away": Kind("away", 480, buffer=0, with_client=False),
}
