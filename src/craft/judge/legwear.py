"""Legwear: socks, tights or bare skin between the hem and the shoe, and whether their colour carries the leg on."""

from __future__ import annotations

from collections.abc import Iterator

from craft.cloth.colour import difference
from craft.judge.aims import Aims
from craft.judge.colour import CARRIES_ON, skin_of
from craft.judge.finding import Figure, Finding
from craft.look import Outfit
from craft.units import Sentence

#: A sock shows from this much, cm (W).
SOCK_SHOWS = 1.5
#: Leg below the hem from which its colour is a part of the figure, cm (W).
PART = 12.0


def sock(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """A sock that is seen carries the line on where it is near the shoe or the leg in colour, and cuts it where it is not."""
    bottom, shoes, end = outfit.bottom, outfit.shoes, outfit.sock
    piece = outfit.extras.get("socks")
    if piece is None or end is None or bottom is None or bottom.inside:
        return
    shown = min(bottom.hem.cm, end.cm) - shoes.cover.cm
    if shown <= SOCK_SHOWS:
        return
    colour = piece.word("colour") or "grey"
    nearest = min(
        difference(colour, other) for other in (shoes.colour if shoes.piece else bottom.colour, bottom.colour)
    )
    figure = Figure("colour distance", nearest, CARRIES_ON, "share")
    at = shoes.cover.cm + shown / 2
    if nearest <= CARRIES_ON:
        text = Sentence.of("{shown} of sock shows, near in colour to what it joins: the leg runs on.", shown=shown)
        yield Finding("feet.sock", "leg_line_whole", "for", 0.15, "ankle", at, figure, "Sock carries the line on", text)
    else:
        wanted = 0.15 if aims.wanted("lengthen_legs") else 0.0
        text = Sentence.of("{shown} of sock shows in a colour of its own: a band across the ankle.", shown=shown)
        yield Finding("feet.sock", "leg_cut", "against", 0.2 + wanted, "ankle", at, figure, "Sock cuts the leg", text)


def tights(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """Tights near the shoe's colour make one line of leg and shoe; in a colour of their own they cut it at hem and shoe."""
    bottom, shoes, piece = outfit.bottom, outfit.shoes, outfit.extras.get("tights")
    if bottom is None or piece is None or "sheer" in piece.fabric or outfit.below_hem < PART:
        return
    colour = piece.word("colour") or "black"
    to_shoe = difference(colour, shoes.colour) if shoes.piece else 0.0
    to_hem = difference(colour, bottom.colour)
    wanted = 0.15 if aims.wanted("lengthen_legs") else 0.0
    at = bottom.hem.cm - outfit.below_hem / 2
    figure = Figure("colour distance from the shoe", to_shoe, CARRIES_ON, "share")
    if to_shoe <= CARRIES_ON:
        whole = to_hem <= CARRIES_ON
        end = "and on into the hem" if whole else "up to the hem"
        text = Sentence.of(f"The tights carry the shoe's colour {{leg}} up, {end}: one line.", leg=outfit.below_hem)
        yield Finding(
            "feet.tights", "leg_line_whole", "for", (0.3 if whole else 0.22) + wanted, "calf", at, figure,
            "Tights carry the line on", text, None, ("leg_lengthened", "colour_column") if whole else ("leg_lengthened",),
        )  # fmt: skip
    elif to_hem > CARRIES_ON and "legs" not in aims.show:
        text = Sentence.of(
            "{leg} of tights in a colour of their own: a part between hem and shoe.", leg=outfit.below_hem
        )
        yield Finding(
            "feet.tights", "leg_cut", "against", 0.22 + wanted, "calf", at, figure, "Tights cut the leg", text
        )


def bare(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """A shoe near the skin in colour carries a bare leg on to the toe."""
    shoes = outfit.shoes
    if outfit.skin < PART or shoes.piece is None or shoes.is_boot or shoes.piece.word("colour") is None:
        return
    apart = difference(skin_of(aims), shoes.colour)
    if apart > CARRIES_ON:
        return
    wanted = 0.1 if aims.wanted("lengthen_legs") else 0.0
    figure = Figure("colour distance from the skin", apart, CARRIES_ON, "share")
    text = Sentence.of("Shoe and skin are near in colour: the bare leg runs on to the toe.")
    yield Finding(
        "feet.bare", "leg_line_whole", "for", 0.15 + wanted, "foot", shoes.cover.cm / 2, figure,
        "Shoe continues the bare leg", text, None, ("leg_lengthened",),
    )  # fmt: skip
