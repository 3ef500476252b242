"""The leg against its label: a straight leg on a full calf is a slim leg."""

from __future__ import annotations

from collections.abc import Iterator

from craft.cloth.words import said
from craft.judge.aims import Aims
from craft.judge.finding import Figure, Finding
from craft.look import Outfit
from craft.units import Sentence
from craft.wear.ease import HANGS_STRAIGHT

#: Cuts that promise to hang free of the calf.
HANGING = ("straight", "boyfriend", "girlfriend")
CLOSE = ("skinny", "slim", "slim_straight")


def reads_as(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """A measured leg that is sold as straight and does not hang straight on this calf."""
    bottom = outfit.bottom
    if bottom is None or bottom.piece.figure("leg_opening_cm") is None:
        return
    calf = outfit.body.height("calf") + outfit.lift
    figure = Figure("ease at the calf", bottom.calf_ease, HANGS_STRAIGHT)
    if bottom.cut in HANGING and bottom.reads_as in CLOSE:
        text = Sentence.of(
            f"Sold as {said(bottom.cut)}, but with {{ease}} of ease at the calf it reads {said(bottom.reads_as)}.",
            ease=bottom.calf_ease,
        )
        softened = 0.15 if "calves" in aims.soften else 0.0
        title = f"{said(bottom.reads_as).capitalize()}, not {said(bottom.cut)}"
        yield Finding("leg.reads_as", "clings", "against", 0.25 + softened, "calf", calf, figure, title, text)
    elif bottom.cut in HANGING and bottom.reads_as == "straight":
        text = Sentence.of("With {ease} of ease at the calf the leg hangs straight past it.", ease=bottom.calf_ease)
        yield Finding("leg.reads_as", "skims", "for", 0.2, "calf", calf, figure, "Hangs straight", text)
