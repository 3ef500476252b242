"""Skirt and dress hems: never at the fullest calf; with a boot, no gap; short with plenty of leg."""

from __future__ import annotations

from collections.abc import Iterator

from craft.facts import most
from craft.judge.aims import Aims
from craft.judge.edges import GAP_SHOWS
from craft.judge.feet import HEAVY
from craft.judge.finding import Figure, Remark, con, pro
from craft.judge.length import ON_CALF, has_full_calf
from craft.judge.rule import Subject
from craft.look import Outfit
from craft.units import Sentence
from craft.wear import WornBottom

rule = Subject("hems", "Edges are lines (6)", sees_colour=False)
BOTTOM = ("bottom", "one_piece")

#: A short hem ends at least this far above the knee, cm; shorts that end within the second of it cut the leg there (W).
ABOVE_KNEE, AT_KNEE = 8.0, 4.0
#: A shaft that ends so far below the knee is not a tall one, cm (W).
LOW_SHAFT = 8.0
#: How near to the fullest thigh, just under the crotch, a hem lies on it, cm (W).
ON_THIGH = 6.0
#: A tight top over so much bare leg reads exposed, cm; a top up to the first volume is tight, from the second eased (W).
EXPOSED, TIGHT, EASED = 38.0, 1.0, 2.4
#: Bare leg under a short hem from which it is read as leg, cm (W).
PLENTY_BARE = 30.0
#: So much bare thigh between a boot over the knee and a short hem still reads as one leg, cm (W).
THIGH_SHOWS = 20.0
#: Shorts that end less than this below the crotch are short in a heel of so much, those that end further than the third long
#: in a flat, cm (brief, section 4: an inseam of 8 to 23, a centimetre or two longer in heels; W).
SHORT_IN_HEELS, IN_HEELS, LONG_IN_FLATS = 9.0, 4.0, 20.0
#: Where a skirt ends well: off the fullest calf and above the foot.
_NARROW = ("lower_calf", "ankle", "below_knee", "knee", "above_knee")


def _skirt(outfit: Outfit) -> WornBottom | None:
    bottom = outfit.bottom
    return bottom if bottom is not None and not bottom.has_legs else None


@rule("hems.place", about="skirt", looks_at=(*BOTTOM, "shoes"), borders=(ON_CALF, GAP_SHOWS))
def place(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Where a skirt or dress ends on the leg."""
    skirt, shoes = _skirt(outfit), outfit.shoes
    if skirt is None:
        return
    off, where = abs(skirt.hem.cm - outfit.at("calf")), ("calf", skirt.hem.cm)
    held = Figure("hem from the fullest calf", off, ON_CALF.of(outfit))
    if off <= ON_CALF.of(outfit):
        if shoes.is_boot and shoes.cover.cm >= skirt.hem.cm - GAP_SHOWS.of(outfit):
            return
        full = 0.15 if has_full_calf(outfit) or "calves" in aims.soften else 0.0
        text = Sentence.of("The hem lies {off} from the fullest calf and cuts the leg where it is widest.", off=off)
        yield con(0.4 + full, "hem_on_wide_place", where, "Hem on the fullest calf", text, held, also=("leg_cut",))
    elif skirt.hem_at in _NARROW:
        text = Sentence.of("The hem lies {off} from the fullest calf, on a narrower place.", off=off)
        yield pro(0.2, "hem_on_narrow_place", where, "Hem off the calf", text, held)


@rule("hems.boot", about="skirt", looks_at=(*BOTTOM, "shoes", "tights"), borders=(GAP_SHOWS, HEAVY, ON_CALF))
def boot(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A skirt and a boot: the shaft meets the hem or passes under it, or plenty of leg shows."""
    skirt, shoes = _skirt(outfit), outfit.shoes
    if skirt is None or not shoes.is_boot or "tights" in outfit.extras:
        return
    gap, knee, hem = skirt.hem.cm - shoes.cover.cm, outfit.at("knee"), skirt.hem.cm
    if shoes.cover.cm > knee and 0 < gap <= THIGH_SHOWS:
        text = Sentence.of(
            "The boot takes the leg up to {gap} under the short hem: one line, with a little thigh.", gap=gap
        )
        held = Figure("bare leg above the boot", gap, THIGH_SHOWS)
        yield pro(0.3, "leg_line_whole", ("thighs", hem), "Boot up to the hem", text, held)
        return
    held = Figure("bare leg above the boot", most(0.0, gap), GAP_SHOWS.of(outfit))
    if gap <= GAP_SHOWS.of(outfit):
        text = Sentence("The shaft passes under the hem: the leg stays one line.")
        yield pro(0.4, "leg_line_whole", ("calf", hem), "No gap above the boot", text, held)
    elif hem < knee + ABOVE_KNEE and shoes.cover.cm < knee - LOW_SHAFT:
        heavy = 0.12 if shoes.weight >= HEAVY.of(outfit) else 0.0
        low = 0.15 if hem < outfit.at("calf") - ON_CALF.of(outfit) else 0.0
        text = Sentence.of("{gap} of bare calf stands between hem and boot and cuts the leg in two.", gap=gap)
        where = ("calf", hem - gap / 2)
        yield con(0.42 + heavy - low, "leg_gap", where, "Gap above the boot", text, held, also=("leg_cut",))


@rule("hems.exposed", about="skirt", looks_at=("bottom", "top"), reads=("skin", "above", "heel"))
def exposed(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Short and skin-tight together."""
    skirt, bare, above = _skirt(outfit), outfit.skin, outfit.above
    if skirt is None or outfit.look.piece("top") is None or outfit.look.piece("bottom") is None:
        return
    if bare < EXPOSED or skirt.hem.cm < outfit.at("knee") + AT_KNEE:
        return
    held, where = Figure("bare leg", bare, EXPOSED), ("whole", skirt.hem.cm)
    if above <= TIGHT:
        yield con(0.4, "all_close", where, "Short and close", "Short below and skin-tight above: nothing eases.", held)
    elif above >= EASED:
        yield pro(0.25, "contrast_of_ease", where, "Ease answers the leg", "Ease above answers so much leg.", held)


@rule("hems.short", looks_at=BOTTOM, reads=("skin", "heel"))
def short(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Below a short hem bare leg lengthens; shorts at the knee cut the leg; one on the fullest thigh is read there."""
    bottom = outfit.bottom
    if bottom is None:
        return
    over_knee = bottom.hem.cm - outfit.at("knee")
    if over_knee < -AT_KNEE or (not bottom.has_legs and over_knee < ABOVE_KNEE):
        return
    wanted = 0.2 if aims.wanted("lengthen_legs") else 0.0
    at, bare = bottom.hem.cm, outfit.skin
    held = Figure("hem above the knee", over_knee, ABOVE_KNEE)
    below_crotch = outfit.at("crotch") - at
    if "thighs" in aims.soften and 0.0 <= below_crotch <= ON_THIGH:
        held = Figure("hem below the crotch", below_crotch, ON_THIGH)
        text = Sentence("The hem lies on the upper thigh, where the leg is fullest.")
        yield con(0.35, "hem_on_wide_place", ("thighs", at), "Hem on the upper thigh", text, held)
    elif bottom.has_legs and over_knee < AT_KNEE:
        text = Sentence("Shorts to the knee end where the leg bends, and cut it in two.")
        also = ("hem_on_wide_place",)
        yield con(0.2 + wanted, "leg_cut", ("knee", at), "Shorts at the knee", text, held, also=also)
    elif over_knee >= ABOVE_KNEE and bare >= PLENTY_BARE:
        text = Sentence.of("{bare} of bare leg below a short hem reads as one long leg.", bare=bare)
        yield pro(0.15 + wanted, "leg_lengthened", ("knee", at - bare / 2), "Bare leg lengthens", text, held)


@rule("hems.shorts", about="legs", looks_at=("bottom", "shoes"))
def shorts_and_heel(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Shorts are worn a little longer in heels and a little shorter in flats: very short ones in a heel leave too much leg."""
    bottom, shoes = outfit.bottom, outfit.shoes
    if bottom is None or bottom.piece.kind != "shorts" or shoes.piece is None:
        return
    below, rise = outfit.at("crotch") - bottom.hem.cm, shoes.rise_of_foot
    held, where = Figure("hem below the crotch", below, SHORT_IN_HEELS), ("thighs", bottom.hem.cm)
    if rise >= IN_HEELS and below < SHORT_IN_HEELS:
        text = Sentence.of(
            "Shorts that end {below} below the crotch ask for a flat shoe; in a heel, longer ones.", below=below
        )
        yield con(0.22, "all_close", where, "Too short for a heel", text, held, also=("leg_cut",))
    elif rise < IN_HEELS and not shoes.is_boot and below > LONG_IN_FLATS:
        text = Sentence.of("{below} of leg is covered: in flats shorter ones leave the leg longer.", below=below)
        held = Figure("hem below the crotch", below, LONG_IN_FLATS)
        yield con(0.08, "leg_cut", where, "Long for a flat shoe", text, held)
