"""Letters on their way, against PostgreSQL: they wait, are tried again, are refused, are stopped, and are nobody else's."""

from __future__ import annotations

import smtplib
import uuid
from datetime import timedelta
from typing import Any

import pytest
from django.core.mail import EmailMessage
from django.db import transaction
from django.utils import timezone

from studio.people.models import Client
from studio.post.models import REFUSED, SENT, STOPPED, WAITING, Outgoing
from studio.post.queue import WAITS
from studio.post.services import put
from tests.studio.conftest import House, MailServer

LETTER = {"to": "pia@reed.example", "subject": "Your outfits", "text": "Here they are."}


@pytest.fixture
def letter(house: House, mail_server: type[MailServer]) -> dict[str, Any]:
    """A letter to a client that has just been written."""
    told = house.api.ask("POST", f"/clients/{house.client.id}/letters", {"id": str(uuid.uuid4()), **LETTER}).told
    return dict(told)


def post(house: House, letter: dict[str, Any], *, go: bool) -> Any:
    return house.api.ask("POST", f"/letters/{letter['id']}/post", {"go": go})


def row() -> Outgoing:
    return Outgoing.objects.get()


def test_a_letter_is_tried_again_at_growing_intervals_and_given_up(
    house: House, letter: dict[str, Any], mail_server: type[MailServer]
) -> None:
    mail_server.does = smtplib.SMTPServerDisconnected()
    waited = []
    for _ in WAITS:
        mail_server.letters()
        waited.append(row().next_at - timezone.now())
        assert row().state == WAITING
        # Not yet due, it is not tried.
        tries = row().tries
        mail_server.letters()
        assert row().tries == tries
        Outgoing.objects.update(next_at=timezone.now())
    assert all(abs(took - meant) < timedelta(seconds=30) for took, meant in zip(waited, WAITS, strict=True))
    mail_server.letters()
    assert row().state == REFUSED
    # Somebody asks for it again: it goes.
    mail_server.does = None
    assert post(house, letter, go=True).told["state"] == "waiting"
    assert [one["To"] for one in mail_server.letters()] == [LETTER["to"]] and row().state == SENT


@pytest.mark.parametrize(
    ("code", "state"), [(550, REFUSED), (450, WAITING)], ids=["there is no such person", "try again later"]
)
def test_what_the_mail_server_says_is_told(
    house: House, letter: dict[str, Any], mail_server: type[MailServer], code: int, state: str
) -> None:
    mail_server.does = smtplib.SMTPRecipientsRefused({LETTER["to"]: (code, b"not here")})
    mail_server.letters()
    (told,) = house.api.ask("GET", f"/clients/{house.client.id}/letters").told["letters"]
    assert (told["state"], told["answer"]) == (state, f"{code} not here")
    assert (told["again_at"] is not None) == (state == WAITING)


def test_a_mail_server_that_lets_us_not_in_refuses_no_letter_and_no_address_is_logged(
    house: House, letter: dict[str, Any], mail_server: type[MailServer], caplog: pytest.LogCaptureFixture
) -> None:
    mail_server.does = smtplib.SMTPAuthenticationError(535, b"not with this password")
    mail_server.letters()
    assert row().state == WAITING and row().tries == 1
    mail_server.does = smtplib.SMTPDataError(554, f"not to {LETTER['to']}".encode())
    Outgoing.objects.update(next_at=timezone.now())
    mail_server.letters()
    assert row().state == REFUSED and LETTER["to"] in row().answer
    assert "not taken" in caplog.text and LETTER["to"] not in caplog.text


def test_a_letter_is_stopped_until_it_has_gone(
    house: House, letter: dict[str, Any], mail_server: type[MailServer]
) -> None:
    assert post(house, letter, go=False).told["state"] == "stopped"
    assert mail_server.letters() == [] and row().state == STOPPED
    assert post(house, letter, go=False).status_code == 422
    assert post(house, letter, go=True).told["state"] == "waiting" and len(mail_server.letters()) == 1


def test_what_is_undone_sends_nothing_and_the_erased_are_written_to_no_more(
    house: House, letter: dict[str, Any], mail_server: type[MailServer]
) -> None:
    with pytest.raises(RuntimeError), transaction.atomic():
        put(EmailMessage("About", "Text", "us@alder.example", ["b@reed.example"]))
        raise RuntimeError
    assert Outgoing.objects.count() == 1
    Client.objects.filter(id=house.client.id).delete()
    assert mail_server.letters() == [] and not Outgoing.objects.exists()


def test_a_letter_lies_closed_and_a_server_of_another_key_refuses_it(
    house: House, letter: dict[str, Any], mail_server: type[MailServer], settings: Any
) -> None:
    lies = bytes(row().sealed)
    assert b"outfits" not in lies and LETTER["to"].encode() not in lies
    settings.SECRET_KEY = "another key of the same length or so"
    assert mail_server.letters() == [] and row().state == REFUSED and "key" in row().answer


def test_no_other_studio_moves_a_letter(house: House, other: House, letter: dict[str, Any]) -> None:
    assert post(other, letter, go=False).status_code == 404 and row().state == WAITING
