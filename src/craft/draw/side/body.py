"""The body from the side: how deep it is at every height, its contour, and the arm that hangs beside it.

Depth follows from girth and front-view breadth; how it lies before and behind the plumb line is a usual standing
figure's.
"""

from __future__ import annotations

import math
from collections.abc import Callable
from functools import lru_cache
from typing import NamedTuple

from scipy.interpolate import PchipInterpolator

from craft.body import Body
from craft.body.proportions import CHIN_FRACTION
from craft.draw.figure import HAND_FRACTION, arm_path, armpit_of, drawn_as, well_apart
from craft.draw.shapes import Point, Run, Shape, along, area, lines, steps
from craft.look import Outfit

#: A trunk's section is squarer than an ellipse of the same breadth and girth, so it is this much shallower (W).
SQUARER = 0.92
#: How much of the depth lies before the plumb line, by level: bust and belly forward, seat and calf behind (W).
BEFORE = {
    "shoulder": 0.42, "bust": 0.59, "under_bust": 0.57, "waist": 0.55, "navel": 0.58, "high_hip": 0.50,
    "hip": 0.42, "crotch": 0.47, "mid_thigh": 0.54, "knee": 0.54, "calf": 0.37, "narrow_ankle": 0.42,
    "ankle_bone": 0.42,
}  # fmt: skip
#: The landmark that each trunk girth is taken at.
TRUNK = {
    "bust": "bust",
    "under_bust": "under_bust",
    "waist": "waist",
    "navel": "belly",
    "high_hip": "high_hip",
    "hip": "hip",
}
#: Half the arm's breadth from the side over the upper arm's girth, by how far down it is: the shoulder's cap is broad here (W).
ARM = ((0.0, 0.07), (0.03, 0.125), (0.08, 0.158), (0.16, 0.165), (0.28, 0.154), (0.42, 0.134),
       (0.5, 0.127), (0.6, 0.133), (0.7, 0.123), (0.85, 0.1))  # fmt: skip
#: Half the wrist's breadth from the side over its girth.
WRIST = 0.185
#: A hanging arm's elbow lies so far behind its shoulder, its wrist so far before it, over the arm's length (W).
ELBOW_BACK, WRIST_FORWARD = 0.035, 0.09


class Side(NamedTuple):
    """How far a body reaches before and behind the plumb line, cm, by height above the sole of the bare foot."""

    front: Callable[[float], float]
    back: Callable[[float], float]


def depth_of(girth: float, half_breadth: float) -> float:
    """The depth of a trunk of this girth and half breadth, cm: an ellipse's (Ramanujan's first), made squarer.

    >>> round(depth_of(2 * math.pi * 10, 10) / SQUARER, 1)
    20.0
    """
    low, high = 0.2 * half_breadth, 4.0 * half_breadth
    for _ in range(40):
        middle = (low + high) / 2
        round_it = math.pi * (
            3 * (half_breadth + middle) - math.sqrt((3 * half_breadth + middle) * (half_breadth + 3 * middle))
        )
        low, high = (middle, high) if round_it < girth else (low, middle)
    return 2 * low * SQUARER


@lru_cache(maxsize=256)
def side_of(body: Body) -> Side:
    """The side of a body.

    >>> from craft.body import Measures
    >>> side = side_of(Body.of(Measures.of({"stature": 165})))
    >>> side.front(118) > side.front(104) and side.back(82) < side.back(104)
    True
    """
    at = body.height
    depths = {level: depth_of(body.girth(girth), body.half_breadth(at(level))) for level, girth in TRUNK.items()}
    if not body.quantity("belly").settled:
        # An estimate says nothing of how a belly lies: it is drawn between waist and high hip.
        part = (at("waist") - at("navel")) / max(at("waist") - at("high_hip"), 0.1)
        depths["navel"] = depths["waist"] + part * (depths["high_hip"] - depths["waist"])
    depths["crotch"] = 0.92 * depths["hip"]
    depths["shoulder"] = 0.55 * depths["under_bust"]
    legs = ("mid_thigh", "knee", "calf", "narrow_ankle", "ankle_bone")
    depths |= {level: body.leg_girth(at(level)) / math.pi for level in legs}
    rows = sorted((at(level), depth, BEFORE[level]) for level, depth in depths.items())
    kept = [row for low, row in zip([(-9.0, 0.0, 0.0), *rows], rows, strict=False) if row[0] - low[0] > 0.1]
    heights = [height for height, _, _ in kept]
    front = PchipInterpolator(heights, [depth * before for _, depth, before in kept])
    back = PchipInterpolator(heights, [-depth * (1 - before) for _, depth, before in kept])

    def within(height: float) -> float:
        return min(max(height, heights[0]), heights[-1])

    return Side(lambda height: float(front(within(height))), lambda height: float(back(within(height))))


def neck_round(body: Body) -> float:
    """Half the neck's depth, cm: the neck is taken as round."""
    return body.girth("neck") / (2 * math.pi)


def draw_body_side(outfit: Outfit) -> tuple[Shape, ...]:
    """Head, trunk and legs in one contour: from the throat down the front, round the foot, up the back to the nape."""
    body, lift = outfit.body, outfit.lift
    side, at = side_of(body), body.height
    chin, tall = body.stature * CHIN_FRACTION + lift, body.stature * (1 - CHIN_FRACTION)
    deep, neck, high = body.stature * 0.056, neck_round(body), at("shoulder")
    heights = well_apart(
        {*steps(high - 6.0, at("ankle_bone") + 2.0, 7.0), *(at(level) for level in BEFORE if level != "shoulder")}
    )
    heights = [h for h in heights if at("ankle_bone") + 1.5 < h <= high - 6.0]
    front: Run = [
        (neck * 0.5, chin + 5.0),
        (neck * 0.84, chin - 1.2),
        (neck * 0.74, high + lift + 1.0),
        (neck * 0.92, high + lift - 1.6),
        *((side.front(h), h + lift) for h in heights),
    ]
    behind: Run = [
        *((side.back(h), h + lift) for h in reversed(heights)),
        (side.back(high - 3.0) * 0.96, high + lift - 0.5),
        (-neck * 1.3, high + lift + 4.2),
        (-neck * 1.12, chin + 2.0),
        (-neck * 0.8, chin + 10.0),
    ]
    head = [(deep * x - 0.5, chin + tall * y) for x, y in (*_SKULL, *_NAPE)]
    sole = foot_side(outfit)
    trunk: list[Run] = [front, [front[-1], sole[0]], sole, [sole[-1], behind[0]], behind, [behind[-1], front[0]]]
    ear: Run = [
        (-1.2, chin + tall * 0.52),
        (0.3, chin + tall * 0.56),
        (0.5, chin + tall * 0.44),
        (-0.7, chin + tall * 0.34),
        (-1.2, chin + tall * 0.42),
    ]
    knee, seat = at("knee") + lift, at("crotch") + lift
    bent: list[Run] = [
        ear,
        [(side.back(at("knee")) * 0.9, knee + 0.4), (side.back(at("knee")) * 0.2, knee - 0.6)],
        [(side.back(at("crotch")) * 0.94, seat - 0.6), (side.back(at("crotch")) * 0.4, seat - 1.4)],
    ]
    return (
        area("trunk", "body", trunk, role="skin"),
        area("head", "body", [head], role="skin"),
        lines("lines", "body", "skinline", bent),
    )


#: The head from the side over its depth and height: face and chin, then the nape and the back of the skull.
_SKULL = ((0.1, 1.0), (0.6, 0.945), (0.95, 0.79), (1.06, 0.61), (1.04, 0.45), (1.03, 0.28), (0.95, 0.1), (0.78, 0.012), (0.52, 0.03))  # fmt: skip
_NAPE = ((0.2, 0.16), (-0.1, 0.24), (-0.5, 0.26), (-0.82, 0.38), (-1.0, 0.56), (-0.96, 0.76), (-0.62, 0.94), (0.1, 1.0))  # fmt: skip


def foot_side(outfit: Outfit) -> Run:
    """The foot from the instep over the toes and the sole round the heel to behind the ankle."""
    long, bone = outfit.body.lengths["foot_length"].cm, outfit.body.height("ankle_bone")
    heel, ball = outfit.lift, max(0.0, outfit.shoes.platform)
    side = side_of(outfit.body)
    return [
        (side.front(bone) + 0.5, bone + heel - 0.5),
        (0.24 * long, ball + 0.65 * heel + 5.0),
        (0.5 * long, ball + 3.2 + 0.15 * heel),
        (0.68 * long, ball + 2.0),
        (0.73 * long, ball + 0.9),
        (0.70 * long, ball),
        (0.44 * long, ball),
        (0.1 * long, heel * 0.7 + ball * 0.3 + 0.6),
        (-0.18 * long, heel),
        (-0.255 * long, heel + 1.4),
        (-0.245 * long, heel + 3.6),
        (side.back(bone) - 0.2, bone + heel + 1.0),
    ]


@lru_cache(maxsize=256)
def arm_side(body: Body, lift: float) -> list[tuple[Point, float]]:
    """The right arm from the side as points and half widths from shoulder to wrist, as high as it hangs from the front: its
    elbow a little behind, its forearm forward."""
    path, side, low = arm_path(body, lift), side_of(body), armpit_of(body) - 3.0
    middle = (side.front(low) + side.back(low)) / 2 - 0.8
    top, end, upper = path[0][0][1], path[-1][0][1], body.girth("upper_arm")
    long = top - end

    def across(part: float) -> float:
        forward = float(max(0.0, (part - 0.4) / 0.6) ** 1.4) * (WRIST_FORWARD + 0.4 * ELBOW_BACK)
        return middle + long * (forward - ELBOW_BACK * math.sin(math.pi * min(part / 0.9, 1.0)))

    drawn = [((across(part), top - long * part), upper * half) for part, half in ARM]
    return [*drawn, ((across(1.0), end), body.girth("wrist") * WRIST)]


def draw_arm_side(outfit: Outfit) -> tuple[Shape, ...]:
    """The bare arm and its hand, over whatever the trunk wears; what is sewn for it lies over them."""
    body, lift = outfit.body, outfit.lift
    path = arm_side(body, lift)
    front, back = along(path)
    hand = _hand(body, path)
    # What is under the shoulder's cap is one with the trunk.
    contour = [[*reversed(back[2:]), *back[1::-1], *front], [front[-1], hand[0]], hand, [hand[-1], back[-1]]]
    outline: list[Run] = [front[3:], back[2:], hand]
    return (
        area("arm", "arm", contour, role="skin"),
        lines("arm_lines", "arm", "skinline", [*outline, *_fingers(body, path)]),
    )


def _along_hand(body: Body, path: list[tuple[Point, float]]) -> Callable[[float, float], Point]:
    """A point of the hand by how far down it is and how far forward, over the palm's half breadth."""
    (x, y), _ = path[-1]
    (x0, y0), _ = path[-2]
    size = math.dist((x, y), (x0, y0))
    dx, dy = (x - x0) / size, (y - y0) / size
    long, palm = HAND_FRACTION * body.stature, 0.0155 * body.stature * drawn_as(body).hand
    return lambda down, out: (x + dx * down * long - dy * out * palm, y + dy * down * long + dx * out * palm)


def _hand(body: Body, path: list[tuple[Point, float]]) -> Run:
    """From the front of the wrist over the thumb and round the fingers to the back of it."""
    at, wrist = _along_hand(body, path), path[-1][1] / (0.0155 * body.stature * drawn_as(body).hand)
    thumb = [(0.0, wrist), (0.14, 1.02), (0.3, 1.16), (0.46, 1.2), (0.58, 1.08), (0.6, 0.86)]
    fingers = [(0.7, 0.74), (0.86, 0.5), (0.97, 0.16), (1.0, -0.12), (0.92, -0.5), (0.76, -0.82), (0.55, -1.0)]
    return [at(down, out) for down, out in (*thumb, *fingers, (0.34, -1.02), (0.16, -0.94), (0.0, -wrist))]


def _fingers(body: Body, path: list[tuple[Point, float]]) -> list[Run]:
    at = _along_hand(body, path)
    rows = (((0.6, 0.36), (0.78, 0.3), (0.93, 0.16)), ((0.6, -0.1), (0.8, -0.12), (0.96, -0.14)), ((0.6, -0.52), (0.76, -0.5), (0.9, -0.4)),
            ((0.42, 0.72), (0.52, 0.84), (0.6, 0.86)))  # fmt: skip
    return [[at(down, out) for down, out in row] for row in rows]
