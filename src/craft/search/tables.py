"""Tables of the rules: what each says of every look of a rack, computed once for each difference that it can see.

A rule depends on the pieces at the places it looks at and on the values of the readings it names, and on nothing else of
a look (judge/rule.py). So it is asked once for each of those combinations, whatever else is on; the tables, laid over all
looks and added, are what judging each look by itself would have found. Weights are whole thousandths: the sums are exact.
"""

from __future__ import annotations

from collections.abc import Iterator, Mapping
from dataclasses import dataclass
from functools import cached_property
from itertools import product
from math import prod

import numpy as np
from numpy.typing import NDArray

from craft.body import Body
from craft.cloth import Piece
from craft.judge import RULES, Aims, Rule
from craft.judge.judgement import Verdict, Weighing, score_of, tally, verdict_of
from craft.look import Look, Outfit, compose
from craft.look.readings import READINGS
from craft.schools import Schools

Ints = NDArray[np.int64]
#: For, against, and the heaviest against, in thousandths: what score and verdict need of a look.
SUMS = 3


@dataclass(frozen=True)
class Rack:
    """What may be worn at each place of a look, by what rules call the place; None where nothing need be."""

    choices: Mapping[str, tuple[Piece | None, ...]]

    @cached_property
    def places(self) -> tuple[str, ...]:
        """The places, in the order of the tables' axes."""
        return tuple(self.choices)

    @cached_property
    def shape(self) -> tuple[int, ...]:
        """How many choices there are at each place."""
        return tuple(len(self.choices[place]) for place in self.places)

    @property
    def size(self) -> int:
        """How many looks there are."""
        return prod(self.shape)

    def look(self, at: tuple[int, ...]) -> Look:
        """The look that is made of the choices at these numbers, place by place."""
        worn = (self.choices[place][number] for place, number in zip(self.places, at, strict=True))
        return Look(tuple(piece for piece in worn if piece is not None))


@dataclass(frozen=True)
class Tables:
    """What speaks for and against every look of a rack, and the heaviest against, one axis a place."""

    rack: Rack
    good: Ints
    bad: Ints
    worst: Ints
    #: How often a rule was asked, of the times that judging look by look would have asked it.
    asked: int

    def judged(self, at: tuple[int, ...]) -> tuple[float, Verdict]:
        """The score and verdict of one look, by its numbers."""
        score = score_of(int(self.good[at]), int(self.bad[at]))
        return score, verdict_of(score, int(self.worst[at]))


class _Looks:
    """Looks of a rack on a body, composed when they are asked for: where nothing is said of a place, its first choice."""

    def __init__(self, body: Body, rack: Rack, schools: Schools) -> None:
        self.body, self.rack, self.schools = body, rack, schools
        self._made: dict[tuple[int, ...], Outfit] = {}
        self._read: dict[str, tuple[tuple[str, ...], Ints]] = {}

    def of(self, places: tuple[str, ...], numbers: tuple[int, ...]) -> Outfit:
        said = dict(zip(places, numbers, strict=True))
        at = tuple(said.get(place, 0) for place in self.rack.places)
        if at not in self._made:
            self._made[at] = compose(self.body, self.rack.look(at), self.schools)
        return self._made[at]

    def axes(self, places: frozenset[str]) -> tuple[str, ...]:
        return tuple(place for place in self.rack.places if place in places)

    def grid(self, places: tuple[str, ...]) -> Iterator[tuple[int, ...]]:
        return product(*(range(len(self.rack.choices[place])) for place in places))

    def reading(self, name: str) -> tuple[tuple[str, ...], Ints]:
        """The values of a reading over the places that it looks at, numbered."""
        if name not in self._read:
            places = self.axes(READINGS[name])
            numbers: dict[object, int] = {}
            values = [
                numbers.setdefault(_told(getattr(self.of(places, at), name)), len(numbers)) for at in self.grid(places)
            ]
            shape = tuple(len(self.rack.choices[place]) for place in places)
            self._read[name] = places, np.array(values, dtype=np.int64).reshape(shape)
        return self._read[name]


def _told(value: object) -> object:
    """A reading's value as a key."""
    return tuple(sorted(value.items(), key=repr)) if isinstance(value, Mapping) else value


def tabulate(
    body: Body, rack: Rack, schools: Schools | None = None, aims: Aims | None = None, rules: tuple[Rule, ...] = RULES
) -> Tables:
    """Judge every look of a rack, each rule over what it declares.

    >>> from craft.body import Measures
    >>> body = Body.of(Measures.of({"stature": 165}))
    >>> rack = Rack({"bottom": (Piece.of({"is": "jeans"}), Piece.of({"is": "skirt"})), "top": (Piece.of({"is": "tee"}),)})
    >>> tables = tabulate(body, rack)
    >>> from craft.judge import judge
    >>> tables.judged((1, 0))[0] == judge(compose(body, rack.look((1, 0)))).score
    True
    """
    schools, aims = schools or Schools(), aims or Aims()
    looks = _Looks(body, rack, schools)
    weigh = Weighing.of(schools, aims)
    total = np.zeros((SUMS, *rack.shape), dtype=np.int64)
    asked = 0
    for rule in rules:
        if rule.id in schools.muted:
            continue
        places = looks.axes(rule.places)
        table, times = _table(rule, looks, places, weigh, aims)
        asked += times
        spread = table.reshape((SUMS, *(len(rack.choices[p]) if p in places else 1 for p in rack.places)))
        total[:2] += spread[:2]
        total[2] = np.maximum(total[2], spread[2])
    return Tables(rack, total[0], total[1], total[2], asked)


def _table(rule: Rule, looks: _Looks, places: tuple[str, ...], weigh: Weighing, aims: Aims) -> tuple[Ints, int]:
    """What a rule adds to every combination at its places, and how often it had to be asked for that."""
    shape = tuple(len(looks.rack.choices[place]) for place in places)
    keys = [_along(places, shape, (place,), np.arange(len(looks.rack.choices[place])))
            for place in places if place in rule.looks_at]  # fmt: skip
    keys += [_along(places, shape, *looks.reading(name)) for name in rule.reads]
    # What the rule cannot tell apart is asked once.
    flat = np.stack([key.ravel() for key in keys]) if keys else np.zeros((1, prod(shape)), dtype=np.int64)
    _, first, which = np.unique(flat, axis=1, return_index=True, return_inverse=True)
    told = np.zeros((len(first), SUMS), dtype=np.int64)
    for row, one in enumerate(first):
        numbers = tuple(int(n) for n in np.unravel_index(int(one), shape)) if shape else ()
        said = rule.said_of(looks.of(places, numbers), aims)
        if said:
            told[row] = tally(weigh.finding(rule, one_said) for one_said in said)
    return told[which.ravel()].T.reshape((SUMS, *shape)), len(first)


def _along(places: tuple[str, ...], shape: tuple[int, ...], own: tuple[str, ...], values: Ints) -> Ints:
    """Values over some places, laid along the axes of more."""
    sizes = dict(zip(places, shape, strict=True))
    return np.broadcast_to(values.reshape([sizes[place] if place in own else 1 for place in places]), shape)
