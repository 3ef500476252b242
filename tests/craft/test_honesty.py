"""Honesty of estimates and doubts, on bodies drawn from published distributions (anthropometry.py)."""

from __future__ import annotations

from collections.abc import Callable

import numpy as np
import pytest

from craft.body.estimate import PLACE, estimate
from craft.body.measures import MEASURES, READING_SPREAD, Measures, kind_of
from craft.measuring.cards import PROTOCOLS
from craft.measuring.checks import check
from tests.craft.anthropometry import Array, drawn_bodies

KNOWN = {
    "nothing": (),
    "stature": ("stature",),
    "five": ("stature", "bust", "waist", "hip", "crotch_height"),
    "quick": PROTOCOLS["quick"].measures,
    "trousers": PROTOCOLS["trousers"].measures,
    "tops": PROTOCOLS["tops"].measures,
}


def reading(body: Array, measure: str, chance: np.random.Generator) -> float:
    """One careful reading of a body."""
    return float(body[PLACE[measure]] + chance.normal(0, READING_SPREAD[kind_of(measure)]))


@pytest.mark.parametrize("known", KNOWN)
def test_the_true_value_lies_in_the_stated_range_in_four_of_five_bodies(known: str) -> None:
    chance = np.random.default_rng(17)
    taken = KNOWN[known]
    inside: dict[str, list[bool]] = {name: [] for name in MEASURES if name not in taken}
    for body in drawn_bodies(2400, seed=29):
        held = estimate(Measures.of({name: reading(body, name, chance) for name in taken}))
        for name, hits in inside.items():
            low, high = held[name].range80
            hits.append(low <= body[PLACE[name]] <= high)
    share = {name: round(float(np.mean(hits)), 3) for name, hits in inside.items()}
    assert {name: of for name, of in share.items() if not 0.75 <= of <= 0.85} == {}


def test_every_measure_taken_narrows_what_is_left() -> None:
    """Along a whole session the spreads only fall, and what is left at the end is what was not taken."""
    chance = np.random.default_rng(2)
    body = drawn_bodies(2, seed=3)[0]
    taken: dict[str, float] = {}
    before = estimate(Measures.of(taken))
    for name in PROTOCOLS["full"].measures:
        taken[name] = reading(body, name, chance)
        after = estimate(Measures.of(taken))
        assert all(after[other].spread <= before[other].spread + 1e-9 for other in MEASURES if other not in taken)
        before = after
    assert all(figure.settled for figure in before.values())


def sessions(slip: Callable[[float], float | None]) -> tuple[int, int, int, int]:
    """Of slipped readings in full sessions: how many, how many asked about, of those with a value
    named how many right; and how many true readings were asked about."""
    chance = np.random.default_rng(1)
    tried = caught = right = alarms = 0
    for body in drawn_bodies(160, seed=21):
        known: dict[str, float] = {}
        for name in PROTOCOLS["full"].measures:
            true = round(reading(body, name, chance), 1)
            others = Measures.of(known)
            alarms += check(name, true, others) is not None
            slipped = slip(true)
            if slipped is not None:
                doubt = check(name, slipped, others)
                tried += 1
                caught += doubt is not None
                right += bool(doubt and doubt.suggested_cm and abs(doubt.suggested_cm - true) < 0.3)
            known[name] = true
    return tried, caught, right, alarms


def swapped(cm: float) -> float | None:
    """The first two digits the wrong way round, where that makes a difference worth catching."""
    text = f"{cm:.1f}"
    other = float(text[1] + text[0] + text[2:]) if text[1] != "." else cm
    return other if abs(other - cm) > 8 else None


@pytest.mark.parametrize(
    ("slip", "at_least", "named"),
    [
        (lambda cm: round(cm / 2.54, 1), 0.99, 0.90),
        (lambda cm: cm * 10, 0.99, 0.90),
        (lambda cm: cm - 100 if cm > 110 else None, 0.99, 0.90),
        (swapped, 0.85, 0.70),
    ],
    ids=["inches as cm", "the point forgotten", "the hundred forgotten", "digits swapped"],
)
def test_slips_are_caught_with_the_value_meant_and_true_readings_let_through(
    slip: Callable[[float], float | None], at_least: float, named: float
) -> None:
    tried, caught, right, alarms = sessions(slip)
    assert tried > 500
    assert caught / tried >= at_least
    assert right / caught >= named
    assert alarms / (160 * len(MEASURES)) < 0.003
