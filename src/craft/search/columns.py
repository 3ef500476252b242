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

    def same(self, other: object) -> NDArray[np.bool_]:
        """Which of the values are equal to another."""
        return np.array([value == other for value in self.values])

    def column(self, name: Any, read: Callable[[Any], Any]) -> Column:
        """Something read of every value, kept by its name."""
        if name not in self._columns:
            self._columns[name] = Column([None if value is None else read(value) for value in self.values])
        return self._columns[name]


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
