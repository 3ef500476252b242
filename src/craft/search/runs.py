"""Runs: one way that a rule can go, over all looks that go that way.

A block of looks is a product: some choices at each place. A rule runs over the whole block; where it decides something that
is not the same for all, some go on and the others wait for a run of their own. Cut along one place a block stays a product;
where looks part along several, it stays whole and says which of its looks are meant.
"""

from __future__ import annotations

from collections.abc import Callable, Iterable, Iterator
from typing import Any, NamedTuple

import numpy as np
from numpy.typing import NDArray

Ints = NDArray[np.intp]
#: A block of looks: at each place the numbers of the choices that are in play.
Block = tuple[Ints, ...]


class Waiting(NamedTuple):
    """Looks that wait for a run: a block, and which of its looks are meant where that is not all of them."""

    block: Block
    alive: NDArray[np.bool_] | None = None


#: A block is cut along an axis as long as that leaves no more groups than this; else it stays whole, and looks of it wait.
GROUPS = 2


class Run:
    """One run of a rule over a block, which grows smaller as the rule decides; `waiting` takes what goes another way."""

    def __init__(self, looks: Waiting, waiting: list[Waiting]) -> None:
        self.block, self.alive = _close(*looks)
        self.waiting = waiting
        #: The cuts so far: the axis, and which of the choices that were in play on it are kept.
        self.cuts: list[tuple[int, Ints]] = []

    def now(self, values: NDArray[Any], since: int) -> NDArray[Any]:
        """Values of the block as it was after so many cuts, for the block as it is now."""
        for axis, kept in self.cuts[since:]:
            if values.shape[axis] > 1:
                values = values.take(kept, axis)
        return values

    def of_block(self, numbers: Ints) -> Ints:
        """Numbers of the whole rack, for the block as it is now."""
        for axis, size in enumerate(numbers.shape):
            if size > 1:
                numbers = numbers.take(self.block[axis], axis)
        return numbers

    def some(self, values: NDArray[Any]) -> Any:
        """The value of one look that is in play."""
        if self.alive is None:
            return values.flat[0]
        at = np.unravel_index(int(self.alive.argmax()), self.alive.shape)
        return values[tuple(number if size > 1 else 0 for number, size in zip(at, values.shape, strict=True))]

    def decide(self, truth: NDArray[np.bool_]) -> bool:
        """Which way a run goes: where looks differ, those that go the other way wait."""
        while True:
            yes, no = self._ways(truth)
            if not (yes and no):
                return bool(yes)
            varying = [axis for axis, size in enumerate(truth.shape) if size > 1]
            if len(varying) == 1:
                return self._cut(varying[0], truth.reshape(-1))
            axis, groups = self._alike(truth, varying)
            if len(groups) > GROUPS:
                return self._mask(truth)
            if len(groups) > 1:
                # On with looks that are in play, as many as can be.
                groups.sort(key=lambda group: (self._in_play(axis, group), len(group)), reverse=True)
                kept, *rest = (np.array(group, dtype=np.intp) for group in groups)
                self._keep(axis, kept, rest)
                truth = truth.take(kept, axis)
            truth = truth.take([0], axis)

    def _in_play(self, axis: int, group: list[int]) -> bool:
        """Whether any look with one of these choices on an axis is in play."""
        return self.alive is None or self.alive.shape[axis] == 1 or bool(self.alive.take(group, axis).any())

    def _ways(self, truth: NDArray[np.bool_]) -> tuple[bool, bool]:
        """Whether any look in play goes the one way, and the other."""
        if self.alive is None:
            return bool(truth.any()), not truth.all()
        return bool((truth & self.alive).any()), bool((~truth & self.alive).any())

    def _cut(self, axis: int, line: NDArray[np.bool_]) -> bool:
        yes, no = np.flatnonzero(line), np.flatnonzero(~line)
        kept, rest = (yes, no) if len(yes) >= len(no) else (no, yes)
        self._keep(axis, kept, [rest])
        return bool(line[kept[0]])

    def _mask(self, truth: NDArray[np.bool_]) -> bool:
        """Go on with the whole block, but only with some of its looks."""
        yes = truth if self.alive is None else truth & self.alive
        no = ~truth if self.alive is None else ~truth & self.alive
        more = bool(np.count_nonzero(yes) >= np.count_nonzero(no))
        self.alive, rest = (yes, no) if more else (no, yes)
        self.waiting.append(Waiting(self.block, rest))
        return more

    def _keep(self, axis: int, kept: Ints, rest: Iterable[Ints]) -> None:
        """Go on with some of the choices on an axis; the rest wait in blocks of their own."""
        whole, alive = self.block, self.alive
        sides = []
        for one in (*rest, kept):
            part = alive.take(one, axis) if alive is not None and alive.shape[axis] > 1 else alive
            sides.append(Waiting((*whole[:axis], whole[axis][one], *whole[axis + 1 :]), part))
        self.block, self.alive = sides.pop()
        self.waiting += [side for side in sides if side.alive is None or side.alive.any()]
        self.cuts.append((axis, kept))

    @staticmethod
    def _alike(truth: NDArray[np.bool_], varying: list[int]) -> tuple[int, list[list[int]]]:
        """The axis on which the fewest choices differ, and those that do not, together."""
        best: tuple[int, list[list[int]]] = -1, []
        for axis in varying:
            rows = np.packbits(np.moveaxis(truth, axis, 0).reshape(truth.shape[axis], -1), axis=1)
            groups: dict[bytes, list[int]] = {}
            for at, row in enumerate(rows):
                groups.setdefault(row.tobytes(), []).append(at)
            if best[0] < 0 or len(groups) < len(best[1]):
                best = axis, list(groups.values())
            if len(groups) <= GROUPS:
                break
        return best


def _close(block: Block, alive: NDArray[np.bool_] | None) -> Waiting:
    """A block without the choices that no look of it in play has."""
    if alive is None:
        return Waiting(block)
    kept = list(block)
    for axis, size in enumerate(alive.shape):
        if size > 1:
            used = np.flatnonzero(alive.any(axis=tuple(other for other in range(alive.ndim) if other != axis)))
            if len(used) < size:
                kept[axis], alive = block[axis][used], alive.take(used, axis)
    return Waiting(tuple(kept), None if alive.all() else alive)


def runs(blocks: Iterable[Block], go: Callable[[Run], Any]) -> Iterator[tuple[Run, Any]]:
    """Run something over blocks of looks until none waits: each run with what came of it."""
    waiting = [Waiting(block) for block in blocks]
    while waiting:
        run = Run(waiting.pop(), waiting)
        yield run, go(run)
