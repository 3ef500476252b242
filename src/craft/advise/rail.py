"""The rail: what goes with what is already on. Every piece of a rack put on in its place, judged, ranked."""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import dataclass

from craft.body import Body
from craft.cloth import Piece
from craft.cloth.kinds import PLACES, UNDER_LAYER, gives_way
from craft.judge import Aims, Judged, Judgement
from craft.judge.finding import Finding, Stance
from craft.look import Look, compose
from craft.schools import Schools


@dataclass(frozen=True, slots=True)
class Goes:
    """A piece put on: how the look is judged with it, and the finding that most decides that."""

    key: str
    judgement: Judgement
    by: float
    why: Finding | None


def place_of(piece: Piece) -> str:
    """Where a piece goes: its slot, or of things worn besides, its kind. One piece at a place.

    >>> place_of(Piece.of({"is": "jeans"})), place_of(Piece.of({"is": "belt"}))
    ('bottom', 'belt')
    """
    return piece.place


def with_piece(look: Look, piece: Piece) -> Look:
    """The look with a piece in its place; a dress takes the place of top and bottom, and they of a dress. Of two layers the outer
    one gives way.

    >>> [p.kind for p in with_piece(Look.of([{"is": "jeans"}, {"is": "tee"}]), Piece.of({"is": "dress"})).pieces]
    ['dress']
    """
    stays = look.piece(UNDER_LAYER) if piece.slot == "layer" else None
    kept = [one for one in look.pieces if one is stays or not gives_way(one.kind, to=piece.kind)]
    return Look(tuple(sorted([*kept, piece], key=lambda one: PLACES.index(place_of(one)))))


def rank(
    body: Body,
    look: Look,
    rack: Iterable[tuple[str, Piece]],
    schools: Schools | None = None,
    aims: Aims | None = None,
) -> tuple[Goes, ...]:
    """Every piece of a rack with what is on, the best first; those that are on already are left out,
    and swim beside clothes.

    >>> from craft.body import Measures
    >>> body = Body.of(Measures.of({"stature": 165}))
    >>> on = Look.of([{"is": "trousers", "cut": "wide"}])
    >>> rack = [("big", Piece.of({"is": "knit", "fit": "oversized", "hem": "seat"})), ("tank", Piece.of({"is": "tank", "tuck": "full"}))]
    >>> [goes.key for goes in rank(body, on, rack)]
    ['tank', 'big']
    """
    aims = aims or Aims()
    now = compose(body, look, schools)
    judged = Judged.of(now, aims)
    before = judged.judgement
    had: dict[tuple[str, str, Stance], float] = {
        (finding.rule, finding.code, finding.stance): finding.weight for finding in before.findings
    }
    swims = any(piece.slot == "swim" for piece in look.pieces)
    found = []
    for key, piece in rack:
        if piece in look.pieces or (look.pieces and (piece.slot == "swim") != swims):
            continue
        after = judged.again(compose(body, with_piece(look, piece), schools, like=now))
        found.append(Goes(key, after, after.score - before.score, _why(after, had)))
    return tuple(sorted(found, key=lambda goes: -goes.judgement.score))


def _why(after: Judgement, had: dict[tuple[str, str, Stance], float]) -> Finding | None:
    """The finding that is new with a piece and weighs most."""
    fresh = [
        finding
        for finding in after.findings
        if finding.stance != "caution"
        and finding.weight > had.get((finding.rule, finding.code, finding.stance), 0.0) + 0.01
    ]
    return max(fresh, key=lambda finding: finding.weight, default=None)
