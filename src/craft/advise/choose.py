"""Which of these fit? Every size of every product, landed; the best size of each, best first."""

from __future__ import annotations

from collections.abc import Iterable, Mapping
from dataclasses import dataclass

from craft.body import Body
from craft.cloth import Piece
from craft.fit import Landed, land
from craft.fit.fitting import Check, Stance
from craft.fit.zones import WORDS
from craft.schools import Schools
from craft.wear.shoes import BAREFOOT, WornShoes

#: What a check takes from a piece, and how much of that is left where a change for nothing or a tailor
#: mends it (W). Only the order matters; no figure of this is shown.
COST: dict[Stance, float] = {"fits": 0.0, "watch": 0.4, "against": 1.0, "caution": 1.0}
MENDED = {"free": 0.4, "shoe": 0.6, "tailor": 0.6, "shop": 1.0}
#: Between sizes that fit alike, the one nearer to the ease the piece is meant to have: a step of an ease
#: word costs this (W).
STEP_OF_EASE = 0.08
#: The ease meant where a piece does not say.
MEANT = "skimming"


@dataclass(frozen=True, slots=True)
class Offer:
    """A product and its sizes by label."""

    key: str
    sizes: Mapping[str, Piece]


@dataclass(frozen=True, slots=True)
class Choice:
    """A product, its best size and what that does on the body."""

    key: str
    size: str
    landed: Landed
    cost: float


def choose(
    body: Body,
    offers: Iterable[Offer],
    shoes: WornShoes = BAREFOOT,
    schools: Schools | None = None,
    *,
    seated: bool = False,
    heels: bool = True,
) -> tuple[Choice, ...]:
    """The best size of each product, the best product first.

    >>> from craft.body import Measures
    >>> body = Body.of(Measures.of({"stature": 165, "crotch_height": 76, "narrow_ankle_height": 10.5}))
    >>> sizes = {"short": Piece.of({"is": "jeans", "inseam_cm": 65}), "long": Piece.of({"is": "jeans", "inseam_cm": 80})}
    >>> choose(body, [Offer("jeans", sizes)])[0].size
    'short'
    """
    best = []
    for offer in offers:
        tried = [
            (land(body, piece, shoes, schools, seated=seated, heels=heels), size) for size, piece in offer.sizes.items()
        ]
        ranked = [Choice(offer.key, size, landed, _cost(landed)) for landed, size in tried]
        if ranked:
            best.append(min(ranked, key=lambda choice: choice.cost))
    return tuple(sorted(best, key=lambda choice: choice.cost))


def _cost(landed: Landed) -> float:
    said = landed.piece.word("fit") or MEANT
    meant = next(at for at, word in enumerate(WORDS) if word == said)
    off = [abs(WORDS.index(ease.word) - meant) for ease in landed.eases if ease.zone != "band"]
    return sum(map(_of_check, landed.checks)) + STEP_OF_EASE * sum(off)


def _of_check(check: Check) -> float:
    mend = min((MENDED[change.cost] for change in check.alterations), default=1.0)
    return COST[check.stance] * mend
