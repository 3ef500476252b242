"""Clients in and out as open files, tables row by row, and erasure with proof."""

from __future__ import annotations

import json
from pathlib import Path
from typing import Any

import pytest
from django.db import connection

from craft.formats.client_file import schema
from studio.bodies.models import MeasuringSession, Reading, Withdrawal
from studio.looks.models import Look
from studio.people.models import Client
from tests.studio.conftest import House
from tests.studio.test_desk import aged
from tests.studio.test_rack import hang_piece

DOCS = Path(__file__).resolve().parents[2] / "docs"


def furnished(house: House) -> None:
    """A client with a brief, two sessions, a withdrawn and a set-aside reading, and a look."""
    path = f"/clients/{house.client.id}"
    brief = {"changed": "New work", "limits": ["wool"], "week": [{"occasion": "dinner", "share": 20}]}
    house.api.ask("PATCH", path, {"version": 1, "note": "Cellist", "brief": brief, "aims": {"show": ["waist"]}})
    house.read("hip", "99in", set_aside=True)
    first = house.take("hip", "100")
    house.api.ask("POST", f"{path}/readings/{first}/withdraw")
    house.read("hip", "39 1/2in")
    aged(house, 90)
    house.begin()
    house.read("hip", "101")
    house.read("shoulder_breadth", "38", said=True)
    jeans = {"is": "jeans", "inseam_cm": 70, "colour": "navy"}
    piece = hang_piece(house, jeans)
    day = house.keep("Rehearsal", [jeans], from_rack={"bottom": piece["id"]}, facts={"tags": ["work"]}).told
    setting = {"occasion": "dinner", "celsius": 12, "rain": True}
    liked = [{"rule": "feet.toe", "who": "client", "on": "2026-11-20", "why": "her lucky shoes"}]
    facts = {"variant": "up", "setting": setting, "liked": liked, "client_said": "More like me."}
    house.keep("Concert", [{**jeans, "cuffed": True}, {"is": "pumps"}], variant_of=day["id"], facts=facts)
    ways = {"schools": {"wide_leg_shoe": "echo"}, "muted": ["feet.toe"]}
    house.api.ask("PATCH", path, {"version": 2, "own_ways": ways})


def exported(house: House, client_id: Any) -> dict[str, Any]:
    answer = house.api.ask("GET", f"/clients/{client_id}/file")
    assert answer.headers["Content-Disposition"].endswith('.json"')
    told: dict[str, Any] = answer.told
    return told


def test_a_client_exported_and_imported_is_the_same_client(house: House, other: House) -> None:
    furnished(house)
    file = exported(house, house.client.id)
    assert [len(session["readings"]) for session in file["sessions"]] == [3, 2]
    text = json.dumps(file)
    preview = other.api.ask("POST", "/client-files/preview", {"text": text}).told
    assert (preview["name"], preview["sessions"], preview["readings"], preview["looks"]) == ("Pia Reed", 2, 5, 2)
    assert Client.objects.filter(studio=other.member.studio).count() == 1
    made = other.api.ask("POST", "/client-files", {"text": text})
    assert made.status_code == 201
    # Who saw what is told of the house it was seen in, and not taken in.
    assert file.pop("seen")
    again = exported(other, made.told["id"])
    assert [one["did"] for one in again.pop("seen")] == ["changed the record, brought in from a file"]
    assert again == file
    mine, theirs = (
        h.api.ask("GET", f"/clients/{c}/desk").told for h, c in ((house, house.client.id), (other, made.told["id"]))
    )
    assert [row["known"] for row in mine["measures"]] == [row["known"] for row in theirs["measures"]]


@pytest.mark.parametrize(
    ("change", "says"),
    [
        ({"format": "something"}, "at format"),
        ({"version": 7}, "another version"),
        ({"sessions": [{"started_at": "yesterday"}]}, "sessions.0.started_at"),
        ({"surprise": 1}, "surprise"),
        ({"looks": [{"name": "x", "pieces": [{"is": "toga"}]}]}, "toga"),
    ],
)
def test_a_file_that_is_none_is_refused_whole(house: House, change: dict[str, Any], says: str) -> None:
    file = {"format": "basilwood-client", "version": 1, "name": "Bo", **change}
    refused = house.api.ask("POST", "/client-files", {"text": json.dumps(file)})
    assert refused.status_code == 422 and says in refused.told["message"]
    assert "not a client file" in house.api.ask("POST", "/client-files", {"text": "{"}).told["message"]
    assert Client.objects.count() == 1


def test_the_published_schema_is_the_one_in_force() -> None:
    assert json.loads((DOCS / "client-file.schema.json").read_text()) == schema()


TABLE = """measure;value (in);taken on
stature;65;2026-05-02
Hip;39 3/8;2026-05-02
waist;29 cm
elbow grease;4
bust;36,5
calf;14;someday
thigh;-3
knee;14.5;2031-01-01
"""


def test_a_half_bad_table_is_refused_row_by_row_and_nothing_written_before_confirmation(house: House) -> None:
    path = f"/clients/{house.client.id}/table"
    told = house.api.ask("POST", f"{path}/preview", {"text": TABLE}).told
    assert [row["measure"] for row in told["rows"]] == ["stature", "hip", "bust"]
    assert {row["line"]: row["reason"].split()[-1] for row in told["refused"]}.keys() == {4, 5, 7, 8, 9}
    reasons = {row["line"]: row["reason"] for row in told["refused"]}
    assert "inches" in reasons[4] and "not on the measure list" in reasons[5] and "not come yet" in reasons[9]
    assert not Reading.objects.exists()
    assert house.api.ask("POST", path, {"text": TABLE}).told == {"added": 3}
    assert house.desk()["hip"]["known"]["origin"] in ("carried", "aged")
    out = house.api.ask("GET", f"{path}?unit=in").content.decode()
    assert out.splitlines()[0] == "measure,value (in),taken on,origin" and "hip,39.374,2026-05-02,measured" in out
    again = house.api.ask("POST", f"{path}/preview", {"text": out}).told
    assert {(r["measure"], r["cm"]) for r in again["rows"]} == {(r["measure"], r["cm"]) for r in told["rows"]}
    assert "columns" in house.api.ask("POST", path, {"text": "a,b\n1,2"}).told["message"]


def test_an_unusual_body_goes_out_and_comes_in_again_as_a_table(house: House, other: House) -> None:
    house.read("stature", "165")
    house.read("hip", "100")
    assert house.read("neck", "52").status_code == 422
    assert house.read("neck", "52", checked=True).status_code == 200
    house.read("thigh", "58", said=True)
    out = house.api.ask("GET", f"/clients/{house.client.id}/table").content.decode()
    path = f"/clients/{other.client.id}/table"
    refused = other.api.ask("POST", f"{path}/preview", {"text": out.replace("checked", "measured")}).told["refused"]
    assert [row["text"].split(",")[0] for row in refused] == ["neck"] and "write checked" in refused[0]["reason"]
    assert other.api.ask("POST", path, {"text": out}).told == {"added": 4}
    assert other.api.ask("GET", path).content.decode() == out


def test_erasing_leaves_nothing_and_proves_it(house: House, other: House) -> None:
    furnished(house)
    ids = [
        str(house.client.id),
        *(str(row.id) for row in Reading.objects.all()),
        str(Look.objects.get(name="Rehearsal").id),
    ]
    path = f"/clients/{house.client.id}"
    wrong = house.api.ask("POST", f"{path}/erase", {"name": "Pia"})
    assert (wrong.status_code, wrong.told["field"]) == (422, "name")
    assert Client.objects.filter(id=house.client.id).exists()
    house.api.ask("DELETE", path)
    proof = house.api.ask("POST", f"{path}/erase", {"name": " Pia  Reed "}).told
    assert proof["remaining"] == 0 and proof["by"] == "Ada Stitch"
    assert proof["rows"] == {
        "Client": 1,
        "MeasuringSession": 2,
        "Reading": 5,
        "Withdrawal": 1,
        "Look": 2,
        "RackPiece": 1,
    }
    assert not MeasuringSession.objects.exists() and not Withdrawal.objects.exists()
    with connection.cursor() as cursor:
        for table in connection.introspection.table_names(cursor):
            cursor.execute(f'SELECT held::text FROM "{table}" AS held')  # noqa: S608
            rows = " ".join(row[0] for row in cursor.fetchall())
            assert not [one for one in ids if one in rows] and "Cellist" not in rows, table
    assert house.api.ask("GET", "/erasures").told == [proof]
    assert other.api.ask("GET", "/erasures").told == []
    assert house.api.ask("POST", f"{path}/restore").status_code == 404
