"""Shapes shared by the routers: refusals and pieces."""

from __future__ import annotations

from typing import Annotated, Any, Literal, Self

from django.http import HttpResponse
from ninja import Schema
from pydantic import BaseModel, ConfigDict, Field, StringConstraints, create_model

from craft.cloth import words
from craft.cloth.kinds import FIGURES, KIND
from craft.cloth.piece import POSSIBLE
from craft.judge import Figure, Sentence
from studio.people.models import NAME_LENGTH

#: A name as typed: trimmed, not empty, not endless.
Name = Annotated[str, StringConstraints(strip_whitespace=True, min_length=1, max_length=NAME_LENGTH)]
MaybeName = Annotated[str, StringConstraints(strip_whitespace=True, max_length=NAME_LENGTH)]
Note = Annotated[str, StringConstraints(strip_whitespace=True, max_length=400)]
Unit = Literal["cm", "in"]


def answer(told: BaseModel) -> HttpResponse:
    """A large answer, written as JSON once: reading it back through the interface's own response
    validation took a third of the request."""
    return HttpResponse(told.model_dump_json(), content_type="application/json")


CSV = "text/csv; charset=utf-8"


def file_of(kind: str) -> dict[str, Any]:
    """How an operation that answers a file is described: as that file, and not as JSON."""
    schema = {"type": "string", "format": "binary"}
    return {"responses": {200: {"content": {kind.split(";")[0]: {"schema": schema}}}}}


def attached(content: str | bytes, kind: str, name: str) -> HttpResponse:
    """A file to keep."""
    return HttpResponse(content, content_type=kind, headers={"Content-Disposition": f'attachment; filename="{name}"'})


class Copied(BaseModel):
    """A shape that is made from a value by the names of its fields; what it says otherwise is given beside."""

    @classmethod
    def of(cls, value: Any, unit: Unit = "cm", **more: Any) -> Self:
        """The value as this shape, its sentences said in a unit."""
        return cls(**more, **{name: _told(getattr(value, name), unit) for name in cls.model_fields if name not in more})


def _told(value: Any, unit: Unit) -> Any:
    if isinstance(value, Sentence | Figure):
        return value.say(unit)
    return list(value) if isinstance(value, tuple | frozenset) else value


class Refusal(Schema):
    """Why something was not done, at which field, in words for the reader."""

    message: str
    field: str | None = None


#: No file or table is longer than this, letters.
LONGEST = 3_000_000


class Text(BaseModel):
    """A file or a table, as text."""

    text: str = Field(max_length=LONGEST)


class TextIn(Text):
    """A file or a table handed in; `again` where the same was before, and it is meant."""

    again: bool = False


class RefusedOut(Copied):
    """A line of a table that cannot be taken, and why."""

    line: int
    text: str
    reason: str


class Added(BaseModel):
    added: int


def _one_of(choices: tuple[str, ...]) -> Any:
    return Literal[choices]


def _some_of(choices: tuple[str, ...]) -> Any:
    one: Any = _one_of(choices)
    return list[one]


def _piece_fields() -> dict[str, Any]:
    fields: dict[str, Any] = {"kind": (_one_of(tuple(KIND)), Field(alias="is"))}
    fields |= {key: (_one_of(choices) | None, None) for key, choices in words.ONE_OF.items()}
    fields |= {key: (_some_of(choices) | None, None) for key, choices in words.SOME_OF.items()}
    fields |= dict.fromkeys(words.FLAGS, (bool | None, None))
    fields |= dict.fromkeys(words.COLOUR_KEYS, (Annotated[str, StringConstraints(max_length=20)] | None, None))
    figures = sorted({figure for listed in FIGURES.values() for figure in listed})
    most = {key: POSSIBLE[words.unit_of(key) or "cm"][1] for key in figures}
    fields |= {key: (Annotated[float, Field(ge=0, le=most[key])] | None, None) for key in figures}
    return fields


#: A piece in the words of the craft. Built from the vocabulary, so that there is one list.
PieceWords: Any = create_model(
    "PieceWords", __config__=ConfigDict(extra="forbid", populate_by_name=True), **_piece_fields()
)


def words_of(piece: Any) -> dict[str, Any]:
    """The words of a piece as the craft reads them."""
    return {key: value for key, value in piece.model_dump(by_alias=True).items() if value is not None}
