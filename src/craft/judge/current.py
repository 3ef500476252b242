"""Current: what makes a look of today, for a client who wants that. Dated on purpose; a house mutes what it sees otherwise.

What dates a look stands with its subject: a thin heel or a boot over the knee on a skin-tight leg (feet), a low band on one
(rise), close all over (volume).
"""

from __future__ import annotations

from collections.abc import Iterator

from craft.cloth.register import formality
from craft.cloth.words import said
from craft.facts import least, most
from craft.judge.aims import Aims
from craft.judge.finding import Figure, Remark, pro
from craft.judge.rule import Client, Subject
from craft.look import Outfit
from craft.look.readings import BASE

#: The year that this list was made in; it is to be gone through every year.
AS_OF = 2026
rule = Subject("current", f"Buying, and dressing up and down, as of {AS_OF} (20, 21)")
BOTTOM = ("bottom", "one_piece")

#: How a leg of today reads; shoes of today; layers that are worn with ease today, and from what volume (0 to 4; W).
LEGS, SHOES, EASED_LAYERS, EASE = (
    ("straight", "wide"),
    ("trainers", "loafers", "slingbacks", "mules"),
    ("blazer", "coat"),
    2.4,
)
#: What each weighs (W).
LEG, SHOE, LAYER, FINISH, MIX = 0.15, 0.08, 0.08, 0.06, 0.06
#: Pieces this far apart in formality are worked against each other (0 to 4; W).
MIXED = 1.7


def wants_it(of: Client) -> bool:
    """Whether the client wants to look current."""
    return of.aims.wanted("look_current")


@rule("current.leg", about="legs", looks_at=BOTTOM, reads=("heel",), speaks_to=wants_it)
def leg(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A straight or wide leg dates a whole look for the better."""
    bottom = outfit.bottom
    if bottom is not None and bottom.has_legs and bottom.reads_as in LEGS:
        held = Figure("volume of the leg", bottom.volume, 1.5, "scale")
        text = f"A {said(bottom.reads_as)} leg is of today and carries the whole look with it."
        yield pro(LEG, "dated", ("knee", outfit.at("knee")), "A leg of today", text, held)


@rule("current.shoe", looks_at=("shoes",), speaks_to=wants_it)
def shoe(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A trainer, loafer, slingback or pointed flat brings what is older up to date."""
    piece = outfit.shoes.piece
    if piece is not None and (piece.kind in SHOES or (piece.kind == "flats" and outfit.shoes.toe == "pointed")):
        text = f"{said(piece.kind).capitalize()} are of today and bring what is older along."
        yield pro(SHOE, "dated", ("foot", outfit.shoes.cover.cm / 2), "A shoe of today", text)


@rule("current.layer", looks_at=("layer",), reads=("heel",), speaks_to=wants_it)
def layer(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A blazer or coat with ease in it is of today."""
    worn = next((one for one in outfit.layers if one.piece.kind in EASED_LAYERS and one.volume >= EASE), None)
    if worn is not None:
        held = Figure("volume of the layer", worn.volume, EASE, "scale")
        text = f"The {said(worn.piece.kind)} has ease in it, as they are worn today."
        yield pro(LAYER, "dated", ("whole", worn.hem.cm), "A layer of today", text, held)


@rule("current.mix", looks_at=(*BASE, "layer", "shoes"), reads=("heel",), speaks_to=wants_it)
def mix(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A formal piece is worked against with a casual one."""
    worn = [formality(piece) for piece in outfit.pieces if piece.slot in (*BASE, "layer", "shoes")]
    spread = most(*worn) - least(*worn) if worn else 0.0
    if spread >= MIXED:
        held = Figure("formality between the pieces", spread, MIXED, "scale")
        text = "Something formal is worked against with something casual, as it is worn today."
        yield pro(MIX, "dated", ("whole", outfit.at("bust")), "Formal against casual", text, held)


@rule("current.finish", looks_at=BOTTOM, reads=("heel",), speaks_to=wants_it)
def finish(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A raw hem, fading and distress are casual, and current too."""
    bottom = outfit.bottom
    if bottom is None or bottom.piece.kind not in ("jeans", "skirt", "shorts"):
        return
    if bottom.piece.word("hem_finish") == "raw" or bottom.piece.flag("distressed") or bottom.piece.says("fade"):
        text = "A raw edge or a fade is casual, and of today."
        yield pro(FINISH, "dated", ("whole", bottom.hem.cm), "A finish of today", text)
