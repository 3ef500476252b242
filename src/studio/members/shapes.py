"""Members, invitations and whose clients are, as the screens read and write them."""

from __future__ import annotations

from datetime import datetime
from typing import Annotated, Literal
from uuid import UUID

from pydantic import BaseModel, Field, StringConstraints

from studio.schemas import MaybeName, Name

RoleWord = Literal["owner", "stylist", "apprentice", "front_desk"]
Address = Annotated[
    str, StringConstraints(strip_whitespace=True, max_length=254, pattern=r"^[^@\s]{1,64}@[^@\s]+\.[^@\s]+$")
]
Key = Annotated[str, StringConstraints(strip_whitespace=True, min_length=20, max_length=100)]


class MemberRowOut(BaseModel):
    """Somebody who works here, or did."""

    id: int
    name: str
    email: str
    role: RoleWord
    active: bool
    second_factor: bool
    last_sign_in: datetime | None
    #: How many clients are theirs by name.
    assigned: int


class MemberChange(BaseModel):
    name: Name | None = None
    role: RoleWord | None = None
    active: bool | None = None


class InvitationIn(BaseModel):
    email: Address
    role: RoleWord = "stylist"


class InvitationOut(BaseModel):
    id: UUID
    email: str
    role: RoleWord
    ends_at: datetime
    by: str


class InvitedOut(InvitationOut):
    """A new invitation: the address it is accepted at is told this once; `sent` says whether a letter took it there."""

    link: str
    sent: bool


class JoinLookIn(BaseModel):
    key: Key


class JoinOut(BaseModel):
    """What somebody is asked to: `known` says whether the address has an account already."""

    studio: str
    role: RoleWord
    email: str
    known: bool


class JoinIn(BaseModel):
    name: Name


class QrIn(BaseModel):
    """What an authenticator app scans."""

    text: Annotated[str, StringConstraints(max_length=400, pattern=r"^otpauth://totp/")]


class QrOut(BaseModel):
    #: An SVG as a data: address, for a picture to show.
    picture: str


class AssignedChange(BaseModel):
    """What changes of whom a client is open to; what is not said stays as it is."""

    #: Open to those assigned alone, and to the owner.
    restricted: bool | None = None
    add: list[int] = Field(default_factory=list, max_length=200)
    remove: list[int] = Field(default_factory=list, max_length=200)


class ColleagueOut(BaseModel):
    """A name to choose among."""

    id: int
    name: str
    role: RoleWord


class AssignedOut(BaseModel):
    restricted: bool
    members: list[int]
    colleagues: list[ColleagueOut]


class Reach(BaseModel):
    """How a client is reached."""

    email: Annotated[str, StringConstraints(strip_whitespace=True, max_length=254)] = ""
    phone: Annotated[str, StringConstraints(strip_whitespace=True, max_length=40)] = ""
    address: Annotated[str, StringConstraints(strip_whitespace=True, max_length=300)] = ""
    prefers: MaybeName = ""


class ReachChange(Reach):
    version: int


class ReachOut(Reach):
    client_id: UUID
    name: str
    version: int
