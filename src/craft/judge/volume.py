"""Volume: one eased thing, one close thing; the waist kept or lost; bulk under a band."""

from __future__ import annotations

from collections.abc import Iterator

from craft.judge.aims import Aims
from craft.judge.borders import Border
from craft.judge.finding import Figure, Finding
from craft.judge.rise import FULL_MIDDLE
from craft.look import Outfit
from craft.units import Sentence
from craft.wear.ease import fit_word

#: Volumes run from 0 (tight) to 4 (oversized). Both at or below the first: close all over;
#: both at or above the second: loose all over; apart by the third: a contrast (W).
CLOSE = Border(
    "close", ("volume.contrast",), "Both halves at most this full read close all over", 1.15, 0.6, 1.7, "scale"
)
LOOSE = Border(
    "loose", ("volume.contrast",), "Both halves at least this full read loose all over", 2.55, 2.0, 3.5, "scale"
)
APART = 1.0
#: What close all over weighs at the border, and by how much more where there is no ease at all (W).
CLOSE_LEAST, CLOSE_MORE = 0.35, 0.4
#: Both halves at most this full are skin-tight (W).
DATED = 0.6
#: A waist marked at least this clearly (0 to 1) counts as marked; below the second as lost.
MARKED = Border("marked", ("volume.waist",), "A waist this clearly marked counts as marked", 0.55, 0.35, 0.85, "share")
LOST = 0.15
#: Cloth hidden under a band counts as bulk from this much: thickness (0 to 1) times the share of the girth tucked in, more
#: with more slack (W).
BULK_SHOWS = Border(
    "bulk_shows", ("volume.tuck_bulk",), "So much cloth under a band shows as bulk", 0.45, 0.25, 0.8, "share"
)


def contrast(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """Ease above against ease below."""
    bottom = outfit.bottom
    if bottom is None or (outfit.top is None and not outfit.layers):
        return
    if bottom.piece.slot == "one_piece" and not outfit.layers:
        return
    above, below = outfit.above, bottom.volume
    height = outfit.break_at or bottom.waistband.cm
    school = outfit.schools.position("volume_rule")
    pair = f"{fit_word(above)} above, {fit_word(below)} below"
    if above <= CLOSE.of(outfit) and below <= CLOSE.of(outfit):
        figure = Figure("the looser half", max(above, below), CLOSE.of(outfit), "scale")
        text = Sentence.of(f"Close all over ({pair}): nothing eases, and every line shows.")
        # The closer both are, the more: fitted over slim only lacks ease, tight over skinny leaves nothing.
        wanted = 0.15 if aims.wanted("look_current") else 0.0
        weight = CLOSE_LEAST + CLOSE_MORE * (1 - (above + below) / (2 * CLOSE.of(outfit))) + wanted
        # Close all over reads dated or exposed (brief, section 7): skin-tight both ways is of another decade.
        also = ("dated",) if max(above, below) <= DATED else ()
        yield Finding(
            "volume.contrast",
            "all_close",
            "against",
            weight,
            "whole",
            height,
            figure,
            "Close all over",
            text,
            "volume_rule",
            also,
        )
    elif above >= LOOSE.of(outfit) and below >= LOOSE.of(outfit):
        yield from _loose(outfit, above, below, height, pair, school)
    elif abs(above - below) >= APART:
        figure = Figure("difference of ease", abs(above - below), APART, "scale")
        eased, close = ("above", "below") if above > below else ("below", "above")
        text = Sentence.of(f"Eased {eased}, close {close} ({pair}): each makes the other read.")
        weight = min(0.5, 0.25 + 0.12 * abs(above - below))
        yield Finding(
            "volume.contrast",
            "contrast_of_ease",
            "for",
            weight,
            "whole",
            height,
            figure,
            "Ease answers close",
            text,
            "volume_rule",
        )


def _loose(outfit: Outfit, above: float, below: float, height: float, pair: str, school: str) -> Iterator[Finding]:
    figure = Figure("the closer half", min(above, below), LOOSE.of(outfit), "scale")
    rescued = outfit.waist_marked >= MARKED.of(outfit)
    ankle = bool(outfit.skin)
    if school == "relaxed" and (ankle or rescued):
        text = Sentence.of(f"Eased both ways ({pair}), and skin at the ankle or a marked waist keeps the person in it.")
        yield Finding(
            "volume.contrast",
            "contrast_of_ease",
            "for",
            0.2,
            "whole",
            height,
            figure,
            "Eased both ways",
            text,
            "volume_rule",
        )
        return
    weight = 0.35 if rescued else 0.75
    marked = " The waist is marked, which helps." if rescued else ""
    text = Sentence.of(f"Loose all over ({pair}): it reads bigger than the body and hides the person.{marked}")
    also = () if rescued else ("shapeless", "too_much_cloth")
    yield Finding(
        "volume.contrast",
        "all_loose",
        "against",
        weight,
        "whole",
        height,
        figure,
        "Loose all over",
        text,
        "volume_rule",
        also,
    )


def waist(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """A waist marked by tuck or fit, or lost under a loose top."""
    top, bottom = outfit.top, outfit.bottom
    if top is None or bottom is None:
        return
    if outfit.outer_belted:
        return
    marked = outfit.waist_marked
    height = bottom.waistband.cm
    figure = Figure("waist marked", marked, MARKED.of(outfit), "share")
    wanted = 0.1 if aims.wanted("define_waist", "lengthen_legs") else 0.0
    if marked >= MARKED.of(outfit):
        how = "the band shows" if top.tucked else "the top follows it"
        text = Sentence.of(f"The waist is marked: {how}.")
        yield Finding(
            "volume.waist",
            "waist_marked",
            "for",
            0.25 + 0.1 * marked + wanted,
            "waist",
            height,
            figure,
            "Waist marked",
            text,
        )
    elif marked <= LOST and _hangs_well(outfit):
        return
    elif marked <= LOST and top.volume >= 1.8 and bottom.volume >= 1.8:
        text = Sentence.of("The top hangs past the waist over an eased leg, and nothing says where the waist is.")
        yield Finding(
            "volume.waist", "waist_lost", "against", 0.3 + wanted, "waist", height, figure, "Waist lost", text
        )


def _hangs_well(outfit: Outfit) -> bool:
    """One school lets a loose knit hang over a bias-cut slip (brief, section 15)."""
    if outfit.schools.position("loose_knit_on_slip") != "hang" or outfit.top is None or outfit.bottom is None:
        return False
    return outfit.bottom.cut == "slip" and outfit.top.piece.kind in ("knit", "sweatshirt")


def tuck_bulk(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """Thick or plentiful cloth pushed under a band balloons."""
    top, bottom = outfit.top, outfit.bottom
    if top is None or bottom is None or top.bulk < BULK_SHOWS.of(outfit):
        return
    figure = Figure("cloth under the band", top.bulk, BULK_SHOWS.of(outfit), "share")
    text = Sentence.of("This much cloth under the band makes a roll around the middle.")
    # Under a close or thin bottom every fold is read (brief, section 5: not for sheer or clinging skirts).
    shows = bottom.volume <= CLOSE.of(outfit) or bool(bottom.piece.fabric & {"thin", "sheer", "clinging", "satin"})
    weight = min(0.75, 0.35 + 0.4 * (top.bulk - BULK_SHOWS.of(outfit)) + (0.15 if shows else 0.0))
    yield Finding(
        "volume.tuck_bulk",
        "bulk_at_tuck",
        "against",
        weight,
        "waist",
        bottom.waistband.cm,
        figure,
        "Bulk at the tuck",
        text,
    )


def cling(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """Cloth with no ease over a zone to soften or a full middle clings."""
    top, body = outfit.top, outfit.body
    if top is None or top.volume > 0.6:
        return
    full = body.girth("belly") / body.girth("hip") >= FULL_MIDDLE.of(outfit) or bool(aims.soften & {"middle", "bust"})
    if not full:
        return
    figure = Figure("ease at the bust", top.ease * body.girth("bust"), 0.0)
    text = Sentence.of(
        "The top is {by} smaller than the body and shows what is under it; skim instead.",
        by=max(0.0, -top.ease * body.girth("bust")),
    )
    yield Finding(
        "volume.cling", "clings", "against", 0.45, "middle", body.height("navel") + outfit.lift, figure, "Clings", text
    )
