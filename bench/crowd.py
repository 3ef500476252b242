"""A full studio to measure with: many clients, one of them measured for years, and queries counted in process."""

from __future__ import annotations

import random
import uuid
from datetime import UTC, datetime, timedelta
from decimal import Decimal

import django

from craft.cloth import Piece
from craft.cloth.kinds import FIGURES
from craft.cloth.quick import read_line
from studio.people.demo_rack import RACKS

CLIENTS, SESSIONS, PIECES = 2000, 50, 300
FIRST = ("Wenna", "Corin", "Ailsa", "Bram", "Delphine", "Edmund", "Flora", "Gwenda", "Hollis", "Isolde")
LAST = ("Rookley", "Thistlewood", "Marchbank", "Ormerod", "Pennyquick", "Sallow", "Underhay", "Vane", "Yarrow")


def rack(count: int) -> list[Piece]:
    """So many pieces, no two of them alike: the demo's, each with figures a little off."""
    chance = random.Random(11)  # noqa: S311 (a crowd, no secret)
    lines = [read_line(line) for held in RACKS.values() for line, _ in held]
    return [_varied(lines[at % len(lines)], chance) for at in range(count)]


def _varied(piece: Piece, chance: random.Random) -> Piece:
    figures = piece.figures or ((FIGURES[piece.slot][0], 30.0),)
    return piece.with_(**{key: round(cm + chance.uniform(-2, 2), 2) for key, cm in figures if key.endswith("_cm")})


def fill(email: str) -> uuid.UUID:
    """Fill the studio of this member; the client with many sessions."""
    django.setup()
    from django.db import connection

    from craft.body import Body, Measures
    from craft.body.measures import MEASURES
    from studio.bodies.models import MeasuringSession, Reading
    from studio.people.models import Client, Member
    from studio.rack.models import RackPiece

    chance = random.Random(7)  # noqa: S311 (a crowd, no secret)
    member = Member.objects.get(account__email=email)
    clients = [
        Client(studio_id=member.studio_id, name=f"{chance.choice(FIRST)} {chance.choice(LAST)} {at}", changed_by=member)
        for at in range(CLIENTS)
    ]
    Client.objects.bulk_create(clients)
    body = Body.of(Measures.of({"stature": 168, "bust": 94, "waist": 78, "hip": 102}))
    now = datetime.now(UTC)

    def sessions(client: Client, count: int) -> list[MeasuringSession]:
        days = [timedelta(days=3 + 40 * at) for at in range(count)]
        return [
            MeasuringSession(
                studio_id=member.studio_id,
                client=client,
                taken_by=member,
                started_at=now - ago,
                ended_at=now - ago,
                ended="finished",
            )
            for ago in days
        ]

    def readings(session: MeasuringSession, names: tuple[str, ...]) -> list[Reading]:
        return [
            Reading(
                studio_id=member.studio_id,
                session=session,
                taken_by=member,
                measure=name,
                cm=Decimal(f"{body.quantity(name).cm + chance.gauss(0, 0.4):.2f}"),
                taken_at=session.started_at,
            )
            for name in names
            for _ in range(2)
        ]

    settled = clients[0]
    long = MeasuringSession.objects.bulk_create(sessions(settled, SESSIONS))
    Reading.objects.bulk_create(row for session in long for row in readings(session, MEASURES))
    short = MeasuringSession.objects.bulk_create(one for client in clients[1:] for one in sessions(client, 1))
    quick = ("stature", "waist", "hip", "bust")
    Reading.objects.bulk_create((row for session in short for row in readings(session, quick)), batch_size=5000)
    RackPiece.objects.bulk_create(
        RackPiece(studio_id=member.studio_id, client=settled, piece=piece.described()) for piece in rack(PIECES)
    )
    with connection.cursor() as cursor:
        # The server's own housekeeping does this within a minute of so many new rows.
        cursor.execute("ANALYZE")
    return settled.id


def queries(email: str, paths: list[str]) -> int:
    """How many queries these requests take together."""
    from django.db import connection
    from django.test import Client as Browser
    from django.test.utils import CaptureQueriesContext

    from studio.members.models import Account

    browser = Browser(headers={"host": "127.0.0.1"})
    browser.force_login(Account.objects.get(email=email))
    with CaptureQueriesContext(connection) as held:
        for path in paths:
            answer = browser.get(path)
            assert answer.status_code == 200, path
    return len(held)
