"""What a cloth gives: how far a girth may grow in wear."""

from __future__ import annotations

from craft.cloth.kinds import KIND
from craft.cloth.piece import Piece

#: A stable woven's stretch, as a share of its girth; what each kind's cloth gives stands in its row (W, after the classes
#: of common pattern drafting: stable wovens to 2 %, stable knits about 15, moderate about 25, swim and sports cloth 50).
WOVEN = 0.015
#: Words that say more than the kind does; the first that is said holds.
BY_WORD: tuple[tuple[str, float], ...] = (
    ("rigid", 0.0),
    ("leather", 0.01),
    ("ribbed", 0.35),
    ("clinging", 0.30),
    ("stretch", 0.12),
    ("crochet", 0.15),
    ("structured", 0.01),
    ("linen", 0.01),
)
#: What elastane in a cloth stretches by, as a share of girth for each per cent of it (W).
PER_ELASTANE = 0.08
#: The most that elastane is taken to add (W: more shares make a firmer cloth, not a longer one).
MOST_BY_ELASTANE = 0.60
#: Of its stretch a cloth gives this share before it pulls, shows what is under it and wears out (W).
USABLE = 0.6


def stretch(piece: Piece) -> float:
    """How much of its girth the cloth can stretch, as a share: measured, said, or usual for the kind.

    >>> stretch(Piece.of({"is": "jeans", "fabric": ["rigid"]})), stretch(Piece.of({"is": "jeans", "stretch_pct": 20}))
    (0.0, 0.2)
    """
    measured = piece.figure("stretch_pct")
    if measured is not None:
        return measured / 100
    said = [share for word, share in BY_WORD if word in piece.fabric]
    usual = KIND[piece.kind].stretch
    elastane = piece.figure("elastane_pct")
    if elastane is not None:
        usual = max(usual, min(MOST_BY_ELASTANE, PER_ELASTANE * elastane))
    if not said:
        return usual
    return said[0] if said[0] < WOVEN else max(said[0], usual)


def gives_to(piece: Piece, girth: float) -> float:
    """The largest body girth, cm, that a garment of this girth holds without pulling.

    >>> round(gives_to(Piece.of({"is": "leggings"}), 80))
    104
    """
    return girth * (1 + USABLE * stretch(piece))


#: What a waistband or seat of woven cotton gives in a day of wear, as a share of its girth, and what is left
#: of that where elastane draws it back (W; brief, section 4: all-cotton denim loosens through the day).
LOOSENS, DRAWN_BACK = 0.025, 0.005
#: So much elastane, per cent, draws a cloth back (brief, section 4: 1 to 2 %).
ENOUGH_ELASTANE = 1.0
_LOOSENING = ("jeans", "trousers", "shorts", "skirt", "dungarees")


def loosens(piece: Piece) -> float:
    """By what share of its girth a band or seat grows in a day of wear.

    Where recovery was measured, it is what does not come back of the stretch that wear uses.

    >>> loosens(Piece.of({"is": "jeans", "cotton_pct": 100})), loosens(Piece.of({"is": "jeans", "elastane_pct": 2}))
    (0.025, 0.005)
    """
    if piece.kind not in _LOOSENING:
        return 0.0
    recovery = piece.figure("recovery_pct")
    if recovery is not None:
        return (1 - recovery / 100) * USABLE * stretch(piece)
    elastane = piece.figure("elastane_pct")
    if elastane is not None:
        return DRAWN_BACK if elastane >= ENOUGH_ELASTANE else LOOSENS
    cotton = piece.figure("cotton_pct") or 0.0
    all_cotton = cotton >= 95 or (piece.kind == "jeans" and not piece.fabric & {"stretch", "clinging"})
    return LOOSENS if all_cotton else 0.0
