"""Feet: the weight at the foot must answer the weight above; the toe and heel carry the line on."""

from __future__ import annotations

from collections.abc import Iterator

from craft.judge.aims import Aims
from craft.judge.borders import Border
from craft.judge.finding import Figure, Remark, con, pro, warn
from craft.judge.rule import Subject
from craft.look import Outfit
from craft.units import Sentence
from craft.wear.bottom import falls_past
from craft.wear.shoes import HEEL_CM

rule = Subject("feet", "Shoes and boots (8)", sees_colour=False)
LEGS_AND_SHOES = ("bottom", "one_piece", "shoes")

#: A leg of at least this volume is wide (0 to 4; W).
WIDE = 2.9
#: What the eye weighs at the foot: from the first heavy, up to the second light (W).
HEAVY = Border("heavy", "A shoe of at least this weight is heavy", 1.5, 1.0, 2.4, "scale")
LIGHT = 0.8
#: A heavy shoe suits a leg at most the first full, under a top at least so full or a leg from the second on; a light one
#: under a leg at most the third full and a top from the fourth on stands on a point (0 to 4; W).
CARRIES, EASED, CLOSE, BIG_TOP = 2.2, 1.5, 1.0, 3.3
ANSWERED_BY = 2.0
#: What a heavy shoe weighs for under a straight leg with nothing eased above (W).
CARRIED = 0.2
#: A shaft of at most so much ease is slim, cm (W).
SLIM_SHAFT = 4.0
#: A leg must not be fuller than this to go into a shaft without blousing over it, and for the strict school (0 to 4).
FITS_SHAFT, FITS_SHAFT_STRICTLY = 1.65, 1.2
#: A heel over the ball of the foot by this much lengthens, cm (W).
LIFTS = Border("lifts", "A heel over the ball of the foot by this much lifts", 2.5, 1.0, 6.0)
#: A leg at most this full is skin-tight (0 to 4; W).
SKIN_TIGHT = 0.6
#: A sole this high lifts all of the foot, cm; a shaft with this much ease is a wide one, cm; from so much foot covered above
#: the sole a leg that ends higher is cut at the shoe, cm (W).
RAISED, WIDE_SHAFT, COVERED = 5.0, 7.0, 7.5
#: Thin high heels of another decade; any other so high weighs less (W).
THIN, ANY = 0.3, 0.22


def _is_wide(outfit: Outfit) -> bool:
    bottom = outfit.bottom
    return bottom is not None and bottom.volume >= WIDE and bottom.is_wide_hemmed


@rule("feet.weight", about="legs", looks_at=LEGS_AND_SHOES, schools=("wide_leg_shoe",), borders=(HEAVY, LIFTS))
def wide_leg_shoe(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Foot weight against a wide leg: the schools taper or echo."""
    shoes, bottom = outfit.shoes, outfit.bottom
    if shoes.piece is None or bottom is None or not _is_wide(outfit):
        return
    where = ("foot", shoes.cover.cm / 2)
    held = Figure("weight at the foot", shoes.weight, HEAVY.of(outfit), "scale")
    echo = outfit.schools.position("wide_leg_shoe") == "echo"
    if shoes.weight >= HEAVY.of(outfit) and not bottom.inside:
        if echo and (not shoes.is_boot or (shoes.shaft_ease or 0) <= SLIM_SHAFT):
            text = "A heavy sole answers the wide hem. The other school would taper to a slim point."
            yield pro(0.4, "foot_weight_answers", where, "Sole echoes the leg", text, held)
        else:
            text = "A wide hem over a heavy shoe: all the weight is at the floor."
            yield con(0.75, "bottom_heavy", where, "Bottom-heavy", text, held)
    elif echo and shoes.weight <= LIGHT and shoes.rise_of_foot < LIFTS.of(outfit):
        text = "A dainty flat under so wide a hem does not answer it. The other school would let it taper."
        yield con(0.25, "foot_weight_answers", where, "Foot too light for the leg", text, held)


@rule("feet.balance", looks_at=(*LEGS_AND_SHOES, "layer"), reads=("above",), borders=(HEAVY,))
def balance(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Foot weight against a close leg and the ease above."""
    shoes, bottom, above = outfit.shoes, outfit.bottom, outfit.above
    if shoes.piece is None or bottom is None:
        return
    where, heavy = ("foot", shoes.cover.cm / 2), HEAVY.of(outfit)
    answers_top = above >= ANSWERED_BY or any(layer.structured for layer in outfit.layers)
    easy_skirt = not bottom.has_legs and bottom.volume >= EASED
    if shoes.weight >= heavy and easy_skirt and bottom.volume > CARRIES:
        text = "The heavier shoe answers so much easy cloth."
        held = Figure("weight at the foot", shoes.weight, heavy, "scale")
        yield pro(0.22, "foot_weight_answers", where, "Foot answers the dress", text, held)
    elif shoes.weight >= heavy and bottom.volume <= CARRIES and (answers_top or bottom.volume >= EASED):
        text = "The heavier shoe answers what is eased above and gives a close leg a base."
        held = Figure("weight at the foot", shoes.weight, heavy, "scale")
        # A straight leg alone carries a heavy shoe; it does not ask for one.
        yield pro(0.35 if answers_top else CARRIED, "foot_weight_answers", where, "Foot answers the top", text, held)
    elif shoes.weight <= LIGHT and bottom.volume <= CLOSE and above >= BIG_TOP:
        text = "A dainty shoe under close legs and a big top: the figure stands on a point."
        held = Figure("weight at the foot", shoes.weight, LIGHT, "scale")
        yield con(0.45, "top_heavy", where, "Top-heavy", text, held)


@rule("feet.inside", about="boots", looks_at=LEGS_AND_SHOES, schools=("straight_into_tall_boot",))
def inside(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Only a close leg goes into a shaft."""
    bottom, shoes = outfit.bottom, outfit.shoes
    if bottom is None or not bottom.inside or not shoes.is_boot:
        return
    strict = outfit.schools.position("straight_into_tall_boot") == "outside_only"
    limit = FITS_SHAFT_STRICTLY if strict else FITS_SHAFT
    held, at = Figure("volume of the leg", bottom.volume, limit, "scale"), shoes.cover.cm
    if bottom.volume > limit:
        text = "There is more cloth than the shaft holds: it blouses out over the knee."
        yield con(0.8, "bulk_at_shaft", ("knee", at), "Bulk at the shaft", text, held, also=("bottom_heavy",))
    else:
        text = "The leg goes into the shaft without a fold: one line to the floor."
        yield pro(0.35, "leg_line_whole", ("calf", at), "Smooth into the boot", text, held)


@rule("feet.toe", looks_at=LEGS_AND_SHOES, borders=(LIFTS, HEAVY))
def toe(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """The wider the hem, the more the toe matters."""
    bottom, shoes = outfit.bottom, outfit.shoes
    if bottom is None or shoes.piece is None or bottom.inside:
        return
    if shoes.toe not in ("pointed", "almond", "round"):
        return
    full = bottom.is_wide_hemmed and bottom.hem_at in ("foot", "floor", "ankle_bone")
    where, held = ("foot", 2.0), Figure("leg opening", bottom.opening, falls_past(outfit.body))
    flat = shoes.rise_of_foot < LIFTS.of(outfit) and shoes.weight < HEAVY.of(outfit)
    if shoes.toe == "pointed" and (full or aims.wanted("lengthen_legs") or bottom.hem_at == "ankle"):
        text = "The pointed toe carries the line of the leg on past a {opening} hem."
        told = Sentence.of(text, opening=bottom.opening)
        yield pro(0.35 if full else 0.2, "toe_line", where, "Point carries the line", told, held)
    elif shoes.toe == "almond" and (aims.wanted("lengthen_legs") or bottom.hem_at in ("ankle", "ankle_bone")):
        yield pro(
            0.1 if aims.wanted("lengthen_legs") else 0.04,
            "toe_line",
            where,
            "Almond toe",
            "The almond toe carries the line on a little.",
            held,
        )
    elif shoes.toe == "round" and full and flat:
        text = "A flat round toe under a {opening} hem stops the line short."
        yield con(0.3, "toe_line", where, "Round toe stops the line", Sentence.of(text, opening=bottom.opening), held)


@rule("feet.heel", looks_at=LEGS_AND_SHOES, borders=(LIFTS,))
def heel(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A heel lengthens; a flare with no lift needs a point."""
    bottom, shoes, lifts = outfit.bottom, outfit.shoes, LIFTS.of(outfit)
    if shoes.piece is None or bottom is None:
        return
    asks_lift = bottom.reads_as == "flare" and bottom.is_wide_hemmed and shoes.toe != "pointed"
    raised = shoes.rise_of_foot < lifts and shoes.lift >= RAISED
    if shoes.rise_of_foot < lifts and not asks_lift and not raised:
        return
    where, held = ("foot", shoes.heel / 2), Figure("heel over the ball", shoes.rise_of_foot, lifts)
    if shoes.rise_of_foot >= lifts:
        if "heels" in aims.wont:
            return
        weight = (0.25 if bottom.is_wide_hemmed else 0.15) + (0.15 if aims.wanted("lengthen_legs") else 0.0)
        text = Sentence.of("The heel lifts the leg by {lift}.", lift=shoes.rise_of_foot)
        yield pro(weight, "heel_lift", where, "Heel lifts", text, held, also=("leg_lengthened",))
    elif raised:
        text = Sentence.of("The sole lifts by {lift} without bending the foot.", lift=shoes.lift)
        held = Figure("height of the sole", shoes.lift, RAISED)
        yield pro(0.1, "heel_lift", where, "Sole lifts", text, held, also=("leg_lengthened",))
    else:
        text = Sentence.of("A flare without any lift asks for a pointed toe, or {heel} of heel.", heel=lifts)
        yield con(0.25, "heel_lift", where, "Flare asks for lift", text, held)


@rule("feet.dated", looks_at=LEGS_AND_SHOES, borders=(LIFTS,), speaks_to=lambda of: "heels" not in of.aims.wont)
def dated(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A very high heel of any kind with a skin-tight leg reads of another decade, a thin one the most."""
    bottom, shoes, lifts = outfit.bottom, outfit.shoes, LIFTS.of(outfit)
    if shoes.piece is None or bottom is None or shoes.rise_of_foot < lifts:
        return
    if shoes.heel >= HEEL_CM["high"] - 1 and bottom.volume <= SKIN_TIGHT:
        text = "So high a heel with a skin-tight leg reads of another decade; a kitten heel fits."
        weight = (THIN if shoes.piece.word("heel_shape") == "stiletto" else ANY) + (
            0.2 if aims.wanted("look_current") else 0.0
        )
        held = Figure("heel over the ball", shoes.rise_of_foot, lifts)
        yield con(weight, "dated", ("foot", shoes.heel / 2), "Reads dated", text, held)


@rule("feet.limit", looks_at=("shoes",), borders=(LIFTS,), speaks_to=lambda of: "heels" in of.aims.wont)
def ruled_out(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A client who does not wear heels is not advised into them."""
    rise, lifts = outfit.shoes.rise_of_foot, LIFTS.of(outfit)
    if rise >= lifts:
        text = "This client does not wear heels; this one is {lift}. After an injury, ask the clinician."
        held = Figure("heel over the ball", rise, lifts)
        yield warn("heel_lift", ("foot", 0.0), "Heels are ruled out", Sentence.of(text, lift=rise), held)


@rule("feet.over_knee", about="boots", looks_at=LEGS_AND_SHOES)
def over_knee(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A boot over the knee on a skin-tight leg dates, whatever its heel."""
    bottom, shoes = outfit.bottom, outfit.shoes
    if bottom is None or not bottom.has_legs or not shoes.is_boot or shoes.cover.cm < outfit.at("knee"):
        return
    if bottom.volume <= SKIN_TIGHT and bottom.hem.cm < shoes.cover.cm:
        over = shoes.cover.cm - outfit.at("knee")
        text = Sentence.of("A boot {over} over the knee on a skin-tight leg reads of another decade.", over=over)
        weight = 0.2 + (0.2 if aims.wanted("look_current") else 0.0)
        yield con(
            weight,
            "dated",
            ("knee", shoes.cover.cm),
            "Boot over the knee dates",
            text,
            Figure("shaft over the knee", over, 0.0),
        )


@rule("feet.shaft", about="boots", looks_at=LEGS_AND_SHOES)
def wide_shaft(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A wide shaft adds weight beside a close or bare leg and stands out under a narrow hem."""
    bottom, shoes = outfit.bottom, outfit.shoes
    if bottom is None or not shoes.is_boot or (bottom.has_legs and bottom.is_wide_hemmed):
        return
    ease, beside = shoes.shaft_ease or 0.0, not bottom.has_legs or bottom.volume <= CARRIES
    seen = bottom.has_legs or shoes.cover.cm < bottom.hem.cm
    if ease >= WIDE_SHAFT and beside and seen:
        text = Sentence.of("The shaft stands {ease} off the leg: weight where the leg is close.", ease=ease)
        held, where = Figure("ease of the shaft", ease, WIDE_SHAFT), ("calf", shoes.cover.cm)
        yield con(0.22, "bulk_at_shaft", where, "Wide shaft", text, held, also=("bottom_heavy",))


@rule("feet.vamp", about="legs", looks_at=LEGS_AND_SHOES)
def vamp(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """The more of the foot is covered, the nearer the hem must be to the bone."""
    bottom, shoes = outfit.bottom, outfit.shoes
    if (
        bottom is None
        or not bottom.has_legs
        or shoes.piece is None
        or shoes.is_boot
        or bottom.hem.cm > outfit.at("knee")
    ):
        return
    covered, above = shoes.cover.cm - shoes.platform, bottom.hem.cm - outfit.at("narrow_ankle")
    if covered >= COVERED and above > 3.0:
        text = Sentence.of(
            "So much of the foot is covered that the leg, {above} above the ankle, is cut short.", above=above
        )
        held, where = Figure("foot covered above the sole", covered, COVERED), ("ankle", shoes.cover.cm)
        yield con(0.15, "leg_cut", where, "Covered foot, cropped leg", text, held)
