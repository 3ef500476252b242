"""The edit against PostgreSQL: pieces handed in, sorted, let go, bought; what is proposed, missing, chosen, changed."""

from __future__ import annotations

import uuid
from datetime import timedelta
from typing import Any

import pytest

from studio.bodies.models import MeasuringSession
from tests.studio.conftest import House
from tests.studio.test_outfits import work

LINES = (
    "dark denim straight jeans high rise, ankle",
    "navy straight trousers high rise, ankle",
    "white tee skimming",
    "coral blouse v neck",
    "navy knit skimming",
    "white trainers",
    "tan flats almond",
    "navy pumps high heel",
    "black straight trousers, waist 110, hip 130",
    "the same in grey",
    "a thing from the market",
)


def hang_lines(house: House, lines: tuple[str, ...] = LINES) -> dict[str, Any]:
    """Many pieces at once: what became of each, by its line."""
    given = [{"id": str(uuid.uuid4()), "line": line} for line in lines]
    told = house.api.ask("POST", f"/clients/{house.client.id}/rack/lines", {"lines": given}).told["lines"]
    return dict(zip(lines, told, strict=True))


def edit(house: House, kind: str, **given: Any) -> Any:
    """An answer of the edit, when a worker has found it."""
    ask = lambda: house.api.ask("POST", f"/clients/{house.client.id}/edit/{kind}", given).told  # noqa: E731
    assert ask()["job"]["state"] == "waiting"
    work()
    told = ask()
    assert told["job"]["state"] == "done", told["job"]
    return told


@pytest.fixture
def wardrobe(house: House) -> dict[str, Any]:
    """A client who wears no heels, and her pieces."""
    for measure, cm in (("stature", "166"), ("waist", "74"), ("hip", "99"), ("bust", "94")):
        house.take(measure, cm)
    week = [{"occasion": "relaxed_office", "share": 60}, {"occasion": "weekend", "share": 40}]
    house.client.aims, house.client.brief = {"wont": ["heels"]}, {"week": week, "budget": {"amount": 600}}
    house.client.save()
    return hang_lines(house)


def test_many_lines_hang_at_once_and_what_is_not_understood_is_told(house: House) -> None:
    told = hang_lines(house)
    assert told["the same in grey"]["title"] == "grey straight trousers"
    assert told["a thing from the market"]["refused"] and not told["a thing from the market"]["title"]
    rack = house.api.ask("GET", f"/clients/{house.client.id}/rack").told["pieces"]
    assert len(rack) == len(LINES) - 1
    # The same lines handed in again, as after a lost answer, hang nothing twice.
    again = [{"id": one["id"], "line": line} for line, one in told.items()]
    house.api.ask("POST", f"/clients/{house.client.id}/rack/lines", {"lines": again})
    assert len(house.api.ask("GET", f"/clients/{house.client.id}/rack").told["pieces"]) == len(LINES) - 1


def test_what_is_not_said_is_taken_from_others_of_the_maker(house: House) -> None:
    lines = (
        "dark denim straight jeans high rise by Orla Weft, size 12",
        "white Orla Weft jeans",
        "orla weft skirt navy, size 14",
        "grey wide jeans",
        "like the last one in camel",
    )
    told = hang_lines(house, lines)
    assert [told[line]["taken"] for line in lines] == [[], ["size 12", "straight", "high rise"], [], [], []]
    assert [told[line]["note"] for line in lines] == [""] * 5
    assert [told[line]["maker"] for line in lines] == ["Orla Weft", "Orla Weft", "Orla Weft", "", ""]
    rack = {one["id"]: one for one in house.api.ask("GET", f"/clients/{house.client.id}/rack").told["pieces"]}
    facts = [rack[told[line]["id"]]["facts"] for line in lines]
    assert [(one["maker"], one["label_size"]) for one in facts] == [
        ("Orla Weft", "12"), ("Orla Weft", "12"), ("Orla Weft", "14"), ("", ""), ("", "")]  # fmt: skip
    assert rack[told[lines[1]]["id"]]["piece"] == {"is": "jeans", "colour": "white", "cut": "straight", "rise": "high"}


def test_one_line_names_a_maker_too_and_another_is_no_riddle(house: House) -> None:
    address = f"/clients/{house.client.id}/rack"
    hung = [
        house.api.ask("POST", address, {"id": str(uuid.uuid4()), "line": line}).told
        for line in ("navy knit by Orla Weft, size 12", "another white knit from orla weft")
    ]
    assert [(one["facts"]["maker"], one["facts"]["label_size"]) for one in hung] == [("Orla Weft", "12")] * 2
    assert hung[1]["piece"] == {"is": "knit", "colour": "white"}


def test_each_piece_is_proposed_for_with_its_reason(house: House, wardrobe: dict[str, Any]) -> None:
    told = edit(house, "sorting")
    by_id = {one["piece_id"]: one for one in told["pieces"]}
    pumps, jeans, wide = (by_id[wardrobe[LINES[at]]["id"]] for at in (7, 0, 8))
    assert pumps["works"] == 0 and pumps["decision"] == "out_of_keeping"
    assert jeans["decision"] == "wear" and jeans["works"] > 0
    assert all(any(piece["piece_id"] == jeans["piece_id"] for piece in look["pieces"]) for look in jeans["looks"])
    assert wide["decision"] in ("alter", "does_not_fit")
    # Bottoms are gone through first.
    assert told["pieces"][0]["piece_id"] == jeans["piece_id"]
    assert "navy" in told["colours"]["joins"]
    assert {place["slot"]: place["pieces"] for place in told["shape"]["places"]}["shoes"] == 3
    assert [day["name"] for day in told["days"]] == ["relaxed office", "weekend"]


def test_a_reading_stands_until_the_wardrobe_changes(house: House, wardrobe: dict[str, Any]) -> None:
    edit(house, "sorting")
    path = f"/clients/{house.client.id}/edit/sorting"
    assert house.api.ask("POST", path).told["job"]["state"] == "done"
    hang_lines(house, ("camel blazer skimming",))
    told = house.api.ask("POST", path).told
    # It is read anew, and what was read last stands meanwhile.
    assert told["job"]["state"] == "waiting" and len(told["pieces"]) == len(LINES) - 1


def test_what_is_missing_comes_with_numbers_looks_and_a_price(house: House, wardrobe: dict[str, Any]) -> None:
    told = edit(house, "gaps")
    best = next(one for one in told["gains"] if one["key"] == told["lead"][0])
    assert max(best["looks"]) > 0 and best["price"] > 0 and best["a_wear"] > 0
    assert best["shown"] and all(any(p["whose"] == "to_buy" for p in look["pieces"]) for look in best["shown"])
    three = next(one for one in told["together"] if len(one["keys"]) == 3)
    assert three["price"] <= 600 and max(three["looks"]) >= max(best["looks"])
    shoes = [one for one in told["gains"] if one["piece"]["is"] == "pumps"]
    assert not shoes


def test_a_capsule_keeps_its_limits_and_says_what_each_piece_is_for(house: House, wardrobe: dict[str, Any]) -> None:
    must, never = wardrobe[LINES[3]]["id"], wardrobe[LINES[5]]["id"]
    told = edit(house, "capsule", pieces=6, bought=1, must=[must], never=[never])
    ids = {part.get("piece_id") for part in told["parts"]}
    assert must in ids and never not in ids and len(told["parts"]) <= 6
    assert sum(part["whose"] == "to_buy" for part in told["parts"]) <= 1
    assert all(part["day"] in ("", "relaxed office", "weekend") for part in told["parts"])
    assert told["outfits"] >= len(told["looks"]) > 0
    refused = house.api.ask("POST", f"/clients/{house.client.id}/edit/capsule", {"pieces": 2})
    assert refused.status_code == 422


def test_what_the_last_measuring_changed(house: House, wardrobe: dict[str, Any]) -> None:
    path = f"/clients/{house.client.id}/edit/changed"
    house.api.ask("POST", path)
    work()
    assert "only one measuring" in house.api.ask("POST", path).told["job"]["refused"]
    # A year later she is two sizes larger: the trousers press, and fewer outfits work.
    session = MeasuringSession.objects.get(client=house.client)
    MeasuringSession.objects.filter(id=session.id).update(
        started_at=session.started_at - timedelta(days=365), ended_at=session.started_at, ended="finished"
    )
    hang_lines(house, ("grey pencil skirt, waist 76, hip 102",))
    house.take("waist", "84", checked=True)
    house.take("hip", "108", checked=True)
    told = edit(house, "changed")
    assert [one["title"] for one in told["pieces"] if not one["then"] and one["now"]] == ["grey pencil skirt"]
    assert told["now"] < told["then"] and told["now"] <= told["saved"]


def test_a_decision_is_made_told_and_taken_back(house: House, wardrobe: dict[str, Any]) -> None:
    tee = wardrobe["white tee skimming"]["id"]
    path, listed = f"/rack/{tee}/sorted", f"/clients/{house.client.id}/edit/sorted"
    decided = {
        "id": str(uuid.uuid4()),
        "decision": "out_of_keeping",
        "goes": "sell",
        "place": "Fern & Daughter",
        "on": "2026-12-24",
    }
    first = house.api.ask("PUT", path, decided).told
    assert first["by"] == "Ada Stitch" and first["goes"] == "sell"
    # It hangs, and stands in no look any more, until it is said to be gone.
    (piece,) = [
        one for one in house.api.ask("GET", f"/clients/{house.client.id}/rack").told["pieces"] if one["id"] == tee
    ]
    assert piece["facts"]["state"] == "to_let_go"
    told = edit(house, "sorting")
    looks = [look for one in told["pieces"] for look in one["looks"]]
    assert looks and not any(p["piece_id"] == tee for look in looks for p in look["pieces"])
    # Somebody else decides from an older screen: they are told, and nothing is overwritten.
    stale = house.api.ask("PUT", path, {"id": str(uuid.uuid4()), "decision": "wear"})
    assert stale.status_code == 409
    assert house.api.ask("POST", f"/rack/{tee}/gone").told["gone_at"]
    assert all(one["id"] != tee for one in house.api.ask("GET", f"/clients/{house.client.id}/rack").told["pieces"])
    assert house.api.ask("DELETE", f"/rack/{tee}/gone").told["gone_at"] is None
    assert house.api.ask("DELETE", path).status_code == 204
    assert house.api.ask("GET", listed).told["decisions"] == []
    (piece,) = [
        one for one in house.api.ask("GET", f"/clients/{house.client.id}/rack").told["pieces"] if one["id"] == tee
    ]
    assert piece["facts"]["state"] == "in_use"


def test_what_is_away_for_another_reason_stays_away(house: House, wardrobe: dict[str, Any]) -> None:
    tee = wardrobe["white tee skimming"]["id"]
    path, piece = f"/rack/{tee}/sorted", house.api.ask("GET", f"/rack/{tee}").told["piece"]
    house.api.ask("PATCH", f"/rack/{tee}", {"version": piece["version"], "facts": {"state": "at_the_tailor"}})
    mine = {"id": str(uuid.uuid4()), "decision": "wear"}
    house.api.ask("PUT", path, mine)
    house.api.ask("DELETE", path)
    assert house.api.ask("GET", f"/rack/{tee}").told["piece"]["facts"]["state"] == "at_the_tailor"
    # The same decision again, as by redo: it is made, and stands on the list until the piece is taken off.
    house.api.ask("PUT", path, mine)
    listed = f"/clients/{house.client.id}/edit/sorted"
    assert len(house.api.ask("GET", listed).told["decisions"]) == 1
    house.api.ask("DELETE", f"/rack/{tee}")
    assert house.api.ask("GET", listed).told["decisions"] == []


def test_an_edit_goes_along_in_the_client_file(house: House, wardrobe: dict[str, Any]) -> None:
    tee = wardrobe["white tee skimming"]["id"]
    told = {
        "decision": "out_of_keeping",
        "goes": "give",
        "place": "Fern & Daughter",
        "on": "2026-12-24",
        "word": "grey",
    }
    house.api.ask("PUT", f"/rack/{tee}/sorted", {"id": str(uuid.uuid4()), **told})
    belt = {
        "id": str(uuid.uuid4()),
        "piece": {"is": "belt", "colour": "cognac"},
        "price": 40,
        "why": "a point of interest",
    }
    house.api.ask("POST", f"/clients/{house.client.id}/buying", belt)
    text = house.api.ask("GET", f"/clients/{house.client.id}/file").content.decode()
    again = house.api.ask("POST", "/client-files", {"text": text.replace("Pia Reed", "Pia Anew")}).told
    decided = house.api.ask("GET", f"/clients/{again['id']}/edit/sorted").told["decisions"]
    assert [{key: one[key] for key in told} for one in decided] == [told]
    (thing,) = house.api.ask("GET", f"/clients/{again['id']}/buying").told["things"]
    assert (thing["title"], thing["price"], thing["why"]) == ("cognac belt", 40, "a point of interest")


def test_what_is_mended_is_not_gone(house: House, wardrobe: dict[str, Any]) -> None:
    tee = wardrobe["white tee skimming"]["id"]
    house.api.ask("PUT", f"/rack/{tee}/sorted", {"id": str(uuid.uuid4()), "decision": "care", "goes": "mend"})
    assert house.api.ask("POST", f"/rack/{tee}/gone").status_code == 422


def test_the_kit_adopts_and_is_marked_as_brought(house: House, wardrobe: dict[str, Any]) -> None:
    house.client.aims = {"wont": ["heels", "sleeveless"]}
    house.client.save()
    tank = hang_lines(house, ("sage tank fitted",))["sage tank fitted"]["id"]
    kit = {"id": str(uuid.uuid4()), "line": "camel cardigan open"}
    house.api.ask("POST", "/kit", kit)
    told = edit(house, "sorting")
    (proposal,) = [one for one in told["pieces"] if one["piece_id"] == tank]
    assert proposal["decision"] == "partner" and proposal["adoption"]["means"] == "kit"
    house.api.ask("DELETE", f"/kit/{kit['id']}")
    assert house.api.ask("GET", "/kit").told["pieces"] == []
    assert house.api.ask("POST", f"/kit/{kit['id']}/restore").told["title"] == "camel cardigan"


def test_the_buying_list_and_the_verdict(house: House, wardrobe: dict[str, Any]) -> None:
    path = f"/clients/{house.client.id}/buying"
    belt = {"id": str(uuid.uuid4()), "piece": {"is": "belt", "colour": "cognac"}, "price": 40, "looks": 12}
    first = house.api.ask("POST", path, belt).told
    assert house.api.ask("POST", path, belt).told["version"] == first["version"]
    bought = house.api.ask("PATCH", f"/buying/{belt['id']}", {"version": first["version"], "bought": True}).told
    assert bought["bought"] and bought["price"] == 40
    assert house.api.ask("PATCH", f"/buying/{belt['id']}", {"version": 1, "when": "never"}).status_code == 409
    house.api.ask("DELETE", f"/buying/{belt['id']}")
    assert house.api.ask("GET", path).told["things"] == []
    assert house.api.ask("POST", f"/buying/{belt['id']}/restore").told["bought"]
    small = house.api.ask("POST", f"{path}/verdict", {"piece": {"is": "shirt", "chest_cm": 80}}).told
    assert small["verdict"] == "leave" and small["reasons"]
    good = house.api.ask("POST", f"{path}/verdict", {"piece": {"is": "shirt", "colour": "light_blue"}}).told
    assert good["verdict"] == "buy" and max(good["looks"]) > 3
