"""Composing: pieces in words become one outfit on one height axis."""

from __future__ import annotations

from collections.abc import Iterable, Mapping
from dataclasses import dataclass
from functools import cached_property
from typing import Any

from craft.body import Body
from craft.cloth import DRESSED_KINDS, Piece
from craft.look.edges import Edge, edges_of
from craft.schools import Schools
from craft.wear import BAREFOOT, WornBottom, WornShoes, WornTop, wear_bottom, wear_shoes, wear_top

#: A strip of bare leg narrower than this between hem and shoe reads as a join, cm (W).
JOINED = 1.5


class NotYetKnown(ValueError):
    """A piece of a kind the engine cannot hang on a body yet, or two where it knows one."""


@dataclass(frozen=True, slots=True)
class Look:
    """The pieces of a look from the body outwards, at most one top, one bottom, one pair of shoes.

    >>> Look.of([{"is": "jeans"}, {"is": "tee"}]).piece("bottom").kind
    'jeans'
    """

    pieces: tuple[Piece, ...] = ()

    @classmethod
    def of(cls, described: Iterable[Mapping[str, Any]]) -> Look:
        """Read pieces from their words. Raises UnknownWord, or NotYetKnown."""
        pieces = tuple(Piece.of(words) for words in described)
        slots: set[str] = set()
        for piece in pieces:
            if piece.kind not in DRESSED_KINDS.get(piece.slot, ()):
                raise NotYetKnown(f"A {piece.kind.replace('_', ' ')} cannot be hung on the figure yet.")
            if piece.slot in slots:
                raise NotYetKnown(f"Two pieces of one kind ({piece.slot}) cannot be layered yet.")
            slots.add(piece.slot)
        return cls(pieces)

    def piece(self, slot: str) -> Piece | None:
        return next((piece for piece in self.pieces if piece.slot == slot), None)

    def changed(self, slot: str, **changes: Any) -> Look:
        """A copy in which the piece of a slot has other words or figures."""
        return Look(tuple(p.with_(**changes) if p.slot == slot else p for p in self.pieces))


@dataclass(frozen=True)
class Outfit:
    """A look on a body: what every judgement and drawing reads. Heights above the ground, cm."""

    body: Body
    look: Look
    schools: Schools
    shoes: WornShoes
    bottom: WornBottom | None
    top: WornTop | None

    @property
    def lift(self) -> float:
        return self.shoes.lift

    @property
    def height(self) -> float:
        """Stature in these shoes."""
        return self.body.stature + self.lift

    @cached_property
    def edges(self) -> tuple[Edge, ...]:
        return edges_of(self.body, self.top, self.bottom, self.shoes, self.lift)

    def edge(self, key: str) -> Edge | None:
        return next((edge for edge in self.edges if edge.key == key), None)

    @cached_property
    def break_at(self) -> float | None:
        """Where the eye sees the figure divide: the band where it shows, else the top's hem."""
        if self.bottom is None:
            return None
        band = self.bottom.waistband.cm
        if self.top is None or self.top.hem.cm >= band:
            return band
        share = {"full": 1.0, "bloused": 1.0, "bra": 1.0, "front": 0.8, "knot": 0.85, "half": 0.65, "side": 0.4}
        marked = share.get(self.top.tuck, 0.0)
        return band * marked + self.top.hem.cm * (1 - marked)

    @property
    def below_share(self) -> float | None:
        """Share of the whole figure below the break."""
        return None if self.break_at is None else self.break_at / self.height

    @cached_property
    def skin(self) -> float:
        """Bare leg between the bottom's hem and the shoe, cm; nought where they meet."""
        if self.bottom is None or self.bottom.inside:
            return 0.0
        gap = self.bottom.hem.cm - self.shoes.cover.cm
        return gap if gap > JOINED else 0.0

    @cached_property
    def waist_marked(self) -> float:
        """How clearly the waist is marked, 0 to 1."""
        return self.top.marks_waist if self.top else 0.0


def compose(body: Body, look: Look, schools: Schools | None = None, like: Outfit | None = None) -> Outfit:
    """Hang a look on a body: shoes first, since they lift all the rest.

    `like` is an outfit of the same body and schools; what the two looks share is not worn anew,
    which is what makes a search over many small changes quick.
    """
    schools = schools or Schools()
    shoe_piece, bottom_piece, top_piece = (look.piece(slot) for slot in ("shoes", "bottom", "top"))
    same_shoes = like is not None and like.look.piece("shoes") is shoe_piece
    same_bottom = same_shoes and like is not None and like.look.piece("bottom") is bottom_piece
    if like is not None and same_shoes:
        shoes = like.shoes
    else:
        shoes = wear_shoes(body, shoe_piece) if shoe_piece else BAREFOOT
    if like is not None and same_bottom:
        bottom = like.bottom
    else:
        bottom = wear_bottom(body, bottom_piece, shoes, schools) if bottom_piece else None
    if like is not None and same_bottom and like.look.piece("top") is top_piece:
        top = like.top
    else:
        top = wear_top(body, top_piece, shoes.lift, bottom.waistband if bottom else None) if top_piece else None
    return Outfit(body, look, schools, shoes, bottom, top)
