"""Feet: the weight at the foot must answer the weight above; the toe and heel carry the line on."""

from __future__ import annotations

from collections.abc import Iterator

from craft.judge.aims import Aims
from craft.judge.borders import Border
from craft.judge.finding import Figure, Finding
from craft.look import Outfit
from craft.units import Sentence
from craft.wear.shoes import HEEL_CM

#: A leg of at least this volume is wide (0 to 4); at most the second is close (W).
WIDE, CLOSE = 2.9, 1.5
#: What the eye weighs at the foot: from the first heavy, up to the second light (W).
HEAVY = Border("heavy", ("feet.weight", "feet.toe"), "A shoe of at least this weight is heavy", 1.5, 1.0, 2.4, "scale")
LIGHT = 0.8
#: A leg must not be fuller than this to go into a shaft without blousing over it (0 to 4).
FITS_SHAFT = 1.65
#: A heel over the ball of the foot by this much lengthens, cm (W).
LIFTS = Border(
    "lifts",
    ("feet.heel", "feet.toe", "feet.limits"),
    "A heel over the ball of the foot by this much lifts",
    2.5,
    1.0,
    6.0,
    "cm",
)


def weight(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """Foot weight against the leg's width and the ease above."""
    shoes, bottom = outfit.shoes, outfit.bottom
    if shoes.piece is None or bottom is None:
        return
    at = shoes.cover.cm / 2
    heavy = Figure("weight at the foot", shoes.weight, HEAVY.of(outfit), "scale")
    above = outfit.above
    echo = outfit.schools.position("wide_leg_shoe") == "echo"
    wide = bottom.volume >= WIDE and bottom.is_wide_hemmed
    if wide and shoes.weight >= HEAVY.of(outfit) and not bottom.inside:
        slim_shaft = not shoes.is_boot or (shoes.shaft_ease or 0) <= 4.0
        if echo and slim_shaft:
            text = Sentence.of("A heavy sole answers the wide hem. The other school would taper to a slim point.")
            yield Finding(
                "feet.weight",
                "foot_weight_answers",
                "for",
                0.4,
                "foot",
                at,
                heavy,
                "Sole echoes the leg",
                text,
                "wide_leg_shoe",
            )
        else:
            text = Sentence.of("A wide hem over a heavy shoe: all the weight is at the floor.")
            yield Finding(
                "feet.weight", "bottom_heavy", "against", 0.75, "foot", at, heavy, "Bottom-heavy", text, "wide_leg_shoe"
            )
    elif wide and echo and shoes.weight <= LIGHT and shoes.rise_of_foot < LIFTS.of(outfit):
        text = Sentence.of("A dainty flat under so wide a hem does not answer it. The other school would let it taper.")
        yield Finding(
            "feet.weight",
            "foot_weight_answers",
            "against",
            0.25,
            "foot",
            at,
            heavy,
            "Foot too light for the leg",
            text,
            "wide_leg_shoe",
        )
    elif shoes.weight >= HEAVY.of(outfit) and bottom.volume <= 2.2 and (above >= 2.0 or bottom.volume >= 1.5):
        text = Sentence.of("The heavier shoe answers what is eased above and gives a close leg a base.")
        yield Finding(
            "feet.weight", "foot_weight_answers", "for", 0.35, "foot", at, heavy, "Foot answers the top", text
        )
    elif shoes.weight <= LIGHT and bottom.volume <= 1.0 and above >= 3.3:
        light = Figure("weight at the foot", shoes.weight, LIGHT, "scale")
        text = Sentence.of("A dainty shoe under close legs and a big top: the figure stands on a point.")
        yield Finding("feet.weight", "top_heavy", "against", 0.45, "foot", at, light, "Top-heavy", text)


def inside(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """Only a close leg goes into a shaft."""
    bottom, shoes = outfit.bottom, outfit.shoes
    if bottom is None or not bottom.inside or not shoes.is_boot:
        return
    at = shoes.cover.cm
    strict = outfit.schools.position("straight_into_tall_boot") == "outside_only"
    limit = 1.2 if strict else FITS_SHAFT
    figure = Figure("volume of the leg", bottom.volume, limit, "scale")
    if bottom.volume > limit:
        text = Sentence.of("There is more cloth than the shaft holds: it blouses out over the knee.")
        yield Finding(
            "feet.inside",
            "bulk_at_shaft",
            "against",
            0.8,
            "knee",
            at,
            figure,
            "Bulk at the shaft",
            text,
            "straight_into_tall_boot",
            ("bottom_heavy",),
        )
    else:
        text = Sentence.of("The leg goes into the shaft without a fold: one line to the floor.")
        yield Finding(
            "feet.inside",
            "leg_line_whole",
            "for",
            0.35,
            "calf",
            at,
            figure,
            "Smooth into the boot",
            text,
            "straight_into_tall_boot",
        )


def toe(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """The wider the hem, the more the toe matters."""
    bottom, shoes = outfit.bottom, outfit.shoes
    if bottom is None or shoes.piece is None or bottom.inside:
        return
    full = bottom.is_wide_hemmed and bottom.hem_at in ("foot", "floor", "ankle_bone")
    lengthen = aims.wanted("lengthen_legs")
    figure = Figure("leg opening", bottom.opening, 46.0)
    if shoes.toe == "pointed" and (full or lengthen or bottom.hem_at == "ankle"):
        text = Sentence.of(
            "The pointed toe carries the line of the leg on past a {opening} hem.", opening=bottom.opening
        )
        yield Finding(
            "feet.toe", "toe_line", "for", 0.35 if full else 0.2, "foot", 2.0, figure, "Point carries the line", text
        )
    elif shoes.toe == "round" and full and shoes.rise_of_foot < LIFTS.of(outfit) and shoes.weight < HEAVY.of(outfit):
        text = Sentence.of("A flat round toe under a {opening} hem stops the line short.", opening=bottom.opening)
        yield Finding(
            "feet.toe",
            "toe_line",
            "against",
            0.3,
            "foot",
            2.0,
            figure,
            "Round toe stops the line",
            text,
            "wide_leg_shoe",
        )


def heel(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """A heel lengthens; a flare with no lift needs a point."""
    bottom, shoes = outfit.bottom, outfit.shoes
    if shoes.piece is None or bottom is None:
        return
    figure = Figure("heel over the ball", shoes.rise_of_foot, LIFTS.of(outfit))
    at = shoes.heel / 2
    if shoes.rise_of_foot >= LIFTS.of(outfit):
        if "heels" in aims.wont:
            return
        wanted = 0.15 if aims.wanted("lengthen_legs") else 0.0
        text = Sentence.of("The heel lifts the leg by {lift}.", lift=shoes.rise_of_foot)
        base = 0.25 if bottom.is_wide_hemmed else 0.15
        yield Finding(
            "feet.heel",
            "heel_lift",
            "for",
            base + wanted,
            "foot",
            at,
            figure,
            "Heel lifts",
            text,
            None,
            ("leg_lengthened",),
        )
        if bottom.volume <= 0.6 and shoes.piece.word("heel_shape") == "stiletto" and shoes.heel >= HEEL_CM["high"] - 1:
            text = Sentence.of("A high thin heel with a skin-tight leg reads of another decade; a kitten heel fits.")
            weight = 0.3 + (0.2 if aims.wanted("look_current") else 0.0)
            yield Finding("feet.dated", "dated", "against", weight, "foot", at, figure, "Reads dated", text)
    elif bottom.reads_as == "flare" and shoes.toe != "pointed":
        text = Sentence.of("A flare without any lift asks for a pointed toe, or {heel} of heel.", heel=LIFTS.of(outfit))
        yield Finding("feet.heel", "heel_lift", "against", 0.25, "foot", at, figure, "Flare asks for lift", text)


def limits(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """A client who does not wear heels is not advised into them."""
    if "heels" in aims.wont and outfit.shoes.rise_of_foot >= LIFTS.of(outfit):
        figure = Figure("heel over the ball", outfit.shoes.rise_of_foot, LIFTS.of(outfit))
        text = Sentence.of(
            "This client does not wear heels; this one is {lift}. After an injury, ask the clinician.",
            lift=outfit.shoes.rise_of_foot,
        )
        yield Finding("feet.limit", "heel_lift", "caution", 0.0, "foot", 0.0, figure, "Heels are ruled out", text)
