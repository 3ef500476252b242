"""Composing: pieces in words become one outfit on one height axis."""

from __future__ import annotations

from collections.abc import Iterable, Mapping
from dataclasses import dataclass
from functools import cached_property, lru_cache
from typing import Any

from craft.body import Body, read_shape
from craft.cloth import Piece
from craft.look.areas import Area, areas_of
from craft.look.edges import Edge, edges_of
from craft.schools import Schools
from craft.wear import (
    BAREFOOT,
    Landing,
    WornBottom,
    WornLayer,
    WornShoes,
    WornTop,
    wear_bottom,
    wear_layer,
    wear_shoes,
    wear_skirt,
    wear_top,
)
from craft.wear.shoes import sock_top

#: A strip of bare leg narrower than this between hem and shoe reads as a join, cm (W).
JOINED = 1.5
#: What a layer leaves of a waist that is marked under it: closed over it, open over it, or ending above it (W).
UNDER_CLOSED, UNDER_OPEN = 0.25, 0.75
#: How clearly a belt over everything marks the waist (0 to 1).
BELTED = 1.0


#: Crotch height over stature from which a torso is short (W: half-way between the usual body, 0.473, and one that is
#: said to be short in the torso, 0.491).
SHORT_TORSO = 0.482


@lru_cache(maxsize=256)
def _shape(body: Body) -> str:
    return read_shape(body).shape


@dataclass(frozen=True, slots=True)
class Look:
    """The pieces of a look from the body outwards.

    >>> Look.of([{"is": "jeans"}, {"is": "tee"}]).piece("bottom").kind
    'jeans'
    """

    pieces: tuple[Piece, ...] = ()

    @classmethod
    def of(cls, described: Iterable[Mapping[str, Any]]) -> Look:
        """Read pieces from their words. Raises UnknownWord."""
        return cls(tuple(Piece.of(words) for words in described))

    def piece(self, slot: str) -> Piece | None:
        """The outermost piece of a slot."""
        return next((piece for piece in reversed(self.pieces) if piece.slot == slot), None)

    def all(self, slot: str) -> tuple[Piece, ...]:
        """Every piece of a slot, from the body outwards."""
        return tuple(piece for piece in self.pieces if piece.slot == slot)

    def changed(self, place: str, **changes: Any) -> Look:
        """A copy in which the piece at a place has other words or figures: the outermost of a slot, or of a kind worn
        besides."""
        changing = self.piece(place) or next((piece for piece in self.pieces if piece.kind == place), None)
        return Look(tuple(p.with_(**changes) if p is changing else p for p in self.pieces))


@dataclass(frozen=True)
class Outfit:
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

    @property
    def lift(self) -> float:
        return self.shoes.lift

    @property
    def shape(self) -> str:
        """The shape this body reads as."""
        return _shape(self.body)

    @property
    def short_torso(self) -> bool:
        """Whether the crotch lies high: little torso for the leg."""
        return self.body.height("crotch") / self.body.stature >= SHORT_TORSO

    @property
    def height(self) -> float:
        """Stature in these shoes."""
        return self.body.stature + self.lift

    @cached_property
    def edges(self) -> tuple[Edge, ...]:
        return edges_of(self.body, self.top, self.bottom, self.shoes, self.lift, self.layers, self.sock)

    def edge(self, key: str) -> Edge | None:
        return next((edge for edge in self.edges if edge.key == key), None)

    @cached_property
    def areas(self) -> tuple[Area, ...]:
        """What is seen of each piece, outermost first."""
        return areas_of(self.body, self.top, self.bottom, self.shoes, self.layers, self.lift)

    def seen_at(self, height: float) -> Area | None:
        """The outermost closed cloth at a height above the ground, cm."""
        return next((area for area in self.areas if area.low <= height <= area.high and area.share >= 0.5), None)

    @cached_property
    def extras(self) -> Mapping[str, Piece]:
        """Belt, necklace, scarf and so on, by kind."""
        return {piece.kind: piece for piece in self.look.all("extra")}

    @cached_property
    def sock(self) -> Landing | None:
        """Where the socks end, if there are any."""
        piece = self.extras.get("socks")
        return sock_top(piece, self.lift) if piece else None

    @property
    def outer(self) -> WornLayer | None:
        return self.layers[-1] if self.layers else None

    @property
    def one_piece(self) -> Piece | None:
        return self.look.piece("one_piece")

    @cached_property
    def belt(self) -> str | None:
        """The width of a belt that is seen, wherever it is worn."""
        belt = self.extras.get("belt")
        if belt is not None:
            return belt.word("belted") or "medium"
        worn = [layer.belted for layer in self.layers if layer.belted]
        own = self.one_piece.word("belted") if self.one_piece else None
        return worn[-1] if worn else own

    @cached_property
    def above(self) -> float:
        """How full the upper body looks, 0 to 4: what is outermost, an open layer by half."""
        own = self.top.volume if self.top else 0.0
        if self.outer is None:
            return own
        outer = self.outer
        if outer.belted or (self.belt and not outer.open):
            return max(own, 0.6 * outer.volume)
        return max(own, 0.5 * own + 0.5 * outer.volume) if outer.open else max(own, outer.volume)

    @cached_property
    def waist_marked(self) -> float:
        """How clearly the waist is marked, 0 to 1."""
        own = self.top.marks_waist if self.top else 0.0
        if self.belt:
            own = max(own, BELTED if not self.layers or self.outer_belted else 0.9)
        if self.outer_belted:
            return BELTED
        waist = self.body.height("waist") + self.lift
        for layer in self.layers:
            if layer.hem.cm >= waist - 3.0:
                continue
            if layer.open:
                own *= UNDER_OPEN
            else:
                # A close layer has a waist of its own; a full one hides it.
                own = max(own * UNDER_CLOSED, 0.45 if layer.volume <= 1.6 else 0.0)
        return own

    @property
    def outer_belted(self) -> bool:
        return self.outer is not None and self.outer.belted is not None

    @cached_property
    def break_at(self) -> float | None:
        """Where the eye sees the figure divide: the band where it shows, else the top's hem."""
        if self.bottom is None:
            return None
        band = self.bottom.waistband.cm
        outer = self.outer
        if outer is not None and not outer.open and outer.hem.cm < band and not outer.belted:
            return outer.hem.cm
        if self.top is None or self.top.hem.cm >= band:
            return band
        share = {"full": 1.0, "bloused": 1.0, "bra": 1.0, "front": 0.8, "knot": 0.85, "half": 0.65, "side": 0.4}
        marked = max(share.get(self.top.tuck, 0.0), 0.9 if self.belt else 0.0)
        return band * marked + self.top.hem.cm * (1 - marked)

    @property
    def below_share(self) -> float | None:
        """Share of the whole figure below the break."""
        return None if self.break_at is None else self.break_at / self.height

    @cached_property
    def below_hem(self) -> float:
        """Leg between the lowest hem and the shoe, bare or in tights, cm; nought where they meet."""
        if self.bottom is None or self.bottom.inside:
            return 0.0
        lowest = min([self.bottom.hem.cm, *(layer.hem.cm for layer in self.layers if not layer.open)])
        gap = lowest - max(self.shoes.cover.cm, self.sock.cm if self.sock else 0.0)
        return gap if gap > JOINED else 0.0

    @property
    def skin(self) -> float:
        """Bare leg between the lowest hem and the shoe, cm."""
        return 0.0 if "tights" in self.extras else self.below_hem


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
    bottom = _bottom(body, look, shoes, schools)
    top = _top(body, look, shoes.lift, bottom)
    layers = [wear_layer(body, piece, shoes.lift) for piece in look.all("layer")]
    return Outfit(body, look, schools, shoes, bottom, top, tuple(layers))


def _bottom(body: Body, look: Look, shoes: WornShoes, schools: Schools) -> WornBottom | None:
    piece = look.piece("bottom") or look.piece("one_piece")
    if piece is None:
        return None
    if piece.kind in ("skirt", "dress"):
        return wear_skirt(body, piece, shoes.lift, schools)
    if piece.kind == "shorts" and piece.word("hem") is None and piece.figure("inseam_cm") is None:
        piece = piece.with_(hem="mid_thigh")
    if piece.slot == "one_piece" and piece.word("rise") is None:
        piece = piece.with_(rise="very_high")
    return wear_bottom(body, piece, shoes, schools)


def _top(body: Body, look: Look, lift: float, bottom: WornBottom | None) -> WornTop | None:
    """The top that is seen: the outermost one, or the upper part of a dress or jumpsuit."""
    piece, whole = look.piece("top"), look.piece("one_piece")
    if piece is None and whole is not None and whole.kind != "dungarees":
        return _upper(body, whole, lift, None if look.piece("bottom") else bottom)
    if piece is None:
        return None
    if whole is not None and whole.kind == "dungarees":
        # A bib holds what is under it in.
        piece = piece.with_(tuck="full")
    return wear_top(body, piece, lift, bottom.waistband if bottom else None)


def _upper(body: Body, piece: Piece, lift: float, below: WornBottom | None) -> WornTop:
    """The part of a dress above the waist; worn over trousers, all of it."""
    if below is None:
        return wear_top(body, piece, lift, None)
    words = {
        key: value for key, value in piece.described().items() if key not in ("hem", "hem_cm", "length_cm", "tuck")
    }
    return wear_top(body, Piece.of({**words, "hem_cm": round(below.waistband.cm, 1)}), lift, None)
