"""What is decided at an edit: where pieces go, the kit that travels along, what is to be bought; each with its way back."""

from __future__ import annotations

from typing import Any
from uuid import UUID

from ninja import Router, Status

from craft.cloth import Piece
from craft.formats.brief_form import BriefForm
from studio.edit import services
from studio.edit.models import KitPiece, Sorted, ToBuy
from studio.edit.shapes import (
    BuyingOut,
    DayOut,
    DecideIn,
    KitIn,
    KitOut,
    KitPieceOut,
    SortedListOut,
    SortedOut,
    ToBuyChange,
    ToBuyIn,
    ToBuyOut,
    VerdictIn,
    VerdictOut,
    words,
)
from studio.edit.telling import in_words
from studio.people.models import Client
from studio.rack.naming import title_of
from studio.requests import MemberRequest
from studio.schemas import Refusal, words_of
from studio.stored import stored

router = Router()


@router.get("/clients/{uuid:client_id}/edit/sorted", response=SortedListOut)
def sorted_pieces(request: MemberRequest, client_id: UUID) -> Any:
    """Every decision about a client's pieces, and where those go that leave."""
    return SortedListOut(decisions=[sorted_out(row) for row in services.sorted_of(request.user, client_id)])


@router.put("/rack/{uuid:piece_id}/sorted", response={200: SortedOut, 409: Refusal, 422: Refusal})
def decide(request: MemberRequest, piece_id: UUID, given: DecideIn) -> Any:
    """Decide of a piece; told where somebody else has decided meanwhile."""
    told = given.model_dump(exclude={"id", "version"})
    return sorted_out(services.decide(request.user, piece_id, given.id, given.version, **told))


@router.delete("/rack/{uuid:piece_id}/sorted", response={204: None})
def undecide(request: MemberRequest, piece_id: UUID) -> Any:
    """Take a decision back: the piece hangs as it did."""
    services.undecide(request.user, piece_id)
    return Status(204, None)


@router.post("/rack/{uuid:piece_id}/gone", response={200: SortedOut, 422: Refusal})
def gone(request: MemberRequest, piece_id: UUID) -> Any:
    """Say that a piece on a list is gone."""
    return sorted_out(services.gone(request.user, piece_id))


@router.delete("/rack/{uuid:piece_id}/gone", response=SortedOut)
def not_gone(request: MemberRequest, piece_id: UUID) -> Any:
    """Undo that a piece is gone."""
    return sorted_out(services.not_gone(request.user, piece_id))


def sorted_out(row: Sorted) -> SortedOut:
    """A decision as it is told."""
    decision: Any = row.decision
    goes: Any = row.goes
    return SortedOut(
        id=row.id,
        version=row.version,
        piece_id=row.piece_id,
        title=row.piece.name or title_of(Piece.of(row.piece.piece)),
        decision=decision,
        proposed=row.proposed,
        word=row.word,
        goes=goes,
        place=row.place,
        on=row.on,
        gone_at=row.gone_at,
        by=row.changed_by.name if row.changed_by else "",
    )


@router.get("/kit", response=KitOut, exclude_none=True, by_alias=True)
def kit(request: MemberRequest) -> Any:
    """The studio's kit: pieces that travel along."""
    return in_words(KitOut(pieces=[_kit(row) for row in KitPiece.objects.of(request.user).not_removed()]))


@router.post("/kit", response={201: KitPieceOut, 422: Refusal}, exclude_none=True, by_alias=True)
def carry(request: MemberRequest, given: KitIn) -> Any:
    """Put a piece into the kit, said in one line."""
    return Status(201, _kit(services.carry(request.user, given.id, given.line)))


@router.delete("/kit/{uuid:kit_id}", response={204: None})
def leave_home(request: MemberRequest, kit_id: UUID) -> Any:
    """Take a piece out of the kit; can be undone."""
    services.leave_home(request.user, kit_id)
    return Status(204, None)


@router.post("/kit/{uuid:kit_id}/restore", response=KitPieceOut, exclude_none=True, by_alias=True)
def carry_again(request: MemberRequest, kit_id: UUID) -> Any:
    """Undo the taking out."""
    return _kit(services.carry_again(request.user, kit_id))


def _kit(row: KitPiece) -> KitPieceOut:
    piece = Piece.of(row.piece)
    return KitPieceOut(id=row.id, title=row.name or title_of(piece), slot=piece.slot, words=words(row.piece))


@router.get("/clients/{uuid:client_id}/buying", response=BuyingOut, exclude_none=True, by_alias=True)
def buying(request: MemberRequest, client_id: UUID) -> Any:
    """A client's buying list."""
    rows = services.buying_of(request.user, client_id)
    client: Client = Client.objects.of(request.user).get_or_404(id=client_id)
    budget = stored(BriefForm, client.brief).budget
    return in_words(BuyingOut(things=[to_buy_out(row) for row in rows], currency=budget.currency, budget=budget.amount))


@router.post(
    "/clients/{uuid:client_id}/buying", response={201: ToBuyOut, 422: Refusal}, exclude_none=True, by_alias=True
)
def to_buy(request: MemberRequest, client_id: UUID, given: ToBuyIn) -> Any:
    """Put a thing on the buying list."""
    told = given.model_dump(include={"why", "looks", "price", "when"})
    row = services.to_buy(request.user, client_id, given.id, words_of(given.piece), **told)
    return Status(201, to_buy_out(row))


@router.patch("/buying/{uuid:buy_id}", response={200: ToBuyOut, 409: Refusal}, exclude_none=True, by_alias=True)
def change_buy(request: MemberRequest, buy_id: UUID, given: ToBuyChange) -> Any:
    """Change a thing on the list: when, for how much, bought."""
    changes = given.model_dump(exclude={"version"}, exclude_unset=True)
    changes = {key: value for key, value in changes.items() if value is not None or key == "price"}
    return in_words(to_buy_out(services.change_buy(request.user, buy_id, given.version, **changes)))


@router.delete("/buying/{uuid:buy_id}", response={204: None})
def strike(request: MemberRequest, buy_id: UUID) -> Any:
    """Take a thing off the list; can be undone."""
    services.strike(request.user, buy_id)
    return Status(204, None)


@router.post("/buying/{uuid:buy_id}/restore", response=ToBuyOut, exclude_none=True, by_alias=True)
def unstrike(request: MemberRequest, buy_id: UUID) -> Any:
    """Undo a removal."""
    return in_words(to_buy_out(services.unstrike(request.user, buy_id)))


def to_buy_out(row: ToBuy) -> ToBuyOut:
    """A thing of the buying list as it is told."""
    when: Any = row.when
    return ToBuyOut(
        id=row.id,
        version=row.version,
        title=title_of(Piece.of(row.piece)),
        words=words(row.piece),
        why=row.why,
        looks=row.looks,
        price=row.price,
        when=when,
        bought=row.bought,
    )


@router.post("/clients/{uuid:client_id}/buying/verdict", response={200: VerdictOut, 422: Refusal})
def verdict(request: MemberRequest, client_id: UUID, given: VerdictIn) -> Any:
    """Whether to buy a piece: does it fit, how many outfits does it make with what hangs there, what would it need."""
    found, situation = services.verdict_on(request.user, client_id, words_of(given.piece))
    unit = request.user.studio.unit
    hanging = situation.hanging
    return VerdictOut(
        verdict=found.verdict,
        reasons=[reason.say(unit) for reason in found.reasons],
        looks=list(found.looks),
        days=[DayOut(name=name, share=day.share) for name, day in zip(hanging.day_names, hanging.days, strict=True)],
    )
