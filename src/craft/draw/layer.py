"""Layers as they hang: open in front or closed, over whatever is under them."""

from __future__ import annotations

from craft.draw.figure import SHOULDER_SLOPE, arm_path, neck_half, shoulder_line
from craft.draw.shapes import Point, Shape, along, flipped, mirrored, steps
from craft.draw.top import part_of
from craft.look import Outfit
from craft.wear import WornLayer
from craft.wear.openings import sleeve_share

#: How far a layer stands off the body at each side, cm: its own, and by volume (0 to 4) (W).
STANDS_OFF, BY_VOLUME = 0.9, 0.9
#: Half the gap of an open front at chest and hem, as a share of the half breadth.
GAP_TOP, GAP_HEM = 0.30, 0.62
#: A neck at most this deep is drawn round, cm.
ROUND_TO = 6.0
#: How deep a closed front opens at the neck, cm, by kind.
NECK_DEPTH = {"blazer": 26.0, "waistcoat": 24.0, "coat": 20.0, "cardigan": 20.0, "jacket": 9.0, "gilet": 6.0}


def layer_half(outfit: Outfit, layer: WornLayer, height: float) -> float:
    """Half the breadth of a layer at a height above the floor, cm."""
    body, on_body = outfit.body, height - outfit.lift
    own = body.half_breadth(max(on_body, body.height("crotch")))
    bust = body.half_breadth(body.height("bust"))
    hip = body.half_breadth(body.height("hip"))
    hang = min(1.0, layer.volume / 2.6)
    hung = max(own, bust * hang + own * (1 - hang))
    if on_body < body.height("hip"):
        hung = max(hip, bust * 0.9)
    if layer.belted and abs(on_body - body.height("waist")) < 8.0:
        hung = own
    return hung + STANDS_OFF + BY_VOLUME * layer.volume


def draw_layer(outfit: Outfit, layer: WornLayer, at: int) -> tuple[Shape, ...]:
    """A layer: two fronts where it is open, one where it is closed, and its sleeves."""
    body, lift = outfit.body, outfit.lift
    high = body.height("shoulder") + lift
    tip = body.breadths["shoulder_breadth"].cm / 2
    neck = neck_half(body) * 1.35
    bare = 0.9 if layer.sleeve == "none" else 1.0
    out = 0.8 + 0.5 * layer.volume
    shoulder: list[Point] = [p for p in shoulder_line(body, lift) if neck < p[0] < tip * bare]
    shoulder = [(neck, high + 0.8), *shoulder, (tip * bare + out, high - SHOULDER_SLOPE - out)]
    armpit = body.height("bust") + 0.4 * (body.height("shoulder") - body.height("bust")) + lift - 1.2 * layer.volume
    side: list[Point] = [(layer_half(outfit, layer, h), h) for h in steps(armpit, layer.hem.cm, 2.0)]
    colour, pattern = layer.colour, layer.piece.word("pattern")
    key = f"layer{at}"
    if layer.open:
        low = side[-1][0]
        inner: list[Point] = [(low * GAP_HEM, layer.hem.cm), (side[0][0] * GAP_TOP, armpit - 4.0), (neck, high + 0.8)]
        front = [*shoulder, *side, *inner]
        areas = [(f"{key}_right", front), (f"{key}_left", [(-x, y) for x, y in front])]
        details: list[tuple[str, list[Point]]] = []
    else:
        said = layer.piece.figure("neck_depth_cm")
        depth = NECK_DEPTH.get(layer.piece.kind, 14.0) if said is None else said
        # A shallow neck runs round; a deep one meets in a point.
        dip: list[Point] = [(neck * 0.6, high - 0.75 * depth)] if depth <= ROUND_TO else []
        front = [(0.0, high - depth), *dip, *shoulder, *side]
        areas = [(key, front + mirrored(front[1:]))]
        details = [(f"{key}_front", [(0.0, high - depth), (0.0, layer.hem.cm)])]
    if layer.belted:
        waist = body.height("waist") + lift
        half = layer_half(outfit, layer, waist)
        details += [(f"{key}_belt{off}", [(-half, waist + off), (half, waist + off)]) for off in (-1.6, 1.6)]
    cloth = [Shape(name, "layer", "cloth", tuple(points), colour, pattern) for name, points in areas]
    return (*cloth, *_sleeves(outfit, layer, key), *(Shape(n, "layer", "detail", tuple(p), colour) for n, p in details))


def _sleeves(outfit: Outfit, layer: WornLayer, key: str) -> tuple[Shape, ...]:
    share = sleeve_share(outfit.body, layer.piece, layer.sleeve) * (0.8 if layer.piece.flag("rolled") else 1.0)
    if share == 0:
        return ()
    kept = part_of(arm_path(outfit.body, outfit.lift), share)
    room = 0.9 + 0.55 * layer.volume
    points = along([((x + room * 0.8, y), half + room) for (x, y), half in kept])
    colour, pattern = layer.colour, layer.piece.word("pattern")
    return (
        Shape(f"{key}_sleeve_right", "layer", "cloth", tuple(points), colour, pattern),
        Shape(f"{key}_sleeve_left", "layer", "cloth", flipped(points), colour, pattern),
    )
