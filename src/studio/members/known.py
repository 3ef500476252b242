"""How a request finds out who asks: the member that the account is here, with their studio, which is told to the second wall
with it, in a question put together once."""

from __future__ import annotations

from functools import cache
from typing import Any

from django.db import connection

from studio.members.models import Account
from studio.people.models import Member, Studio
from studio.questions import read_row
from studio.scoping import SETTING


def member_of(account: Account, member_id: int | None) -> Member | None:
    """What the account is: that very member if it works there, else the first it is anywhere. `told` says whether this
    transaction's studio has been told with it."""
    with connection.cursor() as cursor:
        cursor.execute(_question(), [SETTING, account.pk, member_id])
        row = cursor.fetchone()
    if row is None:
        return None
    of_member = len(Member._meta.concrete_fields)
    member: Any = read_row(Member, row[:of_member])
    member.studio, member.account = read_row(Studio, row[of_member:-1]), account
    # Outside of a transaction it was forgotten with the question.
    member.told = connection.in_atomic_block
    found: Member = member
    return found


@cache
def _question() -> str:
    members, studios = Member._meta.db_table, Studio._meta.db_table
    wanted = [f"m.{field.column}" for field in Member._meta.concrete_fields]
    wanted += [f"s.{field.column}" for field in Studio._meta.concrete_fields]
    first = (
        f"SELECT * FROM {members} WHERE account_id = %s AND is_active "  # noqa: S608 (our own columns)
        "ORDER BY (id = %s) DESC NULLS LAST, id LIMIT 1"
    )
    return (
        f"SELECT {', '.join(wanted)}, set_config(%s, s.id::text, true) "  # noqa: S608 (our own columns)
        f"FROM ({first}) m JOIN {studios} s ON s.id = m.studio_id"
    )
