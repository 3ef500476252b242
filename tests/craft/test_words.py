"""Words: each is understood when said, stands for a figure in the right order, and is drawn as it is worn."""

from __future__ import annotations

from typing import Any

import pytest
from hypothesis import given
from hypothesis import strategies as st

from craft.advise.rail import place_of
from craft.assessment import picture
from craft.body import Body, Measures
from craft.cloth import Piece
from craft.cloth.colour import difference, lightness
from craft.cloth.kinds import KINDS
from craft.cloth.spoken import hear
from craft.cloth.words import COLOURS, FIT, LEG_CUTS, NECK, ONE_OF, TUCK, said
from craft.errors import UnknownSchool
from craft.look import Look, compose
from craft.schools import Schools
from craft.wear import wear_bottom, wear_top
from craft.wear.ease import FIT_EASE, fit_word, reads_as, top_volume
from craft.wear.shoes import barefoot_on

BODY = Body.of(Measures.of({"stature": 165, "bust": 92, "waist": 74, "hip": 100, "crotch_height": 76}))
SPOKEN = [
    *(("jeans", "cut", word, f"{said(word)} jeans") for word in LEG_CUTS),
    *(("jeans", "rise", word, f"jeans, {said(word)} rise") for word in ONE_OF["rise"]),
    *(("jeans", "hem", word, f"jeans to the {said(word)}") for word in ("mid_calf", "ankle", "ankle_bone", "foot")),
    *(("knit", "fit", word, f"a {word} knit") for word in FIT),
    *(("shirt", "tuck", word, f"shirt with {said(word)} tuck") for word in TUCK),
    *(("knit", "neck", word, f"knit, {said(word)} neck") for word in NECK),
    *(("tee", "sleeve", word, f"{said(word)} sleeve tee") for word in ONE_OF["sleeve"]),
    *(("pumps", "heel", word, f"pumps, {word} heel") for word in ONE_OF["heel"]),
    *(("pumps", "toe", word, f"{word} pumps") for word in ONE_OF["toe"]),
    *(("ankle_boots", "bulk", word, f"{word} ankle boots") for word in ONE_OF["bulk"]),
    *(("tall_boots", "shaft", word, f"tall boots with a {word} shaft") for word in ONE_OF["shaft"]),
    *(("tee", "colour", name, f"{said(name)} tee") for name in COLOURS),
]


@pytest.mark.parametrize(("kind", "key", "word", "text"), SPOKEN)
def test_every_word_is_understood_when_said(kind: str, key: str, word: str, text: str) -> None:
    assert hear(text) == [{"is": kind, key: word}]


@given(st.sampled_from(sorted(kind for kinds in KINDS.values() for kind in kinds)))
def test_every_kind_is_heard_hung_and_drawn(kind: str) -> None:
    (piece,) = hear(said(kind))
    outfit = compose(BODY, Look.of([piece]))
    slots = {shape.slot for shape in picture(outfit)}
    assert slots == {"body", place_of(Piece.of(piece))}


def test_a_piece_said_again_is_the_same_piece() -> None:
    words: dict[str, Any] = {
        "is": "jeans",
        "cut": "slim",
        "fabric": ["denim", "stretch"],
        "inseam_cm": 69.5,
        "cuffed": True,
    }
    piece = Piece.of(words)
    assert Piece.of(piece.described()) == piece
    assert piece.with_(cut=None, inseam_cm=None).described() == {
        "is": "jeans",
        "cuffed": True,
        "fabric": ["denim", "stretch"],
    }


def worn(**words: Any) -> Any:
    return wear_bottom(BODY, Piece.of({"is": "jeans", **words}), barefoot_on(0), Schools())


@pytest.mark.parametrize(
    "closest_first",
    [("skinny", "slim", "slim_straight", "straight", "boyfriend", "balloon", "wide"), ("straight", "bootcut", "flare")],
)
def test_cuts_stand_in_order(closest_first: tuple[str, ...]) -> None:
    legs = [worn(cut=cut) for cut in closest_first]
    key = "opening" if "flare" in closest_first else "volume"
    figures = [getattr(leg, key) for leg in legs]
    assert figures == sorted(figures) and len(set(figures)) == len(figures)


@pytest.mark.parametrize("cut", ["skinny", "slim", "slim_straight", "straight", "bootcut", "flare", "wide"])
def test_a_cut_reads_as_itself_on_the_body_it_was_made_for(cut: str) -> None:
    assert worn(cut=cut).reads_as == cut


def test_fits_stand_in_order_and_are_named_back() -> None:
    volumes = [wear_top(BODY, Piece.of({"is": "knit", "fit": fit}), 0.0, None).volume for fit in FIT]
    assert volumes == sorted(volumes)
    assert [fit_word(top_volume(ease)) for ease in FIT_EASE.values()] == list(FIT)


@pytest.mark.parametrize("naming", ["navel_is_mid", "navel_is_high"])
def test_rises_stand_in_order_and_are_named_back(naming: str) -> None:
    schools = Schools.of({"rise_naming": naming})
    bands = [wear_bottom(BODY, Piece.of({"is": "jeans", "rise": r}), barefoot_on(0), schools) for r in ONE_OF["rise"]]
    assert [band.rise for band in bands] == list(ONE_OF["rise"])
    assert [band.front_rise for band in bands] == sorted(band.front_rise for band in bands)
    with pytest.raises(UnknownSchool):
        Schools.of({"rise_naming": "by_feel"})


@given(st.floats(-6, 20), st.floats(0, 6))
def test_more_ease_at_the_calf_never_reads_closer(ease: float, more: float) -> None:
    order = ("skinny", "slim", "slim_straight", "straight")
    tight, loose = (reads_as(at, 45.0, 42.0, 7.0) for at in (ease, ease + more))
    assert order.index(tight) <= order.index(loose)


def lowest(tuck: str, x_from: float, x_to: float) -> float:
    outfit = compose(BODY, Look.of([{"is": "shirt", "tuck": tuck}, {"is": "jeans"}]))
    top = next(shape for shape in picture(outfit) if shape.key == "top")
    return min(y for x, y in top.points if x_from <= x <= x_to)


def test_tucks_are_drawn_where_they_are_made() -> None:
    middle, right, left = (-3.0, 3.0), (12.0, 30.0), (-30.0, -12.0)
    hangs = lowest("none", *middle)
    assert lowest("full", *middle) > hangs + 8 and lowest("full", *right) > hangs + 8
    assert lowest("front", *middle) > hangs + 8 and lowest("front", *right) < hangs + 2
    assert lowest("half", *right) > hangs + 8 and lowest("half", *left) < hangs + 2
    assert lowest("bloused", *middle) < lowest("full", *middle)


def test_sleeves_reach_as_far_as_they_say() -> None:
    ends = []
    for sleeve in ("short", "elbow", "three_quarter", "long"):
        shapes = picture(compose(BODY, Look.of([{"is": "tee", "sleeve": sleeve}])))
        ends.append(min(y for shape in shapes if shape.key == "sleeve_right" for _, y in shape.points))
    assert ends == sorted(ends, reverse=True)
    bare = picture(compose(BODY, Look.of([{"is": "tank"}])))
    assert not [shape for shape in bare if shape.key.startswith("sleeve")]


@given(st.sampled_from(sorted(COLOURS)), st.sampled_from(sorted(COLOURS)))
def test_colours_differ_evenly_both_ways(one: str, two: str) -> None:
    assert difference(one, two) == pytest.approx(difference(two, one))
    assert (difference(one, two) < 1e-6) == (one == two)
    assert 0 <= lightness(one) <= 1
