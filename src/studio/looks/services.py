"""The verbs of looks: keep, change, remove, bring back, assess."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace
from time import monotonic
from typing import Any
from uuid import UUID

from django.db import transaction

from craft.advise.explain import why_better
from craft.advise.rail import Goes, rank
from craft.advise.remedies import Remedy, remedies
from craft.advise.switch import Switched, other_views
from craft.advise.unsettled import Unsettled, unsettled
from craft.assessment import Assessment, assess, picture
from craft.body import Body
from craft.cloth import Piece
from craft.draw import Shape
from craft.draw.back import draw_back
from craft.draw.how_to import TuckStep, tuck_steps
from craft.draw.side import draw_profile
from craft.draw.svg import picture_svg
from craft.formats.look_form import LookFacts
from craft.judge import Aims, Judgement, Sentence, judge
from craft.judge.aims import Setting
from craft.look import Look as CraftLook
from craft.look import Outfit, compose
from craft.schools import Schools
from craft.units import Unit
from studio.bodies.known import measures_of
from studio.concurrency import hold, write
from studio.looks.links import kept_links, rack_of, worn_now
from studio.looks.models import Look
from studio.people.known import client_of
from studio.people.models import Client, Member
from studio.rack.models import RackPiece
from studio.stored import PieceRow, readable, stored_piece

Pieces = Sequence[Mapping[str, Any]]


#: While a hand moves a hem, sixty times a second, a client is taken to stand still for so long, s; and so many of them.
STANDS_STILL, MOST_HELD = 3.0, 64
_lately: dict[tuple[Any, str], tuple[float, Client, Body]] = {}

#: No setting said.
ANYWHERE = Setting()


@dataclass(frozen=True)
class Worn:
    """Pieces on a client's body, and all that they are judged by."""

    body: Body
    look: CraftLook
    schools: Schools
    aims: Aims
    unit: Unit


@dataclass(frozen=True)
class Question:
    """What is asked of the engine: pieces, where they are worn, what is liked all the same."""

    pieces: Pieces
    setting: Setting = ANYWHERE
    liked: frozenset[str] = frozenset()
    #: The hand still moves: mends can wait.
    moving: bool = False


def worn_by(member: Member, client_id: Any, asked: Question) -> Worn:
    """A question on a client's body, by how they are judged. Raises UnknownWord."""
    client, body = _standing_still(member, client_id) if asked.moving else _as_known(member, client_id)
    look = CraftLook.of(asked.pieces)
    aims = replace(client.wishes, setting=asked.setting, liked=asked.liked)
    return Worn(body, look, client.ways, aims, client.studio.unit)


def _as_known(member: Member, client_id: Any) -> tuple[Client, Body]:
    client = client_of(member, client_id)
    return client, Body.of(measures_of(client))


def _standing_still(member: Member, client_id: Any) -> tuple[Client, Body]:
    """The client and body as they were a moment ago, for a preview that is asked again when the hand rests."""
    key, now = (member.pk, str(client_id)), monotonic()
    held = _lately.get(key)
    if held is None or now - held[0] > STANDS_STILL:
        if len(_lately) > MOST_HELD:
            _lately.clear()
        held = _lately[key] = (now, *_as_known(member, client_id))
    return held[1:]


def assess_for(member: Member, client_id: Any, asked: Question) -> tuple[Assessment, Unit]:
    """Assess pieces on a client's body, and the unit to say it in. Raises UnknownWord."""
    on = worn_by(member, client_id, asked)
    return assess(on.body, on.look, on.schools, on.aims, mending=not asked.moving), on.unit


def unsettled_for(member: Member, client_id: Any, asked: Question) -> tuple[tuple[Unsettled, ...], Unit]:
    """What could still turn the verdict of pieces on a client's body. Raises UnknownWord."""
    on = worn_by(member, client_id, asked)
    return (unsettled(on.body, on.look, on.schools, on.aims) if on.look.pieces else ()), on.unit


def rail_for(member: Member, client_id: Any, asked: Question) -> tuple[Goes, ...]:
    """The pieces of a client's rack, ranked by how they go with these. Raises UnknownWord."""
    on = worn_by(member, client_id, asked)
    return rank(on.body, on.look, _rack(member, client_id), on.schools, on.aims)


def remedies_for(member: Member, client_id: Any, asked: Question) -> tuple[tuple[Remedy, ...], Unit]:
    """Ways to mend what is on, from what is free to what is to be bought. Raises UnknownWord."""
    on = worn_by(member, client_id, asked)
    return remedies(on.body, on.look, _rack(member, client_id), on.schools, on.aims), on.unit


def views_for(member: Member, client_id: Any, asked: Question) -> tuple[Worn, tuple[tuple[str, str, Switched], ...]]:
    """What is on and how it is judged, and what the other positions of the schools would say. Raises UnknownWord."""
    on = worn_by(member, client_id, asked)
    return on, other_views(on.body, on.look, on.schools, on.aims)


def turned_for(member: Member, client_id: Any, asked: Question) -> tuple[tuple[Shape, ...], tuple[Shape, ...]]:
    """What is on, from the side and from behind. Raises UnknownWord."""
    on = worn_by(member, client_id, asked)
    outfit = compose(on.body, on.look, on.schools)
    return draw_profile(outfit), draw_back(outfit)


def how_to_tuck(member: Member, client_id: Any, asked: Question) -> tuple[TuckStep, ...]:
    """How the tuck of what is on is made, step by step on this body. Raises UnknownWord."""
    on = worn_by(member, client_id, asked)
    return tuck_steps(compose(on.body, on.look, on.schools))


def _rack(member: Member, client_id: Any) -> list[tuple[str, Piece]]:
    """What of a client's rack can be worn: nothing that is to go."""
    rows = RackPiece.objects.of(member).not_removed().filter(client_id=client_id)
    held = [row for row in rows.only("version", "piece", "facts") if row.facts.get("state", "in_use") != "to_let_go"]
    pieces = ((row.id, stored_piece(PieceRow(row.id, row.version, row.piece))) for row in held)
    return [(str(row_id), piece) for row_id, piece in pieces if piece is not None]


@dataclass(frozen=True)
class Compared:
    """Looks side by side: each with its judgement and the places where it differs from the first."""

    looks: tuple[tuple[Outfit, Judgement, tuple[str, ...]], ...]
    best: int
    because: tuple[Sentence, ...]
    unit: Unit


def compared(member: Member, client_id: Any, looks: list[Question]) -> Compared:
    """Judge several looks of a client; which is best, and why it is better than the next. Raises UnknownWord."""
    worn = [worn_by(member, client_id, asked) for asked in looks]
    outfits = [compose(on.body, on.look, on.schools) for on in worn]
    judged = [judge(outfit, on.aims) for outfit, on in zip(outfits, worn, strict=True)]
    ranked = sorted(range(len(judged)), key=lambda at: -judged[at].score)
    because = tuple(
        finding.text if own else Sentence(f"The other: {finding.text.template}", finding.text.lengths)
        for finding, own in why_better(judged[ranked[0]], judged[ranked[1]])
    )
    places = [dict(zip(outfit.look.places, outfit.look.pieces, strict=True)) for outfit in outfits]
    differs = [
        tuple(place for place in sorted(own.keys() | places[0].keys()) if own.get(place) != places[0].get(place))
        for own in places
    ]
    return Compared(tuple(zip(outfits, judged, differs, strict=True)), ranked[0], because, worn[0].unit)


@dataclass(frozen=True)
class Content:
    """What a look holds."""

    name: str
    pieces: Pieces
    facts: LookFacts
    variant_of: UUID | None
    from_rack: Mapping[str, UUID]


def keep_look(member: Member, client_id: Any, kept: Content) -> Look:
    """Keep a new look. Raises UnknownWord."""
    CraftLook.of(kept.pieces)
    with transaction.atomic():
        client = hold(member, client_id)
        return Look.objects.create(
            studio_id=member.studio_id,
            client=client,
            name=kept.name,
            pieces=kept.pieces,
            facts=kept.facts.model_dump(mode="json"),
            variant_of=_origin(client, kept.variant_of),
            links=kept_links(kept.pieces, kept.from_rack, client, {}),
            changed_by=member,
        )


def change_look(member: Member, look_id: Any, version: int, kept: Content) -> Look:
    """Change a look that is still at `version`; raises Stale."""
    CraftLook.of(kept.pieces)
    with transaction.atomic():
        look: Look = Look.objects.of(member).not_removed().locked_or_404(id=look_id)
        return write(
            Look,
            member,
            look_id,
            version,
            name=kept.name,
            pieces=kept.pieces,
            facts=kept.facts.model_dump(mode="json"),
            variant_of=_origin(look.client, kept.variant_of),
            links=kept_links(kept.pieces, kept.from_rack, look.client, look.links),
        )


def _origin(client: Client, variant_of: UUID | None) -> Look | None:
    """The look a variant was made from, if it is one of the same client's."""
    return Look.objects.filter(client=client, id=variant_of).first() if variant_of else None


def remove_look(member: Member, look_id: Any) -> None:
    """Take a look away; it can be brought back."""
    Look.objects.soft_delete(member, id=look_id)


def restore_look(member: Member, look_id: Any) -> Look:
    """Undo a removal."""
    look: Look = Look.objects.restore(member, id=look_id)
    return look


def picture_of(member: Member, look_id: Any) -> str:
    """A kept look on its client's body as they are now, an SVG file. Pieces that cannot be read are left out."""
    look: Look = Look.objects.of(member).not_removed().get_or_404(id=look_id)
    worn = [piece for piece in worn_now(look, rack_of([look])) if readable([piece])]
    on = worn_by(member, look.client_id, Question(worn))
    return picture_svg(picture(compose(on.body, on.look, on.schools)), look.name or "Unnamed look")
