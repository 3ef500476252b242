"""The dressed figure from the side: body and clothes seen from the right; x forward of the plumb line through the ankle.

Cloth with ease hangs from the furthest point above it: off the bust in front, off the seat behind.
"""

from __future__ import annotations

import math
from collections.abc import Callable
from functools import partial
from typing import NamedTuple

from craft.draw.bottom import HANGS_BROAD, outer
from craft.draw.frames import Cloth, Trunk
from craft.draw.layer import OVER_ARMS, at_their_places, layer_frame, layer_half
from craft.draw.made import is_strapped, made
from craft.draw.shapes import Point, Run, Shape, area, between, lines, moved, steps
from craft.draw.shoe_side import draw_shoe_side
from craft.draw.side.body import draw_arm_side, draw_body_side, side_of
from craft.draw.side.neck import Cut, cut_of, draw_neck_side
from craft.draw.side.sleeve import draw_armhole, draw_sleeve_side
from craft.draw.side.swim import draw_swim_side
from craft.draw.side.worn import draw_beneath_side, draw_besides_side
from craft.draw.top import DRAWN_IN, belted_at, top_frame, top_half
from craft.draw.weave import light_of, opacity_of, thread, weave_of
from craft.look import Outfit
from craft.wear import WornBottom, WornLayer, WornTop

#: From this volume on, cloth hangs plumb from the furthest point above it; a fitted one follows the body (0 to 4) (W).
PLUMB, FOLLOWS = 2.4, 0.9
#: Where on the leg the fall of the seat has run out, as a share of the fork's height (W).
RUNS_OUT = 0.55


def draw_profile(outfit: Outfit) -> tuple[Shape, ...]:
    """The dressed figure from the side, as shapes to paint in order.

    >>> from craft.body import Body, Measures
    >>> from craft.look import Look, compose
    >>> worn = compose(Body.of(Measures.of({"stature": 165})), Look.of([{"is": "jeans"}, {"is": "tee"}]))
    >>> list(dict.fromkeys(shape.slot for shape in draw_profile(worn)))
    ['body', 'bottom', 'top', 'arm']
    """
    top, sleeve = _top(outfit)
    bottom = _bottom(outfit)
    tucked = outfit.top is not None and _all_in(outfit.top)
    inside = outfit.bottom is not None and outfit.bottom.inside
    in_one = outfit.one_piece is not None and outfit.look.piece("bottom") is None
    clothes = (*top, *bottom) if tucked or in_one else (*bottom, *top)
    worn = (*clothes, *_shoes(outfit)) if inside else (*_shoes(outfit), *clothes)
    under, over = draw_besides_side(outfit)
    on_trunk, on_arms = _layers(outfit)
    return (*draw_body_side(outfit), *draw_beneath_side(outfit), *draw_swim_side(outfit), *worn, *under, *on_trunk,
            *draw_arm_side(outfit), *sleeve, *on_arms, *over)  # fmt: skip


def _shoes(outfit: Outfit) -> tuple[Shape, ...]:
    """The right shoe, as it lies on the rack, on this foot."""
    shoes, body = outfit.shoes, outfit.body
    long = body.lengths["foot_length"].cm
    leg = body.leg_girth(max(min(shoes.cover.cm - shoes.heel, body.height("calf")), 8.0)) + max(
        0.0, shoes.shaft_ease or 0.0
    )
    drawn = draw_shoe_side(shoes, "shoes", long, leg)
    return tuple(moved(shape, -0.27 * long) for shape in drawn)


def _hung(
    outfit: Outfit, heights: list[float], ease: Callable[[float], float], volume: float
) -> tuple[list[Point], list[Point]]:
    """Cloth down the front and down the back at these heights above the ground, `ease` cm off the body or off its fall."""
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
    return front, back


def _from(side: list[Point], height: float) -> list[Point]:
    """A side from one of its heights down."""
    at = next((at for at, (_, y) in enumerate(side) if y == height), 0)
    return [side[at], *(point for point in side[at:] if point[1] < height - 1.0)]


def _closed(cloth: Cloth, front: list[Point], back: list[Point], above: Run, hem: Run | None = None) -> Shape:
    """Front and back of a garment closed at neck or band and hem; `above` runs from the back over to the front, the hem back."""
    runs: list[Run] = [front, hem or [front[-1], back[-1]], back[::-1], above]
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
    front, back = _hung(outfit, heights, partial(_bottom_ease, outfit, bottom), bottom.volume)
    if bottom.has_legs:
        front, back = ([(_within_leg(outfit, bottom, x, h), h) for x, h in side] for side in (front, back))
    middle = [((a + b) / 2, h) for (a, h), (b, _) in zip(front, back, strict=True)]
    cloth = Cloth(bottom.piece, bottom.piece.slot, "bottom", bottom.colour)
    band: Run = [(front[1][0], bottom.waistband.cm - 3.5), (back[1][0], bottom.waistband.cm - 3.5)]
    seams: list[Run] = [middle, band]
    if bottom.has_legs and bottom.piece.kind != "leggings":
        x, y = middle[1][0], bottom.waistband.cm - 3.6
        seams.append([(front[1][0] * 0.5 + x * 0.5, y), (x + 0.6, y - 12.0)])
    return (
        _closed(cloth, front, back, [back[0], front[0]]),
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


def _drawn_in(side: list[Point], end: float, over: float, skin: Callable[[float], float]) -> list[Point]:
    """A side that a band holds at its lower end, from so many cm above it on; never into the skin."""
    low, out = side[-1][1], math.copysign(1.0, side[-1][0])
    found: list[Point] = []
    for x, y in side:
        held = max(0.0, 1.0 - (y - low) / over) ** 1.6
        found.append((out * max(out * (x + (end - x) * held), out * skin(y) + 0.2), y))
    return found


def _belted(side: list[Point], at: float, held: Callable[[float], float]) -> list[Point]:
    """A side that a belt draws in where it lies, cm above the ground."""
    free = ((x, y, min(1.0, abs(y - at) / DRAWN_IN) ** 1.3) for x, y in side)
    return [(held(y) + (x - held(y)) * share, y) for x, y, share in free]


class Hang(NamedTuple):
    """How a garment of the upper body hangs: where it ends, cm above the ground; how far it stands off the body at a height, cm;
    its volume; from how far above its end on a band or a seam draws it in; where it ends in front, if elsewhere."""

    low: float
    ease: Callable[[float], float]
    volume: float
    over: float = 0.0
    front: float | None = None


def _upper(outfit: Outfit, cloth: Cloth, cut: Cut, hang: Hang) -> tuple[Shape, ...]:
    """A garment of the upper body from its neckline down, with what is sewn at its side, hem and neck."""
    high, low = outfit.body.height("shoulder") + outfit.lift, hang.low
    marks = (cut.front, cut.back, *([hang.front] if hang.front else ()))
    heights = {
        *steps(high - 1.5, low, 3.0 if hang.over or "belt" in outfit.extras else 5.0),
        *(at for at in marks if at > low + 1.0),
    }
    front, back = _hung(outfit, sorted(heights, reverse=True), hang.ease, hang.volume)
    if outfit.bottom is not None and (hang.over or hang.front):
        side, off = side_of(outfit.body), _bottom_ease(outfit, outfit.bottom, outfit.bottom.waistband.cm)
        at = outfit.bottom.waistband.cm - outfit.lift
        front = [point for point in front if point[1] >= (hang.front or low)]
        front = _drawn_in(front, side.front(at) + off, hang.over or 5.0, lambda y: side.front(y - outfit.lift))
        if hang.over:
            back = _drawn_in(back, side.back(at) - off, hang.over, lambda y: side.back(y - outfit.lift))
    tied = belted_at(outfit) if cloth.key == "top" else None
    if tied is not None:
        front = _belted(front, tied, lambda y: side_of(outfit.body).front(y - outfit.lift) + 0.6)
        back = _belted(back, tied, lambda y: side_of(outfit.body).back(y - outfit.lift) - 0.6)
    front, back = _from(front, cut.front), _from(back, cut.back)
    (x0, y0), (x1, y1) = front[-1], back[-1]
    # Tucked in front alone, the hem falls from the band to the back.
    hem: Run = [(x0, y0), (x0 * 0.5 + x1 * 0.5, y0 * 0.4 + y1 * 0.6), (x1, y1)] if hang.front else [(x0, y0), (x1, y1)]
    found = [_closed(cloth, front, back, [back[0], *cut.over, front[0]], hem)]
    how, ink = made(cloth), thread(cloth.colour)
    # The side seam runs below the arm.
    seams: list[Run] = [[((x0 + x1) / 2, hem[len(hem) // 2][1]), ((x0 + x1) / 2 - 0.3, max(y0, y1) + 12.0)]]
    if how.rib:
        seams.append([(x, y + how.rib) for x, y in hem])
        seams += [
            [at, (at[0], at[1] + how.rib)]
            for at in (between(hem[0], hem[-1], part) for part in (0.1, 0.3, 0.5, 0.7, 0.9))
        ]
    found.append(lines(f"{cloth.key}_seams", cloth.slot, "seam", seams, ink, clip=cloth.key))
    if how.stitched:
        sewn = [[(x, y + 1.8) for x, y in hem]]
        found.append(lines(f"{cloth.key}_stitches", cloth.slot, "stitch", sewn, ink, clip=cloth.key))
    return (*found, *draw_neck_side(outfit, cloth, cut, front))


def _all_in(top: WornTop) -> bool:
    """Whether it is tucked in all round."""
    return top.tucked and top.front.cm == top.side.cm


def _front_end(outfit: Outfit, top: WornTop) -> float | None:
    """Where a top that is tucked in front alone ends there, cm above the ground."""
    partly = outfit.bottom is not None and top.tucked and not _all_in(top) and top.front.cm > top.hem.cm + 1.0
    return top.front.cm if partly else None


def _top(outfit: Outfit) -> tuple[tuple[Shape, ...], tuple[Shape, ...]]:
    """The top's body, and its sleeve."""
    top = outfit.top
    if top is None:
        return (), ()
    body, lift = outfit.body, outfit.lift
    low = max(top.hem.cm, 0.0)
    in_one = top.piece.slot == "one_piece" and outfit.bottom is not None and outfit.bottom.piece is top.piece
    tucked = outfit.bottom is not None and _all_in(top)
    if outfit.bottom is not None and (in_one or tucked):
        low = outfit.bottom.waistband.cm - 0.4 - top.blouse
    held = (12.0 if in_one else 6.0) if in_one or tucked else 0.0

    def ease(height: float) -> float:
        return max(0.3, top_half(outfit, top, height) - body.half_breadth(max(height - lift, body.height("crotch"))))

    cloth = Cloth(top.piece, top.piece.slot, "top", top.colour)
    frame = top_frame(outfit, top)
    drawn = _upper(
        outfit,
        cloth,
        cut_of(outfit, frame, top.piece, is_strapped(top.piece)),
        Hang(low, ease, top.volume, held, _front_end(outfit, top)),
    )
    if frame.sleeve is None:
        return (*drawn, *(() if is_strapped(top.piece) else draw_armhole(outfit, cloth))), ()
    return drawn, draw_sleeve_side(outfit, cloth, frame)


def _layers(outfit: Outfit) -> tuple[tuple[Shape, ...], tuple[Shape, ...]]:
    """What layers lay on the trunk, and their sleeves, which lie over the arm; a cape lies over both."""
    trunk: list[Shape] = []
    arms: list[Shape] = []
    for at, layer in enumerate(outfit.layers):
        cloth, frame = Cloth(layer.piece, "layer", f"layer{at}", layer.colour), layer_frame(outfit, layer)
        over_arms = layer.piece.kind in OVER_ARMS
        drawn = _layer(outfit, layer, cloth, frame)
        trunk += () if over_arms else drawn
        arms += drawn if over_arms else ()
        arms += draw_sleeve_side(outfit, cloth, frame) if frame.sleeve else ()
        if frame.sleeve is None and not over_arms:
            arms += draw_armhole(outfit, cloth)
    return at_their_places(outfit, trunk), at_their_places(outfit, arms)


def _layer(outfit: Outfit, layer: WornLayer, cloth: Cloth, frame: Trunk) -> list[Shape]:
    low = max(layer.hem.cm, 0.0)
    cut = cut_of(outfit, frame, layer.piece)
    drawn = [*_upper(outfit, cloth, cut, Hang(low, partial(_layer_ease, outfit, layer), layer.volume))]
    if layer.belted:
        side, at = side_of(outfit.body), frame.waist
        off = _layer_ease(outfit, layer, at) + 0.4
        ahead, behind = side.front(at - outfit.lift) + off, side.back(at - outfit.lift) - off
        band: list[Run] = [[(behind, at + 1.9), (ahead, at + 1.6)], [(ahead, at + 1.6), (ahead, at - 1.9)],
                           [(ahead, at - 1.9), (behind, at - 1.6)], [(behind, at - 1.6), (behind, at + 1.9)]]  # fmt: skip
        drawn.append(area(f"{cloth.key}_belt", cloth.slot, band, cloth.colour, light="form"))
    return drawn


def _layer_ease(outfit: Outfit, layer: WornLayer, height: float) -> float:
    own = outfit.body.half_breadth(max(height - outfit.lift, outfit.body.height("crotch")))
    return max(0.6, min(layer_half(outfit, layer, height) - own, 12.0))
