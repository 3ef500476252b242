"""The fit checks of a piece: rise, leg line and length for bottoms, and their counterparts for every other kind."""

from __future__ import annotations

from collections.abc import Iterator

from craft.body import Body
from craft.cloth.words import said
from craft.fit import alter
from craft.fit.alter import Alteration
from craft.fit.cloth_checks import belt_closes, loosening, shows_through
from craft.fit.edges import LandedEdge, place
from craft.fit.fitting import GAPES, Check, Fitting, Stance, sure, unless
from craft.fit.support import support
from craft.read.reading import SEATED_HEM_OVER_KNEE
from craft.units import Sentence
from craft.wear import wear_bottom
from craft.wear.bottom import FOOT_OVER_ANKLE, rise_height, rise_word
from craft.wear.landing import FLOOR_BELOW, landed_height

#: A skirt that slides down by more than this before it holds no longer sits at the waist, cm (W).
SLIDES = 3.0
#: A hem this near to the fullest calf or hip lies on it, cm (W).
ON_WIDE = 3.0
#: A sleeve may be off the wrist bone by this, cm (W).
SLEEVE_PLAY = 1.5
#: A hem that passes over the foot may come so much lower for each cm of heel: the foot points down in
#: it (W). Brief, section 4: a straight full length bunches with flat shoes; cuff it, hem it, or wear a heel.
FOOT_TAKES = 0.8
#: Cuts that read as straight on the label.
STRAIGHT = ("straight", "boyfriend", "wide")
_BUTTONED = ("shirt", "blouse", "blazer", "waistcoat", "jacket", "coat")


def checks(fitting: Fitting) -> tuple[Check, ...]:
    """Every check that this kind and what is known of the piece allow, top to bottom."""
    found = [check for one in _CHECKS for check in one(fitting)]
    return tuple(sorted(found, key=lambda check: -check.height))


def _rise(of: Fitting) -> Iterator[Check]:
    """Where the band lands, in both schools' words, and what the label says."""
    rise, band = of.piece.figure("front_rise_cm"), of.edge("waistband")
    if rise is None or band is None or not of.has_legs:
        return
    off = band.height - of.lift - of.body.height("navel")
    by_school = {naming: said(rise_word(off, naming)) for naming in ("navel_is_mid", "navel_is_high")}
    own = by_school[of.schools.position("rise_naming")]
    other = next((word for word in by_school.values() if word != own), own)
    where = "at the navel" if abs(off) < 0.5 else f"{{off}} {'above' if off > 0 else 'below'} the navel"
    label = said(of.piece.word("rise") or "")
    named = f"{own} rise" + (f" (the other school says {other})" if other != own else "")
    if label and label != own:
        text = Sentence.of(f"The label says {label}; on this body the band lands {where}: {named}.", off=abs(off))
        needed = of.body.rise.along(rise_height(of.body, of.piece.word("rise") or "mid", of.schools))
        change = Alteration(
            "rise",
            "shop",
            needed - rise,
            Sentence.of(f"For a {label} rise look for a front rise of {{needed}}.", needed=needed),
            Sentence("Then the label is true on this body."),
        )
        yield Check("rise", "watch", "Not the rise on the label", text, band.height, (change,))
    else:
        text = Sentence.of(f"The band lands {where}: {named}.", off=abs(off))
        yield Check("rise", "fits", f"{own.capitalize()} rise", text, band.height)


def _band(of: Fitting) -> Iterator[Check]:
    """A waistband that gapes or presses."""
    ease = of.ease("band")
    if ease is None:
        return
    at = ease.height + of.lift
    slides = of.body.height("waist") - ease.height if of.piece.kind == "skirt" else 0.0
    if slides > SLIDES:
        wide = ease.garment - of.body.girth("waist")
        text = Sentence.of(
            "The band is {wide} wider than the waist and slides down by {by} before it holds.", wide=wide, by=slides
        )
        yield Check("band", "against", "Slides below the waist", text, at, (alter.take_in(wide - 1.0, "waist", 1.0),))
    elif ease.cm > GAPES:
        text = Sentence.of("The band is {gap} wider than the body there and stands off behind.", gap=ease.cm)
        leaves = 1.0
        mends = (alter.belt(ease.cm), alter.take_in(ease.cm - leaves, "waist", leaves))
        yield sure(Check("band", "against", "Gapes at the waist", text, at, mends), ease.cm - GAPES, ease)
    elif ease.strain > 1:
        text = Sentence.of("The band is {by} smaller than the body there, more than the cloth gives.", by=-ease.cm)
        mend = alter.let_out(ease.missing, "waist")
        yield sure(Check("band", "against", "Presses at the waist", text, at, (mend,)), ease.missing, ease)
    else:
        text = Sentence.of(
            f"The band lies on: {'it gives by {by}' if ease.cm < 0 else '{by} of ease'}.", by=abs(ease.cm)
        )
        yield Check("band", "fits", "Band lies on", text, at)


def _girths(of: Fitting) -> Iterator[Check]:
    """Bust, waist, hip, thigh and upper arm: pulling, or the ease there is."""
    for ease in of.eases:
        if ease.zone in ("band", "torso", "shaft"):
            continue
        at = ease.height + of.lift
        if ease.strain > 1:
            buttons = ease.zone == "bust" and of.piece.kind in _BUTTONED
            title = "Buttons strain" if buttons else f"Pulls at the {ease.zone}"
            text = Sentence.of(
                f"{{garment}} round a {ease.zone} of {{body}}: {{missing}} short of going round.",
                garment=ease.garment,
                body=ease.body,
                missing=ease.missing,
            )
            mend = alter.let_out(ease.missing, ease.zone)
            yield sure(Check(ease.zone, "against", title, text, at, (mend,)), ease.missing, ease)
        elif ease.cm < 0:
            text = Sentence.of(
                f"It stretches by {{by}} at the {ease.zone}, {100 * ease.strain:.0f} % of what the cloth gives.",
                by=-ease.cm,
            )
            stance: Stance = "watch" if ease.strain > 0.8 else "fits"
            yield Check(ease.zone, stance, f"Close at the {ease.zone}", text, at)
        elif ease.word == "tight":
            text = Sentence.of(f"Only {{ease}} of ease at the {ease.zone}: no room to move in.", ease=ease.cm)
            yield Check(ease.zone, "watch", f"Little room at the {ease.zone}", text, at)
        else:
            text = Sentence.of(f"{{ease}} of ease at the {ease.zone}: {ease.word}.", ease=ease.cm)
            yield Check(ease.zone, "fits", f"{ease.word.capitalize()} at the {ease.zone}", text, at)


def _loop(of: Fitting) -> Iterator[Check]:
    """The torso loop of a one-piece against the torso girth: the number that decides whether it fits."""
    ease = of.ease("torso")
    if ease is None:
        return
    at = ease.height + of.lift
    if ease.strain > 1:
        text = Sentence.of("The loop is {by} shorter than the torso: it pulls at shoulder and crotch.", by=ease.missing)
        mend = alter.let_out(ease.missing, "torso")
        yield sure(Check("torso", "against", "Too short in the torso", text, at, (mend,)), ease.missing, ease)
    elif ease.word in ("relaxed", "oversized"):
        text = Sentence.of("The loop is {by} longer than the torso: it sags at the crotch.", by=ease.cm)
        yield Check("torso", "watch", "Long in the torso", text, at)
    else:
        text = Sentence.of("Loop and torso are {by} apart: it holds.", by=abs(ease.cm))
        yield Check("torso", "fits", "Torso fits", text, at)


def _neck_and_sleeve(of: Fitting) -> Iterator[Check]:
    sleeve = of.piece.figure("sleeve_cm")
    end = of.edge("cuff")
    if sleeve is None or end is None:
        return
    arm = of.body.lengths["arm_length"]
    off = sleeve - arm.cm
    if off > SLEEVE_PLAY:
        text = Sentence.of("The sleeve is {by} longer than the arm and lies over the hand.", by=off)
        check = Check("sleeve", "against", "Sleeve too long", text, end.height, alter.shorten_sleeve(of.piece, off))
        yield check if arm.settled else unless(check, off - SLEEVE_PLAY, arm.spread, "arm_length")
    elif abs(off) <= SLEEVE_PLAY:
        yield Check("sleeve", "fits", "Sleeve at the wrist", Sentence("The sleeve ends at the wrist bone."), end.height)


def _legs(of: Fitting) -> Iterator[Check]:
    """The leg line: does it hang straight past thigh and calf, and what does it read as?"""
    opening, cut = of.piece.figure("leg_opening_cm"), of.piece.word("cut")
    if opening is None or not of.has_legs or of.piece.kind == "shorts":
        return
    worn = wear_bottom(of.body, of.piece, of.shoes, of.schools)
    calf = of.body.height("calf") + of.lift
    reads = said(worn.reads_as)
    if cut in STRAIGHT and worn.reads_as in ("slim_straight", "slim", "skinny"):
        least = opening + max(0.0, 4.0 - worn.calf_ease)
        text = Sentence.of(
            f"{{ease}} of ease at the calf: a {said(cut or '')} leg reads as {reads} here.", ease=worn.calf_ease
        )
        change = Alteration(
            "opening",
            "shop",
            least - opening,
            Sentence.of("Look for a leg opening of {least} or more.", least=least),
            Sentence("Then the leg hangs straight past the calf."),
        )
        yield Check("leg", "watch", f"Reads as {reads}", text, calf, (change,))
    else:
        text = Sentence.of(f"{{ease}} of ease at the calf: the leg reads as {reads}.", ease=worn.calf_ease)
        yield Check("leg", "fits", f"Reads as {reads}", text, calf)


def _hem(of: Fitting) -> Iterator[Check]:
    """Length: trailing, bunching, on a wide place, or where it belongs."""
    hem = of.edge("hem")
    if hem is None or of.piece.slot in ("extra", "shoes", "swim"):
        return
    if of.has_legs and of.piece.kind != "shorts":
        yield from _leg_hem(of, hem)
        return
    yield from _hanging_hem(of, hem)


def _leg_hem(of: Fitting, hem: LandedEdge) -> Iterator[Check]:
    lift, body = of.lift, of.body
    wide, passes = _opening(of)
    word = "foot" if wide else "ankle"
    bunches_at = body.height("ankle_bone") + lift - FLOOR_BELOW - (FOOT_TAKES * lift if passes else 0.0)
    # A heel is no mend for who will not, or must not, wear one.
    lifts = passes or wide if of.heels else False
    falls = hem.falls_to
    least = (body.height("ankle_bone") - FLOOR_BELOW - (falls - lift)) / FOOT_TAKES
    mends = tuple(
        found
        for found in (
            None if wide else alter.cuff_to(body, hem, word, lift),
            _heel(body, hem, lift, least, wide=wide) if lifts else None,
            alter.hem_to(body, hem, word, lift),
            alter.tape_to(body, hem, word, lift),
        )
        if found
    )
    if wide and falls < FLOOR_BELOW - 1.0:
        text = Sentence.of(
            "The hem would lie {by} on the ground in these shoes: a hazard on stairs.", by=max(0.0, -falls)
        )
        yield Check("length", "caution", "Trails", text, hem.height, mends)
    elif not wide and falls < bunches_at:
        by = body.height("ankle_bone") + lift - falls
        text = Sentence.of("{by} more than reaches the ankle bone: it bunches there.", by=by)
        check = Check("length", "against", "Bunches at the ankle", text, body.height("ankle_bone") + lift, mends)
        estimated = hem.landing.origin == "estimated"
        yield unless(check, bunches_at - falls, hem.landing.spread, "crotch_height") if estimated else check
    elif hem.at in ("mid_calf", "lower_calf", "below_knee"):
        text = Sentence.of(f"It ends {{height}} up, {place(hem.at)}: a short leg line on anybody.", height=hem.height)
        yield Check("length", "watch", "Ends on the calf", text, hem.height)
    else:
        text = Sentence.of(f"It ends {{height}} above the ground, {_place(hem)}.", height=hem.height)
        yield Check("length", "fits", f"Ends {place(hem.at)}", text, hem.height)


def _heel(body: Body, hem: LandedEdge, lift: float, least: float, *, wide: bool) -> Alteration | None:
    """The heel that makes a length right: a wide hem skims the foot in it, a closer one no longer bunches."""
    return alter.heel_for(body, hem, lift) if wide else alter.heel_of(body, hem, lift, least)


def _opening(of: Fitting) -> tuple[bool, bool]:
    """Whether the hem falls to the ground, and whether it passes down over the foot at all."""
    worn = wear_bottom(of.body, of.piece, of.shoes, of.schools)
    return worn.is_wide_hemmed, worn.opening >= FOOT_OVER_ANKLE * of.body.girth("ankle")


def _place(edge: LandedEdge) -> str:
    """Where an edge lands in words, and what would settle it where more than one is possible."""
    if len(edge.either) < 2 or edge.measure is None:
        return place(edge.at)
    either = " or ".join(place(word) for word in edge.either)
    return f"{either}: measure the {said(edge.measure)} to settle it"


def _hanging_hem(of: Fitting, hem: LandedEdge) -> Iterator[Check]:
    """A skirt's, dress's, top's or layer's hem: never at the fullest calf, not across the fullest hip."""
    body, lift = of.body, of.lift
    for level, name, shorter in (("calf", "fullest calf", "below_knee"), ("hip", "fullest hip", "high_hip")):
        wide = body.height(level) + lift
        if abs(hem.height - wide) > ON_WIDE:
            continue
        off = abs(hem.height - wide)
        text = Sentence.of(f"It ends {{off}} from the {name}: a line across the widest place.", off=off)
        shortened = alter.hem_to(body, hem, shorter, lift)
        tucks = of.piece.slot == "top"
        mends = (*((alter.TUCK,) if tucks else ()), *((shortened,) if shortened else ()))
        # A top is one free change away from good; what cannot be tucked is not.
        yield Check("length", "watch" if tucks else "against", f"Ends on the {name}", text, hem.height, mends)
        return
    if hem.at == "mid_calf":
        text = Sentence.of(
            "It ends {off} from the fullest calf: a little above or well below does better.",
            off=abs(hem.height - body.height("calf") - lift),
        )
        mend = alter.hem_to(body, hem, "below_knee", lift)
        yield Check("length", "watch", "Ends near the fullest calf", text, hem.height, (mend,) if mend else ())
        return
    text = Sentence.of(f"It ends {{height}} above the ground, {_place(hem)}.", height=hem.height)
    yield Check("length", "fits", f"Ends {place(hem.at)}", text, hem.height)


def _shaft(of: Fitting) -> Iterator[Check]:
    """A boot's shaft against the leg it stands at."""
    girth, top = of.piece.figure("shaft_girth_cm"), of.edge("cover")
    if girth is None or top is None:
        return
    leg = max(of.body.leg_girth(height) for height in _levels(of.body, top.height - of.lift))
    off = girth - leg
    if off < 0:
        text = Sentence.of("The shaft is {by} smaller than the leg it goes round.", by=-off)
        yield Check("shaft", "against", "Does not close", text, top.height, (alter.other_size(-off + 0.5, "shaft"),))
    else:
        text = Sentence.of("{by} of room between shaft and leg. With thick socks: the larger half size.", by=off)
        yield Check(
            "shaft",
            "fits" if off <= 6 else "watch",
            "Shaft closes" if off <= 6 else "Shaft stands off",
            text,
            top.height,
        )


def _levels(body: Body, top: float) -> tuple[float, ...]:
    """Heights from the narrow ankle up to the shaft's top that its girth has to pass."""
    calf = body.height("calf")
    return (top, min(calf, top)) if top > body.height("narrow_ankle") else (top,)


def _sitting(of: Fitting) -> Iterator[Check]:
    """What sitting does to a hem, for who lives or works seated."""
    hem = of.edge("hem")
    if not of.seated or hem is None or of.piece.slot not in ("bottom", "one_piece"):
        return
    rises = SEATED_HEM_OVER_KNEE * of.body.girth("knee")
    text = Sentence.of("Sitting, it rises by about {rises}, to {to}.", rises=rises, to=hem.height + rises)
    bare = of.has_legs and hem.height + rises > landed_height(of.body, "ankle", of.lift) + 8.0
    yield Check("sitting", "watch" if bare else "fits", "Rises when sitting", text, hem.height)


_CHECKS = (
    *(_rise, _band, _girths, _loop, _neck_and_sleeve, _legs, _hem, _shaft, _sitting),
    *(loosening, shows_through, belt_closes, support),
)
