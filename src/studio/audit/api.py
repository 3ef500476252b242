"""Who saw what: a client's own record, and the studio's, searched."""

from __future__ import annotations

from datetime import date, datetime
from typing import Any
from uuid import UUID

from ninja import Router
from pydantic import BaseModel

from studio.access import Requires
from studio.audit import services
from studio.audit.words import Kind
from studio.policy import Right
from studio.requests import MemberRequest
from studio.schemas import Copied

router = Router()


class SeenOut(Copied):
    at: datetime
    by: str
    did: str
    verb: str
    what: str
    kind: str
    client: str
    client_id: UUID | None
    erased: bool
    place: str
    device: str


class SeenList(BaseModel):
    """A page of entries, the last first; `total` is how many there are."""

    total: int
    rows: list[SeenOut]


@router.get("/clients/{uuid:client_id}/seen", response=SeenList)
def of_client(request: MemberRequest, client_id: UUID, offset: int = 0) -> Any:
    """Who saw and did what of a client."""
    return _page(services.of_client(request.user, client_id, _from(offset)))


@router.get("/seen", response=SeenList, auth=Requires(Right.AUDIT))
def find(
    request: MemberRequest,
    by: int | None = None,
    client_id: UUID | None = None,
    kind: Kind | None = None,
    first: date | None = None,
    last: date | None = None,
    offset: int = 0,
) -> Any:
    """The studio's record, searched: by whom, of whom, what kind, from when until when."""
    return _page(services.find(request.user, services.Sought(by, client_id, kind, first, last), _from(offset)))


def _from(offset: int) -> int:
    return min(max(offset, 0), 1_000_000)


def _page(found: tuple[int, list[services.Seen]]) -> SeenList:
    total, rows = found
    return SeenList(total=total, rows=[SeenOut.of(row) for row in rows])
