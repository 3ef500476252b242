"""Edges: every hem, band, shaft and strap of a look as a line at a height."""

from __future__ import annotations

from dataclasses import dataclass, replace

from craft.body import Body
from craft.cloth import Piece
from craft.cloth.kinds import UNDER_LAYER
from craft.cloth.words import said
from craft.wear import Landing, WornBottom, WornLayer, WornShoes, WornTop
from craft.wear.length import fall_of


@dataclass(frozen=True, slots=True)
class Edge:
    """A line across the figure: height above the ground, the body's half breadth there, cm.

    `at` is the hem word where it lands on this body, or the rise of a band; `seen` is false for an edge that
    another layer covers.
    """

    key: str
    slot: str
    name: str
    landing: Landing
    at: str
    half_breadth: float
    seen: bool
    #: Of a hem, the figure that says how long its piece is and what a tape would read of it now, cm.
    figure: str | None = None
    length: float | None = None

    @property
    def height(self) -> float:
        """Where it lies above the ground, cm."""
        return self.landing.cm


def edges_of(
    body: Body,
    top: WornTop | None,
    bottom: WornBottom | None,
    shoes: WornShoes,
    lift: float,
    layers: tuple[WornLayer, ...] = (),
    sock: Landing | None = None,
) -> tuple[Edge, ...]:
    """All edges of the worn pieces, top to bottom."""

    def edge(key: str, slot: str, name: str, landing: Landing, seen: bool = True, at: str = "") -> Edge:
        place = at or landing.at(body, lift)
        return Edge(key, slot, name, landing, place, body.half_breadth(landing.cm - lift), seen)

    def hem(key: str, piece: Piece, landing: Landing, seen: bool = True) -> Edge:
        fall = fall_of(body, piece)
        found = edge(key, piece.slot, f"{said(piece.kind)} hem", landing, seen)
        return replace(found, figure=fall.figure, length=fall.length(landing.falls_to, lift)) if fall else found

    found = []
    worn = bottom
    for at, layer in enumerate(reversed(layers)):
        slot = UNDER_LAYER if at else "layer"
        found.append(replace(hem(f"{slot}_hem", layer.piece, layer.hem), slot=slot))
    if bottom and bottom.piece.slot == "one_piece":
        found.append(hem("leg_hem", bottom.piece, bottom.hem))
        bottom = None
        top = top if top and top.piece.slot != "one_piece" else None
    if bottom:
        covered = top is not None and not top.tucked and top.hem.cm < bottom.waistband.cm
        # A band is named by its rise: the word a label uses, for where it really lies.
        found.append(edge("waistband", "bottom", "waistband", bottom.waistband, not covered, f"{bottom.rise}_rise"))
        hidden = bottom.inside and shoes.cover.cm > bottom.hem.cm
        found.append(hem("leg_hem", bottom.piece, bottom.hem, not hidden))
    if top:
        found.append(hem("top_hem", top.piece, top.hem, not top.is_all_tucked))
    if shoes.piece:
        name = "shaft top" if shoes.is_boot else "vamp"
        over = worn is not None and not worn.inside and worn.hem.cm < shoes.cover.cm
        found.append(edge("shoe_cover", "shoes", name, shoes.cover, not over))
        if shoes.strap is not None:
            strap = Landing(shoes.strap, 1.0, "described")
            under = worn is not None and worn.hem.cm < shoes.strap
            found.append(edge("ankle_strap", "shoes", "ankle strap", strap, not under))
    if sock:
        below_hem = worn is None or worn.inside or worn.hem.cm > sock.cm
        found.append(edge("sock_top", "socks", "sock", sock, below_hem and sock.cm > shoes.cover.cm))
    return tuple(sorted(found, key=lambda one: -one.height))
