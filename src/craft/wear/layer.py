"""Layers, worn: blazers, coats, cardigans, and what they do to what is under them."""

from __future__ import annotations

from dataclasses import dataclass
from functools import lru_cache

from craft.body import Body
from craft.cloth import Piece
from craft.cloth.kinds import KIND
from craft.cloth.piece import colour_of
from craft.wear.landing import Landing
from craft.wear.length import hem_of
from craft.wear.top import CLOTH_THICKNESS

#: Volume of a layer by its fit word, on the scale of ease words: it is worn over something (W).
VOLUME = {"tight": 0.8, "fitted": 1.3, "skimming": 1.9, "relaxed": 2.7, "oversized": 3.6}
CUT_FIT = {"boxy": "relaxed", "longline": "skimming"}
CUT_HEM = {"longline": "seat", "cropped": "waist"}


@dataclass(frozen=True, slots=True)
class WornLayer:
    """A layer on the body. Heights above the ground, cm; volume 0 to 4."""

    piece: Piece
    fit: str
    hem: Landing
    volume: float
    open: bool
    belted: str | None
    sleeve: str
    thickness: float
    structured: bool
    colour: str

    @property
    def lean(self) -> bool:
        """Whether it hangs close enough to draw a line rather than to widen."""
        return self.volume <= 2.8 and self.thickness < 0.75


@lru_cache(maxsize=8192)
def wear_layer(body: Body, piece: Piece, lift: float) -> WornLayer:
    """Put a layer on a body.

    >>> from craft.body import Measures
    >>> body = Body.of(Measures.of({"stature": 165, "knee_height": 45}))
    >>> wear_layer(body, Piece.of({"is": "coat", "hem": "knee"}), 0.0).hem.cm
    45.0
    """
    row = KIND[piece.kind]
    cut = piece.word("cut") or "plain"
    fit = piece.word("fit") or CUT_FIT.get(cut, row.fit)
    chest = piece.figure("chest_cm")
    # Ease over the bust, on the same scale: 6 % is fitted for a layer, 35 % oversized (W).
    volume = VOLUME[fit] if chest is None else max(0.5, min(4.0, 0.8 + 9.0 * (chest / body.girth("bust") - 1.0)))
    thickness = max([row.thickness, *(CLOTH_THICKNESS.get(word, 0.0) for word in piece.fabric)])
    belted = piece.word("belted")
    return WornLayer(
        piece=piece,
        fit=fit,
        hem=hem_of(body, piece, lift, CUT_HEM.get(cut, row.hem)),
        volume=volume,
        open=piece.flag("open") or piece.kind == "kimono",
        belted=belted,
        sleeve=piece.word("sleeve") or row.sleeve,
        thickness=thickness,
        structured=row.structured or "structured" in piece.fabric or "denim" in piece.fabric,
        colour=colour_of(piece),
    )
