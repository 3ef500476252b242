"""The dressed figure from behind: the same landing, turned round. What is open in front is whole here, tails hang or are tucked,
pockets and seams lie where the eye finds them."""

from __future__ import annotations

from dataclasses import replace

from craft.cloth import Piece
from craft.cloth.kinds import KIND
from craft.draw.figure import draw_figure
from craft.draw.garments import draw_look
from craft.draw.shapes import Point, Shape
from craft.draw.top import STANDS, top_half
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
    worn = [shape for shape in draw_look(behind) if not _only_in_front(shape)]
    seams = _seams(behind)
    # Seams lie on their own piece: a pocket under a coat is not seen.
    painted: list[Shape] = []
    last = {shape.slot: at for at, shape in enumerate(worn) if shape.role == "cloth"}
    for at, shape in enumerate(worn):
        painted.append(shape)
        painted += [seam for seam in seams if last.get(seam.slot) == at]
    return tuple(_turned(shape) for shape in (*draw_figure(outfit.body, outfit.lift), *painted))


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
    return shape.key.startswith(_IN_FRONT) or (shape.role == "detail" and shape.key.endswith("_front"))


def _turned(shape: Shape) -> Shape:
    return replace(shape, points=tuple((-x, y) for x, y in shape.points))


def _line(key: str, piece: Piece, points: list[Point], colour: str) -> Shape:
    return Shape(key, piece.slot, "detail", tuple(points), colour)


def _seams(outfit: Outfit) -> list[Shape]:
    """Seams and pockets that are seen from behind."""
    bottom, top = outfit.bottom, outfit.top
    found: list[Shape] = []
    if bottom is not None and bottom.piece.slot == "bottom":
        found += _of_the_bottom(outfit, bottom)
    if top is not None and top.piece.kind in ("shirt", "blouse"):
        high = outfit.body.height("shoulder") + outfit.lift - SHIRT_YOKE
        half = top_half(outfit, top, high) * 0.92
        found.append(_line("yoke", top.piece, [(-half, high), (0.0, high - 1.0), (half, high)], top.colour))
    return found


def _of_the_bottom(outfit: Outfit, bottom: WornBottom) -> list[Shape]:
    piece, band, hip = bottom.piece, bottom.waistband.cm, outfit.at("hip")
    crotch = outfit.at("crotch")
    found: list[Shape] = []
    if bottom.has_legs and piece.kind != "leggings":
        found.append(_line("back_seam", piece, [(0.0, band), (0.0, crotch)], bottom.colour))
    if piece.kind == "jeans" or "denim" in piece.fabric:
        side, middle = JEANS_YOKE
        half = outfit.body.half_breadth(band - side - outfit.lift)
        found.append(
            _line("back_yoke", piece, [(-half, band - side), (0.0, band - middle), (half, band - side)], bottom.colour)
        )
    said = piece.word("pockets") or ("seat_high" if piece.kind == "jeans" else "none")
    if said in POCKETS:
        below, out = POCKETS[said]
        middle, top = out * outfit.body.half_breadth(hip - outfit.lift), hip - below
        found += [
            _pocket(f"pocket_{name}", piece, sign * middle, top, bottom.colour)
            for name, sign in (("left", 1), ("right", -1))
        ]
    return found


def _pocket(key: str, piece: Piece, x: float, top: float, colour: str) -> Shape:
    half, low = POCKET_WIDE, top - POCKET_TALL
    outline = [
        (x - half, top),
        (x + half, top),
        (x + half * 0.9, low + 2.0),
        (x, low),
        (x - half * 0.9, low + 2.0),
        (x - half, top),
    ]
    return _line(key, piece, outline, colour)
