"""Pattern: what widens, what lengthens, what breaks a line, what draws the eye."""

from __future__ import annotations

from collections.abc import Iterator

from craft.judge.aims import Aims
from craft.judge.finding import Figure, Finding
from craft.judge.zones import area_over, height_of, quiet
from craft.look import Outfit
from craft.look.areas import Area
from craft.units import Sentence

#: Stripes show as long as less than this of them is covered by something open or by a bib (share of their height).
COVERED = 0.5


def _patterned(outfit: Outfit, pattern: str) -> Area | None:
    return next((area for area in outfit.areas if area.piece.word("pattern") == pattern), None)


def _middle(area: Area) -> float:
    return (area.high + area.low) / 2


def _broken(outfit: Outfit, area: Area) -> str | None:
    """What interrupts an area's lines: an open layer over it, a bib before it."""
    if outfit.one_piece is not None and outfit.one_piece.kind == "dungarees" and area.piece.slot == "top":
        return "bib"
    for layer in outfit.layers:
        if layer.piece is not area.piece and layer.hem.cm < _middle(area):
            return layer.piece.kind
    return None


def stripes_across(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """Horizontal stripes widen, unless something breaks them."""
    area = _patterned(outfit, "horizontal_stripe")
    if area is None:
        return
    at = _middle(area)
    figure = Figure("stripes over", area.tall, 20.0)
    breaks = _broken(outfit, area)
    minded = aims.wanted("slim") or bool(aims.soften & {"bust", "shoulders", "middle", "hips"})
    if breaks:
        text = Sentence.of(f"The {breaks} breaks the stripes: they no longer run across.")
        yield Finding(
            "pattern.across",
            "line_broken_up",
            "for",
            0.25 if minded else 0.1,
            "whole",
            at,
            figure,
            "Stripes broken up",
            text,
        )
        return
    text = Sentence.of("The stripes run across and widen what they cross.")
    yield Finding(
        "pattern.across", "widening_line", "against", 0.3 if minded else 0.1, "whole", at, figure, "Stripes widen", text
    )


def stripes_down(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """Vertical stripes and dark side panels lengthen."""
    for pattern, title in (("vertical_stripe", "Stripes lengthen"), ("dark_side_panels", "Panels slim")):
        area = _patterned(outfit, pattern)
        if area is None:
            continue
        weight = 0.3 if aims.wanted("slim", "lengthen_legs") or aims.soften else 0.15
        figure = Figure("lines over", area.tall, 20.0)
        what = "Stripes run down" if pattern == "vertical_stripe" else "Dark panels at the sides draw the outline in"
        also = ("dark_recedes",) if pattern == "dark_side_panels" else ()
        text = Sentence.of(f"{what}: the eye goes up and down.")
        yield Finding(
            "pattern.down", "lengthening_line", "for", weight, "whole", _middle(area), figure, title, text, None, also
        )


def scale(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """A small scattered print hides, a large one enlarges."""
    minded = aims.wanted("slim") or outfit.shape == "oval"
    for pattern, code in (("large_print", "large_print"), ("animal", "large_print"), ("small_print", "small_print")):
        area = _patterned(outfit, pattern)
        if area is None or area.piece.slot == "swim":
            continue
        figure = Figure("print over", area.tall, 20.0)
        if code == "large_print":
            text = Sentence.of("A large print enlarges what it lies on.")
            weight = 0.3 if minded else 0.1
            yield Finding(
                "pattern.scale", code, "against", weight, "whole", _middle(area), figure, "Large print enlarges", text
            )
        else:
            text = Sentence.of("A small scattered print hides more than it shows.")
            weight = 0.2 if minded else 0.08
            yield Finding(
                "pattern.scale", code, "for", weight, "whole", _middle(area), figure, "Small print hides", text
            )


def draws(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """Lettering, fading or shine across a zone to soften."""
    for zone in quiet(outfit, aims):
        area = area_over(outfit, zone)
        if area is None:
            continue
        at = height_of(outfit, zone)
        figure = Figure("zone height", at, at)
        if area.piece.word("pattern") in ("lettering", "large_print", "animal") and zone in aims.soften:
            what = str(area.piece.word("pattern")).replace("_", " ")
            text = Sentence.of(f"The {what} lies across the {zone} and is read there first.")
            yield Finding(
                "attention.pattern", "draws_to_zone", "against", 0.35, zone, at, figure, "Drawn to the zone", text
            )
        faded = {str(word) for key, said in area.piece.said if key == "fade" for word in said}
        if zone in faded or (zone in ("hips", "thighs") and faded):
            text = Sentence.of(f"The wash is lightest at the {zone}, and the eye goes there.")
            yield Finding(
                "attention.fade", "fade_draws_eye", "against", 0.35, zone, at, figure, "Fading draws the eye", text
            )
