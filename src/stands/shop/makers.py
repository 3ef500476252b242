"""Invented makers, their sizes and their products. A label says another girth at each of them."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Any

Figures = dict[str, float]


@dataclass(frozen=True)
class Maker:
    """A maker: its labels with the hip they are cut for, cm, and how generous it is with waist and rise."""

    name: str
    labels: dict[str, float]
    waist_over: float
    rise_over: float


MAKERS = {
    maker.name: maker
    for maker in (
        Maker("Alderlane", {"36": 92, "38": 96, "40": 100, "42": 104, "44": 109, "46": 114}, 2.0, 0.0),
        # Flatters: its 38 is another's 42.
        Maker("Brigg & Daughter", {"34": 94, "36": 99, "38": 104, "40": 109, "42": 114, "44": 120}, 4.0, 1.0),
        Maker("Twelve Looms", {"XS": 89, "S": 94, "M": 100, "L": 107, "XL": 115}, 3.0, 1.5),
        # Small and short in the rise.
        Maker("Fenn", {"8": 88, "10": 92, "12": 96, "14": 100, "16": 105, "18": 110}, 0.0, -2.5),
    )
}


@dataclass(frozen=True)
class Pattern:
    """A product: its words, and how its figures follow from the hip of a size, cm."""

    maker: str
    name: str
    piece: dict[str, Any]
    price: int
    hip_ease: float = 2.0
    front_rise: float | None = None
    inseams: tuple[float, ...] = ()
    opening: float | None = None
    length: float | None = None
    chest: bool = False
    sleeve: float | None = None


PATTERNS = (
    Pattern("Alderlane", "Orchard straight", {"is": "jeans", "cut": "straight", "rise": "high", "colour": "dark_denim"}, 89, 1.0, 27.0, (66.0, 76.0), 41.0),
    Pattern("Alderlane", "Orchard wide", {"is": "jeans", "cut": "wide", "rise": "high", "colour": "mid_blue"}, 95, 2.0, 28.0, (74.0, 80.0), 60.0),
    Pattern("Brigg & Daughter", "Bench trouser", {"is": "trousers", "cut": "straight", "rise": "mid", "colour": "charcoal"}, 140, 5.0, 28.5, (68.0, 73.0), 46.0),
    Pattern("Twelve Looms", "Weir wide trouser", {"is": "trousers", "cut": "wide", "rise": "high", "colour": "black"}, 165, 5.0, 31.0, (74.0,), 58.0),
    Pattern("Fenn", "Skylark", {"is": "jeans", "cut": "straight", "rise": "high", "colour": "navy", "fabric": ["stretch"]}, 45, -1.0, 27.0, (67.0, 72.0), 38.0),
    Pattern("Fenn", "Skylark slim", {"is": "jeans", "cut": "slim", "rise": "mid", "colour": "black", "fabric": ["stretch"]}, 45, -2.0, 26.0, (66.0, 71.0), 32.0),
    Pattern("Alderlane", "Lock midi", {"is": "skirt", "cut": "a_line", "colour": "olive"}, 78, 6.0, length=74.0),
    Pattern("Twelve Looms", "Weir pleats", {"is": "skirt", "cut": "pleated", "colour": "navy"}, 120, 8.0, length=82.0),
    Pattern("Fenn", "Lark slip", {"is": "skirt", "cut": "slip", "colour": "black", "fabric": ["satin"]}, 39, 4.0, length=70.0),
    Pattern("Brigg & Daughter", "Ledger shirt", {"is": "shirt", "fit": "relaxed", "colour": "white"}, 95, 10.0, length=70.0, chest=True, sleeve=60.0),
    Pattern("Twelve Looms", "Mill knit", {"is": "knit", "colour": "burgundy", "neck": "crew"}, 110, 4.0, length=58.0, chest=True, sleeve=58.0),
    Pattern("Fenn", "Finch tee", {"is": "tee", "colour": "white", "neck": "v"}, 18, 2.0, length=60.0, chest=True),
    Pattern("Alderlane", "Ferry dress", {"is": "dress", "cut": "wrap", "colour": "dark_green", "neck": "v"}, 130, 6.0, length=112.0, chest=True, sleeve=58.0),
    Pattern("Brigg & Daughter", "Assize blazer", {"is": "blazer", "colour": "navy"}, 260, 8.0, length=70.0, chest=True, sleeve=61.0),
)  # fmt: skip
#: Grading: how much a figure grows for each cm of hip.
RISE_GROWS, OPENING_GROWS, LENGTH_GROWS, SLEEVE_GROWS = 0.10, 0.22, 0.10, 0.08
#: A front rise that reaches the waist, cm, and how much wider a band is for each cm below that.
HIGH_RISE, WIDER_BELOW = 31.0, 1.6
#: The hip that a pattern's own figures are drawn for, and how bust and waist go with it, cm.
DRAWN_FOR, BUST_LESS, WAIST_LESS = 100.0, 8.0, 26.0


def figures(pattern: Pattern, hip: float, inseam: float | None) -> Figures:
    """The figures of one size, cm; girths all round."""
    maker = MAKERS[pattern.maker]
    by = hip - DRAWN_FOR
    found: Figures = {"hip": hip + pattern.hip_ease}
    if pattern.front_rise is not None:
        found["front_rise"] = pattern.front_rise + maker.rise_over + RISE_GROWS * by
    if inseam is not None:
        found["inseam"] = inseam
    if pattern.opening is not None:
        found["leg_opening"] = pattern.opening + OPENING_GROWS * by
    if pattern.length is not None:
        found["length"] = pattern.length + LENGTH_GROWS * by
    if pattern.chest:
        found["chest"] = hip - BUST_LESS + pattern.hip_ease
    else:
        # A band that sits lower than the waist is cut for a wider place.
        lower = max(0.0, HIGH_RISE - found.get("front_rise", HIGH_RISE))
        below = 6.0 if "front_rise" in found else 1.0
        found["waist"] = hip - WAIST_LESS + below + maker.waist_over + WIDER_BELOW * lower
    if pattern.sleeve is not None:
        found["sleeve"] = pattern.sleeve + SLEEVE_GROWS * by
    return {key: round(cm, 1) for key, cm in found.items()}


def sizes(pattern: Pattern) -> list[dict[str, Any]]:
    """Every size of a product: its label and figures; trousers come in several lengths."""
    lengths: tuple[float | None, ...] = pattern.inseams or (None,)
    return [
        {
            "label": label if len(lengths) == 1 else f"{label}, length {inseam:g}",
            "figures": figures(pattern, hip, inseam),
        }
        for label, hip in MAKERS[pattern.maker].labels.items()
        for inseam in lengths
    ]
