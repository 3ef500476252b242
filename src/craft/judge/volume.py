"""Volume: one eased thing, one close thing; the waist kept or lost; bulk under a band."""

from __future__ import annotations

from collections.abc import Iterator

from craft.facts import least, most
from craft.judge.aims import Aims
from craft.judge.borders import Border
from craft.judge.cloth import bags_at_seat
from craft.judge.edges import crosses_middle
from craft.judge.finding import Figure, Remark, con, pro
from craft.judge.rise import FULL_MIDDLE, minds_middle
from craft.judge.rule import Client, Subject
from craft.judge.zones import quiet_on
from craft.look import Outfit
from craft.look.readings import BASE
from craft.units import Sentence
from craft.wear.ease import fit_word

rule = Subject("volume", "Volume (7)", sees_colour=False)

#: Volumes run from 0 (tight) to 4 (oversized). Both at or below the first: close all over;
#: both at or above the second: loose all over; apart by the third: a contrast (W).
CLOSE = Border("close", "Both halves at most this full read close all over", 1.15, 0.6, 1.7, "scale")
LOOSE = Border("loose", "Both halves at least this full read loose all over", 2.55, 2.0, 3.5, "scale")
APART = 1.0
#: What is left of a contrast of ease where the closer half is nearly loose (W).
BOTH_EASED = 0.5
#: What close all over weighs at the border, and by how much more where there is no ease at all (W).
CLOSE_LEAST, CLOSE_MORE = 0.35, 0.4
#: What is left of it under a skirt that covers the knee; and of a contrast of ease where the eased half rolls or bags (W).
COVERED, STANDS_OFF = 0.65, 0.4
#: Both halves at most this full are skin-tight (W).
DATED = 0.6
#: How far above the knee a hem still covers it, cm (W).
AT_KNEE = 4.0
#: Under a bottom at most this full, tucked cloth from this thick on shows behind (0 to 4; 0 to 1; W).
RIDGE_SHOWS, RIDGE_FROM = 2.0, 0.04
#: Cloth that shows what lies beneath it: it is thin, it clings, or it follows and shines.
SHOWS_RIDGES = frozenset({"thin", "sheer", "clinging", "satin"})
#: What cloth from this thick on weighs that is tucked in front only, over cloth that clings or is seen through (W).
IN_FRONT_FROM, IN_FRONT = 0.2, 0.3
CLINGS = frozenset({"thin", "sheer", "clinging"})
PARTLY = ("front", "half", "front_and_tail")
#: A band so far below the navel is low for a knot, cm (W).
KNOT_LOW = 2.0
#: A waist marked at least this clearly (0 to 1) counts as marked; below the second as lost.
MARKED = Border("marked", "A waist this clearly marked counts as marked", 0.55, 0.35, 0.85, "share")
LOST = 0.15
#: What of it a waist counts for on a full middle, where nobody asks for one (W).
NO_WAIST = 0.5
#: Halves from this volume on hang past the waist (0 to 4; W).
HANGS_PAST = 1.8
#: Cloth hidden under a band counts as bulk from this much: thickness (0 to 1) times the share of the girth tucked in, more
#: with more slack (W).
BULK_SHOWS = Border("bulk_shows", "So much cloth under a band shows as bulk", 0.45, 0.25, 0.8, "share")


@rule(
    "volume.contrast",
    looks_at=(*BASE, "layer"),
    reads=("above", "below", "break_at", "waist_marked", "skin"),
    schools=("volume_rule",),
    borders=(CLOSE, LOOSE, MARKED, BULK_SHOWS),
)
def contrast(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Ease above against ease below."""
    above, below = outfit.above, outfit.below
    if below is None or (outfit.top is None and not outfit.layers):
        return
    if outfit.look.piece("bottom") is None and not outfit.layers:
        return
    close, loose = CLOSE.of(outfit), LOOSE.of(outfit)
    if close < most(above, below) and least(above, below) < loose and abs(above - below) < APART:
        return
    where, pair = ("whole", outfit.break_at or 0.0), f"{fit_word(above)} above, {fit_word(below)} below"
    if above <= close and below <= close:
        # The closer both are, the more: fitted over slim only lacks ease, tight over skinny leaves nothing.
        weight = CLOSE_LEAST + CLOSE_MORE * (1 - (above + below) / (2 * close))
        weight += 0.15 if aims.wanted("look_current") else 0.0
        bottom = outfit.bottom
        if bottom is not None and not bottom.has_legs and bottom.hem.cm <= outfit.at("knee") + AT_KNEE:
            weight *= COVERED
        # Close all over reads dated or exposed (brief, section 7): skin-tight both ways is of another decade.
        also = ("dated",) if most(above, below) <= DATED else ()
        text = f"Close all over ({pair}): nothing eases, and every line shows."
        held = Figure("the looser half", most(above, below), close, "scale")
        yield con(weight, "all_close", where, "Close all over", text, held, also=also)
    elif above >= loose and below >= loose:
        yield _loose(outfit, least(above, below), where, pair)
    else:
        eased, tight = ("above", "below") if above > below else ("below", "above")
        text = f"Eased {eased}, close {tight} ({pair}): each makes the other read."
        held = Figure("difference of ease", abs(above - below), APART, "scale")
        weight = least(0.5, 0.25 + 0.12 * abs(above - below))
        # The less close the closer half is, the less there is to answer: of a loose top over a skirt that swings hardly anything.
        answers = least(1.0, (loose - least(above, below)) / (loose - close))
        weight *= BOTH_EASED + (1 - BOTH_EASED) * answers
        rolls = outfit.top is not None and outfit.top.bulk >= BULK_SHOWS.of(outfit)
        if rolls if eased == "above" else bags_at_seat(outfit, aims):
            # What rolls under a band or bags at the seat stands off the body: that is no ease.
            weight *= STANDS_OFF
        yield pro(weight, "contrast_of_ease", where, "Ease answers close", text, held)


def _loose(outfit: Outfit, closer: float, where: tuple[str, float], pair: str) -> Remark:
    held = Figure("the closer half", closer, LOOSE.of(outfit), "scale")
    rescued = outfit.waist_marked >= MARKED.of(outfit)
    if outfit.schools.position("volume_rule") == "relaxed" and (outfit.skin or rescued):
        text = f"Eased both ways ({pair}), and skin at the ankle or a marked waist keeps the person in it."
        return pro(0.2, "contrast_of_ease", where, "Eased both ways", text, held)
    marked = " The waist is marked, which helps." if rescued else ""
    text = f"Loose all over ({pair}): it reads bigger than the body and hides the person.{marked}"
    also = () if rescued else ("shapeless", "too_much_cloth")
    return con(0.35 if rescued else 0.75, "all_loose", where, "Loose all over", text, held, also=also)


@rule("volume.waist", looks_at=BASE, reads=("waist_marked", "outer_belted", "heel"), borders=(MARKED, FULL_MIDDLE))
def waist(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A waist marked by tuck or fit."""
    top, bottom, marked = outfit.top, outfit.bottom, outfit.waist_marked
    if top is None or bottom is None or outfit.outer_belted or marked < MARKED.of(outfit):
        return
    if crosses_middle(outfit, aims):
        return
    text = f"The waist is marked: {'the band shows' if top.tucked else 'the top follows it'}."
    wanted = 0.1 if aims.wanted("define_waist", "lengthen_legs") else 0.0
    held = Figure("waist marked", marked, MARKED.of(outfit), "share")
    weight = (0.25 + 0.1 * marked + wanted) * _minds_waist(outfit, aims)
    yield pro(weight, "waist_marked", ("waist", bottom.waistband.cm), "Waist marked", text, held)


@rule(
    "volume.waist_lost", looks_at=BASE, reads=("waist_marked", "outer_belted", "heel"), schools=("loose_knit_on_slip",),
    borders=(MARKED, FULL_MIDDLE),
)  # fmt: skip
def waist_lost(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A waist lost under a loose top; one school lets a loose knit hang over a bias-cut slip."""
    top, bottom, marked = outfit.top, outfit.bottom, outfit.waist_marked
    if top is None or bottom is None or outfit.outer_belted or marked > LOST:
        return
    hangs = bottom.cut == "slip" and top.piece.kind in ("knit", "sweatshirt")
    if hangs and outfit.schools.position("loose_knit_on_slip") == "hang":
        return
    if top.volume >= HANGS_PAST and bottom.volume >= HANGS_PAST:
        text = "The top hangs past the waist over an eased leg, and nothing says where the waist is."
        wanted = 0.1 if aims.wanted("define_waist", "lengthen_legs") else 0.0
        held = Figure("waist marked", marked, MARKED.of(outfit), "share")
        yield con(
            (0.3 + wanted) * _minds_waist(outfit, aims),
            "waist_lost",
            ("waist", bottom.waistband.cm),
            "Waist lost",
            text,
            held,
        )


def _minds_waist(outfit: Outfit, aims: Aims) -> float:
    """What a waist counts for, marked or lost: less where the middle is full and nobody asks for a waist."""
    asks = aims.wanted("define_waist") or "waist" in aims.show
    full = minds_middle(Client(outfit.body, aims, outfit.schools))
    return NO_WAIST if full and not asks else 1.0


@rule("volume.boxy", looks_at=(*BASE, "layer"), reads=("heel",))
def boxy(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A boxy cut hangs square and widens what it hangs over."""
    worn = [(layer.piece, layer.hem.cm) for layer in outfit.layers]
    if outfit.top is not None and outfit.top.piece.slot == "top" and not outfit.top.tucked:
        worn.append((outfit.top.piece, outfit.top.hem.cm))
    for piece, hem in worn:
        if piece.word("cut") == "boxy" and hem < outfit.at("waist") - 2.0:
            kept_quiet = {"middle", "bust"} & set(quiet_on(outfit, aims))
            minded = aims.wanted("slim", "define_waist") or bool(kept_quiet)
            text = f"The boxy {piece.kind} hangs square from the shoulder and widens what is under it."
            yield con(0.35 if minded else 0.05, "widening_line", ("waist", hem), "Boxy widens", text)
            return


@rule("volume.knot", looks_at=BASE, reads=("heel",), source="Tucks (5)")
def knot(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A knot wants a high band: over a low one it bares the middle."""
    top, bottom = outfit.top, outfit.bottom
    if top is None or bottom is None or top.tuck != "knot" or bottom.from_navel > -KNOT_LOW:
        return
    text = Sentence.of("Over a band {off} below the navel the knot bares the middle.", off=-bottom.from_navel)
    held = Figure("band from the navel", bottom.from_navel, -KNOT_LOW)
    weight = 0.35 if "middle" in aims.soften else 0.2
    yield con(weight, "draws_to_zone", ("middle", bottom.waistband.cm), "Knot over a low band", text, held)


@rule("volume.ridge", looks_at=BASE, reads=("heel",), source="Front, back and beneath (23)")
def ridge(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """What is tucked shows as a ridge behind through thin or clinging cloth, unless it is lifted above the seat."""
    top, bottom = outfit.top, outfit.bottom
    if top is None or bottom is None or not top.ridge or bottom.volume > RIDGE_SHOWS:
        return
    if bottom.piece.fabric & SHOWS_RIDGES and top.thickness >= RIDGE_FROM:
        text = "The tucked cloth shows as a ridge behind: tuck it flat, then lift it above the seat."
        held, where = (
            Figure("thickness of the cloth", top.thickness, RIDGE_FROM, "share"),
            ("seat", outfit.at("high_hip")),
        )
        # Thin cloth makes a fine ridge, thick cloth a step.
        yield con(least(0.2, 2 * top.thickness), "bulk_at_tuck", where, "Ridge behind", text, held)


@rule("volume.front", looks_at=BASE, reads=("heel",), source="Tucks (5)")
def front(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A front tuck of thick cloth stands out over a sheer or clinging skirt or leg."""
    top, bottom = outfit.top, outfit.bottom
    if top is None or bottom is None or top.tuck not in PARTLY or bottom.volume > RIDGE_SHOWS:
        return
    if bottom.piece.fabric & CLINGS and top.thickness >= IN_FRONT_FROM:
        held = Figure("thickness of the cloth", top.thickness, IN_FRONT_FROM, "share")
        where = ("middle", bottom.waistband.cm)
        text = "The tucked front stands out through cloth that lies on the body: shorten it, or wear it over."
        yield con(IN_FRONT, "bulk_at_tuck", where, "Tuck stands out in front", text, held)


@rule("volume.tuck_bulk", looks_at=BASE, reads=("heel",), borders=(BULK_SHOWS, CLOSE), source="Tucks (5)")
def tuck_bulk(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Thick or plentiful cloth pushed under a band balloons."""
    top, bottom, border = outfit.top, outfit.bottom, BULK_SHOWS.of(outfit)
    if top is None or bottom is None or top.bulk < border:
        return
    # Under a close or thin bottom every fold is read (brief, section 5: not for sheer or clinging skirts).
    shows = bottom.volume <= CLOSE.of(outfit) or bool(bottom.piece.fabric & {"thin", "sheer", "clinging", "satin"})
    weight = least(0.75, 0.35 + 0.4 * (top.bulk - border) + (0.15 if shows else 0.0))
    text = "This much cloth under the band makes a roll around the middle."
    held = Figure("cloth under the band", top.bulk, border, "share")
    yield con(weight, "bulk_at_tuck", ("waist", bottom.waistband.cm), "Bulk at the tuck", text, held)


@rule("volume.dress", about="one_piece", looks_at=(*BASE, "layer"), reads=("heel",), borders=(CLOSE,))
def dress(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A dress that is skin-tight from shoulder to hem and short leaves nothing to ease."""
    top, bottom = outfit.top, outfit.bottom
    if top is None or bottom is None or outfit.layers or top.piece.slot != bottom.piece.slot:
        return
    short = bottom.hem.cm - outfit.at("knee")
    if most(top.volume, bottom.volume) <= CLOSE.of(outfit) and top.fit == "tight" and short > 0:
        text = "Skin-tight from shoulder to hem, and short: nothing eases, and every line shows."
        held = Figure("the looser half", most(top.volume, bottom.volume), CLOSE.of(outfit), "scale")
        weight = least(0.6, 0.4 + 0.01 * short)
        yield con(weight, "all_close", ("whole", bottom.hem.cm), "Close all over", text, held, also=("clings",))


@rule(
    "volume.cling",
    looks_at=BASE,
    reads=("heel",),
    borders=(FULL_MIDDLE,),
    speaks_to=lambda of: "bust" in of.aims.soften or minds_middle(of),
)
def cling(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Cloth with no ease over a zone to soften or a full middle clings."""
    top = outfit.top
    if top is None or top.volume > DATED:
        return
    ease = top.ease * outfit.body.girth("bust")
    text = "The top is {by} smaller than the body and shows what is under it; skim instead."
    held = Figure("ease at the bust", ease, 0.0)
    yield con(0.45, "clings", ("middle", outfit.at("navel")), "Clings", Sentence.of(text, by=most(0.0, -ease)), held)
