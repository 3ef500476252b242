"""An assessment as the screen reads it: plain figures, sentences in the studio's unit, shapes.

Plain pydantic models, written as JSON once: this is the answer to every change on the screen,
and reading it back through the interface's schemas took a third of the request.
"""

from __future__ import annotations

from typing import Any, Literal

from pydantic import BaseModel

from craft.advise import Mend
from craft.advise.figures import figures_worn
from craft.assessment import Assessment, picture
from craft.body import Body
from craft.body.measures import HEIGHTS, label
from craft.cloth.words import figure_name, said
from craft.draw.told import what_is_worn
from craft.judge import Finding
from craft.look import Outfit
from craft.look.register import AT_REST, WALKING, at_ease_in
from craft.schools import Schools
from craft.units import Unit
from studio.drawings import DrawnShape, drawn
from studio.schemas import Copied


class LandmarkOut(Copied):
    name: str
    label: str
    cm: float
    spread: float
    settled: bool


class EdgeOut(BaseModel):
    key: str
    slot: str
    name: str
    height: float
    spread: float
    settled: bool
    at: str
    half_breadth: float
    seen: bool
    #: Where its length alone would take it: lower than it lies where foot or ground holds it up.
    falls_to: float
    #: Of a hem, the figure that says how long its piece is, and what a tape would read of it now, cm.
    figure: str | None = None
    length: float | None = None


class MendOut(Copied):
    slot: str
    change: dict[str, Any]
    text: str
    score: float


class FindingOut(Copied):
    #: The rule's id: what a house mutes, a client likes or leaves out, a mend answers.
    rule: str
    code: str
    stance: Literal["for", "against", "caution"]
    weight: float
    zone: str
    height: float
    title: str
    text: str
    figure: str
    school: str | None = None
    #: Somebody likes it so all the same; `outranked` where that counts for more than the rule.
    liked: bool
    outranked: bool
    mend: MendOut | None = None


class FigureOut(BaseModel):
    """A figure of a piece: what was measured, or what its words come to on this body."""

    key: str
    label: str
    cm: float
    settled: bool


class EaseOut(BaseModel):
    """The still air, °C, in which somebody dressed so is neither warm nor cold."""

    walking: float
    at_rest: float


class AssessmentOut(BaseModel):
    stature: float
    lift: float
    landmarks: list[LandmarkOut]
    edges: list[EdgeOut]
    break_at: float | None = None
    below_share: float | None = None
    figures: dict[str, list[FigureOut]]
    #: What goes without saying, by slot and key: the plain middle of the piece's kind.
    usual: dict[str, dict[str, str]]
    findings: list[FindingOut]
    #: How formal it reads, 0 to 4, and how warm it is, clo; nothing with nothing on.
    formality: float | None = None
    clo: float | None = None
    at_ease: EaseOut | None = None
    verdict: Literal["works", "watch", "against"] | None = None
    score: float | None = None
    leading: list[str]
    #: What the picture shows, in words, the outermost piece first.
    worn: list[str]
    shapes: list[DrawnShape]


def assessment_out(assessment: Assessment, unit: Unit) -> AssessmentOut:
    """Turn an assessment into what the screen reads."""
    outfit, judgement = assessment.outfit, assessment.judgement
    dressed = bool(outfit.look.pieces)
    return AssessmentOut(
        stature=outfit.body.stature,
        lift=outfit.lift,
        landmarks=landmarks_out(outfit.body),
        edges=[
            EdgeOut(
                key=edge.key,
                slot=edge.slot,
                name=edge.name,
                height=round(edge.height, 2),
                spread=round(edge.landing.spread, 2),
                settled=edge.landing.origin == "measured",
                at=said(edge.at),
                half_breadth=round(edge.half_breadth, 2),
                seen=edge.seen,
                falls_to=round(edge.landing.falls_to, 2),
                figure=edge.figure,
                length=None if edge.length is None else round(edge.length, 2),
            )
            for edge in outfit.edges
        ],
        break_at=outfit.break_at,
        below_share=outfit.below_share,
        figures=_figures(outfit),
        usual=_usual(outfit),
        findings=[
            _finding(finding, assessment.mends.get(finding.rule), unit, outfit.schools)
            for finding in judgement.findings
        ],
        formality=outfit.formality,
        clo=round(outfit.insulation, 2) if dressed else None,
        at_ease=_at_ease(outfit) if dressed else None,
        verdict=judgement.verdict if dressed else None,
        score=round(judgement.score, 3) if dressed else None,
        leading=[finding.title for finding in judgement.leading],
        worn=list(what_is_worn(outfit)),
        shapes=drawn(picture(outfit)),
    )


def _at_ease(outfit: Outfit) -> EaseOut:
    walking, at_rest = (at_ease_in(outfit.insulation, met) for met in (WALKING, AT_REST))
    return EaseOut(walking=round(walking, 1), at_rest=round(at_rest, 1))


def landmarks_out(body: Body) -> list[LandmarkOut]:
    """The landmarks of a body, from the crown down."""
    return [
        LandmarkOut.of(figure, name=name, label=label(name), cm=round(figure.cm, 2), spread=round(figure.spread, 2))
        for name, figure in ((name, body.heights[name]) for name in HEIGHTS)
    ]


def _view(finding: Finding, schools: Schools) -> str | None:
    """Which view of the trade this is, where practitioners differ."""
    school = finding.school
    return f"{said(school)}: {said(schools.position(school))}" if school else None


def _finding(finding: Finding, mend: Mend | None, unit: Unit, schools: Schools) -> FindingOut:
    return FindingOut.of(
        *(finding, unit),
        weight=round(finding.weight, 2),
        height=round(finding.height, 2),
        school=_view(finding, schools),
        mend=MendOut.of(mend, unit, change=dict(mend.change), score=round(mend.score, 3))
        if mend and finding.stance == "against"
        else None,
    )


def _figures(outfit: Outfit) -> dict[str, list[FigureOut]]:
    """The figures a stylist may take with a tape, by slot."""
    return {
        slot: [
            FigureOut(key=key, label=figure_name(key), cm=round(cm, 1), settled=_taken(outfit, slot, key))
            for key, cm in rows
        ]
        for slot, rows in figures_worn(outfit).items()
    }


def _usual(outfit: Outfit) -> dict[str, dict[str, str]]:
    """The words the engine put in for those a piece does not say."""
    found: dict[str, dict[str, str]] = {}
    top, bottom, shoes = outfit.top, outfit.bottom, outfit.shoes
    at = {edge.key: edge.at for edge in outfit.edges}
    if top:
        found[top.piece.slot] = {
            "fit": top.fit,
            "hem": at.get("top_hem", ""),
            "neck": top.neck,
            "sleeve": top.sleeve,
            "colour": top.colour,
        }
    if bottom:
        own = {"cut": bottom.cut, "rise": bottom.rise, "hem": bottom.hem_at, "colour": bottom.colour}
        found[bottom.piece.slot] = found.get(bottom.piece.slot, {}) | own
    for layer in outfit.layers:
        place = outfit.look.place_of(layer.piece)
        hem = at.get(f"{place}_hem", "")
        found[place] = {"fit": layer.fit, "hem": hem, "sleeve": layer.sleeve, "colour": layer.colour}
    if shoes.piece:
        found["shoes"] = {"toe": shoes.toe, "bulk": shoes.bulk, "colour": shoes.colour}
    return found


def _taken(outfit: Outfit, slot: str, key: str) -> bool:
    piece = outfit.look.piece(slot)
    return piece is not None and piece.figure(key) is not None
