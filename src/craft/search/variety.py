"""Different looks, not fifty shades of one: a base leads, and what follows is weighed against its likeness to what stands.

Maximal marginal relevance (Carbonell and Goldstein, 1998): each time the look is taken whose score, less its greatest
likeness to any that was taken before, is best; a dial says how much likeness counts.
"""

from __future__ import annotations

from collections.abc import Sequence
from functools import lru_cache

import numpy as np
from numpy.typing import NDArray

from craft.cloth import Piece
from craft.cloth.colour import ANSWERS, TONE, difference
from craft.cloth.piece import colour_of
from craft.search.best import Place
from craft.search.tables import score_of_rank
from craft.search.wardrobe import Family
from craft.search.worn import AXES

#: How much each axis makes two looks alike (W: the base most, then layer and shoes), and how alike two pieces are that are of
#: one kind, or of one colour, or of near colours.
WEIGHS = {"bottom": 3.0, "one_piece": 4.0, "top": 3.0, "shoes": 1.5, "layer": 2.0, "besides": 0.8}
SAME_KIND, SAME_COLOUR, NEAR_COLOUR = 0.35, 0.4, 0.2
Likeness = dict[str, NDArray[np.float64]]


@lru_cache(maxsize=1 << 17)
def alike(one: Piece, other: Piece) -> float:
    """How alike two pieces are, in whichever way they are worn, 0 to 1.

    >>> tee, knit = Piece.of({"is": "tee"}), Piece.of({"is": "knit", "colour": "white"})
    >>> alike(tee, tee), alike(tee, knit) < alike(tee, Piece.of({"is": "tee", "neck": "v"}))
    (1.0, True)
    """
    if _plain(one) == _plain(other):
        return 1.0
    apart = difference(colour_of(one), colour_of(other))
    colour = SAME_COLOUR if apart <= TONE else NEAR_COLOUR if apart <= ANSWERS else 0.0
    return colour + (SAME_KIND if one.kind == other.kind else 0.0)


@lru_cache(maxsize=1 << 12)
def _plain(piece: Piece) -> Piece:
    return piece.with_(tuck=None, open=None, cuffed=None, worn=None)


def choices_alike(choices: Sequence[Sequence[Piece]]) -> NDArray[np.float64]:
    """How alike the choices of one axis are, every pair of them, 0 to 1; nothing is like nothing.

    >>> tee, knit, v = (Piece.of(of) for of in ({"is": "tee"}, {"is": "knit", "colour": "white"}, {"is": "tee", "neck": "v"}))
    >>> choices_alike([[tee], [knit], [v], []]).round(2).tolist()[0]
    [1.0, 0.4, 0.75, 0.0]
    """
    numbers: dict[Piece, int] = {}
    most = max(1, *(len(one) for one in choices), 1)
    # Which pieces each choice has; the last number stands for none.
    which = np.full((len(choices), most), -1, dtype=np.intp)
    for row, pieces in enumerate(choices):
        for column, piece in enumerate(pieces):
            which[row, column] = numbers.setdefault(_plain(piece), len(numbers))
    table = np.zeros((len(numbers) + 1, len(numbers) + 1))
    for one, at in numbers.items():
        for other, against in numbers.items():
            table[at, against] = alike(one, other)
    nearest = table[which[:, None, :, None], which[None, :, None, :]].max(axis=3).sum(axis=2)
    many = np.array([len(one) for one in choices])
    larger = np.maximum(many[:, None], many[None, :])
    return np.asarray(np.where(larger == 0, 1.0, nearest / np.maximum(larger, 1)))


def likeness(family: Family) -> Likeness:
    """How alike the choices of each axis are, every pair of them."""
    return {axis: choices_alike([[way.piece for way in ways] for ways in family.at(axis)]) for axis in AXES}


def different(places: Sequence[Place], families: Sequence[Family], many: int, dial: float) -> list[Place]:
    """So many of the places (the best first): with the dial at 0 the best, at 1 those most unlike each other."""
    if dial <= 0 or len(places) <= 1:
        return list(places[:many])
    scores = np.array([score_of_rank(place.rank) for place in places])
    liken = [likeness(family) for family in families]
    of_family, at = np.array([place.family for place in places]), np.array([place.at for place in places])
    most = np.zeros(len(places))
    taken = [0]
    left = np.ones(len(places), dtype=bool)
    left[0] = False
    while len(taken) < min(many, len(places)):
        last = places[taken[-1]]
        most = np.maximum(most, _to(last, of_family == last.family, at, liken[last.family]))
        value = np.where(left, (1 - dial) * scores - dial * most, -np.inf)
        nearest = int(value.argmax())
        taken.append(nearest)
        left[nearest] = False
    return [places[number] for number in taken]


def _to(one: Place, same: NDArray[np.bool_], numbers: NDArray[np.int_], liken: Likeness) -> NDArray[np.float64]:
    """How alike one look is to each of the others: not at all to those of another family."""
    found = np.zeros(len(same))
    for axis, name in enumerate(AXES):
        at = np.where(same, numbers[:, axis], 0)
        found += WEIGHS[name] * np.where(same, liken[name][one.at[axis]][at], 0.0)
    return found / sum(WEIGHS[name] for name in AXES)
