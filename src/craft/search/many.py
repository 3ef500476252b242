"""Many looks in one run of a rule: what it reads stands for all looks in play, and where it decides they part.

A rule is a plain function of one look. Here the same function is run once over a whole block of looks: what it reads is a
`Number` or a `Word` that stands for the value of every look in the block, sums and products are taken of all at once, and
where the rule *decides* something that is not the same for all, the block is cut in two and the rest waits for a run of its
own. So the rule is asked once for each way it can go, not once for each look, and what it says is what it says of each look
by itself: there is no second copy of any rule, and nothing is rounded otherwise.

    block of looks -> rule runs -> "is the hem below the knee?" -> cut: these go on, those wait
                               -> what it says, for all that are left

A block is a product: some choices at each place. Values carry an axis a place, of length one where they are the same.
"""

from __future__ import annotations

import operator
from collections.abc import Callable
from functools import partial
from math import prod
from typing import Any, NoReturn

import numpy as np
from numpy.typing import NDArray

from craft.cloth import Piece
from craft.cloth.piece import colour_of
from craft.facts import Several
from craft.search.columns import Column, Table
from craft.search.runs import Ints, Run

#: Answers about so many sets of values are kept at most (W: a megabyte for each question).
KEPT = 250_000


class Number(Several):
    """A figure of every look in play."""

    __slots__ = ("cuts", "run", "values")

    def __init__(self, run: Run, values: NDArray[Any], cuts: int) -> None:
        self.run, self.values, self.cuts = run, values, cuts

    def now(self) -> NDArray[Any]:
        """The figures of the looks that are still in play."""
        if self.cuts < len(self.run.cuts):
            self.values, self.cuts = self.run.now(self.values, self.cuts), len(self.run.cuts)
        return self.values

    def one(self) -> float:
        """The figure of one look, where a function asks for no less: those with another wait."""
        while True:
            values = self.now()
            first = self.run.some(values)
            if self.run.decide(values == first):
                return float(first)

    def each(self, ask: Callable[..., Any], args: tuple[Any, ...]) -> Any:
        """The answers to a question asked with each of the figures."""
        return _each(self.run, ask, args)

    def lesser(self, one: Any, two: Any) -> Any:
        """The lesser of two figures, look by look."""
        return _number(self.run, np.minimum(_figures(one), _figures(two)))

    def greater(self, one: Any, two: Any) -> Any:
        """The greater of two figures, look by look."""
        return _number(self.run, np.maximum(_figures(one), _figures(two)))

    def __hash__(self) -> NoReturn:
        raise TypeError("a figure of many looks is no key: make what looks it up a fact (craft/facts.py)")

    def __bool__(self) -> bool:
        return self.run.decide(self.now() != 0)

    def __float__(self) -> float:
        return self.one()

    def __int__(self) -> int:
        return int(self.one())

    __index__ = __int__

    def __round__(self, digits: int | None = None) -> Any:
        if digits is not None:
            return round(self.one(), digits)
        return _number(self.run, np.rint(self.now()).astype(np.int64))

    def __format__(self, how: str) -> str:
        return ""

    def __neg__(self) -> Any:
        return _number(self.run, -self.now())

    def __abs__(self) -> Any:
        return _number(self.run, np.abs(self.now()))


class Truth(Several):
    """Whether something is so, of every look in play; asked, it decides."""

    __slots__ = ("number",)

    def __init__(self, run: Run, values: NDArray[np.bool_]) -> None:
        self.number = Number(run, values, len(run.cuts))

    def __bool__(self) -> bool:
        return self.number.run.decide(self.number.now())

    def choose(self, one: Any, other: Any) -> Any:
        """The one figure where it is so, else the other, look by look."""
        return _number(self.number.run, np.where(self.number.now(), _figures(one), _figures(other)))


def _figures(of: Any) -> Any:
    return of.now() if isinstance(of, Number) else of


def _number(run: Run, values: NDArray[Any]) -> Any:
    return values.item() if values.size == 1 else Number(run, values, len(run.cuts))


def _arithmetic(of: Callable[[Any, Any], Any]) -> tuple[Any, Any]:
    def forth(one: Number, two: Any) -> Any:
        return _number(one.run, of(one.now(), _figures(two)))

    def back(one: Number, two: Any) -> Any:
        return _number(one.run, of(two, one.now()))

    return forth, back


def _comparison(of: Callable[[Any, Any], Any]) -> Any:
    def compare(one: Number, two: Any) -> Any:
        if two is None or isinstance(two, str):
            return of is operator.ne
        return Truth(one.run, of(one.now(), _figures(two)))

    return compare


for _name, _of in (
    ("add", operator.add),
    ("sub", operator.sub),
    ("mul", operator.mul),
    ("truediv", operator.truediv),
    ("mod", operator.mod),
):
    _forth, _back = _arithmetic(_of)
    setattr(Number, f"__{_name}__", _forth)
    setattr(Number, f"__r{_name}__", _back)
for _name in ("lt", "le", "gt", "ge", "eq", "ne"):
    setattr(Number, f"__{_name}__", _comparison(getattr(operator, _name)))


class Word(Several):
    """A word of every look in play; for a sentence it is any of them."""

    __slots__ = ("cuts", "numbers", "run", "table")

    def __init__(self, run: Run, numbers: Ints, table: Table, *, whole: bool = False) -> None:
        """The numbers of the values for the block as it is now, or for the whole rack."""
        self.run, self.numbers, self.table = run, numbers, table
        self.cuts = -1 if whole else len(run.cuts)

    def now(self) -> Ints:
        """The numbers of the values of the looks that are still in play."""
        if self.cuts < len(self.run.cuts):
            if self.cuts < 0:
                self.numbers = self.run.of_block(self.numbers)
            else:
                self.numbers = self.run.now(self.numbers, self.cuts)
            self.cuts = len(self.run.cuts)
        return self.numbers

    def one(self) -> Any:
        """One value, for what needs no less: looks with another wait."""
        while True:
            numbers = self.now()
            first = self.run.some(numbers)
            if self.run.decide(numbers == first):
                return self.table.values[first]

    def each(self, ask: Callable[..., Any], args: tuple[Any, ...]) -> Any:
        """The answers to a question asked with each of the words."""
        return _each(self.run, ask, args)

    def __eq__(self, other: object) -> Any:
        if isinstance(other, Word):
            return _each(self.run, operator.eq, (self, other))
        return Truth(self.run, self.table.same(other).take(self.now()))

    def __ne__(self, other: object) -> Any:
        return not self == other

    def __hash__(self) -> int:
        return hash(self.one())

    def __bool__(self) -> bool:
        return self.run.decide(np.array([bool(value) for value in self.table.values])[self.now()])

    def __str__(self) -> str:
        return str(self.one())

    def __format__(self, how: str) -> str:
        return ""

    def replace(self, old: str, new: str) -> Word:
        """For a sentence only."""
        return self

    def __getattr__(self, name: str) -> Any:
        return getattr(self.one(), name)

    def __getitem__(self, at: Any) -> Any:
        return self.one()[at]

    def __lt__(self, other: Any) -> Any:
        return self.one() < (other.one() if isinstance(other, Word) else other)


class Thing(Several):
    """Something worn, or a part of it, of every look in play: what is read of it stands for all of them."""

    def __init__(self, run: Run, numbers: Ints, table: Table, *, whole: bool = False, **known: Any) -> None:
        self._word = Word(run, numbers, table, whole=whole)
        self._read: dict[str, Any] = known

    def each(self, ask: Callable[..., Any], args: tuple[Any, ...]) -> Any:
        """The answers to a question asked with each of the things."""
        return _each(self._word.run, ask, args)

    def __getattr__(self, name: str) -> Any:
        if name not in self._read:
            word = self._word
            column = word.table.column(name, operator.attrgetter(name))
            self._read[name] = pick(word.run, word.now(), column)
        return self._read[name]

    def __hash__(self) -> int:
        return hash(self._word.one())

    def __eq__(self, other: object) -> Any:
        if self is other:
            return True
        return self._word == (other._word if isinstance(other, Thing) else other)


class Garment(Thing):
    """The pieces at a place: one object a place and run, so that what is the same piece is the same."""

    def _ask(self, method: str, *args: Any) -> Any:
        word = self._word
        column = word.table.column((method, *args), operator.methodcaller(method, *args))
        return pick(word.run, word.now(), column)

    def seen_as_what(self, what: str) -> Any:
        """Whether rules see it as that (`Piece.seen_as`)."""
        word = self._word
        return pick(word.run, word.now(), word.table.column(("seen as", what), lambda piece: what in piece.seen_as))

    def colour_seen(self) -> Any:
        """What colour they are seen as (`colour_of`)."""
        word = self._word
        return pick(word.run, word.now(), word.table.column("colour seen", colour_of))

    def word(self, key: str, default: str | None = None) -> Any:
        """The word said for a key, as `Piece.word`."""
        return self._ask("word", key, default)

    def words(self, key: str) -> Any:
        """The words said for a key, as `Piece.words`."""
        return self._ask("words", key)

    def says(self, key: str) -> Any:
        """Whether anything is said, as `Piece.says`."""
        return self._ask("says", key)

    def flag(self, key: str) -> Any:
        """Whether something is so, as `Piece.flag`."""
        return self._ask("flag", key)

    def figure(self, key: str) -> Any:
        """A figure, as `Piece.figure`."""
        return self._ask("figure", key)


class Worn(Thing):
    """What pieces are on the body. It hangs without colour: that and the piece itself are those of the garment."""

    def __getattr__(self, name: str) -> Any:
        if name == "colour":
            self._read[name] = self._read["piece"].colour_seen()
            return self._read[name]
        return super().__getattr__(name)


def pick(run: Run, numbers: Ints, column: Column) -> Any:
    """What was read, for the looks in play: a plain value where it is the same for all."""
    if column.figures is not None:
        figures = column.figures.take(numbers)
        first = figures.item(0)
        return first if figures.size == 1 or (figures == first).all() else Number(run, figures, len(run.cuts))
    found = column.numbers.take(numbers)
    values = column.table.values
    first = found.item(0)
    if found.size == 1 or (found == first).all():
        return values[first]
    if column.has_nones:
        none = column.nones[found]
        cuts = len(run.cuts)
        if run.decide(none):
            return None
        found = run.now(found, cuts)
    return _of_one_kind(run, found, column.table)


def _of_one_kind(run: Run, found: Ints, table: Table) -> Any:
    """Several values that are not None: words, things, or rows of such; whatever else there is is told apart."""
    kind = table.kind
    if kind is str:
        return Word(run, found, table)
    # A value that no look in play has may be None.
    there = np.zeros(len(table.values), dtype=bool)
    there[found] = True
    used = [at for at in np.flatnonzero(there).tolist() if table.values[at] is not None]
    values = [table.values[at] for at in used]
    if len(values) == 1:
        return values[0]
    kind = type(values[0])
    if kind is str and all(type(value) is str for value in values):
        return Word(run, found, table)
    if kind is float and all(type(value) is float for value in values):
        figures = np.zeros(len(table.values))
        figures[used] = values
        return Number(run, figures[found], len(run.cuts))
    if issubclass(kind, tuple) and kind is not tuple and all(type(value) is kind for value in values):
        return _row(run, found, table)
    if kind is tuple and all(type(value) is tuple for value in values):
        sizes = np.array([-1 if value is None else len(value) for value in table.values])[found]
        cuts = len(run.cuts)
        Number(run, sizes, cuts).one()
        found = run.now(found, cuts)
        return tuple(_row(run, found, table)) if table.values[int(run.some(found))] else ()
    if hasattr(kind, "__dataclass_fields__") and kind is not Piece and all(type(value) is kind for value in values):
        return Thing(run, found, table)
    return Word(run, found, table).one()


def _row(run: Run, found: Ints, table: Table) -> Any:
    """Tuples of one kind and length, field by field."""
    some = table.values[int(run.some(found))]
    word = Word(run, found, table)
    fields = []
    for at in range(len(some)):
        column = table.column(("field", at), partial(_field, at))
        fields.append(pick(run, word.now(), column))
    return some._make(fields) if hasattr(some, "_make") else fields


def _field(at: int, value: object) -> Any:
    return value[at] if isinstance(value, tuple) and at < len(value) else None


def _each(run: Run, ask: Callable[..., Any], args: tuple[Any, ...]) -> Any:
    """The answers to a question asked with each of the values in play, every pair of them once."""
    several = [arg._word if isinstance(arg, Thing) else arg for arg in args]
    many = [arg for arg in several if isinstance(arg, Word | Number)]
    if len(many) == 1 and isinstance(many[0], Word):
        return _of_one(run, ask, several, many[0])
    words = [arg for arg in many if isinstance(arg, Word)]
    if len(words) == len(many) and prod(len(word.table.values) for word in words) <= KEPT:
        return _of_words(run, ask, several, words)
    numbers: list[Ints] = []
    values: list[list[Any]] = []
    for arg in many:
        if isinstance(arg, Word):
            numbers.append(arg.now())
            values.append(arg.table.values)
        else:
            figures, inverse = np.unique(arg.now(), return_inverse=True)
            numbers.append(inverse.reshape(arg.now().shape))
            values.append(figures.tolist())
    code = _codes(run, numbers, values)
    used, where = _numbered(code, prod(map(len, values)))
    read = [_ask_one(ask, several, values, one) for one in used.tolist()]
    return pick(run, where.reshape(code.shape), Column(read))


def _of_words(run: Run, ask: Callable[..., Any], args: list[Any], words: list[Word]) -> Any:
    """The answers where several arguments differ: each pair of values is asked of once, whatever runs ask."""
    tables = [word.table for word in words]
    code = _codes(run, [word.now() for word in words], [table.values for table in tables])
    key = (ask, *(None if isinstance(arg, Word) else arg for arg in args), *tables[1:])
    answers = tables[0].answers(key, prod(len(table.values) for table in tables))
    values = [table.values for table in tables]
    found = answers.known(code, lambda one: _ask_one(ask, args, values, one))
    return pick(run, found, answers.column)


def _codes(run: Run, numbers: list[Ints], values: list[list[Any]]) -> Any:
    """One number for each set of values that look for look stand together."""
    code: Any = np.zeros((1,) * len(run.block), dtype=np.intp)
    for held, of in zip(numbers, values, strict=True):
        code = code * len(of) + held
    return code


def _ask_one(ask: Callable[..., Any], args: list[Any], values: list[list[Any]], code: int) -> Any:
    """The answer for the set of values that has a number."""
    chosen = []
    for of in reversed(values):
        code, at = divmod(code, len(of))
        chosen.append(of[at])
    left = iter(reversed(chosen))
    return ask(*(next(left) if isinstance(arg, Word | Number) else arg for arg in args))


def _numbered(code: Ints, different: int) -> tuple[Ints, Ints]:
    """The different codes, and which of them each is."""
    if different > code.size:
        used, where = np.unique(code, return_inverse=True)
        return used, where
    there = np.zeros(different, dtype=bool)
    there[code] = True
    return np.flatnonzero(there), (np.cumsum(there) - 1)[code]


def _of_one(run: Run, ask: Callable[..., Any], args: list[Any], word: Word) -> Any:
    """The answers where only one argument differs: kept by the table of its values."""

    def read(value: Any) -> Any:
        return None if value is None else ask(*(value if arg is word else arg for arg in args))

    key = (ask, *(None if arg is word else arg for arg in args))
    return pick(run, word.now(), word.table.column(key, read))
