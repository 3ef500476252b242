"""Flats: a piece laid flat as the trade draws it, from its own figures where it has them, else from the body it is for.

Laid flat a girth is half as broad. Points are cm, x from the piece's middle, y up. Seams, closings and pockets are those of
the worn piece: the same tables on another frame. Shoes are seen from the side, things worn besides as objects.
"""

from __future__ import annotations

from dataclasses import replace
from functools import lru_cache
from typing import NamedTuple

from craft.body import Body
from craft.cloth import Piece
from craft.cloth.kinds import KIND
from craft.cloth.piece import colour_of
from craft.draw.behind import as_behind, legs_behind, only_in_front, skirt_behind, trunk_behind
from craft.draw.bib import draw_bib, straps_behind
from craft.draw.collars import has_lapels
from craft.draw.dress import falls_in_one, sewn_in_one
from craft.draw.flat_frames import legs_frame, skirt_frame, through, trunk_frame
from craft.draw.frames import Cloth, Legs, Skirt, Trunk
from craft.draw.hood import hood_up_behind
from craft.draw.legs import draw_legs
from craft.draw.made import is_strapped
from craft.draw.objects import draw_object
from craft.draw.shapes import Run, Shape, area, moved, other_side, whole
from craft.draw.shoe_side import draw_shoe_side
from craft.draw.skirt import sewn_skirt
from craft.draw.swim import Levels, sewn_swim
from craft.draw.trunk import draw_trunk
from craft.draw.weave import thread
from craft.fit import Landed, land
from craft.wear import wear_shoes
from craft.wear.openings import neck_of


class Flat(NamedTuple):
    """A piece laid flat: what to paint, and the frames it was drawn on."""

    shapes: tuple[Shape, ...]
    trunk: Trunk | None = None
    legs: Legs | None = None
    skirt: Skirt | None = None


def draw_flat(body: Body, landed: Landed) -> tuple[Shape, ...]:
    """The piece laid flat, as shapes to paint in order.

    >>> from craft.body import Measures
    >>> from craft.fit import land
    >>> body = Body.of(Measures.of({"stature": 165}))
    >>> draw_flat(body, land(body, Piece.of({"is": "skirt"})))[0].key
    'skirt'
    """
    return flat_of(body, landed.piece).shapes


@lru_cache(maxsize=1024)
def flat_of(body: Body, piece: Piece, *, back: bool = False) -> Flat:
    """The piece laid flat, with its frames; the same in whatever shoes it is worn, so it is drawn once. On its `back` its words
    are those that `as_behind` gives it."""
    landed = land(body, piece)
    match piece.slot:
        case "shoes":
            return Flat(_shoe(body, landed))
        case "extra":
            return Flat(draw_object(body, landed))
        case "swim":
            return _swim(body, landed)
        case "bottom" if piece.kind == "skirt":
            frame = skirt_frame(body, landed, landed.edge("waistband").height - landed.shoes.lift)
            return Flat(sewn_skirt(_cloth(piece, "skirt"), frame, piece.word("cut") or ""), skirt=frame)
        case "bottom":
            legs = legs_frame(body, landed, landed.edge("waistband").height - landed.shoes.lift)
            return Flat(draw_legs(_cloth(piece, "legs"), legs, back=back), legs=legs)
        case _:
            return _from_shoulder(body, landed, back)


def has_back(piece: Piece) -> bool:
    """Whether a piece is drawn from behind too: what is sewn for trunk and legs."""
    return piece.slot in ("top", "bottom", "layer", "one_piece")


@lru_cache(maxsize=256)
def flat_behind(body: Body, piece: Piece) -> tuple[Shape, ...]:
    """The piece laid on its face: its back as the trade draws it.

    >>> from craft.body import Measures
    >>> keys = [shape.key for shape in flat_behind(Body.of(Measures.of({"stature": 165})), Piece.of({"is": "jeans"}))]
    >>> "pocket_left" in keys, "fly" in keys
    (True, False)
    """
    flat = flat_of(body, as_behind(piece), back=True)
    seams: list[Shape] = []
    if flat.trunk is not None:
        cloth = _cloth(piece, "trunk")
        low = flat.trunk if flat.skirt is None else _cut_at(flat.trunk, body.height("waist") - 0.6)
        seams += trunk_behind(cloth, low)
        hooded = piece.flag("hooded")
        seams += hood_up_behind(cloth, flat.trunk) if hooded else ()
    seams += legs_behind(_cloth(piece, "legs"), flat.legs) if flat.legs is not None else ()
    seams += skirt_behind(_cloth(piece, "skirt"), flat.skirt) if flat.skirt is not None else ()
    kept = [shape for shape in flat.shapes if not only_in_front(shape) and "_hood" not in shape.key]
    return tuple(moved(shape, turned=True) for shape in (*kept, *seams))


def _cloth(piece: Piece, key: str) -> Cloth:
    return Cloth(piece, piece.slot, key, colour_of(piece))


def _from_shoulder(body: Body, landed: Landed, back: bool) -> Flat:
    """Tops, layers, dresses and suits, from the shoulder down."""
    piece = landed.piece
    waist = body.height("waist")
    if piece.kind == "dungarees":
        legs = legs_frame(body, landed, waist)
        half = legs.trunk(waist) * 0.74
        bib = draw_bib(_cloth(piece, "bib"), half, waist - 0.5, body.height("bust") + 1.0, body.height("shoulder"))
        held = straps_behind(_cloth(piece, "bib"), half, waist, body.height("shoulder")) if back else bib
        return Flat((*draw_legs(_cloth(piece, "legs"), legs, back=back), *held), legs=legs)
    frame = trunk_frame(body, landed)
    if KIND[piece.kind].has_legs:
        legs = legs_frame(body, landed, waist)
        legs = replace(
            legs,
            trunk=through(
                [(waist, frame.half(waist)), (legs.hip, legs.trunk(legs.hip)), (legs.fork, legs.trunk(legs.fork))]
            ),
        )
        trunk = _cut_at(frame, waist)
        sewn = (*draw_trunk(_cloth(piece, "trunk"), trunk), *draw_legs(_cloth(piece, "legs"), legs, back=back))
        return Flat((*_inside(piece, frame), *sewn), trunk, legs)
    if piece.kind == "dress" and frame.low < waist - 8.0:
        skirt = skirt_frame(body, landed, waist)
        own = through(
            [
                (waist, frame.half(waist)),
                (skirt.hip, max(frame.half(skirt.hip), skirt.half(skirt.hip))),
                (skirt.hem, skirt.half(skirt.hem)),
            ]
        )
        skirt = replace(skirt, half=own)
        trunk = _cut_at(frame, waist - 0.6)
        if falls_in_one(piece):
            fallen = sewn_in_one(_cloth(piece, "trunk"), trunk, skirt)
            return Flat((*_inside(piece, frame), *_hung(piece, body, fallen, trunk)), frame, skirt=skirt)
        shapes = (
            *_inside(piece, frame),
            *_hung(piece, body, draw_trunk(_cloth(piece, "trunk"), trunk), trunk),
            *sewn_skirt(_cloth(piece, "skirt"), skirt, piece.word("cut") or ""),
        )
        return Flat(shapes, frame, skirt=skirt)
    drawn = _hung(piece, body, draw_trunk(_cloth(piece, "trunk"), frame), frame)
    return Flat((*_inside(piece, frame), *drawn), frame)


#: How deep a neckline is behind on what is laid flat, cm (W).
FLAT_NECK_BEHIND = 2.2


def _inside(piece: Piece, frame: Trunk) -> tuple[Shape, ...]:
    """The inside of the back, which shows in the neck of what is laid flat."""
    neck = frame.neck
    if neck_of(piece) in ("polo", "halter", "one_shoulder") or is_strapped(piece) or neck[0][1] > frame.top - 3.0:
        return ()
    x, y = neck[-1]
    # A collar stands behind; without one the edge dips.
    dip = 0.4 if neck_of(piece) in ("open_collar", "closed_collar") or has_lapels(piece) else FLAT_NECK_BEHIND
    behind: Run = [(x, y), (x * 0.55, y - 0.8 * dip), (0.0, y - dip)]
    runs: list[Run] = [behind[::-1], neck[::-1]]
    return (area("inside", piece.slot, whole(runs), thread(colour_of(piece), 0.28)),)


def _cut_at(frame: Trunk, low: float) -> Trunk:
    """The upper part of a garment, down to a seam."""
    side = [*(point for point in frame.side if point[1] > low + 2.0), (frame.half(low), low)]
    wide = side[-1][0]
    return replace(frame, side=side, hem=[side[-1], (0.0, low - 0.4), (-wide, low)])


def _hung(piece: Piece, body: Body, shapes: tuple[Shape, ...], frame: Trunk) -> tuple[Shape, ...]:
    """With the straps it hangs by, where it has any."""
    if not is_strapped(piece):
        return shapes
    (x, y), (out, _) = frame.neck[-1], frame.shoulder[-1]
    top = body.height("shoulder")
    runs: list[Run] = [[(x, y), (x * 0.94, top)], [(x * 0.94, top), (out * 0.94, top)], [(out * 0.94, top), (out, y)]]
    right = area("strap_right", piece.slot, runs, colour_of(piece))
    return (right, other_side(right, "strap_left", runs), *shapes)


def _shoe(body: Body, landed: Landed) -> tuple[Shape, ...]:
    """One shoe from the side, toe to the right, its heel at x = 0."""
    shoes = wear_shoes(body, landed.piece)
    girth = landed.piece.figure("shaft_girth_cm") or body.girth("calf") + 3
    if shoes.cover.cm - shoes.heel < 22.0:
        girth = min(girth, body.girth("ankle") + 6.0)
    return draw_shoe_side(shoes, landed.piece.slot, body.lengths["foot_length"].cm, girth)


def _swim(body: Body, landed: Landed) -> Flat:
    piece = landed.piece
    if piece.kind == "swim_shorts":
        legs = legs_frame(body, landed, landed.edge("waistband").height)
        return Flat(draw_legs(_cloth(piece, "legs"), legs), legs=legs)
    chest = (piece.figure("chest_cm") or body.girth("bust") * 0.9) / 4
    under = (piece.figure("under_bust_cm") or body.girth("under_bust") * 0.92) / 4
    waist = (piece.figure("waist_cm") or body.girth("waist") * 0.92) / 4
    seat = (piece.figure("hip_cm") or body.girth("hip") * 0.92) / 4
    at = {name: body.height(name) for name in ("shoulder", "bust", "under_bust", "waist", "high_hip", "hip", "crotch")}
    half = through(
        [(at["bust"], chest), (at["under_bust"], under), (at["waist"], waist), (at["hip"], seat), (at["crotch"], seat)]
    )
    return Flat(sewn_swim(piece, Levels.on(body, 0.0, half), piece.slot))
