"""Hand-over, as the screens read and write it."""

from __future__ import annotations

from datetime import date, datetime
from typing import Annotated, Literal
from uuid import UUID

from django.core.exceptions import ValidationError
from django.core.validators import validate_email
from pydantic import AfterValidator, BaseModel, Field, StringConstraints

from craft.hand.card import Source
from studio.edit.shapes import JobOut
from studio.handover.cards import LONGEST, MOST
from studio.handover.content import Parts
from studio.schemas import Name

Says = Literal["wore", "loved", "not_me", "ticked", "question"]
LinkState = Literal["open", "ended", "taken_back"]
Sentence = Annotated[str, StringConstraints(strip_whitespace=True, max_length=LONGEST)]
Word = Annotated[str, StringConstraints(strip_whitespace=True, max_length=80)]
LongText = Annotated[str, StringConstraints(strip_whitespace=True, max_length=4000)]


def _an_address(told: str) -> str:
    try:
        validate_email(told)
    except ValidationError:
        raise ValueError("This is not an address that a letter can be sent to.") from None
    return told


Address = Annotated[str, StringConstraints(strip_whitespace=True, max_length=254), AfterValidator(_an_address)]


def _one_line(told: str) -> str:
    if len(told.splitlines()) > 1:
        raise ValueError("This has to be one line.")
    return told


Subject = Annotated[Name, AfterValidator(_one_line)]


class CardLineOut(BaseModel):
    """A sentence of a card: by its key, as it reads, and whether it was written anew; an empty one was struck."""

    key: str
    text: str
    edited: bool


class CardPieceOut(BaseModel):
    place: str
    title: str
    source: Source


class MarkOut(BaseModel):
    """What the client said of a card, how often."""

    says: Says
    many: int


class OutfitCardOut(BaseModel):
    """A card as it reads now."""

    id: UUID
    version: int
    look_id: UUID
    name: str
    pieces: list[CardPieceOut]
    how: list[CardLineOut]
    reasons: list[CardLineOut]
    mind: list[CardLineOut]
    variants: list[CardLineOut]
    #: A sentence of the stylist's own.
    own: CardLineOut
    occasions: list[str]
    air: list[int] | None
    steps: list[str]
    told: str
    marks: list[MarkOut]
    by: str


class CardsOut(BaseModel):
    """A client's cards in their order, and the occasions of her week."""

    cards: list[OutfitCardOut]
    week: list[str]


class CardIn(BaseModel):
    """A look that a card is made of; the identity is made at the desk."""

    id: UUID
    look_id: UUID


class OrderIn(BaseModel):
    order: list[UUID] = Field(max_length=MOST)


class CardLineIn(BaseModel):
    """A sentence written anew; an empty one is struck, none takes it as it is made."""

    version: int
    key: Annotated[str, StringConstraints(min_length=1, max_length=80)]
    text: Sentence | None


class BookIn(BaseModel):
    """What goes into a book, and how it is laid out."""

    layout: Literal["week", "four"] = "week"
    cards: list[UUID] = Field(min_length=1, max_length=MOST)
    parts: Parts = Parts()
    note: LongText = ""


class BookOut(BaseModel):
    """A book being made, and where it is when it is done."""

    job: JobOut
    book_id: UUID | None
    pages: int


class LinkIn(BaseModel):
    """What a client's page shows, until when, and the word it asks for."""

    id: UUID
    cards: list[UUID] = Field(default=[], max_length=MOST)
    parts: Parts = Parts()
    #: A plan whose days the page shows.
    plan_id: UUID | None = None
    note: LongText = ""
    ends_on: date
    word: Word = ""


class OpeningOut(BaseModel):
    at: datetime
    let_in: bool


class SaidOut(BaseModel):
    """Something a client said through a link."""

    id: UUID
    client_id: UUID
    client: str
    says: Says
    about: UUID | None
    title: str
    text: str
    at: datetime
    seen_at: datetime | None


class LinkOut(BaseModel):
    """A link as it is: its state, what it shows, and how often it was opened."""

    id: UUID
    state: LinkState
    made_at: datetime
    ends_on: date
    asks_word: bool
    cards: list[str]
    shows: list[str]
    openings: list[OpeningOut]
    opened: int
    missed: int
    by: str


class LinkMadeOut(BaseModel):
    """A new link: its address and the code for paper. They are told this once."""

    link: LinkOut
    address: str
    code: str


class LinksOut(BaseModel):
    links: list[LinkOut]
    said: list[SaidOut]


class SaidListOut(BaseModel):
    said: list[SaidOut]


class LetterIn(BaseModel):
    """A letter to a client; `send` sends it, else it lies ready to be taken away."""

    id: UUID
    to: Address
    subject: Subject
    text: LongText
    with_book: bool = False
    send: bool = True


class LetterOut(BaseModel):
    """A letter that was written. `state`: `waiting`, `sent`, `refused` or `stopped`, and `file` where it was only laid ready; `again_at`: when it is tried next, where
    it was tried in vain; `answer`: what the mail server said."""

    id: UUID
    to: str
    subject: str
    at: datetime
    by: str
    state: str
    again_at: datetime | None
    answer: str


class PostIn(BaseModel):
    """What a letter in the post is to do: go, now, or stop."""

    go: bool


class LettersOut(BaseModel):
    """Letters to a client, the last first, and whether a mail server is set."""

    letters: list[LetterOut]
    can_send: bool
