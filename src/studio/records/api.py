"""Clients in and out of the house: the open file, the table of measures, and erasure."""

from __future__ import annotations

from datetime import date, datetime
from typing import Any, Literal
from uuid import UUID

from ninja import Router, Schema, Status
from pydantic import Field

from craft.body.measures import label
from craft.formats.client_file import TOLD, ClientFile, read_file
from craft.formats.measures_csv import Table
from studio.access import Requires
from studio.people.api import ClientOut, client_out
from studio.policy import Right
from studio.records import services
from studio.records.handed_in import said_before
from studio.records.models import Erasure
from studio.requests import MemberRequest
from studio.schemas import CSV, Added, Copied, Refusal, RefusedOut, Text, TextIn, Unit, attached, file_of

router = Router()


class RowOut(Copied):
    line: int
    measure: str
    label: str
    cm: float
    typed: str
    taken_on: date | None
    origin: str


class TableOut(Schema):
    unit: Unit
    rows: list[RowOut]
    refused: list[RefusedOut]
    #: Where the same table was added before: when, by whom.
    before: str


class FilePreview(Schema):
    """What a client file holds, before anything is written."""

    name: str
    note: str
    sessions: int
    readings: int
    looks: int
    #: Where the same file was taken in before: when, by whom, for whom.
    before: str


class ErasureIn(Schema):
    #: The client's name, typed by the one who erases.
    name: str = Field(max_length=200)


class ErasureOut(Copied):
    id: UUID
    at: datetime
    by: str
    rows: dict[str, int]
    remaining: int


def _table(table: Table, before: str) -> TableOut:
    return TableOut(
        before=before,
        unit=table.unit,
        rows=[RowOut.of(row, label=label(row.measure)) for row in table.rows],
        refused=[RefusedOut.of(bad) for bad in table.refused],
    )


def _erasure(erasure: Erasure) -> ErasureOut:
    return ErasureOut.of(erasure, by=erasure.by.name if erasure.by else "")


@router.get("/clients/{uuid:client_id}/file", response=ClientFile, auth=Requires(Right.HAND_OUT))
def export_file(request: MemberRequest, client_id: UUID) -> Any:
    """Everything recorded of a client, as an open file."""
    filed = services.file_of(request.user, client_id)
    return attached(filed.model_dump_json(indent=2), "application/json", "client.basilwood.json")


@router.post("/client-files/preview", response={200: FilePreview, 422: Refusal}, auth=Requires(Right.CLIENTS))
def preview_file(request: MemberRequest, given: Text) -> Any:
    """What a client file holds; nothing is written."""
    filed = read_file(given.text)
    return FilePreview(
        name=filed.name,
        note=filed.note,
        sessions=len(filed.sessions),
        readings=sum(len(session.readings) for session in filed.sessions),
        looks=len(filed.looks),
        before=said_before(request.user, "file", filed.model_dump_json(exclude=set(TOLD))),
    )


@router.post("/client-files", response={201: ClientOut, 422: Refusal}, auth=Requires(Right.CLIENTS))
def import_file(request: MemberRequest, given: TextIn) -> Any:
    """A new client from a file; one taken in before is asked about."""
    made = services.client_from_file(request.user, read_file(given.text), again=given.again)
    return Status(201, client_out(made))


@router.get("/clients/{uuid:client_id}/table", response=str, openapi_extra=file_of(CSV), auth=Requires(Right.HAND_OUT))
def export_table(request: MemberRequest, client_id: UUID, unit: Literal["cm", "in"] = "cm") -> Any:
    """The readings that count as CSV."""
    return attached(services.table_of(request.user, client_id, unit), CSV, "measures.csv")


@router.post("/clients/{uuid:client_id}/table/preview", response={200: TableOut, 422: Refusal})
def preview_table(request: MemberRequest, client_id: UUID, given: Text) -> Any:
    """Row by row what a table would add, and what is refused and why; nothing is written."""
    return _table(*services.preview_table(request.user, client_id, given.text))


@router.post("/clients/{uuid:client_id}/table", response={200: Added, 422: Refusal})
def keep_table(request: MemberRequest, client_id: UUID, given: TextIn) -> Any:
    """Add a table's good rows; a table added before is asked about."""
    return Added(added=services.keep_table(request.user, client_id, given.text, again=given.again))


@router.post("/clients/{uuid:client_id}/erase", response={200: ErasureOut, 422: Refusal}, auth=Requires(Right.ERASE))
def erase(request: MemberRequest, client_id: UUID, given: ErasureIn) -> Any:
    """Erase a client for good; the name has to be typed. Answers the proof."""
    client = services.erasable(request.user, client_id)
    if " ".join(given.name.split()) != " ".join(client.name.split()):
        return Status(422, Refusal(message="Type the client’s name exactly as it stands here.", field="name"))
    return _erasure(services.erase_client(request.user, client_id))


@router.get("/erasures", response=list[ErasureOut], auth=Requires(Right.ERASE))
def erasures(request: MemberRequest) -> Any:
    """The proofs of erasure of this studio, newest first."""
    return [_erasure(row) for row in Erasure.objects.of(request.user).select_related("by")[:200]]
