"""Swaps: another colour, cloth, neckline, height or width of a piece that is on. What to look for, on the rack or in a shop,
where nothing free mends a finding."""

from __future__ import annotations

from collections.abc import Collection, Iterator
from typing import Any

from craft.cloth.colour import difference, nearest_name
from craft.cloth.colouring import suits
from craft.cloth.piece import colour_of
from craft.cloth.words import COLOURS, said
from craft.judge import Aims, Sentence
from craft.judge.colour import BY_THE_LEG, DARK, FLATTERS, skin_of
from craft.judge.zones import area_over, quiet_on
from craft.look import Outfit

#: The place of a piece, the words of it to change, what to say.
Swap = tuple[str, dict[str, Any], Sentence]
#: So many of a client's good colours are tried (W).
NEAREST = 3
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


def swaps(outfit: Outfit, aims: Aims, rules: Collection[str]) -> Iterator[Swap]:
    """Swaps that may answer findings of these rules, for each the place, the words and the sentence. `rules` may lose members
    meanwhile."""

    def asked(*subjects: str) -> bool:
        return any(rule in subjects or rule.split(".")[0] in subjects for rule in rules)

    if asked("feet.tights", "feet.sock") and outfit.shoes.piece:
        yield from _legwear(outfit)
    if asked("limits", "register"):
        yield from _kinder(outfit)
    if asked("surface"):
        yield from _surfaces(outfit)
    if asked("feet.colour", "feet.bright") and outfit.shoes.piece and outfit.bottom:
        colour = nearest_name(skin_of(aims)) if outfit.skin > BY_THE_LEG else outfit.bottom.colour
        yield "shoes", {"colour": colour}, Sentence.of(f"A shoe nearer the leg in colour{_named(colour)}.")
    if asked("colour.face"):
        yield from _by_the_face(outfit, aims)
    if asked("colour.advances"):
        yield from _darker(outfit, aims)
    if asked("neck") and outfit.top is not None:
        piece = outfit.top.piece
        yield piece.slot, {"neck": "v"}, Sentence.of(f"{_one(piece.kind)} with a V neck.")
    if asked("cloth", "volume.cling"):
        yield from _cloths(outfit)
    if asked("pattern", "attention", "belt", "swim.print", "swim.stripes"):
        yield from _quieter(outfit)
    if asked("hems.boot", "hems.place") and outfit.shoes.is_boot:
        change = {"is": "tall_boots", "shaft": "slim", "ankle_strap": None}
        yield "shoes", change, Sentence.of("Tall boots, so that the shaft passes under the hem.")
    yield from _swim(outfit, rules)
    for rule, (place, words, text) in _PLAIN.items():
        if rule in rules:
            worn = [piece for piece in outfit.pieces if {piece.slot, piece.kind} & set(place.split())]
            for piece in worn:
                yield outfit.look.place_of(piece), words, Sentence(text.format(_one(piece.kind)))
    yield from _coloured(outfit, rules)


#: Swaps that one word makes, by the finding that they answer: the places, what changes, and what to look for ({} the piece).
_PLAIN: dict[str, tuple[str, dict[str, Any], str]] = {
    "volume.boxy": ("top layer", {"cut": None}, "{} of a plainer cut."),
    "volume.dress": ("one_piece", {"fit": "skimming"}, "{} that skims."),
    "balance.wide_shoulder": ("top", {"neck": "v", "sleeve_shape": None, "padded": None}, "{} with a V and a plain sleeve."),
    "feet.shaft": ("shoes", {"shaft": "slim", "shaft_girth_cm": None}, "{} with a slim shaft."),
    "feet.over_knee": ("shoes", {"is": "ankle_boots", "shaft_cm": None, "shaft_girth_cm": None}, "Ankle boots instead."),
    "feet.dated": ("shoes", {"heel": "kitten", "heel_shape": None, "heel_cm": None, "platform_cm": None},
                   "{} with a kitten heel."),
    "register.shoe": ("shoes", {"bulk": "dainty", "heel_shape": None}, "{} with a finer sole."),
    "feet.vamp": ("shoes", {"vamp": "low"}, "{} with a lower vamp."),
    "rise.band": ("bottom", {"band": "firm"}, "{} with a firm, wide band."),
    "rise.dated": ("bottom", {"rise": "high", "front_rise_cm": None}, "{} with a higher rise."),
    "rise.skirt": ("bottom", {"rise": "high", "waist_cm": None}, "{} that sits at the waist."),
    "hems.shorts": ("bottom", {"hem": "mid_thigh", "inseam_cm": None, "hem_cm": None}, "{} a little longer."),
    "edges.middle": ("top", {"hem": "seat", "length_cm": None, "hem_cm": None}, "{} that ends below the hip."),
    "length.trails": ("layer", {"hem": "lower_calf", "length_cm": None, "hem_cm": None}, "{} that clears the ground."),
    "attention.pockets": ("bottom", {"pockets": "seat_high"}, "{} with pockets that sit high."),
    "attention.place": ("top", {"surface": None, "cut": None, "cut_out": None, "fabric": None}, "{}, plain and matt."),
    "attention.fade": ("bottom", {"fade": None, "wash": None}, "{} in one even wash."),
    "beneath.bra": ("bra", {"lift": "lifted"}, "A bra in the right size, that lifts."),
    "swim.middle": ("bikini_bottom", {"rise": "high"}, "{} that comes up to the navel."),
    "swim.print": ("swim", {"pattern": None, "fabric": None, "surface": None}, "{}, plain."),
    "swim.shorts": ("swim_shorts", {"hem": "mid_thigh", "inseam_cm": None}, "{} that end above the knee."),
    "swim.thigh": ("swim", {"swim_detail": ("skirted",)}, "{} with a skirt."),
}  # fmt: skip


def _coloured(outfit: Outfit, rules: Collection[str]) -> Iterator[Swap]:
    """Swaps of a colour for what colours do together."""
    top, bottom = outfit.top, outfit.bottom
    if "palette.wakes" in rules and outfit.shoes.piece is not None:
        yield "shoes", {"colour": "coral"}, Sentence("A shoe, or a scarf or bag, in one bright colour.")
    if "palette.wakes" in rules:
        for worn in (top, bottom):
            if worn is not None and worn.piece.slot in ("top", "bottom", "one_piece"):
                cloth = (*sorted(worn.piece.fabric - {"chunky", "rigid", "denim"}), "satin")
                text = Sentence.of(f"{_one(worn.piece.kind, 'satin')}: one shine wakes it.")
                yield worn.piece.slot, {"fabric": cloth}, text
    if set(rules) & {"palette.misses", "palette.meets"} and top is not None and bottom is not None:
        colour = bottom.colour
        yield (
            top.piece.slot,
            {"colour": colour},
            Sentence.of(f"{_one(top.piece.kind)} in the very colour{_named(colour)}."),
        )
    if set(rules) & {"palette.slims", "palette.clash"}:
        for piece in outfit.pieces:
            if piece.slot in ("bottom", "top", "one_piece", "layer"):
                yield piece.slot, {"colour": "navy"}, Sentence.of(f"{_one(piece.kind, 'dark')}, say in navy.")
    swim = {piece.kind: piece for piece in outfit.pieces if piece.slot == "swim"}
    upper = swim.get("bikini_top") or swim.get("tankini")
    if set(rules) & {"swim.one", "swim.halves"} and upper is not None and "bikini_bottom" in swim:
        colour = colour_of(upper)
        yield "bikini_bottom", {"colour": colour}, Sentence.of(f"The bottom that belongs to it{_named(colour)}.")


def _one(kind: str, how: str = "") -> str:
    """A kind as it is asked for: “A plain shirt”, “Plain trousers”."""
    words = f"{how} {said(kind)}".strip()
    plural = kind.endswith("s") and kind != "dress"
    return words[0].upper() + words[1:] if plural else f"A {words}"


def _legwear(outfit: Outfit) -> Iterator[Swap]:
    for kind in ("tights", "socks"):
        if kind in outfit.extras:
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


def _by_the_face(outfit: Outfit, aims: Aims) -> Iterator[Swap]:
    """What frames the face in one of their good colours: those that are nearest to what it is now first."""
    framing = outfit.extras.get("scarf") or (outfit.top.piece if outfit.top else None)
    if framing is None:
        return
    known, now = dict(aims.colouring), colour_of(framing)
    best = min(suits(name, known) for name in COLOURS)
    good = [name for name in COLOURS if suits(name, known) <= max(FLATTERS, best)]
    for colour in sorted(good, key=lambda name: (difference(name, now), name))[:NEAREST]:
        yield (
            outfit.look.place_of(framing),
            {"colour": colour},
            Sentence.of(f"One in {said(colour)}: it goes with their colouring."),
        )


def _darker(outfit: Outfit, aims: Aims) -> Iterator[Swap]:
    areas = (area_over(outfit, zone) for zone in quiet_on(outfit, aims))
    light = next((area for area in areas if area is not None and area.lightness > DARK), None)
    if light is not None:
        text = Sentence.of(f"{_one(light.piece.kind, 'dark')}, say in navy, to recede.")
        yield outfit.look.place_of(light.piece), {"colour": "navy"}, text


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
            yield (
                outfit.look.place_of(area.piece),
                {"fabric": firm or None, "sheerness": None, "weight_gsm": None},
                text,
            )
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


def _swim(outfit: Outfit, rules: Collection[str]) -> Iterator[Swap]:
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
            yield outfit.look.place_of(piece), change, Sentence.of(f"{_one(piece.kind)} {how}.")


def _quieter(outfit: Outfit) -> Iterator[Swap]:
    """Less asked of the eye: plain cloth, a narrower belt in the colour of what it lies on."""
    for piece in outfit.look.pieces:
        if piece.word("pattern"):
            yield outfit.look.place_of(piece), {"pattern": None}, Sentence.of(f"{_one(piece.kind, 'plain')}.")
        if piece.word("cut") == "ruffled":
            yield outfit.look.place_of(piece), {"cut": None}, Sentence.of(f"{_one(piece.kind)} without frills.")
    belt = outfit.extras.get("belt")
    if belt is not None and outfit.bottom is not None:
        change = {"belted": "thin", "colour": outfit.bottom.colour, "width_cm": None}
        yield "belt", change, Sentence.of("A thin belt in the colour of what it lies on.")


def _named(colour: str) -> str:
    return "" if colour.startswith("#") else f", {said(colour)}"
