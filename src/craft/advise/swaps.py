"""Swaps: another colour, cloth, neckline, height or width of a piece that is on. What to look for, on the rack or in a shop,
where nothing free mends a finding."""

from __future__ import annotations

from collections.abc import Iterator
from typing import Any

from craft.advise.rail import place_of
from craft.cloth import Piece
from craft.cloth.colour import lightness
from craft.cloth.colouring import suits
from craft.cloth.words import COLOURS, said
from craft.judge import Aims, Sentence
from craft.judge.colour import DARK
from craft.judge.zones import area_over, quiet
from craft.look import Outfit

#: A colour to look for: the place of the piece, the words to change, what to say.
Swap = tuple[str, dict[str, Any], Sentence]
#: Cloth that shows or draws itself to the body.
_SHOWS = frozenset({"sheer", "thin", "clinging"})
#: What gives a flat look a second surface, by kind of piece (brief, section 10).
_SURFACE = {
    "knit": "ribbed",
    "cardigan": "chunky",
    "skirt": "satin",
    "blouse": "satin",
    "trousers": "linen",
    "jacket": "denim",
}


def swaps(outfit: Outfit, aims: Aims, rules: set[str]) -> Iterator[Swap]:
    """Swaps that may answer findings of these rules, for each the place, the words and the sentence."""
    subjects = {rule.split(".")[0] for rule in rules}
    yield from _legwear(outfit, rules)
    if subjects & {"limits", "register"}:
        yield from _kinder(outfit)
    if "surface" in subjects:
        yield from _surfaces(outfit)
    if subjects & {"colour", "feet"}:
        yield from _colours(outfit, aims, rules)
    if "neck" in subjects and outfit.top is not None:
        piece = outfit.top.piece
        yield piece.slot, {"neck": "v"}, Sentence.of(f"{_one(piece.kind)} with a V neck.")
    if subjects & {"cloth", "volume"}:
        yield from _cloths(outfit)
    if subjects & {"pattern", "attention", "belt", "swim"}:
        yield from _quieter(outfit)
    if "hems" in subjects and outfit.shoes.is_boot and outfit.shoes.piece is not None:
        change = {"is": "tall_boots", "shaft": "slim", "ankle_strap": None}
        yield "shoes", change, Sentence.of("Tall boots, so that the shaft passes under the hem.")
    yield from _swim(outfit, rules)


def _one(kind: str, how: str = "") -> str:
    """A kind as it is asked for: “A plain shirt”, “Plain trousers”."""
    words = f"{how} {said(kind)}".strip()
    plural = kind.endswith("s") and kind != "dress"
    return words[0].upper() + words[1:] if plural else f"A {words}"


def _legwear(outfit: Outfit, rules: set[str]) -> Iterator[Swap]:
    for kind in ("tights", "socks"):
        piece = outfit.extras.get(kind)
        if piece is not None and rules & {f"feet.{kind}", "feet.sock"} and outfit.shoes.piece:
            colour = outfit.shoes.colour
            yield (
                kind,
                {"colour": colour},
                Sentence.of(f"{said(kind).capitalize()} in the shoe's colour{_named(colour)}."),
            )


def _kinder(outfit: Outfit) -> Iterator[Swap]:
    """What the client wears: a lower heel, room, a longer hem."""
    bottom, top = outfit.bottom, outfit.top
    if outfit.shoes.rise_of_foot >= 2.5:
        yield (
            "shoes",
            {"heel": "flat", "heel_cm": None, "heel_shape": None},
            Sentence.of("A shoe like it with a flat heel."),
        )
    if bottom is not None and bottom.piece.kind == "skirt":
        change = {"hem": "below_knee", "hem_cm": None, "length_cm": None}
        yield "bottom", change, Sentence.of("A skirt that ends below the knee.")
    if top is not None and top.volume <= 0.6:
        yield (
            top.piece.slot,
            {"fit": "skimming", "chest_cm": None},
            Sentence.of(f"{_one(top.piece.kind, 'skimming')} instead."),
        )


def _colours(outfit: Outfit, aims: Aims, rules: set[str]) -> Iterator[Swap]:
    bottom, shoes = outfit.bottom, outfit.shoes
    if shoes.piece is not None and bottom is not None and rules & {"feet.colour", "feet.bright"}:
        colour = "nude" if outfit.skin > 25.0 else bottom.colour
        yield "shoes", {"colour": colour}, Sentence.of(f"A shoe nearer the leg in colour{_named(colour)}.")
    framing = outfit.extras.get("scarf") or (outfit.top.piece if outfit.top else None)
    if framing is not None and "colour.face" in rules:
        known = dict(aims.colouring)
        colour = min(
            COLOURS, key=lambda name: (round(suits(name, known), 2), abs(lightness(name) - _lightness_of(framing)))
        )
        yield (
            place_of(framing),
            {"colour": colour},
            Sentence.of(f"One in {said(colour)}: it goes with their colouring."),
        )
    if "colour.advances" in rules:
        areas = [area for zone in quiet(outfit, aims) if (area := area_over(outfit, zone)) and area.lightness > DARK]
        for area in areas[:1]:
            text = Sentence.of(f"{_one(area.piece.kind, 'dark')}, say in navy, to recede.")
            yield area.piece.slot, {"colour": "navy"}, text


def _surfaces(outfit: Outfit) -> Iterator[Swap]:
    for piece in reversed(outfit.look.pieces):
        cloth = _SURFACE.get(piece.kind)
        if cloth and cloth not in piece.fabric:
            text = Sentence.of(f"{_one(piece.kind, cloth)}: a second surface.")
            yield piece.slot, {"fabric": (*sorted(piece.fabric - {"thin", "clinging"}), cloth)}, text


def _cloths(outfit: Outfit) -> Iterator[Swap]:
    """A firmer cloth, with ease instead of cling."""
    for area in outfit.areas:
        shows = area.piece.fabric & _SHOWS
        if shows:
            firm = tuple(sorted(area.piece.fabric - _SHOWS))
            text = Sentence.of(f"{_one(area.piece.kind)} in firmer, opaque cloth.")
            yield area.piece.slot, {"fabric": firm or None, "sheerness": None, "weight_gsm": None}, text
    bottom = outfit.bottom
    if bottom is not None and bottom.has_legs and "stretch" not in bottom.piece.fabric:
        firm = tuple(sorted((bottom.piece.fabric - {"rigid"}) | {"stretch"}))
        yield (
            bottom.piece.slot,
            {"fabric": firm},
            Sentence.of(f"{said(bottom.piece.kind).capitalize()} with some stretch."),
        )


#: Swim details by the finding that they answer: what to leave out, what to look for (brief, section 12).
_SWIM: dict[str, tuple[frozenset[str], tuple[str, ...], str]] = {
    "swim.support": (frozenset({"soft_cup", "thin_strap"}), ("underwire", "thick_strap"), "with underwire and sturdy straps"),
    "swim.hip": (frozenset({"side_ties", "low_leg"}), (), "without ties or a low leg"),
    "swim.torso": (frozenset({"low_leg"}), ("high_leg",), "with a high leg"),
    "swim.leg": (frozenset({"low_leg"}), ("high_leg",), "with a high leg"),
    "swim.shoulder": (frozenset({"shoulder_detail", "flounce"}), ("centre_detail",), "with its detail at the centre"),
}  # fmt: skip


def _swim(outfit: Outfit, rules: set[str]) -> Iterator[Swap]:
    for rule, (without, more, how) in _SWIM.items():
        if rule not in rules:
            continue
        for piece in outfit.look.all("swim"):
            has = frozenset(piece.described().get("swim_detail", ()))
            upper = piece.kind != "bikini_bottom"
            if not (has & without or upper == (rule in ("swim.support", "swim.shoulder"))):
                continue
            change: dict[str, Any] = {"swim_detail": tuple(sorted((has - without) | set(more)))}
            if rule == "swim.torso":
                change["rise"] = "low"
            yield place_of(piece), change, Sentence.of(f"{_one(piece.kind)} {how}.")


def _quieter(outfit: Outfit) -> Iterator[Swap]:
    """Less asked of the eye: plain cloth, a narrower belt in the colour of what it lies on."""
    for piece in outfit.look.pieces:
        if piece.word("pattern"):
            yield place_of(piece), {"pattern": None}, Sentence.of(f"{_one(piece.kind, 'plain')}.")
        if piece.word("cut") == "ruffled":
            yield place_of(piece), {"cut": None}, Sentence.of(f"{_one(piece.kind)} without frills.")
    belt = outfit.extras.get("belt")
    if belt is not None and outfit.bottom is not None:
        change = {"belted": "thin", "colour": outfit.bottom.colour, "width_cm": None}
        yield "belt", change, Sentence.of("A thin belt in the colour of what it lies on.")


def _lightness_of(piece: Piece) -> float:
    return lightness(piece.word("colour") or "grey")


def _named(colour: str) -> str:
    return "" if colour.startswith("#") else f", {said(colour)}"
