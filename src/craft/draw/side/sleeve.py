"""Sleeves from the side: set over the arm that hangs beside the trunk."""

from __future__ import annotations

import math
from itertools import pairwise

from craft.draw.figure import armpit_of
from craft.draw.frames import Cloth, Sleeve, Trunk
from craft.draw.shapes import Point, Run, Shape, along, lines
from craft.draw.side.body import arm_side, side_of
from craft.draw.top import SLEEVE_ROOM, part_of
from craft.draw.trunk import RIGHT, draw_sleeves
from craft.draw.weave import thread
from craft.look import Outfit

#: A sleeve's cap stands so far above the arm's end, and the armhole opens so far below it, cm (W).
CAP, DEEP = 1.2, 11.0


def draw_sleeve_side(outfit: Outfit, cloth: Cloth, frame: Trunk) -> tuple[Shape, ...]:
    """The sleeve that a garment has from the front, over the arm from the side: as long, with as much room."""
    front = frame.sleeve
    if front is None:
        return ()
    path = arm_side(outfit.body, outfit.lift)
    (_, top), (_, end) = path[0][0], path[-1][0]
    ends = (front.outer[-1][1] + front.inner[-1][1]) / 2
    share = max(0.12, min(1.0, (top - ends) / (top - end)))
    arm = part_of(path, share)
    room = max(0.35, _breadth(front) / 2 - arm[-1][1])
    head, elbow, cuff = SLEEVE_ROOM.get(cloth.piece.word("sleeve_shape") or "", (1.0, 1.0, 1.0))
    slack = min(room / cuff, 3.2)
    roomy = [
        (point, half + slack * _grown(at / max(len(arm) - 1, 1), head, elbow, cuff))
        for at, (point, half) in enumerate(arm)
    ]
    ahead, behind = along(roomy)
    cap: Point = (arm[0][0][0], top + CAP + 0.4 * slack)
    pit = top - DEEP
    ahead, behind = _below(ahead, pit), _below(behind, pit)
    over = [behind[0], (behind[0][0] * 0.86 + cap[0] * 0.14, (pit + cap[1]) / 2 + 1.4), cap,
            (ahead[0][0] * 0.86 + cap[0] * 0.14, (pit + cap[1]) / 2 + 1.0), ahead[0]]  # fmt: skip
    turn = math.degrees(math.atan2(arm[-1][0][0] - arm[0][0][0], arm[0][0][1] - arm[-1][0][1]))
    return tuple(draw_sleeves(cloth, Sleeve(behind, ahead, turn, over), sides=RIGHT))


def _grown(part: float, head: float, elbow: float, cuff: float) -> float:
    return head + (elbow - head) * part * 2 if part < 0.5 else elbow + (cuff - elbow) * (part * 2 - 1)


def _breadth(sleeve: Sleeve) -> float:
    return math.dist(sleeve.outer[-1], sleeve.inner[-1])


def _below(side: list[Point], height: float) -> list[Point]:
    """A side of the arm from a height down; of a sleeve that ends above it, its end."""
    for (x0, y0), (x1, y1) in pairwise(side):
        if y0 >= height > y1:
            start: Point = (x0 + (x1 - x0) * (y0 - height) / (y0 - y1), height)
            return (
                [start, *(point for point in side if point[1] < height - 1.5)]
                if side[-1][1] < height - 1.5
                else [start, side[-1]]
            )
    return side[-2:]


def draw_armhole(outfit: Outfit, cloth: Cloth) -> tuple[Shape, ...]:
    """Where the bare arm, or another's sleeve, comes out of a garment without sleeves."""
    body, lift, side = outfit.body, outfit.lift, side_of(outfit.body)
    high, low = body.height("shoulder") - 1.0, armpit_of(body) - 3.0
    middle = (side.front(low) + side.back(low)) / 2 - 0.8
    wide = body.girth("upper_arm") * 0.2
    ring: Run = [
        (middle, high + lift),
        (middle + wide, (high + low) / 2 + 2.0 + lift),
        (middle + wide * 0.8, low + 1.5 + lift),
        (middle, low + lift),
        (middle - wide * 0.9, low + 2.0 + lift),
        (middle - wide * 0.9, (high + low) / 2 + 2.0 + lift),
        (middle, high + lift),
    ]
    return (lines(f"{cloth.key}_armhole", cloth.slot, "seam", [ring], thread(cloth.colour), clip=cloth.key),)
