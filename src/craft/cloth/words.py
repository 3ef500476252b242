"""The words that describe pieces. A word stands for a nominal size on the client's own body."""

from __future__ import annotations

KINDS: dict[str, tuple[str, ...]] = {
    "bottom": ("jeans", "trousers", "leggings", "shorts", "skirt"),
    "one_piece": ("dress", "dungarees", "jumpsuit"),
    "top": ("tee", "tank", "camisole", "shirt", "blouse", "knit", "sweatshirt", "bodysuit"),
    "layer": ("waistcoat", "gilet", "cardigan", "blazer", "jacket", "coat", "duster", "kimono"),
    "shoes": (
        *("trainers", "flats", "loafers", "mules", "slingbacks", "pumps", "sandals"),
        *("ankle_boots", "sock_boots", "tall_boots", "over_knee_boots"),
    ),
    "extra": ("belt", "necklace", "earrings", "scarf", "bag", "hat", "tights", "socks"),
    "swim": ("swimsuit", "bikini_top", "bikini_bottom", "tankini"),
}
SLOT_OF = {kind: slot for slot, kinds in KINDS.items() for kind in kinds}

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
TUCK = ("none", "full", "bloused", "front", "half", "side", "back", "tail_fold", "knot", "bra")
FABRIC = (
    *("thin", "substantial", "chunky", "clinging", "draping", "structured", "rigid", "stretch"),
    *("satin", "ribbed", "denim", "leather", "linen", "crochet", "sheer"),
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
)

#: Every word list by the key that takes one of its words.
ONE_OF: dict[str, tuple[str, ...]] = {
    "cut": CUT,
    "fit": FIT,
    "rise": RISE,
    "hem": HEM,
    "worn": ("inside", "outside"),
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
    "surface": ("matt", "shiny", "brushed", "textured"),
    "wash": ("unwashed", "dark_wash", "mid_wash", "light_wash"),
    "hem_finish": ("raw", "finished"),
    "runs": ("lengthwise", "crosswise", "diagonal", "all_over"),
}
SOME_OF: dict[str, tuple[str, ...]] = {
    "fabric": FABRIC,
    "fade": ("thighs", "seat"),
    "swim_detail": SWIM_DETAIL,
}
FLAGS = ("cuffed", "open", "rolled", "ankle_strap", "distressed")

#: Fibres whose shares a piece may carry, per cent of its cloth.
FIBRES = (
    *("cotton", "wool", "silk", "flax", "cashmere", "viscose", "lyocell"),
    *("polyester", "polyamide", "acrylic", "elastane"),
)
#: Figures of a piece end in their unit: cm, per cent, grams a square metre.
UNITS = {"_cm": "cm", "_pct": "%", "_gsm": "g/m²"}
_CLOTH = ("stretch_pct", "recovery_pct", "weight_gsm", "repeat_cm", *(f"{fibre}_pct" for fibre in FIBRES))

#: Measurements a piece may carry, by slot. A girth is the whole girth, not the flat half.
_LEGS = ("front_rise_cm", "back_rise_cm", "inseam_cm", "outseam_cm", "thigh_cm", "knee_cm", "leg_opening_cm")
_TRUNK = (
    *("length_cm", "chest_cm", "waist_cm", "hip_cm", "hem_sweep_cm", "sleeve_cm", "upper_arm_cm", "shoulder_cm"),
    *("neck_depth_cm", "hem_cm", *_CLOTH),
)
FIGURES: dict[str, tuple[str, ...]] = {
    "bottom": (*_LEGS, "waist_cm", "hip_cm", "length_cm", "hem_sweep_cm", "hem_cm", *_CLOTH),
    "top": (*_TRUNK, "torso_loop_cm"),
    "layer": _TRUNK,
    "one_piece": (*_TRUNK, *_LEGS, "torso_loop_cm"),
    "swim": ("torso_loop_cm", "chest_cm", "under_bust_cm", "waist_cm", "hip_cm", "front_rise_cm", *_CLOTH),
    "shoes": ("heel_cm", "platform_cm", "shaft_cm", "shaft_girth_cm"),
    # A belt closes at any girth between its first hole and its last.
    "extra": ("length_cm", "width_cm", "first_hole_cm", "last_hole_cm"),
}


#: Figures that a slot has and a kind of it has not.
_LENGTHS = ("length_cm", "hem_sweep_cm")
_NOT_OF: dict[str, tuple[str, ...]] = {
    "skirt": _LEGS,
    "dress": (*_LEGS, "torso_loop_cm"),
    **dict.fromkeys(("jeans", "trousers", "leggings", "shorts"), _LENGTHS),
    **dict.fromkeys(("jumpsuit", "dungarees"), _LENGTHS),
    **dict.fromkeys((kind for kind in KINDS["top"] if kind != "bodysuit"), ("torso_loop_cm",)),
    **dict.fromkeys((kind for kind in KINDS["shoes"] if "boots" not in kind), ("shaft_cm", "shaft_girth_cm")),
    **dict.fromkeys(
        ("necklace", "earrings", "bag", "hat", "tights", "socks"), ("width_cm", "first_hole_cm", "last_hole_cm")
    ),
    "scarf": ("first_hole_cm", "last_hole_cm"),
    "bikini_top": ("torso_loop_cm", "waist_cm", "hip_cm", "front_rise_cm"),
    "bikini_bottom": ("torso_loop_cm", "chest_cm", "under_bust_cm"),
    "tankini": ("front_rise_cm",),
    "swimsuit": ("front_rise_cm",),
}


def figures_of(kind: str) -> tuple[str, ...]:
    """The figures that are asked of a kind: those of its slot that it has.

    >>> "length_cm" in figures_of("jeans"), "length_cm" in figures_of("skirt")
    (False, True)
    """
    return tuple(key for key in FIGURES[SLOT_OF[kind]] if key not in _NOT_OF.get(kind, ()))


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
}


def said(word: str) -> str:
    """A word as a reader sees it: `slim_straight` -> “slim straight”."""
    return word.replace("_", " ")
