"""The specimen sheets: every kind by its main cuts, cloths and details, flat and worn; and one look on three bodies.

They are how a drawing is judged: with the names covered, whatever cannot be named is drawn again.
"""

from __future__ import annotations

from collections.abc import Iterable, Mapping, Sequence
from html import escape
from typing import Any

from craft.body import Body, Measures
from craft.cloth import Piece
from craft.cloth.words import said
from craft.draw.flats import flat_of
from craft.draw.garments import draw_dressed
from craft.draw.shapes import Shape
from craft.draw.svg import bounds, painted
from craft.look import Look, compose

Words = Mapping[str, Any]
#: The body that the specimens are for, and the three of the second sheet: small and full, tall and straight, a man with a
#: belly. Made up.
USUAL = Measures.of({"stature": 166, "bust": 92, "waist": 74, "hip": 100})
THREE = (
    ("small and full", Measures.of({"stature": 154, "bust": 114, "under_bust": 94, "waist": 98, "hip": 118})),
    ("tall and straight", Measures.of({"stature": 182, "bust": 86, "waist": 72, "hip": 92})),
    ("a man with a belly", Measures.of({"stature": 177, "bust": 108, "waist": 106, "belly": 114, "hip": 106}, "man")),
)
#: What is shown, by rows: a name, and the pieces with what tells each from the others.
ROWS: tuple[tuple[str, tuple[Words, ...]], ...] = (
    ("Trousers", (
        {"is": "jeans"}, {"is": "jeans", "cut": "slim", "wash": "dark_wash", "colour": "dark_denim"},
        {"is": "jeans", "cut": "flare", "fade": ["thighs"]}, {"is": "jeans", "cut": "wide", "wash": "light_wash", "colour": "light_blue"},
        {"is": "trousers"}, {"is": "trousers", "cut": "wide", "colour": "camel"},
        {"is": "trousers", "cut": "balloon", "fabric": ["linen"], "colour": "beige", "band": "drawstring"},
        {"is": "trousers", "pattern": "check", "colour": "grey"}, {"is": "leggings"},
        {"is": "shorts", "colour": "khaki"}, {"is": "dungarees"}, {"is": "jumpsuit", "colour": "olive"},
    )),
    ("Skirts and dresses", (
        {"is": "skirt", "cut": "pencil"}, {"is": "skirt", "cut": "a_line", "colour": "olive"},
        {"is": "skirt", "cut": "pleated", "colour": "navy"},
        {"is": "skirt", "cut": "slip", "fabric": ["satin"], "colour": "bronze", "hem": "mid_calf"},
        {"is": "skirt", "cut": "wrap", "colour": "rust"}, {"is": "skirt", "fabric": ["denim"], "colour": "mid_blue"},
        {"is": "dress", "cut": "sheath"}, {"is": "dress", "cut": "wrap", "colour": "burgundy", "sleeve": "long"},
        {"is": "dress", "cut": "slip", "fabric": ["satin"], "colour": "sage", "hem": "mid_calf"},
        {"is": "dress", "cut": "a_line", "pattern": "large_print", "colour": "cream", "second_colour": "coral", "sleeve": "short", "sleeve_shape": "puffed"},
        {"is": "dress", "cut": "pleated", "colour": "dark_green", "sleeve": "short"},
        {"is": "dress", "cut": "shift", "pattern": "horizontal_stripe", "colour": "white"},
    )),
    ("Tops", (
        {"is": "tee", "hem": "hip"}, {"is": "tank", "colour": "black", "hem": "hip"}, {"is": "camisole", "fabric": ["satin"], "hem": "hip"},
        {"is": "shirt", "hem": "seat"}, {"is": "shirt", "pattern": "check", "colour": "light_blue", "second_colour": "navy", "hem": "seat"},
        {"is": "blouse", "sleeve_shape": "puffed", "fabric": ["lace"], "hem": "hip"}, {"is": "blouse", "cut": "wrap", "colour": "teal"},
        {"is": "knit", "colour": "burgundy", "hem": "hip"}, {"is": "knit", "fabric": ["chunky"], "colour": "cream", "neck": "polo", "hem": "hip"},
        {"is": "knit", "fabric": ["ribbed"], "neck": "v", "colour": "mustard", "hem": "hip"},
        {"is": "sweatshirt", "colour": "grey", "hooded": True, "hem": "hip"}, {"is": "bodysuit"},
    )),
    ("Layers", (
        {"is": "blazer", "hem": "seat"}, {"is": "blazer", "surface": "textured", "colour": "brown", "hem": "seat"}, {"is": "jacket", "hooded": True, "hem": "hip", "colour": "olive"},
        {"is": "jacket", "fabric": ["denim"], "colour": "mid_blue"}, {"is": "jacket", "fabric": ["leather"], "colour": "black"},
        {"is": "waistcoat"}, {"is": "gilet"}, {"is": "cardigan", "colour": "sage", "hem": "hip"}, {"is": "coat"},
        {"is": "duster"}, {"is": "kimono", "pattern": "small_print", "colour": "teal"}, {"is": "cape"},
    )),
    ("Shoes", (
        {"is": "trainers", "colour": "white"}, {"is": "flats", "colour": "black"}, {"is": "loafers"}, {"is": "mules"},
        {"is": "slingbacks", "colour": "black"}, {"is": "pumps", "heel": "high", "heel_shape": "stiletto", "colour": "red"},
        {"is": "pumps", "heel_shape": "block", "toe": "square"}, {"is": "sandals", "heel_shape": "wedge", "heel": "mid"},
        {"is": "ankle_boots", "colour": "black"}, {"is": "sock_boots", "heel": "mid", "colour": "black"}, {"is": "tall_boots"},
        {"is": "over_knee_boots", "colour": "charcoal"},
    )),
    ("Besides", (
        {"is": "belt"}, {"is": "necklace"}, {"is": "earrings", "colour": "gold"}, {"is": "scarf", "pattern": "check"}, {"is": "bag"}, {"is": "hat"},
        {"is": "watch"}, {"is": "ring"}, {"is": "socks"}, {"is": "bra"}, {"is": "tights"}, {"is": "underslip"},
    )),
    ("Swim", (
        {"is": "swimsuit", "colour": "navy"}, {"is": "swimsuit", "swim_detail": ["high_leg", "low_neck"], "colour": "red"},
        {"is": "swimsuit", "swim_detail": ["cut_out", "thin_strap"], "colour": "black"},
        {"is": "swimsuit", "swim_detail": ["panel", "ruching"], "colour": "teal"}, {"is": "bikini_top", "colour": "coral"},
        {"is": "bikini_bottom", "colour": "coral"}, {"is": "bikini_bottom", "swim_detail": ["side_ties"], "colour": "olive"},
        {"is": "bikini_bottom", "swim_detail": ["skirted"], "colour": "navy"},
        {"is": "tankini", "colour": "purple"}, {"is": "swim_shorts"}, {"is": "poncho"}, {"is": "bracelet", "colour": "gold"},
    )),
)  # fmt: skip
#: A dozen looks that between them wear every way of wearing: drawn on the sheet, and held as data.
LOOKS: tuple[tuple[str, tuple[Words, ...]], ...] = (
    ("blazer_open", ({"is": "jeans"}, {"is": "knit", "fabric": ["ribbed"], "colour": "cream", "tuck": "front"}, {"is": "blazer", "open": True}, {"is": "loafers"})),
    ("shirt_in_wide", ({"is": "trousers", "cut": "wide", "rise": "high"}, {"is": "shirt", "tuck": "full"}, {"is": "belt"}, {"is": "pumps", "toe": "pointed", "heel": "high", "colour": "black"})),
    ("half_tuck", ({"is": "jeans", "cut": "slim", "cuffed": True}, {"is": "shirt", "tuck": "half", "rolled": True, "colour": "light_blue"}, {"is": "trainers", "colour": "white"})),
    ("coat_over_skirt", ({"is": "skirt", "cut": "a_line", "hem": "mid_calf", "colour": "olive"}, {"is": "knit", "neck": "polo", "fabric": ["chunky"], "colour": "cream"}, {"is": "coat", "open": True}, {"is": "tall_boots"})),
    ("wrap_dress", ({"is": "dress", "cut": "wrap", "colour": "burgundy", "sleeve": "long"}, {"is": "sandals"}, {"is": "necklace"})),
    ("slip_dress", ({"is": "dress", "cut": "slip", "fabric": ["satin"], "colour": "sage", "hem": "mid_calf"}, {"is": "cardigan", "open": True, "colour": "cream"}, {"is": "mules"})),
    ("pleats", ({"is": "skirt", "cut": "pleated", "colour": "navy"}, {"is": "blouse"}, {"is": "blazer", "colour": "charcoal"}, {"is": "tights", "sheerness": "half_sheer"}, {"is": "slingbacks", "colour": "black"})),
    ("dungarees", ({"is": "dungarees"}, {"is": "tee", "pattern": "horizontal_stripe"}, {"is": "ankle_boots"})),
    ("trench", ({"is": "trousers", "cut": "slim", "hem": "ankle"}, {"is": "knit"}, {"is": "coat", "belted": "medium", "colour": "beige"}, {"is": "scarf", "pattern": "check", "colour": "navy"}, {"is": "bag"}, {"is": "flats", "colour": "black"})),
    ("leather", ({"is": "trousers", "fabric": ["leather"], "colour": "black", "cut": "straight"}, {"is": "camisole", "colour": "ivory"}, {"is": "jacket", "fabric": ["denim"], "colour": "mid_blue", "open": True}, {"is": "sock_boots", "heel": "mid", "colour": "black"})),
    ("print", ({"is": "dress", "cut": "a_line", "pattern": "large_print", "colour": "cream", "second_colour": "coral", "sleeve": "short"}, {"is": "hat"}, {"is": "sandals", "heel": "mid", "heel_shape": "wedge"})),
    ("swim", ({"is": "swimsuit", "colour": "navy", "swim_detail": ["high_leg", "panel"]}, {"is": "kimono", "colour": "coral"})),
)  # fmt: skip
#: The look that three bodies wear on the second sheet.
ON_THREE = ({"is": "trousers", "cut": "straight", "hem": "ankle"}, {"is": "knit", "colour": "cream", "tuck": "front"},
            {"is": "blazer", "open": True}, {"is": "loafers"})  # fmt: skip

#: What a specimen is worn with, by its slot: what shows how it hangs and hides nothing of it.
WORN_WITH: Mapping[str, tuple[Words, ...]] = {
    "layer": ({"is": "tee", "colour": "ivory", "tuck": "full"}, {"is": "trousers", "colour": "beige"}),
    "top": ({"is": "trousers", "colour": "beige"},),
}
#: The sheet, px: its breadth, a cell, a row of flats, a row of the same worn, one of whole looks, its margins; colours of the house.
WIDE, CELL, TALL, WORN, FIGURES, EDGE = 1600, 124, 150, 250, 420, 24
PAPER, WALNUT, BARK = "#f4efe4", "#35261b", "#6a5644"


def drawn_look(pieces: Sequence[Words], measures: Measures = USUAL) -> tuple[Shape, ...]:
    """A look of the sheets on a body."""
    return draw_dressed(compose(Body.of(measures), Look.of(pieces)))


def worn_with(words: Words) -> tuple[Words, ...]:
    """A specimen with what it is worn with; shoes stand on bare legs, so does whatever else can be worn alone.

    >>> [piece["is"] for piece in worn_with({"is": "shirt"})], len(worn_with({"is": "loafers"}))
    (['trousers', 'shirt'], 1)
    """
    return (*WORN_WITH.get(Piece.of(words).slot, ()), words)


def named(words: Words) -> str:
    """What a specimen is called: “satin slip skirt”.

    >>> named({"is": "skirt", "cut": "slip", "fabric": ["satin"], "colour": "bronze"})
    'satin slip skirt'
    """
    parts = [*words.get("fabric", ()), *(words.get(key) for key in ("pattern", "surface", "heel_shape", "cut", "neck"))]
    parts += words.get("swim_detail", ())[:1]
    return said(" ".join(dict.fromkeys(str(part) for part in (*parts, words["is"]) if part and part != "textured")))


def _text(x: float, y: float, what: str, *, size: int = 11, colour: str = BARK, at: str = "middle") -> str:
    return f'<text x="{x:.0f}" y="{y:.0f}" font-size="{size}" fill="{colour}" text-anchor="{at}">{escape(what)}</text>'


def _placed(shapes: Sequence[Shape], name: str, x: float, top: float, wide: float, tall: float, most: float) -> str:
    """Shapes hung from a line, as large as their place lets them be."""
    left, low, right, high = bounds(shapes)
    scale = min(wide / ((right - left) * 10), tall / ((high - low) * 10), most)
    across, down = x - (left + right) * 5 * scale, top + high * 10 * scale
    return (
        f'<g transform="translate({across:.1f} {down:.1f}) scale({scale:.4f} {-scale:.4f})">{painted(shapes, name)}</g>'
    )


#: What is shown of a figure where its feet are looked at: half its breadth and its height, mm.
FEET = (230, 800)


def _lower(shapes: Sequence[Shape], name: str, x: float, top: float) -> str:
    """The legs of a figure from above the knee down."""
    half, tall = FEET
    scale = (WORN - 24) / tall
    return (
        f'<svg x="{x - half * scale:.1f}" y="{top:.1f}" width="{2 * half * scale:.1f}" height="{WORN - 24}"'
        f' viewBox="{-half} {-tall} {2 * half} {tall}"><g transform="scale(1 -1)">{painted(shapes, name)}</g></svg>'
    )


def _sheet(title: str, tall: float, parts: Iterable[str], wide: int = WIDE) -> str:
    return (
        f'<svg xmlns="http://www.w3.org/2000/svg" width="{wide}" height="{tall:.0f}" viewBox="0 0 {wide} {tall:.0f}"'
        f' font-family="sans-serif"><title>{escape(title)}</title><rect width="{wide}" height="{tall:.0f}" fill="{PAPER}"/>'
        f"{''.join(parts)}</svg>\n"
    )


def kinds_svg() -> str:
    """Every kind, flat; then the dozen looks, worn."""
    body = Body.of(USUAL)
    parts: list[str] = []
    y = float(EDGE)
    for row, (title, pieces) in enumerate(ROWS):
        parts.append(_text(EDGE, y + 10, title, size=15, colour=WALNUT, at="start"))
        y += 22
        for at, words in enumerate(pieces):
            x = EDGE + (at + 0.5) * (WIDE - 2 * EDGE) / len(pieces)
            most = 0.3 if title in ("Shoes", "Besides", "Swim") else 0.12
            shapes = flat_of(body, Piece.of(words)).shapes
            parts.append(_placed(shapes, f"s{row}-{at}-", x, y, CELL - 14, TALL - 26, most))
            parts.append(_text(x, y + TALL - 8, named(words), size=10))
            figure = drawn_look(worn_with(words))
            if title == "Shoes":
                parts.append(_lower(figure, f"f{row}-{at}-", x, y + TALL))
            else:
                parts.append(_placed(figure, f"f{row}-{at}-", x, y + TALL, CELL, WORN - 24, 0.125))
        y += TALL + WORN
    parts.append(_text(EDGE, y + 10, "Worn", size=15, colour=WALNUT, at="start"))
    y += 22
    for at, (name, look) in enumerate(LOOKS):
        x = EDGE + (at % 12 + 0.5) * (WIDE - 2 * EDGE) / 12
        parts.append(_placed(drawn_look(look), f"w{at}-", x, y, CELL + 2, FIGURES - 40, 0.215))
        parts.append(_text(x, y + FIGURES - 20, said(name)))
    return _sheet("Specimens of every kind", y + FIGURES, parts)


def bodies_svg() -> str:
    """One look on three bodies, at one scale and on one floor."""
    parts = []
    scale, floor, wide = 0.36, 690.0, 960
    for at, (name, measures) in enumerate(THREE):
        x = wide * (at + 0.5) / len(THREE)
        shapes = drawn_look(ON_THREE, measures)
        parts.append(
            f'<g transform="translate({x:.0f} {floor}) scale({scale} {-scale})">{painted(shapes, f"b{at}-")}</g>'
        )
        parts.append(_text(x, floor + 26, name, size=15, colour=WALNUT))
    return _sheet(
        "One look on three bodies", floor + 44, [f'<path d="M40 {floor}H{wide - 40}" stroke="{WALNUT}"/>', *parts], wide
    )
