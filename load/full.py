"""A full studio: many clients with their measures, racks and looks, and the stylists who work on them."""

from __future__ import annotations

import sys
import uuid

import django

#: Of the whole studio, unless the command says otherwise.
CLIENTS, PIECES_EACH, LOOKS_EACH = 2000, 300, 10
STUDIO = "Load"
PASSWORD = "load-words-only"


def email_of(number: int) -> str:
    """Whom a stylist of the load signs in as."""
    return f"stylist{number}@load.example"


def fill(stylists: int, clients: int) -> None:
    """Fill the database: written by the database itself from one full rack, for a client at a time takes an hour."""
    django.setup()
    from bench.crowd import rack
    from django.contrib.auth.hashers import make_password
    from django.db import connection

    from studio.members.models import Account
    from studio.members.services import add_member
    from studio.people.models import Member, Studio
    from studio.policy import Role
    from studio.rack.models import RackPiece

    studio = Studio.objects.create(name=STUDIO)
    secret = make_password(PASSWORD)
    for number in range(stylists):
        role = Role.OWNER if number == 0 else Role.STYLIST
        member: Member = add_member(studio, email_of(number), f"Stylist {number}", "", role)
        Account.objects.filter(pk=member.account_id).update(password=secret)
    first = Member.objects.filter(studio=studio).earliest("id")
    _clients(connection, studio.pk, first.pk, clients)
    whole = [RackPiece(id=uuid.uuid4(), studio=studio, piece=piece.described()) for piece in rack(PIECES_EACH)]
    with connection.cursor() as cursor:
        cursor.execute("CREATE TEMP TABLE whole (at int, piece jsonb)")
        cursor.executemany(
            "INSERT INTO whole VALUES (%s, %s::jsonb)",
            [(at, connection.ops.adapt_json_value(row.piece, None)) for at, row in enumerate(whole)],
        )
        for statement in _PIECES, _LOOKS:
            cursor.execute(statement, {"studio": studio.pk, "by": first.pk, "looks": LOOKS_EACH})
        # As the rows of a studio are that came over years: else the database tidies a minute's million of them while it is measured.
        cursor.execute("VACUUM (ANALYZE)")


_CLIENTS = """
INSERT INTO people_client (id, studio_id, changed_by_id, name, note, aims, brief, own_ways, reach, restricted, subject,
  version, created_at, changed_at)
SELECT gen_random_uuid(), %(studio)s, %(by)s,
  (ARRAY['Wenna','Corin','Ailsa','Bram','Delphine','Edmund','Flora','Gwenda','Hollis','Isolde'])[1 + n %% 10] || ' ' ||
  (ARRAY['Rookley','Thistlewood','Marchbank','Ormerod','Sallow','Underhay','Vane'])[1 + n %% 7] || ' ' || n,
  'Works at a desk', '{}', '{}', '{}', '{}', false, gen_random_uuid(), 1, now(), now()
FROM generate_series(1, %(clients)s) n
"""
_SESSIONS = """
INSERT INTO bodies_measuringsession (studio_id, client_id, taken_by_id, started_at, ended_at, ended, protocol, side, twice, consent)
SELECT studio_id, id, %(by)s, now() - interval '20 days', now() - interval '20 days', 'finished', 'quick', 'right', false, '{}'
FROM people_client WHERE studio_id = %(studio)s
"""
# A body for each client: each measure up to 9.6 cm more than its least, the heights together and the trunk's girths together, so that
# none is unlikely; the factors are prime, so that clients run through all of them.
_READINGS = """
INSERT INTO bodies_reading (id, studio_id, session_id, taken_by_id, measure, cm, typed, source, said, checked, set_aside, awaits, taken_at)
SELECT gen_random_uuid(), s.studio_id, s.id, %(by)s, m.measure, m.cm + (s.id * m.apart %% 97) / 10.0, '', 'typed', false, false, false, false, s.started_at
FROM bodies_measuringsession s
CROSS JOIN (VALUES ('stature', 165, 31), ('bust', 92, 53), ('waist', 74, 53), ('hip', 99, 59), ('crotch_height', 76, 31)) m(measure, cm, apart)
WHERE s.studio_id = %(studio)s
"""
_PIECES = """
INSERT INTO rack_rackpiece (id, studio_id, client_id, changed_by_id, name, piece, facts, version, created_at, changed_at)
SELECT gen_random_uuid(), c.studio_id, c.id, %(by)s, '', w.piece, '{}', 1, now() + w.at * interval '1 ms', now()
FROM people_client c CROSS JOIN whole w WHERE c.studio_id = %(studio)s
"""
_LOOKS = """
INSERT INTO looks_look (id, studio_id, client_id, changed_by_id, name, pieces, facts, links, version, created_at, changed_at)
SELECT gen_random_uuid(), c.studio_id, c.id, %(by)s, 'Look ' || n,
  '[{"is": "shirt", "tuck": "full"}, {"is": "jeans"}, {"is": "loafers"}]', '{}', '{}', 1, now(), now()
FROM people_client c CROSS JOIN generate_series(1, %(looks)s) n WHERE c.studio_id = %(studio)s
"""


def _clients(connection: object, studio: int, by: int, clients: int) -> None:
    with connection.cursor() as cursor:  # type: ignore[attr-defined]
        for statement in (_CLIENTS, _SESSIONS, _READINGS):
            cursor.execute(statement, {"studio": studio, "by": by, "clients": clients})


if __name__ == "__main__":
    fill(int(sys.argv[1]), int(sys.argv[2]))
