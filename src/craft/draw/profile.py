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
from craft.draw.figure import armpit_of, well_apart
from craft.draw.frames import Cloth
from craft.draw.layer import at_their_places, layer_half
from craft.draw.shapes import Point, Run, Shape, area, lines, moved, steps
from craft.draw.shoe_side import draw_shoe_side
from craft.draw.top import top_half
from craft.draw.weave import light_of, opacity_of, thread, weave_of
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
    >>> list(dict.fromkeys(shape.slot for shape in draw_profile(worn)))
    ['body', 'bottom', 'top']
    """
    top, bottom = _top(outfit), _bottom(outfit)
    tucked = outfit.top is not None and outfit.top.tucked
    inside = outfit.bottom is not None and outfit.bottom.inside
    clothes = (*top, *bottom) if tucked else (*bottom, *top)
    worn = (*clothes, *_shoes(outfit)) if inside else (*_shoes(outfit), *clothes)
    return (*_body(outfit), *worn, *_layers(outfit))


def _body(outfit: Outfit) -> tuple[Shape, ...]:
    """Head, trunk and legs in one contour: from the throat down the front, round the foot, up the back to the nape."""
    body, lift = outfit.body, outfit.lift
    side, at = side_of(body), body.height
    chin, tall = body.stature * CHIN_FRACTION + lift, body.stature * (1 - CHIN_FRACTION)
    deep, neck, high = body.stature * 0.056, body.girth("neck") / (2 * math.pi), at("shoulder")
    heights = well_apart(
        {*steps(high - 6.0, at("ankle_bone") + 2.0, 7.0), *(at(level) for level in BEFORE if level != "shoulder")}
    )
    heights = [h for h in heights if at("ankle_bone") + 1.5 < h <= high - 6.0]
    front: Run = [
        (neck * 0.5, chin + 5.0),
        (neck * 0.8, chin - 1.2),
        (neck * 0.72, high + lift + 0.6),
        *((side.front(h), h + lift) for h in heights),
    ]
    behind: Run = [
        *((side.back(h), h + lift) for h in reversed(heights)),
        (side.back(high - 3.0) * 0.96, high + lift - 0.5),
        (-neck * 1.28, high + lift + 4.2),
        (-neck * 1.1, chin + 2.0),
        (-neck * 0.8, chin + 10.0),
    ]
    shape = [
        (0.1, 1.0),
        (0.6, 0.945),
        (0.95, 0.79),
        (1.06, 0.61),
        (1.04, 0.45),
        (1.03, 0.28),
        (0.95, 0.1),
        (0.78, 0.012),
        (0.52, 0.03),
    ]
    nape = [
        (0.2, 0.16),
        (-0.1, 0.24),
        (-0.5, 0.26),
        (-0.82, 0.38),
        (-1.0, 0.56),
        (-0.96, 0.76),
        (-0.62, 0.94),
        (0.1, 1.0),
    ]
    head = [(deep * x - 0.5, chin + tall * y) for x, y in (*shape, *nape)]
    sole = _foot(outfit)
    trunk: list[Run] = [front, [front[-1], sole[0]], sole, [sole[-1], behind[0]], behind, [behind[-1], front[0]]]
    ear: Run = [
        (-1.2, chin + tall * 0.52),
        (0.3, chin + tall * 0.56),
        (0.5, chin + tall * 0.44),
        (-0.7, chin + tall * 0.34),
        (-1.2, chin + tall * 0.42),
    ]
    return (
        area("trunk", "body", trunk, role="skin"),
        area("head", "body", [head], role="skin"),
        lines("lines", "body", "skinline", [ear]),
    )


def _foot(outfit: Outfit) -> Run:
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


def _shoes(outfit: Outfit) -> tuple[Shape, ...]:
    """The right shoe, as it lies on the rack, on this foot."""
    shoes, body = outfit.shoes, outfit.body
    long = body.lengths["foot_length"].cm
    leg = body.leg_girth(max(min(shoes.cover.cm - shoes.heel, body.height("calf")), 8.0)) + max(
        0.0, shoes.shaft_ease or 0.0
    )
    drawn = draw_shoe_side(shoes, "shoes", long, leg)
    return tuple(moved(shape, -0.27 * long) for shape in drawn)


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


def _closed(cloth: Cloth, points: list[Point]) -> Shape:
    """Front and back of a garment closed at neck or band and hem."""
    half = len(points) // 2
    front, behind = points[:half], points[half:]
    above: Run = [behind[-1], front[0]]
    if cloth.key != "bottom":
        (x0, y0), (x1, _) = behind[-1], front[0]
        above = [behind[-1], (x0 * 0.62 + x1 * 0.38, y0 + 2.2), (x0 * 0.3 + x1 * 0.7, y0 + 1.2), front[0]]
    runs: list[Run] = [front, [front[-1], behind[0]], behind, above]
    piece = cloth.piece
    return area(
        cloth.key,
        cloth.slot,
        runs,
        cloth.colour,
        weave=weave_of(piece, cloth.colour),
        light=light_of(piece),
        opacity=opacity_of(piece),
    )


def _bottom(outfit: Outfit) -> tuple[Shape, ...]:
    bottom = outfit.bottom
    if bottom is None:
        return ()
    heights = steps(bottom.waistband.cm, max(bottom.hem.cm, 0.0), 5.0)
    points = _hung(outfit, heights, partial(_bottom_ease, outfit, bottom), bottom.volume)
    if bottom.has_legs:
        points = [(_within_leg(outfit, bottom, x, height), height) for x, height in points]
    half = len(points) // 2
    middle = [((a + b) / 2, h) for (a, h), (b, _) in zip(points[:half], reversed(points[half:]), strict=True)]
    cloth = Cloth(bottom.piece, bottom.piece.slot, "bottom", bottom.colour)
    band: Run = [(points[1][0], bottom.waistband.cm - 3.5), (points[-2][0], bottom.waistband.cm - 3.5)]
    seams: list[Run] = [middle, band]
    if bottom.has_legs and bottom.piece.kind != "leggings":
        x, y = middle[1][0], bottom.waistband.cm - 3.6
        seams.append([(points[1][0] * 0.5 + x * 0.5, y), (x + 0.6, y - 12.0)])
    return (
        _closed(cloth, points),
        lines("bottom_seams", cloth.slot, "seam", seams, thread(bottom.colour), clip="bottom"),
    )


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
    hem = max(top.hem.cm, 0.0)
    if outfit.bottom is not None and top.tucked and top.front.cm == top.side.cm:
        hem = outfit.bottom.waistband.cm - 0.4 - top.blouse

    def ease(height: float) -> float:
        return max(0.3, top_half(outfit, top, height) - body.half_breadth(max(height - lift, body.height("crotch"))))

    points = _hung(outfit, steps(body.height("shoulder") + lift - 0.5, hem, 5.0), ease, top.volume)
    cloth = Cloth(top.piece, top.piece.slot, "top", top.colour)
    return (_closed(cloth, points), _armhole(outfit, cloth))


def _layers(outfit: Outfit) -> tuple[Shape, ...]:
    high = outfit.body.height("shoulder") + outfit.lift
    found = []
    for at, layer in enumerate(outfit.layers):
        points = _hung(
            outfit, steps(high, max(layer.hem.cm, 0.0), 5.0), partial(_layer_ease, outfit, layer), layer.volume
        )
        cloth = Cloth(layer.piece, "layer", f"layer{at}", layer.colour)
        found += [_closed(cloth, points), _armhole(outfit, cloth)]
    return at_their_places(outfit, found)


def _armhole(outfit: Outfit, cloth: Cloth) -> Shape:
    """Where the arm, which is left out here, comes out of the garment."""
    body, lift, side = outfit.body, outfit.lift, side_of(outfit.body)
    high, low = body.height("shoulder") - 1.0, armpit_of(body) - 3.0
    middle = (side.front(low) + side.back(low)) / 2
    wide = body.girth("upper_arm") * 0.21
    ring: Run = [
        (middle, high + lift),
        (middle + wide, (high + low) / 2 + 2.0 + lift),
        (middle + wide * 0.8, low + 1.5 + lift),
        (middle, low + lift),
        (middle - wide * 0.9, low + 2.0 + lift),
        (middle - wide * 0.9, (high + low) / 2 + 2.0 + lift),
        (middle, high + lift),
    ]
    return lines(f"{cloth.key}_armhole", cloth.slot, "seam", [ring], thread(cloth.colour), clip=cloth.key)


def _layer_ease(outfit: Outfit, layer: WornLayer, height: float) -> float:
    own = outfit.body.half_breadth(max(height - outfit.lift, outfit.body.height("crotch")))
    return max(0.6, min(layer_half(outfit, layer, height) - own, 12.0))
