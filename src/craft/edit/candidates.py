"""What might be bought: pieces by kind, cut, rise, length, colour and cloth, never one exact thing of a shop.

A candidate is worn as its words land on the client's own body; what is looked for in a shop is the range of figures behind
those words (numbers.py). Shapes are those that the trade buys first (brief, sections 13, 18 and 20), in the neutrals that most
wardrobes stand on and in the colours that this client's colouring, or what hangs there, asks for.
"""

from __future__ import annotations

from collections.abc import Iterable, Iterator, Mapping
from dataclasses import dataclass
from typing import Any

from craft.cloth import Piece
from craft.cloth.colouring import near_the_face
from craft.cloth.piece import colour_of
from craft.edit.neutral import is_neutral
from craft.search.ways import Owned

Words = Mapping[str, Any]

#: What is told apart by place: the shapes, each worth trying in every colour of its list.
SHAPES: dict[str, tuple[Words, ...]] = {
    "bottom": (
        {"is": "trousers", "cut": "straight", "rise": "high", "hem": "ankle"},
        {"is": "trousers", "cut": "straight", "rise": "mid", "hem": "ankle"},
        {"is": "trousers", "cut": "straight", "rise": "high", "hem": "foot"},
        {"is": "trousers", "cut": "wide", "rise": "high", "hem": "foot"},
        {"is": "trousers", "cut": "slim", "rise": "high", "hem": "ankle"},
        {"is": "jeans", "cut": "straight", "rise": "high", "hem": "ankle"},
        {"is": "jeans", "cut": "straight", "rise": "mid", "hem": "ankle"},
        {"is": "jeans", "cut": "bootcut", "rise": "high", "hem": "foot"},
        {"is": "jeans", "cut": "wide", "rise": "high", "hem": "foot"},
        {"is": "trousers", "cut": "wide", "rise": "high", "hem": "ankle", "fabric": ["linen"]},
        {"is": "shorts", "rise": "high", "hem": "above_knee"},
        {"is": "skirt", "cut": "a_line", "hem": "knee"},
        {"is": "skirt", "cut": "pleated", "hem": "lower_calf"},
        {"is": "skirt", "cut": "slip", "hem": "lower_calf", "fabric": ["satin"]},
        {"is": "skirt", "cut": "pencil", "hem": "below_knee"},
    ),
    "one_piece": (
        {"is": "dress", "cut": "wrap", "neck": "v", "sleeve": "three_quarter", "hem": "below_knee"},
        {"is": "dress", "cut": "shift", "sleeve": "elbow", "hem": "knee"},
        {"is": "dress", "cut": "a_line", "sleeve": "short", "hem": "below_knee"},
        {"is": "dress", "cut": "a_line", "sleeve": "none", "hem": "below_knee", "fabric": ["linen"]},
        {"is": "jumpsuit", "cut": "straight", "hem": "ankle"},
    ),
    "top": (
        {"is": "tee", "fit": "skimming"},
        {"is": "tee", "fit": "fitted", "neck": "v"},
        {"is": "shirt", "fit": "relaxed"},
        {"is": "shirt", "fit": "skimming"},
        {"is": "blouse", "fit": "skimming", "neck": "v"},
        {"is": "blouse", "fit": "skimming", "neck": "v", "fabric": ["satin"]},
        {"is": "blouse", "fit": "skimming", "sleeve": "elbow"},
        {"is": "knit", "fit": "skimming"},
        {"is": "knit", "fit": "fitted", "neck": "v"},
        {"is": "knit", "fit": "relaxed", "fabric": ["chunky"]},
        {"is": "shirt", "fit": "relaxed", "fabric": ["linen"]},
        {"is": "tank", "fit": "skimming"},
        {"is": "camisole", "fabric": ["satin"]},
    ),
    "layer": (
        {"is": "blazer", "fit": "skimming", "hem": "hip", "open": True},
        {"is": "blazer", "fit": "relaxed", "hem": "seat", "open": True},
        {"is": "cardigan", "fit": "skimming", "hem": "hip", "open": True},
        {"is": "cardigan", "cut": "longline", "open": True},
        {"is": "jacket", "fit": "skimming", "hem": "high_hip", "open": True},
        {"is": "kimono", "open": True},
        {"is": "waistcoat", "fit": "fitted"},
        {"is": "coat", "fit": "relaxed", "hem": "knee", "open": True},
    ),
    "shoes": (
        {"is": "trainers"},
        {"is": "flats", "toe": "pointed"},
        {"is": "flats", "toe": "almond"},
        {"is": "loafers", "toe": "almond"},
        {"is": "slingbacks", "heel": "kitten", "toe": "pointed"},
        {"is": "pumps", "heel": "kitten", "toe": "pointed"},
        {"is": "pumps", "heel": "mid", "toe": "pointed"},
        {"is": "sandals"},
        {"is": "ankle_boots", "shaft": "close", "toe": "almond"},
    ),
    "extra": (
        {"is": "belt", "belted": "medium"},
        {"is": "belt", "belted": "thin"},
        {"is": "scarf"},
        {"is": "necklace", "drop": "long"},
        {"is": "bag"},
    ),
}  # fmt: skip
#: Colours tried at each place beside the client's own good ones: what most wardrobes of this trade stand on.
COLOURS: dict[str, tuple[str, ...]] = {
    "bottom": ("navy", "black", "charcoal", "camel", "cream", "olive"),
    "one_piece": ("navy", "black", "burgundy", "dark_green"),
    "top": ("white", "cream", "navy", "black", "light_blue", "burgundy"),
    "layer": ("navy", "charcoal", "camel", "cream", "black"),
    "shoes": ("black", "navy", "tan", "white"),
    "extra": ("black", "cognac", "camel", "navy"),
}
#: What denim, metal and canvas come in, whatever else is tried.
OWN_COLOURS: dict[str, tuple[str, ...]] = {
    "jeans": ("dark_denim", "mid_blue", "black", "white"),
    "trainers": ("white", "black", "navy"),
    "necklace": ("silver", "gold"),
}
#: So many of the client's good colours are tried at a place where colour frames the face or is small, and of the accents that
#: hang there already; below the waist fewer, for there it matters less (brief, section 19).
GOOD: dict[str, int] = {"bottom": 2, "one_piece": 4, "top": 5, "layer": 2, "shoes": 0, "extra": 3}
#: A cheap thing that restyles a dear one, or one that takes the money; and what carries over years or fills a season (brief, 13, 18).
SMALL_THINGS = ("extra",)
FOR_A_SEASON_CLOTH = ("linen", "satin", "crochet")


@dataclass(frozen=True, slots=True)
class Candidate:
    """A thing that might be bought: its key, and the piece in words."""

    key: str
    piece: Piece

    @property
    def place(self) -> str:
        """Where it is worn: bottom, top, one_piece, layer, shoes, or extra."""
        return self.piece.slot

    @property
    def is_small(self) -> bool:
        """Whether it is a cheap thing that restyles dearer ones."""
        return self.place in SMALL_THINGS

    @property
    def lasts(self) -> bool:
        """Whether it is long-lived: a neutral in a cloth for most of the year."""
        of_a_season = any(word in FOR_A_SEASON_CLOTH for word in self.piece.fabric)
        return is_neutral(colour_of(self.piece)) and not of_a_season and self.piece.kind != "sandals"

    @property
    def owned(self) -> Owned:
        """The candidate as if it hung there."""
        return Owned(self.key, self.piece)


def candidates(colouring: Mapping[Any, str] | None = None, owned: Iterable[Piece] = ()) -> tuple[Candidate, ...]:
    """What to try for a client of a colouring, who owns these: the accents that hang there are taken up, so that what is bought
    meets them.

    >>> found = candidates({"warmth": "cool"})
    >>> 300 < len(found) < 440, len({one.key for one in found}) == len(found)
    (True, True)
    """
    good = near_the_face(colouring or {}, 12)
    accents = _accents(owned)
    return tuple(
        Candidate(" ".join((colour, *_said(words))), Piece.of({**words, "colour": colour}))
        for place, shapes in SHAPES.items()
        for words in shapes
        for colour in _colours(place, words, good, accents)
    )


def _colours(place: str, words: Words, good: tuple[str, ...], accents: tuple[str, ...]) -> tuple[str, ...]:
    if words["is"] in OWN_COLOURS:
        return OWN_COLOURS[words["is"]]
    mixed = [
        colour for pair in zip([*good, *[""] * 12], [*accents, *[""] * 12], strict=False) for colour in pair if colour
    ]
    more = [colour for colour in dict.fromkeys(mixed) if colour not in COLOURS[place]]
    return (*COLOURS[place], *more[: GOOD[place]])


def _accents(owned: Iterable[Piece]) -> tuple[str, ...]:
    """The accents that hang there, by their names, the most frequent first."""
    counted: dict[str, int] = {}
    for piece in owned:
        for key in ("colour", "second_colour"):
            colour = piece.word(key)
            if colour and not colour.startswith("#") and not is_neutral(colour):
                counted[colour] = counted.get(colour, 0) + 1
    return tuple(sorted(counted, key=lambda colour: (-counted[colour], colour)))


def _said(words: Words) -> Iterator[str]:
    for key, value in words.items():
        yield from value if isinstance(value, list) else (key,) if value is True else (str(value),)
