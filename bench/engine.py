"""The engine's figures in process. Run as a script under another checkout's `src`, it measures that one the same way.

PYTHONPATH=<checkout>/src python bench/engine.py     # one JSON object: figure -> median ms
"""

from __future__ import annotations

import json
import random
import statistics
import sys
import time
from collections.abc import Callable
from typing import Any, NamedTuple

from craft.advise.remedies import remedies
from craft.assessment import assess, picture
from craft.body import Body, Measures
from craft.cloth import Piece
from craft.fit import land
from craft.judge import Aims, judge
from craft.look import Look, compose
from craft.wear.shoes import barefoot_on

LOOKS = [
    [{"is": "jeans", "cut": "straight", "hem": "ankle"}, {"is": "shirt", "tuck": "front"}, {"is": "loafers"}],
    [{"is": "trousers", "cut": "wide"}, {"is": "knit", "fit": "oversized"}, {"is": "ankle_boots", "bulk": "chunky"}],
    [{"is": "jeans", "cut": "skinny", "hem": "puddle"}, {"is": "tee", "fit": "tight"}, {"is": "pumps"}],
]
SIX = [
    {"is": "skirt", "cut": "slip", "fabric": ["satin"], "hem": "lower_calf", "colour": "olive"},
    {"is": "knit", "fit": "relaxed", "tuck": "front", "colour": "cream"},
    {"is": "blazer", "fit": "skimming", "hem": "high_hip", "open": True, "colour": "navy"},
    {"is": "tall_boots", "bulk": "medium", "colour": "brown"},
    {"is": "belt", "belted": "thin", "colour": "brown"},
    {"is": "necklace", "drop": "long", "colour": "silver"},
]
BODIES = [
    {"stature": 165, "bust": 92, "waist": 74, "hip": 100, "crotch_height": 76},
    {"stature": 176, "bust": 104, "waist": 92, "hip": 102},
    {"stature": 158, "bust": 82, "waist": 66, "hip": 98, "calf": 39},
]
#: Kinds of a rack, with the figures that a piece of each carries.
RACK = {
    "jeans": {"inseam_cm": 70, "front_rise_cm": 27, "leg_opening_cm": 40, "waist_cm": 80},
    "trousers": {"inseam_cm": 76, "front_rise_cm": 29, "leg_opening_cm": 56},
    "skirt": {"length_cm": 68, "waist_cm": 76, "hip_cm": 104},
    "dress": {"length_cm": 98, "chest_cm": 98},
    "shirt": {"length_cm": 70, "chest_cm": 108, "sleeve_cm": 58},
    "knit": {"length_cm": 60, "chest_cm": 104},
    "tee": {"length_cm": 62, "chest_cm": 96},
    "blazer": {"length_cm": 70, "chest_cm": 104},
    "coat": {"length_cm": 104, "chest_cm": 112},
    "loafers": {"heel_cm": 2},
    "ankle_boots": {"heel_cm": 4, "shaft_cm": 16},
}


class Figure(NamedTuple):
    """One figure: what is timed, how often, and what it should come to."""

    name: str
    call: Callable[[], object]
    rounds: int
    aim: str


def rack(count: int) -> list[Piece]:
    """So many pieces, no two of them alike."""
    draw = random.Random(11)  # noqa: S311  (no secret)
    kinds = list(RACK.items())
    return [
        Piece.of({"is": kind, **{key: round(cm * draw.uniform(0.95, 1.05), 2) for key, cm in figures.items()}})
        for kind, figures in (kinds[at % len(kinds)] for at in range(count))
    ]


def figures() -> list[Figure]:
    """Every figure of the engine."""
    bodies = [Body.of(Measures.of(measures)) for measures in BODIES]
    clients = (Aims(), Aims.of({"wants": ["lengthen_legs"], "soften": ["hips"]}, {"depth": "light", "warmth": "warm"}))
    looks = [Look.of(pieces) for pieces in (*LOOKS, SIX)]
    turns = [(body, look, aims) for body in bodies for look in looks for aims in clients]
    at = iter(range(10**9))

    def turned(call: Callable[[Body, Look, Aims], object]) -> Callable[[], object]:
        return lambda: call(*turns[next(at) % len(turns)])

    loose = Look.of(LOOKS[1])
    # A hem that moves: what is drawn is kept, so the same look drawn again would say nothing.
    sixes = [Look.of(SIX).changed("bottom", inseam_cm=60 + 0.1 * step) for step in range(150)]
    hung = [(str(number), piece) for number, piece in enumerate(rack(150))]
    many = rack(300)

    def whole() -> None:
        # What was landed is kept for the next request; here it is landed anew each time.
        land.cache_clear()
        for piece in many:
            land(bodies[0], piece, barefoot_on(2.0))

    return [
        Figure("compose a look and judge it", turned(lambda b, look, a: judge(compose(b, look), a)), 4000, "a third"),
        Figure("assess a look, with its mends", turned(lambda b, look, a: assess(b, look, None, a)), 400, "under 3 ms"),
        Figure("assess six pieces as a hem moves, and draw them",
               lambda: picture(assess(bodies[0], sixes[next(at) % len(sixes)]).outfit), 150, "under 5 ms"),
        Figure("ways to mend, through a rack of 150", lambda: remedies(bodies[0], loose, hung), 15, "under 400 ms"),
        Figure("land and fit-check a rack of 300 pieces", whole, 12, "under 150 ms"),
    ]  # fmt: skip


def timed(what: Callable[[], object], rounds: int) -> list[float]:
    """Milliseconds of each round."""
    took = []
    for _ in range(rounds):
        began = time.perf_counter()
        what()
        took.append((time.perf_counter() - began) * 1000)
    return took


def medians() -> dict[str, Any]:
    """The median of every figure, ms, after a short run to warm up."""
    found = {}
    for figure in figures():
        timed(figure.call, max(2, figure.rounds // 8))
        found[figure.name] = statistics.median(timed(figure.call, figure.rounds))
    return found


if __name__ == "__main__":
    json.dump(medians(), sys.stdout)
