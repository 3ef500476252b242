"""Looks kept for a client, the words pieces are described in, and the assessment."""

from __future__ import annotations

from collections.abc import Mapping
from datetime import datetime
from typing import Any, Literal
from uuid import UUID

from django.http import HttpRequest, HttpResponse
from ninja import Router, Schema, Status
from pydantic import BaseModel, Field

from craft.advise.switch import Switched
from craft.assessment import picture
from craft.body.measures import label
from craft.cloth import words
from craft.cloth.spoken import hear
from craft.formats.look_form import FiledSetting, LookFacts
from craft.schools import SAYS
from craft.units import Unit, format_length
from studio.looks import services
from studio.looks.assessment import AssessmentOut, DrawnShape, assessment_out, drawn
from studio.looks.links import rack_of, worn_now
from studio.looks.models import Look
from studio.people.models import Client
from studio.schemas import MaybeName, PieceWords, answer, said

router = Router()
Verdict = Literal["works", "watch", "against"]
#: A look of more pieces than this is a slip.
MOST_PIECES = 12


class LookIn(Schema):
    """A look to keep. `from_rack` says by the place on the body which piece of the client's rack is worn there."""

    name: MaybeName = ""
    pieces: list[PieceWords] = Field(max_length=MOST_PIECES)
    facts: LookFacts = LookFacts()
    variant_of: UUID | None = None
    from_rack: dict[str, UUID] = Field(default={}, max_length=MOST_PIECES)


class LookChange(LookIn):
    version: int


class LookOut(Schema):
    id: UUID
    client_id: UUID
    name: str
    pieces: list[PieceWords]
    facts: LookFacts
    variant_of: UUID | None
    from_rack: dict[str, UUID]
    version: int
    changed_at: datetime
    changed_by: str


class Pieces(Schema):
    """Pieces to be judged: where they are worn, the rules that are outranked because somebody likes it so, and whether
    the hand still moves, so that mends can wait."""

    pieces: list[PieceWords] = Field(max_length=MOST_PIECES)
    setting: FiledSetting = FiledSetting()
    liked: list[str] = Field(default=[], max_length=40)
    moving: bool = False


class Described(Schema):
    """Pieces that were heard in a sentence."""

    pieces: list[PieceWords]


class GoesOut(BaseModel):
    """A piece of the rack with what is on: the verdict and score with it, by how much that is more, and why."""

    piece_id: UUID
    verdict: Verdict
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
    low: Verdict
    high: Verdict
    text: str


class DoubtsOut(BaseModel):
    doubts: list[DoubtOut]


class Several(Schema):
    """Looks to hold up side by side."""

    looks: list[Pieces] = Field(min_length=2, max_length=4)


class HeldUp(BaseModel):
    """One look among others: how it is judged, its shapes, and the places where it differs from the first."""

    verdict: Verdict
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


class StepOut(BaseModel):
    """One change of a way to mend: words of the piece at a slot, or a piece of the rack to put on."""

    means: Literal["free", "rack", "tailor", "buy"]
    text: str
    slot: str
    change: dict[str, Any]
    piece_id: UUID | None


class RemedyOut(BaseModel):
    """A way to mend, with what it reaches: verdict, what no longer speaks against the look, what then does."""

    means: Literal["free", "rack", "tailor", "buy"]
    steps: list[StepOut]
    verdict: Verdict
    score: float
    gone: list[str]
    new: list[str]
    shop: str


class RemediesOut(BaseModel):
    remedies: list[RemedyOut]


class OtherViewOut(BaseModel):
    """What another position of a school would say: the verdicts, and in words what comes, what goes and what turns."""

    school: str
    asks: str
    position: str
    answer: str
    taken: str
    now: Verdict
    then: Verdict
    says: list[str]


class OtherViewsOut(BaseModel):
    """The other positions of the schools that speak otherwise of what is on."""

    views: list[OtherViewOut]


class TuckStepOut(BaseModel):
    """One step of a tuck: what to do, how it then looks on this body, and where the hand is, cm."""

    text: str
    shapes: list[DrawnShape]
    hand: list[float]
    top: float
    bottom: float
    behind: bool


class ProfileOut(BaseModel):
    """The side outline: x forward of the plumb line through the ankle, cm."""

    shapes: list[DrawnShape]


class HowTo(BaseModel):
    steps: list[TuckStepOut]


def look_out(look: Look, rack: Mapping[str, Any] | None = None) -> LookOut:
    """A look, its pieces as they hang on the rack now where they come from there."""
    pieces = worn_now(look, rack_of([look]) if rack is None else rack)
    return LookOut(
        id=look.id,
        client_id=look.client_id,
        name=look.name,
        pieces=[PieceWords.model_validate(piece) for piece in pieces],
        facts=LookFacts.model_validate(look.facts),
        variant_of=look.variant_of_id,
        from_rack={place: UUID(link["piece"]) for place, link in look.links.items()},
        version=look.version,
        changed_at=look.changed_at,
        changed_by=look.changed_by.name if look.changed_by else "",
    )


def _asked(given: Pieces) -> services.Question:
    pieces = [said(piece) for piece in given.pieces]
    return services.Question(pieces, given.setting.read(), frozenset(given.liked), given.moving)


def _kept(given: LookIn) -> services.Kept:
    pieces = [said(piece) for piece in given.pieces]
    return services.Kept(given.name, pieces, given.facts, given.variant_of, given.from_rack)


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


@router.post("/words/hear", response=Described, exclude_none=True, by_alias=True)
def hear_words(request: HttpRequest, given: Spoken) -> Any:
    """The pieces of a look described in a sentence."""
    return Described(pieces=[PieceWords.model_validate(piece) for piece in hear(given.text)])


@router.post("/clients/{uuid:client_id}/assess", response=AssessmentOut)
def assess(request: HttpRequest, client_id: UUID, given: Pieces) -> Any:
    """Land, judge, mend and draw pieces on a client's body; none gives the body alone."""
    told = assessment_out(*services.assess_for(request.user, client_id, _asked(given)))
    return HttpResponse(told.model_dump_json(exclude_none=True), content_type="application/json")


@router.post("/clients/{uuid:client_id}/doubts", response=DoubtsOut)
def doubts(request: HttpRequest, client_id: UUID, given: Pieces) -> Any:
    """The measures that could still turn the verdict of these pieces; asked when the hand rests."""
    found, unit = services.doubts_for(request.user, client_id, _asked(given))
    return DoubtsOut(
        doubts=[
            DoubtOut(measure=one.measure, label=label(one.measure), low=one.low, high=one.high, text=one.text.say(unit))
            for one in found
        ]
    )


@router.post("/clients/{uuid:client_id}/rail", response=RailOut)
def rail(request: HttpRequest, client_id: UUID, given: Pieces) -> Any:
    """Every piece of the client's rack put on with these in its place, judged and ranked."""
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
                for goes in services.rail_for(request.user, client_id, _asked(given))
            ]
        )
    )


@router.post("/clients/{uuid:client_id}/remedies", response=RemediesOut)
def remedies(request: HttpRequest, client_id: UUID, given: Pieces) -> Any:
    """Ways to mend what is on: free, from the rack, by the tailor, to buy; two changes where one does not do."""
    found, unit = services.remedies_for(request.user, client_id, _asked(given))
    return answer(
        RemediesOut(
            remedies=[
                RemedyOut(
                    means=remedy.means,
                    steps=[
                        StepOut(
                            means=step.means,
                            text=step.text.say(unit),
                            slot=step.slot,
                            change=dict(step.change),
                            piece_id=UUID(step.key) if step.key else None,
                        )
                        for step in remedy.steps
                    ],
                    verdict=remedy.judgement.verdict,
                    score=round(remedy.judgement.score, 3),
                    gone=[finding.title for finding in remedy.gone],
                    new=[finding.title for finding in remedy.new],
                    shop=", ".join(f"{name} {format_length(cm, unit)}" for name, cm in remedy.shop),
                )
                for remedy in found
            ]
        )
    )


@router.post("/clients/{uuid:client_id}/views", response=OtherViewsOut)
def views(request: HttpRequest, client_id: UUID, given: Pieces) -> Any:
    """What the other positions of the schools would say of these pieces; nothing is written."""
    on, told = services.views_for(request.user, client_id, _asked(given))
    return answer(
        OtherViewsOut(
            views=[
                OtherViewOut(
                    school=school,
                    asks=SAYS[school][0],
                    position=position,
                    answer=SAYS[school][1][position],
                    taken=SAYS[school][1][on.schools.position(school)],
                    now=one.now.verdict,
                    then=one.then.verdict,
                    says=_differences(one, on.unit),
                )
                for school, position, one in told
            ]
        )
    )


def _differences(told: Switched, unit: Unit) -> list[str]:
    stances = {finding.rule: finding.stance for finding in told.now.findings}
    turns = [finding for finding in told.turned if finding.stance != stances[finding.rule]]
    weighs = [finding for finding in told.turned if finding.stance == stances[finding.rule]]
    return [
        *(f"Turns {finding.stance}: {finding.text.say(unit)}" for finding in turns),
        *(f"Said then: {finding.text.say(unit)}" for finding in told.new),
        *_listed("No longer said", [finding.title for finding in told.gone]),
        *_listed("Weighs otherwise", [finding.title for finding in weighs]),
    ]


def _listed(how: str, titles: list[str]) -> list[str]:
    return [f"{how}: {', '.join(titles).lower()}."] if titles else []


@router.post("/clients/{uuid:client_id}/profile", response=ProfileOut)
def profile(request: HttpRequest, client_id: UUID, given: Pieces) -> Any:
    """These pieces on the client's body, from the side."""
    shapes = services.profile_for(request.user, client_id, _asked(given))
    return answer(ProfileOut(shapes=[drawn(shape) for shape in shapes]))


@router.post("/clients/{uuid:client_id}/tuck", response=HowTo)
def tuck(request: HttpRequest, client_id: UUID, given: Pieces) -> Any:
    """How the tuck of these pieces is made, in drawn steps on this body; none where nothing is tucked."""
    steps = services.how_to_tuck(request.user, client_id, _asked(given))
    return answer(
        HowTo(
            steps=[
                TuckStepOut(
                    text=step.text,
                    shapes=[drawn(shape) for shape in step.shapes],
                    hand=list(step.hand),
                    top=step.top,
                    bottom=step.bottom,
                    behind=step.behind,
                )
                for step in steps
            ]
        )
    )


@router.post("/clients/{uuid:client_id}/compare", response=ComparedOut)
def compare(request: HttpRequest, client_id: UUID, given: Several) -> Any:
    """Two to four looks side by side: each judged and drawn, and why the best is better than the next."""
    told = services.compared(request.user, client_id, [_asked(look) for look in given.looks])
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
    found = list(rows.order_by("-changed_at"))
    rack = rack_of(found)
    return [look_out(look, rack) for look in found]


@router.post("/clients/{uuid:client_id}/looks", response={201: LookOut}, exclude_none=True, by_alias=True)
def keep(request: HttpRequest, client_id: UUID, given: LookIn) -> Any:
    """Keep a new look."""
    return Status(201, look_out(services.keep_look(request.user, client_id, _kept(given))))


@router.put("/looks/{uuid:look_id}", response=LookOut, exclude_none=True, by_alias=True)
def change(request: HttpRequest, look_id: UUID, given: LookChange) -> Any:
    """Change a look; refused with the current one when somebody changed it meanwhile."""
    return look_out(services.change_look(request.user, look_id, given.version, _kept(given)))


@router.delete("/looks/{uuid:look_id}", response={204: None})
def remove(request: HttpRequest, look_id: UUID) -> Any:
    """Take a look away; can be undone."""
    services.remove_look(request.user, look_id)
    return Status(204, None)


@router.post("/looks/{uuid:look_id}/restore", response=LookOut, exclude_none=True, by_alias=True)
def restore(request: HttpRequest, look_id: UUID) -> Any:
    """Undo a removal."""
    return look_out(services.restore_look(request.user, look_id))
