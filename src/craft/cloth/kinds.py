"""Every kind of piece: one row each. What it is, from where it hangs, what it is when nothing more is said.

A row is all that the craft, the interface and the screens know of a kind by its name; what else they say of a piece
follows from its landing. To add a kind, add a row here and its drawing (CONTRIBUTING.md).
"""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import dataclass, field
from typing import Literal, NamedTuple

Slot = Literal["bottom", "one_piece", "top", "layer", "shoes", "extra", "swim"]
#: From what a piece hangs, and so which way its length runs down the body:
#: `crotch` legs from the crotch; `waist` a skirt from its band; `shoulder` a top or layer from the high point of the
#: shoulder over the bust; `whole` a dress, over bust and hip; `suit` legs that hang from the shoulder; `body` what the
#: body itself holds (a leg line); `foot` shoes; `besides` what is worn besides clothes.
Hangs = Literal["crotch", "waist", "shoulder", "whole", "suit", "body", "foot", "besides"]

#: Fibres whose shares a piece may carry, per cent of its cloth.
FIBRES = (
    *("cotton", "wool", "silk", "flax", "cashmere", "viscose", "lyocell"),
    *("polyester", "polyamide", "acrylic", "elastane"),
)
#: What the second and third colour of a piece take of it, per cent.
COLOUR_SHARES = ("second_colour_pct", "third_colour_pct")
_CLOTH = (
    "stretch_pct",
    "recovery_pct",
    "weight_gsm",
    "repeat_cm",
    *COLOUR_SHARES,
    *(f"{fibre}_pct" for fibre in FIBRES),
)
_LEGS = ("front_rise_cm", "back_rise_cm", "inseam_cm", "outseam_cm", "thigh_cm", "knee_cm", "leg_opening_cm")
_SKIRT = ("waist_cm", "hip_cm", "length_cm", "hem_sweep_cm", "hem_cm")
_TRUNK = (
    *("length_cm", "chest_cm", "waist_cm", "hip_cm", "hem_sweep_cm", "sleeve_cm", "upper_arm_cm", "shoulder_cm"),
    *("neck_depth_cm", "hem_cm", *_CLOTH),
)
_SUIT = (*(key for key in _TRUNK if key not in ("length_cm", "hem_sweep_cm")), *_LEGS, "torso_loop_cm")
_SHOE = ("heel_cm", "platform_cm", *COLOUR_SHARES)
_BOOT = (*_SHOE, "shaft_cm", "shaft_girth_cm")
#: The figure that says how long a piece is, by how it hangs; none where no figure does.
_LENGTH: dict[str, str] = {
    "crotch": "inseam_cm",
    "suit": "inseam_cm",
    "waist": "length_cm",
    "shoulder": "length_cm",
    "whole": "length_cm",
}


class Shoe(NamedTuple):
    """A shoe as it is when nothing is said: heel, toe and bulk by word, cover of the foot above the sole and sole, cm.

    `shaft` is the landmark that a boot's shaft ends at, and by how many cm above it; `open` lets the rain in.
    """

    heel: str
    cover: float
    toe: str
    bulk: str
    sole: float
    shaft: tuple[str, float] | None = None
    open: bool = False


@dataclass(frozen=True, slots=True)
class Kind:
    """One row: a kind's name, its slot, what it hangs from, the figures a tape takes of it, and its plain middle.

    `hem`, `fit`, `cut`, `rise`, `sleeve`, `neck`, `colour` and `tuck` are what it is when nothing is said. `thickness`
    of its cloth runs from 0 to 1, `formality` from 0 (home and sport) to 4 (formal); `clo` is its insulation in thin
    and in thick cloth, `stretch` the share of its girth that its cloth gives. `structured` cloth holds a form of its
    own; `covers` are the slots that it fills beside its own.
    """

    name: str
    slot: Slot
    hangs: Hangs
    figures: tuple[str, ...]
    hem: str = ""
    fit: str = "skimming"
    cut: str = ""
    rise: str = ""
    sleeve: str = ""
    neck: str = ""
    colour: str = ""
    tuck: str = "none"
    thickness: float = 0.2
    formality: float = 2.0
    clo: tuple[float, float] = (0.0, 0.0)
    stretch: float = 0.015
    structured: bool = False
    covers: tuple[Slot, ...] = ()
    shoe: Shoe | None = None
    #: Whether one speaks of it in the plural: jeans, loafers.
    plural: bool = False
    #: What a rule calls it: its slot, or of what is worn besides its kind; and `legs`, `skirt` or `boots`.
    seen_as: frozenset[str] = field(init=False, compare=False, repr=False)

    def __post_init__(self) -> None:
        object.__setattr__(self, "seen_as", self._seen_as())

    @property
    def length(self) -> str | None:
        """The figure that says how long it is: “inseam_cm” for jeans, “length_cm” for a skirt."""
        found = _LENGTH.get(self.hangs)
        return found if found in self.figures else None

    @property
    def has_legs(self) -> bool:
        """Whether it ends round each leg: trousers and suits, not skirts."""
        return self.hangs in ("crotch", "suit")

    @property
    def is_boot(self) -> bool:
        """Whether it has a shaft."""
        return self.shoe is not None and self.shoe.shaft is not None

    def _seen_as(self) -> frozenset[str]:
        """What `seen_as` is.

        >>> sorted(KIND["dress"].seen_as), sorted(KIND["belt"].seen_as)
        (['one_piece', 'skirt'], ['belt'])
        """
        place = self.name if self.slot == "extra" else self.slot
        skirt = self.hangs in ("waist", "whole")
        legs = self.has_legs and self.slot != "swim"
        more = (("legs", legs), ("skirt", skirt), ("boots", self.is_boot))
        return frozenset({place, *(name for name, so in more if so)})

    @property
    def place(self) -> str:
        """Where it goes: its slot; of things worn besides and of swimwear, its kind. One piece at a place."""
        return self.name if self.slot in ("extra", "swim") else self.slot


# Formality and insulation: formality is our own scale (W, after how the trade dresses a base up and down by shoe, layer
# and cloth; brief, sections 4 and 14); clo after ASHRAE 55, table of garment insulation, and ISO 9920 for outerwear, kinds
# they do not name with the nearest that they do. Stretch, thickness, fit and hem are W: common pattern drafting.
_ROWS: tuple[Kind, ...] = (
    # Bottoms. Where a leg ends when nothing is said follows from its cut.
    Kind("jeans", "bottom", "crotch", (*_LEGS, "waist_cm", "hip_cm", "hem_cm", *_CLOTH), cut="straight", rise="mid",
         colour="mid_blue", formality=1.2, clo=(0.20, 0.24), stretch=0.02, plural=True),
    Kind("trousers", "bottom", "crotch", (*_LEGS, "waist_cm", "hip_cm", "hem_cm", *_CLOTH), cut="straight", rise="mid",
         colour="charcoal", formality=2.6, clo=(0.15, 0.24), plural=True),
    Kind("leggings", "bottom", "crotch", (*_LEGS, "waist_cm", "hip_cm", "hem_cm", *_CLOTH), cut="skinny", rise="high",
         colour="charcoal", formality=0.3, clo=(0.10, 0.15), stretch=0.50, plural=True),
    Kind("shorts", "bottom", "crotch", (*_LEGS, "waist_cm", "hip_cm", "hem_cm", *_CLOTH), cut="straight", rise="mid",
         hem="mid_thigh", colour="charcoal", formality=0.8, clo=(0.06, 0.08), plural=True),
    Kind("skirt", "bottom", "waist", (*_SKIRT, *_CLOTH), hem="knee", colour="charcoal", formality=2.3, clo=(0.14, 0.23)),
    # One-pieces.
    Kind("dress", "one_piece", "whole", _TRUNK, hem="knee", sleeve="none", neck="scoop", colour="navy", formality=2.5,
         clo=(0.23, 0.33), covers=("top", "bottom")),
    Kind("dungarees", "one_piece", "suit", _SUIT, cut="straight", rise="very_high", colour="dark_denim",
         formality=0.7, clo=(0.30, 0.36), covers=("bottom",), plural=True),
    Kind("jumpsuit", "one_piece", "suit", _SUIT, cut="straight", rise="very_high", sleeve="short", neck="open_collar",
         colour="navy", thickness=0.25, formality=2.2, clo=(0.40, 0.49), covers=("top", "bottom")),
    # Tops.
    Kind("tee", "top", "shoulder", _TRUNK, hem="high_hip", sleeve="short", neck="crew", colour="white", thickness=0.15,
         formality=1.0, clo=(0.08, 0.12), stretch=0.15),
    Kind("tank", "top", "shoulder", _TRUNK, hem="high_hip", fit="fitted", sleeve="none", neck="scoop", colour="white",
         thickness=0.12, formality=0.8, clo=(0.06, 0.10), stretch=0.15),
    Kind("camisole", "top", "shoulder", _TRUNK, hem="high_hip", sleeve="none", neck="v", colour="cream", thickness=0.06,
         formality=1.8, clo=(0.05, 0.08), stretch=0.15),
    Kind("shirt", "top", "shoulder", _TRUNK, hem="hip", fit="relaxed", sleeve="long", neck="open_collar", colour="white",
         thickness=0.12, formality=2.4, clo=(0.25, 0.34)),
    Kind("blouse", "top", "shoulder", _TRUNK, hem="high_hip", sleeve="long", neck="v", colour="cream", thickness=0.08,
         formality=2.7, clo=(0.20, 0.30)),
    Kind("knit", "top", "shoulder", _TRUNK, hem="high_hip", fit="relaxed", sleeve="long", neck="crew", colour="grey",
         thickness=0.40, formality=1.8, clo=(0.25, 0.36), stretch=0.25),
    Kind("sweatshirt", "top", "shoulder", _TRUNK, hem="high_hip", fit="relaxed", sleeve="long", neck="crew", colour="grey",
         thickness=0.55, formality=0.4, clo=(0.34, 0.40), stretch=0.15),
    # A bodysuit is held at the crotch: tucked by nature, and no cloth is pushed under the band.
    Kind("bodysuit", "top", "body", (*_TRUNK, "torso_loop_cm"), hem="crotch", fit="tight", tuck="full", sleeve="long",
         neck="scoop", colour="black", thickness=0.12, formality=1.8, clo=(0.20, 0.28), stretch=0.30),
    # Layers.
    Kind("waistcoat", "layer", "shoulder", _TRUNK, hem="high_hip", fit="fitted", sleeve="none", colour="charcoal",
         thickness=0.3, formality=2.8, clo=(0.10, 0.17), structured=True),
    Kind("gilet", "layer", "shoulder", _TRUNK, hem="high_hip", fit="relaxed", sleeve="none", colour="navy", thickness=0.6,
         formality=1.2, clo=(0.22, 0.35)),
    Kind("cardigan", "layer", "shoulder", _TRUNK, hem="hip", sleeve="long", colour="grey", thickness=0.4, formality=1.9,
         clo=(0.25, 0.36), stretch=0.25),
    Kind("blazer", "layer", "shoulder", _TRUNK, hem="hip", sleeve="long", colour="navy", thickness=0.35, formality=3.3,
         clo=(0.36, 0.44), structured=True),
    Kind("jacket", "layer", "shoulder", _TRUNK, hem="high_hip", sleeve="long", colour="navy", thickness=0.4, formality=1.6,
         clo=(0.36, 0.48), structured=True),
    Kind("coat", "layer", "shoulder", _TRUNK, hem="knee", fit="relaxed", sleeve="long", colour="camel", thickness=0.6,
         formality=2.6, clo=(0.60, 0.70), structured=True),
    Kind("duster", "layer", "shoulder", _TRUNK, hem="lower_calf", sleeve="long", colour="cream", formality=2.0,
         clo=(0.30, 0.40)),
    Kind("kimono", "layer", "shoulder", _TRUNK, hem="seat", fit="relaxed", sleeve="three_quarter", colour="cream",
         thickness=0.15, formality=1.3, clo=(0.20, 0.30)),
    Kind("poncho", "layer", "shoulder", _TRUNK, hem="hip", fit="oversized", sleeve="none", colour="camel", thickness=0.5,
         formality=1.4, clo=(0.30, 0.45)),
    Kind("cape", "layer", "shoulder", _TRUNK, hem="seat", fit="relaxed", sleeve="none", colour="black", thickness=0.5,
         formality=2.4, clo=(0.35, 0.50)),
    # Shoes. W: common lasts and soles.
    Kind("trainers", "shoes", "foot", _SHOE, colour="brown", formality=0.6, clo=(0.02, 0.04), plural=True,
         shoe=Shoe("flat", 6.5, "round", "medium", 2.6)),
    Kind("flats", "shoes", "foot", _SHOE, colour="brown", formality=2.1, clo=(0.02, 0.02), plural=True,
         shoe=Shoe("flat", 2.8, "round", "dainty", 1.0, open=True)),
    Kind("loafers", "shoes", "foot", _SHOE, colour="brown", formality=2.4, clo=(0.02, 0.04), plural=True,
         shoe=Shoe("flat", 5.5, "almond", "medium", 2.0)),
    Kind("mules", "shoes", "foot", _SHOE, colour="brown", formality=1.8, clo=(0.02, 0.02), plural=True,
         shoe=Shoe("flat", 5.0, "almond", "medium", 1.6, open=True)),
    Kind("slingbacks", "shoes", "foot", _SHOE, colour="brown", formality=3.0, clo=(0.02, 0.02), plural=True,
         shoe=Shoe("kitten", 2.8, "pointed", "dainty", 1.0, open=True)),
    Kind("pumps", "shoes", "foot", _SHOE, colour="brown", formality=3.3, clo=(0.02, 0.02), plural=True,
         shoe=Shoe("mid", 2.8, "almond", "dainty", 1.0)),
    Kind("sandals", "shoes", "foot", _SHOE, colour="brown", formality=1.3, clo=(0.02, 0.02), plural=True,
         shoe=Shoe("flat", 1.5, "round", "medium", 1.4, open=True)),
    Kind("ankle_boots", "shoes", "foot", _BOOT, colour="brown", clo=(0.08, 0.10), plural=True,
         shoe=Shoe("flat", 12.0, "almond", "medium", 2.2, ("narrow_ankle", 3.5))),
    Kind("sock_boots", "shoes", "foot", _BOOT, colour="brown", formality=2.3, clo=(0.08, 0.10), plural=True,
         shoe=Shoe("flat", 14.0, "almond", "dainty", 2.0, ("narrow_ankle", 6.0))),
    Kind("tall_boots", "shoes", "foot", _BOOT, colour="brown", formality=2.1, clo=(0.10, 0.12), plural=True,
         shoe=Shoe("flat", 36.0, "almond", "medium", 2.2, ("knee", -6.0))),
    Kind("over_knee_boots", "shoes", "foot", _BOOT, colour="brown", formality=1.7, clo=(0.12, 0.14), plural=True,
         shoe=Shoe("flat", 52.0, "almond", "medium", 2.2, ("knee", 10.0))),
    # Worn besides. A belt closes at any girth between its first hole and its last.
    Kind("belt", "extra", "besides", ("length_cm", "width_cm", "first_hole_cm", "last_hole_cm", *COLOUR_SHARES),
         colour="brown"),
    Kind("necklace", "extra", "besides", ("length_cm",), colour="silver"),
    Kind("earrings", "extra", "besides", ("length_cm",), colour="silver", plural=True),
    Kind("scarf", "extra", "besides", ("length_cm", "width_cm", *COLOUR_SHARES), colour="camel", clo=(0.05, 0.08)),
    Kind("bag", "extra", "besides", ("length_cm",), colour="brown"),
    Kind("hat", "extra", "besides", ("length_cm",), colour="camel", clo=(0.03, 0.06)),
    Kind("watch", "extra", "besides", ("length_cm",), colour="silver"),
    Kind("bracelet", "extra", "besides", ("length_cm",), colour="silver"),
    Kind("ring", "extra", "besides", ("length_cm",), colour="silver"),
    # Beneath: what nobody sees and everybody sees the work of.
    Kind("bra", "extra", "besides", ("under_bust_cm",), colour="nude"),
    Kind("smoothing_shorts", "extra", "besides", ("waist_cm", "hip_cm"), colour="nude", plural=True),
    Kind("underslip", "extra", "besides", ("length_cm",), colour="nude", clo=(0.06, 0.10)),
    Kind("tights", "extra", "besides", ("length_cm",), colour="black", clo=(0.02, 0.06), stretch=0.80, plural=True),
    Kind("socks", "extra", "besides", ("length_cm",), colour="grey", clo=(0.02, 0.06), stretch=0.50, plural=True),
    # Swimwear.
    Kind("swimsuit", "swim", "body", ("torso_loop_cm", "chest_cm", "under_bust_cm", "waist_cm", "hip_cm", *_CLOTH),
         hem="crotch", fit="tight", colour="mid_blue", stretch=0.50),
    Kind("bikini_top", "swim", "shoulder", ("chest_cm", "under_bust_cm", *_CLOTH), hem="under_bust", fit="tight",
         colour="mid_blue", stretch=0.50),
    Kind("bikini_bottom", "swim", "body", ("waist_cm", "hip_cm", "front_rise_cm", *_CLOTH), hem="crotch", fit="tight",
         colour="mid_blue", stretch=0.50),
    Kind("tankini", "swim", "shoulder", ("torso_loop_cm", "chest_cm", "under_bust_cm", "waist_cm", "hip_cm", *_CLOTH),
         hem="high_hip", fit="tight", colour="mid_blue", stretch=0.50),
    Kind("swim_shorts", "swim", "crotch", ("waist_cm", "hip_cm", "inseam_cm", "thigh_cm", "leg_opening_cm", *_CLOTH),
         hem="mid_thigh", fit="relaxed", cut="straight", colour="mid_blue", plural=True),
)  # fmt: skip

KIND: dict[str, Kind] = {row.name: row for row in _ROWS}


def _by_slot() -> Iterator[tuple[str, tuple[str, ...]]]:
    for slot in dict.fromkeys(row.slot for row in _ROWS):
        yield slot, tuple(row.name for row in _ROWS if row.slot == slot)


#: The kinds of each slot, in the order in which they are offered.
KINDS: dict[str, tuple[str, ...]] = dict(_by_slot())
#: The figures that a piece of a slot may carry: those of any of its kinds. A girth is the whole girth, not the flat half.
FIGURES: dict[str, tuple[str, ...]] = {
    slot: tuple(dict.fromkeys(key for name in names for key in KIND[name].figures)) for slot, names in KINDS.items()
}


#: Of two layers the inner one stands at a place of its own; a layer alone, and the outer one, at `layer`.
UNDER_LAYER = "under_layer"
#: The places of a look, from the body outwards: swimwear and legwear, clothes and shoes, what is worn besides.
PLACES: tuple[str, ...] = (
    *("bra", "smoothing_shorts", "underslip"),
    *("swimsuit", "bikini_bottom", "swim_shorts", "bikini_top", "tankini", "tights", "socks"),
    *("bottom", "one_piece", "top", UNDER_LAYER, "layer", "shoes"),
    *("belt", "necklace", "earrings", "scarf", "bag", "hat", "watch", "bracelet", "ring"),
)


def gives_way(worn: str, to: str) -> bool:
    """Whether a kind that is on gives way to another that is put on: at the same place, or where one covers the other.

    >>> gives_way("jeans", to="dress"), gives_way("dress", to="tee"), gives_way("dungarees", to="tee")
    (True, True, False)
    """
    one, other = KIND[worn], KIND[to]
    return one.place == other.place or one.slot in other.covers or other.slot in one.covers
