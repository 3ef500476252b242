"""Surface: one colour wants two textures; the same surface all over goes flat."""

from __future__ import annotations

from collections.abc import Iterator
from typing import NamedTuple

from craft.facts import fact
from craft.judge.aims import Aims
from craft.judge.colour import ONE_COLOUR
from craft.judge.finding import Figure, Remark, con, pro
from craft.judge.rule import Subject
from craft.look import Outfit

rule = Subject("surface", "Colour, pattern, texture (10)")

#: Surfaces that catch the light or cast a shadow: each counts as a texture beside a plain one.
LIVELY = frozenset(
    {
        "leather",
        "satin",
        "chunky",
        "ribbed",
        "linen",
        "crochet",
        "lace",
        "sheer",
        "shiny",
        "brushed",
        "textured",
        "denim",
    }
)


class Surfaces(NamedTuple):
    """The surfaces of a look together: how many differ, how many of them are lively, whether one goes flat all over; in words."""

    differ: float
    lively: int
    flat: bool
    words: str


@fact
def together(*surfaces: str) -> Surfaces:
    """Read the surfaces of the large areas together.

    >>> together("leather", "leather")
    Surfaces(differ=1.0, lively=1, flat=True, words='leather')
    """
    different = frozenset(surfaces)
    lively = different & LIVELY
    flat = len(different) == 1 and bool(lively - {"denim"})
    return Surfaces(float(len(different)), len(lively), flat, " against ".join(sorted(different)))


@rule("surface.variety", reads=("surfaces", "spread_of_colour", "band_height"), borders=(ONE_COLOUR,))
def variety(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Textures over the large areas of a look, where its colours are one or its surfaces are."""
    if len(outfit.surfaces) < 2:
        return
    read, one_colour = together(*outfit.surfaces), outfit.spread_of_colour <= ONE_COLOUR.of(outfit)
    held, where = Figure("surfaces", read.differ, 2.0, "scale"), ("whole", outfit.band_height)
    if read.flat:
        text = f"One surface all over goes flat: {read.words} over {read.words}."
        yield con(0.3, "texture_flat", where, "One surface all over", text, held)
    elif not read.lively:
        if one_colour:
            text = "One colour in one kind of cloth: it needs a second texture to stay alive."
            yield con(0.2, "texture_flat", where, "Flat in one colour", text, held)
    elif read.differ > 1 and (one_colour or read.lively > 1):
        text = f"{read.words}: the surfaces answer each other."
        yield pro(0.25 if one_colour else 0.15, "texture_contrast", where, "Surfaces differ", text, held)
