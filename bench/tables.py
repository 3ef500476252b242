"""Every look of the demo's large wardrobe, judged by the search and one by one: looks a second both ways, memory, exactness."""

from __future__ import annotations

import random
import resource
import time
from dataclasses import replace

from craft.body import Body, Measures
from craft.cloth.quick import read_line
from craft.judge import Aims, judge
from craft.look import compose
from craft.search.crew import Asked
from craft.search.search import Search
from craft.search.tables import judged
from craft.search.wardrobe import wardrobe_of
from craft.search.ways import Owned
from craft.search.worn import in_order
from studio.people.demo_wardrobe import LINES

#: Looks judged one by one and compared, of each wardrobe; and how many pieces those have.
COMPARED, SIZES = 2000, (50, 150, 300)
TOP = 50


def wardrobe(pieces: int) -> list[Owned]:
    """So many pieces of the demo's large wardrobe; of more, the same again in other colours."""
    draw = random.Random(7)  # noqa: S311  (no secret)
    owned = [Owned(f"{number}", read_line(line)) for number, line in enumerate(LINES)]
    more = ("navy", "camel", "burgundy", "olive", "grey", "cream", "rust", "teal")
    while len(owned) < pieces:
        piece = draw.choice(owned).piece.with_(colour=draw.choice(more))
        owned.append(Owned(f"{len(owned)}", piece))
    draw.shuffle(owned)
    return owned[:pieces]


def proof() -> None:
    """Search, compare, and say so."""
    body = Body.of(Measures.of({"stature": 168, "bust": 95, "waist": 79, "hip": 103, "crotch_height": 77}))
    aims = Aims.of({"wants": ["lengthen_legs"], "soften": ["hips"]}, {"depth": "light", "warmth": "warm"})
    for pieces in SIZES:
        _one(Asked(body, aims=aims), wardrobe(pieces))


def _one(asked: Asked, owned: list[Owned]) -> None:
    began = time.perf_counter()
    found = Search(asked, wardrobe_of(asked.body, owned))
    cold = time.perf_counter() - began
    began = time.perf_counter()
    counts, top = found.counts(), found.best(TOP)
    warm = time.perf_counter() - began
    schools = replace(asked.schools, muted=frozenset({"edges.proportion"}))
    began = time.perf_counter()
    Search(replace(asked, schools=schools), found.wardrobe, before=found).counts()
    muted = time.perf_counter() - began
    shirt = next(one for one in owned if one.piece.slot == "top")
    other = [replace(one, piece=one.piece.with_(colour="teal")) if one is shirt else one for one in owned]
    began = time.perf_counter()
    Search(asked, wardrobe_of(asked.body, other), before=found).counts()
    changed = time.perf_counter() - began
    differ, each = _held_against(found)
    size = found.wardrobe.size
    memory = max(resource.getrusage(who).ru_maxrss for who in (resource.RUSAGE_SELF, resource.RUSAGE_CHILDREN)) / 1024
    left_out = "; ".join(found.wardrobe.breadth.left_out) or "nothing left out"
    print(
        f"{len(owned)} pieces, {size:,} looks ({left_out}): {counts.works:,} of {counts.looks:,} work, {len(top)} best; "
        f"from nothing {cold:.1f} s, tables at hand {warm:.2f} s, one rule muted {muted:.2f} s, one top otherwise {changed:.1f} s, {memory:.0f} MB a process; "
        f"{size / cold:,.0f} looks/s from nothing, {size / warm:,.0f} at hand, {1 / each:,.0f} one by one: "
        f"{size / cold * each:,.0f} and {size / warm * each:,.0f} times; {differ} of {COMPARED} differ (none may)",
        flush=True,
    )


def _held_against(found: Search) -> tuple[int, float]:
    """How many of some looks the search judges otherwise than by themselves, and how long one of those takes, s."""
    draw, asked = random.Random(5), found.asked  # noqa: S311  (no secret)
    sizes = [family.size for family, _ in found.families]
    drawn = []
    for number in draw.choices(range(len(sizes)), sizes, k=COMPARED):
        family, sums = found.families[number]
        at = tuple(draw.randrange(size) for size in sums.shape)
        drawn.append((in_order(way.piece for way in family.look(at)), judged(int(sums[at]))))
    began = time.perf_counter()
    alone = [judge(compose(asked.body, look, asked.schools), asked.aims) for look, _ in drawn]
    each = (time.perf_counter() - began) / COMPARED
    return sum(told != (one.score, one.verdict) for (_, told), one in zip(drawn, alone, strict=True)), each
