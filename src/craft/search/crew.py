"""Two processes that ask the rules side by side: one look at a rule needs no other."""

from __future__ import annotations

import multiprocessing
from collections.abc import Callable, Iterable, Iterator, Sequence
from dataclasses import dataclass, field, replace
from itertools import groupby
from multiprocessing.shared_memory import SharedMemory
from queue import Empty
from typing import Any

import numpy as np

from craft.body import Body, Measures
from craft.judge import RULES, Aims, Rule
from craft.schools import Schools
from craft.search.tables import Packed, Table, add_up, tabulate
from craft.search.worn import Hung, Rack

#: Told how much of a search is done, 0 to 1; what it raises ends the search.
Progress = Callable[[float], None]
#: From so many looks on it is worth a second process.
SIDE_BY_SIDE = 2_000_000
#: How many processes ask; how long one is waited for before it is looked at again, s.
HANDS, LOOKS_UP = 2, 0.2


@dataclass(frozen=True)
class Asked:
    """Whom a search is for: the body, how it is judged, and by which rules."""

    body: Body
    schools: Schools = field(default_factory=Schools)
    aims: Aims = field(default_factory=Aims)
    rules: tuple[Rule, ...] = RULES
    #: Rules that somebody likes to see outranked, where all pieces of a set are on.
    liked: tuple[tuple[frozenset[str], str], ...] = ()

    def aims_for(self, keys: Iterable[str]) -> Aims:
        """The aims for a look of these pieces: with what is liked about it all the same."""
        on = frozenset(keys)
        liked = frozenset(rule for pieces, rule in self.liked if pieces <= on)
        return replace(self.aims, liked=self.aims.liked | liked) if liked else self.aims


@dataclass(frozen=True)
class _Errand:
    """What a process is told: everything that can be sent to one."""

    racks: tuple[Rack, ...]
    measures: Measures
    schools: Schools
    aims: Aims
    #: Where its sums are, rack by rack.
    sums: tuple[str, ...]


def ask_all(
    racks: Sequence[Rack], asked: Asked, rules: Sequence[Rule], progress: Progress | None = None
) -> list[Packed]:
    """What the rules come to for every look of each rack."""
    if sum(rack.size for rack in racks) >= SIDE_BY_SIDE and len(rules) > 1:
        return _side_by_side(racks, asked, rules, progress)
    found, done = [], 0
    for rack in racks:
        sums, kept = np.zeros(rack.shape, dtype=np.int32), Hung()

        def tables(rack: Rack = rack, kept: Hung = kept) -> Iterator[Table]:
            nonlocal done
            for rule in rules:
                yield from tabulate(asked.body, rack, asked.schools, asked.aims, (rule,), kept)
                done += 1
                if progress is not None:
                    progress(done / (len(rules) * len(racks) + 1))

        add_up(tables(), sums)
        found.append(sums)
    return found


def _side_by_side(
    racks: Sequence[Rack], asked: Asked, rules: Sequence[Rule], progress: Progress | None
) -> list[Packed]:
    """The same by several processes, each with sums of its own."""
    context = multiprocessing.get_context("spawn")
    width = np.dtype(np.int32).itemsize
    held = [[SharedMemory(create=True, size=rack.size * width) for rack in racks] for _ in range(HANDS)]
    waiting, told = context.Queue(), context.Queue()
    # By rack, for what is hung for one is not needed for the next; the widest rules first, for they take longest.
    for number in range(len(racks)):
        for rule in sorted(rules, key=lambda rule: -len(rule.places)):
            waiting.put((number, rule.id))
    for _ in range(HANDS):
        waiting.put(None)
    hands = []
    for own in held:
        errand = _Errand(tuple(racks), asked.body.measures, asked.schools, asked.aims, tuple(one.name for one in own))
        hands.append(context.Process(target=_ask, args=(errand, waiting, told), daemon=True))
    try:
        for hand in hands:
            hand.start()
        _wait(hands, told, len(rules) * len(racks), progress)
        return [_sum(rack, [own[number] for own in held]) for number, rack in enumerate(racks)]
    finally:
        for hand in hands:
            hand.terminate()
            hand.join()
        for one in (one for own in held for one in own):
            one.close()
            one.unlink()


def _sum(rack: Rack, held: list[SharedMemory]) -> Packed:
    sums = np.zeros(rack.shape, dtype=np.int32)
    for one in held:
        sums += np.ndarray(rack.shape, dtype=np.int32, buffer=one.buf)
    return sums


def _wait(hands: list[Any], told: Any, rules: int, progress: Progress | None) -> None:
    done = ended = 0
    while ended < len(hands):
        try:
            if told.get(timeout=LOOKS_UP) is None:
                ended += 1
            else:
                done += 1
        except Empty:
            if any(hand.exitcode not in (None, 0) for hand in hands):
                raise RuntimeError("a process that asked rules ended before it was done") from None
        if progress is not None:
            progress(done / (rules + 1))


def _ask(errand: _Errand, waiting: Any, told: Any) -> None:
    """What a process does: take rules until none waits, and add up what they say."""
    body, known = Body.of(errand.measures), {rule.id: rule for rule in RULES}
    held = [SharedMemory(name=name) for name in errand.sums]
    for number, rules in _by_rack(iter(waiting.get, None)):
        rack, kept = errand.racks[number], Hung()

        def tables(rack: Rack = rack, kept: Hung = kept, rules: Iterator[str] = rules) -> Iterator[Table]:
            for rule in rules:
                yield from tabulate(body, rack, errand.schools, errand.aims, (known[rule],), kept)
                told.put(rule)

        add_up(tables(), np.ndarray(rack.shape, dtype=np.int32, buffer=held[number].buf))
    told.put(None)
    for one in held:
        one.close()


def _by_rack(asked: Iterator[tuple[int, str]]) -> Iterator[tuple[int, Iterator[str]]]:
    """Rules as they are taken, those of one rack together."""
    for number, group in groupby(asked, key=lambda one: one[0]):
        yield number, (rule for _, rule in group)
