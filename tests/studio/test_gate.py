"""The gate: what cannot be kept is refused in one shape, whatever the door; what stood somewhere else is not told."""

from __future__ import annotations

import json
import uuid
from typing import Any

import pytest
from django.core.management import call_command
from django.db import OperationalError, connection
from django.test import Client as Browser

from studio.discreet import Discreet
from studio.looks.models import Look
from studio.people import services
from studio.rack.models import RackPiece
from tests.studio.conftest import House, serving
from tests.studio.everything import BODIES, endpoints, filled, of_everything
from tests.studio.test_boundaries import SIGN_IN
from tests.studio.test_fittings import begin, errand, log
from tests.studio.test_rack import hang, rack

#: Bodies that no honest screen sends, and what one may be answered to them.
HOSTILE = {
    "a zero in a text": (b'{"name": "Pia\\u0000"}', {422, 400}),
    "half of a character": (b'{"name": "Pia\\ud83d"}', {422, 400}),
    "bytes that are no text": (b'{"name": "\xff\xfe"}', {400}),
    "a list for a body": (b"[1, 2]", {422, 400}),
    "a word for a body": (b'"name"', {422, 400}),
    "no JSON": (b"name=Pia", {400}),
    "not a number": (b'{"version": NaN}', {400}),
    "beyond every number": (b'{"version": 1e999}', {400}),
    "a number without end": (b'{"version": ' + b"9" * 400 + b"}", {400}),
    "a well of brackets": (b'{"name": ' + b"[" * 4000 + b"]" * 4000 + b"}", {400}),
    "a text without end": (json.dumps({"name": "x" * 5_000_000}).encode(), {413}),
}
#: Doors that take words of pieces: a list or a table where a word is meant.
TWISTED = [
    {"is": ["jeans"]},
    {"is": {"a": 1}},
    {"is": "jeans", "cut": ["slim"]},
    {"is": "jeans", "cut": {"slim": 1}},
    {"is": "jeans", "colour": [["navy"]]},
    {"is": "jeans", "inseam_cm": "1e999"},
    {"is": "jeans", "inseam_cm": [70]},
    {"is": "jeans", "details": [{"a": []}]},
]


def refused(answer: Any, among: set[int]) -> None:
    assert answer.status_code in among, (answer.status_code, answer.content[:200])
    assert set(answer.told) >= {"message", "field"} and answer.told["message"].strip()


@pytest.mark.parametrize("what", HOSTILE)
def test_a_body_that_cannot_be_kept_is_refused_in_one_shape(house: House, what: str) -> None:
    body, among = HOSTILE[what]
    refused(house.api.send("PATCH", f"/clients/{house.client.id}", body), among)
    refused(house.api.send("POST", "/clients", body), among)


@pytest.mark.parametrize("words", TWISTED, ids=str)
def test_a_list_where_a_word_is_meant_is_refused(house: House, words: dict[str, Any]) -> None:
    body = {"id": str(uuid.uuid4()), "piece": words}
    refused(house.api.ask("POST", f"/clients/{house.client.id}/rack/pieces", body), {422})
    refused(house.api.ask("POST", f"/clients/{house.client.id}/assess", {"pieces": [words]}), {422})


def test_every_operation_refuses_a_zero_and_a_form(house: House) -> None:
    """Each write, its honest body with a zero in every text; and as a form."""
    look = of_everything(house)
    for method, path in endpoints():
        if (body := BODIES.get(path)) and method in ("post", "put", "patch"):
            address = filled(path, house, look)
            zeroed = json.dumps(body).replace('": "', '": "\\u0000')
            if zeroed != json.dumps(body):
                refused(house.api.send(method.upper(), address, zeroed.encode()), {400, 404, 409, 422})
            kind = "application/x-www-form-urlencoded"
            refused(house.api.send(method.upper(), address, b"a=1", kind), {415})
            refused(house.api.send(method.upper(), address, b"--x\r\n", "multipart/form-data; boundary=x"), {415})


def test_questions_and_addresses_out_of_bounds_are_refused_in_one_shape(house: House) -> None:
    for path in (
        "/clients?q=%00",
        "/clients?offset=99999999999999999999",
        "/clients?limit=-5",
        "/clients?q=" + "x" * 900,
    ):
        answer = house.api.ask("GET", path)
        assert answer.status_code in (200, 400, 422), path
    refused(house.api.ask("GET", "/nothing-here"), {404})
    refused(house.api.ask("GET", f"/clients/{house.client.id}/sessions/{10**30}/since/1"), {404})
    wrong = house.api.ask("DELETE", "/clients")
    refused(wrong, {405})
    assert "POST" in wrong.headers["Allow"]


def test_an_identity_that_stands_for_something_else_is_a_conflict_here_and_nothing_elsewhere(
    house: House, other: House
) -> None:
    piece, fitting, trial, due = hang(house, "white tee").told["id"], begin(house), str(uuid.uuid4()), errand()
    assert log(house, fitting, trial, piece_id=piece, errands=[due]).status_code == 200
    reading = house.take("waist", "74")
    second = services.add_client(house.member, "Ida Reed")

    def attempts(at: House, client: Any) -> list[Any]:
        path, ask = f"/clients/{client.id}", at.api.ask
        own_fitting, own_piece = str(uuid.uuid4()), str(uuid.uuid4())
        ask("PUT", f"{path}/fittings/{own_fitting}", {"place": "shop", "started_at": "2026-11-20T10:00:00Z"})
        ask("POST", f"{path}/rack", {"id": own_piece, "line": "navy skirt"})
        ask("POST", f"{path}/sessions", {"protocol": "full", "consent": {"agreed": ["measure", "record"]}})
        taken = {"id": reading, "measure": "hip", "typed": "100", "unit": "cm", "checked": True}
        return [
            ask("POST", f"{path}/rack", {"id": piece, "line": "white tee"}),
            ask("POST", f"{path}/rack/pieces", {"id": piece, "piece": {"is": "tee"}}),
            ask("PUT", f"{path}/fittings/{fitting}", {"place": "shop", "started_at": "2026-11-20T10:00:00Z"}),
            log(at, own_fitting, trial, line="white tee"),
            log(at, own_fitting, line="white tee", errands=[due]),
            ask("POST", f"/rack/{own_piece}/errands", due),
            ask("POST", f"{path}/readings", taken),
        ]

    for told in attempts(house, second):
        refused(told, {409})
    for told in attempts(other, other.client):
        refused(told, {404})
        assert told.told["message"] == house.api.ask("GET", f"/clients/{uuid.uuid4()}").told["message"]


def test_nothing_of_a_removed_client_can_be_written(house: House) -> None:
    piece, fitting, look = hang(house, "white tee").told["id"], begin(house), house.keep().told["id"]
    due = house.api.ask("POST", f"/rack/{piece}/errands", errand()).told["id"]
    services.remove_client(house.member, house.client.id)
    writes = [
        ("PATCH", f"/rack/{piece}", {"version": 1, "name": "Later"}),
        ("POST", f"/rack/{piece}/copy", None),
        ("DELETE", f"/rack/{piece}", None),
        ("POST", f"/rack/{piece}/restore", None),
        ("PUT", f"/looks/{look}", {"version": 1, "name": "Later", "pieces": []}),
        ("DELETE", f"/looks/{look}", None),
        ("PATCH", f"/errands/{due}", {"version": 1, "due_on": "2026-12-24"}),
        ("DELETE", f"/errands/{due}", None),
        ("POST", f"/fittings/{fitting}/end", None),
    ]
    for method, path, body in writes:
        refused(house.api.ask(method, path, body), {404})
    assert RackPiece.objects.get(id=piece).version == 1 and Look.objects.get(id=look).removed_at is None


def test_a_refused_request_has_written_nothing(house: House) -> None:
    """A trial of several errands, the last of which cannot be had: neither it nor the others nor the trial are there."""
    fitting, taken = begin(house), errand()
    assert log(house, fitting, line="white tee", errands=[taken]).status_code == 200
    before = house.api.ask("GET", f"/clients/{house.client.id}/errands").told
    refused(log(house, fitting, line="navy skirt", decision="keep", errands=[errand(), taken]), {409})
    assert house.api.ask("GET", f"/clients/{house.client.id}/errands").told == before
    assert [one["title"] for one in rack(house)] == ["white tee"]


def test_lists_outlive_rows_whose_words_cannot_be_read(house: House) -> None:
    bad = hang(house, "white tee").told["id"]
    hang(house, "navy skirt")
    look = house.keep(pieces=[{"is": "jeans"}, {"is": "tee"}]).told["id"]
    RackPiece.objects.filter(id=bad).update(piece={"is": "toga", "drape": 3}, version=7, name="Her toga")
    Look.objects.filter(id=look).update(pieces=[{"is": "jeans"}, {"is": "toga"}, {"is": ["tee"]}])
    told = house.api.ask("GET", f"/clients/{house.client.id}/rack").told
    assert [one["name"] for one in told["unreadable"]] == ["Her toga"] and len(told["pieces"]) == 1
    (held,) = house.api.ask("GET", f"/clients/{house.client.id}/looks").told
    assert held["unreadable"] == 2 and [piece["is"] for piece in held["pieces"]] == ["jeans"]
    for path in ("desk", "next", "expected", "rail", "remedies"):
        method, body = ("POST", {"pieces": [{"is": "jeans"}]}) if path in ("rail", "remedies") else ("GET", None)
        assert house.api.ask(method, f"/clients/{house.client.id}/{path}", body).status_code == 200, path


def test_one_place_that_misses_often_is_not_heard_for_a_while(house: House) -> None:
    def sign_in(at: int, place: str = "10.0.0.1") -> str:
        given = {"email": f"nobody{at}@alder.example", "password": "wrong-words-here"}
        with serving():
            told = Browser().post(SIGN_IN, given, content_type="application/json", REMOTE_ADDR=place)
        return str(told.json()["errors"][0]["code"])

    said = [sign_in(at) for at in range(22)]
    assert said == ["email_password_mismatch"] * 20 + ["too_many_login_attempts"] * 2
    assert sign_in(99, "10.0.0.2") == "email_password_mismatch"
    # What was counted stands in the database, so that every server counts it; it is cleared away once it has run out.
    with connection.cursor() as cursor:
        cursor.execute("UPDATE members_counted SET expires = now() - interval '1 hour'")
        call_command("tidy")
        cursor.execute("SELECT count(*) FROM members_counted")
        assert cursor.fetchone() == (0,)


def test_a_log_says_where_it_broke_and_not_on_whom() -> None:
    told = Discreet("%(message)s")
    try:
        try:
            raise ValueError("Pia Reed, waist 74")
        except ValueError as wrong:
            raise KeyError("pia@reed.example") from wrong
    except KeyError as error:
        said = told.formatException((KeyError, error, error.__traceback__))
    assert (
        "test_gate.py" in said
        and "KeyError" in said
        and "after ValueError" in said
        and "Pia" not in said.split("raise")[-1]
    )
    assert told.formatException((OperationalError, OperationalError("x"), None)) == "OperationalError"
