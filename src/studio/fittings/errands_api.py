"""What is due, as the screens read and write it."""

from __future__ import annotations

from typing import Any
from uuid import UUID

from ninja import Router, Status
from pydantic import BaseModel

from craft.formats.moments import Due
from studio.fittings import errands
from studio.fittings.api import DueIn
from studio.fittings.models import Errand
from studio.fittings.shapes import ErrandOut, errand_out
from studio.requests import MemberRequest
from studio.schemas import Refusal

router = Router()


class ErrandsOut(BaseModel):
    """What is due, the soonest first, then what was done last."""

    errands: list[ErrandOut]


class DueChange(BaseModel):
    version: int
    due_on: Due | None = None


def out(errand: Errand) -> ErrandOut:
    return errand_out(errand, errand.client.name)


@router.get("/errands", response=ErrandsOut)
def studio_errands(request: MemberRequest) -> Any:
    """What is due in the whole studio."""
    return ErrandsOut(errands=[out(one) for one in errands.listed(request.user)])


@router.get("/clients/{uuid:client_id}/errands", response=ErrandsOut)
def client_errands(request: MemberRequest, client_id: UUID) -> Any:
    """What is due for one client."""
    return ErrandsOut(errands=[out(one) for one in errands.listed(request.user, client_id)])


@router.post("/rack/{uuid:piece_id}/errands", response={201: ErrandOut})
def owe(request: MemberRequest, piece_id: UUID, given: DueIn) -> Any:
    """Put an alteration or a return of a piece on the list."""
    told = given.model_dump(exclude={"id", "kind", "text"})
    return Status(201, out(errands.owe(request.user, piece_id, given.id, given.kind, given.text, **told)))


@router.patch("/errands/{uuid:errand_id}", response={200: ErrandOut, 422: Refusal})
def move(request: MemberRequest, errand_id: UUID, given: DueChange) -> Any:
    """Another date."""
    return out(errands.move(request.user, errand_id, given.version, given.due_on))


@router.post("/errands/{uuid:errand_id}/done", response={200: ErrandOut})
def done(request: MemberRequest, errand_id: UUID) -> Any:
    """It is done; an alteration changes the piece's figure with it."""
    return out(errands.do(request.user, errand_id))


@router.delete("/errands/{uuid:errand_id}/done", response={200: ErrandOut})
def undone(request: MemberRequest, errand_id: UUID) -> Any:
    """It is not done after all."""
    return out(errands.undo(request.user, errand_id))


@router.delete("/errands/{uuid:errand_id}", response={204: None})
def remove(request: MemberRequest, errand_id: UUID) -> Any:
    """Take it off the list; can be undone."""
    errands.remove(request.user, errand_id)
    return Status(204, None)


@router.post("/errands/{uuid:errand_id}/restore", response={200: ErrandOut})
def restore(request: MemberRequest, errand_id: UUID) -> Any:
    """Undo a removal."""
    return out(errands.restore(request.user, errand_id))
