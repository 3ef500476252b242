"""What is wished of a search beside the rules: what must be on and what not, what was rejected together, one statement."""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import dataclass
from typing import Any

import numpy as np
from numpy.typing import NDArray

from craft.cloth import Piece
from craft.cloth.colour import ANSWERS, chroma, difference
from craft.cloth.piece import colour_of, is_metal
from craft.look.readings import DETAIL
from craft.search.wardrobe import Chosen, Family
from craft.search.worn import AXES
from craft.wear.openings import leaves_neck

#: A piece from this much detail on, or in a colour of this chroma, is a statement (detail of readings.py; OKLCH; W).
STATEMENT, LOUD = 0.8, 0.17
Mask = NDArray[np.bool_]


@dataclass(frozen=True)
class Wish:
    """What is wished, by the keys of pieces: all of these, none of those, none of these sets together, at most one
    statement."""

    must: frozenset[str] = frozenset()
    must_not: frozenset[str] = frozenset()
    apart: frozenset[frozenset[str]] = frozenset()
    one_statement: bool = False
    #: The bases of looks that were worn lately: not again so soon.
    lately: frozenset[frozenset[str]] = frozenset()
    #: Colours wanted by the face: what frames it answers one of them.
    by_the_face: frozenset[str] = frozenset()

    def barred(self, family: Family) -> list[Mask]:
        """Which looks of a family are not to be: masks, each over the axes that it depends on."""
        has = _Has(family)
        found = [has.at_once(key) for key in has.movable]
        found += [_together(has, keys) for keys in sorted(self.apart | self.lately, key=sorted)]
        found += [~has.any(key) for key in self.must]
        found += [has.any(key) for key in self.must_not]
        found.append(_into_no_boot(family))
        if self.one_statement:
            found.append(_loud(family) > 1)
        if self.by_the_face:
            found.append(~_framed(family, self.by_the_face))
        return [mask for mask in found if mask.any()]


class _Has:
    """On which axes, in which choices, a piece is worn."""

    def __init__(self, family: Family) -> None:
        self._on: dict[str, dict[int, Mask]] = {}
        for axis, name in enumerate(AXES):
            choices = family.at(name)
            for number, ways in enumerate(choices):
                for way in ways:
                    on = self._on.setdefault(way.key, {})
                    on.setdefault(axis, np.zeros(len(choices), dtype=bool))[number] = True

    def any(self, key: str) -> Mask:
        """Which looks have a piece, wherever it is worn."""
        found: Mask = np.zeros((1,) * len(AXES), dtype=bool)
        for axis, line in self._on.get(key, {}).items():
            found = found | along(axis, line)
        return found

    @property
    def movable(self) -> list[str]:
        """Pieces that could be worn at one place or another, and not at both at once."""
        return [key for key, on in self._on.items() if len(on) > 1]

    def at_once(self, key: str) -> Mask:
        """Which looks have a piece at two places at once."""
        lines = [along(axis, line) for axis, line in self._on[key].items()]
        found: Any = sum(line.astype(np.int8) for line in lines)
        return np.asarray(found > 1)


def _together(has: _Has, keys: Iterable[str]) -> Mask:
    found: Mask = np.ones((1,) * len(AXES), dtype=bool)
    for key in keys:
        found = found & has.any(key)
    return found


def along(axis: int, line: NDArray[Any]) -> NDArray[Any]:
    """Values of the choices on an axis, for all looks."""
    shape = [1] * len(AXES)
    shape[axis] = len(line)
    return line.reshape(shape)


def _into_no_boot(family: Family) -> Mask:
    """A leg is worn inside a boot or not at all."""
    inside = np.array([any(dict(way.worn).get("worn") == "inside" for way in ways) for ways in family.at("bottom")])
    low = np.array([not any(way.piece.row.is_boot for way in ways) for ways in family.at("shoes")])
    return np.asarray(along(0, inside) & along(3, low))


def is_statement(piece: Piece) -> bool:
    """Whether a piece speaks louder than the rest: by a print, a frill, shine or a loud colour.

    >>> is_statement(Piece.of({"is": "blouse", "pattern": "large_print"})), is_statement(Piece.of({"is": "tee"}))
    (True, False)
    """
    words = (piece.word("cut"), piece.word("pattern"), *piece.fabric)
    detail = sum(DETAIL.get(word, 0.0) for word in words if word)
    shines = is_metal(piece) and piece.slot != "extra"
    return detail >= STATEMENT or shines or chroma(colour_of(piece)) >= LOUD


def _framed(family: Family, wanted: frozenset[str]) -> Mask:
    """Whether what frames the face answers a wanted colour: a scarf that says its colour, else what is outermost
    at the neck (`Readings.by_the_face`)."""
    found: Any = np.zeros((1,) * len(AXES), dtype=bool)
    for axis in (AXES.index("one_piece"), AXES.index("top"), AXES.index("layer"), AXES.index("besides")):
        colours = [_colour_at(ways, AXES[axis]) for ways in family.at(AXES[axis])]
        there = np.array([colour is not None for colour in colours])
        near = np.array([colour is not None and _answers(colour, wanted) for colour in colours])
        found = np.where(along(axis, there), along(axis, near), found)
    return np.asarray(found)


def _colour_at(ways: Chosen, axis: str) -> str | None:
    """The colour that a choice brings to the face; None where it leaves that to what is under it."""
    if axis == "besides":
        return next((way.piece.word("colour") for way in ways if way.piece.place == "scarf"), None)
    return next((colour_of(way.piece) for way in reversed(ways) if not leaves_neck(way.piece)), None)


def _answers(colour: str, wanted: frozenset[str]) -> bool:
    return any(difference(colour, one) <= ANSWERS for one in wanted)


def _loud(family: Family) -> NDArray[np.int64]:
    found: Any = np.zeros((1,) * len(AXES), dtype=np.int64)
    for axis, name in enumerate(AXES):
        counts = [sum(is_statement(way.piece) for way in ways) for ways in family.at(name)]
        found = found + along(axis, np.array(counts))
    return np.asarray(found)
