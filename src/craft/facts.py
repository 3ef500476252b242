"""Facts: plain figures of a piece or a colour, worked out once and kept; asked of many at once they answer for each.

A search runs a rule over many looks in one go (search/many.py). What the rule then holds in its hand is not one piece or
one colour but all those that are in play; a fact is what it may ask of them.
"""

from __future__ import annotations

from collections.abc import Callable, Iterable
from functools import lru_cache, reduce, wraps
from typing import Any, ParamSpec, TypeVar

P = ParamSpec("P")
T = TypeVar("T")
#: How many answers of one fact are kept.
KEPT = 16_384


class Several:
    """What stands for one of several values, and can be asked a fact."""

    __slots__ = ()

    def each(self, ask: Callable[..., Any], args: tuple[Any, ...]) -> Any:
        """The answers to a question asked with each of the values that are in play."""
        raise TypeError(f"{type(self).__name__} cannot be asked a fact")

    def lesser(self, one: Any, two: Any) -> Any:
        """The lesser of two figures, of each of the values that are in play."""
        raise TypeError(f"{type(self).__name__} is no figure and has no lesser")

    def greater(self, one: Any, two: Any) -> Any:
        """The greater of two figures, of each of the values that are in play."""
        raise TypeError(f"{type(self).__name__} is no figure and has no greater")

    def choose(self, one: Any, other: Any) -> Any:
        """The one figure where it is so, else the other, of each of the values that are in play."""
        raise TypeError(f"{type(self).__name__} is neither true nor false")


def fact(ask: Callable[P, T]) -> Callable[P, T]:
    """Keep the answers of a function of pieces, colours, bodies or figures, and let it be asked of several at once."""
    kept = lru_cache(maxsize=KEPT)(ask)

    @wraps(ask)
    def asked(*args: P.args, **kwargs: P.kwargs) -> T:
        for arg in args:
            if isinstance(arg, Several):
                answer: T = arg.each(kept, args)
                return answer
        return kept(*args, **kwargs)  # type: ignore[arg-type]

    return asked


def in_words(ask: Callable[P, str]) -> Callable[P, str]:
    """A function of figures whose answer is only read in a sentence: of several at once nobody reads it."""

    @wraps(ask)
    def asked(*args: P.args, **kwargs: P.kwargs) -> str:
        return "" if any(isinstance(arg, Several) for arg in args) else ask(*args, **kwargs)

    return asked


def least(*figures: float) -> float:
    """The least of some figures: of many looks at once too, where `min` would have to decide for one.

    >>> least(2.0, 1.0, 3.0), most(2.0, 1.0, 3.0)
    (1.0, 3.0)
    """
    for figure in figures:
        if isinstance(figure, Several):
            return reduce(figure.lesser, figures)
    return min(figures)


def most(*figures: float) -> float:
    """The greatest of some figures, as `least`."""
    for figure in figures:
        if isinstance(figure, Several):
            return reduce(figure.greater, figures)
    return max(figures)


def choose(so: Any, one: float, other: float) -> float:
    """The one figure where something is so, else the other: of many looks at once too, where `if` would have to part them.

    >>> choose(2 > 1, 0.5, 0.0)
    0.5
    """
    if isinstance(so, Several):
        chosen: float = so.choose(one, other)
        return chosen
    return one if so else other


def total(figures: Iterable[float]) -> float:
    """Figures added up in their order: the same of one look as of many at once, in every version of Python.

    >>> total([0.1, 0.2, 0.3])
    0.6000000000000001
    """
    found = 0.0
    for figure in figures:
        found = found + figure
    return found
