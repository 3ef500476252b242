"""What is asked of looks over the wire: held up, ranked, unsettled, seen from the side; the same as the engine says, and only
of what is the house's own."""

from __future__ import annotations

import json
from typing import Any

import pytest

from craft.advise.mends import mends_for
from craft.advise.rail import place_of
from craft.cloth import Piece
from craft.cloth.kinds import KINDS
from craft.judge import judge
from studio.schemas import PieceWords, words_of
from tests.craft.looks import judged_looks
from tests.studio.conftest import House
from tests.studio.test_rack import hang_piece

CLOSE = [{"is": "jeans", "cut": "skinny"}, {"is": "tee", "fit": "tight"}, {"is": "flats"}]
GOOD = [
    {"is": "trousers", "cut": "wide", "hem": "foot"},
    {"is": "tee", "tuck": "full"},
    {"is": "pumps", "toe": "pointed"},
]
LOOSE = [{"is": "trousers", "cut": "wide", "hem": "foot"}, {"is": "knit", "fit": "oversized", "hem": "seat"}]


def asked(house: House, what: str, pieces: list[dict[str, Any]], **more: Any) -> Any:
    answer = house.api.ask("POST", f"/clients/{house.client.id}/{what}", {"pieces": pieces, **more})
    assert answer.status_code == 200, answer.told
    return answer.told


def held_up(house: House, *looks: list[dict[str, Any]], **more: Any) -> Any:
    body = {"looks": [{"pieces": pieces, **more} for pieces in looks]}
    return house.api.ask("POST", f"/clients/{house.client.id}/compare", body)


def test_looks_held_up_are_judged_as_each_alone_with_what_differs_and_why(house: House) -> None:
    told = held_up(house, CLOSE, GOOD, LOOSE).told
    alone = [asked(house, "assess", pieces) for pieces in (CLOSE, GOOD, LOOSE)]
    assert [(one["verdict"], one["score"]) for one in told["looks"]] == [
        (one["verdict"], one["score"]) for one in alone
    ]
    assert told["best"] == 1 and 1 <= len(told["because"]) <= 3
    assert told["looks"][0]["differs"] == [] and set(told["looks"][2]["differs"]) == {"bottom", "shoes", "top"}
    assert all(one["shapes"] and one["height"] > 150 for one in told["looks"])


@pytest.mark.parametrize("count", [1, 5])
def test_two_to_four_are_held_up(house: House, count: int) -> None:
    refused = held_up(house, *[CLOSE] * count)
    assert refused.status_code == 422 and refused.told["message"]


def test_a_setting_is_heard_for_every_look_that_is_held_up(house: House) -> None:
    plain, dinner = (held_up(house, CLOSE, GOOD, **more).told for more in ({}, {"setting": {"occasion": "dinner"}}))
    assert [one["score"] for one in plain["looks"]] != [one["score"] for one in dinner["looks"]]


def test_the_rail_ranks_the_rack_beside_what_is_on_and_leaves_out_what_is_to_go(house: House) -> None:
    slim = hang_piece(house, {"is": "jeans", "cut": "slim", "hem": "ankle"})
    wide = hang_piece(house, {"is": "jeans", "cut": "wide", "hem": "foot"})
    gone = hang_piece(house, {"is": "shorts"})
    change = {"version": gone["version"], "facts": {**gone["facts"], "state": "to_let_go"}}
    assert house.api.ask("PATCH", f"/rack/{gone['id']}", change).status_code == 200
    goes = asked(house, "rail", [{"is": "knit", "fit": "oversized", "hem": "seat"}])["goes"]
    assert [one["piece_id"] for one in goes] == [slim["id"], wide["id"]]
    assert goes[0]["score"] > goes[1]["score"] and goes[1]["verdict"] == "against" and goes[1]["why"]


def test_an_unsettled_measure_is_named_and_goes_when_it_is_taken(house: House) -> None:
    house.read("stature", "168")
    look = [{"is": "jeans", "cut": "wide", "inseam_cm": 78}, {"is": "tee", "tuck": "full"}, {"is": "loafers"}]
    unsettled = asked(house, "unsettled", look)["unsettled"]
    assert "crotch_height" in {one["measure"] for one in unsettled}
    assert all(one["low"] != one["high"] and one["label"].lower() in one["text"].lower() for one in unsettled)
    house.read("crotch_height", "79.5")
    assert "crotch_height" not in {one["measure"] for one in asked(house, "unsettled", look)["unsettled"]}
    assert asked(house, "unsettled", []) == {"unsettled": []}


def test_the_side_is_drawn_of_what_is_on_and_of_the_body_alone(house: House) -> None:
    bare, dressed = (asked(house, "profile", pieces)["shapes"] for pieces in ([], GOOD))
    assert {shape["slot"] for shape in bare} == {"body", "arm"} and {"top", "bottom", "shoes"} <= {
        s["slot"] for s in dressed
    }


@pytest.mark.parametrize("kind", [kind for kinds in KINDS.values() for kind in kinds])
def test_every_kind_is_assessed_over_the_wire(house: House, kind: str) -> None:
    told = asked(house, "assess", [{"is": kind}])
    assert told["verdict"] and any(shape["slot"] not in ("body",) for shape in told["shapes"])
    assert "Infinity" not in str(told) and "NaN" not in str(told)


@pytest.mark.parametrize(
    ("pieces", "field", "says"),
    [
        ([{"is": "toga"}], "pieces.0.is", "jumpsuit"),
        ([{"is": "jeans"}, {"is": "tee", "fit": "wobbly"}], "pieces.1.fit", "relaxed"),
        ([{"is": "jeans", "inseam_cm": -4}], "pieces.0.inseam_cm", ""),
        ([{"is": "jeans", "sleeves": 3}], "pieces.0.sleeves", ""),
        ([{"is": "jeans"}] * 13, "pieces", "12"),
    ],
)
def test_a_word_that_is_not_known_is_refused_where_it_stands(house: House, pieces: Any, field: str, says: str) -> None:
    for what in ("assess", "remedies", "rail"):
        answer = house.api.ask("POST", f"/clients/{house.client.id}/{what}", {"pieces": pieces})
        assert answer.status_code == 422, what
        assert answer.told["field"].endswith(field.split(".")[-1]) and says in answer.told["message"]


def test_an_answer_says_lengths_as_the_studio_does(house: House) -> None:
    look = [{"is": "jeans", "inseam_cm": 84, "hem": None}, {"is": "tee", "tuck": "full"}, {"is": "flats"}]
    in_cm = asked(house, "assess", look)
    house.api.ask("PATCH", "/studio/desk", {"version": 1, "unit": "in"})
    in_inches = asked(house, "assess", look)
    assert [f["rule"] for f in in_cm["findings"]] == [f["rule"] for f in in_inches["findings"]]
    assert in_cm["edges"] == in_inches["edges"]
    long = [next(f["text"] for f in told["findings"] if f["rule"] == "length.bunching") for told in (in_cm, in_inches)]
    assert " cm" in long[0] and " in" in long[1] and " cm" not in long[1]


def test_every_mend_can_be_put_on_as_it_is_sent() -> None:
    """What a mend changes, as JSON, makes words that the interface takes and the craft reads."""
    for _, outfit, aims in judged_looks()[::2]:
        for mend in mends_for(outfit, judge(outfit, aims), aims).values():
            worn = {place_of(piece): piece.described() for piece in outfit.look.pieces}
            change = json.loads(json.dumps(dict(mend.change)))
            words = {key: word for key, word in {**worn[mend.slot], **change}.items() if word is not None}
            Piece.of(words_of(PieceWords.model_validate(words)))
