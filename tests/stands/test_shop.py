"""The shops: sizes that disagree, one feed in two forms, and which of it fits a body."""

from __future__ import annotations

import csv
import io
import json
from typing import Any

import pytest

from craft.advise.choose import Offer, choose
from craft.body import Body, Measures
from craft.cloth import Piece
from craft.wear.shoes import barefoot_on
from stands.shop.feed import products_json, size_charts_csv
from studio.errors import NoShop
from studio.shopping.feed import read_feed

TAKEN = {
    "stature": 165,
    "shoulder_height": 136,
    "waist_height": 104,
    "navel_height": 99,
    "crotch_height": 76,
    "narrow_ankle_height": 10.5,
    "ankle_bone_height": 6.8,
    "calf_height": 31.5,
    "bust": 92,
    "waist": 74,
    "belly": 84,
    "hip": 100,
    "thigh": 58,
    "calf": 37,
    "ankle": 22,
    "front_rise_navel": 28,
    "arm_length": 57,
}
BODY = Body.of(Measures.of(TAKEN))


def feed() -> Any:
    return json.loads(products_json())


def test_the_feed_is_read_whole_and_the_table_says_the_same() -> None:
    told = feed()
    stock = read_feed(told)
    assert stock.unread == 0 and len(stock.products) == len(told["products"]) >= 12
    rows = list(csv.DictReader(io.StringIO(size_charts_csv())))
    assert len(rows) == sum(len(product["sizes"]) for product in told["products"])
    first = told["products"][0]["sizes"][0]["figures"]
    assert float(rows[0]["hip (cm)"]) == first["hip"] and float(rows[0]["inseam (cm)"]) == first["inseam"]


def test_one_label_is_another_girth_at_another_maker() -> None:
    hips = {
        product["maker"]: size["figures"]["hip"]
        for product in feed()["products"]
        for size in product["sizes"]
        if size["label"].startswith("38") and "hip" in size["figures"]
    }
    assert len(hips) >= 2 and max(hips.values()) - min(hips.values()) >= 4


def test_each_product_comes_in_its_best_size_and_the_best_products_first() -> None:
    stock = read_feed(feed())
    choices = choose(BODY, stock.offers, barefoot_on(2.0))
    assert [choice.cost for choice in choices] == sorted(choice.cost for choice in choices)
    for choice in choices:
        sizes = next(offer.sizes for offer in stock.offers if offer.key == choice.key)
        assert choice.size in sizes
        hips = [size.figure("hip_cm") or 0 for size in sizes.values()]
        assert min(hips) < (choice.landed.piece.figure("hip_cm") or 0) < max(hips), choice.key
    # Half of what a street of shops has to offer needs no more than a second look.
    stances = [choice.landed.stance for choice in choices]
    assert stances[0] in ("fits", "watch") and "against" in stances


def test_a_larger_body_is_offered_larger_sizes() -> None:
    stock = read_feed(feed())
    fuller = Body.of(Measures.of({**TAKEN, "hip": 110, "waist": 86, "belly": 95, "bust": 102, "thigh": 63}))
    small, large = (
        {
            choice.key: choice.landed.piece.figure("hip_cm") or 0
            for choice in choose(body, stock.offers, barefoot_on(2.0))
        }
        for body in (BODY, fuller)
    )
    assert all(large[key] >= small[key] for key in small)
    assert sum(large[key] > small[key] for key in small) > len(small) / 2


def test_what_cannot_be_read_is_left_out_and_counted_and_no_feed_is_said() -> None:
    told = feed()
    told["products"] = [*told["products"][:2], {"id": "x"}, {**told["products"][0], "id": "y", "piece": {"is": "toga"}}]
    stock = read_feed(told)
    assert (len(stock.products), stock.unread) == (2, 2)
    with pytest.raises(NoShop, match="not a feed"):
        read_feed(["hello"])


def test_a_product_without_sizes_is_no_choice() -> None:
    assert choose(BODY, [Offer("nothing", {})]) == ()
    only = choose(BODY, [Offer("one", {"M": Piece.of({"is": "tee", "chest_cm": 98})})])
    assert [choice.size for choice in only] == ["M"]
