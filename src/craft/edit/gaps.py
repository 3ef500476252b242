"""The one piece that unlocks most: each candidate really added, its looks judged, and what they are worth to the week.

What counts is an outfit that works and holds the candidate: a set of pieces, in the way in which it is worn best. A thing worn
besides goes with everything that works already; of it only those count that do not work without it. An outfit is worth its score; what a candidate is worth on a kind of day is by how
much it raises the logarithm of what there is, so that a day with few looks weighs more than one that has plenty, and a
candidate like something that hangs there is worth less.
"""

from __future__ import annotations

import math
from collections.abc import Iterable, Mapping, Sequence
from dataclasses import dataclass, field
from typing import Any

import numpy as np
from numpy.typing import NDArray

from craft.cloth.colour import TONE, difference
from craft.cloth.piece import colour_of
from craft.edit.candidates import Candidate
from craft.edit.neutral import is_neutral
from craft.search.best import barred_in
from craft.search.crew import Asked, Progress
from craft.search.search import FoundLook, Search
from craft.search.tables import Packed, scores, works
from craft.search.variety import alike
from craft.search.wardrobe import Breadth, Family, Wardrobe, families_adding, families_of
from craft.search.ways import Owned
from craft.search.week import Day, by_day, on_a
from craft.search.wish import Wish
from craft.search.worn import AXES

#: How broadly is searched, from most to least; so many looks at most (about 1.5 million a second).
BREADTHS = (Breadth(1, 1), Breadth(1, 1, every_way=False))
MOST = 12_000_000
#: As many looks as are enough for a kind of day: what there is counts from there on (W: a fortnight).
ENOUGH = 14.0
#: How much less a candidate is worth that is all but the twin of something there (W).
TWIN = 0.6
#: How much of a new look a piece of each place makes (W): a base makes one, a shoe or a layer varies those there are, and what
#: a small thing mends was none before.
MAKES = {"bottom": 1.0, "one_piece": 1.0, "top": 1.0, "layer": 0.7, "shoes": 0.6, "extra": 0.9}
#: What falls short by no more than this share does nearly as much (W).
NEARLY = 0.1
#: So many looks of a candidate are shown.
SHOWN = 3


#: A family of looks and its sums.
Summed = tuple[Family, Packed]


@dataclass(frozen=True)
class _Arm:
    """Looks with one candidate each, worn on one axis; those without any may be judged along with them, ahead on that axis."""

    axis: str
    new: Family | None
    there: Family | None = None

    @property
    def whole(self) -> Family:
        """Both in one, for the rules to be asked once."""
        if self.new is None or self.there is None:
            return self.new or self.there or Family("", {})
        both = self.there.at(self.axis) + self.new.at(self.axis)
        return Family(self.new.name, {**self.new.chosen, self.axis: both})

    def parted(self, sums: Packed) -> tuple[Summed | None, Summed | None]:
        """The sums of the looks with a candidate, and of those without."""
        if self.new is None or self.there is None:
            held = (self.whole, sums)
            return (held, None) if self.new is not None else (None, held)
        own, number = len(self.there.at(self.axis)), AXES.index(self.axis)
        ahead = (slice(None),) * number
        return (self.new, sums[(*ahead, slice(own, None))]), (self.there, sums[(*ahead, slice(own))])


@dataclass(frozen=True)
class Gain:
    """What a candidate would bring: looks that work only with it, by kind of day, and what they are worth to the week."""

    candidate: Candidate
    looks: tuple[int, ...]
    worth: tuple[float, ...]
    #: How unlike it is to all that hangs there, 0 (a twin) to 1.
    newness: float
    #: What candidates are ranked by.
    value: float

    @property
    def order(self) -> tuple[float, bool, str]:
        """The greatest value first; of equals the cheap one."""
        return -self.value, not self.candidate.is_small, self.candidate.key


@dataclass(frozen=True)
class Gaps:
    """Every candidate by what it would bring, the best first; and what the wardrobe has without any."""

    gains: tuple[Gain, ...]
    days: tuple[Day, ...]
    #: What looks there are worth, by kind of day, as broadly as was searched here.
    there: tuple[float, ...]
    looks: tuple[int, ...]
    tried: int
    left_out: tuple[str, ...] = ()
    _found: Mapping[str, list[tuple[Family, Packed]]] = field(default_factory=dict, repr=False)
    _asked: Asked | None = field(default=None, repr=False)

    def leading(self, many: int) -> tuple[Gain, ...]:
        """The best of different kinds of piece, one gain a kind; where another colour would do nearly as much, not all in one
        accent. What else of a kind would do stands in `instead`."""
        best: dict[str, Gain] = {}
        for gain in self.gains:
            if any(gain.looks):
                best.setdefault(gain.candidate.piece.kind, gain)
        chosen: list[Gain] = []
        for gain in list(best.values())[:many]:
            others = (one for one in (gain, *self.instead(gain)) if not _repeats(one, chosen))
            chosen.append(next(others, gain))
        return tuple(chosen)

    def instead(self, gain: Gain) -> tuple[Gain, ...]:
        """Others of the same kind that would do nearly as much: never the one exact thing."""
        least = gain.value * (1 - NEARLY)
        return tuple(
            one
            for one in self.gains
            if one is not gain and one.candidate.piece.kind == gain.candidate.piece.kind and one.value >= least
        )

    def shown(self, gain: Gain, wish: Wish | None = None, many: int = SHOWN) -> list[FoundLook]:
        """A few different looks that a candidate would make, judged for the kind of day that it serves most."""
        if self._asked is None:
            return []
        best = max(range(len(self.days)), key=lambda day: (gain.worth[day], -day))
        asked = on_a(self.days[best], self._asked)
        part = []
        for family, sums in self._found.get(gain.candidate.place, []):
            found = Search(asked, Wardrobe((), Breadth()), sums=[(family, sums)])
            part += [one for one, _ in found.with_all([gain.candidate.key]).families]
        # Two bases over each other are seldom what one shows first.
        part = [one for one in part if one.name != "dress_over_legs"] or part
        again = Search(asked, Wardrobe(tuple(part), Breadth()))
        return again.few(many, wish, frozenset({gain.candidate.key}))


def gaps(
    asked: Asked,
    owned: Sequence[Owned],
    candidates: Sequence[Candidate],
    days: tuple[Day, ...],
    wish: Wish | None = None,
    progress: Progress | None = None,
    most: int = MOST,
) -> Gaps:
    """Rank what might be bought. `owned` are the pieces that fit and are at hand (`wearable`); what is worn besides of them
    is left off, so that a new one is held against none.

    >>> from craft.body import Body, Measures
    >>> from craft.cloth import Piece
    >>> from craft.edit.candidates import candidates
    >>> from craft.judge.aims import Setting
    >>> owned = [Owned(kind, Piece.of({"is": kind})) for kind in ("tee", "knit", "blouse", "loafers")]
    >>> body = Body.of(Measures.of({"stature": 165}))
    >>> gaps(Asked(body), owned, candidates(), (Day(Setting()),)).gains[0].candidate.place
    'bottom'
    """
    wish = wish or Wish()
    plain = [one for one in owned if one.piece.slot != "extra"]
    breadth, listed, left_out = _families(asked, plain, candidates, most)
    base = list(families_of(asked.body, plain, asked.schools, breadth))
    arms = _arms(listed, base)
    wardrobe = Wardrobe(tuple(arm.whole for arm in arms), breadth)
    there: list[tuple[int, float]] = []
    looks: dict[str, list[int]] = {one.key: [0] * len(days) for one in candidates}
    worth: dict[str, list[float]] = {one.key: [0.0] * len(days) for one in candidates}
    found: dict[str, list[tuple[Family, Packed]]] = {}
    for number, search in enumerate(by_day(asked, wardrobe, days, progress)):
        parted = [arm.parted(sums) for arm, (_, sums) in zip(arms, search.families, strict=True)]
        there.append(_worth((part for _, part in parted if part is not None), wish))
        for arm, (new, _) in zip(arms, parted, strict=True):
            if new is None:
                continue
            many, much = along_one(*new, wish, arm.axis, besides=arm.axis == "besides")
            for key in many:
                looks[key][number] += many[key]
                worth[key][number] += much[key]
            if number == 0:
                found.setdefault("extra" if arm.axis == "besides" else arm.axis, []).append(new)
    has = tuple(value for _, value in there)
    gains = []
    for one in candidates:
        unlike = newness(one, owned)
        value = raised(has, [unlike * MAKES[one.place] * much for much in worth[one.key]], days)
        gains.append(Gain(one, tuple(looks[one.key]), tuple(worth[one.key]), unlike, value))
    gains.sort(key=lambda gain: gain.order)
    return Gaps(tuple(gains), days, has, tuple(many for many, _ in there), wardrobe.size, left_out, found, asked)


def same_accent(one: Candidate, other: Candidate) -> bool:
    """Whether two candidates are of one accent: one of them is enough of it."""
    colours = [colour_of(candidate.piece) for candidate in (one, other)]
    return not is_neutral(colours[0]) and difference(*colours) <= TONE


def _repeats(gain: Gain, chosen: Sequence[Gain]) -> bool:
    return any(same_accent(gain.candidate, one.candidate) for one in chosen)


def raised(there: Sequence[float], more: Sequence[float], days: Sequence[Day]) -> float:
    """By how much the week gains: each kind of day by its share, what it has already counting against what comes.

    >>> from craft.judge.aims import Setting
    >>> days = (Day(Setting(), 50), Day(Setting("dinner"), 50))
    >>> raised([100, 0], [0, 10], days) > raised([100, 0], [10, 0], days)
    True
    """
    shares = sum(day.share for day in days) or 1.0
    return sum(
        day.share / shares * math.log((has + gain + ENOUGH) / (has + ENOUGH))
        for day, has, gain in zip(days, there, more, strict=True)
    )


def newness(candidate: Candidate, owned: Sequence[Owned]) -> float:
    """How unlike a candidate is to the pieces of its place: 1 where there is nothing like it."""
    like = (alike(candidate.piece, one.piece) for one in owned if one.piece.slot == candidate.place)
    return 1.0 - TWIN * max(like, default=0.0)


def _families(
    asked: Asked, owned: list[Owned], candidates: Sequence[Candidate], most: int
) -> tuple[Breadth, list[tuple[str, Family]], tuple[str, ...]]:
    """The families of looks with one candidate each, as broadly as goes into so many."""
    added = [one.owned for one in candidates]
    for breadth in BREADTHS:
        listed = list(families_adding(asked.body, owned, added, asked.schools, breadth))
        if sum(family.size for _, family in listed) <= most:
            return breadth, listed, ()
    said = ["each piece was tried as it hangs, tops tucked and untucked"]
    listed = [(axis, _bare(family) if axis == "besides" else family) for axis, family in listed]
    said.append("things worn besides were tried without a layer over them")
    if sum(family.size for _, family in listed) > most:
        listed = [(axis, family if axis == "layer" else _bare(family)) for axis, family in listed]
        said.append("other things were tried without a layer too")
    return breadth, listed, tuple(said)


def _arms(listed: Sequence[tuple[str, Family]], base: Sequence[Family]) -> list[_Arm]:
    """What is to be judged: each family without candidates along with the first that differs from it on one axis only."""
    left = {family.name: family for family in base}
    arms = []
    for axis, family in listed:
        own = left.get(family.name)
        alike = own is not None and all(own.at(other) == family.at(other) for other in AXES if other != axis)
        arms.append(_Arm(axis, family, left.pop(family.name) if alike and axis != "besides" else None))
    return [*arms, *(_Arm("", None, family) for family in left.values())]


def _bare(family: Family) -> Family:
    return Family(family.name, {**family.chosen, "layer": ((),)})


def _worth(families: Iterable[tuple[Family, Packed]], wish: Wish) -> tuple[int, float]:
    """How many outfits work, and what they are worth."""
    many, much = 0, 0.0
    for family, sums in families:
        worth, _ = outfits(family, sums, wish)
        many, much = many + int(np.count_nonzero(worth)), much + float(worth.sum())
    return many, much


def along_one(
    family: Family, sums: Packed, wish: Wish, axis: str, *, besides: bool = False
) -> tuple[dict[str, int], dict[str, float]]:
    """How many outfits work with each piece on an axis, and what they are worth; with `besides`, only those that do not work
    with the first choice there, which is none."""
    worth, keys = outfits(family, sums, wish)
    if besides:
        worth = np.where(worth[..., :1] > 0, np.float32(0), worth)
    number = AXES.index(axis)
    others = tuple(other for other in range(len(AXES)) if other != number)
    many = np.count_nonzero(worth, axis=others).tolist()
    much = worth.sum(axis=others, dtype=np.float64).tolist()
    found: tuple[dict[str, int], dict[str, float]] = {}, {}
    for on, counted, summed in zip(keys[number], many, much, strict=True):
        for key in on:
            found[0][key] = found[0].get(key, 0) + counted
            found[1][key] = found[1].get(key, 0.0) + summed
    return found


def outfits(family: Family, sums: Packed, wish: Wish) -> tuple[NDArray[np.float32], list[list[tuple[str, ...]]]]:
    """What each outfit of a family is worth, nought where it does not work, over the pieces of each axis: an outfit is its
    pieces, in the way in which they are worn best. And the keys of the pieces, axis by axis."""
    every = tuple(slice(None) for _ in AXES)
    numbers = barred_in(sums, every, wish.barred(family))
    worth: Any = np.where(works(numbers), scores(numbers), np.float32(0))
    keys: list[list[tuple[str, ...]]] = []
    for number, axis in enumerate(AXES):
        named = [tuple(dict.fromkeys(way.key for way in ways)) for ways in family.at(axis)]
        starts = [at for at, key in enumerate(named) if at == 0 or key != named[at - 1]]
        if len(starts) < len(named):
            worth = np.maximum.reduceat(worth, starts, axis=number)
        keys.append([named[at] for at in starts])
    return worth, keys
