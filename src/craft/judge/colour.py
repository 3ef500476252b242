"""Colour: dark recedes, light advances; one colour lengthens; what is dark at the foot asks for an answer above."""

from __future__ import annotations

from collections.abc import Iterator

from craft.cloth import Piece
from craft.cloth.colour import ANSWERS, SAME, chroma, difference, just_misses, lightness, of_one_hue
from craft.cloth.colouring import suits_pairs
from craft.facts import choose, fact, in_words, least, most
from craft.judge.aims import Aims
from craft.judge.borders import Border
from craft.judge.feet import HEAVY
from craft.judge.finding import Figure, Remark, con, pro
from craft.judge.rule import Subject
from craft.judge.zones import area_over, height_of, keeps_quiet, quiet_on
from craft.look import Outfit
from craft.look.readings import BASE, BENEATH, LEGWEAR, SMALL, UNSEEN_COLOUR
from craft.wear import WornBottom, WornTop

rule = Subject("colour", "Colour, pattern, texture (10)")
LEGS_AND_SHOES = ("bottom", "one_piece", "shoes")

#: OKLCH lightness up to which a colour recedes, and from which it advances (W).
DARK, LIGHT = 0.42, 0.78
#: Colour distance within which two colours make one column, and within which they miss each other narrowly (W); what
#: joins two such tones lies no further from either than a little more.
ONE_COLOUR = Border("one_colour", "Two colours this near make one column", 0.09, 0.04, 0.18, "share")
NEAR_MISS, JOINS = 0.2, 0.25
#: A shoe this much darker than the leg or the look over it anchors the eye (OKLCH lightness).
ANCHORS = Border("anchors", "A shoe so much darker than the look holds the eye down", 0.35, 0.2, 0.6, "share")
#: So near in colour one thing carries another on: a shoe the leg, a sock the shoe (colour distance, W).
CARRIES_ON = 0.15
#: From so much leg below the hem a shoe is seen against the leg and no longer against the hem, cm (W).
BY_THE_LEG = 25.0
#: What is at most this light above the leg answers a dark shoe by being dark, whatever its hue (OKLCH lightness; W).
DARK_ANSWERS = 0.46
#: OKLCH chroma from which a colour is a signal (W).
SIGNAL = 0.17
#: Skin by what is said of the client's colouring, for shoes that are near to it: depth, and within it warmth (W: one made-up
#: tone a pair of words; nothing is known of the skin itself).
SKIN = {
    "light": {"warm": "#ecccaf", "neutral": "#eacdb8", "cool": "#e8cdc2"},
    "medium": {"warm": "#d9b08a", "neutral": "#d9b596", "cool": "#d3b09f"},
    "deep": {"warm": "#845334", "neutral": "#80553b", "cool": "#755144"},
}
#: A colour this near to the client's colouring does well by the face; one further off than the second speaks before the
#: face does (0 to 1; W).
FLATTERS, OVERPOWERS = 0.15, 0.45
#: What is by the face counts most (brief, section 19): what a colour weighs that speaks before it, by how much more the
#: further off it is, and at most (W).
BY_FACE, BY_FACE_MORE, BY_FACE_MOST = 0.12, 0.45, 0.3


#: Patterns that break a column up (brief, section 10).
DISTURBS = ("horizontal_stripe", "large_print", "check", "animal", "lettering")
#: The slots of what is worn above the leg.
_ABOVE = ("top", "layer", "one_piece", "extra")


def skin_of(aims: Aims) -> str:
    """The tone a bare leg is taken for, #rrggbb: by depth and warmth of the client's colouring, the middle where they are not
    known."""
    known = dict(aims.colouring)
    return SKIN[known.get("depth", "medium")][known.get("warmth", "neutral")]


@rule("colour.recedes", reads=("areas",), speaks_to=keeps_quiet)
def recede(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Dark over a zone to soften keeps it quiet."""
    quiet = _over_quiet_zones(outfit, aims)
    dark = [(zone, light) for zone, light in quiet if light <= DARK]
    if dark:
        zone, light = dark[0]
        text = f"Dark cloth over the {zone} keeps them quiet."
        held = Figure("lightness", light, DARK, "share")
        weight = (0.25 if zone in aims.soften else 0.15) * len(dark) / len(quiet)
        yield pro(weight, "dark_recedes", (zone, height_of(outfit, zone)), "Dark recedes", text, held)


@rule("colour.advances", reads=("areas",), speaks_to=keeps_quiet)
def advance(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Light over a zone to soften brings it forward."""
    quiet = _over_quiet_zones(outfit, aims)
    pale = [(zone, light) for zone, light in quiet if light >= LIGHT]
    if pale:
        zone, light = pale[0]
        text = f"Light cloth over the {zone} brings them forward."
        held = Figure("lightness", light, LIGHT, "share")
        weight = (0.3 if zone in aims.soften else 0.18) * len(pale) / len(quiet)
        yield con(weight, "light_advances", (zone, height_of(outfit, zone)), "Light advances", text, held)


def _over_quiet_zones(outfit: Outfit, aims: Aims) -> list[tuple[str, float]]:
    """How light the cloth is that is seen over each zone the client softens; where cloth is over none of them, over each
    that the shape leads with."""
    covered = ((zone, area_over(outfit, zone)) for zone in quiet_on(outfit, aims) if zone != "upper_arms")
    seen = [(zone, area.lightness) for zone, area in covered if area is not None]
    return [one for one in seen if one[0] in aims.soften] or seen


def _halves(outfit: Outfit) -> tuple[WornTop, WornBottom, float] | None:
    """Top and bottom, where they are two pieces, and how far apart their colours are."""
    top, bottom = outfit.top, outfit.bottom
    if top is None or bottom is None or bottom.piece.slot == top.piece.slot:
        return None
    return top, bottom, difference(top.colour, bottom.colour)


@rule("colour.column", looks_at=(*BASE, "layer"), reads=("heel",), borders=(ONE_COLOUR,))
def column(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Top and bottom in one colour, the more so under an open layer of another."""
    halves = _halves(outfit)
    if halves is None or halves[2] > ONE_COLOUR.of(outfit):
        return
    top, bottom, apart = halves
    if just_misses(top.colour, bottom.colour) or any(half.piece.word("pattern") in DISTURBS for half in halves[:2]):
        return
    framed = any(layer.open and difference(layer.colour, top.colour) > NEAR_MISS for layer in outfit.layers)
    weight = 0.2 + (0.1 if aims.wanted("slim", "lengthen_legs") else 0.0) + (0.15 if framed else 0.0)
    text = "Top and bottom are one colour: an uncut column" + (" between the open edges." if framed else ".")
    held, where = Figure("colour distance", apart, ONE_COLOUR.of(outfit), "share"), ("whole", bottom.waistband.cm)
    also = ("lengthening_line",) if framed else ()
    yield pro(weight, "colour_column", where, "One column", text, held, also=also)


def _shoe_against_leg(outfit: Outfit) -> tuple[WornBottom, float] | None:
    """The leg that a shoe of a said colour stands under, and how far apart their colours are."""
    bottom, shoes = outfit.bottom, outfit.shoes
    if bottom is None or shoes.piece is None or shoes.piece.word("colour") is None:
        return None
    return bottom, difference(shoes.colour, bottom.colour)


@rule(
    "feet.colour", looks_at=(*LEGS_AND_SHOES, "tights"), reads=("below_hem", "shoe_answered", "answers_shoe", "darkest_above"), borders=(ANCHORS, HEAVY)
)  # fmt: skip
def foot(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A shoe near the leg's colour lengthens; a dark one under a light look asks to be answered above."""
    found, shoes = _shoe_against_leg(outfit), outfit.shoes
    if found is None:
        return
    bottom, apart = found
    where, by_the_leg = ("foot", shoes.cover.cm / 2), outfit.below_hem > BY_THE_LEG
    if choose(by_the_leg, difference(shoes.colour, _leg_colour(outfit, aims)), apart) <= CARRIES_ON:
        if by_the_leg:
            # A shoe that goes on from the leg holds no eye at the floor (feet.bare, feet.tights), however dark both are.
            return
        weight = 0.2 + (0.1 if aims.wanted("lengthen_legs") else 0.0)
        held, also = Figure("colour distance", apart, CARRIES_ON, "share"), ("leg_lengthened",)
        text = "Shoe and leg are near in colour: the leg runs on to the toe."
        yield pro(weight, "leg_line_whole", where, "Shoe continues the leg", text, held, also=also)
        return
    darker, anchors = lightness(bottom.colour) - lightness(shoes.colour), ANCHORS.of(outfit)
    if outfit.shoe_answered <= ANSWERS:
        held = Figure("colour distance from what is above", outfit.shoe_answered, ANSWERS, "share")
        # A dark shoe under a light look needs it more.
        weight, text = choose(darker < anchors, 0.18, 0.25), _answered(darker, anchors, outfit.answers_shoe)
        yield pro(weight, "colour_answered", where, "Shoe answered above", text, held)
    elif darker >= anchors and outfit.darkest_above > DARK_ANSWERS:
        held = Figure("darker than what is above", darker, anchors, "share")
        weight = 0.2 + choose(shoes.weight >= HEAVY.of(outfit), 0.1, 0.0)
        text = "A dark shoe under a light look holds the eye at the floor; nothing dark above answers it."
        also = ("colour_unanswered",)
        yield con(weight, "foot_anchors_eye", where, "Eye stays at the foot", text, held, also=also)


@in_words
def _answered(darker: float, anchors: float, by: str) -> str:
    """What it does that the shoe's colour comes again above."""
    if darker >= anchors:
        return f"The dark shoe is answered by the {by}: the eye goes up again."
    return f"The shoe's colour comes again in the {by}: both ends of the look belong together."


def _leg_colour(outfit: Outfit, aims: Aims) -> str:
    """What is seen just above the shoe, where no trouser leg is: tights or skin."""
    tights = outfit.extras.get("tights")
    return (tights.word("colour") or "black") if tights else skin_of(aims)


@rule("colour.again", looks_at=(*LEGS_AND_SHOES, "top", "layer", *SMALL),
      reads=("below_hem",))  # fmt: skip
def again(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A shoe that carries the leg on and comes again above holds both ends of the look."""
    found, shoes = _shoe_against_leg(outfit), outfit.shoes
    if found is None or found[1] > CARRIES_ON or found[1] <= SAME or outfit.below_hem > BY_THE_LEG:
        return
    above = [piece for piece in outfit.pieces if piece.slot in _ABOVE and piece.kind not in UNSEEN_COLOUR]
    if least(1.0, *(_said_against(piece, shoes.colour) for piece in above)) <= SAME:
        piece = next(piece for piece in above if _said_against(piece, shoes.colour) <= SAME)
        held = Figure("colour distance", found[1], CARRIES_ON, "share")
        text = f"The shoe's colour comes again in the {piece.kind}: it holds both ends of the look."
        yield pro(0.15, "colour_answered", ("foot", shoes.cover.cm / 2), "Shoe answered above", text, held)


@fact
def _said_against(piece: Piece, colour: str) -> float:
    """How far the colour that is said of a piece lies from another."""
    return difference(piece.word("colour") or "grey", colour)


@rule("feet.bright", looks_at=("shoes",), speaks_to=lambda of: "feet" not in of.aims.show)
def bright(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A shoe in a signal colour takes the eye down."""
    shoes = outfit.shoes
    if shoes.piece is not None and chroma(shoes.colour) > SIGNAL:
        text = "The shoe is the brightest thing in the look: the eye goes to the floor first."
        held, where = Figure("lightness", lightness(shoes.colour), LIGHT, "share"), ("foot", shoes.cover.cm / 2)
        yield con(0.3, "foot_anchors_eye", where, "Signal at the foot", text, held, also=("draws_to_zone",))


@rule("colour.face", reads=("by_the_face", "heel"), speaks_to=lambda of: bool(of.aims.colouring))
def near_face(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Their good colours near the face: what frames it goes with the client's colouring."""
    colour = outfit.by_the_face
    if colour is None:
        return
    off = suits_pairs(colour, aims.colouring)
    where, shown = ("face", outfit.at("shoulder") + 6.0), 0.1 if "face" in aims.show else 0.0
    if off > OVERPOWERS:
        weight = least(BY_FACE_MOST, BY_FACE + BY_FACE_MORE * (off - OVERPOWERS)) + shown
        text = "This colour lies far from their colouring: it is seen before the face is."
        held = Figure("from their colouring", off, OVERPOWERS, "share")
        yield con(weight, "colour_unanswered", where, "Hard by the face", text, held)
    elif off <= FLATTERS:
        text = "This colour goes with their colouring and brings out the face."
        held = Figure("from their colouring", off, FLATTERS, "share")
        yield pro(0.15 + shown, "draws_to_asset", where, "Good colour by the face", text, held)


@rule("colour.near", looks_at=(*BASE, "layer", *SMALL, *LEGWEAR),
      reads=("heel",), borders=(ONE_COLOUR,))  # fmt: skip
def near_tones(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Two tones that miss each other narrowly, and what holds both."""
    halves = _halves(outfit)
    if halves is None or not ONE_COLOUR.of(outfit) < halves[2] <= NEAR_MISS:
        return
    top, bottom, apart = halves
    if not of_one_hue(top.colour, bottom.colour):
        return
    for piece in outfit.pieces:
        seen = piece.slot in ("extra", "layer") and piece.kind not in BENEATH
        colour = piece.word("colour") if seen else None
        if not colour or not all(of_one_hue(colour, other) for other in (top.colour, bottom.colour)):
            continue
        if most(*(difference(colour, other) for other in (top.colour, bottom.colour))) <= JOINS:
            held, where = Figure("colour distance", apart, NEAR_MISS, "share"), ("whole", bottom.waistband.cm)
            text = f"Two near tones, and the {piece.kind} holds both together."
            yield pro(0.35, "near_tones_joined", where, "Near tones joined", text, held)
            return
