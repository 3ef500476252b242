"""The leg against its label: a straight leg on a full calf is a slim leg."""

from __future__ import annotations

from collections.abc import Iterator

from craft.cloth.words import said
from craft.judge.aims import Aims
from craft.judge.finding import Figure, Remark, con, pro
from craft.judge.rule import Subject
from craft.look import Outfit
from craft.units import Sentence
from craft.wear.ease import HANGS_STRAIGHT

rule = Subject("leg", "Bottoms: rise, leg, length (4)")

#: Cuts that promise to hang free of the calf.
HANGING = ("straight", "boyfriend", "girlfriend")
CLOSE = ("skinny", "slim", "slim_straight")


@rule("leg.reads_as", about="legs", looks_at=("bottom", "one_piece"), reads=("heel",))
def reads_as(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A measured leg that is sold as straight and does not hang straight on this calf."""
    bottom = outfit.bottom
    if bottom is None or bottom.cut not in HANGING or bottom.piece.figure("leg_opening_cm") is None:
        return
    where, ease = ("calf", outfit.at("calf")), bottom.calf_ease
    held = Figure("ease at the calf", ease, HANGS_STRAIGHT)
    if bottom.reads_as in CLOSE:
        text = f"Sold as {said(bottom.cut)}, but with {{ease}} of ease at the calf it reads {said(bottom.reads_as)}."
        title = f"{said(bottom.reads_as).capitalize()}, not {said(bottom.cut)}"
        softened = 0.15 if "calves" in aims.soften else 0.0
        yield con(0.25 + softened, "clings", where, title, Sentence.of(text, ease=ease), held)
    elif bottom.reads_as == "straight":
        text = "With {ease} of ease at the calf the leg hangs straight past it."
        yield pro(0.2, "skims", where, "Hangs straight", Sentence.of(text, ease=ease), held)
