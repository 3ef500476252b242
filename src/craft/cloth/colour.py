"""Colour as the eye weighs it: lightness and difference in OKLCH."""

from __future__ import annotations

from functools import lru_cache

from coloraide import Color

from craft.cloth.words import COLOURS

#: Colours nearer than this (OKLab distance) read as one (W).
SAME_COLOUR = 0.10


def hex_of(colour: str) -> str:
    """The #rrggbb of a colour's name, or the code itself."""
    return COLOURS.get(colour, colour)


@lru_cache(maxsize=4096)
def lightness(colour: str) -> float:
    """OKLCH lightness, 0 (black) to 1 (white).

    >>> lightness("black") < lightness("navy") < lightness("white")
    True
    """
    return float(Color(hex_of(colour)).convert("oklch")["lightness"])


@lru_cache(maxsize=4096)
def difference(one: str, two: str) -> float:
    """How far apart two colours look: 0 is the same, black to white is about 0.8 (OKLab distance)."""
    return float(Color(hex_of(one)).distance(Color(hex_of(two)), space="oklab"))


@lru_cache(maxsize=4096)
def chroma(colour: str) -> float:
    """OKLCH chroma: nought is grey, from about 0.17 a signal.

    >>> chroma("grey") < chroma("olive") < chroma("neon_yellow")
    True
    """
    return float(Color(hex_of(colour)).convert("oklch")["chroma"])


@lru_cache(maxsize=4096)
def nearest_name(colour: str) -> str:
    """The name of the vocabulary's colour that looks most like this one.

    >>> nearest_name("#20293f")
    'navy'
    """
    return min(COLOURS, key=lambda name: difference(name, colour))
