"""Edges: where the figure is divided, and what lines lie on wide places."""

from __future__ import annotations

from collections.abc import Iterator

from craft.judge.aims import Aims
from craft.judge.borders import Border
from craft.judge.finding import Figure, Finding
from craft.look import Outfit
from craft.units import Sentence
from craft.wear import WornTop

#: Two thirds to three fifths of the figure below the break usually reads well; half and half
#: reads blocky (brief, section 6).
LONG_LEG = Border(
    "long_leg",
    ("edges.proportion",),
    "From this share of the figure below the break the leg reads long",
    0.59,
    0.56,
    0.66,
    "share",
)
HALF = Border(
    "half",
    ("edges.proportion",),
    "Up to this share below the break the figure reads halved",
    0.535,
    0.48,
    0.56,
    "share",
)
#: A short torso wants the break lower: more of the figure than this below it shortens the torso (W).
SHORT_TORSO_ASKS = 0.61
#: How near to the fullest hip a top's hem still lies on it, cm (W).
ON_HIP = Border(
    "on_hip", ("edges.top_hem", "layers.hem"), "A hem this near to the fullest hip lies on it", 3.0, 1.0, 7.0, "cm"
)
#: A strip of bare leg between hem and boot at least this tall reads as a part of its own;
#: more than the second reads as leg, cm (W).
GAP_SHOWS = Border(
    "gap_shows",
    ("edges.leg_gap", "hems.boot"),
    "Bare leg between hem and boot shows as a gap from this much",
    2.5,
    1.0,
    8.0,
    "cm",
)
READS_AS_LEG = 22.0
#: Straight cropped legs want a close, sock-like shaft (brief, section 8): up to so much ease it is close, and up to so much
#: leg above it reads as ankle, cm (W).
CLOSE_SHAFT, READS_AS_ANKLE = 1.5, 8.0


def proportion(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """How much of the figure lies below the break."""
    share, height = outfit.below_share, outfit.break_at
    if share is None or height is None or outfit.top is None:
        return
    wanted = 0.2 if aims.wanted("lengthen_legs") else 0.0
    if aims.wanted("lengthen_torso") or (outfit.short_torso and not wanted):
        yield _torso(share, height, aims)
        return
    if share >= LONG_LEG.of(outfit):
        figure = Figure("below the break", share, LONG_LEG.of(outfit), "share")
        text = Sentence.of(f"The figure divides {{at}} up: {100 * share:.0f} % of it reads as leg.", at=height)
        yield Finding(
            "edges.proportion",
            "leg_lengthened",
            "for",
            0.3 + wanted,
            "waist",
            height,
            figure,
            "Long leg, short top",
            text,
        )
    elif share <= HALF.of(outfit):
        figure = Figure("below the break", share, HALF.of(outfit), "share")
        text = Sentence.of(
            f"The top part ends {{at}} up, which halves the figure: {100 * share:.0f} % below.", at=height
        )
        yield Finding(
            "edges.proportion", "chopped", "against", 0.3 + wanted, "hip", height, figure, "Half and half", text
        )


def _torso(share: float, height: float, aims: Aims) -> Finding:
    """A short torso under long legs wants the break lower (brief, section 3)."""
    wanted = 0.2 if aims.wanted("lengthen_torso") else 0.0
    figure = Figure("below the break", share, SHORT_TORSO_ASKS, "share")
    below = f"{100 * share:.0f} % of the figure lies below it"
    if share >= SHORT_TORSO_ASKS:
        text = Sentence.of(
            f"The figure divides {{at}} up and {below}: the torso, short for the leg, reads shorter.", at=height
        )
        return Finding("edges.proportion", "torso_shortened", "against", 0.15 + wanted, "waist", height, figure,
                       "Break too high for the torso", text)  # fmt: skip
    text = Sentence.of(f"The figure divides {{at}} up and {below}: the torso gets its length.", at=height)
    return Finding("edges.proportion", "torso_lengthened", "for", 0.25 + wanted, "waist", height, figure,
                   "Lower break, longer torso", text)  # fmt: skip


def top_hem(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """An untucked hem across the fullest hip; or one that covers the seat over a close leg."""
    top, bottom, body = outfit.top, outfit.bottom, outfit.body
    if top is None or bottom is None:
        return
    hip = body.height("hip") + outfit.lift
    off = top.side.cm - hip
    hidden = top.tuck in ("full", "bloused", "bra")
    if not hidden and abs(off) <= ON_HIP.of(outfit) and body.girth("hip") >= body.girth("bust"):
        softened = 0.2 if aims.soften & {"hips", "seat"} else 0.0
        tucked = 0.6 if top.tucked else 1.0
        figure = Figure("hem from the fullest hip", abs(off), ON_HIP.of(outfit))
        text = Sentence.of(f"The hem lies {_near(off)} the fullest hip: a line across the widest place.", off=abs(off))
        yield Finding(
            "edges.top_hem",
            "hem_on_wide_place",
            "against",
            (0.3 + softened) * tucked,
            "hip",
            top.side.cm,
            figure,
            "Hem on the fullest hip",
            text,
        )
    yield from _seat(outfit, aims, top, hip, hidden)


def _seat(outfit: Outfit, aims: Aims, top: WornTop, hip: float, hidden: bool) -> Iterator[Finding]:
    """Whether the top's hem covers the seat over a close leg, as leggings ask."""
    bottom = outfit.bottom
    if bottom is None or bottom.volume > 0.9:
        return
    covers = hip - 1.0 - top.side.cm
    figure = Figure("hem below the hip", covers, 0.0)
    if covers >= 0 and not hidden:
        text = Sentence.of(
            "The hem falls {by} below the fullest hip and covers the seat over a close leg.", by=hip - top.side.cm
        )
        yield Finding("edges.covers", "covers_zone", "for", 0.3, "seat", top.side.cm, figure, "Covers the seat", text)
    elif bottom.piece.kind == "leggings" and not any(layer.hem.cm <= hip - 1.0 for layer in outfit.layers):
        ends = "a top tucked into them leaves it bare" if hidden else "this one ends {by} above the fullest hip"
        text = Sentence.of(f"Leggings ask for a hem over the seat; {ends}.", by=max(0.0, -covers))
        softened = 0.15 if aims.soften & {"hips", "seat"} else 0.0
        yield Finding(
            "edges.covers",
            "covers_zone",
            "against",
            0.6 + softened,
            "seat",
            top.side.cm,
            figure,
            "Seat uncovered",
            text,
        )


def leg_gap(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """Bare leg between a hem and a boot is a part of its own."""
    bottom, shoes = outfit.bottom, outfit.shoes
    if bottom is None or not shoes.is_boot or bottom.inside or outfit.below_hem > outfit.skin:
        return
    middle = bottom.hem.cm - outfit.skin / 2
    wide = shoes.shaft_ease is not None and shoes.shaft_ease > 3.5
    if bottom.has_legs and 0.0 < outfit.skin <= READS_AS_ANKLE and (shoes.shaft_ease or 0.0) <= CLOSE_SHAFT:
        figure = Figure("ease of the shaft", shoes.shaft_ease or 0.0, CLOSE_SHAFT)
        text = Sentence.of("A close shaft under a cropped leg: the {gap} above it reads as ankle.", gap=outfit.skin)
        yield Finding("edges.gap", "leg_line_whole", "for", 0.2, "ankle", middle, figure, "Close shaft, cropped leg", text,
                      None, ("ankle_shown",))  # fmt: skip
    elif GAP_SHOWS.of(outfit) <= outfit.skin <= READS_AS_LEG:
        figure = Figure("bare leg above the boot", outfit.skin, GAP_SHOWS.of(outfit))
        text = Sentence.of("{gap} of bare leg stands between hem and shaft and cuts the leg in two.", gap=outfit.skin)
        weight = 0.5 if wide else 0.2
        yield Finding(
            "edges.gap",
            "leg_gap",
            "against",
            weight,
            "calf",
            middle,
            figure,
            "Gap above the boot",
            text,
            None,
            ("leg_cut",),
        )
    elif outfit.skin == 0 and bottom.stack < 2.0 and not bottom.is_wide_hemmed:
        figure = Figure("bare leg above the boot", outfit.skin, GAP_SHOWS.of(outfit))
        text = Sentence.of("Hem and shaft meet: the leg stays one line.")
        yield Finding(
            "edges.gap", "leg_line_whole", "for", 0.3, "ankle", bottom.hem.cm, figure, "Leg in one line", text
        )


def _near(off: float) -> str:
    return "on" if abs(off) < 0.5 else "{off} from"


def strap(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """An ankle strap is an edge too."""
    at, bottom = outfit.shoes.strap, outfit.bottom
    if at is None or (bottom is not None and bottom.hem.cm < at):
        return
    wanted = 0.2 if aims.wanted("lengthen_legs") else 0.0
    figure = Figure("strap from the ankle bone", at - outfit.lift - outfit.body.height("ankle_bone"), 0.0)
    text = Sentence.of("The strap draws a line across the ankle and cuts the leg {at} up.", at=at)
    yield Finding("edges.strap", "leg_cut", "against", 0.25 + wanted, "ankle", at, figure, "Strap cuts the ankle", text)
