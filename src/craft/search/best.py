"""The best of all looks, how many there are and work, and in how many each piece stands."""

from __future__ import annotations

from collections import Counter
from dataclasses import dataclass, field
from typing import Any

import numpy as np
from numpy.typing import NDArray

from craft.search.tables import IMPOSSIBLE, Packed, order_of, parts, works
from craft.search.wardrobe import Family
from craft.search.wish import Mask, Wish
from craft.search.worn import AXES

At = tuple[int, ...]
#: Below every rank: a look that is not to be.
NEVER = np.iinfo(np.int64).min


@dataclass(frozen=True)
class Place:
    """A look in a search: its rank (the greater the better), its family and its numbers there."""

    rank: int
    family: int
    at: At

    @property
    def order(self) -> tuple[int, int, At]:
        """What looks are sorted by: the best first, ties by family and numbers."""
        return -self.rank, self.family, self.at


@dataclass
class Counts:
    """How many looks there are and how many work, in all and by the key of each piece."""

    looks: int = 0
    works: int = 0
    looks_of: Counter[str] = field(default_factory=Counter)
    works_of: Counter[str] = field(default_factory=Counter)


def of_part(mask: NDArray[Any], part: tuple[slice, ...]) -> NDArray[Any]:
    """The part of a mask that belongs to a part of the sums."""
    return mask[tuple(cut if size > 1 else slice(None) for cut, size in zip(part, mask.shape, strict=True))]


def barred_in(sums: Packed, part: tuple[slice, ...], barred: list[Mask]) -> Packed:
    """A part of the sums, in which what is not to be cannot be reached."""
    numbers = sums[part]
    if not barred:
        return numbers
    numbers = numbers.copy()
    for mask in barred:
        numbers[np.broadcast_to(of_part(mask, part), numbers.shape)] = IMPOSSIBLE
    return numbers


def count(family: Family, sums: Packed, wish: Wish) -> Counts:
    """Count the looks of a family, and those that work."""
    barred = wish.barred(family)
    looks = [np.zeros(size, dtype=np.int64) for size in sums.shape]
    good = [np.zeros(size, dtype=np.int64) for size in sums.shape]
    for part in parts(sums.shape):
        numbers = barred_in(sums, part, barred)
        for found, mask in ((looks, numbers < IMPOSSIBLE // 2), (good, works(numbers))):
            for axis, line in enumerate(along_axes(mask)):
                found[axis][part[axis]] += line
    counts = Counts(int(looks[0].sum()), int(good[0].sum()))
    for axis, name in enumerate(AXES):
        for number, ways in enumerate(family.at(name)):
            for key in {way.key for way in ways}:
                counts.looks_of[key] += int(looks[axis][number])
                counts.works_of[key] += int(good[axis][number])
    return counts


def along_axes(mask: Mask) -> list[NDArray[np.int64]]:
    """How many are so for each choice on each axis; sums of sums, so that most is looked at once."""
    # The bases first: what is left of shoes, layers and besides is small.
    base: Any = np.count_nonzero(mask, axis=(3, 4, 5)).astype(np.int64)
    # What is counted along shoes, layer and besides is taken together.
    rest: Any = mask.sum(axis=(0, 1, 2), dtype=np.int64)
    lines = [base.sum(axis=tuple(other for other in range(3) if other != axis)) for axis in range(3)]
    return lines + [rest.sum(axis=tuple(other for other in range(3) if other != axis)) for axis in range(3)]


def best(families: list[tuple[Family, Packed]], wish: Wish, top: int) -> list[Place]:
    """The best looks of all, in a stable order: by verdict, then score, then family and numbers."""
    found: list[Place] = []
    for number, (family, sums) in enumerate(families):
        barred = wish.barred(family)
        for part in parts(sums.shape):
            least = found[top - 1].rank if len(found) >= top else NEVER
            found = _merged(found, _of_part(number, barred_in(sums, part, barred), part, top, least), top)
    return found


def _merged(found: list[Place], more: list[Place], top: int) -> list[Place]:
    return sorted([*found, *more], key=lambda place: place.order)[:top]


def _of_part(family: int, numbers: Packed, part: tuple[slice, ...], top: int, least: int) -> list[Place]:
    if numbers.size == 0:
        return []
    good = numbers.ravel()[works(numbers).ravel()]
    if good.size >= top:
        # Enough looks work: only those can be among the best, and their numbers are their balance.
        border = int(np.partition(good, good.size - top)[good.size - top])
        at = np.flatnonzero((numbers >= border).ravel() & works(numbers).ravel())
        ranks = order_of(numbers.ravel()[at])
    else:
        every = order_of(numbers.ravel())
        at = np.flatnonzero(every > NEVER)
        ranks = every[at]
    kept = np.lexsort((at, -ranks))[:top]
    starts = [cut.start or 0 for cut in part]
    places = []
    for one in kept.tolist():
        rank = int(ranks[one])
        if rank >= least:
            inner = np.unravel_index(int(at[one]), numbers.shape)
            places.append(Place(rank, family, tuple(int(i) + start for i, start in zip(inner, starts, strict=True))))
    return places


def best_of_bases(family: Family, sums: Packed, wish: Wish, number: int) -> list[Place]:
    """The best look of every base of a family; a base is its pieces, in whichever way they are worn."""
    barred = wish.barred(family)
    found: dict[tuple[str, ...], Place] = {}
    keys = [[tuple(way.key for way in ways) for ways in family.at(axis)] for axis in AXES[:3]]
    for part in parts(sums.shape):
        numbers = barred_in(sums, part, barred)
        flat = numbers.reshape(*numbers.shape[:3], -1)
        ok = works(flat)
        at = np.nonzero(ok.any(axis=-1))
        # Where nothing decides a number is the balance: the greatest that works is the best.
        leading = np.where(ok[at], flat[at], np.iinfo(np.int32).min)
        which = leading.argmax(axis=-1)
        ranks = order_of(leading[np.arange(len(which)), which])
        starts = [cut.start or 0 for cut in part[:3]]
        base = [line + start for line, start in zip(at, starts, strict=True)]
        for rank, *full in zip(
            *(line.tolist() for line in (ranks, *base, *np.unravel_index(which, numbers.shape[3:]))), strict=True
        ):
            place = Place(rank, number, tuple(full))
            key = tuple(one for of, n in zip(keys, full[:3], strict=True) for one in of[n])
            if key not in found or place.order < found[key].order:
                found[key] = place
    return sorted(found.values(), key=lambda place: place.order)
