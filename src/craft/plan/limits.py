"""The hard limits of a plan, and whether one breaks them: said apart from the solver, so that it can be held to them."""

from __future__ import annotations

from collections.abc import Iterable, Iterator, Mapping, Sequence
from dataclasses import dataclass, field

from craft.plan.laundry import Laundry, stretches
from craft.plan.occasion import Chosen, Occasion, Wearing, in_order


@dataclass(frozen=True)
class Limits:
    """What no plan may break: the wash, how often each piece is worn before it, what was worn before the plan began, and which
    pieces are kept from an occasion."""

    laundry: Laundry = field(default_factory=Laundry)
    wears: Mapping[str, int] = field(default_factory=dict)
    worn: tuple[Wearing, ...] = ()
    kept_from: Mapping[str, frozenset[str]] = field(default_factory=dict)


def broken(chosen: Iterable[Chosen], limits: Limits) -> list[str]:
    """Every limit that a plan breaks, in words; none where it keeps them all."""
    every = list(chosen)
    dressed = [one for one in every if one.option is not None]
    return [*_worn_too_often(dressed, limits), *_seen_again(every, limits), *_kept_from(dressed, limits)]


def _worn_too_often(dressed: Sequence[Chosen], limits: Limits) -> Iterator[str]:
    on: dict[str, set[object]] = {}
    for one in dressed:
        for key in one.option.keys if one.option else ():
            on.setdefault(key, set()).add(one.occasion.on)
    days = [one.occasion.on for one in dressed]
    for stretch in stretches(days, limits.laundry, limits.worn):
        for key, most in limits.wears.items():
            here = len(on.get(key, set()) & set(stretch.days)) + stretch.worn_before.get(key, 0)
            inside = len(on.get(key, set()) & set(stretch.days))
            if inside and here > most:
                yield f"{key} is worn {here} times before it is washed"
            if here and on.get(key, set()) & set(stretch.away):
                yield f"{key} is worn while it is in the wash"


def runs(occasions: Sequence[Occasion], worn: Iterable[Wearing] = ()) -> Iterator[tuple[Occasion | Wearing, Occasion]]:
    """Occasions that follow each other before the same people: the earlier, which may lie before the plan, and the later."""
    last: dict[str, Occasion | Wearing] = {}
    for past in sorted(worn, key=lambda one: one.on):
        last.update(dict.fromkeys(past.seen_by, past))
    seen: set[tuple[int, int]] = set()
    for one in in_order(occasions):
        for who in sorted(one.seen_by):
            before = last.get(who)
            if before is not None and (id(before), id(one)) not in seen:
                seen.add((id(before), id(one)))
                yield before, one
            last[who] = one


def _seen_again(chosen: Sequence[Chosen], limits: Limits) -> Iterator[str]:
    base = {one.occasion.key: one.option.base if one.option else frozenset() for one in chosen}
    for before, after in runs([one.occasion for one in chosen], limits.worn):
        again = base[after.key]
        same = again <= before.keys if isinstance(before, Wearing) else again == base[before.key]
        if again and same and not _one_day(before, after):
            yield f"{after.key} is dressed as the same people saw it last"


def _one_day(before: Occasion | Wearing, after: Occasion) -> bool:
    """Within a day nobody changes for the same people."""
    return before.on == after.on


def _kept_from(dressed: Sequence[Chosen], limits: Limits) -> Iterator[str]:
    for one in dressed:
        if one.option and one.option.keys & limits.kept_from.get(one.occasion.key, frozenset()):
            yield f"{one.occasion.key} wears what is kept from it"
