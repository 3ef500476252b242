"""The figure, seen from the front: smooth contours through the client's own measures. No face, no pose."""

from __future__ import annotations

import math
from functools import lru_cache
from typing import NamedTuple

from craft.body import Body
from craft.body.proportions import CHIN_FRACTION, HEAD_BREADTH_FRACTION
from craft.draw.shapes import Point, Run, Shape, along, area, flip, lines, steps, whole

#: The shoulder slopes from its high point to the tip by about this much, cm.
SHOULDER_SLOPE = 4.0
#: A relaxed hand hangs this far below the wrist, over stature (DC66 hand 0.108, fingers curled).
HAND_FRACTION = 0.098
#: A calf bulges higher outside than inside by twice this, cm (W).
CALF_SHIFT = 1.4


class Drawn(NamedTuple):
    """How a body of a build is drawn where no measure says so, over what is usual (W): breadth of jaw and hand, how much
    of the neck's side the slope of the shoulder takes."""

    jaw: float = 1.0
    hand: float = 1.0
    slope: float = 1.0
    chest: bool = False


#: A man's jaw and hand are broader, his shoulder's slope rises higher up the neck, his chest is marked as a man's.
BUILDS = {"man": Drawn(1.12, 1.14, 1.45, True), "young": Drawn(0.97, 0.94, 0.9)}


def drawn_as(body: Body) -> Drawn:
    """How a body of this build is drawn."""
    return BUILDS.get(body.measures.build or "", Drawn())


@lru_cache(maxsize=512)
def arm_path(body: Body, lift: float) -> list[tuple[Point, float]]:
    """The right arm as points and half widths from shoulder to wrist, above the ground."""
    tip = body.breadths["shoulder_breadth"].cm / 2
    top = body.height("shoulder") + lift - SHOULDER_SLOPE + 0.4
    # Arms hang clear of the widest of hip and belly.
    hip = max(body.half_breadth(body.height(level)) for level in ("hip", "navel"))
    reach = max(hip + 4.5, tip + 4.0) - (tip - 3.4)
    length = body.lengths["arm_length"].cm
    fall = math.sqrt(max(length**2 - reach**2, (0.8 * length) ** 2))
    upper, wrist = body.girth("upper_arm"), body.girth("wrist")
    arm = [
        (0.0, 0.05),
        (0.035, 0.100),
        (0.09, 0.133),
        (0.17, 0.148),
        (0.28, 0.146),
        (0.42, 0.130),
        (0.50, 0.121),
        (0.60, 0.127),
        (0.70, 0.118),
        (0.85, 0.094),
    ]
    profile = [(t, upper * half) for t, half in arm] + [(1.0, wrist * 0.168)]
    return [((tip - 3.4 + reach * t**1.2, top - fall * t), half) for t, half in profile]


def _hand(body: Body, lift: float) -> tuple[list[Run], list[Run]]:
    """The right hand hanging by its arm, its thumb before it; and the lines between its fingers."""
    path = arm_path(body, lift)
    (x, y), wrist = path[-1]
    (x0, y0), _ = path[-3]
    size = math.dist((x, y), (x0, y0))
    dx, dy = 0.45 * (x - x0) / size, (y - y0) / size
    long, palm = HAND_FRACTION * body.stature, 0.0175 * body.stature * drawn_as(body).hand

    def at(down: float, out: float) -> Point:
        return (x + dx * down * long - dy * out, y + dy * down * long + dx * out)

    w, p = wrist, palm
    outer = [
        at(-0.2, w * 0.94),
        at(0.0, w * 0.97),
        at(0.2, p * 0.98),
        at(0.38, p * 1.06),
        at(0.52, p * 1.0),
        at(0.74, p * 0.84),
    ]
    outer += [at(0.92, p * 0.56), at(1.0, p * 0.16), at(0.97, -p * 0.22), at(0.84, -p * 0.5), at(0.66, -p * 0.72)]
    outer += [at(0.52, -p * 0.8)]
    thumb = [at(0.52, -p * 0.8), at(0.6, -p * 1.04), at(0.585, -p * 1.32), at(0.47, -p * 1.36), at(0.3, -p * 1.16)]
    thumb += [at(0.14, -w * 1.0), at(0.0, -w * 0.96), at(-0.2, -w * 0.94)]
    fingers: list[Run] = [
        [at(0.6, p * 0.42), at(0.76, p * 0.36), at(0.93, p * 0.22)],
        [at(0.6, -p * 0.02), at(0.78, -p * 0.04), at(0.95, -p * 0.06)],
        [at(0.6, -p * 0.44), at(0.74, -p * 0.38), at(0.88, -p * 0.3)],
        [at(0.44, -p * 0.62), at(0.52, -p * 0.8)],
    ]
    return [outer, thumb], fingers


def _head(body: Body, lift: float) -> list[Run]:
    """A plain head: the skull, narrowing from the cheek to the chin."""
    chin, tall = body.stature * CHIN_FRACTION + lift, body.stature * (1 - CHIN_FRACTION)
    half, jaw = HEAD_BREADTH_FRACTION * body.stature / 2, drawn_as(body).jaw
    side = [
        (0.0, 1.0),
        (0.42, 0.968),
        (0.77, 0.875),
        (0.955, 0.735),
        (1.0, 0.585),
        (0.965, 0.44),
        (0.885 * jaw**0.6, 0.29),
    ]
    side += [(0.69 * jaw, 0.145), (0.39 * jaw, 0.035), (0.14 * jaw, 0.0), (0.0, 0.0)]
    right = [(half * x, chin + tall * y) for x, y in side]
    # One smooth run round the crown.
    left = [(-x, y) for x, y in reversed(right[1:])]
    return [[*left, *right]]


def _ear(body: Body, lift: float) -> list[Run]:
    chin, tall = body.stature * CHIN_FRACTION + lift, body.stature * (1 - CHIN_FRACTION)
    half = HEAD_BREADTH_FRACTION * body.stature / 2
    ear = [(0.92, 0.56), (1.05, 0.595), (1.115, 0.53), (1.07, 0.42), (0.98, 0.345), (0.9, 0.37)]
    return [[(half * x, chin + tall * y) for x, y in ear]]


def neck_half(body: Body) -> float:
    """Half the neck's breadth, cm: the neck is taken as round."""
    return body.girth("neck") / (2 * math.pi) * 0.98


@lru_cache(maxsize=512)
def shoulder_line(body: Body, lift: float) -> list[Point]:
    """From the side of the neck out over the shoulder to the upper arm, on the right."""
    high, tip = body.height("shoulder") + lift, body.breadths["shoulder_breadth"].cm / 2
    neck, slope = neck_half(body), drawn_as(body).slope
    return [
        (neck * 1.0, high + 2.0 + 1.9 * slope),
        (neck * 1.14, high + 0.7 + 1.0 * slope),
        (neck * 1.42, high + 0.1 + 0.45 * slope),
        (neck * 1.42 + 0.34 * (tip - neck * 1.42), high - 0.75),
        (tip * 0.8, high - 1.9),
        (tip * 0.94, high - 3.1),
        (tip - 0.15, high - SHOULDER_SLOPE - 0.9),
        (tip - 0.5, high - SHOULDER_SLOPE - 5.0),
    ]


def armpit_of(body: Body) -> float:
    """Height of the armpit above the sole, cm."""
    return body.height("bust") + 0.42 * (body.height("shoulder") - body.height("bust"))


def trunk_side(body: Body, lift: float, off: float = 0.0) -> list[Point]:
    """The right side of the trunk from the armpit to the crotch, `off` cm off the skin."""
    names = ("bust", "under_bust", "waist", "high_hip", "hip")
    crotch = body.height("crotch")
    heights = {*steps(armpit_of(body), crotch, 5.0), *(body.height(name) for name in names)}
    return [(body.half_breadth(h) + off, h + lift) for h in well_apart(heights) if h >= crotch]


def well_apart(heights: set[float]) -> list[float]:
    """Heights from the top down, none so close to the last that a curve would kink."""
    kept: list[float] = []
    for height in sorted(heights, reverse=True):
        if not kept or kept[-1] - height > 1.6:
            kept.append(height)
    return kept


def leg_outside(body: Body, height: float) -> float:
    """x of the outer side of the right leg at a height above the sole, cm: the calf bulges higher here than inside."""
    return body.leg_centre(height) + body.leg_half_breadth(max(height - CALF_SHIFT * _on_calf(body, height), 0.0))


def leg_inside(body: Body, height: float) -> float:
    """x of the inner side of the right leg."""
    return max(0.15, body.leg_centre(height) - body.leg_half_breadth(height + CALF_SHIFT * _on_calf(body, height)))


def _on_calf(body: Body, height: float) -> float:
    """1 between ankle and knee, running out towards either."""
    low, high = body.height("narrow_ankle"), body.height("knee")
    return max(0.0, min(1.0, (height - low) / 5.0, (high + 4.0 - height) / 6.0))


def leg_heights(body: Body, top: float, low: float) -> list[float]:
    """Heights at which a leg's contour is drawn."""
    marks = {body.height(name) for name in ("mid_thigh", "knee", "calf", "narrow_ankle")}
    return well_apart({*steps(top, low, 6.0), *(h for h in marks if low < h < top)})


def foot(body: Body, lift: float, shod: bool = False) -> list[Point]:
    """The right foot from the outer ankle round to the inner, standing on the ground; drawn in where a shoe is over it."""
    bone = body.height("ankle_bone")
    ankle, middle = body.leg_half_breadth(bone), body.leg_centre(bone)
    centre, half = body.leg_centre(0.0) + 1.0, 0.187 * body.lengths["foot_length"].cm
    up = bone + lift
    if shod:
        return [
            (middle + ankle, up),
            (centre + half * 0.6, up * 0.4),
            (centre, 0.8),
            (centre - half * 0.6, up * 0.4),
            (middle - ankle, up),
        ]
    return [
        (middle + ankle * 1.02, up + 0.8),
        (middle + ankle * 1.2, up - 0.9),
        (middle + ankle * 1.16, up * 0.66),
        (centre + half * 0.94, up * 0.34 + 0.4),
        (centre + half * 1.04, 1.5),
        (centre + half * 0.98, 0.35),
        (centre + half * 0.7, 0.0),
        (centre - half * 0.62, 0.0),
        (centre - half * 0.96, 0.45),
        (centre - half * 0.98, 1.8),
        (centre - half * 0.8, up * 0.4 + 0.5),
        (middle - ankle * 1.08, up * 0.72),
        (middle - ankle * 1.24, up + 0.1),
        (middle - ankle * 1.03, up + 1.9),
    ]


def _side(body: Body, lift: float, shod: bool) -> list[Run]:
    """The right side from under the chin to the floor and up the inner leg to the crotch."""
    neck, chin = neck_half(body), body.stature * CHIN_FRACTION + lift
    crotch, bone = body.height("crotch"), body.height("ankle_bone")
    above: Run = [(0.0, chin + 5.0), (neck * 0.97, chin + 5.0)]
    throat: list[Point] = [(neck * 0.97, chin + 5.0), (neck * 0.93, chin - 0.5), *shoulder_line(body, lift)]
    legs = leg_heights(body, crotch - 4.0, bone + 2.0)
    outside = [*trunk_side(body, lift), *((leg_outside(body, h), h + lift) for h in legs)]
    inside = [(leg_inside(body, h), h + lift) for h in reversed(leg_heights(body, crotch - 1.5, bone + 2.4))]
    contour = [*throat, *outside, *foot(body, lift, shod), *inside, (0.0, crotch + lift)]
    return [above, contour]


def _skin_lines(body: Body, lift: float, shod: bool) -> list[Run]:
    """The few lines that make a contour a body: collar bones, chest, navel, belly, knees and toes."""
    at = body.height
    high, tip, neck = at("shoulder") + lift, body.breadths["shoulder_breadth"].cm / 2, neck_half(body)
    right: list[Run] = [[(neck * 0.42, high - 2.6), (neck * 1.2, high - 2.1), (tip * 0.68, high - 2.2)]]
    half, under, bust = body.half_breadth(at("bust")), at("under_bust") + lift, at("bust") + lift
    cup = body.girth("bust") - body.girth("under_bust")
    if drawn_as(body).chest:
        right.append(
            [(1.6, under + 2.0), (half * 0.4, under + 1.2), (half * 0.78, under + 4.0), (half * 0.86, bust + 1.5)]
        )
    elif cup > 5.0:
        drop = min(2.4, 0.11 * cup)
        right.append(
            [
                (half * 0.10, under + 2.6),
                (half * 0.28, under + 1.3 - drop),
                (half * 0.56, under + 0.7 - drop),
                (half * 0.82, under + 2.4 - drop * 0.4),
                (half * 0.95, bust + 0.6),
            ]
        )
    if body.girth("belly") > body.girth("waist") + 7.0:
        low, wide = at("high_hip") + lift - 2.0, body.half_breadth(at("high_hip"))
        right.append([(0.0, low - 1.0), (wide * 0.36, low - 0.4), (wide * 0.66, low + 2.2)])
    knee, centre = at("knee") + lift, body.leg_centre(at("knee"))
    wide = body.leg_half_breadth(at("knee"))
    right += [
        [(centre - wide * 0.56, knee + 2.0), (centre - wide * 0.62, knee - 0.6), (centre - wide * 0.3, knee - 2.5)],
        [(centre + wide * 0.6, knee + 1.6), (centre + wide * 0.64, knee - 0.6), (centre + wide * 0.42, knee - 2.0)],
    ]
    right += [] if shod else _toes(body)
    navel = at("navel") + lift
    return [*right, *(flip(run) for run in right), [(0.0, navel + 0.8), (0.1, navel - 0.5)]]


def _toes(body: Body) -> list[Run]:
    centre, half = body.leg_centre(0.0) + 1.0, 0.187 * body.lengths["foot_length"].cm
    found: list[Run] = []
    for share, tall in ((-0.34, 1.9), (0.06, 1.7), (0.38, 1.45), (0.68, 1.2)):
        found.append([(centre + half * share, 0.15), (centre + half * (share - 0.04), tall)])
    return found


@lru_cache(maxsize=512)
def draw_figure(body: Body, lift: float = 0.0, *, shod: bool = False) -> tuple[Shape, ...]:
    """The undressed figure, standing `lift` cm off the floor on its heels: arms, trunk and legs, head. Shod, its feet are
    no broader than a shoe leaves them."""
    left, right = along(arm_path(body, lift))
    arm: list[Run] = [[*reversed(right), *left]]
    hand, fingers = _hand(body, lift)
    ear = _ear(body, lift)

    def both(key: str, runs: list[Run]) -> tuple[Shape, Shape]:
        mirrored = [flip(run) for run in runs]
        return area(f"{key}_right", "body", runs, role="skin"), area(f"{key}_left", "body", mirrored, role="skin")

    lined = [*_skin_lines(body, lift, shod), *fingers, *(flip(run) for run in fingers)]
    return (
        *both("hand", hand),
        *both("ear", ear),
        *both("arm", arm),
        area("trunk", "body", whole(_side(body, lift, shod)), role="skin"),
        area("head", "body", _head(body, lift), role="skin"),
        lines("lines", "body", "skinline", lined),
    )
