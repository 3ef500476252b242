"""Holding the engine against judged cases."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Any

from craft.advise.targets import target
from craft.body import read_shape
from craft.cases.people import aims_of, body_of
from craft.cases.read import Case
from craft.cases.wardrobes import run_wardrobe
from craft.cloth import Piece
from craft.errors import NoTarget
from craft.fit import land
from craft.judge import Judgement, judge
from craft.look import Look, compose
from craft.schools import POSITIONS, Schools
from craft.wear import wear_bottom
from craft.wear.bottom import rise_word
from craft.wear.landing import name_height
from craft.wear.shoes import barefoot_on

Result = dict[str, Any]


class CannotJudge(Exception):
    """The engine does not know enough for this case yet, and says so."""


def run_case(case: Case) -> Result:
    """Judge one case: a result as `judge --json` prints it. Raises CannotJudge."""
    try:
        return {"id": case.id, "form": case.form} | _FORMS[case.form](case)
    except NoTarget as why:
        raise CannotJudge(str(why)) from why


def _judged(case: Case, pieces: list[Mapping[str, Any]]) -> Judgement:
    return judge(compose(body_of(case.client), Look.of(pieces), case.school), aims_of(case.client))


def _preference(case: Case) -> Result:
    same = case.body.get("same", [])
    better, worse = (_judged(case, [*same, *case.body[part]]) for part in ("better", "worse"))
    # What differs: a reason only one of the looks has, or has with another weight.
    one, two = (_weights(judged) for judged in (better, worse))
    reasons = sorted(code for code in one.keys() | two.keys() if one.get(code) != two.get(code))
    return {
        "better": round(better.score, 3),
        "worse": round(worse.score, 3),
        "agrees": better.score > worse.score,
        "reasons": reasons,
        "reason_agrees": bool(set(reasons) & set(case.body.get("why", []))),
    }


def _weights(judged: Judgement) -> dict[str, tuple[tuple[str, float], ...]]:
    found: dict[str, list[tuple[str, float]]] = {}
    for finding in judged.findings:
        for code in finding.codes:
            found.setdefault(code, []).append((finding.stance, finding.weight))
    return {code: tuple(sorted(held)) for code, held in found.items()}


def _verdict(case: Case) -> Result:
    judged = _judged(case, case.body["look"])
    reasons = sorted(_weights(judged))
    return {
        "verdict": judged.verdict,
        "score": round(judged.score, 3),
        "agrees": judged.verdict == case.body["says"],
        "reasons": reasons,
        "reason_agrees": bool(set(reasons) & set(case.body.get("why", []))),
    }


def _shape(case: Case) -> Result:
    reading = read_shape(body_of(case.client))
    return {"got": {"shape": reading.shape}, "agrees": reading.shape in case.body["says_any"]}


def _landing(case: Case) -> Result:
    garment = case.body["garment"]
    piece, body = Piece.of(garment), body_of(case.client)
    shoes = barefoot_on(case.body.get("heel_cm", 0))
    landed = land(body, piece, shoes)
    edges = {edge.key: edge for edge in landed.edges}
    got: dict[str, Any] = {}
    if "hem" in edges:
        # A case states where the length takes the hem, whatever holds it up before.
        falls = edges["hem"].falls_to
        got |= {"hem_cm": round(falls, 2), "hem_at": name_height(body, falls, shoes.lift)}
    if "waistband" in edges:
        from_navel = edges["waistband"].height - shoes.lift - body.height("navel")
        got["waistband_from_navel_cm"] = round(from_navel, 2)
        got["rise"] = {naming: rise_word(from_navel, naming) for naming in POSITIONS["rise_naming"]}
    for ease in landed.eases:
        # What a girth of the piece leaves over the body's: a torso loop that is shorter than the torso is less than nought.
        got[f"{ease.zone.replace(' ', '_')}_ease_cm"] = round(ease.cm, 2)
        got[f"{ease.zone.replace(' ', '_')}_fit"] = ease.word
    if piece.kind in ("jeans", "trousers", "leggings"):
        got["reads_as"] = wear_bottom(body, piece, shoes, Schools()).reads_as
    return _held(got, case.body["expects"])


def _target(case: Case) -> Result:
    found = target(body_of(case.client), case.body["ask"])
    failed = []
    for key, (low, high) in case.body["expects"].items():
        if key not in found:
            raise CannotJudge(f"{key} cannot be solved yet.")
        below, above = found[key]
        if not low <= (below + above) / 2 <= high:
            failed.append(key)
    return {
        "got": {key: [round(end, 1) for end in ends] for key, ends in found.items()},
        "agrees": not failed,
        "failed": failed,
    }


def _held(got: Mapping[str, Any], expects: Mapping[str, Any]) -> Result:
    failed = []
    for key, wanted in expects.items():
        if key not in got:
            raise CannotJudge(f"{key} cannot be computed yet.")
        value = got[key]
        if isinstance(wanted, dict):
            holds = all(value[position] == word for position, word in wanted.items())
        elif isinstance(value, str):
            holds = value in wanted
        else:
            holds = wanted[0] <= value <= wanted[1]
        if not holds:
            failed.append(key)
    return {"agrees": not failed, "got": {key: got[key] for key in expects}, "failed": failed}


_FORMS = {
    "preference": _preference,
    "verdict": _verdict,
    "shape": _shape,
    "landing": _landing,
    "target": _target,
    "wardrobe": run_wardrobe,
}
