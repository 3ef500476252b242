"""Somebody who speaks to a running server as a screen does: signed in, with the token every write needs."""

from __future__ import annotations

import contextlib
import json
import urllib.error
import urllib.request
from http.cookiejar import CookieJar
from typing import Any

#: Where accounts sign in.
SIGN_IN = "/api/accounts/browser/v1/auth/login"


class Visitor:
    """A signed-in stylist on a keep-alive connection's worth of requests."""

    def __init__(self, address: str) -> None:
        self.address = address
        self.jar = CookieJar()
        self.opener = urllib.request.build_opener(urllib.request.HTTPCookieProcessor(self.jar))

    def ask(self, method: str, path: str, body: Any = None) -> Any:
        headers = {"Content-Type": "application/json", "X-CSRFToken": self.token}
        data = None if body is None else json.dumps(body).encode()
        request = urllib.request.Request(self.address + path, data=data, method=method, headers=headers)  # noqa: S310
        with self.opener.open(request, timeout=20) as answer:
            return json.loads(answer.read() or b"null")

    def sign_in(self, email: str, password: str) -> None:
        """Sign in; the token comes with being told that nobody is."""
        with contextlib.suppress(urllib.error.HTTPError):
            self.ask("GET", "/api/session")
        self.ask("POST", SIGN_IN, {"email": email, "password": password})

    @staticmethod
    def last_refusal(error: urllib.error.HTTPError) -> dict[str, Any]:
        """What a refusal tells."""
        told: dict[str, Any] = json.loads(error.read() or b"{}")
        return told

    @property
    def token(self) -> str:
        """The token every write needs."""
        return next((cookie.value for cookie in self.jar if cookie.name == "csrftoken"), "") or ""

    @property
    def cookies(self) -> str:
        """What a browser would send along."""
        return "; ".join(f"{cookie.name}={cookie.value}" for cookie in self.jar)
