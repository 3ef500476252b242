"""Limits: what a client will not wear decides alone, whatever else is good."""

from __future__ import annotations

from collections.abc import Iterator

from craft.judge.aims import Aims
from craft.judge.feet import LIFTS
from craft.judge.finding import Figure, Remark, con
from craft.judge.rule import Subject
from craft.look import Outfit
from craft.units import Sentence
from craft.wear.openings import sleeve_of

rule = Subject("limits", "The talk before the tape (1)", sees_colour=False)

#: What a client will not wear decides alone (judgement.ALONE; W).
WONT = 0.75
#: A hem further than this above the knee is a short one, cm (W).
SHORT = 4.0


@rule("limits.tight", reads=("areas",), speaks_to=lambda of: "tight" in of.aims.wont)
def tight(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Skin-tight, for a client who does not wear it."""
    worn = (a for a in outfit.areas if a.piece.word("fit") == "tight" or a.piece.word("cut") == "skinny")
    area = next(worn, None)
    if area is not None:
        text = f"The {area.piece.kind} is skin-tight, which this client does not wear."
        held, where = Figure("volume", area.volume, 1.0, "scale"), ("whole", area.middle)
        yield con(WONT, "clings", where, "Tighter than they wear", text, held)


@rule("limits.short", reads=("hem_height", "heel"), speaks_to=lambda of: "short_hems" in of.aims.wont)
def short(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A short hem, for a client who wears none."""
    hem = outfit.hem_height
    over = hem - outfit.at("knee") if hem is not None else 0.0
    if hem is not None and over > SHORT:
        text = Sentence.of("The hem ends {off} above the knee, shorter than this client wears.", off=over)
        held, where = Figure("hem above the knee", over, SHORT), ("knee", hem)
        yield con(WONT, "covers_zone", where, "Shorter than they wear", text, held)


@rule(
    "limits.sleeveless",
    looks_at=("top", "one_piece", "layer"),
    reads=("heel", "dressed_above"),
    speaks_to=lambda of: "sleeveless" in of.aims.wont,
)
def sleeveless(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Bare arms, for a client who wears nothing sleeveless by itself."""
    worn = [piece for piece in outfit.pieces if piece.slot in ("top", "one_piece", "layer")]
    if outfit.dressed_above and all(sleeve_of(piece) == "none" for piece in worn):
        text = "The arms are bare, which this client does not wear: a layer with sleeves over it."
        yield con(WONT, "covers_zone", ("arm", outfit.at("under_bust")), "Barer than they wear", text)


@rule("limits.heels", looks_at=("shoes",), borders=(LIFTS,), speaks_to=lambda of: "heels" in of.aims.wont)
def heels(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Heels, for a client who wears none."""
    rise, lifts = outfit.shoes.rise_of_foot, LIFTS.of(outfit)
    if rise >= lifts:
        text = Sentence.of("The heel lifts the foot by {rise}, and this client wears none.", rise=rise)
        held, where = Figure("heel over the ball", rise, lifts), ("foot", outfit.shoes.heel / 2)
        yield con(WONT, "heel_lift", where, "Higher than they wear", text, held)
