"""Cards, the book and the tailor's sheet."""

from __future__ import annotations

from collections import Counter
from collections.abc import Mapping, Sequence
from typing import Any
from uuid import UUID

from django.http import HttpResponse
from ninja import Router, Status

from craft.draw.told import what_is_worn
from studio.access import Requires
from studio.bodies.known import today
from studio.concurrency import hold
from studio.edit.telling import job_of
from studio.handover import cards
from studio.handover.book import card_png, card_svg
from studio.handover.cards import Teller, Told
from studio.handover.content import card_content
from studio.handover.jobs import KIND, BookAsked
from studio.handover.models import Book, OutfitCard, Said
from studio.handover.next import following
from studio.handover.shapes import (
    BookIn,
    BookOut,
    CardIn,
    CardLineIn,
    CardLineOut,
    CardPieceOut,
    CardsOut,
    MarkOut,
    OrderIn,
    OutfitCardOut,
)
from studio.handover.tailor import sheet_of
from studio.outfits import services as work
from studio.outfits.models import DONE
from studio.paper import pdf_of
from studio.people.known import client_of
from studio.people.models import Client
from studio.policy import Right
from studio.requests import MemberRequest
from studio.schemas import Refusal, attached, file_of

router = Router()
#: A picture on a screen may be kept by the browser that asked for it as long as it names the same version.
PICTURE = {"Cache-Control": "private, max-age=600"}


@router.get("/clients/{uuid:client_id}/cards", response=CardsOut)
def client_cards(request: MemberRequest, client_id: UUID) -> Any:
    """A client's cards, as they read now."""
    client, rows = cards.cards_of(request.user, client_id)
    teller = Teller(client)
    marks = _marks(client)
    return CardsOut(cards=[_card(teller.tell(row), marks) for row in rows], week=list(teller.week))


@router.post("/clients/{uuid:client_id}/cards", response={201: OutfitCardOut, 422: Refusal})
def make(request: MemberRequest, client_id: UUID, given: CardIn) -> Any:
    """Make a card of a look; one that was taken away comes back as it was."""
    return Status(201, card_out(cards.make(request.user, client_id, given.id, given.look_id)))


@router.post("/clients/{uuid:client_id}/cards/order", response=CardsOut)
def put_in_order(request: MemberRequest, client_id: UUID, given: OrderIn) -> Any:
    """Put cards in order."""
    cards.put_in_order(request.user, client_id, given.order)
    return client_cards(request, client_id)


@router.patch("/cards/{uuid:card_id}/line", response={200: OutfitCardOut, 409: Refusal, 422: Refusal})
def write_line(request: MemberRequest, card_id: UUID, given: CardLineIn) -> Any:
    """Write a sentence of a card anew, strike it, or take it as it is made."""
    return card_out(cards.write_line(request.user, card_id, given.version, given.key, given.text))


@router.post("/cards/{uuid:card_id}/variants", response=OutfitCardOut)
def find_variants(request: MemberRequest, card_id: UUID) -> Any:
    """Find how the look is made over for the other occasions of the client's week."""
    return card_out(cards.find_variants(request.user, card_id))


@router.delete("/cards/{uuid:card_id}", response={204: None})
def take_away(request: MemberRequest, card_id: UUID) -> Any:
    """Take a card away; the look stays."""
    cards.take_away(request.user, card_id)
    return Status(204, None)


@router.post("/cards/{uuid:card_id}/restore", response=OutfitCardOut)
def bring_back(request: MemberRequest, card_id: UUID) -> Any:
    """Undo a removal."""
    return card_out(cards.bring_back(request.user, card_id))


@router.get("/cards/{uuid:card_id}/picture.svg", response=bytes, openapi_extra=file_of("image/svg+xml"))
def picture(request: MemberRequest, card_id: UUID) -> Any:
    """The look of a card, drawn, for the screen."""
    told = _told(request, card_id)
    return HttpResponse(cards.drawn_card(told, "c"), content_type="image/svg+xml", headers=PICTURE)


@router.get(
    "/cards/{uuid:card_id}/card.svg",
    response=bytes,
    openapi_extra=file_of("image/svg+xml"),
    auth=Requires(Right.HAND_OUT),
)
def as_svg(request: MemberRequest, card_id: UUID) -> Any:
    """A card as an SVG file, its words beside the look."""
    content = card_content(_told(request, card_id), 1)
    return attached(card_svg(content, request.user.studio.name), "image/svg+xml", "outfit.svg")


@router.get(
    "/cards/{uuid:card_id}/card.png", response=bytes, openapi_extra=file_of("image/png"), auth=Requires(Right.HAND_OUT)
)
def as_png(request: MemberRequest, card_id: UUID) -> Any:
    """A card as a picture to send."""
    content = card_content(_told(request, card_id), 1)
    return attached(card_png(content, request.user.studio.name), "image/png", "outfit.png")


@router.post("/clients/{uuid:client_id}/book", response={200: BookOut, 422: Refusal}, auth=Requires(Right.HAND_OUT))
def book(request: MemberRequest, client_id: UUID, given: BookIn) -> Any:
    """The book of some cards: made in the background, or as it was made where nothing has changed since."""
    client = hold(request.user, client_id)
    asked = {
        "layout": given.layout,
        "cards": sorted(str(card) for card in given.cards),
        "parts": given.parts.model_dump(),
        "note": given.note,
        "following": following(client),
        "by": request.user.pk,
    }
    row = work.wanted(request.user, client, KIND, BookAsked(client, asked).key, asked)
    made = row.found.get("book") if row.state == DONE else None
    if made is not None and not Book.objects.filter(id=made).exists():
        # Another book of its kind took its place meanwhile: it is made again.
        row = work.anew(row)
        made = None
    return BookOut(job=job_of(row), book_id=made, pages=row.found.get("pages", 0) if made else 0)


@router.get(
    "/books/{uuid:book_id}.pdf", response=bytes, openapi_extra=file_of("application/pdf"), auth=Requires(Right.HAND_OUT)
)
def book_file(request: MemberRequest, book_id: UUID) -> Any:
    """A book that was made."""
    made: Book = Book.objects.of(request.user).not_removed().get_or_404(id=book_id)
    return attached(bytes(made.pdf), "application/pdf", "cards.pdf" if made.layout == "four" else "outfits.pdf")


@router.get(
    "/clients/{uuid:client_id}/tailor.pdf",
    response=bytes,
    openapi_extra=file_of("application/pdf"),
    auth=Requires(Right.HAND_OUT),
)
def tailor(request: MemberRequest, client_id: UUID) -> Any:
    """What is to be altered, for the tailor."""
    client = client_of(request.user, client_id)
    return attached(pdf_of(sheet_of(client, today())), "application/pdf", "tailor.pdf")


def card_out(row: OutfitCard) -> OutfitCardOut:
    """A card as it is told."""
    return _card(Teller(row.client).tell(row), _marks(row.client))


def _told(request: MemberRequest, card_id: UUID) -> Told:
    rows = OutfitCard.objects.of(request.user).not_removed().select_related("look", "client__studio")
    row: OutfitCard = rows.get_or_404(id=card_id)
    return Teller(row.client).tell(row)


def _marks(client: Client) -> dict[str, Counter[str]]:
    found: dict[str, Counter[str]] = {}
    rows = Said.objects.filter(share__client=client, removed_at=None, about__isnull=False).values_list("about", "says")
    for about, says in rows:
        found.setdefault(str(about), Counter())[says] += 1
    return found


def _card(told: Told, marks: Mapping[str, Counter[str]]) -> OutfitCardOut:
    row, card = told.row, told.card
    said: Any = marks.get(str(row.id), Counter())
    return OutfitCardOut(
        id=row.id,
        version=row.version,
        look_id=row.look_id,
        name=told.name,
        pieces=[CardPieceOut(place=one.place, title=one.title, source=one.source) for one in cards.pieces_told(card)],
        how=_lines(told.lines["how"]),
        reasons=_lines(told.lines["reasons"]),
        mind=_lines(told.lines["mind"]),
        variants=_lines(told.lines["variants"]),
        own=_lines(told.lines["own"])[0],
        occasions=told.occasions,
        air=list(card.air) if card.air else None,
        steps=[step.text for step in card.steps],
        told="; ".join(what_is_worn(told.outfit)),
        marks=[MarkOut(says=says, many=many) for says, many in sorted(said.items())],
        by=row.changed_by.name if row.changed_by else "",
    )


def _lines(lines: Sequence[tuple[Any, bool]]) -> list[CardLineOut]:
    return [CardLineOut(key=line.key, text=line.text, edited=edited) for line, edited in lines]
