"""What pairs drawn by chance showed: a thing counts once, and for what it is."""

from __future__ import annotations

from dataclasses import replace

import pytest

from craft.body import Body, Measures
from craft.judge import Aims, judge
from craft.judge.aims import Setting
from craft.look import Look, compose
from craft.schools import Schools
from tests.craft.test_rules import BODY, BOOTS, JEANS, TEE, found


def test_one_hem_is_judged_once() -> None:
    skirt = {"is": "skirt", "cut": "pleated", "hem": "mid_calf"}
    judged = judge(compose(BODY, Look.of([skirt, TEE, {"is": "flats"}]), Schools()), Aims())
    assert [one.rule for one in judged.findings if one.code == "hem_on_wide_place"] == ["hems.place"]


@pytest.mark.parametrize(("colour", "again"), [("navy", True), ("black", False), ("charcoal", False)])
def test_a_navy_stripe_comes_back_in_navy_and_in_no_other_dark(colour: str, again: bool) -> None:
    striped = {**TEE, "pattern": "horizontal_stripe", "colour": ["white", "navy"]}
    assert (found("palette.picked_up", striped, {**JEANS, "colour": colour}) is not None) == again


def test_near_tones_are_of_one_hue() -> None:
    blazer = {"is": "blazer", "open": True}
    blues = [{**JEANS, "colour": "navy"}, {**TEE, "colour": "soft_navy"}, {**blazer, "colour": "navy"}]
    darks = [{**JEANS, "colour": "charcoal"}, {**TEE, "colour": "brown"}, {**blazer, "colour": "burgundy"}]
    assert found("colour.near", *blues) is not None and found("colour.near", *darks) is None


def test_shorts_are_no_flare_and_a_bootcut_falls_past_a_small_foot() -> None:
    assert found("feet.heel", {"is": "shorts", "inseam_cm": 8}, {"is": "flats"}) is None
    small = Body.of(Measures.of({"stature": 154, "foot_length": 22.5, "calf": 33, "ankle": 20}))
    assert found("length.bunching", {"is": "jeans", "cut": "bootcut", "hem": "foot"}, BOOTS, body=small) is None


def test_one_piece_can_be_out_of_place_though_the_others_keep_the_code() -> None:
    aims = replace(Aims(), setting=Setting.of("relaxed_office"))
    worn = [{"is": "blazer"}, {"is": "blouse", "tuck": "full"}, {"is": "pumps", "heel": "mid"}]
    raw = found("register.code", {"is": "shorts", "inseam_cm": 8, "hem_finish": "raw"}, *worn, aims=aims)
    long = found("register.code", {"is": "trousers"}, *worn, aims=aims)
    assert raw is not None and raw.stance == "against" and long is not None and long.stance == "for"


def test_the_less_close_the_closer_half_the_less_a_contrast_is_worth() -> None:
    loose = {"is": "knit", "fit": "oversized", "hem": "hip"}
    pencil, pleats = (
        found("volume.contrast", {"is": "skirt", "cut": cut, "hem": "knee"}, loose) for cut in ("pencil", "pleated")
    )
    assert pencil is not None and pleats is not None
    assert pleats.weight < 0.6 * pencil.weight
