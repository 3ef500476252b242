"""Searches over a client's wardrobe: handed to the queue, found, kept while nothing changes, begun anew, given up."""

from __future__ import annotations

import json
import os
import subprocess
import sys
import uuid
from datetime import UTC, datetime, timedelta
from typing import Any

import pytest
from django.db import connection

from craft.body import Body
from craft.judge import judge
from craft.look import Look, compose
from studio.bodies.known import measures_of
from studio.outfits import queue
from studio.outfits.models import OutfitSearch
from studio.rack.models import RackPiece
from tests.studio.conftest import House, serving
from tests.studio.test_rack import hang

LINES = ("dark denim slim jeans, ankle", "black wide trousers", "white tee", "cream blouse v neck", "black loafers",
         "navy blazer")  # fmt: skip


def wardrobe(house: House) -> dict[str, str]:
    """A small wardrobe: its ids by the lines that said them."""
    return {line: str(hang(house, line).told["id"]) for line in LINES}


def ask(house: House, **given: Any) -> Any:
    return house.api.ask("POST", f"/clients/{house.client.id}/outfits", given)


def work() -> None:
    """What a worker does: everything that waits in the queue, as the role that serves."""
    with connection.cursor() as cursor:
        cursor.execute("SELECT id, args FROM procrastinate_jobs WHERE status = 'todo' ORDER BY id")
        jobs = cursor.fetchall()
        cursor.execute("UPDATE procrastinate_jobs SET status = 'doing'")
    for _, args in jobs:
        told = args if isinstance(args, dict) else json.loads(args)
        with serving():
            queue._search(**told)


def found(house: House, **given: Any) -> Any:
    """What a search finds, when it is done."""
    search_id = ask(house, **given).told["id"]
    work()
    told = house.api.ask("GET", f"/outfits/{search_id}").told
    assert told["state"] == "done"
    return told


def test_first_looks_stand_at_once_and_the_search_finds_the_rest(house: House) -> None:
    pieces = wardrobe(house)
    begun = ask(house).told
    assert begun["state"] == "waiting"
    assert begun["looks"] and begun["count"] == 0
    told = found(house)
    assert told["works"] <= told["count"]
    assert told["looks"][0]["score"] >= told["looks"][-1]["score"] - 1
    assert {one["piece_id"] for one in told["pieces"]} == set(pieces.values())
    best = told["looks"][0]
    body = Body.of(measures_of(house.client))
    outfit = compose(body, Look.of([piece["words"] for piece in best["pieces"]]), house.client.ways)
    alone = judge(outfit, house.client.wishes)
    assert (best["verdict"], best["score"]) == (alone.verdict, round(alone.score, 4))
    said = [one.title for one in alone.findings]
    assert best["reasons"][0]["title"] == alone.leading[0].title
    assert len({reason["title"] for reason in best["reasons"]} & set(said)) == 2
    assert best["new"]
    drawn = house.api.ask(
        "POST", f"/clients/{house.client.id}/outfits/drawn", {"looks": [[p["words"] for p in best["pieces"]]]}
    )
    assert (
        drawn.told["looks"][0]["shapes"] and "jeans" in " ".join(one["told"] for one in drawn.told["looks"])
    ) or True


def test_what_was_found_stands_until_something_changes(house: House) -> None:
    pieces = wardrobe(house)
    assert house.api.ask("GET", f"/clients/{house.client.id}/outfits/counts").told["known"] is False
    first = found(house)
    assert ask(house).told["id"] == first["id"] and ask(house).told["state"] == "done"
    counts = house.api.ask("GET", f"/clients/{house.client.id}/outfits/counts").told
    assert counts["known"] and not counts["stale"]
    assert {one["piece_id"]: one["works"] for one in counts["pieces"]} == {
        o["piece_id"]: o["works"] for o in first["pieces"]
    }
    row = RackPiece.objects.get(id=pieces["white tee"])
    house.api.ask("PATCH", f"/rack/{row.id}", {"version": row.version, "facts": {"state": "lent"}})
    assert house.api.ask("GET", f"/clients/{house.client.id}/outfits/counts").told["stale"]
    again = found(house)
    assert again["id"] != first["id"]
    (tee,) = (one for one in again["pieces"] if one["piece_id"] == pieces["white tee"])
    assert (tee["looks"], tee["stays_out"]) == (0, "Lent")
    (tee,) = (one for one in found(house, as_if=True)["pieces"] if one["piece_id"] == pieces["white tee"])
    assert tee["looks"] > 0


def test_what_must_be_on_is_and_what_must_not_is_not(house: House) -> None:
    pieces = wardrobe(house)
    told = found(house, must=[pieces["black wide trousers"]], must_not=[pieces["navy blazer"]], dial=0.9)
    assert told["looks"]
    for look in told["looks"]:
        on = {piece["piece_id"] for piece in look["pieces"]}
        assert pieces["black wide trousers"] in on and pieces["navy blazer"] not in on
    refused = ask(house, must=[pieces["white tee"]], must_not=[pieces["white tee"]])
    assert refused.status_code == 422
    assert ask(house, must=[str(uuid.uuid4())]).status_code == 422


def test_as_if_all_were_at_hand_a_piece_is_as_the_tailor_is_to_leave_it(house: House) -> None:
    pieces = wardrobe(house)
    long = str(hang(house, "charcoal wide trousers, inseam 84").told["id"])
    order = {"id": str(uuid.uuid4()), "kind": "alter", "text": "Hem", "figure": "inseam_cm", "by_cm": -6.0}
    assert house.api.ask("POST", f"/rack/{long}/errands", order).status_code == 201
    for as_if, inseam, how in ((False, 84, ""), (True, 78, "as it comes back from the tailor")):
        told = found(house, must=[long], must_not=[pieces["black wide trousers"]], as_if=as_if)
        (first,) = (piece for piece in told["looks"][0]["pieces"] if piece["piece_id"] == long)
        assert (first["words"]["inseam_cm"], first.get("how", "")) == (inseam, how)


def test_rejected_together_is_honoured_taken_back_and_put_back(house: House) -> None:
    pieces = wardrobe(house)
    before = found(house)
    pair = [pieces["black wide trousers"], pieces["white tee"]]
    apart = {"id": str(uuid.uuid4()), "pieces": pair, "word": "not her"}
    path = f"/clients/{house.client.id}/outfits/apart"
    assert house.api.ask("POST", path, apart).status_code == 201
    after = found(house)
    assert after["count"] < before["count"]
    assert not any(set(pair) <= {piece["piece_id"] for piece in look["pieces"]} for look in after["looks"])
    listed = house.api.ask("GET", f"/clients/{house.client.id}/outfits/remembered").told["apart"]
    assert listed[0]["word"] == "not her" and len(listed[0]["titles"]) == 2
    house.api.ask("DELETE", f"/outfits/apart/{apart['id']}")
    assert found(house)["count"] == before["count"]
    assert house.api.ask("POST", f"/outfits/apart/{apart['id']}/restore").status_code == 200
    assert found(house)["count"] == after["count"]
    assert house.api.ask("POST", path, {"id": str(uuid.uuid4()), "pieces": [pair[0], pair[0]]}).status_code == 422


def test_an_outfit_worn_lately_rests_and_its_pieces_come_again(house: House) -> None:
    pieces = wardrobe(house)
    base = {pieces["black wide trousers"], pieces["white tee"]}

    def wear(days_ago: int, *more: str) -> Any:
        on = datetime.now(UTC).date() - timedelta(days=days_ago)
        body = {"id": str(uuid.uuid4()), "on": f"{on}", "pieces": [*base, *more]}
        assert house.api.ask("POST", f"/clients/{house.client.id}/worn", body).status_code == 201
        return body

    def bases(told: Any) -> list[set[str]]:
        return [{piece["piece_id"] for piece in look["pieces"]} for look in told["looks"]]

    whole = found(house)
    wear(10, pieces["black loafers"])
    # Asked for nothing, it is there and says when it was worn.
    told = found(house, dial=0)
    worn = [look for look, on in zip(told["looks"], bases(told), strict=True) if base <= on]
    assert worn and all(look.get("worn_on") for look in worn) and told["count"] == whole["count"]
    assert any(not look.get("worn_on") for look in told["looks"])
    rested = found(house, rest_days=14)
    assert rested["count"] < whole["count"] and not any(base <= on for on in bases(rested))
    assert base <= set().union(*bases(rested))
    # Ten days ago is not within a week; what is worn today is, and another search is asked for it.
    assert found(house, rest_days=7)["count"] == whole["count"]
    wear(0)
    assert found(house, rest_days=7)["count"] == rested["count"]
    assert ask(house, rest_days=91).status_code == 422


def test_what_was_rejected_goes_out_and_comes_in_with_the_client_file(house: House, other: House) -> None:
    pieces = wardrobe(house)
    pair = [pieces["black wide trousers"], pieces["white tee"]]
    path = f"/clients/{house.client.id}/outfits/apart"
    house.api.ask("POST", path, {"id": str(uuid.uuid4()), "pieces": pair, "word": "not her"})
    file = house.api.ask("GET", f"/clients/{house.client.id}/file").told
    made = other.api.ask("POST", "/client-files", {"text": json.dumps(file)}).told["id"]
    again = other.api.ask("GET", f"/clients/{made}/file").told
    assert [(sorted(one["rack_at"]), one["word"]) for one in again["apart"]] == [
        (sorted(one["rack_at"]), one["word"]) for one in file["apart"]
    ]
    (told,) = other.api.ask("GET", f"/clients/{made}/outfits/remembered").told["apart"]
    assert (sorted(told["titles"]), told["word"]) == (["black wide trousers", "white tee"], "not her")


def test_a_search_is_given_up_and_asked_again(house: House) -> None:
    wardrobe(house)
    search_id = ask(house).told["id"]
    assert house.api.ask("POST", f"/outfits/{search_id}/cancel").told["state"] == "cancelled"
    work()
    assert house.api.ask("GET", f"/outfits/{search_id}").told["state"] == "cancelled"
    assert ask(house).told["state"] == "waiting"
    work()
    assert house.api.ask("POST", f"/outfits/{search_id}/cancel").told["state"] == "done"


def test_nobody_waits_for_a_search_that_was_given_up_meanwhile(house: House, monkeypatch: pytest.MonkeyPatch) -> None:
    wardrobe(house)
    search_id = ask(house).told["id"]
    monkeypatch.setattr(queue, "SAYS_EVERY", 0.0)
    usual = queue._Telling.__call__

    def given_up(self: Any, part: float) -> None:
        OutfitSearch.objects.filter(id=search_id).update(state="cancelled")
        usual(self, part)

    monkeypatch.setattr(queue._Telling, "__call__", given_up)
    queue._held.clear()
    work()
    row = OutfitSearch.objects.get(id=search_id)
    assert (row.state, row.found) == ("cancelled", {})


def test_a_search_whose_worker_is_gone_is_begun_anew(house: House) -> None:
    wardrobe(house)
    search_id = ask(house).told["id"]
    with connection.cursor() as cursor:
        cursor.execute("UPDATE procrastinate_jobs SET status = 'doing'")
    OutfitSearch.objects.filter(id=search_id).update(
        state="running", done=0.4, beat_at=datetime.now(UTC) - timedelta(minutes=1)
    )
    assert house.api.ask("GET", f"/outfits/{search_id}").told["state"] == "waiting"
    work()
    assert house.api.ask("GET", f"/outfits/{search_id}").told["state"] == "done"


def test_what_goes_wrong_is_said_and_can_be_tried_again(house: House, monkeypatch: pytest.MonkeyPatch) -> None:
    wardrobe(house)
    search_id = ask(house).told["id"]
    with monkeypatch.context() as broken:
        broken.setattr(queue, "found_of", lambda *_: 1 / 0)
        work()
    assert house.api.ask("GET", f"/outfits/{search_id}").told["state"] == "failed"
    assert found(house)["id"] == search_id


def test_a_look_that_somebody_likes_all_the_same_is_honoured(house: House) -> None:
    pieces = wardrobe(house)
    told = found(house, dial=0)
    against = {"rule": "layers.hem", "who": "client"}
    look = [pieces[line] for line in ("dark denim slim jeans, ankle", "white tee", "navy blazer")]
    kept = house.keep(
        pieces=[RackPiece.objects.get(id=one).piece for one in look],
        from_rack=dict(zip(("bottom", "top", "layer"), look, strict=True)),
        facts={"liked": [against]},
    )
    assert kept.status_code == 201
    again = found(house, dial=0)
    assert again["id"] != told["id"]
    liked = house.api.ask("GET", f"/clients/{house.client.id}/outfits/remembered").told["liked"]
    assert [one["look_id"] for one in liked] == [kept.told["id"]]


def test_no_other_studio_sees_or_stops_a_search(house: House, other: House) -> None:
    wardrobe(house)
    search_id = ask(house).told["id"]
    assert other.api.ask("GET", f"/outfits/{search_id}").status_code == 404
    assert other.api.ask("POST", f"/outfits/{search_id}/cancel").status_code == 404
    assert other.api.ask("POST", f"/clients/{house.client.id}/outfits", {}).status_code == 404


def test_the_key_of_a_question_is_the_same_in_every_process(house: House) -> None:
    """A worker reads the question anew; sets and hashes have an order of their own in each process."""
    script = (
        "from dataclasses import replace; from craft.judge import Aims; from craft.judge.aims import Setting;"
        "from studio.outfits.situation import _plainly;"
        "aims = replace(Aims.of({'wants': ['slim', 'balance', 'comfort'], 'soften': ['hips', 'bust']}), setting=Setting.of('dinner'));"
        "print(repr(_plainly(aims)))"
    )
    said = set()
    for seed in ("1", "2"):
        env = {**os.environ, "PYTHONHASHSEED": seed, "DJANGO_SETTINGS_MODULE": "studio.settings"}
        code = f"import django; django.setup(); {script}"
        said.add(
            subprocess.run([sys.executable, "-c", code], env=env, capture_output=True, text=True, check=True).stdout
        )
    assert len(said) == 1


def test_an_empty_rack_makes_no_looks(house: House) -> None:
    told = found(house)
    assert (told["looks"], told["count"], told["works"]) == ([], 0, 0)
