"""A piece: one garment or pair of shoes, in words, with any flat measurements taken."""

from __future__ import annotations

import re
from collections.abc import Mapping, Sequence
from dataclasses import dataclass, field
from typing import Any, NamedTuple

from craft.cloth import words
from craft.cloth.kinds import FIBRES, FIGURES, KIND, Kind, Slot
from craft.errors import UnknownWord
from craft.facts import fact

_HEX = re.compile(r"^#[0-9a-f]{6}$")
_PLAIN = (str, int, float)
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
    #: The row of its kind, its slot, what rules call it (with the marks that it says), and the words of its cloth. A top that is worn over another
    #: is a layer.
    row: Kind = field(init=False, repr=False, compare=False)
    slot: Slot = field(init=False, repr=False, compare=False)
    seen_as: frozenset[str] = field(init=False, repr=False, compare=False)
    #: Where it goes in a look: its slot, or of what is worn besides its kind; a knit round the shoulders as a scarf, a shirt over another
    #: top as a layer.
    place: str = field(init=False, repr=False, compare=False)
    fabric: frozenset[str] = field(init=False, repr=False, compare=False)

    def __post_init__(self) -> None:
        object.__setattr__(self, "_words", dict(self.said))
        object.__setattr__(self, "_figures", dict(self.figures))
        object.__setattr__(self, "_hash", hash((self.kind, self.said, self.figures)))
        row = KIND[self.kind]
        object.__setattr__(self, "row", row)
        worn = self._words.get("worn") if row.slot in ("top", "layer") else None
        over, round_ = worn == "over" and row.slot == "top", worn == "shoulders"
        object.__setattr__(self, "slot", "extra" if round_ else "layer" if over else row.slot)
        marks = {key for key in words.MARKS if key in self._words}
        seen_as = frozenset({"scarf"}) if round_ else frozenset({"layer"}) if over else row.seen_as
        object.__setattr__(self, "seen_as", seen_as | marks if marks else seen_as)
        place = "layer" if self.slot == "layer" else "scarf" if "scarf" in seen_as else row.place
        object.__setattr__(self, "place", place)
        object.__setattr__(self, "fabric", self.words("fabric"))

    def __hash__(self) -> int:
        return self._hash

    @classmethod
    def of(cls, described: Mapping[str, Any]) -> Piece:
        """Make a piece from its words (`is`, `cut`, ...) and figures (`*_cm`, `*_pct`, `*_gsm`). Raises UnknownWord."""
        rest = dict(described)
        kind = rest.pop("is", None)
        if not isinstance(kind, str) or kind not in KIND:
            raise UnknownWord("kind", kind, tuple(KIND))
        figures: dict[str, float] = {}
        said: dict[str, Any] = {}
        for key, value in rest.items():
            if value is None or value == []:
                continue
            if not _is_said(value):
                raise UnknownWord(key, "a list or a table where a word is meant")
            if words.unit_of(key):
                figures[key] = _figure(KIND[kind].slot, key, value)
            elif key == "colour" and isinstance(value, list | tuple):
                said |= _colours(value)
            else:
                said[key] = _word(key, value)
        shares = sum(figures.get(f"{fibre}_pct", 0.0) for fibre in FIBRES)
        if shares > 100.5:
            raise UnknownWord("fibre share", f"{shares:g} % together")
        return cls(kind, tuple(sorted(said.items())), tuple(sorted(figures.items())))

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


class Colour(NamedTuple):
    """One colour of a piece, and the share of it that it takes."""

    colour: str
    share: float


#: What a second and a third colour take of a piece where nobody said (W).
SECOND, THIRD = 0.3, 0.12


@fact
def colours_of(piece: Piece) -> tuple[Colour, ...]:
    """Every colour of a piece with its share, the ground first.

    >>> [colour for colour, _ in colours_of(Piece.of({"is": "scarf", "colour": ["navy", "camel"]}))]
    ['navy', 'camel']
    """
    more = []
    for key, usual in (("second_colour", SECOND), ("third_colour", THIRD)):
        colour, said = piece.word(key), piece.figure(f"{key}_pct")
        if colour is not None:
            more.append(Colour(colour, usual if said is None else said / 100))
    ground = max(0.0, 1.0 - sum(share for _, share in more))
    return (Colour(colour_of(piece), ground), *more)


@fact
def is_metal(piece: Piece) -> bool:
    """Whether a piece shines as metal does: jewellery in a metal's colour, or a surface said to be so.

    >>> is_metal(Piece.of({"is": "necklace", "colour": "gold"})), is_metal(Piece.of({"is": "tee", "colour": "silver"}))
    (True, False)
    """
    if piece.word("surface") is not None:
        return piece.word("surface") == "metallic"
    return colour_of(piece) in words.METALS and piece.slot in ("extra", "shoes")


@fact
def colour_of(piece: Piece) -> str:
    """What a piece is seen as: the colour said, or its kind's usual one.

    >>> colour_of(Piece.of({"is": "jeans"})), colour_of(Piece.of({"is": "jeans", "colour": "black"}))
    ('mid_blue', 'black')
    """
    return piece.word("colour") or KIND[piece.kind].colour


def _is_said(value: Any) -> bool:
    """Whether a value is a word or a figure, or a list of such: nothing else can be said of a piece."""
    if isinstance(value, _PLAIN):
        return True
    return isinstance(value, list | tuple) and all(isinstance(one, _PLAIN) for one in value)


def _colours(listed: Sequence[Any]) -> dict[str, Any]:
    """The colours of a piece that were listed: ground, second, third."""
    if len(listed) > len(words.COLOUR_KEYS):
        raise UnknownWord("colour", f"{len(listed)} colours", ("up to three",))
    return {key: _word("colour", colour) for key, colour in zip(words.COLOUR_KEYS, listed, strict=False)}


def _word(key: str, value: Any) -> Any:
    if key in words.COLOUR_KEYS:
        if isinstance(value, str) and (value in words.COLOURS or _HEX.match(value.lower())):
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
    if isinstance(value, list | tuple) or value not in words.ONE_OF[key]:
        raise UnknownWord(key, value, words.ONE_OF[key])
    return value


def _figure(slot: str, key: str, value: Any) -> float:
    if key not in FIGURES.get(slot, ()):
        raise UnknownWord(f"figure of {words.said(slot)}", key, FIGURES.get(slot, ()))
    low, high = POSSIBLE[words.unit_of(key) or "cm"]
    if isinstance(value, bool) or not isinstance(value, int | float) or not low <= value <= high:
        raise UnknownWord(key, value)
    return float(value)
