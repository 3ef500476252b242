"""What stands at a place in many looks: the different values, and columns of what was read of each."""

from __future__ import annotations

from collections.abc import Callable
from typing import Any

import numpy as np
from numpy.typing import NDArray


class Table:
    """The different values that stand at a place, with what was read of each."""

    def __init__(self, values: list[Any]) -> None:
        self.values = values
        kinds = {type(value) for value in values if value is not None}
        #: What kind its values are of, where all that are not None are of one.
        self.kind = kinds.pop() if len(kinds) == 1 else None
        self._columns: dict[Any, Column] = {}
        self._answers: dict[Any, Answers] = {}

    def same(self, other: object) -> NDArray[np.bool_]:
        """Which of the values are equal to another."""
        return np.array([value == other for value in self.values])

    def column(self, name: Any, read: Callable[[Any], Any]) -> Column:
        """Something read of every value, kept by its name."""
        if name not in self._columns:
            self._columns[name] = Column([None if value is None else read(value) for value in self.values])
        return self._columns[name]

    def answers(self, name: Any, many: int) -> Answers:
        """The answers to a question about these values together with those of other tables, kept by its name."""
        if name not in self._answers:
            self._answers[name] = Answers(many)
        return self._answers[name]


class Answers:
    """What a question was answered for sets of values of several tables, each set asked of once."""

    def __init__(self, many: int) -> None:
        self._numbers = np.full(many, -1, dtype=np.intp)
        self._read: list[Any] = []
        self._column: Column | None = None

    def known(self, codes: NDArray[np.intp], ask: Callable[[int], Any]) -> NDArray[np.intp]:
        """The numbers of the answers for these sets of values; `ask` answers for a set that nobody asked of yet."""
        found: NDArray[np.intp] = self._numbers.take(codes)
        unknown = found < 0
        if unknown.any():
            for code in np.unique(codes[unknown]).tolist():
                self._read.append(ask(code))
                self._numbers[code] = len(self._read) - 1
            self._column = None
            found = self._numbers.take(codes)
        return found

    @property
    def column(self) -> Column:
        """All that was answered."""
        if self._column is None:
            self._column = Column(self._read)
        return self._column


class Column:
    """What was read of each value of a table: figures, or the different values and the number of each."""

    def __init__(self, read: list[Any]) -> None:
        self.figures: NDArray[Any] | None = None
        if all(type(value) is float or type(value) is int for value in read):
            self.figures = np.array(read)
            return
        numbers: dict[Any, int] = {}
        self.numbers = np.array([numbers.setdefault(_key(value), len(numbers)) for value in read], dtype=np.intp)
        firsts = dict(zip(reversed(self.numbers.tolist()), reversed(read), strict=True))
        self.table = Table([firsts[at] for at in range(len(numbers))])
        self.nones = np.array([value is None for value in self.table.values])
        self.has_nones = bool(self.nones.any())


def _key(value: Any) -> Any:
    """What tells a value from others: itself, with its type, so that 1 is not True."""
    try:
        hash(value)
    except TypeError:
        return id(value)
    return type(value), value
