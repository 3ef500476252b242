"""A week of 14 occasions and a trip of ten days from a wardrobe of 120 pieces: seconds, and how sure the plans are."""

from __future__ import annotations

import time
from datetime import date, timedelta

from bench.tables import wardrobe
from craft.body import Body, Measures
from craft.judge import Aims
from craft.judge.aims import Setting
from craft.plan.laundry import Laundry, wears_of
from craft.plan.limits import Limits, broken
from craft.plan.occasion import Occasion
from craft.plan.pool import finished, options_for, options_of_few
from craft.plan.trip import Bag, pack
from craft.plan.week import Asking, plan_week
from craft.plan.weights import grams
from craft.search.crew import Asked
from craft.search.wardrobe import wearable

PIECES, BEGINS = 120, date(2026, 3, 2)
DAY = (("relaxed_office", 9.0, "office"), ("dinner", 7.0, "friends"))
TRIP = (("travel", 12.0), ("weekend", 16.0), ("dinner", 14.0), ("relaxed_office", 18.0))


def proof() -> None:
    """Plan a week and pack for a trip, and say how long that took."""
    body = Body.of(Measures.of({"stature": 168, "bust": 95, "waist": 79, "hip": 103, "crotch_height": 77}))
    asked = Asked(body, aims=Aims.of({"wants": ["lengthen_legs"]}, {"depth": "medium", "warmth": "warm"}))
    kept, _ = wearable(body, wardrobe(PIECES), asked.schools)
    limits = Limits(Laundry(frozenset({5})), {one.key: most for one in kept if (most := wears_of(one.piece))})
    week = [
        Occasion(
            f"{number} {name}", BEGINS + timedelta(number), Setting.of(name, celsius=air + number), frozenset({who})
        )
        for number in range(7)
        for name, air, who in DAY
    ]
    began = time.perf_counter()
    options = options_for(asked, kept, week)
    looked = time.perf_counter()
    plan = plan_week(Asking(week, options, limits))
    solved = time.perf_counter()
    dressed = [finished(asked, one.option, kept, one.occasion) for one in plan.chosen if one.option]
    whole = time.perf_counter() - began
    print(
        f"a week of {len(week)} occasions over {len(kept)} pieces: {whole:.1f} s (aim 5 s): {plan.weighed} looks found in "
        f"{looked - began:.1f} s, planned in {solved - looked:.1f} s, within {100 * plan.short_by:.1f} % of the best possible, "
        f"{len(broken(plan.chosen, limits))} limits broken, {len(dressed)} dressed"
    )
    trip = [
        Occasion(f"{number}", BEGINS + timedelta(number), Setting.of(name, celsius=air))
        for number in range(10)
        for name, air in (TRIP[number % len(TRIP)],)
    ]
    began = time.perf_counter()
    few = options_of_few(asked, kept, trip)
    looked = time.perf_counter()
    shoes = frozenset(one.key for one in kept if one.piece.slot == "shoes")
    weights = {one.key: grams(one.piece) for one in kept}
    limits = Limits(wears=limits.wears)
    packed = pack(Asking(trip, few, limits), Bag(grams=8000), weights, shoes)
    took = time.perf_counter() - began
    print(
        f"a trip of {len(trip)} days: {took:.1f} s (aim 15 s): {packed.planned.weighed} looks found in {looked - began:.1f} s, "
        f"{len(packed.taken)} pieces, {packed.grams} g in the bag, {'no fewer would do' if packed.fewest else 'fewer not ruled out'}, "
        f"{len(packed.planned.bare)} days bare"
    )


if __name__ == "__main__":
    proof()
