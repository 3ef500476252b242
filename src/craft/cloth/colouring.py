"""A client's colouring, read from swatches held to the face two at a time.

Three questions: warm or cool, light or deep, soft or clear (brief, section 10). Each is asked
with pairs of swatches that differ in that one thing only, in OKLCH; the answers are counted.
"""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from typing import Literal

from coloraide import Color

from craft.brief import CLARITY, DEPTH, WARMTH
from craft.cloth.words import COLOURS
from craft.facts import fact

Axis = Literal["warmth", "depth", "clarity"]
Pick = Literal["first", "second", "same"]

#: Words of each axis: if the first of each pair flatters, if neither does more, if the second does.
WORDS: dict[Axis, tuple[str, str, str]] = {"warmth": WARMTH, "depth": DEPTH, "clarity": CLARITY}

#: Pairs as OKLCH (lightness, chroma, hue). Within a pair one coordinate differs; a blue-red beside
#: an orange-red, and so on (W: chosen so that the pairs are as far apart as screens show).
_PAIRS: dict[Axis, tuple[tuple[tuple[float, float, float], tuple[float, float, float]], ...]] = {
    "warmth": (
        ((0.55, 0.16, 5), (0.55, 0.16, 40)),
        ((0.72, 0.11, 160), (0.72, 0.11, 115)),
        ((0.86, 0.05, 290), (0.86, 0.05, 75)),
    ),
    "depth": (
        ((0.82, 0.07, 250), (0.36, 0.07, 250)),
        ((0.84, 0.06, 20), (0.38, 0.06, 20)),
        ((0.85, 0.06, 140), (0.38, 0.06, 140)),
    ),
    "clarity": (
        ((0.62, 0.05, 25), (0.62, 0.20, 25)),
        ((0.60, 0.04, 250), (0.60, 0.16, 250)),
        ((0.66, 0.04, 145), (0.66, 0.17, 145)),
    ),
}
#: Warm hues lie about this one, up to so far from it; there the pairs above turn from the warm one to the cool, a blue-red beside an
#: orange-red, a blue-green beside a yellow-green. So far to either side of that border a hue is neither quite (degrees).
WARM_HUE, WARM_UP_TO, NEITHER = 80.0, 57.5, 25.0
#: Chroma from which a colour is as warm or cool as its hue; a navy or a cream below it is nearly neither (OKLCH; W).
TINTED = 0.085
#: What of its distance a light colour keeps by a deep colouring (W).
CARRIED = 0.5
#: What lies in the middle of the named colours, and how far the ends are: lightness and chroma.
_MIDDLE = {"depth": (0.60, 0.28), "clarity": (0.09, 0.07)}


@dataclass(frozen=True, slots=True)
class Pair:
    """Two swatches to hold to the face, as #rrggbb."""

    axis: Axis
    first: str
    second: str


def pairs() -> tuple[Pair, ...]:
    """Every pair, axis by axis.

    >>> len(pairs())
    9
    """
    return tuple(Pair(axis, _hex(one), _hex(two)) for axis, held in _PAIRS.items() for one, two in held)


def _hex(oklch: tuple[float, float, float]) -> str:
    return str(Color("oklch", oklch).convert("srgb").fit("srgb").to_string(hex=True))


def read_picks(picks: Mapping[Axis, Sequence[Pick]]) -> dict[Axis, str]:
    """The word of each axis that was asked about: the side picked more often, the middle when even.

    >>> read_picks({"warmth": ["first", "first", "second"]})
    {'warmth': 'cool'}
    """
    found: dict[Axis, str] = {}
    for axis, chosen in picks.items():
        if chosen:
            lean = sum({"first": -1, "second": 1, "same": 0}[pick] for pick in chosen)
            found[axis] = WORDS[axis][1 + (lean > 0) - (lean < 0)]
    return found


def near_the_face(colouring: Mapping[Axis, str], count: int = 8) -> tuple[str, ...]:
    """The named colours that go best with a colouring, best first; none when nothing is known.

    >>> "navy" in near_the_face({"warmth": "cool", "depth": "deep"})
    True
    """
    wanted = {axis: WORDS[axis].index(word) - 1 for axis, word in colouring.items() if axis in WORDS}
    if not wanted:
        return ()
    ranked = sorted(COLOURS, key=lambda name: (_off(name, wanted), name))
    return tuple(ranked[:count])


def suits(colour: str, colouring: Mapping[str, str]) -> float:
    """How far a colour lies from a colouring, by axis: nought is a fit, one is the other end of an axis.

    >>> suits("black", {"depth": "deep"}) < suits("cream", {"depth": "deep"})
    True
    """
    return suits_pairs(colour, tuple(sorted(colouring.items())))


@fact
def suits_pairs(colour: str, colouring: tuple[tuple[str, str], ...]) -> float:
    """As `suits`, of a colouring as pairs of axis and word: asked for every look, so what was found is kept."""
    known = dict(colouring)
    wanted: dict[Axis, int] = {axis: words.index(known[axis]) - 1 for axis, words in WORDS.items() if axis in known}
    return _off(colour, wanted) / (4 * len(wanted)) if wanted else 0.0


def _off(name: str, wanted: Mapping[Axis, int]) -> float:
    """How far a named colour lies from what is wanted; nought is a fit."""
    lightness, chroma, hue = Color(COLOURS.get(name, name)).convert("oklch").coords(nans=False)
    strength = min((chroma / TINTED) ** 2, 1.0)
    placed: dict[Axis, float] = {
        "warmth": (WARM_UP_TO - abs((hue - WARM_HUE + 180.0) % 360.0 - 180.0)) / NEITHER * strength,
        "depth": (_MIDDLE["depth"][0] - lightness) / _MIDDLE["depth"][1],
        "clarity": (chroma - _MIDDLE["clarity"][0]) / _MIDDLE["clarity"][1],
    }
    return sum(_apart(axis, max(-1.0, min(1.0, placed[axis])), lean) ** 2 for axis, lean in wanted.items())


def _apart(axis: Axis, placed: float, lean: int) -> float:
    """How far a colour lies from what is wanted on an axis. Very dark colours wear a light colouring; a deep one carries
    light colours well (brief, section 19)."""
    carries = axis == "depth" and lean > 0
    return (placed - lean) * (CARRIED if carries else 1.0)
