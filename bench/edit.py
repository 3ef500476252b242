"""The edit of a wardrobe of 120 pieces: what is missing, the best three together, the sorting; seconds, and the next piece shown."""

from __future__ import annotations

import time

from bench.tables import wardrobe
from craft.body import Body, Measures
from craft.edit.candidates import candidates
from craft.edit.gaps import gaps
from craft.edit.reading import Hanging, read_wardrobe
from craft.edit.together import together
from craft.judge import Aims
from craft.judge.aims import Setting
from craft.search.crew import Asked, ready
from craft.search.search import Search
from craft.search.wardrobe import wardrobe_of, wearable
from craft.search.week import Day

PIECES = 120
#: How long the helpers take to read what they need, s, and more.
HELPERS_READ = 3.0
DAYS = (Day(Setting.of("relaxed_office"), 60), Day(Setting.of("dinner", "smart"), 15), Day(Setting.of("weekend"), 25))


def proof() -> None:
    """Read a wardrobe, find what it lacks, and say how long that took."""
    body = Body.of(Measures.of({"stature": 168, "bust": 95, "waist": 79, "hip": 103, "crotch_height": 77}))
    aims = Aims.of({"wants": ["lengthen_legs"], "wont": ["heels"]}, {"depth": "medium", "warmth": "warm"})
    asked, owned = Asked(body, aims=aims), wardrobe(PIECES)
    kept, _ = wearable(body, owned, asked.schools)
    every = candidates(dict(aims.colouring), (one.piece for one in owned))
    # A worker has its helpers ready before it is asked.
    ready()
    time.sleep(HELPERS_READ)
    told: list[float] = []
    began = time.perf_counter()
    found = gaps(asked, kept, every, DAYS, progress=told.append)
    missing = time.perf_counter() - began
    began = time.perf_counter()
    three = together(asked, kept, found, (3,))
    few = time.perf_counter() - began
    began = time.perf_counter()
    one_day = gaps(asked, kept, every, DAYS[:1])
    a_day = time.perf_counter() - began
    whole = Search(asked, wardrobe_of(body, owned, asked.schools))
    began = time.perf_counter()
    read = read_wardrobe(Hanging(asked, tuple(owned), DAYS, ("office", "dinner", "weekend")), whole, every)
    reading = time.perf_counter() - began
    began = time.perf_counter()
    shown = whole.with_all([read.order[0]]).few(3)
    piece = time.perf_counter() - began
    print(
        f"an edit of {len(owned)} pieces, {len(every)} candidates, {len(DAYS)} kinds of day:\n"
        f"  what is missing {missing:.1f} s ({found.tried:,} looks, progress told {len(told)} times; aim 10 s), one kind of day {a_day:.1f} s "
        f"({one_day.tried / a_day:,.0f} looks a second)\n"
        f"  the best three together {few:.1f} s ({three.weighed:,} sets; aim 30 s)\n"
        f"  read for the sorting {reading:.1f} s, the looks of a piece {1000 * piece:.0f} ms ({len(shown)} looks; aim 150 ms)"
    )
