"""Two, three or five things to buy together: what they are worth depends on each other.

A look may hold several new pieces at once, so the best five are not the five best. All looks of the wardrobe with a short list of
candidates are judged once, what they are worth is added up by the candidates that they hold, and every set of the list is
weighed: exact among the list.
"""

from __future__ import annotations

from collections.abc import Iterable, Iterator, Mapping, Sequence
from dataclasses import dataclass
from itertools import combinations, product

import numpy as np
from numpy.typing import NDArray

from craft.edit.candidates import Candidate
from craft.edit.counting import BREADTH
from craft.edit.gaps import ENOUGH, MAKES, Gaps, newness, outfits, same_accent
from craft.search.crew import Asked, Progress
from craft.search.tables import Packed
from craft.search.variety import alike
from craft.search.wardrobe import Family, Wardrobe, families_of
from craft.search.ways import Owned
from craft.search.week import Day, by_day
from craft.search.wish import Wish
from craft.search.worn import AXES

#: So many of each place, of different kinds first, are on the short list; so many in all.
EACH, LISTED = 6, 20
#: Two candidates this much alike are bought one for the other and not together (variety.py).
INSTEAD = 0.75


@dataclass(frozen=True, slots=True)
class Several:
    """Things to buy together: the outfits that they make possible, by kind of day, and what that is worth."""

    keys: tuple[str, ...]
    looks: tuple[int, ...]
    value: float


@dataclass(frozen=True)
class Together:
    """The best sets of each size; of how many sets; and the most that anything left off the list would bring by itself."""

    best: Mapping[int, Several]
    listed: tuple[str, ...]
    weighed: int
    left_off: float


def short_list(gaps: Gaps, listed: int = LISTED) -> tuple[Candidate, ...]:
    """The candidates that do most by themselves: of each place a few, of different kinds first. Small things stand apart: they
    mend looks and make none."""
    found: list[Candidate] = []
    of_place: dict[str, int] = {}
    led = [gain for gain in gaps.leading(len(gaps.gains)) if not gain.candidate.is_small]
    rest = [gain for gain in gaps.gains if gain not in led and not gain.candidate.is_small and any(gain.looks)]
    for gain in (*led, *rest):
        one = gain.candidate
        twins = any(other.place == one.place and alike(one.piece, other.piece) >= INSTEAD for other in found)
        if of_place.get(one.place, 0) < EACH and not twins and len(found) < listed:
            of_place[one.place] = of_place.get(one.place, 0) + 1
            found.append(one)
    return tuple(found)


def together(
    asked: Asked,
    owned: Sequence[Owned],
    gaps: Gaps,
    sizes: Iterable[int] = (2, 3, 5),
    *,
    prices: Mapping[str, int] | None = None,
    budget: int | None = None,
    wish: Wish | None = None,
    progress: Progress | None = None,
) -> Together:
    """The best sets of some sizes, none dearer than the budget where there is one."""
    listed, days = short_list(gaps), gaps.days
    plain = [one for one in owned if one.piece.slot != "extra"]
    made = _made(asked, plain, listed, days, wish or Wish(), progress)
    best: dict[int, Several] = {}
    weighed = 0
    for size in sizes:
        sets = [one for one in combinations(range(len(listed)), size) if _may(one, listed, prices, budget)]
        weighed += len(sets)
        if sets:
            best[size] = _best(sets, made, listed, owned, gaps)
    chosen = {one.key for one in listed}
    left = max((g.value for g in gaps.gains if g.candidate.key not in chosen and not g.candidate.is_small), default=0.0)
    return Together(best, tuple(one.key for one in listed), weighed, left)


#: By the numbers of the candidates that looks hold: how many, and what they are worth, by kind of day.
Made = dict[frozenset[int], tuple[NDArray[np.float64], NDArray[np.float64]]]


def _may(one: Sequence[int], listed: Sequence[Candidate], prices: Mapping[str, int] | None, budget: int | None) -> bool:
    """Whether a set stays within the budget, and says no accent twice."""
    if any(same_accent(listed[a], listed[b]) for a, b in combinations(one, 2)):
        return False
    if budget is None or prices is None:
        return True
    return sum(prices[listed[at].key] for at in one) <= budget


def _made(
    asked: Asked,
    owned: list[Owned],
    listed: Sequence[Candidate],
    days: tuple[Day, ...],
    wish: Wish,
    progress: Progress | None,
) -> Made:
    numbers = {one.key: at for at, one in enumerate(listed)}
    families = tuple(families_of(asked.body, [*owned, *(one.owned for one in listed)], asked.schools, BREADTH))
    made: Made = {}
    for day, search in enumerate(by_day(asked, Wardrobe(families, BREADTH), days, progress)):
        for family, sums in search.families:
            for held, many, much in _by_candidates(family, sums, wish, numbers):
                if held and many:
                    looks, worth = made.setdefault(held, (np.zeros(len(days)), np.zeros(len(days))))
                    looks[day] += many
                    worth[day] += much
    return made


def _by_candidates(
    family: Family, sums: Packed, wish: Wish, numbers: Mapping[str, int]
) -> Iterator[tuple[frozenset[int], int, float]]:
    """What the outfits of a family are worth, added up by the candidates that they hold."""
    worth, keys = outfits(family, sums, wish)
    many = (worth > 0).astype(np.int64)
    groups: list[list[frozenset[int]]] = []
    for axis in range(len(AXES)):
        held = [frozenset(numbers[key] for key in on if key in numbers) for on in keys[axis]]
        starts = [at for at, one in enumerate(held) if at == 0 or one != held[at - 1]]
        worth = np.add.reduceat(worth, starts, axis=axis, dtype=np.float64)
        many = np.add.reduceat(many, starts, axis=axis)
        groups.append([held[at] for at in starts])
    for at in product(*(range(len(group)) for group in groups)):
        yield (
            frozenset().union(*(group[number] for group, number in zip(groups, at, strict=True))),
            int(many[at]),
            float(worth[at]),
        )


def _best(
    sets: Sequence[Sequence[int]], made: Made, listed: Sequence[Candidate], owned: Sequence[Owned], gaps: Gaps
) -> Several:
    """The best of some sets: each is worth what it makes possible, as a single candidate is (gaps.py)."""
    weight = [newness(one, owned) * MAKES[one.place] for one in listed]
    masks = np.array([sum(1 << at for at in one) for one in sets])
    worth, looks = np.zeros((len(sets), len(gaps.days))), np.zeros((len(sets), len(gaps.days)))
    for held, (many, much) in made.items():
        mask = sum(1 << at for at in held)
        there = (masks & mask) == mask
        worth[there] += max(weight[at] for at in held) * much
        looks[there] += many
    has = np.array(gaps.there)
    shares = np.array([day.share for day in gaps.days])
    value = (np.log((has + worth + ENOUGH) / (has + ENOUGH)) * shares).sum(axis=1) / (shares.sum() or 1.0)
    at = int(value.argmax())
    keys = tuple(listed[number].key for number in sets[at])
    return Several(keys, tuple(int(one) for one in looks[at]), float(value[at]))
