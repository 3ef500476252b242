"""Length: where the hem of a leg lands, in the shoe it is worn with."""

from __future__ import annotations

from collections.abc import Iterator

from craft.cloth.words import said
from craft.facts import least
from craft.judge.aims import Aims
from craft.judge.borders import Border
from craft.judge.finding import Figure, Remark, con, pro, warn
from craft.judge.rule import Subject
from craft.look import Outfit
from craft.units import Sentence
from craft.wear import WornBottom

rule = Subject("length", "Bottoms: rise, leg, length (4)", sees_colour=False)
BOTTOM = ("bottom", "one_piece")

#: A hem nearer to the ground than this is trodden on while walking, cm (W).
TRAILS_BELOW = Border("trails_below", "A wide hem nearer to the ground than this trails", 0.5, 0.0, 3.5)
#: A floor-length hem clears the ground by at most this much before it reads short, cm: it
#: skims the top of the foot (brief, section 4).
SKIMS_TO = Border("skims_to", "A floor-length hem clears the ground by at most this", 5.0, 2.0, 8.0)
#: Cloth stacked on the foot shows as a fold from this much, cm (W).
STACK_SHOWS = Border("stack_shows", "Cloth stacked on the foot shows from this much", 2.0, 0.5, 6.0)
#: What a fold that only just shows weighs of one that is plain, and by how many cm more it is plain (W).
JUST_SHOWS, PLAIN = 0.3, 1.2
#: How near to the fullest calf a hem still lies on it, cm (W).
ON_CALF = Border("on_calf", "A hem this near to the fullest calf lies on it", 4.5, 1.5, 10.0)
#: A cropped leg ends at most so far above the ankle bone before it shortens, cm (brief, section 4: 2.5 to 5; and a cm of grace);
#: and where it then ends.
CROPPED_TO = Border("cropped_to", "A cropped leg ends at most so far above the ankle bone", 6.0, 4.0, 12.0)
ON_LOWER_LEG = ("lower_calf", "mid_calf", "below_knee")
#: Cloth stacked so high pushes a close leg into folds up to the knee, cm (W).
TO_THE_KNEE = 10.0
#: What ends well at the ankle though its hem is wide: a straight leg, and what reads as one.
STRAIGHT = ("straight", "boyfriend", "girlfriend")
#: A calf of more than this share of the stature round is full (W).
FULL_CALF = 0.235


def has_full_calf(outfit: Outfit) -> bool:
    """Whether the calf is full for the stature."""
    return outfit.body.girth("calf") > FULL_CALF * outfit.body.stature


def _floor(outfit: Outfit) -> WornBottom | None:
    """A leg whose hem falls to the ground."""
    bottom = outfit.bottom
    return bottom if bottom and bottom.is_wide_hemmed and not bottom.inside else None


@rule("length.trailing", about="legs", looks_at=BOTTOM, reads=("heel",), borders=(TRAILS_BELOW,))
def trailing(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A wide hem on the ground: wrong, and trodden on."""
    bottom, border = _floor(outfit), TRAILS_BELOW.of(outfit)
    if bottom is not None and bottom.falls_to < border:
        held = Figure("hem above the ground", bottom.falls_to, border)
        text = "The hem is {over} too long for these shoes and is trodden on."
        where = ("floor", 0.0)
        yield con(
            0.9, "trailing_hem", where, "Hem on the ground", Sentence.of(text, over=border - bottom.falls_to), held
        )


@rule("length.trails", looks_at=(*BOTTOM, "layer"), reads=("heel",), borders=(TRAILS_BELOW,))
def trails(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A coat, skirt or dress that reaches the ground trails as trousers do."""
    border, bottom = TRAILS_BELOW.of(outfit), outfit.bottom
    hanging = [(layer.piece.kind, layer.hem) for layer in outfit.layers]
    if bottom is not None and not bottom.has_legs:
        hanging.append((bottom.piece.kind, bottom.hem))
    for kind, hem in hanging:
        if hem.falls_to < border:
            held = Figure("hem above the ground", hem.falls_to, border)
            text = Sentence.of(
                f"The {said(kind)} is {{over}} too long for these shoes and is trodden on.", over=border - hem.falls_to
            )
            yield con(0.75, "trailing_hem", ("floor", 0.0), "Hem on the ground", text, held)
            return


@rule("length.trip_hazard", about="legs", looks_at=BOTTOM, reads=("heel",), borders=(TRAILS_BELOW,))
def trip_hazard(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A hem on the ground is unsafe."""
    bottom, border = _floor(outfit), TRAILS_BELOW.of(outfit)
    if bottom is not None and bottom.falls_to < border:
        text = "A hem on the ground is a trip hazard on stairs, bicycles and near machines."
        held = Figure("hem above the ground", bottom.falls_to, border)
        yield warn("trailing_hem", ("floor", 0.0), "Trip hazard", text, held)


@rule("length.bunching", about="legs", looks_at=BOTTOM, reads=("heel",), borders=(STACK_SHOWS,))
def bunching(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A narrow leg longer than the bone allows stacks in folds."""
    bottom = outfit.bottom
    if bottom is None or bottom.is_wide_hemmed or bottom.inside or bottom.stack < STACK_SHOWS.of(outfit):
        return
    # A fold that only just shows weighs little: suit trousers break a little over a low heel.
    shows = least(1.0, JUST_SHOWS + (bottom.stack - STACK_SHOWS.of(outfit)) / PLAIN)
    weight = shows * least(0.65, 0.3 + 0.05 * bottom.stack)
    held = Figure("cloth stacked", bottom.stack, STACK_SHOWS.of(outfit))
    up = "it rumples up to the knee" if bottom.stack >= TO_THE_KNEE else "it rumples on the shoe"
    text = Sentence.of(f"The leg is {{stack}} longer than it can fall: {up}.", stack=bottom.stack)
    yield con(weight, "bunching", ("ankle", bottom.hem.cm), "Bunches at the ankle", text, held)


@rule("length.place", looks_at=BOTTOM, reads=("heel", "skin"), borders=(STACK_SHOWS, ON_CALF, CROPPED_TO))
def hem_place(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A hem on a narrow place of the leg, or on a wide one."""
    bottom, body = outfit.bottom, outfit.body
    if bottom is None or bottom.inside or bottom.stack >= STACK_SHOWS.of(outfit):
        return
    height = bottom.hem.cm
    off = abs(height - outfit.at("calf"))
    if bottom.hem_at in ("ankle", "ankle_bone") and (not bottom.is_wide_hemmed or bottom.reads_as in STRAIGHT):
        above = height - outfit.at("ankle_bone")
        held = Figure("hem above the ankle bone", above, body.height("narrow_ankle") + 3 - body.height("ankle_bone"))
        lies = "at" if above < 0.5 else "{above} above"
        text = Sentence.of(
            f"The hem ends {lies} the ankle bone, on a narrow place; it stays there in any shoe.", above=above
        )
        also = ("ankle_shown",) if outfit.skin else ()
        yield pro(0.35, "hem_on_narrow_place", ("ankle", height), "Hem on the narrow ankle", text, held, also=also)
    elif bottom.has_legs and off <= ON_CALF.of(outfit):
        more = 0.15 if aims.wanted("lengthen_legs") or "calves" in aims.soften else 0.0
        full = 0.1 if has_full_calf(outfit) else 0.0
        held = Figure("hem from the fullest calf", off, ON_CALF.of(outfit))
        lies = "on" if off < 0.5 else "{off} from"
        text = Sentence.of(f"The hem lies {lies} the fullest calf and cuts the leg where it is widest.", off=off)
        where = ("calf", height)
        yield con(
            0.45 + more + full, "hem_on_wide_place", where, "Hem on the fullest calf", text, held, also=("leg_cut",)
        )
    elif bottom.has_legs and outfit.skin and bottom.hem_at in ON_LOWER_LEG:
        above, border = height - outfit.at("ankle_bone"), CROPPED_TO.of(outfit)
        if above > border:
            more = 0.15 if aims.wanted("lengthen_legs") else 0.0
            text = Sentence.of(
                "A leg that ends {above} above the ankle bone shortens it: neither long nor bare.", above=above
            )
            held = Figure("hem above the ankle bone", above, border)
            weight = least(0.3, 0.1 + 0.03 * (above - border)) + more
            yield con(weight, "leg_cut", ("calf", height), "Cropped too high", text, held)


@rule("length.floor", about="legs", looks_at=BOTTOM, reads=("heel",), borders=(TRAILS_BELOW, SKIMS_TO))
def floor_length(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A floor-length hem that is right for this heel carries the leg to the ground."""
    bottom = _floor(outfit)
    if bottom is None or bottom.falls_to < TRAILS_BELOW.of(outfit):
        return
    clear, most = bottom.falls_to, SKIMS_TO.of(outfit)
    held, where = Figure("hem above the ground", clear, most), ("foot", clear)
    short = bottom.hem_at in ("foot", "ankle_bone", "ankle") and bottom.reads_as in ("wide", "flare")
    if clear <= most:
        text = "The hem clears the ground by {clear} in these shoes: one line from hip to floor. For this heel only."
        yield pro(0.3, "leg_line_whole", where, "Skims the floor", Sentence.of(text, clear=clear), held)
    elif short and bottom.cut != "kick_flare":
        text = "The hem hangs {clear} above the ground; a leg this wide asks for {most} at most, or it reads outgrown."
        title = f"Short for a {said(bottom.reads_as)} leg"
        yield con(0.2, "leg_cut", where, title, Sentence.of(text, clear=clear, most=most), held)


@rule("length.ankle", looks_at=(*BOTTOM, "shoes"), reads=("skin",), borders=(STACK_SHOWS,))
def bare_ankle(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A strip of bare ankle between hem and low shoe lightens the leg."""
    bottom, bare = outfit.bottom, outfit.skin
    if bottom is None or outfit.shoes.is_boot or not bare or bottom.stack >= STACK_SHOWS.of(outfit):
        return
    if bottom.hem_at in ("ankle", "ankle_bone") or (bottom.hem_at == "lower_calf" and not bottom.has_legs):
        text = Sentence.of("{skin} of bare ankle shows between hem and shoe and lightens the leg.", skin=bare)
        weight = 0.25 + (0.1 if bottom.cuffed else 0.0)
        where = ("ankle", bottom.hem.cm - bare / 2)
        yield pro(weight, "ankle_shown", where, "Ankle shows", text, Figure("bare ankle", bare, 1.5))
