"""House rules: listed with what they touch, muted without a trace, and what that changes told before it is done."""

from __future__ import annotations

from typing import Any

import pytest

from craft.judge import RULES
from tests.studio.conftest import House
from tests.studio.test_rack import hang

LOOSE = [
    {"is": "trousers", "cut": "wide"},
    {"is": "knit", "fit": "oversized", "hem": "seat"},
    {"is": "flats", "toe": "round"},
]


def rules(house: House) -> dict[str, dict[str, Any]]:
    return {rule["id"]: rule for rule in house.api.ask("GET", "/rules").told["rules"]}


def mute(house: House, *keys: str, version: int = 1) -> Any:
    return house.api.ask("PATCH", "/studio", {"version": version, "muted": list(keys)})


def test_every_rule_is_listed_once_with_what_it_says(house: House) -> None:
    listed = rules(house)
    assert len(listed) == len(RULES) and all(rule["says"].endswith(".") for rule in listed.values())
    assert not any(rule["muted"] or rule["touches"] for rule in listed.values())


def test_a_rule_names_the_looks_it_speaks_of_and_a_muted_one_leaves_no_trace(house: House, other: House) -> None:
    look = house.keep("Tents", LOOSE).told
    assert rules(house)["volume.contrast"]["touches"] == 1
    (spoken,) = house.api.ask("GET", "/rules/volume.contrast/looks").told["looks"]
    assert (spoken["look_id"], spoken["title"]) == (look["id"], "Loose all over")
    path = f"/clients/{house.client.id}/assess"
    before = house.api.ask("POST", path, {"pieces": LOOSE}).told
    assert mute(house, "volume.contrast").told["muted"] == ["volume.contrast"]
    after = house.api.ask("POST", path, {"pieces": LOOSE}).told
    codes = [{finding["rule"] for finding in told["findings"]} for told in (before, after)]
    assert "volume.contrast" in codes[0] and "volume.contrast" not in codes[1] and after["score"] > before["score"]
    assert rules(house)["volume.contrast"]["muted"] and not rules(other)["volume.contrast"]["muted"]


def test_what_another_way_would_change_is_told_before_it_is_taken(house: House, other: House) -> None:
    house.keep("Tents", LOOSE)
    other.keep("Theirs", LOOSE)
    house.read("stature", "165")
    hang(house, "navy trousers high rise, front rise 25")
    many = [rule.id for rule in RULES if rule.subject in ("volume", "feet", "edges", "cloth")]
    told = house.api.ask("POST", "/rules/effect", {"schools": {}, "muted": many}).told
    assert [(one["name"], one["now"]) for one in told["looks"]] == [("Tents", "against")] and told["judged"] == 1
    assert told["landed"] == 1 and told["pieces"] == {}
    named = house.api.ask("POST", "/rules/effect", {"schools": {"rise_naming": "navel_is_high"}, "muted": []}).told
    assert named["pieces"] == {"Pia Reed": 1}
    nothing = house.api.ask("POST", "/rules/effect", {"schools": {}, "muted": []}).told
    assert nothing["looks"] == [] and nothing["pieces"] == {}


@pytest.mark.parametrize(
    "body", [{"schools": {}, "muted": ["volume.tents"]}, {"schools": {"hats": "tall"}, "muted": []}]
)
def test_an_unknown_rule_or_school_is_refused(house: House, body: dict[str, Any]) -> None:
    assert house.api.ask("POST", "/rules/effect", body).status_code == 422
    assert mute(house, "volume.tents").status_code == 422
    assert house.api.ask("GET", "/rules/volume.tents/looks").status_code == 422
