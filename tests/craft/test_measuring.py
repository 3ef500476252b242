"""Laws of measuring: readings come together, figures grow old, changes stand out from noise."""

from __future__ import annotations

import statistics
from datetime import date, timedelta

import pytest
from hypothesis import given
from hypothesis import strategies as st

from craft.advise.next_measure import next_measures
from craft.body import Body, Measures, Quantity
from craft.body.estimate import estimate
from craft.body.measures import MEASURES, SIDED, TOLERANCE, kind_of
from craft.draw.tape import tape_on
from craft.errors import UnknownMeasure
from craft.measuring.ageing import GOOD_FOR, carry, due_on
from craft.measuring.cards import CARDS, PROTOCOLS, in_order
from craft.measuring.change import compare, doubtful_after
from craft.measuring.checks import check
from craft.measuring.repeats import own_word, settle

measures = st.sampled_from(MEASURES)
readings = st.lists(st.floats(20, 180), min_size=1, max_size=6)
A = {"stature": 165.0, "bust": 92.0, "waist": 74.0, "hip": 100.0}


def test_there_is_one_card_for_every_measure_and_protocols_keep_the_order() -> None:
    assert set(CARDS) == set(MEASURES)
    for protocol in PROTOCOLS.values():
        assert list(protocol.measures) == [name for name in CARDS if name in protocol.measures]
    assert len(PROTOCOLS["quick"].measures) == 8 and set(PROTOCOLS["full"].measures) == set(MEASURES)
    assert not any(kind_of(name) == "height" for name in PROTOCOLS["seated"].measures)
    with pytest.raises(UnknownMeasure, match="tail"):
        in_order(("hip", "tail"))


@given(measures, readings)
def test_readings_come_to_their_median_whatever_their_order(measure: str, taken: list[float]) -> None:
    there, back = settle(measure, taken), settle(measure, taken[::-1])
    assert there == back
    assert there.figure.cm == statistics.median(taken)
    assert there.figure.settled


@given(measures, st.floats(20, 180), st.floats(0, 4))
def test_a_third_reading_is_asked_for_only_beyond_tolerance(measure: str, first: float, apart: float) -> None:
    two = settle(measure, [first, first + apart])
    assert two.wants_another == (two.apart > TOLERANCE[kind_of(measure)])
    assert not settle(measure, [first, first + apart, first]).wants_another


@given(measures, st.floats(20, 180), st.integers(2, 5))
def test_more_readings_that_agree_make_surer_and_never_certain(measure: str, cm: float, count: int) -> None:
    fewer, more = settle(measure, [cm] * (count - 1)), settle(measure, [cm] * count)
    assert 0 < more.figure.spread <= fewer.figure.spread


def test_one_outlier_among_three_moves_the_median_little() -> None:
    assert settle("hip", [100.0, 80.2, 100.4]).figure.cm == 100.0


@given(measures, st.floats(20, 180))
def test_a_clients_word_is_less_sure_than_a_reading_and_never_stitched(measure: str, cm: float) -> None:
    said = own_word(measure, cm)
    assert not said.settled and said.spread > settle(measure, [cm]).figure.spread


@given(measures, st.integers(0, 900), st.integers(0, 900))
def test_a_figure_only_grows_less_sure_with_time(measure: str, days: int, more: int) -> None:
    taken, now = date(2024, 1, 1), Quantity(60.0, 0.4, "repeated")
    young = carry(measure, now, taken, taken + timedelta(days=days))
    old = carry(measure, now, taken, taken + timedelta(days=days + more))
    assert now.spread <= young.spread <= old.spread and young.cm == old.cm == now.cm
    assert young.origin == ("carried" if days <= GOOD_FOR.days else "aged")
    assert due_on(taken) == taken + GOOD_FOR


def test_noise_is_no_change_and_a_change_makes_its_neighbours_doubtful() -> None:
    then = {name: Quantity(cm, 0.3, "repeated") for name, cm in {**A, "thigh": 58.0, "ankle": 22.0}.items()}
    now = {"waist": Quantity(74.4, 0.3, "repeated"), "hip": Quantity(106.0, 0.3, "repeated")}
    changes = {change.measure: change for change in compare(then, now)}
    assert not changes["waist"].beyond_noise and changes["hip"].beyond_noise
    held = {name: figure for name, figure in then.items() if name not in now}
    doubtful = {one.measure: one for one in doubtful_after(tuple(changes.values()), held)}
    assert "thigh" in doubtful and "ankle" not in doubtful and "stature" not in doubtful
    assert doubtful["thigh"].because == "hip" and doubtful["thigh"].expected_cm > 58.0
    assert doubtful_after((changes["waist"],), held) == ()


@pytest.mark.parametrize(
    ("measure", "cm", "others", "last", "today", "reason"),
    [
        ("waist_height", 90, {"stature": 165, "navel_height": 99}, None, (), "order"),
        ("front_rise_navel", 20, {"stature": 165, "navel_height": 99, "crotch_height": 76}, None, (), "segments"),
        ("elbow_length", 33, {"stature": 165, "arm_length": 32}, None, (), "segments"),
        ("waist", 82, A, Quantity(74, 0.8, "carried"), (), "changed"),
        ("calf", 42, {"stature": 165}, Quantity(37, 0.6, "carried"), (), "changed"),
        ("calf", 38.6, {"stature": 165}, None, (37.0,), "side"),
        ("waist", 47, A, Quantity(74, 0.8, "carried"), (), "digits"),
        ("hip", 39.4, A, Quantity(100, 0.8, "carried"), (), "unit"),
        ("neck", 52, A, None, (), "unusual"),
    ],
)
def test_each_kind_of_doubt_is_asked_for_what_it_is(
    measure: str,
    cm: float,
    others: dict[str, float],
    last: Quantity | None,
    today: tuple[float, ...],
    reason: str,
) -> None:
    doubt = check(measure, cm, Measures.of(others), last=last, this_session=today)
    assert doubt is not None and doubt.reason == reason and not doubt.refused
    # Whatever is asked about, a value to go by is named: the one meant, expected, or read before.
    assert any(char.isdigit() for char in doubt.text.say("cm")) and doubt.text.say("in") != doubt.text.say("cm")
    if measure in SIDED and reason == "changed":
        assert "same side" in doubt.text.say()


def test_the_second_reading_of_the_same_side_is_let_through() -> None:
    assert check("calf", 37.6, Measures.of({"stature": 165}), this_session=(37.0,)) is None
    assert check("waist", 75, Measures.of(A), last=Quantity(74, 0.8, "carried")) is None


def test_the_next_best_measure_settles_what_it_says() -> None:
    known = Measures.of(A)
    ranked = next_measures(known)
    first = ranked[0]
    assert first.measure not in A and first.text.startswith("Decides") and "usual cuts" in first.text
    expected = estimate(known)[first.measure].cm
    after = next_measures(Measures.of({**A, first.measure: Quantity(expected, 0.1, "repeated")}))
    assert first.measure not in {worth.measure for worth in after}
    assert sum(worth.score for worth in after) < sum(worth.score for worth in ranked)


def test_where_everything_is_measured_nothing_is_left_to_settle() -> None:
    body = Body.of(Measures.of(A))
    whole = {name: Quantity(body.quantity(name).cm, 0.1, "repeated") for name in MEASURES}
    assert next_measures(Measures.of(whole)) == ()


@given(measures, st.floats(148, 192))
def test_the_tape_lies_on_the_figure_for_every_measure(measure: str, stature: float) -> None:
    body = Body.of(Measures.of({"stature": stature}))
    tape = tape_on(body, measure)
    assert 0 <= tape.height <= stature + 0.01
    points = [point for line in (*tape.front, *tape.behind) for point in line]
    assert points and all(abs(x) < 60 and -2 <= y <= stature + 2 for x, y in points)
    if kind_of(measure) == "height":
        assert max(y for _, y in points) == pytest.approx(body.heights[measure].cm)
