"""The tables of the rules are the rules: added up they judge every look as it is judged by itself."""

from __future__ import annotations

import random
from itertools import product

import pytest

from craft.cloth import Piece
from craft.judge import judge
from craft.look import compose
from craft.schools import POSITIONS, Schools
from craft.search import Rack, tabulate
from tests.craft.test_declared import BODIES, a_piece, an_aim


def a_rack(draw: random.Random, sizes: dict[str, int]) -> Rack:
    """A rack of any pieces, with nothing worn as one of the choices of what need not be."""
    pieces: dict[str, tuple[Piece | None, ...]] = {}
    for place, size in sizes.items():
        slot, kind = ("extra", place) if place in ("belt", "scarf") else (place, None)
        free = () if place in ("bottom", "top", "shoes") else (None,)
        pieces[place] = (*free, *(a_piece(draw, slot, kind) for _ in range(size - len(free))))
    return Rack(pieces)


@pytest.mark.parametrize("seed", range(4))
def test_tables_added_up_are_the_judgement_of_each_look(seed: int) -> None:
    draw = random.Random(seed)
    body, aims = draw.choice(BODIES), an_aim(draw)
    schools = Schools.of({school: draw.choice(positions) for school, positions in POSITIONS.items()}, ["feet.toe"])
    rack = a_rack(draw, {"bottom": 4, "top": 4, "layer": 3, "shoes": 3, "belt": 2, "scarf": 2})
    tables = tabulate(body, rack, schools, aims)
    for at in product(*map(range, rack.shape)):
        judged = judge(compose(body, rack.look(at), schools), aims)
        assert tables.judged(at) == (judged.score, judged.verdict)
    assert tables.asked < 0.5 * rack.size * 95


def test_a_one_piece_over_the_rest_of_a_rack_is_judged_as_by_itself() -> None:
    draw = random.Random(11)
    body, aims = BODIES[1], an_aim(draw)
    rack = a_rack(draw, {"one_piece": 4, "layer": 3, "shoes": 3, "belt": 2, "scarf": 2})
    tables = tabulate(body, rack, aims=aims)
    for at in product(*map(range, rack.shape)):
        judged = judge(compose(body, rack.look(at)), aims)
        assert tables.judged(at) == (judged.score, judged.verdict)
