"""The verbs of members: who works here, as what, and whose a client is."""

from __future__ import annotations

from collections.abc import Collection, Iterable
from typing import Any

from allauth.account.models import EmailAddress
from allauth.mfa.models import Authenticator
from django.db import transaction
from django.http import Http404

from studio.concurrency import hold
from studio.errors import NotInvited
from studio.members.models import Account, Assignment
from studio.people.models import Client, Member, Studio
from studio.policy import Role

#: What counts as a second factor: recovery codes alone are what is left of one.
FACTORS = (Authenticator.Type.TOTP, Authenticator.Type.WEBAUTHN)


def has_second_factor(account: Account) -> bool:
    """Whether an account signs in with a second factor."""
    return bool(Authenticator.objects.filter(user=account, type__in=FACTORS).exists())


def with_second_factor(accounts: Collection[int]) -> set[int]:
    """Those of these accounts that do."""
    return set(Authenticator.objects.filter(user__in=accounts, type__in=FACTORS).values_list("user_id", flat=True))


def add_member(studio: Studio, email: str, name: str, password: str, role: Role = Role.STYLIST) -> Member:
    """A member with an account whose address counts as confirmed: for the demo and for tests, where nobody reads a letter."""
    account, made = Account.objects.get_or_create(email=email.strip().lower())
    if made:
        account.set_password(password)
        account.save()
        EmailAddress.objects.create(user=account, email=account.email, verified=True, primary=True)
    return Member.objects.create(studio=studio, account=account, name=name, role=role)


def members_of(studio: Studio) -> list[Member]:
    """Everybody of a studio, those who left last."""
    return list(Member.objects.filter(studio=studio).order_by("-is_active", "name", "id"))


def works_as(account: Account) -> list[Member]:
    """Everything an account is, in whichever studio."""
    return list(Member.objects.filter(account=account, is_active=True).order_by("studio__name", "id"))


def change_member(owner: Member, member_id: int, **changes: Any) -> Member:
    """Say what somebody is here, what they are called, or whether they work here still. Raises NotInvited where nobody would be
    left to own the studio."""
    with transaction.atomic():
        Studio.objects.select_for_update(no_key=True).get(id=owner.studio_id)
        member = Member.objects.filter(studio=owner.studio, id=member_id).first()
        if member is None:
            raise Http404
        for name, value in changes.items():
            setattr(member, name, value)
        member.save(update_fields=list(changes))
        if not Member.objects.filter(studio=owner.studio, role=Role.OWNER, is_active=True).exists():
            raise NotInvited("A studio needs an owner: make somebody else one first.", "role")
    return member


def assigned_to(client: Client) -> list[int]:
    """The members whose a client is."""
    return list(Assignment.objects.filter(client=client).order_by("member_id").values_list("member_id", flat=True))


def assign(
    member: Member, client_id: Any, restricted: bool | None = None, add: Iterable[int] = (), remove: Iterable[int] = ()
) -> Client:
    """Change to whom a client is open: to the studio and those assigned, or to those alone (and the owner); and who is.

    Only what changes is said, so that two who do so at once lose nothing of each other. Raises Http404, and NotInvited for
    somebody who does not work here.
    """
    with transaction.atomic():
        client = hold(member, client_id)
        wanted = set(add)
        known = set(
            Member.objects.filter(studio=member.studio, id__in=wanted, is_active=True).values_list("id", flat=True)
        )
        if known != wanted:
            raise NotInvited("One of these does not work here any more.", "add")
        Assignment.objects.filter(client=client, member_id__in=set(remove)).delete()
        held = set(assigned_to(client))
        Assignment.objects.bulk_create(
            Assignment(studio_id=member.studio_id, client=client, member_id=one) for one in sorted(wanted - held)
        )
        if restricted is not None:
            Client.objects.filter(pk=client.pk).update(restricted=restricted)
            client.restricted = restricted
    return client
