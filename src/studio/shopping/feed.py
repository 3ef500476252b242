"""The shops' feed, read over HTTP (docs/shop-feed.md), and which of it fits a client."""

from __future__ import annotations

import json
import time
import urllib.error
import urllib.request
from dataclasses import dataclass

from django.conf import settings
from pydantic import BaseModel, Field, ValidationError

from craft.advise.choose import Choice, Offer, choose
from craft.cloth import Piece
from craft.errors import UnknownWord
from craft.wear.shoes import barefoot_on
from studio.errors import NoShop
from studio.shopping.services import Shopper

#: How long a feed that was read is used, and how long a shop may take to answer, seconds.
FRESH_FOR, PATIENCE = 60.0, 4.0
LARGEST = 20_000_000
SILENT = "The shop does not answer. Your numbers and pasted descriptions work without it."


class Price(BaseModel):
    amount: float = Field(ge=0)
    currency: str = Field(max_length=3)


class Size(BaseModel):
    label: str = Field(max_length=40)
    figures: dict[str, float]


class Product(BaseModel):
    id: str = Field(max_length=60)
    maker: str = Field(max_length=120)
    name: str = Field(max_length=120)
    piece: dict[str, object]
    price: Price | None = None
    sizes: list[Size] = Field(max_length=200)


class Feed(BaseModel):
    version: int
    products: list[dict[str, object]] = Field(max_length=20_000)


@dataclass(frozen=True)
class Shelf:
    """What was read of the shops: products by id with their sizes as pieces, and how many could not be read."""

    products: dict[str, Product]
    offers: tuple[Offer, ...]
    unread: int


_held: dict[str, tuple[float, Shelf]] = {}


def shelf() -> Shelf:
    """What the shops offer now. Raises NoShop."""
    address = _address()
    read_at, held = _held.get(address, (-FRESH_FOR, None))
    if held is not None and time.monotonic() - read_at < FRESH_FOR:
        return held
    try:
        told = json.loads(_asked(f"{address}/products.json"))
    except ValueError as error:
        raise NoShop(SILENT) from error
    found = read_feed(told)
    _held[address] = (time.monotonic(), found)
    return found


def charts_table() -> str:
    """The shops' size charts as the table they publish. Raises NoShop."""
    try:
        return _asked(f"{_address()}/size-charts.csv").decode()
    except ValueError as error:
        raise NoShop(SILENT) from error


def _address() -> str:
    if not settings.SHOP:
        raise NoShop("No shop is connected to this studio.")
    return str(settings.SHOP)


def _asked(url: str) -> bytes:
    try:
        with urllib.request.urlopen(url, timeout=PATIENCE) as answer:  # noqa: S310 (set by the house)
            return bytes(answer.read(LARGEST))
    except OSError as error:
        raise NoShop(SILENT) from error


def read_feed(told: object) -> Shelf:
    """A feed's products, those that can be read. Raises NoShop where it is no feed at all."""
    try:
        feed = Feed.model_validate(told)
    except ValidationError as wrong:
        raise NoShop("The shop’s answer is not a feed that is read here.") from wrong
    products: dict[str, Product] = {}
    offers: list[Offer] = []
    for raw in feed.products:
        try:
            product = Product.model_validate(raw)
            sizes = {
                size.label: Piece.of({**product.piece, **{f"{key}_cm": cm for key, cm in size.figures.items()}})
                for size in product.sizes
            }
        except (ValidationError, UnknownWord):
            continue
        products[product.id] = product
        offers.append(Offer(product.id, sizes))
    return Shelf(products, tuple(offers), len(feed.products) - len(products))


def fits(shopper: Shopper, stock: Shelf, heel: float) -> tuple[Choice, ...]:
    """Which of these fit: the best size of each product, best first."""
    return choose(
        shopper.body, stock.offers, barefoot_on(heel), shopper.schools, seated=shopper.seated, heels=shopper.heels
    )
