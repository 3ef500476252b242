"""Judged wardrobes: small racks, with what a practised eye says of their looks and of what fits."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Any

from craft.body import Body
from craft.cases.people import aims_of, body_of
from craft.cases.read import Case
from craft.cloth import Piece
from craft.judge.aims import Setting
from craft.search.alter import for_the_tailor
from craft.search.crew import Asked
from craft.search.wardrobe import owned_of, wardrobe_of
from craft.search.week import Day, Week
from craft.wear import BAREFOOT, WornShoes, wear_shoes

#: Lines that gaps and the reading of a wardrobe answer, which follow.
NOT_YET = ("gap_slot", "gap_any", "adopts", "joins")


def days_of(week: list[Mapping[str, Any]]) -> tuple[Day, ...]:
    """The days of a case's week; any day where it says none."""
    days = [
        Day(Setting.of(day.get("occasion"), day.get("dress_code"), day.get("air_c"), day.get("rain", False)),
            float(day.get("share", 100)))
        for day in week
    ]  # fmt: skip
    return tuple(days) or (Day(Setting()),)


def rack_of(listed: list[Mapping[str, Any]]) -> dict[str, Piece]:
    """The pieces of a case's rack by their keys. Raises UnknownWord."""
    return {str(one["key"]): Piece.of({word: said for word, said in one.items() if word != "key"}) for one in listed}


def lowest_shoes(body: Body, rack: Mapping[str, Piece]) -> WornShoes:
    """The lowest shoes of a rack: what a hem must clear the ground in."""
    worn = [wear_shoes(body, piece) for piece in rack.values() if piece.slot == "shoes"]
    return min(worn, key=lambda shoes: shoes.lift, default=BAREFOOT)


def run_wardrobe(case: Case) -> dict[str, Any]:
    """Hold the search against a judged wardrobe. Lines that nothing answers yet are said and not held."""
    body, expects = body_of(case.client), case.body["expects"]
    rack = rack_of(case.body["rack"])
    wardrobe = wardrobe_of(body, owned_of(rack.items()), case.school)
    week = Week(Asked(body, case.school, aims_of(case.client)), wardrobe, days_of(case.body.get("week", [])))
    works, best, shoes = week.works_of(), week.best(), lowest_shoes(body, rack)
    on = set(best.keys) if best else set()
    got: dict[str, Any] = {}
    failed: list[str] = []
    for line, wanted in expects.items():
        if line in NOT_YET:
            continue
        if line == "orphans":
            got[line] = [key for key in rack if not works[key]]
            holds = set(wanted) <= set(got[line])
        elif line == "joined":
            got[line] = [key for key in rack if works[key]]
            holds = set(wanted) <= set(got[line])
        elif line == "best_has":
            got[line] = sorted(on)
            holds = any(set(keys) <= on for keys in wanted)
        elif line == "best_lacks":
            got[line] = sorted(on)
            holds = bool(on) and on.isdisjoint(wanted)
        elif line == "does_not_fit":
            got[line] = list(wardrobe.out)
            holds = set(wanted) <= wardrobe.out.keys()
        elif line == "twins":
            pairs = week.twins()
            got[line] = [list(pair) for pair in pairs]
            holds = all(tuple(pair) in pairs or tuple(reversed(pair)) in pairs for pair in wanted)
        else:
            got[line], holds = _altered(body, rack, shoes, wanted)
        if not holds:
            failed.append(line)
    unanswered = [line for line in expects if line in NOT_YET]
    return {"agrees": not failed, "failed": failed, "got": got, **({"unanswered": unanswered} if unanswered else {})}


def _altered(
    body: Body, rack: Mapping[str, Piece], shoes: WornShoes, wanted: Mapping[str, list[Any]]
) -> tuple[dict[str, Any], bool]:
    got, holds = {}, True
    for key, (figure, low, high) in wanted.items():
        change = for_the_tailor(body, rack[key], shoes).get(figure)
        got[key] = [figure, None if change is None else round(change, 1)]
        holds = holds and change is not None and low <= change <= high
    return got, holds
