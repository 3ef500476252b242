"""Surface: one colour wants two textures; the same surface all over goes flat."""

from __future__ import annotations

from collections.abc import Iterator

from craft.judge.aims import Aims
from craft.judge.colour import ONE_COLOUR
from craft.judge.finding import Figure, Remark, con, pro
from craft.judge.rule import Subject
from craft.look import Outfit

rule = Subject("surface", "Colour, pattern, texture (10)")

#: Surfaces that catch the light or cast a shadow: each counts as a texture beside a plain one.
LIVELY = frozenset(
    {"leather", "satin", "chunky", "ribbed", "linen", "crochet", "sheer", "shiny", "brushed", "textured", "denim"}
)


@rule("surface.variety", reads=("surfaces", "spread_of_colour", "band_height"), borders=(ONE_COLOUR,))
def variety(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Textures over the large areas of a look, where its colours are one or its surfaces are."""
    if len(outfit.surfaces) < 2:
        return
    surfaces, first = set(outfit.surfaces), outfit.surfaces[0]
    one_colour, lively = outfit.spread_of_colour <= ONE_COLOUR.of(outfit), surfaces & LIVELY
    held, where = Figure("surfaces", float(len(surfaces)), 2.0, "scale"), ("whole", outfit.band_height)
    if len(surfaces) == 1 and lively - {"denim"}:
        text = f"{first.capitalize()} over {first}: one surface all over goes flat."
        yield con(0.3, "texture_flat", where, "One surface all over", text, held)
    elif one_colour and not lively:
        text = "One colour in one kind of cloth: it needs a second texture to stay alive."
        yield con(0.2, "texture_flat", where, "Flat in one colour", text, held)
    elif len(surfaces) > 1 and lively and (one_colour or len(lively) > 1):
        text = f"{' against '.join(sorted(map(str, surfaces)))}: the surfaces answer each other."
        yield pro(0.25 if one_colour else 0.15, "texture_contrast", where, "Surfaces differ", text, held)
