"""The long work of an edit, as a worker does it: the sorting, what is missing, a capsule, what a change of body did."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import replace
from typing import Any

from django.db import transaction

from craft.advise.shopping import shopping_numbers
from craft.body import Body
from craft.edit.buying import price_of, wears_a_year
from craft.edit.capsule import CapsuleWish, capsule
from craft.edit.changed import changed
from craft.edit.deciding import what_decides
from craft.edit.gaps import Gain, Gaps, gaps
from craft.edit.numbers import numbers_for
from craft.edit.orphans import Adoption
from craft.edit.reading import read_wardrobe
from craft.edit.steps import Steps
from craft.edit.together import Several, short_list, together
from craft.errors import InvalidInput
from craft.search.crew import Progress
from craft.search.wardrobe import wearable
from craft.search.week import on_a
from craft.units import Sentence
from studio.bodies.known import measures_before
from studio.edit.hanging import EditAsk, EditSituation, edit_situation
from studio.outfits.finding import looks_of
from studio.outfits.kinds import KINDS, Kind
from studio.outfits.queue import sums_of
from studio.people.models import Client
from studio.wall import tell_studio

#: So many looks are shown of a piece, so many of each thing to buy; so many things to buy are told, and adoptions of an orphan.
OF_A_PIECE, LED, SMALL, ADOPTED, INSTEAD = 3, 8, 3, 4, 6
SIZES = (2, 3, 5)


def kept_sentence(sentence: Sentence) -> list[Any]:
    """A sentence as it is kept: lengths stay lengths, so that it is told in the studio's unit."""
    return [sentence.template, [list(length) for length in sentence.lengths]]


def sorting(situation: EditSituation, tell: Progress) -> dict[str, Any]:
    """What is proposed for each piece, and the wardrobe as a whole."""
    hanging = situation.hanging
    steps = Steps(tell, (0.5, 0.35, 0.05, 0.1))
    whole = sums_of(situation.wardrobe, steps.next() or tell)
    read = read_wardrobe(hanging, whole, situation.candidates, steps.next())
    asked = hanging.asked
    kept, _ = wearable(asked.body, hanging.owned, asked.schools)
    deciding = what_decides(asked, kept, hanging.days, hanging.wish, progress=steps.next())
    pieces: dict[str, Any] = {}
    for number, key in enumerate(read.order):
        proposal = read.proposals[key]
        looks = whole.with_all([key]).few(OF_A_PIECE, hanging.wish, frozenset({key})) if proposal.works else []
        pieces[key] = {
            "decision": proposal.decision,
            "reason": kept_sentence(proposal.reason),
            "works": proposal.works,
            "share": round(proposal.share, 3),
            "adoption": _adoption(proposal.adoption),
            "twin": proposal.twin,
            "looks": looks_of(looks, situation.wardrobe),
        }
        tell(0.9 + 0.1 * number / len(read.order))
    return {
        "pieces": pieces,
        "order": list(read.order),
        "orphans": [
            {"key": one.key, "why": one.why, "adoptions": [_adoption(two) for two in one.adoptions[:ADOPTED]]}
            for one in read.orphans
        ],
        "twins": [list(pair) for pair in read.twins],
        "deciding": [
            {"key": one.key, "figure": one.figure, "taken_for": round(one.taken_for, 1), "outfits": list(one.outfits)}
            for one in deciding
        ],
        "colours": {
            "clusters": [
                {
                    "name": one.name,
                    "hex": one.hex,
                    "share": round(one.share, 4),
                    "pieces": list(one.pieces),
                    "neutral": one.neutral,
                    "joins": one.joins,
                    "by_face": one.by_face,
                }
                for one in read.colours.clusters
            ],
            "joins": list(read.colours.joins),
            "build_on": list(read.colours.build_on),
            "enough": list(read.colours.enough),
            "missing": list(read.colours.missing),
            "neutral_share": round(read.colours.neutral_share, 4),
        },
        "shape": {
            "places": [
                {"slot": one.slot, "pieces": one.pieces, "fits": one.fits, "works": one.works, "works_on": list(one.works_on),
                 "seasons": dict(one.seasons)}
                for one in read.shape.places
            ],
            "says": list(read.shape.says),
        },
        "days": [[name, day.share] for name, day in zip(hanging.day_names, hanging.days, strict=True)],
    }  # fmt: skip


def _adoption(one: Adoption | None) -> dict[str, Any] | None:
    if one is None:
        return None
    return {
        "means": one.means,
        "looks": one.looks,
        "worn": dict(one.worn),
        "change": list(one.change) if one.change else None,
        "key": one.key if one.means == "kit" else "",
        "piece": one.piece.described() if one.piece is not None else None,
    }


def missing(situation: EditSituation, tell: Progress) -> dict[str, Any]:
    """What to buy: the one piece that unlocks most, the best few together, and small things first."""
    hanging, asked = situation.hanging, situation.hanging.asked
    kept, _ = wearable(asked.body, hanging.owned, asked.schools)
    steps = Steps(tell, (0.65, 0.2, 0.15))
    found = gaps(asked, kept, situation.candidates, hanging.days, hanging.wish, steps.next())
    prices = _prices(situation, found)
    sets = together(
        asked, kept, found, SIZES, prices=prices, budget=situation.budget if prices else None, wish=hanging.wish,
        progress=steps.next(),
    )  # fmt: skip
    every = found.leading(len(found.gains))
    small = [gain for gain in every if gain.candidate.is_small][:SMALL]
    led = [gain for gain in every if gain not in small][:LED]
    in_sets = {key for one in sets.best.values() for key in one.keys}
    told = [*led, *small, *(gain for gain in found.gains if gain.candidate.key in in_sets and gain not in led)]
    gains, last = [], steps.next()
    for number, gain in enumerate(told):
        gains.append(_gain(situation, found, gain, prices))
        if last is not None:
            last((number + 1) / len(told))
    return {
        "gains": gains,
        "lead": [gain.candidate.key for gain in led],
        "small": [gain.candidate.key for gain in small],
        "together": [_several(one, prices) for _, one in sorted(sets.best.items())],
        "weighed": sets.weighed,
        "listed": len(sets.listed),
        "left_off": _share(sets.left_off, max((gain.value for gain in found.gains), default=0.0)),
        "there": list(found.looks),
        "tried": found.tried,
        "candidates": len(found.gains),
        "left_out": list(found.left_out),
        "days": [[name, day.share] for name, day in zip(hanging.day_names, hanging.days, strict=True)],
        "currency": situation.currency,
        "budget": situation.budget,
    }


def _share(part: float, whole: float) -> int:
    """A part of what the best thing is worth, in per cent."""
    return round(100 * part / whole) if whole > 0 else 0


def _prices(situation: EditSituation, found: Gaps) -> dict[str, int]:
    """What to reckon with for each candidate; empty where neither prices nor a budget are known."""
    many = SIZES[1]
    priced = {
        gain.candidate.key: price_of(gain.candidate.place, situation.paid, situation.budget, many)
        for gain in found.gains
    }
    return {key: price for key, price in priced.items() if price is not None} if None not in priced.values() else {}


def _gain(situation: EditSituation, found: Gaps, gain: Gain, prices: Mapping[str, int]) -> dict[str, Any]:
    one, body = gain.candidate, situation.hanging.asked.body
    shares = sum(day.share for day in found.days) or 1.0
    share = sum(day.share for day, looks in zip(found.days, gain.looks, strict=True) if looks) / shares
    others = sum(owned.piece.slot == one.place for owned in situation.hanging.owned)
    price, wears = prices.get(one.key), wears_a_year(one, share, others)
    numbers = numbers_for(one.piece, shopping_numbers(body, situation.hanging.asked.schools))
    shown = found.shown(gain, situation.hanging.wish)
    best = max(range(len(found.days)), key=lambda day: (gain.worth[day], -day))
    judged_on = replace(situation.wardrobe, asked=on_a(found.days[best], situation.hanging.asked))
    return {
        "key": one.key,
        "piece": one.piece.described(),
        "looks": list(gain.looks),
        "value": round(gain.value, 5),
        "newness": round(gain.newness, 3),
        "small": one.is_small,
        "lasts": one.lasts,
        "instead": [other.candidate.piece.described() for other in found.instead(gain)[:INSTEAD]],
        "numbers": [{"name": number.name, "low": number.good[0], "high": number.good[1], "settled": number.settled} for number in numbers],
        "price": price,
        "wears": round(wears, 1),
        "shown": looks_of(shown, judged_on),
    }  # fmt: skip


def _several(one: Several, prices: Mapping[str, int]) -> dict[str, Any]:
    return {
        "keys": list(one.keys),
        "looks": list(one.looks),
        "price": sum(prices[key] for key in one.keys) if prices else None,
    }


def a_capsule(situation: EditSituation, tell: Progress) -> dict[str, Any]:
    """A few pieces that make most of the week, and what each is for."""
    hanging, asked, ask = situation.hanging, situation.hanging.asked, situation.ask
    kept, _ = wearable(asked.body, hanging.owned, asked.schools)
    plain = [one for one in kept if one.piece.slot != "extra"]
    bought, prices = [], dict[str, int]()
    steps = Steps(tell, (0.6, 0.4) if ask.bought else (0.0, 1.0))
    first = steps.next()
    if ask.bought:
        found = gaps(asked, kept, situation.candidates, hanging.days, hanging.wish, first)
        listed = short_list(found)
        bought, prices = [one.owned for one in listed], _prices(situation, found)
    wanted = CapsuleWish(
        ask.pieces, ask.bought, frozenset(ask.must), frozenset(ask.never), situation.budget if prices else None
    )
    made = capsule(
        asked, plain, hanging.days, wanted, bought, prices=prices, wish=hanging.wish,
        progress=steps.next(),
    )  # fmt: skip
    new = {one.key: one.piece.described() for one in bought if one.key in made.keys}
    return {
        "parts": [{"key": part.key, "outfits": part.outfits, "days": list(part.days)} for part in made.parts],
        "new": new,
        "prices": {key: prices[key] for key in new if key in prices},
        "outfits": made.outfits,
        "bases": made.bases,
        "by_day": list(made.by_day),
        "proven": made.short_by == 0.0,
        "chosen_from": made.chosen_from,
        "looks": [list(keys) for keys in _apart(made.looks, SHOWN_OF_A_CAPSULE)],
        "days": [[name, day.share] for name, day in zip(hanging.day_names, hanging.days, strict=True)],
        "currency": situation.currency,
    }


SHOWN_OF_A_CAPSULE = 12


def _apart(looks: tuple[tuple[str, ...], ...], many: int) -> list[tuple[str, ...]]:
    """Looks that share as few pieces as can be with those before them."""
    left, chosen, used = list(looks), list[tuple[str, ...]](), dict[str, int]()
    while left and len(chosen) < many:
        look = min(left, key=lambda keys: sum(used.get(key, 0) for key in keys))
        left.remove(look)
        chosen.append(look)
        for key in look:
            used[key] = used.get(key, 0) + 1
    return chosen


def since(situation: EditSituation, tell: Progress) -> dict[str, Any]:
    """What the last measuring changed for the wardrobe. Raises InvalidInput where there was only one."""
    client = situation.client
    with transaction.atomic():
        tell_studio(client.studio_id)
        before = measures_before(client)
    if before is None:
        raise InvalidInput("There is only one measuring yet: after the next the two are held against each other.")
    found = changed(situation.hanging.asked, Body.of(before), situation.hanging.owned, situation.hanging.wish, tell)
    return {
        "pieces": [
            {"key": one.key, "then": one.then, "now": one.now, "saved_by": list(one.saved_by) if one.saved_by else None}
            for one in found.pieces
        ],
        "then": found.then,
        "now": found.now,
        "saved": found.saved,
    }


def _read(client: Client, asked: Mapping[str, Any]) -> EditSituation:
    return edit_situation(client, EditAsk.read(asked))


KINDS["sorting"] = Kind(_read, sorting)
KINDS["gaps"] = Kind(_read, missing)
KINDS["capsule"] = Kind(_read, a_capsule)
KINDS["changed"] = Kind(_read, since)
