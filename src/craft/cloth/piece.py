"""A piece: one garment or pair of shoes, in words, with any flat measurements taken."""

from __future__ import annotations

import re
from collections.abc import Mapping
from dataclasses import dataclass, field
from typing import Any

from craft.cloth import words
from craft.cloth.kinds import FIBRES, FIGURES, KIND, Slot
from craft.errors import UnknownWord

_HEX = re.compile(r"^#[0-9a-f]{6}$")
#: What any single figure can be, by its unit.
POSSIBLE = {"cm": (0.0, 220.0), "%": (0.0, 100.0), "g/m²": (10.0, 1500.0)}


@dataclass(frozen=True, slots=True)
class Piece:
    """One piece, immutable and hashable. What it does not say is the plain middle for its kind.

    >>> Piece.of({"is": "jeans", "cut": "slim", "inseam_cm": 69}).figure("inseam_cm")
    69.0
    """

    kind: str
    said: tuple[tuple[str, Any], ...] = field(default=())
    figures: tuple[tuple[str, float], ...] = field(default=())
    # What is computed of a piece is kept by it, and its words are asked for many times a look.
    _words: Mapping[str, Any] = field(init=False, repr=False, compare=False)
    _figures: Mapping[str, float] = field(init=False, repr=False, compare=False)
    _hash: int = field(init=False, repr=False, compare=False)
    #: The slot of its kind, and the words of its cloth.
    slot: Slot = field(init=False, repr=False, compare=False)
    fabric: frozenset[str] = field(init=False, repr=False, compare=False)

    def __post_init__(self) -> None:
        object.__setattr__(self, "_words", dict(self.said))
        object.__setattr__(self, "_figures", dict(self.figures))
        object.__setattr__(self, "_hash", hash((self.kind, self.said, self.figures)))
        object.__setattr__(self, "slot", KIND[self.kind].slot)
        object.__setattr__(self, "fabric", self.words("fabric"))

    def __hash__(self) -> int:
        return self._hash

    @classmethod
    def of(cls, described: Mapping[str, Any]) -> Piece:
        """Make a piece from its words (`is`, `cut`, ...) and figures (`*_cm`, `*_pct`, `*_gsm`). Raises UnknownWord."""
        rest = dict(described)
        kind = rest.pop("is", None)
        if kind not in KIND:
            raise UnknownWord("kind", kind, tuple(KIND))
        figures, said = {}, {}
        for key, value in rest.items():
            if value is None or value == []:
                continue
            if words.unit_of(key):
                figures[key] = _figure(KIND[kind].slot, key, value)
            else:
                said[key] = _word(key, value)
        shares = sum(figures.get(f"{fibre}_pct", 0.0) for fibre in FIBRES)
        if shares > 100.5:
            raise UnknownWord("fibre share", f"{shares:g} % together")
        return cls(kind, tuple(sorted(said.items())), tuple(sorted(figures.items())))

    @property
    def place(self) -> str:
        """Where it goes in a look: its slot, or of what is worn besides its kind."""
        return KIND[self.kind].place

    @property
    def name(self) -> str:
        """The piece as spoken of: “slim jeans”, “shirt”."""
        cut = self.word("cut")
        # A cut the kind implies goes without saying, and so does a plain one.
        front = f"{words.said(cut)} " if cut and cut != "plain" else ""
        return f"{front}{words.said(self.kind)}"

    def word(self, key: str, default: str | None = None) -> str | None:
        """The word said for a key, or the default."""
        found: str | None = self._words.get(key, default)
        return found

    def words(self, key: str) -> frozenset[str]:
        """The words said for a key that takes several.

        >>> sorted(Piece.of({"is": "jeans", "fade": ["seat", "thighs"]}).words("fade"))
        ['seat', 'thighs']
        """
        return frozenset(self._words.get(key, ()))

    def says(self, key: str) -> bool:
        """Whether anything is said for a key."""
        return key in self._words

    def flag(self, key: str) -> bool:
        """Whether something is said to be so: cuffed, open, rolled."""
        return self._words.get(key) is True

    def figure(self, key: str) -> float | None:
        """A figure in the unit its key ends in, or None where none was taken."""
        return self._figures.get(key)

    def with_(self, **changes: Any) -> Piece:
        """A copy with words or figures changed; None removes one."""
        described = self.described() | changes
        return Piece.of({key: value for key, value in described.items() if value is not None})

    def described(self) -> dict[str, Any]:
        """The piece in words and figures again: what `Piece.of` reads."""
        said = {key: list(value) if isinstance(value, tuple) else value for key, value in self.said}
        return {"is": self.kind} | said | dict(self.figures)


def colour_of(piece: Piece) -> str:
    """What a piece is seen as: the colour said, or its kind's usual one.

    >>> colour_of(Piece.of({"is": "jeans"})), colour_of(Piece.of({"is": "jeans", "colour": "black"}))
    ('mid_blue', 'black')
    """
    return piece.word("colour") or KIND[piece.kind].colour


def _word(key: str, value: Any) -> Any:
    if key == "colour":
        if value in words.COLOURS or (isinstance(value, str) and _HEX.match(value.lower())):
            return value.lower()
        raise UnknownWord(key, value, tuple(words.COLOURS))
    if key in words.FLAGS:
        if not isinstance(value, bool):
            raise UnknownWord(key, value, ("true", "false"))
        return value
    if key in words.SOME_OF:
        listed = tuple(value) if isinstance(value, list | tuple) else (value,)
        for word in listed:
            if word not in words.SOME_OF[key]:
                raise UnknownWord(key, word, words.SOME_OF[key])
        return tuple(sorted(set(listed)))
    if key not in words.ONE_OF:
        raise UnknownWord("property of a piece", key)
    if value not in words.ONE_OF[key]:
        raise UnknownWord(key, value, words.ONE_OF[key])
    return value


def _figure(slot: str, key: str, value: Any) -> float:
    if key not in FIGURES.get(slot, ()):
        raise UnknownWord(f"figure of {words.said(slot)}", key, FIGURES.get(slot, ()))
    low, high = POSSIBLE[words.unit_of(key) or "cm"]
    if isinstance(value, bool) or not isinstance(value, int | float) or not low <= value <= high:
        raise UnknownWord(key, value)
    return float(value)
