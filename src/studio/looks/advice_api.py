"""What is said of pieces on a client's body; nothing here is written."""

from __future__ import annotations

from typing import Any
from uuid import UUID

from django.http import HttpResponse
from ninja import Router

from craft.advise.switch import Switched
from craft.assessment import picture
from craft.body.measures import label
from craft.schools import SAYS
from craft.units import Unit, format_length
from studio.drawings import drawn
from studio.looks import services
from studio.looks.assessment import AssessmentOut, assessment_out
from studio.looks.shapes import (
    ComparedOut,
    GoesOut,
    HeldUp,
    HowTo,
    OtherViewOut,
    OtherViewsOut,
    Pieces,
    ProfileOut,
    RailOut,
    RemediesOut,
    RemedyOut,
    Several,
    StepOut,
    TuckStepOut,
    UnsettledMeasure,
    UnsettledOut,
)
from studio.requests import MemberRequest
from studio.schemas import answer, words_of

router = Router()


def _asked(given: Pieces) -> services.Question:
    pieces = [words_of(piece) for piece in given.pieces]
    return services.Question(pieces, given.setting.read(), frozenset(given.liked), given.moving)


@router.post("/clients/{uuid:client_id}/assess", response=AssessmentOut)
def assess(request: MemberRequest, client_id: UUID, given: Pieces) -> Any:
    """Land, judge, mend and draw pieces on a client's body; none gives the body alone."""
    told = assessment_out(*services.assess_for(request.user, client_id, _asked(given)))
    return HttpResponse(told.model_dump_json(exclude_none=True), content_type="application/json")


@router.post("/clients/{uuid:client_id}/unsettled", response=UnsettledOut)
def unsettled(request: MemberRequest, client_id: UUID, given: Pieces) -> Any:
    """The measures that could still turn the verdict of these pieces; asked when the hand rests."""
    found, unit = services.unsettled_for(request.user, client_id, _asked(given))
    return UnsettledOut(unsettled=[UnsettledMeasure.of(one, unit, label=label(one.measure)) for one in found])


@router.post("/clients/{uuid:client_id}/rail", response=RailOut)
def rail(request: MemberRequest, client_id: UUID, given: Pieces) -> Any:
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
def remedies(request: MemberRequest, client_id: UUID, given: Pieces) -> Any:
    """Ways to mend what is on: free, from the rack, by the tailor, to buy; two changes where one does not do."""
    found, unit = services.remedies_for(request.user, client_id, _asked(given))
    return answer(
        RemediesOut(
            remedies=[
                RemedyOut(
                    means=remedy.means,
                    steps=[
                        StepOut.of(step, unit, change=dict(step.change), piece_id=UUID(step.key) if step.key else None)
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
def views(request: MemberRequest, client_id: UUID, given: Pieces) -> Any:
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
def profile(request: MemberRequest, client_id: UUID, given: Pieces) -> Any:
    """These pieces on the client's body, turned: from the side and from behind."""
    side, back = services.turned_for(request.user, client_id, _asked(given))
    return answer(ProfileOut(shapes=drawn(side), back=drawn(back)))


@router.post("/clients/{uuid:client_id}/tuck", response=HowTo)
def tuck(request: MemberRequest, client_id: UUID, given: Pieces) -> Any:
    """How the tuck of these pieces is made, in drawn steps on this body; none where nothing is tucked."""
    steps = services.how_to_tuck(request.user, client_id, _asked(given))
    return answer(HowTo(steps=[TuckStepOut.of(step, shapes=drawn(step.shapes)) for step in steps]))


@router.post("/clients/{uuid:client_id}/compare", response=ComparedOut)
def compare(request: MemberRequest, client_id: UUID, given: Several) -> Any:
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
                    shapes=drawn(picture(outfit)),
                    differs=list(differs),
                )
                for outfit, judgement, differs in told.looks
            ],
            best=told.best,
            because=[sentence.say(told.unit) for sentence in told.because],
        )
    )
