"""Cloth by marks: what a cloth is woven, knitted or printed as, in its true size, and how it takes the light.

Each system is one row: a tile in mm and how its marks are made from the ground's colour. A word of the vocabulary leads
to a row; to add a cloth, add a row and the word that leads to it.
"""

from __future__ import annotations

from collections.abc import Callable
from functools import lru_cache

from craft.cloth import Piece
from craft.cloth.colour import hex_of
from craft.draw.shapes import Light, Point, Weave

#: What dark and light marks are mixed from.
INK, PAPER, THREAD = "#1d1712", "#fffaf0", "#cf9f5f"
Marks = tuple[tuple[str, str, float], ...]


def mixed(colour: str, other: str, part: float) -> str:
    """A colour with so much of another in it.

    >>> mixed("#000000", "#ffffff", 0.5)
    '#808080'
    """
    one, two = (int(code[1:], 16) if len(code) == 7 else 0x888888 for code in (hex_of(colour), hex_of(other)))
    parts = [round(((one >> by) & 255) * (1 - part) + ((two >> by) & 255) * part) for by in (16, 8, 0)]
    return "#{:02x}{:02x}{:02x}".format(*parts)


def is_dark(colour: str) -> bool:
    """Whether a line on it must be lighter than it is."""
    code = int(hex_of(colour)[1:], 16)
    return 0.299 * (code >> 16) + 0.587 * ((code >> 8) & 255) + 0.114 * (code & 255) < 95


@lru_cache(maxsize=1024)
def thread(colour: str, strong: float = 0.5) -> str:
    """The colour of a seam on a cloth: it shows on black as on white."""
    return mixed(colour, PAPER, 0.8 * strong) if is_dark(colour) else mixed(colour, INK, strong)


def _tone(ground: str, part: float) -> str:
    return mixed(ground, PAPER, part) if is_dark(ground) else mixed(ground, INK, part)


def _ring(x: float, y: float, r: float) -> str:
    return f"M{x - r:g} {y:g}a{r:g} {r:g} 0 1 0 {2 * r:g} 0a{r:g} {r:g} 0 1 0 {-2 * r:g} 0Z"


def _twill(ground: str, _: str) -> Marks:
    return (("M0 5H11", mixed(ground, PAPER, 0.22), 2.6),)


def _wool(ground: str, _: str) -> Marks:
    return (("M0 4H9", _tone(ground, 0.10), 2.0),)


def _rib(ground: str, _: str) -> Marks:
    return (("M5 0V10", _tone(ground, 0.24), 2.0),)


def _fine(ground: str, _: str) -> Marks:
    return (("M3 0V6", _tone(ground, 0.13), 1.2),)


def _chunky(ground: str, _: str) -> Marks:
    return (("M2 22L12 8L22 22M2 34L12 20L22 34", _tone(ground, 0.26), 2.6),)


def _cable(ground: str, _: str) -> Marks:
    dark = _tone(ground, 0.3)
    return (("M30 0C30 14 46 18 46 30C46 42 30 46 30 60M46 0C46 14 30 18 30 30C30 42 46 46 46 60", dark, 2.8),
            ("M22 0V60M54 0V60", dark, 1.6), ("M4 6L9 14L14 6M4 26L9 34L14 26M4 46L9 54L14 46", _tone(ground, 0.16), 1.6))  # fmt: skip


def _linen(ground: str, _: str) -> Marks:
    mark = _tone(ground, 0.16)
    return (("M0 3H9M14 3H26M4 11H20M0 19H6M11 19H26", mark, 1.1), ("M5 0V8M12 10V22M19 2V14M24 14V24", mark, 1.0))


def _tweed(ground: str, second: str) -> Marks:
    fleck = mixed(ground, PAPER, 0.5)
    return (
        ("M2 3L8 9M14 3L8 9M14 15L8 9M2 15L8 9", _tone(ground, 0.2), 2.2),
        ("M4 16h3M12 7h2M9 1h2", fleck, 1.8),
        ("M1 10h2M14 12h2", mixed(ground, second, 0.6), 1.8),
    )


def _crochet(ground: str, _: str) -> Marks:
    return (
        (_ring(10, 10, 6.5) + _ring(0, 0, 6.5) + _ring(20, 0, 6.5) + _ring(0, 20, 6.5) + _ring(20, 20, 6.5),
         _tone(ground, 0.34), 1.8),
        (_ring(10, 10, 1.6), _tone(ground, 0.34), 1.2),
    )  # fmt: skip


def _lace(ground: str, _: str) -> Marks:
    """Blossoms on a fine net, worked lighter or darker than it."""
    petals = ((0.0, 5.4), (5.1, 1.7), (3.2, -4.4), (-3.2, -4.4), (-5.1, 1.7))
    bloom = "".join(_ring(18 + dx, 18 + dy, 3.0) for dx, dy in petals)
    corner = "".join(
        _ring(x + dx * 0.5, y + dy * 0.5, 1.7) for x, y in ((0, 0), (36, 0), (0, 36), (36, 36)) for dx, dy in petals
    )
    net = "".join(f"M{x} 0L{x + 36} 36M{x + 36} 0L{x} 36" for x in range(-36, 37, 6))
    return (
        (net, _tone(ground, 0.16), 0.7),
        (bloom + corner, _tone(ground, 0.42), 1.5),
        (_ring(18, 18, 1.6) + "M18 26Q27 30 34 20M18 10Q9 6 2 16", _tone(ground, 0.42), 1.3),
    )


def _brushed(ground: str, _: str) -> Marks:
    return (("M2 2v3M9 6v3M5 10v3M13 1v3M12 12v3", _tone(ground, 0.16), 1.2),)


def _jersey(ground: str, _: str) -> Marks:
    return (("M2 0V5", _tone(ground, 0.06), 0.8),)


def _metal(ground: str, _: str) -> Marks:
    return ((_ring(4, 4, 1.1) + _ring(10, 9, 1.0) + _ring(2, 11, 0.8), mixed(ground, "#ffffff", 0.6), 0.0),)


#: Woven, knitted and worked: tile width and height, turn in degrees, its marks.
SYSTEMS: dict[str, tuple[float, float, float, Callable[[str, str], Marks]]] = {
    "denim": (11, 11, 63, _twill),
    "wool": (9, 9, 45, _wool),
    "rib": (10, 10, 0, _rib),
    "fine_knit": (6, 6, 0, _fine),
    "jersey": (5, 5, 0, _jersey),
    "chunky": (24, 24, 0, _chunky),
    "cable": (66, 60, 0, _cable),
    "linen": (26, 24, 0, _linen),
    "tweed": (16, 18, 0, _tweed),
    "crochet": (20, 20, 0, _crochet),
    "lace": (36, 36, 0, _lace),
    "brushed": (15, 15, 0, _brushed),
    "metal": (12, 12, 0, _metal),
}
#: The repeat of a pattern where it was not measured, cm.
REPEAT = {
    "horizontal_stripe": 2.6,
    "vertical_stripe": 2.2,
    "check": 5.0,
    "small_print": 2.2,
    "large_print": 11.0,
    "animal": 6.0,
}
#: Which cloth a word of the cloth means; the first that is said counts.
_BY_FABRIC = (("denim", "denim"), ("crochet", "crochet"), ("lace", "lace"), ("ribbed", "rib"), ("linen", "linen"))
_BY_KIND = {
    "jeans": "denim",
    "dungarees": "denim",
    "knit": "fine_knit",
    "cardigan": "fine_knit",
    "tee": "jersey",
    "sweatshirt": "brushed",
    "blazer": "wool",
    "coat": "wool",
    "poncho": "chunky",
    "cape": "wool",
    "waistcoat": "wool",
}


def system_of(piece: Piece) -> str | None:
    """What a piece is woven or knitted as, by its words; none where its cloth is plain.

    >>> system_of(Piece.of({"is": "jeans"})), system_of(Piece.of({"is": "knit", "fabric": ["chunky"]}))
    ('denim', 'cable')
    """
    fabric, surface = piece.fabric, piece.word("surface")
    if "leather" in fabric or "satin" in fabric or piece.row.slot in ("shoes", "extra"):
        return None
    if "chunky" in fabric:
        return "cable" if piece.kind in ("knit", "cardigan") else "chunky"
    for word, system in _BY_FABRIC:
        if word in fabric:
            return system
    if surface == "textured":
        return "tweed"
    return "metal" if surface == "metallic" else "brushed" if surface == "brushed" else _BY_KIND.get(piece.kind)


def light_of(piece: Piece) -> Light:
    """How a piece takes the light: satin and leather in their own way, all else as a soft form."""
    if "leather" in piece.fabric or piece.slot == "shoes":
        return "leather"
    return "satin" if "satin" in piece.fabric or piece.word("surface") in ("shiny", "metallic") else "form"


def opacity_of(piece: Piece) -> float:
    """How much of what is under it a piece hides."""
    if "sheer" in piece.fabric or piece.word("sheerness") == "see_through":
        return 0.45
    return 0.72 if piece.word("sheerness") == "half_sheer" else 1.0


def met_at(weave: Weave | None, seam: Point) -> Weave | None:
    """A turned cloth whose pattern meets its neighbour's at a point of the seam between them, cm.

    >>> met_at(weave_of(Piece.of({"is": "tee", "pattern": "check"}), "white", 20.0), (18.0, 120.0)).about
    (180.0, 1200.0)
    """
    if weave is None or not weave.turn:
        return weave
    x, y = round(seam[0] * 10), round(seam[1] * 10)
    return weave._replace(key=f"{weave.key}{_key(x, y)}", about=(float(x), float(y)))


@lru_cache(maxsize=4096)
def weave_of(piece: Piece, colour: str, turn: float = 0.0) -> Weave | None:
    """The cloth of a piece, or of a part of it that is turned by so many degrees: its print, else how it is worked."""
    pattern = piece.word("pattern")
    second = _second(piece, colour)
    if pattern in REPEAT:
        return _print(piece, pattern, colour, second, turn)
    name = system_of(piece)
    if name is None:
        return None
    wide, tall, own, marks = SYSTEMS[name]
    return Weave(_key(name, colour, second, own + turn), wide, tall, own + turn, marks(hex_of(colour), second))


def _second(piece: Piece, colour: str) -> str:
    said = piece.word("second_colour")
    if said:
        return hex_of(said)
    return "#f4efe4" if is_dark(colour) or hex_of(colour) not in ("#fbfbf8", "#f4efdf", "#f3ead7") else "#39465f"


def _key(*parts: object) -> str:
    return "w" + "".join(str(part).lstrip("#").replace(".", "_").replace("-", "m") for part in parts)


def _print(piece: Piece, pattern: str, colour: str, second: str, turn: float) -> Weave:
    mm = (piece.figure("repeat_cm") or REPEAT[pattern]) * 10
    third = hex_of(piece.word("third_colour") or "") if piece.word("third_colour") else mixed(second, colour, 0.5)
    own = 45.0 if piece.word("runs") == "diagonal" else 0.0
    if pattern in ("horizontal_stripe", "vertical_stripe"):
        runs = {"lengthwise": True, "crosswise": False}
        upright = runs.get(piece.word("runs") or "", pattern == "vertical_stripe")
        marks: Marks = ((f"M0 0H{mm:g}V{mm * 0.4:g}H0Z", second, 0.0),)
        if upright:
            marks = ((f"M0 0H{mm * 0.36:g}V{mm:g}H0Z", second, 0.0),)
    elif pattern == "check":
        half = mm / 2
        marks = (
            (f"M0 0H{half:g}V{mm:g}H0Z", mixed(colour, second, 0.45), 0.0),
            (f"M0 0H{mm:g}V{half:g}H0Z", mixed(colour, second, 0.45), 0.0),
            (f"M0 0H{half:g}V{half:g}H0Z", mixed(colour, second, 0.85), 0.0),
            (f"M{mm * 0.75:g} 0V{mm:g}M0 {mm * 0.75:g}H{mm:g}", third, mm * 0.03),
        )
    elif pattern == "animal":
        at = [(0.2, 0.25, 0.13), (0.7, 0.15, 0.1), (0.5, 0.6, 0.15), (0.9, 0.75, 0.1), (0.15, 0.8, 0.09)]
        spots = "".join(_ring(x * mm, y * mm, r * mm) for x, y, r in at)
        marks = (
            (spots, mixed(colour, INK, 0.72), mm * 0.07),
            ("".join(_ring(x * mm, y * mm, r * mm * 0.5) for x, y, r in at), mixed(colour, INK, 0.3), 0.0),
        )
    else:
        marks = _flowers(mm, second, third)
    return Weave(_key(pattern, colour, second, mm, own + turn), mm, mm, own + turn, marks)


def _flowers(mm: float, second: str, third: str) -> Marks:
    """Blossoms of five petals, two in a repeat, with a leaf between."""
    petals = ((0, 0.13), (0.124, 0.04), (0.076, -0.105), (-0.076, -0.105), (-0.124, 0.04))
    bloom = "".join(_ring((0.3 + dx) * mm, (0.3 + dy) * mm, 0.085 * mm) for dx, dy in petals)
    small = "".join(_ring((0.78 + dx * 0.6) * mm, (0.74 + dy * 0.6) * mm, 0.055 * mm) for dx, dy in petals)
    leaf = f"M{0.5 * mm:g} {0.62 * mm:g}q{0.1 * mm:g} {-0.16 * mm:g} {0.24 * mm:g} {-0.1 * mm:g}"
    leaf += f"q{-0.08 * mm:g} {0.16 * mm:g} {-0.24 * mm:g} {0.1 * mm:g}Z"
    return (
        (bloom + small, second, 0.0),
        (leaf, third, 0.0),
        (_ring(0.3 * mm, 0.3 * mm, 0.05 * mm) + _ring(0.78 * mm, 0.74 * mm, 0.035 * mm), third, 0.0),
    )
