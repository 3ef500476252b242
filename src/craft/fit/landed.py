"""Landing: one call for everything that one piece does on one body."""

from __future__ import annotations

from dataclasses import dataclass
from functools import lru_cache

from craft.body import Body
from craft.cloth import Piece
from craft.fit.check import checks
from craft.fit.edges import LandedEdge
from craft.fit.fitting import Check, Fitting, Stance
from craft.fit.hang import hang
from craft.fit.zones import ZoneEase, ease_word, eases
from craft.schools import Schools
from craft.wear import BAREFOOT, WornShoes, wear_shoes

_RANK: dict[Stance, int] = {"fits": 0, "watch": 1, "against": 2, "caution": 3}


# One landing is itself and no other: it follows from its arguments, and is compared by them.
@dataclass(frozen=True, slots=True, eq=False)
class Landed:
    """A piece on a body: edges top to bottom, ease by zone, checks top to bottom. Heights above the ground, cm."""

    piece: Piece
    shoes: WornShoes
    edges: tuple[LandedEdge, ...]
    eases: tuple[ZoneEase, ...]
    checks: tuple[Check, ...]

    @property
    def stance(self) -> Stance:
        """The gravest of its checks."""
        return max((check.stance for check in self.checks), key=lambda stance: _RANK[stance], default="fits")

    def edge(self, key: str) -> LandedEdge:
        """An edge by its key. Raises KeyError."""
        for edge in self.edges:
            if edge.key == key:
                return edge
        raise KeyError(key)


@lru_cache(maxsize=8192)
def land(
    body: Body,
    piece: Piece,
    shoes: WornShoes = BAREFOOT,
    schools: Schools | None = None,
    *,
    seated: bool = False,
    heels: bool = True,
) -> Landed:
    """Where a piece lands on a body in these shoes, what ease it leaves, and what would mend it: for who lives
    seated, and without `heels` for who does not wear them. Values in, values out: the newest landings are kept, so
    that a rack looked at again, or with one piece changed, is not landed anew.

    >>> from craft.body import Measures
    >>> body = Body.of(Measures.of({"stature": 165, "waist_height": 104, "calf_height": 31.5, "waist": 74, "hip": 100}))
    >>> landed = land(body, Piece.of({"is": "skirt", "length_cm": 71}))
    >>> landed.edge("hem").at, landed.stance
    ('mid_calf', 'against')
    """
    schools = schools or Schools()
    edges, band = hang(body, piece, shoes, schools)
    found = tuple(eases(body, piece, band))
    if piece.slot == "shoes":
        found += tuple(_shaft(body, piece))
    fitting = Fitting(body, piece, shoes, schools, edges, found, seated, heels)
    return Landed(piece, shoes, edges, found, checks(fitting))


def _shaft(body: Body, piece: Piece) -> list[ZoneEase]:
    girth = piece.figure("shaft_girth_cm")
    if girth is None:
        return []
    worn = wear_shoes(body, piece)
    top = worn.cover.cm - worn.lift
    at = min(body.height("calf"), top)
    leg = max(body.leg_girth(at), body.leg_girth(top))
    figure = body.girths["calf"]
    word = ease_word("shaft", girth / leg - 1)
    return [ZoneEase("shaft", at, girth, leg, word, 0.0 if girth >= leg else 2.0, 0.0, figure.spread, figure.settled)]
