"""Dresses that fall in one from the shoulder: no seam parts them at the waist."""

from __future__ import annotations

from dataclasses import replace

from craft.cloth import Piece
from craft.draw.frames import Cloth, Skirt, Trunk
from craft.draw.made import is_strapped
from craft.draw.shapes import Shape, flip
from craft.draw.skirt import hem_of, skirt_frame_on, worked_skirt
from craft.draw.top import straps, top_frame
from craft.draw.trunk import draw_trunk
from craft.look import Outfit

#: Cuts that have no seam at the waist.
IN_ONE = ("slip", "shift", "sheath")


def falls_in_one(piece: Piece) -> bool:
    """Whether a piece is a dress without a seam at the waist."""
    return piece.kind == "dress" and piece.word("cut") in IN_ONE


def in_one(trunk: Trunk, skirt: Skirt) -> Trunk:
    """Bodice and skirt as one garment: down the bodice's side to the waist, and on to the skirt's hem."""
    edge = hem_of(skirt)
    above = [point for point in trunk.side if point[1] > skirt.band + 1.0]
    side = [*above, *(point for point in skirt.side()[:-1] if point[1] < above[-1][1] - 1.0), edge[0]]
    hem = [*edge, *flip(edge[-2::-1])]

    def half(height: float) -> float:
        return trunk.half(height) if height > skirt.band else skirt.half(height)

    return replace(trunk, side=side, side_left=None, hem=hem, half=half, tied=None)


def sewn_in_one(cloth: Cloth, trunk: Trunk, skirt: Skirt) -> tuple[Shape, ...]:
    """The whole dress, with what is sewn on it and how its skirt falls."""
    below = worked_skirt(replace(cloth, key="skirt"), skirt, cloth.piece.word("cut") or "")
    return (*draw_trunk(cloth, in_one(trunk, skirt)), *(replace(shape, clip=cloth.key) for shape in below))


def draw_dress(outfit: Outfit) -> tuple[Shape, ...]:
    """A dress as it falls in one; nothing where none is worn."""
    top, skirt = outfit.top, outfit.bottom
    if top is None or skirt is None:
        return ()
    trunk, cloth = top_frame(outfit, top), Cloth(top.piece, top.piece.slot, "top", top.colour)
    held = straps(outfit, cloth, trunk) if is_strapped(top.piece) else ()
    return (*held, *sewn_in_one(cloth, trunk, skirt_frame_on(outfit, skirt)))
