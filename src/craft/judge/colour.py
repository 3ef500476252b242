"""Colour: dark recedes, light advances; one colour lengthens; what is dark at the foot asks for an answer above."""

from __future__ import annotations

from collections.abc import Iterator

from craft.cloth.colour import SAME_COLOUR, difference, lightness
from craft.cloth.colouring import suits
from craft.judge.aims import Aims
from craft.judge.borders import Border
from craft.judge.finding import Figure, Finding
from craft.judge.zones import area_over, height_of, quiet
from craft.look import Outfit
from craft.units import Sentence

#: OKLCH lightness up to which a colour recedes, and from which it advances (W).
DARK, LIGHT = 0.42, 0.78
#: OKLab distance within which two colours make one column, and within which they miss each other narrowly (W).
ONE_COLOUR = Border(
    "one_colour",
    ("colour.column", "surface.variety", "colour.near_tones"),
    "Two colours this near make one column",
    0.09,
    0.04,
    0.18,
    "share",
)
NEAR_MISS = 0.2
#: A shoe this much darker than the leg or the look over it anchors the eye (OKLCH lightness).
ANCHORS = Border(
    "anchors", ("colour.foot",), "A shoe so much darker than the look holds the eye down", 0.35, 0.2, 0.6, "share"
)
#: So near in colour one thing carries another on: a shoe the leg, a sock the shoe (OKLab distance, W).
CARRIES_ON = 0.14
#: From so much leg below the hem a shoe is seen against the leg and no longer against the hem, cm (W).
BY_THE_LEG = 25.0
#: Skin by what is said of the client's colouring, for shoes that are near to it (W: one made-up tone a word; nothing is known of
#: the skin itself).
SKIN = {"light": "#eacdb8", "medium": "#d9b596", "deep": "#80553b"}
#: What is worn on the leg answers no shoe: it lies beside it.
LEGWEAR = ("tights", "socks")
#: What answers a colour is within this distance of it.
ANSWERS = 0.16


def skin_of(aims: Aims) -> str:
    """The tone a bare leg is taken for, #rrggbb: by the depth of the client's colouring, the middle where it is not known."""
    return SKIN[dict(aims.colouring).get("depth", "medium")]


def _leg_colour(outfit: Outfit, aims: Aims) -> str:
    """What is seen just above the shoe, where no trouser leg is: tights or skin."""
    tights = outfit.extras.get("tights")
    return (tights.word("colour") or "black") if tights else skin_of(aims)


def recede(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """Dark over a zone to soften, or light over it."""
    for zone in quiet(outfit, aims):
        area = area_over(outfit, zone)
        if area is None or zone == "upper_arms":
            continue
        asked = zone in aims.soften
        figure = Figure("lightness", area.lightness, DARK if area.lightness <= DARK else LIGHT, "share")
        at = height_of(outfit, zone)
        if area.lightness <= DARK:
            text = Sentence.of(f"Dark cloth over the {zone} keeps them quiet.")
            yield Finding(
                "colour.recedes", "dark_recedes", "for", 0.25 if asked else 0.15, zone, at, figure, "Dark recedes", text
            )
        elif area.lightness >= LIGHT:
            text = Sentence.of(f"Light cloth over the {zone} brings them forward.")
            yield Finding(
                "colour.advances",
                "light_advances",
                "against",
                0.3 if asked else 0.18,
                zone,
                at,
                figure,
                "Light advances",
                text,
            )
        return


def column(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """Top and bottom in one colour, the more so under an open layer of another."""
    top, bottom = outfit.top, outfit.bottom
    if top is None or bottom is None or bottom.piece.slot == top.piece.slot:
        return
    apart = difference(top.colour, bottom.colour)
    at = bottom.waistband.cm
    if apart > ONE_COLOUR.of(outfit):
        return
    figure = Figure("colour distance", apart, ONE_COLOUR.of(outfit), "share")
    framed = any(layer.open and difference(layer.colour, top.colour) > NEAR_MISS for layer in outfit.layers)
    wanted = 0.1 if aims.wanted("slim", "lengthen_legs") else 0.0
    text = Sentence.of(
        "Top and bottom are one colour: an uncut column" + (" between the open edges." if framed else ".")
    )
    weight = 0.2 + wanted + (0.15 if framed else 0.0)
    also = ("lengthening_line",) if framed else ()
    yield Finding("colour.column", "colour_column", "for", weight, "whole", at, figure, "One column", text, None, also)


def foot(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """A shoe near the leg's colour lengthens; a dark one under a light look asks to be answered above."""
    bottom, shoes = outfit.bottom, outfit.shoes
    if bottom is None or shoes.piece is None or shoes.piece.word("colour") is None:
        return
    at = shoes.cover.cm / 2
    apart = difference(shoes.colour, bottom.colour)
    # Between a skirt and a shoe the leg has a colour of its own: bare (feet.bare) or in tights (feet.tights).
    apart_by_leg = outfit.below_hem > BY_THE_LEG
    if apart_by_leg and difference(shoes.colour, _leg_colour(outfit, aims)) <= CARRIES_ON:
        # A shoe that goes on from the leg holds no eye at the floor, however dark both are.
        return
    if apart <= CARRIES_ON and not apart_by_leg:
        figure = Figure("colour distance", apart, CARRIES_ON, "share")
        wanted = 0.1 if aims.wanted("lengthen_legs") else 0.0
        text = Sentence.of("Shoe and leg are near in colour: the leg runs on to the toe.")
        yield Finding(
            "feet.colour", "leg_line_whole", "for", 0.2 + wanted, "foot", at, figure, "Shoe continues the leg", text, None,
            ("leg_lengthened",),
        )  # fmt: skip
        again = _accent(outfit, shoes.colour)
        if again:
            text = Sentence.of(f"The shoe's colour comes again in the {again}: it holds both ends of the look.")
            yield Finding(
                "colour.again", "colour_answered", "for", 0.15, "foot", at, figure, "Shoe answered above", text
            )
        return
    darker = bottom_lightness(outfit) - lightness(shoes.colour)
    answer = _answered_by(outfit, shoes.colour)
    if darker < ANCHORS.of(outfit):
        if answer:
            figure = Figure("colour distance from the leg", apart, CARRIES_ON, "share")
            text = Sentence.of(f"The shoe's colour comes again in the {answer}: both ends of the look belong together.")
            yield Finding(
                "feet.colour", "colour_answered", "for", 0.18, "foot", at, figure, "Shoe answered above", text
            )
        return
    figure = Figure("darker than what is above", darker, ANCHORS.of(outfit), "share")
    if answer:
        text = Sentence.of(f"The dark shoe is answered by the {answer}: the eye goes up again.")
        yield Finding("feet.colour", "colour_answered", "for", 0.25, "foot", at, figure, "Shoe answered above", text)
    else:
        heavy = 0.1 if shoes.weight >= 1.5 else 0.0
        text = Sentence.of("A dark shoe under a light look holds the eye at the floor; nothing dark above answers it.")
        yield Finding(
            "feet.colour", "foot_anchors_eye", "against", 0.2 + heavy, "foot", at, figure, "Eye stays at the foot", text, None,
            ("colour_unanswered",),
        )  # fmt: skip


def bottom_lightness(outfit: Outfit) -> float:
    """Lightness of what is seen just above the shoe."""
    return lightness(outfit.bottom.colour) if outfit.bottom else 1.0


def _accent(outfit: Outfit, colour: str) -> str | None:
    """What above the leg is of a shoe's very colour, where the leg itself is not."""
    if outfit.bottom is None or difference(outfit.bottom.colour, colour) <= SAME_COLOUR / 2:
        return None
    above = [
        piece for piece in outfit.look.pieces if piece.slot not in ("shoes", "bottom") and piece.kind not in LEGWEAR
    ]
    same = (piece.kind for piece in above if difference(piece.word("colour") or "grey", colour) <= SAME_COLOUR / 2)
    return next(same, None)


def _answered_by(outfit: Outfit, colour: str) -> str | None:
    """What of the look above repeats a colour."""
    above = [(area.piece.kind, area.colour) for area in outfit.areas if area.piece.slot not in ("shoes", "bottom")]
    small = [(kind, piece.word("colour") or "") for kind, piece in outfit.extras.items() if kind not in LEGWEAR]
    for kind, other in (*above, *small):
        if other and difference(other, colour) <= ANSWERS:
            return kind
    return None


def bright(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """A shoe in a signal colour takes the eye down."""
    shoes = outfit.shoes
    if shoes.piece is None or "feet" in aims.show or not _signals(shoes.colour):
        return
    figure = Figure("lightness", lightness(shoes.colour), LIGHT, "share")
    text = Sentence.of("The shoe is the brightest thing in the look: the eye goes to the floor first.")
    yield Finding(
        "feet.bright", "foot_anchors_eye", "against", 0.3, "foot", shoes.cover.cm / 2, figure, "Signal at the foot", text, None,
        ("draws_to_zone",),
    )  # fmt: skip


def _signals(colour: str) -> bool:
    from coloraide import Color

    from craft.cloth.colour import hex_of

    return float(Color(hex_of(colour)).convert("oklch")["chroma"]) > 0.17


#: A colour this near to the client's colouring does well by the face; one further off than the second speaks before the
#: face does, the more the further, up to the third (0 to 1; weight; W).
FLATTERS, OVERPOWERS, MOST_BY_FACE = 0.15, 0.45, 0.2


def near_face(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """Their good colours near the face: what frames it goes with the client's colouring."""
    face = [area for area in outfit.areas if area.piece.slot in ("layer", "top", "one_piece")]
    scarf = outfit.extras.get("scarf")
    colour = (scarf.word("colour") if scarf else None) or (face[0].colour if face else None)
    if colour is None or not aims.colouring:
        return
    off = suits(colour, dict(aims.colouring))
    at = outfit.body.height("shoulder") + outfit.lift + 6.0
    if off > OVERPOWERS:
        figure = Figure("from their colouring", off, OVERPOWERS, "share")
        text = Sentence.of("This colour lies far from their colouring: it is seen before the face is.")
        weight = min(MOST_BY_FACE, 0.05 + 0.3 * (off - OVERPOWERS)) + (0.1 if "face" in aims.show else 0.0)
        yield Finding(
            "colour.face", "colour_unanswered", "against", weight, "face", at, figure, "Hard by the face", text
        )
    if off > FLATTERS:
        return
    figure = Figure("from their colouring", off, FLATTERS, "share")
    text = Sentence.of("This colour goes with their colouring and brings out the face.")
    weight = 0.15 + (0.1 if "face" in aims.show else 0.0)
    yield Finding("colour.face", "draws_to_asset", "for", weight, "face", at, figure, "Good colour by the face", text)


def near_tones(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """Two tones that miss each other narrowly, and what holds both."""
    top, bottom = outfit.top, outfit.bottom
    if top is None or bottom is None or bottom.piece.slot == top.piece.slot:
        return
    apart = difference(top.colour, bottom.colour)
    if not ONE_COLOUR.of(outfit) < apart <= NEAR_MISS:
        return
    figure = Figure("colour distance", apart, NEAR_MISS, "share")
    at = bottom.waistband.cm
    between = [
        piece for piece in outfit.look.pieces
        if piece.slot in ("extra", "layer") and piece.word("colour")
        and max(difference(str(piece.word("colour")), colour) for colour in (top.colour, bottom.colour)) <= NEAR_MISS + 0.05
    ]  # fmt: skip
    if between:
        text = Sentence.of(f"Two near tones, and the {between[0].kind} holds both together.")
        yield Finding("colour.near", "near_tones_joined", "for", 0.25, "whole", at, figure, "Near tones joined", text)
