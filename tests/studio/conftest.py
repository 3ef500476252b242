"""Two studios against real PostgreSQL, and a small client that speaks JSON."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Any

import pytest
from django.test import Client as Browser

from studio.people.models import Client, Member, Studio

PASSWORD = "willow-basket-42"


@dataclass
class Api:
    """Requests as one member makes them."""

    browser: Browser

    def ask(self, method: str, path: str, body: Any = None) -> Any:
        answer = self.browser.generic(
            method,
            f"/api{path}",
            data="" if body is None else __import__("json").dumps(body),
            content_type="application/json",
        )
        answer.told = answer.json() if answer.content else None  # type: ignore[attr-defined]
        return answer


@dataclass
class House:
    """A studio with a stylist signed in and one client."""

    member: Member
    client: Client
    api: Api

    def read(self, measure: str, typed: str, unit: str = "cm", **more: Any) -> Any:
        body = {"measure": measure, "typed": typed, "unit": unit, **more}
        return self.api.ask("POST", f"/clients/{self.client.id}/readings", body)

    def keep(self, name: str = "Look", pieces: list[dict[str, Any]] | None = None) -> Any:
        body = {"name": name, "pieces": pieces or [{"is": "jeans"}]}
        return self.api.ask("POST", f"/clients/{self.client.id}/looks", body)


def furnish(name: str, email: str) -> House:
    studio = Studio.objects.create(name=name)
    member = Member.objects.create_member(studio, email, "Ada Stitch", PASSWORD)
    browser = Browser()
    browser.force_login(member, backend="django.contrib.auth.backends.ModelBackend")
    client = Client.objects.create(studio=studio, name="Pia Reed")
    return House(member, client, Api(browser))


@pytest.fixture
def house(db: None) -> House:
    return furnish("Alder", "ada@alder.example")


@pytest.fixture
def other(db: None) -> House:
    return furnish("Birch", "bo@birch.example")
