"""Layers, worn: blazers, coats, cardigans, and what they do to what is under them."""

from __future__ import annotations

from dataclasses import dataclass
from typing import NamedTuple

from craft.body import Body
from craft.cloth import Piece
from craft.wear.landing import Landing, landed_height
from craft.wear.over import over_bust
from craft.wear.top import CLOTH_THICKNESS


class LayerRow(NamedTuple):
    """The plain middle of a kind: fit, where it ends, thickness of its cloth (0 to 1), sleeve, colour,
    and whether its cloth holds a form of its own."""

    fit: str
    hem: str
    thickness: float
    sleeve: str
    colour: str
    structured: bool


ROWS: dict[str, LayerRow] = {
    "waistcoat": LayerRow("fitted", "high_hip", 0.3, "none", "charcoal", True),
    "gilet": LayerRow("relaxed", "high_hip", 0.6, "none", "navy", False),
    "cardigan": LayerRow("skimming", "hip", 0.4, "long", "grey", False),
    "blazer": LayerRow("skimming", "hip", 0.35, "long", "navy", True),
    "jacket": LayerRow("skimming", "high_hip", 0.4, "long", "navy", True),
    "coat": LayerRow("relaxed", "knee", 0.6, "long", "camel", True),
    "duster": LayerRow("skimming", "lower_calf", 0.2, "long", "cream", False),
    "kimono": LayerRow("relaxed", "seat", 0.15, "three_quarter", "cream", False),
}
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

    @property
    def colour(self) -> str:
        return self.piece.word("colour") or ROWS[self.piece.kind].colour

    @property
    def lean(self) -> bool:
        """Whether it hangs close enough to draw a line rather than to widen."""
        return self.volume <= 2.8 and self.thickness < 0.75


def wear_layer(body: Body, piece: Piece, lift: float) -> WornLayer:
    """Put a layer on a body.

    >>> from craft.body import Measures
    >>> body = Body.of(Measures.of({"stature": 165, "knee_height": 45}))
    >>> wear_layer(body, Piece.of({"is": "coat", "hem": "knee"}), 0.0).hem.cm
    45.0
    """
    row = ROWS[piece.kind]
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
        hem=_hem(body, piece, lift, CUT_HEM.get(cut, row.hem)),
        volume=volume,
        open=piece.flag("open") or piece.kind == "kimono",
        belted=belted,
        sleeve=piece.word("sleeve") or row.sleeve,
        thickness=thickness,
        structured=row.structured or "structured" in piece.fabric or "denim" in piece.fabric,
    )


def _hem(body: Body, piece: Piece, lift: float, usual: str) -> Landing:
    length, landed = piece.figure("length_cm"), piece.figure("hem_cm")
    if length is not None:
        shoulder = body.heights["shoulder_height"]
        return Landing.of(shoulder.cm + lift - length + over_bust(body), shoulder, described=False)
    cm = landed if landed is not None else landed_height(body, piece.word("hem") or usual, lift)
    return Landing.of(cm, described=True)
