"""Two studios against real PostgreSQL, and a small client that speaks JSON."""

from __future__ import annotations

import json
import uuid
from collections.abc import Iterator, Sequence
from contextlib import contextmanager
from dataclasses import dataclass
from email import message_from_bytes
from email.message import EmailMessage
from email.policy import SMTP
from typing import Any, ClassVar

import pytest
from django.core.mail import EmailMessage as Mail
from django.core.mail.backends.base import BaseEmailBackend
from django.db import connection
from django.test import Client as Browser

from studio.members.services import add_member
from studio.people.models import Client, Member, Studio
from studio.policy import Role
from studio.post.queue import deliver, due
from studio.scoping import SETTING
from studio.wall import SERVING

PASSWORD = "willow-basket-42"


class MailServer(BaseEmailBackend):
    """A mail server of the tests: it takes letters, or does as it is told."""

    taken: ClassVar[list[EmailMessage]] = []
    does: ClassVar[Exception | None] = None

    def send_messages(self, email_messages: Sequence[Mail]) -> int:
        """Take them."""
        if self.does is not None:
            raise self.does
        # As Django asks for them.
        read = (message_from_bytes(one.message().as_bytes(linesep="\r\n"), policy=SMTP) for one in email_messages)
        self.taken.extend(read)  # type: ignore[arg-type]
        return len(email_messages)

    @classmethod
    def letters(cls) -> list[EmailMessage]:
        """What has reached it by now, as a worker takes it there."""
        with serving():
            for outgoing_id in due():
                deliver(outgoing_id)
        return cls.taken


@pytest.fixture
def mail_server(settings: Any) -> type[MailServer]:
    """A mail server is set, and every letter goes by the post."""
    settings.EMAIL_HOST = "mail.example"
    settings.EMAIL_BACKEND = "studio.post.backend.PostBackend"
    settings.POST_GOES_BY = "tests.studio.conftest.MailServer"
    MailServer.taken.clear()
    MailServer.does = None
    return MailServer


@contextmanager
def serving() -> Iterator[None]:
    """Act as the role that serves, of no studio yet; afterwards as the one that owns the tables again."""
    with connection.cursor() as cursor:
        cursor.execute(f"SET ROLE {SERVING}; SELECT set_config('{SETTING}', '', false)")
    try:
        yield
    finally:
        with connection.cursor() as cursor:
            cursor.execute("RESET ROLE")


@dataclass
class Api:
    """Requests as one member makes them."""

    browser: Browser

    def ask(self, method: str, path: str, body: Any = None) -> Any:
        return self.send(method, path, b"" if body is None else json.dumps(body).encode())

    def send(self, method: str, path: str, body: bytes, kind: str = "application/json") -> Any:
        """A request with this very body, as the role that serves: the second wall stands."""
        with serving():
            answer = self.browser.generic(method, f"/api{path}", data=body, content_type=kind)
        is_json = "json" in answer.headers.get("Content-Type", "")
        answer.told = answer.json() if answer.content and is_json else None  # type: ignore[attr-defined]
        return answer


@dataclass
class House:
    """A studio with a stylist signed in and one client."""

    member: Member
    client: Client
    api: Api

    def begin(self, **more: Any) -> Any:
        """Open a measuring session with consent."""
        consent = {"agreed": ["measure", "record"], **more.pop("consent", {})}
        body = {"protocol": "full", "twice": False, "consent": consent, **more}
        return self.api.ask("POST", f"/clients/{self.client.id}/sessions", body)

    def read(self, measure: str, typed: str, unit: str = "cm", **more: Any) -> Any:
        """Take one reading, in a session opened for it if none is going on."""
        self.begin()
        body = {"id": str(uuid.uuid4()), "measure": measure, "typed": typed, "unit": unit, **more}
        return self.api.ask("POST", f"/clients/{self.client.id}/readings", body)

    def take(self, measure: str, typed: str, **more: Any) -> str:
        """Take one reading that is kept; its id, as the desk then shows it."""
        told = self.read(measure, typed, **more).told
        (row,) = (row for row in told["measures"] if row["name"] == measure)
        return str(row["readings"][-1]["id"])

    def desk(self) -> dict[str, Any]:
        """The desk's measures by name."""
        told = self.api.ask("GET", f"/clients/{self.client.id}/desk").told
        return {row["name"]: row for row in told["measures"]}

    def keep(self, name: str = "Look", pieces: list[dict[str, Any]] | None = None, **more: Any) -> Any:
        body = {"name": name, "pieces": pieces or [{"is": "jeans"}], **more}
        return self.api.ask("POST", f"/clients/{self.client.id}/looks", body)


def signed_in(member: Member) -> Browser:
    """A browser in which a member is signed in."""
    browser = Browser()
    browser.force_login(member.account)
    return browser


def joined(house: House, email: str, name: str, role: Role) -> House:
    """Somebody else of the same studio, signed in, at the same client."""
    member = add_member(house.member.studio, email, name, PASSWORD, role)
    return House(member, house.client, Api(signed_in(member)))


def furnish(name: str, email: str) -> House:
    studio = Studio.objects.create(name=name)
    member = add_member(studio, email, "Ada Stitch", PASSWORD, Role.OWNER)
    browser = signed_in(member)
    client = Client.objects.create(studio=studio, name="Pia Reed")
    return House(member, client, Api(browser))


@pytest.fixture(autouse=True)
def quick_passwords(settings: Any) -> None:
    """Hashing is slow on purpose; here it is no part of what is tested."""
    settings.PASSWORD_HASHERS = ["django.contrib.auth.hashers.MD5PasswordHasher"]


@pytest.fixture
def house(db: None) -> House:
    return furnish("Alder", "ada@alder.example")


@pytest.fixture
def other(db: None) -> House:
    return furnish("Birch", "bo@birch.example")


TROUSERS, TEE, LOAFERS = "olive straight trousers high rise, ankle", "white thin tee", "brown loafers"
HANGING = (TROUSERS, TEE, LOAFERS, "black slingbacks", "navy blazer", "gold necklace", "cream knit")


def words(text: str, **more: Any) -> dict[str, Any]:
    return {"is": text, **more}


@pytest.fixture
def dressed(house: House) -> dict[str, Any]:
    """A client with a rack, a week and a look of three pieces, and the card of it."""
    for measure, cm in (("stature", "166"), ("waist", "73.5"), ("hip", "99.5"), ("bust", "94.5")):
        house.take(measure, cm)
    week = [{"occasion": "relaxed_office", "share": 60}, {"occasion": "dinner", "share": 40, "dress_code": "smart"}]
    house.client.brief = {"week": week}
    house.client.save()
    given = [{"id": str(uuid.uuid4()), "line": line} for line in HANGING]
    told = house.api.ask("POST", f"/clients/{house.client.id}/rack/lines", {"lines": given}).told["lines"]
    hung = {line: piece["id"] for line, piece in zip(HANGING, told, strict=True)}
    on = [
        words("trousers", cut="straight", colour="olive", rise="high", hem="ankle"),
        words("tee", colour="white", fabric=["thin"], tuck="front"),
        words("loafers", colour="brown"),
    ]
    links_of = {"bottom": hung[TROUSERS], "top": hung[TEE], "shoes": hung[LOAFERS]}
    look = house.keep("Market day", on, from_rack=links_of).told
    card = house.api.ask("POST", f"/clients/{house.client.id}/cards", {"id": str(uuid.uuid4()), "look_id": look["id"]})
    assert card.status_code == 201, card.told
    return {"look": look, "card": card.told, "hung": hung}
