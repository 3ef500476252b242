"""The dressed figure from behind: the same landing, turned round. What is open in front is whole here, tails hang or are tucked,
pockets and seams lie where the eye finds them."""

from __future__ import annotations

from craft.cloth import Piece
from craft.cloth.kinds import KIND
from craft.draw.figure import draw_figure, neck_half
from craft.draw.frames import Cloth
from craft.draw.garments import draw_look
from craft.draw.hood import hood_behind
from craft.draw.layer import at_their_places
from craft.draw.shapes import Run, Shape, flip, lines, moved, straight
from craft.draw.top import STANDS, top_half
from craft.draw.weave import THREAD, system_of, thread
from craft.look import Look, Outfit, compose
from craft.wear import WornBottom
from craft.wear.openings import neck_of
from craft.wear.top import TUCKS

#: How deep a neckline is behind, cm below the high point of the shoulder; of a slip with its straps (W).
NECK_BEHIND, SLIP_BEHIND = 3.0, 16.0
#: What is only seen from the front.
_IN_FRONT = ("placket", "buckle", "fly", "pendant", "necklace", "earring", "bib", "strap_bib", "scarf_end")
#: Back pockets: how far below the fullest hip their upper edge lies and how far out from the middle, as a share of the half
#: breadth there, by word; their size, cm (W).
POCKETS = {"seat_high": (-7.0, 0.44), "seat_low": (-1.0, 0.46), "seat_wide": (-5.0, 0.62)}
POCKET_WIDE, POCKET_TALL = 6.5, 12.0
#: A yoke lies so far below the shoulder on a shirt, and so far below the band at the side and in the middle on jeans, cm (W).
SHIRT_YOKE, JEANS_YOKE = 9.0, (4.0, 8.0)


def draw_back(outfit: Outfit) -> tuple[Shape, ...]:
    """The dressed figure from behind, as shapes to paint in order: the client's left is on the left.

    >>> from craft.body import Body, Measures
    >>> from craft.look import Look
    >>> look = Look.of([{"is": "jeans"}, {"is": "tee"}, {"is": "blazer", "open": True}])
    >>> keys = [shape.key for shape in draw_back(compose(Body.of(Measures.of({"stature": 165})), look))]
    >>> "pocket_left" in keys, "layer0" in keys, "layer0_left" in keys
    (True, True, False)
    """
    behind = compose(outfit.body, Look(tuple(_behind(piece) for piece in outfit.pieces)), outfit.schools)
    worn = [shape for shape in draw_look(behind, back=True) if not _only_in_front(shape)]
    seams = at_their_places(behind, _seams(behind))
    # Seams lie on their own piece: a pocket under a coat is not seen.
    painted: list[Shape] = []
    last = {shape.slot: at for at, shape in enumerate(worn)}
    for at, shape in enumerate(worn):
        painted.append(shape)
        painted += [seam for seam in seams if last.get(seam.slot) == at]
    shoes = outfit.shoes.piece
    figure = [_from_behind(outfit, shape) for shape in draw_figure(outfit.body, outfit.lift, shod=shoes is not None)]
    return tuple(moved(shape, turned=True) for shape in (*figure, *painted))


def _from_behind(outfit: Outfit, shape: Shape) -> Shape:
    """The same contour; but other lines on it: shoulder blades, spine, seat, the hollow of the knee."""
    if shape.key != "lines":
        return shape
    body, lift = outfit.body, outfit.lift
    at = {name: body.height(name) + lift for name in ("shoulder", "bust", "waist", "hip", "crotch", "knee")}
    half, seat = body.half_breadth(body.height("bust")), body.half_breadth(body.height("hip"))
    centre, wide = body.leg_centre(body.height("knee")), body.leg_half_breadth(body.height("knee"))
    right: list[Run] = [
        [(half * 0.66, at["shoulder"] - 9.0), (half * 0.34, at["bust"] + 2.0), (half * 0.5, at["bust"] - 3.0)],
        [(0.8, at["crotch"] + 0.8), (seat * 0.34, at["crotch"] - 1.6), (seat * 0.74, at["crotch"] + 0.6)],
        [(centre - wide * 0.5, at["knee"] + 0.5), (centre, at["knee"] - 0.3), (centre + wide * 0.5, at["knee"] + 0.6)],
    ]
    spine: Run = [(0.0, at["shoulder"] - 6.0), (0.2, at["waist"]), (0.0, at["hip"] + 5.0)]
    cleft: Run = [(0.0, at["hip"] + 3.0), (0.0, at["crotch"])]
    return lines("lines", "body", "skinline", [*right, *(flip(run) for run in right), spine, cleft])


def _behind(piece: Piece) -> Piece:
    """A piece as it is seen from behind, in words that draw it so."""
    row = KIND[piece.kind]
    if piece.slot == "layer":
        return piece.with_(open=None, neck="crew", neck_depth_cm=NECK_BEHIND)
    changes: dict[str, object] = {}
    if piece.slot == "top":
        style = TUCKS[piece.word("tuck") or row.tuck]
        changes["tuck"] = "full" if style.back >= 1 else "none" if not style.back else "tail_fold"
    if piece.slot in ("top", "one_piece") and neck_of(piece) not in (*STANDS, "halter", "one_shoulder"):
        slip = piece.word("cut") == "slip" or piece.kind == "camisole"
        changes |= {"neck": "scoop" if slip else "crew", "neck_depth_cm": SLIP_BEHIND if slip else NECK_BEHIND}
    return piece.with_(**changes) if changes else piece


def _only_in_front(shape: Shape) -> bool:
    return shape.key.startswith(_IN_FRONT) or shape.key.endswith(("_front", "_behind"))


def _seams(outfit: Outfit) -> list[Shape]:
    """Seams and pockets that are seen from behind."""
    bottom, top = outfit.bottom, outfit.top
    found: list[Shape] = []
    if bottom is not None and bottom.piece.slot == "bottom":
        found += _of_the_bottom(outfit, bottom)
    if top is not None and top.piece.kind in ("shirt", "blouse"):
        high = outfit.body.height("shoulder") + outfit.lift - SHIRT_YOKE
        half = top_half(outfit, top, high) * 0.92
        runs: list[Run] = [
            [(-half, high), (0.0, high - 1.0), (half, high)],
            [(-1.2, high - 1.0), (-1.4, high - 30.0)],
            [(1.2, high - 1.0), (1.4, high - 30.0)],
        ]
        found.append(lines("yoke", top.piece.slot, "seam", runs, thread(top.colour), clip="top"))
    high, neck = outfit.at("shoulder"), neck_half(outfit.body)
    if top is not None and top.piece.flag("hooded"):
        found += hood_behind(Cloth(top.piece, top.piece.slot, "top", top.colour), neck, high)
    for at, layer in enumerate(outfit.layers):
        if layer.piece.flag("hooded"):
            found += hood_behind(Cloth(layer.piece, "layer", f"layer{at}", layer.colour), neck, high)
        if layer.piece.kind in ("blazer", "coat", "jacket", "waistcoat"):
            high, low = outfit.body.height("shoulder") + outfit.lift - 3.0, max(layer.hem.cm, 0.0)
            vent: list[Run] = [[(0.0, high), (0.0, low)], [(1.4, low), (1.4, low + 16.0), (0.0, low + 19.0)]]
            found.append(lines(f"layer{at}_vent", "layer", "seam", vent, thread(layer.colour), clip=f"layer{at}"))
    return found


def _of_the_bottom(outfit: Outfit, bottom: WornBottom) -> list[Shape]:
    piece, band, hip = bottom.piece, bottom.waistband.cm, outfit.at("hip")
    runs: list[Run] = []
    denim = system_of(piece) == "denim"
    if denim:
        side, middle = JEANS_YOKE
        half = outfit.body.half_breadth(band - side - outfit.lift)
        runs.append([(-half, band - side), (0.0, band - middle), (half, band - side)])
    elif bottom.has_legs and piece.kind != "leggings":
        half = outfit.body.half_breadth(band - 6.0 - outfit.lift) * 0.5
        runs += [[(sign * half, band - 3.6), (sign * half * 1.02, band - 11.0)] for sign in (-1, 1)]
    said = piece.word("pockets") or ("seat_high" if piece.kind == "jeans" else "none")
    ink = THREAD if denim else thread(bottom.colour)
    found = [lines("back_yoke", piece.slot, "seam", runs, thread(bottom.colour, 0.7))] if runs else []
    if said in POCKETS:
        below, out = POCKETS[said]
        middle, top = out * outfit.body.half_breadth(hip - outfit.lift), hip - below
        found += [
            lines(f"pocket_{name}", piece.slot, "stitch" if denim else "seam", _pocket(sign * middle, top), ink)
            for name, sign in (("left", 1), ("right", -1))
        ]
    return found


def _pocket(x: float, top: float) -> list[Run]:
    half, low = POCKET_WIDE, top - POCKET_TALL
    return straight(
        (x - half, top),
        (x + half, top),
        (x + half * 0.9, low + 2.0),
        (x, low),
        (x - half * 0.9, low + 2.0),
        (x - half, top),
    )
