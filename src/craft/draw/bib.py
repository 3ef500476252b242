"""The bib of dungarees with its straps, clasps and pocket."""

from __future__ import annotations

from craft.draw.frames import Cloth
from craft.draw.shapes import Run, Shape, area, box, lines, other_side, whole
from craft.draw.weave import THREAD, weave_of


def straps_behind(cloth: Cloth, half: float, low: float, high: float) -> tuple[Shape, ...]:
    """The straps of a bib from behind: from the band they cross to the other shoulder."""
    weave = weave_of(cloth.piece, cloth.colour)
    strap: list[Run] = [
        [(half * 0.62, low - 1.0), (-half * 0.62, high)],
        [(-half * 0.62, high), (-half * 0.88, high - 0.7)],
        [(-half * 0.88, high - 0.7), (half * 0.34, low - 1.0)],
        [(half * 0.34, low - 1.0), (half * 0.62, low - 1.0)],
    ]
    right = area("straps_right", cloth.slot, strap, cloth.colour, weave=weave)
    return (other_side(right, "straps_left", strap), right)


def draw_bib(cloth: Cloth, half: float, low: float, high: float, shoulder: float) -> tuple[Shape, ...]:
    """A bib so broad at its foot, between two heights, with straps up to the shoulder."""
    slot, colour, weave = cloth.slot, cloth.colour, weave_of(cloth.piece, cloth.colour)
    right: list[Run] = [
        [(0.0, high), (half * 0.82, high)],
        [(half * 0.82, high), (half * 0.9, (low + high) / 2), (half * 1.08, low)],
        [(half * 1.08, low), (0.0, low)],
    ]
    strap: list[Run] = [
        [(half * 0.78, high - 2.5), (half * 0.7, (high + shoulder) / 2), (half * 0.82, shoulder)],
        [(half * 0.82, shoulder), (half * 1.1, shoulder - 0.7)],
        [(half * 1.1, shoulder - 0.7), (half * 1.0, (high + shoulder) / 2), (half * 0.5, high - 2.5)],
        [(half * 0.5, high - 2.5), (half * 0.78, high - 2.5)],
    ]
    yarn: list[Run] = [
        [(-half * 0.78, high - 1.2), (half * 0.78, high - 1.2)],
        *box(-half * 0.44, half * 0.44, low + 3.5, high - 6.0),
    ]
    held = area("strap_bib_right", slot, strap, colour, weave=weave)
    return (
        held,
        other_side(held, "strap_bib_left", strap),
        area("bib", slot, whole(right), colour, weave=weave, light="form"),
        lines("bib_stitches", slot, "stitch", yarn, THREAD, clip="bib"),
        area("bib_clasp_right", slot, box(half * 0.5, half * 0.8, high - 3.4, high - 1.0), "silver"),
        area("bib_clasp_left", slot, box(-half * 0.8, -half * 0.5, high - 3.4, high - 1.0), "silver"),
    )
