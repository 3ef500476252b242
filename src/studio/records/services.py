"""The verbs of records: a client out as a file and in again, a table of measures in, a client erased."""

from __future__ import annotations

from datetime import UTC, datetime, time, timedelta
from decimal import Decimal
from typing import Any

from django.db import connection, transaction

from craft.formats.brief_form import Aims, BriefForm
from craft.formats.client_file import (
    SEEN,
    TOLD,
    ClientFile,
    FiledConsent,
    FiledReach,
    FiledReading,
    FiledSeen,
    FiledSession,
    FiledWays,
)
from craft.formats.measures_csv import ReadingOrigin, Row, Table, read_table, write_table
from craft.look import Look as CraftLook
from craft.schools import Schools
from craft.units import Unit
from studio.audit.services import of_client
from studio.bodies.known import measures_of, today
from studio.bodies.models import MeasuringSession, Reading, Withdrawal
from studio.bodies.services import waits_for_eyes
from studio.concurrency import hold
from studio.diary.filing import filed_visits, restore_visits
from studio.diary.models import Appointment
from studio.edit.filing import filed_buying, filed_sorted, restore_edit
from studio.fittings import filing
from studio.fittings.models import Errand, Fitting, Trial
from studio.handover.filing import filed_cards, restore_cards, told_letters, told_said
from studio.handover.models import Book, Letter, OutfitCard, Share
from studio.looks.filing import filed_looks, restore_looks
from studio.looks.models import Look
from studio.outfits.filing import filed_apart, restore_apart
from studio.people.known import client_of
from studio.people.models import Client, Member, Studio
from studio.pictures.models import Picture
from studio.plan.filing import filed_worn, restore_worn, told_plans
from studio.plan.models import Plan, Worn
from studio.rack import services as rack
from studio.rack.models import RackPiece
from studio.records.handed_in import not_again, note, said_before
from studio.records.models import Erasure
from studio.rules.services import checked as checked_rules
from studio.stored import stored
from studio.touched import touch


def file_of(member: Member, client_id: Any) -> ClientFile:
    """Everything recorded of a client, as an open file."""
    client = client_of(member, client_id)
    sessions = MeasuringSession.objects.filter(client=client).order_by("started_at", "id")
    looks = list(Look.objects.of(member).not_removed().filter(client=client).order_by("created_at", "id"))
    hanging = list(RackPiece.objects.of(member).not_removed().filter(client=client))
    return ClientFile(
        name=client.name,
        note=client.note,
        aims=stored(Aims, client.aims),
        brief=stored(BriefForm, client.brief),
        sessions=[_filed(session) for session in sessions.prefetch_related("readings__withdrawal")],
        ways=stored(FiledWays, client.own_ways),
        looks=filed_looks(looks, [row.id for row in hanging]),
        rack=[rack.filed(row) for row in hanging],
        fittings=filing.filed_of(member, client, [row.id for row in hanging]),
        errands=filing.errands_of(member, client, [row.id for row in hanging]),
        apart=filed_apart(member, client, [row.id for row in hanging]),
        decided=filed_sorted(member, client, [row.id for row in hanging]),
        buying=filed_buying(member, client),
        cards=filed_cards(client, [look.id for look in looks]),
        worn=filed_worn(client, [row.id for row in hanging]),
        visits=filed_visits(client),
        reach=stored(FiledReach, client.reach),
        seen=[
            FiledSeen(**{name: getattr(one, name) for name in ("at", "by", "did", "place", "device")})
            for one in of_client(member, client_id, limit=SEEN)[1]
        ],
        letters=told_letters(client),
        said=told_said(client),
        plans=told_plans(client, [row.id for row in hanging]),
    )


_SESSION_FIELDS = ("started_at", "ended_at", "ended", "protocol", "side", "twice")
_READING_FIELDS = ("measure", "typed", "source", "said", "checked", "set_aside", "taken_at")


def _filed(session: MeasuringSession) -> FiledSession:
    return FiledSession(
        **{name: getattr(session, name) for name in _SESSION_FIELDS},
        consent=stored(FiledConsent, session.consent),
        readings=[
            FiledReading(
                **{name: getattr(reading, name) for name in _READING_FIELDS},
                cm=float(reading.cm),
                withdrawn=hasattr(reading, "withdrawal"),
            )
            for reading in session.readings.all()
        ],
    )


def client_from_file(member: Member, filed: ClientFile, *, again: bool = False) -> Client:
    """A new client of the member's studio from a file. Raises UnknownWord for a look that cannot be read, and Again
    where the same file was taken in before and it is not meant; then nothing is written."""
    for look in filed.looks:
        CraftLook.of(look.pieces)
    Schools.of(filed.ways.schools, checked_rules(filed.ways.muted))
    # What was seen of them there, and when, does not make it another file.
    content = filed.model_dump_json(exclude=set(TOLD))
    with transaction.atomic():
        # One file at a time: of two that come at once, the second finds the first.
        Studio.objects.select_for_update(no_key=True).get(id=member.studio_id)
        not_again(member, "file", content, again)
        client = Client.objects.create(
            studio_id=member.studio_id,
            name=filed.name,
            note=filed.note,
            aims=filed.aims.model_dump(),
            brief=filed.brief.model_dump(),
            own_ways=filed.ways.model_dump(),
            reach=filed.reach.model_dump(),
            changed_by=member,
        )
        touch(client)
        for session in filed.sessions:
            _restore(member, client, session)
        hung = rack.hang_filed(member, client, filed.rack)
        looks = restore_looks(member, client, filed.looks, hung)
        filing.restore(member, client, filed.fittings, hung)
        filing.restore_errands(member, client, filed.errands, hung, None)
        restore_apart(member, client, filed.apart, hung)
        restore_edit(member, client, filed.decided, filed.buying, hung)
        restore_cards(member, client, filed.cards, looks)
        restore_worn(member, client, filed.worn, hung)
        restore_visits(member, client, filed.visits)
        note(member, client, "file", content)
    return client


def _restore(member: Member, client: Client, filed: FiledSession) -> None:
    session = MeasuringSession.objects.create(
        studio_id=member.studio_id,
        client=client,
        taken_by=member,
        consent=filed.consent.model_dump(),
        **{name: getattr(filed, name) for name in _SESSION_FIELDS},
    )
    readings = [
        Reading(
            studio_id=member.studio_id,
            session=session,
            taken_by=member,
            cm=Decimal(str(round(reading.cm, 2))),
            **{name: getattr(reading, name) for name in _READING_FIELDS},
        )
        for reading in filed.readings
    ]
    Reading.objects.bulk_create(readings)
    taken_back = [made for made, reading in zip(readings, filed.readings, strict=True) if reading.withdrawn]
    Withdrawal.objects.bulk_create(Withdrawal(reading=reading, by=member) for reading in taken_back)


def table_of(member: Member, client_id: Any, unit: Unit) -> str:
    """The client's readings that count, every session's, as a table."""
    client = client_of(member, client_id)
    alive = Reading.objects.filter(session__client=client, set_aside=False, withdrawal__isnull=True)
    rows = [Row(0, r.measure, float(r.cm), r.typed, r.taken_at.date(), _origin(r)) for r in alive]
    return write_table(rows, unit)


def _origin(reading: Reading) -> ReadingOrigin:
    if reading.said:
        return "said"
    return "checked" if reading.checked else "measured"


def preview_table(member: Member, client_id: Any, text: str) -> tuple[Table, str]:
    """What a table would add to a client, and whether the same was added before; nothing is written.
    Raises NotATable."""
    client = client_of(member, client_id)
    table = read_table(text, today(), measures_of(client))
    return table, said_before(member, "measures", taken_from(table), client)


def taken_from(table: Table) -> str:
    """What a table adds, as one text: the same for a table that was saved anew."""
    return "\n".join(f"{row.measure} {row.cm} {row.taken_on} {row.origin}" for row in table.rows)


def keep_table(member: Member, client_id: Any, text: str, *, again: bool = False) -> int:
    """Add a table's good rows, a session for each day; how many were added. Raises Again."""
    with transaction.atomic():
        client = hold(member, client_id)
        table = read_table(text, today(), measures_of(client))
        not_again(member, "measures", taken_from(table), again, client)
        if table.rows:
            note(member, client, "measures", taken_from(table))
        for day in sorted({row.taken_on or today() for row in table.rows}):
            when = datetime.combine(day, time(12), UTC) if day < today() else datetime.now(UTC)
            session = MeasuringSession.objects.create(
                studio_id=member.studio_id,
                client=client,
                taken_by=member,
                started_at=when,
                ended_at=when,
                ended="finished",
                protocol="table",
                twice=False,
            )
            Reading.objects.bulk_create(
                Reading(
                    studio_id=member.studio_id,
                    session=session,
                    taken_by=member,
                    measure=row.measure,
                    cm=Decimal(str(row.cm)),
                    typed=row.typed,
                    source="table",
                    said=row.origin == "said",
                    awaits=waits_for_eyes(member),
                    checked=row.origin == "checked",
                    # The order of the rows is the order they were taken in.
                    taken_at=when + timedelta(milliseconds=row.line),
                )
                for row in table.rows
                if (row.taken_on or today()) == day
            )
    return len(table.rows)


def erasable(member: Member, client_id: Any) -> Client:
    """The client, kept or removed: both can be erased."""
    client: Client = Client.objects.of(member).get_or_404(id=client_id)
    return client


def erase_client(member: Member, client_id: Any) -> Erasure:
    """Erase a client for good, kept or removed, with everything recorded of them; the proof."""
    with transaction.atomic():
        client: Client = Client.objects.of(member).select_for_update(of=("self",)).get_or_404(id=client_id)
        ids = _ids_of(client)
        _, by_table = client.delete()
        rows = {name.split(".")[-1]: count for name, count in by_table.items() if count}
        return Erasure.objects.create(studio_id=member.studio_id, by=member, rows=rows, remaining=_mentions(ids))


def _ids_of(client: Client) -> list[str]:
    """The identities under which a row could still speak of this client."""
    readings = Reading.objects.filter(session__client=client).values_list("id", flat=True)
    looks = Look.objects.filter(client=client).values_list("id", flat=True)
    pieces = RackPiece.objects.filter(client=client).values_list("id", flat=True)
    fittings = Fitting.objects.filter(client=client).values_list("id", flat=True)
    trials = Trial.objects.filter(fitting__client=client).values_list("id", flat=True)
    errands = Errand.objects.filter(client=client).values_list("id", flat=True)
    pictures = Picture.objects.filter(client=client).values_list("id", flat=True)
    held = (readings, looks, pieces, fittings, trials, errands, pictures)
    more = (kind.objects.filter(client=client).values_list("id", flat=True) for kind in OF_A_CLIENT)
    return [str(client.id), *(str(row) for rows in (*held, *more) for row in rows)]


#: What else is kept under an identity of its own.
OF_A_CLIENT: tuple[Any, ...] = (OutfitCard, Share, Book, Letter, Plan, Worn, Appointment)


def _mentions(ids: list[str]) -> int:
    """Rows of any table of the database in which one of these identities stands, as key or in text."""
    found = 0
    with connection.cursor() as cursor:
        for table in connection.introspection.table_names(cursor):
            quoted = connection.ops.quote_name(table)
            cursor.execute(
                f"SELECT count(*) FROM {quoted} AS held "  # noqa: S608 (the name is the database's own, quoted)
                "WHERE EXISTS (SELECT 1 FROM unnest(%s::text[]) AS one WHERE held::text LIKE '%%' || one || '%%')",
                [ids],
            )
            found += cursor.fetchone()[0]
    return found
