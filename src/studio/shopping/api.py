"""Shopping numbers, and a pasted description placed on the body at once."""

from __future__ import annotations

from typing import Annotated, Any, Literal
from uuid import UUID

from django.http import HttpRequest, HttpResponse
from ninja import Router, Status
from pydantic import BaseModel, Field

from craft.advise.choose import Choice
from craft.advise.shopping import Number
from craft.body.measures import HEIGHTS, label
from craft.cloth import Piece
from craft.cloth.words import figure_name, said
from craft.fit import Landed
from craft.fit.alter import Alteration
from craft.fit.edges import LandedEdge, place
from craft.fit.fitting import Check
from craft.fit.zones import ZoneEase
from craft.tryon.alter import changes
from craft.units import Unit
from studio.bodies.known import today
from studio.bodies.shapes import Outline, outline
from studio.schemas import Refusal, answer
from studio.shopping import feed, services
from studio.shopping.sheet import numbers_pdf

router = Router()
Stance = Literal["fits", "watch", "against", "caution"]
Heel = Annotated[float, Field(ge=0, le=20)]


class Landmark(BaseModel):
    name: str
    label: str
    cm: float
    spread: float
    settled: bool


class NumberOut(BaseModel):
    """One figure to shop with, cm: the range that does well, one that does not, where it lands, and why."""

    key: str
    group: str
    name: str
    worn: str
    low: float
    high: float
    poor_low: float | None
    poor_high: float | None
    lands_low: float | None
    lands_high: float | None
    poor_lands_low: float | None
    poor_lands_high: float | None
    poor_why: str
    reason: str
    rests_on: list[str]
    spread: float
    settled: bool
    serves: str


class NumbersOut(BaseModel):
    """The client's shopping numbers, with the figure and its landmarks to draw them on."""

    client: str
    numbers: list[NumberOut]
    landmarks: list[Landmark]
    outline: list[Outline]
    stature: float
    heels: bool


class Pasted(BaseModel):
    text: str = Field(max_length=4000)
    heel_cm: Heel = 0.0


class FigureRead(BaseModel):
    key: str
    label: str
    cm: float
    doubled: bool


class EdgeAt(BaseModel):
    """Where an edge of the piece lands: cm above the ground, in words, and what else it may be."""

    key: str
    name: str
    height: float
    spread: float
    settled: bool
    place: str
    either: list[str]
    measure: str | None


class EaseAt(BaseModel):
    zone: str
    height: float
    cm: float
    word: str
    strain: float
    settled: bool


class AlterationOut(BaseModel):
    key: str
    cost: Literal["free", "shoe", "tailor", "shop"]
    cm: float
    text: str
    reaches: str
    #: The figure of the piece that a tailor changes with it, and by how many cm; empty where none is.
    figure: str
    by_cm: float


class CheckOut(BaseModel):
    key: str
    stance: Stance
    title: str
    text: str
    height: float
    alterations: list[AlterationOut]


class PlacedOut(BaseModel):
    """A piece from a shop on this body."""

    name: str
    piece: dict[str, Any]
    read: list[FigureRead]
    unread: list[str]
    lift: float
    stance: Stance
    edges: list[EdgeAt]
    eases: list[EaseAt]
    checks: list[CheckOut]


class OnOffer(BaseModel):
    """A product of a shop: its best size for this client and what that does on the body."""

    id: str
    maker: str
    name: str
    kind: str
    price: str
    size: str
    sizes: int
    placed: PlacedOut


class ShelfOut(BaseModel):
    """What the shops offer, best first; `unread` is how many products could not be read."""

    offers: list[OnOffer]
    unread: int


@router.get("/clients/{uuid:client_id}/shopping/shelf", response={200: ShelfOut, 503: Refusal})
def on_offer(request: HttpRequest, client_id: UUID, heel_cm: Heel = 2.0) -> Any:
    """Which of what the shops offer fits this client, in which size."""
    shopper = services.shopper_of(request.user, client_id)
    try:
        stock = feed.shelf()
    except feed.NoShop as why:
        return Status(503, Refusal(message=str(why)))
    return answer(
        ShelfOut(
            offers=[
                _offer(choice, stock.products[choice.key], shopper.unit)
                for choice in feed.fits(shopper, stock, heel_cm)
            ],
            unread=stock.unread,
        )
    )


def _offer(choice: Choice, product: feed.Product, unit: Unit) -> OnOffer:
    price = f"{product.price.amount:g} {product.price.currency}" if product.price else ""
    return on_offer_out(choice, product.maker, product.name, price, len(product.sizes), unit)


def on_offer_out(choice: Choice, maker: str, name: str, price: str, sizes: int, unit: Unit) -> OnOffer:
    """A product in its best size, of a shop or of a chart."""
    read = [
        FigureRead(key=key, label=figure_name(key), cm=cm, doubled=False) for key, cm in choice.landed.piece.figures
    ]
    return OnOffer(
        id=choice.key,
        maker=maker,
        name=name,
        kind=said(choice.landed.piece.kind),
        price=price,
        size=choice.size,
        sizes=sizes,
        placed=placed_out(choice.landed, read, [], unit),
    )


@router.get("/clients/{uuid:client_id}/shopping", response=NumbersOut)
def numbers(request: HttpRequest, client_id: UUID) -> Any:
    """The client's body as the numbers to shop with."""
    shopper = services.shopper_of(request.user, client_id)
    body = shopper.body
    return answer(
        NumbersOut(
            client=shopper.name,
            numbers=[_number(number, shopper.unit) for number in services.numbers_for(shopper)],
            landmarks=[
                Landmark(name=name, label=label(name), cm=round(q.cm, 1), spread=round(q.spread, 2), settled=q.settled)
                for name, q in ((name, body.heights[name]) for name in HEIGHTS)
            ],
            outline=outline(body),
            stature=round(body.stature, 1),
            heels=shopper.heels,
        )
    )


@router.get("/clients/{uuid:client_id}/shopping/sheet.pdf", response=bytes)
def sheet(request: HttpRequest, client_id: UUID) -> Any:
    """The numbers on one sheet of paper, PDF."""
    shopper = services.shopper_of(request.user, client_id)
    response = HttpResponse(numbers_pdf(shopper, request.user.studio.name, today()), content_type="application/pdf")
    response["Content-Disposition"] = 'inline; filename="shopping-numbers.pdf"'
    return response


@router.post("/clients/{uuid:client_id}/shopping/place", response={200: PlacedOut, 422: Refusal})
def placed(request: HttpRequest, client_id: UUID, given: Pasted) -> Any:
    """A pasted product description or size-chart row, read and placed on the body."""
    shopper = services.shopper_of(request.user, client_id)
    told, landed = services.read_and_land(shopper, given.text, given.heel_cm)
    read = [
        FigureRead(key=key, label=figure_name(key), cm=cm, doubled=key in told.doubled)
        for key, cm in told.piece.figures
    ]
    return placed_out(landed, read, list(told.unread), shopper.unit)


def _number(number: Number, unit: Unit) -> NumberOut:
    def ends(pair: tuple[float, float] | None) -> tuple[float | None, float | None]:
        return (None, None) if pair is None else (round(pair[0], 1), round(pair[1], 1))

    poor, lands, poor_lands = ends(number.poor), ends(number.heights), ends(number.poor_heights)
    return NumberOut(
        key=number.key,
        group=number.group,
        name=number.name,
        worn=number.worn,
        low=number.good[0],
        high=number.good[1],
        poor_low=poor[0],
        poor_high=poor[1],
        lands_low=lands[0],
        lands_high=lands[1],
        poor_lands_low=poor_lands[0],
        poor_lands_high=poor_lands[1],
        poor_why=number.poor_why,
        reason=number.reason.say(unit),
        rests_on=[label(name) for name in number.rests_on],
        spread=round(number.spread, 1),
        settled=number.settled,
        serves=number.serves,
    )


def placed_out(landed: Landed, read: list[FigureRead], unread: list[str], unit: Unit) -> PlacedOut:
    return PlacedOut(
        name=landed.piece.name,
        piece=landed.piece.described(),
        read=read,
        unread=unread,
        lift=landed.shoes.lift,
        stance=landed.stance,
        edges=[_edge(edge) for edge in landed.edges],
        eases=[_ease(ease, landed.shoes.lift) for ease in landed.eases],
        checks=[_check(check, landed.piece, unit) for check in landed.checks],
    )


def _edge(edge: LandedEdge) -> EdgeAt:
    return EdgeAt(
        key=edge.key,
        name=edge.name,
        height=round(edge.height, 1),
        spread=round(edge.landing.spread, 1),
        settled=edge.landing.origin == "measured",
        place=place(edge.at),
        either=[place(word) for word in edge.either],
        measure=label(edge.measure) if edge.measure else None,
    )


def _ease(ease: ZoneEase, lift: float) -> EaseAt:
    return EaseAt(
        zone=ease.zone,
        height=round(ease.height + lift, 1),
        cm=round(ease.cm, 1),
        word=ease.word,
        strain=round(min(ease.strain, 9.99), 2),
        settled=ease.settled,
    )


def _check(check: Check, piece: Piece, unit: Unit) -> CheckOut:
    return CheckOut(
        key=check.key,
        stance=check.stance,
        title=check.title,
        text=check.text.say(unit),
        height=round(check.height, 1),
        alterations=[_alteration(change, check.key, piece, unit) for change in check.alterations],
    )


def _alteration(change: Alteration, check: str, piece: Piece, unit: Unit) -> AlterationOut:
    figure, by = changes(piece, check, change) or ("", 0.0)
    return AlterationOut(
        key=change.key,
        cost=change.cost,
        cm=round(change.cm, 1),
        text=change.text.say(unit),
        reaches=change.reaches.say(unit),
        figure=figure,
        by_cm=by,
    )
