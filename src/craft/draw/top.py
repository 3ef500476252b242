"""Tops as they hang: neckline, sleeves, ease, and the tuck that was made."""

from __future__ import annotations

import math
from itertools import pairwise

from craft.draw.bottom import EASE_SHOWS, outer
from craft.draw.figure import SHOULDER_SLOPE, arm_path, neck_half, shoulder_line
from craft.draw.shapes import Point, Shape, along, flipped, mirrored, steps
from craft.look import Outfit
from craft.wear import WornTop
from craft.wear.openings import neck_depth, sleeve_share

#: Half width of necklines over the neck's, and how far a collar stands above the high point of the shoulder, cm (W).
NECK_WIDTH = {
    "crew": 1.35,
    "scoop": 1.9,
    "v": 1.5,
    "boat": 2.5,
    "polo": 1.05,
    "open_collar": 1.35,
    "closed_collar": 1.15,
    "halter": 1.3,
    "square": 2.1,
    "one_shoulder": 1.6,
}
STANDS = {"polo": 4.0, "closed_collar": 1.5}
#: Into how many pieces a round neckline is drawn.
ROUND_IN = 8


def top_half(outfit: Outfit, top: WornTop, height: float) -> float:
    """Half breadth of the top at a height: the body's, and the share of the ease that shows."""
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
    if stands:
        return [(0.0, middle), (out * 0.7, middle), (out, middle - 0.6), (neck * 1.3, high + 1.0)]
    edge = _on_line(line, out)
    if top.neck in ("v", "open_collar"):
        return [(0.0, middle), (out, edge)]
    if top.neck == "square":
        return [(0.0, middle), (out * 0.96, middle), (out, edge)]
    # A quarter of an oval, from the middle of the dip up to the shoulder.
    turns = [math.pi / 2 * step / ROUND_IN for step in range(ROUND_IN + 1)]
    return [(out * math.sin(turn), edge - (edge - middle) * math.cos(turn)) for turn in turns]


def _on_line(line: list[Point], x: float) -> float:
    for (x0, y0), (x1, y1) in pairwise(line):
        if x0 <= x <= x1:
            return y0 + (y1 - y0) * (x - x0) / max(x1 - x0, 0.01)
    return line[-1][1]


def _bottom_edge(outfit: Outfit, top: WornTop) -> list[tuple[float, float]]:
    """Heights of the lower edge from the right side (1) over the middle (0) to the left (-1)."""
    band = outfit.bottom.waistband.cm if outfit.bottom else top.hem.cm
    hem = top.hem.cm
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
            curve = 2.5 if top.piece.kind == "shirt" else 0.6
            return [
                (1.0, hem + curve * 0.6),
                (0.6, hem),
                (0.0, hem - curve * 0.2),
                (-0.6, hem),
                (-1.0, hem + curve * 0.6),
            ]


def draw_top(outfit: Outfit) -> tuple[Shape, ...]:
    """The top with its sleeves and neckline: nothing where none is worn. Points in cm, x from the middle, y from the floor."""
    top = outfit.top
    if top is None:
        return ()
    body, lift = outfit.body, outfit.lift
    neckline = _neckline(outfit, top)
    tip = body.breadths["shoulder_breadth"].cm / 2
    high = body.height("shoulder") + lift
    drop = min(3.5, max(0.0, top.volume - 2.0) * 1.8)
    bare = 0.86 if top.sleeve == "none" else 1.0
    shoulder = [p for p in shoulder_line(body, lift) if neckline[-1][0] + 0.5 < p[0] < tip * bare]
    armpit = body.height("bust") + 0.45 * (body.height("shoulder") - body.height("bust")) + lift - drop
    edge = _bottom_edge(outfit, top)
    right = [*neckline, *shoulder, (tip * bare + 0.6 + drop, high - SHOULDER_SLOPE - drop)]
    right_low, left_low = edge[0][1], edge[-1][1]
    right_side = [(top_half(outfit, top, h), h) for h in steps(armpit, right_low, 2.0)]
    left_side = [(-top_half(outfit, top, h), h) for h in steps(armpit, left_low, 2.0)]
    wide = (right_side[-1][0] - left_side[-1][0]) / 2
    across = [(share * wide, height) for share, height in edge[1:-1]]
    area = [*right, *right_side, *across, *reversed(left_side), *mirrored(right)]
    colour, pattern = top.colour, top.piece.word("pattern")
    body_of_it = Shape("top", "top", "cloth", tuple(area), colour, pattern)
    # Set-in sleeves lie over the armhole.
    return (body_of_it, *_sleeves(outfit, top), *_details(outfit, top, neckline, edge))


def _sleeves(outfit: Outfit, top: WornTop) -> tuple[Shape, ...]:
    share = sleeve_share(outfit.body, top.piece, top.sleeve) * (0.75 if top.piece.flag("rolled") else 1.0)
    if share == 0:
        return ()
    kept = part_of(arm_path(outfit.body, outfit.lift), share)
    room = 0.4 + 0.45 * top.volume
    points = along([((x + room * 0.7, y), half + room) for (x, y), half in kept])
    colour, pattern = top.colour, top.piece.word("pattern")
    return (
        Shape("sleeve_right", "top", "cloth", tuple(points), colour, pattern),
        Shape("sleeve_left", "top", "cloth", flipped(points), colour, pattern),
    )


def part_of(path: list[tuple[Point, float]], share: float) -> list[tuple[Point, float]]:
    """The upper `share` of an arm, cut at its exact place."""
    low = path[0][0][1] + share * (path[-1][0][1] - path[0][0][1])
    kept = [step for step in path if step[0][1] > low]
    ((x0, y0), w0), ((x1, y1), w1) = path[len(kept) - 1], path[min(len(kept), len(path) - 1)]
    part = (y0 - low) / max(y0 - y1, 0.01)
    return [*kept, ((x0 + (x1 - x0) * part, low), w0 + (w1 - w0) * part)]


def _details(outfit: Outfit, top: WornTop, neckline: list[Point], edge: list[tuple[float, float]]) -> list[Shape]:
    lines: list[tuple[str, list[Point]]] = []
    middle = min(edge, key=lambda point: abs(point[0]))[1]
    if top.piece.kind == "shirt" and top.neck in ("open_collar", "closed_collar"):
        lines.append(("placket", [(0.0, neckline[0][1]), (0.0, middle)]))
    if top.piece.kind in ("knit", "sweatshirt") and not top.tucked:
        heights = [top.hem.cm + 4.0]
        lines += [
            ("rib", [(-top_half(outfit, top, h), h), (0.0, h - 0.5), (top_half(outfit, top, h), h)]) for h in heights
        ]
    return [Shape(key, "top", "detail", tuple(points), top.colour) for key, points in lines]
