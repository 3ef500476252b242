"""The hard limits of a plan, and whether one breaks them: said apart from the solver, so that it can be held to them."""

from __future__ import annotations

from collections.abc import Iterable, Iterator, Mapping, Sequence
from dataclasses import dataclass, field
from typing import Literal, NamedTuple

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


class Breach(NamedTuple):
    """A limit that is broken: which, by which piece, on which occasion; and how often a piece is worn that is worn too often."""

    limit: Literal["worn_out", "in_the_wash", "seen_again", "kept_from"]
    piece: str = ""
    occasion: str = ""
    times: int = 0


def broken(chosen: Iterable[Chosen], limits: Limits) -> list[Breach]:
    """Every limit that a plan breaks; none where it keeps them all."""
    every = list(chosen)
    dressed = [one for one in every if one.option is not None]
    return [*_worn_too_often(dressed, limits), *_seen_again(every, limits), *_kept_from(dressed, limits)]


def _worn_too_often(dressed: Sequence[Chosen], limits: Limits) -> Iterator[Breach]:
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
                yield Breach("worn_out", key, times=here)
            if here and on.get(key, set()) & set(stretch.away):
                yield Breach("in_the_wash", key)


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


def _seen_again(chosen: Sequence[Chosen], limits: Limits) -> Iterator[Breach]:
    base = {one.occasion.key: one.option.base if one.option else frozenset() for one in chosen}
    for before, after in runs([one.occasion for one in chosen], limits.worn):
        again = base[after.key]
        same = again <= before.keys if isinstance(before, Wearing) else again == base[before.key]
        if again and same and not _one_day(before, after):
            yield Breach("seen_again", occasion=after.key)


def _one_day(before: Occasion | Wearing, after: Occasion) -> bool:
    """Within a day nobody changes for the same people."""
    return before.on == after.on


def _kept_from(dressed: Sequence[Chosen], limits: Limits) -> Iterator[Breach]:
    for one in dressed:
        for key in sorted(one.option.keys & limits.kept_from.get(one.occasion.key, frozenset())) if one.option else ():
            yield Breach("kept_from", key, one.occasion.key)
