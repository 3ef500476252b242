"""Swim: fewer pieces, the same reasoning, plus support. Every detail has its place: on the top, at the middle, on the hip."""

from __future__ import annotations

from collections.abc import Iterator

from craft.cloth import Piece
from craft.cloth.colour import ANSWERS, chroma, difference, just_misses, lightness
from craft.cloth.piece import colour_of, colours_of
from craft.fit.support import HANGS_FROM_NECK, HOLD, LESS_AT_NECK, wanted_for
from craft.judge.aims import Aims
from craft.judge.colour import ONE_COLOUR
from craft.judge.finding import Figure, Remark, con, pro, warn
from craft.judge.neck import full_bust
from craft.judge.pattern import loudness
from craft.judge.rule import Client, Subject
from craft.look import Outfit
from craft.look.readings import Drawing

rule = Subject("swim", "Swim (12, 24)")
SWIM = ("swim",)

#: Details by what they do (brief, sections 12 and 24).
MARKS_WAIST = frozenset({"side_detail", "drawn_waist", "ruching", "panel", "drape", "tie_waist", "crossed_front"})
BARES_SIDES = frozenset({"open_sides", "cut_out"})
LONG_TORSO = frozenset(
    {"high_leg", "side_ties", "open_sides", "underwire", "thick_strap", "high_neck", "crossed_front"}
)
COVERS = frozenset({"skirted", "flounce", "drape"})
#: What each detail does to a waist, in its own words.
DRAWS_WAIST = {
    "side_detail": "Detail at the sides draws the eye off the middle and draws a waist.",
    "drawn_waist": "The pattern draws in to the waist.",
    "ruching": "Ruching gathers the cloth and hides a soft middle.",
    "panel": "The panel within holds the middle flat.",
    "drape": "Drape falls over the middle and skims it.",
    "tie_waist": "The tie says where the waist is.",
    "crossed_front": "Crossed fronts meet above the middle and slant over it.",
    "open_sides": "Open sides take from the straight line and draw a waist.",
    "cut_out": "Cut-outs at the sides take from the straight line and draw a waist.",
}
#: What of a suit is cloth, and lies wherever its piece does.
OF_CLOTH = ("print", "lettering", "check", "texture", "shine")
#: Steps of hold that a full bust asks for at least; a full cup holds as a soft one does, and covers more (W).
FULL_ASKS = 2.0
#: Crotch height over stature up to which a torso is long (W: as far from the usual as a short one is).
LONG_FROM = 0.465
#: A loop this much shorter than the torso's girth, as a share of it, cuts at shoulder and crotch; one longer than the second
#: sags. A suit stretches, so it is made smaller than the body (W: fit/zones.py holds the same).
LOOP_SHORT, LOOP_LONG, LOOP_FITS = -0.10, 0.02, 8.0
#: A two-piece whose halves differ by this in lightness or in chroma leads the eye to the lighter or the brighter one (W).
LIGHTER, BRIGHTER = 0.15, 0.06
#: Zones above and below the waist.
ABOVE, BELOW = frozenset({"bust", "shoulders", "upper_arms"}), frozenset({"hips", "seat", "thighs"})
UPPER, LOWER = ("bikini_top", "tankini"), ("bikini_bottom", "swim_shorts")


def _pieces(outfit: Outfit) -> tuple[Piece, ...]:
    return outfit.look.all("swim")


#: The kinds that cover each part of the trunk: what they say lies there.
_COVERS = {
    "bust": ("swimsuit", "tankini", "bikini_top"),
    "middle": ("swimsuit", "tankini"),
    "hip": ("swimsuit", "bikini_bottom", "swim_shorts"),
}


def _details(outfit: Outfit, part: str) -> frozenset[str]:
    """The details that lie on a part of the trunk: a high bottom reaches the middle, others do not."""
    worn = [piece for piece in _pieces(outfit) if piece.kind in _COVERS[part] or (part == "middle" and _is_high(piece))]
    return frozenset().union(*(_details_of(piece) for piece in worn))


def _details_of(piece: Piece) -> frozenset[str]:
    """The details of a suit; where it is cut out at the sides they are open, however that was said."""
    cut = frozenset({"cut_out"}) if piece.word("cut_out") == "sides" else frozenset[str]()
    return frozenset(piece.words("swim_detail")) | cut


def _is_high(piece: Piece) -> bool:
    return piece.kind == "bikini_bottom" and piece.word("rise") in ("high", "very_high")


def _part(outfit: Outfit, kinds: tuple[str, ...]) -> Piece | None:
    return next((piece for piece in _pieces(outfit) if piece.kind in kinds), None)


def _where(outfit: Outfit, level: str) -> tuple[str, float]:
    """A place on a swimmer, who stands barefoot."""
    return level, outfit.body.height(level)


def _drawn(outfit: Outfit) -> tuple[Drawing, ...]:
    """What of a suit draws the eye, by its place."""
    return tuple(seen for seen in outfit.drawing if seen.slot == "swim")


def _quiet_above(of: Client) -> bool:
    return of.shape == "inverted_triangle" or bool(of.aims.soften & ABOVE)


def _quiet_below(of: Client) -> bool:
    return of.shape == "triangle" or bool(of.aims.soften & BELOW)


@rule("swim.support", looks_at=SWIM)
def support(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Cups, straps and band against the bust."""
    details, where = _details(outfit, "bust"), _where(outfit, "bust")
    if not details & HOLD.keys():
        return
    held = sum(HOLD.get(detail, 0.0) for detail in details)
    held -= LESS_AT_NECK if any(piece.word("neck") in HANGS_FROM_NECK for piece in _pieces(outfit)) else 0.0
    fullness = outfit.body.girth("bust") - outfit.body.girth("under_bust")
    wanted = max(wanted_for(fullness), FULL_ASKS if full_bust(outfit, aims) else 0.0)
    if held >= max(wanted, 1.0):
        yield pro(0.3, "support", where, "Holds the bust", "Cups and straps hold the bust.")
    elif held < wanted:
        weight = min(0.5, 0.3 + 0.1 * (wanted - held))
        yield con(weight, "support", where, "Little hold", "The bust asks for more hold than this.")


@rule("swim.waist", looks_at=SWIM, speaks_to=lambda of: of.shape in ("oval", "rectangle") or "middle" in of.aims.soften)
def waist(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Details that draw a waist, or skim a middle; on a straight frame bare sides draw one too."""
    soft = "middle" in aims.soften or outfit.shape == "oval"
    marks = MARKS_WAIST if soft else MARKS_WAIST | BARES_SIDES
    own = sorted(_details(outfit, "middle") & marks)
    if own:
        text = DRAWS_WAIST[own[0]]
        yield pro(0.35, "waist_marked", _where(outfit, "waist"), "Draws a waist", text, also=("skims",))
    elif soft and _details(outfit, "middle") & BARES_SIDES:
        text = "Cut-outs bare the middle, which is to be kept quiet."
        yield con(0.3, "draws_to_zone", _where(outfit, "waist"), "Bares the middle", text)


@rule(
    "swim.middle",
    looks_at=SWIM,
    reads=("drawing",),
    speaks_to=lambda of: of.shape == "oval" or "middle" in of.aims.soften,
)
def middle(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Over a soft middle: nothing in its centre; a high, firm bottom holds it, a low one lies under it."""
    if any(one.zone == "middle" and one.what == "detail at the centre" for one in _drawn(outfit)):
        text = "The detail sits in the centre of the middle and is read there first."
        yield con(0.25, "draws_to_zone", _where(outfit, "navel"), "Detail on the middle", text)
    low = _part(outfit, ("bikini_bottom",))
    top = _part(outfit, UPPER)
    if low is None or top is None or top.kind == "tankini":
        return
    if low.word("rise") in ("high", "very_high"):
        text = "The high bottom holds and covers the middle."
        yield pro(0.3, "rise_fits", _where(outfit, "navel"), "High bottom holds", text, also=("covers_zone",))
    elif low.word("rise") == "low":
        text = "The low bottom lies under the middle, which is bare above it."
        yield con(0.25, "rise_wrong", _where(outfit, "navel"), "Bottom under the middle", text, also=("covers_zone",))


@rule("swim.stripes", looks_at=SWIM)
def stripes(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Stripes across a suit widen, the more the broader and the stronger they are."""
    for piece in _pieces(outfit):
        if piece.word("pattern") == "horizontal_stripe":
            text = "The stripes run across and widen."
            yield con(0.3 * loudness(piece), "widening_line", _where(outfit, "waist"), "Stripes widen", text)


@rule("swim.print", looks_at=SWIM, reads=("drawing",), speaks_to=_quiet_below)
def hip_print(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A print or a texture over hips that lead draws the eye there."""
    drawn = next((one for one in _drawn(outfit) if one.zone == "hips" and one.what in OF_CLOTH), None)
    if drawn is not None:
        text = f"The {drawn.what} lies over the hips and draws the eye there."
        yield con(0.35, "draws_to_zone", _where(outfit, "hip"), "Drawn to the hips", text)


@rule("swim.neck", looks_at=SWIM)
def neck(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A lower or open neckline lengthens; a closed one over a full bust shortens."""
    necks = {piece.word("neck") for piece in _pieces(outfit)}
    full = full_bust(outfit, aims)
    if "low_neck" in _details(outfit, "bust") or necks & {"v", "scoop", "square"}:
        text = "The lower neckline lengthens."
        yield pro(0.2, "neck_lengthens", _where(outfit, "bust"), "Lower neckline", text)
    elif full and not outfit.short_torso and ("high_neck" in _details(outfit, "bust") or necks & {"crew", "halter"}):
        text = "A high neck over a full bust makes one plain field of it."
        yield con(0.18, "neck_shortens", _where(outfit, "bust"), "High neck on a full bust", text)


@rule("swim.up", looks_at=SWIM, reads=("drawing",), speaks_to=_quiet_below)
def up(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Where hips are to be kept quiet, what draws the eye lies above: frill, shoulder, print, brightness."""
    above = next((one for one in _drawn(outfit) if one.zone in ("bust", "shoulders")), None)
    if above is not None or "high_neck" in _details(outfit, "bust"):
        text = f"The {above.what if above else 'neck'} draws the eye up."
        yield pro(0.35, "draws_to_asset", _where(outfit, "shoulder"), "Attention up", text, also=("balance_gained",))


@rule("swim.hip", looks_at=SWIM, reads=("drawing",), speaks_to=_quiet_below)
def hip(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Ties, frills and low legs mark hips that lead; a skirt covers them."""
    found = {one.what for one in _drawn(outfit) if one.zone == "hips"} & {"ties", "frill"}
    if found or "low_leg" in _details(outfit, "hip"):
        text = "Ties, frills and low legs mark the hip."
        yield con(0.25, "draws_to_zone", _where(outfit, "hip"), "Marks the hip", text)
    elif "skirted" in _details(outfit, "hip"):
        text = "The skirt covers hip and thigh as far as it falls."
        yield pro(0.2, "covers_zone", _where(outfit, "hip"), "Skirt covers", text)


@rule("swim.shoulder", looks_at=SWIM, reads=("drawing",), speaks_to=_quiet_above)
def shoulder(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Where shoulders lead, detail at their edge broadens them and a halter or a high neck closes the front."""
    broad = (*OF_CLOTH, "frill", "detail at the shoulder", "one shoulder")
    if any(one.what in broad and one.zone in ("bust", "shoulders") for one in _drawn(outfit)):
        text = "Detail at the shoulder's edge broadens it."
        yield con(0.3, "widening_line", _where(outfit, "shoulder"), "Detail at the shoulder", text)


@rule("swim.centre", looks_at=SWIM, reads=("drawing",), speaks_to=_quiet_above)
def centre(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Where shoulders lead, detail at the centre draws in, and frills, ties or prints on the hip answer them."""
    if _details(outfit, "bust") & {"centre_detail", "lacing"}:
        text = "Detail at the centre draws in."
        yield pro(0.25, "balance_gained", _where(outfit, "bust"), "Detail at the centre", text)
    elif any(one.zone == "hips" for one in _drawn(outfit)) and _part(outfit, LOWER) is not None:
        text = "What draws the eye lies on the hip and answers the shoulders."
        yield pro(0.25, "balance_gained", _where(outfit, "hip"), "Hip answers", text)


@rule("swim.halves", looks_at=SWIM, speaks_to=lambda of: _quiet_above(of) or _quiet_below(of))
def halves(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Of two pieces the lighter or brighter one leads the eye: away from what is to be kept quiet, or to it."""
    top, low = _part(outfit, UPPER), _part(outfit, LOWER)
    if top is None or low is None:
        return
    light = lightness(colour_of(top)) - lightness(colour_of(low))
    bright = chroma(colour_of(top)) - chroma(colour_of(low))
    if abs(light) < LIGHTER and abs(bright) < BRIGHTER:
        return
    up = light >= LIGHTER or (abs(light) < LIGHTER and bright > 0)
    quiet_below = outfit.shape == "triangle" or bool(aims.soften & BELOW)
    held, where = Figure("lighter above by", light, LIGHTER, "share"), _where(outfit, "waist")
    if up == quiet_below:
        text = f"The {'top' if up else 'bottom'} leads the eye, to where the shape has less."
        yield pro(0.25, "balance_gained", where, "Leads away from the zone", text, held, also=("draws_to_asset",))
    else:
        text = f"The {'top' if up else 'bottom'} leads the eye, to what is to be kept quiet."
        yield con(0.2, "draws_to_zone", where, "Leads to the zone", text, held, also=("balance_gained",))


@rule("swim.torso", looks_at=SWIM)
def torso(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A short torso: low bottoms, higher leg, lifted bust, high, crossed or one-shoulder necks; a long one the reverse."""
    pieces = _pieces(outfit)
    details, rises = _details(outfit, "bust") | _details(outfit, "hip"), {piece.word("rise") for piece in pieces}
    high = bool(rises & {"very_high", "high"})
    where = _where(outfit, "waist")
    if outfit.short_torso:
        one = any(piece.word("neck") in ("one_shoulder", "halter") for piece in pieces)
        if (high and "middle" not in aims.soften) or "low_leg" in details or "tie_waist" in details:
            text = "A high bottom, a belt or a low leg takes from a short torso."
            yield con(0.35, "torso_shortened", where, "Shortens the torso", text)
        elif "low" in rises or details & LONG_TORSO or one:
            text = "A low bottom, a high leg, a lifted bust or an unbroken neck gives the torso length."
            yield pro(0.35, "torso_lengthened", where, "Lengthens the torso", text)
    elif outfit.body.height("crotch") / outfit.body.stature <= LONG_FROM:
        if high or details & {"tie_waist", "drawn_waist"}:
            text = "A higher bottom or a break at the waist takes from a long torso and gives to the leg."
            yield pro(0.28, "torso_shortened", where, "Breaks a long torso", text, also=("leg_lengthened",))
        elif "low" in rises:
            text = "A low bottom makes a long torso longer and the leg shorter."
            yield con(0.25, "torso_lengthened", where, "Lengthens a long torso", text, also=("leg_cut",))


@rule("swim.one", looks_at=SWIM, borders=(ONE_COLOUR,))
def as_one(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Two pieces in one colour read as one, which a short torso wants; two that just miss look like a mistake."""
    top, low = _part(outfit, UPPER), _part(outfit, LOWER)
    if top is None or low is None:
        return
    one, two = colour_of(top), colour_of(low)
    apart = difference(one, two)
    held, where = Figure("colour distance", apart, ONE_COLOUR.of(outfit), "share"), _where(outfit, "waist")
    if just_misses(one, two):
        text = "The two nearly match, and miss: bought together they would be one colour."
        yield con(0.25, "colour_unanswered", where, "Two darks that just miss", text, held, also=("colour_column",))
    elif not (outfit.short_torso or aims.wanted("lengthen_torso")):
        return
    elif apart <= ONE_COLOUR.of(outfit) and top.word("pattern") == low.word("pattern"):
        text = "Both are one colour and read as one suit: the torso is not cut."
        yield pro(0.25, "colour_column", where, "Reads as one", text, held, also=("torso_lengthened",))
    else:
        text = "Two colours part a torso that is short already."
        yield con(0.2, "torso_shortened", where, "Parts the torso", text, held, also=("colour_column", "chopped"))


@rule("swim.leg", looks_at=SWIM, speaks_to=lambda of: of.aims.wanted("lengthen_legs") or "legs" in of.aims.show)
def leg(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A high leg lengthens and shows the leg, a low one cuts it, where legs are to be longer or shown."""
    details, where = _details(outfit, "hip"), _where(outfit, "crotch")
    if "high_leg" in details:
        text = "The leg begins higher and reads longer."
        yield pro(0.3, "leg_lengthened", where, "High leg lengthens", text, also=("draws_to_asset",))
    elif "low_leg" in details or "skirted" in details:
        yield con(0.25, "leg_cut", where, "Low leg shortens", "The leg begins lower and reads shorter.")


@rule("swim.thigh", looks_at=SWIM, speaks_to=lambda of: bool(of.aims.soften & {"thighs", "seat"}))
def thigh(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Seat and thighs to soften: a skirt or shorts cover them, a high leg bares them."""
    covers = "skirted" in _details(outfit, "hip") or any(piece.kind == "swim_shorts" for piece in _pieces(outfit))
    where = _where(outfit, "crotch")
    if covers:
        text = "Skirt or shorts cover seat and upper thigh."
        yield pro(0.3, "covers_zone", where, "Seat and thigh covered", text)
    elif "high_leg" in _details(outfit, "hip"):
        yield con(0.2, "covers_zone", where, "Bares the thigh", "The high leg bares seat and thigh.")


@rule("swim.loop", looks_at=SWIM)
def loop(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """The torso loop of a one-piece against the torso's girth: too short it cuts, too long it sags."""
    piece = _part(outfit, ("swimsuit",))
    own = piece.figure("torso_loop_cm") if piece else None
    if own is None:
        return
    girth = outfit.body.lengths["torso_girth"].cm
    by, where = own / girth - 1, _where(outfit, "waist")
    held = Figure("loop over torso girth", by, LOOP_SHORT if by < 0 else LOOP_LONG, "share")
    if by < LOOP_SHORT:
        text = "The suit is too short in the torso: it pulls at shoulder and crotch."
        yield con(0.55, "support", where, "Torso loop too short", text, held, also=("clings", "torso_shortened"))
    elif by > LOOP_LONG:
        text = "The suit is too long in the torso: it sags and holds nothing."
        yield con(0.4, "support", where, "Torso loop too long", text, held, also=("baggy_seat",))
    elif own >= girth - LOOP_FITS:
        yield pro(0.2, "support", where, "Torso loop fits", "The torso loop fits this torso.", held)


@rule("swim.cover", about="swim", looks_at=("swim", "layer"), reads=("heel",))
def cover(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A cover-up over swimwear covers what is to be kept quiet and finishes the look."""
    layer = outfit.outer
    if layer is None or not _pieces(outfit):
        return
    low = layer.hem.cm <= outfit.at("hip") - 1.0
    where = ("hips", layer.hem.cm)
    if low and aims.soften & {*BELOW, "middle", "upper_arms"}:
        text = f"The {layer.piece.kind} covers what is to be kept quiet."
        yield pro(0.25, "covers_zone", where, "Covered up", text, also=("third_piece",))
        return
    matched = any(
        difference(layer.colour, colour) <= ANSWERS for one in _pieces(outfit) for colour, _ in colours_of(one)
    )
    text = f"The {layer.piece.kind} makes a look of it{', and takes up its colour' if matched else ''}."
    also = ("colour_answered",) if matched else ()
    yield pro(0.18 if matched else 0.12, "third_piece", where, "Cover-up", text, also=also)


@rule("swim.shorts", looks_at=SWIM)
def shorts(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Swim shorts end above the knee: at or below it they cut the leg."""
    piece = _part(outfit, ("swim_shorts",))
    if piece is None:
        return
    ends, where = piece.word("hem") or "mid_thigh", _where(outfit, "knee")
    if ends in ("knee", "below_knee", "mid_calf"):
        text = "Shorts to the knee end where the leg bends, and cut it in two."
        yield con(0.25, "leg_cut", where, "Shorts at the knee", text, also=("hem_on_wide_place",))
    elif ends in ("mid_thigh", "above_knee"):
        text = "The shorts end above the knee: enough leg shows to read as leg."
        yield pro(0.15, "leg_lengthened", where, "Shorts above the knee", text)


@rule("swim.sun", looks_at=SWIM, source="Cautions (16)")
def sun(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Whatever is bare wants covering or sunscreen."""
    if _pieces(outfit):
        text = "Whatever is bare: cover or sunscreen."
        yield warn("draws_to_zone", _where(outfit, "shoulder"), "Sun", text)


@rule("swim.caution", looks_at=SWIM, source="Cautions (16)")
def caution(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Compression in swimwear, with its cautions."""
    if "compression" in (_details(outfit, "middle") | _details(outfit, "hip")):
        text = "Firm panels: a size up, few hours; none in pregnancy or circulatory trouble without medical advice."
        yield warn("support", _where(outfit, "waist"), "Compression", text)
