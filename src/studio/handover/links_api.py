"""Links for clients, what they say through them, and letters."""

from __future__ import annotations

from datetime import UTC, datetime
from typing import Any
from uuid import UUID

import segno
from django.conf import settings
from django.http import HttpRequest
from ninja import Router, Status

from studio.access import Requires
from studio.bodies.known import today
from studio.handover import letters, links
from studio.handover.models import Letter, Said, Share
from studio.handover.shapes import (
    LetterIn,
    LetterOut,
    LettersOut,
    LinkIn,
    LinkMadeOut,
    LinkOut,
    LinksOut,
    OpeningOut,
    PostIn,
    SaidListOut,
    SaidOut,
)
from studio.people.known import client_of
from studio.policy import Right
from studio.post.models import WAITING
from studio.requests import MemberRequest
from studio.schemas import Refusal, attached, file_of

router = Router()
#: So many openings of a link are listed; so many things said.
OPENINGS, LISTED = 20, 200
PARTS = {
    "numbers": "numbers for the shop",
    "buying": "the buying list",
    "colours": "colours to build on",
    "care": "care",
}


@router.get("/clients/{uuid:client_id}/links", response=LinksOut)
def client_links(request: MemberRequest, client_id: UUID) -> Any:
    """A client's links, the newest first, and what was said through them."""
    client = client_of(request.user, client_id)
    rows = (
        Share.objects.filter(client=client, removed_at=None).select_related("changed_by").prefetch_related("openings")
    )
    said = Said.objects.filter(share__client=client, removed_at=None).select_related("share__client")[:LISTED]
    return LinksOut(links=[_link(row) for row in rows], said=[_said(one) for one in said])


@router.post(
    "/clients/{uuid:client_id}/links", response={201: LinkMadeOut, 422: Refusal}, auth=Requires(Right.HAND_OUT)
)
def make(request: MemberRequest, client_id: UUID, given: LinkIn) -> Any:
    """Make a link: its address is told this once."""
    told = given.model_dump(exclude={"id", "parts"})
    share, token = links.make(request.user, client_id, given.id, parts=given.parts, **told)
    address = f"{settings.ADDRESS or _origin(request)}/for/{token}/"
    code = segno.make(address, error="m").svg_data_uri(scale=4, dark="#35261b", omitsize=True)
    return Status(201, LinkMadeOut(link=_link(share), address=address, code=code))


def _origin(request: HttpRequest) -> str:
    return f"{request.scheme}://{request.get_host()}"


@router.delete("/links/{uuid:link_id}", response=LinkOut, auth=Requires(Right.HAND_OUT))
def take_back(request: MemberRequest, link_id: UUID) -> Any:
    """Take a link back: from now on it says that it has ended."""
    return _link(links.take_back(request.user, link_id))


@router.post("/links/{uuid:link_id}/restore", response=LinkOut, auth=Requires(Right.HAND_OUT))
def open_again(request: MemberRequest, link_id: UUID) -> Any:
    """Undo the taking back."""
    return _link(links.open_again(request.user, link_id))


@router.get("/said", response=SaidListOut)
def studio_said(request: MemberRequest) -> Any:
    """What clients said through their links and nobody has seen to, the newest first."""
    rows = Said.objects.of(request.user).not_removed().filter(seen_at=None).select_related("share__client")
    return SaidListOut(said=[_said(one) for one in rows[:LISTED]])


@router.post("/said/{uuid:said_id}/seen", response=SaidOut)
def seen(request: MemberRequest, said_id: UUID) -> Any:
    """It has been seen to."""
    return _said(_mark(request, said_id, datetime.now(UTC)))


@router.delete("/said/{uuid:said_id}/seen", response=SaidOut)
def unseen(request: MemberRequest, said_id: UUID) -> Any:
    """It has not been seen to after all."""
    return _said(_mark(request, said_id, None))


def _mark(request: MemberRequest, said_id: UUID, seen_at: datetime | None) -> Said:
    row: Said = Said.objects.of(request.user).not_removed().select_related("share__client").get_or_404(id=said_id)
    row.seen_at, row.changed_by = seen_at, request.user
    row.save(update_fields=["seen_at", "changed_by", "changed_at"])
    return row


@router.get("/clients/{uuid:client_id}/letters", response=LettersOut)
def client_letters(request: MemberRequest, client_id: UUID) -> Any:
    """Letters to a client, the last first."""
    rows = letters.letters_of(request.user, client_id)
    return LettersOut(letters=[_letter(row) for row in rows], can_send=bool(settings.EMAIL_HOST))


@router.post(
    "/clients/{uuid:client_id}/letters",
    response={201: LetterOut, 422: Refusal, 503: Refusal},
    auth=Requires(Right.HAND_OUT),
)
def write(request: MemberRequest, client_id: UUID, given: LetterIn) -> Any:
    """Write a letter: sent, or laid ready to be taken away."""
    told = given.model_dump(exclude={"id", "send"})
    row = letters.send(request.user, client_id, given.id, send_it=given.send, **told)
    return Status(201, _letter(row))


@router.get(
    "/letters/{uuid:letter_id}/letter.eml",
    response=bytes,
    openapi_extra=file_of("message/rfc822"),
    auth=Requires(Right.HAND_OUT),
)
def letter_file(request: MemberRequest, letter_id: UUID) -> Any:
    """A letter as a file that any mail program opens."""
    row: Letter = Letter.objects.of(request.user).not_removed().get_or_404(id=letter_id)
    return attached(row.message, "message/rfc822", "letter.eml")


@router.post("/letters/{uuid:letter_id}/post", response={200: LetterOut, 422: Refusal}, auth=Requires(Right.HAND_OUT))
def post_again(request: MemberRequest, letter_id: UUID, given: PostIn) -> Any:
    """Send a letter that has not gone, now, or take it out of the post."""
    return _letter(letters.post_again(request.user, letter_id, go=given.go))


def _letter(row: Letter) -> LetterOut:
    way = row.outgoing
    return LetterOut(
        id=row.id, to=row.to, subject=row.subject, at=row.created_at, by=_name(row),
        state=way.state if way else "file",
        again_at=way.next_at if way and way.tries and way.state == WAITING else None,
        answer=way.answer if way else "",
    )  # fmt: skip


def _name(row: Letter | Share) -> str:
    return row.changed_by.name if row.changed_by else ""


def _link(row: Share) -> LinkOut:
    state: Any = "taken_back" if row.taken_back_at else "ended" if row.ends_on < today() else "open"
    openings = list(row.openings.all())
    content = row.content
    return LinkOut(
        id=row.id,
        state=state,
        made_at=row.created_at,
        ends_on=row.ends_on,
        asks_word=bool(row.word),
        cards=[card["name"] for card in content["cards"]],
        shows=[name for part, name in PARTS.items() if content.get(part)],
        openings=[OpeningOut(at=one.at, let_in=one.let_in) for one in openings[:OPENINGS]],
        opened=sum(one.let_in for one in openings),
        missed=sum(not one.let_in for one in openings),
        by=_name(row),
    )


def _said(one: Said) -> SaidOut:
    says: Any = one.says
    return SaidOut(
        id=one.id,
        client_id=one.share.client_id,
        client=one.share.client.name,
        says=says,
        about=one.about,
        title=one.title,
        text=one.text,
        at=one.created_at,
        seen_at=one.seen_at,
    )
