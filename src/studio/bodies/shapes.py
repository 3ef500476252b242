"""What the interface of bodies reads and answers."""

from __future__ import annotations

from datetime import date, datetime
from typing import Annotated, Literal
from uuid import UUID

from pydantic import BaseModel, Field, StringConstraints

from craft.body import Quantity
from studio.bodies.models import MeasuringSession, Reading
from studio.drawings import DrawnShape
from studio.schemas import Copied, Refusal, Unit

Origin = Literal["measured", "repeated", "carried", "aged", "said", "described", "estimated"]
Present = Annotated[str, StringConstraints(strip_whitespace=True, max_length=120)]


class QuantityOut(Copied):
    """A figure in cm with its spread, where four of five true values lie, and where it comes from."""

    cm: float
    spread: float
    low: float
    high: float
    origin: Origin
    settled: bool


class CardOut(Copied):
    name: str
    label: str
    kind: Literal["height", "girth", "breadth", "length"]
    turn: str
    tape: str
    client: str
    slip: str
    sided: bool


class ProtocolOut(Copied):
    key: str
    name: str
    purpose: str
    measures: list[str]


class Statement(BaseModel):
    key: str
    text: str


class Measuring(BaseModel):
    """Everything about measuring that is the same for every client."""

    cards: list[CardOut]
    protocols: list[ProtocolOut]
    consent: list[Statement]


class Typed(BaseModel):
    text: str = Field(max_length=60)
    unit: Unit


class Read(BaseModel):
    cm: float


class ConsentIn(BaseModel):
    agreed: list[Literal["measure", "record", "hold"]] = Field(default_factory=list)
    present: Present = ""
    guardian: Present = ""


class SessionIn(BaseModel):
    protocol: str = Field(max_length=20)
    side: Literal["left", "right"] = "right"
    twice: bool = True
    consent: ConsentIn


class SessionEnd(BaseModel):
    how: Literal["finished", "stopped"]


class ReadingIn(BaseModel):
    id: UUID
    measure: str
    typed: str = Field(max_length=60)
    unit: Unit
    after: UUID | None = None
    checked: bool = False
    set_aside: bool = False
    said: bool = False
    source: Literal["typed", "tape"] = "typed"
    meant_cm: Annotated[float, Field(gt=0, le=300)] | None = None


class ReadingOut(Copied):
    id: UUID
    measure: str
    cm: float
    typed: str
    source: str
    said: bool
    checked: bool
    set_aside: bool
    withdrawn: bool
    taken_at: datetime
    taken_by: str


class LastOut(BaseModel):
    cm: float
    on: date


class TapeOut(BaseModel):
    """Where the tape lies on this body, cm: lines in sight and behind."""

    height: float
    front: list[list[list[float]]]
    behind: list[list[list[float]]]


class MeasureOut(BaseModel):
    """One measure at the desk: as it is known, this session's readings, what the last session said."""

    name: str
    known: QuantityOut
    readings: list[ReadingOut]
    wants_another: bool
    #: Taken by an apprentice and not confirmed yet: by whom; else empty.
    awaits: str
    last: LastOut | None
    taken_on: date | None
    tape: TapeOut


class SessionOut(Copied):
    id: int
    started_at: datetime
    ended_at: datetime | None
    ended: str
    taken_by: str
    protocol: str
    side: str
    twice: bool
    agreed: list[str]
    present: str
    guardian: str


class DeskOut(BaseModel):
    session: SessionOut | None
    measures: list[MeasureOut]
    #: The figure as it is known today, barefoot and undressed.
    outline: list[DrawnShape]
    stature: float
    due_on: date | None
    sessions: int
    #: Where the measuring tape is heard, if there is one.
    tape: str | None


class ReadingDoubtOut(Refusal):
    reason: str
    refused: bool
    suggested_cm: float | None


class OvertakenOut(Refusal):
    current: ReadingOut | None


class WorthOut(Copied):
    measure: str
    label: str
    text: str
    score: float


def quantity_out(figure: Quantity) -> QuantityOut:
    low, high = figure.range80
    cm, spread = round(figure.cm, 2), round(figure.spread, 2)
    return QuantityOut.of(figure, cm=cm, spread=spread, low=round(low, 1), high=round(high, 1))


def reading_out(reading: Reading) -> ReadingOut:
    return ReadingOut.of(
        reading,
        cm=float(reading.cm),
        withdrawn=hasattr(reading, "withdrawal"),
        taken_by=reading.taken_by.name if reading.taken_by else "",
    )


def session_out(session: MeasuringSession) -> SessionOut:
    consent = session.consent
    return SessionOut.of(
        session,
        taken_by=session.taken_by.name if session.taken_by else "",
        agreed=consent.get("agreed", []),
        present=consent.get("present", ""),
        guardian=consent.get("guardian", ""),
    )
