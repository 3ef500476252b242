"""Flats: a piece laid flat, drawn from its own figures where it has them, else from the body it would be worn on.

Laid flat a girth is half as broad. Points are cm, x from the piece's middle, y up; a card scales them.
"""

from __future__ import annotations

import math
from collections.abc import Callable

from craft.body import Body
from craft.cloth import Piece
from craft.cloth.kinds import KIND
from craft.cloth.piece import colour_of
from craft.draw.shapes import Point, Role, Shape, mirrored
from craft.fit import Landed
from craft.wear.ease import FIT_EASE
from craft.wear.openings import BELT_CM, NECK_DEPTH, SLEEVE_SHARE, neck_of, sleeve_of
from craft.wear.shoes import sock_top

#: Sweep of a hem over the hip, by cut, where it was not measured (W).
SWEEPS = {"a_line": 1.35, "pleated": 1.45, "shift": 1.06, "pencil": 0.90, "slip": 1.04, "wrap": 1.2, "empire": 1.3}
#: Half breadth of a neck opening and how far a sleeve leans from the trunk, cm and degrees (W).
NECK_HALF, SLEEVE_LEANS = 8.5, 24.0
_FITS = {"layer": "relaxed", "top": "skimming", "one_piece": "skimming", "swim": "tight"}


def draw_flat(body: Body, landed: Landed) -> tuple[Shape, ...]:
    """The piece laid flat: areas first, then its seams.

    >>> from craft.body import Measures
    >>> from craft.fit import land
    >>> body = Body.of(Measures.of({"stature": 165}))
    >>> [shape.role for shape in draw_flat(body, land(body, Piece.of({"is": "skirt"})))]
    ['cloth', 'detail']
    """
    return tuple(_DRAW[landed.piece.slot](body, landed))


def _shape(piece: Piece, key: str, points: list[Point], role: Role = "cloth") -> Shape:
    colour = colour_of(piece)
    return Shape(key, piece.slot, role, tuple(points), colour, piece.word("pattern") if role == "cloth" else None)


def _girth(landed: Landed, body: Body, key: str, own: str, fit: str) -> float:
    """A girth of the piece: measured, or the body's with the ease of its fit word."""
    measured = landed.piece.figure(key)
    if measured is not None:
        return measured
    word = landed.piece.word("fit") or fit
    return body.girth(own) * (1 + FIT_EASE[word])


def _bottom(body: Body, landed: Landed) -> list[Shape]:
    piece = landed.piece
    lift = landed.shoes.lift
    band = landed.edge("waistband").height - lift
    hem = max(landed.edge("hem").height - lift, 0.0)
    hip, crotch = body.height("hip"), body.height("crotch")
    waist = (piece.figure("waist_cm") or body.girth("waist") + 4) / 4
    seat = (piece.figure("hip_cm") or body.girth("hip") + 6) / 4
    if piece.kind == "skirt":
        sweep = piece.figure("hem_sweep_cm")
        foot = sweep / 4 if sweep else seat * SWEEPS.get(piece.word("cut") or "", 1.1)
        side: list[Point] = [(waist, band), (seat, max(hip, hem + 1)), (foot, hem)]
        return [_shape(piece, "skirt", side + mirrored(side)), _seam(piece, [(-waist, band - 3), (waist, band - 3)])]
    return _legs(piece, body, band, hip, crotch, hem, waist, seat)


def _legs(
    piece: Piece, body: Body, band: float, hip: float, crotch: float, hem: float, waist: float, seat: float
) -> list[Shape]:
    thigh = (piece.figure("thigh_cm") or body.girth("thigh") + 6) / 2
    cut = piece.word("cut") or KIND[piece.kind].cut
    broad = {"wide": 1.7, "flare": 1.5, "bootcut": 1.2, "balloon": 1.1, "skinny": 0.72, "slim": 0.86}.get(cut, 1.05)
    opening = piece.figure("leg_opening_cm")
    foot = (opening if opening is not None else body.girth("calf") * broad) / 2
    if piece.kind in ("shorts", "swim_shorts"):
        foot = thigh if opening is None else opening / 2
    inner = 0.8
    side: list[Point] = [(waist, band), (seat, max(hip, crotch + 2)), (inner + thigh, crotch - 3)]
    knee = body.height("knee")
    if hem < knee - 4:
        at_knee = (piece.figure("knee_cm") or 0) / 2 or (
            min(thigh, foot) * 0.97 if cut in ("flare", "bootcut") else (thigh + foot) / 2
        )
        side.append((inner + 0.6 + at_knee, knee))
    side += [(inner + 1.2 + foot, hem), (inner + 1.2, hem), (0.0, crotch)]
    fly: list[Point] = [(0.0, band - 3), (0.0, crotch)]
    return [
        _shape(piece, "legs", side + mirrored(side[:-1])),
        _seam(piece, [(-waist, band - 3), (waist, band - 3)]),
        _seam(piece, fly, "fly"),
    ]


def _seam(piece: Piece, points: list[Point], key: str = "seam") -> Shape:
    return _shape(piece, key, points, "detail")


def _trunk(body: Body, landed: Landed) -> list[Shape]:
    """Tops, layers and dresses, from the shoulder down."""
    piece, lift = landed.piece, landed.shoes.lift
    top, bust, waist_at, hip_at = (body.height(name) for name in ("shoulder", "bust", "waist", "hip"))
    hem = max(min(edge.height for edge in landed.edges if edge.key == "hem") - lift, 0.0)
    fit = _FITS[piece.slot]
    chest = _girth(landed, body, "chest_cm", "bust", fit) / 4
    loose = _girth(landed, body, "waist_cm", "waist", fit) / 4
    waist = loose if piece.figure("waist_cm") else max(loose, chest * 0.88)
    seat = max(_girth(landed, body, "hip_cm", "hip", fit) / 4, waist)
    shoulder = (piece.figure("shoulder_cm") or body.breadths["shoulder_breadth"].cm) / 2 + 0.6
    end = NECK_HALF + 4.0 if sleeve_of(piece) == "none" and piece.kind != "dress" else shoulder
    armhole = bust + 0.35 * (top - bust)
    side: list[Point] = [(NECK_HALF, top), (end, top - 3.5 * end / max(shoulder, 1)), (chest, armhole)]
    levels = [(waist, waist_at), (seat, hip_at)]
    side += [(half, height) for half, height in levels if height > hem + 2]
    foot = piece.figure("hem_sweep_cm")
    last = side[-1][0]
    side.append(
        (foot / 4 if foot else last * (SWEEPS.get(piece.word("cut") or "", 1.02) if hem < hip_at else 1.0), hem)
    )
    depth = piece.figure("neck_depth_cm") or NECK_DEPTH[neck_of(piece)]
    dip: list[Point] = (
        [(0.0, top - depth)] if _pointed(piece) else [(NECK_HALF * 0.6, top - depth * 0.85), (0.0, top - depth)]
    )
    right = [*reversed(dip[:-1]), *side] if len(dip) > 1 else side
    outline = [dip[-1], *right, *mirrored(right)]
    shapes = [*_sleeves(body, landed, end, top - 3.5, armhole), _shape(piece, "trunk", outline)]
    if piece.slot == "layer" or piece.kind == "shirt":
        shapes.append(_seam(piece, [(0.0, top - depth), (0.0, hem)], "front"))
    if KIND[piece.kind].has_legs:
        return _suit(body, landed, shapes, waist, seat)
    return shapes


def _suit(body: Body, landed: Landed, shapes: list[Shape], waist: float, seat: float) -> list[Shape]:
    """A jumpsuit: the trunk down to the waist, and legs from there."""
    piece = landed.piece
    hem = max(landed.edge("hem").height - landed.shoes.lift, 0.0)
    at = body.height("waist")
    kept = [
        Shape(s.key, s.slot, s.role, tuple((x, max(y, at)) for x, y in s.points), s.colour, s.pattern)
        if s.key == "trunk"
        else s
        for s in shapes
    ]
    return [*_legs(piece, body, at, body.height("hip"), body.height("crotch"), hem, waist, seat), *kept]


def _pointed(piece: Piece) -> bool:
    return neck_of(piece) in ("v", "open_collar") or piece.word("cut") == "wrap"


def _sleeves(body: Body, landed: Landed, end: float, top: float, armhole: float) -> list[Shape]:
    piece = landed.piece
    word = sleeve_of(piece)
    length = piece.figure("sleeve_cm") or (
        SLEEVE_SHARE[word] * body.lengths["arm_length"].cm if word != "none" else 0.0
    )
    if length <= 0:
        return []
    lean = math.radians(SLEEVE_LEANS)
    upper = (piece.figure("upper_arm_cm") or body.girth("upper_arm") + 8) / 2
    cuff = upper * (1.0 if length < 30 else 0.62)
    dx, dy = math.sin(lean) * length, -math.cos(lean) * length
    outer: Point = (end + dx, top + dy)
    inner: Point = (outer[0] - cuff * math.cos(lean), outer[1] - cuff * math.sin(lean))
    sleeve: list[Point] = [(end - 1, top), outer, inner, (end - upper * 0.8, armhole - upper * 0.35)]
    return [_shape(piece, "sleeve", sleeve), _shape(piece, "sleeve, left", [(-x, y) for x, y in sleeve])]


def _shoe(body: Body, landed: Landed) -> list[Shape]:
    """One shoe from the side, toe to the right."""
    piece, shoes = landed.piece, landed.shoes
    long = body.lengths["foot_length"].cm + {"pointed": 2.2, "almond": 1.0}.get(piece.word("toe") or "", 0.0)
    cover = landed.edge("cover").height
    heel, sole = max(shoes.heel, 1.0), max(min(shoes.platform, shoes.heel), 1.0)
    back, tip = -long / 2, long / 2
    girth = piece.figure("shaft_girth_cm") or body.girth("calf") + 3
    shaft = girth / math.pi if cover > 20 else 11.0
    instep = heel + 7.0
    points: list[Point] = [(back, heel)]
    if cover > instep + 1:
        points += [(back, cover), (back + shaft, cover), (back + shaft * 0.95, instep + 1)]
    else:
        points += [(back, heel + 6), (back + 3, heel + 5), (back + long * 0.55, max(cover, sole + 2.5))]
    points += [
        (tip - 4, sole + 3.5),
        (tip, sole + 1),
        (tip, 0.0),
        (back + long * 0.45, 0.0),
        (back + long * 0.32, heel - 0.6),
    ]
    points += [(back + 4.5, heel - 0.6), (back + 3.8, 0.0), (back + 0.4, 0.0)]
    return [_shape(piece, "shoe", points)]


def _swim(body: Body, landed: Landed) -> list[Shape]:
    piece = landed.piece
    hip, crotch = body.height("hip"), body.height("crotch")
    seat = (piece.figure("hip_cm") or body.girth("hip") * 0.92) / 4
    if piece.kind == "bikini_bottom":
        band = landed.edge("waistband").height
        side: list[Point] = [(seat * 0.96, band), (seat, band - 5), (3.2, crotch)]
        return [_shape(piece, "bottom", side + mirrored(side))]
    if piece.kind == "bikini_top":
        bust, under = body.height("bust"), body.height("under_bust")
        half = body.girth("bust") / 4
        side = [(1.5, bust + 2), (7.0, bust + 9), (8.5, bust + 9), (half, bust - 1), (half, under)]
        return [_shape(piece, "top", [(0.0, bust - 3), *side, *mirrored(side)])]
    if piece.kind == "swim_shorts":
        band, hem = landed.edge("waistband").height, landed.edge("hem").height
        waist = (piece.figure("waist_cm") or body.girth("high_hip") * 0.96) / 4
        return _legs(piece, body, band, hip, crotch, hem, waist, seat * 1.1)
    shapes = _trunk(body, landed)
    if piece.kind == "tankini":
        return shapes
    # The leg line runs up from the crotch to the hip.
    cut = [
        Shape(
            s.key,
            s.slot,
            s.role,
            tuple((x if y > crotch + 1 else math.copysign(3.2, x), y) for x, y in s.points),
            s.colour,
            s.pattern,
        )
        for s in shapes
    ]
    return cut if hip > crotch else shapes


def _extra(body: Body, landed: Landed) -> list[Shape]:
    piece = landed.piece
    length, width = piece.figure("length_cm"), piece.figure("width_cm")
    match piece.kind:
        case "belt":
            half, wide = (
                (length or body.girth("waist") + 15) / 4,
                (width or BELT_CM[piece.word("belted") or "medium"]) / 2,
            )
            strap: list[Point] = [(-half, wide), (half, wide), (half + 2, 0.0), (half, -wide), (-half, -wide)]
            buckle: list[Point] = [
                (-half - 1, wide + 1),
                (-half + 4, wide + 1),
                (-half + 4, -wide - 1),
                (-half - 1, -wide - 1),
                (-half - 1, wide + 1),
            ]
            return [_shape(piece, "belt", strap), _seam(piece, buckle)]
        case "necklace":
            drop = body.height("shoulder") - landed.edge("end").height
            arc: list[Point] = [
                (9 * math.cos(a), -drop * abs(math.sin(a))) for a in (math.pi * i / 16 for i in range(17))
            ]
            bead: list[Point] = [
                (1.6 * math.cos(a), -drop - 1.6 + 1.6 * math.sin(a)) for a in (math.tau * i / 12 for i in range(12))
            ]
            return [_seam(piece, arc), _shape(piece, "pendant", bead)]
        case "scarf":
            half, wide = (length or 170.0) / 4, (width or 30.0) / 4
            return [_shape(piece, "scarf", [(-wide, half), (wide, half), (wide, -half), (-wide, -half)])]
        case "bag":
            handle: list[Point] = [
                (12 * math.cos(a), 12 + 22 * math.sin(a)) for a in (math.pi * i / 14 for i in range(15))
            ]
            return [_seam(piece, handle), _shape(piece, "bag", [(-16, 12), (16, 12), (19, -12), (-19, -12)])]
        case "hat":
            return [
                _shape(piece, "hat", [(-20, 0), (-10, 2), (-8.5, 12), (8.5, 12), (10, 2), (20, 0), (10, -2), (-10, -2)])
            ]
        case "socks":
            tall = sock_top(piece, 0.0).cm
            sock: list[Point] = [(-4, tall), (4, tall), (4, 6), (13, 3), (14, 0), (-4, 0), (-5, 4)]
            return [
                _shape(piece, "left", [(x - 13, y) for x, y in sock]),
                _shape(piece, "right", [(x + 7, y) for x, y in sock]),
            ]
        case "watch" | "bracelet":
            ring: list[Point] = [(3.2 * math.cos(a), 1.4 * math.sin(a)) for a in (math.tau * i / 24 for i in range(25))]
            face: list[Point] = [
                (1.6 * math.cos(a), 1.6 * math.sin(a) - 1.4) for a in (math.tau * i / 16 for i in range(16))
            ]
            band = [*ring, *((0.8 * x, 0.55 * y) for x, y in reversed(ring))]
            found = [_shape(piece, piece.kind, band)]
            return [*found, _shape(piece, "face", face)] if piece.kind == "watch" else found
        case "ring":
            loop: list[Point] = [(1.0 * math.cos(a), 0.5 * math.sin(a)) for a in (math.tau * i / 20 for i in range(21))]
            stone: list[Point] = [(-0.35, 0.45), (0.0, 0.95), (0.35, 0.45), (0.0, 0.3)]
            return [_seam(piece, loop), _shape(piece, "stone", stone)]
        case "bra":
            half, low = body.girth("under_bust") / 4, -6.0
            cup: list[Point] = [(0.0, -3.0), (half * 0.35, 4.0), (half * 0.75, 4.5), (half, 0.0), (half, low)]
            strap_: list[Point] = [(half * 0.55, 4.5), (half * 0.55, 14.0)]
            straps = [_seam(piece, strap_, "strap"), _seam(piece, [(-x, y) for x, y in strap_], "strap, left")]
            return [_shape(piece, "bra", cup + mirrored(cup)), *straps]
        case "underslip":
            low = landed.edge("end").height - landed.shoes.lift
            top, half = body.height("bust") + 6.0, body.girth("bust") / 4.2
            side: list[Point] = [(half * 0.7, top), (half, top - 8.0), (half * 1.12, low)]
            strap_ = [(half * 0.6, top), (half * 0.6, body.height("shoulder"))]
            straps = [_seam(piece, strap_, "strap"), _seam(piece, [(-x, y) for x, y in strap_], "strap, left")]
            return [_shape(piece, "slip", side + mirrored(side)), *straps]
        case "smoothing_shorts":
            at = body.height
            legs_ = Piece.of({"is": "leggings", "colour": colour_of(piece)})
            waist_, seat_ = body.girth("waist") / 4.4, body.girth("hip") / 4.4
            drawn = _legs(legs_, body, at("waist"), at("hip"), at("crotch"), at("mid_thigh"), waist_, seat_)
            return [Shape(s.key, piece.slot, s.role, s.points, s.colour, None) for s in drawn]
        case "earrings":
            drop_: list[Point] = [(-6, 2), (-4.4, -2), (-6, -4), (-7.6, -2)]
            return [_shape(piece, "left", drop_), _shape(piece, "right", [(x + 12, y) for x, y in drop_])]
        case _:
            legs = Piece.of({"is": "leggings", **({"colour": piece.word("colour")} if piece.word("colour") else {})})
            at = body.height
            return _legs(
                legs,
                body,
                at("waist"),
                at("hip"),
                at("crotch"),
                2.0,
                body.girth("waist") / 4.4,
                body.girth("hip") / 4.4,
            )


_DRAW: dict[str, Callable[[Body, Landed], list[Shape]]] = {
    "bottom": _bottom,
    "top": _trunk,
    "layer": _trunk,
    "one_piece": _trunk,
    "shoes": _shoe,
    "swim": _swim,
    "extra": _extra,
}
