"""The words that describe pieces. A word stands for a nominal size on the client's own body."""

from __future__ import annotations

from functools import lru_cache

HEM = (
    *("under_bust", "waist", "high_hip", "hip", "seat", "upper_thigh", "mid_thigh", "above_knee", "knee"),
    *("below_knee", "mid_calf", "lower_calf", "ankle", "ankle_bone", "foot", "floor", "puddle"),
)
LEG_CUTS = (
    *("skinny", "slim", "slim_straight", "straight", "boyfriend", "girlfriend"),
    *("bootcut", "flare", "kick_flare", "wide", "balloon"),
)
DRESS_CUTS = ("slip", "pencil", "a_line", "pleated", "sheath", "shift", "wrap", "empire", "ruched")
TOP_CUTS = ("plain", "boxy", "wrap", "peplum", "ruched", "longline", "cropped", "ruffled")
CUT = (*LEG_CUTS, *DRESS_CUTS, *(cut for cut in TOP_CUTS if cut not in DRESS_CUTS))
FIT = ("tight", "fitted", "skimming", "relaxed", "oversized")
RISE = ("low", "mid", "high", "very_high")
TUCK = (
    *("none", "full", "bloused", "front", "half", "side", "back", "tail_fold", "knot", "bra"),
    # Flat and then lifted above the seat; half in front with the tail folded under; gathered to one side with an elastic.
    *("lifted", "front_and_tail", "gathered"),
)
FABRIC = (
    *("thin", "substantial", "chunky", "clinging", "draping", "structured", "rigid", "stretch"),
    *("satin", "ribbed", "denim", "leather", "linen", "crochet", "sheer", "lace"),
)
PATTERN = (
    *("horizontal_stripe", "vertical_stripe", "small_print", "large_print"),
    *("check", "animal", "lettering", "dark_side_panels"),
)
NECK = (
    *("crew", "scoop", "v", "boat", "polo", "open_collar"),
    *("closed_collar", "halter", "square", "one_shoulder"),
)
SWIM_DETAIL = (
    *("side_detail", "centre_detail", "shoulder_detail", "drawn_waist", "ruching", "underwire", "soft_cup"),
    *("panel", "thick_strap", "thin_strap", "high_leg", "low_leg", "side_ties", "low_neck", "high_neck", "flounce"),
    *("drape", "lacing", "open_sides", "cut_out", "skirted", "crossed_front", "tie_waist", "compression", "full_cup"),
)

#: Every word list by the key that takes one of its words.
ONE_OF: dict[str, tuple[str, ...]] = {
    "cut": CUT,
    "fit": FIT,
    "rise": RISE,
    "hem": HEM,
    # A leg inside the boot or outside it; a top that is worn over another as a layer; a knit round the shoulders.
    "worn": ("inside", "outside", "over", "shoulders"),
    "tuck": TUCK,
    "belted": ("thin", "medium", "wide"),
    "sleeve": ("none", "short", "elbow", "three_quarter", "long"),
    "neck": NECK,
    "pattern": PATTERN,
    "toe": ("round", "almond", "pointed", "square"),
    "bulk": ("dainty", "medium", "chunky"),
    "heel": ("flat", "kitten", "mid", "high"),
    "heel_shape": ("block", "stiletto", "wedge", "platform"),
    "shaft": ("close", "slim", "wide"),
    "drop": ("short", "long"),
    # How a cloth falls, what shows through it, how its surface takes the light, how denim was washed,
    # how an edge is finished, and which way a pattern runs.
    "drape": ("stiff", "soft", "fluid"),
    "sheerness": ("opaque", "half_sheer", "see_through"),
    "surface": ("matt", "shiny", "metallic", "brushed", "textured"),
    "wash": ("unwashed", "dark_wash", "mid_wash", "light_wash"),
    "hem_finish": ("raw", "finished", "rolled_in", "taped"),
    "runs": ("lengthwise", "crosswise", "diagonal", "all_over"),
    # What holds a band; where pockets are; how a sleeve is cut; how much foot a shoe covers; where cloth is gathered and
    # where it is cut out; how large a bag is; what a bra does.
    "band": ("plain", "two_button", "firm", "elastic", "drawstring", "paper_bag"),
    "pockets": ("none", "seat_high", "seat_low", "seat_wide", "hip", "chest", "thigh"),
    "sleeve_shape": ("close", "puffed", "wide"),
    "vamp": ("low", "high"),
    "gathers": ("bust", "middle", "side"),
    "cut_out": ("midriff", "sides", "back", "shoulders"),
    "size": ("small", "medium", "large"),
    "lift": ("soft", "lifted"),
}
SOME_OF: dict[str, tuple[str, ...]] = {
    "fabric": FABRIC,
    "fade": ("thighs", "seat"),
    "swim_detail": SWIM_DETAIL,
}
FLAGS = (
    *("cuffed", "open", "rolled", "ankle_strap", "distressed"),
    # Sleeves pushed up, one of two rolled; legs that narrow to the hem; a stripe or piping down the side; padded shoulders; darts at
    # the waist; a hood.
    *("pushed", "one_rolled", "tapered", "side_stripe", "padded", "darts", "hooded"),
)
#: The colours a piece may have: its ground, and up to two more that are printed, woven or sewn on it.
COLOUR_KEYS = ("colour", "second_colour", "third_colour")

#: Words that few pieces say and whole rules are about: a rule is not asked of a look without them.
MARKS = ("pattern", "second_colour", "side_stripe", "pockets", "band", "fade", "ankle_strap")

#: Figures of a piece end in their unit: cm, per cent, grams a square metre.
UNITS = {"_cm": "cm", "_pct": "%", "_gsm": "g/m²"}


@lru_cache(maxsize=1024)
def unit_of(key: str) -> str | None:
    """The unit of a figure's key, or None where it is no figure.

    >>> unit_of("inseam_cm"), unit_of("elastane_pct"), unit_of("cut")
    ('cm', '%', None)
    """
    return UNITS.get(key[key.rfind("_") :]) if "_" in key else None


def figure_name(key: str) -> str:
    """A figure's name as read: `leg_opening_cm` -> “leg opening”."""
    return said(key.rsplit("_", 1)[0])


COLOURS: dict[str, str] = {
    "black": "#17171a",
    "white": "#fbfbf8",
    "cream": "#f3ead7",
    "ivory": "#f4efdf",
    "camel": "#b98a55",
    "tan": "#c69c6d",
    "nude": "#d9b596",
    "grey": "#8a8b8d",
    "charcoal": "#3d3e42",
    "navy": "#1f2a44",
    "soft_navy": "#3f506f",
    "mid_blue": "#5b7ea6",
    "light_blue": "#a9c3dc",
    "dark_denim": "#26344e",
    "brown": "#5d4230",
    "chestnut": "#6f3a24",
    "cognac": "#9a5b2e",
    "burgundy": "#5c1f2d",
    "red": "#b32d2e",
    "coral": "#e4765c",
    "peach": "#f0b595",
    "mustard": "#c9992e",
    "olive": "#6b6a3a",
    "dark_green": "#21402f",
    "sage": "#a3b18a",
    "lime": "#b9d44a",
    "pink": "#e2a1b3",
    "neon_yellow": "#e6ff3f",
    "bronze": "#8c6a3f",
    "silver": "#bfc1c4",
    "gold": "#c5a253",
    "copper": "#b06a45",
    "beige": "#d8c6a8",
    "khaki": "#8b8460",
    "rust": "#a3502a",
    "orange": "#e07b2e",
    "yellow": "#ebcb4f",
    "green": "#3f7d4f",
    "teal": "#1f6c70",
    "turquoise": "#4fb3b5",
    "cobalt": "#2a4fa0",
    "lilac": "#b9a3cf",
    "purple": "#5b3a78",
    "fuchsia": "#c2327a",
}
#: Colours that are a metal on what shines: a buckle, a chain, a shoe.
METALS = ("silver", "gold", "bronze", "copper")


def said(word: str) -> str:
    """A word as a reader sees it: `slim_straight` -> “slim straight”."""
    return word.replace("_", " ")
