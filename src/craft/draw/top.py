"""Tops as they hang: neckline, sleeves, ease, and the tuck that was made."""

from __future__ import annotations

import math
from dataclasses import replace
from itertools import pairwise

from craft.draw.bottom import EASE_SHOWS, outer
from craft.draw.figure import SHOULDER_SLOPE, arm_path, armpit_of, neck_half, shoulder_line
from craft.draw.frames import Cloth, Sleeve, Trunk, armhole_of
from craft.draw.made import is_strapped
from craft.draw.shapes import Point, Run, Shape, along, area, other_side, steps
from craft.draw.trunk import draw_trunk
from craft.look import Outfit
from craft.wear import WornTop
from craft.wear.openings import neck_depth, sleeve_share

#: Half width of necklines over the neck's, and how far a collar stands above the high point of the shoulder, cm (W).
NECK_WIDTH = {
    "crew": 1.42,
    "scoop": 1.95,
    "v": 1.55,
    "boat": 2.5,
    "polo": 1.12,
    "open_collar": 1.3,
    "closed_collar": 1.18,
    "halter": 1.3,
    "square": 2.1,
    "one_shoulder": 1.6,
}
STANDS = {"polo": 4.0, "closed_collar": 1.2}
#: So far above and below itself a belt draws in what it lies over, cm (W).
DRAWN_IN = 10.0
#: Into how many pieces a round neckline is drawn.
ROUND_IN = 4
#: A strap is so broad, cm, and stands so far out, over the half breadth at the bust (W).
STRAP_WIDE, STRAP_AT = 1.0, 0.56
#: A sleeve's room by its shape, over what its volume gives, at head, elbow and cuff (W).
SLEEVE_ROOM = {"puffed": (3.4, 1.6, 0.8), "wide": (1.0, 1.5, 3.6), "close": (0.5, 0.4, 0.4)}


def belted_at(outfit: Outfit) -> float | None:
    """Where a belt lies over what hangs past the band, cm above the ground; nothing where it lies on the band, or none is worn."""
    top, bottom = outfit.top, outfit.bottom
    if top is None or "belt" not in outfit.extras:
        return None
    hangs = not top.tucked and (bottom is None or top.hem.cm < bottom.waistband.cm - 2.0)
    return outfit.at("waist") if hangs or top.piece.slot == "one_piece" else None


def top_half(outfit: Outfit, top: WornTop, height: float) -> float:
    """Half breadth of the top at a height: the body's, and the share of the ease that shows; a belt over it draws it in."""
    free = _free_half(outfit, top, height)
    at = belted_at(outfit)
    if at is None or abs(height - at) >= DRAWN_IN:
        return free
    held = outfit.body.half_breadth(max(height - outfit.lift, outfit.body.height("crotch"))) + 0.6
    return held + max(0.0, free - held) * float((abs(height - at) / DRAWN_IN) ** 1.3)


def _free_half(outfit: Outfit, top: WornTop, height: float) -> float:
    body = outfit.body
    on_body = height - outfit.lift
    own = body.half_breadth(max(on_body, body.height("crotch")))
    bust = body.half_breadth(body.height("bust"))
    ease = top.ease * body.girth("bust")
    if top.volume <= 1.2 and ease < 6:
        return own + 0.4
    # A top with ease hangs from the bust: it follows the waist less, the more ease it has.
    hang = min(1.0, max(0.0, ease) / 16.0)
    hung = max(own, bust * hang + own * (1 - hang))
    shown = hung + max(0.5, EASE_SHOWS * ease)
    if outfit.bottom and height < outfit.bottom.waistband.cm:
        # Untucked cloth goes over the trousers, never into them.
        shown = max(shown, outer(outfit, outfit.bottom, height) + 0.4)
    return shown


def _neckline(outfit: Outfit, top: WornTop) -> list[Point]:
    """From the middle of the neckline out to the shoulder, on the right."""
    high = outfit.body.height("shoulder") + outfit.lift
    neck = neck_half(outfit.body)
    stands, out = STANDS.get(top.neck), neck * NECK_WIDTH[top.neck]
    middle = high + stands if stands else high - neck_depth(top.piece, top.neck)
    line = shoulder_line(outfit.body, outfit.lift)
    if top.neck == "polo":
        return [(0.0, middle), (neck * 0.7, middle), (neck * 1.05, middle - 0.6), (out, high + 1.2)]
    edge = _on_line(line, out)
    if stands:
        return [(0.0, high - 3.0), (out * 0.7, high - 1.6), (out, edge)]
    if top.neck in ("v", "open_collar") or _is_wrapped(top):
        return [(0.0, middle), (out, edge)]
    if top.neck == "square":
        return [(0.0, middle), (out * 0.94, middle + 0.01), (out, edge)]
    # A quarter of an oval, from the middle of the dip up to the shoulder.
    turns = [math.pi / 2 * step / ROUND_IN for step in range(ROUND_IN + 1)]
    return [(out * math.sin(turn), edge - (edge - middle) * math.cos(turn)) for turn in turns]


def _is_wrapped(top: WornTop) -> bool:
    """Whether its fronts cross in a V, as a wrap's do where no other neckline is said."""
    return top.piece.word("cut") == "wrap" and not top.piece.says("neck")


def _on_line(line: list[Point], x: float) -> float:
    for (x0, y0), (x1, y1) in pairwise(line):
        if x0 <= x <= x1:
            return y0 + (y1 - y0) * (x - x0) / max(x1 - x0, 0.01)
    return line[0][1] if x < line[0][0] else line[-1][1]


def _bottom_edge(outfit: Outfit, top: WornTop) -> list[tuple[float, float]]:
    """Heights of the lower edge from the right side (1) over the middle (0) to the left (-1)."""
    hem = max(top.hem.cm, 0.5)
    band = outfit.bottom.waistband.cm if outfit.bottom else hem
    match top.tuck:
        case "full" | "bloused" | "bra" | "lifted":
            drop = band - 0.4 - top.blouse
            return [(1.0, drop), (0.5, drop - 0.3), (0.0, drop - 0.3), (-0.5, drop - 0.3), (-1.0, drop)]
        case "front":
            return [
                (1.0, hem),
                (0.72, hem + 0.25 * (band - hem)),
                (0.45, band - 1.0),
                (0.0, band - 1.6),
                (-0.45, band - 1.0),
                (-0.72, hem + 0.25 * (band - hem)),
                (-1.0, hem),
            ]
        case "knot":
            return [
                (1.0, hem * 0.35 + band * 0.65),
                (0.3, band - 1.0),
                (0.0, band - 3.5),
                (-0.3, band - 1.0),
                (-1.0, hem * 0.35 + band * 0.65),
            ]
        case "half" | "front_and_tail":
            return [
                (1.0, band - 0.6),
                (0.4, band - 1.4),
                (0.05, band - 2.5),
                (-0.1, hem - 0.5),
                (-0.5, hem - 1.0),
                (-1.0, hem),
            ]
        case "gathered":
            pulled = hem * 0.45 + band * 0.55
            return [(1.0, pulled), (0.8, pulled - 1.5), (0.2, hem - 0.5), (-0.4, hem), (-1.0, hem + 0.5)]
        case "side":
            return [
                (1.0, band - 0.8),
                (0.75, band - 2.5),
                (0.3, hem * 0.75 + band * 0.25),
                (-0.3, hem - 0.5),
                (-1.0, hem),
            ]
        case _:
            curve = 3.4 if top.piece.kind == "shirt" else 0.6
            return [
                (1.0, hem + curve),
                (0.6, hem + 0.1 * curve),
                (0.0, hem),
                (-0.6, hem + 0.1 * curve),
                (-1.0, hem + curve),
            ]


def top_frame(outfit: Outfit, top: WornTop) -> Trunk:
    """A top as it hangs."""
    body, lift = outfit.body, outfit.lift
    neck = _neckline(outfit, top)
    tip = body.breadths["shoulder_breadth"].cm / 2
    high = body.height("shoulder") + lift
    drop = min(3.5, max(0.0, top.volume - 2.0) * 1.8)
    armpit = armpit_of(body) + lift - drop
    line = shoulder_line(body, lift)
    bare = 0.84 if top.sleeve == "none" else 1.0
    if bare < 1:
        end = max(tip * bare, neck[-1][0] + 2.5)
        shoulder = [neck[-1], (end, _on_line(line, end) + 0.2)]
    else:
        between = [(x, y + 0.45) for x, y in line if neck[-1][0] + 1.5 < x < tip * 0.9]
        shoulder = [neck[-1], *between, (tip + 0.5 + drop, high - SHOULDER_SLOPE + 0.15 - drop)]
    edge = [(share, max(height, 0.0)) for share, height in _bottom_edge(outfit, top)]
    right_low, left_low = edge[0][1], edge[-1][1]
    pit = (top_half(outfit, top, armpit), armpit)
    armhole = armhole_of(shoulder[-1], pit)

    def side(low: float) -> list[Point]:
        return [(top_half(outfit, top, h), h) for h in steps(armpit, min(low, armpit - 2.0), 5.0)]

    right, left = side(right_low), side(left_low)
    wide = (right[-1][0] + left[-1][0]) / 2
    hem = [right[-1], *((share * wide, height) for share, height in edge[1:-1]), (-left[-1][0], left[-1][1])]
    frame = Trunk(
        neck,
        shoulder,
        armhole,
        right,
        hem,
        lambda height: top_half(outfit, top, height),
        body.height("bust") + lift,
        body.height("waist") + lift,
        body.height("hip") + lift,
        side_left=left if left_low != right_low else None,
        volume=top.volume,
        tied=right_low if top.tucked and top.front.cm == top.side.cm else None,
    )
    if is_strapped(top.piece):
        return _strapped(frame)
    if top.neck == "halter":
        start: Point = (neck[-1][0] * 1.25, neck[-1][1] - 0.4)
        return replace(
            frame, shoulder=[neck[-1], start], armhole=[start, (start[0] + 1.6, (start[1] + armpit) / 2 + 3), pit]
        )
    if top.neck == "one_shoulder":
        low: Point = (pit[0] * 0.98, armpit + 1.0)
        return replace(frame, neck=[(0.0, neck[0][1]), neck[-1]], left_above=[[(0.0, neck[0][1]), low], [low, pit]])
    share = sleeve_share(body, top.piece, top.sleeve)
    room = 0.35 + 0.42 * top.volume
    return replace(frame, sleeve=sleeve_on(outfit, share * _taken_up(top), room, frame, top.piece.word("sleeve_shape")))


def _taken_up(top: WornTop) -> float:
    """What rolling or pushing leaves of a sleeve."""
    return 0.72 if top.piece.flag("rolled") else 0.76 if top.piece.flag("pushed") else 1.0


def _strapped(frame: Trunk) -> Trunk:
    """A top on straps: it ends above the bust in a point under each of them."""
    half, low = frame.half(frame.bust), frame.armpit[1]
    peak: Point = (half * STRAP_AT, frame.bust + 7.5)
    middle = max(frame.neck[0][1], frame.bust + 1.5)
    neck = [(0.0, middle), (half * 0.3, middle + 0.28 * (peak[1] - middle)), peak]
    out: Point = (peak[0] + STRAP_WIDE, peak[1])
    return replace(frame, neck=neck, shoulder=[peak, out], armhole=[out, (half * 0.8, low - 1.0), (frame.half(low - 4), low - 4.0)],
                   side=[(frame.half(low - 4.0), low - 4.0), *(p for p in frame.side if p[1] < low - 6.0)])  # fmt: skip


def straps(outfit: Outfit, cloth: Cloth, frame: Trunk) -> tuple[Shape, ...]:
    """Thin straps from a top's points over the shoulders."""
    (x, y), (out, _) = frame.neck[-1], frame.shoulder[-1]
    line = shoulder_line(outfit.body, outfit.lift)
    over = _on_line(line, x * 1.02) + 0.3
    runs: list[Run] = [[(x, y), (x * 1.0, over)], [(x, over), (out, over - 0.2)], [(out, over - 0.2), (out, y)]]
    right = area("strap_right", cloth.slot, runs, cloth.colour)
    return (right, other_side(right, "strap_left", runs))


def sleeve_on(outfit: Outfit, share: float, room: float, frame: Trunk, shape: str | None = None) -> Sleeve | None:
    """The right sleeve over so much of the arm, with so much room about it, cm; none where there is none."""
    if share <= 0:
        return None
    arm = part_of(arm_path(outfit.body, outfit.lift), share)
    head, elbow, cuff = SLEEVE_ROOM.get(shape or "", (1.0, 1.0, 1.0))
    roomy: list[tuple[Point, float]] = []
    for at, ((x, y), half) in enumerate(arm):
        part = at / max(len(arm) - 1, 1)
        grown = head + (elbow - head) * part * 2 if part < 0.5 else elbow + (cuff - elbow) * (part * 2 - 1)
        roomy.append(((x + room * grown * 0.45, y), half + room * grown))
    left, right = along(roomy)
    start, pit = frame.shoulder[-1], frame.armpit
    outer = [start, *(p for p in left if p[1] < start[1] - 2.2 and p[0] > start[0] - 0.5)]
    inner = [pit, *(p for p in right if p[1] < pit[1] - 2.0)]
    (x, y), (low_x, low_y) = left[-1], right[-1]
    outer = outer if len(outer) > 1 else [start, (x, y)]
    if shape == "puffed":
        # Gathered into its head, it stands up from the shoulder.
        outer = [start, (start[0] + 1.6, start[1] + 1.7), *outer[1:]]
    inner = inner if len(inner) > 1 else [pit, (low_x, min(low_y, pit[1] - 0.5))]
    top, end = arm[0][0], arm[-1][0]
    return Sleeve(outer, inner, math.degrees(math.atan2(end[0] - top[0], top[1] - end[1])), frame.armhole)


def part_of(path: list[tuple[Point, float]], share: float) -> list[tuple[Point, float]]:
    """The upper `share` of an arm, cut at its exact place."""
    low = path[0][0][1] + share * (path[-1][0][1] - path[0][0][1])
    kept = [step for step in path if step[0][1] > low]
    ((x0, y0), w0), ((x1, y1), w1) = path[len(kept) - 1], path[min(len(kept), len(path) - 1)]
    part = (y0 - low) / max(y0 - y1, 0.01)
    return [*kept, ((x0 + (x1 - x0) * part, low), w0 + (w1 - w0) * part)]


def draw_top(outfit: Outfit) -> tuple[Shape, ...]:
    """The top with its sleeves and neckline: nothing where none is worn. Points in cm, x from the middle, y from the floor."""
    top = outfit.top
    if top is None:
        return ()
    frame = top_frame(outfit, top)
    cloth = Cloth(top.piece, "top", "top", top.colour)
    held = straps(outfit, cloth, frame) if is_strapped(top.piece) else ()
    return (*held, *draw_trunk(cloth, frame))
