"""Plans, as the screens read and write them."""

from __future__ import annotations

from datetime import date
from typing import Annotated, Literal
from uuid import UUID

from pydantic import BaseModel, Field, StringConstraints

from studio.edit.shapes import EditLookOut, JobOut
from studio.plan.forms import EARLIEST, LATEST, MOST_DAYS, Asks, DaysForm, Key, OccasionForm
from studio.schemas import MaybeName

PlanKind = Literal["week", "trip"]


class PlanDayOut(BaseModel):
    """An occasion and what it wears: whether that is kept by hand, other looks for it, what is kept from it, whether it was worn."""

    key: str
    look: EditLookOut | None = None
    kept: bool
    others: list[EditLookOut]
    without: list[str]
    #: What is put on for the way there.
    way: str
    worn: bool


class PackedPieceOut(BaseModel):
    """A piece that is taken along: what it is for, and whether it is worn on the way."""

    piece_id: UUID
    title: str
    grams: int
    on_the_way: bool
    ticked: bool
    days: list[str]


class PlanOut(BaseModel):
    id: UUID
    version: int
    kind: PlanKind
    name: str
    place: str
    occasions: list[OccasionForm]
    asks: Asks
    days: list[PlanDayOut]
    #: How much better any other plan from the same looks could be at most, and how many looks were weighed.
    short_by: float
    weighed: int
    broken: list[str]
    taken: list[PackedPieceOut]
    grams: int
    fewest: bool
    #: Whether something was changed since it was dressed last.
    can_undo: bool
    by: str


class PlansOut(BaseModel):
    plans: list[PlanOut]


class PlanJobOut(BaseModel):
    """A plan being dressed."""

    job: JobOut
    plan: PlanOut


class ProposedIn(BaseModel):
    first: date = Field(ge=EARLIEST, le=LATEST)
    days: int = Field(default=7, ge=1, le=MOST_DAYS)


class ProposedOut(BaseModel):
    occasions: list[OccasionForm]


class PlanIn(DaysForm):
    """A new plan; the identity is made at the desk."""

    id: UUID
    kind: PlanKind


class PlanChange(DaysForm):
    version: int


class DayDoing(BaseModel):
    """What is done with a day by hand."""

    version: int
    key: Key
    doing: Literal["keep", "free", "other", "without"]
    other: int | None = Field(default=None, ge=0, le=20)
    piece: UUID | None = None


class VersionIn(BaseModel):
    version: int


class TickIn(BaseModel):
    piece: UUID
    on: bool


class WornIn(BaseModel):
    """What was worn on a day."""

    id: UUID
    on: date = Field(ge=EARLIEST, le=LATEST)
    pieces: list[UUID] = Field(min_length=1, max_length=12)
    seen_by: list[MaybeName] = Field(default=[], max_length=6)
    title: MaybeName = ""
    #: The plan's occasion it was said of.
    source: Annotated[str, StringConstraints(max_length=80)] = ""


class WornOut(BaseModel):
    id: UUID
    on: date
    title: str
    pieces: list[str]
    by_client: bool


class UseOut(BaseModel):
    """How a piece was used: on how many days, when last, what a day of it has cost so far."""

    piece_id: UUID
    title: str
    days: int
    last: date | None
    a_wear: float | None


class UsesOut(BaseModel):
    """What was worn, how each piece was used, what hangs unworn, what is always worn; since when it is recorded."""

    worn: list[WornOut]
    uses: list[UseOut]
    unworn: list[UUID]
    always: list[UUID]
    begun: date | None
    currency: str
