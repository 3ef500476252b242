"""Skirt and dress hems: never at the fullest calf; with a boot, no gap; short with plenty of leg."""

from __future__ import annotations

from collections.abc import Iterator

from craft.judge.aims import Aims
from craft.judge.edges import GAP_SHOWS
from craft.judge.finding import Figure, Finding
from craft.judge.length import ON_CALF
from craft.look import Outfit
from craft.units import Sentence

#: A skirt's hem this far above the knee shows plenty of leg, cm (W).
PLENTY = 8.0
#: A short hem ends at least this far above the knee, cm; shorts that end within the second of it cut the leg there (W).
ABOVE_KNEE, AT_KNEE = 8.0, 4.0
#: How near to the fullest thigh, just under the crotch, a hem lies on it, cm (W).
ON_THIGH = 6.0
#: A tight top over so much bare leg reads exposed, cm (W).
EXPOSED = 38.0


#: Bare leg under a short hem from which it is read as leg, cm (W).
PLENTY_BARE = 30.0


def place(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """Where a skirt or dress ends on the leg."""
    bottom, body = outfit.bottom, outfit.body
    if bottom is None or bottom.has_legs:
        return
    on_body = bottom.hem.cm - outfit.lift
    off = on_body - body.height("calf")
    figure = Figure("hem from the fullest calf", abs(off), ON_CALF.of(outfit))
    if abs(off) <= ON_CALF.of(outfit):
        if outfit.shoes.is_boot and outfit.shoes.cover.cm >= bottom.hem.cm - GAP_SHOWS.of(outfit):
            return
        full = 0.15 if body.girth("calf") > 0.235 * body.stature or "calves" in aims.soften else 0.0
        text = Sentence.of(
            "The hem lies {off} from the fullest calf and cuts the leg where it is widest.", off=abs(off)
        )
        yield Finding(
            "hems.place", "hem_on_wide_place", "against", 0.4 + full, "calf", bottom.hem.cm, figure, "Hem on the fullest calf",
            text, None, ("leg_cut",),
        )  # fmt: skip
    elif bottom.hem_at in ("lower_calf", "ankle", "below_knee", "knee", "above_knee"):
        text = Sentence.of("The hem lies {off} from the fullest calf, on a narrower place.", off=abs(off))
        yield Finding(
            "hems.place", "hem_on_narrow_place", "for", 0.2, "calf", bottom.hem.cm, figure, "Hem off the calf", text
        )


def boot(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """A skirt and a boot: the shaft meets the hem or passes under it, or plenty of leg shows."""
    bottom, shoes = outfit.bottom, outfit.shoes
    if bottom is None or bottom.has_legs or not shoes.is_boot or "tights" in outfit.extras:
        return
    gap = bottom.hem.cm - shoes.cover.cm
    figure = Figure("bare leg above the boot", max(0.0, gap), GAP_SHOWS.of(outfit))
    knee = outfit.body.height("knee") + outfit.lift
    if gap <= GAP_SHOWS.of(outfit):
        text = Sentence.of("The shaft passes under the hem: the leg stays one line.")
        yield Finding(
            "hems.boot", "leg_line_whole", "for", 0.4, "calf", bottom.hem.cm, figure, "No gap above the boot", text
        )
    elif bottom.hem.cm < knee + PLENTY and shoes.cover.cm < knee - 8.0:
        heavy = 0.12 if shoes.weight >= 1.5 else 0.0
        text = Sentence.of("{gap} of bare calf stands between hem and boot and cuts the leg in two.", gap=gap)
        low = 0.15 if bottom.hem.cm < outfit.body.height("calf") + outfit.lift - ON_CALF.of(outfit) else 0.0
        yield Finding(
            "hems.boot", "leg_gap", "against", 0.42 + heavy - low, "calf", bottom.hem.cm - gap / 2, figure, "Gap above the boot",
            text, None, ("leg_cut",),
        )  # fmt: skip


def exposed(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """Short and skin-tight together."""
    bottom = outfit.bottom
    if bottom is None or bottom.has_legs or outfit.top is None or outfit.one_piece is not None:
        return
    if outfit.skin < EXPOSED or bottom.hem.cm < outfit.body.height("knee") + outfit.lift + AT_KNEE:
        return
    figure = Figure("bare leg", outfit.skin, EXPOSED)
    at = bottom.hem.cm
    if outfit.above <= 1.0:
        text = Sentence.of("Short below and skin-tight above: nothing eases.")
        yield Finding("hems.exposed", "all_close", "against", 0.4, "whole", at, figure, "Short and close", text)
    elif outfit.above >= 2.4:
        text = Sentence.of("Ease above answers so much leg.")
        yield Finding(
            "hems.exposed", "contrast_of_ease", "for", 0.25, "whole", at, figure, "Ease answers the leg", text
        )


def short(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """Below a short hem bare leg lengthens; shorts at the knee cut the leg; one on the fullest thigh is read there."""
    bottom, body = outfit.bottom, outfit.body
    if bottom is None:
        return
    on_body = bottom.hem.cm - outfit.lift
    over_knee = on_body - body.height("knee")
    if over_knee < -AT_KNEE or (not bottom.has_legs and over_knee < ABOVE_KNEE):
        return
    wanted = 0.2 if aims.wanted("lengthen_legs") else 0.0
    at = bottom.hem.cm
    figure = Figure("hem above the knee", over_knee, ABOVE_KNEE)
    below_crotch = body.height("crotch") - on_body
    if aims.soften & {"thighs"} and 0.0 <= below_crotch <= ON_THIGH:
        told = Figure("hem below the crotch", below_crotch, ON_THIGH)
        text = Sentence.of("The hem lies on the upper thigh, where the leg is fullest.")
        yield Finding(
            "hems.short", "hem_on_wide_place", "against", 0.35, "thighs", at, told, "Hem on the upper thigh", text
        )
    elif bottom.has_legs and over_knee < AT_KNEE:
        text = Sentence.of("Shorts to the knee end where the leg bends, and cut it in two.")
        yield Finding("hems.short", "leg_cut", "against", 0.2 + wanted, "knee", at, figure, "Shorts at the knee", text,
                      None, ("hem_on_wide_place",))  # fmt: skip
    elif over_knee >= ABOVE_KNEE and outfit.skin >= PLENTY_BARE:
        text = Sentence.of("{bare} of bare leg below a short hem reads as one long leg.", bare=outfit.skin)
        yield Finding(
            "hems.short",
            "leg_lengthened",
            "for",
            0.15 + wanted,
            "knee",
            at - outfit.skin / 2,
            figure,
            "Bare leg lengthens",
            text,
        )
