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
#: A tight top over so much bare leg reads exposed, cm (W).
EXPOSED = 38.0


def place(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """Where a skirt or dress ends on the leg."""
    bottom, body = outfit.bottom, outfit.body
    if bottom is None or bottom.has_legs:
        return
    on_body = bottom.hem.cm - outfit.lift
    off = on_body - body.height("calf")
    figure = Figure("hem from the fullest calf", abs(off), ON_CALF)
    if abs(off) <= ON_CALF:
        if outfit.shoes.is_boot and outfit.shoes.cover.cm >= bottom.hem.cm - GAP_SHOWS:
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
    figure = Figure("bare leg above the boot", max(0.0, gap), GAP_SHOWS)
    knee = outfit.body.height("knee") + outfit.lift
    if gap <= GAP_SHOWS:
        text = Sentence.of("The shaft passes under the hem: the leg stays one line.")
        yield Finding(
            "hems.boot", "leg_line_whole", "for", 0.4, "calf", bottom.hem.cm, figure, "No gap above the boot", text
        )
    elif bottom.hem.cm < knee + PLENTY and shoes.cover.cm < knee - 8.0:
        heavy = 0.12 if shoes.weight >= 1.5 else 0.0
        text = Sentence.of("{gap} of bare calf stands between hem and boot and cuts the leg in two.", gap=gap)
        low = 0.15 if bottom.hem.cm < outfit.body.height("calf") + outfit.lift - ON_CALF else 0.0
        yield Finding(
            "hems.boot", "leg_gap", "against", 0.42 + heavy - low, "calf", bottom.hem.cm - gap / 2, figure, "Gap above the boot",
            text, None, ("leg_cut",),
        )  # fmt: skip


def exposed(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """Short and skin-tight together."""
    bottom = outfit.bottom
    if bottom is None or bottom.has_legs or outfit.top is None or outfit.one_piece is not None:
        return
    if outfit.skin < EXPOSED:
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
