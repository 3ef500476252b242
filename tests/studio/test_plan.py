"""Plans against PostgreSQL: a week dressed, a day changed and the rest giving way, a trip packed, what was worn."""

from __future__ import annotations

import uuid
from datetime import date, timedelta
from io import BytesIO
from typing import Any
from unittest.mock import patch

import pytest

from studio.bodies.known import today
from studio.plan.models import Worn
from tests.studio.conftest import House
from tests.studio.test_edit import hang_lines
from tests.studio.test_links import Visitor, link, reads
from tests.studio.test_outfits import work

LINES = (
    "dark denim straight jeans high rise, ankle", "navy straight trousers high rise, ankle", "black straight trousers high rise",
    "white tee skimming", "grey tee skimming", "coral blouse v neck", "cream blouse", "navy knit skimming", "white shirt",
    "white trainers", "tan flats almond", "brown loafers", "navy blazer", "grey cardigan", "tan belt", "gold necklace",
)  # fmt: skip


@pytest.fixture
def planned(house: House) -> House:
    """A client with a week and a rack."""
    for measure, cm in (("stature", "166"), ("waist", "74"), ("hip", "99"), ("bust", "94")):
        house.take(measure, cm)
    house.client.brief = {"week": [{"occasion": "relaxed_office", "share": 70}, {"occasion": "weekend", "share": 30}]}
    house.client.save()
    hang_lines(house, LINES)
    return house


def begin(house: House, kind: str = "week", days: int = 5, **asks: Any) -> Any:
    """A plan of so many days, from what is proposed."""
    first = today() + timedelta(1)
    path = f"/clients/{house.client.id}/plans"
    occasions = house.api.ask("POST", f"{path}/proposed", {"first": first.isoformat(), "days": days}).told["occasions"]
    given = {"id": str(uuid.uuid4()), "kind": kind, "name": "Next days", "occasions": occasions, "asks": asks}
    made = house.api.ask("POST", path, given)
    assert made.status_code == 201, made.told
    return made.told


def dressed(house: House, plan: Any) -> Any:
    """A plan, when a worker has dressed it."""
    told = house.api.ask("POST", f"/plans/{plan['id']}/dress").told
    if told["job"]["state"] == "waiting":
        work()
    (plan,) = [
        one
        for one in house.api.ask("GET", f"/clients/{house.client.id}/plans").told["plans"]
        if one["id"] == plan["id"]
    ]
    return plan


def wears(plan: Any) -> dict[str, frozenset[str]]:
    return {
        day["key"]: frozenset(piece["title"] for piece in day["look"]["pieces"])
        for day in plan["days"]
        if "look" in day
    }


def test_a_week_is_dressed_and_a_day_changed_and_undone(planned: House) -> None:
    plan = begin(planned)
    assert len(plan["occasions"]) == 5 and plan["days"][0]["kept"] is False
    week = dressed(planned, plan)
    assert len(wears(week)) == 5 and week["broken"] == [] and week["version"] == 2 and week["weighed"] > 0
    # Nobody asked for anything else: it stands as it is.
    assert planned.api.ask("POST", f"/plans/{plan['id']}/dress").told["job"]["state"] in ("waiting", "done")
    work()
    key = week["days"][1]["key"]
    week = dressed(planned, plan)
    taken = week["days"][1]["others"][0]
    ask = {"version": week["version"], "key": key, "doing": "other", "other": 0}
    changed = planned.api.ask("PATCH", f"/plans/{plan['id']}/day", ask)
    assert changed.status_code == 200 and changed.told["days"][1]["kept"] is True
    stale = planned.api.ask("PATCH", f"/plans/{plan['id']}/day", ask)
    assert stale.status_code == 409 and stale.told["current"]["version"] == changed.told["version"]
    again = dressed(planned, plan)
    assert wears(again)[key] == frozenset(piece["title"] for piece in taken["pieces"])
    gave_way = [one for one in wears(week) if one != key and wears(again)[one] != wears(week)[one]]
    assert len(gave_way) <= 2
    back = planned.api.ask("POST", f"/plans/{plan['id']}/undo", {"version": again["version"]}).told
    assert wears(back) == wears(week)


def test_a_piece_stays_off_a_day(planned: House) -> None:
    plan = dressed(planned, begin(planned, days=3))
    day = plan["days"][0]
    piece = day["look"]["pieces"][0]
    given = {"version": plan["version"], "key": day["key"], "doing": "without", "piece": piece["piece_id"]}
    told = planned.api.ask("PATCH", f"/plans/{plan['id']}/day", given).told
    assert told["days"][0]["without"] == [piece["title"]]
    assert piece["title"] not in wears(dressed(planned, plan))[day["key"]]
    nothing = {**given, "version": told["version"] + 1, "piece": str(uuid.uuid4())}
    assert planned.api.ask("PATCH", f"/plans/{plan['id']}/day", nothing).status_code == 422


def test_a_trip_is_packed_ticked_and_printed(planned: House) -> None:
    plan = dressed(planned, begin(planned, "trip", 4, kilos=9, shoes=1, wash=[]))
    assert plan["fewest"] is True and not [day for day in plan["days"] if "look" not in day]
    taken = {one["title"] for one in plan["taken"]}
    assert taken == set().union(*wears(plan).values())
    assert sum(one["on_the_way"] for one in plan["taken"]) >= 3 and plan["grams"] <= 9000
    shoes = {"white trainers", "tan flats almond", "brown loafers"}
    assert len([one for one in taken if any(one in name or name.startswith(one) for name in shoes)]) <= 1
    first = plan["taken"][0]["piece_id"]
    told = planned.api.ask("POST", f"/plans/{plan['id']}/tick", {"piece": first, "on": True}).told
    assert [one["piece_id"] for one in told["taken"] if one["ticked"]] == [first]
    paper = planned.api.ask("GET", f"/plans/{plan['id']}/plan.pdf").content
    assert paper.startswith(b"%PDF-")
    assert planned.api.ask("DELETE", f"/plans/{plan['id']}").status_code == 204
    assert planned.api.ask("POST", f"/plans/{plan['id']}/restore").told["id"] == plan["id"]


def test_a_plan_that_cannot_be_is_refused(planned: House) -> None:
    plan = begin(planned)
    days = plan["occasions"]
    twice = {"name": "Twice", "occasions": [days[0], days[0]], "version": 1}
    assert planned.api.ask("PUT", f"/plans/{plan['id']}", twice).status_code == 422
    far = {"name": "Far", "occasions": [days[0], {**days[1], "on": "2190-01-01"}], "version": 1}
    assert planned.api.ask("PUT", f"/plans/{plan['id']}", far).status_code == 422
    assert planned.api.ask("POST", f"/plans/{plan['id']}/undo", {"version": 1}).status_code == 422
    good = {"name": "Shorter", "occasions": days[:2], "version": 1}
    assert planned.api.ask("PUT", f"/plans/{plan['id']}", good).told["name"] == "Shorter"


def test_the_forecast_is_taken_and_what_was_typed_stays(planned: House, settings: Any) -> None:
    plan = begin(planned, days=3)
    path = f"/plans/{plan['id']}"
    none = planned.api.ask("POST", f"{path}/air", {"version": 1})
    assert none.status_code == 503 and "No forecast" in none.told["message"]
    typed = [{**one, **({"celsius": 4} if number == 1 else {})} for number, one in enumerate(plan["occasions"])]
    planned.api.ask("PUT", path, {"name": "Cold", "place": "Hollin", "occasions": typed, "version": 1})
    settings.WEATHER = "http://127.0.0.1:9"
    days = [{"date": one["on"], "low": 10, "high": 20, "rain": 4.0} for one in plan["occasions"][:2]]
    answer = f'{{"days": {days}}}'.replace("'", '"').encode()
    with patch("urllib.request.urlopen", return_value=BytesIO(answer)):
        told = planned.api.ask("POST", f"{path}/air", {"version": 2}).told["occasions"]
    # An office is heated, a weekend is spent outside; the way there is in the air of the day.
    assert [one.get("outside") for one in told] == [18.0, None, None]
    indoors = told[0]["occasion"] == "relaxed_office"
    assert [one.get("celsius") for one in told] == [21.0 if indoors else 18.0, 4.0, None]
    assert [one["rain"] for one in told] == [True, False, False]
    with patch("urllib.request.urlopen", return_value=BytesIO(b"<html>")):
        assert planned.api.ask("POST", f"{path}/air", {"version": 3}).status_code == 503


def test_what_was_worn_is_counted_and_taken_back(planned: House) -> None:
    rack = planned.api.ask("GET", f"/clients/{planned.client.id}/rack").told
    pieces = [one["id"] for one in (rack["pieces"] if isinstance(rack, dict) else rack)][:2]
    path = f"/clients/{planned.client.id}/worn"
    given = {"id": str(uuid.uuid4()), "on": today().isoformat(), "pieces": pieces, "title": "Market"}
    made = planned.api.ask("POST", path, given)
    assert made.status_code == 201 and made.told["title"] == "Market"
    assert planned.api.ask("POST", path, given).told["id"] == made.told["id"]
    told = planned.api.ask("GET", path).told
    assert {one["piece_id"]: one["days"] for one in told["uses"] if one["days"]} == dict.fromkeys(pieces, 1)
    assert told["begun"] == today().isoformat() and told["unworn"] == []
    assert planned.api.ask("DELETE", f"/worn/{made.told['id']}").status_code == 204
    assert planned.api.ask("GET", path).told["begun"] is None
    planned.api.ask("POST", f"/worn/{made.told['id']}/restore")
    future = {**given, "id": str(uuid.uuid4()), "on": date(2190, 1, 1).isoformat()}
    assert planned.api.ask("POST", path, future).status_code == 422
    assert (
        planned.api.ask("POST", path, {**given, "id": str(uuid.uuid4()), "pieces": [str(uuid.uuid4())]}).status_code
        == 422
    )


def test_what_the_client_says_she_wore_is_worn(planned: House) -> None:
    rack = planned.api.ask("GET", f"/clients/{planned.client.id}/rack").told
    first = (rack["pieces"] if isinstance(rack, dict) else rack)[0]["id"]
    look = planned.keep("Day", [{"is": "jeans"}], from_rack={"bottom": first}).told
    card = planned.api.ask(
        "POST", f"/clients/{planned.client.id}/cards", {"id": str(uuid.uuid4()), "look_id": look["id"]}
    ).told
    plan = dressed(planned, begin(planned, days=2))
    _, page = link(planned, cards=[card["id"]], plan_id=plan["id"])
    visitor = Visitor()
    shown = reads(visitor.get(page))
    assert "Your days" in shown and all(title in shown for title in wears(plan)[plan["days"][0]["key"]])
    visitor.post(f"{page}say", says="wore", about=card["id"])
    assert Worn.objects.get().pieces == [first] and Worn.objects.get().by_client
    visitor.post(f"{page}say", says="wore", about=card["id"])
    assert not Worn.objects.exists()
