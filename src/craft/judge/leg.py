"""The leg on the calf: against its label, and over calves to soften."""

from __future__ import annotations

from collections.abc import Iterator

from craft.cloth.words import said
from craft.judge.aims import Aims
from craft.judge.finding import Figure, Remark, con, pro
from craft.judge.rule import Subject
from craft.look import Outfit
from craft.units import Sentence
from craft.wear import WornBottom
from craft.wear.ease import HANGS_STRAIGHT, SLIM_STRAIGHT

rule = Subject("leg", "Bottoms: rise, leg, length (4)", sees_colour=False)

#: Cuts that promise to hang free of the calf.
HANGING = ("straight", "boyfriend", "girlfriend")
CLOSE = ("skinny", "slim", "slim_straight")
#: What a close leg weighs over calves to soften, and one that hangs past them (W: as over hips to soften).
SHOWN, HIDDEN = 0.3, 0.2


def _promises(bottom: WornBottom) -> bool:
    """Whether a measured leg is sold as one that hangs free of the calf."""
    return bottom.cut in HANGING and bottom.piece.figure("leg_opening_cm") is not None


@rule("leg.reads_as", about="legs", looks_at=("bottom", "one_piece"), reads=("heel",))
def reads_as(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A measured leg that is sold as straight and does not hang straight on this calf."""
    bottom = outfit.bottom
    if bottom is None or not _promises(bottom):
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


@rule(
    "leg.calves",
    about="legs",
    looks_at=("bottom", "one_piece"),
    reads=("heel",),
    speaks_to=lambda of: "calves" in of.aims.soften,
    source="Volume (7)",
)
def calves(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Over calves to soften a close leg shows them, and one that hangs past them skims."""
    bottom, calf = outfit.bottom, outfit.at("calf")
    if bottom is None or not bottom.has_legs or bottom.inside or bottom.hem.cm >= calf or _promises(bottom):
        return
    where, ease = ("calf", calf), bottom.calf_ease
    if ease < SLIM_STRAIGHT:
        held = Figure("ease at the calf", ease, SLIM_STRAIGHT)
        text = Sentence.of("With {ease} of ease at the calf the leg shows just what the calf is.", ease=ease)
        yield con(SHOWN, "clings", where, "Close over the calves", text, held)
    elif ease >= HANGS_STRAIGHT:
        held = Figure("ease at the calf", ease, HANGS_STRAIGHT)
        text = Sentence.of("With {ease} of ease at the calf the leg hangs straight past it.", ease=ease)
        yield pro(HIDDEN, "skims", where, "Skims the calves", text, held, also=("covers_zone",))
