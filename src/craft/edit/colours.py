"""The colours of a wardrobe: what is there and how much of it, neutrals and accents, what joins most, what is missing.

Colours that answer each other are one cluster (average linkage over the distance of craft/cloth/colour.py). A cluster joins as
many looks as work with a piece of it.
"""

from __future__ import annotations

from collections.abc import Iterable, Mapping, Sequence
from dataclasses import dataclass

import numpy as np
from scipy.cluster.hierarchy import fcluster, linkage
from scipy.spatial.distance import squareform

from craft.cloth import Piece
from craft.cloth.colour import ANSWERS, TONE, difference, hex_of, nearest_name
from craft.cloth.colouring import Axis, near_the_face, suits
from craft.cloth.piece import colour_of, colours_of
from craft.edit.neutral import is_neutral
from craft.judge.colour import FLATTERS, OVERPOWERS

#: Colours nearer than this on average are one cluster: one tone (CIEDE2000 over 100).
NEAR = TONE
#: What has more than this share of the pieces is enough of (W); so many colours join, are built on, are missing.
ENOUGH_OF, JOIN, BUILD_ON, MISSING = 0.2, 3, 3, 4
#: Of what stands at these places colour frames the face.
BY_THE_FACE = ("top", "layer", "one_piece")


@dataclass(frozen=True, slots=True)
class Cluster:
    """Colours that go for one: its name, the colour in its middle, its share of the pieces, and the keys of those."""

    name: str
    hex: str
    share: float
    pieces: tuple[str, ...]
    neutral: bool
    #: How many looks that work hold a piece of it.
    joins: int
    #: How it stands to the client's colouring: "good", "plain", "away" (kept from the face); "" where nothing is known.
    by_face: str
    #: The names of the colours in it, the most frequent first.
    holds: tuple[str, ...] = ()


@dataclass(frozen=True)
class Colours:
    """What a wardrobe says in colour."""

    clusters: tuple[Cluster, ...]
    #: The clusters that join most, by name; what to build on, what is enough of, what would be good and is not there.
    joins: tuple[str, ...]
    build_on: tuple[str, ...]
    enough: tuple[str, ...]
    missing: tuple[str, ...]
    neutral_share: float


def colours(
    pieces: Mapping[str, Piece], works_of: Mapping[str, int], colouring: Mapping[Axis, str] | None = None
) -> Colours:
    """Read the colours of a wardrobe: its pieces by key, in how many looks that work each stands, and the client's colouring.

    >>> rack = {str(at): Piece.of({"is": "tee", "colour": colour}) for at, colour in enumerate(("navy", "coral", "navy"))}
    >>> [(one.name, len(one.pieces)) for one in colours(rack, {"0": 5, "1": 2, "2": 4}).clusters]
    [('navy', 2), ('coral', 1)]
    """
    known = colouring or {}
    said = {key: colour_of(piece) for key, piece in pieces.items() if piece.slot != "swim"}
    if not said:
        return Colours((), (), (), (), _missing((), known), 0.0)
    clusters = sorted(
        (_cluster(keys, said, works_of, known) for keys in _grouped(said)),
        key=lambda one: (-len(one.pieces), -one.joins, one.name),
    )
    joins = sorted(clusters, key=lambda one: (-one.joins, one.name))
    good = [one for one in joins if one.joins and one.by_face != "away"]
    return Colours(
        tuple(clusters),
        tuple(one.name for one in joins[:JOIN] if one.joins),
        tuple(one.name for one in (*(one for one in good if one.neutral), *(one for one in good if not one.neutral)))[
            :BUILD_ON
        ],
        tuple(one.name for one in clusters if one.share > ENOUGH_OF),
        _missing(_second(pieces.values()), known),
        sum(one.share for one in clusters if one.neutral),
    )


def _grouped(said: Mapping[str, str]) -> list[list[str]]:
    """The keys of the pieces, those of near colours together."""
    different = sorted(set(said.values()))
    if len(different) == 1:
        return [list(said)]
    apart = np.array([[difference(one, other) for other in different] for one in different])
    apart = (apart + apart.T) / 2
    np.fill_diagonal(apart, 0.0)
    numbers = fcluster(linkage(squareform(apart, checks=False), "average"), NEAR, "distance")
    # A neutral and an accent are two things however near they lie.
    group = {colour: (int(number), is_neutral(colour)) for colour, number in zip(different, numbers, strict=True)}
    found: dict[tuple[int, bool], list[str]] = {}
    for key, colour in said.items():
        found.setdefault(group[colour], []).append(key)
    return list(found.values())


def _cluster(
    keys: Sequence[str], said: Mapping[str, str], works_of: Mapping[str, int], colouring: Mapping[Axis, str]
) -> Cluster:
    counted: dict[str, int] = {}
    for key in keys:
        counted[said[key]] = counted.get(said[key], 0) + 1
    listed = sorted(counted, key=lambda colour: (-counted[colour], colour))
    middle = min(listed, key=lambda one: sum(counted[other] * difference(one, other) for other in listed))
    return Cluster(
        name=middle if not middle.startswith("#") else nearest_name(middle),
        hex=hex_of(middle),
        share=len(keys) / len(said),
        pieces=tuple(keys),
        neutral=is_neutral(middle),
        joins=sum(works_of.get(key, 0) for key in keys),
        by_face=_by_face(middle, colouring),
        holds=tuple(dict.fromkeys(one if not one.startswith("#") else nearest_name(one) for one in listed)),
    )


def _by_face(colour: str, colouring: Mapping[Axis, str]) -> str:
    if not colouring:
        return ""
    off = suits(colour, {str(axis): word for axis, word in colouring.items()})
    return "good" if off <= FLATTERS else "away" if off >= OVERPOWERS else "plain"


def _second(pieces: Iterable[Piece]) -> tuple[str, ...]:
    """Every colour that is there, a print's second too."""
    return tuple(dict.fromkeys(one.colour for piece in pieces for one in colours_of(piece)))


def _missing(there: Sequence[str], colouring: Mapping[Axis, str]) -> tuple[str, ...]:
    """Good colours by this face that nothing there answers: neutrals and accents by turns, in the order in which they suit."""
    good = [one for one in near_the_face(colouring, 16) if all(difference(one, other) > ANSWERS for other in there)]
    apart: list[str] = []
    for colour in good:
        if all(difference(colour, other) > ANSWERS for other in apart):
            apart.append(colour)
    return tuple(apart[:MISSING])
