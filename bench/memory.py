"""How the memory of one process goes with the looks that it has judged and drawn: what is kept at hand is bounded, and fills.

python -m bench.memory 5000      # looks of so many bodies, six each: some seven minutes
"""

from __future__ import annotations

import random
import sys
from pathlib import Path

from tests.craft.test_search import a_piece

from craft.assessment import picture
from craft.body import Body, Measures
from craft.judge import judge
from craft.look import Look, compose

EACH, SAID_EVERY = 6, 500
PAGE = 4096


def resident_mb() -> float:
    """What this process holds in memory now, MB."""
    return int(Path("/proc/self/statm").read_text().split()[1]) * PAGE / 1e6


def proof(bodies: int) -> None:
    """Judge looks of so many different bodies, and say how memory goes."""
    draw = random.Random(1)  # noqa: S311 (the same looks each time)
    print(f"{'before':>8} {resident_mb():6.0f} MB")
    for number in range(1, bodies + 1):
        girths = {"bust": draw.uniform(78, 120), "waist": draw.uniform(60, 105), "hip": draw.uniform(85, 130)}
        body = Body.of(Measures.of({"stature": draw.uniform(150, 185), **girths}))
        for _ in range(EACH):
            outfit = compose(body, Look(tuple(a_piece(draw, slot) for slot in ("bottom", "top", "shoes", "layer"))))
            judge(outfit)
        picture(outfit)
        if number % SAID_EVERY == 0:
            print(f"{number:8} {resident_mb():6.0f} MB", flush=True)


if __name__ == "__main__":
    proof(int(sys.argv[1]) if len(sys.argv) > 1 else 5000)
