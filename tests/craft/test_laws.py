"""Laws of judging, over every look of the judged cases and over looks drawn at random."""

from __future__ import annotations

from dataclasses import replace

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from craft.advise.mends import mends_for
from craft.advise.rail import place_of, rank, with_piece
from craft.advise.unsettled import unsettled
from craft.assessment import picture
from craft.body import Body, Measures, Quantity
from craft.cloth import Piece
from craft.draw.side import draw_profile, side_of
from craft.judge import RULES, Aims, judge
from craft.judge.finding import warn
from craft.look import Look, Outfit, compose
from tests.craft.looks import judged_looks, looks
from tests.craft.test_fit import bodies

LOOKS = judged_looks()


@given(bodies(), looks())
@settings(max_examples=150)
def test_any_look_is_judged_drawn_and_stands_within_the_figure(body: Body, look: Look) -> None:
    outfit = compose(body, look)
    judged = judge(outfit)
    assert 0.0 < judged.score < 1.0 and len(judged.leading) <= 3
    for finding in judged.findings:
        assert -1.0 <= finding.height <= outfit.height, finding.rule
        assert finding.text.say("cm") and 0 <= finding.weight <= 1
        # A figure is told beside its border, unless both read the same.
        assert finding.figure.say("in") or finding.figure.value == pytest.approx(finding.figure.threshold, abs=0.6)
    for edge in outfit.edges:
        assert -6.0 <= edge.height <= outfit.height, edge.key
    for shape in picture(outfit):
        assert all(-6.0 <= y <= outfit.height + 12 and abs(x) < 130 for x, y in shape.points), shape.key


@pytest.mark.parametrize(("name", "outfit", "aims"), LOOKS[::4], ids=[name for name, _, _ in LOOKS[::4]])
def test_a_mend_raises_the_score_and_takes_its_finding_away(name: str, outfit: Outfit, aims: Aims) -> None:
    judged = judge(outfit, aims)
    for rule, mend in mends_for(outfit, judged, aims).items():
        after = judge(compose(outfit.body, outfit.look.changed(mend.slot, **dict(mend.change)), outfit.schools), aims)
        assert after.score > judged.score and after.score == pytest.approx(mend.score)
        assert rule not in {finding.rule for finding in after.findings if finding.stance == "against"}


def test_a_caution_never_raises_a_verdict() -> None:
    before = [judge(outfit, aims) for _, outfit, aims in LOOKS]
    said = warn("trailing_hem", ("floor", 0.0), "Mind", "Mind.")
    warned = (
        *RULES,
        replace(RULES[0], id="test.caution", looks_at=frozenset(), about=None, check=lambda *_: iter([said])),
    )
    for (_, outfit, aims), was in zip(LOOKS, before, strict=True):
        now = judge(outfit, aims, warned)
        assert (now.score, now.verdict) == (was.score, was.verdict) and len(now.findings) == len(was.findings) + 1


def test_a_muted_rule_leaves_no_trace() -> None:
    for rule in RULES:
        for outfit, aims in [(outfit, aims) for _, outfit, aims in LOOKS if rule.said_of(outfit, aims)][:2]:
            muted = replace(outfit, schools=replace(outfit.schools, muted=frozenset({rule.id})))
            said, left = (judge(one, aims).findings for one in (outfit, muted))
            assert left == tuple(finding for finding in said if finding.rule != rule.id)


@given(looks(), st.permutations(["belt", "scarf", "earrings", "bag"]))
@settings(max_examples=60)
def test_the_order_of_what_is_worn_besides_does_not_matter(look: Look, kinds: list[str]) -> None:
    body = Body.of(Measures.of({"stature": 168}))
    base = tuple(piece for piece in look.pieces if piece.slot != "extra")
    scores = {
        round(
            judge(compose(body, Look((*base, *(Piece.of({"is": kind, "colour": "black"}) for kind in order))))).score, 9
        )
        for order in (kinds, sorted(kinds))
    }
    assert len(scores) == 1


@pytest.mark.parametrize(("name", "outfit", "aims"), LOOKS[::5], ids=[name for name, _, _ in LOOKS[::5]])
def test_a_hair_of_a_measure_moves_the_score_only_across_a_border(name: str, outfit: Outfit, aims: Aims) -> None:
    figures = outfit.body.measures.figures
    first = judge(outfit, aims)
    for measure in ("stature", "hip"):
        nudged = {**figures, measure: figures[measure]._replace(cm=figures[measure].cm * 1.001)}
        second = judge(compose(Body.of(Measures.of(nudged)), outfit.look, outfit.schools), aims)
        if [(f.rule, f.stance, f.title) for f in first.findings] == [
            (f.rule, f.stance, f.title) for f in second.findings
        ]:
            assert second.score == pytest.approx(first.score, abs=0.03)


@given(bodies(), looks(), st.lists(looks(), min_size=1, max_size=3))
@settings(max_examples=40)
def test_the_rail_is_the_engine_itself(body: Body, look: Look, others: list[Look]) -> None:
    rack = [(str(at), piece) for at, piece in enumerate(piece for other in others for piece in other.pieces)]
    ranked = rank(body, look, rack)
    assert [goes.judgement.score for goes in ranked] == sorted((g.judgement.score for g in ranked), reverse=True)
    pieces = dict(rack)
    for goes in ranked:
        worn = with_piece(look, pieces[goes.key])
        places = [place_of(piece) for piece in worn.pieces]
        assert pieces[goes.key] in worn.pieces and places.count(place_of(pieces[goes.key])) == 1
        assert goes.judgement == judge(compose(body, worn))


def test_the_judged_cases_agree_far_beyond_what_is_asked() -> None:
    from craft.cases.read import Malformed, read_cases
    from craft.cases.run import run_case
    from tests.craft.looks import CASES

    results = [
        run_case(case)
        for file in ("looks.yaml", "own.yaml", "bodies.yaml")
        for case in read_cases((CASES / file).read_text())
        if not isinstance(case, Malformed)
    ]
    reasoned = [result["reason_agrees"] for result in results if "reason_agrees" in result]
    assert len(results) >= 150
    assert sum(result["agrees"] for result in results) / len(results) >= 0.97
    assert sum(reasoned) / len(reasoned) >= 0.95


def test_a_verdict_that_rests_on_an_estimate_names_the_measure_that_settles_it() -> None:
    look = Look.of([{"is": "jeans", "cut": "wide", "inseam_cm": 78}, {"is": "tee", "tuck": "full"}, {"is": "loafers"}])
    guessed = Body.of(Measures.of({"stature": 168, "bust": 92, "waist": 74, "hip": 100}))
    found = unsettled(guessed, look)
    assert "crotch_height" in {one.measure for one in found}
    for one in found:
        for end, verdict in zip(guessed.quantity(one.measure).range80, (one.low, one.high), strict=True):
            taken = {**guessed.measures.figures, one.measure: Quantity(end, 0.5, "measured")}
            assert judge(compose(Body.of(Measures.of(taken)), look)).verdict == verdict
    settled = Body.of(Measures.of({**guessed.measures.figures, "crotch_height": 79.5}))
    assert "crotch_height" not in {one.measure for one in unsettled(settled, look)}


@given(bodies(), looks())
@settings(max_examples=60)
def test_from_the_side_cloth_lies_outside_the_body_and_a_heel_lifts_all_of_it(body: Body, look: Look) -> None:
    outfit = compose(body, look)
    side = side_of(body)
    for shape in draw_profile(outfit):
        assert all(-6.0 <= y <= outfit.height + 12 and abs(x) < 80 for x, y in shape.points), shape.key
        # Necklines and armholes are cut above the bust; sleeves hang beside the trunk.
        if shape.key in ("bottom", "top", "layer0", "layer1"):
            for x, y in shape.points:
                on_body = y - outfit.lift
                outside = x >= side.front(on_body) - 0.01 or x <= side.back(on_body) + 0.01
                assert outside or on_body > body.height("bust") + 2.0, shape.key
    for high in (3.0, 9.0):
        shapes = draw_profile(compose(body, Look((Piece.of({"is": "pumps", "heel_cm": high}),))))
        assert max(y for shape in shapes for _, y in shape.points) == pytest.approx(body.stature + high)
