"""Layers as they hang: open in front or closed, over whatever is under them."""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import replace

from craft.cloth.kinds import UNDER_LAYER
from craft.draw.collars import has_lapels, lapels
from craft.draw.figure import SHOULDER_SLOPE, armpit_of, neck_half, shoulder_line
from craft.draw.frames import Cloth, Trunk, armhole_of
from craft.draw.fronts import welts
from craft.draw.hood import hood_of
from craft.draw.made import made
from craft.draw.shapes import (
    Fold,
    Point,
    Run,
    Shape,
    area,
    flip,
    flip_folds,
    folds,
    lines,
    other_side,
    oval,
    steps,
    whole,
)
from craft.draw.top import sleeve_on
from craft.draw.trunk import draw_sleeves, draw_trunk
from craft.draw.weave import light_of, opacity_of, thread, weave_of
from craft.look import Outfit
from craft.wear import WornLayer
from craft.wear.openings import BELT_CM, sleeve_share

#: How far a layer stands off the body at each side, cm: its own, and by volume (0 to 4) (W).
STANDS_OFF, BY_VOLUME = 0.9, 0.9
#: Half the gap of an open front at chest and hem, as a share of the half breadth (W).
GAP_TOP, GAP_HEM = 0.30, 0.52
#: How much of that an open layer shows that hangs under another: its edges lie inside the other's (W).
UNDER_ANOTHER = 0.55
#: A neck at most this deep is drawn round, cm.
ROUND_TO = 6.0
#: How deep a closed front opens at the neck, cm, by kind.
NECK_DEPTH = {"blazer": 26.0, "waistcoat": 24.0, "coat": 20.0, "cardigan": 20.0, "jacket": 9.0, "gilet": 6.0}
#: What has a hood closes up to it, cm.
HOODED_DEPTH = 7.0
#: From so far below the waist on an open layer shows its lining, cm.
LINING_SHOWS = 18.0
#: Kinds without sleeves that fall over the arms.
OVER_ARMS = ("poncho", "cape")


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
        near = abs(on_body - body.height("waist")) / 8.0
        hung = own + (hung - own) * near**2
    return hung + STANDS_OFF + BY_VOLUME * layer.volume


def _low(layer: WornLayer) -> float:
    """Where it ends; what is longer than the body lies on the floor."""
    return max(layer.hem.cm, 0.0)


def layer_frame(outfit: Outfit, layer: WornLayer) -> Trunk:
    """A layer as it hangs, closed."""
    body, lift = outfit.body, outfit.lift
    high = body.height("shoulder") + lift
    tip = body.breadths["shoulder_breadth"].cm / 2
    neck = neck_half(body) * 1.3
    out = 0.6 + 0.5 * layer.volume
    line = shoulder_line(body, lift)
    start: Point = (neck, high + 1.1)
    bare = layer.sleeve == "none" and layer.piece.kind not in OVER_ARMS
    end: Point = (tip * 0.9, high - 2.2) if bare else (tip + out, high - SHOULDER_SLOPE + 0.5 - out * 0.6)
    shoulder = [start, *((x, y + 0.7) for x, y in line if neck + 2.0 < x < end[0] - 3.0), end]
    armpit = armpit_of(body) + lift - 1.0 * layer.volume
    said = layer.piece.figure("neck_depth_cm")
    usual = HOODED_DEPTH if layer.piece.flag("hooded") else NECK_DEPTH.get(layer.piece.kind, 14.0)
    depth = usual if said is None else said
    # A shallow neck runs round; a deep one meets in a point.
    round_neck = depth <= ROUND_TO
    runs_round: list[Point] = [(0.0, high - depth), (neck * 0.62, high - 0.72 * depth), start]
    dip = runs_round if round_neck else [(0.0, high - depth), start]
    pit: Point = (layer_half(outfit, layer, armpit), armpit)
    armhole = armhole_of(end, pit)
    side = [(layer_half(outfit, layer, h), h) for h in steps(armpit, min(_low(layer), armpit - 2.0), 6.0)]
    low = _low(layer)
    hem: list[Point] = [side[-1], (side[-1][0] * 0.5, low), (0.0, low), (-side[-1][0] * 0.5, low), (-side[-1][0], low)]
    frame = Trunk(
        dip, shoulder, armhole, side, hem, lambda height: layer_half(outfit, layer, height),
        body.height("bust") + lift, body.height("waist") + lift, body.height("hip") + lift, volume=layer.volume,
    )  # fmt: skip
    if layer.piece.kind in OVER_ARMS:
        return _over_the_arms(frame, end, low)
    share = sleeve_share(body, layer.piece, layer.sleeve)
    taken = 0.78 if layer.piece.flag("rolled") or layer.piece.flag("pushed") else 1.0
    shape = "wide" if layer.piece.kind == "kimono" else layer.piece.word("sleeve_shape")
    return replace(frame, sleeve=sleeve_on(outfit, share * taken, 0.8 + 0.5 * layer.volume, frame, shape))


def _over_the_arms(frame: Trunk, end: Point, low: float) -> Trunk:
    """A cape or poncho: from the shoulder it falls outside the arms, and flares."""
    long = end[1] - low

    def half(height: float) -> float:
        down = max(0.0, min(1.0, (end[1] - height) / max(long, 1.0)))
        return end[0] + 0.23 * long * float(down**0.8)

    near: Point = (half(end[1] - 2.5), end[1] - 2.5)
    side = [(half(h), h) for h in steps(near[1], low, 9.0)]
    wide = side[-1][0]
    hem: list[Point] = [side[-1], (wide * 0.6, low - 0.0), (0.0, low), (-wide * 0.6, low), (-wide, low)]
    return replace(frame, armhole=[end, near], side=side, hem=hem, half=half)


def at_their_places(outfit: Outfit, shapes: Iterable[Shape]) -> tuple[Shape, ...]:
    """Shapes of layers, each at the place of its layer: of two the inner one is chosen by itself."""
    inner = tuple(f"layer{at}" for at in range(len(outfit.layers) - 1))
    return tuple(
        replace(shape, slot=UNDER_LAYER) if shape.slot == "layer" and shape.key.startswith(inner) else shape
        for shape in shapes
    )


def draw_layer(outfit: Outfit, layer: WornLayer, at: int) -> tuple[Shape, ...]:
    """A layer: two fronts where it is open, one where it is closed, and its sleeves."""
    frame = layer_frame(outfit, layer)
    cloth = Cloth(layer.piece, "layer", f"layer{at}", layer.colour)
    gap = UNDER_ANOTHER if at < len(outfit.layers) - 1 else 1.0
    found = _open(cloth, frame, gap) if layer.open else list(draw_trunk(cloth, frame))
    if layer.belted:
        found += _belt(cloth, frame, BELT_CM[layer.belted])
    return tuple(found)


def _open(cloth: Cloth, frame: Trunk, gap: float) -> list[Shape]:
    """Two fronts that hang apart, with their edges, lapels and pockets; `gap` is how far, of the usual."""
    piece, low = cloth.piece, frame.low
    start = frame.neck[-1]
    chest, foot = frame.half(frame.bust) * GAP_TOP * gap, frame.half(low) * GAP_HEM * gap
    cutaway = has_lapels(piece) or piece.kind == "waistcoat"
    corner: list[Run] = [[(foot, low), (foot * 0.98, low + 2.0)]]
    if cutaway:
        corner = [[(foot + 4.5, low), (foot + 1.4, low + 1.0), (foot, low + 4.5)]]
    end = corner[-1][-1]
    inner: Run = [end, (chest * 1.12, (frame.bust + low) / 2 + 4.0), (chest, frame.bust), start]
    side = frame.side
    runs: list[Run] = [frame.shoulder, frame.armhole, side, [side[-1], corner[0][0]], *corner, inner]
    right = area(
        f"{cloth.key}_right", cloth.slot, runs, cloth.colour,
        weave=weave_of(piece, cloth.colour), light=light_of(piece), opacity=opacity_of(piece),
    )  # fmt: skip
    x, high = start
    behind: list[Run] = [[(-x, high), (0.0, high - 2.0), (x, high)], [(x, high), (x * 0.8, high + 1.6)],
                         [(x * 0.8, high + 1.6), (0.0, high + 0.6), (-x * 0.8, high + 1.6)], [(-x * 0.8, high + 1.6), (-x, high)]]  # fmt: skip
    inside = area(f"{cloth.key}_behind", cloth.slot, behind, thread(cloth.colour, 0.25))
    # Lapels bring the back of their own collar.
    found = [
        *_lining(cloth, frame),
        *([] if has_lapels(piece) else [inside]),
        *draw_sleeves(cloth, frame.sleeve),
        right,
        other_side(right, f"{cloth.key}_left", runs),
    ]
    how, ink = made(cloth), thread(cloth.colour)
    seams: list[Run] = []
    if piece.kind in ("blazer", "coat", "waistcoat"):
        seams.append(
            [
                (frame.half(h) * 0.66, h)
                for h in (frame.bust - 1.5, frame.waist, max(low + 1.0, frame.hip + 4.0))
                if h > low
            ]
        )
    if how.rib or piece.kind in ("kimono", "duster"):
        wide = 2.6
        seams.append([(px + wide, py) for px, py in inner])
    if how.rib:
        seams += [
            [
                (foot + (side[-1][0] - foot) * part, low),
                (foot + (frame.half(low + how.rib) - foot) * part, low + how.rib),
            ]
            for part in (0.12, 0.24, 0.36, 0.48, 0.6, 0.72, 0.84, 0.95)
        ]
        seams.append([(foot, low + how.rib), (frame.half(low + how.rib), low + how.rib)])
    bent = [
        Fold(
            (frame.half(frame.bust) * 0.96, frame.bust + 2.0),
            (frame.half(frame.bust) * 0.66, frame.bust - 9.0),
            0.8,
            0.5,
        )
    ]
    if piece.kind not in ("blazer", "waistcoat", "jacket") and frame.waist - low > 18:
        bent.append(Fold((side[-1][0] * 0.78, low + 1.0), (frame.half(frame.waist) * 0.8, frame.waist + 2.0), 0.6, 0.8))
    for name, mirrored in (("right", False), ("left", True)):
        clip = f"{cloth.key}_{name}"
        if seams:
            drawn = [flip(run) for run in seams] if mirrored else seams
            found.append(lines(f"{cloth.key}_seams_{name}_front", cloth.slot, "seam", drawn, ink, clip=clip))
        own = flip_folds(bent) if mirrored else bent
        found.append(folds(f"{cloth.key}_folds_{name}", cloth.slot, own, ink, clip=clip))
        if how.welts:
            pockets = [run for run in welts(frame, how.welts) if (run[0][0] < 0) == mirrored]
            found.append(lines(f"{cloth.key}_pockets_{name}_front", cloth.slot, "edge", pockets, ink, clip=clip))
    if has_lapels(piece):
        found += lapels(cloth, frame, chest * 1.02)
    found += hood_of(cloth, frame)
    if how.buttons:
        y0, y1 = (frame.bust - 14.0, frame.bust - 24.0) if has_lapels(piece) else (frame.bust + 4.0, low + 6.0)
        gap = chest * 1.1
        spots: list[Run] = []
        for step in range(1 if has_lapels(piece) else how.buttons):
            y = y0 + (y1 - y0) * step / max(how.buttons - 1, 1)
            down = max(0.0, min(1.0, (frame.bust - y) / max(frame.bust - low, 1.0)))
            if y > low + 3.0:
                spots += oval(-(gap + (foot - gap) * down) - 1.8, y, 0.75, 0.75)
        if spots:
            found.append(lines(f"{cloth.key}_buttons_front", cloth.slot, "edge", spots, ink))
    return found


def _lining(cloth: Cloth, frame: Trunk) -> list[Shape]:
    """The inside of the back, seen between the fronts and beside the legs of what hangs below the waist."""
    if frame.waist - frame.low < LINING_SHOWS:
        return []
    side = [(x - 0.4, y) for x, y in frame.side if y < frame.waist]
    runs: list[Run] = [[(0.0, frame.waist), (side[0][0], frame.waist)], side, [side[-1], (0.0, frame.low + 0.6)]]
    return [area(f"{cloth.key}_lining_behind", cloth.slot, whole(runs), thread(cloth.colour, 0.45), light="satin")]


def _belt(cloth: Cloth, frame: Trunk, wide: float) -> list[Shape]:
    """The belt of a belted layer, knotted in the middle."""
    y, half = frame.waist, frame.half(frame.waist) + 0.2
    high, low = y + wide / 2, y - wide / 2
    band: list[Run] = [
        [(half, high), (0.0, high - 0.4), (-half, high)],
        [(-half, high), (-half, low)],
        [(-half, low), (0.0, low - 0.4), (half, low)],
        [(half, low), (half, high)],
    ]
    end: list[Run] = [
        [(-1.4, high - 0.6), (1.2, high - 0.2)],
        [(1.2, high - 0.2), (3.6, y - 8.0), (3.2, y - 16.0)],
        [(3.2, y - 16.0), (0.4, y - 16.6)],
        [(0.4, y - 16.6), (0.6, y - 8.0), (-1.4, low - 0.6)],
    ]
    parts = (("belt", band), ("belt_end_front", end))
    return [
        area(
            f"{cloth.key}_{name}",
            cloth.slot,
            runs,
            cloth.colour,
            weave=weave_of(cloth.piece, cloth.colour),
            light="form",
        )
        for name, runs in parts
    ]
