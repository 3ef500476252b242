"""The try-on: expected before it is put on, seen, decided; handed in late or twice it is logged once."""

from __future__ import annotations

import json
import uuid
from typing import Any

import pytest

from tests.studio.conftest import House
from tests.studio.test_rack import hang, rack

BEGAN = "2026-11-20T10:00:00Z"


def begin(house: House, fitting_id: str | None = None) -> str:
    own = fitting_id or str(uuid.uuid4())
    body = {"place": "wardrobe", "started_at": BEGAN}
    told = house.api.ask("PUT", f"/clients/{house.client.id}/fittings/{own}", body)
    assert told.status_code == 200, told.told
    return own


def log(house: House, fitting: str, trial_id: str | None = None, **more: Any) -> Any:
    body = {"tried_at": BEGAN, "decision": "keep", **more}
    return house.api.ask("PUT", f"/fittings/{fitting}/trials/{trial_id or uuid.uuid4()}", body)


def errand(**more: Any) -> dict[str, Any]:
    made = {"id": str(uuid.uuid4()), "kind": "alter", "text": "Hem it by 3 cm.", "figure": "inseam_cm", "by_cm": -3.0}
    return {**made, "due_on": "2026-12-01", **more}


@pytest.fixture
def fitted(house: House) -> House:
    for measure, typed in {"stature": "165", "waist": "74", "hip": "100"}.items():
        house.read(measure, typed)
    return house


def test_what_is_expected_is_told_of_the_whole_rack_and_of_a_said_piece(fitted: House) -> None:
    piece = hang(fitted, "navy straight jeans, front rise 28, inseam 76, waist 82").told
    path = f"/clients/{fitted.client.id}"
    (one,) = fitted.api.ask("GET", f"{path}/expected?heel_cm=2").told["pieces"]
    assert one["piece_id"] == piece["id"] and {edge["key"] for edge in one["placed"]["edges"]} == {"waistband", "hem"}
    told = fitted.api.ask("POST", f"{path}/expect", {"line": "black skirt, length 60", "heel_cm": 2}).told
    assert told["piece_id"] is None and told["title"] == "black skirt" and told["placed"]["checks"]
    assert fitted.api.ask("POST", f"{path}/expect", {"line": "glittering skirt"}).status_code == 422


def test_a_piece_handed_in_twice_is_logged_once_with_its_errands_and_its_state(fitted: House) -> None:
    piece = hang(fitted, "navy straight jeans, inseam 76, waist 82").told
    fitting, trial = str(uuid.uuid4()), str(uuid.uuid4())
    due = errand()
    for _ in range(2):
        begin(fitted, fitting)
        told = log(fitted, fitting, trial, piece_id=piece["id"], decision="alter", why="Too long.", errands=[due])
        assert told.status_code == 200
    (held,) = fitted.api.ask("GET", f"/clients/{fitted.client.id}/fittings").told["fittings"]
    assert [one["title"] for one in held["trials"]] == ["navy straight jeans"]
    assert held["trials"][0]["expected"]["edges"]["hem"] > 0
    assert len(fitted.api.ask("GET", "/errands").told["errands"]) == 1
    assert rack(fitted)[0]["facts"]["state"] == "at_the_tailor"
    assert fitted.api.ask("POST", f"/fittings/{fitting}/end").told["ended_at"]


def test_a_said_piece_that_is_kept_hangs_on_the_rack_and_one_that_is_not_does_not(fitted: House) -> None:
    fitting = begin(fitted)
    log(fitted, fitting, line="white tee, chest 98", maker="Fenn", label_size="12")
    log(fitted, fitting, line="red skirt", decision="let_go", why="Not the red.")
    assert [(one["title"], one["facts"]["maker"]) for one in rack(fitted)] == [("white tee", "Fenn")]
    for line, says in (("", "Say which piece"), ("glitter", "names no piece")):
        refused = log(fitted, fitting, line=line)
        assert refused.status_code == 422 and says in refused.told["message"]
    (held,) = fitted.api.ask("GET", f"/clients/{fitted.client.id}/fittings").told["fittings"]
    assert len(held["trials"]) == 2


def crotch(house: House) -> dict[str, Any]:
    return dict(house.desk()["crotch_height"]["known"])


def test_what_was_seen_corrects_the_piece_or_the_estimate_and_can_be_taken_back(fitted: House) -> None:
    piece = hang(fitted, "navy straight jeans, inseam 70, waist 82").told
    told = log(fitted, begin(fitted), piece_id=piece["id"], seen={"edges": {"hem": 2.0}}).told
    by_whose = {one["whose"]: one for one in told["corrections"]}
    assert by_whose["body"]["key"] == "crotch_height" and by_whose["piece"]["key"] == "inseam_cm"
    # The estimate of the body is the likelier of the two: the seam was measured.
    assert by_whose["body"]["share"] > by_whose["piece"]["share"]
    path = f"/trials/{told['id']}"
    for whose, key in (("body", "crotch_height"), ("piece", "inseam_cm")):
        before = crotch(fitted)["cm"], rack(fitted)[0]["piece"]["inseam_cm"]
        done = fitted.api.ask("POST", f"{path}/correct", {"whose": whose, "key": key})
        assert done.status_code == 200 and [one["key"] for one in done.told["corrected"]] == [key]
        after = crotch(fitted), rack(fitted)[0]["piece"]["inseam_cm"]
        assert (after[0]["cm"], after[1]) != before and after[0]["settled"] is False
        hem = next(
            e
            for e in fitted.api.ask("GET", f"/rack/{piece['id']}?heel_cm=0").told["placed"]["edges"]
            if e["key"] == "hem"
        )
        assert abs(hem["falls_to"] - 2.0) < 0.4
        fitted.api.ask("POST", f"{path}/uncorrect", {"whose": whose, "key": key})
        assert (crotch(fitted)["cm"], rack(fitted)[0]["piece"]["inseam_cm"]) == before
    refused = fitted.api.ask("POST", f"{path}/correct", {"whose": "piece", "key": "hip_cm"})
    assert refused.status_code == 422 and "no longer" in refused.told["message"]


def test_an_alteration_that_is_done_changes_the_figure_and_undone_gives_it_back(fitted: House) -> None:
    piece = hang(fitted, "navy straight jeans, inseam 76").told
    due = errand()
    fitted.api.ask("POST", f"/rack/{piece['id']}/errands", due)
    again = fitted.api.ask("POST", f"/rack/{piece['id']}/errands", due).told
    path = f"/errands/{again['id']}"
    for _ in range(2):
        assert fitted.api.ask("POST", f"{path}/done").told["applied"] is True
        (held,) = rack(fitted)
        assert held["piece"]["inseam_cm"] == 73.0 and held["facts"]["state"] == "in_use"
    fitted.api.ask("DELETE", f"{path}/done")
    assert rack(fitted)[0]["piece"]["inseam_cm"] == 76.0
    told = fitted.api.ask("GET", f"/clients/{fitted.client.id}/errands").told["errands"]
    assert [one["done_at"] for one in told] == [None]
    moved = fitted.api.ask("PATCH", path, {"version": told[0]["version"], "due_on": "2026-12-24"}).told
    assert moved["due_on"] == "2026-12-24"
    stale = fitted.api.ask("PATCH", path, {"version": 1, "due_on": None})
    assert stale.status_code == 409 and stale.told["current"]["due_on"] == "2026-12-24"
    fitted.api.ask("DELETE", path)
    assert fitted.api.ask("GET", "/errands").told["errands"] == []
    assert fitted.api.ask("POST", f"{path}/restore").told["due_on"] == "2026-12-24"


def test_a_trial_is_changed_removed_with_what_is_due_of_it_and_brought_back(fitted: House) -> None:
    piece = hang(fitted, "black skirt, length 60").told
    fitting = begin(fitted)
    told = log(
        fitted, fitting, piece_id=piece["id"], decision="return", errands=[errand(kind="return", figure="", by_cm=0)]
    ).told
    path = f"/trials/{told['id']}"
    body = {"version": 1, "seen": {"moves": {"sit": "not_well"}}, "decision": "keep", "why": "After all."}
    assert fitted.api.ask("PATCH", path, body).told["seen"]["moves"] == {"sit": "not_well"}
    assert fitted.api.ask("PATCH", path, body).status_code == 409
    wrong = fitted.api.ask("PATCH", path, {**body, "version": 2, "seen": {"edges": {"hem": 900}}})
    assert wrong.status_code == 422
    fitted.api.ask("DELETE", path)
    assert fitted.api.ask("GET", "/errands").told["errands"] == []
    fitted.api.ask("POST", f"{path}/restore")
    assert len(fitted.api.ask("GET", "/errands").told["errands"]) == 1


def test_makers_are_learned_of_over_clients_and_never_over_studios(fitted: House, other: House) -> None:
    fitting = begin(fitted)
    for length, checks in ((60, {"length": "as_said"}), (62, {"length": "not_so"}), (64, {})):
        line = f"navy skirt, length {length}"
        expected = fitted.api.ask("POST", f"/clients/{fitted.client.id}/expect", {"line": line}).told
        hem = next(edge["height"] for edge in expected["placed"]["edges"] if edge["key"] == "hem")
        told = log(fitted, fitting, line=line, maker="Fenn", seen={"edges": {"hem": hem + 2.0}, "checks": checks})
        assert told.status_code == 200
    (made,) = fitted.api.ask("GET", f"/clients/{fitted.client.id}/fittings").told["makers"]
    assert (made["maker"], made["confirmed"], made["checked"]) == ("Fenn", 1, 2)
    (hems,) = made["learned"]
    assert hems["sure"] and abs(hems["by"] - 2.0) < 0.1 and "higher" in hems["text"]
    assert other.api.ask("GET", f"/clients/{other.client.id}/fittings").told["makers"] == []


def test_fittings_go_out_and_come_in_with_the_client_file_and_are_erased(fitted: House, other: House) -> None:
    piece = hang(fitted, "navy straight jeans, inseam 76").told
    log(fitted, begin(fitted), piece_id=piece["id"], decision="alter", errands=[errand()], seen={"comfort": "bearable"})
    fitted.api.ask("POST", f"/rack/{piece['id']}/errands", errand(text="A new button."))
    file = fitted.api.ask("GET", f"/clients/{fitted.client.id}/file").content.decode()
    made = other.api.ask("POST", "/client-files", {"text": file}).told
    again = other.api.ask("GET", f"/clients/{made['id']}/file").content.decode()
    assert {**json.loads(again), "seen": []} == {**json.loads(file), "seen": []}
    (held,) = other.api.ask("GET", f"/clients/{made['id']}/fittings").told["fittings"]
    (back,) = other.api.ask("GET", f"/clients/{made['id']}/rack").told["pieces"]
    assert held["trials"][0]["piece_id"] == back["id"] and held["trials"][0]["seen"]["comfort"] == "bearable"
    proof = fitted.api.ask("POST", f"/clients/{fitted.client.id}/erase", {"name": "Pia Reed"}).told
    assert (proof["rows"]["Trial"], proof["rows"]["Errand"], proof["remaining"]) == (1, 2, 0)


def test_what_was_typed_is_read_when_it_arrives_from_where_it_is_told(fitted: House) -> None:
    fitted.read("navel_height", "100")
    piece = hang(fitted, "navy straight jeans, front rise 28, inseam 76, waist 82").told
    fitting = begin(fitted)
    typed = {"waistband": "-2", "hem": "1 1/2in", "band": "−1"}
    told = log(fitted, fitting, piece_id=piece["id"], typed=typed, unit="cm", heel_cm=4).told
    assert told["seen"]["edges"] == {"waistband": 102.0, "hem": 3.8} and told["seen"]["eases"] == {"band": -1.0}
    shown = {one["key"]: (one["seen"], one["frame"]) for one in told["to_see"]}
    assert shown["waistband"] == (-2.0, "above the navel") and shown["hem"] == (3.8, "above the ground")
    change = {"version": 1, "seen": told["seen"], "typed": {"hem": ""}}
    assert "hem" not in fitted.api.ask("PATCH", f"/trials/{told['id']}", change).told["seen"]["edges"]
    refused = log(fitted, fitting, piece_id=piece["id"], typed={"hem": "long"})
    assert refused.status_code == 422 and "not a length" in refused.told["message"]
    refused = log(fitted, fitting, piece_id=piece["id"], typed={"hem": "900"})
    assert refused.status_code == 422 and "cannot be" in refused.told["message"]


def test_a_piece_is_held_against_the_clients_style_before_it_is_put_on(house: House) -> None:
    path = f"/clients/{house.client.id}"
    client = house.api.ask("GET", path).told
    aims = {**client["aims"], "never": ["blazer"], "style": ["plain"]}
    assert house.api.ask("PATCH", path, {"version": client["version"], "aims": aims}).status_code == 200
    told = house.api.ask("POST", f"{path}/expect", {"line": "navy blazer", "heel_cm": 2}).told
    assert (told["in_style"], told["style"]) == (False, "This client never wears a blazer.")
    plain = house.api.ask("POST", f"{path}/expect", {"line": "navy tee", "heel_cm": 2}).told
    assert plain["in_style"] is True and "plain" in plain["style"]
