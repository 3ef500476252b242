"""Pattern: what widens, what lengthens, what breaks a line, what draws the eye."""

from __future__ import annotations

from collections.abc import Iterator

from craft.judge.aims import Aims
from craft.judge.finding import Figure, Remark, con, pro
from craft.judge.rule import Subject
from craft.judge.zones import area_over, height_of, keeps_quiet, quiet_on
from craft.look import Outfit
from craft.look.areas import Area
from craft.look.readings import CLOTHES

rule = Subject("pattern", "Colour, pattern, texture (10)")

#: So tall an area of a pattern is much of it, cm: what is said of it is held against this (W).
MUCH = 20.0


def _broken(outfit: Outfit, area: Area) -> str | None:
    """What interrupts an area's lines: an open layer over it, a bib before it."""
    if outfit.one_piece is not None and outfit.one_piece.kind == "dungarees" and area.piece.slot == "top":
        return "bib"
    over = (layer for layer in outfit.layers if layer.piece is not area.piece and layer.hem.cm < area.middle)
    return next((layer.piece.kind for layer in over), None)


@rule("pattern.across", looks_at=CLOTHES, reads=("patterns",))
def stripes_across(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Horizontal stripes widen, unless something breaks them."""
    area = outfit.patterns.get("horizontal_stripe")
    if area is None:
        return
    minded = aims.wanted("slim") or bool(aims.soften & {"bust", "shoulders", "middle", "hips"})
    held, where, breaks = Figure("stripes over", area.tall, MUCH), ("whole", area.middle), _broken(outfit, area)
    if breaks:
        text = f"The {breaks} breaks the stripes: they no longer run across."
        yield pro(0.25 if minded else 0.1, "line_broken_up", where, "Stripes broken up", text, held)
    else:
        text = "The stripes run across and widen what they cross."
        yield con(0.3 if minded else 0.1, "widening_line", where, "Stripes widen", text, held)


@rule("pattern.down", reads=("patterns",))
def stripes_down(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Vertical stripes and dark side panels lengthen."""
    if not outfit.patterns:
        return
    weight = 0.3 if aims.wanted("slim", "lengthen_legs") or aims.soften else 0.15
    for pattern, title, what, also in (
        ("vertical_stripe", "Stripes lengthen", "Stripes run down", ()),
        ("dark_side_panels", "Panels slim", "Dark panels at the sides draw the outline in", ("dark_recedes",)),
    ):
        area = outfit.patterns.get(pattern)
        if area is not None:
            held, where = Figure("lines over", area.tall, MUCH), ("whole", area.middle)
            yield pro(weight, "lengthening_line", where, title, f"{what}: the eye goes up and down.", held, also=also)


@rule("pattern.scale", reads=("patterns",))
def scale(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A small scattered print hides, a large one enlarges."""
    if not outfit.patterns:
        return
    minded = aims.wanted("slim") or outfit.shape == "oval"
    for pattern in ("large_print", "animal", "small_print"):
        area = outfit.patterns.get(pattern)
        if area is None:
            continue
        held, where = Figure("print over", area.tall, MUCH), ("whole", area.middle)
        if pattern == "small_print":
            text = "A small scattered print hides more than it shows."
            yield pro(0.2 if minded else 0.08, "small_print", where, "Small print hides", text, held)
        else:
            text = "A large print enlarges what it lies on."
            yield con(0.3 if minded else 0.1, "large_print", where, "Large print enlarges", text, held)


@rule("attention.pattern", reads=("areas", "patterns"), speaks_to=lambda of: bool(of.aims.soften))
def draws(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Lettering or a large print across a zone to soften is read there first."""
    for zone in quiet_on(outfit, aims) if outfit.patterns else ():
        area = area_over(outfit, zone) if zone in aims.soften else None
        what = area.piece.word("pattern") if area else None
        if what in ("lettering", "large_print", "animal"):
            text = f"The {what.replace('_', ' ')} lies across the {zone} and is read there first."
            yield con(0.35, "draws_to_zone", (zone, height_of(outfit, zone)), "Drawn to the zone", text)


@rule("attention.fade", reads=("areas", "fades"), speaks_to=keeps_quiet)
def fade(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Fading over a zone to soften draws the eye to it."""
    for zone in quiet_on(outfit, aims) if outfit.fades else ():
        area = area_over(outfit, zone)
        faded = area.piece.words("fade") if area else frozenset()
        if zone in faded or (zone in ("hips", "thighs") and faded):
            text = f"The wash is lightest at the {zone}, and the eye goes there."
            yield con(0.35, "fade_draws_eye", (zone, height_of(outfit, zone)), "Fading draws the eye", text)
