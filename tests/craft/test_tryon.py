"""What a fitting teaches: an explanation lands where it was seen, makers are told from chance, the cloth speaks."""

from __future__ import annotations

import random

import pytest
from hypothesis import given
from hypothesis import strategies as st

from craft.body import Body, Measures, Quantity
from craft.cloth import Piece
from craft.cloth.colour import nearest_name
from craft.cloth.kinds import FIBRES, KIND, KINDS
from craft.cloth.quick import read_line
from craft.cloth.stretch import loosens, stretch
from craft.draw.flat_lines import HALVED, flat_lines
from craft.errors import UnknownWord
from craft.fit import Landed, land
from craft.fit.chart import SizeChart
from craft.fit.fitting import Check
from craft.formats.charts_csv import read_charts, write_charts
from craft.schools import Schools
from craft.tryon import Sample, explain, frame_of, learned
from craft.tryon.alter import altered, changes
from craft.tryon.explain import SEEN_SPREAD
from craft.wear.shoes import barefoot_on
from tests.craft.test_fit import BODY, bodies

GUESSED = Body.of(Measures.of({"stature": 165, "bust": 92, "waist": 74, "hip": 100}))
#: A piece, what is seen of it, and the figures that may explain that: of the piece, of the body.
SEEN = [
    ({"is": "jeans", "inseam_cm": 72}, "hem", "inseam_cm", "crotch_height"),
    ({"is": "skirt", "length_cm": 66}, "hem", "length_cm", "waist_height"),
    ({"is": "tee", "length_cm": 60}, "hem", "length_cm", "shoulder_height"),
    ({"is": "trousers", "front_rise_cm": 28}, "waistband", "front_rise_cm", "front_rise_navel"),
    ({"is": "shirt", "sleeve_cm": 58}, "cuff", "sleeve_cm", "arm_length"),
    ({"is": "tall_boots", "shaft_cm": 38}, "cover", "shaft_cm", None),
    ({"is": "jeans", "thigh_cm": 62}, "thigh", "thigh_cm", "thigh"),
    ({"is": "swimsuit", "torso_loop_cm": 150}, "torso", "torso_loop_cm", "torso_girth"),
]


def at(landed: Landed, key: str) -> float:
    """Where the length of an edge takes it, or the ease of a zone, cm."""
    edges = {edge.key: edge.falls_to for edge in landed.edges}
    return edges[key] if key in edges else {ease.zone: ease.cm for ease in landed.eases}[key]


def checked(landed: Landed, key: str) -> Check | None:
    return next((check for check in landed.checks if check.key == key), None)


@pytest.mark.parametrize(("piece", "key", "figure", "measure"), SEEN)
@given(st.floats(2.0, 4.0), st.sampled_from([-1, 1]), st.sampled_from([0.0, 4.0]))
def test_every_explanation_lands_where_it_was_seen(
    piece: dict[str, object], key: str, figure: str, measure: str | None, by: float, way: int, heel: float
) -> None:
    shoes, made = barefoot_on(heel), Piece.of(piece)
    seen = at(land(GUESSED, made, shoes), key) + way * by
    for one in explain(GUESSED, made, shoes, Schools(), key, seen):
        assert (one.whose, one.key) in {("piece", figure), ("body", measure)}
        if one.whose == "piece":
            again = land(GUESSED, made.with_(**{one.key: one.becomes}), shoes)
        else:
            taken = {**GUESSED.measures.figures, one.key: Quantity(one.becomes, SEEN_SPREAD, "said")}
            again = land(Body.of(Measures.of(taken)), made, shoes)
        assert at(again, key) == pytest.approx(seen, abs=0.25)


def test_what_was_seen_as_computed_teaches_nothing_and_measures_are_not_doubted() -> None:
    jeans, shoes = Piece.of({"is": "jeans", "inseam_cm": 72}), barefoot_on(2.0)
    hem = at(land(BODY, jeans, shoes), "hem")
    assert explain(BODY, jeans, shoes, Schools(), "hem", hem + 0.4) == ()
    assert {one.whose for one in explain(BODY, jeans, shoes, Schools(), "hem", hem + 4)} == {"piece"}
    told = explain(GUESSED, jeans, shoes, Schools(), "hem", at(land(GUESSED, jeans, shoes), "hem") + 4)
    assert [one.whose for one in told] == ["body", "piece"] and sum(one.share for one in told) == pytest.approx(1)
    # A piece without the figure gets it; nothing is known that would doubt the body.
    (given_one,) = explain(GUESSED, Piece.of({"is": "jeans"}), shoes, Schools(), "hem", 20.0)
    assert given_one.was is None and given_one.key == "inseam_cm"
    assert explain(BODY, Piece.of({"is": "hat"}), shoes, Schools(), "end", 100.0) == ()


@given(st.sampled_from(["waistband", "hem", "cuff", "neckline", "cover"]), st.floats(-5, 180), st.floats(0, 10))
def test_where_an_edge_is_told_from_runs_both_ways(key: str, height: float, lift: float) -> None:
    frame = frame_of(BODY, key, lift)
    assert frame.height(frame.told(height)) == pytest.approx(height)


def test_a_maker_is_told_from_chance() -> None:
    chance = random.Random(3)
    fair = [Sample("Alder", "hem", 10, 10 + chance.gauss(0, 0.8)) for _ in range(12)]
    short = [Sample("Fenn", "hem", 10, 12 + chance.gauss(0, 0.8)) for _ in range(12)]
    few = [Sample("Loom", "hem", 10, 14.0)] * 2
    told = {one.maker: one for one in learned([*fair, *short, *few, Sample("", "hem", 1, 9)])}
    assert told.keys() == {"Alder", "Fenn"}
    assert told["Fenn"].sure and told["Fenn"].by == pytest.approx(2, abs=0.6) and not told["Alder"].sure


@pytest.mark.parametrize("piece", [{"is": "jeans", "inseam_cm": 90, "waist_cm": 90}, {"is": "skirt", "length_cm": 73, "waist_cm": 79},
                                   {"is": "blazer", "sleeve_cm": 66}, {"is": "shirt", "chest_cm": 92}])  # fmt: skip
def test_an_alteration_that_was_made_lands_where_it_said(piece: dict[str, object]) -> None:
    made = Piece.of(piece)
    tried = 0
    for check in land(BODY, made).checks:
        for offer in check.alterations:
            change = changes(made, check.key, offer)
            if change is None or made.figure(change[0]) is None:
                continue
            tried += 1
            after = land(BODY, altered(made, *change))
            mended = checked(after, check.key)
            assert mended is None or mended.stance in ("fits", "watch"), (
                offer.text.say(),
                mended.text.say(),
                mended.stance,
            )
    assert tried


@pytest.mark.parametrize("kind", [kind for kinds in KINDS.values() for kind in kinds])
def test_the_tape_lies_on_the_flat_and_only_for_figures_the_kind_has(kind: str) -> None:
    landed = land(BODY, Piece.of({"is": kind}))
    lines = flat_lines(BODY, landed)
    assert {line.key for line in lines} <= set(KIND[kind].figures)
    for line in lines:
        (x0, y0), (x1, y1) = line.points
        assert (x0 - x1) ** 2 + (y0 - y1) ** 2 > 0.01 and line.half == (line.key in HALVED)
    wanted = {"bottom": 4, "top": 4, "layer": 4, "one_piece": 4}.get(KIND[kind].slot, 0)
    assert len(lines) >= wanted


def test_fibres_say_what_a_cloth_gives_and_keeps() -> None:
    rigid, some, much = (Piece.of({"is": "jeans", "cotton_pct": 100 - e, "elastane_pct": e}) for e in (0, 2, 6))
    assert stretch(rigid) < stretch(some) < stretch(much)
    assert loosens(rigid) > loosens(some) == loosens(much) and loosens(Piece.of({"is": "tee"})) == 0
    assert loosens(Piece.of({"is": "jeans", "elastane_pct": 2, "recovery_pct": 50})) > loosens(some)
    with pytest.raises(UnknownWord, match="together"):
        Piece.of({"is": "tee", "cotton_pct": 80, "wool_pct": 40})
    line = read_line("white tee, 60% cotton 40% viscose, 150 g/m², fluid drape, half sheer, distressed")
    assert line.figure("viscose_pct") == 40 and line.figure("weight_gsm") == 150 and line.flag("distressed")
    assert (line.word("drape"), line.word("sheerness")) == ("fluid", "half_sheer")
    assert all(read_line(f"tee 5% {fibre}").figure(f"{fibre}_pct") == 5 for fibre in FIBRES)


def test_a_band_of_all_cotton_gapes_by_the_evening_and_one_with_elastane_does_not() -> None:
    belly = BODY.girth("waist")
    for elastane, stance in ((0, "watch"), (2, None)):
        jeans = Piece.of({"is": "jeans", "front_rise_cm": 33, "waist_cm": belly + 2.6, "elastane_pct": elastane})
        check = checked(land(BODY, jeans), "loosens")
        assert (check.stance if check else None) == stance


@pytest.mark.parametrize(
    ("piece", "shows"),
    [
        ({"is": "trousers", "colour": "white", "fabric": ["thin"], "hip_cm": 101}, "against"),
        ({"is": "trousers", "colour": "white", "fabric": ["thin"], "hip_cm": 116}, "watch"),
        ({"is": "trousers", "colour": "black", "fabric": ["thin"], "hip_cm": 101}, None),
        ({"is": "trousers", "colour": "white", "weight_gsm": 320, "hip_cm": 101}, None),
        ({"is": "blouse", "colour": "navy", "sheerness": "see_through"}, "watch"),
        ({"is": "blouse", "colour": "white", "fabric": ["thin"], "sheerness": "opaque"}, None),
        ({"is": "coat", "colour": "white", "fabric": ["thin"]}, None),
    ],
)
def test_light_and_thin_cloth_shows_what_is_under_it(piece: dict[str, object], shows: str | None) -> None:
    check = checked(land(BODY, Piece.of(piece)), "sheer")
    assert (check.stance if check else None) == shows


def test_a_fuller_bust_wants_more_hold_and_more_hold_is_never_worse() -> None:
    ranks = {"fits": 0, "watch": 1, "against": 2}
    details: list[list[str]] = [["thin_strap"], ["soft_cup"], ["soft_cup", "thick_strap"], ["underwire", "thick_strap"]]
    for bust in (84, 92, 100):
        body = Body.of(Measures.of({"stature": 165, "bust": bust, "under_bust": 78}))
        found = [checked(land(body, Piece.of({"is": "bikini_top", "swim_detail": d})), "support") for d in details]
        stances = [ranks[check.stance] for check in found if check]
        assert len(stances) == 4 and stances == sorted(stances, reverse=True)
        assert (stances[0] == 2) == (bust == 100 or bust == 92) or bust == 92
    assert checked(land(BODY, Piece.of({"is": "swimsuit"})), "support") is None


@pytest.mark.parametrize(("first", "last", "stance"), [(80, 95, "against"), (60, 70, "against"), (70, 85, "fits")])
def test_a_belt_closes_between_its_first_hole_and_its_last(first: float, last: float, stance: str) -> None:
    check = checked(land(BODY, Piece.of({"is": "belt", "first_hole_cm": first, "last_hole_cm": last})), "belt")
    assert check is not None and check.stance == stance


@given(bodies(), st.sampled_from(["tight", "fitted", "skimming", "relaxed", "oversized"]))
def test_a_size_cut_for_a_body_has_its_fit_on_that_body(body: Body, fit: str) -> None:
    girths = {"waist_cm": body.girth("waist"), "hip_cm": body.girth("hip"), "chest_cm": body.girth("bust")}
    chart = SizeChart("Fenn", "", "body", {"is": "dress", "fit": fit}, (("one", girths),))
    landed = land(body, chart.pieces()["one"])
    assert {ease.word for ease in landed.eases} == {fit}


@given(
    st.lists(st.tuples(st.floats(60, 120), st.floats(60, 90)), min_size=1, max_size=6), st.sampled_from(["cm", "in"])
)
def test_charts_round_trip(rows: list[tuple[float, float]], unit: str) -> None:
    sizes = tuple(
        (str(at), {"hip_cm": round(hip, 1), "inseam_cm": round(leg, 1)}) for at, (hip, leg) in enumerate(rows)
    )
    chart = SizeChart("A, “B”", "Straight; slim", "garment", {"is": "jeans", "fabric": ["denim", "stretch"]}, sizes)
    table = read_charts(write_charts([chart], "in" if unit == "in" else "cm"))
    assert table.charts == (chart,) and table.refused == ()


def test_a_colour_is_named_by_what_it_looks_most_like() -> None:
    assert [nearest_name(code) for code in ("#000000", "#fefefe", "#1e2c47", "#b12f30")] == [
        "black",
        "white",
        "navy",
        "red",
    ]
