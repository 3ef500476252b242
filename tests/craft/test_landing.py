"""Laws of landing: the heel moves the floor, not the ankle; longer is never higher."""

from __future__ import annotations

import pytest
from hypothesis import given
from hypothesis import strategies as st

from craft.body import Body, Measures
from craft.cloth import Piece
from craft.cloth.spoken import hear
from craft.errors import NotALength, NotUnderstood, UnknownWord
from craft.look import Look, compose
from craft.schools import Schools
from craft.units import format_length, parse_length
from craft.wear import wear_bottom, wear_shoes
from craft.wear.cuts import CUTS
from craft.wear.length import length_to
from craft.wear.shoes import barefoot_on

BODY = Body.of(
    Measures.of(
        {
            "stature": 165,
            "crotch_height": 76,
            "narrow_ankle_height": 10.5,
            "ankle_bone_height": 6.8,
            "calf_height": 31.5,
        }
    )
)
cuts = st.sampled_from(sorted(CUTS))
inseams = st.floats(40, 90)
heels = st.floats(0, 11)


def worn(heel: float = 0.0, **words: object):  # type: ignore[no-untyped-def]
    return wear_bottom(BODY, Piece.of({"is": "jeans", **words}), barefoot_on(heel), Schools())


@given(cuts, inseams, heels)
def test_a_heel_raises_the_floor_clearance_and_leaves_the_ankle(cut: str, inseam: float, heel: float) -> None:
    flat, lifted = (worn(lift, cut=cut, inseam_cm=inseam) for lift in (0.0, heel))
    assert lifted.falls_to - flat.falls_to == pytest.approx(heel)
    if flat.falls_to > 4:
        assert lifted.falls_to - heel == pytest.approx(flat.falls_to)
        assert lifted.hem_at == flat.hem_at or (heel > 0 and flat.hem_at in ("foot", "floor"))


@given(cuts, inseams, st.floats(0.1, 15))
def test_a_longer_inseam_never_lands_higher(cut: str, inseam: float, more: float) -> None:
    assert worn(cut=cut, inseam_cm=inseam + more).hem.cm <= worn(cut=cut, inseam_cm=inseam).hem.cm + 1e-9


@given(cuts, st.sampled_from(["ankle", "ankle_bone", "mid_calf"]), heels)
def test_landing_the_target_lands_on_the_word(cut: str, word: str, heel: float) -> None:
    inseam = length_to(BODY, Piece.of({"is": "jeans", "cut": cut}), word, heel)
    assert worn(heel, cut=cut, inseam_cm=inseam).hem_at == word


@given(inseams)
def test_a_cuff_shortens_by_its_width(inseam: float) -> None:
    plain, cuffed = (worn(cut="straight", inseam_cm=inseam, cuffed=flag) for flag in (False, True))
    assert cuffed.falls_to - plain.falls_to == pytest.approx(3.0)


@given(st.floats(20, 40), st.floats(0.1, 6))
def test_more_front_rise_never_sits_lower(rise: float, more: float) -> None:
    low, high = (worn(front_rise_cm=cm).waistband.cm for cm in (rise, rise + more))
    assert high >= low


@given(st.floats(30, 48), st.floats(30, 48))
def test_the_same_leg_never_hangs_straighter_on_a_fuller_calf(one: float, two: float) -> None:
    slim, full = (
        wear_bottom(
            Body.of(Measures.of({"stature": 165, "calf": calf})),
            Piece.of({"is": "jeans", "knee_cm": 45, "leg_opening_cm": 42}),
            barefoot_on(0),
            Schools(),
        )
        for calf in sorted((one, two))
    )
    assert full.calf_ease <= slim.calf_ease + 1e-9


@given(st.floats(0.5, 250))
def test_units_round_trip(cm: float) -> None:
    assert parse_length(format_length(cm, "cm")) == pytest.approx(cm, abs=0.051)
    assert parse_length(format_length(cm, "in")) == pytest.approx(cm, abs=2.54 / 16 + 1e-9)


@pytest.mark.parametrize("text", ["", "  ", "abc", "-5", "12..5", "1/0", "5 6 7", "9" * 40, "NaN", "1e5", "cm"])
def test_what_is_no_length_is_refused(text: str) -> None:
    with pytest.raises(NotALength):
        parse_length(text)


@pytest.mark.parametrize(
    ("text", "unit", "cm"),
    [("82,5", "cm", 82.5), ("32½", "in", 82.55), ("5'4\"", "cm", 162.56), ("1.65m", "cm", 165), ("3/4", "in", 1.905)],
)
def test_lengths_as_people_write_them(text: str, unit: str, cm: float) -> None:
    assert parse_length(text, unit) == pytest.approx(cm)  # type: ignore[arg-type]


def test_shoes_lift_by_their_heel_and_words_of_the_floor_stay() -> None:
    flat, heeled = (
        compose(BODY, Look.of([{"is": "trousers", "cut": "wide"}, {"is": "pumps", "heel": heel}]))
        for heel in ("flat", "high")
    )
    assert flat.bottom and heeled.bottom
    assert flat.bottom.hem.cm == heeled.bottom.hem.cm
    assert heeled.bottom.inseam - flat.bottom.inseam == pytest.approx(heeled.lift - flat.lift)
    assert wear_shoes(BODY, Piece.of({"is": "pumps", "heel_cm": 7})).lift == 7


def test_a_tuck_moves_the_visible_edge_and_needs_a_hem_below_the_band() -> None:
    def top(**words: str):  # type: ignore[no-untyped-def]
        outfit = compose(BODY, Look.of([{"is": "tee", **words}, {"is": "jeans", "rise": "low"}]))
        assert outfit.top
        return outfit

    assert top(tuck="full").edge("top_hem").seen is False
    assert top().edge("waistband").seen is False
    assert top(tuck="front").edge("waistband").seen is True
    assert top(tuck="full", hem="under_bust").top.tuck == "none"


@pytest.mark.parametrize("bad", [{"is": "toga"}, {"is": "jeans", "cut": "wavy"}, {"is": "jeans", "inseam_cm": -3}])
def test_unknown_words_are_named(bad: dict[str, object]) -> None:
    with pytest.raises(UnknownWord):
        Piece.of(bad)


def test_a_sentence_that_means_nothing_says_which_words() -> None:
    with pytest.raises(NotUnderstood, match="sparkly"):
        hear("sparkly slim jeans")
    with pytest.raises(NotUnderstood, match="names no piece"):
        hear("high rise")
