"""What is due, from wherever it is kept: alterations and returns, links that end, questions, measures that are old, what was put on
a list with a date, and the turn of the season."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import dataclass, replace
from datetime import UTC, date, datetime, time, timedelta
from typing import Literal
from uuid import UUID

from django.db.models import Count, Exists, Min, OuterRef, Subquery

from studio.bodies.known import today
from studio.bodies.models import MeasuringSession, Reading
from studio.diary.models import Appointment
from studio.edit.models import Sorted
from studio.fittings.models import Errand, Fitting
from studio.handover.models import Said, Share
from studio.people.models import Client, Member
from studio.policy import Right, may

DueKind = Literal["errand", "link", "said", "measure", "list", "season", "confirm", "keep"]
#: A body is measured anew after so many days; a season turns on these days of the year, month and day (W: the middle of spring and
#: of autumn, when linen and wool change places).
MEASURED_DAYS, SEASONS = (
    365,
    (
        (4, 15, "Spring: wool away, linen out. Does it still fit?"),
        (10, 1, "Autumn: linen away, wool out. Does it still fit?"),
    ),
)
#: Of whom something is due, where a row leads to its client by that name.
_CLIENT = ("client_id", "client__name")
SAID = {"wore": "wore", "loved": "loved", "not_me": "says “not me” of", "ticked": "has bought", "question": "asks:"}


@dataclass(frozen=True)
class Due:
    """Something that is due on a day: of whom, what, and where it is seen to."""

    kind: DueKind
    on: date
    client_id: UUID | None
    client: str
    text: str
    row_id: UUID | None = None


def due_between(member: Member, first: date, last: date) -> list[Due]:
    """What is due from a day to a day; what is overdue stands on today."""
    if not may(member, Right.WORK):
        return sorted((one for one in _seasons(first, last) if first <= one.on <= last), key=lambda one: one.on)
    found = [
        *_errands(member), *_links(member, first, last), *_said(member), *_measures(member, last), *_lists(member), *_seasons(first, last),
        *_to_confirm(member), *_to_keep(member),
    ]  # fmt: skip
    now = today()
    # What somebody has to do stays due; a season that has turned has turned.
    placed = [replace(one, on=max(one.on, now)) if one.kind != "season" else one for one in found]
    return sorted((one for one in placed if first <= one.on <= last), key=lambda one: (one.on, one.kind, one.client))


def _errands(member: Member) -> Iterator[Due]:
    rows = Errand.objects.of(member).not_removed().filter(done_at=None, due_on__isnull=False)
    for on, client_id, name, title, text, row_id in rows.values_list("due_on", *_CLIENT, "title", "text", "id"):
        yield Due("errand", on, client_id, name, f"{title}: {text}", row_id)


def _links(member: Member, first: date, last: date) -> Iterator[Due]:
    rows = Share.objects.of(member).not_removed().filter(taken_back_at=None, ends_on__range=(first, last))
    for on, client_id, name, row_id in rows.values_list("ends_on", *_CLIENT, "id"):
        yield Due("link", on, client_id, name, "The client’s page ends.", row_id)


def _said(member: Member) -> Iterator[Due]:
    rows = Said.objects.of(member).not_removed().filter(seen_at=None)
    wanted = ("created_at", "share__client_id", "share__client__name", "says", "text", "title", "id")
    for at, client_id, name, says, text, title, row_id in rows.values_list(*wanted):
        told = f"{SAID[says]} {text or title}".strip()
        yield Due("said", at.date(), client_id, name, told[:1].upper() + told[1:], row_id)


def _measures(member: Member, until: date) -> Iterator[Due]:
    """Who was measured a year before a day, or longer ago, and not since: by old sessions, for readings are many times as many."""
    read = Exists(Reading.objects.filter(session=OuterRef("pk")))
    since = MeasuringSession.objects.filter(read, client=OuterRef("client"), started_at__gt=OuterRef("started_at"))
    before = datetime.combine(until - timedelta(MEASURED_DAYS - 1), time(), UTC)
    old = MeasuringSession.objects.of(member).filter(
        read, ~Exists(since), started_at__lt=before, client__removed_at=None
    )
    for client_id, name, at in old.values_list(*_CLIENT, "started_at").distinct():
        yield Due(
            "measure", at.date() + timedelta(MEASURED_DAYS), client_id, name, "Measured a year ago: measure anew."
        )


def _lists(member: Member) -> Iterator[Due]:
    rows = Sorted.objects.of(member).not_removed().filter(gone_at=None, on__isnull=False, piece__removed_at=None)
    for on, client_id, name, piece, goes, piece_id in rows.values_list(
        "on", *_CLIENT, "piece__name", "goes", "piece_id"
    ):
        yield Due("list", on, client_id, name, f"{piece or 'A piece'}: {goes}", piece_id)


def _to_confirm(member: Member) -> Iterator[Due]:
    """What apprentices measured and nobody has looked at since."""
    if not may(member, Right.CONFIRM):
        return
    waiting = Reading.objects.of(member).filter(awaits=True, confirmation=None, withdrawal=None, set_aside=False)
    clients = waiting.filter(session__client__removed_at=None).values(
        "session__client_id", "session__client__name", "taken_by__name"
    )
    for one in clients.annotate(measures=Count("measure", distinct=True), at=Min("taken_at")):
        many = "A measure" if one["measures"] == 1 else f"{one['measures']} measures"
        text = f"{many} of {one['taken_by__name']}: a second pair of eyes."
        yield Due("confirm", one["at"].date(), one["session__client_id"], one["session__client__name"], text)


def _to_keep(member: Member) -> Iterator[Due]:
    """Clients whom nobody has seen for as long as the studio keeps one unseen."""
    if not may(member, Right.CLIENTS):
        return
    years = member.studio.keep_years
    theirs = {"client": OuterRef("pk")}
    seen = {
        "measured": MeasuringSession.objects.filter(**theirs).order_by("-started_at").values("started_at")[:1],
        "fitted": Fitting.objects.filter(**theirs).order_by("-started_at").values("started_at")[:1],
        "met": Appointment.objects.filter(**theirs, removed_at=None).order_by("-starts_at").values("starts_at")[:1],
    }
    # Whoever is younger than that here cannot be due.
    since = datetime.now(UTC) - timedelta(365 * years)
    for client in (
        Client.objects.of(member)
        .not_removed()
        .filter(created_at__lt=since)
        .annotate(**{name: Subquery(newest) for name, newest in seen.items()})
        .only("name", "created_at")
    ):
        last = max(filter(None, (client.created_at, client.measured, client.fitted, client.met))).date()
        on = last + timedelta(365 * years)
        ago = "a year" if years == 1 else f"{years} years"
        yield Due("keep", on, client.id, client.name, f"Not seen for {ago}: keep, or erase?")


def _seasons(first: date, last: date) -> Iterator[Due]:
    for year in range(first.year, last.year + 1):
        for month, day, text in SEASONS:
            yield Due("season", date(year, month, day), None, "", text)
