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


def alike(one: Sequence[Piece], other: Sequence[Piece]) -> float:
    """How alike two choices of one axis are, 0 to 1; nothing is like nothing.

    >>> tee, knit = Piece.of({"is": "tee"}), Piece.of({"is": "knit", "colour": "white"})
    >>> alike([tee], [tee]), alike([tee], [knit]) < alike([tee], [Piece.of({"is": "tee", "neck": "v"})])
    (1.0, True)
    """
    if not one or not other:
        return 1.0 if not one and not other else 0.0
    pairs = [max(_alike(piece, against) for against in other) for piece in one]
    return sum(pairs) / max(len(one), len(other))


@lru_cache(maxsize=1 << 17)
def _alike(one: Piece, other: Piece) -> float:
    if _plain(one) == _plain(other):
        return 1.0
    apart = difference(colour_of(one), colour_of(other))
    colour = SAME_COLOUR if apart <= TONE else NEAR_COLOUR if apart <= ANSWERS else 0.0
    return colour + (SAME_KIND if one.kind == other.kind else 0.0)


@lru_cache(maxsize=1 << 12)
def _plain(piece: Piece) -> Piece:
    return piece.with_(tuck=None, open=None, cuffed=None, worn=None)


def likeness(family: Family) -> Likeness:
    """How alike the choices of each axis are, every pair of them."""
    found = {}
    for axis in AXES:
        pieces = [[way.piece for way in ways] for ways in family.at(axis)]
        found[axis] = np.array([[alike(one, other) for other in pieces] for one in pieces])
    return found


def different(places: Sequence[Place], families: Sequence[Family], many: int, dial: float) -> list[Place]:
    """So many of the places (the best first): with the dial at 0 the best, at 1 those most unlike each other."""
    if dial <= 0 or len(places) <= 1:
        return list(places[:many])
    scores = np.array([score_of_rank(place.rank) for place in places])
    liken = [likeness(family) for family in families]
    most = np.zeros(len(places))
    taken = [0]
    left = np.ones(len(places), dtype=bool)
    left[0] = False
    while len(taken) < min(many, len(places)):
        most = np.maximum(most, _to(places[taken[-1]], places, liken))
        value = np.where(left, (1 - dial) * scores - dial * most, -np.inf)
        nearest = int(value.argmax())
        taken.append(nearest)
        left[nearest] = False
    return [places[number] for number in taken]


def _to(one: Place, places: Sequence[Place], liken: Sequence[Likeness]) -> NDArray[np.float64]:
    """How alike one look is to each of the others."""
    same = np.array([place.family == one.family for place in places])
    found = np.zeros(len(places))
    numbers = np.array([place.at for place in places])
    weight = 0.0
    for axis, name in enumerate(AXES):
        table = liken[one.family][name]
        weight += WEIGHS[name]
        at = np.where(same, numbers[:, axis], 0)
        found += WEIGHS[name] * np.where(same, table[one.at[axis]][at], 0.0)
    return found / weight
