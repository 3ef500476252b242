"""Laws of plans: hard limits are kept in whatever week, a change moves little, a bag holds what it holds."""

from __future__ import annotations

import random
from dataclasses import replace
from datetime import date, timedelta

import pytest

from craft.body import Body, Measures
from craft.cloth import Piece
from craft.judge import judge
from craft.judge.aims import Setting
from craft.look import compose
from craft.plan.laundry import Laundry, stretches, wears_of
from craft.plan.limits import Limits, broken
from craft.plan.occasion import Chosen, Occasion, Option, Wearing
from craft.plan.pool import finished, for_the_way, options_for, options_of_few
from craft.plan.trip import Bag, pack
from craft.plan.week import Asking, pieces_of, plan_week
from craft.plan.weights import grams
from craft.plan.worn import always_worn, unworn, uses
from craft.search.crew import Asked
from craft.search.ways import Owned, Way
from craft.search.worn import in_order

MONDAY = date(2026, 3, 2)
ANYWHERE = Setting()
PEOPLE = ("office", "friends", "family")


def way(key: str, kind: str) -> Way:
    return Way(key, Piece.of({"is": kind}))


TOPS = [way(f"top {n}", kind) for n, kind in enumerate(("tee", "tee", "shirt", "knit", "blouse"))]
LEGS = [way(f"legs {n}", kind) for n, kind in enumerate(("jeans", "trousers", "skirt"))]
SHOES = [way(f"shoes {n}", kind) for n, kind in enumerate(("loafers", "trainers", "ankle_boots"))]
EVERY = [Option((legs, top, shoes), 0.6) for legs in LEGS for top in TOPS for shoes in SHOES]
WEARS = {one.key: many for one in (*TOPS, *LEGS) if (many := wears_of(one.piece))}


def random_week(dice: random.Random) -> Asking:
    """Any week: some occasions before some people, some looks, a wash, what was worn before, what is kept from a day."""
    days = [MONDAY + timedelta(dice.randrange(10)) for _ in range(dice.randint(1, 9))]
    occasions = [
        Occasion(f"{n}", day, ANYWHERE, frozenset(dice.sample(PEOPLE, dice.randint(0, 2))))
        for n, day in enumerate(sorted(days))
    ]
    options = {
        one.key: [replace(look, score=dice.random()) for look in dice.sample(EVERY, dice.randint(0, 12))]
        for one in occasions
    }
    past = tuple(
        Wearing(MONDAY - timedelta(dice.randint(1, 8)), dice.choice(EVERY).keys, frozenset(dice.sample(PEOPLE, 1)))
        for _ in range(dice.randint(0, 4))
    )
    laundry = Laundry(frozenset(dice.sample(range(7), dice.randint(0, 2))), dice.randint(0, 3))
    kept_from = {one.key: frozenset({dice.choice(TOPS).key}) for one in occasions if dice.random() < 0.2}
    return Asking(occasions, options, Limits(laundry, WEARS, past, kept_from))


@pytest.mark.parametrize("hundred", range(10))
def test_no_plan_of_a_thousand_breaks_a_limit(hundred: int) -> None:
    dice = random.Random(hundred)
    for _ in range(100):
        asking = random_week(dice)
        plan = plan_week(asking, seconds=2.0)
        assert broken(plan.chosen, asking.limits) == []
        for one in plan.chosen:
            assert one.option is None or one.option in asking.options[one.occasion.key]


def test_what_breaks_a_limit_is_told() -> None:
    days = [Occasion(f"{n}", MONDAY + timedelta(n), ANYWHERE, frozenset({"office"})) for n in range(3)]
    same = [Chosen(day, EVERY[0]) for day in days]
    said = broken(same, Limits(Laundry(frozenset({1}), 2), WEARS, kept_from={"2": frozenset({"top 0"})}))
    assert {one.limit for one in said} == {"worn_out", "in_the_wash", "seen_again", "kept_from"}
    assert next(one for one in said if one.limit == "worn_out") == ("worn_out", "top 0", "", 2)


def test_the_wash_parts_the_days() -> None:
    days = [MONDAY + timedelta(n) for n in range(7)]
    past = [Wearing(MONDAY - timedelta(1), frozenset({"top 0"}))]
    before, first, second = stretches(days, Laundry(frozenset({3}), 2), past)
    assert before.days == () and before.away == ()
    assert first.days == tuple(days[:3]) and first.worn_before == {"top 0": 1} and first.away == tuple(days[3:5])
    assert second.days == tuple(days[3:]) and second.away == ()


def week_of(many: int) -> list[Occasion]:
    return [Occasion(f"{n}", MONDAY + timedelta(n), ANYWHERE, frozenset({"office"})) for n in range(many)]


def test_one_day_otherwise_and_the_rest_gives_way_as_little_as_possible() -> None:
    week = week_of(5)
    asking = Asking(week, {day.key: EVERY for day in week}, Limits(wears={**WEARS}))
    plan = plan_week(asking)
    was = {one.occasion.key: one.option for one in plan.chosen if one.option}
    once = {key for key, most in WEARS.items() if most == 1}
    day = next(key for key, look in was.items() if look.keys & once)
    to = next(key for key in was if key != day)
    again = plan_week(replace(asking, before=was, pinned={to: was[day]}))
    now = {one.occasion.key: one.option for one in again.chosen}
    assert now[to] == was[day]
    # Only the day that wore it changes, for its top is worn out by then.
    changed = [key for key in was if key != to and (now[key] is None or now[key].keys != was[key].keys)]
    assert changed == [day]
    assert broken(again.chosen, asking.limits) == []


def test_what_is_kept_by_hand_stands_and_is_told() -> None:
    week = week_of(2)
    asking = Asking(week, {day.key: EVERY for day in week}, Limits(wears=WEARS), pinned=dict.fromkeys("01", EVERY[0]))
    plan = plan_week(asking)
    assert [one.option for one in plan.chosen] == [EVERY[0]] * 2
    assert len(broken(plan.chosen, asking.limits)) == 2


def test_a_plan_differs_from_day_to_day_and_wears_a_favourite() -> None:
    week = week_of(3)
    asking = Asking(week, {day.key: EVERY for day in week}, favourites=frozenset({"shoes 2"}))
    plan = plan_week(asking)
    assert plan.short_by == 0.0
    assert len({one.option.base for one in plan.chosen if one.option}) == 3
    assert "shoes 2" in pieces_of(plan.chosen)


def test_a_bag_holds_what_it_holds_and_no_piece_too_many() -> None:
    days = week_of(4)
    shoes = frozenset(one.key for one in SHOES)
    weights = {one.key: grams(one.piece) for one in (*TOPS, *LEGS, *SHOES)}
    looks = [replace(look, score=0.5 + 0.01 * number) for number, look in enumerate(EVERY)]
    asking = Asking(
        [replace(day, seen_by=frozenset()) for day in days], {day.key: looks for day in days}, Limits(wears=WEARS)
    )
    packed = pack(asking, Bag(), weights, shoes)
    # A knit is worn twice, each of the others once: three tops, one pair of jeans, one pair of shoes.
    assert len(packed.taken) == 5 and packed.fewest and not packed.planned.bare
    assert set(packed.taken) == set().union(*(one.option.keys for one in packed.planned.chosen if one.option))
    assert packed.grams == round(sum(weights[key] for key in packed.taken if key not in packed.on_the_way))
    light = pack(asking, Bag(pieces=4), weights, shoes)
    assert len(light.taken) <= 4 and len(light.planned.bare) == 1
    assert broken(light.planned.chosen, asking.limits) == []
    one_shoe = pack(asking, Bag(shoes=0), weights, shoes)
    assert len(one_shoe.planned.bare) == 4


def test_the_heaviest_is_worn_on_the_way() -> None:
    weights = {"heavy": 900.0, "light": 150.0, "jeans": 650.0}
    looks = {key: Option((way("jeans", "jeans"), way(key, "knit")), 0.6) for key in ("heavy", "light")}
    days = week_of(2)
    for order in (("heavy", "light"), ("light", "heavy")):
        options = [looks[key] for key in order]
        limits = Limits(wears={"heavy": 1, "light": 1})
        packed = pack(Asking(days, {day.key: options for day in days}, limits), Bag(), weights, frozenset())
        assert packed.on_the_way == ("heavy", "jeans") and packed.grams == 150


OWNED = [
    Owned(f"{n}", Piece.of(words))
    for n, words in enumerate(
        (
            {"is": "jeans", "cut": "straight"}, {"is": "trousers", "cut": "wide"}, {"is": "tee"}, {"is": "blouse"},
            {"is": "knit", "fabric": ["chunky"]}, {"is": "loafers"}, {"is": "ankle_boots"}, {"is": "coat"},
            {"is": "belt", "colour": "tan"}, {"is": "necklace"}, {"is": "dress"},
        )
    )
]  # fmt: skip


def test_options_are_what_judging_them_says() -> None:
    asked = Asked(Body.of(Measures.of({"stature": 166, "bust": 92, "waist": 76, "hip": 101})))
    cold, dinner = Setting.of("outdoors", celsius=2), Setting.of("dinner", celsius=20)
    week = [Occasion("a", MONDAY, cold), Occasion("b", MONDAY, dinner)]
    for find in (options_for, options_of_few):
        found = find(asked, OWNED, week)
        assert found["a"] and found["b"]
        for occasion in week:
            aims = replace(asked.aims, setting=occasion.setting)
            for option in found[occasion.key][:8]:
                outfit = compose(asked.body, in_order(one.piece for one in option.ways), asked.schools)
                assert judge(outfit, aims).score == pytest.approx(option.score)
    leading = found["b"][0]
    more = finished(asked, leading, OWNED, week[1])
    assert more.score >= leading.score - 1e-9
    assert leading.keys <= more.keys and len(more.keys) <= len(leading.keys) + 1


def test_a_coat_is_put_on_for_a_cold_way_and_not_for_a_warm_one() -> None:
    asked = Asked(Body.of(Measures.of({"stature": 166})))
    look = Option(tuple(Way(one.key, one.piece) for one in OWNED if one.key in "0 2 5"), 0.8)
    coat = next(one for one in OWNED if one.piece.kind == "coat")
    assert for_the_way(asked, look, OWNED, 4.0) == coat
    assert for_the_way(asked, look, OWNED, 24.0) is None
    assert for_the_way(asked, look, [], 4.0) is None
    # No jacket goes over a jacket.
    jackets = [Owned(key, Piece.of({"is": "jacket", "fabric": ["leather"]})) for key in ("one", "two")]
    dressed = Option((*look.ways, Way("one", jackets[0].piece)), 0.8)
    assert for_the_way(asked, dressed, jackets, -5.0) is None


def test_uses_are_counted_by_days() -> None:
    day = MONDAY
    worn = [
        Wearing(day, frozenset({"a", "b"})),
        Wearing(day, frozenset({"a"})),
        Wearing(day + timedelta(1), frozenset({"a"})),
    ]
    found = uses(["a", "b", "c"], worn, {"a": 90, "c": 40})
    assert [(one.key, one.days, one.a_wear) for one in found] == [("a", 2, 45.0), ("b", 1, None), ("c", 0, None)]
    later = day + timedelta(100)
    assert [one.key for one in unworn(found, later, day)] == ["b", "c", "a"]
    assert unworn(found, day + timedelta(20), day) == []
    assert always_worn(found) == []
    assert [
        one.key for one in always_worn(uses(["a"], [Wearing(day + timedelta(n), frozenset("a")) for n in range(3)], {}))
    ] == ["a"]
