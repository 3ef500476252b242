"""Surface: one colour wants two textures; the same surface all over goes flat."""

from __future__ import annotations

from collections.abc import Iterator

from craft.cloth.colour import difference
from craft.judge.aims import Aims
from craft.judge.colour import ONE_COLOUR
from craft.judge.finding import Figure, Finding
from craft.look import Outfit
from craft.units import Sentence

#: Surfaces that catch the light or cast a shadow: each counts as a texture beside a plain one.
LIVELY = ("leather", "satin", "chunky", "ribbed", "linen", "crochet", "sheer", "shiny", "brushed", "textured", "denim")


def variety(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """Textures over the large areas of a look, where its colours are one or its surfaces are."""
    large = [area for area in outfit.areas if area.piece.slot != "shoes"]
    if len(large) < 2:
        return
    at = outfit.bottom.waistband.cm if outfit.bottom else large[0].low
    surfaces = {area.surface for area in large}
    one_colour = all(difference(area.colour, large[0].colour) <= ONE_COLOUR.of(outfit) for area in large)
    lively = surfaces & set(LIVELY)
    figure = Figure("surfaces", float(len(surfaces)), 2.0, "scale")
    if len(surfaces) == 1 and lively - {"denim"}:
        text = Sentence.of(f"{large[0].surface.capitalize()} over {large[0].surface}: one surface all over goes flat.")
        yield Finding(
            "surface.variety", "texture_flat", "against", 0.3, "whole", at, figure, "One surface all over", text
        )
    elif one_colour and not lively:
        text = Sentence.of("One colour in one kind of cloth: it needs a second texture to stay alive.")
        yield Finding(
            "surface.variety", "texture_flat", "against", 0.2, "whole", at, figure, "Flat in one colour", text
        )
    elif lively and len(surfaces) > 1 and (one_colour or len(lively) > 1):
        text = Sentence.of(f"{' against '.join(sorted(surfaces))}: the surfaces answer each other.")
        yield Finding(
            "surface.variety",
            "texture_contrast",
            "for",
            0.25 if one_colour else 0.15,
            "whole",
            at,
            figure,
            "Surfaces differ",
            text,
        )
