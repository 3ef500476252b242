"""Two processes that ask the rules side by side: one look at a rule needs no other."""

from __future__ import annotations

import multiprocessing
from collections.abc import Callable, Iterable, Iterator, Sequence
from dataclasses import dataclass, field, replace
from functools import cache
from itertools import chain, groupby
from multiprocessing.context import ForkServerContext
from multiprocessing.forkserver import ensure_running
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
#: From so many looks on it is worth a second process: each has to learn the facts of the pieces for itself.
SIDE_BY_SIDE = 300_000
#: Where no rack is more than this share of all, each is asked by one process alone (W: so that the last to end is not waited for long).
WHOLE = 0.4
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


#: Aims and the rules that are asked for them.
Question = tuple[Aims, Sequence[Rule]]
#: One rule asked of one rack for one question, by their numbers.
_Step = tuple[int, int, Rule]


@dataclass(frozen=True)
class _Errand:
    """What a process is told: everything that can be sent to one."""

    racks: tuple[Rack, ...]
    measures: Measures
    schools: Schools
    #: The aims of each question.
    aims: tuple[Aims, ...]
    #: Where its sums are, question by question, rack by rack.
    sums: tuple[tuple[str, ...], ...]


def ask_all(
    racks: Sequence[Rack], asked: Asked, rules: Sequence[Rule], progress: Progress | None = None
) -> list[Packed]:
    """What the rules come to for every look of each rack."""
    return ask_each(racks, asked, [(asked.aims, rules)], progress)[0]


def ask_each(
    racks: Sequence[Rack], asked: Asked, questions: Sequence[Question], progress: Progress | None = None
) -> list[list[Packed]]:
    """What the rules of each question come to, for every look of each rack: what is worn is hung once for all questions."""
    steps = [
        (rack, question, rule)
        for rack in range(len(racks))
        # The widest rules first, for they take longest.
        for question, (_, rules) in enumerate(questions)
        for rule in sorted(rules, key=lambda rule: -len(rule.places))
    ]
    if sum(rack.size for rack in racks) >= SIDE_BY_SIDE and len(steps) > len(racks):
        return _side_by_side(racks, asked, questions, steps, progress)
    found = [[np.zeros(rack.shape, dtype=np.int32) for rack in racks] for _ in questions]
    hung: dict[int, Hung] = {}
    done = 0
    for number, group in groupby(steps, key=lambda step: step[:2]):
        rack, question = number
        if rack not in hung:
            hung = {rack: Hung()}

        def tables(rules: list[Rule], rack: Rack, aims: Aims, kept: Hung) -> Iterator[Table]:
            nonlocal done
            for rule in rules:
                yield from tabulate(asked.body, rack, asked.schools, aims, (rule,), kept)
                done += 1
                if progress is not None:
                    progress(done / (len(steps) + 1))

        rules = [rule for *_, rule in group]
        add_up(tables(rules, racks[rack], questions[question][0], hung[rack]), found[question][rack])
    return found


def _side_by_side(
    racks: Sequence[Rack],
    asked: Asked,
    questions: Sequence[Question],
    steps: Sequence[_Step],
    progress: Progress | None,
) -> list[list[Packed]]:
    """The same by several processes: each takes whole racks where there are enough, else they share each with sums of their own."""
    context = _helpers()
    width = np.dtype(np.int32).itemsize
    whole = max(rack.size for rack in racks) <= WHOLE * sum(rack.size for rack in racks)
    held = [
        [[SharedMemory(create=True, size=rack.size * width) for rack in racks] for _ in questions]
        for _ in range(1 if whole else HANDS)
    ]
    waiting, told = context.Queue(), context.Queue()
    for part in _parts(racks, steps, whole):
        waiting.put([(rack, question, rule.id) for rack, question, rule in part])
    for _ in range(HANDS):
        waiting.put(None)
    aims = tuple(one for one, _ in questions)
    hands = []
    for own in held * (HANDS // len(held)):
        names = tuple(tuple(one.name for one in of) for of in own)
        errand = _Errand(tuple(racks), asked.body.measures, asked.schools, aims, names)
        hands.append(context.Process(target=_ask, args=(errand, waiting, told), daemon=True))
    try:
        for hand in hands:
            hand.start()
        _wait(hands, told, len(steps), progress)
        return [
            [_sum(rack, [own[question][number] for own in held]) for number, rack in enumerate(racks)]
            for question in range(len(questions))
        ]
    finally:
        for hand in hands:
            hand.terminate()
            hand.join()
        for one in (one for own in held for of in own for one in of):
            one.close()
            one.unlink()


def _parts(racks: Sequence[Rack], steps: Sequence[_Step], whole: bool) -> list[list[_Step]]:
    """What is taken at a time: all steps of a rack, the largest first, so that it is hung by one process only; or a step."""
    if not whole:
        # By rack, for what is hung for one is not needed for the next.
        return [[step] for step in steps]
    parts = [list(group) for _, group in groupby(steps, key=lambda step: step[0])]
    return sorted(parts, key=lambda part: -racks[part[0][0]].size)


@cache
def _helpers() -> ForkServerContext:
    """Where helping processes come from: one that has read this module and nothing else, so that each is there at once. It ends with
    us."""
    context = multiprocessing.get_context("forkserver")
    context.set_forkserver_preload([__name__])
    return context


def ready() -> None:
    """Have the helpers' beginnings read before the first search: a worker calls it when it starts."""
    _helpers()
    ensure_running()


def _sum(rack: Rack, held: list[SharedMemory]) -> Packed:
    first, *others = (np.ndarray(rack.shape, dtype=np.int32, buffer=one.buf) for one in held)
    sums = first.copy()
    for one in others:
        sums += one
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
    held = [[SharedMemory(name=name) for name in of] for of in errand.sums]
    hung: dict[int, Hung] = {}
    for (number, question), rules in _together(chain.from_iterable(iter(waiting.get, None))):
        if number not in hung:
            hung = {number: Hung()}
        rack, kept = errand.racks[number], hung[number]

        def tables(rack: Rack, kept: Hung, aims: Aims, rules: Iterator[str]) -> Iterator[Table]:
            for rule in rules:
                yield from tabulate(body, rack, errand.schools, aims, (known[rule],), kept)
                told.put(rule)

        sums = np.ndarray(rack.shape, dtype=np.int32, buffer=held[question][number].buf)
        add_up(tables(rack, kept, errand.aims[question], rules), sums)
    told.put(None)
    for one in (one for of in held for one in of):
        one.close()


def _together(asked: Iterator[tuple[int, int, str]]) -> Iterator[tuple[tuple[int, int], Iterator[str]]]:
    """Rules as they are taken, those of one rack and one question together."""
    for number, group in groupby(asked, key=lambda one: one[:2]):
        yield number, (rule for *_, rule in group)
