"""Legwear: socks, tights or bare skin between the hem and the shoe, and whether their colour carries the leg on."""

from __future__ import annotations

from collections.abc import Iterator

from craft.cloth.colour import difference
from craft.facts import least
from craft.judge.aims import Aims
from craft.judge.colour import CARRIES_ON, skin_of
from craft.judge.finding import Figure, Remark, con, pro
from craft.judge.rule import Subject
from craft.look import Outfit
from craft.units import Sentence

rule = Subject("feet", "Shoes and boots (8)")
LEGS_AND_SHOES = ("bottom", "one_piece", "shoes")

#: A sock shows from this much, cm (W).
SOCK_SHOWS = 1.5
#: Leg below the hem from which its colour is a part of the figure, cm (W).
PART = 12.0


@rule("feet.sock", about="socks", looks_at=(*LEGS_AND_SHOES, "socks"))
def sock(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A sock that is seen carries the line on where it is near the shoe or the leg in colour, and cuts it where it is not."""
    bottom, shoes, end = outfit.bottom, outfit.shoes, outfit.sock
    piece = outfit.extras.get("socks")
    if piece is None or end is None or bottom is None or bottom.inside:
        return
    shown = least(bottom.hem.cm, end.cm) - shoes.cover.cm
    if shown <= SOCK_SHOWS:
        return
    colour = piece.word("colour") or "grey"
    joins = (shoes.colour if shoes.piece else bottom.colour, bottom.colour)
    nearest = least(*(difference(colour, other) for other in joins))
    held, where = Figure("colour distance", nearest, CARRIES_ON, "share"), ("ankle", shoes.cover.cm + shown / 2)
    if nearest <= CARRIES_ON:
        text = Sentence.of("{shown} of sock shows, near in colour to what it joins: the leg runs on.", shown=shown)
        yield pro(0.15, "leg_line_whole", where, "Sock carries the line on", text, held)
    else:
        wanted = 0.15 if aims.wanted("lengthen_legs") else 0.0
        text = Sentence.of("{shown} of sock shows in a colour of its own: a band across the ankle.", shown=shown)
        yield con(0.2 + wanted, "leg_cut", where, "Sock cuts the leg", text, held)


@rule("feet.tights", about="tights", looks_at=(*LEGS_AND_SHOES, "tights"), reads=("below_hem",))
def tights(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Tights near the shoe's colour make one line of leg and shoe; in a colour of their own they cut it at hem and shoe."""
    bottom, shoes, piece, leg = outfit.bottom, outfit.shoes, outfit.extras.get("tights"), outfit.below_hem
    if bottom is None or piece is None or "sheer" in piece.fabric or leg < PART:
        return
    colour = piece.word("colour") or "black"
    to_shoe = difference(colour, shoes.colour) if shoes.piece else 0.0
    whole = difference(colour, bottom.colour) <= CARRIES_ON
    wanted = 0.15 if aims.wanted("lengthen_legs") else 0.0
    where = ("calf", bottom.hem.cm - leg / 2)
    held = Figure("colour distance from the shoe", to_shoe, CARRIES_ON, "share")
    if to_shoe <= CARRIES_ON:
        end = "and on into the hem" if whole else "up to the hem"
        text = Sentence.of(f"The tights carry the shoe's colour {{leg}} up, {end}: one line.", leg=leg)
        also = ("leg_lengthened", "colour_column") if whole else ("leg_lengthened",)
        weight = (0.3 if whole else 0.22) + wanted
        yield pro(weight, "leg_line_whole", where, "Tights carry the line on", text, held, also=also)
    elif not whole and "legs" not in aims.show:
        text = Sentence.of("{leg} of tights in a colour of their own: a part between hem and shoe.", leg=leg)
        yield con(0.22 + wanted, "leg_cut", where, "Tights cut the leg", text, held)


@rule("feet.bare", looks_at=("shoes",), reads=("skin",))
def bare(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A shoe near the skin in colour carries a bare leg on to the toe."""
    shoes = outfit.shoes
    if shoes.piece is None or shoes.is_boot or shoes.piece.word("colour") is None or outfit.skin < PART:
        return
    apart = difference(skin_of(aims), shoes.colour)
    if apart <= CARRIES_ON:
        wanted = 0.1 if aims.wanted("lengthen_legs") else 0.0
        text = "Shoe and skin are near in colour: the bare leg runs on to the toe."
        held, where = Figure("colour distance from the skin", apart, CARRIES_ON, "share"), ("foot", shoes.cover.cm / 2)
        also = ("leg_lengthened",)
        yield pro(0.15 + wanted, "leg_line_whole", where, "Shoe continues the bare leg", text, held, also=also)
