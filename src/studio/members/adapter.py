"""What of allauth is ours: whose place counts at sign-in, who may make an account, and letters that fail without breaking."""

from __future__ import annotations

import logging
from typing import Any

from allauth.account.adapter import DefaultAccountAdapter
from allauth.mfa.adapter import DefaultMFAAdapter
from django.conf import settings
from django.http import HttpRequest

from studio.members import invitations
from studio.members.models import Account
from studio.secrets import box
from studio.security import place_of

log = logging.getLogger(__name__)
_USE = "second factor"


class AccountAdapter(DefaultAccountAdapter):  # type: ignore[misc]
    """Accounts are made by invitation alone, and an invited address is confirmed by having been invited."""

    def get_client_ip(self, request: HttpRequest) -> str:
        """Where a request comes from, as the outermost proxy of ours heard it."""
        return place_of(request)

    def _get_login_attempts_cache_key(self, request: HttpRequest, **credentials: Any) -> str:
        """Misses count by address and place, so that nobody shuts another out from afar."""
        return f"{place_of(request)}:{super()._get_login_attempts_cache_key(request, **credentials)}"

    def is_open_for_signup(self, request: HttpRequest) -> bool:
        """Only to who followed an invitation that holds."""
        return bool(invitations.followed(request))

    def clean_email(self, email: str) -> str:
        """Addresses are compared without regard to case; a new account has the one that was invited."""
        told: str = super().clean_email(email).strip().lower()
        return told

    def is_email_verified(self, request: HttpRequest, email: str) -> bool:
        """An invitation reached this address."""
        invited = invitations.followed(request)
        return invited is not None and invited.email == email.strip().lower()

    def get_reset_password_from_key_url(self, key: str) -> str:
        """Where a reset leads, by the address that the studio is known under."""
        return (
            settings.ADDRESS + f"/forgotten#key={key}"
            if settings.ADDRESS
            else super().get_reset_password_from_key_url(key)
        )

    def send_mail(self, template_prefix: str, email: str, context: dict[str, Any]) -> None:
        """Put a letter about an account into the post. Where there is none, that is noted and breaks nothing: what it is about was done."""
        if not settings.EMAIL_HOST:
            log.warning("No mail server is set: a letter about an account (%s) was not sent", template_prefix)
            return
        super().send_mail(template_prefix, email, context)


class SecondFactorAdapter(DefaultMFAAdapter):  # type: ignore[misc]
    """The name that an authenticator shows, and how secrets lie in the database."""

    def get_totp_label(self, user: Account) -> str:
        """The address, as the app lists it."""
        return user.email

    def encrypt(self, text: str) -> str:
        """A secret of a second factor lies in the database under the server's key."""
        return box(_USE).encrypt(text.encode()).decode()

    def decrypt(self, encrypted_text: str) -> str:
        """And is read with it."""
        return box(_USE).decrypt(encrypted_text.encode()).decode()
