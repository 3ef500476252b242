"""The side outline: body and clothes seen from the right, arms left out; x forward of the plumb line through the ankle.

Depth follows from girth and front-view breadth; how it lies before and behind the plumb line is a usual standing
figure's. Cloth with ease hangs from the furthest point above it: off the bust in front, off the seat behind.
"""

from __future__ import annotations

import math
from collections.abc import Callable
from functools import lru_cache, partial
from typing import NamedTuple

from scipy.interpolate import PchipInterpolator

from craft.body import Body
from craft.body.proportions import CHIN_FRACTION
from craft.draw.bottom import HANGS_BROAD, outer
from craft.draw.layer import layer_half
from craft.draw.shapes import Point, Shape, steps
from craft.draw.top import top_half
from craft.look import Outfit
from craft.wear import WornBottom, WornLayer

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
#: From this volume on, cloth hangs plumb from the furthest point above it; a fitted one follows the body (0 to 4) (W).
PLUMB, FOLLOWS = 2.4, 0.9
#: Where on the leg the fall of the seat has run out, as a share of the fork's height (W).
RUNS_OUT = 0.55


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


def draw_profile(outfit: Outfit) -> tuple[Shape, ...]:
    """The dressed figure from the side, as shapes to paint in order.

    >>> from craft.body import Measures
    >>> from craft.look import Look, compose
    >>> worn = compose(Body.of(Measures.of({"stature": 165})), Look.of([{"is": "jeans"}, {"is": "tee"}]))
    >>> [shape.slot for shape in draw_profile(worn)]
    ['body', 'body', 'body', 'bottom', 'top']
    """
    worn = [*_shoes(outfit), *_bottom(outfit), *_top(outfit)]
    if outfit.top is not None and outfit.top.tucked:
        worn.sort(key=lambda shape: shape.slot == "bottom")
    return (*_body(outfit), *worn, *_layers(outfit))


def _body(outfit: Outfit) -> tuple[Shape, ...]:
    body, lift = outfit.body, outfit.lift
    side = side_of(body)
    heights = steps(body.height("shoulder"), body.height("ankle_bone"), 2.0)
    trunk = [*((side.front(h), h + lift) for h in heights), *((side.back(h), h + lift) for h in reversed(heights))]
    chin, crown = body.stature * CHIN_FRACTION + lift, body.stature + lift
    half = body.girth("neck") / (2 * math.pi)
    high = body.height("shoulder") + lift
    neck: list[Point] = [(half, chin + 3), (half - 1, high - 2), (-half - 2, high + 1), (-half, chin + 5)]
    middle, tall = (crown + chin) / 2, (crown - chin) / 2
    turns = [2 * math.pi * turn / 40 for turn in range(40)]
    head = [(1.5 + 0.8 * tall * math.sin(turn), middle + tall * math.cos(turn)) for turn in turns]
    foot = _foot(outfit, 0.0)
    return (
        Shape("trunk", "body", "skin", (*trunk, *foot)),
        Shape("neck", "body", "skin", tuple(neck)),
        Shape("head", "body", "skin", tuple(head)),
    )


def _foot(outfit: Outfit, room: float) -> list[Point]:
    """The foot from the back of the ankle down to the sole and up the instep, `room` cm of shoe round it."""
    long, bone = outfit.body.lengths["foot_length"].cm, outfit.body.height("ankle_bone")
    heel, ball = outfit.lift, max(0.0, outfit.shoes.platform)
    behind, ahead = -0.26 * long - room, 0.72 * long + room
    side = side_of(outfit.body)
    return [
        (behind, bone * 0.5 + heel),
        (behind + 0.6, heel),
        (0.1 * long, heel * 0.75 + ball * 0.25),
        (0.42 * long, ball),
        (ahead, ball),
        (ahead, ball + 1.8),
        (0.5 * long, ball + 3.6 + room),
        (side.front(bone) + room, bone + heel),
    ]


def _shoes(outfit: Outfit) -> tuple[Shape, ...]:
    shoes, body = outfit.shoes, outfit.body
    if shoes.piece is None:
        return ()
    long, ball = body.lengths["foot_length"].cm, max(0.0, shoes.platform)
    sole: list[Point] = [(-0.26 * long - 0.4, outfit.lift), (-0.26 * long, 0.0), (-0.12 * long, 0.0)]
    sole += [(-0.1 * long, outfit.lift * 0.6), (0.36 * long, 0.0), (0.74 * long, 0.0), (0.73 * long, ball)]
    sole += [(0.42 * long, ball), (0.1 * long, outfit.lift * 0.8)]
    upper = _foot(outfit, 0.5)
    if shoes.is_boot:
        side, ease = side_of(body), max(0.0, shoes.shaft_ease or 0.0) / (2 * math.pi) + 0.4
        rising = steps(shoes.cover.cm, body.height("ankle_bone") + outfit.lift + 1.0, 2.0)
        front = [(side.front(h - outfit.lift) + ease, h) for h in reversed(rising)]
        upper = [*upper, *front, *((side.back(h - outfit.lift) - ease, h) for h in rising)]
    colour = shoes.colour
    return (
        Shape("sole", "shoes", "sole", tuple(sole), colour),
        Shape("upper", "shoes", "cloth", tuple(upper), colour),
    )


def _hung(outfit: Outfit, heights: list[float], ease: Callable[[float], float], volume: float) -> list[Point]:
    """Cloth down the front and up the back at these heights above the ground, `ease` cm off the body or off its fall."""
    side, lift = side_of(outfit.body), outfit.lift
    loose = min(1.0, max(0.0, (volume - FOLLOWS) / (PLUMB - FOLLOWS)))
    furthest, hindmost = -math.inf, math.inf
    front: list[Point] = []
    back: list[Point] = []
    for height in heights:
        ahead, behind = side.front(height - lift), side.back(height - lift)
        furthest, hindmost = max(furthest, ahead), min(hindmost, behind)
        off = ease(height)
        front.append((ahead + (furthest - ahead) * loose + off, height))
        back.append((behind + (hindmost - behind) * loose - off, height))
    return front + back[::-1]


def _bottom(outfit: Outfit) -> tuple[Shape, ...]:
    bottom = outfit.bottom
    if bottom is None:
        return ()
    heights = steps(bottom.waistband.cm, max(bottom.hem.cm, 0.0), 2.0)
    points = _hung(outfit, heights, partial(_bottom_ease, outfit, bottom), bottom.volume)
    if bottom.has_legs:
        points = [(_within_leg(outfit, bottom, x, height), height) for x, height in points]
    return (Shape("bottom", bottom.piece.slot, "cloth", tuple(points), bottom.colour, bottom.piece.word("pattern")),)


def _bottom_ease(outfit: Outfit, bottom: WornBottom, height: float) -> float:
    """How far a bottom stands off the body, cm: above the fork and of skirts as it does in front view; of a leg, round it."""
    on_body = height - outfit.lift
    if bottom.has_legs and height < bottom.fork:
        return max(0.3, (bottom.girth_at(height) - outfit.body.leg_girth(on_body)) / (2 * math.pi))
    at = max(on_body, outfit.body.height("crotch"))
    return max(0.3, min(outer(outfit, bottom, height) - outfit.body.half_breadth(at), 14.0))


def _within_leg(outfit: Outfit, bottom: WornBottom, x: float, height: float) -> float:
    """A leg of cloth hangs no deeper than its own girth lets it, once the seat's fall has run out below the fork."""
    side, on_body = side_of(outfit.body), height - outfit.lift
    front, back = side.front(on_body), side.back(on_body)
    middle, half = (front + back) / 2, max((front - back) / 2 + 0.3, HANGS_BROAD * bottom.girth_at(height) / 2)
    within = min(max(x, middle - half), middle + half)
    runs_out = RUNS_OUT * bottom.fork
    falls = min(1.0, max(0.0, (height - runs_out) / max(bottom.fork - runs_out, 1.0)))
    return within + (x - within) * falls


def _top(outfit: Outfit) -> tuple[Shape, ...]:
    top = outfit.top
    if top is None:
        return ()
    body, lift = outfit.body, outfit.lift
    hem = top.hem.cm
    if outfit.bottom is not None and top.tucked and top.front.cm == top.side.cm:
        hem = outfit.bottom.waistband.cm - 0.4 - top.blouse

    def ease(height: float) -> float:
        return max(0.3, top_half(outfit, top, height) - body.half_breadth(max(height - lift, body.height("crotch"))))

    points = _hung(outfit, steps(body.height("shoulder") + lift, hem, 2.0), ease, top.volume)
    return (Shape("top", top.piece.slot, "cloth", tuple(points), top.colour, top.piece.word("pattern")),)


def _layers(outfit: Outfit) -> tuple[Shape, ...]:
    high = outfit.body.height("shoulder") + outfit.lift
    found = []
    for at, layer in enumerate(outfit.layers):
        points = _hung(outfit, steps(high, layer.hem.cm, 2.0), partial(_layer_ease, outfit, layer), layer.volume)
        found.append(Shape(f"layer{at}", "layer", "cloth", tuple(points), layer.colour, layer.piece.word("pattern")))
    return tuple(found)


def _layer_ease(outfit: Outfit, layer: WornLayer, height: float) -> float:
    own = outfit.body.half_breadth(max(height - outfit.lift, outfit.body.height("crotch")))
    return max(0.6, min(layer_half(outfit, layer, height) - own, 12.0))
