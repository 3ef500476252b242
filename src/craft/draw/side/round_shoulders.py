"""A knit laid round the shoulders, from the side."""

from __future__ import annotations

from craft.cloth import Piece
from craft.cloth.piece import colour_of
from craft.draw.round_shoulders import ENDS, HEM, KNOT, RIB
from craft.draw.shapes import Point, Run, Shape, area, between, lines, oval
from craft.draw.side.body import neck_round, side_of
from craft.draw.weave import thread, weave_of
from craft.look import Outfit


def knit_side(outfit: Outfit, piece: Piece) -> list[Shape]:
    """From the side: the body down the back, the near sleeve over the shoulder to its knot, one end."""
    colour, slot = colour_of(piece), piece.place
    body, lift, high, n = outfit.body, outfit.lift, outfit.at("shoulder"), neck_round(outfit.body)
    side = side_of(body)

    def chest(height: float) -> float:
        return side.front(height - lift) + 1.6

    knot: Point = (chest(high - KNOT), high - KNOT)
    hind: list[Point] = [(side.back(high - lift - down) - 1.8, high - down) for down in (5.0, 14.0, 24.0, HEM - 2.0)]
    runs: list[Run] = [
        [(-n * 1.1, high + 3.2), (-n * 1.6, high + 1.0), *hind],
        [hind[-1], (hind[-1][0] + 7.0, high - HEM)],
        [
            (hind[-1][0] + 7.0, high - HEM),
            (-3.0, high - 19.0),
            (2.4, high - 12.0),
            between((2.4, high - 12.0), knot, 0.6),
            (knot[0] - 0.6, knot[1] - 2.6),
        ],
        [(knot[0] - 0.6, knot[1] - 2.6), (knot[0] + 0.4, knot[1] + 2.4)],
        [
            (knot[0] + 0.4, knot[1] + 2.4),
            (chest(high - 10.0), high - 10.0),
            (n * 1.1, high - 2.0),
            (-n * 0.2, high + 2.2),
            (-n * 1.1, high + 3.2),
        ],
    ]
    low = high - ENDS + 2.0
    end: list[Run] = [
        [(knot[0] - 2.6, knot[1]), (knot[0] - 3.4, (knot[1] + low) / 2), (knot[0] - 3.0, low)],
        [(knot[0] - 3.0, low), (knot[0] + 2.0, low)],
        [(knot[0] + 2.0, low), (knot[0] + 2.4, (knot[1] + low) / 2), (knot[0] + 1.4, knot[1])],
        [(knot[0] + 1.4, knot[1]), (knot[0] - 2.6, knot[1])],
    ]
    cuff: list[Run] = [
        [(knot[0] - 3.2, low + RIB), (knot[0] + 2.2, low + RIB)],
        *([(knot[0] + x, low), (knot[0] + x, low + RIB)] for x in (-2.0, -0.6, 0.8)),
    ]
    return [
        area("knit_end", slot, end, colour, weave=weave_of(piece, colour), light="form"),
        lines("knit_end_cuff", slot, "seam", cuff, thread(colour), clip="knit_end"),
        area("knit_shoulders", slot, runs, colour, weave=weave_of(piece, colour, 30.0), light="form"),
        area("knit_knot", slot, oval(knot[0] + 0.2, knot[1], 2.2, 3.0), colour, light="form"),
    ]  # fmt: skip
