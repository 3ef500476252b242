"""How a signed-in member is found: in one question with their studio, which is told to the second wall with it."""

from __future__ import annotations

from collections.abc import Sequence
from functools import cache
from typing import Any

from django.contrib.auth.backends import ModelBackend
from django.db import connection
from django.db.models import Model

from studio.people.models import Member, Studio
from studio.scoping import SETTING


class MemberBackend(ModelBackend):
    """Django's own, but for the question by which every request finds out who asks: put together once, not each time."""

    def get_user(self, user_id: Any) -> Member | None:
        """The member, if they may sign in. `told` says whether this transaction's studio has been told with it."""
        with connection.cursor() as cursor:
            cursor.execute(_question(), [SETTING, user_id])
            row = cursor.fetchone()
        if row is None:
            return None
        of_member = len(Member._meta.concrete_fields)
        member = _read(Member, row[:of_member])
        member.studio = _read(Studio, row[of_member:-1])
        # Outside of a transaction it was forgotten with the question.
        member.told = connection.in_atomic_block
        found: Member = member
        return found


def _read(model: type[Model], row: Sequence[Any]) -> Any:
    """A row of a model as Django reads it."""
    fields = model._meta.concrete_fields
    values = list(row)
    for at, field in enumerate(fields):
        for convert in field.get_db_converters(connection):
            values[at] = convert(values[at], None, connection)
    return model.from_db(connection.alias, [field.attname for field in fields], values)


@cache
def _question() -> str:
    members, studios = Member._meta.db_table, Studio._meta.db_table
    wanted = [f"m.{field.column}" for field in Member._meta.concrete_fields]
    wanted += [f"s.{field.column}" for field in Studio._meta.concrete_fields]
    return (
        f"SELECT {', '.join(wanted)}, set_config(%s, s.id::text, true) "  # noqa: S608 (our own columns)
        f"FROM {members} m JOIN {studios} s ON s.id = m.studio_id WHERE m.id = %s AND m.is_active"
    )
