"""Keeping: readings only ever added, stale writes refused with what is there, bad input named."""

from __future__ import annotations

from typing import Any

import pytest

from studio.bodies.models import Reading
from studio.looks.models import Look
from tests.studio.conftest import House


@pytest.mark.parametrize(
    ("measure", "typed", "says"),
    [
        ("stature", "16.5", "cannot be"),
        ("waist", "-74", "negative"),
        ("waist", "tight", "not a length"),
        ("waist", "9" * 50, "not a length"),
        ("nose", "30", "not on the measure list"),
        ("waist", "7" * 200, "too long"),
    ],
)
def test_what_cannot_be_is_refused_at_its_field(house: House, measure: str, typed: str, says: str) -> None:
    answer = house.read(measure, typed, checked=True)
    assert answer.status_code == 422
    assert says in answer.told["message"]
    assert Reading.objects.count() == 0


def test_two_tabs_on_one_look(house: House) -> None:
    look = house.keep("Monday").told
    change = {"version": look["version"], "name": "Mine", "pieces": [{"is": "jeans", "cut": "slim"}]}
    assert house.api.ask("PUT", f"/looks/{look['id']}", change).status_code == 200
    late = house.api.ask("PUT", f"/looks/{look['id']}", {**change, "name": "Theirs"})
    assert late.status_code == 409
    assert late.told["current"]["name"] == "Mine" and late.told["current"]["version"] == 2
    assert Look.objects.get().name == "Mine"


@pytest.mark.parametrize(
    ("body", "field"),
    [
        ({"name": "x" * 10_000, "pieces": []}, "name"),
        ({"name": "A", "pieces": [{"is": "toga"}]}, "pieces.0.is"),
        ({"name": "A", "pieces": [{"is": "jeans", "cut": "wavy"}]}, "pieces.0.cut"),
        ({"name": "A", "pieces": [{"is": "jeans", "inseam_cm": -4}]}, "pieces.0.inseam_cm"),
        ({"name": "A", "pieces": [{"is": "jeans", "glitter": True}]}, "pieces.0.glitter"),
        ({"name": "A", "pieces": [{"is": "tee"}] * 50}, "pieces"),
        ({"name": "A", "pieces": [{"is": "jeans", "colour": "#12"}]}, "colour"),
    ],
)
def test_a_look_that_cannot_be_is_refused_whole(house: House, body: dict[str, Any], field: str | None) -> None:
    answer = house.api.ask("POST", f"/clients/{house.client.id}/looks", body)
    assert answer.status_code == 422
    assert answer.told["message"] and answer.told["field"] == field
    assert not Look.objects.exists()


def test_names_are_trimmed_and_never_empty_or_endless(house: House) -> None:
    assert house.api.ask("POST", "/clients", {"name": "  Ines  "}).told["name"] == "Ines"
    for name in ("   ", "n" * 10_000):
        refused = house.api.ask("POST", "/clients", {"name": name})
        assert refused.status_code == 422 and refused.told["field"] == "name"


def test_removals_can_be_undone(house: House) -> None:
    look = house.keep().told["id"]
    client = house.client.id
    assert house.api.ask("DELETE", f"/looks/{look}").status_code == 204
    assert house.api.ask("GET", f"/clients/{client}/looks").told == []
    change = {"version": 1, "name": "Late", "pieces": []}
    assert house.api.ask("PUT", f"/looks/{look}", change).status_code == 404
    assert house.api.ask("POST", f"/looks/{look}/restore").status_code == 200
    assert house.api.ask("DELETE", f"/clients/{client}").status_code == 204
    assert house.api.ask("GET", "/clients").told["rows"] == []
    assert house.api.ask("GET", f"/clients/{client}/looks").status_code == 404
    assert house.api.ask("POST", f"/clients/{client}/restore").status_code == 200
    rows = house.api.ask("GET", "/clients").told["rows"]
    assert [(row["looks"], row["measures"]) for row in rows] == [(1, 0)]


def test_the_assessment_says_lands_and_draws(house: House) -> None:
    for measure, typed in {"stature": "165", "bust": "92", "waist": "74", "hip": "100", "crotch_height": "76"}.items():
        house.read(measure, typed)
    pieces = [{"is": "jeans", "cut": "slim", "inseam_cm": 65.5}, {"is": "tee", "tuck": "full"}, {"is": "loafers"}]
    told = house.api.ask("POST", f"/clients/{house.client.id}/assess", {"pieces": pieces}).told
    hem = next(edge for edge in told["edges"] if edge["key"] == "leg_hem")
    assert hem["at"] == "ankle" and hem["settled"] is True
    assert {shape["slot"] for shape in told["shapes"]} == {"body", "top", "bottom", "shoes"}
    assert all(finding["text"] and finding["figure"] for finding in told["findings"])
    naked = house.api.ask("POST", f"/clients/{house.client.id}/assess", {"pieces": []}).told
    assert naked["findings"] == [] and "verdict" not in naked


def test_sentences_come_in_the_studios_unit_and_schools_change_them(house: House) -> None:
    pieces = {"pieces": [{"is": "jeans", "hem": "ankle"}, {"is": "tee", "tuck": "full"}]}
    path = f"/clients/{house.client.id}/assess"
    assert " cm" in house.api.ask("POST", path, pieces).content.decode()
    assert house.api.ask("PATCH", "/studio/desk", {"version": 1, "unit": "in"}).told["unit"] == "in"
    told = house.api.ask("POST", path, pieces)
    assert " in " in told.content.decode() and " cm" not in " ".join(f["text"] for f in told.told["findings"])
    stale = house.api.ask("PATCH", "/studio/desk", {"version": 1, "unit": "cm"})
    assert stale.status_code == 409 and stale.told["current"]["unit"] == "in"
    bands = []
    for naming in ("navel_is_mid", "navel_is_high"):
        version = house.api.ask("GET", "/session").told["studio"]["version"]
        house.api.ask("PATCH", "/studio", {"version": version, "schools": {"rise_naming": naming}})
        edges = house.api.ask("POST", path, pieces).told["edges"]
        bands.append(next(edge["height"] for edge in edges if edge["key"] == "waistband"))
    assert bands[0] > bands[1]
    assert house.api.ask("PATCH", "/studio", {"version": 9, "schools": {"rise_naming": "ribs"}}).status_code == 422
