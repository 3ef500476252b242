"""An authenticator app, as the tests hold one."""

from __future__ import annotations

import time

from allauth.mfa import app_settings
from allauth.mfa.totp.internal.auth import hotp_value


def code_now(secret: str) -> str:
    """The six figures that an app with this secret shows at this moment."""
    return f"{hotp_value(secret, int(time.time()) // app_settings.TOTP_PERIOD):06d}"
