"""Shopping numbers, and a pasted description placed on the body at once."""

from __future__ import annotations

from collections.abc import Collection
from typing import Annotated, Any, Literal
from uuid import UUID

from django.http import HttpResponse
from ninja import Router
from pydantic import BaseModel, Field

from craft.advise.buying import not_bought, reviews_say
from craft.advise.choose import Choice
from craft.advise.shopping import Number
from craft.body.measures import label
from craft.cloth import Piece
from craft.cloth.words import figure_name, said
from craft.fit import Landed
from craft.fit.alter import Alteration
from craft.fit.edges import LandedEdge, place
from craft.fit.fitting import Check
from craft.fit.zones import ZoneEase
from craft.tryon.alter import changes
from craft.units import Unit
from studio.access import Requires
from studio.bodies.known import today
from studio.drawings import DrawnShape, undressed
from studio.looks.assessment import LandmarkOut, landmarks_out
from studio.policy import Right
from studio.requests import MemberRequest
from studio.schemas import Copied, Refusal, answer, file_of
from studio.shopping import feed, services
from studio.shopping.sheet import numbers_pdf

router = Router()
Stance = Literal["fits", "watch", "against", "caution"]
Heel = Annotated[float, Field(ge=0, le=20)]


class NumberOut(Copied):
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
    landmarks: list[LandmarkOut]
    outline: list[DrawnShape]
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


class EdgeAt(Copied):
    """Where an edge of the piece lands: cm above the ground, in words, and what else it may be."""

    key: str
    name: str
    height: float
    #: Where its length alone would take it: lower than it lies where foot or ground holds it up.
    falls_to: float
    spread: float
    settled: bool
    place: str
    either: list[str]
    measure: str | None


class EaseAt(Copied):
    zone: str
    height: float
    cm: float
    word: str
    strain: float
    settled: bool


class AlterationOut(Copied):
    key: str
    cost: Literal["free", "shoe", "tailor", "shop"]
    cm: float
    text: str
    reaches: str
    #: The figure of the piece that a tailor changes with it, and by how many cm; empty where none is.
    figure: str
    by_cm: float


class CheckOut(Copied):
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
    #: What reviews say of it, which goes along with the piece; and why it is better left in the shop.
    reviews: list[str] = []
    advice: list[str] = []


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
def on_offer(request: MemberRequest, client_id: UUID, heel_cm: Heel = 2.0) -> Any:
    """Which of what the shops offer fits this client, in which size."""
    shopper = services.shopper_of(request.user, client_id)
    stock = feed.shelf()
    fits = feed.fits(shopper, stock, heel_cm)
    offers = [offer_out(choice, stock.products[choice.key], shopper.unit) for choice in fits]
    return answer(ShelfOut(offers=offers, unread=stock.unread))


def offer_out(choice: Choice, product: feed.Product, unit: Unit) -> OnOffer:
    """A product of a shop in its best size."""
    price = f"{product.price.amount:g} {product.price.currency}" if product.price else ""
    return on_offer_out(choice, product.maker, product.name, price, len(product.sizes), unit)


def on_offer_out(choice: Choice, maker: str, name: str, price: str, sizes: int, unit: Unit) -> OnOffer:
    """A product in its best size, of a shop or of a chart."""
    return OnOffer(
        id=choice.key,
        maker=maker,
        name=name,
        kind=said(choice.landed.piece.kind),
        price=price,
        size=choice.size,
        sizes=sizes,
        placed=placed_out(choice.landed, _read(choice.landed.piece), [], unit),
    )


@router.get("/clients/{uuid:client_id}/shopping", response=NumbersOut)
def numbers(request: MemberRequest, client_id: UUID) -> Any:
    """The client's body as the numbers to shop with."""
    shopper = services.shopper_of(request.user, client_id)
    body = shopper.body
    return answer(
        NumbersOut(
            client=shopper.name,
            numbers=[_number(number, shopper.unit) for number in services.numbers_for(shopper)],
            landmarks=landmarks_out(body),
            outline=undressed(body),
            stature=round(body.stature, 1),
            heels=shopper.heels,
        )
    )


@router.get(
    "/clients/{uuid:client_id}/shopping/sheet.pdf",
    response=bytes,
    openapi_extra=file_of("application/pdf"),
    auth=Requires(Right.HAND_OUT),
)
def sheet(request: MemberRequest, client_id: UUID) -> Any:
    """The numbers on one sheet of paper, PDF."""
    shopper = services.shopper_of(request.user, client_id)
    response = HttpResponse(numbers_pdf(shopper, request.user.studio.name, today()), content_type="application/pdf")
    response["Content-Disposition"] = 'inline; filename="shopping-numbers.pdf"'
    return response


@router.post("/clients/{uuid:client_id}/shopping/place", response={200: PlacedOut, 422: Refusal})
def placed(request: MemberRequest, client_id: UUID, given: Pasted) -> Any:
    """A pasted product description or size-chart row, read and placed on the body."""
    shopper = services.shopper_of(request.user, client_id)
    told, landed = services.read_and_land(shopper, given.text, given.heel_cm)
    found = placed_out(landed, _read(told.piece, told.doubled), list(told.unread), shopper.unit)
    leave = [why.say(shopper.unit) for why in not_bought(landed)]
    return found.model_copy(update={"reviews": list(reviews_say(given.text)), "advice": leave})


def _read(piece: Piece, doubled: Collection[str] = ()) -> list[FigureRead]:
    return [FigureRead(key=key, label=figure_name(key), cm=cm, doubled=key in doubled) for key, cm in piece.figures]


def _number(number: Number, unit: Unit) -> NumberOut:
    def ends(pair: tuple[float, float] | None) -> tuple[float | None, float | None]:
        return (None, None) if pair is None else (round(pair[0], 1), round(pair[1], 1))

    poor, lands, poor_lands = ends(number.poor), ends(number.heights), ends(number.poor_heights)
    return NumberOut.of(
        *(number, unit),
        low=number.good[0],
        high=number.good[1],
        poor_low=poor[0],
        poor_high=poor[1],
        lands_low=lands[0],
        lands_high=lands[1],
        poor_lands_low=poor_lands[0],
        poor_lands_high=poor_lands[1],
        rests_on=[label(name) for name in number.rests_on],
        spread=round(number.spread, 1),
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
    return EdgeAt.of(
        edge,
        height=round(edge.height, 1),
        falls_to=round(edge.falls_to, 1),
        spread=round(edge.landing.spread, 1),
        settled=edge.landing.origin == "measured",
        place=place(edge.at),
        either=[place(word) for word in edge.either],
        measure=label(edge.measure) if edge.measure else None,
    )


def _ease(ease: ZoneEase, lift: float) -> EaseAt:
    height, strain = round(ease.height + lift, 1), round(min(ease.strain, 9.99), 2)
    return EaseAt.of(ease, height=height, cm=round(ease.cm, 1), strain=strain)


def _check(check: Check, piece: Piece, unit: Unit) -> CheckOut:
    alterations = [_alteration(change, check.key, piece, unit) for change in check.alterations]
    return CheckOut.of(check, unit, height=round(check.height, 1), alterations=alterations)


def _alteration(change: Alteration, check: str, piece: Piece, unit: Unit) -> AlterationOut:
    figure, by = changes(piece, check, change) or ("", 0.0)
    return AlterationOut.of(change, unit, cm=round(change.cm, 1), figure=figure, by_cm=by)
