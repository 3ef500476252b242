"""Sign-in, the studio's settings, and clients."""

from __future__ import annotations

from datetime import datetime
from typing import Any
from uuid import UUID

from django.contrib.auth import authenticate, login, logout
from django.http import HttpRequest
from django.middleware.csrf import get_token
from ninja import Router, Schema, Status
from ninja.errors import HttpError
from ninja.utils import check_csrf

from craft.schools import ASKED, POSITIONS, Schools
from studio.people import services
from studio.people.models import Client, Member
from studio.schemas import Name, Note, Refusal, Unit

router = Router()


class SignIn(Schema):
    email: str
    password: str


class StudioOut(Schema):
    name: str
    unit: Unit
    schools: dict[str, str]
    version: int


class Me(Schema):
    name: str
    email: str
    studio: StudioOut


class StudioChange(Schema):
    version: int
    unit: Unit | None = None
    schools: dict[str, str] | None = None


class School(Schema):
    id: str
    positions: list[str]


class ClientIn(Schema):
    name: Name
    note: Note = ""


class ClientChange(Schema):
    version: int
    name: Name | None = None
    note: Note | None = None


class ClientRow(Schema):
    id: UUID
    name: str
    note: str
    version: int
    changed_at: datetime
    measures: int = 0
    looks: int = 0


def not_forged(request: HttpRequest) -> bool:
    """Lets anybody through who sends the token along: nobody need be signed in to sign in."""
    if check_csrf(request):
        raise HttpError(403, "This page has been open too long. Load it again; what you saved is safe.")
    return True


def _me(member: Member) -> Me:
    return Me(name=member.name, email=member.email, studio=StudioOut.model_validate(member.studio))


@router.get("/session", response={200: Me, 401: Refusal}, auth=None)
def who(request: HttpRequest) -> Any:
    """Who is signed in; also hands out the token that every write needs."""
    get_token(request)
    if not request.user.is_authenticated:
        return Status(401, Refusal(message="Sign in to go on."))
    return _me(request.user)


@router.post("/session", response={200: Me, 401: Refusal, 429: Refusal}, auth=not_forged)
def sign_in(request: HttpRequest, given: SignIn) -> Any:
    """Sign in with an email address and a password; too many misses are answered by security.locked_out."""
    email = given.email.strip().lower()[:254]
    member = authenticate(request=request, username=email, password=given.password[:1000])
    if member is None:
        return Status(401, Refusal(message="This email address and password do not go together.", field="password"))
    login(request, member)
    return _me(member)  # type: ignore[arg-type]


@router.delete("/session", response={204: None}, auth=not_forged)
def sign_out(request: HttpRequest) -> Any:
    """Sign out; harmless when nobody is signed in."""
    logout(request)
    return Status(204, None)


@router.get("/schools", response=list[School])
def schools(request: HttpRequest) -> Any:
    """The schools that a rule asks about, with their positions; the first is the default."""
    return [School(id=school, positions=list(POSITIONS[school])) for school in ASKED]


@router.patch("/studio", response={200: StudioOut})
def change_studio(request: HttpRequest, change: StudioChange) -> Any:
    """Change the studio's units or schools."""
    changes = change.model_dump(exclude={"version"}, exclude_none=True)
    if "schools" in changes:
        Schools.of(changes["schools"])
    return services.change_studio(request.user, change.version, **changes)


def row_of(client: Client, measures: int = 0, looks: int = 0) -> ClientRow:
    fields = ("id", "name", "note", "version", "changed_at")
    return ClientRow(**{name: getattr(client, name) for name in fields}, measures=measures, looks=looks)


@router.get("/clients", response=list[ClientRow])
def clients(request: HttpRequest) -> Any:
    """The studio's clients by name, with how much is known of each."""
    rows = Client.objects.of(request.user).kept().order_by("name", "created_at")
    counts = services.counts(request.user)
    return [row_of(client, *counts.get(client.id, (0, 0))) for client in rows]


@router.post("/clients", response={201: ClientRow})
def add_client(request: HttpRequest, given: ClientIn) -> Any:
    """Add a client."""
    return Status(201, row_of(services.add_client(request.user, given.name, given.note)))


@router.patch("/clients/{uuid:client_id}", response={200: ClientRow})
def change_client(request: HttpRequest, client_id: UUID, change: ClientChange) -> Any:
    """Rename a client or change the note."""
    changes = change.model_dump(exclude={"version"}, exclude_none=True)
    return row_of(services.change_client(request.user, client_id, change.version, **changes))


@router.delete("/clients/{uuid:client_id}", response={204: None})
def remove_client(request: HttpRequest, client_id: UUID) -> Any:
    """Take a client off the list; can be undone."""
    services.remove_client(request.user, client_id)
    return Status(204, None)


@router.post("/clients/{uuid:client_id}/restore", response={200: ClientRow})
def restore_client(request: HttpRequest, client_id: UUID) -> Any:
    """Undo a removal."""
    return row_of(services.restore_client(request.user, client_id))
