"""Length: where the hem of a leg lands, in the shoe it is worn with."""

from __future__ import annotations

from collections.abc import Iterator

from craft.cloth.words import said
from craft.judge.aims import Aims
from craft.judge.borders import Border
from craft.judge.finding import Figure, Finding
from craft.look import Outfit
from craft.units import Sentence

#: A hem nearer to the ground than this is trodden on while walking, cm (W).
TRAILS_BELOW = Border(
    "trails_below",
    ("length.trailing", "length.floor_length"),
    "A wide hem nearer to the ground than this trails",
    0.5,
    0.0,
    3.5,
    "cm",
)
#: A floor-length hem clears the ground by at most this much before it reads short, cm: it
#: skims the top of the foot (brief, section 4).
SKIMS_TO = Border(
    "skims_to", ("length.floor_length",), "A floor-length hem clears the ground by at most this", 5.0, 2.0, 8.0, "cm"
)
#: Cloth stacked on the foot shows as a fold from this much, cm (W).
STACK_SHOWS = Border(
    "stack_shows",
    ("length.bunching", "length.hem_place"),
    "Cloth stacked on the foot shows from this much",
    2.0,
    0.5,
    6.0,
    "cm",
)
#: How near to the fullest calf a hem still lies on it, cm (W).
ON_CALF = Border(
    "on_calf",
    ("length.hem_place", "hems.place"),
    "A hem this near to the fullest calf lies on it",
    4.5,
    1.5,
    10.0,
    "cm",
)


def trailing(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """A wide hem on the ground: wrong, and unsafe."""
    bottom = outfit.bottom
    if bottom is None or not bottom.is_wide_hemmed or bottom.inside or bottom.falls_to >= TRAILS_BELOW.of(outfit):
        return
    over = TRAILS_BELOW.of(outfit) - bottom.falls_to
    figure = Figure("hem above the ground", bottom.falls_to, TRAILS_BELOW.of(outfit))
    text = Sentence.of("The hem is {over} too long for these shoes and is trodden on.", over=over)
    yield Finding("length.trailing", "trailing_hem", "against", 0.9, "floor", 0.0, figure, "Hem on the ground", text)
    text = Sentence.of("A hem on the ground is a trip hazard on stairs, bicycles and near machines.")
    yield Finding("length.trip_hazard", "trailing_hem", "caution", 0.0, "floor", 0.0, figure, "Trip hazard", text)


def bunching(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """A narrow leg longer than the bone allows stacks in folds."""
    bottom = outfit.bottom
    if bottom is None or bottom.is_wide_hemmed or bottom.inside or bottom.stack < STACK_SHOWS.of(outfit):
        return
    weight = min(0.65, 0.3 + 0.05 * bottom.stack)
    figure = Figure("cloth stacked", bottom.stack, STACK_SHOWS.of(outfit))
    text = Sentence.of("The leg is {stack} longer than it can fall: it rumples on the shoe.", stack=bottom.stack)
    yield Finding(
        "length.bunching", "bunching", "against", weight, "ankle", bottom.hem.cm, figure, "Bunches at the ankle", text
    )


def hem_place(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """A hem on a narrow place of the leg, or on a wide one."""
    bottom, body = outfit.bottom, outfit.body
    if bottom is None or bottom.inside or bottom.stack >= STACK_SHOWS.of(outfit):
        return
    height, on_body = bottom.hem.cm, bottom.hem.cm - outfit.lift
    above_bone = on_body - body.height("ankle_bone")
    calf = body.height("calf")
    if bottom.hem_at in ("ankle", "ankle_bone") and not bottom.is_wide_hemmed:
        figure = Figure(
            "hem above the ankle bone", above_bone, body.height("narrow_ankle") + 3 - body.height("ankle_bone")
        )
        where = "at" if above_bone < 0.5 else "{above} above"
        text = Sentence.of(
            f"The hem ends {where} the ankle bone, on a narrow place; it stays there in any shoe.", above=above_bone
        )
        also = ("ankle_shown",) if outfit.skin else ()
        yield Finding(
            "length.place",
            "hem_on_narrow_place",
            "for",
            0.35,
            "ankle",
            height,
            figure,
            "Hem on the narrow ankle",
            text,
            None,
            also,
        )
    elif abs(on_body - calf) <= ON_CALF.of(outfit):
        off = abs(on_body - calf)
        more = 0.15 if aims.wanted("lengthen_legs") or "calves" in aims.soften else 0.0
        full = 0.1 if body.girth("calf") > 0.235 * body.stature else 0.0
        figure = Figure("hem from the fullest calf", off, ON_CALF.of(outfit))
        text = Sentence.of(
            f"The hem lies {'on' if off < 0.5 else '{off} from'} the fullest calf and cuts the leg where it is widest.",
            off=off,
        )
        yield Finding(
            "length.place",
            "hem_on_wide_place",
            "against",
            0.45 + more + full,
            "calf",
            height,
            figure,
            "Hem on the fullest calf",
            text,
            None,
            ("leg_cut",),
        )


def floor_length(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """A floor-length hem that is right for this heel carries the leg to the ground."""
    bottom = outfit.bottom
    if bottom is None or not bottom.is_wide_hemmed or bottom.inside or bottom.falls_to < TRAILS_BELOW.of(outfit):
        return
    clear = bottom.falls_to
    figure = Figure("hem above the ground", clear, SKIMS_TO.of(outfit))
    if clear <= SKIMS_TO.of(outfit):
        text = Sentence.of(
            "The hem clears the ground by {clear} in these shoes: one line from hip to floor. For this heel only.",
            clear=clear,
        )
        yield Finding("length.floor", "leg_line_whole", "for", 0.3, "foot", clear, figure, "Skims the floor", text)
    elif (
        bottom.hem_at in ("foot", "ankle_bone", "ankle")
        and bottom.reads_as in ("wide", "flare")
        and bottom.cut != "kick_flare"
    ):
        text = Sentence.of(
            "The hem hangs {clear} above the ground; a leg this wide asks for {most} at most, or it reads outgrown.",
            clear=clear,
            most=SKIMS_TO.of(outfit),
        )
        yield Finding(
            "length.floor",
            "leg_cut",
            "against",
            0.2,
            "foot",
            clear,
            figure,
            f"Short for a {said(bottom.reads_as)} leg",
            text,
        )


def cuffed_ankle(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """A strip of bare ankle between hem and low shoe lightens the leg."""
    bottom = outfit.bottom
    if (
        bottom is None
        or outfit.shoes.is_boot
        or not outfit.skin
        or bottom.hem_at not in ("ankle", "ankle_bone", "lower_calf")
    ):
        return
    figure = Figure("bare ankle", outfit.skin, 1.5)
    text = Sentence.of("{skin} of bare ankle shows between hem and shoe and lightens the leg.", skin=outfit.skin)
    weight = 0.25 + (0.1 if bottom.cuffed else 0.0)
    yield Finding(
        "length.ankle",
        "ankle_shown",
        "for",
        weight,
        "ankle",
        bottom.hem.cm - outfit.skin / 2,
        figure,
        "Ankle shows",
        text,
    )
