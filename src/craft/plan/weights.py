"""What pieces weigh in a bag, estimated from their kind and cloth."""

from __future__ import annotations

from craft.cloth import Piece
from craft.cloth.register import insulation

#: Grams of a piece of an adult's middle size in a middling cloth, by kind (W: household weights; a pair where there are two).
GRAMS = {
    "jeans": 650, "trousers": 420, "leggings": 220, "shorts": 250, "skirt": 300,
    "dress": 380, "dungarees": 750, "jumpsuit": 500,
    "tee": 160, "tank": 110, "camisole": 90, "shirt": 220, "blouse": 180, "knit": 350, "sweatshirt": 450, "bodysuit": 130,
    "waistcoat": 280, "gilet": 400, "cardigan": 400, "blazer": 650, "jacket": 800, "coat": 1400, "duster": 600, "kimono": 250,
    "poncho": 600, "cape": 800,
    "trainers": 750, "flats": 450, "loafers": 650, "mules": 550, "slingbacks": 500, "pumps": 550, "sandals": 500,
    "ankle_boots": 1000, "sock_boots": 750, "tall_boots": 1400, "over_knee_boots": 1500,
    "bag": 500, "belt": 150, "scarf": 150, "hat": 120, "swimsuit": 150, "bikini_top": 70, "bikini_bottom": 60, "tankini": 170,
    "swim_shorts": 180,
}  # fmt: skip
#: What is not named: jewellery, a watch, hosiery.
SMALL = 60
#: Cloth of thick and thin weighs so much of the middling (W); metres of cloth in a middling piece by its usual weight, g/m².
THICK, THIN, USUAL_GSM = 1.5, 0.75, 200.0


def grams(piece: Piece) -> float:
    """The weight of a piece, g: by the weight of its cloth where that is said, else by how warm it is for its kind.

    >>> grams(Piece.of({"is": "knit", "fabric": ["chunky"]})) > grams(Piece.of({"is": "knit"})) > grams(Piece.of({"is": "tee"}))
    True
    """
    usual = float(GRAMS.get(piece.kind, SMALL))
    cloth = piece.figure("weight_gsm")
    if cloth is not None and piece.kind not in ("bag", "belt"):
        return usual * min(2.5, max(0.4, cloth / USUAL_GSM))
    thin, thick = piece.row.clo
    warm = insulation(piece)
    if thick > thin and warm >= thick:
        return usual * THICK
    return usual * THIN if thick > thin and warm <= thin else usual
