"""Pictures as the screens send and show them. One is sent as it is, as the body of the request."""

from __future__ import annotations

from datetime import datetime
from typing import Any
from uuid import UUID

from django.http import HttpResponse
from ninja import Router, Status
from pydantic import BaseModel

from craft.cloth.colour import nearest_name
from studio.access import Requires
from studio.pictures import services
from studio.pictures.harmless import LARGEST_BYTES, too_large
from studio.pictures.models import Picture
from studio.policy import Right
from studio.requests import MemberRequest
from studio.schemas import Refusal, attached, file_of

router = Router()
#: Operations that open their transactions themselves: developing a picture takes a while, and holds nobody up.
BY_THEMSELVES = ("add_picture_to_piece", "add_picture_to_trial")


class Shade(BaseModel):
    """A colour of a picture: its code, its share of the middle, and the vocabulary's nearest name."""

    colour: str
    share: float
    near: str


class PictureOut(BaseModel):
    id: UUID
    width: int
    height: int
    palette: list[Shade]
    taken_in: datetime


class PicturesOut(BaseModel):
    pictures: list[PictureOut]


def picture_out(row: Picture) -> PictureOut:
    shades = [Shade(colour=colour, share=share, near=nearest_name(colour)) for colour, share in row.palette]
    return PictureOut(id=row.id, width=row.width, height=row.height, palette=shades, taken_in=row.created_at)


def _sent(request: MemberRequest) -> bytes:
    """What was sent, in bounds. Raises NotAPicture."""
    given = bytes(request.read(LARGEST_BYTES + 1))
    if len(given) > LARGEST_BYTES:
        raise too_large()
    return given


@router.get("/rack/{uuid:piece_id}/pictures", response=PicturesOut)
def of_piece(request: MemberRequest, piece_id: UUID) -> Any:
    """The pictures of a piece."""
    return PicturesOut(pictures=[picture_out(row) for row in services.of_piece(request.user, piece_id)])


@router.put(
    "/rack/{uuid:piece_id}/pictures/{uuid:picture_id}",
    response={200: PictureOut, 422: Refusal},
    url_name=BY_THEMSELVES[0],
)
def add_to_piece(request: MemberRequest, piece_id: UUID, picture_id: UUID) -> Any:
    """Keep a picture of a piece: JPEG, PNG or WebP."""
    return picture_out(services.add_to_piece(request.user, piece_id, picture_id, _sent(request)))


@router.get("/trials/{uuid:trial_id}/pictures", response=PicturesOut)
def of_trial(request: MemberRequest, trial_id: UUID) -> Any:
    """The pictures of a piece as it was tried on."""
    return PicturesOut(pictures=[picture_out(row) for row in services.of_trial(request.user, trial_id)])


@router.put(
    "/trials/{uuid:trial_id}/pictures/{uuid:picture_id}",
    response={200: PictureOut, 422: Refusal},
    url_name=BY_THEMSELVES[1],
)
def add_to_trial(request: MemberRequest, trial_id: UUID, picture_id: UUID) -> Any:
    """Keep a picture of a piece as it was tried on."""
    return picture_out(services.add_to_trial(request.user, trial_id, picture_id, _sent(request)))


@router.get("/pictures/{uuid:picture_id}", response=bytes, openapi_extra=file_of("image/jpeg"))
def show(request: MemberRequest, picture_id: UUID, small: bool = False) -> Any:
    """A picture, JPEG. It never changes, but is somebody's: a browser asks each time whether it may show it still."""
    services.seen_by(request.user, picture_id)
    mark = f'"{picture_id}{"-small" if small else ""}"'
    if request.headers.get("If-None-Match") == mark:
        response = HttpResponse(status=304)
    else:
        response = HttpResponse(services.shown(request.user, picture_id, small=small), content_type="image/jpeg")
    response["ETag"], response["Cache-Control"] = mark, "private, no-cache"
    return response


@router.delete("/pictures/{uuid:picture_id}", response={204: None})
def remove(request: MemberRequest, picture_id: UUID) -> Any:
    """Take a picture away; can be undone."""
    services.remove(request.user, picture_id)
    return Status(204, None)


@router.post("/pictures/{uuid:picture_id}/restore", response={200: PictureOut})
def restore(request: MemberRequest, picture_id: UUID) -> Any:
    """Undo a removal."""
    return picture_out(services.restore(request.user, picture_id))


@router.get(
    "/clients/{uuid:client_id}/pictures.zip",
    response=bytes,
    openapi_extra=file_of("application/zip"),
    auth=Requires(Right.HAND_OUT),
)
def archive(request: MemberRequest, client_id: UUID) -> Any:
    """All of a client's pictures in one file."""
    return attached(services.archive(request.user, client_id), "application/zip", "pictures.zip")
