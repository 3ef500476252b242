"""The measuring desk: sessions, readings, the reading of the body, and its history."""

from __future__ import annotations

from typing import Any
from uuid import UUID

from ninja import Router, Status

from craft.body.measures import SIDED, kind_of, label
from craft.brief import CONSENT
from craft.measuring.cards import CARDS, PROTOCOLS, in_order
from craft.units import parse_length
from studio.access import Requires
from studio.bodies import services
from studio.bodies.desk import desk_of, next_for
from studio.bodies.history import ComparisonOut, HistoryOut, comparison_of, history_of
from studio.bodies.reading import BodyReadingOut, reading_of
from studio.bodies.shapes import (
    CardOut,
    DeskOut,
    Measuring,
    OvertakenOut,
    ProtocolOut,
    Read,
    ReadingDoubtOut,
    ReadingIn,
    SessionEnd,
    SessionIn,
    SessionOut,
    Statement,
    Typed,
    WorthOut,
    session_out,
)
from studio.policy import Right
from studio.requests import MemberRequest
from studio.schemas import Refusal, answer

router = Router()


@router.get("/measuring", response=Measuring)
def measuring(request: MemberRequest) -> Any:
    """How each measure is taken, the protocols (the studio's own list last), what consent is asked for."""
    protocols = [ProtocolOut.of(protocol) for protocol in PROTOCOLS.values()]
    own = in_order(tuple(request.user.studio.own_list))
    if own:
        name = f"{request.user.studio.name}’s list"
        protocols.append(
            ProtocolOut(key=services.OWN_LIST, name=name, purpose="The studio’s own list.", measures=list(own))
        )
    return Measuring(
        cards=[
            CardOut.of(card, name=name, label=label(name), kind=kind_of(name), sided=name in SIDED)
            for name, card in CARDS.items()
        ],
        protocols=protocols,
        consent=[Statement(key=key, text=text) for key, text in CONSENT],
    )


@router.post("/length", response={200: Read, 422: Refusal})
def length(request: MemberRequest, given: Typed) -> Any:
    """What a typed length is in cm: the one reader of lengths there is."""
    return Read(cm=round(parse_length(given.text, given.unit), 2))


@router.get("/clients/{uuid:client_id}/desk", response=DeskOut)
def desk(request: MemberRequest, client_id: UUID) -> Any:
    """Every measure as it is known today, with this session's readings."""
    return answer(desk_of(request.user, client_id))


@router.get("/clients/{uuid:client_id}/next", response=list[WorthOut])
def next_measure(request: MemberRequest, client_id: UUID) -> Any:
    """What to measure next, most telling first."""
    worths = next_for(request.user, client_id)
    return [WorthOut.of(worth, label=label(worth.measure), score=round(worth.score, 3)) for worth in worths[:6]]


@router.get("/clients/{uuid:client_id}/reading", response=BodyReadingOut)
def reading(request: MemberRequest, client_id: UUID) -> Any:
    """What the measures say of the body."""
    return answer(reading_of(request.user, client_id))


@router.post("/clients/{uuid:client_id}/sessions", response={201: SessionOut, 422: Refusal})
def begin(request: MemberRequest, client_id: UUID, given: SessionIn) -> Any:
    """Begin a measuring session with the client's consent; one that is going on is answered as it is."""
    session = services.open_new_session(
        request.user, client_id, given.protocol, given.side, given.twice, given.consent.model_dump()
    )
    return Status(201, session_out(session))


@router.post("/clients/{uuid:client_id}/sessions/{int:session_id}/end", response={200: SessionOut})
def end(request: MemberRequest, client_id: UUID, session_id: int, given: SessionEnd) -> Any:
    """End a session: finished, or stopped at the client's wish."""
    return session_out(services.end_session(request.user, client_id, session_id, given.how))


@router.get("/clients/{uuid:client_id}/sessions", response=HistoryOut)
def sessions(request: MemberRequest, client_id: UUID) -> Any:
    """Every session of a client, newest first, with what its readings come to."""
    return answer(history_of(request.user, client_id))


@router.get("/clients/{uuid:client_id}/sessions/{int:session_id}/since/{int:before_id}", response=ComparisonOut)
def compared(request: MemberRequest, client_id: UUID, session_id: int, before_id: int) -> Any:
    """What changed between two sessions."""
    return answer(comparison_of(request.user, client_id, before_id, session_id))


@router.post(
    "/clients/{uuid:client_id}/readings", response={200: DeskOut, 409: OvertakenOut, 422: ReadingDoubtOut | Refusal}
)
def take(request: MemberRequest, client_id: UUID, given: ReadingIn) -> Any:
    """Add a reading; the desk as it then is. A doubt is asked, never blocked; handing the same reading in twice changes
    nothing."""
    services.take_reading(request.user, client_id, services.Taking(**given.model_dump()))
    return answer(desk_of(request.user, client_id))


@router.post("/clients/{uuid:client_id}/measures/{measure}/confirm", response=DeskOut, auth=Requires(Right.CONFIRM))
def confirm(request: MemberRequest, client_id: UUID, measure: str) -> Any:
    """Say that a measure which an apprentice took is right; the desk as it then is."""
    services.confirm(request.user, client_id, measure)
    return answer(desk_of(request.user, client_id))


@router.delete("/clients/{uuid:client_id}/measures/{measure}/confirm", response=DeskOut, auth=Requires(Right.CONFIRM))
def unconfirm(request: MemberRequest, client_id: UUID, measure: str) -> Any:
    """Undo a confirmation; the desk as it then is."""
    services.unconfirm(request.user, client_id, measure)
    return answer(desk_of(request.user, client_id))


@router.post("/clients/{uuid:client_id}/readings/{uuid:reading_id}/withdraw", response=DeskOut)
def withdraw(request: MemberRequest, client_id: UUID, reading_id: UUID) -> Any:
    """Take a reading back: it is held and no longer counts; the desk as it then is."""
    services.withdraw(request.user, client_id, reading_id)
    return answer(desk_of(request.user, client_id))


@router.post("/clients/{uuid:client_id}/readings/{uuid:reading_id}/restore", response=DeskOut)
def restore_reading(request: MemberRequest, client_id: UUID, reading_id: UUID) -> Any:
    """Undo a withdrawal; the desk as it then is."""
    services.restore_reading(request.user, client_id, reading_id)
    return answer(desk_of(request.user, client_id))
