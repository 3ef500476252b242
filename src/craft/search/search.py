"""Every look that a wardrobe can make, judged: the best of them, how many work, and how many with each piece."""

from __future__ import annotations

from collections import Counter
from collections.abc import Iterable, Sequence
from dataclasses import dataclass, replace
from typing import Any

import numpy as np

from craft.judge import Judgement, Rule, judge
from craft.judge.judgement import Verdict
from craft.look import Look, compose
from craft.search.best import Counts, Place, best, best_of_bases, count
from craft.search.crew import Asked, Progress, ask_all
from craft.search.tables import Packed, index_of, score_of_rank, verdict_of_rank
from craft.search.variety import different
from craft.search.wardrobe import Chosen, Family, Wardrobe
from craft.search.ways import Way
from craft.search.wish import Wish
from craft.search.worn import AXES, in_order

#: Of so many bases the best look is weighed against the likeness of the rest (variety.py).
CANDIDATES = 1500
#: Where there are few bases, so many times the looks that are wanted are weighed.
FEW = 12


@dataclass(frozen=True)
class FoundLook:
    """A look that was found: the ways its pieces are worn, its score and verdict."""

    ways: tuple[Way, ...]
    score: float
    verdict: Verdict

    @property
    def look(self) -> Look:
        """Its pieces from the body outwards."""
        return in_order(way.piece for way in self.ways)

    @property
    def keys(self) -> tuple[str, ...]:
        """The keys of its pieces."""
        return tuple(way.key for way in self.ways)

    @property
    def worn(self) -> dict[str, dict[str, Any]]:
        """How pieces are worn, where that is not as they hang."""
        return {way.key: dict(way.worn) for way in self.ways if way.worn}

    def judged(self, asked: Asked) -> Judgement:
        """Its judgement, with all reasons."""
        return judge(compose(asked.body, self.look, asked.schools), asked.aims_for(self.keys))


class Search:
    """A wardrobe judged for a client: the sums of the rules over every look of every family.

    >>> from craft.body import Body, Measures
    >>> from craft.cloth import Piece
    >>> from craft.search.wardrobe import owned_of, wardrobe_of
    >>> body = Body.of(Measures.of({"stature": 165}))
    >>> owned = owned_of((kind, Piece.of({"is": kind})) for kind in ("jeans", "tee", "loafers"))
    >>> search = Search(Asked(body), wardrobe_of(body, owned))
    >>> search.counts().looks, search.best(1)[0].keys
    (6, ('jeans', 'tee', 'loafers'))
    """

    def __init__(
        self,
        asked: Asked,
        wardrobe: Wardrobe,
        progress: Progress | None = None,
        before: Search | None = None,
        sums: list[tuple[Family, Packed]] | None = None,
    ) -> None:
        """`before` is an earlier search for the same client: what hangs as it hung is not asked anew, nor what rules say
        that the house followed and follows. `sums` are what the rules came to where that is known."""
        self.asked, self.wardrobe = asked, wardrobe
        self.families: list[tuple[Family, Packed]]
        if sums is not None:
            self.families = sums
            return
        racks = [family.rack for family in wardrobe.families]
        if before is not None and before.wardrobe.families == wardrobe.families and _but_for_rules(before.asked, asked):
            self.families = [(family, sums.copy()) for family, sums in before.families]
            was, now = before.asked.schools.muted, asked.schools.muted
            self._add([rule for rule in asked.rules if rule.id in now - was], -1, before.asked)
            self._add([rule for rule in asked.rules if rule.id in was - now], 1, asked)
        elif before is not None and before.asked == asked and not asked.liked:
            self.families = [(family, renewed(family, asked, before.families)) for family in wardrobe.families]
        else:
            self.families = list(zip(wardrobe.families, ask_all(racks, asked, asked.rules, progress), strict=True))
        self.outrank_liked()

    def outrank_liked(self) -> None:
        """What somebody likes in spite of a rule outranks it, where all of the pieces are on."""
        for keys, rule in self.asked.liked:
            self._outrank(keys, rule)

    def with_all(self, keys: Iterable[str]) -> Search:
        """The part of the search in which all of these pieces are on."""
        listed = list(keys)
        sums = [
            (family.part(at), numbers[_index(at)])
            for family, numbers in self.families
            for at in family.with_all(listed)
        ]
        return Search(self.asked, self.wardrobe, sums=sums)

    def counts(self, wish: Wish | None = None) -> Counts:
        """How many looks there are and how many work, in all and with each piece."""
        whole = Counts()
        for family, sums in self.families:
            one = count(family, sums, wish or Wish())
            whole.looks += one.looks
            whole.works += one.works
            whole.looks_of.update(one.looks_of)
            whole.works_of.update(one.works_of)
        return whole

    def best(self, top: int, wish: Wish | None = None) -> list[FoundLook]:
        """The best looks: by verdict, then score; ties in the order of the wardrobe."""
        return [self.found(place) for place in best(self.families, wish or Wish(), top)]

    def varied(self, many: int, dial: float, wish: Wish | None = None) -> list[FoundLook]:
        """Different looks: the best of each base, weighed against their likeness; the best looks where too few bases work."""
        wish = wish or Wish()
        places: list[Place] = []
        for number, (family, sums) in enumerate(self.families):
            places += best_of_bases(family, sums, wish, number)
        if len(places) < many:
            # Few bases: what differs is what is worn over, under and beside them.
            places += [place for place in best(self.families, wish, FEW * many) if place not in places]
        places.sort(key=lambda place: place.order)
        chosen = different(places[:CANDIDATES], [family for family, _ in self.families], many, dial)
        return [self.found(place) for place in chosen]

    def few(self, many: int, wish: Wish | None = None, but: frozenset[str] = frozenset()) -> list[FoundLook]:
        """A few of the best looks that share as few pieces as can be, but for some that all have: quick, to show."""
        left = [self.found(place) for place in best(self.families, wish or Wish(), FEW * FEW * many)]
        left = [look for look in left if look.verdict == "works"]
        chosen: list[FoundLook] = []
        used: Counter[str] = Counter()
        while left and len(chosen) < many:
            next_one = min(left, key=lambda look: sum(used[key] for key in look.keys))
            used.update(key for key in next_one.keys if key not in but)
            chosen.append(next_one)
            left.remove(next_one)
        return chosen

    def found(self, place: Place) -> FoundLook:
        """The look at a place."""
        ways = self.families[place.family][0].look(place.at)
        return FoundLook(ways, score_of_rank(place.rank), verdict_of_rank(place.rank))

    def _outrank(self, keys: frozenset[str], rule_id: str) -> None:
        """Where all of these pieces are on, a rule speaks as it does where somebody likes the look so."""
        rules = tuple(rule for rule in self.asked.rules if rule.id == rule_id)
        liked = replace(self.asked, aims=replace(self.asked.aims, liked=self.asked.aims.liked | {rule_id}))
        for family, sums in self.families:
            for at in family.with_all(keys) if rules else ():
                part = [family.part(at).rack]
                sums[_index(at)] += ask_all(part, liked, rules)[0] - ask_all(part, self.asked, rules)[0]

    def _add(self, rules: Sequence[Rule], sign: int, asked: Asked) -> None:
        """Put what rules say to somebody into the sums, or take it out of them."""
        racks = [family.rack for family, _ in self.families]
        for (_, sums), more in zip(self.families, ask_all(racks, asked, rules) if rules else (), strict=False):
            sums += sign * more


def _index(at: Sequence[Sequence[int]]) -> Any:
    return index_of([np.array(numbers, dtype=np.intp) for numbers in at])


def _but_for_rules(one: Asked, other: Asked) -> bool:
    """Whether two are asked for alike but for the rules that a house has muted."""
    return not other.liked and replace(one, schools=replace(one.schools, muted=other.schools.muted)) == other


def renewed(family: Family, asked: Asked, before: Sequence[tuple[Family, Packed]]) -> Packed:
    """The sums of a family where some choices are others than before: only looks with one of those are judged anew."""
    sums = np.zeros(family.rack.shape, dtype=np.int32)
    old = next((one for one in before if one[0].name == family.name), None)
    was = [_as_before(family.at(axis), old[0].at(axis) if old else ()) for axis in AXES]
    kept = [[at for at, held in enumerate(line) if held is not None] for line in was]
    if old is not None and all(_as_it_stood(line, old[1].shape[axis]) for axis, line in enumerate(was)):
        # What hangs anew hangs where something hung: the rest is copied in one go.
        sums = old[1].copy()
    elif old is not None and all(kept):
        there = [[held for held in line if held is not None] for line in was]
        sums[np.ix_(*kept)] = old[1][np.ix_(*there)]
    every = [list(range(len(line))) for line in was]
    for axis, line in enumerate(was):
        # Looks that are other on this axis, and as before on those that were gone through.
        at = [*kept[:axis], [number for number, held in enumerate(line) if held is None], *every[axis + 1 :]]
        if all(at):
            sums[_index(at)] = ask_all([family.part(at).rack], asked, asked.rules)[0]
    return sums


def _as_it_stood(line: Sequence[int | None], before: int) -> bool:
    """Whether every choice that was there before stands where it stood."""
    return len(line) == before and all(held in (None, at) for at, held in enumerate(line))


def _as_before(chosen: Sequence[Chosen], before: Sequence[Chosen]) -> list[int | None]:
    """Of each choice, which one it was before."""
    numbers = {choice: number for number, choice in enumerate(before)}
    return [numbers.get(choice) for choice in chosen]


def one_by_one(asked: Asked, wardrobe: Wardrobe, top: int, wish: Wish | None = None) -> tuple[list[FoundLook], Counts]:
    """The same through the judgement of each look by itself: slow, and what the search is held against."""
    wish = wish or Wish()
    counts = Counts()
    every: list[tuple[tuple[int, float], tuple[int, tuple[int, ...]], FoundLook]] = []
    ranks = {"works": 0, "watch": 1, "against": 2}
    for number, family in enumerate(wardrobe.families):
        rack = family.rack
        barred: Any = np.zeros(rack.shape, dtype=bool)
        for mask in wish.barred(family):
            barred = barred | mask
        for at in np.ndindex(*rack.shape):
            if barred[at]:
                continue
            ways = family.look(at)
            outfit = compose(asked.body, in_order(way.piece for way in ways), asked.schools)
            judged = judge(outfit, asked.aims_for(way.key for way in ways), asked.rules)
            look = FoundLook(ways, judged.score, judged.verdict)
            works = judged.verdict == "works"
            counts.looks += 1
            counts.works += works
            for key in set(look.keys):
                counts.looks_of[key] += 1
                counts.works_of[key] += works
            every.append(((ranks[judged.verdict], -judged.score), (number, at), look))
    every.sort(key=lambda one: one[:2])
    return [look for *_, look in every[:top]], counts
