"""Judged wardrobes: small racks, with what a practised eye says of their looks and of what fits."""

from __future__ import annotations

from collections.abc import Callable, Mapping
from dataclasses import dataclass
from functools import cached_property
from typing import Any

from craft.body import Body
from craft.cases.people import aims_of, body_of
from craft.cases.read import Case
from craft.cloth import Piece
from craft.edit.candidates import Candidate, candidates
from craft.edit.colours import colours
from craft.edit.gaps import gaps
from craft.edit.orphans import adoptions
from craft.judge.aims import Setting
from craft.search.alter import for_the_tailor
from craft.search.crew import Asked
from craft.search.wardrobe import owned_of, wardrobe_of, wearable
from craft.search.ways import Owned
from craft.search.week import Day, Week
from craft.wear import BAREFOOT, WornShoes, wear_shoes


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


@dataclass(frozen=True)
class _Told:
    """A judged wardrobe and what the search found of it."""

    body: Body
    asked: Asked
    rack: Mapping[str, Piece]
    days: tuple[Day, ...]
    week: Week

    @classmethod
    def of(cls, case: Case) -> _Told:
        body, rack = body_of(case.client), rack_of(case.body["rack"])
        asked, days = Asked(body, case.school, aims_of(case.client)), days_of(case.body.get("week", []))
        wardrobe = wardrobe_of(body, owned_of(rack.items()), case.school)
        return cls(body, asked, rack, days, Week(asked, wardrobe, days))

    @cached_property
    def works(self) -> Mapping[str, int]:
        return self.week.works_of()

    @cached_property
    def kept(self) -> list[Owned]:
        """The pieces that fit."""
        return wearable(self.body, owned_of(self.rack.items()), self.asked.schools)[0]

    @cached_property
    def candidates(self) -> tuple[Candidate, ...]:
        return candidates(self.colouring, self.rack.values())

    @property
    def colouring(self) -> dict[Any, str]:
        return dict(self.asked.aims.colouring)

    @cached_property
    def gap(self) -> Piece | None:
        """The first-ranked addition."""
        found = gaps(self.asked, self.kept, self.candidates, self.days).gains
        return found[0].candidate.piece if found and any(found[0].looks) else None


Answer = tuple[Any, bool]


def _orphans(told: _Told, wanted: list[str]) -> Answer:
    got = [key for key in told.rack if not told.works[key]]
    return got, set(wanted) <= set(got)


def _joined(told: _Told, wanted: list[str]) -> Answer:
    got = [key for key in told.rack if told.works[key]]
    return got, set(wanted) <= set(got)


def _best(told: _Told) -> set[str]:
    best = told.week.best()
    return set(best.keys) if best else set()


def _best_has(told: _Told, wanted: list[list[str]]) -> Answer:
    on = _best(told)
    return sorted(on), any(set(keys) <= on for keys in wanted)


def _best_lacks(told: _Told, wanted: list[str]) -> Answer:
    on = _best(told)
    return sorted(on), bool(on) and on.isdisjoint(wanted)


def _does_not_fit(told: _Told, wanted: list[str]) -> Answer:
    out = told.week.wardrobe.out
    return list(out), set(wanted) <= out.keys()


def _twins(told: _Told, wanted: list[list[str]]) -> Answer:
    pairs = told.week.twins()
    holds = all(tuple(pair) in pairs or tuple(reversed(pair)) in pairs for pair in wanted)
    return [list(pair) for pair in pairs], holds


def _gap_slot(told: _Told, wanted: list[str]) -> Answer:
    return told.gap and told.gap.slot, told.gap is not None and told.gap.slot in wanted


def _gap_any(told: _Told, wanted: list[Mapping[str, Any]]) -> Answer:
    got = told.gap.described() if told.gap else {}
    return got, any(all(_says(got.get(key), value) for key, value in words.items()) for words in wanted)


def _says(got: Any, wanted: Any) -> bool:
    """Whether a word is said; of a list each of its words."""
    if isinstance(wanted, list):
        return isinstance(got, list) and set(wanted) <= set(got)
    return bool(got == wanted) or (isinstance(got, list) and wanted in got)


def _adopts(told: _Told, wanted: Mapping[str, list[str]]) -> Answer:
    got = {}
    for key in wanted:
        orphan = Owned(key, told.rack[key])
        found = adoptions(told.asked, orphan, told.kept, told.days, told.candidates)
        got[key] = found[0].kind if found else None
    return got, all(got[key] in kinds for key, kinds in wanted.items())


def _joins(told: _Told, wanted: list[str]) -> Answer:
    read = colours({one.key: one.piece for one in told.kept}, told.works, told.colouring)
    leading = [cluster for cluster in read.clusters if cluster.name in read.joins]
    return list(read.joins), all(any(colour in cluster.holds for cluster in leading) for colour in wanted)


LINES: dict[str, Callable[[_Told, Any], Answer]] = {
    "orphans": _orphans,
    "joined": _joined,
    "best_has": _best_has,
    "best_lacks": _best_lacks,
    "does_not_fit": _does_not_fit,
    "twins": _twins,
    "alter": lambda told, wanted: _altered(told.body, told.rack, lowest_shoes(told.body, told.rack), wanted),
    "gap_slot": _gap_slot,
    "gap_any": _gap_any,
    "adopts": _adopts,
    "joins": _joins,
}


def run_wardrobe(case: Case) -> dict[str, Any]:
    """Hold the search and the edit against a judged wardrobe."""
    told = _Told.of(case)
    answers = {line: LINES[line](told, wanted) for line, wanted in case.body["expects"].items()}
    failed = [line for line, (_, holds) in answers.items() if not holds]
    return {"agrees": not failed, "failed": failed, "got": {line: got for line, (got, _) in answers.items()}}


def _altered(
    body: Body, rack: Mapping[str, Piece], shoes: WornShoes, wanted: Mapping[str, list[Any]]
) -> tuple[dict[str, Any], bool]:
    got, holds = {}, True
    for key, (figure, low, high) in wanted.items():
        change = for_the_tailor(body, rack[key], shoes).get(figure)
        got[key] = [figure, None if change is None else round(change, 1)]
        holds = holds and change is not None and low <= change <= high
    return got, holds
