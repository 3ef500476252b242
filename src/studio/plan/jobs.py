"""A plan as a worker makes it: looks for each kind of occasion, the choice among them, one thing worn besides, and others to take
instead."""

from __future__ import annotations

import hashlib
import json
from collections import OrderedDict
from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace
from functools import cached_property
from threading import Lock
from typing import Any

from django.db import transaction

from craft.edit.steps import Steps
from craft.plan.laundry import wears_of
from craft.plan.limits import Limits, broken
from craft.plan.occasion import Occasion, Option, Planned, Wearing
from craft.plan.pool import finished, for_the_way, options_for, options_of_few, rounded
from craft.plan.trip import Packed, pack
from craft.plan.week import Asking, plan_week
from craft.plan.weights import grams
from craft.search.crew import Asked, Progress
from craft.search.search import FoundLook
from craft.search.wardrobe import wearable
from craft.search.ways import Owned, Way
from studio.edit.jobs import kept_sentence
from studio.outfits.kinds import KINDS, Kind
from studio.outfits.situation import Ask, Situation, situation_of
from studio.people.models import Client
from studio.plan.forms import Asks, occasions_of
from studio.plan.memory import kept_apart, liked_best
from studio.plan.models import TRIP, Plan, Worn, with_now
from studio.wall import tell_studio

KIND = "plan"
#: So many others are offered for an occasion; the looks of so many questions are kept at hand; what was worn counts so far back.
OTHERS, AT_HAND, REMEMBERS = 5, 6, 60
_pools: OrderedDict[str, dict[str, list[Option]]] = OrderedDict()
_holding = Lock()


@dataclass(frozen=True)
class PlanAsked:
    """A plan to be dressed, and all that it depends on."""

    client: Client
    asked: Mapping[str, Any]

    @cached_property
    def plan(self) -> Plan:
        """The plan as it is."""
        row: Plan = Plan.objects.filter(client=self.client, removed_at=None).get(id=self.asked["plan"])
        return row

    @cached_property
    def wardrobe(self) -> Situation:
        """What hangs there, and how looks are judged."""
        return situation_of(self.client, Ask())

    @cached_property
    def worn(self) -> tuple[Wearing, ...]:
        """What was worn of late."""
        first = min(one.on for one in self.occasions)
        rows = Worn.objects.filter(client=self.client, removed_at=None, on__lt=first).order_by("-on")[:REMEMBERS]
        return tuple(
            Wearing(row.on, frozenset(row.pieces), frozenset(one.casefold() for one in row.seen_by)) for row in rows
        )

    @cached_property
    def occasions(self) -> list[Occasion]:
        """The plan's occasions."""
        return [one.read() for one in occasions_of(self.plan.occasions)]

    @cached_property
    def memory(self) -> tuple[frozenset[str], frozenset[frozenset[str]]]:
        """What she likes best, and what she says is not her."""
        return liked_best(self.client), kept_apart(self.client)

    @cached_property
    def pool_key(self) -> str:
        """What the looks that are chosen from depend on."""
        settings = sorted({repr(rounded(one.setting)) for one in self.occasions})
        apart = sorted(sorted(one) for one in (*self.wardrobe.wish.apart, *self.memory[1]))
        told = (self.wardrobe.tables_key, settings, apart, self.plan.kind)
        return hashlib.sha256(repr(told).encode()).hexdigest()

    @cached_property
    def key(self) -> str:
        """What the plan depends on."""
        plan = self.plan
        told = [str(plan.id), plan.version, plan.occasions, plan.asks, plan.dressed, plan.kept_from]
        worn = sorted((str(one.on), sorted(one.keys)) for one in self.worn)
        rest = json.dumps([told, worn, sorted(self.memory[0])], sort_keys=True)
        return hashlib.sha256(f"{self.pool_key} {rest}".encode()).hexdigest()


def dress(wanted: PlanAsked, tell: Progress) -> dict[str, Any]:
    """Dress a plan's days and keep that, if nobody has changed the plan meanwhile."""
    with transaction.atomic():
        tell_studio(wanted.client.studio_id)
        plan, wardrobe = wanted.plan, wanted.wardrobe
        _ = wanted.worn, wanted.memory, wanted.key
    steps = Steps(tell, (0.6, 0.3, 0.1))
    asked = wardrobe.asked
    kept, _ = wearable(asked.body, wardrobe.owned, asked.schools)
    pool = _pool(wanted, kept, steps.next())
    asks = Asks.model_validate(plan.asks)
    choosing = _asking(wanted, kept, pool, asks)
    packed: Packed | None = None
    if plan.kind == TRIP:
        shoes = frozenset(one.key for one in kept if one.piece.slot == "shoes")
        packed = pack(choosing, asks.bag, {one.key: grams(one.piece) for one in kept}, shoes, steps.next())
        planned = packed.planned
    else:
        planned = plan_week(choosing, steps.next())
    dressed = _dressed(wanted, kept, planned, pool, steps.next())
    told = _told(planned, packed, choosing)
    with transaction.atomic():
        tell_studio(wanted.client.studio_id)
        rows = Plan.objects.filter(id=plan.id, version=plan.version, removed_at=None)
        # After a change by hand one step back undoes both.
        before = plan.before if plan.told.get("pending") or not plan.dressed else with_now(plan)
        changed = rows.update(dressed=dressed, told=told, version=plan.version + 1, before=before)
    return {"plan": str(plan.id), "kept": bool(changed)}


def _pool(wanted: PlanAsked, kept: Sequence[Owned], progress: Progress | None) -> dict[str, list[Option]]:
    """The looks that are chosen from, by the key of the occasion: at hand where they were found before."""
    with _holding:
        held = _pools.get(wanted.pool_key)
    if held is None:
        wish = replace(wanted.wardrobe.wish, apart=wanted.wardrobe.wish.apart | wanted.memory[1])
        find = options_of_few if wanted.plan.kind == TRIP else options_for
        found = find(wanted.wardrobe.asked, kept, wanted.occasions, wish, progress=progress)
        held = {repr(rounded(one.setting)): found[one.key] for one in wanted.occasions}
        with _holding:
            _pools[wanted.pool_key] = held
            while len(_pools) > AT_HAND:
                _pools.popitem(last=False)
    return {one.key: held[repr(rounded(one.setting))] for one in wanted.occasions}


def _asking(wanted: PlanAsked, kept: Sequence[Owned], pool: Mapping[str, list[Option]], asks: Asks) -> Asking:
    owned = {one.key: one for one in kept}
    plan = wanted.plan
    before = {
        key: option for key, one in plan.dressed.items() if key in pool and (option := _option(one, owned)) is not None
    }
    limits = Limits(
        asks.laundry,
        {one.key: most for one in kept if (most := wears_of(one.piece)) is not None},
        wanted.worn,
        {key: frozenset(ids) for key, ids in plan.kept_from.items()},
    )
    pinned = {key: option for key, option in before.items() if plan.dressed[key].get("kept")}
    return Asking(wanted.occasions, pool, limits, wanted.memory[0], pinned, before)


def _option(one: Mapping[str, Any], owned: Mapping[str, Owned]) -> Option | None:
    """A look as it was kept; None where a piece of it is not at hand."""
    if any(key not in owned for key in one["pieces"]):
        return None
    ways = tuple(
        Way(key, owned[key].piece.with_(**(worn := one["worn"].get(key, {}))), tuple(sorted(worn.items())))
        for key in one["pieces"]
    )
    return Option(ways, one["score"], one["verdict"])


def _dressed(
    wanted: PlanAsked,
    kept: Sequence[Owned],
    planned: Planned,
    pool: Mapping[str, list[Option]],
    progress: Progress | None,
) -> dict[str, Any]:
    asked, plan = wanted.wardrobe.asked, wanted.plan
    found: dict[str, Any] = {}
    outside = {one.key: one.outside for one in occasions_of(plan.occasions)}
    # On a trip there is only what is packed.
    packed = {way.key for one in planned.chosen if one.option for way in one.option.ways}
    at_hand = [one for one in kept if plan.kind != TRIP or one.key in packed]
    for number, chosen in enumerate(planned.chosen):
        occasion, option = chosen.occasion, chosen.option
        if option is not None:
            was = plan.dressed.get(occasion.key)
            as_it_was = was is not None and set(was["pieces"]) == option.keys
            # In a bag there is no room for a belt more.
            plain = as_it_was or plan.kind == TRIP
            look = option if plain else finished(asked, option, kept, occasion)
            kept_from = set(plan.kept_from.get(occasion.key, ()))
            look = option if look.keys & kept_from else look
            others = [one for one in pool[occasion.key] if one.base != option.base and not one.keys & kept_from][
                :OTHERS
            ]
            found[occasion.key] = {
                **_kept(look, asked, occasion),
                "way": _way(asked, look, at_hand, outside.get(occasion.key)),
                "kept": bool(was and was.get("kept")),
                "others": [_kept(one, asked, occasion) for one in others],
            }
        if progress is not None:
            progress((number + 1) / len(planned.chosen))
    return found


def _way(asked: Asked, look: Option, at_hand: Sequence[Owned], outside: float | None) -> str:
    """The key of what is put on for the way there; empty where nothing is."""
    found = for_the_way(asked, look, at_hand, outside) if outside is not None else None
    return found.key if found else ""


def _kept(option: Option, asked: Asked, occasion: Occasion) -> dict[str, Any]:
    """A look as it is kept, with why it is right there."""
    on = replace(asked, aims=replace(asked.aims, setting=occasion.setting))
    judged = FoundLook(option.ways, option.score, option.verdict).judged(on)
    return {
        "pieces": [way.key for way in option.ways],
        "worn": {way.key: dict(way.worn) for way in option.ways if way.worn},
        "score": round(judged.score, 4),
        "verdict": judged.verdict,
        "reasons": [[one.title, one.stance, *kept_sentence(one.text)] for one in judged.leading[:2]],
    }


def _told(planned: Planned, packed: Packed | None, asking: Asking) -> dict[str, Any]:
    told: dict[str, Any] = {
        "short_by": planned.short_by,
        "weighed": planned.weighed,
        "broken": [list(one) for one in broken(planned.chosen, asking.limits)],
    }
    if packed is not None:
        told |= {
            "taken": list(packed.taken), "on_the_way": list(packed.on_the_way), "grams": packed.grams, "fewest": packed.fewest,
        }  # fmt: skip
    return told


KINDS[KIND] = Kind(PlanAsked, dress)
