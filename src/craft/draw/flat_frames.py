"""What a piece laid flat is drawn on: its frames, from its own figures where it has them, else from the body it is for."""

from __future__ import annotations

import math
from collections.abc import Callable, Sequence
from dataclasses import replace
from itertools import pairwise

from craft.body import Body
from craft.cloth import Piece
from craft.cloth.kinds import KIND
from craft.draw.frames import Legs, Skirt, Sleeve, Trunk
from craft.draw.layer import HOODED_DEPTH
from craft.draw.made import is_strapped
from craft.draw.shapes import Point, steps
from craft.fit import Landed
from craft.wear.ease import FIT_EASE
from craft.wear.openings import NECK_DEPTH, SLEEVE_SHARE, neck_of, sleeve_of

#: Sweep of a hem over the hip, by cut, where it was not measured (W).
SWEEPS = {"a_line": 1.35, "pleated": 1.45, "shift": 1.06, "pencil": 0.90, "slip": 1.08, "wrap": 1.2, "empire": 1.3}
#: Half breadth of a neck opening, cm; how far it is drawn out by necklines that are broad; how far a sleeve leans, degrees (W).
NECK_HALF, SLEEVE_LEANS = 8.0, 12.0
#: A sleeve that would lie over the body leans further, up to so many degrees, until it lies beside it.
MOST_LEANS = 27.0
#: Beside the armpit a sleeve is so broad, over the breadth of its upper arm; one that ends no further below than this, cm, stands
#: off; the armpit of what is laid flat lies so far below the bust, cm (W).
HEAD, SHORT, FLAT_ARMPIT = 0.55, 5.0, 1.0
NECK_BROAD = {
    "boat": 1.6,
    "scoop": 1.25,
    "square": 1.3,
    "polo": 0.95,
    "closed_collar": 0.9,
    "open_collar": 0.95,
    "v": 1.05,
}
#: Half the breadth of a bodysuit at the crotch, cm (W).
CROTCH = 3.6
#: Laid flat a leg lies in folds at the fork: so much of its breadth shows there (W).
SHOWS_AT_FORK = 0.8
#: How broad a leg is at the knee over its opening, by cut, where it was not measured (W).
KNEE = {"flare": 0.68, "bootcut": 0.86, "kick_flare": 0.84, "wide": 0.98, "balloon": 1.42, "straight": 1.08}
#: Laid flat, what clings is so broad over the body that it stretches on (W).
SHRUNK = 0.84
#: How far the legs of trousers lie apart at the hem, cm, each from the middle (W).
APART = 2.6
_FITS = {"layer": "relaxed", "top": "skimming", "one_piece": "skimming", "swim": "tight"}
_BROAD = {"wide": 1.7, "flare": 1.5, "bootcut": 1.2, "kick_flare": 1.25, "balloon": 1.1, "skinny": 0.72, "slim": 0.86}


def through(marks: Sequence[tuple[float, float]]) -> Callable[[float], float]:
    """A breadth at a height, straight between marks of (height, breadth) from the top down."""

    def at(height: float) -> float:
        for (h1, b1), (h0, b0) in pairwise(marks):
            if height >= h0:
                return b1 if height >= h1 else b0 + (b1 - b0) * (height - h0) / max(h1 - h0, 0.01)
        return marks[-1][1]

    return at


def _girth(landed: Landed, body: Body, key: str, own: str, fit: str) -> float:
    """A girth of the piece: measured, or the body's with the ease of its fit word."""
    measured = landed.piece.figure(key)
    if measured is not None:
        return measured
    word = landed.piece.word("fit") or fit
    return body.girth(own) * (1 + FIT_EASE[word])


def _hem(landed: Landed) -> float:
    return max(min(edge.height for edge in landed.edges if edge.key == "hem") - landed.shoes.lift, 0.0)


def skirt_frame(body: Body, landed: Landed, band: float) -> Skirt:
    """A skirt laid flat, its band at a height, cm: from its own waist, hip and sweep, else from the body's."""
    piece, hip, hem = landed.piece, body.height("hip"), _hem(landed)
    waist = (piece.figure("waist_cm") or body.girth("waist") + 4) / 4
    seat = (piece.figure("hip_cm") or body.girth("hip") + 6) / 4
    sweep = piece.figure("hem_sweep_cm")
    foot = sweep / 4 if sweep else seat * SWEEPS.get(piece.word("cut") or "", 1.1)
    at = max(min(hip, band - 4.0), hem + 1.0)
    half = through([(band, waist), ((band + at) / 2, waist * 0.42 + seat * 0.58), (at, seat), (hem, foot)])
    return Skirt(band, at, hem, half, volume=2.4 if foot > seat * 1.2 else 1.0, flat=True)


def legs_frame(body: Body, landed: Landed, band: float) -> Legs:
    """Trousers laid flat, their band at a height, cm: from their own girths, inseam and opening, else from the body's."""
    piece = landed.piece
    hip, crotch, knee = body.height("hip"), body.height("crotch"), body.height("knee")
    inseam = piece.figure("inseam_cm")
    hem = _hem(landed) if inseam is None else crotch - inseam
    shrunk = SHRUNK if piece.kind == "leggings" else 1.0

    def round_(key: str, girth: str, play: float) -> float:
        return piece.figure(key) or (body.girth(girth) + (play if shrunk == 1.0 else 0.0)) * shrunk

    waist, seat, thigh = (
        round_("waist_cm", "waist", 4) / 4,
        round_("hip_cm", "hip", 6) / 4,
        round_("thigh_cm", "thigh", 6) / 2,
    )
    cut = piece.word("cut") or KIND[piece.kind].cut
    opening = piece.figure("leg_opening_cm")
    foot = (opening if opening is not None else body.girth("calf") * shrunk * _BROAD.get(cut, 1.05)) / 2
    if hem > knee + 4.0 and opening is None:
        foot = thigh * (SHOWS_AT_FORK + 0.03)
    at_knee = (piece.figure("knee_cm") or 0) / 2 or min(
        thigh * 0.9, max(foot * KNEE.get(cut, 1.1), body.girth("knee") * shrunk / 2 + 0.5 * (shrunk == 1.0))
    )
    marks = [
        (crotch, max(seat * 0.96, thigh * SHOWS_AT_FORK)),
        (crotch - 0.45 * (crotch - knee), (thigh * 0.8 + at_knee) / 2),
    ]
    marks += [(knee, at_knee)] if hem < knee - 4 else []
    width = through([*marks, (hem, foot)])

    def inner(height: float) -> float:
        return 0.15 + APART * max(0.0, crotch - height) / max(crotch - hem, 1.0)

    seat_at = max(min(hip, band - 4.0), crotch + 2.0)
    trunk = through(
        [
            (band, waist),
            ((band + seat_at) / 2, waist * 0.45 + seat * 0.55),
            (seat_at, seat),
            (crotch, marks[0][1] + 0.15),
        ]
    )
    return Legs(band, crotch, hem, seat_at, knee, trunk, inner, lambda h: inner(h) + width(h),
                volume=2.6 if cut in ("wide", "balloon") else 1.4, flat=True)  # fmt: skip


def trunk_frame(body: Body, landed: Landed) -> Trunk:
    """A garment of the upper body laid flat, with its sleeve: from its own figures, else from the body's; cm, y above the floor."""
    piece = landed.piece
    top, bust, waist_at, hip_at = (body.height(name) for name in ("shoulder", "bust", "waist", "hip"))
    hem = min(_hem(landed), waist_at + 12.0 if piece.kind != "bikini_top" else top)
    fit = _FITS[piece.slot]
    chest = _girth(landed, body, "chest_cm", "bust", fit) / 4
    loose = _girth(landed, body, "waist_cm", "waist", fit) / 4
    waist = loose if piece.figure("waist_cm") else max(loose, chest * 0.9)
    seat = max(_girth(landed, body, "hip_cm", "hip", fit) / 4, waist)
    sweep = piece.figure("hem_sweep_cm")
    armhole = bust - FLAT_ARMPIT
    marks = [(armhole, chest), (waist_at, waist), (hip_at, seat)]
    kept = [mark for mark in marks if mark[0] > hem + 3.0]
    last = through(marks)(hem)
    foot = sweep / 4 if sweep else last * (SWEEPS.get(piece.word("cut") or "", 1.04) if hem < hip_at else 1.0)
    half = through([*kept, (hem, foot)])
    shoulder = (piece.figure("shoulder_cm") or body.breadths["shoulder_breadth"].cm) / 2 + 0.6
    neck = neck_of(piece)
    opening = NECK_HALF * NECK_BROAD.get(neck, 1.0)
    bare = sleeve_of(piece) == "none"
    end = max(opening + 3.0, shoulder * 0.84) if bare else shoulder
    start: Point = (end, top - 4.2 * end / max(shoulder, 1.0))
    dip = _dip(piece, neck, opening, top, piece.figure("neck_depth_cm") or NECK_DEPTH[neck])
    pit: Point = (half(armhole), armhole)
    fall = start[1] - armhole
    inner = min(end, pit[0])
    sewn = [
        start,
        (inner - 1.1, start[1] - 0.42 * fall),
        (inner - 0.3 + 0.14 * (pit[0] - inner), start[1] - 0.74 * fall),
        (inner + 0.58 * (pit[0] - inner), armhole + 0.09 * fall),
        pit,
    ]
    side = [pit, *((half(h), h) for h in (*(h for h, _ in kept[1:]), hem))]
    shirt = piece.kind == "shirt"
    curve = 3.0 if shirt else 0.0
    edge: list[Point] = [
        (side[-1][0], hem + curve),
        (side[-1][0] * 0.62, hem),
        (0.0, hem - 0.4),
        (-side[-1][0] * 0.62, hem),
        (-side[-1][0], hem + curve),
    ]
    side[-1] = edge[0]
    if piece.kind == "bodysuit":
        # Held at the crotch, with a leg opening that rises to the side of the hip.
        leg = hem + 0.9 * (body.height("high_hip") - hem)
        side = [pit, *((half(h), h) for h, _ in kept[1:] if h > leg + 3.0), (half(leg), leg)]
        right: list[Point] = [side[-1], (half(leg) * 0.5, hem + 0.34 * (leg - hem)), (CROTCH, hem)]
        edge = [*right, (0.0, hem - 0.5), *((-x, y) for x, y in reversed(right))]
    frame = Trunk(
        dip, [dip[-1], start], sewn,
        side, edge, half, bust, waist_at, hip_at, volume=1.5, flat=True,
    )  # fmt: skip
    if is_strapped(piece):
        peak: Point = (chest * 0.56, bust + 7.5)
        low = max(bust + 1.5, dip[0][1])
        out: Point = (peak[0] + 1.0, peak[1])
        return replace(
            frame,
            neck=[(0.0, low), (chest * 0.3, low + 0.28 * (peak[1] - low)), peak],
            shoulder=[peak, out],
            armhole=[out, (chest * 0.8, armhole + 0.5), pit],
        )
    if neck == "halter":
        begin: Point = (opening * 1.1, top - 0.6)
        return replace(
            frame, shoulder=[dip[-1], begin], armhole=[begin, (begin[0] + 1.5, (top + armhole) / 2 + 2.0), pit]
        )
    if neck == "one_shoulder":
        side_pit: Point = (pit[0] * 0.98, armhole + 1.0)
        return replace(
            frame, neck=[(0.0, dip[0][1]), dip[-1]], left_above=[[(0.0, dip[0][1]), side_pit], [side_pit, pit]]
        )
    if piece.kind in ("poncho", "cape"):
        wide = through([(start[1], end), (hem, end * 1.75)])
        out_side = [(wide(h), h) for h in steps(start[1] - 2.0, hem, 12.0)]
        return replace(
            frame,
            armhole=[start, out_side[0]],
            side=out_side,
            half=wide,
            hem=[out_side[-1], (0.0, hem - 0.6), (-out_side[-1][0], hem)],
        )
    return replace(frame, sleeve=_sleeve(body, landed, frame))


def _dip(piece: Piece, neck: str, opening: float, top: float, depth: float) -> list[Point]:
    """The neckline from its middle out to the shoulder."""
    edge: Point = (opening, top)
    if piece.slot == "layer" and piece.figure("neck_depth_cm") is None:
        depth = (
            HOODED_DEPTH
            if piece.flag("hooded")
            else {"blazer": 30.0, "coat": 26.0, "waistcoat": 26.0, "cardigan": 22.0, "jacket": 7.0, "gilet": 3.0}.get(
                piece.kind, depth
            )
        )
    if neck == "polo":
        return [(0.0, top + 4.5), (opening * 0.7, top + 4.4), (opening * 0.86, top + 4.0), (opening * 1.02, top + 0.6)]
    if neck in ("v", "open_collar") or piece.word("cut") == "wrap" or (piece.slot == "layer" and depth > 8):
        return [(0.0, top - depth), edge]
    if neck == "square":
        return [(0.0, top - depth), (opening * 0.95, top - depth), edge]
    turns = [math.pi / 2 * step / 3 for step in range(4)]
    return [(opening * math.sin(turn), top - depth * math.cos(turn)) for turn in turns]


def _sleeve(body: Body, landed: Landed, frame: Trunk) -> Sleeve | None:
    """A sleeve that hangs beside the trunk: over its head as broad as the upper arm, then down to the cuff. One that ends before
    the arm hangs free stands off as it lies on a table."""
    piece = landed.piece
    word = sleeve_of(piece)
    length = piece.figure("sleeve_cm") or (
        SLEEVE_SHARE[word] * body.lengths["arm_length"].cm if word != "none" else 0.0
    )
    if length <= 0:
        return None
    upper = (piece.figure("upper_arm_cm") or body.girth("upper_arm") + 8) / 2
    shape = piece.word("sleeve_shape")
    wide = shape == "wide" or piece.kind == "kimono"
    (x, y), pit = frame.shoulder[-1], frame.armpit
    out: Point = (pit[0] + HEAD * upper, pit[1] + 1.5)
    over = math.dist((x, y), out)
    puff = 2.6 if shape == "puffed" else 0.0
    crown: Point = (x + 0.34 * (out[0] - x), y - 0.25 * (y - out[1]) + puff)
    if length < over + SHORT:
        u, v = (out[0] - x) / over, (out[1] - y) / over
        end: Point = (x + u * length, y + v * length)
        cuff = upper * (1.1 if wide else 0.72)
        inside: Point = (max(end[0] + v * cuff, pit[0] + 1.8), end[1] - u * cuff)
        outer = [(x, y), crown, end] if length > 12.0 else [(x, y), end]
        return Sleeve(outer, [pit, inside], math.degrees(math.atan2(u, -v)), frame.armhole)
    cuff = upper * (1.35 if wide else 0.66 if length > 45.0 else 0.76)
    lean = math.radians(_lean(frame, out, length - over, cuff))
    down = length - over
    foot: Point = (out[0] + math.sin(lean) * down, out[1] - math.cos(lean) * down)
    inside = (foot[0] - math.cos(lean) * cuff, foot[1] - math.sin(lean) * cuff)
    half: Point = (
        out[0] + math.sin(lean) * down * 0.5 + (1.2 if shape == "puffed" else 0.0),
        out[1] - math.cos(lean) * down * 0.5,
    )
    outer = [(x, y), crown, (out[0] + puff * 0.6, out[1]), *([half] if down > 16.0 else []), foot]
    inner = [pit, ((pit[0] + inside[0]) / 2 + 0.5, (pit[1] + inside[1]) / 2), inside]
    return Sleeve(outer, inner, math.degrees(lean), frame.armhole)


def _lean(frame: Trunk, out: Point, down: float, cuff: float) -> float:
    """How far a sleeve leans so that its cuff lies beside the body, degrees."""
    for lean in range(int(SLEEVE_LEANS), int(MOST_LEANS) + 1):
        turn = math.radians(lean)
        low = out[1] - math.cos(turn) * down
        if out[0] + math.sin(turn) * down - math.cos(turn) * cuff > frame.half(max(low, frame.low)) + 1.5:
            return float(lean)
    return MOST_LEANS
