"""Shopping numbers of a client, and a pasted description placed on their body."""

from __future__ import annotations

import uuid
from datetime import date
from typing import Any

import pytest

from craft.body import Body, Measures
from craft.schools import Schools
from craft.units import Unit
from studio.shopping import feed
from studio.shopping.services import Shopper
from studio.shopping.sheet import numbers_document
from tests.studio.conftest import House
from tests.studio.test_rack import hang

MEASURED = {
    "stature": "165",
    "crotch_height": "76",
    "narrow_ankle_height": "10.5",
    "calf": "37",
    "front_rise_navel": "28",
}


def measured(house: House) -> str:
    for measure, typed in MEASURED.items():
        house.read(measure, typed)
    return f"/clients/{house.client.id}/shopping"


def by_name(told: dict[str, Any]) -> dict[str, Any]:
    return {f"{number['name']} {number['worn']}".strip(): number for number in told["numbers"]}


def test_numbers_follow_the_tape_and_say_how_sure_they_are(house: House) -> None:
    path = measured(house)
    told = by_name(house.api.ask("GET", path).told)
    ankle = told["inseam, ankle length any shoe"]
    assert (ankle["low"], ankle["high"], ankle["settled"]) == (63.0, 66.0, True)
    assert told["chest, fitted"]["settled"] is False and told["chest, fitted"]["spread"] > 3
    house.read("bust", "92")
    assert by_name(house.api.ask("GET", path).told)["chest, fitted"]["settled"] is True


def test_who_will_not_wear_heels_gets_flat_lengths_only(house: House) -> None:
    path = measured(house)
    assert {n["worn"] for n in house.api.ask("GET", path).told["numbers"]} >= {"a high heel", "flat shoes"}
    house.api.ask("PATCH", f"/clients/{house.client.id}", {"version": 1, "aims": {"wont": ["heels"]}})
    told = house.api.ask("GET", path).told
    house.api.ask("PATCH", f"/clients/{house.client.id}", {"version": 2, "aims": {}})
    assert house.api.ask("GET", path).told["heels"] is True
    injured = {"version": 3, "brief": {"limits": ["foot_ankle_knee_back_injury"]}}
    house.api.ask("PATCH", f"/clients/{house.client.id}", injured)
    assert house.api.ask("GET", path).told["heels"] is False
    assert told["heels"] is False and {n["worn"] for n in told["numbers"]} == {"", "any shoe", "flat shoes"}


def test_a_pasted_description_is_placed_and_what_is_no_figure_is_said(house: House) -> None:
    path = f"{measured(house)}/place"
    text = "High-rise straight jeans. Front rise 25 cm, inseam 30in, leg opening 19 cm"
    told = house.api.ask("POST", path, {"text": text, "heel_cm": 1.5}).told
    assert told["name"] == "straight jeans" and told["lift"] == 1.5
    assert {figure["key"]: figure["doubled"] for figure in told["read"]} == {
        "front_rise_cm": False,
        "inseam_cm": False,
        "leg_opening_cm": True,
    }
    checks = {check["key"]: check for check in told["checks"]}
    assert "label says high" in checks["rise"]["text"]
    assert checks["length"]["stance"] == "against" and checks["length"]["alterations"]
    higher = house.api.ask("POST", path, {"text": text, "heel_cm": 7}).told
    hem = {edge["key"]: edge["falls_to"] for edge in higher["edges"]}["hem"]
    assert round(hem - {edge["key"]: edge["falls_to"] for edge in told["edges"]}["hem"], 1) == 5.5
    refused = house.api.ask("POST", path, {"text": "a lovely pair"})
    assert refused.status_code == 422 and "No figure was found" in refused.told["message"]
    assert house.api.ask("POST", path, {"text": "inseam 70", "heel_cm": 99}).status_code == 422


def test_sentences_are_said_in_the_studios_unit(house: House) -> None:
    path = measured(house)
    house.api.ask("PATCH", "/studio/desk", {"version": 1, "unit": "in"})
    reasons = " ".join(number["reason"] for number in house.api.ask("GET", path).told["numbers"])
    assert " in " in reasons and " cm" not in reasons
    told = house.api.ask("POST", f"{path}/place", {"text": "jeans inseam 30"}).told
    assert told["read"][0]["cm"] == 76.2


def test_a_studio_without_a_shop_or_with_a_silent_one_is_told_so(house: House, settings: Any) -> None:
    path = f"{measured(house)}/shelf"
    settings.SHOP = ""
    told = house.api.ask("GET", path)
    assert told.status_code == 503 and "No shop is connected" in told.told["message"]
    settings.SHOP = "http://127.0.0.1:9"
    assert "does not answer" in house.api.ask("GET", path).told["message"]


@pytest.mark.parametrize(("stature", "unit"), [(142, "cm"), (168, "in"), (201, "cm")])
def test_the_numbers_are_one_sheet_of_paper_whoever_the_client_is(stature: float, unit: Unit) -> None:
    body = Body.of(Measures.of({"stature": stature}))
    name = "Wilhelmina Featherstonehaugh-Cholmondeley of Lower Hollin Row"
    shopper = Shopper(name, body, Schools(), heels=True, seated=False, unit=unit)
    assert len(numbers_document(shopper, "Hollin Row Studio", date(2026, 11, 25)).pages) == 1


def test_the_sheet_is_served_as_a_pdf_of_the_own_studio_only(house: House, other: House) -> None:
    path = f"/clients/{house.client.id}/shopping/sheet.pdf"
    told = house.api.ask("GET", path)
    assert told.content.startswith(b"%PDF") and told.headers["Content-Type"] == "application/pdf"
    assert other.api.ask("GET", path).status_code == 404


def test_what_reviews_say_is_heard_before_it_is_bought(house: House) -> None:
    path = f"/clients/{house.client.id}/shopping/place"
    text = (
        "Straight jeans, front rise 27 cm, inseam 70 cm. Reviews: came up small, knees bag out after an hour, shrinks."
    )
    told = house.api.ask("POST", path, {"text": text, "heel_cm": 2}).told
    assert [line.split(":")[0] for line in told["reviews"]] == [
        "Reviews say that the knees bag",
        "Reviews say that it shrinks",
        "Reviews say that it runs small",
    ]
    plain = house.api.ask("POST", path, {"text": "Straight jeans, front rise 27 cm, inseam 70 cm", "heel_cm": 2}).told
    assert plain["reviews"] == []
    # Hung on the rack, the piece keeps what was said of it.
    body = {"id": str(uuid.uuid4()), "piece": told["piece"], "note": " ".join(told["reviews"])}
    piece = house.api.ask("POST", f"/clients/{house.client.id}/rack/pieces", body).told
    assert "it shrinks" in piece["facts"]["note"]


def test_the_shops_are_asked_for_the_figures_of_a_piece_that_is_loved(
    house: House, other: House, monkeypatch: pytest.MonkeyPatch
) -> None:
    measured(house)
    loved = hang(house, "navy straight jeans, inseam 72, front rise 28").told["id"]
    path = f"/rack/{loved}/like"
    assert house.api.ask("GET", path).status_code == 503

    def product(key: str, kind: str, **sizes: dict[str, float]) -> dict[str, object]:
        rows = [{"label": label, "figures": figures} for label, figures in sizes.items()]
        return {"id": key, "maker": "Fenwick Loom", "name": key, "piece": {"is": kind}, "sizes": rows}

    shelf = [
        product("far", "jeans", M={"inseam": 80.0, "front_rise": 22.0}),
        product("near", "jeans", S={"inseam": 69.0, "front_rise": 26.0}, M={"inseam": 71.5, "front_rise": 28.0}),
        product("half told", "jeans", M={"inseam": 72.0}),
        product("shirt", "shirt", M={"chest": 100.0}),
    ]
    monkeypatch.setattr(feed, "shelf", lambda: feed.read_feed({"version": 1, "products": shelf}))
    told = house.api.ask("GET", path).told
    assert told["figures"] == ["front rise", "inseam"]
    assert [one["offer"]["name"] for one in told["likes"]] == ["near", "half told", "far"]
    near, half = told["likes"][:2]
    assert near["offer"]["size"] == "M"
    assert near["differs"] == [{"figure": "front rise", "cm": 0.0}, {"figure": "inseam", "cm": -0.5}]
    assert half["untold"] == ["front rise"]
    bare = hang(house, "white tee").told["id"]
    assert house.api.ask("GET", f"/rack/{bare}/like").told == {"figures": [], "likes": []}
    assert other.api.ask("GET", path).status_code == 404
