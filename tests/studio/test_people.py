"""Clients, settings, the demo, and the words: what the screens ask for beside looks and readings."""

from __future__ import annotations

from typing import Any

import pytest
from django.core.management import call_command
from django.core.management.base import CommandError

from craft.body import Measures
from craft.body.plausibility import check
from studio.looks.models import Look
from studio.people import demo
from studio.people.models import Client, Member, Studio
from tests.studio.conftest import PASSWORD, Api, House


def test_a_stale_rename_is_answered_with_what_is_there(house: House) -> None:
    path = f"/clients/{house.client.id}"
    assert house.api.ask("PATCH", path, {"version": 1, "name": "Pia Rohde"}).told["version"] == 2
    late = house.api.ask("PATCH", path, {"version": 1, "note": "Moves on Friday"})
    assert late.status_code == 409
    assert (late.told["current"]["name"], late.told["current"]["note"]) == ("Pia Rohde", "")
    assert late.told["message"] == "Ada Stitch changed this meanwhile."
    merged = house.api.ask("PATCH", path, {"version": 2, "note": "Moves on Friday"}).told
    assert (merged["name"], merged["note"]) == ("Pia Rohde", "Moves on Friday")


def test_the_list_counts_measures_once_however_often_they_were_taken(house: House) -> None:
    first = house.read("hip", "100").told["reading"]
    house.read("hip", "101", after=first["id"])
    house.read("waist", "74")
    house.keep("One")
    row = house.api.ask("GET", "/clients").told[0]
    assert (row["measures"], row["looks"]) == (2, 1)


@pytest.mark.parametrize(
    ("text", "status", "says"),
    [
        ("slim jeans high rise; white tee", 200, "slim"),
        ("a sparkling thing", 422, "names no piece"),
        ("jeans of glass", 422, "glass"),
        ("x" * 700, 422, "too long"),
        ("", 200, "pieces"),
    ],
)
def test_a_spoken_look_is_heard_or_said_back(house: House, text: str, status: int, says: str) -> None:
    answer = house.api.ask("POST", "/words/hear", {"text": text})
    assert answer.status_code == status
    assert says in answer.content.decode()


@pytest.mark.parametrize(("text", "unit", "cm"), [("27 1/2", "in", 69.85), ("69", "cm", 69), ("69cm", "in", 69)])
def test_a_length_is_read_in_one_place(house: House, text: str, unit: str, cm: float) -> None:
    assert house.api.ask("POST", "/length", {"text": text, "unit": unit}).told == {"cm": cm}
    refused = house.api.ask("POST", "/length", {"text": "soon", "unit": unit})
    assert refused.status_code == 422 and "not a length" in refused.told["message"]


def test_the_vocabulary_offers_only_what_can_be_hung(house: House) -> None:
    words = house.api.ask("GET", "/words").told
    for slot, kinds in words["kinds"].items():
        for kind in kinds:
            told = house.api.ask("POST", f"/clients/{house.client.id}/assess", {"pieces": [{"is": kind}]})
            assert told.status_code == 200, (slot, kind)
            assert any(shape["slot"] == slot for shape in told.told["shapes"])


def test_the_demo_is_loaded_once_and_is_worth_looking_at(db: None, monkeypatch: pytest.MonkeyPatch) -> None:
    monkeypatch.delenv("BASILWOOD_DEMO_PASSWORD", raising=False)
    with pytest.raises(CommandError, match="not set"):
        call_command("load_demo")
    monkeypatch.setenv("BASILWOOD_DEMO_PASSWORD", PASSWORD)
    for _ in range(2):
        call_command("load_demo", verbosity=0)
    assert Studio.objects.count() == 2
    assert Client.objects.count() == len(demo.PEOPLE)
    assert Look.objects.count() == sum(len(person.looks) for person in demo.PEOPLE)
    member = Member.objects.get_by_natural_key("MAUD@hollinrow.example")
    assert member.check_password(PASSWORD)


@pytest.mark.parametrize("person", demo.PEOPLE, ids=lambda person: person.name)
def test_no_demo_measure_is_doubtful(person: demo.Person) -> None:
    for measure, cm in person.measures.items():
        others = Measures.of({name: value for name, value in person.measures.items() if name != measure})
        assert check(measure, cm, others) is None, measure


def test_two_stylists_of_one_studio_share_its_rows(house: House, django_user_model: Any) -> None:
    from django.test import Client as Browser

    colleague = Member.objects.create_member(house.member.studio, "cy@alder.example", "Cy Loom", PASSWORD)
    browser = Browser()
    browser.force_login(colleague, backend="django.contrib.auth.backends.ModelBackend")
    theirs = Api(browser)
    first = house.read("hip", "100").told["reading"]
    seen = theirs.ask("GET", f"/clients/{house.client.id}/readings").told
    assert [(row["id"], row["taken_by"]) for row in seen] == [(first["id"], "Ada Stitch")]
    body = {"measure": "hip", "typed": "99", "unit": "cm", "after": first["id"]}
    assert theirs.ask("POST", f"/clients/{house.client.id}/readings", body).status_code == 200
    late = house.read("hip", "101", after=first["id"])
    assert late.status_code == 409
    assert late.told["message"] == "Cy Loom took this measure meanwhile."
    sessions = house.api.ask("GET", f"/clients/{house.client.id}/sessions").told
    assert {session["taken_by"] for session in sessions} == {"Ada Stitch", "Cy Loom"}
