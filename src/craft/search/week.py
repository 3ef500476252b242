"""A wardrobe over a client's week: each kind of day judged by itself, the looks weighed by how much of the week it is."""

from __future__ import annotations

from collections import Counter
from collections.abc import Iterator, Sequence
from dataclasses import dataclass, replace
from typing import Any

import numpy as np
from numpy.typing import NDArray

from craft.cloth.colour import SAME, difference
from craft.cloth.piece import colour_of
from craft.judge.aims import Setting
from craft.judge.rule import Client, Rule
from craft.search.crew import Asked, Progress, ask_each
from craft.search.search import FoundLook, Search
from craft.search.tables import Packed, net_of, order_of, works
from craft.search.wardrobe import Wardrobe
from craft.search.ways import Way
from craft.search.wish import Wish
from craft.search.worn import AXES

#: Balances this near, thousandths, over all looks are the same looks (W).
ALIKE = 60


@dataclass(frozen=True)
class Day:
    """A kind of day: where it is spent, and which share of the week, per cent."""

    setting: Setting
    share: float = 100.0


def on_a(day: Day, asked: Asked) -> Asked:
    """The same asked for a kind of day."""
    return replace(asked, aims=replace(asked.aims, setting=day.setting))


def by_day(asked: Asked, wardrobe: Wardrobe, days: Sequence[Day], progress: Progress | None = None) -> Iterator[Search]:
    """A search for each kind of day: what most rules say is asked once, and what rules of setting say once a day."""
    if len(days) == 1:
        yield Search(on_a(days[0], asked), wardrobe, progress)
        return
    on = [on_a(day, asked) for day in days]
    questions: dict[_Read, tuple[Asked, list[Rule]]] = {}
    # What rules read of a setting is the same on many days: a dress code is asked once, not once for each air.
    for rule in asked.rules:
        ways = {_read(rule, one): one for one in reversed(on)}
        for read, one in ways.items():
            questions.setdefault(read, (one, []))[1].append(rule)
    racks = [family.rack for family in wardrobe.families]
    answers = ask_each(racks, asked, [(one.aims, _speaking(rules, one)) for one, rules in questions.values()], progress)
    said = dict(zip(questions, answers, strict=True))
    for one in on:
        own = [said[read] for read in dict.fromkeys(_read(rule, one) for rule in asked.rules)]
        sums = [_added_up(numbers) for numbers in zip(*own, strict=True)]
        search = Search(one, wardrobe, sums=list(zip(wardrobe.families, sums, strict=True)))
        search.outrank_liked()
        yield search


def _added_up(several: Sequence[Packed]) -> Packed:
    found = several[0].copy()
    for one in several[1:]:
        found += one
    return found


#: What rules read of a setting: names, and what it is there. Most read nothing.
_Read = tuple[tuple[str, Any], ...]


def _read(rule: Rule, asked: Asked) -> _Read:
    return tuple((name, getattr(asked.aims.setting, name)) for name in rule.by_setting)


def _speaking(rules: Sequence[Rule], asked: Asked) -> tuple[Rule, ...]:
    return tuple(rule for rule in rules if rule.speaks_to(Client(asked.body, asked.aims, asked.schools)))


class Week:
    """Searches of one wardrobe, a kind of day each."""

    def __init__(
        self,
        asked: Asked,
        wardrobe: Wardrobe,
        days: tuple[Day, ...] = (Day(Setting()),),
        progress: Progress | None = None,
    ) -> None:
        self.days, self.wardrobe = days, wardrobe
        self.searches = list(by_day(asked, wardrobe, days, progress))

    def _weighed(self, number: int) -> tuple[NDArray[Any], NDArray[np.bool_]]:
        """Of every look of a family, its balance over the week, and whether it works on any of its days."""
        shares = sum(day.share for day in self.days) or 1.0
        net: Any = 0.0
        fine: Any = False
        for day, search in zip(self.days, self.searches, strict=True):
            sums = search.families[number][1]
            # A look that is not to be worn on a day counts there for what speaks against it.
            rank = order_of(sums) - net_of(sums.astype(np.int64))
            net = net + day.share / shares * (net_of(sums.astype(np.int64)) + rank)
            fine = fine | works(sums)
        return net, fine

    def best(self, wish: Wish | None = None) -> FoundLook | None:
        """The best look for the week."""
        leading: tuple[float, FoundLook] | None = None
        for number, (family, sums) in enumerate(self.searches[0].families):
            net, _ = self._weighed(number)
            barred: Any = np.zeros(sums.shape, dtype=bool)
            for mask in (wish or Wish()).barred(family):
                barred = barred | mask
            net = np.where(barred, -np.inf, net)
            at = np.unravel_index(int(net.argmax()), net.shape)
            value = float(net[at])
            if value > -np.inf and (leading is None or value > leading[0]):
                ways = family.look(int(one) for one in at)
                leading = value, FoundLook(ways, 0.0, "watch")
        return leading[1] if leading else None

    def works_of(self) -> Counter[str]:
        """In how many looks that work on some day of the week each piece stands."""
        found: Counter[str] = Counter()
        for search in self.searches:
            found.update(search.counts().works_of)
        return found

    def twins(self) -> list[tuple[str, str]]:
        """Pairs of pieces that make the same looks, on its first kind of day."""
        return twins_of(self.searches[0])


def twins_of(search: Search) -> list[tuple[str, str]]:
    """Pairs of pieces that make the same looks: of one colour, and weighed alike wherever they are worn."""
    found: set[tuple[str, str]] = set()
    for family, sums in search.families:
        for axis, name in enumerate(AXES):
            for at, ways in enumerate(family.at(name)):
                for other in range(at + 1, len(family.at(name))):
                    pair = (*ways, *family.at(name)[other])
                    if _may_be_twins(pair):
                        lines = [net_of(sums.take(one, axis).astype(np.int64)) for one in (at, other)]
                        if int(np.abs(lines[0] - lines[1]).max(initial=0)) <= 4 * ALIKE:
                            found.add((pair[0].key, pair[1].key))
    return sorted(found)


def _may_be_twins(pair: Sequence[Way]) -> bool:
    if len(pair) != 2 or pair[0].key == pair[1].key or pair[0].worn != pair[1].worn:
        return False
    return difference(colour_of(pair[0].piece), colour_of(pair[1].piece)) <= SAME
