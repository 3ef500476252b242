"""Ease: the garment's girth against the body's, and how much volume the eye makes of it."""

from __future__ import annotations

from bisect import bisect_right

from craft.facts import in_words

#: Bust girth of a top over the body's, by fit word; and the words' borders half-way between.
#: The trade's fit classes for wovens and knits: about 2 cm (fitted), 6 (skimming), 13
#: (relaxed), 23 (oversized) at a bust of 92. W, after common pattern-drafting practice.
FIT_EASE = {"tight": -0.05, "fitted": 0.02, "skimming": 0.07, "relaxed": 0.14, "oversized": 0.25}

#: Volume on a scale of the fit words: 0 tight, 1 fitted, 2 skimming, 3 relaxed, 4 oversized.
FIT_WORDS = tuple(FIT_EASE)
_TOP_POINTS = [(ease, float(at)) for at, ease in enumerate(FIT_EASE.values())]
#: The same scale for legs, by the mean ease along the leg (see bottom.py): nought for a skin-tight
#: leg, 2 where a straight leg skims, 4 for the widest.
_LEG_POINTS = [(-0.05, 0.0), (0.015, 0.8), (0.06, 1.4), (0.14, 1.9), (0.2, 2.5), (0.27, 3.1), (0.45, 3.7), (0.6, 4.0)]

#: A leg hangs straight past the calf with at least this ease there, cm; with less it reads
#: slim-straight, then slim; below the last it clings. Brief, section 4: a straight leg on a
#: full calf is a slim leg. Figures W.
HANGS_STRAIGHT, SLIM_STRAIGHT, SLIM = 4.0, 2.0, -1.0


def _between(points: list[tuple[float, float]], at: float) -> float:
    """Straight-line interpolation, held at both ends."""
    xs = [x for x, _ in points]
    right = bisect_right(xs, at)
    if right == 0:
        return points[0][1]
    if right == len(points):
        return points[-1][1]
    (x0, y0), (x1, y1) = points[right - 1], points[right]
    return y0 + (y1 - y0) * (at - x0) / (x1 - x0)


def top_volume(ease: float) -> float:
    """Volume of a top, 0 to 4, from its ease at the bust as a share of the bust.

    >>> top_volume(0.07), top_volume(0.6)
    (2.0, 4.0)
    """
    return _between(_TOP_POINTS, ease)


def leg_volume(ease: float) -> float:
    """Volume of a leg, 0 to 4, from its mean ease as a share of the leg's girths."""
    return _between(_LEG_POINTS, ease)


@in_words
def fit_word(volume: float) -> str:
    """The fit word nearest to a volume.

    >>> fit_word(2.9)
    'relaxed'
    """
    return FIT_WORDS[max(0, min(4, round(volume)))]


def reads_as(calf_ease: float, knee: float, opening: float, knee_ease: float) -> str:
    """What a leg looks like on this body, whatever its label: a leg cut word.

    `calf_ease` and `knee_ease` are cm over the body's calf and knee; `knee` and `opening` the
    garment's girths, cm.
    """
    if opening >= knee + 14:
        return "flare"
    if opening >= knee + 4.5:
        return "bootcut"
    if calf_ease >= 14 and knee_ease >= 12:
        return "wide"
    if calf_ease >= HANGS_STRAIGHT:
        return "straight"
    if calf_ease >= SLIM_STRAIGHT:
        return "slim_straight"
    return "slim" if calf_ease >= SLIM else "skinny"
