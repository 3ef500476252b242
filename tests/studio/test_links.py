"""A client's page without an account: its link, what is answered there, what it never shows."""

from __future__ import annotations

import re
import secrets
import uuid
from datetime import timedelta
from html import unescape
from typing import Any

import pytest
from django.test import Client as Browser
from django.utils import timezone

from studio.bodies.known import body_of, today
from studio.handover import cards, links
from studio.handover.content import Parts
from studio.handover.models import Knock, Opening, Said, Share
from studio.people.management.commands.load_demo import load
from studio.people.models import Client
from tests.studio.conftest import House, serving


def link(house: House, **given: Any) -> tuple[Any, str]:
    """A link for the client, and the address of its page."""
    asked = {"id": str(uuid.uuid4()), "ends_on": (today() + timedelta(30)).isoformat(), **given}
    answer = house.api.ask("POST", f"/clients/{house.client.id}/links", asked)
    address = answer.told.get("address", "") if answer.told else ""
    return answer, address[address.index("/for/") :] if "/for/" in address else ""


class Visitor:
    """A client with a link, on a phone, without an account."""

    def __init__(self, place: str = "192.0.2.1") -> None:
        self.browser = Browser(REMOTE_ADDR=place, enforce_csrf_checks=True)

    def get(self, path: str) -> Any:
        with serving():
            return self.browser.get(path)

    def post(self, path: str, **told: str) -> Any:
        token = self.browser.cookies["csrftoken"].value if "csrftoken" in self.browser.cookies else ""
        with serving():
            return self.browser.post(path, {**told, "csrfmiddlewaretoken": token})


def reads(answer: Any) -> str:
    """What a page says, without its tags."""
    plain = re.sub(r"<svg.*?</svg>|<[^>]*>", " ", answer.content.decode(), flags=re.S)
    return " ".join(unescape(plain).split())


def test_a_client_opens_her_page_answers_and_it_comes_back(house: House, dressed: dict[str, Any]) -> None:
    card = dressed["card"]["id"]
    bought = {"id": str(uuid.uuid4()), "piece": {"is": "belt", "colour": "tan"}, "why": "It wakes the trousers."}
    assert house.api.ask("POST", f"/clients/{house.client.id}/buying", bought).status_code == 201
    made, page = link(house, cards=[card], parts={"buying": True, "numbers": True}, note="Enjoy it.")
    assert made.status_code == 201 and made.told["code"].startswith("data:image/svg+xml")
    visitor = Visitor()
    shown = visitor.get(page)
    told = reads(shown)
    assert shown.status_code == 200 and "Market day" in told and "Enjoy it." in told and "Tan belt" in told
    assert "noindex" in shown.headers["X-Robots-Tag"] and shown.headers["Cache-Control"] == "no-store"
    assert "<script" not in shown.content.decode()
    for says in ("wore", "loved"):
        assert visitor.post(f"{page}say", says=says, about=card).status_code == 302
    visitor.post(f"{page}say", says="ticked", about=bought["id"])
    visitor.post(f"{page}say", says="question", about="", text="Which coat?")
    # A second press takes it back; what is not on the page is not heard.
    visitor.post(f"{page}say", says="loved", about=card)
    visitor.post(f"{page}say", says="wore", about=str(uuid.uuid4()))
    visitor.post(f"{page}say", says="question", about="", text="   ")
    told = house.api.ask("GET", f"/clients/{house.client.id}/links").told
    assert sorted(one["says"] for one in told["said"]) == ["question", "ticked", "wore"]
    assert told["links"][0]["opened"] == 1 and told["links"][0]["shows"] == ["numbers for the shop", "the buying list"]
    assert house.api.ask("GET", f"/clients/{house.client.id}/cards").told["cards"][0]["marks"] == [
        {"says": "wore", "many": 1}
    ]
    (asked,) = [one for one in house.api.ask("GET", "/said").told["said"] if one["says"] == "question"]
    assert asked["text"] == "Which coat?" and asked["client"] == "Pia Reed"
    house.api.ask("POST", f"/said/{asked['id']}/seen")
    assert len(house.api.ask("GET", "/said").told["said"]) == 2
    house.api.ask("DELETE", f"/said/{asked['id']}/seen")
    assert len(house.api.ask("GET", "/said").told["said"]) == 3
    assert "You asked: Which coat?" in reads(visitor.get(page))


def test_the_next_dates_are_told(house: House, dressed: dict[str, Any]) -> None:
    visit = {
        "id": str(uuid.uuid4()), "kind": "hand_over", "client_id": str(house.client.id), "local": f"{today() + timedelta(9)}T14:30",
        "minutes": 45, "zone": "Europe/Paris", "members": [house.member.pk],
    }  # fmt: skip
    assert house.api.ask("POST", "/appointments", visit).status_code == 201
    _, page = link(house, cards=[dressed["card"]["id"]], parts={"dates": True})
    assert "Hand-over on" in reads(Visitor().get(page)) and "at 14:30." in reads(Visitor().get(page))
    _, without = link(house, cards=[dressed["card"]["id"]])
    assert "Hand-over on" not in reads(Visitor().get(without))


def test_nothing_is_shown_that_was_not_chosen(house: House, dressed: dict[str, Any]) -> None:
    second = house.keep("Secret", [{"is": "dress"}]).told
    house.api.ask("POST", f"/clients/{house.client.id}/cards", {"id": str(uuid.uuid4()), "look_id": second["id"]})
    _, page = link(house, cards=[dressed["card"]["id"]])
    told = reads(Visitor().get(page))
    assert "Secret" not in told and "Numbers for the shop" not in told and "To buy" not in told
    # It stays as it was when it was made.
    house.api.ask("PATCH", f"/cards/{dressed['card']['id']}/line", {"version": 1, "key": "own", "text": "Later words."})
    assert "Later words." not in reads(Visitor().get(page))
    empty, _ = link(house)
    assert empty.status_code == 422 and empty.told["field"] == "cards"


def test_the_word_is_asked_for_and_five_misses_pause(house: House, dressed: dict[str, Any]) -> None:
    _, page = link(house, cards=[dressed["card"]["id"]], word="Blue  Heron")
    visitor = Visitor()
    asked = visitor.get(page)
    assert "word" in reads(asked) and "Market day" not in reads(asked)
    visitor.post(f"{page}say", says="wore", about=dressed["card"]["id"])
    assert not Said.objects.exists()
    assert visitor.post(f"{page}word", word="blue crane").status_code == 403
    assert visitor.post(f"{page}word", word=" blue heron ").status_code == 302
    assert "Market day" in reads(visitor.get(page))
    # Another who was given the address alone guesses, and everybody waits.
    guesser = Visitor("192.0.2.9")
    guesser.get(page)
    assert [guesser.post(f"{page}word", word=f"guess {n}").status_code for n in range(5)] == [403] * 5
    assert guesser.post(f"{page}word", word="blue heron").status_code == 429
    assert Opening.objects.filter(let_in=False).count() >= 6
    Share.objects.update(closed_until=timezone.now() - timedelta(seconds=1))
    assert guesser.post(f"{page}word", word="BLUE HERON").status_code == 302


def test_an_ended_link_says_so_and_no_more(house: House, dressed: dict[str, Any]) -> None:
    made, page = link(house, cards=[dressed["card"]["id"]])
    share = made.told["link"]["id"]

    def over() -> bool:
        answer = Visitor().get(page)
        told = reads(answer)
        return answer.status_code == 410 and "has ended" in told and "Pia" not in told and "Alder" not in told

    assert house.api.ask("DELETE", f"/links/{share}").told["state"] == "taken_back"
    assert over() and Visitor().post(f"{page}say", says="wore", about=dressed["card"]["id"]).status_code == 403
    assert house.api.ask("POST", f"/links/{share}/restore").told["state"] == "open"
    assert Visitor().get(page).status_code == 200
    Share.objects.update(ends_on=today() - timedelta(1))
    assert over()
    Share.objects.update(ends_on=today())
    assert Visitor().get(page).status_code == 200
    house.api.ask("DELETE", f"/clients/{house.client.id}")
    assert over()


def test_ten_thousand_guesses_find_nothing(house: House, dressed: dict[str, Any]) -> None:
    link(house, cards=[dressed["card"]["id"]])
    missed = refused = 0
    with serving():
        for number in range(10_000):
            try:
                assert links.find(secrets.token_urlsafe(32), f"198.51.100.{number % 50}") is None
                missed += 1
            except links.TooMany:
                refused += 1
    # Of each place a few are looked at, and then none.
    assert missed == 50 * links.KNOCKS and refused == 10_000 - missed
    assert Knock.objects.count() == missed
    with pytest.raises(links.TooMany):
        links.find("anything", "198.51.100.1")
    assert Visitor("198.51.100.1").get("/for/anything/").status_code == 429
    assert Visitor("203.0.113.5").get("/for/anything/").status_code == 404


def test_no_page_of_the_demo_shows_a_girth(db: None) -> None:
    """Of every demo client: a page with all that there is, and no girth of hers on it, in cm or inches."""
    member = load("demo-words-for-a-test")
    for client in Client.objects.filter(studio=member.studio).select_related("studio"):
        body = body_of(client)
        for look in client.looks.all():
            cards.make(member, client.id, uuid.uuid4(), look.id)
        rows = cards.rows_of(client)
        for row in rows[:3]:
            row.variants = cards.Teller(client).variants(row)
            row.save(update_fields=["variants"])
        chosen = [row.id for row in rows]
        parts = Parts(numbers=True, buying=True, colours=True, care=True)
        _, token = links.make(member, client.id, uuid.uuid4(), chosen, parts, today(), "", "")
        page = Visitor(f"192.0.2.{client.name.__hash__() % 200}").get(f"/for/{token}/")
        # The tape of the shop is held along the piece, and its figures may be as high as any.
        told = reads(page).split("Lengths lie flat")[0]
        assert client.name in told
        for name in ("bust", "waist", "hip", "thigh", "calf", "upper_arm"):
            cm = body.girth(name)
            for figure in (f"{cm:.1f}", f"{cm:.0f}", f"{cm / 2.54:.1f}"):
                assert not re.search(rf"(?<![\d.]){re.escape(figure)}(?![\d.]) ?(cm|in|″)", told), (
                    client.name,
                    name,
                    figure,
                )
        assert not re.search(r"(bust|waist|hip|thigh|calf)[^.]{0,12}\d", told.casefold())
