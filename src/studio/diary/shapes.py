"""The diary, as the screens read and write it."""

from __future__ import annotations

from datetime import date, datetime, time
from typing import Annotated, Literal
from uuid import UUID

from pydantic import AfterValidator, BaseModel, Field, StringConstraints, WithJsonSchema

from craft.diary.kinds import VisitKind
from studio.diary.due import DueKind
from studio.diary.services import LONGEST
from studio.plan.forms import EARLIEST, LATEST
from studio.schemas import LONGEST as LONGEST_TEXT
from studio.schemas import MaybeName, Note

Zone = Annotated[str, StringConstraints(min_length=1, max_length=40)]
Day = Annotated[date, Field(ge=EARLIEST, le=LATEST)]
Minutes = Annotated[int, Field(ge=5, le=LONGEST)]
Between = Annotated[int, Field(ge=0, le=600)]


def _in_reach(told: datetime) -> datetime:
    if not EARLIEST <= told.date() <= LATEST:
        raise ValueError("This is too far away.")
    return told


def _on_the_wall(told: datetime) -> datetime:
    if told.tzinfo is not None:
        raise ValueError("Say the time as the clock on the wall shows it; the zone is said beside.")
    return _in_reach(told)


def _instant(told: datetime) -> datetime:
    if told.tzinfo is None:
        raise ValueError("Say this time with its zone.")
    return _in_reach(told)


#: A time on a wall has no offset, and so is no date-time of RFC 3339.
ON_A_WALL = {"type": "string", "pattern": r"^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}(:\d{2})?$"}
Wall = Annotated[datetime, AfterValidator(_on_the_wall), WithJsonSchema(ON_A_WALL)]
Instant = Annotated[datetime, AfterValidator(_instant)]


class AppointmentIn(BaseModel):
    """An appointment; `local` is the time on the wall of its zone."""

    kind: VisitKind
    client_id: UUID | None = None
    title: MaybeName = ""
    local: Wall
    minutes: Minutes
    zone: Zone
    members: list[int] = Field(min_length=1, max_length=40)
    place: MaybeName = ""
    travel: Between = 0
    buffer: Between = 0
    along: MaybeName = ""
    note: Note = ""
    rule: Annotated[str, StringConstraints(strip_whitespace=True, max_length=120)] = ""


class NewAppointment(AppointmentIn):
    id: UUID


class AppointmentChange(AppointmentIn):
    version: int


class MoveIn(BaseModel):
    """Moved to a wall time, or by days and minutes of the wall's clock, or made longer; of a repeat, which day."""

    version: int
    local: Wall | None = None
    days: int = Field(default=0, ge=-400, le=400)
    minutes: int = Field(default=0, ge=-1440, le=1440)
    longer: int = Field(default=0, ge=-1440, le=1440)
    occurrence: Instant | None = None


class OneDayIn(BaseModel):
    version: int
    occurrence: Instant


class CameOfIn(BaseModel):
    version: int
    text: Note
    done: bool = True


class AppointmentOut(BaseModel):
    """An appointment on a day. `starts_at` is the instant, `local` what the wall shows, `begins` the first of its days."""

    key: str
    id: UUID
    version: int
    kind: VisitKind
    title: str
    own_title: str
    client_id: UUID | None
    client: str
    starts_at: datetime
    local: Wall
    begins: Wall
    minutes: int
    zone: str
    members: list[int]
    place: str
    travel: int
    buffer: int
    along: str
    note: str
    rule: str
    came_of: str
    done_at: datetime | None
    by: str


class DueOut(BaseModel):
    """Something that is due, on the day that it is."""

    kind: DueKind
    on: date
    client_id: UUID | None
    client: str
    text: str


class ClashOut(BaseModel):
    """Two appointments that do not go together, for whom, and how many minutes are missing."""

    what: Literal["overlap", "travel"]
    one: str
    other: str
    text: str


class MemberOut(BaseModel):
    id: int
    name: str


class KindOfVisitOut(BaseModel):
    """A kind of visit with its usual length, travel and buffer, minutes."""

    kind: VisitKind
    name: str
    minutes: int
    travel: int
    buffer: int
    with_client: bool


class HolidayOut(BaseModel):
    """A public holiday where the studio works."""

    on: date
    name: str


class RegionOut(BaseModel):
    """A part of a country with public holidays of its own."""

    place: str
    name: str


class CountryOut(BaseModel):
    """A country whose public holidays are known, by its code (ISO 3166), and its parts."""

    country: str
    parts: list[RegionOut]


class DiaryOut(BaseModel):
    """Some days of the diary."""

    appointments: list[AppointmentOut]
    holidays: list[HolidayOut]
    due: list[DueOut]
    clashes: list[ClashOut]
    members: list[MemberOut]
    kinds: list[KindOfVisitOut]
    me: int
    has_feed: bool


class PreparingOut(BaseModel):
    what: str
    of: list[str]


class FollowingOut(BaseModel):
    kind: VisitKind
    name: str
    on: date
    there: bool


class PrepareOut(BaseModel):
    """Before a visit, and after it."""

    preparing: list[PreparingOut]
    following: list[FollowingOut]


class FreeIn(BaseModel):
    """When several are free, for so long, within their hours."""

    members: list[int] = Field(min_length=1, max_length=40)
    minutes: Minutes
    travel: Between = 0
    buffer: Between = 0
    first: Day
    last: Day
    zone: Zone
    begins: time = time(9)
    ends: time = time(18)
    weekdays: list[Annotated[int, Field(ge=0, le=6)]] = Field(default=[0, 1, 2, 3, 4], max_length=7)
    #: On public holidays too.
    on_holidays: bool = False


class FreeOut(BaseModel):
    """Beginnings, as the wall shows them."""

    local: list[Wall]


class FeedOut(BaseModel):
    """A secret address to subscribe to; told this once."""

    address: str


class CalendarIn(BaseModel):
    """A calendar file, and the zone of what has none."""

    text: str = Field(max_length=LONGEST_TEXT)
    zone: Zone


class CalendarTakeIn(CalendarIn):
    wanted: list[Annotated[int, Field(ge=0)]] = Field(max_length=2000)


class EventOut(BaseModel):
    """An event of a file: what it would be here, whether it is here already, or why it cannot be taken in."""

    number: int
    title: str
    local: Wall | None
    minutes: int
    place: str
    rule: str
    there: bool
    refused: str


class EventsOut(BaseModel):
    events: list[EventOut]


class TakenOut(BaseModel):
    ids: list[UUID]
