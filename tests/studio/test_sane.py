"""Times no clock tells, rows no form reads, and two writers at one client: nothing takes a list down, nothing is overwritten."""

from __future__ import annotations

import json
import threading
from datetime import UTC, datetime
from typing import Any

import pytest
from django.db import IntegrityError, connection, transaction

from studio.bodies.models import MeasuringSession
from studio.people import services
from studio.people.models import Client
from studio.rack.models import RackPiece
from tests.studio.conftest import House
from tests.studio.test_fittings import begin
from tests.studio.test_rack import hang, rack

#: Times that are past the ends of what a database or a studio can mean, and one without its zone.
NEVER = (
    "9999-12-31T23:59:59-14:00",
    "0001-01-01T00:00:00+14:00",
    "1492-10-12T08:00:00+00:00",
    "2190-01-01T00:00:00+00:00",
    "2026-03-01T10:00:00",
)


def _file(house: House, started: str) -> str:
    told: dict[str, Any] = house.api.ask("GET", f"/clients/{house.client.id}/file").told
    session = {"started_at": started, "readings": [{"measure": "waist", "cm": 74, "taken_at": started}]}
    return json.dumps({**told, "name": "Ida Never", "sessions": [session]})


@pytest.mark.parametrize("when", NEVER)
def test_a_time_that_cannot_be_is_refused_at_every_door_and_nothing_is_kept(house: House, when: str) -> None:
    people = house.api.ask("GET", "/clients").told["total"]
    text = _file(house, when)
    for path in ("/client-files/preview", "/client-files"):
        refused = house.api.ask("POST", path, {"text": text})
        assert refused.status_code == 422, path
    assert house.api.ask("GET", "/clients").told["total"] == people
    fitting = f"/clients/{house.client.id}/fittings/3f0c9a52-6a1e-4b6f-9d0a-0f5b7f0a7c99"
    assert house.api.ask("PUT", fitting, {"place": "shop", "started_at": when}).status_code == 422
    trial = f"/fittings/{begin(house)}/trials/3f0c9a52-6a1e-4b6f-9d0a-0f5b7f0a7c98"
    assert house.api.ask("PUT", trial, {"tried_at": when, "line": "white tee"}).status_code == 422
    table = f"measure,value (cm),taken on\nwaist,74,{when[:10]}"
    if when[:4] != "2026":
        told = house.api.ask("POST", f"/clients/{house.client.id}/table/preview", {"text": table}).told
        assert len(told["refused"]) == 1
    assert house.api.ask("GET", "/clients").status_code == 200


def test_what_slips_past_every_door_is_refused_by_the_database(house: House) -> None:
    for when in (datetime(1, 1, 2, tzinfo=UTC), datetime(9999, 12, 1, tzinfo=UTC)):
        with pytest.raises(IntegrityError), transaction.atomic():
            MeasuringSession.objects.create(studio=house.member.studio, client=house.client, started_at=when)


def test_a_row_that_cannot_be_read_takes_no_list_down(house: House) -> None:
    piece = hang(house, "white tee").told
    hang(house, "navy skirt")
    junk = {"bought_on": "9999-99-99", "maker": "Alderlane", "price": -4, "state": ["lent"]}
    RackPiece.objects.filter(id=piece["id"]).update(facts=junk, version=2)
    told = {row["id"]: row for row in rack(house)}
    assert len(told) == 2 and told[piece["id"]]["facts"]["maker"] == "Alderlane"
    Client.objects.filter(id=house.client.id).update(brief={"week": 3, "seated": True}, aims={"wants": ["fly"]})
    client = house.api.ask("GET", f"/clients/{house.client.id}").told
    assert client["brief"]["seated"] is True and client["aims"]["wants"] == []
    assert house.api.ask("GET", "/clients").status_code == 200


@pytest.mark.django_db(transaction=True)
def test_a_change_that_was_acknowledged_outlives_a_restore_beside_it(house: House) -> None:
    """Twenty races of a change of name against bringing back: whoever is told yes is found in the row."""

    def bring_back() -> None:
        try:
            services.restore_client(house.member, house.client.id)
        finally:
            connection.close()

    for turn in range(20):
        version = Client.objects.get(id=house.client.id).version
        other = threading.Thread(target=bring_back)
        other.start()
        answer = house.api.ask("PATCH", f"/clients/{house.client.id}", {"version": version, "name": f"Turn {turn}"})
        other.join()
        assert answer.status_code in (200, 409)
        if answer.status_code == 200:
            assert Client.objects.get(id=house.client.id).name == f"Turn {turn}"
