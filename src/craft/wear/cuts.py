"""The cuts of a leg: how much ease, how wide a hem, how low a crotch, where it ends when nothing is said."""

from __future__ import annotations

from typing import NamedTuple

from craft.cloth import Piece
from craft.cloth.kinds import KIND

#: One turn of a cuff, cm.
CUFF_CM = 3.0


class CutRow(NamedTuple):
    """A cut's nominal ease over thigh and knee (cm), its leg opening and how low the crotch hangs.

    The opening is `over_calf` cm over the client's calf, or over the knee of the garment
    where `from_knee` is said: flares are cut from the knee.
    """

    thigh: float
    knee: float
    over_calf: float
    from_knee: bool
    drop: float
    hem: str


#: W: the trade's cuts as flat figures of common sizes, turned into ease over the body.
CUTS: dict[str, CutRow] = {
    "skinny": CutRow(-2.0, -1.0, -12.0, False, 0.0, "ankle"),
    "slim": CutRow(2.0, 3.0, -4.0, False, 0.0, "ankle"),
    "slim_straight": CutRow(4.0, 4.5, -0.5, False, 0.0, "ankle"),
    "straight": CutRow(6.0, 7.0, 5.0, False, 0.3, "ankle"),
    "girlfriend": CutRow(8.0, 7.0, 2.5, False, 0.6, "ankle"),
    "boyfriend": CutRow(12.0, 11.0, 5.0, False, 1.2, "ankle"),
    "bootcut": CutRow(3.5, 5.0, 6.0, True, 0.0, "foot"),
    "kick_flare": CutRow(3.0, 5.0, 8.0, True, 0.0, "ankle"),
    "flare": CutRow(3.0, 4.0, 16.0, True, 0.0, "foot"),
    "wide": CutRow(14.0, 25.0, 25.0, False, 0.8, "foot"),
    "balloon": CutRow(16.0, 18.0, 0.0, False, 2.0, "ankle"),
}
#: Leggings are cut smaller than the leg and stretch to it.
LEGGINGS = CutRow(-5.0, -4.0, -14.0, False, 0.0, "ankle")
#: A tapered leg is so much narrower at the hem than its cut, cm (W).
TAPERS = 5.0
#: A fit word makes the cut closer or looser by so much at the thigh; half of it below.
FIT_CM = {"tight": -3.0, "fitted": -1.5, "skimming": 0.0, "relaxed": 4.0, "oversized": 8.0}


def cut_of(piece: Piece) -> tuple[str, CutRow]:
    """The cut of a piece with legs, and its row with the ease of its fit; a kind's usual cut where none is said.

    >>> cut_of(Piece.of({"is": "jeans"}))[0], cut_of(Piece.of({"is": "leggings"}))[0]
    ('straight', 'skinny')
    """
    said, usual = piece.word("cut"), KIND[piece.kind].cut
    cut = said if said in CUTS else usual
    if piece.kind == "leggings":
        return cut, LEGGINGS if said is None else CUTS[cut]
    row, by = CUTS[cut], FIT_CM.get(piece.word("fit") or "skimming", 0.0)
    taper = TAPERS if piece.flag("tapered") else 0.0
    return cut, row._replace(thigh=row.thigh + by, knee=row.knee + by / 2, over_calf=row.over_calf + by / 2 - taper)
