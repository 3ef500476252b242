"""Edges: where the figure is divided, and what lines lie on wide places."""

from __future__ import annotations

from collections.abc import Iterator

from craft.facts import choose, least, most
from craft.judge.aims import Aims
from craft.judge.borders import Border
from craft.judge.finding import Figure, Remark, con, pro
from craft.judge.rise import FULL_MIDDLE, minds_middle
from craft.judge.rule import Client, Subject
from craft.look import Outfit
from craft.look.readings import BASE
from craft.units import Sentence

rule = Subject("edges", "Edges are lines (6)", sees_colour=False)

#: Two thirds to three fifths of the figure below the break usually reads well; half and half
#: reads blocky (brief, section 6).
LONG_LEG = Border(
    "long_leg", "From this share of the figure below the break the leg reads long", 0.59, 0.56, 0.66, "share"
)
HALF = Border("half", "Up to this share below the break the figure reads halved", 0.535, 0.48, 0.56, "share")
#: A short torso wants the break lower: more of the figure than this below it shortens the torso (W).
SHORT_TORSO_ASKS = 0.61
#: How near to the fullest hip a top's hem still lies on it, cm (W).
ON_HIP = Border("on_hip", "A hem this near to the fullest hip lies on it", 3.0, 1.0, 7.0)
#: A hem covers the seat from so far below the fullest hip, cm; a leg at most this full asks for it (W).
COVERS_BELOW, CLOSE_LEG = 1.0, 0.9
#: A strip of bare leg between hem and boot at least this tall reads as a part of its own;
#: more than the second reads as leg, cm (W).
GAP_SHOWS = Border("gap_shows", "Bare leg between hem and boot shows as a gap from this much", 2.5, 1.0, 8.0)
READS_AS_LEG = 22.0
#: Straight cropped legs want a close, sock-like shaft (brief, section 8): up to so much ease it is close, and up to so much
#: leg above it reads as ankle; with more ease than the third a shaft is wide, cm (W).
CLOSE_SHAFT, READS_AS_ANKLE, WIDE_SHAFT = 1.5, 8.0, 5.5
#: A shoe at most this heavy has a fine strap (W).
FINE = 0.7
#: What it weighs still that the figure is halved where a top hangs over a full middle (W).
COVERS_MIDDLE = 0.6
#: How near to a full middle a hem lies across it, cm (W).
ON_MIDDLE = 5.0


@rule(
    "edges.proportion", looks_at=BASE, reads=("below_share", "break_at", "heel"), borders=(LONG_LEG, HALF, FULL_MIDDLE)
)
def proportion(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """How much of the figure lies below the break."""
    share, height = outfit.below_share, outfit.break_at
    if share is None or height is None or outfit.top is None:
        return
    longer = aims.wanted("lengthen_legs")
    wanted = 0.2 if longer else 0.0
    if aims.wanted("lengthen_torso") or (outfit.short_torso and not longer):
        yield _torso(share, height, aims)
    elif crosses_middle(outfit, aims):
        return
    elif share >= LONG_LEG.of(outfit):
        held = Figure("below the break", share, LONG_LEG.of(outfit), "share")
        text = Sentence.of(f"The figure divides {{at}} up: {100 * share:.0f} % of it reads as leg.", at=height)
        yield pro(0.3 + wanted, "leg_lengthened", ("waist", height), "Long leg, short top", text, held)
    elif share <= HALF.of(outfit):
        held = Figure("below the break", share, HALF.of(outfit), "share")
        text = Sentence.of(
            f"The top part ends {{at}} up, which halves the figure: {100 * share:.0f} % below.", at=height
        )
        # What hangs over a full middle covers it, and is worth some length of leg.
        covers = outfit.top.hem.cm < height + 1.0 and minds_middle(Client(outfit.body, aims, outfit.schools))
        weight = (0.3 + wanted) * (COVERS_MIDDLE if covers else 1.0)
        yield con(weight, "chopped", ("hip", height), "Half and half", text, held)


def _torso(share: float, height: float, aims: Aims) -> Remark:
    """A short torso under long legs wants the break lower (brief, section 3)."""
    wanted = 0.2 if aims.wanted("lengthen_torso") else 0.0
    held, where = Figure("below the break", share, SHORT_TORSO_ASKS, "share"), ("waist", height)
    lies = f"The figure divides {{at}} up and {100 * share:.0f} % of the figure lies below it: the torso"
    if share >= SHORT_TORSO_ASKS:
        text = Sentence.of(f"{lies}, short for the leg, reads shorter.", at=height)
        return con(0.15 + wanted, "torso_shortened", where, "Break too high for the torso", text, held)
    text = Sentence.of(f"{lies} gets its length.", at=height)
    return pro(0.25 + wanted, "torso_lengthened", where, "Lower break, longer torso", text, held)


def crosses_middle(outfit: Outfit, aims: Aims) -> bool:
    """Whether an untucked hem ends across a full middle: a wide place, where no leg is lengthened."""
    top = outfit.top
    if top is None or top.tucked or outfit.one_piece is not None or outfit.look.piece("bottom") is None:
        return False
    return minds_middle(Client(outfit.body, aims, outfit.schools)) and _from_middle(outfit, top.hem.cm) <= ON_MIDDLE


def _from_middle(outfit: Outfit, height: float) -> float:
    """How far a height lies from the belt of a full middle, waist to a hand under the navel, cm."""
    high, low = outfit.at("waist"), outfit.at("navel") - 6.0
    return most(height - high, low - height, 0.0)


@rule(
    "edges.middle",
    looks_at=BASE,
    reads=("heel",),
    borders=(FULL_MIDDLE,),
    speaks_to=minds_middle,
)
def across_middle(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A hem that ends across a full middle or wide waist lies on a wide place."""
    top = outfit.top
    if top is not None and crosses_middle(outfit, aims):
        off = _from_middle(outfit, top.hem.cm)
        text = Sentence("The hem ends across the middle, which is a wide place here.")
        held = Figure("hem from the middle", off, ON_MIDDLE)
        yield con(0.42, "hem_on_wide_place", ("middle", top.hem.cm), "Hem across the middle", text, held)


@rule("edges.tail", looks_at=BASE, reads=("heel",))
def tail(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A tail folded under to the top of the seat lifts it; hanging over it, it lowers the seat and shortens the leg behind."""
    top, bottom = outfit.top, outfit.bottom
    if top is None or bottom is None or not bottom.has_legs or top.tuck in ("full", "bloused", "bra", "lifted"):
        return
    hangs = outfit.at("hip") - top.behind
    held, where = Figure("tail below the hip", hangs, 0.0), ("seat", top.behind)
    if top.tuck in ("tail_fold", "front_and_tail"):
        covered = bool(aims.soften & {"seat", "hips"})
        if not covered:
            text = "The tail is folded under at the top of the seat: the leg begins higher behind."
            yield pro(0.18, "leg_lengthened", where, "Tail folded under", text, held, also=("chopped",))


def _is_hidden(outfit: Outfit) -> bool:
    """Whether a top's hem is hidden all round by its tuck."""
    return outfit.top is not None and outfit.top.tuck in ("full", "bloused", "bra", "lifted")


@rule(
    "edges.top_hem",
    looks_at=BASE,
    reads=("heel",),
    borders=(ON_HIP,),
    speaks_to=lambda of: of.body.girth("hip") >= of.body.girth("bust"),
)
def top_hem(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """An untucked hem across the fullest hip."""
    top = outfit.top
    if top is None or outfit.bottom is None or _is_hidden(outfit):
        return
    off = abs(top.side.cm - outfit.at("hip"))
    if off <= ON_HIP.of(outfit):
        softened = 0.2 if aims.soften & {"hips", "seat"} else 0.0
        lies = "on" if off < 0.5 else "{off} from"
        text = Sentence.of(f"The hem lies {lies} the fullest hip: a line across the widest place.", off=off)
        weight = (0.3 + softened) * (0.6 if top.tucked else 1.0)
        held = Figure("hem from the fullest hip", off, ON_HIP.of(outfit))
        yield con(weight, "hem_on_wide_place", ("hip", top.side.cm), "Hem on the fullest hip", text, held)


@rule("edges.covers", looks_at=(*BASE, "layer"), reads=("heel",))
def covers_seat(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Whether the top's hem covers the seat over a close leg, as leggings ask."""
    top, bottom = outfit.top, outfit.bottom
    if top is None or bottom is None or bottom.volume > CLOSE_LEG:
        return
    hip, hidden, where = outfit.at("hip"), _is_hidden(outfit), ("seat", top.side.cm)
    covers = hip - COVERS_BELOW - top.side.cm
    held = Figure("hem below the hip", covers, 0.0)
    if covers >= 0 and not hidden:
        text = Sentence.of(
            "The hem falls {by} below the fullest hip and covers the seat over a close leg.", by=hip - top.side.cm
        )
        yield pro(0.3, "covers_zone", where, "Covers the seat", text, held)
    elif bottom.piece.kind == "leggings" and not any(layer.hem.cm <= hip - COVERS_BELOW for layer in outfit.layers):
        ends = "a top tucked into them leaves it bare" if hidden else "this one ends {by} above the fullest hip"
        text = Sentence.of(f"Leggings ask for a hem over the seat; {ends}.", by=most(0.0, -covers))
        softened = 0.15 if aims.soften & {"hips", "seat"} else 0.0
        # What ends on the hip shows less of it than what ends at the waist.
        bare = choose(hidden, 0.65, least(0.6, 0.4 + 0.02 * most(0.0, -covers)))
        yield con(bare + softened, "covers_zone", where, "Seat uncovered", text, held)


@rule(
    "edges.gap",
    about="boots",
    looks_at=("bottom", "one_piece", "shoes"),
    reads=("skin", "below_hem", "heel"),
    borders=(GAP_SHOWS,),
)
def leg_gap(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Bare leg between a hem and a boot is a part of its own."""
    bottom, shoes, bare = outfit.bottom, outfit.shoes, outfit.skin
    if bottom is None or not shoes.is_boot or bottom.inside or outfit.below_hem > bare:
        return
    if shoes.cover.cm > outfit.at("knee"):
        # Above the knee the thigh that shows is read as leg (hems.over_knee).
        return
    ease, middle = shoes.shaft_ease or 0.0, bottom.hem.cm - bare / 2
    held = Figure("bare leg above the boot", bare, GAP_SHOWS.of(outfit))
    if bottom.has_legs and 0.0 < bare <= READS_AS_ANKLE and ease <= CLOSE_SHAFT:
        text = Sentence.of("A close shaft under a cropped leg: the {gap} above it reads as ankle.", gap=bare)
        held = Figure("ease of the shaft", ease, CLOSE_SHAFT)
        where = ("ankle", middle)
        yield pro(0.2, "leg_line_whole", where, "Close shaft, cropped leg", text, held, also=("ankle_shown",))
    elif bottom.has_legs and GAP_SHOWS.of(outfit) <= bare <= READS_AS_LEG:
        text = Sentence.of("{gap} of bare leg stands between hem and shaft and cuts the leg in two.", gap=bare)
        weight = 0.5 if ease > WIDE_SHAFT else 0.2
        yield con(weight, "leg_gap", ("calf", middle), "Gap above the boot", text, held, also=("leg_cut",))
    elif bare == 0 and bottom.stack < 2.0 and not bottom.is_wide_hemmed:
        where = ("ankle", bottom.hem.cm)
        yield pro(0.3, "leg_line_whole", where, "Leg in one line", "Hem and shaft meet: the leg stays one line.", held)


@rule("edges.strap", about="ankle_strap", looks_at=("shoes",), reads=("hem_height",))
def strap(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """An ankle strap is an edge too."""
    at, hem, shoes = outfit.shoes.strap, outfit.hem_height, outfit.shoes
    if at is None or (hem is not None and hem < at):
        return
    if "ankles" in aims.show and shoes.weight <= FINE:
        told = "A fine strap lies round the narrow ankle and leads the eye to it."
        held = Figure("weight of the shoe", shoes.weight, FINE, "scale")
        yield pro(0.25, "draws_to_asset", ("ankle", at), "Strap shows the ankle", told, held, also=("ankle_shown",))
        return
    wanted = 0.2 if aims.wanted("lengthen_legs") else 0.0
    held = Figure("strap from the ankle bone", at - outfit.at("ankle_bone"), 0.0)
    text = Sentence.of("The strap draws a line across the ankle and cuts the leg {at} up.", at=at)
    yield con(0.25 + wanted, "leg_cut", ("ankle", at), "Strap cuts the ankle", text, held)
