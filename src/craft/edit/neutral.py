"""Neutrals and accents: what a wardrobe stands on, and what it is woken by."""

from __future__ import annotations

from craft.cloth.colour import chroma, hue, lightness
from craft.facts import fact

#: Up to this chroma a colour is a neutral whatever its hue (OKLCH; W).
QUIET = 0.05
#: Earth (camel, tan, cognac, olive) and the blues of denim are neutrals too: hues from and to, degrees, up to a chroma and a
#: lightness (OKLCH; W).
EARTH, DENIM = (40.0, 118.0, 0.105, 0.805), (235.0, 295.0, 0.08, 0.65)


@fact
def is_neutral(colour: str) -> bool:
    """Whether a colour is one that others stand on.

    >>> [is_neutral(one) for one in ("navy", "camel", "mid_blue", "cream")]
    [True, True, True, True]
    >>> [is_neutral(one) for one in ("coral", "teal", "burgundy", "lilac")]
    [False, False, False, False]
    """
    strong = chroma(colour)
    if strong <= QUIET:
        return True
    return any(
        start <= hue(colour) <= end and strong <= most and lightness(colour) <= light
        for start, end, most, light in (EARTH, DENIM)
    )
