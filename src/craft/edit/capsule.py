"""A capsule: a few pieces out of a wardrobe, and a few bought, that make the most different good outfits for the week.

A choice of pieces makes the outfits whose pieces are all chosen. What counts first is that every kind of day has something to
wear, then different bases, then their variations; CP-SAT chooses, and says how much better any choice could be at most.
"""

from __future__ import annotations

from collections import Counter
from collections.abc import Iterable, Mapping, Sequence
from dataclasses import dataclass
from typing import Any

import numpy as np

from craft.edit.counting import BREADTH, counted_by_day
from craft.edit.gaps import outfits
from craft.edit.steps import Steps
from craft.edit.together import INSTEAD
from craft.errors import InvalidInput
from craft.search.crew import Asked, Progress
from craft.search.solving import new_model, solve
from craft.search.variety import alike
from craft.search.wardrobe import Wardrobe, families_of
from craft.search.ways import Owned
from craft.search.week import Day, by_day
from craft.search.wish import Wish

#: So many pieces of each place are chosen from: those that stand in most looks that work.
POOL = {"bottom": 9, "one_piece": 4, "top": 12, "layer": 6, "shoes": 6}
#: So many pieces at least and at most; the solver's time, s.
FEWEST, MOST, SECONDS = 4, 40, 10.0
#: A piece is for the kinds of day on which no fewer than this share of its outfits works, of those of its best day (W).
SERVES = 0.8
#: What a base, a variation of one, and a kind of day that has something to wear count against each other (W: the first day that is
#: covered outweighs any number of variations of another).
BASE, VARIATION, COVERED = 100, 25, 1_000_000


@dataclass(frozen=True)
class CapsuleWish:
    """What is asked: how many pieces, how many of them bought at most, which must be in and which never, and the budget."""

    pieces: int
    bought: int = 0
    must: frozenset[str] = frozenset()
    never: frozenset[str] = frozenset()
    budget: int | None = None


@dataclass(frozen=True, slots=True)
class Part:
    """A piece of a capsule: in how many of its outfits it stands, and the kinds of day that it is for: those on which most of
    these work; none named where it serves all alike."""

    key: str
    outfits: int
    days: tuple[int, ...]


@dataclass(frozen=True)
class Capsule:
    """The pieces chosen, and what they make: outfits that work, by kind of day; different bases; and how sure it is that no
    other choice is better: `short_by` is the share by which any could be at most."""

    parts: tuple[Part, ...]
    outfits: int
    bases: int
    by_day: tuple[int, ...]
    looks: tuple[tuple[str, ...], ...]
    short_by: float
    chosen_from: int

    @property
    def keys(self) -> frozenset[str]:
        """The keys of its pieces."""
        return frozenset(part.key for part in self.parts)


#: An outfit: the keys of its pieces from the base on, and what it is worth on each kind of day.
Outfit = tuple[tuple[str, ...], tuple[str, ...], tuple[float, ...]]


def capsule(
    asked: Asked,
    owned: Sequence[Owned],
    days: tuple[Day, ...],
    wanted: CapsuleWish,
    bought: Sequence[Owned] = (),
    *,
    prices: Mapping[str, int] | None = None,
    wish: Wish | None = None,
    progress: Progress | None = None,
    seconds: float = SECONDS,
) -> Capsule:
    """Choose pieces. `bought` are candidates, which count as bought; what is worn besides takes no part. Raises InvalidInput where
    what must be in cannot be."""
    _check(wanted, owned)
    steps = Steps(progress, (0.2, 0.2, 0.6))
    pool = _pool(owned, wanted, _worth(asked, owned, days, wish or Wish(), steps.next()))
    every = [*pool, *(one for one in bought if one.key not in wanted.never)]
    found = _outfits(asked, every, days, wish or Wish(), steps.next())
    new = {one.key for one in bought}
    chosen, short_by = _solve(found, every, new, days, wanted, prices or {}, seconds, steps.next())
    return _told(found, chosen, short_by, len(every), len(days))


def _check(wanted: CapsuleWish, owned: Sequence[Owned]) -> None:
    if not FEWEST <= wanted.pieces <= MOST:
        raise InvalidInput(f"A capsule has {FEWEST} to {MOST} pieces.", "pieces")
    if len(wanted.must) > wanted.pieces:
        raise InvalidInput("More pieces must be in than the capsule holds.", "must")
    if wanted.must & wanted.never:
        raise InvalidInput("A piece cannot both be in and never be in.", "never")
    missing = wanted.must - {one.key for one in owned}
    if missing:
        raise InvalidInput("A piece that must be in does not fit, or is not at hand.", "must")


def _worth(
    asked: Asked, owned: Sequence[Owned], days: tuple[Day, ...], wish: Wish, progress: Progress | None
) -> dict[str, float]:
    """In how many outfits each piece works, the kinds of day by their shares."""
    found: dict[str, float] = {}
    for day, (_, counted) in zip(days, counted_by_day(asked, owned, days, wish, progress), strict=True):
        for key, many in counted.items():
            found[key] = found.get(key, 0.0) + day.share * many
    return found


def _pool(owned: Sequence[Owned], wanted: CapsuleWish, worth: Mapping[str, float]) -> list[Owned]:
    """What is chosen from: what must be in, and of each place the pieces that stand in most outfits; of two that are nearly
    one only the better, unless the place has room left."""
    ranked = sorted(
        (one for one in owned if one.key not in wanted.never),
        key=lambda one: (one.key not in wanted.must, -worth.get(one.key, 0.0), one.key),
    )
    kept: list[Owned] = []
    for alike_too in (False, True):
        for one in ranked:
            of_place = [other for other in kept if other.piece.slot == one.piece.slot]
            must, room = one.key in wanted.must, len(of_place) < POOL.get(one.piece.slot, 0)
            twin = any(alike(one.piece, other.piece) >= INSTEAD for other in of_place)
            if one not in kept and (must or (room and (alike_too or not twin))):
                kept.append(one)
    return kept


def _outfits(
    asked: Asked, pieces: list[Owned], days: tuple[Day, ...], wish: Wish, progress: Progress | None
) -> list[Outfit]:
    """Every outfit that works on some kind of day: its base, all its pieces, what it is worth on each. One base over another is
    a variation at most and no reason to pack a piece."""
    families = tuple(
        family for family in families_of(asked.body, pieces, asked.schools, BREADTH) if family.name != "dress_over_legs"
    )
    found: dict[tuple[str, ...], list[float]] = {}
    bases: dict[tuple[str, ...], tuple[str, ...]] = {}
    for number, search in enumerate(by_day(asked, Wardrobe(families, BREADTH), days, progress)):
        for family, sums in search.families:
            worth, keys = outfits(family, sums, wish)
            for at in zip(*(line.tolist() for line in np.nonzero(worth)), strict=True):
                on = [keys[axis][one] for axis, one in enumerate(at)]
                all_of = tuple(key for part in on for key in part)
                bases[all_of] = tuple(key for part in on[:3] for key in part)
                found.setdefault(all_of, [0.0] * len(days))[number] = float(worth[at])
    return [(bases[keys], keys, tuple(worth)) for keys, worth in found.items()]


def _solve(
    found: list[Outfit],
    pieces: Sequence[Owned],
    new: set[str],
    days: Sequence[Day],
    wanted: CapsuleWish,
    prices: Mapping[str, int],
    seconds: float,
    progress: Progress | None,
) -> tuple[set[str], float]:
    model = new_model()
    on: dict[str, Any] = {one.key: model.new_bool_var(one.key) for one in pieces}
    model.add(sum(on.values()) <= wanted.pieces)
    model.add(sum(on[key] for key in new if key in on) <= wanted.bought)
    if wanted.budget is not None:
        model.add(sum(prices.get(key, 0) * on[key] for key in new if key in on) <= wanted.budget)
    for key in wanted.must:
        model.add(on[key] == 1)
    terms: list[Any] = []
    of_base: dict[tuple[str, ...], list[Any]] = {}
    of_day: list[list[Any]] = [[] for _ in days]
    best_of_base: Counter[tuple[str, ...]] = Counter()
    shares = sum(day.share for day in days) or 1.0
    for base, keys, worth in found:
        made = model.new_bool_var("")
        for key in keys:
            model.add_implication(made, on[key])
        value = sum(day.share * one for day, one in zip(days, worth, strict=True)) / shares
        terms.append(round(VARIATION * value) * made)
        of_base.setdefault(base, []).append(made)
        best_of_base[base] = max(best_of_base[base], round(BASE * value))
        for number, one in enumerate(worth):
            if one:
                of_day[number].append(made)
    for base, outfits_of in of_base.items():
        there = model.new_bool_var("")
        model.add_bool_or([*outfits_of, there.Not()])
        terms.append(best_of_base[base] * there)
    for outfits_on in of_day:
        if outfits_on:
            covered = model.new_bool_var("")
            model.add_bool_or([*outfits_on, covered.Not()])
            terms.append(COVERED * covered)
    # Of choices that make as much, the smaller.
    model.maximize(sum(terms) - sum(on.values()))
    solver = solve(model, seconds, progress)
    if solver is None:
        raise InvalidInput("No capsule keeps all of these limits.", "must")
    covered_by_days = COVERED * sum(1 for outfits_on in of_day if outfits_on)
    most, has = solver.best_objective_bound - covered_by_days, solver.objective_value - covered_by_days
    short_by = max(0.0, (most - has) / has) if has > 0 else 0.0
    return {key for key, var in on.items() if solver.value(var)}, short_by


def _told(found: Iterable[Outfit], chosen: set[str], short_by: float, chosen_from: int, days: int) -> Capsule:
    made = [(base, keys, worth) for base, keys, worth in found if set(keys) <= chosen]
    of_piece: dict[str, list[int]] = {key: [0] * (days + 1) for key in chosen}
    for _, keys, worth in made:
        for key in keys:
            of_piece[key][-1] += 1
            for number, one in enumerate(worth):
                of_piece[key][number] += one > 0
    parts = []
    for key, counted in of_piece.items():
        best = max(counted[:days], default=0)
        served = tuple(day for day in range(days) if counted[day] >= SERVES * best)
        parts.append(Part(key, counted[-1], served if len(served) < days else ()))
    made.sort(key=lambda one: (-max(one[2]), one[1]))
    return Capsule(
        tuple(sorted(parts, key=lambda part: (-part.outfits, part.key))),
        len(made),
        len({base for base, *_ in made}),
        tuple(sum(worth[number] > 0 for *_, worth in made) for number in range(days)),
        tuple(keys for _, keys, _ in made),
        short_by,
        chosen_from,
    )
