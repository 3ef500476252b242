"""Focal points: the eye goes to contrast, shine and detail; put them where the client wants to be seen."""

from __future__ import annotations

from collections.abc import Iterator

from craft.cloth.colour import chroma, difference
from craft.cloth.piece import is_metal
from craft.judge.aims import Aims
from craft.judge.borders import Border
from craft.judge.finding import Figure, Remark, con, pro
from craft.judge.rule import Subject
from craft.judge.volume import MARKED
from craft.judge.zones import height_of
from craft.look import Outfit
from craft.look.readings import BASE, CLOTHES
from craft.units import Sentence
from craft.wear import WornShoes

rule = Subject("attention", "Focal points (11)")

#: Colour distance from which a belt is a line of its own (W).
STANDS_OUT = 0.25
#: From waist to bust less than this share of the stature, a torso has no room for a wide belt (W).
ROOM = 0.075
ENOUGH = Border("enough", "One look carries up to this much detail", 1.6, 0.8, 3.2, "scale")
#: Bare leg from which it is shown, cm; a leg at most so full shows its line, a top at most so full its bust (0 to 4; W).
PLENTY, SHOWS_LEG, SHOWS_BUST = 25.0, 1.2, 2.2
#: OKLCH chroma from which a shoe leads the eye to the foot (W).
LEADS = 0.12
#: The height of the face, as a share of the stature.
FACE = 0.93


#: Zones that the eye leaves when it is led to the face.
BELOW_FACE = frozenset({"hips", "thighs", "seat", "middle", "calves"})


@rule("attention.face", looks_at=("earrings", "necklace", "scarf", "hat"), reads=("heel",))
def jewellery(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Earrings lift the eye to the face; a short bold necklace moves it above the hip."""
    for kind in ("earrings", "necklace", "scarf", "hat"):
        piece = outfit.extras.get(kind)
        if piece is None or (kind == "necklace" and piece.word("drop") == "long"):
            continue
        away = aims.soften & ({*BELOW_FACE, "bust"} if kind in ("earrings", "hat") else BELOW_FACE)
        wanted = 0.15 if "face" in aims.show or away else 0.0
        text = f"The {kind} {'lift' if kind == 'earrings' else 'lifts'} the eye to the face."
        where = ("face", outfit.body.stature * FACE + outfit.lift)
        yield pro(0.15 + wanted, "draws_to_asset", where, "Eye to the face", text)
        return


def _room(outfit: Outfit) -> tuple[Figure, bool]:
    """The way from waist to bust, and whether it is too short for a wide belt."""
    body = outfit.body
    room, least = body.height("bust") - body.height("waist"), ROOM * body.stature
    return Figure("waist to bust", room, least), outfit.short_torso or room < least


def _eats_torso(outfit: Outfit, aims: Aims) -> bool:
    if outfit.belt != "wide":
        return False
    thin = outfit.schools.position("belt_width") == "thin" and "define_waist" not in aims.wants
    short = _room(outfit)[1] or "lengthen_torso" in aims.wants
    return short or thin


@rule("belt.width", reads=("belt", "heel"), schools=("belt_width",))
def wide_belt(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A wide belt eats a short torso."""
    if _eats_torso(outfit, aims):
        held, short = _room(outfit)
        weight = 0.35 if short or "lengthen_torso" in aims.wants else 0.2
        text = Sentence.of("A wide belt takes {room} of torso that it cannot spare.", room=held.value)
        where = ("waist", outfit.at("waist"))
        yield con(weight, "torso_shortened", where, "Belt eats the torso", text, held, also=("chopped",))


@rule("belt.marks", reads=("belt", "heel"), schools=("belt_width",))
def belt(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A belt claims the waist."""
    if outfit.belt is not None and not _eats_torso(outfit, aims):
        text = f"The {outfit.belt} belt says where the waist is."
        yield pro(0.25, "waist_marked", ("waist", outfit.at("waist")), "Belt marks the waist", text, _room(outfit)[0])


@rule("belt.elastic", looks_at=("belt", "bottom"), reads=("heel",))
def elastic_belt(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """An elastic belt covers a plain band and takes in a loose one."""
    piece, bottom = outfit.extras.get("belt"), outfit.bottom
    if piece is not None and bottom is not None and "stretch" in piece.fabric and bottom.piece.slot == "bottom":
        text = "The elastic belt covers the band and takes in what stands off."
        yield pro(0.1, "rise_fits", ("waist", bottom.waistband.cm), "Elastic belt", text, also=("waist_marked",))


@rule(
    "attention.belt",
    looks_at=("belt", "bottom", "one_piece"),
    reads=("heel",),
    speaks_to=lambda of: bool(of.aims.soften & {"hips", "middle", "seat"}),
)
def bright_belt(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A belt that stands out draws to a zone to soften near it."""
    piece, bottom = outfit.extras.get("belt"), outfit.bottom
    colour = piece.word("colour") if piece else None
    if piece is None or bottom is None or colour is None:
        return
    apart = difference(colour, bottom.colour)
    if apart > STANDS_OUT and piece.word("belted") != "thin":
        text = "The belt is the brightest line of the look, at the zone to keep quiet."
        held, where = Figure("colour distance", apart, STANDS_OUT, "share"), ("hips", outfit.at("waist"))
        yield con(0.4, "draws_to_zone", where, "Belt draws to the zone", text, held)


#: Where back pockets lie they draw the eye: high and middling ones lift the seat, low and wide ones widen and lower it.
POCKETS_FLATTER = ("seat_high",)


@rule("attention.pockets", about="pockets", looks_at=CLOTHES, reads=("drawing", "heel"))
def pockets(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Pockets draw the eye to where they lie; behind, high and middling ones flatter, low and wide ones do not."""
    for seen in outfit.drawing:
        if seen.what != "pockets":
            continue
        soft, where = seen.zone in aims.soften, (seen.zone, height_of(outfit, seen.zone))
        said = next((piece.word("pockets") for piece in outfit.pieces if piece.kind == seen.kind), None)
        if seen.zone != "seat":
            if soft:
                text = f"The pockets lie on the {seen.zone} and add to them."
                yield con(0.25, "draws_to_zone", where, "Pockets on the zone", text, also=("widening_line",))
            continue
        more = 0.15 if aims.soften & {"seat", "hips"} else 0.0
        if said in POCKETS_FLATTER:
            text = "The pockets sit high and lift the seat."
            yield pro(0.12 + more, "balance_gained", where, "Pockets lift the seat", text)
        else:
            text = "The pockets sit low or wide apart: the seat reads lower and wider."
            yield con(0.15 + more, "draws_to_zone", where, "Pockets widen the seat", text, also=("widening_line",))


#: What is said by a rule of its own: prints, lettering and fades by the patterns' rules, pockets above.
SAID_ELSEWHERE = ("print", "lettering", "check", "pockets", "fade at the thighs", "fade at the seat")


@rule("attention.place", reads=("drawing", "heel"), speaks_to=lambda of: bool(of.aims.soften))
def on_the_zone(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Shine, frills, gathers, cut-outs and texture draw to the zone that they lie on: not to one to soften."""
    said: set[str] = set()
    for seen in outfit.drawing:
        if (
            seen.zone in aims.soften
            and seen.zone not in said
            and seen.slot != "swim"
            and seen.what not in SAID_ELSEWHERE
        ):
            said.add(seen.zone)
            text = f"The {seen.what} lies on the {seen.zone} and draws the eye there."
            yield con(0.25, "draws_to_zone", (seen.zone, height_of(outfit, seen.zone)), "Drawn to the zone", text)


@rule("attention.bag", looks_at=("bag",), reads=("heel",), speaks_to=lambda of: bool(of.aims.soften & {"hips", "seat"}))
def bag(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A bright or shining bag pulls the eye to the hip it hangs at."""
    piece = outfit.extras.get("bag")
    if piece is not None and (chroma(piece.word("colour") or "brown") >= LEADS or is_metal(piece)):
        text = "The bag hangs at the hip and is the brightest thing there."
        yield con(0.18, "draws_to_zone", ("hips", outfit.at("hip")), "Bag draws to the hip", text)


@rule("attention.detail", reads=("detail", "heel"), borders=(ENOUGH,))
def detail(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """More asked of the eye than one look carries."""
    asked, enough = outfit.detail, ENOUGH.of(outfit)
    if asked > enough:
        text = "Frills, prints and moving hems all ask at once: let one of them speak."
        held, where = Figure("detail", asked, enough, "scale"), ("whole", outfit.at("bust"))
        yield con(0.4, "too_much_detail", where, "Too much at once", text, held)


@rule(
    "attention.shows",
    looks_at=(*BASE, "shoes"),
    reads=("skin", "waist_marked"),
    borders=(MARKED,),
    speaks_to=lambda of: bool(of.aims.show),
)
def assets(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """What the client likes to show, shown: waist, legs, ankles, bust, shoulders."""
    for zone in sorted(aims.show):
        landmark = _shown(outfit, zone)
        if landmark is not None:
            text = f"The {zone}, which this client likes, is where the eye goes."
            yield pro(0.28, "draws_to_asset", (zone, outfit.at(landmark)), f"Shows the {zone}", text)


def _leads(shoes: WornShoes) -> bool:
    """Whether a shoe leads the eye to the foot: by a print, a bright colour, a shine or a strap."""
    piece = shoes.piece
    if piece is None:
        return False
    shines = piece.word("surface") in ("shiny", "metallic") or is_metal(piece)
    return bool(piece.word("pattern")) or chroma(shoes.colour) >= LEADS or shines or shoes.strap is not None


def _shown(outfit: Outfit, zone: str) -> str | None:
    """The landmark at which a zone is shown; None where it is not."""
    top, bottom, bare = outfit.top, outfit.bottom, outfit.skin
    match zone:
        case "waist" if outfit.waist_marked >= MARKED.of(outfit):
            return "waist"
        case "legs" if bare >= PLENTY or (bottom and bottom.has_legs and bottom.volume <= SHOWS_LEG):
            return "knee"
        case "feet" if outfit.shoes.piece and _leads(outfit.shoes):
            return "ankle_bone"
        case "ankles" if 0.0 < bare < PLENTY and not outfit.shoes.is_boot:
            return "narrow_ankle"
        case "bust" if top and top.neck in ("v", "scoop", "square") and top.volume <= SHOWS_BUST:
            return "bust"
        case "shoulders" if top and (top.neck in ("boat", "one_shoulder", "halter") or top.sleeve == "none"):
            return "shoulder"
    return None
