"""Looks kept for a client, the words pieces are described in, and the assessment."""

from __future__ import annotations

from datetime import datetime
from typing import Any, Literal
from uuid import UUID

from django.http import HttpRequest, HttpResponse
from ninja import Router, Schema, Status
from pydantic import BaseModel, Field

from craft.assessment import picture
from craft.body.measures import label
from craft.cloth import words
from craft.cloth.spoken import hear
from studio.looks import services
from studio.looks.assessment import AssessmentOut, DrawnShape, assessment_out, drawn
from studio.looks.models import Look
from studio.people.models import Client
from studio.schemas import MaybeName, PieceWords, answer, said

router = Router()
#: A look of more pieces than this is a slip.
MOST_PIECES = 12


class LookIn(Schema):
    name: MaybeName = ""
    pieces: list[PieceWords] = Field(max_length=MOST_PIECES)


class LookChange(LookIn):
    version: int


class LookOut(Schema):
    id: UUID
    client_id: UUID
    name: str
    pieces: list[PieceWords]
    version: int
    changed_at: datetime
    changed_by: str


class Pieces(Schema):
    pieces: list[PieceWords] = Field(max_length=MOST_PIECES)


class GoesOut(BaseModel):
    """A piece of the rack with what is on: the verdict and score with it, by how much that is more, and why."""

    piece_id: UUID
    verdict: Literal["works", "watch", "against"]
    score: float
    by: float
    why: str


class RailOut(BaseModel):
    """The rack beside the look that is on, the best first."""

    goes: list[GoesOut]


class DoubtOut(BaseModel):
    """A measure that is estimated and could still turn the verdict."""

    measure: str
    label: str
    low: Literal["works", "watch", "against"]
    high: Literal["works", "watch", "against"]
    text: str


class DoubtsOut(BaseModel):
    doubts: list[DoubtOut]


class Several(Schema):
    """Looks to hold up side by side."""

    looks: list[Pieces] = Field(min_length=2, max_length=4)


class HeldUp(BaseModel):
    """One look among others: how it is judged, its shapes, and the places where it differs from the first."""

    verdict: Literal["works", "watch", "against"]
    score: float
    leading: list[str]
    height: float
    shapes: list[DrawnShape]
    differs: list[str]


class ComparedOut(BaseModel):
    """Looks side by side on one floor; which is best, and why it is better than the next."""

    looks: list[HeldUp]
    best: int
    because: list[str]


class Spoken(Schema):
    text: str = Field(max_length=600)


class Colour(Schema):
    name: str
    hex: str


class Vocabulary(Schema):
    kinds: dict[str, list[str]]
    one_of: dict[str, list[str]]
    some_of: dict[str, list[str]]
    leg_cuts: list[str]
    top_cuts: list[str]
    skirt_cuts: list[str]
    colours: list[Colour]


def look_out(look: Look) -> LookOut:
    return LookOut(
        id=look.id,
        client_id=look.client_id,
        name=look.name,
        pieces=[PieceWords.model_validate(piece) for piece in look.pieces],
        version=look.version,
        changed_at=look.changed_at,
        changed_by=look.changed_by.name if look.changed_by else "",
    )


@router.get("/words", response=Vocabulary)
def vocabulary(request: HttpRequest) -> Any:
    """The words pieces are described in; kinds by slot."""
    return Vocabulary(
        kinds={slot: list(kinds) for slot, kinds in words.KINDS.items()},
        one_of={key: list(choices) for key, choices in words.ONE_OF.items()},
        some_of={key: list(choices) for key, choices in words.SOME_OF.items()},
        leg_cuts=list(words.LEG_CUTS),
        top_cuts=list(words.TOP_CUTS),
        skirt_cuts=list(words.DRESS_CUTS),
        colours=[Colour(name=name, hex=code) for name, code in words.COLOURS.items()],
    )


@router.post("/words/hear", response=Pieces, exclude_none=True, by_alias=True)
def hear_words(request: HttpRequest, given: Spoken) -> Any:
    """The pieces of a look described in a sentence."""
    return Pieces(pieces=[PieceWords.model_validate(piece) for piece in hear(given.text)])


@router.post("/clients/{uuid:client_id}/assess", response=AssessmentOut)
def assess(request: HttpRequest, client_id: UUID, given: Pieces) -> Any:
    """Land, judge, mend and draw pieces on a client's body; none gives the body alone."""
    pieces = [said(piece) for piece in given.pieces]
    told = assessment_out(*services.assess_for(request.user, client_id, pieces))
    return HttpResponse(told.model_dump_json(exclude_none=True), content_type="application/json")


@router.post("/clients/{uuid:client_id}/doubts", response=DoubtsOut)
def doubts(request: HttpRequest, client_id: UUID, given: Pieces) -> Any:
    """The measures that could still turn the verdict of these pieces; asked when the hand rests."""
    found, unit = services.doubts_for(request.user, client_id, [said(piece) for piece in given.pieces])
    return DoubtsOut(
        doubts=[
            DoubtOut(measure=one.measure, label=label(one.measure), low=one.low, high=one.high, text=one.text.say(unit))
            for one in found
        ]
    )


@router.post("/clients/{uuid:client_id}/rail", response=RailOut)
def rail(request: HttpRequest, client_id: UUID, given: Pieces) -> Any:
    """Every piece of the client's rack put on with these in its place, judged and ranked."""
    pieces = [said(piece) for piece in given.pieces]
    return answer(
        RailOut(
            goes=[
                GoesOut(
                    piece_id=UUID(goes.key),
                    verdict=goes.judgement.verdict,
                    score=round(goes.judgement.score, 3),
                    by=round(goes.by, 3),
                    why=goes.why.title if goes.why else "",
                )
                for goes in services.rail_for(request.user, client_id, pieces)
            ]
        )
    )


@router.post("/clients/{uuid:client_id}/compare", response=ComparedOut)
def compare(request: HttpRequest, client_id: UUID, given: Several) -> Any:
    """Two to four looks side by side: each judged and drawn, and why the best is better than the next."""
    told = services.compared(request.user, client_id, [[said(piece) for piece in look.pieces] for look in given.looks])
    return answer(
        ComparedOut(
            looks=[
                HeldUp(
                    verdict=judgement.verdict,
                    score=round(judgement.score, 3),
                    leading=[finding.title for finding in judgement.leading],
                    height=outfit.height,
                    shapes=[drawn(shape) for shape in picture(outfit)],
                    differs=list(differs),
                )
                for outfit, judgement, differs in told.looks
            ],
            best=told.best,
            because=[sentence.say(told.unit) for sentence in told.because],
        )
    )


@router.get("/clients/{uuid:client_id}/looks", response=list[LookOut], exclude_none=True, by_alias=True)
def looks(request: HttpRequest, client_id: UUID) -> Any:
    """A client's looks, the last changed first."""
    client = Client.objects.of(request.user).kept().found(id=client_id)
    rows = Look.objects.of(request.user).kept().filter(client=client).select_related("changed_by")
    return [look_out(look) for look in rows.order_by("-changed_at")]


@router.post("/clients/{uuid:client_id}/looks", response={201: LookOut}, exclude_none=True, by_alias=True)
def keep(request: HttpRequest, client_id: UUID, given: LookIn) -> Any:
    """Keep a new look."""
    pieces = [said(piece) for piece in given.pieces]
    return Status(201, look_out(services.keep_look(request.user, client_id, given.name, pieces)))


@router.put("/looks/{uuid:look_id}", response=LookOut, exclude_none=True, by_alias=True)
def change(request: HttpRequest, look_id: UUID, given: LookChange) -> Any:
    """Change a look; refused with the current one when somebody changed it meanwhile."""
    pieces = [said(piece) for piece in given.pieces]
    return look_out(services.change_look(request.user, look_id, given.version, given.name, pieces))


@router.delete("/looks/{uuid:look_id}", response={204: None})
def remove(request: HttpRequest, look_id: UUID) -> Any:
    """Take a look away; can be undone."""
    services.remove_look(request.user, look_id)
    return Status(204, None)


@router.post("/looks/{uuid:look_id}/restore", response=LookOut, exclude_none=True, by_alias=True)
def restore(request: HttpRequest, look_id: UUID) -> Any:
    """Undo a removal."""
    return look_out(services.restore_look(request.user, look_id))
