"""The figure: front view, computed from the client's own measures. No face, no pose."""

from __future__ import annotations

import math
from functools import lru_cache

from craft.body import Body
from craft.body.proportions import CHIN_FRACTION, HEAD_BREADTH_FRACTION
from craft.draw.shapes import Point, Shape, along, down, flipped, mirrored, steps

#: The shoulder slopes from its high point to the tip by about this much, cm.
SHOULDER_SLOPE = 4.0
#: A relaxed hand hangs this far below the wrist, over stature (DC66 hand 0.108, fingers curled).
HAND_FRACTION = 0.095


def arm_path(body: Body, lift: float) -> list[tuple[Point, float]]:
    """The right arm as points and half widths from shoulder to wrist, above the ground."""
    tip = body.breadths["shoulder_breadth"].cm / 2
    top = body.height("shoulder") + lift - SHOULDER_SLOPE + 0.9
    # Arms hang clear of the widest of hip and belly.
    hip = max(body.half_breadth(body.height(level)) for level in ("hip", "navel"))
    reach = max(hip + 4.5, tip + 4.0) - (tip - 3.4)
    length = body.lengths["arm_length"].cm
    fall = math.sqrt(max(length**2 - reach**2, (0.8 * length) ** 2))
    upper, wrist = body.girth("upper_arm"), body.girth("wrist")
    arm = [
        (0.0, 0.03),
        (0.02, 0.08),
        (0.07, 0.118),
        (0.14, 0.14),
        (0.22, 0.150),
        (0.45, 0.125),
        (0.52, 0.120),
        (0.62, 0.125),
        (0.82, 0.10),
    ]
    profile = [(t, upper * half) for t, half in arm] + [(1.0, wrist * 0.165)]
    return [((tip - 3.4 + reach * t**1.2, top - fall * t), half) for t, half in profile]


def _hand(body: Body, lift: float) -> list[Point]:
    (x, y), half = arm_path(body, lift)[-1]
    long = HAND_FRACTION * body.stature
    shape = [(-0.12, 0.9), (0.0, 1.0), (0.25, 1.25), (0.5, 1.4), (0.75, 1.2), (0.93, 0.75), (1.0, 0.25)]
    right = [(x + 0.6 * t + half * wide, y - long * t) for t, wide in shape]
    left = [(x + 0.6 * t - half * wide, y - long * t) for t, wide in shape]
    return right + left[::-1]


def _head(body: Body, lift: float) -> list[Point]:
    """A plain oval, narrower at the chin."""
    crown, chin = body.stature + lift, body.stature * CHIN_FRACTION + lift
    half, middle, tall = HEAD_BREADTH_FRACTION * body.stature / 2, (crown + chin) / 2, (crown - chin) / 2
    points = []
    for at in range(48):
        turn = 2 * math.pi * at / 48
        up = math.cos(turn)
        points.append((half * math.sin(turn) * (1 + 0.12 * up), middle + tall * up))
    return points


def neck_half(body: Body) -> float:
    """Half the neck's breadth, cm: the neck is taken as round."""
    return body.girth("neck") / (2 * math.pi) * 0.98


def shoulder_line(body: Body, lift: float) -> list[Point]:
    """From the base of the neck out to the shoulder's tip, on the right."""
    high, tip = body.height("shoulder") + lift, body.breadths["shoulder_breadth"].cm / 2
    neck = neck_half(body)
    return [
        (neck * 1.02, high + 3.6),
        (neck * 1.2, high + 1.4),
        (neck * 1.6, high),
        (tip * 0.72, high - 1.2),
        (tip * 0.93, high - 2.6),
        (tip, high - SHOULDER_SLOPE - 1.0),
        (tip + 0.8, high - SHOULDER_SLOPE - 3.5),
    ]


def _side(body: Body, lift: float) -> list[Point]:
    """The right side from chin to the floor and up the inner leg to the crotch."""
    at = body.height
    neck, chin = neck_half(body), body.stature * CHIN_FRACTION + lift
    points: list[Point] = [(neck * 0.98, chin + 3.0), (neck * 0.96, (chin + at("shoulder") + lift + 3.6) / 2)]
    points += shoulder_line(body, lift)
    armpit = at("bust") + 0.45 * (at("shoulder") - at("bust"))
    points += [(x, h + lift) for x, h in down(body.half_breadth, steps(armpit, at("crotch")))]
    crotch, bone = at("crotch"), at("ankle_bone")
    legs = steps(crotch - 1.0, bone)
    points += [(body.leg_centre(h) + body.leg_half_breadth(h), h + lift) for h in legs]
    points += foot(body, lift)
    points += [(max(0.15, body.leg_centre(h) - body.leg_half_breadth(h)), h + lift) for h in reversed(legs)]
    return points


def foot(body: Body, lift: float) -> list[Point]:
    """The right bare foot from the outer ankle round to the inner, standing on the ground."""
    centre, bone = body.leg_centre(0.0) + 0.5, body.height("ankle_bone") + lift
    half = 0.185 * body.lengths["foot_length"].cm
    return [
        (centre + half * 0.78, bone * 0.55),
        (centre + half, bone * 0.22 + 0.6),
        (centre + half * 0.95, 0.3),
        (centre + half * 0.5, 0.0),
        (centre - half * 0.6, 0.0),
        (centre - half * 0.9, 0.5),
        (centre - half * 0.85, bone * 0.25 + 0.6),
        (centre - half * 0.72, bone * 0.6),
    ]


@lru_cache(maxsize=512)
def draw_figure(body: Body, lift: float = 0.0) -> tuple[Shape, ...]:
    """The undressed figure, standing `lift` cm off the floor on its heels: arms, trunk and legs, head."""
    arm = along(arm_path(body, lift))
    hand = _hand(body, lift)
    side = _side(body, lift)
    trunk = [*side, (0.0, body.height("crotch") + lift), *mirrored(side)]
    return (
        Shape("hand_right", "body", "skin", tuple(hand)),
        Shape("hand_left", "body", "skin", flipped(hand)),
        Shape("arm_right", "body", "skin", tuple(arm)),
        Shape("arm_left", "body", "skin", flipped(arm)),
        Shape("trunk", "body", "skin", tuple(trunk)),
        Shape("head", "body", "skin", tuple(_head(body, lift))),
    )
