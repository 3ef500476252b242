"""The rack: pieces hung in one line, landed on the body, changed in place, never lost and never doubled."""

from __future__ import annotations

import uuid
from typing import Any

import pytest

from tests.studio.conftest import House

JEANS = "dark denim straight jeans high rise, front rise 25, inseam 30in, leg opening 19 cm"


def hang(house: House, line: str, piece_id: str | None = None) -> Any:
    body = {"id": piece_id or str(uuid.uuid4()), "line": line}
    return house.api.ask("POST", f"/clients/{house.client.id}/rack", body)


def hang_piece(house: House, piece: dict[str, Any]) -> dict[str, Any]:
    """A piece as it stands in words and figures, on the rack."""
    body = {"id": str(uuid.uuid4()), "piece": piece}
    answer = house.api.ask("POST", f"/clients/{house.client.id}/rack/pieces", body)
    assert answer.status_code == 201, answer.told
    told: dict[str, Any] = answer.told
    return told


def flats(house: House, page: int = 0) -> Any:
    return house.api.ask("GET", f"/clients/{house.client.id}/rack/flats?page={page}").told["flats"]


def rack(house: House, heel: float = 2) -> list[dict[str, Any]]:
    told = house.api.ask("GET", f"/clients/{house.client.id}/rack?heel_cm={heel}").told
    return list(told["pieces"])


def test_a_line_hangs_a_piece_with_its_landing_and_its_flat(house: House) -> None:
    for measure, typed in {"stature": "165", "crotch_height": "76", "front_rise_navel": "28"}.items():
        house.read(measure, typed)
    told = hang(house, JEANS)
    assert told.status_code == 201
    piece = told.told
    assert (piece["title"], piece["kind"], piece["measured"]) == ("dark denim straight jeans", "jeans", True)
    assert piece["piece"]["leg_opening_cm"] == 38.0 and piece["piece"]["inseam_cm"] == 76.2
    assert {mark["key"] for mark in piece["marks"]} >= {"rise", "leg", "length"} and piece["stance"] == "against"
    assert piece["flat"][0]["d"].startswith("M") and piece["flat"][0]["colour"] == "#26344e"
    assert [row["id"] for row in rack(house)] == [piece["id"]]
    # In a high heel the same jeans no longer bunch.
    length = {
        heel: {mark["key"]: mark["stance"] for mark in rack(house, heel)[0]["marks"]}["length"] for heel in (2, 9.5)
    }
    assert length == {2: "against", 9.5: "fits"}


def test_the_same_line_handed_in_twice_hangs_once_and_nonsense_hangs_nothing(house: House) -> None:
    same = str(uuid.uuid4())
    assert [hang(house, "white tee", same).status_code for _ in range(2)] == [201, 201]
    assert len(rack(house)) == 1
    for line, says in (
        ("blue", "names no piece"),
        ("tee; jeans", "one piece a line"),
        ("white tee, shaft height 38", "not a known figure"),
        ("", "one piece a line"),
    ):
        refused = hang(house, line)
        assert refused.status_code == 422 and says in refused.told["message"], line
    assert len(rack(house)) == 1
    noted = hang(house, "glittering tee").told
    assert noted["piece"]["is"] == "tee" and noted["facts"]["note"] == "Ask: glittering"


def test_a_piece_is_changed_in_place_and_two_at_once_are_told(house: House) -> None:
    piece = hang(house, "navy skirt").told
    path = f"/rack/{piece['id']}"
    assert piece["measured"] is False
    longer = house.api.ask("PATCH", path, {"version": 1, "piece": {**piece["piece"], "length_cm": 70}}).told
    assert longer["version"] == 2 and longer["measured"] is True
    late = house.api.ask("PATCH", path, {"version": 1, "name": "Mine"})
    assert late.status_code == 409 and late.told["current"]["piece"]["length_cm"] == 70
    facts = {"maker": "Alderlane", "label_size": "40", "state": "lent"}
    told = house.api.ask("PATCH", path, {"version": 2, "name": "The long one", "facts": facts}).told
    assert (told["title"], told["facts"]["state"], told["facts"]["maker"]) == ("The long one", "lent", "Alderlane")
    wrong = house.api.ask("PATCH", path, {"version": 3, "piece": {"is": "skirt", "inseam_cm": 900}})
    assert wrong.status_code == 422
    assert house.api.ask("PATCH", path, {"version": 3, "facts": {"state": "burnt"}}).status_code == 422
    assert house.api.ask("GET", path).told["piece"]["version"] == 3


def test_another_like_it_taken_off_and_brought_back(house: House) -> None:
    piece = hang(house, "black belt thin").told
    path = f"/rack/{piece['id']}"
    other = house.api.ask("POST", f"{path}/copy").told
    assert other["id"] != piece["id"] and other["piece"] == piece["piece"]
    assert house.api.ask("DELETE", path).status_code == 204
    assert [row["id"] for row in rack(house)] == [other["id"]]
    assert house.api.ask("PATCH", path, {"version": 1, "name": "x"}).status_code == 404
    house.api.ask("POST", f"{path}/restore")
    assert {row["id"] for row in rack(house)} == {piece["id"], other["id"]}


def test_a_piece_is_shown_from_behind_where_a_back_is_sewn_on_it(house: House) -> None:
    jeans, loafers = (hang(house, said).told["id"] for said in ("blue jeans", "black loafers"))
    behind = {one: house.api.ask("GET", f"/rack/{one}").told["behind"] for one in (jeans, loafers)}
    assert {"pocket_left", "pocket_right"} <= {shape["key"] for shape in behind[jeans]}
    assert behind[loafers] == []


def test_every_kind_hangs_with_a_flat_of_its_own(house: House, monkeypatch: pytest.MonkeyPatch) -> None:
    kinds = (
        *("shorts", "dress wrap", "jumpsuit", "dungarees", "camisole", "bodysuit", "waistcoat", "kimono", "duster"),
        *(
            "sandals",
            "tall boots",
            "scarf",
            "bag",
            "hat",
            "earrings",
            "tights",
            "swimsuit",
            "bikini top",
            "bikini bottom",
        ),
    )
    for kind in kinds:
        assert hang(house, f"black {kind}").status_code == 201, kind
    shown = rack(house)
    assert len(shown) == len(kinds) and not any(row["flat"] for row in shown)
    # The flats come by pages, in the order of the rack.
    monkeypatch.setattr("studio.rack.api.PAGE", 8)
    pages = [flats(house, number) for number in range(4)]
    assert house.api.ask("GET", f"/clients/{house.client.id}/rack").told["page"] == 8
    assert [len(told) for told in pages] == [8, 8, len(kinds) - 16, 0]
    told = [one for told in pages for one in told]
    assert [one["id"] for one in told] == [row["id"] for row in shown]
    assert len({str(one["flat"]) for one in told}) == len(kinds)


def test_the_rack_goes_out_and_comes_in_with_the_client_file_and_is_erased_with_the_client(
    house: House, other: House
) -> None:
    hang(house, JEANS)
    piece = hang(house, "navy skirt").told
    house.api.ask("PATCH", f"/rack/{piece['id']}", {"version": 1, "facts": {"maker": "Twelve Looms"}})
    file = house.api.ask("GET", f"/clients/{house.client.id}/file").content.decode()
    made = other.api.ask("POST", "/client-files", {"text": file}).told
    back = other.api.ask("GET", f"/clients/{made['id']}/rack").told["pieces"]
    assert [(row["piece"], row["facts"]) for row in back] == [(row["piece"], row["facts"]) for row in rack(house)]
    proof = house.api.ask("POST", f"/clients/{house.client.id}/erase", {"name": "Pia Reed"}).told
    assert proof["rows"]["RackPiece"] == 2 and proof["remaining"] == 0


TABLE = """name;piece;colour;cut;fabric;inseam (in);leg opening (cm);stretch (%);maker;seasons;state
The good ones;jeans;navy;straight;denim; stretch;30;42;16;Alderlane;autumn; winter;in use
;toga;white;;;;;;;;
;tee;glitter;;;;;;;;
;skirt;black;slip;satin;;;;;;burnt
;coat;camel;;;;;;;;lent
;jeans;;;;lots;;;;;
"""


def test_a_table_of_pieces_is_previewed_refused_row_by_row_and_round_trips(house: House, other: House) -> None:
    path = f"/clients/{house.client.id}/rack/table"
    text = TABLE.replace("; stretch", "").replace("; winter", "")
    told = house.api.ask("POST", f"{path}/preview", {"text": text}).told
    assert [(row["line"], row["title"]) for row in told["rows"]] == [(2, "The good ones"), (6, "camel coat")]
    reasons = {row["line"]: row["reason"] for row in told["refused"]}
    assert reasons.keys() == {3, 4, 5, 7}
    assert "toga" in reasons[3] and "glitter" in reasons[4] and "state" in reasons[5] and "lots" in reasons[7]
    assert rack(house) == []
    assert house.api.ask("POST", path, {"text": text}).told == {"added": 2}
    jeans, coat = rack(house)
    assert (
        jeans["piece"]["inseam_cm"] == 76.2
        and jeans["facts"]["seasons"] == ["autumn"]
        and coat["facts"]["state"] == "lent"
    )
    hang(house, "red swimsuit underwire, torso 144")
    for unit in ("cm", "in"):
        out = house.api.ask("GET", f"{path}?unit={unit}").content.decode()
        target = f"/clients/{other.client.id}/rack"
        assert other.api.ask("POST", f"{target}/table", {"text": out, "again": unit == "in"}).told == {"added": 3}
        back = other.api.ask("GET", target).told["pieces"][-3:]
        assert [(r["name"], r["piece"], r["facts"]) for r in back] == [
            (r["name"], r["piece"], r["facts"]) for r in rack(house)
        ]
    for bad, says in (
        ("a,b\n1,2", "not a column"),
        ("colour\nred", "piece"),
        ("piece,inseam\njeans,70", "name their unit"),
    ):
        assert says in house.api.ask("POST", path, {"text": bad}).told["message"]
