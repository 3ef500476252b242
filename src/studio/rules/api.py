"""The house rules as the screen reads and changes them."""

from __future__ import annotations

from typing import Any, Literal
from uuid import UUID

from django.http import HttpRequest
from ninja import Router
from pydantic import BaseModel, Field

from craft.judge import RULES
from craft.judge.judgement import BORDERS
from studio.rules import services
from studio.schemas import Refusal, answer

router = Router()
Verdict = Literal["works", "watch", "against"]


class RuleOut(BaseModel):
    """One rule: what it says, where from, whether this house follows it, and how many kept looks it speaks of."""

    key: str
    subject: str
    says: str
    #: The schools that it asks, where practitioners differ, and the part of the trade's knowledge it restates.
    schools: list[str]
    source: str
    muted: bool
    touches: int


class RuleBorderOut(BaseModel):
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


class OtherwiseOut(BaseModel):
    look_id: UUID
    client_id: UUID
    client: str
    name: str
    now: Verdict
    then: Verdict


class EffectOut(BaseModel):
    """What would be said otherwise: looks of those judged, and pieces by client of those landed."""

    looks: list[OtherwiseOut]
    judged: int
    pieces: dict[str, int]
    landed: int


class ExampleOut(BaseModel):
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
def rules(request: HttpRequest) -> Any:
    """Every rule of the engine."""
    spoken = services.touched(request.user)
    muted = set(request.user.studio.muted)
    drawn = request.user.studio.borders
    return answer(
        RulesOut(
            rules=[
                RuleOut(
                    key=rule.key,
                    subject=rule.subject,
                    says=rule.says,
                    schools=list(rule.schools),
                    source=rule.source,
                    muted=rule.key in muted,
                    touches=len(spoken[rule.key]),
                )
                for rule in RULES
            ],
            borders=[
                RuleBorderOut(
                    key=border.key,
                    rules=list(border.rules),
                    says=border.says,
                    unit=border.unit,
                    usual=border.usual,
                    low=border.low,
                    high=border.high,
                    drawn=drawn.get(border.key, border.usual),
                )
                for border in BORDERS
            ],
        )
    )


@router.get("/rules/{key}/looks", response={200: ExamplesOut, 422: Refusal})
def spoken_of(request: HttpRequest, key: str) -> Any:
    """The kept looks that a rule speaks of."""
    unit = request.user.studio.unit
    return ExamplesOut(
        looks=[
            ExampleOut(
                look_id=look.id,
                client_id=look.client_id,
                client=look.client.name,
                name=look.name,
                stance=finding.stance,
                title=finding.title,
                text=finding.text.say(unit),
                figure=finding.figure.say(unit),
            )
            for look, finding in services.examples(request.user, key)
        ]
    )


@router.post("/rules/effect", response={200: EffectOut, 422: Refusal})
def effect(request: HttpRequest, given: Ways) -> Any:
    """What another way of judging would change; nothing is written."""
    told = services.effect_of(request.user, given.schools, given.muted, given.borders)
    return answer(
        EffectOut(
            looks=[
                OtherwiseOut(
                    look_id=one.look.id,
                    client_id=one.look.client_id,
                    client=one.look.client.name,
                    name=one.look.name,
                    now=one.now,
                    then=one.then,
                )
                for one in told.looks
            ],
            judged=told.judged,
            pieces=told.pieces,
            landed=told.landed,
        )
    )
