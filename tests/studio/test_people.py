"""Clients, settings, the demo, and the words: what the screens ask for beside looks and readings."""

from __future__ import annotations

import uuid
from typing import Any

import pytest
from django.core.management import call_command
from django.core.management.base import CommandError

from craft.body import Measures
from craft.measuring.checks import check
from studio.diary.models import Appointment
from studio.handover.models import OutfitCard
from studio.looks.models import Look
from studio.people import demo
from studio.people.demo_handover import LOOKS, VISITS
from studio.people.models import Client, Member, Studio
from studio.policy import Role
from tests.studio.conftest import PASSWORD, House, joined


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
    first = house.take("hip", "100")
    house.read("hip", "100.4", after=first)
    house.read("waist", "74")
    house.keep("One")
    row = house.api.ask("GET", "/clients").told["rows"][0]
    assert (row["measures"], row["looks"]) == (2, 1)
    assert row["due_on"] is not None


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
            assert any(shape["slot"] in (slot, kind) for shape in told.told["shapes"])


def test_the_demo_is_loaded_once_and_is_worth_looking_at(db: None, settings: Any) -> None:
    settings.DEMO_PASSWORD = ""
    with pytest.raises(CommandError, match="not set"):
        call_command("load_demo")
    settings.DEMO_PASSWORD = PASSWORD
    for _ in range(2):
        call_command("load_demo", verbosity=0)
    assert Studio.objects.count() == 2
    assert Client.objects.count() == len(demo.PEOPLE)
    assert Look.objects.count() == sum(len(person.looks) for person in demo.PEOPLE) + len(LOOKS)
    assert Appointment.objects.count() == len(VISITS) and OutfitCard.objects.count() > len(LOOKS)
    member = Member.objects.get(account__email="maud@hollinrow.example")
    assert member.account.check_password(PASSWORD)


@pytest.mark.parametrize("person", demo.PEOPLE, ids=lambda person: person.name)
def test_no_demo_measure_is_doubtful(person: demo.Person) -> None:
    for measure, cm in person.measures.items():
        others = Measures.of({name: value for name, value in person.measures.items() if name != measure})
        assert check(measure, cm, others) is None, measure


def test_two_stylists_of_one_studio_share_its_rows(house: House) -> None:
    theirs = joined(house, "cy@alder.example", "Cy Loom", Role.STYLIST).api
    first = house.take("hip", "100")
    body = {"id": str(uuid.uuid4()), "measure": "hip", "typed": "99.6", "unit": "cm", "after": first}
    assert theirs.ask("POST", f"/clients/{house.client.id}/readings", body).status_code == 200
    late = house.read("hip", "101", after=first)
    assert late.status_code == 409
    assert late.told["message"] == "Cy Loom took this measure meanwhile."
    assert [row["taken_by"] for row in house.desk()["hip"]["readings"]] == ["Ada Stitch", "Cy Loom"]


def test_clients_are_found_by_parts_of_name_and_note_a_page_at_a_time(house: House, other: House) -> None:
    Client.objects.bulk_create(
        Client(studio=house.member.studio, name=f"Ana {at:03}", note="court") for at in range(70)
    )
    Client.objects.create(studio=other.member.studio, name="Ana Other")
    first = house.api.ask("GET", "/clients?q=ana").told
    assert (first["total"], len(first["rows"]), first["rows"][0]["name"]) == (70, 60, "Ana 000")
    rest = house.api.ask("GET", "/clients?q=ana&offset=60").told
    assert [row["name"] for row in rest["rows"]] == [f"Ana {at:03}" for at in range(60, 70)]
    beyond = house.api.ask("GET", "/clients?q=ana&offset=90").told
    assert (beyond["total"], beyond["rows"]) == (70, [])
    assert house.api.ask("GET", "/clients?q=court+ana+069").told["total"] == 1
    assert house.api.ask("GET", "/clients?q=%25").told["total"] == 0


BRIEF = {
    "changed": "Works from home since May",
    "limits": ["nickel", "foot_ankle_knee_back_injury"],
    "week": [{"occasion": "relaxed_office", "share": 60, "dress_code": "smart"}],
    "colouring": {"warmth": "cool"},
    "budget": {"amount": 600, "currency": "eur", "per": "season"},
}


def test_a_brief_is_filled_in_any_order_and_brings_its_cautions(house: House) -> None:
    path = f"/clients/{house.client.id}"
    told = house.api.ask("PATCH", path, {"version": 1, "brief": BRIEF}).told
    assert [caution["because"] for caution in told["cautions"]] == ["foot_ankle_knee_back_injury", "nickel"]
    assert told["brief"]["budget"]["currency"] == "EUR" and told["brief"]["colouring"]["depth"] is None
    aims = house.api.ask("PATCH", path, {"version": 2, "aims": {"wants": ["comfort"]}}).told
    assert aims["aims"]["wants"] == ["comfort"] and aims["brief"]["changed"] == BRIEF["changed"]
    for wrong, field in (
        ({"brief": {"limits": ["gravity"]}}, "brief.limits.0"),
        ({"brief": {"week": [{"occasion": "dinner", "share": 140}]}}, "brief.week.0.share"),
        ({"aims": {"soften": ["nose"]}}, "aims.soften.0"),
        ({"brief": {"changed": "x" * 700}}, "brief.changed"),
    ):
        refused = house.api.ask("PATCH", path, {"version": 3, **wrong})
        assert (refused.status_code, refused.told["field"]) == (422, field)


def test_swatches_tell_a_colouring_and_the_colours_near_the_face(house: House) -> None:
    words = house.api.ask("GET", "/brief/words").told
    assert {pair["axis"] for pair in words["swatches"]} == {"warmth", "depth", "clarity"}
    picks = {"warmth": ["second", "second", "first"], "depth": ["same"]}
    assert house.api.ask("POST", "/brief/colouring", picks).told["words"] == {"warmth": "warm", "depth": "medium"}
    near = house.api.ask("POST", "/brief/near-face", {"warmth": "warm"}).told["colours"]
    assert "camel" in [colour["name"] for colour in near]


def test_the_studios_own_list_is_put_in_order_and_offered(house: House) -> None:
    change = {"version": 1, "own_list": ["hip", "stature", "hip"]}
    assert house.api.ask("PATCH", "/studio/desk", change).told["own_list"] == ["stature", "hip"]
    own = house.api.ask("GET", "/measuring").told["protocols"][-1]
    assert (own["key"], own["measures"]) == ("own", ["stature", "hip"])
    assert house.api.ask("PATCH", "/studio/desk", {"version": 2, "own_list": ["nose"]}).status_code == 422
