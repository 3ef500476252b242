"""One description painted as SVG: for sheets of paper, files to take away and the specimen sheet. The screens paint the
same description the same way (web/src/lib/figure/Paint.svelte)."""

from __future__ import annotations

from collections.abc import Iterable, Sequence
from dataclasses import replace
from html import escape

from craft.cloth.colour import hex_of
from craft.draw.shapes import AREAS, Shape, Weave

#: Lines by what they are: colour (none takes the shape's own), width in mm of the real thing, dashes, opacity.
INK = "#35261b"
LINE: dict[str, tuple[str | None, float, str, float]] = {
    "cloth": (INK, 3.4, "", 1.0),
    "sole": (INK, 3.0, "", 1.0),
    "edge": (None, 3.0, "", 1.0),
    "seam": (None, 2.4, "", 0.8),
    "stitch": (None, 2.2, "7 5", 0.9),
    "skinline": ("#a58d70", 2.6, "", 0.8),
}
SKIN, SKIN_EDGE = "#eadfcd", "#8f7a62"
#: How much a fold darkens.
DARKENS = {"fold": 0.26}
#: How light a fade is from its middle out.
FADE = ((0.0, 0.5), (0.5, 0.3), (1.0, 0.0))
#: The light comes from the upper left: stops over a form from left to right, colour and opacity.
LIGHTS: dict[str, tuple[tuple[float, str, float], ...]] = {
    "form": ((0.0, "#fff", 0.07), (0.3, "#fff", 0.0), (0.55, INK, 0.0), (1.0, INK, 0.2)),
    "satin": (
        *((0.0, INK, 0.10), (0.16, "#fff", 0.05), (0.28, "#fff", 0.42), (0.4, "#fff", 0.02), (0.58, INK, 0.10)),
        *((0.7, "#fff", 0.26), (0.8, "#fff", 0.0), (1.0, INK, 0.26)),
    ),
    "leather": ((0.0, "#fff", 0.10), (0.1, "#fff", 0.34), (0.18, "#fff", 0.0), (0.6, INK, 0.0), (1.0, INK, 0.28)),
}


def painted(shapes: Sequence[Shape], name: str = "") -> str:
    """The shapes as SVG elements, mm, y up; `name` tells pictures on one page apart."""
    return f"<defs>{''.join(_defs(shapes, name))}</defs>{''.join(_elements(shapes, name))}"


def picture_svg(shapes: Sequence[Shape], title: str, *, margin: float = 3.0) -> str:
    """A whole SVG file, at its true size in millimetres."""
    left, low, right, top = bounds(shapes)
    wide, tall = right - left + 2 * margin, top - low + 2 * margin
    return (
        f'<svg xmlns="http://www.w3.org/2000/svg" width="{wide * 10:.0f}mm" height="{tall * 10:.0f}mm"'
        f' viewBox="0 0 {wide * 10:.0f} {tall * 10:.0f}" role="img"><title>{escape(title)}</title>'
        f'<g transform="translate({(margin - left) * 10:.0f} {(top + margin) * 10:.0f}) scale(1 -1)">'
        f"{painted(shapes)}</g></svg>\n"
    )


def framed_svg(
    shapes: Sequence[Shape], title: str, name: str, tall: float = 1000.0, window: tuple[float, float] | None = None
) -> str:
    """The shapes as an SVG element for a page, so many units tall whatever they are of: no true length can be read off it.
    `window` bounds what is seen of them, bottom and top, cm."""
    left, low, right, top = bounds(shapes)
    if window is not None:
        low, top = window
        shapes = _within(shapes, window)
        # A part is seen as broad as it is tall, about the middle.
        half = (top - low) / 2
        left, right = -half, half
    margin = 0.02 * (top - low) if window is None else 0.0
    scale = tall / (10 * (top - low + 2 * margin))
    wide = (right - left + 2 * margin) * 10 * scale
    return (
        f'<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 {wide:.0f} {tall:.0f}" role="img" overflow="hidden"'
        f' aria-label="{escape(title)}"><title>{escape(title)}</title>'
        f'<g transform="scale({scale:.5f}) translate({(margin - left) * 10:.1f} {(top + margin) * 10:.1f}) scale(1 -1)">'
        f"{painted(_seen(shapes, scale), name)}</g></svg>"
    )


#: A contour bulges between its points by less than this, cm (W).
BULGE = 3.0


def _within(shapes: Sequence[Shape], window: tuple[float, float]) -> list[Shape]:
    """The shapes that can be seen in a window, bottom and top, cm, with those that hold them."""
    low, top = window[0] - BULGE, window[1] + BULGE
    seen = {
        number
        for number, shape in enumerate(shapes)
        if min(y for _, y in shape.points) <= top and max(y for _, y in shape.points) >= low
    }
    holds = {(shapes[number].slot, shapes[number].key) for number in seen}
    return [
        shapes[number]
        for number in sorted(seen)
        if not (clip := shapes[number].clip) or (shapes[number].slot, clip) in holds
    ]


#: A tile of cloth smaller than this, in units of a picture of a thousand, is no longer seen, and slow on paper.
TOO_FINE = 4.0


def _seen(shapes: Iterable[Shape], scale: float) -> list[Shape]:
    """The shapes without the weaves that are too fine at a scale."""
    return [
        replace(shape, weave=None) if shape.weave and shape.weave.width * scale < TOO_FINE else shape
        for shape in shapes
    ]


def plainly(shapes: Iterable[Shape]) -> tuple[Shape, ...]:
    """The shapes without weave, light, folds and stitches: small pictures do not show them, and paper is quicker without."""
    return tuple(
        replace(shape, weave=None, light=None) for shape in shapes if shape.role not in ("fold", "fade", "stitch")
    )


def bounds(shapes: Iterable[Shape]) -> tuple[float, float, float, float]:
    """Left, low, right and top of what is painted, cm."""
    points = [point for shape in shapes for point in shape.points]
    xs, ys = [x for x, _ in points], [y for _, y in points]
    return min(xs), min(ys), max(xs), max(ys)


def _turned(weave: Weave) -> str:
    """An angle, and the point that it is about."""
    return " ".join(f"{value:g}" for value in (weave.turn, *(weave.about if any(weave.about) else ())))


def _defs(shapes: Sequence[Shape], name: str) -> Iterable[str]:
    for weave in dict.fromkeys(shape.weave for shape in shapes if shape.weave):
        marks = "".join(
            f'<path d="{d}" fill="none" stroke="{colour}" stroke-width="{wide:g}"/>'
            if wide
            else f'<path d="{d}" fill="{colour}"/>'
            for d, colour, wide in weave.marks
        )
        yield (
            f'<pattern id="{name}{weave.key}" width="{weave.width:g}" height="{weave.height:g}"'
            f' patternUnits="userSpaceOnUse" patternTransform="rotate({_turned(weave)})">{marks}</pattern>'
        )
    for light in sorted({shape.light for shape in shapes if shape.light}):
        stops = "".join(
            f'<stop offset="{at:g}" stop-color="{colour}" stop-opacity="{opacity:g}"/>'
            for at, colour, opacity in LIGHTS[light]
        )
        yield f'<linearGradient id="{name}{light}" x1="0" y1="1" x2="1" y2="0.85">{stops}</linearGradient>'
    if any(shape.role == "fade" for shape in shapes):
        stops = "".join(f'<stop offset="{at}" stop-color="#fff" stop-opacity="{much}"/>' for at, much in FADE)
        yield f'<radialGradient id="{name}fade">{stops}</radialGradient>'
    held = {(shape.slot, shape.clip) for shape in shapes if shape.clip}
    for shape in shapes:
        if (shape.slot, shape.key) in held:
            yield f'<clipPath id="{name}{shape.slot}-{shape.key}"><path d="{shape.d}"/></clipPath>'


def _elements(shapes: Sequence[Shape], name: str) -> Iterable[str]:
    skin = [shape for shape in shapes if shape.role == "skin" and shape.slot == "body"]
    # Contours first and areas over them, so that arms and trunk read as one figure.
    for shape in skin:
        yield f'<path d="{shape.d}" fill="none" stroke="{SKIN_EDGE}" stroke-width="6" stroke-linejoin="round"/>'
    for shape in shapes:
        yield from _one(shape, name)


def _one(shape: Shape, name: str) -> Iterable[str]:
    clip = f' clip-path="url(#{name}{shape.slot}-{shape.clip})"' if shape.clip else ""
    colour = hex_of(shape.colour) if shape.colour else "#8a8b8d"
    if shape.role in ("skin", "bare"):
        yield f'<path d="{shape.d}" fill="{SKIN}"{clip}/>'
    elif shape.role in DARKENS:
        yield f'<path d="{shape.d}" fill="{INK}" opacity="{DARKENS[shape.role]}"{clip}/>'
    elif shape.role == "fade":
        yield f'<path d="{shape.d}" fill="url(#{name}fade)"{clip}/>'
    else:
        own, wide, dash, opacity = LINE[shape.role]
        pen = f'stroke="{own or (colour if shape.colour else INK)}" stroke-width="{wide:g}" stroke-linejoin="round"'
        pen += f' stroke-dasharray="{dash}"' if dash else ""
        if shape.role not in AREAS:
            yield f'<path d="{shape.d}" fill="none" {pen} opacity="{opacity:g}"{clip}/>'
            return
        through = f' fill-opacity="{shape.opacity:g}"' if shape.opacity < 1 else ""
        if not shape.weave and not shape.light:
            yield f'<path d="{shape.d}" fill="{colour}"{through} {pen}{clip}/>'
            return
        yield f'<path d="{shape.d}" fill="{colour}"{through}{clip}/>'
        for over in (shape.weave.key if shape.weave else None, shape.light):
            if over:
                yield f'<path d="{shape.d}" fill="url(#{name}{over})"{through}{clip}/>'
        yield f'<path d="{shape.d}" fill="none" {pen}{clip}/>'
