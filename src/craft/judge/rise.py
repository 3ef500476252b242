"""Rise: where the waistband lands on this body, whatever the label says."""

from __future__ import annotations

from collections.abc import Iterator

from craft.cloth.words import said
from craft.facts import least
from craft.judge.aims import Aims
from craft.judge.borders import Border
from craft.judge.finding import Figure, Remark, con, pro
from craft.judge.rule import Client, Subject
from craft.look import Outfit
from craft.units import Sentence
from craft.wear import WornBottom

rule = Subject("rise", "Bottoms: rise, leg, length (4)", sees_colour=False)
BOTTOM = ("bottom", "one_piece")

#: A belly that comes to this share of the hip counts as a full middle (W; the reference body's
#: comes to 0.86, proportions.py).
FULL_MIDDLE = Border(
    "full_middle", "A belly of this share of the hip counts as a full middle", 0.93, 0.85, 1.02, "share"
)
#: A belly of this share of the stature is full where the hip is fuller too, by so much of it at most (W: half a deviation over the
#: mean of proportions.py).
FULL_FOR_STATURE, FULLER_HIP = 0.535, 0.06
#: A band this far below the navel leaves a full middle above it, cm.
SITS_UNDER = 2.5
#: A band so far above the navel holds a full middle, one so far above it or less crosses it, cm (W).
HOLDS, CROSSES = 1.0, 2.5
#: A very high band this near under the bust rides up, cm, and surely so where it is nearer by the second; what it weighs (W).
RIDES_UP, SURELY, RIDING_UP = 6.5, 1.5, 0.35
#: A band within this of the navel lies on the middle, cm; a leg at most this full is skin-tight (W).
AT_MIDDLE, CLOSE_LEG = 6.0, 0.8


def has_full_middle(of: Client) -> bool:
    """Whether the belly is full for the hip; or full for the stature, and not much less than the hip."""
    belly, hip = of.body.girth("belly"), of.body.girth("hip")
    border = FULL_MIDDLE.of(of)
    return belly / hip >= border or (belly >= FULL_FOR_STATURE * of.body.stature and belly / hip >= border - FULLER_HIP)


def minds_middle(of: Client) -> bool:
    """Whether the middle is full, or to be softened."""
    return "middle" in of.aims.soften or has_full_middle(of)


def _banded(outfit: Outfit) -> WornBottom | None:
    """What has a band of its own: a dress has a waist, and no band that holds or cuts."""
    bottom = outfit.bottom
    return None if bottom is None or (bottom.piece.slot == "one_piece" and not bottom.has_legs) else bottom


def _where(from_navel: float) -> str:
    if abs(from_navel) < 0.75:
        return "at the navel"
    return "{off} above the navel" if from_navel > 0 else "{off} below the navel"


@rule("rise.label", about="legs", looks_at=BOTTOM, reads=("heel",), schools=("rise_naming",))
def label_against_truth(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A measured rise against the rise the label claims."""
    bottom = outfit.bottom
    label = bottom.piece.word("rise") if bottom else None
    if bottom is None or label is None or bottom.piece.figure("front_rise_cm") is None:
        return
    truth, where = said(bottom.rise), ("waist", bottom.waistband.cm)
    held = Figure("front rise", bottom.front_rise, outfit.body.lengths["front_rise_navel"].cm)
    lies, off = _where(bottom.from_navel), abs(bottom.from_navel)
    if label == bottom.rise:
        text = Sentence.of(f"The band lies {lies}: {truth}, as the label says.", off=off)
        yield pro(0.2, "rise_fits", where, "Rise as labelled", text, held)
    else:
        text = Sentence.of(
            f"The label says {said(label)}; on this body the band lies {lies}, which is {truth}.", off=off
        )
        yield con(0.45, "rise_wrong", where, f"{truth.capitalize()}, not {said(label)}", text, held)


@rule(
    "rise.middle",
    looks_at=BOTTOM,
    reads=("heel",),
    schools=("full_middle_rise",),
    borders=(FULL_MIDDLE,),
    speaks_to=minds_middle,
)
def full_middle(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A full middle: under a low band it sits over; the schools differ about a high one."""
    bottom = _banded(outfit)
    if bottom is None:
        return
    school = outfit.schools.position("full_middle_rise")
    stretch = "stretch" in bottom.piece.fabric or bottom.piece.kind == "leggings"
    where, up = ("middle", bottom.waistband.cm), bottom.from_navel
    held, lies, off = Figure("band from the navel", up, -SITS_UNDER), _where(up), abs(up)
    if up < -SITS_UNDER:
        text = f"The band lies {lies}, under the middle, which then rests over it."
        yield con(0.5, "rise_wrong", where, "Band under the middle", Sentence.of(text, off=off), held)
    elif school == "hold_high" and up > HOLDS:
        text = f"The band lies {lies} and holds the middle in one line."
        yield pro(0.45, "rise_fits", where, "High band holds", Sentence.of(text, off=off), held)
    elif school == "cross_middle" and up > CROSSES and stretch:
        text = f"A stretchy band {lies} moulds the middle and pushes it out."
        yield con(0.4, "rise_wrong", where, "High stretch band moulds", Sentence.of(text, off=off), held)
    elif school == "cross_middle" and abs(up) <= CROSSES and not stretch:
        text = f"A firm band {lies} crosses the middle flat."
        yield pro(0.4, "rise_fits", where, "Mid band crosses flat", Sentence.of(text, off=off), held)


@rule("rise.rides_up", looks_at=BOTTOM, reads=("heel",))
def rides_up(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A very high band on a short torso rides up."""
    bottom = _banded(outfit)
    if bottom is None or bottom.from_navel <= CROSSES:
        return
    room = outfit.at("under_bust") - bottom.waistband.cm
    if room < RIDES_UP:
        text = "Only {room} are left between the band and the under-bust: on this torso it rides up."
        held = Figure("room under the bust", room, RIDES_UP)
        where = ("waist", bottom.waistband.cm)
        weight = RIDING_UP * least(1.0, (RIDES_UP - room) / SURELY)
        yield con(weight, "torso_shortened", where, "Rides up", Sentence.of(text, room=room), held)


@rule(
    "rise.band",
    about="band",
    looks_at=BOTTOM,
    reads=("heel",),
    borders=(FULL_MIDDLE,),
    speaks_to=minds_middle,
    source="Buying (20)",
)
def band(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Two buttons and gathered bands press on a full middle or add to it; a firm or elastic band holds it."""
    bottom = outfit.bottom
    said_band = bottom.piece.word("band") if bottom else None
    if bottom is None or said_band in (None, "plain") or abs(bottom.from_navel) > AT_MIDDLE:
        return
    where = ("middle", bottom.waistband.cm)
    held = Figure("band from the navel", bottom.from_navel, AT_MIDDLE)
    if said_band in ("firm", "elastic"):
        text = f"The {said_band} band holds the middle without a line."
        yield pro(0.2, "rise_fits", where, "Band holds", text, held)
    elif said_band == "two_button":
        text = "Two buttons draw a hard line across the middle and press on it: a wide stretch band holds it."
        yield con(0.25, "rise_wrong", where, "Band cuts the middle", text, held, also=("clings",))
    else:
        text = "A gathered band adds cloth just where the middle is full."
        yield con(0.2, "bulk_at_tuck", where, "Band adds to the middle", text, held)


@rule("rise.dated", about="legs", looks_at=BOTTOM, reads=("heel",), schools=("rise_naming",))
def dated(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A low band on a skin-tight leg reads of another decade."""
    bottom = outfit.bottom
    if bottom is not None and bottom.rise == "low" and bottom.volume <= CLOSE_LEG and bottom.piece.kind != "shorts":
        off = abs(bottom.from_navel)
        text = Sentence.of("A band {off} below the navel on a skin-tight leg reads of another decade.", off=off)
        held = Figure("band from the navel", bottom.from_navel, 0.0)
        weight = 0.15 + (0.2 if aims.wanted("look_current") else 0.0)
        yield con(weight, "dated", ("waist", bottom.waistband.cm), "Low band dates", text, held)


@rule("rise.skirt", about="skirt", looks_at=("bottom",), reads=("heel",))
def low_skirt(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A skirt that sits low cuts the leg line as low trousers do."""
    bottom = outfit.bottom
    if bottom is None or bottom.has_legs or bottom.piece.slot != "bottom":
        return
    below = outfit.at("navel") - bottom.waistband.cm
    if below > SITS_UNDER:
        text = Sentence.of("The skirt sits {off} below the navel: the leg begins lower.", off=below)
        weight = 0.18 + (0.15 if aims.wanted("lengthen_legs") else 0.0)
        held = Figure("band below the navel", below, SITS_UNDER)
        yield con(weight, "rise_wrong", ("waist", bottom.waistband.cm), "Sits low", text, held, also=("chopped",))
