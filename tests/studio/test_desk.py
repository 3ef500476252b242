"""The measuring desk: consent first, every reading kept, the median in force, slips asked about."""

from __future__ import annotations

import uuid
from datetime import timedelta
from typing import Any

import pytest

from studio.bodies.models import MeasuringSession, Reading
from tests.studio.conftest import House


def test_nothing_is_measured_without_consent_nor_a_minor_without_a_guardian(house: House) -> None:
    path = f"/clients/{house.client.id}"
    body = {"id": str(uuid.uuid4()), "measure": "hip", "typed": "100", "unit": "cm"}
    assert "No session is open" in house.api.ask("POST", f"{path}/readings", body).told["message"]
    refused = house.api.ask("POST", f"{path}/sessions", {"protocol": "quick", "consent": {"agreed": ["measure"]}})
    assert (refused.status_code, refused.told["field"]) == (422, "agreed")
    house.api.ask("PATCH", path, {"version": 1, "brief": {"minor": True}})
    assert house.begin().told["field"] == "guardian"
    assert house.begin(protocol="moon", consent={"guardian": "Ida Reed"}).told["field"] == "protocol"
    begun = house.begin(protocol="quick", side="left", consent={"guardian": "Ida Reed", "present": "Bo"})
    assert begun.status_code == 201
    assert (begun.told["guardian"], begun.told["present"], begun.told["side"]) == ("Ida Reed", "Bo", "left")
    # A second beginning is the same session, not another one.
    assert house.begin().told["id"] == begun.told["id"]


def test_a_stopped_session_takes_no_more(house: House) -> None:
    house.read("hip", "100")
    session = MeasuringSession.objects.get()
    path = f"/clients/{house.client.id}/sessions/{session.id}/end"
    assert house.api.ask("POST", path, {"how": "stopped"}).told["ended"] == "stopped"
    assert house.api.ask("POST", path, {"how": "finished"}).told["ended"] == "stopped"
    body = {"id": str(uuid.uuid4()), "measure": "waist", "typed": "74", "unit": "cm"}
    assert house.api.ask("POST", f"/clients/{house.client.id}/readings", body).status_code == 422
    assert Reading.objects.count() == 1


def test_two_readings_then_a_third_and_the_median_with_all_of_them_kept(house: House) -> None:
    house.begin(twice=True)
    first = house.take("hip", "100")
    assert house.desk()["hip"]["wants_another"] is True
    second = house.take("hip", "102.5", after=first)
    row = house.desk()["hip"]
    assert row["wants_another"] is True and row["known"]["origin"] == "repeated"
    house.take("hip", "100.4", after=second)
    row = house.desk()["hip"]
    assert (row["known"]["cm"], row["wants_another"], len(row["readings"])) == (100.4, False, 3)
    house.api.ask("POST", f"/clients/{house.client.id}/readings/{second}/withdraw")
    row = house.desk()["hip"]
    assert row["known"]["cm"] == 100.2 and [r["withdrawn"] for r in row["readings"]] == [False, True, False]
    house.api.ask("POST", f"/clients/{house.client.id}/readings/{second}/restore")
    assert house.desk()["hip"]["known"]["cm"] == 100.4
    kept = Reading.objects.earliest("taken_at")
    kept.typed = "30in"
    with pytest.raises(TypeError, match="only ever added"):
        kept.save()


def test_one_reading_handed_in_twice_counts_once(house: House) -> None:
    body = {"id": str(uuid.uuid4()), "measure": "hip", "typed": "39.5in", "unit": "cm", "source": "tape"}
    house.begin()
    path = f"/clients/{house.client.id}/readings"
    assert [house.api.ask("POST", path, body).status_code for _ in range(3)] == [200] * 3
    assert [(r["cm"], r["source"]) for r in house.desk()["hip"]["readings"]] == [(100.33, "tape")]


def test_a_doubt_is_answered_by_correct_keep_or_again(house: House) -> None:
    house.read("stature", "165")
    asked = house.read("waist", "29")
    assert asked.status_code == 422
    assert asked.told["suggested_cm"] == pytest.approx(73.66)
    assert (asked.told["refused"], asked.told["field"], asked.told["reason"]) == (False, "waist", "unit")
    again = house.read("waist", "29", set_aside=True)
    assert again.status_code == 200
    row = house.desk()["waist"]
    assert row["known"]["origin"] == "estimated" and [r["set_aside"] for r in row["readings"]] == [True]
    correct = house.read("waist", "29", meant_cm=73.66)
    row = house.desk()["waist"]
    assert row["known"]["cm"] == 73.66 and row["readings"][-1]["typed"] == "29" and correct.status_code == 200
    keep = house.read("belly", "190", checked=True)
    assert keep.status_code == 200 and house.desk()["belly"]["readings"][-1]["checked"] is True
    assert house.read("hip", "1000", checked=True).told["refused"] is True


def test_the_slower_of_two_is_told_and_nothing_is_overwritten(house: House) -> None:
    assert house.read("hip", "100").status_code == 200
    late = house.read("hip", "98")
    assert late.status_code == 409 and late.told["current"]["cm"] == 100
    assert house.read("hip", "99.8", after=late.told["current"]["id"]).status_code == 200


def test_the_clients_own_word_never_passes_for_a_measurement(house: House) -> None:
    house.read("stature", "165", said=True)
    row = house.desk()["stature"]
    assert (row["known"]["origin"], row["known"]["settled"]) == ("said", False)
    house.read("stature", "163.2", after=row["readings"][0]["id"])
    assert house.desk()["stature"]["known"]["cm"] == 163.2


def aged(house: House, days: int) -> None:
    """End the session going on and let it have been so many days ago."""
    session = MeasuringSession.objects.latest("started_at")
    session.started_at -= timedelta(days=days)
    session.ended_at = session.started_at
    session.save()


def test_the_last_session_is_carried_over_aged_and_asked_against(house: House) -> None:
    for measure, typed in {"stature": "165", "waist": "74", "hip": "100", "calf": "37"}.items():
        house.read(measure, typed)
    fresh = house.desk()["hip"]["known"]
    aged(house, 100)
    house.begin()
    row = house.desk()["hip"]
    assert (row["known"]["origin"], row["known"]["settled"], row["last"]["cm"]) == ("carried", True, 100.0)
    assert row["known"]["spread"] > fresh["spread"]
    asked = house.read("waist", "84")
    assert asked.told["reason"] == "changed" and "Last time it was 74 cm" in asked.told["message"]
    assert "same side" in house.read("calf", "42").told["message"]
    assert house.read("waist", "75").status_code == 200
    aged(house, 0)
    MeasuringSession.objects.update(started_at=MeasuringSession.objects.earliest("id").started_at - timedelta(days=200))
    assert house.desk()["hip"]["known"]["origin"] == "aged"


def test_next_measures_name_what_they_would_decide(house: House) -> None:
    house.read("stature", "165")
    jeans = {"is": "jeans", "cut": "straight", "front_rise_cm": 28, "inseam_cm": 70}
    house.keep("Jeans", [jeans])
    told = house.api.ask("GET", f"/clients/{house.client.id}/next").told
    assert "front_rise_navel" in [worth["measure"] for worth in told[:3]]
    assert any("1 of 1 pieces" in worth["text"] for worth in told)
    house.read("front_rise_navel", "28")
    assert "front_rise_navel" not in [
        w["measure"] for w in house.api.ask("GET", f"/clients/{house.client.id}/next").told
    ]


def test_the_reading_says_shape_borders_balance_and_both_sides(house: House) -> None:
    for measure, typed in {"stature": "165", "bust": "92", "waist": "76", "hip": "94", "crotch_height": "76"}.items():
        house.read(measure, typed)
    told = house.api.ask("GET", f"/clients/{house.client.id}/reading").told
    assert told["girths"]["shape"] in ("rectangle", "hourglass") and told["both_sides"] is True
    hip = next(along for along in told["along"] if along["measure"] == "hip")
    here = [band["shape"] for band in hip["bands"] if band["low"] <= hip["here"]["cm"] < band["high"]]
    assert here == [told["girths"]["shape"]]
    assert told["sentences"] and told["advice"] and {part["name"] for part in told["parts"]} >= {"leg", "torso"}


def sessions(house: House) -> Any:
    return house.api.ask("GET", f"/clients/{house.client.id}/sessions").told


def test_sessions_are_compared_beyond_noise_and_say_what_is_doubtful(house: House) -> None:
    for measure, typed in {"stature": "165", "waist": "74", "belly": "85", "hip": "100", "thigh": "58"}.items():
        house.read(measure, typed)
    aged(house, 150)
    house.begin()
    for measure, typed in {"waist": "79", "hip": "100.3"}.items():
        house.read(measure, typed, checked=True)
    newest, oldest = sessions(house)["sessions"]
    path = f"/clients/{house.client.id}/sessions/{newest['id']}/since/{oldest['id']}"
    told = house.api.ask("GET", path).told
    changed = {row["measure"]: row["beyond_noise"] for row in told["changes"]}
    assert changed == {"waist": True, "hip": False}
    assert [(row["measure"], row["because"]) for row in told["doubtful"]] == [("belly", "waist")]
    assert told["doubtful"][0]["expected_cm"] > 85
    assert told["outline_before"] != told["outline_after"]
