"""Laws of bodies: what is measured stands, what is estimated follows and never pretends."""

from __future__ import annotations

import pytest
from hypothesis import given
from hypothesis import strategies as st

from craft.body import Body, Measures, read_shape
from craft.body.measures import GIRTHS, HEIGHTS
from craft.body.proportions import GIRTH_ROWS, HEIGHT_ROWS
from craft.measuring.checks import check

statures = st.floats(145, 195)
shares = st.floats(0.94, 1.06)


@st.composite
def measure_sets(draw: st.DrawFn) -> dict[str, float]:
    """Plausible measures: the reference times a factor, any of them taken or not."""
    stature = draw(statures)
    taken = {"stature": stature}
    for name in draw(st.sets(st.sampled_from(HEIGHTS[:-1]), max_size=5)):
        taken[name] = HEIGHT_ROWS[name].fraction * stature * 1.0
    for name in draw(st.sets(st.sampled_from(GIRTHS), max_size=6)):
        taken[name] = GIRTH_ROWS[name].fraction * stature * draw(shares)
    return taken


@given(measure_sets())
def test_a_measured_value_always_replaces_an_estimate(taken: dict[str, float]) -> None:
    body = Body.of(Measures.of(taken))
    for name, cm in taken.items():
        known = body.heights if name in HEIGHTS else body.girths
        assert known[name].settled
        assert known[name].cm == pytest.approx(cm)
    assert not any(q.settled for n, q in {**body.heights, **body.girths}.items() if n not in taken)


@given(measure_sets())
def test_the_curve_of_a_leg_goes_through_its_girths(taken: dict[str, float]) -> None:
    body = Body.of(Measures.of(taken))
    for place, girth in (("calf", "calf"), ("knee", "knee"), ("narrow_ankle", "ankle")):
        # Between the quarters of a centimetre that the curve is kept at it is straight.
        assert body.leg_girth(body.height(place)) == pytest.approx(body.girth(girth), abs=0.15)


@given(measure_sets(), st.sampled_from([*HEIGHTS[:-1], *GIRTHS]))
def test_one_more_measure_never_widens_another_spread(taken: dict[str, float], more: str) -> None:
    before = Body.of(Measures.of(taken))
    expected = (before.heights if more in HEIGHTS else before.girths)[more].cm
    after = Body.of(Measures.of({**taken, more: expected}))
    for name in before.heights:
        if name not in taken and name != more:
            assert after.heights[name].spread <= before.heights[name].spread + 1e-6
    for name in before.girths:
        if name not in taken and name != more:
            assert after.girths[name].spread <= before.girths[name].spread + 1e-6


@given(statures, st.floats(0.40, 0.52))
def test_landmarks_stay_in_order_whatever_the_crotch(stature: float, share: float) -> None:
    body = Body.of(Measures.of({"stature": stature, "crotch_height": share * stature}))
    heights = [body.heights[name].cm for name in HEIGHTS]
    assert heights == sorted(heights)


@given(st.floats(10, 45))
def test_rise_runs_backwards(along: float) -> None:
    rise = Body.of(Measures.of({"stature": 165, "crotch_height": 76, "front_rise_navel": 28})).rise
    assert rise.along(rise.height_of(along)) == pytest.approx(along, abs=0.01)


def test_a_fuller_belly_eats_rise() -> None:
    slim, full = (
        Body.of(Measures.of({"stature": 165, "hip": 100, "belly": belly, "crotch_height": 76})) for belly in (84, 104)
    )
    assert full.rise.height_of(27) < slim.rise.height_of(27)


def test_the_runner_up_is_really_that_far() -> None:
    taken = {"stature": 165, "bust": 92, "waist": 76, "hip": 94}
    reading = read_shape(Body.of(Measures.of(taken)))
    assert reading.runner_up is not None
    border = reading.runner_up
    over = {**taken, border.measure: taken[border.measure] + border.cm}
    assert read_shape(Body.of(Measures.of(over))).shape == border.shape
    short = {**taken, border.measure: taken[border.measure] + border.cm * 0.8}
    assert read_shape(Body.of(Measures.of(short))).shape == reading.shape


@pytest.mark.parametrize(
    ("measure", "typed", "others", "reason", "suggested"),
    [
        ("stature", 16.5, {}, "impossible", 165.0),
        ("stature", 65, {}, "impossible", 165.1),
        ("waist", 29, {"stature": 165}, "unit", 73.7),
        ("hip", 1000, {"stature": 165, "bust": 92}, "impossible", 100.0),
        ("hip", 10.0, {"stature": 165, "bust": 92}, "digits", 100.0),
        ("crotch_height", 67, {"stature": 180, "hip_height": 66}, "order", None),
        ("calf", 63, {"stature": 165, "hip": 100, "thigh": 58}, "digits", 36.0),
    ],
)
def test_slips_are_named(
    measure: str, typed: float, others: dict[str, float], reason: str, suggested: float | None
) -> None:
    doubt = check(measure, typed, Measures.of(others))
    assert doubt is not None
    assert doubt.reason == reason
    if suggested:
        assert doubt.suggested_cm == pytest.approx(suggested, abs=0.1)


@pytest.mark.parametrize(("waist", "hip"), [(58, 82), (74, 100), (118, 128), (140, 150)])
def test_an_unusual_body_is_asked_about_at_most(waist: float, hip: float) -> None:
    others = Measures.of({"stature": 165, "hip": hip})
    doubt = check("waist", waist, others)
    assert doubt is None or not doubt.refused
