"""Colour as the eye weighs it: lightness and chroma in OKLCH, and how far two colours lie apart.

The distance is CIEDE2000 over 100. A plain distance in a perceptual space lets lightness outweigh hue: by it tan and sage
were one column, and pink answered silver. CIEDE2000 lets a difference of hue in by the chroma of the two, as an eye does
that matches cloth, and weighs lightness less at the dark end, where two blacks still miss each other.
"""

from __future__ import annotations

from functools import lru_cache

from coloraide import Color

from craft.cloth.words import COLOURS
from craft.facts import fact

#: Borders between two colours, CIEDE2000 over 100, found on judged pairs (docs/judgement.md): nearer than the first they are
#: the same, nearer than the second one tone of it, nearer than the third the one answers the other (W).
SAME, TONE, ANSWERS = 0.035, 0.10, 0.17
#: Two dark neutrals further apart than the same and nearer than this just miss each other: two blacks, two navies; up to so
#: light and so strong in chroma a colour is a dark neutral (W).
MISSES, DARK_NEUTRAL = 0.11, (0.40, 0.09)


#: A colour of no more chroma than this is a grey; hues no further apart than this, degrees, are one (W).
GREY, HUE = 0.02, 40.0


def hex_of(colour: str) -> str:
    """The #rrggbb of a colour's name, or the code itself."""
    return COLOURS.get(colour, colour)


@fact
def lightness(colour: str) -> float:
    """OKLCH lightness, 0 (black) to 1 (white).

    >>> lightness("black") < lightness("navy") < lightness("white")
    True
    """
    return float(Color(hex_of(colour)).convert("oklch")["lightness"])


@fact
def difference(one: str, two: str) -> float:
    """How far apart two colours look: 0 is the same, black to white is about 1 (CIEDE2000 over 100).

    >>> difference("tan", "sage") > difference("navy", "soft_navy") > difference("cream", "ivory")
    True
    """
    return float(Color(hex_of(one)).delta_e(Color(hex_of(two)), method="2000")) / 100


@fact
def is_dark_neutral(colour: str) -> bool:
    """Whether a colour is a black, a charcoal or a navy: dark, and of little chroma."""
    light, strong = DARK_NEUTRAL
    return lightness(colour) <= light and chroma(colour) <= strong


@fact
def just_misses(one: str, two: str) -> bool:
    """Whether two dark neutrals are nearly the same and are not, which looks like a mistake.

    >>> just_misses("black", "#2b2d31"), just_misses("black", "black"), just_misses("camel", "tan")
    (True, False, False)
    """
    return is_dark_neutral(one) and is_dark_neutral(two) and SAME < difference(one, two) <= MISSES


@fact
def of_one_hue(one: str, two: str) -> bool:
    """Whether two colours are tones of one hue, or both grey: a brown and a charcoal are near only because both are dark.

    >>> of_one_hue("navy", "mid_blue"), of_one_hue("black", "grey"), of_one_hue("brown", "charcoal")
    (True, True, False)
    """
    strong, other = chroma(one) > GREY, chroma(two) > GREY
    apart = abs(hue(one) - hue(two))
    return (not strong and not other) or (strong and other and min(apart, 360 - apart) <= HUE)


@fact
def comes_back(one: str, two: str) -> bool:
    """Whether one colour is the other again: near it, and of two dark neutrals the very same, for a black is no navy.

    >>> comes_back("rust", "cognac"), comes_back("navy", "black"), comes_back("navy", "navy")
    (True, False, True)
    """
    apart = difference(one, two)
    return apart <= (SAME if is_dark_neutral(one) and is_dark_neutral(two) else ANSWERS)


@fact
def chroma(colour: str) -> float:
    """OKLCH chroma: nought is grey, from about 0.17 a signal.

    >>> chroma("grey") < chroma("olive") < chroma("neon_yellow")
    True
    """
    return float(Color(hex_of(colour)).convert("oklch")["chroma"])


@fact
def hue(colour: str) -> float:
    """OKLCH hue in degrees; of a grey it means nothing.

    >>> 20 < hue("red") < 40, 240 < hue("navy") < 290
    (True, True)
    """
    return float(Color(hex_of(colour)).convert("oklch").coords(nans=False)[2])


@lru_cache(maxsize=4096)
def nearest_name(colour: str) -> str:
    """The name of the vocabulary's colour that looks most like this one.

    >>> nearest_name("#20293f")
    'navy'
    """
    return min(COLOURS, key=lambda name: difference(name, colour))
