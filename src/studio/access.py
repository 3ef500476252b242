"""The door of the interface: who asks, for which studio, and whether their role has the right that the operation asks for."""

from __future__ import annotations

from django.contrib import auth
from django.http import HttpRequest
from ninja.errors import HttpError
from ninja.security import SessionAuth
from ninja.utils import check_csrf

from studio.errors import NeedsSecondFactor, NoStudio, NotPermitted
from studio.members.known import member_of
from studio.members.models import Account
from studio.members.services import has_second_factor
from studio.people.models import Member
from studio.policy import Right, may
from studio.requests import MemberRequest
from studio.wall import tell_studio

#: Under this name a session keeps which of an account's members works in it.
WORKS_AS = "member"
#: In this head a screen says for whom it was loaded, so that two windows of one browser never mix two studios.
SHOWN_TO = "Basilwood-Member"

NO_STUDIO = "You work in no studio here now. Ask its owner for an invitation."
OTHER_STUDIO = "You work for another studio in another window now. Load this page again."
NO_RIGHT = "Your role in this studio does not go so far. Ask its owner."
NO_SECOND_FACTOR = "This studio asks for a second factor. Set one up under Account, then go on."


def signed_in(request: HttpRequest) -> Account | None:
    """The account that is signed in."""
    account = auth.get_user(request)
    return account if isinstance(account, Account) else None


def working(request: HttpRequest, account: Account) -> Member | None:
    """The member that this session works as; its studio is told to the database."""
    return member_of(account, request.session.get(WORKS_AS))


def not_forged(request: MemberRequest) -> bool:
    """Lets anybody through who sends the token along: nobody need be signed in."""
    if check_csrf(request):
        raise HttpError(403, "This page has been open too long. Load it again; what you saved is safe.")
    return True


class AccountAuth(SessionAuth):
    """Lets in whoever is signed in, whatever they are in whichever studio."""

    def authenticate(self, request: HttpRequest, key: str | None) -> Account | None:
        account = signed_in(request)
        if account is not None:
            request.user = account
        return account


class Requires(SessionAuth):
    """Lets in members whose role has a right, and tells the database whose rows may be seen."""

    def __init__(self, right: Right) -> None:
        super().__init__(csrf=True)
        self.right = right

    def authenticate(self, request: HttpRequest, key: str | None) -> Member | None:
        account = signed_in(request)
        if account is None:
            return None
        member = working(request, account)
        if member is None:
            raise NoStudio(NO_STUDIO)
        if request.headers.get(SHOWN_TO, str(member.pk)) != str(member.pk):
            raise NoStudio(OTHER_STUDIO)
        if member.studio.second_factor and self.right is not Right.BELONG and not has_second_factor(account):
            raise NeedsSecondFactor(NO_SECOND_FACTOR)
        if not may(member, self.right):
            raise NotPermitted(NO_RIGHT)
        # The member itself: it is asked for its studio a hundred times a request.
        request.user = member  # type: ignore[assignment]
        if not getattr(member, "told", False):
            tell_studio(member.studio_id)
        return member
