"""How formal a piece reads and how warm it is: figures of the piece alone, before anybody wears it."""

from __future__ import annotations

from craft.cloth.kinds import KIND
from craft.cloth.piece import Piece
from craft.facts import fact

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
    ("band", "drawstring"): -0.8, ("band", "elastic"): -0.4, ("band", "paper_bag"): -0.3,
    ("tuck", "full"): 0.2, ("tuck", "none"): -0.2, ("tuck", "knot"): -0.5, ("tuck", "half"): -0.3,
}  # fmt: skip
_FLAGS = {"distressed": -0.9, "rolled": -0.3, "cuffed": -0.3}
#: Cloth that clings on a leg is jersey: of home and sport (W).
_JERSEY = -0.6
#: Shorts with so long an inseam are as formal as shorts are, cm, and what each cm less takes (W).
COVERED, _BARE = 14.0, 0.04
#: A fade said of any zone, and denim on a piece that is not a pair of jeans (W).
_FADED, _DENIM = -0.5, -0.8


@fact
def formality(piece: Piece) -> float:
    """How formal a piece reads, 0 to 4; what has no say of its own (a bag, tights) reads as neat.

    >>> formality(Piece.of({"is": "pumps"})) > formality(Piece.of({"is": "trainers"}))
    True
    """
    found = KIND[piece.kind].formality
    for key, said in piece.said:
        for word in said if isinstance(said, tuple) else (said,):
            found += _ADDS.get((key, str(word)), 0.0)
    found += sum(by for flag, by in _FLAGS.items() if piece.flag(flag))
    if piece.kind == "shorts" and (inseam := piece.figure("inseam_cm")) is not None:
        found -= _BARE * max(0.0, COVERED - inseam)
    if any(key == "fade" for key, _ in piece.said):
        found += _FADED
    if "clinging" in piece.fabric and piece.row.has_legs:
        found += _JERSEY
    if "denim" in piece.fabric and piece.kind != "jeans":
        found += _DENIM
    return max(0.0, min(4.0, found))


_THICK = frozenset({"chunky", "substantial", "leather", "structured"})
_THIN = frozenset({"thin", "sheer", "linen", "crochet", "lace", "satin"})
#: A long sleeve over the kind's usual, a bare arm under it, clo (ASHRAE 55: shirt-dresses with and without sleeves).
_SLEEVES = {"none": -0.06, "short": -0.03, "elbow": 0.0, "three_quarter": 0.01, "long": 0.04}


@fact
def insulation(piece: Piece) -> float:
    """The insulation of a piece, clo; 0 for what keeps nobody warm.

    >>> insulation(Piece.of({"is": "knit", "fabric": ["chunky"]})), insulation(Piece.of({"is": "belt"}))
    (0.36, 0.0)
    """
    row = KIND[piece.kind]
    thin, thick = row.clo
    weight = piece.figure("weight_gsm")
    if piece.fabric & _THICK or (weight is not None and weight >= 300):
        found = thick
    elif piece.fabric & _THIN or (weight is not None and weight <= 130):
        found = thin
    else:
        found = (thin + thick) / 2
    sleeve = piece.word("sleeve")
    if sleeve and row.sleeve:
        found += _SLEEVES[sleeve] - _SLEEVES[row.sleeve]
    return round(max(0.0, found), 3)
