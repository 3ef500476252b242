"""Invitations: somebody is asked into a studio by mail, until a day, and comes in with an account they have or make."""

from __future__ import annotations

from datetime import UTC, datetime, timedelta
from typing import Any

from django.conf import settings
from django.core.mail import EmailMessage
from django.db import transaction
from django.http import HttpRequest

from studio.errors import NotInvited
from studio.members.models import Account, Invitation
from studio.people.models import Member, Studio
from studio.policy import Role
from studio.post.services import put
from studio.secrets import hashed, new_secret
from studio.wall import tell_link, tell_studio

#: An invitation holds so long (W: a week's holiday and a week to answer).
HOLDS = timedelta(days=14)
#: Under this name a browser keeps which invitation it followed, until it is accepted.
FOLLOWED = "invitation"
CALLED = {
    Role.OWNER: "owner",
    Role.STYLIST: "stylist",
    Role.APPRENTICE: "apprentice",
    Role.FRONT_DESK: "front desk",
}


def invite(
    studio: Studio, email: str, role: Role, address: str, by: Member | None = None
) -> tuple[Invitation, str, bool]:
    """Ask somebody in: the invitation, the address it is accepted at, and whether a letter is on its way. An earlier one to the same
    person ends. Raises NotInvited where they work here already."""
    wanted = email.strip().lower()
    if Member.objects.filter(studio=studio, account__email=wanted, is_active=True).exists():
        raise NotInvited("This person works here already.", "email")
    secret = new_secret()
    with transaction.atomic():
        _standing(studio).filter(email=wanted).update(removed_at=datetime.now(UTC))
        made = Invitation.objects.create(
            studio=studio,
            email=wanted,
            role=role,
            token_hash=hashed(secret),
            ends_at=datetime.now(UTC) + HOLDS,
            changed_by=by,
        )
    link = f"{(settings.ADDRESS or address).rstrip('/')}/join#key={secret}"
    return made, link, _sent(made, link, by)


def _standing(studio: Studio) -> Any:
    return Invitation.objects.filter(studio=studio, removed_at=None, accepted_at=None)


def standing(member: Member) -> list[Invitation]:
    """Invitations of the studio that are neither accepted nor taken back, ended ones too."""
    return list(_standing(member.studio).select_related("changed_by"))


def _sent(invitation: Invitation, link: str, by: Member | None) -> bool:
    if not settings.EMAIL_HOST:
        return False
    whom = f"{by.name} asks you" if by else "You are asked"
    text = (
        f"{whom} to work with {invitation.studio.name} in Basilwood, as {CALLED[Role(invitation.role)]}.\n\n"
        f"Open this address to accept, until {invitation.ends_at:%-d %B %Y}:\n\n{link}\n\n"
        "It is meant for you alone. If you did not expect it, leave it be: nothing happens.\n"
    )
    letter = EmailMessage(
        f"Work with {invitation.studio.name}",
        text,
        settings.DEFAULT_FROM_EMAIL,
        [invitation.email],
        reply_to=[by.email] if by else None,
    )
    put(letter, studio=invitation.studio)
    return True


def found(secret: str) -> Invitation | None:
    """The invitation of this secret, if it holds still."""
    tell_link(hashed(secret))
    holds = Invitation.objects.filter(
        token_hash=hashed(secret), removed_at=None, accepted_at=None, ends_at__gt=datetime.now(UTC)
    )
    invitation: Invitation | None = holds.select_related("studio").first()
    return invitation


def follow(request: HttpRequest, secret: str) -> Invitation | None:
    """Remember in this browser which invitation was opened; it, if it holds."""
    invitation = found(secret)
    if invitation is not None:
        request.session[FOLLOWED] = secret
    return invitation


def followed(request: HttpRequest) -> Invitation | None:
    """The invitation that this browser followed, if it holds still."""
    secret = request.session.get(FOLLOWED)
    return found(secret) if secret else None


def accept(request: HttpRequest, account: Account, name: str) -> Member:
    """Come in: what the account is in the studio from now on. Whoever has the letter may accept with an account of theirs under
    another address. Raises NotInvited where the invitation does not hold any more."""
    invitation = followed(request)
    if invitation is None:
        raise NotInvited("This invitation has ended. Ask for a new one.")
    with transaction.atomic():
        tell_studio(invitation.studio_id)
        member = Member.objects.filter(studio=invitation.studio, account=account).first()
        if member is None:
            member = Member(studio=invitation.studio, account=account)
        member.name, member.role, member.is_active = name, invitation.role, True
        member.save()
        Invitation.objects.filter(id=invitation.id).update(accepted_at=datetime.now(UTC))
    del request.session[FOLLOWED]
    return member
