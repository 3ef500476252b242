"""Laws of the diary: clashes are told whoever comes first, free time is free, a wall time stays a wall time."""

from __future__ import annotations

from datetime import UTC, date, datetime, timedelta
from zoneinfo import ZoneInfo

from hypothesis import given
from hypothesis import strategies as some

from craft.diary.free import Hours, Wanted, free
from craft.diary.kinds import KINDS
from craft.diary.moves import at_wall, moved
from craft.diary.slots import Slot, clashes

PARIS = ZoneInfo("Europe/Paris")
MONDAY = datetime(2026, 3, 23, tzinfo=UTC)
#: The week in which Paris leaps from two to three.
LEAP = date(2026, 3, 29)

slots = some.builds(
    lambda key, start, length, who, place, travel: Slot(
        key, MONDAY + timedelta(minutes=15 * start), MONDAY + timedelta(minutes=15 * (start + length)), frozenset(who), place, travel
    ),
    some.uuids().map(str), some.integers(0, 200), some.integers(1, 16), some.sets(some.sampled_from("abc"), min_size=1),
    some.sampled_from(["", "Mill Lane", "Quay"]), some.sampled_from([0, 15, 45]),
)  # fmt: skip


@given(some.lists(slots, max_size=8, unique_by=lambda slot: slot.key), some.randoms())
def test_clashes_are_the_same_in_whatever_order_they_are_told(listed: list[Slot], dice) -> None:  # type: ignore[no-untyped-def]
    shuffled = list(listed)
    dice.shuffle(shuffled)
    assert clashes(shuffled) == clashes(listed)
    found = {frozenset((clash.one, clash.other)) for clash in clashes(listed) if clash.what == "overlap"}
    for one in listed:
        for other in listed:
            if one.key < other.key and one.members & other.members:
                overlap = one.start < other.end and other.start < one.end
                assert overlap == (frozenset((one.key, other.key)) in found)


@given(some.lists(slots, max_size=10), some.sets(some.sampled_from("abc"), min_size=1), some.integers(1, 12))
def test_free_time_clashes_with_nothing(taken: list[Slot], who: set[str], quarters: int) -> None:
    wanted = Wanted(15 * quarters, frozenset(who), date(2026, 3, 23), date(2026, 3, 25), travel=15, buffer=15)
    for start in free(wanted, taken, Hours(), PARIS, MONDAY):
        new = Slot("new", start, start + timedelta(minutes=wanted.minutes), wanted.members, "", 15, 15)
        assert not [
            clash for clash in clashes([*taken, new]) if "new" in (clash.one, clash.other) and clash.what == "overlap"
        ]
        local = start.astimezone(PARIS)
        assert local.hour >= 9 and local + timedelta(minutes=wanted.minutes) <= local.replace(hour=18, minute=0)


@given(some.datetimes(datetime(2026, 1, 1), datetime(2027, 1, 1)), some.integers(-400, 400))
def test_a_wall_time_stays_over_the_change_of_clocks(local: datetime, days: int) -> None:
    local = local.replace(hour=10, minute=30, second=0, microsecond=0)
    to = moved(at_wall(local, PARIS), PARIS, days=days).astimezone(PARIS)
    assert (to.hour, to.minute) == (10, 30) and to.date() == local.date() + timedelta(days)


def test_no_beginning_lies_in_the_hour_that_is_leapt_over() -> None:
    wanted = Wanted(30, frozenset("a"), LEAP, LEAP)
    hours = Hours(datetime.min.time(), datetime.min.time().replace(hour=5), frozenset({6}))
    found = [at.astimezone(PARIS).hour for at in free(wanted, [], hours, PARIS, MONDAY)]
    assert 1 in found and 2 not in found and 3 in found


def test_a_way_needs_time_only_to_another_place() -> None:
    one = Slot("one", MONDAY, MONDAY + timedelta(hours=1), frozenset("a"), "Mill Lane")
    there = Slot("two", one.end, one.end + timedelta(hours=1), frozenset("a"), "mill lane ", travel=30)
    assert clashes([one, there]) == []
    assert [clash.what for clash in clashes([one, Slot("two", one.end, there.end, frozenset("a"), "Quay", 30)])] == [
        "travel"
    ]
    assert clashes([one, Slot("two", one.end + timedelta(minutes=30), there.end, frozenset("a"), "Quay", 30)]) == []


def test_what_follows_is_a_kind_of_visit() -> None:
    for kind in KINDS.values():
        assert all(name in KINDS and days > 0 for name, days in kind.follows)
