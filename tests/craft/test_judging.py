"""Judgement: the judged cases, laws of findings and mends, and what is drawn."""

from __future__ import annotations

import json
from pathlib import Path
from typing import Any

import pytest
from hypothesis import given
from hypothesis import strategies as st

from craft.assessment import assess, picture
from craft.body import Body, Measures
from craft.cases.__main__ import main
from craft.draw.figure import arm_path
from craft.judge import Aims, judge
from craft.look import Look, compose
from craft.schools import Schools
from craft.wear.cuts import CUTS

CASES = Path(__file__).parents[1] / "cases"
BODY = Body.of(Measures.of({"stature": 165, "bust": 92, "waist": 74, "hip": 100, "crotch_height": 76}))

tops = st.fixed_dictionaries(
    {
        "is": st.sampled_from(["tee", "shirt", "knit"]),
        "fit": st.sampled_from(["tight", "fitted", "skimming", "relaxed", "oversized"]),
        "tuck": st.sampled_from(["none", "full", "front", "half", "bloused", "bra", "knot", "side"]),
    }
)
bottoms = st.fixed_dictionaries(
    {
        "is": st.sampled_from(["jeans", "trousers"]),
        "cut": st.sampled_from(sorted(CUTS)),
        "rise": st.sampled_from(["low", "mid", "high", "very_high"]),
        "hem": st.sampled_from(["mid_calf", "lower_calf", "ankle", "ankle_bone", "foot", "puddle"]),
        "worn": st.sampled_from(["inside", "outside"]),
    }
)
shoes = st.fixed_dictionaries(
    {
        "is": st.sampled_from(["trainers", "loafers", "pumps", "ankle_boots", "tall_boots"]),
        "bulk": st.sampled_from(["dainty", "medium", "chunky"]),
        "heel": st.sampled_from(["flat", "kitten", "mid", "high"]),
        "ankle_strap": st.booleans(),
    }
)
looks = st.tuples(bottoms, tops, shoes).map(list)


def run_judge(capsys: pytest.CaptureFixture[str], *files: Path) -> tuple[int, list[dict[str, Any]], str]:
    code = main([*map(str, files), "--json"])
    told = capsys.readouterr()
    return code, [json.loads(line) for line in told.out.splitlines()], told.err


def test_every_numeric_case_of_these_kinds_agrees(capsys: pytest.CaptureFixture[str]) -> None:
    code, rows, _ = run_judge(capsys, CASES / "bodies.yaml")
    assert code == 0
    assert [row["id"] for row in rows[:-1] if not row["agrees"]] == []
    assert {row["form"] for row in rows[:-1]} == {"shape", "landing", "target"}
    assert rows[-1]["not_yet_judged"] == 0


def test_every_judged_wardrobe_agrees(capsys: pytest.CaptureFixture[str]) -> None:
    code, rows, _ = run_judge(capsys, CASES / "wardrobes.yaml", CASES / "own_wardrobes.yaml")
    assert code == 0
    assert [(row["id"], row["failed"]) for row in rows[:-1] if not row["agrees"]] == []
    asked = {line for row in rows[:-1] for line in row["got"]}
    assert {"gap_slot", "gap_any", "adopts", "joins", "orphans", "twins", "alter"} <= asked


def test_looks_agree_beyond_what_is_asked(capsys: pytest.CaptureFixture[str]) -> None:
    code, rows, _ = run_judge(capsys, CASES / "looks.yaml", CASES / "own.yaml")
    assert code == 0
    last = rows[-1]
    assert last["cases"] >= 300
    assert last["agreement"] >= 0.97
    assert last["reason_agreement"] >= 0.95


def test_malformed_cases_are_named_with_id_and_line_and_the_rest_is_judged(
    capsys: pytest.CaptureFixture[str], tmp_path: Path
) -> None:
    path = tmp_path / "some.yaml"
    path.write_text(
        "cases:\n"
        "- {id: good, client: {measures_cm: {stature: 165, bust: 98, waist: 72, hip: 99}}, says_any: [hourglass]}\n"
        "- {id: bad-word, look: [{is: jeans, cut: wavy}], says: works}\n"
        "- {id: bad-form, look: 3}\n"
    )
    code, rows, told = run_judge(capsys, path, tmp_path / "missing.yaml")
    assert code == 2
    assert rows[-1]["cases"] == 1
    assert "bad-word (line 3)" in told and "wavy" in told
    assert "bad-form (line 4)" in told and "missing.yaml" in told


@given(looks)
def test_every_finding_stands_on_the_figure_and_says_why(look: list[dict[str, Any]]) -> None:
    outfit = compose(BODY, Look.of(look))
    judged = judge(outfit)
    for finding in judged.findings:
        assert -1 <= finding.height <= outfit.height
        assert finding.text.say("in").strip().endswith(".")
        assert "{" not in finding.text.say() + finding.title
    assert 0 <= judged.score <= 1


@given(looks)
def test_a_mend_removes_its_finding_and_never_lowers_the_score(look: list[dict[str, Any]]) -> None:
    told = assess(BODY, Look.of(look))
    for rule, mend in told.mends.items():
        after = assess(BODY, told.outfit.look.changed(mend.slot, **dict(mend.change)))
        assert after.judgement.score > told.judgement.score
        assert rule not in {f.rule for f in after.judgement.findings if f.stance == "against"}


@given(looks)
def test_the_order_of_pieces_does_not_matter(look: list[dict[str, Any]]) -> None:
    one, two = (judge(compose(BODY, Look.of(pieces))) for pieces in (look, look[::-1]))
    assert one.findings == two.findings


@given(looks, st.floats(-0.2, 0.2))
def test_a_hair_of_difference_in_hip_changes_little(look: list[dict[str, Any]], by: float) -> None:
    other = Body.of(Measures.of({"stature": 165, "bust": 92, "waist": 74, "hip": 100 + by, "crotch_height": 76}))
    one, two = (compose(body, Look.of(look)) for body in (BODY, other))
    for before, after in zip(one.edges, two.edges, strict=True):
        assert before.height == pytest.approx(after.height, abs=0.3)


@given(looks)
def test_garments_are_drawn_between_floor_and_crown_and_mirror(look: list[dict[str, Any]]) -> None:
    outfit = compose(BODY, Look.of(look))
    shapes = {shape.key: shape for shape in picture(outfit)}
    for shape in shapes.values():
        assert all(-0.01 <= y <= outfit.height + 0.01 for _, y in shape.points)
    for key, shape in shapes.items():
        if key.endswith("_right"):
            left = shapes[key.replace("_right", "_left")]
            assert sorted(left.points) == sorted((-x, y) for x, y in shape.points)


@pytest.mark.parametrize("kind", ["shirt", "blazer", "coat"])
def test_a_sleeve_ends_where_its_word_says(kind: str) -> None:
    def ends(**words: Any) -> float:
        shapes = picture(compose(BODY, Look.of([{"is": kind, **words}])))
        return min(y for shape in shapes if "sleeve_right" in shape.key for _, y in shape.points)

    (_, wrist), _ = arm_path(BODY, 0.0)[-1]
    lengths = [ends(sleeve=sleeve) for sleeve in ("short", "elbow", "three_quarter", "long")]
    assert lengths == sorted(lengths, reverse=True) and lengths[-1] == pytest.approx(wrist, abs=3.0)
    assert lengths[-1] < ends(sleeve="long", rolled=True) < lengths[0]


def test_a_wide_leg_is_drawn_as_wide_as_its_numbers_say() -> None:
    def hem_breadth(opening: float) -> float:
        look = Look.of([{"is": "trousers", "cut": "wide", "leg_opening_cm": opening}])
        shapes = picture(compose(BODY, look))
        points = next(shape.points for shape in shapes if shape.key == "bottom_right")
        low = min(y for _, y in points)
        right = [x for x, y in points if y < low + 0.5 and x > 0]
        return max(right) - min(right)

    assert hem_breadth(70) - hem_breadth(60) == pytest.approx(10 * 0.335, abs=0.05)


def test_a_straight_leg_on_a_full_calf_is_called_slim_and_told_what_to_shop_for() -> None:
    full = Body.of(Measures.of({"stature": 160, "hip": 112, "thigh": 66, "knee": 44, "calf": 44, "crotch_height": 72}))
    jeans = {"is": "jeans", "cut": "straight", "knee_cm": 45, "leg_opening_cm": 42, "inseam_cm": 62}
    on_full, on_slim = (assess(body, Look.of([jeans, {"is": "tee", "tuck": "full"}])) for body in (full, BODY))
    stances = [[f.stance for f in told.judgement.findings if f.rule == "leg.reads_as"] for told in (on_full, on_slim)]
    assert stances == [["against"], ["for"]]
    assert dict(on_full.mends["leg.reads_as"].change)["leg_opening_cm"] == 48


def test_schools_change_the_judgement_and_limits_are_kept() -> None:
    look = Look.of([{"is": "jeans", "cut": "wide", "hem": "foot"}, {"is": "sandals", "bulk": "chunky"}])
    stances = {
        position: {
            f.stance
            for f in judge(compose(BODY, look, Schools.of({"wide_leg_shoe": position}))).findings
            if f.rule == "feet.weight"
        }
        for position in ("taper", "echo")
    }
    assert stances == {"taper": {"against"}, "echo": {"for"}}
    flare = Look.of([{"is": "jeans", "cut": "flare"}, {"is": "tee", "tuck": "full"}, {"is": "flats"}])
    no_heels = assess(BODY, flare, aims=Aims.of({"wont": ["heels"]}))
    assert no_heels.mends
    assert not any("heel" in dict(mend.change) or "heel_cm" in dict(mend.change) for mend in no_heels.mends.values())
