"""The reading of a body as the screen reads it."""

from __future__ import annotations

from typing import Any, Literal

from pydantic import BaseModel

from craft.body import Body, ShapeReading
from craft.body.measures import label
from craft.cloth.words import said
from craft.read import BodyReading, read_body
from craft.read.balance import Part, Place
from craft.units import Unit
from studio.bodies.known import known_of, measures_from, open_session
from studio.bodies.shapes import QuantityOut, quantity_out
from studio.people.known import client_of
from studio.people.models import Member
from studio.schemas import Copied


class BandOut(BaseModel):
    shape: str
    low: float
    high: float


class AlongOut(BaseModel):
    """One measure as a line: where it is, and which shape would be read where."""

    measure: str
    here: QuantityOut
    bands: list[BandOut]


class BorderOut(Copied):
    shape: str
    measure: str
    cm: float


class DifferenceOut(Copied):
    name: str
    cm: float
    per_cent: float
    settled: bool


class ViewOut(Copied):
    """One reading of the shape: by girths, or by the breadths that meet the eye."""

    shape: str
    settled: bool
    near_border: bool
    has_waist: bool
    runner_up: BorderOut | None


class PartOut(Copied):
    name: str
    low: float
    high: float
    share: float
    over_usual: float
    word: Literal["short", "usual", "long"]
    settled: bool


class PlaceOut(Copied):
    name: str
    kind: Literal["narrow", "wide"]
    height: float
    girth: float
    by: float
    settled: bool


class SeatedOut(BaseModel):
    hem_rises: float
    back_needs: float
    above_seat: float


class BodyReadingOut(BaseModel):
    girths: ViewOut
    front: ViewOut
    along: list[AlongOut]
    differences: list[DifferenceOut]
    parts: list[PartOut]
    places: list[PlaceOut]
    stature_word: str
    waist_word: str
    seated: SeatedOut
    lives_seated: bool
    sentences: list[str]
    advice: list[str]
    both_sides: bool


def reading_of(member: Member, client_id: Any) -> BodyReadingOut:
    """What a client's measures say, in the studio's unit."""
    client = client_of(member, client_id)
    body = Body.of(measures_from(known_of(client, open_session(client)), client))
    return _out(body, read_body(body), client.studio.unit, lives_seated=bool(client.brief.get("seated")))


def _out(body: Body, reading: BodyReading, unit: Unit, *, lives_seated: bool) -> BodyReadingOut:
    return BodyReadingOut(
        girths=_view(reading.girths),
        front=_view(reading.front),
        along=[
            AlongOut(
                measure=label(name),
                here=quantity_out(body.quantity(name)),
                bands=[BandOut(shape=said(band.shape), low=band.low, high=band.high) for band in bands],
            )
            for name, bands in reading.girths.bands
        ],
        differences=[
            DifferenceOut.of(d, cm=round(d.cm, 1), per_cent=round(d.per_cent, 1)) for d in reading.girths.differentials
        ],
        parts=[_part(part) for part in reading.parts],
        places=[_place(place) for place in reading.places],
        stature_word=reading.stature,
        waist_word=reading.waist.replace("_", "-"),
        seated=SeatedOut(**{name: round(getattr(reading.seated, name), 1) for name in SeatedOut.model_fields}),
        lives_seated=lives_seated,
        sentences=[sentence.say(unit) for sentence in reading.sentences],
        advice=[advice.text for advice in reading.advice],
        both_sides=reading.both_sides,
    )


def _view(view: ShapeReading) -> ViewOut:
    border = view.runner_up
    other = BorderOut.of(border, shape=said(border.shape)) if border else None
    return ViewOut.of(view, shape=said(view.shape), runner_up=other)


def _part(part: Part) -> PartOut:
    figures = ("low", "high", "share", "over_usual")
    return PartOut.of(part, **{name: round(getattr(part, name), 3) for name in figures})


def _place(place: Place) -> PlaceOut:
    return PlaceOut.of(place, **{name: round(getattr(place, name), 1) for name in ("height", "girth", "by")})
