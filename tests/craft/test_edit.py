"""Laws of the edit: every count is that of judging each look, more never makes less, limits are kept, order does not matter."""

from __future__ import annotations

import random
from dataclasses import dataclass, replace
from typing import Any

import numpy as np
import pytest

from craft.body import Body, Measures
from craft.cloth import Piece
from craft.cloth.quick import read_like, read_line
from craft.edit.buying import buy_or_leave
from craft.edit.candidates import Candidate, candidates
from craft.edit.capsule import CapsuleWish, capsule
from craft.edit.changed import changed
from craft.edit.colours import colours
from craft.edit.deciding import CHEST, LENGTH, what_decides
from craft.edit.gaps import Gaps, gaps, raised
from craft.edit.orphans import adoptions, adoptions_of
from craft.edit.reading import Hanging, read_wardrobe
from craft.edit.sorting import DECISIONS, Known, propose
from craft.edit.together import short_list, together
from craft.errors import InvalidInput, NotUnderstood
from craft.judge import RULES, Aims, judge
from craft.judge.aims import Setting
from craft.look import compose
from craft.schools import Schools
from craft.search.crew import Asked
from craft.search.search import Search
from craft.search.wardrobe import Breadth, families_of, wardrobe_of, wearable
from craft.search.ways import Owned
from craft.search.week import Day, by_day, on_a
from craft.search.wish import Wish
from craft.search.worn import in_order
from tests.craft.test_declared import drawn

BODY = Body.of(Measures.of({"stature": 167, "bust": 94, "waist": 76, "hip": 101, "crotch_height": 76}))
ASKED = Asked(BODY, aims=Aims.of({"wants": ["lengthen_legs"]}, {"warmth": "warm", "depth": "medium"}))
DAYS = (
    Day(Setting.of("relaxed_office"), 60),
    Day(Setting.of("dinner", "smart", 20.0), 15),
    Day(Setting.of("weekend"), 25),
)
LINES = (
    "navy straight trousers high rise, ankle", "mid blue straight jeans high rise, ankle", "olive pleated skirt lower calf",
    "white tee skimming", "cream blouse v neck", "burgundy knit fitted", "light blue shirt relaxed",
    "white trainers", "tan flats almond", "navy blazer skimming", "camel cardigan longline",
)  # fmt: skip


def owned_of(lines: tuple[str, ...] = LINES) -> list[Owned]:
    return [Owned(line, read_line(line)) for line in lines]


def a_few(draw: random.Random, many: int = 12) -> tuple[Candidate, ...]:
    """Some things to buy, of every place."""
    every = candidates({"warmth": "warm"}, (one.piece for one in owned_of()))
    return tuple(sorted(draw.sample(every, many), key=lambda one: one.key))


@pytest.fixture(scope="module")
def found() -> Gaps:
    return gaps(ASKED, owned_of(), a_few(random.Random(3), 24), DAYS)


def outfits_one_by_one(asked: Asked, owned: list[Owned], breadth: Breadth) -> set[frozenset[str]]:
    """The sets of pieces that work in some way to wear them, each look judged by itself."""
    found = set()
    for family in families_of(asked.body, [one for one in owned if one.piece.slot != "extra"], asked.schools, breadth):
        rack = family.rack
        barred = Wish().barred(family)
        for at in np.ndindex(*rack.shape):
            if any(mask[tuple(i if n > 1 else 0 for i, n in zip(at, mask.shape, strict=True))] for mask in barred):
                continue
            ways = family.look(at)
            outfit = compose(asked.body, in_order(way.piece for way in ways), asked.schools)
            if judge(outfit, asked.aims, asked.rules).verdict == "works":
                found.add(frozenset(way.key for way in ways))
    return found


@dataclass(frozen=True)
class _AlikeIn:
    """A setting like one in what a rule names, and like another in the rest."""

    one: Setting
    other: Setting
    names: tuple[str, ...]

    def __getattr__(self, name: str) -> Any:
        return getattr(self.one if name in self.names else self.other, name)


def test_only_rules_that_say_so_depend_on_the_setting() -> None:
    """A week asks the others once."""
    own = [rule for rule in RULES if rule.by_setting]
    assert {rule.subject for rule in own} == {"register"} and len(own) == 8
    for number, (before, _, _, aims) in enumerate(drawn()):
        if number % 40:
            continue
        for elsewhere in (Setting.of("ceremony", "black", 5.0, True), Setting.of("weekend", "black", 31.0)):
            for rule in RULES:
                # Alike in what it says it reads, and other in all else.
                alike = _AlikeIn(aims.setting, elsewhere, rule.by_setting)
                there = replace(aims, setting=alike)
                assert rule.said_of(before, aims) == rule.said_of(before, there), rule.id


def test_a_day_of_a_week_is_that_day_by_itself() -> None:
    wardrobe = wardrobe_of(BODY, owned_of(), most=3000)
    liked = replace(ASKED, liked=((frozenset({LINES[1], LINES[3]}), "edges.proportion"),))
    for asked in (ASKED, liked):
        for day, search in zip(DAYS, by_day(asked, wardrobe, DAYS), strict=True):
            alone = Search(on_a(day, asked), wardrobe)
            for (_, one), (_, other) in zip(search.families, alone.families, strict=True):
                assert (one == other).all()


def test_what_a_thing_would_bring_is_what_it_brings_when_it_hangs_there(found: Gaps) -> None:
    """The first-ranked and some others, really added and every look judged by itself."""
    owned, breadth = owned_of(), Breadth(0, 1)
    alone = [outfits_one_by_one(on_a(day, ASKED), owned, breadth) for day in DAYS[:1]]
    assert [len(one) for one in alone] == list(found.looks[:1])
    for gain in (found.gains[0], found.gains[5]):
        if gain.candidate.place == "extra":
            continue
        more = outfits_one_by_one(on_a(DAYS[0], ASKED), [*owned, gain.candidate.owned], breadth)
        assert len(more - alone[0]) == gain.looks[0] and alone[0] <= more


def test_the_best_is_worth_more_than_any_other(found: Gaps) -> None:
    values = [gain.value for gain in found.gains]
    assert values == sorted(values, reverse=True)
    assert all(many >= 0 for gain in found.gains for many in gain.looks)
    for gain in found.leading(6):
        for look in found.shown(gain):
            assert gain.candidate.key in look.keys and look.verdict == "works"


def test_the_same_rack_in_another_order_lacks_the_same(found: Gaps) -> None:
    owned = owned_of()
    random.Random(5).shuffle(owned)
    again = gaps(ASKED, owned, a_few(random.Random(3), 24), DAYS)
    assert [(one.candidate.key, one.looks) for one in again.gains] == [(g.candidate.key, g.looks) for g in found.gains]


def test_a_day_with_little_weighs_more_than_one_with_plenty() -> None:
    days = (Day(Setting(), 50), Day(Setting.of("dinner"), 50))
    assert raised([500, 5], [0, 20], days) > raised([500, 5], [20, 0], days)
    assert raised([5, 5], [0, 0], days) == 0


def test_a_small_thing_counts_only_what_it_mends() -> None:
    """Outfits that work with a belt and do not without it, each judged by itself."""
    asked = on_a(DAYS[0], replace(ASKED, aims=Aims.of({"wants": ["define_waist"]})))
    owned = owned_of(("navy straight trousers high rise, ankle", "white tee relaxed", "cream blouse", "tan flats"))
    belt = Candidate("belt", Piece.of({"is": "belt", "colour": "tan"}))
    (gain,) = gaps(asked, owned, [belt], DAYS[:1]).gains
    base, mended = outfits_one_by_one(asked, owned, Breadth(0, 1)), set()
    for family in families_of(BODY, [*owned, belt.owned], asked.schools, Breadth(1, 1)):
        for at in np.ndindex(*family.rack.shape):
            keys = frozenset(way.key for way in family.look(at))
            outfit = compose(BODY, family.rack.look(at), asked.schools)
            if "belt" in keys and keys - {"belt"} not in base and judge(outfit, asked.aims).verdict == "works":
                mended.add(keys)
    assert gain.looks[0] == len(mended)


def test_the_best_few_together_are_the_best_of_all_sets(found: Gaps) -> None:
    owned = owned_of()
    prices = {gain.candidate.key: 40 + 10 * number for number, gain in enumerate(found.gains)}
    free = together(ASKED, owned, found, (2,))
    listed = {one.key: one for one in short_list(found)}
    assert set(free.best[2].keys) <= listed.keys()

    def looks(keys: tuple[str, ...]) -> int:
        base = outfits_one_by_one(on_a(DAYS[0], ASKED), owned, Breadth(0, 1, every_way=False))
        more = [*owned, *(listed[key].owned for key in keys)]
        return len(outfits_one_by_one(on_a(DAYS[0], ASKED), more, Breadth(0, 1, every_way=False)) - base)

    assert looks(free.best[2].keys) == free.best[2].looks[0]
    least = sum(sorted(prices[key] for key in listed)[:4])
    held = together(ASKED, owned, found, (2,), prices=prices, budget=least)
    assert sum(prices[key] for key in held.best[2].keys) <= least
    assert held.best[2].value <= free.best[2].value


@pytest.mark.parametrize(("pieces", "bought"), [(6, 0), (8, 2)])
def test_a_capsule_keeps_its_limits_and_makes_what_it_says(pieces: int, bought: int) -> None:
    owned = owned_of()
    must, never = frozenset({LINES[2]}), frozenset({LINES[7]})
    new = [one.owned for one in a_few(random.Random(9)) if one.place != "extra"]
    made = capsule(ASKED, owned, DAYS, CapsuleWish(pieces, bought, must, never), new, seconds=4)
    assert len(made.parts) <= pieces and must <= made.keys and not never & made.keys
    assert sum(one.key in made.keys for one in new) <= bought
    assert all(made.by_day) and len(made.looks) == made.outfits >= made.bases
    kept = [one for one in [*owned, *new] if one.key in made.keys]
    for number, day in enumerate(DAYS):
        there = outfits_one_by_one(on_a(day, ASKED), kept, Breadth(0, 1, every_way=False))
        assert len(there) == made.by_day[number]


def test_a_capsule_is_chosen_from_what_works_and_not_from_what_comes_first() -> None:
    asked = replace(ASKED, aims=Aims.of({"wont": ["sleeveless"]}))
    colours_ = (
        "white",
        "navy",
        "red",
        "olive",
        "pink",
        "grey",
        "black",
        "camel",
        "teal",
        "lilac",
        "rust",
        "sage",
        "coral",
    )
    tanks = [Owned(f"a {one}", Piece.of({"is": "tank", "colour": one})) for one in colours_]
    made = capsule(asked, [*tanks, *owned_of()], DAYS[:1], CapsuleWish(6), seconds=2)
    assert made.outfits and not any(key.startswith("a ") for key in made.keys)


def test_a_capsule_that_cannot_be_is_refused() -> None:
    for wish in (
        CapsuleWish(2),
        CapsuleWish(6, 0, frozenset({"a"})),
        CapsuleWish(6, 0, frozenset({LINES[0]}), frozenset({LINES[0]})),
    ):
        with pytest.raises(InvalidInput):
            capsule(ASKED, owned_of(), DAYS, wish)


def test_several_orphans_are_adopted_as_each_by_itself() -> None:
    asked = replace(ASKED, aims=Aims.of({"wont": ["sleeveless", "heels"]}))
    alone = owned_of(("sage tank fitted", "black camisole satin", "nude pumps high heel"))
    kept = owned_of((*LINES[:3], *LINES[7:9]))
    more = a_few(random.Random(2), 30)
    together_ = adoptions_of(asked, alone, [*kept, *alone], DAYS[:2], more)
    for one in alone:
        by_itself = adoptions(asked, one, [*kept, *alone], DAYS[:2], more)
        assert together_[one.key] == by_itself
    assert together_["nude pumps high heel"] == ()
    assert all(
        a.piece is not None and a.piece.slot == "layer"
        for a in together_["sage tank fitted"]
        if a.means == "buy" and a.piece and a.piece.slot != "top"
    )


def test_a_small_thing_adopts_before_a_garment() -> None:
    """What is worn besides is tried with an orphan too: a belt marks the waist that a long loose tunic loses."""
    asked = replace(ASKED, aims=Aims.of({"wants": ["define_waist"], "soften": ["hips"]}))
    tunic = Owned("tunic", read_line("black tee oversized hip"))
    kept = owned_of(("black wide trousers low rise, foot", "black trainers chunky"))
    belts = [one for one in candidates() if one.piece.kind in ("belt", "scarf", "blazer")]
    found = adoptions(asked, tunic, kept, DAYS[2:], belts)
    kinds = [one.kind for one in found if one.means == "buy"]
    assert kinds == sorted(kinds, key=lambda kind: kind == "blazer")


def test_a_smaller_thing_comes_before_a_dearer_one() -> None:
    kit = [Owned("kit", Piece.of({"is": "cardigan", "open": True}))]
    asked = replace(ASKED, aims=Aims.of({"wont": ["sleeveless"]}))
    bought = [Candidate("blazer", Piece.of({"is": "blazer", "open": True}))]
    found = adoptions(
        asked, Owned("tank", Piece.of({"is": "tank"})), owned_of(LINES[:3] + LINES[7:9]), DAYS, bought, kit
    )
    assert [one.means for one in found] == ["kit", "buy"]


def read(lines: tuple[str, ...], **more: Any) -> Any:
    owned = tuple(owned_of(lines))
    hanging = Hanging(ASKED, owned, DAYS, ("office", "dinner", "weekend"), **more)
    return read_wardrobe(hanging, Search(ASKED, wardrobe_of(BODY, owned, most=40_000)), a_few(random.Random(4), 20))


def test_a_wardrobe_is_read_piece_by_piece_bottoms_first() -> None:
    notes = {"white tee skimming": "A stain at the collar."}
    lines = (*LINES, "black slim jeans, waist 60, hip 80", "navy straight trousers high rise, ankle ")
    told = read(lines, notes=notes)
    assert set(told.proposals) == set(lines) and all(one.decision in DECISIONS for one in told.proposals.values())
    assert told.order[:2] == LINES[:2]
    assert told.proposals["white tee skimming"].decision == "care"
    assert told.proposals["black slim jeans, waist 60, hip 80"].decision == "does_not_fit"
    twins = [told.proposals[key].decision for key in (LINES[0], LINES[0] + " ")]
    assert twins == ["wear", "twin"]
    assert "navy" in told.colours.joins
    bottoms = next(place for place in told.shape.places if place.slot == "bottom")
    assert (bottoms.pieces, bottoms.fits) == (5, 4)


def test_what_is_proposed_follows_from_what_is_known() -> None:
    assert propose(Known("a", 0, 0.0, misfit="Presses at the waist")).decision == "does_not_fit"
    assert propose(Known("a", 2, 0.5)).decision == "partner"
    assert propose(Known("a", 90, 0.1, by_face="away")).decision == "out_of_keeping"
    assert propose(Known("a", 0, 0.0, away="Lent")).decision == "wear"


def test_colours_are_the_same_in_any_order_and_neutrals_stand_apart() -> None:
    rack = {one.key: one.piece for one in owned_of()}
    works = {key: number for number, key in enumerate(rack)}
    told = colours(rack, works, {"warmth": "warm"})
    turned = colours(dict(reversed(rack.items())), works, {"warmth": "warm"})
    assert [(one.name, one.share, one.joins) for one in told.clusters] == [
        (one.name, one.share, one.joins) for one in turned.clusters
    ]
    assert sum(one.share for one in told.clusters) == pytest.approx(1.0)
    assert sum(one.joins for one in told.clusters) == sum(works.values())
    assert not next(one for one in told.clusters if one.name == "burgundy").neutral
    assert colours({}, {}).clusters == ()


def test_after_new_measures_the_rack_is_landed_anew() -> None:
    lines = (*LINES, "grey pencil skirt, waist 78, hip 104")
    larger = Body.of(Measures.of({"stature": 167, "bust": 94, "waist": 86, "hip": 112, "crotch_height": 76}))
    told = changed(replace(ASKED, body=larger), BODY, owned_of(lines))
    assert [(one.key, one.is_lost) for one in told.pieces] == [("grey pencil skirt, waist 78, hip 104", True)]
    assert told.now < told.then and told.now <= told.saved
    same = changed(ASKED, BODY, owned_of(lines))
    assert same.pieces == () and same.then == same.now


def test_a_thing_is_bought_for_what_it_makes_with_what_she_has() -> None:
    kept, _ = wearable(BODY, owned_of(), Schools())
    assert buy_or_leave(ASKED, Piece.of({"is": "shirt", "colour": "rust"}), kept, DAYS).verdict == "buy"
    twin = buy_or_leave(ASKED, read_line(LINES[0]), kept, DAYS)
    assert twin.verdict == "leave" and "like" in twin.reasons[-1].say()
    assert buy_or_leave(ASKED, Piece.of({"is": "jeans", "waist_cm": 60}), kept, DAYS).looks == (0, 0, 0)
    long = buy_or_leave(ASKED, Piece.of({"is": "shirt", "colour": "rust"}), [], DAYS)
    assert long.verdict == "leave"


def test_another_like_it_is_said_in_a_few_words() -> None:
    tee = Piece.of({"is": "tee", "neck": "v", "colour": "white"})
    for line in ("like the last one in navy", "the same in navy", "another in navy", "Same but in navy"):
        entry = read_like(line, tee)
        assert entry is not None and entry.piece == tee.with_(colour="navy")
    assert read_like("navy tee", tee) is None
    for line, last in (("the same in navy", None), ("the same in plaidish", tee)):
        with pytest.raises(NotUnderstood):
            read_like(line, last)


def test_what_decides_is_what_nobody_has_measured() -> None:
    lines = (*LINES[:8], "navy tee, chest 100, length 62", "grey straight trousers, inseam 70, waist 84, front rise 29")
    owned = owned_of(lines)
    found = what_decides(ASKED, owned, DAYS[:1], most=20)
    assert found and [one.decides for one in found] == sorted((one.decides for one in found), reverse=True)
    told = {(one.key, one.figure) for one in found}
    assert not {(lines[8], "chest_cm"), (lines[8], "length_cm"), (lines[9], "inseam_cm")} & told
    first = found[0]
    for step, outfits in zip((-1, 1), (first.outfits[0], first.outfits[2]), strict=True):
        by = LENGTH if first.figure != "chest_cm" else CHEST
        other = [replace(one, piece=one.piece.with_(**{first.figure: first.taken_for + step * by})) if one.key == first.key else one
                 for one in owned]  # fmt: skip
        kept, _ = wearable(BODY, other, Schools())
        there = outfits_one_by_one(on_a(DAYS[0], ASKED), kept, Breadth(0, 1, every_way=False))
        assert sum(first.key in one for one in there) == outfits
