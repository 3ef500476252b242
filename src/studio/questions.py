"""Questions that nearly every request asks, put together once: Django takes longer to put one together than the database
to answer it."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from typing import Any

from django.db import connection
from django.db.models import Model, QuerySet


@dataclass(frozen=True)
class Question:
    """Rows of a model, asked with what stands where a thing is given: `given` says what is meant by each of those."""

    model: type[Model]
    sql: str
    asked_with: tuple[Any, ...]

    @classmethod
    def of(cls, rows: QuerySet[Any]) -> Question:
        """The question that asks for these rows, whole and in no order."""
        sql, asked_with = rows.order_by().query.sql_with_params()
        return cls(rows.model, sql, asked_with)

    def one(self, given: Mapping[Any, Any]) -> Any:
        """The one row, or None."""
        with connection.cursor() as cursor:
            cursor.execute(self.sql, [given.get(one, one) for one in self.asked_with])
            row = cursor.fetchone()
        return None if row is None else read_row(self.model, row)


def read_row(model: type[Model], row: Sequence[Any]) -> Any:
    """A row of all of a model's columns, as Django reads it."""
    fields = model._meta.concrete_fields
    values = list(row)
    for at, field in enumerate(fields):
        for convert in field.get_db_converters(connection):
            values[at] = convert(values[at], None, connection)
    return model.from_db(connection.alias, [field.attname for field in fields], values)
