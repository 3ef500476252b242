"""The diary: days, appointments, what is due, free time, calendars in and out."""

from __future__ import annotations

from collections.abc import Mapping
from datetime import UTC
from typing import Any
from uuid import UUID
from zoneinfo import ZoneInfo

from django.conf import settings
from ninja import Query, Router, Status

from craft.diary.free import Hours, Wanted
from craft.diary.kinds import KINDS
from craft.diary.slots import Clash
from studio.access import Requires
from studio.diary import days_off, exchange, services
from studio.diary.due import due_between
from studio.diary.models import Appointment
from studio.diary.prepare import following, preparing
from studio.diary.services import Content, Occurrence, title_of
from studio.diary.shapes import (
    AppointmentChange,
    AppointmentIn,
    AppointmentOut,
    CalendarIn,
    CalendarTakeIn,
    CameOfIn,
    ClashOut,
    CountryOut,
    Day,
    DiaryOut,
    DueOut,
    EventOut,
    EventsOut,
    FeedOut,
    FollowingOut,
    FreeIn,
    FreeOut,
    HolidayOut,
    KindOfVisitOut,
    MemberOut,
    MoveIn,
    NewAppointment,
    OneDayIn,
    PrepareOut,
    PreparingOut,
    RegionOut,
    TakenOut,
    Zone,
)
from studio.policy import Right
from studio.requests import MemberRequest
from studio.schemas import Refusal

router = Router()
#: A visit of a client who is closed to the asker, where it takes time.
CLOSED = "another visit"


@router.get("/diary", response={200: DiaryOut, 422: Refusal})
def diary(request: MemberRequest, first: Query[Day], last: Query[Day], zone: Query[Zone]) -> Any:
    """Some days of the diary, with what is due on them and what does not go together."""
    found, clashes = services.days(request.user, first, last, zone)
    members = services.names_of(request.user)
    names = {str(member_id): name for member_id, name in members.items()}
    titles = {one.key: title_of(one.row) for one in found}
    return DiaryOut(
        appointments=[_out(one) for one in found],
        holidays=[HolidayOut(on=on, name=name) for on, name in days_off.between(request.user.studio.holidays_of, first, last).items()],
        due=[
            DueOut(kind=one.kind, on=one.on, client_id=one.client_id, client=one.client, text=one.text)
            for one in due_between(request.user, first, last)
        ],
        clashes=[_clash(one, titles, names) for one in clashes],
        members=[MemberOut(id=member_id, name=name) for member_id, name in members.items()],
        kinds=[
            KindOfVisitOut(
                kind=key, name=kind.name, minutes=kind.minutes, travel=kind.travel, buffer=kind.buffer,
                with_client=kind.with_client,
            )
            for key, kind in KINDS.items()
        ],
        me=request.user.pk,
        has_feed=exchange.has_feed(request.user),
    )  # fmt: skip


@router.post("/appointments", response={201: AppointmentOut, 422: Refusal})
def put_down(request: MemberRequest, given: NewAppointment) -> Any:
    """Put an appointment into the diary."""
    return Status(201, appointment_out(services.put_down(request.user, given.id, _content(given))))


@router.put("/appointments/{uuid:appointment_id}", response={200: AppointmentOut, 409: Refusal, 422: Refusal})
def change(request: MemberRequest, appointment_id: UUID, given: AppointmentChange) -> Any:
    """Change an appointment, all of its days."""
    return appointment_out(services.change(request.user, appointment_id, given.version, _content(given)))


@router.patch("/appointments/{uuid:appointment_id}/move", response={200: AppointmentOut, 409: Refusal, 422: Refusal})
def move(request: MemberRequest, appointment_id: UUID, given: MoveIn) -> Any:
    """Move an appointment by hand; one day of a repeat stands by itself from then on."""
    told = given.model_dump(exclude={"version"})
    if given.occurrence is not None:
        told["occurrence"] = given.occurrence.astimezone(UTC)
    return appointment_out(services.move(request.user, appointment_id, given.version, **told))


@router.post(
    "/appointments/{uuid:appointment_id}/leave-out", response={200: AppointmentOut, 409: Refusal, 422: Refusal}
)
def leave_out(request: MemberRequest, appointment_id: UUID, given: OneDayIn) -> Any:
    """Leave one day of a repeat out."""
    return appointment_out(services.leave_out(request.user, appointment_id, given.version, given.occurrence))


@router.delete(
    "/appointments/{uuid:appointment_id}/leave-out", response={200: AppointmentOut, 409: Refusal, 422: Refusal}
)
def take_in_again(request: MemberRequest, appointment_id: UUID, given: OneDayIn) -> Any:
    """Undo that one day was left out."""
    return appointment_out(services.take_in_again(request.user, appointment_id, given.version, given.occurrence))


@router.post("/appointments/{uuid:appointment_id}/came-of", response={200: AppointmentOut, 409: Refusal, 422: Refusal})
def came_of(request: MemberRequest, appointment_id: UUID, given: CameOfIn) -> Any:
    """Say what came of a visit."""
    row = services.came_of(request.user, appointment_id, given.version, given.text, done=given.done)
    return appointment_out(row)


@router.delete("/appointments/{uuid:appointment_id}", response={204: None})
def remove(request: MemberRequest, appointment_id: UUID) -> Any:
    """Take an appointment out of the diary; can be undone."""
    Appointment.objects.soft_delete(request.user, id=appointment_id)
    return Status(204, None)


@router.post("/appointments/{uuid:appointment_id}/restore", response=AppointmentOut)
def restore(request: MemberRequest, appointment_id: UUID) -> Any:
    """Undo a removal."""
    return appointment_out(Appointment.objects.restore(request.user, id=appointment_id))


@router.get("/appointments/{uuid:appointment_id}/prepare", response=PrepareOut, auth=Requires(Right.WORK))
def prepare(request: MemberRequest, appointment_id: UUID) -> Any:
    """What a visit needs, and what usually follows it."""
    row: Appointment = (
        Appointment.objects.of(request.user).not_removed().select_related("client").get_or_404(id=appointment_id)
    )
    return PrepareOut(
        preparing=[PreparingOut(what=one.what, of=one.of) for one in preparing(request.user, row)],
        following=[FollowingOut(kind=one.kind, name=one.name, on=one.on, there=one.there) for one in following(row)],
    )


@router.get("/diary/countries", response=list[CountryOut])
def holiday_countries(request: MemberRequest) -> Any:
    """Countries whose public holidays are known."""
    return [
        CountryOut(country=code, parts=[RegionOut(place=f"{code}-{part}", name=name) for part, name in parts.items()])
        for code, parts in days_off.countries().items()
    ]


@router.post("/diary/free", response={200: FreeOut, 422: Refusal})
def free_time(request: MemberRequest, given: FreeIn) -> Any:
    """When several members are free."""
    members = frozenset(str(one) for one in given.members)
    wanted = Wanted(given.minutes, members, given.first, given.last, given.travel, given.buffer)
    off = {} if given.on_holidays else days_off.between(request.user.studio.holidays_of, given.first, given.last)
    hours = Hours(given.begins, given.ends, frozenset(given.weekdays), frozenset(off))
    found = services.find_free(request.user, wanted, hours, given.zone)
    return FreeOut(local=[at.replace(tzinfo=None) for at in found])


@router.post("/diary/feed", response={201: FeedOut})
def subscribe(request: MemberRequest) -> Any:
    """A secret address under which one's own diary is read by other calendars; the one before opens nothing any more."""
    token = exchange.subscribe(request.user)
    origin = settings.ADDRESS or f"{request.scheme}://{request.get_host()}"
    return Status(201, FeedOut(address=f"{origin}/diary/{token}.ics"))


@router.delete("/diary/feed", response={204: None})
def unsubscribe(request: MemberRequest) -> Any:
    """Take the address back."""
    exchange.unsubscribe(request.user)
    return Status(204, None)


@router.post("/diary/calendar/preview", response={200: EventsOut, 422: Refusal})
def preview(request: MemberRequest, given: CalendarIn) -> Any:
    """What a calendar file would add to the diary; nothing is written."""
    return EventsOut(
        events=[
            EventOut(
                number=number,
                title=one.read.title or "Without a title",
                local=one.read.starts_at.astimezone(ZoneInfo(one.read.zone)).replace(tzinfo=None)
                if one.read.starts_at
                else None,
                minutes=one.read.minutes,
                place=one.read.place,
                rule=one.read.rule,
                there=one.there,
                refused=one.read.refused,
            )
            for number, one in enumerate(exchange.preview(request.user, given.text, given.zone))
        ]
    )


@router.post("/diary/calendar", response={201: TakenOut, 422: Refusal})
def take_in(request: MemberRequest, given: CalendarTakeIn) -> Any:
    """Take chosen events of a calendar file into one's own diary."""
    made = exchange.take_in(request.user, given.text, given.zone, given.wanted)
    return Status(201, TakenOut(ids=[row.id for row in made]))


def _content(given: AppointmentIn) -> Content:
    told = given.model_dump(include=set(AppointmentIn.model_fields))
    return Content(**{**told, "members": tuple(given.members)})


def appointment_out(row: Appointment) -> AppointmentOut:
    """An appointment as it stands, a repeat on its first day."""
    return _out(Occurrence(row, row.starts_at))


def _out(one: Occurrence) -> AppointmentOut:
    row = one.row
    kind: Any = row.kind
    return AppointmentOut(
        key=one.key, id=row.id, version=row.version, kind=kind, title=title_of(row), own_title=row.title,
        client_id=row.client_id, client=row.client.name if row.client else "", starts_at=one.starts_at,
        local=one.starts_at.astimezone(row.clock).replace(tzinfo=None), begins=row.starts_at.astimezone(row.clock).replace(tzinfo=None), minutes=row.minutes, zone=row.zone,
        members=row.members, place=row.place, travel=row.travel, buffer=row.buffer, along=row.along, note=row.note,
        rule=row.rule, came_of=row.came_of, done_at=row.done_at, by=row.changed_by.name if row.changed_by else "",
    )  # fmt: skip


def _clash(one: Clash, titles: Mapping[str, str], names: Mapping[str, str]) -> ClashOut:
    who = " and ".join(sorted(names.get(member, "somebody") for member in one.members))
    pair = f"{titles.get(one.one, CLOSED)} and {titles.get(one.other, CLOSED)}"
    text = f"{who}: {pair} overlap by {one.short} minutes." if one.what == "overlap" else (
        f"{who}: between {pair} {one.short} minutes are missing for the way."
    )  # fmt: skip
    return ClashOut(what=one.what, one=one.one, other=one.other, text=text)
