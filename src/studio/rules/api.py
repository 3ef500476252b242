"""The house rules as the screen reads and changes them."""

from __future__ import annotations

from functools import lru_cache
from typing import Any, Literal
from uuid import UUID

from django.http import HttpResponse
from ninja import Router
from pydantic import BaseModel, Field

from craft.draw.specimens import bodies_svg, kinds_svg
from craft.judge import RULES
from craft.judge.judgement import BORDERS
from studio.requests import MemberRequest
from studio.rules import services
from studio.schemas import Copied, Refusal, answer, file_of

router = Router()
Verdict = Literal["works", "watch", "against"]


class RuleOut(Copied):
    """One rule: what it says, where from, whether this house follows it, and how many kept looks it speaks of."""

    id: str
    subject: str
    says: str
    #: The schools that it asks, where practitioners differ, and the part of the trade's knowledge it restates.
    schools: list[str]
    source: str
    muted: bool
    touches: int


class RuleBorderOut(Copied):
    """A figure that rules hold a look against: usual, where this house draws it, and how far it may be moved."""

    key: str
    rules: list[str]
    says: str
    unit: Literal["cm", "share", "scale", "°C"]
    usual: float
    low: float
    high: float
    drawn: float


class RulesOut(BaseModel):
    rules: list[RuleOut]
    borders: list[RuleBorderOut]


class Ways(BaseModel):
    """Another way of judging: schools taken, rules muted."""

    schools: dict[str, str] = Field(max_length=40)
    muted: list[str] = Field(max_length=200)
    borders: dict[str, float] = Field(default={}, max_length=200)


class OtherwiseOut(Copied):
    look_id: UUID
    client_id: UUID
    client: str
    name: str
    now: Verdict
    then: Verdict


class EffectOut(Copied):
    """What would be said otherwise: looks of those judged, and pieces by client of those landed."""

    looks: list[OtherwiseOut]
    judged: int
    pieces: dict[str, int]
    landed: int


class ExampleOut(Copied):
    look_id: UUID
    client_id: UUID
    client: str
    name: str
    stance: Literal["for", "against", "caution"]
    title: str
    text: str
    figure: str


class ExamplesOut(BaseModel):
    looks: list[ExampleOut]


@router.get("/rules", response=RulesOut)
def rules(request: MemberRequest) -> Any:
    """Every rule of the engine."""
    spoken = services.touched(request.user)
    muted = set(request.user.studio.muted)
    drawn = request.user.studio.borders
    return answer(
        RulesOut(
            rules=[RuleOut.of(rule, muted=rule.id in muted, touches=len(spoken[rule.id])) for rule in RULES],
            borders=[
                RuleBorderOut.of(
                    border,
                    rules=[rule.id for rule in RULES if border in rule.borders],
                    drawn=drawn.get(border.key, border.usual),
                )
                for border in BORDERS
            ],
        )
    )


@router.get("/rules/{rule_id}/looks", response={200: ExamplesOut, 422: Refusal})
def spoken_of(request: MemberRequest, rule_id: str) -> Any:
    """The kept looks that a rule speaks of."""
    unit = request.user.studio.unit
    return ExamplesOut(
        looks=[
            ExampleOut.of(
                said, unit, look_id=look.id, client_id=look.client_id, client=look.client.name, name=look.name
            )
            for look, said in services.examples(request.user, rule_id)
        ]
    )


@router.post("/rules/effect", response={200: EffectOut, 422: Refusal})
def effect(request: MemberRequest, given: Ways) -> Any:
    """What another way of judging would change; nothing is written."""
    told = services.effect_of(request.user, given.schools, given.muted, given.borders)
    return answer(
        EffectOut.of(
            told,
            looks=[
                OtherwiseOut.of(
                    one,
                    look_id=one.look.id,
                    client_id=one.look.client_id,
                    client=one.look.client.name,
                    name=one.look.name,
                )
                for one in told.looks
            ],
        )
    )


@router.get("/specimens.svg", response=bytes, openapi_extra=file_of("image/svg+xml"))
def specimens(request: MemberRequest, sheet: Literal["kinds", "bodies"] = "kinds") -> Any:
    """How this house draws: every kind of piece, or one look on three bodies."""
    return HttpResponse(_sheet(sheet), content_type="image/svg+xml", headers={"Cache-Control": "private, max-age=3600"})


@lru_cache(maxsize=2)
def _sheet(sheet: str) -> str:
    return kinds_svg() if sheet == "kinds" else bodies_svg()
