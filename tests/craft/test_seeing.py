"""Laws of the eye: what does not change what is seen, does not change what is said; small changes say little."""

from __future__ import annotations

import random
from dataclasses import replace

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from craft.advise.buying import not_bought
from craft.advise.targets import target
from craft.body import Body, Measures, read_shape
from craft.body.shape import usual_shoulder
from craft.brief import BUILD
from craft.cloth import Piece
from craft.cloth.colour import ANSWERS, MISSES, SAME, TONE, difference, just_misses
from craft.cloth.piece import colours_of
from craft.cloth.quick import read_entry
from craft.cloth.spoken import TRADE_NAMES, hear
from craft.draw import draw_back
from craft.errors import UnknownWord
from craft.fit import land
from craft.judge import Aims, judge
from craft.look import Look, compose
from craft.wear.shoes import barefoot_on
from tests.craft.looks import judged_looks, looks

BODY = Body.of(Measures.of({"stature": 165, "bust": 92, "waist": 74, "belly": 84, "hip": 100, "crotch_height": 76}))
girths = st.fixed_dictionaries(
    {"stature": st.floats(150, 195), "bust": st.floats(76, 120), "waist": st.floats(60, 110), "hip": st.floats(80, 124)}
)


@given(girths, st.sampled_from([None, *BUILD]), st.floats(0, 1))
def test_an_average_shoulder_measured_never_changes_the_reading(
    taken: dict[str, float], build: str | None, where: float
) -> None:
    low, high = usual_shoulder(taken["stature"], build)
    measured = taken | {"shoulder_breadth": low + where * (high - low)}
    plain = Body.of(Measures.of(taken, build))
    usual = plain.breadths["hip_breadth"].cm
    for more in (measured, measured | {"hip_breadth": usual}):
        assert read_shape(Body.of(Measures.of(more, build))).shape == read_shape(plain).shape


def test_an_ordinary_shoulder_leaves_a_triangle_one_and_a_broad_one_tips_it() -> None:
    taken = {"stature": 170, "bust": 82, "waist": 65, "hip": 96}
    shapes = [
        read_shape(Body.of(Measures.of(taken | {"shoulder_breadth": cm}, "woman"))).shape for cm in (36, 38, 44, 47)
    ]
    assert shapes[:2] == ["triangle", "triangle"] and shapes[-1] != "triangle"
    man = {"stature": 180, "bust": 98, "waist": 84, "hip": 98, "shoulder_breadth": 42}
    assert read_shape(Body.of(Measures.of(man, "man"))).shape == "rectangle"


@settings(max_examples=60)
@given(looks(), st.floats(-0.2, 0.2))
def test_a_small_change_of_the_body_has_a_small_effect_or_crosses_a_border(look: Look, by: float) -> None:
    """The score moves by little, unless a rule falls silent or begins to speak."""
    other = Body.of(Measures.of({**BODY.measures.figures, "bust": BODY.girth("bust") + by}))
    before, after = judge(compose(BODY, look)), judge(compose(other, look))
    if {f.rule for f in before.findings} == {f.rule for f in after.findings}:
        assert abs(before.score - after.score) < 0.05


@settings(max_examples=60)
@given(looks(), st.sampled_from(["cardigan", "waistcoat"]))
def test_equal_layers_may_change_places(look: Look, kind: str) -> None:
    rest = tuple(piece for piece in look.pieces if piece.slot != "layer")
    layers = [Piece.of({"is": kind, "colour": "navy", "open": True}) for _ in range(2)]
    one, other = (judge(compose(BODY, Look((*rest, *order)))) for order in (layers, layers[::-1]))
    assert one.score == other.score


def test_covering_a_fault_is_never_worse_for_it() -> None:
    """What is said against a zone from behind is not said under a layer that covers it, open or closed."""
    aims = Aims.of({"soften": ["seat"]})
    faded = [{"is": "jeans", "fade": ["seat"], "pockets": "seat_wide"}, {"is": "tee", "tuck": "full"}]
    bare = {f.rule for f in judge(compose(BODY, Look.of(faded)), aims).findings if f.counts_against}
    for is_open in (True, False):
        coat = {"is": "coat", "hem": "mid_thigh", "open": is_open}
        told = judge(compose(BODY, Look.of([*faded, coat])), aims).findings
        covered = {finding.rule for finding in told if finding.counts_against}
        assert {"attention.fade", "attention.pockets"} <= bare
        assert not covered & {"attention.fade", "attention.pockets"}


@given(
    st.sampled_from(["tan", "navy", "burgundy", "cream", "teal", "red"]), st.sampled_from(["sage", "black", "coral"])
)
def test_the_distance_of_colours_is_one_both_ways(one: str, two: str) -> None:
    assert difference(one, two) == pytest.approx(difference(two, one)) and difference(one, one) == 0


def test_hue_enters_the_distance() -> None:
    for one, two in (("pink", "silver"), ("dark_green", "burgundy"), ("tan", "sage")):
        assert difference(one, two) > ANSWERS
    assert difference("cream", "ivory") < SAME < difference("camel", "tan") < TONE < MISSES
    assert just_misses("#17171a", "#2b2d31") and not just_misses("navy", "navy") and not just_misses("cream", "ivory")


def test_a_piece_has_up_to_three_colours() -> None:
    scarf = Piece.of({"is": "scarf", "colour": ["navy", "camel", "#ffffff"], "second_colour_pct": 40})
    assert [round(share, 2) for _, share in colours_of(scarf)] == [0.48, 0.4, 0.12]
    assert Piece.of(scarf.described()) == scarf
    with pytest.raises(UnknownWord):
        Piece.of({"is": "scarf", "colour": ["navy", "camel", "white", "red"]})


def test_a_shirt_open_over_a_tee_is_a_layer_and_one_alone_is_not() -> None:
    tee, shirt = {"is": "tee"}, {"is": "shirt", "open": True, "sleeve": "long"}
    over = compose(BODY, Look.of([{"is": "jeans"}, tee, shirt]))
    assert over.top and over.top.piece.kind == "tee" and [layer.piece.kind for layer in over.layers] == ["shirt"]
    alone = compose(BODY, Look.of([{"is": "jeans"}, shirt]))
    assert alone.top and alone.top.piece.kind == "shirt" and not alone.layers
    assert Look.of([piece.described() for piece in over.pieces]) == over.look


def test_the_back_shows_what_lies_behind_and_nothing_of_the_front() -> None:
    for _, outfit, _ in judged_looks()[::7]:
        keys = [shape.key for shape in draw_back(outfit)]
        assert len(keys) == len(set(keys))
        assert not any(key.startswith(("placket", "buckle", "pendant", "fly")) for key in keys)
    look = [{"is": "jeans", "pockets": "seat_low"}, {"is": "shirt", "tuck": "tail_fold"}]
    drawn = {shape.key: shape for shape in draw_back(compose(BODY, Look.of(look)))}
    high = {shape.key: shape for shape in draw_back(compose(BODY, Look.of([{**look[0], "pockets": "seat_high"}])))}
    assert drawn["pocket_left"].points[0][1] < high["pocket_left"].points[0][1]


def test_trade_names_are_understood_and_the_rest_is_kept_as_a_note() -> None:
    for name, words in TRADE_NAMES.items():
        (piece,) = hear(f"navy {name}")
        assert piece["is"] == words["is"] and Piece.of(piece)
    entry = read_entry("black riding boots sparkly resoled")
    assert (entry.piece.kind, entry.note) == ("tall_boots", "sparkly resoled")


def test_a_torso_loop_is_shopped_for_and_judged_by_one_figure() -> None:
    low, high = target(BODY, {"is": "swimsuit"})["torso_loop_cm"]
    for loop in (low, high):
        judged = judge(compose(BODY, Look.of([{"is": "swimsuit", "torso_loop_cm": loop}])))
        assert [finding.stance for finding in judged.findings if finding.rule == "swim.loop"] == ["for"]


def test_who_keeps_to_what_they_wear_hears_their_style_the_more() -> None:
    look = compose(BODY, Look.of([{"is": "jeans"}, {"is": "blouse", "cut": "ruffled", "pattern": "large_print"}]))
    weights = [
        next(f.weight for f in judge(look, replace(Aims(), style=frozenset({"plain"}), reach=frozenset(reach))).findings
             if f.rule == "style.own")
        for reach in (["as_ever"], [], ["far"])
    ]  # fmt: skip
    assert weights == sorted(weights, reverse=True) and weights[0] > weights[-1]


@settings(max_examples=40)
@given(looks(), st.randoms(use_true_random=False))
def test_a_look_is_judged_the_same_in_whatever_order_its_places_are_told(look: Look, dice: random.Random) -> None:
    """Pieces of different places may be listed in any order, as a look may be seen in a mirror: nothing reads a side."""
    shuffled = list(look.pieces)
    dice.shuffle(shuffled)
    one, other = judge(compose(BODY, look)), judge(compose(BODY, Look(tuple(shuffled))))
    assert (one.score, one.verdict) == (other.score, other.verdict)


def test_what_nothing_mends_is_left_in_the_shop() -> None:
    def why(**said: object) -> list[str]:
        return [sentence.say().split(" ")[0] for sentence in not_bought(land(BODY, Piece.of(said), barefoot_on(2)))]

    assert why(**{"is": "jeans", "inseam_cm": 46}) == ["Too"] and why(**{"is": "jeans", "inseam_cm": 76}) == []
    assert why(**{"is": "shorts", "inseam_cm": 30}) == []
    (band,) = land(BODY, Piece.of({"is": "trousers", "waist_cm": 80}), barefoot_on(2)).eases
    waist = band.body
    rigid = {"is": "trousers", "fabric": ["rigid"]}
    assert why(**rigid, waist_cm=waist + 0.5) == ["The"] and why(**rigid, waist_cm=waist + 4) == []
    assert why(**{"is": "tee", "neck": "halter"}) == ["It"] and why(**{"is": "tee", "neck": "v"}) == []


def test_pale_thin_cloth_is_tried_a_size_up() -> None:
    thin = Piece.of({"is": "trousers", "cut": "skinny", "fabric": ["thin"], "colour": "white", "hip_cm": 96})
    checks = {check.key: check for check in land(BODY, thin, barefoot_on(2)).checks}
    assert {mend.key for mend in checks["sheer"].alterations} == {"up", "under", "line"}
