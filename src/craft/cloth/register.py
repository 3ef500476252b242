"""How formal a piece reads and how warm it is: figures of the piece alone, before anybody wears it."""

from __future__ import annotations

from craft.cloth.piece import Piece
from craft.cloth.words import SLOT_OF

#: Formality runs from 0 (home and sport) over 1 (relaxed), 2 (neat), 3 (smart) to 4 (formal). The plain middle of
#: each kind (W, after how the trade dresses a base up and down by shoe, layer and cloth; brief, sections 4 and 14).
FORMALITY: dict[str, float] = {
    "jeans": 1.2, "trousers": 2.6, "leggings": 0.3, "shorts": 0.8, "skirt": 2.3,
    "dress": 2.5, "dungarees": 0.7, "jumpsuit": 2.2,
    "tee": 1.0, "tank": 0.8, "camisole": 1.8, "shirt": 2.4, "blouse": 2.7, "knit": 1.8, "sweatshirt": 0.4,
    "bodysuit": 1.8, "waistcoat": 2.8, "gilet": 1.2, "cardigan": 1.9, "blazer": 3.3, "jacket": 1.6, "coat": 2.6,
    "duster": 2.0, "kimono": 1.3,
    "trainers": 0.6, "flats": 2.1, "loafers": 2.4, "mules": 1.8, "slingbacks": 3.0, "pumps": 3.3, "sandals": 1.3,
    "ankle_boots": 2.0, "sock_boots": 2.3, "tall_boots": 2.1, "over_knee_boots": 1.7,
}  # fmt: skip
#: What a word adds or takes (W). Dark and even smartens, fading, distress and a raw edge are casual (brief, section 4).
_ADDS: dict[tuple[str, str], float] = {
    ("fabric", "satin"): 0.4, ("fabric", "structured"): 0.2, ("fabric", "linen"): -0.3, ("fabric", "chunky"): -0.4,
    ("fabric", "crochet"): -0.5, ("fabric", "clinging"): -0.3,
    ("colour", "dark_denim"): 0.6, ("colour", "neon_yellow"): -0.6, ("colour", "lime"): -0.4,
    ("wash", "dark_wash"): 0.5, ("wash", "unwashed"): 0.4, ("wash", "light_wash"): -0.4,
    ("pattern", "lettering"): -1.0, ("pattern", "animal"): -0.4, ("pattern", "large_print"): -0.3,
    ("fit", "tight"): -0.3, ("fit", "oversized"): -0.4, ("hem_finish", "raw"): -0.6,
    ("cut", "balloon"): -0.4, ("cut", "boyfriend"): -0.4, ("cut", "cropped"): -0.3, ("cut", "sheath"): 0.3,
    ("cut", "pencil"): 0.3, ("bulk", "chunky"): -0.6, ("bulk", "dainty"): 0.2, ("toe", "pointed"): 0.2,
    ("heel", "kitten"): 0.4, ("heel", "mid"): 0.5, ("heel", "high"): 0.5,
    ("tuck", "full"): 0.2, ("tuck", "none"): -0.2, ("tuck", "knot"): -0.5, ("tuck", "half"): -0.3,
}  # fmt: skip
_FLAGS = {"distressed": -0.9, "rolled": -0.3, "cuffed": -0.3}
#: A fade said of any zone, and denim on a piece that is not a pair of jeans (W).
_FADED, _DENIM = -0.5, -0.8


def formality(piece: Piece) -> float:
    """How formal a piece reads, 0 to 4; what has no say of its own (a bag, tights) reads as neat.

    >>> formality(Piece.of({"is": "pumps"})) > formality(Piece.of({"is": "trainers"}))
    True
    """
    found = FORMALITY.get(piece.kind, 2.0)
    for key, said in piece.said:
        for word in said if isinstance(said, tuple) else (said,):
            found += _ADDS.get((key, str(word)), 0.0)
    found += sum(by for flag, by in _FLAGS.items() if piece.flag(flag))
    if any(key == "fade" for key, _ in piece.said):
        found += _FADED
    if "denim" in piece.fabric and piece.kind != "jeans":
        found += _DENIM
    return max(0.0, min(4.0, found))


#: Insulation of single garments in clo, thin and thick cloth of each kind: ASHRAE 55, table of garment insulation, and
#: ISO 9920 for outerwear; kinds they do not name stand with the nearest that they do (W: kimono, duster, swim).
CLO: dict[str, tuple[float, float]] = {
    "jeans": (0.20, 0.24), "trousers": (0.15, 0.24), "leggings": (0.10, 0.15), "shorts": (0.06, 0.08),
    "skirt": (0.14, 0.23), "dress": (0.23, 0.33), "dungarees": (0.30, 0.36), "jumpsuit": (0.40, 0.49),
    "tee": (0.08, 0.12), "tank": (0.06, 0.10), "camisole": (0.05, 0.08), "shirt": (0.25, 0.34),
    "blouse": (0.20, 0.30), "knit": (0.25, 0.36), "sweatshirt": (0.34, 0.40), "bodysuit": (0.20, 0.28),
    "waistcoat": (0.10, 0.17), "gilet": (0.22, 0.35), "cardigan": (0.25, 0.36), "blazer": (0.36, 0.44),
    "jacket": (0.36, 0.48), "coat": (0.60, 0.70), "duster": (0.30, 0.40), "kimono": (0.20, 0.30),
    "trainers": (0.02, 0.04), "flats": (0.02, 0.02), "loafers": (0.02, 0.04), "mules": (0.02, 0.02),
    "slingbacks": (0.02, 0.02), "pumps": (0.02, 0.02), "sandals": (0.02, 0.02), "ankle_boots": (0.08, 0.10),
    "sock_boots": (0.08, 0.10), "tall_boots": (0.10, 0.12), "over_knee_boots": (0.12, 0.14),
    "tights": (0.02, 0.06), "socks": (0.02, 0.06), "scarf": (0.05, 0.08), "hat": (0.03, 0.06),
}  # fmt: skip
_THICK = frozenset({"chunky", "substantial", "leather", "structured"})
_THIN = frozenset({"thin", "sheer", "linen", "crochet", "satin"})
#: A long sleeve over the kind's usual, a bare arm under it, clo (ASHRAE 55: shirt-dresses with and without sleeves).
_SLEEVES = {"none": -0.06, "short": -0.03, "elbow": 0.0, "three_quarter": 0.01, "long": 0.04}
_USUALLY_LONG = ("shirt", "blouse", "knit", "sweatshirt", "cardigan", "blazer", "jacket", "coat", "bodysuit")


def insulation(piece: Piece) -> float:
    """The insulation of a piece, clo; 0 for what keeps nobody warm.

    >>> insulation(Piece.of({"is": "knit", "fabric": ["chunky"]})), insulation(Piece.of({"is": "belt"}))
    (0.36, 0.0)
    """
    thin, thick = CLO.get(piece.kind, (0.0, 0.0))
    weight = piece.figure("weight_gsm")
    if piece.fabric & _THICK or (weight is not None and weight >= 300):
        found = thick
    elif piece.fabric & _THIN or (weight is not None and weight <= 130):
        found = thin
    else:
        found = (thin + thick) / 2
    if SLOT_OF[piece.kind] in ("top", "layer", "one_piece") and piece.kind not in ("dungarees", "waistcoat", "gilet"):
        sleeve = piece.word("sleeve")
        if sleeve:
            usual = _SLEEVES["long"] if piece.kind in _USUALLY_LONG else _SLEEVES["elbow"]
            found += _SLEEVES[sleeve] - usual
    return round(max(0.0, found), 3)
