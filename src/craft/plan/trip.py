"""A trip: the fewest pieces that dress every day well, in one bag."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass
from typing import Any

from craft.plan.laundry import stretches
from craft.plan.occasion import Planned
from craft.plan.week import Asking, Dressing
from craft.search.crew import Progress
from craft.search.solving import solved

#: The solver's time for the fewest pieces, and again for the best looks of so many, s; how many pieces more an occasion that is
#: dressed is worth; and so many grams more on one's back count as a thousandth of a score (W).
SECONDS, A_DAY, GRAMS_A_POINT = 5.0, 100, 20


@dataclass(frozen=True)
class Bag:
    """What a bag holds: pieces, grams, and pairs of shoes, those that are worn on the way counted among the shoes and pieces but
    not among the grams."""

    pieces: int | None = None
    grams: int | None = None
    shoes: int = 2


@dataclass(frozen=True)
class Packed:
    """A trip: what each occasion is dressed in, the pieces taken, which of them are worn on the way, and the weight of the rest."""

    planned: Planned
    taken: tuple[str, ...]
    on_the_way: tuple[str, ...]
    grams: int
    #: Whether no fewer pieces would do, as far as the looks that were weighed go.
    fewest: bool


def pack(
    asking: Asking,
    bag: Bag,
    weights: Mapping[str, float],
    shoes: frozenset[str],
    progress: Progress | None = None,
) -> Packed:
    """Pack for a trip. `weights` in grams and which keys are `shoes`; the first occasion is the way there. What fits no bag stays
    bare.

    >>> from datetime import date
    >>> from craft.cloth import Piece
    >>> from craft.judge.aims import Setting
    >>> from craft.plan.occasion import Occasion, Option
    >>> from craft.search.ways import Way
    >>> way = lambda key, kind: Way(key, Piece.of({"is": kind}))
    >>> looks = [Option((way("jeans", "jeans"), way(top, "tee")), 0.8) for top in ("one", "two")]
    >>> days = [Occasion(f"day {n}", date(2026, 3, n), Setting()) for n in (2, 3)]
    >>> packed = pack(Asking(days, {day.key: looks for day in days}), Bag(), {}, frozenset())
    >>> len(packed.taken), packed.fewest
    (2, True)
    """
    half = (lambda part: progress(part * 0.5)) if progress else None
    rest = (lambda part: progress(0.5 + part * 0.5)) if progress else None
    model = _Packing(asking, bag, weights, shoes)
    # First as many occasions dressed as can be in as few pieces as that takes, then the best looks of so many pieces.
    model.model.minimize(A_DAY * sum(model.bare) + model.many)
    few = solved(model.model, SECONDS, half)
    fewest = few.objective_value - few.best_objective_bound < 1
    # It begins from what was found, so that there is an answer whenever the time ends.
    for at, value in enumerate(few.response_proto.solution):
        model.model.add_hint(model.model.get_int_var_from_proto_index(at), value)
    model.model.add(model.many <= sum(few.value(var) for var in model.taken.values()))
    model.model.add(sum(model.bare) <= sum(few.value(var) for var in model.bare))
    model.model.maximize(sum(model.terms))
    solver = solved(model.model, SECONDS, rest)
    planned = model.told(solver)
    taken = {key for key, var in model.taken.items() if solver.value(var)}
    first = next((one.option.keys for one in planned.chosen[:1] if one.option), frozenset[str]())
    weight = sum(weights.get(key, 0.0) for key in taken - first)
    return Packed(planned, tuple(sorted(taken)), tuple(sorted(first)), round(weight), fewest)


class _Packing(Dressing):
    """A plan whose pieces all lie in one bag or are worn on the way."""

    def __init__(self, asking: Asking, bag: Bag, weights: Mapping[str, float], shoes: frozenset[str]) -> None:
        super().__init__(asking)
        self.taken: dict[str, Any] = {
            key: self.model.new_bool_var(key) for key in sorted({key for key, _ in self.used})
        }
        for (key, _), used in self.used.items():
            self.model.add_implication(used, self.taken[key])
        self._hold_to_the_wash()
        self.many: Any = sum(self.taken.values())
        if bag.pieces is not None:
            self.model.add(self.many <= bag.pieces)
        self.model.add(sum(var for key, var in self.taken.items() if key in shoes) <= bag.shoes)
        whole = {key: round(grams) for key, grams in weights.items() if key in self.taken}
        way_there = self.wears[0] if self.wears else []
        worn = [(sum(whole.get(key, 0) for key in option.keys), var) for var, option in way_there]
        if bag.grams is not None:
            in_bag = sum(whole.get(key, 0) * var for key, var in self.taken.items())
            self.model.add(in_bag - sum(grams * var for grams, var in worn) <= bag.grams)
        # Wear the heaviest: it decides between looks that are nearly as good.
        self.terms += [round(grams / GRAMS_A_POINT) * var for grams, var in worn]

    def _hold_to_the_wash(self) -> None:
        """What the limits of the wash say already, over the whole trip at once: so the solver sees early how many pieces it takes."""
        limits = self.asking.limits
        spans = sum(bool(one.days) for one in stretches([one.on for one in self.asking.occasions], limits.laundry))
        days: dict[str, list[Any]] = {}
        for (key, _), used in self.used.items():
            days.setdefault(key, []).append(used)
        for key, listed in days.items():
            by_hand = sum(fixed == key for fixed, _ in self.fixed)
            most = min(len(listed), max(by_hand, spans * limits.wears.get(key, len(listed))))
            self.model.add(sum(listed) <= most * self.taken[key])
