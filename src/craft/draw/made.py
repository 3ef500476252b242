"""How each kind of the upper body is made: one row a kind."""

from __future__ import annotations

from typing import NamedTuple

from craft.cloth import Piece
from craft.draw.frames import Cloth


class Made(NamedTuple):
    """How a kind is made (W: common pattern drafting): bands of rib at hem, cuff and neck, cm; a shirt's cuff; how many
    buttons close it in front; whether it has a yoke, a chest pocket, welts; stitching at its hems; whether it opens."""

    rib: float = 0.0
    cuff: float = 0.0
    neckband: float = 0.0
    buttons: int = 0
    yoke: bool = False
    placket: bool = False
    chest_pocket: bool = False
    welts: str = ""
    stitched: bool = False
    opens: bool = False
    zip: bool = False
    set_in: bool = True
    quilted: bool = False


#: Buttons are sewn so far apart, cm (W).
BUTTONS_APART = 9.0
MADE: dict[str, Made] = {
    "tee": Made(neckband=1.8, stitched=True),
    "tank": Made(neckband=1.0, stitched=True),
    "camisole": Made(neckband=0.8),
    "shirt": Made(cuff=6.0, buttons=7, yoke=True, placket=True, chest_pocket=True, stitched=True),
    "blouse": Made(cuff=4.0, neckband=0.0),
    "knit": Made(rib=5.5, neckband=2.6),
    "sweatshirt": Made(rib=6.0, neckband=2.2, set_in=False),
    "bodysuit": Made(neckband=0.9),
    "waistcoat": Made(buttons=5, welts="welt", opens=True),
    "gilet": Made(zip=True, welts="slant", opens=True, quilted=True),
    "cardigan": Made(rib=5.5, buttons=6, opens=True),
    "blazer": Made(buttons=2, welts="flap", opens=True),
    "jacket": Made(rib=0.0, buttons=6, welts="welt", stitched=True, opens=True, chest_pocket=True),
    "coat": Made(buttons=3, welts="slant", opens=True),
    "duster": Made(opens=True, welts="slant"),
    "kimono": Made(opens=True, neckband=0.0),
    "poncho": Made(),
    "cape": Made(buttons=1, opens=True),
    "dress": Made(),
    "jumpsuit": Made(buttons=5, placket=True),
    "dungarees": Made(stitched=True),
}


def made(cloth: Cloth) -> Made:
    """How this piece is made."""
    row = MADE.get(cloth.piece.kind, Made())
    # What closes to a hood has a zip.
    return row._replace(buttons=0, zip=True) if row.opens and cloth.piece.flag("hooded") else row


def is_strapped(piece: Piece) -> bool:
    """Whether it hangs by thin straps."""
    return piece.kind == "camisole" or piece.word("cut") == "slip"
