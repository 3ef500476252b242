"""Looks kept for a client, and the words pieces are described in."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Any
from uuid import UUID

from ninja import Router, Status

from craft.cloth import words
from craft.cloth.kinds import KIND, KINDS, PLACES
from craft.cloth.spoken import hear
from craft.formats.look_form import LookFacts
from studio.access import Requires
from studio.looks import services
from studio.looks.links import rack_of, worn_now
from studio.looks.models import Look
from studio.looks.shapes import Colour, Described, KindOut, LookChange, LookIn, LookOut, Spoken, Vocabulary
from studio.people.known import client_of
from studio.policy import Right
from studio.requests import MemberRequest
from studio.schemas import PieceWords, attached, file_of, words_of
from studio.stored import readable, stored

router = Router()


def look_out(look: Look, rack: Mapping[str, Any] | None = None) -> LookOut:
    """A look, its pieces as they hang on the rack now where they come from there."""
    worn = worn_now(look, rack_of([look]) if rack is None else rack)
    pieces = [piece for piece in worn if readable([piece])]
    return LookOut.of(
        look,
        pieces=[PieceWords.model_validate(piece) for piece in pieces],
        unreadable=len(worn) - len(pieces),
        facts=stored(LookFacts, look.facts),
        variant_of=look.variant_of_id,
        from_rack={place: UUID(link["piece"]) for place, link in look.links.items()},
        changed_by=look.changed_by.name if look.changed_by else "",
    )


def _content(given: LookIn) -> services.Content:
    pieces = [words_of(piece) for piece in given.pieces]
    return services.Content(given.name, pieces, given.facts, given.variant_of, given.from_rack)


@router.get("/words", response=Vocabulary)
def vocabulary(request: MemberRequest) -> Any:
    """The words pieces are described in; kinds by slot."""
    return Vocabulary(
        kinds={slot: list(kinds) for slot, kinds in KINDS.items()},
        of_kind={name: KindOut.of(row) for name, row in KIND.items()},
        places=list(PLACES),
        one_of={key: list(choices) for key, choices in words.ONE_OF.items()},
        some_of={key: list(choices) for key, choices in words.SOME_OF.items()},
        leg_cuts=list(words.LEG_CUTS),
        top_cuts=list(words.TOP_CUTS),
        skirt_cuts=list(words.DRESS_CUTS),
        colours=[Colour(name=name, hex=code) for name, code in words.COLOURS.items()],
    )


@router.post("/words/hear", response=Described, exclude_none=True, by_alias=True)
def hear_words(request: MemberRequest, given: Spoken) -> Any:
    """The pieces of a look described in a sentence."""
    return Described(pieces=[PieceWords.model_validate(piece) for piece in hear(given.text)])


@router.get("/clients/{uuid:client_id}/looks", response=list[LookOut], exclude_none=True, by_alias=True)
def looks(request: MemberRequest, client_id: UUID) -> Any:
    """A client's looks, the last changed first."""
    client = client_of(request.user, client_id)
    rows = Look.objects.of(request.user).not_removed().filter(client=client).select_related("changed_by")
    found = list(rows.order_by("-changed_at"))
    rack = rack_of(found)
    return [look_out(look, rack) for look in found]


@router.post("/clients/{uuid:client_id}/looks", response={201: LookOut}, exclude_none=True, by_alias=True)
def keep(request: MemberRequest, client_id: UUID, given: LookIn) -> Any:
    """Keep a new look."""
    return Status(201, look_out(services.keep_look(request.user, client_id, _content(given))))


@router.put("/looks/{uuid:look_id}", response=LookOut, exclude_none=True, by_alias=True)
def change(request: MemberRequest, look_id: UUID, given: LookChange) -> Any:
    """Change a look; refused with the current one when somebody changed it meanwhile."""
    return look_out(services.change_look(request.user, look_id, given.version, _content(given)))


@router.delete("/looks/{uuid:look_id}", response={204: None})
def remove(request: MemberRequest, look_id: UUID) -> Any:
    """Take a look away; can be undone."""
    services.remove_look(request.user, look_id)
    return Status(204, None)


@router.post("/looks/{uuid:look_id}/restore", response=LookOut, exclude_none=True, by_alias=True)
def restore(request: MemberRequest, look_id: UUID) -> Any:
    """Undo a removal."""
    return look_out(services.restore_look(request.user, look_id))


@router.get(
    "/looks/{uuid:look_id}/picture.svg",
    response=bytes,
    openapi_extra=file_of("image/svg+xml"),
    auth=Requires(Right.HAND_OUT),
)
def as_picture(request: MemberRequest, look_id: UUID) -> Any:
    """A look on its client, drawn: an SVG file at its true size."""
    return attached(services.picture_of(request.user, look_id), "image/svg+xml", "look.svg")
