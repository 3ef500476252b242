"""Pattern: what widens, what lengthens, what breaks a line, what draws the eye."""

from __future__ import annotations

from collections.abc import Iterator
from itertools import combinations

from craft.cloth import Piece
from craft.cloth.colour import TONE, difference
from craft.cloth.piece import colour_of, colours_of
from craft.facts import least, most
from craft.judge.aims import Aims
from craft.judge.finding import Figure, Remark, con, pro
from craft.judge.rule import Subject
from craft.judge.zones import height_of, keeps_quiet, quiet_on
from craft.look import Outfit
from craft.look.areas import Area
from craft.look.readings import CLOTHES, LARGE

rule = Subject("pattern", "Colour, pattern, texture (10)")

#: So tall an area of a pattern is much of it, cm: what is said of it is held against this (W).
MUCH = 20.0
#: Stripes of this width, cm, and of this contrast (colour distance) widen as usual: narrower or quieter ones less, broader or
#: louder ones more, between the least and the most (W).
STRIPE_CM, STRIPE_CONTRAST, LEAST, MOST = 3.0, 0.45, 0.4, 1.7
#: What it is worth that something breaks the stripes: they widen no more, which a plain piece never did (W).
BROKEN, BROKEN_MINDED = 0.04, 0.1
#: Two patterns whose scales differ at least so much go together where they share a colour: steps from small to large (W).
SCALE = {"small_print": 1, "horizontal_stripe": 2, "vertical_stripe": 2, "check": 2, "dark_side_panels": 0,
         "lettering": 3, "animal": 3, "large_print": 4}  # fmt: skip


#: A pattern of this scale on speaks, and wants plain beside it.
SPEAKS = 2
#: What two patterns weigh that meet though their scales are near, and that share no colour (W).
MEET, MEET_UNLIKE = 0.3, 0.42


def loudness(piece: Piece) -> float:
    """How much a stripe widens against a usual one: by its width and its contrast.

    >>> narrow, broad = (Piece.of({"is": "tee", "pattern": "horizontal_stripe", "repeat_cm": cm}) for cm in (1, 9))
    >>> loudness(narrow) < 1 < loudness(broad)
    True
    """
    repeat, second = piece.figure("repeat_cm"), piece.word("second_colour")
    width = 1.0 if repeat is None else (repeat / STRIPE_CM) ** 0.5
    contrast = 1.0 if second is None else 0.4 + 0.6 * difference(colour_of(piece), second) / STRIPE_CONTRAST
    return most(LEAST, least(MOST, width * contrast))


def _broken(outfit: Outfit, area: Area) -> str | None:
    """What interrupts an area's lines: an open layer over it, a bib before it."""
    if outfit.one_piece is not None and outfit.one_piece.kind == "dungarees" and area.piece.slot == "top":
        return "bib"
    over = (layer for layer in outfit.layers if layer.piece is not area.piece and layer.hem.cm < area.middle)
    return next((layer.piece.kind for layer in over), None)


@rule("pattern.across", about="pattern", looks_at=CLOTHES, reads=("patterns",))
def stripes_across(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Horizontal stripes widen, unless something breaks them."""
    area = outfit.patterns.get("horizontal_stripe")
    if area is None:
        return
    minded = aims.wanted("slim") or bool(aims.soften & {"bust", "shoulders", "middle", "hips"})
    held, where, breaks = Figure("stripes over", area.tall, MUCH), ("whole", area.middle), _broken(outfit, area)
    if breaks:
        text = f"The {breaks} breaks the stripes: they no longer run across."
        yield pro(BROKEN_MINDED if minded else BROKEN, "line_broken_up", where, "Stripes broken up", text, held)
    else:
        text = "The stripes run across and widen what they cross."
        weight = (0.3 if minded else 0.1) * loudness(area.piece)
        yield con(weight, "widening_line", where, "Stripes widen", text, held)


@rule("pattern.down", about="pattern", reads=("patterns",))
def stripes_down(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Vertical stripes and dark side panels lengthen."""
    weight = 0.3 if aims.wanted("slim", "lengthen_legs") or aims.soften else 0.15
    for pattern, title, what, also in (
        ("vertical_stripe", "Stripes lengthen", "Stripes run down", ()),
        ("dark_side_panels", "Panels slim", "Dark panels at the sides draw the outline in", ("dark_recedes",)),
    ):
        area = outfit.patterns.get(pattern)
        if area is not None:
            held, where = Figure("lines over", area.tall, MUCH), ("whole", area.middle)
            yield pro(weight, "lengthening_line", where, title, f"{what}: the eye goes up and down.", held, also=also)


@rule("pattern.side", about="side_stripe", looks_at=CLOTHES, reads=("areas",))
def side_stripe(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A stripe or piping down the side lengthens."""
    weight = 0.3 if aims.wanted("slim", "lengthen_legs") or aims.soften else 0.15
    striped = next((area for area in outfit.areas if area.piece.flag("side_stripe")), None)
    if striped is not None:
        held, where = Figure("lines over", striped.tall, MUCH), ("whole", striped.middle)
        text = f"The stripe down the side of the {striped.piece.kind} draws one long line."
        yield pro(weight, "lengthening_line", where, "Side stripe lengthens", text, held)


@rule("pattern.scale", about="pattern", reads=("patterns",))
def scale(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A small scattered print hides, a large one enlarges."""
    if not outfit.patterns:
        return
    for pattern in ("large_print", "animal", "small_print"):
        area = outfit.patterns.get(pattern)
        if area is None:
            continue
        held, where = Figure("print over", area.tall, MUCH), ("whole", area.middle)
        over = (zone for zone in quiet_on(outfit, aims) if area.low <= height_of(outfit, zone) <= area.high)
        minded = aims.wanted("slim") or outfit.shape == "oval" or next(over, None) is not None
        if pattern == "small_print":
            text = "A small scattered print hides more than it shows."
            yield pro(0.2 if minded else 0.08, "small_print", where, "Small print hides", text, held)
        else:
            text = "A large print enlarges what it lies on."
            yield con(0.3 if minded else 0.1, "large_print", where, "Large print enlarges", text, held)


@rule("attention.pattern", about="pattern", reads=("drawing", "heel"), speaks_to=lambda of: bool(of.aims.soften))
def draws(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Lettering or a large print across a zone to soften is read there first."""
    for seen in outfit.drawing:
        if (
            seen.zone in aims.soften
            and seen.zone not in aims.show
            and seen.what in ("print", "lettering")
            and seen.slot != "shoes"
        ):
            text = f"The {seen.what} lies across the {seen.zone} and is read there first."
            yield con(0.35, "draws_to_zone", (seen.zone, height_of(outfit, seen.zone)), "Drawn to the zone", text)


@rule("attention.fade", about="fade", reads=("drawing", "heel"), speaks_to=keeps_quiet)
def fade(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Fading over a zone to soften draws the eye to it: at the seat it is seen from behind, unless something covers it there."""
    zones = quiet_on(outfit, aims)
    for seen in outfit.drawing:
        if seen.zone in zones and seen.what.startswith("fade"):
            text = f"The wash is lightest there: the {seen.what} draws the eye."
            yield con(0.35, "fade_draws_eye", (seen.zone, height_of(outfit, seen.zone)), "Fading draws the eye", text)


@rule("pattern.two", about="pattern", reads=("areas", "heel"))
def two(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Two patterns meet only where their scale differs and they share a colour; a plain piece beside one lets it speak."""
    seen = {area.piece: area for area in outfit.areas if area.piece.word("pattern") and area.piece.slot != "shoes"}
    for one, other in combinations(seen.values(), 2):
        sizes = [SCALE[area.piece.word("pattern") or ""] for area in (one, other)]
        shared = any(
            difference(first, second) <= TONE
            for first, _ in colours_of(one.piece)
            for second, _ in colours_of(other.piece)
        )
        held = Figure("steps of scale between", float(abs(sizes[0] - sizes[1])), 2.0, "scale")
        where = ("whole", least(one.low, other.high))
        if abs(sizes[0] - sizes[1]) >= 2 and shared:
            text = "Two patterns of different scale share a colour: they go together."
            yield pro(0.05, "texture_contrast", where, "Patterns share a colour", text, held)
        else:
            text = f"The {one.piece.kind} and the {other.piece.kind} are both patterned: let one of them be plain."
            weight = MEET if shared else MEET_UNLIKE
            yield con(weight, "too_much_detail", where, "Two patterns meet", text, held)
        return
    large = [area for area in outfit.areas if area.piece.slot in LARGE]
    if len(seen) == 1 and len(large) > 1:
        area = next(iter(seen.values()))
        if SCALE[area.piece.word("pattern") or ""] >= SPEAKS:
            text = f"All else is plain beside the {area.piece.kind}: its pattern can speak."
            yield pro(0.1, "line_broken_up", ("whole", area.middle), "Plain beside a pattern", text)
