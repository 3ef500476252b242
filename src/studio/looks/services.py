"""The verbs of looks: keep, change, remove, bring back, assess."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass
from typing import Any

from craft.advise.doubt import Doubt, doubts
from craft.advise.explain import why_better
from craft.advise.rail import Goes, place_of, rank
from craft.assessment import Assessment, assess
from craft.body import Body
from craft.cloth import Piece
from craft.judge import Judgement, Sentence, judge
from craft.look import Look as CraftLook
from craft.look import Outfit, compose
from craft.units import Unit
from studio.bodies.known import measures_of
from studio.concurrency import write
from studio.looks.models import Look
from studio.people.models import Client, Member
from studio.rack.models import RackPiece

Pieces = list[Mapping[str, Any]]


def assess_for(member: Member, client_id: Any, pieces: Pieces) -> tuple[Assessment, Unit]:
    """Assess pieces on a client's body by the studio's schools, and the unit to say it in.

    Raises UnknownWord.
    """
    client: Client = Client.objects.of(member).kept().select_related("studio").found(id=client_id)
    look = CraftLook.of(pieces)
    body = Body.of(measures_of(client))
    assessment = assess(body, look, client.studio.ways, client.wishes)
    return assessment, client.studio.unit


def doubts_for(member: Member, client_id: Any, pieces: Pieces) -> tuple[tuple[Doubt, ...], Unit]:
    """What could still turn the verdict of pieces on a client's body. Raises UnknownWord."""
    client: Client = Client.objects.of(member).kept().select_related("studio").found(id=client_id)
    body, look = Body.of(measures_of(client)), CraftLook.of(pieces)
    found = doubts(body, look, client.studio.ways, client.wishes) if look.pieces else ()
    return found, client.studio.unit


def rail_for(member: Member, client_id: Any, pieces: Pieces) -> tuple[Goes, ...]:
    """The pieces of a client's rack, ranked by how they go with these. Raises UnknownWord."""
    client: Client = Client.objects.of(member).kept().select_related("studio").found(id=client_id)
    rows = RackPiece.objects.of(member).kept().filter(client=client)
    rack = [(str(row.id), Piece.of(row.piece)) for row in rows if row.facts.get("state", "in_use") != "to_let_go"]
    body, schools = Body.of(measures_of(client)), client.studio.ways
    return rank(body, CraftLook.of(pieces), rack, schools, client.wishes)


@dataclass(frozen=True)
class Compared:
    """Looks side by side: each with its judgement and the places where it differs from the first."""

    looks: tuple[tuple[Outfit, Judgement, tuple[str, ...]], ...]
    best: int
    because: tuple[Sentence, ...]
    unit: Unit


def compared(member: Member, client_id: Any, looks: list[Pieces]) -> Compared:
    """Judge several looks of a client; which is best, and why it is better than the next. Raises UnknownWord."""
    client: Client = Client.objects.of(member).kept().select_related("studio").found(id=client_id)
    body, schools, aims = Body.of(measures_of(client)), client.studio.ways, client.wishes
    outfits = [compose(body, CraftLook.of(pieces), schools) for pieces in looks]
    judged = [judge(outfit, aims) for outfit in outfits]
    ranked = sorted(range(len(judged)), key=lambda at: -judged[at].score)
    because = tuple(
        finding.text if own else Sentence(f"The other: {finding.text.template}", finding.text.lengths)
        for finding, own in why_better(judged[ranked[0]], judged[ranked[1]])
    )
    places = [{place_of(piece): piece for piece in outfit.look.pieces} for outfit in outfits]
    differs = [
        tuple(place for place in sorted(own.keys() | places[0].keys()) if own.get(place) != places[0].get(place))
        for own in places
    ]
    return Compared(tuple(zip(outfits, judged, differs, strict=True)), ranked[0], because, client.studio.unit)


def keep_look(member: Member, client_id: Any, name: str, pieces: Pieces) -> Look:
    """Keep a new look."""
    CraftLook.of(pieces)
    client = Client.objects.of(member).kept().found(id=client_id)
    return Look.objects.create(studio_id=member.studio_id, client=client, name=name, pieces=pieces, changed_by=member)


def change_look(member: Member, look_id: Any, version: int, name: str, pieces: Pieces) -> Look:
    """Change a look that is still at `version`; raises Stale."""
    CraftLook.of(pieces)
    return write(Look, member, look_id, version, name=name, pieces=pieces)


def remove_look(member: Member, look_id: Any) -> None:
    """Take a look away; it can be brought back."""
    Look.objects.take_away(member, id=look_id)


def restore_look(member: Member, look_id: Any) -> Look:
    """Undo a removal."""
    look: Look = Look.objects.bring_back(member, id=look_id)
    return look
