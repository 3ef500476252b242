"""Size charts: previewed, kept, replaced, out and in again the same, and ranked for a client."""

from __future__ import annotations

from typing import Any

import pytest

from stands.shop.feed import size_charts_csv
from studio.shopping import feed
from tests.studio.conftest import House
from tests.studio.test_rack import hang

TABLE = """maker,product,piece,cut,of,size,hip (cm),waist (cm),inseam (in)
Fenn,Lark,jeans,straight,,10,92,78,30
Fenn,Lark,jeans,straight,,12,96,82,30
Fenn,Lark,jeans,slim,,14,100,86,30
Fenn,Lark,jeans,straight,,10,1,1,1
Alder,,toga,,,M,1,1,1
Alder,Plain,skirt,,body,M,100,76,
Alder,Plain,skirt,,body,L,110,86,
Alder,Plain,skirt,,moon,XL,120,96,
Alder,Plain,skirt,,body,,,,
"""


def keep(house: House, text: str = TABLE) -> None:
    assert house.api.ask("POST", "/charts/table", {"text": text}).told["added"] > 0


def test_a_table_is_previewed_row_by_row_and_kept(house: House) -> None:
    told = house.api.ask("POST", "/charts/table/preview", {"text": TABLE}).told
    assert [(row["maker"], row["product"], len(row["sizes"])) for row in told["rows"]] == [
        ("Fenn", "Lark", 2),
        ("Alder", "Plain", 2),
    ]
    reasons = {row["line"]: row["reason"] for row in told["refused"]}
    assert "another piece" in reasons[4] and "already" in reasons[5] and "toga" in reasons[6]
    assert "body" in reasons[9] and "missing" in reasons[10]
    assert house.api.ask("GET", "/charts").told["charts"] == []
    keep(house)
    (again, _) = house.api.ask("POST", "/charts/table/preview", {"text": TABLE}).told["rows"]
    assert again["replaces"] is True
    for bad in ("size,hip\n1,2", "maker,size\nFenn,10", ""):
        assert house.api.ask("POST", "/charts/table", {"text": bad}).status_code == 422


@pytest.mark.parametrize("unit", ["cm", "in"])
def test_charts_go_out_and_come_in_again_the_same(unit: str, house: House, other: House) -> None:
    keep(house)
    keep(house, size_charts_csv())
    out = house.api.ask("GET", f"/charts/table?unit={unit}").content.decode()
    keep(other, out)
    mine, theirs = (one.api.ask("GET", "/charts").told["charts"] for one in (house, other))
    assert [{**chart, "id": None} for chart in mine] == [{**chart, "id": None} for chart in theirs]
    assert len(mine) == 16


def test_the_best_size_of_each_chart_is_named_and_body_charts_get_ease(house: House) -> None:
    for measure, typed in {"stature": "165", "waist": "77", "hip": "101"}.items():
        house.read(measure, typed)
    keep(house)
    offers = {one["name"]: one for one in house.api.ask("GET", f"/clients/{house.client.id}/charts").told["offers"]}
    assert offers["Plain"]["size"] == "M" and offers["Plain"]["placed"]["piece"]["hip_cm"] == 106.2


def test_a_label_is_held_against_the_piece_itself(house: House) -> None:
    keep(house)
    piece = hang(house, "navy straight jeans, waist 81, hip 96.4, inseam 30in").told
    facts = {"maker": "Fenn", "label_size": "10"}
    house.api.ask("PATCH", f"/rack/{piece['id']}", {"version": 1, "facts": facts})
    told = house.api.ask("GET", f"/rack/{piece['id']}").told["off_label"]
    assert [(one["label"], one["chart"], one["piece"]) for one in told] == [("hip", 92.0, 96.4), ("waist", 78.0, 81.0)]


def test_a_chart_is_taken_away_and_brought_back_and_a_newer_one_stays(house: House) -> None:
    keep(house)
    chart = house.api.ask("GET", "/charts").told["charts"][-1]
    house.api.ask("DELETE", f"/charts/{chart['id']}")
    assert len(house.api.ask("GET", "/charts").told["charts"]) == 1
    keep(house)
    newer = house.api.ask("GET", "/charts").told["charts"][-1]
    told = house.api.ask("POST", f"/charts/{chart['id']}/restore").told
    assert told["id"] == newer["id"] != chart["id"] and len(house.api.ask("GET", "/charts").told["charts"]) == 2


def test_the_shops_charts_are_read_where_a_shop_answers(
    house: House, settings: Any, monkeypatch: pytest.MonkeyPatch
) -> None:
    settings.SHOP = ""
    assert house.api.ask("GET", "/charts/shop").status_code == 503
    monkeypatch.setattr(feed, "charts_table", size_charts_csv)
    text = house.api.ask("GET", "/charts/shop").told["text"]
    told = house.api.ask("POST", "/charts/table/preview", {"text": text}).told
    assert len(told["rows"]) == 14 and told["refused"] == []
