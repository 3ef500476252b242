"""A week dressed: every occasion in a look that works there, each piece no more often than it can be, the same people never
seeing the same twice running, favourites spread; as good and as different as the looks allow, proved or with its bound."""

from __future__ import annotations

from collections.abc import Iterable, Mapping, Sequence
from dataclasses import dataclass, field
from datetime import date
from typing import TYPE_CHECKING, Any

from craft.plan.laundry import stretches
from craft.plan.limits import Limits, runs
from craft.plan.occasion import BASE, Chosen, Occasion, Option, Planned, Wearing
from craft.search.crew import Progress
from craft.search.solving import Effort, new_model, solved

if TYPE_CHECKING:
    from ortools.sat.python import cp_model

#: What counts how much, a look's score being up to 1000 (W): an occasion with nothing to wear; a look that is only to be watched;
#: a base worn on another day again, a piece of a base and any other piece worn on another day again; a favourite that is worn at
#: all; and an occasion that is dressed otherwise than it was, which outweighs all but having nothing to wear.
BARE, WATCHED, BASE_AGAIN, PIECE_AGAIN, OTHER_AGAIN, FAVOURITE, CHANGED = 60_000, 500, 260, 120, 25, 90, 4_000
#: The solver's time, s; a week of 14 occasions is within a thousandth of the best after half of it, by one worker that relaxes
#: all it can (W: the best of eight ways tried on the week of bench/plan.py).
SECONDS, EFFORT = 1.0, Effort(workers=1, linear=2)


@dataclass(frozen=True)
class Asking:
    """What is asked of a plan: the looks that each occasion could be dressed in, its limits, what she likes best, which look an
    occasion must keep, and what was planned before, from which as little as possible is changed."""

    occasions: Sequence[Occasion]
    options: Mapping[str, Sequence[Option]]
    limits: Limits = field(default_factory=Limits)
    favourites: frozenset[str] = frozenset()
    pinned: Mapping[str, Option] = field(default_factory=dict)
    before: Mapping[str, Option] = field(default_factory=dict)


def plan_week(asking: Asking, progress: Progress | None = None, seconds: float = SECONDS) -> Planned:
    """The best plan. An occasion for which nothing is left stays bare, and is said to.

    >>> from craft.cloth import Piece
    >>> from craft.judge.aims import Setting
    >>> from craft.search.ways import Way
    >>> tees = [Way(name, Piece.of({"is": "tee", "colour": name})) for name in ("white", "navy")]
    >>> jeans = Way("jeans", Piece.of({"is": "jeans"}))
    >>> options = [Option((jeans, tee), 0.8) for tee in tees]
    >>> days = [Occasion(f"day {n}", date(2026, 3, n), Setting()) for n in (2, 3, 4)]
    >>> plan = plan_week(Asking(days, {day.key: options for day in days}, Limits(wears={"white": 1, "navy": 1})))
    >>> len(plan.bare), len({one.option.keys for one in plan.chosen if one.option}), plan.short_by
    (1, 2, 0.0)
    """
    model = Dressing(asking)
    return model.told(solved(model.model, seconds, progress, EFFORT))


class Dressing:
    """The model of a plan: which look dresses each occasion, under all limits. A trip adds its bag."""

    def __init__(self, asking: Asking) -> None:
        self.asking, self.model = asking, new_model()
        self.wears: list[list[tuple[Any, Option]]] = []
        self.bare: list[Any] = []
        self.terms: list[Any] = []
        for one in asking.occasions:
            self._dress(one)
        self.weighed = sum(len(listed) for listed in self.wears)
        self.used = self._use()
        #: What is worn on which day because somebody wants it so: limits give way to it, and `broken` says so.
        self.fixed = {
            (key, one.on) for one in asking.occasions if (kept := asking.pinned.get(one.key)) for key in kept.keys
        }
        self._wash()
        self._before_the_same()
        self._spread()
        self.model.maximize(sum(self.terms))

    def _dress(self, occasion: Occasion) -> None:
        """One look for an occasion, or none."""
        kept_from = self.asking.limits.kept_from.get(occasion.key, frozenset())
        pinned, was = self.asking.pinned.get(occasion.key), self.asking.before.get(occasion.key)
        # A look that is kept by hand is on, whatever else.
        options = [pinned] if pinned else [one for one in self.asking.options[occasion.key] if not one.keys & kept_from]
        if was is not None and not pinned and not was.keys & kept_from and was not in options:
            options.append(was)
        listed = [(self.model.new_bool_var(""), option) for option in options]
        bare = self.model.new_bool_var("")
        if pinned:
            self.model.add(bare == 0)
        self.model.add_exactly_one([*(var for var, _ in listed), bare])
        self.bare.append(bare)
        self.terms.append(-BARE * bare)
        for var, option in listed:
            value = round(1000 * option.score) - (WATCHED if option.verdict != "works" else 0)
            self.terms.append((value - (CHANGED if was is not None and option.keys != was.keys else 0)) * var)
        self.wears.append(listed)

    def _use(self) -> dict[tuple[str, date], Any]:
        """Whether a piece is worn on a day, in whichever of its occasions. It is true where the piece is worn; that it is false
        where not is only needed, and only asked, of favourites."""
        found: dict[tuple[str, date], Any] = {}
        for occasion, listed in zip(self.asking.occasions, self.wears, strict=True):
            wearing: dict[str, list[Any]] = {}
            for var, option in listed:
                for key in option.keys:
                    wearing.setdefault(key, []).append(var)
            for key, looks in sorted(wearing.items()):
                used = found.setdefault((key, occasion.on), self.model.new_bool_var(""))
                self.model.add(sum(looks) <= used)
        return found

    def _wash(self) -> None:
        limits = self.asking.limits
        days = [one.on for one in self.asking.occasions]
        for stretch in stretches(days, limits.laundry, limits.worn):
            for key, most in limits.wears.items():
                inside = [day for day in stretch.days if (key, day) in self.used]
                away = [day for day in stretch.away if (key, day) in self.used]
                worn_before = stretch.worn_before.get(key, 0)
                if inside:
                    by_hand = sum((key, day) in self.fixed for day in inside)
                    self.model.add(sum(self.used[key, day] for day in inside) <= max(by_hand, most - worn_before, 0))
                for later in (day for day in away if (key, day) not in self.fixed):
                    if worn_before:
                        self.model.add(self.used[key, later] == 0)
                    for day in inside:
                        self.model.add_bool_or([self.used[key, day].Not(), self.used[key, later].Not()])
                for later in (day for day in away if (key, day) in self.fixed):
                    for day in (day for day in inside if (key, day) not in self.fixed):
                        self.model.add_implication(self.used[key, later], self.used[key, day].Not())

    def _before_the_same(self) -> None:
        """Who saw a base last does not see it next."""
        at = {one.key: number for number, one in enumerate(self.asking.occasions)}
        for before, after in runs(self.asking.occasions, self.asking.limits.worn):
            if before.on == after.on or (after.key in self.asking.pinned and isinstance(before, Wearing)):
                continue
            if isinstance(before, Occasion) and {before.key, after.key} <= self.asking.pinned.keys():
                continue
            later = self._by_base(at[after.key])
            if isinstance(before, Wearing):
                for base, looks in later.items():
                    if base and base <= before.keys:
                        self.model.add(sum(looks) == 0)
                continue
            earlier = self._by_base(at[before.key])
            for base in earlier.keys() & later.keys():
                self.model.add_at_most_one([*earlier[base], *later[base]])

    def _by_base(self, number: int) -> dict[frozenset[str], list[Any]]:
        found: dict[frozenset[str], list[Any]] = {}
        for var, option in self.wears[number]:
            found.setdefault(option.base, []).append(var)
        return found

    def _spread(self) -> None:
        """Different from day to day: a piece, and more so a base, that comes again costs something; a favourite is worth it once."""
        slots = {way.key: way.piece.slot for listed in self.wears for _, option in listed for way in option.ways}
        days: dict[str, list[Any]] = {}
        for (key, _), used in self.used.items():
            days.setdefault(key, []).append(used)
        for key, listed in days.items():
            self._again(listed, PIECE_AGAIN if slots[key] in BASE else OTHER_AGAIN)
            if key in self.asking.favourites:
                worn = self.model.new_bool_var("")
                looks = [var for wears in self.wears for var, option in wears if key in option.keys]
                self.model.add(sum(looks) >= worn)
                self.terms.append(FAVOURITE * worn)
        bases: dict[frozenset[str], dict[date, list[Any]]] = {}
        for occasion, wears in zip(self.asking.occasions, self.wears, strict=True):
            for var, option in wears:
                bases.setdefault(option.base, {}).setdefault(occasion.on, []).append(var)
        for on in bases.values():
            if len(on) > 1:
                self._again([var for looks in on.values() for var in looks], BASE_AGAIN)

    def _again(self, listed: Sequence[Any], cost: int) -> None:
        if len(listed) > 1:
            again = self.model.new_int_var(0, len(listed), "")
            self.model.add(again >= sum(listed) - 1)
            self.terms.append(-cost * again)

    def told(self, solver: cp_model.CpSolver) -> Planned:
        """What was chosen, and how much better any other plan could be."""
        chosen = tuple(
            Chosen(occasion, next((option for var, option in listed if solver.value(var)), None))
            for occasion, listed in zip(self.asking.occasions, self.wears, strict=True)
        )
        # Against what the dressed occasions are worth, not against the great sums that say which are dressed.
        worth = max(1.0, sum(1000 * one.option.score for one in chosen if one.option))
        left = abs(solver.best_objective_bound - solver.objective_value)
        return Planned(chosen, round(left / worth, 4), self.weighed)


def pieces_of(chosen: Iterable[Chosen]) -> dict[str, list[Occasion]]:
    """What each piece of a plan is worn for."""
    found: dict[str, list[Occasion]] = {}
    for one in chosen:
        for key in sorted(one.option.keys) if one.option else ():
            found.setdefault(key, []).append(one.occasion)
    return found
