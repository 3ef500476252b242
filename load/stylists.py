"""Stylists at their usual pace, as locust runs them: each has a client in hand and does what the screens then ask."""

from __future__ import annotations

import itertools
import os
import random
import uuid
from typing import Any

from locust import HttpUser, between, task

from load.full import PASSWORD, email_of

HOSTS = os.environ["BASILWOOD_LOAD_HOSTS"].split(",")
WAITS = tuple(float(text) for text in os.environ.get("BASILWOOD_LOAD_WAITS", "4,12").split(","))
NUMBER = itertools.count()
API = "/api"
LOGIN = "/api/accounts/browser/v1/auth/login"
WORN = [{"is": "shirt", "tuck": "full"}, {"is": "jeans"}, {"is": "loafers"}]


class Stylist(HttpUser):
    """Looks, thinks, and looks on: some eight seconds between two things done."""

    wait_time = between(*WAITS)
    host = HOSTS[0]

    def on_start(self) -> None:
        """Sign in, and take a client in hand."""
        number = next(NUMBER)
        # Half of them at each server, where there are two.
        self.base = HOSTS[number % len(HOSTS)]
        with self.client.get(f"{self.base}{API}/session", name="first visit", catch_response=True) as told:
            # Nobody is signed in: that is the answer, and the token comes with it.
            told.success()
        self.ask("POST", LOGIN, {"email": email_of(number), "password": PASSWORD}, name="sign in")
        self.take()

    def ask(self, method: str, path: str, body: Any = None, name: str = "") -> Any:
        """A request as the screen sends it; what was told."""
        head = {"X-CSRFToken": self.client.cookies.get("csrftoken") or "", "Referer": f"{self.base}/"}
        told = self.client.request(
            method, f"{self.base}{path}", json=body, headers=head, name=name or f"{method} {path}"
        )
        return told.json() if told.ok and told.content and "json" in told.headers.get("Content-Type", "") else None

    def of(self, method: str, path: str, body: Any = None) -> Any:
        """A request about the client in hand."""
        return self.ask(method, f"{API}/clients/{self.held}{path}", body, f"{method} client{path.split('?')[0]}")

    def take(self) -> None:
        """Another client, found on the list."""
        page = self.ask("GET", f"{API}/clients?offset={random.randrange(0, 1900)}", name="GET clients")
        rows = (page or {}).get("rows") or []
        if not rows:
            rows = (self.ask("GET", f"{API}/clients", name="GET clients") or {"rows": []})["rows"]
        self.held = random.choice(rows)["id"]
        for path in ("", "/desk", "/looks"):
            self.of("GET", path)

    @task(6)
    def dress(self) -> None:
        """A look is looked at, and a hem is moved."""
        self.of("GET", "/looks")
        self.of(
            "POST", "/assess", {"pieces": [*WORN[:1], {"is": "jeans", "inseam_cm": random.randrange(68, 84)}, WORN[2]]}
        )

    @task(2)
    def measure(self) -> None:
        """The tape is taken up: what would settle most."""
        self.of("GET", "/next")

    @task(3)
    def hang(self) -> None:
        """The rack is opened and a piece is hung."""
        self.of("GET", "/rack")
        self.of("GET", "/rack/flats?page=0")
        self.of("POST", "/rack", {"id": str(uuid.uuid4()), "line": "navy wool trousers"})

    @task(2)
    def search(self) -> None:
        """Somebody is looked for by name."""
        self.ask("GET", f"{API}/clients?q=Flora {random.randrange(100)}", name="GET clients?q")

    @task(2)
    def diary(self) -> None:
        """The week is looked at."""
        self.ask("GET", f"{API}/diary?first=2026-11-23&last=2026-11-29&zone=UTC", name="GET diary")

    @task(2)
    def keep(self) -> None:
        """A look is kept."""
        self.of("POST", "/looks", {"name": "Kept", "pieces": WORN})

    @task(1)
    def shop(self) -> None:
        """The numbers to shop with."""
        self.of("GET", "/shopping")

    @task(1)
    def rail(self) -> None:
        """The rack ranked beside what is on."""
        self.of("POST", "/rail", {"pieces": WORN})

    @task(1)
    def cards(self) -> None:
        """What was handed over, and what is due."""
        self.of("GET", "/cards")
        self.ask("GET", f"{API}/errands", name="GET errands")

    @task(3)
    def another(self) -> None:
        """The next client."""
        self.take()
