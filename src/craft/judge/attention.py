"""Focal points: the eye goes to contrast, shine and detail; put them where the client wants to be seen."""

from __future__ import annotations

from collections.abc import Iterator

from craft.cloth import Piece
from craft.cloth.colour import difference
from craft.judge.aims import Aims
from craft.judge.borders import Border
from craft.judge.finding import Figure, Finding
from craft.look import Outfit
from craft.units import Sentence
from craft.wear.shoes import BOOTS

#: Colour distance from which a belt is a line of its own (OKLab, W).
STANDS_OUT = 0.25
#: Detail of a piece: how much each cut, cloth and pattern asks of the eye (W); a look carries up to ENOUGH.
DETAIL = {"ruffled": 1.0, "peplum": 0.6, "pleated": 0.5, "large_print": 1.0, "animal": 1.0, "check": 0.5,
          "lettering": 0.8, "small_print": 0.4, "horizontal_stripe": 0.4, "crochet": 0.5}  # fmt: skip
ENOUGH = Border("enough", ("attention.detail",), "One look carries up to this much detail", 1.6, 0.8, 3.2, "scale")


def jewellery(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """Earrings lift the eye to the face; a short bold necklace moves it above the hip."""
    face = outfit.body.stature * 0.93 + outfit.lift
    figure = Figure("height", face, face)
    for kind in ("earrings", "necklace", "scarf", "hat"):
        piece = outfit.extras.get(kind)
        if piece is None or (kind == "necklace" and piece.word("drop") == "long"):
            continue
        wanted = 0.15 if "face" in aims.show or aims.soften & {"hips", "thighs", "seat", "middle"} else 0.0
        text = Sentence.of(f"The {kind} {'lift' if kind == 'earrings' else 'lifts'} the eye to the face.")
        yield Finding(
            "attention.face", "draws_to_asset", "for", 0.15 + wanted, "face", face, figure, "Eye to the face", text
        )
        return


def belt(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """A belt claims the waist; a wide one eats a short torso; a bright one near a zone to soften draws there."""
    width = outfit.belt
    if width is None:
        return
    body = outfit.body
    at = body.height("waist") + outfit.lift
    room = body.height("bust") - body.height("waist")
    short = outfit.short_torso or "lengthen_torso" in aims.wants or room < 0.075 * body.stature
    figure = Figure("waist to bust", room, 0.075 * body.stature)
    thin = outfit.schools.position("belt_width") == "thin"
    if width == "wide" and (short or (thin and "define_waist" not in aims.wants)):
        text = Sentence.of("A wide belt takes {room} of torso that it cannot spare.", room=room)
        yield Finding(
            "belt.width", "torso_shortened", "against", 0.35 if short else 0.2, "waist", at, figure, "Belt eats the torso", text,
            "belt_width", ("chopped",),
        )  # fmt: skip
    else:
        text = Sentence.of(f"The {width} belt says where the waist is.")
        yield Finding(
            "belt.marks", "waist_marked", "for", 0.25, "waist", at, figure, "Belt marks the waist", text, "belt_width"
        )
    piece = outfit.extras.get("belt")
    colour = piece.word("colour") if piece else None
    ground = outfit.bottom.colour if outfit.bottom else None
    if colour and ground and width != "thin" and aims.soften & {"hips", "middle", "seat"}:
        apart = difference(colour, ground)
        if apart > STANDS_OUT:
            told = Figure("colour distance", apart, STANDS_OUT, "share")
            text = Sentence.of("The belt is the brightest line of the look, at the zone to keep quiet.")
            yield Finding(
                "attention.belt", "draws_to_zone", "against", 0.4, "hips", at, told, "Belt draws to the zone", text
            )


def _detail(piece: Piece) -> float:
    words = [piece.word("cut"), piece.word("pattern"), *piece.fabric]
    return sum(DETAIL.get(str(word), 0.0) for word in words if word)


def detail(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """More asked of the eye than one look carries."""
    bottom = outfit.bottom
    asked = sum(_detail(piece) for piece in outfit.look.pieces if piece.kind not in BOOTS)
    # A hem that swings is a detail already: frills on top of it are too much (brief, section 7).
    if bottom is not None and (bottom.reads_as in ("flare", "bootcut") or bottom.cut == "kick_flare"):
        asked += 0.7
    if asked <= ENOUGH.of(outfit):
        return
    at = outfit.body.height("bust") + outfit.lift
    figure = Figure("detail", asked, ENOUGH.of(outfit), "scale")
    text = Sentence.of("Frills, prints and moving hems all ask at once: let one of them speak.")
    yield Finding("attention.detail", "too_much_detail", "against", 0.4, "whole", at, figure, "Too much at once", text)


def assets(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """What the client likes to show, shown: waist, legs, ankles, bust, shoulders."""
    body, lift, top, bottom = outfit.body, outfit.lift, outfit.top, outfit.bottom
    bare = outfit.skin
    shown = {
        "waist": ("waist", outfit.waist_marked >= 0.55),
        "legs": ("knee", bare >= PLENTY or (bottom is not None and bottom.has_legs and bottom.volume <= 1.2)),
        "ankles": ("narrow_ankle", 0.0 < bare < PLENTY and not outfit.shoes.is_boot),
        "bust": ("bust", top is not None and top.neck in ("v", "scoop", "square") and top.volume <= 2.2),
        "shoulders": ("shoulder", top is not None and (top.neck in ("boat", "one_shoulder", "halter") or top.sleeve == "none")),
    }  # fmt: skip
    for zone in sorted(aims.show):
        level, is_shown = shown.get(zone, ("waist", False))
        if not is_shown:
            continue
        at = body.height(level) + lift
        figure = Figure("height", at, at)
        text = Sentence.of(f"The {zone}, which this client likes, is where the eye goes.")
        title = f"Shows the {zone}"
        yield Finding("attention.shows", "draws_to_asset", "for", 0.28, zone, at, figure, title, text)


#: Bare leg from which it is shown, cm (W).
PLENTY = 25.0
#: What a client will not wear decides alone, whatever else is good (judgement.ALONE; W).
WONT = 0.75


def limits(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """What the client will not wear: skin-tight, short hems, heels."""
    body, lift, bottom = outfit.body, outfit.lift, outfit.bottom
    tight = [area for area in outfit.areas if area.piece.word("fit") == "tight" or area.piece.word("cut") == "skinny"]
    if "tight" in aims.wont and tight:
        at = (tight[0].high + tight[0].low) / 2
        figure = Figure("volume", tight[0].volume, 1.0, "scale")
        text = Sentence.of(f"The {tight[0].piece.kind} is skin-tight, which this client does not wear.")
        yield Finding("limits.tight", "clings", "against", WONT, "whole", at, figure, "Tighter than they wear", text)
    knee = body.height("knee") + lift
    if "short_hems" in aims.wont and bottom is not None and bottom.hem.cm > knee + 4.0:
        figure = Figure("hem above the knee", bottom.hem.cm - knee, 4.0)
        text = Sentence.of(
            "The hem ends {off} above the knee, shorter than this client wears.", off=bottom.hem.cm - knee
        )
        yield Finding(
            "limits.short",
            "covers_zone",
            "against",
            WONT,
            "knee",
            bottom.hem.cm,
            figure,
            "Shorter than they wear",
            text,
        )
    rise = outfit.shoes.rise_of_foot
    if "heels" in aims.wont and rise >= 2.5:
        figure = Figure("heel over the ball", rise, 2.5)
        text = Sentence.of("The heel lifts the foot by {rise}, and this client wears none.", rise=rise)
        yield Finding(
            "limits.heels",
            "heel_lift",
            "against",
            WONT,
            "foot",
            outfit.shoes.heel / 2,
            figure,
            "Higher than they wear",
            text,
        )
