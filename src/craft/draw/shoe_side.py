"""A shoe from the side, toe to the right, as it lies on the rack and stands under the profile."""

from __future__ import annotations

from craft.draw.shapes import Point, Run, Shape, area, lines, oval
from craft.draw.shoes import LASTS, REACHES, Last
from craft.draw.weave import mixed, thread
from craft.wear import WornShoes


def draw_shoe_side(shoes: WornShoes, slot: str, long: float, shaft_girth: float) -> tuple[Shape, ...]:
    """One shoe from the side, toe to the right, as it lies on the rack: heel at x = 0. `long` is the foot's length."""
    piece = shoes.piece
    if piece is None:
        return ()
    last = LASTS.get(piece.kind, Last())
    colour, dark = shoes.colour, mixed(shoes.colour, "#1d1712", 0.45)
    heel, ball = max(shoes.heel, 0.6), max(min(shoes.platform, shoes.heel), 0.5)
    tip = long + REACHES[shoes.toe]
    toe_tall = {"round": 4.3, "square": 3.4, "almond": 3.2, "pointed": 2.3}[shoes.toe] + (
        0.6 if shoes.bulk == "chunky" else 0.0
    )
    found: list[Shape] = [*_sole_side(shoes, slot, long, tip, heel, ball, "#efe9dc" if last.rubber else dark)]
    found += _upper_side(shoes, slot, last, long, tip, heel, ball, toe_tall, shaft_girth, colour)
    return tuple(found)


def _sole_side(
    shoes: WornShoes, slot: str, long: float, tip: float, heel: float, ball: float, colour: str
) -> list[Shape]:
    """Sole and heel in one outline; a wedge is filled, a stiletto thin."""
    word = shoes.piece.word("heel_shape") if shoes.piece else None
    toe_up = ball + (0.9 if ball < 2 else 0.3)
    if heel - ball < 1.6 or word == "wedge":
        runs: list[Run] = [
            [(0.2, heel), (long * 0.3, heel * 0.9 + ball * 0.1), (long * 0.62, ball), (tip - 0.6, toe_up)],
            [(tip - 0.6, toe_up), (tip - 0.4, ball * 0.4), (tip - 2.2, 0.0)],
            [(tip - 2.2, 0.0), (0.8, 0.0)],
            [(0.8, 0.0), (0.0, heel * 0.5), (0.2, heel)],
        ]
        return [area("sole", slot, runs, colour, role="sole")]
    thick = 0.9
    wide = {"stiletto": 1.1, "block": 5.4, "platform": 5.2}.get(
        word or "", 4.4 if heel < 5.5 else 2.4 if heel < 8 else 1.3
    )
    plate: list[Run] = [
        [
            (0.2, heel),
            (long * 0.26, heel - 0.4),
            (long * 0.46, (heel + ball) / 2),
            (long * 0.66, ball),
            (tip - 0.6, toe_up),
        ],
        [(tip - 0.6, toe_up), (tip - 0.5, 0.4), (tip - 2.6, 0.0)],
        [(tip - 2.6, 0.0), (long * 0.64, 0.0)],
        [
            (long * 0.64, 0.0),
            (long * 0.44, (heel + ball) / 2 - thick),
            (long * 0.27, heel - thick - 0.5),
            (0.3, heel - thick),
        ],
    ]
    block: list[Run] = [
        [(0.2, heel - 0.2), (max(wide, 4.2), heel - 0.7)],
        [(max(wide, 4.2), heel - 0.7), (wide + 0.7, heel * 0.5), (wide + 0.5, 0.0)],
        [(wide + 0.5, 0.0), (0.6, 0.0)],
        [(0.6, 0.0), (0.5, heel * 0.45), (0.2, heel - 0.2)],
    ]
    return [area("heel", slot, block, colour, role="sole"), area("sole", slot, plate, colour, role="sole")]


def _upper_side(
    shoes: WornShoes,
    slot: str,
    last: Last,
    long: float,
    tip: float,
    heel: float,
    ball: float,
    toe_tall: float,
    shaft_girth: float,
    colour: str,
) -> list[Shape]:
    ink = thread(colour, 0.6)
    top = shoes.cover.cm
    front_toe: Run = [
        (long * 0.70, ball + toe_tall + 0.8),
        (tip - 3.2, ball + toe_tall),
        (tip - 0.2, ball + 1.6),
        (tip - 0.5, ball + 0.6),
    ]
    under: Run = [(tip - 0.5, ball + 0.6), (long * 0.64, ball), (long * 0.3, heel * 0.92 + ball * 0.08), (0.3, heel)]
    counter = heel + 5.4
    if last.tall:
        shaft = max(9.6, shaft_girth * 0.36)
        ankle = heel + 8.0
        outline: list[Run] = [[(0.2, heel), (-0.2, heel + 3.0), (0.9, ankle), (0.2 if top < ankle + 14 else -0.6, (ankle + top) / 2 + 2.0), (0.0, top)],
                              [(0.0, top), (shaft, top + 0.4)],
                              [(shaft, top + 0.4), (shaft * 0.98, (ankle + top) / 2 + 2.0), (10.2, ankle + 0.6), (12.6, heel * 0.6 + 7.6), *front_toe], under]  # fmt: skip
        drawn = [area("shoe", slot, outline, colour, light="leather")]
        kind = shoes.piece.kind if shoes.piece else ""
        more: list[Run] = []
        if kind == "ankle_boots":
            more += [
                [(4.4, top), (5.2, heel + 6.5)],
                [(8.4, top), (7.6, heel + 6.5)],
                [(5.2, heel + 6.5), (7.6, heel + 6.5)],
            ]
        elif kind != "sock_boots":
            more += [
                [(0.6, ankle - 1), (3.6, heel + 4.4), (5.0, heel + 0.6)],
                [(shaft * 0.5, top), (shaft * 0.5, ankle + 3.0)],
            ]
        else:
            more += [[(0.2, top - 1.4), (shaft, top - 1.0)], [(0.2, top - 2.6), (shaft, top - 2.2)]]
        return [*drawn, lines("shoe_seams", slot, "seam", more, ink, clip="shoe")] if more else drawn
    if last.bands:
        found = [area("shoe", slot, [[(long * 0.58, ball + 0.3), (long * 0.62, ball + 4.2), (long * 0.74, ball + 4.4), (long * 0.8, ball + 0.4)], [(long * 0.8, ball + 0.4), (long * 0.58, ball + 0.3)]], colour, light="leather"),
                 area("band", slot, [[(long * 0.3, heel * 0.8 + 0.4), (long * 0.34, heel * 0.7 + 6.2), (long * 0.42, heel * 0.6 + 6.0), (long * 0.42, heel * 0.6 + 0.6)], [(long * 0.42, heel * 0.6 + 0.6), (long * 0.3, heel * 0.8 + 0.4)]], colour, light="leather")]  # fmt: skip
        return [
            *found,
            area(
                "counter",
                slot,
                [
                    [(0.3, heel), (0.0, heel + 3.0), (0.6, heel + 6.0)],
                    [(0.6, heel + 6.0), (long * 0.35, heel * 0.7 + 5.6)],
                    [(long * 0.35, heel * 0.7 + 5.6), (1.8, heel + 4.6), (1.8, heel + 0.2)],
                ],
                colour,
            ),
        ]
    vamp_x = long * (0.42 + 0.22 * last.throat)
    vamp_y = ball + toe_tall + (1.0 if last.throat > 0.6 else 2.2 + (heel - ball) * 0.15)
    if last.laces:
        counter, vamp_y = heel + 6.2, ball + toe_tall + 3.6
    if piece_is(shoes, "slingbacks"):
        throat: list[Run] = [
            [(0.3, counter - 1.0), (long * 0.28, heel * 0.75 + 3.6), (long * 0.36, heel * 0.6 + 3.0)],
            [(long * 0.36, heel * 0.6 + 3.0), (long * 0.5, ball + toe_tall * 0.9), (vamp_x, vamp_y)],
            [(vamp_x, vamp_y), *front_toe[1:]],
        ]
        body: list[Run] = [
            *throat[1:],
            [front_toe[-1], (long * 0.64, ball), (long * 0.34, heel * 0.85)],
            [(long * 0.34, heel * 0.85), (long * 0.36, heel * 0.6 + 3.0)],
        ]
        sling: list[Run] = [
            [
                (long * 0.36, heel * 0.6 + 3.0),
                (long * 0.2, heel + 4.6),
                (0.2, counter),
                (0.5, counter - 1.1),
                (long * 0.2, heel + 3.6),
                (long * 0.36, heel * 0.6 + 2.2),
            ],
            [(long * 0.36, heel * 0.6 + 2.2), (long * 0.36, heel * 0.6 + 3.0)],
        ]
        return [area("shoe", slot, body, colour, light="leather"), area("sling", slot, sling, colour)]
    start: Point = (long * 0.3, heel * 0.9 + 0.4) if last.open_back else (0.2, heel)
    behind: Run = (
        [start, (start[0] + 0.4, heel + 3.0), (start[0] + 1.6, counter)]
        if last.open_back
        else [start, (-0.5, heel + 2.4), (0.5, counter)]
    )
    line: Run = [
        behind[-1],
        (long * 0.24, counter - 1.5 * (1 - 0.4 * last.throat)),
        (long * 0.36, (counter + vamp_y) / 2 - 1.2),
        (vamp_x, vamp_y),
    ]
    outline = [behind, line, [(vamp_x, vamp_y), *front_toe[(1 if vamp_x > long * 0.6 else 0) :]], [*under[:-1], start]]
    drawn = [area("shoe", slot, outline, colour, light="leather")]
    more = []
    if last.saddle:
        more += [
            [(vamp_x + 0.6, vamp_y - 0.5), (long * 0.5, ball + 2.6), (long * 0.44, ball + 1.0)],
            [(vamp_x + 3.2, vamp_y - 1.3), (long * 0.62, ball + 2.4), (long * 0.56, ball + 0.9)],
            [(vamp_x + 2.0, vamp_y - 1.0), (tip - 5.0, ball + toe_tall - 0.2), (tip - 3.0, ball + 1.4)],
        ]
    if last.laces:
        more += [
            [(vamp_x - 1.6 + at * 2.1, vamp_y + 0.2 - at * 1.0), (vamp_x - 3.0 + at * 2.1, vamp_y - 2.4 - at * 0.9)]
            for at in range(3)
        ]
        more += [
            [(long * 0.68, ball + toe_tall), (long * 0.76, ball + 0.8)],
            [(1.0, heel + 3.6), (5.0, heel + 2.6), (6.4, heel + 0.4)],
        ]
    if shoes.strap is not None:
        y = heel + 9.0
        drawn.append(
            area(
                "strap",
                slot,
                [
                    [(0.4, y + 0.8), (10.0, y + 0.2)],
                    [(10.0, y + 0.2), (10.0, y - 1.0)],
                    [(10.0, y - 1.0), (0.6, y - 0.4)],
                    [(0.6, y - 0.4), (0.4, y + 0.8)],
                ],
                colour,
            )
        )
        more.append([(0.7, counter), (0.6, y)])
        more += oval(8.6, y - 0.3, 0.7, 0.7)
    return [*drawn, lines("shoe_seams", slot, "seam", more, ink)] if more else drawn


def piece_is(shoes: WornShoes, kind: str) -> bool:
    """Whether these shoes are of a kind."""
    return shoes.piece is not None and shoes.piece.kind == kind
