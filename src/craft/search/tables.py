"""Tables of the rules: what each says of every look of a rack, in one number a look, and their sum.

Score and verdict of a look need of its findings only the balance of what speaks for and against it, and whether any weighs
so much that it decides alone, or unless the rest is good (judge/judgement.py). All three are sums, so they stand in one whole
number: the balance in its low bits, then how many decide, then how many decide alone. Adding up those numbers over the rules
is judging; whole numbers add up to the same in any order.
"""

from __future__ import annotations

from collections.abc import Callable, Iterable, Iterator, Sequence
from dataclasses import dataclass
from math import prod
from typing import Any, NamedTuple

import numpy as np
from numpy.typing import NDArray

from craft.body import Body
from craft.judge import RULES, Aims, Rule
from craft.judge.finding import Finding
from craft.judge.judgement import ALONE, DECIDES, STEEP, Verdict, Weighing, net_from, score_of_net, verdict_of
from craft.judge.rule import Client
from craft.schools import Schools
from craft.search.many import Number
from craft.search.runs import Block, Ints, Run, runs
from craft.search.worn import AXES, Hung, ManyOutfit, Rack, seen_by

#: A look in one number (int32): the balance, -2^19 to 2^19 quarters of a thousandth; how many findings decide, to 31; how
#: many decide alone. More than 31 that decide weigh the balance down beyond any border by themselves.
Packed = NDArray[np.int32]
_HALF, _DECIDES, _ALONE = 1 << 19, 20, 25
#: What no look can reach: pieces that cannot be worn together.
IMPOSSIBLE = 1 << 30


class Said(NamedTuple):
    """What a rule says of some looks: the block, which of its looks where that is not all, and the number for each."""

    block: Block
    alive: NDArray[np.bool_] | None
    packed: NDArray[Any]


@dataclass(frozen=True)
class Table:
    """What one rule says of every look of a rack, over the choices that it can tell apart."""

    rule: str
    shape: tuple[int, ...]
    #: Which of its choices each choice of the whole rack is, axis by axis.
    which: tuple[Ints, ...]
    said: tuple[Said, ...]
    #: How often the rule ran.
    ran: int

    def dense(self, into: Packed | None = None) -> Packed:
        """What is said as one array, over its own choices; added to another table's where there is one."""
        found = np.zeros(self.shape, dtype=np.int32) if into is None else into
        for said in self.said:
            number = said.packed.astype(np.int32)
            # A product and not a choice: it is many times faster.
            found[index_of(said.block)] += number if said.alive is None else number * said.alive
        return found


#: So many numbers of tables are held before they are added to the sums.
HELD = 40_000_000


def add_up(tables: Iterable[Table], sums: Packed) -> None:
    """Add what rules say to the sums over the whole rack: first those that tell the same apart, then all."""
    alike: dict[Any, tuple[tuple[Ints, ...], Packed]] = {}
    for table in tables:
        if table.said:
            key = tuple(numbers.tobytes() for numbers in table.which)
            which, found = alike.get(key, (table.which, None))
            alike[key] = which, table.dense(found)
            if sum(held.size for _, held in alike.values()) > HELD:
                _spread(alike.values(), sums)
                alike.clear()
    _spread(alike.values(), sums)


def _spread(tables: Iterable[tuple[tuple[Ints, ...], Packed]], sums: Packed) -> None:
    """Add tables over what rules tell apart to the sums. Those that vary with the same places are added up first, and to those that
    vary with more; what then varies with every place is added part by part, for a part fits into the cache of a processor."""
    whole: list[tuple[tuple[Ints, ...], Packed]] = []
    alike: dict[tuple[bool, ...], Packed] = {}
    for which, found in tables:
        varies = tuple(found.shape[axis] > 1 for axis in range(sums.ndim))
        if prod(size for size, does in zip(sums.shape, varies, strict=True) if does) == sums.size:
            whole.append((which, found))
        else:
            more = _taken(found, which)
            alike[varies] = alike[varies] + more if varies in alike else more
    _fold(alike)
    for part in parts(sums.shape):
        for which, found in whole:
            sums[part] += _taken(found, [numbers[cut] for numbers, cut in zip(which, part, strict=True)])
        for found in alike.values():
            cut = tuple(one if size > 1 else slice(None) for one, size in zip(part, found.shape, strict=True))
            sums[part] += found[cut]


def _taken(found: Packed, which: Sequence[Ints]) -> Packed:
    """A table for these choices of the whole rack, on the places with which it varies."""
    for axis, wanted in enumerate(which):
        if found.shape[axis] > 1 and not _is_all(wanted, found.shape[axis]):
            found = found.take(wanted, axis)
    return found


def _fold(alike: dict[tuple[bool, ...], Packed]) -> None:
    """Add sums to others that vary with all that they vary with, and more, as far as there are such."""
    for varies in sorted(alike, key=sum):
        wider = [
            other for other in alike if other != varies and all(o or not v for o, v in zip(other, varies, strict=True))
        ]
        if wider:
            into = min(wider, key=lambda other: alike[other].size)
            alike[into] = alike[into] + alike.pop(varies)


#: A part of the sums is looked through at a time: so many looks fit into the cache of a processor.
PART = 2_000_000


def parts(shape: tuple[int, ...]) -> Iterator[tuple[slice, ...]]:
    """The sums part by part, along the base."""
    axis = max(range(3), key=lambda one: shape[one])
    step = max(1, PART * shape[axis] // max(1, prod(shape)))
    for start in range(0, shape[axis], step):
        yield tuple(slice(start, start + step) if one == axis else slice(None) for one in range(len(shape)))


def _is_all(numbers: Ints, size: int) -> bool:
    return len(numbers) == size and bool((numbers == np.arange(size)).all())


def index_of(block: Sequence[Ints]) -> Any:
    """A block as an index: plain ranges as far as it has them, which is many times faster."""
    ranges = [_range(numbers) for numbers in block]
    if ranges.count(None) > 1:
        return np.ix_(*block)
    return tuple(numbers if found is None else found for numbers, found in zip(block, ranges, strict=True))


def _range(numbers: Ints) -> slice | None:
    """The range of some numbers in order, where there is no gap in it."""
    first, last = int(numbers[0]), int(numbers[-1])
    alike = last - first + 1 == len(numbers) and bool((np.diff(numbers) == 1).all())
    return slice(first, last + 1) if alike else None


def tabulate(
    body: Body,
    rack: Rack,
    schools: Schools | None = None,
    aims: Aims | None = None,
    rules: Iterable[Rule] = RULES,
    kept: Hung | None = None,
) -> Iterator[Table]:
    """Ask each rule of all looks of a rack, as far as it has anything to say of them.

    >>> from craft.body import Measures
    >>> from craft.cloth import Piece
    >>> rack = Rack({"bottom": ((Piece.of({"is": "jeans"}),),), "top": ((Piece.of({"is": "tee"}),),)})
    >>> "hems.place" in {table.rule for table in tabulate(Body.of(Measures.of({"stature": 165})), rack)}
    True
    """
    schools, aims = schools or Schools(), aims or Aims()
    client, weigh = Client(body, aims, schools), Weighing.of(schools, aims)
    kept = Hung() if kept is None else kept
    for rule in rules:
        if rule.id not in schools.muted and rule.speaks_to(client):
            yield _table(rule, client, weigh, rack, kept)


def _table(rule: Rule, client: Client, weigh: Weighing, rack: Rack, kept: Hung) -> Table:
    def says(outfit: ManyOutfit) -> int | NDArray[Any]:
        return packed([weigh.finding(rule, said) for said in rule.check(outfit, client.aims)])

    return ask(rule, client, rack, kept, says)


def ask(rule: Rule, client: Client, rack: Rack, kept: Hung, says: Callable[[ManyOutfit], int | NDArray[Any]]) -> Table:
    """Ask something of all looks of a rack that depends on no more of them than a rule declares."""
    wardrobe, which, parted = seen_by(rule, client.body, client.schools, rack, kept)
    seen = wardrobe.rack

    def go(run: Run) -> int | NDArray[Any]:
        on = {piece.place for axis, at in zip(AXES, run.block, strict=True) for piece in seen.at(axis)[at[0]]}
        if rule.looks_at and rule.looks_at.isdisjoint(on):
            return 0
        outfit = ManyOutfit(wardrobe, run)
        return says(outfit) if rule.about is None or outfit.is_about(rule.about) else 0

    found, ran = [], 0
    for run, number in runs(parted, go):
        ran += 1
        if isinstance(number, np.ndarray) or number:
            found.append(Said(run.block, run.alive, np.asarray(number)))
    return Table(rule.id, seen.shape, which, tuple(found), ran)


def packed(findings: Iterable[Finding]) -> int | NDArray[Any]:
    """Findings of one look, or of many at once, in one number."""
    found: int | NDArray[Any] = 0
    for finding in findings:
        weight: Any = finding.thousandths
        weight = weight.now() if isinstance(weight, Number) else weight
        if finding.stance == "for":
            found = found + 4 * weight
        elif finding.counts_against:
            found = found - 5 * weight + ((weight >= DECIDES) * (1 << _DECIDES)) + ((weight >= ALONE) * (1 << _ALONE))
    return found


def net_of(numbers: Any) -> Any:
    """The balance in packed numbers, quarters of a thousandth."""
    return ((numbers + _HALF) & (2 * _HALF - 1)) - _HALF


def judged(number: int) -> tuple[float, Verdict]:
    """The score and verdict in a packed number.

    >>> judged(0), judged(int(packed([])))
    ((0.5, 'watch'), (0.5, 'watch'))
    """
    net = net_of(number)
    weighs = (number - net) >> _DECIDES
    score = score_of_net(net)
    return score, verdict_of(score, ALONE if weighs >> (_ALONE - _DECIDES) else DECIDES if weighs else 0)


def works(numbers: Packed) -> NDArray[np.bool_]:
    """Which looks work: where nothing decides, the number is the balance itself."""
    return (numbers >= NET_WORKS) & (numbers < _HALF)


#: The least balance that works, that is not against, and that outweighs a finding that decides.
NET_WORKS, NET_FAILS, NET_UNLESS = net_from("works"), net_from("fails"), net_from("unless")


def scores(numbers: Packed) -> NDArray[np.float32]:
    """The score of looks in which nothing decides: their number is the balance itself."""
    found = 1 / (1 + np.exp(np.float32(-STEEP / 4000) * numbers.astype(np.float32)))
    return np.asarray(found, dtype=np.float32)


def order_of(numbers: Packed) -> NDArray[np.int64]:
    """What looks are ranked by, the greatest first: those that work, then those to watch, then the rest; each by its balance."""
    net = net_of(numbers.astype(np.int64))
    weighs = (numbers - net) >> _DECIDES
    against = (weighs >> (_ALONE - _DECIDES) > 0) | ((weighs > 0) & (net < NET_UNLESS)) | (net < NET_FAILS)
    rank = np.where(against, 0, np.where((weighs == 0) & (net >= NET_WORKS), 2, 1))
    return np.where(numbers >= IMPOSSIBLE // 2, np.iinfo(np.int64).min, net + rank * (4 * _HALF))


def score_of_rank(rank: int) -> float:
    """The score behind a rank (`order_of`), 0 to 1."""
    return score_of_net(int(net_of(np.int64(rank))))


def verdict_of_rank(rank: int) -> Verdict:
    """The verdict behind a rank (`order_of`)."""
    verdicts: tuple[Verdict, ...] = ("against", "watch", "works")
    return verdicts[int((rank + _HALF) // (4 * _HALF))]
