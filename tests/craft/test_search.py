"""The search is the judgement: whatever it says of a look is what judging that look by itself says."""

from __future__ import annotations

import random
from collections.abc import Iterator
from dataclasses import replace
from itertools import product

import numpy as np
import pytest

from craft.body import Body
from craft.cloth import Piece
from craft.judge import RULES, judge
from craft.look import Look, compose
from craft.schools import POSITIONS, Schools
from craft.search import crew
from craft.search.alter import for_the_tailor
from craft.search.crew import Asked, ask_all
from craft.search.runs import Run, Waiting
from craft.search.search import Search, one_by_one
from craft.search.tables import NET_WORKS, judged, order_of, packed, score_of_rank, verdict_of_rank, works
from craft.search.variety import choices_alike
from craft.search.wardrobe import BREADTHS, Breadth, Wardrobe, families_of, wardrobe_of
from craft.search.ways import Owned, layered, misfit, over_another, ways_of
from craft.search.wish import Wish
from craft.search.worn import Choice, Rack
from tests.craft.test_declared import BODIES, a_piece, an_aim

BESIDES = ("belt", "scarf", "necklace", "bag", "earrings", "tights", "socks", "hat")


def a_rack(draw: random.Random, base: tuple[str, ...]) -> Rack:
    """A rack of any pieces: a base, shoes, none to two layers, none to two things besides."""

    def some(slot: str, many: int) -> tuple[Choice, ...]:
        kind = "dress" if slot == "one_piece" and "bottom" in base else None
        return tuple((a_piece(draw, slot, kind),) for _ in range(many))

    layers = some("layer", 2)
    besides = [(a_piece(draw, "extra", kind),) for kind in draw.sample(BESIDES, 3)]
    return Rack(
        {slot: some(slot, 3) for slot in (*base, "shoes")}
        | {"layer": ((), *layers, (*layers[0], *layers[1])), "besides": ((), *besides, (*besides[0], *besides[1]))}
    )


def an_asked(draw: random.Random) -> Asked:
    """Any client of any house."""
    schools = Schools.of({school: draw.choice(positions) for school, positions in POSITIONS.items()}, ["feet.toe"])
    return Asked(draw.choice(BODIES), schools, an_aim(draw))


BASES = [("bottom", "top"), ("bottom", "top"), ("one_piece",), ("one_piece", "top"), ("bottom", "one_piece")]


@pytest.mark.parametrize(("seed", "base"), list(enumerate(BASES)))
def test_many_looks_at_once_are_judged_as_each_by_itself(seed: int, base: tuple[str, ...]) -> None:
    draw = random.Random(seed)
    rack, asked = a_rack(draw, base), an_asked(draw)
    (sums,) = ask_all([rack], asked, RULES)
    for at in product(*map(range, rack.shape)):
        alone = judge(compose(asked.body, rack.look(at), asked.schools), asked.aims)
        assert judged(int(sums[at])) == (alone.score, alone.verdict), at


def a_wardrobe(draw: random.Random, body: Body, many: int = 12) -> Wardrobe:
    """Some pieces of every place, in every way to wear them."""
    slots = ["bottom", "top", "shoes", "layer", "extra", "one_piece", "bottom", "top", "top", "shoes", "layer", "extra"]
    owned = [Owned(f"{slot}{at}", a_piece(draw, slot)) for at, slot in enumerate(slots[:many])]
    return wardrobe_of(body, owned, most=4000)


def test_a_run_never_goes_on_with_looks_that_are_not_in_play() -> None:
    block = (np.arange(3), np.arange(3))
    alive = np.array([[True, False, False], [True, False, False], [True, True, True]])
    first = np.array([[False, True, True]])
    for number in range(1 << 9):
        truth = np.array([bool(number >> bit & 1) for bit in range(9)]).reshape(3, 3)
        waiting = [Waiting(block, alive)]
        seen: list[tuple[int, int]] = []
        while waiting:
            run = Run(waiting.pop(), waiting)
            run.decide(run.of_block(first))
            way = run.decide(run.of_block(truth))
            lives = np.broadcast_to(True if run.alive is None else run.alive, [len(axis) for axis in run.block])
            on = [(int(run.block[0][a]), int(run.block[1][b])) for a, b in np.argwhere(lives)]
            assert on and all(truth[look] == way for look in on)
            seen += on
        assert sorted(seen) == [(0, 0), (1, 0), (2, 0), (2, 1), (2, 2)]


@pytest.mark.parametrize("seed", [1, 2])
def test_best_counts_and_order_are_those_of_one_by_one(seed: int) -> None:
    draw = random.Random(seed)
    asked = an_asked(draw)
    wardrobe = a_wardrobe(draw, asked.body)
    keys = [way.key for family in wardrobe.families for ways in family.at("top") for way in ways]
    wishes = [Wish(), Wish(one_statement=True, must=frozenset(keys[:1])),
              Wish(lately=frozenset({frozenset({"shoes1"})})),
              Wish(must_not=frozenset(keys[-1:]), apart=frozenset({frozenset({"shoes2", "layer3"})}))]  # fmt: skip
    search = Search(asked, wardrobe)
    for wish in wishes:
        slow, counts = one_by_one(asked, wardrobe, 40, wish)
        fast = search.best(40, wish)
        assert [(one.ways, one.score, one.verdict) for one in fast] == [(o.ways, o.score, o.verdict) for o in slow]
        told = search.counts(wish)
        assert (told.looks, told.works) == (counts.looks, counts.works)
        assert +told.looks_of == +counts.looks_of
        assert +told.works_of == +counts.works_of


def test_two_processes_find_what_one_finds(monkeypatch: pytest.MonkeyPatch) -> None:
    draw = random.Random(9)
    rack, asked, told = a_rack(draw, ("bottom", "top")), an_asked(draw), list[float]()
    (alone,) = ask_all([rack], asked, RULES)
    monkeypatch.setattr(crew, "SIDE_BY_SIDE", 1)
    (together,) = ask_all([rack], asked, RULES, told.append)
    assert (alone == together).all()
    assert told[0] < told[-1] <= 1
    # Of several racks each process takes whole ones.
    racks = [a_rack(draw, base) for base in BASES[:3]]
    monkeypatch.setattr(crew, "WHOLE", 1.0)
    several = ask_all(racks, asked, RULES)
    assert all((sums == ask_all([one], asked, RULES)[0]).all() for one, sums in zip(racks, several, strict=True))

    def stop(part: float) -> None:
        raise InterruptedError

    with pytest.raises(InterruptedError):
        ask_all([rack], asked, RULES, stop)


def test_a_muted_rule_leaves_the_sums_and_comes_back() -> None:
    draw = random.Random(4)
    asked = an_asked(draw)
    wardrobe = a_wardrobe(draw, asked.body, 8)
    before = Search(asked, wardrobe)
    muted = replace(asked, schools=replace(asked.schools, muted=frozenset({"edges.proportion", "volume.waist"})))
    quick, fresh = Search(muted, wardrobe, before=before), Search(muted, wardrobe)
    back = Search(asked, wardrobe, before=quick)
    for here, there in ((quick, fresh), (back, before)):
        assert all((one == two).all() for (_, one), (_, two) in zip(here.families, there.families, strict=True))


def test_one_piece_otherwise_is_as_all_of_it_anew() -> None:
    draw = random.Random(21)
    asked = an_asked(draw)
    slots = ["bottom", "top", "shoes", "layer", "extra", "one_piece", "bottom", "top", "top", "shoes"]
    owned_now = [Owned(f"{slot}{at}", a_piece(draw, slot)) for at, slot in enumerate(slots)]
    before = Search(asked, wardrobe_of(asked.body, owned_now, most=6000))
    # One is changed, one taken away, one hung.
    changed = replace(owned_now[1], piece=a_piece(draw, "top"))
    other = [owned_now[0], changed, *owned_now[3:], Owned("new", a_piece(draw, "shoes"))]
    wardrobe = wardrobe_of(asked.body, other, most=6000)
    fresh, quick = Search(asked, wardrobe), Search(asked, wardrobe, before=before)
    assert all((one == two).all() for (_, one), (_, two) in zip(fresh.families, quick.families, strict=True))


def test_one_number_holds_balance_and_what_decides() -> None:
    numbers = np.array(
        [0, NET_WORKS, NET_WORKS - 1, -4000, (1 << 20) + 4000, (1 << 20) + (1 << 25) + 9000], dtype=np.int32
    )
    verdicts = [judged(int(number))[1] for number in numbers]
    assert verdicts == ["watch", "works", "watch", "against", "watch", "against"]
    assert works(numbers).tolist() == [verdict == "works" for verdict in verdicts]
    ranks = order_of(numbers)
    assert [verdict_of_rank(int(rank)) for rank in ranks] == verdicts
    assert [score_of_rank(int(rank)) for rank in ranks] == [judged(int(number))[0] for number in numbers]
    assert packed([]) == 0


def owned(*described: dict[str, object]) -> Iterator[Owned]:
    for number, words in enumerate(described):
        yield Owned(f"{number}", Piece.of(words))


def test_what_does_not_fit_or_is_away_stays_out_and_says_why() -> None:
    body = BODIES[0]
    pieces = list(owned({"is": "jeans", "waist_cm": 120}, {"is": "jeans"}, {"is": "tee"}, {"is": "swimsuit"}))
    pieces.append(Owned("lent", Piece.of({"is": "knit"}), "Lent"))
    found = wardrobe_of(body, pieces)
    assert found.out == {"0": misfit(body, pieces[0].piece).title, "lent": "Lent"}  # type: ignore[union-attr]
    assert wardrobe_of(body, pieces, as_if=True).size > found.size
    assert for_the_tailor(body, pieces[0].piece)["waist_cm"] < 0


def test_ways_are_those_that_land_apart() -> None:
    body = BODIES[0]

    def worn(words: dict[str, object], boots: bool = True) -> list[dict[str, object]]:
        return [dict(way.worn) for way in ways_of(body, Owned("a", Piece.of(words)), Schools(), boots=boots)]

    assert worn({"is": "tee"}) == [{}, {"tuck": "full"}, {"tuck": "front"}]
    assert worn({"is": "tee", "hem": "under_bust"}) == [{}]
    assert {"worn": "inside"} in worn({"is": "jeans", "cut": "slim"})
    assert {"worn": "inside"} not in worn({"is": "jeans", "cut": "slim"}, boots=False)
    assert worn({"is": "trousers", "cut": "wide"}) == [{}]
    shirt = over_another(Owned("s", Piece.of({"is": "shirt"})))
    assert shirt is not None
    assert shirt.piece.slot == shirt.piece.place == "layer"
    thin, thick = Piece.of({"is": "waistcoat"}), Piece.of({"is": "coat", "open": True})
    both = [way for one in (thin, thick) for way in ways_of(body, Owned(one.kind, one), Schools(), boots=False)]
    assert {(inner.key, outer.key) for inner, outer in layered(body, both)} == {("waistcoat", "coat")}


def test_long_sleeves_are_tried_up_and_a_piece_as_the_tailor_leaves_it() -> None:
    body = BODIES[0]

    def worn(owned: Owned) -> list[dict[str, object]]:
        return [dict(way.worn) for way in ways_of(body, owned, Schools(), boots=False, sleeves=True)]

    shirt, coat = Piece.of({"is": "shirt"}), Piece.of({"is": "coat"})
    assert {"rolled": True} in worn(Owned("s", shirt)) and {"rolled": True, "tuck": "full"} in worn(Owned("s", shirt))
    assert {"pushed": True} in worn(Owned("k", Piece.of({"is": "knit"})))
    assert not [way for way in worn(Owned("c", coat)) if "pushed" in way]
    assert not [way for way in worn(Owned("t", Piece.of({"is": "tee"}))) if way.keys() & {"pushed", "rolled"}]
    shorter = Piece.of({"is": "shirt", "sleeve_cm": 55})
    assert all(way["sleeve_cm"] == 55 for way in worn(Owned("s", shorter, altered=(("sleeve_cm", 55.0),))))
    one = Owned("s", shorter, altered=(("sleeve_cm", 55.0),))
    least = families_of(
        body, [one, *owned({"is": "jeans"}, {"is": "loafers"})], Schools(), Breadth(0, 1, every_way=False)
    )
    assert all(way.piece == shorter for family in least for (way,) in family.at("top")[:1])


def test_of_a_large_wardrobe_less_is_tried_and_said() -> None:
    draw = random.Random(2)
    pieces = [
        Owned(f"{slot}{at}", a_piece(draw, slot))
        for slot in ("bottom", "top", "shoes", "layer", "extra")
        for at in range(5)
    ]
    whole, less = wardrobe_of(BODIES[0], pieces), wardrobe_of(BODIES[0], pieces, most=5000)
    assert whole.breadth == BREADTHS[0]
    assert whole.breadth.left_out == ()
    assert less.size < whole.size
    assert less.breadth.left_out


def test_a_shirt_is_not_worn_twice_and_a_leg_goes_into_boots_only() -> None:
    pieces = list(
        owned({"is": "jeans", "cut": "slim"}, {"is": "shirt"}, {"is": "tee"}, {"is": "tall_boots"}, {"is": "loafers"})
    )
    search = Search(Asked(BODIES[0]), wardrobe_of(BODIES[0], pieces))
    looks = search.best(10_000)
    assert all(len(set(look.keys)) == len(look.keys) for look in looks)
    inside = [look for look in looks if look.worn.get("0", {}).get("worn") == "inside"]
    assert inside
    assert all("3" in look.keys for look in inside)


def test_what_frames_the_face_is_in_a_wanted_colour() -> None:
    pieces = list(owned({"is": "jeans"}, {"is": "tee", "colour": "coral"}, {"is": "tee", "colour": "grey"}, {"is": "loafers"},
                        {"is": "blazer", "colour": "navy"}, {"is": "scarf", "colour": "coral"}))  # fmt: skip
    search = Search(Asked(BODIES[0]), wardrobe_of(BODIES[0], pieces))
    every = search.best(10_000)
    face = {look.keys: compose(BODIES[0], look.look).by_the_face for look in every}
    told = {look.keys for look in search.best(10_000, Wish(by_the_face=frozenset({"coral"})))}
    assert told == {keys for keys, colour in face.items() if colour == "coral"}
    assert 0 < len(told) < len(face)


def test_a_look_is_judged_alike_whichever_equal_piece_was_worn_before() -> None:
    """Pieces are values: what is kept of an equal one that was worn before must not change what is said."""
    described = [{"is": "dungarees"}, {"is": "tee", "tuck": "full"}, {"is": "loafers"}]
    first, again = (judge(compose(BODIES[0], Look.of(described))) for _ in range(2))
    assert first == again


def test_the_dial_makes_looks_less_alike() -> None:
    draw = random.Random(12)
    pieces = [
        Owned(f"{slot}{at}", a_piece(draw, slot))
        for slot in ("bottom", "top", "top", "shoes", "layer")
        for at in range(4)
    ]
    pieces = [replace(one, key=f"{one.key}.{at}") for at, one in enumerate(pieces)]
    search = Search(Asked(BODIES[0]), wardrobe_of(BODIES[0], pieces, most=20_000))

    def likeness(dial: float) -> float:
        looks = [look.look.pieces for look in search.varied(6, dial)]
        pairs = choices_alike(looks)
        return float(pairs.sum() - np.trace(pairs))

    best = search.varied(6, 0.0)
    assert [one.score for one in best] == sorted((one.score for one in best), reverse=True)
    assert likeness(0.9) < likeness(0.0)
