"""What a thing to buy would cost, a wear too, and the verdict on one at the try-on: buy, alter and buy, or leave."""

from __future__ import annotations

from collections.abc import Iterable, Mapping, Sequence
from dataclasses import dataclass
from statistics import median
from typing import Literal

from craft.advise.buying import not_bought
from craft.cloth import Piece
from craft.edit.altering import said_of, saved_by
from craft.edit.candidates import Candidate
from craft.edit.counting import BREADTH
from craft.edit.gaps import TWIN, along_one, newness
from craft.fit import land
from craft.search.crew import Asked
from craft.search.wardrobe import Breadth, Wardrobe, families_adding
from craft.search.ways import Owned, misfit
from craft.search.week import Day, by_day
from craft.search.wish import Wish
from craft.units import Sentence

#: What a piece of each place takes of a budget, against the others (W: a coat or blazer three tops, shoes two).
TAKES = {"bottom": 1.6, "one_piece": 2.0, "top": 1.0, "layer": 3.0, "shoes": 2.2, "extra": 0.5}
WEEKS = 52
#: A thing for a season is worn in so much of the year; a piece in fewer looks than this with what hangs there is none to buy (W).
A_SEASON, FEW = 0.35, 4
#: A piece this much like one that hangs there is its like (variety.py: 1 is the same but for how it is worn; W).
LIKE_IT = 0.9
Verdict = Literal["buy", "alter", "leave"]


def price_of(slot: str, paid: Mapping[str, Sequence[int]], budget: int | None, many: int) -> int | None:
    """What to reckon with for a piece of a place: what this client pays there, else its part of the budget for so many pieces;
    None where neither is known.

    >>> price_of("top", {"top": [40, 60, 90]}, None, 3), price_of("layer", {}, 600, 3), price_of("top", {}, None, 3)
    (60, 350, None)
    """
    if paid.get(slot):
        return round(median(paid[slot]))
    if budget is None:
        return None
    usual = sum(TAKES.values()) / len(TAKES)
    return round(budget * TAKES.get(slot, 1.0) / (usual * many))


def wears_a_year(candidate: Candidate, share: float, others: int) -> float:
    """How often a piece is worn in a year, by turns with the others of its place that stand in good looks: `share` is how much of
    the week it has looks for, 0 to 1.

    >>> from craft.cloth import Piece
    >>> round(wears_a_year(Candidate("a", Piece.of({"is": "trousers", "colour": "navy"})), 1.0, 6))
    52
    """
    of_year = 1.0 if candidate.lasts else A_SEASON
    return 7 * WEEKS * share * of_year / (others + 1)


@dataclass(frozen=True, slots=True)
class Bought:
    """The verdict on a thing at the try-on: what speaks for and against it, the outfits it makes with what hangs there by kind of
    day, and the alteration that it needs."""

    verdict: Verdict
    reasons: tuple[Sentence, ...]
    looks: tuple[int, ...]
    change: tuple[str, float] | None = None


def buy_or_leave(
    asked: Asked, piece: Piece, owned: Iterable[Owned], days: tuple[Day, ...], wish: Wish | None = None
) -> Bought:
    """Whether to buy a piece: it fits or can be made to fit, makes outfits with what is there, is not the twin of something there,
    and asks for no tape, posture or slim day. `owned` are the pieces that fit and are at hand.

    >>> from craft.body import Body, Measures
    >>> from craft.judge.aims import Setting
    >>> asked = Asked(Body.of(Measures.of({"stature": 165})))
    >>> owned = [Owned(kind, Piece.of({"is": kind})) for kind in ("trousers", "jeans", "flats", "loafers", "blazer")]
    >>> buy_or_leave(asked, Piece.of({"is": "shirt"}), owned, (Day(Setting()),)).verdict
    'buy'
    """
    owned, against, change = list(owned), [], None
    wrong = misfit(asked.body, piece, schools=asked.schools)
    if wrong is not None:
        saved = saved_by(asked, piece)
        if saved is None:
            return Bought("leave", (Sentence(f"{wrong.title}, and no tailor makes that good."),), (0,) * len(days))
        change, piece = saved
    against += list(not_bought(land(asked.body, piece, schools=asked.schools)))
    looks = _looks(asked, piece, owned, days, wish or Wish())
    if max(looks, default=0) < FEW:
        against.append(Sentence(f"It makes {max(looks, default=0)} outfits with what hangs there."))
    if newness(Candidate("new", piece), owned) <= 1 - TWIN * LIKE_IT:
        against.append(Sentence("There is its like on the rack already."))
    makes = Sentence(f"It makes {max(looks, default=0):,} outfits with what hangs there.")
    if against:
        return Bought("leave", tuple(against), looks, change)
    if change is not None:
        return Bought("alter", (said_of(change), makes), looks, change)
    return Bought("buy", (makes,), looks)


def _looks(asked: Asked, piece: Piece, owned: list[Owned], days: tuple[Day, ...], wish: Wish) -> tuple[int, ...]:
    """How many outfits a piece makes with what is there, on each kind of day."""
    plain = [one for one in owned if one.piece.slot != "extra"]
    listed = list(families_adding(asked.body, plain, [Owned("new", piece)], asked.schools, _breadth(piece)))
    wardrobe = Wardrobe(tuple(family for _, family in listed), BREADTH)
    found = []
    for search in by_day(asked, wardrobe, days):
        counted = [
            along_one(family, sums, wish, axis)[0].get("new", 0)
            for (axis, _), (family, sums) in zip(listed, search.families, strict=True)
        ]
        found.append(sum(counted))
    return tuple(found) if listed else (0,) * len(days)


def _breadth(piece: Piece) -> Breadth:
    return Breadth(1, 1, every_way=False) if piece.slot == "extra" else BREADTH
