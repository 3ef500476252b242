"""What is seen of each piece: from which height to which, in what colour and surface."""

from __future__ import annotations

from typing import NamedTuple

from craft.body import Body
from craft.cloth import Piece
from craft.cloth.colour import lightness
from craft.cloth.piece import colour_of
from craft.facts import fact, least, most
from craft.wear import WornBottom, WornLayer, WornShoes, WornTop

#: How much of the front an open layer covers, and a layer without sleeves that is closed.
OPEN_COVERS, CLOSED_COVERS = 0.4, 1.0
#: Cloths by the surface the eye sees; the first that is named holds.
SURFACES = ("leather", "satin", "chunky", "ribbed", "denim", "linen", "crochet", "sheer", "lace")


class Area(NamedTuple):
    """One piece as it is seen, heights above the ground, cm; `share` of the front that it covers there."""

    piece: Piece
    colour: str
    high: float
    low: float
    share: float
    surface: str
    volume: float
    #: The share of the back that it covers: a layer that is worn open covers it whole.
    behind: float = 1.0

    @property
    def tall(self) -> float:
        """How tall it is seen, cm."""
        return most(0.0, self.high - self.low)

    @property
    def middle(self) -> float:
        """The height of its middle, cm."""
        return (self.high + self.low) / 2

    @property
    def lightness(self) -> float:
        """OKLCH lightness of its colour."""
        return lightness(self.colour)


@fact
def surface_of(piece: Piece) -> str:
    """The surface of a piece's cloth as the eye sees it.

    >>> surface_of(Piece.of({"is": "skirt", "fabric": ["satin"]})), surface_of(Piece.of({"is": "knit"}))
    ('satin', 'knit')
    """
    said = piece.word("surface")
    if said is not None and said != "matt":
        return said
    for name in SURFACES:
        if name in piece.fabric:
            return name
    if piece.kind in ("knit", "cardigan", "sweatshirt"):
        return "knit"
    return "denim" if piece.kind == "jeans" else "plain"


#: How far a swim top reaches above the bust, and a low bottom's band above the fullest hip, cm (W).
ABOVE_BUST, LOW_BAND = 7.0, 4.0


def _swim_area(body: Body, piece: Piece, lift: float) -> Area:
    """What is seen of a swim piece: from its neck or band to where it ends."""
    at = body.height
    band = {"low": at("hip") + LOW_BAND, "high": at("navel"), "very_high": at("waist")}.get(
        piece.word("rise") or "", at("high_hip")
    )
    high = at("bust") + ABOVE_BUST if piece.kind in ("swimsuit", "bikini_top", "tankini") else band
    low = {"bikini_top": at("under_bust"), "tankini": at("high_hip"), "swim_shorts": at("mid_thigh")}.get(
        piece.kind, at("crotch")
    )
    return Area(piece, colour_of(piece), high + lift, low + lift, 1.0, surface_of(piece), 0.0)


def areas_of(
    body: Body,
    top: WornTop | None,
    bottom: WornBottom | None,
    shoes: WornShoes,
    layers: tuple[WornLayer, ...],
    lift: float,
    swim: tuple[Piece, ...] = (),
) -> tuple[Area, ...]:
    """The areas of a look, outermost first."""
    shoulder = body.height("shoulder") + lift
    found = [
        Area(layer.piece, layer.colour, shoulder, layer.hem.cm, OPEN_COVERS if layer.open else CLOSED_COVERS,
             surface_of(layer.piece), layer.volume)
        for layer in reversed(layers)
    ]  # fmt: skip
    whole = top is not None and bottom is not None and top.piece.slot == bottom.piece.slot == "one_piece"
    if top is not None and bottom is not None and whole:
        piece = bottom.piece
        found.append(Area(piece, bottom.colour, shoulder, bottom.hem.cm, 1.0, surface_of(piece), top.volume))
    elif top is not None:
        band = bottom.waistband.cm if bottom is not None else top.hem.cm
        low = band if top.is_all_tucked else least(top.hem.cm, band)
        found.append(Area(top.piece, top.colour, shoulder, low, 1.0, surface_of(top.piece), top.volume))
    if bottom is not None and not whole:
        high = bottom.waistband.cm
        found.append(
            Area(bottom.piece, bottom.colour, high, bottom.hem.cm, 1.0, surface_of(bottom.piece), bottom.volume)
        )
    found += [_swim_area(body, piece, lift) for piece in reversed(swim)]
    if shoes.piece is not None:
        found.append(Area(shoes.piece, shoes.colour, shoes.cover.cm, 0.0, 1.0, surface_of(shoes.piece), shoes.weight))
    return tuple(found)
