"""Composing: pieces in words become one outfit on one height axis."""

from __future__ import annotations

from collections.abc import Iterable, Mapping
from dataclasses import dataclass
from functools import lru_cache
from typing import Any

from craft.body import Body, read_shape
from craft.cloth import Piece
from craft.cloth.kinds import UNDER_LAYER
from craft.look.areas import Area
from craft.look.edges import Edge, edges_of
from craft.look.readings import BESIDES, CLOTHES, Readings, reading
from craft.schools import Schools
from craft.wear import (
    BAREFOOT,
    WornBottom,
    WornLayer,
    WornShoes,
    WornTop,
    wear_bottom,
    wear_layer,
    wear_shoes,
    wear_top,
)

#: Crotch height over stature from which a torso is short (W: half-way between the usual body, 0.473, and one that is
#: said to be short in the torso, 0.491).
SHORT_TORSO = 0.482


@lru_cache(maxsize=256)
def shape_word(body: Body) -> str:
    """The shape that a body reads as; kept, for it is asked for every look."""
    return read_shape(body).shape


@lru_cache(maxsize=1024)
def _standing(body: Body, lift: float) -> Mapping[str, float]:
    return {name.removesuffix("_height"): figure.cm + lift for name, figure in body.heights.items()}


@dataclass(frozen=True, slots=True)
class Look:
    """The pieces of a look from the body outwards.

    >>> Look.of([{"is": "jeans"}, {"is": "tee"}]).piece("bottom").kind
    'jeans'
    """

    pieces: tuple[Piece, ...] = ()

    @classmethod
    def of(cls, described: Iterable[Mapping[str, Any]]) -> Look:
        """Read pieces from their words: a shirt that is open over another top is a layer. Raises UnknownWord.

        >>> Look.of([{"is": "tee"}, {"is": "shirt", "open": True}]).piece("layer").kind
        'shirt'
        """
        pieces: list[Piece] = []
        for piece in map(Piece.of, described):
            over = piece.slot == "top" and piece.flag("open") and any(one.slot == "top" for one in pieces)
            pieces.append(piece.with_(worn="over") if over else piece)
        return cls(tuple(pieces))

    def piece(self, slot: str) -> Piece | None:
        """The outermost piece of a slot."""
        # Asked for many times a look.
        for piece in reversed(self.pieces):
            if piece.slot == slot:
                return piece
        layers = self.all("layer") if slot == UNDER_LAYER else ()
        return layers[-2] if len(layers) > 1 else None

    def all(self, slot: str) -> tuple[Piece, ...]:
        """Every piece of a slot, from the body outwards."""
        return tuple(piece for piece in self.pieces if piece.slot == slot)

    @property
    def places(self) -> tuple[str, ...]:
        """The place of each piece in this look; of two layers the inner one's is `under_layer`.

        >>> Look.of([{"is": "cardigan"}, {"is": "coat"}, {"is": "belt"}]).places
        ('under_layer', 'layer', 'belt')
        """
        outer = self.piece("layer")
        inner = [piece.slot == "layer" and piece is not outer for piece in self.pieces]
        return tuple(UNDER_LAYER if under else one.place for one, under in zip(self.pieces, inner, strict=True))

    def place_of(self, piece: Piece) -> str:
        """The place of one of its pieces in this look."""
        return next(place for one, place in zip(self.pieces, self.places, strict=True) if one == piece)

    def changed(self, place: str, **changes: Any) -> Look:
        """A copy in which the piece at a place has other words or figures: the outermost of a slot, or of a kind worn
        besides."""
        changing = self.piece(place) or next((piece for piece in self.pieces if piece.kind == place), None)
        return Look(tuple(p.with_(**changes) if p is changing else p for p in self.pieces))


@dataclass(frozen=True)
class Outfit(Readings):
    """A look on a body: what every judgement and drawing reads. Heights above the ground, cm.

    A dress is a top and a bottom in one: `top` is its upper part, `bottom` the part below the waist; over
    trousers it is a top alone.
    """

    body: Body
    look: Look
    schools: Schools
    shoes: WornShoes
    bottom: WornBottom | None
    top: WornTop | None
    layers: tuple[WornLayer, ...] = ()

    @reading("shoes")
    def lift(self) -> float:
        """By how much the shoes lift the body, cm."""
        return self.shoes.lift

    @reading()
    def shape(self) -> str:
        """The shape this body reads as."""
        return shape_word(self.body)

    @reading()
    def short_torso(self) -> bool:
        """Whether the crotch lies high: little torso for the leg."""
        return self.body.height("crotch") / self.body.stature >= SHORT_TORSO

    @property
    def height(self) -> float:
        """Stature in these shoes."""
        return self.body.stature + self.lift

    @reading("shoes")
    def landmarks(self) -> Mapping[str, float]:
        """Every landmark of the body above the ground, in these shoes, cm."""
        return _standing(self.body, self.lift)

    def at(self, landmark: str) -> float:
        """A landmark of the body above the ground, in these shoes, cm."""
        return self.landmarks[landmark]

    @reading(*CLOTHES, "socks")
    def edges(self) -> tuple[Edge, ...]:
        """Every edge, top to bottom."""
        return edges_of(self.body, self.top, self.bottom, self.shoes, self.lift, self.layers, self.sock)

    def edge(self, key: str) -> Edge | None:
        """An edge by its key."""
        return next((edge for edge in self.edges if edge.key == key), None)

    def seen_at(self, height: float, *, behind: bool = False) -> Area | None:
        """The outermost closed cloth at a height above the ground, cm, from the front or from behind."""
        place = -height if behind else height
        if place not in self.over:
            self.over[place] = self._outermost(height, behind=behind)
        return self.over[place]

    @property
    def pieces(self) -> tuple[Piece, ...]:  # type: ignore[override]
        """The pieces of the look, from the body outwards."""
        return self.look.pieces

    @reading(*BESIDES)
    def extras(self) -> Mapping[str, Piece]:
        """Belt, necklace, scarf and so on, by kind."""
        return {piece.place: piece for piece in self.look.all("extra")}

    @property
    def outer(self) -> WornLayer | None:
        """The outermost layer."""
        return self.layers[-1] if self.layers else None

    @reading("one_piece")
    def one_piece(self) -> Piece | None:
        """The dress, jumpsuit or dungarees, if there is one."""
        return self.look.piece("one_piece")


def compose(body: Body, look: Look, schools: Schools | None = None, like: Outfit | None = None) -> Outfit:
    """Hang a look on a body: shoes first, since they lift all the rest.

    `like` is an outfit of the same body and schools; what the two looks share is not worn anew,
    which is what makes a search over many small changes quick.
    """
    schools = schools or Schools()
    shoe_piece = look.piece("shoes")
    if like is not None and like.look.piece("shoes") is shoe_piece:
        shoes = like.shoes
    else:
        shoes = wear_shoes(body, shoe_piece) if shoe_piece else BAREFOOT
    bottom = hang_bottom(body, look, shoes, schools)
    top = hang_top(body, look, shoes.lift, bottom)
    layers = [wear_layer(body, piece, shoes.lift) for piece in look.all("layer")]
    return Outfit(body, look, schools, shoes, bottom, top, tuple(layers))


def _over(look: Look, one: Piece, other: Piece) -> bool:
    """Whether one piece is worn over another."""
    return look.pieces.index(one) > look.pieces.index(other)


def hang_bottom(body: Body, look: Look, shoes: WornShoes, schools: Schools) -> WornBottom | None:
    """What is worn below: the bottom, or the legs or skirt of what covers both."""
    piece = look.piece("bottom") or look.piece("one_piece")
    return None if piece is None else wear_bottom(body, piece, shoes, schools)


def hang_top(body: Body, look: Look, lift: float, bottom: WornBottom | None) -> WornTop | None:
    """The top that is seen: the outermost one, or the upper part of a dress or jumpsuit."""
    piece, whole = look.piece("top"), look.piece("one_piece")
    if piece is not None and whole is not None and _over(look, whole, piece) and "top" in whole.row.covers:
        # What is worn beneath a dress shows at neck and sleeve only.
        piece = None
    if piece is not None:
        # A bib holds what is under it in.
        held = whole is not None and "top" not in whole.row.covers
        return wear_top(body, piece, lift, bottom.waistband if bottom else None, held=held)
    if whole is None or "top" not in whole.row.covers:
        return None
    # Worn over trousers a dress is a top, all of it.
    ends = bottom.waistband if bottom is not None and look.piece("bottom") is None else None
    return wear_top(body, whole, lift, None, hem=ends)
