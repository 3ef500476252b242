"""What is seen of a garment from behind: how its words read there, and what is sewn on its back. On the same frames as its front,
worn or laid flat."""

from __future__ import annotations

from craft.cloth import Piece
from craft.cloth.kinds import KIND
from craft.draw.frames import Cloth, Legs, Skirt, Trunk
from craft.draw.shapes import Run, Shape, lines, straight
from craft.draw.top import STANDS
from craft.draw.weave import THREAD, system_of, thread
from craft.wear.openings import neck_of
from craft.wear.top import TUCKS

#: How deep a neckline is behind, cm below the high point of the shoulder; of a slip with its straps (W).
NECK_BEHIND, SLIP_BEHIND = 3.0, 16.0
#: What is only seen from the front.
_IN_FRONT = (
    "placket",
    "buckle",
    "fly",
    "pendant",
    "necklace",
    "earring",
    "bib",
    "bib_clasp",
    "strap_bib",
    "scarf_end",
    "inside",
)
#: Back pockets: how far below the fullest hip their upper edge lies and how far out from the middle, as a share of the half
#: breadth there, by word; their size, cm (W).
POCKETS = {"seat_high": (-7.0, 0.44), "seat_low": (-1.0, 0.46), "seat_wide": (-5.0, 0.62)}
POCKET_WIDE, POCKET_TALL = 6.5, 12.0
#: A yoke lies so far below the shoulder on a shirt, and so far below the band at the side and in the middle on jeans, cm (W).
SHIRT_YOKE, JEANS_YOKE = 9.0, (4.0, 8.0)
#: A vent is so long, and a zip in the middle of the back, cm (W).
VENT, ZIP = 16.0, 20.0
_VENTED = ("blazer", "coat", "jacket", "waistcoat")


def as_behind(piece: Piece) -> Piece:
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


def only_in_front(shape: Shape) -> bool:
    """Whether a shape is not seen from behind."""
    return shape.key.startswith(_IN_FRONT) or shape.key.endswith(("_front", "_behind"))


def trunk_behind(cloth: Cloth, frame: Trunk) -> list[Shape]:
    """Yoke and pleat, the seam and the vent in the middle of the back, the zip of a dress."""
    piece, kind, ink = cloth.piece, cloth.piece.kind, thread(cloth.colour)
    found: list[Run] = []
    if kind in ("shirt", "blouse"):
        high = frame.top - SHIRT_YOKE
        half, low = frame.half(high) * 0.92, max(high - 30.0, frame.low)
        found += [[(-half, high), (0.0, high - 1.0), (half, high)], [(-1.2, high - 1.0), (-1.4, low)], [(1.2, high - 1.0), (1.4, low)]]  # fmt: skip
    elif kind in _VENTED and not piece.flag("hooded"):
        low = frame.low
        found += [
            [(0.0, frame.top - NECK_BEHIND), (0.0, low)],
            [(1.4, low), (1.4, low + VENT), (0.0, low + VENT + 3.0)],
        ]
    elif kind == "dress" and piece.word("cut") != "wrap":
        found.append([(0.0, frame.neck[0][1]), (0.0, frame.low)])
    return [lines(f"{cloth.key}_back", cloth.slot, "seam", found, ink, clip=cloth.key)] if found else []


def legs_behind(cloth: Cloth, frame: Legs) -> list[Shape]:
    """Yoke or darts below the band, and the pockets of the seat."""
    piece, band, hip = cloth.piece, frame.band, frame.hip
    runs: list[Run] = []
    denim = system_of(piece) == "denim"
    if denim:
        side, middle = JEANS_YOKE
        half = frame.trunk(band - side)
        runs.append([(-half, band - side), (0.0, band - middle), (half, band - side)])
    elif piece.kind not in ("leggings", "jumpsuit"):
        half = frame.trunk(band - 6.0) * 0.5
        runs += [[(sign * half, band - 3.6), (sign * half * 1.02, band - 11.0)] for sign in (-1, 1)]
    said = piece.word("pockets") or ("seat_high" if piece.kind == "jeans" else "none")
    ink = THREAD if denim else thread(cloth.colour)
    found = [lines("back_yoke", cloth.slot, "seam", runs, thread(cloth.colour, 0.7))] if runs else []
    if said in POCKETS:
        below, out = POCKETS[said]
        middle, top = out * frame.trunk(hip), hip - below
        found += [
            lines(f"pocket_{name}", cloth.slot, "stitch" if denim else "seam", _pocket(sign * middle, top), ink)
            for name, sign in (("left", 1), ("right", -1))
        ]
    return found


def skirt_behind(cloth: Cloth, frame: Skirt) -> list[Shape]:
    """The zip in the middle, darts beside it, and the vent of a narrow one."""
    band, low = frame.band, frame.hem
    runs: list[Run] = [[(0.0, band), (0.0, max(band - ZIP, low))]]
    narrow = frame.half(low) <= frame.half(frame.hip) * 1.02
    if cloth.piece.slot == "bottom" and narrow:
        half = frame.half(band - 6.0) * 0.5
        runs += [[(sign * half, band - 3.6), (sign * half * 1.02, band - 11.0)] for sign in (-1, 1)]
    if narrow and band - low > 40.0:
        runs += [[(0.0, low), (0.0, low + VENT)], [(1.4, low), (1.4, low + VENT), (0.0, low + VENT + 2.0)]]
    return [lines(f"{cloth.key}_back", cloth.slot, "seam", runs, thread(cloth.colour))]


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
