"""The reading of a body: parts, places, advice that holds on both sides, sentences for every body."""

from __future__ import annotations

import itertools

import pytest
from hypothesis import given
from hypothesis import strategies as st

from craft.body import Body, Measures, read_front, read_shape
from craft.brief import LIMITS, cautions
from craft.cloth.colouring import WORDS, near_the_face, pairs, read_picks
from craft.read import read_body
from craft.read.advice import ADVICE, advice_for
from craft.read.balance import parts, places, stature_word, waist_word

SHAPES = ("rectangle", "triangle", "inverted_triangle", "hourglass", "oval")
girth = st.floats(70, 130)


@st.composite
def bodies(draw: st.DrawFn) -> Body:
    taken = {"stature": draw(st.floats(148, 192)), "bust": draw(girth), "waist": draw(girth), "hip": draw(girth)}
    return Body.of(Measures.of(taken))


@given(bodies())
def test_every_body_is_read_in_plain_sentences(body: Body) -> None:
    reading = read_body(body)
    said = [sentence.say("cm") for sentence in reading.sentences]
    assert said and all(text.endswith(".") and "{" not in text and "_" not in text for text in said)
    # Neutral words: about lines and cloth, never about faults of a body.
    assert not {"fat", "too big", "problem", "flaw", "hide", "ideal"} & set(" ".join(said).lower().split())
    assert len(said) == len(set(said))


@given(bodies())
def test_the_bands_along_a_measure_join_up_and_hold_the_reading(body: Body) -> None:
    reading = read_shape(body)
    for name, bands in reading.bands:
        here = body.girth(name)
        assert all(one.high == other.low for one, other in itertools.pairwise(bands))
        assert any(band.low <= here <= band.high and band.shape == reading.shape for band in bands)


@given(bodies())
def test_advice_near_a_border_holds_for_both_shapes(body: Body) -> None:
    reading = read_body(body)
    shapes = {reading.girths.shape}
    if reading.both_sides:
        assert reading.girths.runner_up is not None
        shapes.add(reading.girths.runner_up.shape)
    assert reading.advice and all(shapes <= advice.holds_for for advice in reading.advice)


def test_every_two_shapes_have_advice_in_common() -> None:
    for one, other in itertools.combinations(SHAPES, 2):
        assert advice_for(one, other), (one, other)  # type: ignore[arg-type]
    assert {advice.key for advice in advice_for(*SHAPES)} == {"edge_off_hip"}  # type: ignore[arg-type]
    assert len({advice.key for advice in ADVICE}) == len(ADVICE)


@given(st.floats(148, 192), st.floats(0.44, 0.51))
def test_shares_of_the_height_add_up(stature: float, crotch: float) -> None:
    body = Body.of(Measures.of({"stature": stature, "crotch_height": crotch * stature}))
    by = {part.name: part for part in parts(body)}
    assert by["lower leg"].share + by["thigh"].share == pytest.approx(by["leg"].share)
    assert by["waist to crotch"].share + by["shoulder to waist"].share == pytest.approx(by["torso"].share)


def test_a_longer_torso_reads_long_waisted_and_a_shorter_one_short() -> None:
    words = [
        waist_word(Body.of(Measures.of({"stature": 165, "crotch_height": crotch, "shoulder_height": 136})))
        for crotch in (74.0, 78.2, 82.5)
    ]
    assert words == ["long_waisted", "even", "short_waisted"]
    assert [stature_word(cm) for cm in (162.9, 163.0, 172.9, 173.0)] == ["petite", "average", "average", "tall"]


@given(bodies())
def test_places_run_from_top_to_bottom_and_leave_out_none(body: Body) -> None:
    found = places(body)
    assert [place.height for place in found] == sorted((place.height for place in found), reverse=True)
    assert {place.kind for place in found} == {"narrow", "wide"} and len(found) == 10


def test_how_narrow_a_waist_is_follows_the_tape() -> None:
    by = {}
    for waist in (66, 76):
        body = Body.of(Measures.of({"stature": 165, "bust": 92, "waist": waist, "belly": 84, "hip": 100}))
        by[waist] = next(place.by for place in places(body) if place.name == "waist")
    assert by[66] == pytest.approx(by[76] - 10)


def test_the_two_readings_differ_where_breadths_say_otherwise() -> None:
    taken = {"stature": 165, "bust": 92, "waist": 76, "hip": 94, "hip_breadth": 31, "shoulder_breadth": 37}
    broad = Body.of(Measures.of({**taken, "shoulder_breadth": 41}))
    assert read_front(broad).shape == "inverted_triangle" and read_front(broad).settled
    assert read_front(Body.of(Measures.of(taken))).shape != "inverted_triangle"


def test_cautions_follow_limits_and_every_limit_has_one() -> None:
    assert [caution.because for caution in cautions(LIMITS)] == list(LIMITS)
    assert all(caution.text.endswith(".") for caution in cautions(LIMITS))
    assert cautions(["nothing of the kind"]) == ()


def test_swatches_are_counted_and_a_draw_is_the_middle() -> None:
    assert {pair.axis for pair in pairs()} == set(WORDS)
    told = read_picks({"warmth": ["second", "second", "first"], "depth": ["first", "second"], "clarity": []})
    assert told == {"warmth": "warm", "depth": "medium"}
    warm, cool = (set(near_the_face({"warmth": word}, 8)) for word in ("warm", "cool"))
    assert warm and cool and not warm & cool
    assert near_the_face({}) == ()
