"""Sign-in, the studio's settings, and clients."""

from __future__ import annotations

from datetime import date, datetime
from typing import Any, Literal
from uuid import UUID

from django.http import HttpRequest
from django.middleware.csrf import get_token
from ninja import Router, Schema, Status
from pydantic import BaseModel, Field

from craft.body.measures import MEASURES
from craft.brief import DRESS_CODES, LIMITS, OCCASIONS, cautions
from craft.cloth.colour import hex_of
from craft.cloth.colouring import WORDS as COLOURING
from craft.cloth.colouring import Axis, Pick, near_the_face, pairs, read_picks
from craft.formats.brief_form import Aims, BriefForm, Colouring
from craft.formats.client_file import FiledWays
from craft.judge.aims import WORDS as AIM_WORDS
from craft.judge.judgement import moved
from craft.measuring.ageing import due_on
from craft.measuring.cards import in_order
from craft.schools import POSITIONS, SAYS, Schools
from studio.access import NO_STUDIO, WORKS_AS, AccountAuth, Requires, signed_in, working
from studio.diary.days_off import Place
from studio.members.known import member_of
from studio.members.services import works_as
from studio.people import services
from studio.people.known import client_of
from studio.people.models import NAME_LENGTH, Client
from studio.people.shapes import Me, StudioOut, me_out
from studio.policy import Right, may
from studio.requests import MemberRequest
from studio.rules.services import checked as checked_rules
from studio.schemas import Copied, Name, Note, Refusal, Unit, answer
from studio.stored import stored

router = Router()


class StudioChange(Schema):
    version: int
    schools: dict[str, str] | None = None
    #: Rules of the engine that the house does not follow, by key.
    muted: list[str] | None = Field(default=None, max_length=200)
    #: Borders that the house draws elsewhere than usual, by key, cm (or the border's own unit).
    borders: dict[str, float] | None = Field(default=None, max_length=200)
    #: Whether everybody here signs in with a second factor.
    second_factor: bool | None = None
    keep_years: int | None = Field(default=None, ge=1, le=30)
    #: Where the studio works: the public holidays there stand in the diary.
    holidays_of: Place | None = None


class DeskChange(Schema):
    """What everybody who measures may set for the studio."""

    version: int
    unit: Unit | None = None
    own_list: list[str] | None = Field(default=None, max_length=len(MEASURES))


class School(Schema):
    """Where practitioners differ: the question, the positions (the first is the default), each position's answer."""

    id: str
    asks: str
    positions: list[str]
    answers: dict[str, str]


class ClientIn(Schema):
    name: Name
    note: Note = ""


class ClientChange(Schema):
    version: int
    name: Name | None = None
    note: Note | None = None
    aims: Aims | None = None
    brief: BriefForm | None = None
    own_ways: FiledWays | None = None


class ClientRow(Copied):
    id: UUID
    name: str
    note: str
    version: int
    changed_at: datetime
    measures: int = 0
    looks: int = 0
    #: When the newest session's figures should be taken again.
    due_on: date | None = None


class ClientList(BaseModel):
    """A page of clients by name; `total` is how many match."""

    total: int
    rows: list[ClientRow]


class CautionOut(Copied):
    because: str
    text: str


class ClientOut(ClientRow):
    """One client with their aims, brief, and what comes before style for them."""

    aims: Aims
    brief: BriefForm
    #: Where they are judged otherwise than the house judges.
    own_ways: FiledWays
    cautions: list[CautionOut]


class SwatchPair(Schema):
    axis: Literal["warmth", "depth", "clarity"]
    first: str
    second: str


class BriefWords(Schema):
    """The words the brief is filled with, and the swatches held to the face."""

    aims: dict[str, list[str]]
    occasions: list[str]
    dress_codes: list[str]
    limits: list[str]
    colouring: dict[str, list[str]]
    swatches: list[SwatchPair]


class Picks(Schema):
    warmth: list[Pick] = Field(default=[], max_length=9)
    depth: list[Pick] = Field(default=[], max_length=9)
    clarity: list[Pick] = Field(default=[], max_length=9)


class NamedColour(Schema):
    name: str
    hex: str


class ColouringOut(Schema):
    words: dict[str, str]


class NearFace(Schema):
    colours: list[NamedColour]


class WorkAs(Schema):
    member: int


@router.get("/session", response={200: Me, 401: Refusal, 403: Refusal}, auth=None)
def who(request: HttpRequest) -> Any:
    """Who is signed in; also hands out the token that every write needs. Signing in and out, passwords and second factors are
    asked for at /api/accounts/."""
    get_token(request)
    account = signed_in(request)
    if account is None:
        return Status(401, Refusal(message="Sign in to go on."))
    works_in = works_as(account)
    member = working(request, account)
    if member is None:
        return Status(403, Refusal(message=NO_STUDIO, field="studio"))
    return me_out(member, works_in)


@router.post("/session/studio", response={200: Me, 403: Refusal}, auth=AccountAuth())
def work_for(request: Any, given: WorkAs) -> Any:
    """Work for another of the studios that this account works in."""
    works_in = works_as(request.user)
    member = member_of(request.user, given.member)
    if member is None or member.pk != given.member:
        return Status(403, Refusal(message=NO_STUDIO))
    request.session[WORKS_AS] = member.pk
    return me_out(member, works_in)


@router.get("/schools", response=list[School])
def schools(request: MemberRequest) -> Any:
    """The schools that a rule asks about, with their positions; the first is the default."""
    return [
        School(id=school, asks=SAYS[school][0], positions=list(POSITIONS[school]), answers=SAYS[school][1])
        for school in POSITIONS
    ]


@router.patch("/studio", response={200: StudioOut}, auth=Requires(Right.HOUSE))
def change_studio(request: MemberRequest, change: StudioChange) -> Any:
    """Change the studio's schools, the rules it follows, how one signs in, and how long clients are kept."""
    changes = change.model_dump(exclude={"version"}, exclude_none=True)
    if "schools" in changes:
        Schools.of(changes["schools"])
    if "muted" in changes:
        changes["muted"] = checked_rules(changes["muted"])
    if "borders" in changes:
        changes["borders"] = moved(changes["borders"])
    return services.change_studio(request.user, change.version, **changes)


@router.patch("/studio/desk", response={200: StudioOut})
def change_desk(request: MemberRequest, change: DeskChange) -> Any:
    """Change the studio's units, or its own list of measures."""
    changes = change.model_dump(exclude={"version"}, exclude_none=True)
    if "own_list" in changes:
        changes["own_list"] = list(in_order(tuple(changes["own_list"])))
    return services.change_studio(request.user, change.version, **changes)


def row_of(client: Client, known: services.Counts | None = None) -> ClientRow:
    held = known or services.Counts()
    due = due_on(held.measured_on) if held.measured_on else None
    return ClientRow.of(client, measures=held.measures, looks=held.looks, due_on=due)


def client_out(client: Client) -> ClientOut:
    row = row_of(client, services.counts(client.studio_id, [client.id]).get(client.id))
    brief = stored(BriefForm, client.brief)
    said = [CautionOut.of(caution) for caution in cautions(brief.limits)]
    ways = stored(FiledWays, client.own_ways)
    aims = stored(Aims, client.aims)
    return ClientOut(**row.model_dump(), aims=aims, brief=brief, own_ways=ways, cautions=said)


@router.get("/clients", response=ClientList, auth=Requires(Right.DIARY))
def clients(request: MemberRequest, q: str = "", offset: int = 0, limit: int = 60) -> Any:
    """A page of the studio's clients by name, those whose name or note holds `q`."""
    total, rows = services.find_clients(request.user, q[:NAME_LENGTH], max(offset, 0), min(max(limit, 1), 200))
    if not may(request.user, Right.WORK):
        # A name, and no more.
        return answer(ClientList(total=total, rows=[row_of(client).model_copy(update={"note": ""}) for client in rows]))
    known = services.counts(request.user.studio_id, [client.id for client in rows])
    return answer(ClientList(total=total, rows=[row_of(client, known.get(client.id)) for client in rows]))


@router.get("/clients/{uuid:client_id}", response=ClientOut)
def client(request: MemberRequest, client_id: UUID) -> Any:
    """One client with aims, brief and cautions."""
    return client_out(client_of(request.user, client_id))


@router.get("/brief/words", response=BriefWords)
def brief_words(request: MemberRequest) -> Any:
    """The words of the brief, and the pairs of swatches that tell a colouring."""
    return BriefWords(
        aims={key: list(words) for key, words in AIM_WORDS.items()},
        occasions=list(OCCASIONS),
        dress_codes=list(DRESS_CODES),
        limits=list(LIMITS),
        colouring={axis: list(words) for axis, words in COLOURING.items()},
        swatches=[SwatchPair(axis=p.axis, first=p.first, second=p.second) for p in pairs()],
    )


@router.post("/brief/colouring", response=ColouringOut)
def colouring(request: MemberRequest, picks: Picks) -> Any:
    """The colouring that picks between swatches come to."""
    return ColouringOut(words=read_picks(picks.model_dump()))  # type: ignore[arg-type]


@router.post("/brief/near-face", response=NearFace)
def near_face(request: MemberRequest, given: Colouring) -> Any:
    """The colours that do well near the face of such a colouring."""
    chosen = given.model_dump()
    words: dict[Axis, str] = {axis: chosen[axis] for axis in COLOURING if chosen[axis]}
    return NearFace(colours=[NamedColour(name=name, hex=hex_of(name)) for name in near_the_face(words)])


@router.post("/clients", response={201: ClientRow}, auth=Requires(Right.DIARY))
def add_client(request: MemberRequest, given: ClientIn) -> Any:
    """Add a client."""
    return Status(201, row_of(services.add_client(request.user, given.name, given.note)))


@router.patch("/clients/{uuid:client_id}", response={200: ClientOut})
def change_client(request: MemberRequest, client_id: UUID, change: ClientChange) -> Any:
    """Change a client's name, note, aims or brief."""
    changes = change.model_dump(exclude={"version"}, exclude_none=True)
    if "own_ways" in changes:
        Schools.of(changes["own_ways"]["schools"])
        changes["own_ways"]["muted"] = checked_rules(changes["own_ways"]["muted"])
    return client_out(services.change_client(request.user, client_id, change.version, **changes))


@router.delete("/clients/{uuid:client_id}", response={204: None}, auth=Requires(Right.CLIENTS))
def remove_client(request: MemberRequest, client_id: UUID) -> Any:
    """Take a client off the list; can be undone."""
    services.remove_client(request.user, client_id)
    return Status(204, None)


@router.post("/clients/{uuid:client_id}/restore", response={200: ClientRow}, auth=Requires(Right.CLIENTS))
def restore_client(request: MemberRequest, client_id: UUID) -> Any:
    """Undo a removal."""
    return row_of(services.restore_client(request.user, client_id))
