"""A letter to whose account was signed in to from a device that it was not signed in to from before."""

from __future__ import annotations

from typing import Any

from allauth.account.adapter import get_adapter
from allauth.account.signals import user_logged_in
from django.http import HttpRequest

from studio.members.devices import device_of
from studio.members.models import Account

#: So many devices of an account are remembered.
MOST_DEVICES = 20


def listen() -> None:
    """Hear of every sign-in."""
    user_logged_in.connect(_signed_in, dispatch_uid="studio.members.notices")


def _signed_in(request: HttpRequest, user: Account, **told: Any) -> None:
    device = device_of(request.headers.get("User-Agent", ""))
    if device in user.devices:
        return
    first = not user.devices
    Account.objects.filter(pk=user.pk).update(devices=[*user.devices, device][-MOST_DEVICES:])
    if not first:
        get_adapter().send_notification_mail("account/email/new_sign_in", user, {"device": device})
