"""The second wall: PostgreSQL itself refuses rows of other studios, whatever a query forgot.

Every request tells the database, for its transaction alone, whose it is. Policies on every table of the studio let only
those rows through. The role that serves owns nothing, so that they hold for it; the role that migrates owns the tables.
Before anybody is known, members and studios can be looked up, so that one can sign in, and nothing else.
"""

from __future__ import annotations

from collections.abc import Iterator
from contextlib import contextmanager
from typing import Any

from django.db import connection, transaction

from studio.people.models import Member
from studio.scoping import SETTING

#: The role that serves requests. It is made with the database (house/postgres.py).
SERVING = "basilwood_serve"
#: The studio that this transaction is of, or NULL; in parentheses, so that it is asked once a query and not once a row.
OURS = f"(SELECT NULLIF(current_setting('{SETTING}', true), '')::bigint)"

#: Where PostgreSQL is told which secret address is asked for, as its hash, and that hash, or NULL: who opens one is nobody yet.
LINK_SETTING = "basilwood.link"
ASKED = f"(SELECT NULLIF(current_setting('{LINK_SETTING}', true), ''))"

#: Rights on what there is, and on what migrations to come will make.
GRANTS = f"""
DO $$ BEGIN
  IF NOT EXISTS (SELECT FROM pg_roles WHERE rolname = '{SERVING}') THEN
    RAISE EXCEPTION 'Make the role {SERVING} first: it serves, and owns nothing (SECURITY.md).';
  END IF;
END $$;
GRANT SELECT, INSERT, UPDATE, DELETE ON ALL TABLES IN SCHEMA public TO {SERVING};
GRANT USAGE, SELECT ON ALL SEQUENCES IN SCHEMA public TO {SERVING};
REVOKE INSERT, UPDATE, DELETE ON django_migrations FROM {SERVING};
ALTER DEFAULT PRIVILEGES IN SCHEMA public GRANT SELECT, INSERT, UPDATE, DELETE ON TABLES TO {SERVING};
ALTER DEFAULT PRIVILEGES IN SCHEMA public GRANT USAGE, SELECT ON SEQUENCES TO {SERVING};
"""  # noqa: S608 (our own constant)


def walled(table: str, condition: str = f"studio_id = {OURS}") -> str:
    """SQL for a migration: this table shows and takes only rows of the studio whose request it is."""
    return f"""
ALTER TABLE {table} ENABLE ROW LEVEL SECURITY;
DROP POLICY IF EXISTS own_studio ON {table};
CREATE POLICY own_studio ON {table} USING ({condition});
"""


def walled_at_the_door(table: str, key: str) -> str:
    """SQL for a migration: this table can be looked up, and what signing in notes can be written, before anybody is
    known; afterwards only one's own studio's rows are there. The role that serves adds and deletes none."""
    seen = f"{OURS} IS NULL OR {key} = {OURS}"
    return f"""
ALTER TABLE {table} ENABLE ROW LEVEL SECURITY;
DROP POLICY IF EXISTS own_studio ON {table};
DROP POLICY IF EXISTS own_studio_changed ON {table};
CREATE POLICY own_studio ON {table} FOR SELECT USING ({seen});
CREATE POLICY own_studio_changed ON {table} FOR UPDATE USING ({seen});
"""


def walled_by_account(table: str, column: str) -> str:
    """SQL for a migration: what is kept of accounts is there while somebody signs in or looks after their own, when no studio is
    told; else only of those who work in the studio whose request it is."""
    ours = f"{column} IN (SELECT account_id FROM people_member WHERE studio_id = {OURS})"  # noqa: S608 (our own names)
    return walled(table, f"{OURS} IS NULL OR {ours}")


def walled_at_the_desk(table: str, key: str) -> str:
    """SQL for a migration: the role that serves may add rows of the studio whose request it is."""
    return f"""
DROP POLICY IF EXISTS own_studio_added ON {table};
CREATE POLICY own_studio_added ON {table} FOR INSERT WITH CHECK ({key} = {OURS});
"""


def open_again(table: str) -> str:
    """SQL that undoes either of them."""
    return f"""
DROP POLICY IF EXISTS own_studio ON {table};
DROP POLICY IF EXISTS own_studio_changed ON {table};
DROP POLICY IF EXISTS own_studio_added ON {table};
ALTER TABLE {table} DISABLE ROW LEVEL SECURITY;
"""


def tell_studio(studio_id: Any) -> None:
    """Tell the database whose request this is, until its transaction ends."""
    with connection.cursor() as cursor:
        cursor.execute("SELECT set_config(%s, %s, true)", [SETTING, str(studio_id)])


def tell_link(token_hash: str) -> None:
    """Tell the database which secret address is asked for, until its transaction ends."""
    with connection.cursor() as cursor:
        cursor.execute("SELECT set_config(%s, %s, true)", [LINK_SETTING, token_hash])


@contextmanager
def transaction_of(member: Member) -> Iterator[None]:
    """Within, one transaction of the member's studio, for an operation that is not one transaction as a whole."""
    with transaction.atomic():
        tell_studio(member.studio_id)
        yield
