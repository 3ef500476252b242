"""Who works here: members, invitations, and to whom a client is open."""

from __future__ import annotations

from typing import Any
from uuid import UUID

import segno
from django.http import HttpRequest
from ninja import Router, Status

from studio.access import WORKS_AS, AccountAuth, Requires, not_forged
from studio.concurrency import write
from studio.members import invitations, services
from studio.members.models import Account, Assignment, Invitation
from studio.members.shapes import (
    AssignedChange,
    AssignedOut,
    ColleagueOut,
    InvitationIn,
    InvitationOut,
    InvitedOut,
    JoinIn,
    JoinLookIn,
    JoinOut,
    MemberChange,
    MemberRowOut,
    QrIn,
    QrOut,
    Reach,
    ReachChange,
    ReachOut,
)
from studio.people.known import client_of
from studio.people.models import Client, Member
from studio.people.shapes import Me, me_out
from studio.policy import Right, Role
from studio.requests import MemberRequest
from studio.schemas import Refusal
from studio.stored import stored

router = Router()


def member_out(member: Member, factors: set[int], assigned: int = 0) -> MemberRowOut:
    return MemberRowOut(
        id=member.pk,
        name=member.name,
        email=member.email,
        role=Role(member.role).value,
        active=member.is_active,
        second_factor=member.account_id in factors,
        last_sign_in=member.account.last_login,
        assigned=assigned,
    )


def _invitation(row: Invitation) -> dict[str, Any]:
    by = row.changed_by.name if row.changed_by else ""
    return {"id": row.id, "email": row.email, "role": row.role, "ends_at": row.ends_at, "by": by}


@router.get("/members", response=list[MemberRowOut], auth=Requires(Right.MEMBERS))
def members(request: MemberRequest) -> Any:
    """Everybody who works here or did, with their roles."""
    rows = services.members_of(request.user.studio)
    factors = services.with_second_factor([row.account_id for row in rows])
    theirs = list(Assignment.objects.of(request.user).values_list("member_id", flat=True))
    return [member_out(row, factors, theirs.count(row.pk)) for row in rows]


@router.patch("/members/{int:member_id}", response={200: MemberRowOut, 404: Refusal}, auth=Requires(Right.MEMBERS))
def change_member(request: MemberRequest, member_id: int, change: MemberChange) -> Any:
    """Change what somebody is here, what they are called, or whether they work here still."""
    told = change.model_dump(exclude_none=True)
    if "active" in told:
        told["is_active"] = told.pop("active")
    member = services.change_member(request.user, member_id, **told)
    return member_out(member, services.with_second_factor([member.account_id]))


@router.get("/invitations", response=list[InvitationOut], auth=Requires(Right.MEMBERS))
def standing(request: MemberRequest) -> Any:
    """Invitations that are neither accepted nor taken back."""
    return [InvitationOut(**_invitation(row)) for row in invitations.standing(request.user)]


@router.post("/invitations", response={201: InvitedOut, 422: Refusal}, auth=Requires(Right.MEMBERS))
def invite(request: MemberRequest, given: InvitationIn) -> Any:
    """Ask somebody in; an earlier invitation of the same address ends."""
    here = request.build_absolute_uri("/")
    made, link, sent = invitations.invite(request.user.studio, given.email, Role(given.role), here, request.user)
    return Status(201, InvitedOut(**_invitation(made), link=link, sent=sent))


@router.delete("/invitations/{uuid:invitation_id}", response={204: None}, auth=Requires(Right.MEMBERS))
def take_back(request: MemberRequest, invitation_id: UUID) -> Any:
    """Take an invitation back: its address opens nothing any more."""
    Invitation.objects.soft_delete(request.user, id=invitation_id)
    return Status(204, None)


@router.post("/join/look", response={200: JoinOut, 404: Refusal}, auth=not_forged)
def look(request: HttpRequest, given: JoinLookIn) -> Any:
    """What an invitation is to; this browser remembers that it followed it."""
    invitation = invitations.follow(request, given.key)
    if invitation is None:
        return Status(404, Refusal(message="This invitation has ended or was taken back. Ask for a new one."))
    known = Account.objects.filter(email=invitation.email).exists()
    return JoinOut(studio=invitation.studio.name, role=Role(invitation.role).value, email=invitation.email, known=known)


@router.post("/join", response={200: Me, 422: Refusal}, auth=AccountAuth())
def join(request: Any, given: JoinIn) -> Any:
    """Accept the invitation that this browser followed, with the account that is signed in."""
    account: Account = request.user
    before = services.works_as(account)
    member = invitations.accept(request, account, given.name)
    request.session[WORKS_AS] = member.pk
    return me_out(member, [*(one for one in before if one.pk != member.pk), member])


@router.post("/account/qr", response={200: QrOut}, auth=AccountAuth())
def qr(request: HttpRequest, given: QrIn) -> Any:
    """The address of an authenticator's secret, drawn to be scanned; nothing of it is kept."""
    return QrOut(picture=segno.make(given.text, micro=False).svg_data_uri(scale=4, border=1))


@router.get("/clients/{uuid:client_id}/assigned", response=AssignedOut, auth=Requires(Right.CLIENTS))
def assigned(request: MemberRequest, client_id: UUID) -> Any:
    """To whom a client is open, and whom it could be opened to."""
    return _assigned(request, client_of(request.user, client_id))


@router.patch(
    "/clients/{uuid:client_id}/assigned", response={200: AssignedOut, 422: Refusal}, auth=Requires(Right.CLIENTS)
)
def assign(request: MemberRequest, client_id: UUID, change: AssignedChange) -> Any:
    """Open a client to the studio, or to some of it: what changes, and no more."""
    return _assigned(request, services.assign(request.user, client_id, **change.model_dump()))


def _assigned(request: MemberRequest, client: Client) -> AssignedOut:
    working = [one for one in services.members_of(request.user.studio) if one.is_active]
    return AssignedOut(
        restricted=client.restricted,
        members=services.assigned_to(client),
        colleagues=[ColleagueOut(id=one.pk, name=one.name, role=Role(one.role).value) for one in working],
    )


@router.get("/clients/{uuid:client_id}/reach", response=ReachOut, auth=Requires(Right.DIARY))
def reach(request: MemberRequest, client_id: UUID) -> Any:
    """How a client is reached."""
    return reach_out(client_of(request.user, client_id))


@router.put("/clients/{uuid:client_id}/reach", response={200: ReachOut}, auth=Requires(Right.DIARY))
def change_reach(request: MemberRequest, client_id: UUID, change: ReachChange) -> Any:
    """Write down how a client is reached."""
    told = change.model_dump(exclude={"version"})
    return reach_out(write(Client, request.user, client_id, change.version, reach=told))


def reach_out(client: Client) -> ReachOut:
    held = stored(Reach, client.reach)
    return ReachOut(**held.model_dump(), client_id=client.id, name=client.name, version=client.version)
