"""What is due, from wherever it is kept: alterations and returns, links that end, questions, measures that are old, what was put on
a list with a date, and the turn of the season."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import dataclass, replace
from datetime import UTC, date, datetime, time, timedelta
from typing import Any, Literal
from uuid import UUID

from django.db.models import Count, Exists, Max, Min, OuterRef, Subquery

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
    rows = Errand.objects.of(member).not_removed().filter(done_at=None, due_on__isnull=False).select_related("client")
    for row in rows:
        yield Due("errand", row.due_on or today(), row.client_id, row.client.name, f"{row.title}: {row.text}", row.id)


def _links(member: Member, first: date, last: date) -> Iterator[Due]:
    rows = Share.objects.of(member).not_removed().filter(taken_back_at=None, ends_on__range=(first, last))
    for row in rows.select_related("client").defer("content"):
        yield Due("link", row.ends_on, row.client_id, row.client.name, "The client’s page ends.", row.id)


def _said(member: Member) -> Iterator[Due]:
    rows = Said.objects.of(member).not_removed().filter(seen_at=None).select_related("share__client")
    for row in rows:
        client: Any = row.share.client
        told = f"{SAID[row.says]} {row.text or row.title}".strip()
        yield Due("said", row.created_at.date(), client.id, client.name, told[:1].upper() + told[1:], row.id)


def _measures(member: Member, until: date) -> Iterator[Due]:
    """Who was measured a year before a day, or longer ago: by sessions, of which there are few, and not by their readings."""
    read = Exists(Reading.objects.filter(session=OuterRef("pk")))
    sessions = MeasuringSession.objects.of(member).filter(read, client__removed_at=None)
    last = sessions.values("client_id", "client__name").annotate(at=Max("started_at"))
    before = datetime.combine(until - timedelta(MEASURED_DAYS - 1), time(), UTC)
    for one in last.filter(at__lt=before):
        on = one["at"].date() + timedelta(MEASURED_DAYS)
        yield Due("measure", on, one["client_id"], one["client__name"], "Measured a year ago: measure anew.")


def _lists(member: Member) -> Iterator[Due]:
    rows = Sorted.objects.of(member).not_removed().filter(gone_at=None, on__isnull=False, piece__removed_at=None)
    for row in rows.select_related("client", "piece"):
        yield Due(
            "list",
            row.on or today(),
            row.client_id,
            row.client.name,
            f"{row.piece.name or 'A piece'}: {row.goes}",
            row.piece_id,
        )


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
    ):
        last = max(filter(None, (client.created_at, client.measured, client.fitted, client.met))).date()
        on = last + timedelta(365 * years)
        ago = "a year" if years == 1 else f"{years} years"
        yield Due("keep", on, client.id, client.name, f"Not seen for {ago}: keep, or erase?")


def _seasons(first: date, last: date) -> Iterator[Due]:
    for year in range(first.year, last.year + 1):
        for month, day, text in SEASONS:
            yield Due("season", date(year, month, day), None, "", text)
