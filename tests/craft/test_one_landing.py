"""One landing: wherever it is asked, a piece ends at the same height, by the same word."""

from __future__ import annotations

from typing import Any

import pytest
from hypothesis import assume, given
from hypothesis import strategies as st

from craft.advise.figures import figures_worn
from craft.advise.shopping import shopping_numbers
from craft.advise.targets import target
from craft.body import Body
from craft.cloth import Piece
from craft.cloth.kinds import KIND
from craft.cloth.words import DRESS_CUTS, FIT, HEM, LEG_CUTS, RISE, TOP_CUTS
from craft.fit import land
from craft.look import Look, Outfit, compose
from craft.schools import Schools
from craft.wear import wear_shoes
from craft.wear.landing import landed_height
from craft.wear.length import fall_of
from tests.craft.test_fit import BODY, bodies

#: Which edge of a look is the hem of a piece, by its slot.
HEM_OF = {"bottom": "leg_hem", "one_piece": "leg_hem", "top": "top_hem", "layer": "layer_hem"}
HEMMED = sorted(name for name, row in KIND.items() if row.slot in HEM_OF)
LONG = sorted(name for name in HEMMED if KIND[name].length)
CUTS = {"crotch": LEG_CUTS, "suit": LEG_CUTS, "waist": DRESS_CUTS, "whole": DRESS_CUTS}
RANGES = {"length_cm": (35, 135), "inseam_cm": (10, 95), "waist_cm": (60, 110), "leg_opening_cm": (24, 70),
          "front_rise_cm": (18, 40), "torso_loop_cm": (120, 180), "chest_cm": (70, 140)}  # fmt: skip
shoes = st.fixed_dictionaries(
    {
        "is": st.sampled_from(["loafers", "pumps", "trainers", "ankle_boots"]),
        "heel": st.sampled_from(["flat", "kitten", "high"]),
    }
).map(Piece.of)


@st.composite
def pieces(draw: st.DrawFn, kinds: list[str] = HEMMED) -> Piece:
    """Any piece that has a hem: words, figures, or both."""
    kind = draw(st.sampled_from(kinds))
    words: dict[str, Any] = {"is": kind}
    choices = {"hem": HEM, "fit": FIT, "cut": CUTS.get(KIND[kind].hangs, TOP_CUTS)}
    if KIND[kind].has_legs:
        choices["rise"] = RISE
    for key, listed in choices.items():
        if draw(st.booleans()):
            words[key] = draw(st.sampled_from(listed))
    for key, (low, high) in RANGES.items():
        if key in KIND[kind].figures and draw(st.integers(0, 2)) == 0:
            words[key] = draw(st.integers(low, high))
    return Piece.of(words)


def worn(body: Body, piece: Piece, shoe: Piece) -> Outfit:
    return compose(body, Look((piece, shoe)))


@given(bodies(), pieces(), shoes)
def test_the_rack_and_the_look_say_the_same_height_and_the_same_word(body: Body, piece: Piece, shoe: Piece) -> None:
    outfit = worn(body, piece, shoe)
    hem = outfit.edge(HEM_OF[piece.slot])
    on_rack = {edge.key: edge for edge in land(body, piece, wear_shoes(body, shoe)).edges}
    assert hem is not None
    assert on_rack["hem"].height == pytest.approx(hem.height, abs=1e-9)
    assert on_rack["hem"].at == hem.at
    band = outfit.edge("waistband")
    if band is not None:
        assert on_rack["waistband"].height == pytest.approx(band.height, abs=1e-9)


@given(bodies(), pieces(LONG), shoes, st.floats(2.0, 60.0))
def test_a_hem_dragged_to_a_height_and_its_figure_typed_are_the_same_piece(
    body: Body, piece: Piece, shoe: Piece, height: float
) -> None:
    fall, lift = fall_of(body, piece), wear_shoes(body, shoe).lift
    assert fall is not None
    typed = round(fall.length(height, lift), 1)
    assume(0 < typed < 220)
    dragged = worn(body, piece.with_(**{"hem": None, "hem_cm": fall.ends(typed, lift), fall.figure: None}), shoe)
    by_figure = worn(body, piece.with_(**{fall.figure: typed, "hem": None}), shoe)
    one, two = (outfit.edge(HEM_OF[piece.slot]) for outfit in (dragged, by_figure))
    assert one is not None and two is not None
    assert (one.height, one.at) == (pytest.approx(two.height, abs=1e-6), two.at)
    told = [dict(figures_worn(outfit).get(piece.slot, ())).get(fall.figure) for outfit in (dragged, by_figure)]
    assert told == [pytest.approx(typed)] * 2


@given(bodies())
def test_what_the_shop_sheet_asks_for_lands_where_it_says(body: Body) -> None:
    kinds = {"Trousers and jeans": "jeans", "Shorts": "shorts", "Skirts": "skirt", "Dresses": "dress", "Tops": "tee",
             "Jackets and coats": "coat", "Boots": "tall_boots"}  # fmt: skip
    edges = {"front_rise_cm": "waistband", "neck_depth_cm": "neckline", "shaft_cm": "cover"}
    held = 0
    for number in shopping_numbers(body):
        if number.heights is None or number.worn not in ("", "any shoe") or number.key not in (*edges, *RANGES):
            continue
        low, high = sorted(number.heights)
        for cm in number.good:
            piece = Piece.of({"is": kinds[number.group], number.key: cm})
            edge = land(body, piece).edge(edges.get(number.key, "hem"))
            held += 1
            # The sheet is rounded to half a cm and allows a play; a leg cut straight hangs a little lower than a slim one.
            assert low - 3.0 <= edge.falls_to <= high + 3.0, number.name
    assert held > 20


@given(bodies(), st.sampled_from(LONG), st.sampled_from(["ankle", "below_knee", "knee", "above_knee"]), st.floats(0, 9))
def test_a_target_lands_on_the_word_it_was_asked_for(body: Body, kind: str, word: str, heel: float) -> None:
    shoe = Piece.of({"is": "pumps", "heel_cm": round(heel, 1)})
    lift = wear_shoes(body, shoe).lift
    key, (low, high) = next(iter(target(body, {"is": kind, "hem": word, "heel_cm": lift}).items()))
    assume(low > 0)
    ends = [worn(body, Piece.of({"is": kind, key: cm}), shoe).edge(HEM_OF[KIND[kind].slot]) for cm in (low, high)]
    assert all(end is not None for end in ends)
    high_end, low_end = (end.height for end in ends if end is not None)
    assert low_end - 1e-6 <= landed_height(body, word, lift) <= high_end + 1e-6


def test_a_band_that_slides_takes_its_skirt_along_in_the_look_too() -> None:
    loose, snug = (Piece.of({"is": "skirt", "length_cm": 60, "waist_cm": cm}) for cm in (90, 74))
    lower, higher = (compose(BODY, Look((piece,)), Schools()).edge("leg_hem") for piece in (loose, snug))
    assert lower is not None and higher is not None
    assert lower.height < higher.height - 3.0
