"""The tape on the figure: where it lies for each measure, seen from the front."""

from __future__ import annotations

import math
from dataclasses import dataclass

from craft.body import Body
from craft.body.measures import kind_of
from craft.draw.figure import SHOULDER_SLOPE, arm_path
from craft.draw.shapes import Point

#: A level tape seen from a little above: half its depth shows, cm.
DIP = 1.6
#: The tape stands this far beside the figure when a height is taken, cm.
ASIDE = 9.0


@dataclass(frozen=True, slots=True)
class TapeLine:
    """Lines of tape, cm: those in sight, and those behind the body. `height` is where the eye looks."""

    height: float
    front: tuple[tuple[Point, ...], ...]
    behind: tuple[tuple[Point, ...], ...] = ()


#: The landmark that each trunk and leg girth is taken at.
_TRUNK = {
    "bust": "bust",
    "under_bust": "under_bust",
    "waist": "waist",
    "belly": "navel",
    "high_hip": "high_hip",
    "hip": "hip",
}
_LEG = {"knee": "knee", "calf": "calf", "ankle": "narrow_ankle"}


def _level(x: float, y: float, half: float) -> TapeLine:
    """A tape laid level round something of this half breadth, its near side a little lower."""
    turns = [math.pi * at / 24 for at in range(25)]
    near = tuple((x - half * math.cos(turn), y - DIP * math.sin(turn)) for turn in turns)
    far = tuple((x - half * math.cos(turn), y + DIP * 0.7 * math.sin(turn)) for turn in turns)
    return TapeLine(y, (near,), (far,))


def tape_on(body: Body, measure: str) -> TapeLine:
    """Where the tape lies on this body for a measure, barefoot. Raises UnknownMeasure.

    >>> from craft.body import Measures
    >>> tape_on(Body.of(Measures.of({"stature": 165, "waist_height": 104})), "waist").height
    104.0
    """
    match kind_of(measure):
        case "height":
            return _standing(body, measure)
        case "girth":
            return _round(body, measure)
        case "breadth":
            return _across(body, measure)
        case _:
            return _along(body, measure)


def _standing(body: Body, measure: str) -> TapeLine:
    """From the floor up beside the figure, with a pointer to the landmark."""
    height = body.heights[measure].cm
    widest = max(body.half_breadth(body.height(level)) for level in ("hip", "navel", "bust"))
    aside = widest + ASIDE
    inner = body.half_breadth(min(height, body.height("shoulder"))) if height < body.stature else 0.0
    inner = 0.0 if measure == "crotch_height" else inner
    return TapeLine(height, (((aside, 0.0), (aside, height)), ((aside, height), (inner, height))))


def _round(body: Body, measure: str) -> TapeLine:
    if measure in _TRUNK:
        height = body.height(_TRUNK[measure])
        return _level(0.0, height, body.half_breadth(height))
    if measure in ("upper_arm", "wrist"):
        path = arm_path(body, 0.0)
        (x, y), half = path[4] if measure == "upper_arm" else path[-1]
        return _level(x, y, half)
    if measure == "neck":
        height = body.height("shoulder") + 3.6
        return _level(0.0, height, body.girth("neck") / (2 * math.pi) * 1.02)
    height = body.height("crotch") - 2.0 if measure == "thigh" else body.height(_LEG[measure])
    return _level(body.leg_centre(height), height, body.leg_half_breadth(height))


def _across(body: Body, measure: str) -> TapeLine:
    height = body.height("hip") if measure == "hip_breadth" else body.height("shoulder") - SHOULDER_SLOPE
    half = body.breadths[measure].cm / 2
    return TapeLine(height, (((-half, height), (half, height)),))


def _along(body: Body, measure: str) -> TapeLine:
    at = body.height
    crotch, shoulder = at("crotch"), at("shoulder")
    neck = body.girth("neck") / (2 * math.pi) * 1.4
    match measure:
        case "front_rise_navel":
            return TapeLine(at("navel"), (((0.0, crotch), (0.0, at("navel"))),))
        case "front_rise_waist":
            return TapeLine(at("waist"), (((0.0, crotch), (0.0, at("waist"))),))
        case "back_rise":
            return TapeLine(at("waist"), (), (((0.0, crotch), (0.0, at("waist"))),))
        case "torso_girth":
            front = ((neck, shoulder), (neck * 0.9, at("bust")), (0.0, crotch))
            return TapeLine(shoulder, (front,), (((neck, shoulder), (neck * 1.1, at("bust")), (0.0, crotch)),))
        case "elbow_length" | "arm_length":
            path = [point for point, _ in arm_path(body, 0.0)]
            line = path[:7] if measure == "elbow_length" else path
            return TapeLine(line[-1][1], (tuple(line),))
        case _:
            x, half = body.leg_centre(0.0) + 0.5, 0.185 * body.lengths["foot_length"].cm
            return TapeLine(0.0, (((x - half, 1.0), (x + half, 1.0)),))
