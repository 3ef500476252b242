"""Laws of advice: what mends, what another school sees, how a tuck is made and what to shop for, each held against the
engine that judges."""

from __future__ import annotations

from dataclasses import replace
from itertools import pairwise

import pytest
from hypothesis import assume, given, settings
from hypothesis import strategies as st

from craft.advise.explain import why_better
from craft.advise.figures import figures_worn
from craft.advise.mends import mends_for
from craft.advise.rail import place_of, with_piece
from craft.advise.remedies import ORDER, Remedy, remedies
from craft.advise.swaps import swaps
from craft.advise.switch import other_views
from craft.advise.targets import target
from craft.assessment import picture
from craft.body import Body
from craft.cloth import Piece
from craft.draw.how_to import tuck_steps
from craft.errors import NoTarget
from craft.judge import Aims, judge
from craft.look import Look, compose
from craft.schools import POSITIONS, Schools
from craft.wear.top import TUCKS
from tests.craft.looks import judged_looks, looks
from tests.craft.test_fit import BODY, bodies

#: Looks of the judged cases that somebody would want mended.
MENDED = [(name, outfit, aims) for name, outfit, aims in judged_looks() if judge(outfit, aims).verdict == "against"][
    ::4
]
RACK = tuple(
    (str(at), Piece.of(words))
    for at, words in enumerate(
        [
            {"is": "jeans", "cut": "slim", "hem": "ankle", "colour": "dark_denim"},
            {"is": "skirt", "cut": "a_line", "hem": "knee", "colour": "navy"},
            {"is": "tee", "fit": "fitted", "tuck": "full", "colour": "white"},
            {"is": "knit", "fit": "relaxed", "tuck": "front", "colour": "camel"},
            {"is": "pumps", "toe": "pointed", "heel": "kitten", "colour": "black"},
            {"is": "coat", "hem": "knee", "open": True, "colour": "camel"},
            {"is": "belt", "belted": "thin", "colour": "brown"},
        ]
    )
)
RANKS = {"against": 0, "watch": 1, "works": 2}


def mended(look: Look, remedy: Remedy) -> Look:
    """A look with every step of a way to mend taken."""
    pieces = dict(RACK)
    for step in remedy.steps:
        look = with_piece(look, pieces[step.key]) if step.key else look.changed(step.slot, **dict(step.change))
    return look


@pytest.mark.parametrize(("name", "outfit", "aims"), MENDED, ids=[name for name, _, _ in MENDED])
def test_a_way_to_mend_reaches_what_it_says(name: str, outfit, aims) -> None:  # type: ignore[no-untyped-def]
    before = judge(outfit, aims)
    found = remedies(outfit.body, outfit.look, RACK, outfit.schools, aims)
    against = {finding.rule for finding in before.findings if finding.counts_against}
    for remedy in found:
        assert remedy.judgement.score > before.score and remedy.gone
        assert {finding.rule for finding in remedy.gone} <= against
        assert max((f.weight for f in remedy.new), default=0.0) < max(f.weight for f in remedy.gone)
        assert remedy.means == max((step.means for step in remedy.steps), key=ORDER.index)
        assert bool(remedy.shop) <= (remedy.means == "buy")
        if all(step.key or step.slot in map(place_of, outfit.look.pieces) for step in remedy.steps):
            after = judge(compose(outfit.body, mended(outfit.look, remedy), outfit.schools), aims)
            assert after.score == pytest.approx(remedy.judgement.score), [step.text.say() for step in remedy.steps]
            assert after.verdict == remedy.judgement.verdict
    reached = [RANKS[remedy.judgement.verdict] for remedy in found]
    assert reached == sorted(reached, reverse=True)
    for rank in set(reached):
        dear = [ORDER.index(remedy.means) for remedy in found if RANKS[remedy.judgement.verdict] == rank]
        assert dear == sorted(dear)


def test_nearly_everything_that_is_said_against_a_look_can_be_mended() -> None:
    mended_, open_ = 0, []
    for _, outfit, aims in judged_looks()[::3]:
        judged = judge(outfit, aims)
        mends = mends_for(outfit, judged, aims)
        for finding in judged.findings:
            if finding.counts_against:
                mended_ += finding.rule in mends
                open_ += [] if finding.rule in mends else [finding.rule]
    assert mended_ / (mended_ + len(open_)) > 0.88, sorted(open_)
    for place, words in (("tights", {"is": "tights", "colour": "red"}), ("belt", {"is": "belt", "belted": "wide"})):
        look = Look.of(
            [{"is": "dress", "hem": "above_knee", "colour": "navy"}, {"is": "pumps", "colour": "black"}, words]
        )
        aims = Aims.of({"wants": ["lengthen_legs", "lengthen_torso"]})
        outfit = compose(BODY, look)
        assert any(mend.slot == place for mend in mends_for(outfit, judge(outfit, aims), aims).values()), place


@pytest.mark.parametrize("depth", ["light", "medium", "deep"])
def test_a_shoe_for_a_bare_leg_is_looked_for_in_the_clients_own_depth(depth: str) -> None:
    look = Look.of([{"is": "dress", "hem": "above_knee", "colour": "ivory"}, {"is": "sandals", "colour": "black"}])
    aims = Aims.of({"wants": ["lengthen_legs"]}, {"depth": depth})
    outfit = compose(BODY, look)
    against = {finding.rule for finding in judge(outfit, aims).findings if finding.counts_against}
    assert "feet.colour" in against
    change = next(words for place, words, _ in swaps(outfit, aims, {"feet.colour"}) if place == "shoes")
    found = {f.rule: f.stance for f in judge(compose(BODY, look.changed("shoes", **change)), aims).findings}
    assert found["feet.bare"] == "for" and "feet.colour" not in found


@pytest.mark.parametrize(
    ("wont", "piece"),
    [
        ("heels", {"is": "pumps", "heel": "high"}),
        ("tight", {"is": "leggings", "fit": "tight"}),
        ("short_hems", {"is": "skirt", "hem": "upper_thigh"}),
    ],
)
def test_what_a_client_will_not_wear_decides_alone(wont: str, piece: dict[str, str]) -> None:
    look = Look.of([{"is": "knit", "fit": "oversized", "hem": "seat"}, piece])
    for aims, decided in ((Aims.of({"wont": [wont]}), True), (Aims(), False)):
        told = judge(compose(BODY, look), aims)
        assert any(f.rule == f"limits.{wont.removesuffix('_hems')}" for f in told.findings) == decided
        assert told.verdict == "against" or not decided


@given(bodies(), looks())
@settings(max_examples=30)
def test_a_muted_rule_mends_nothing_and_is_seen_by_no_school(body: Body, look: Look) -> None:
    judged = judge(compose(body, look))
    assume(judged.findings)
    muted = judged.findings[0].rule
    ways = Schools.of({}, [muted])
    for remedy in remedies(body, look, RACK, ways):
        assert not any(finding.rule == muted for finding in (*remedy.gone, *remedy.new))
    for _, _, told in other_views(body, look, ways):
        assert not any(f.rule == muted for f in (*told.now.findings, *told.then.findings))


@given(bodies(), looks())
@settings(max_examples=40)
def test_another_view_is_the_engine_in_that_school_and_moves_no_edge(body: Body, look: Look) -> None:
    schools = Schools()
    for school, position, told in other_views(body, look, schools):
        assert position in POSITIONS[school] and position != schools.position(school)
        other = Schools.of({school: position})
        assert told.then.findings == judge(compose(body, look, other)).findings
        was, is_ = ({f.rule for f in judged.findings} for judged in (told.now, told.then))
        assert {f.rule for f in told.new} == is_ - was and {f.rule for f in told.gone} == was - is_
        # The names of rises are a matter of school; where a described rise lies follows from its name.
        if school != "rise_naming":
            one, two = (compose(body, look, ways).edges for ways in (schools, other))
            assert [(edge.key, edge.height) for edge in one] == [(edge.key, edge.height) for edge in two]


@given(looks(), looks())
@settings(max_examples=40)
def test_why_one_is_better_is_said_of_what_differs(one: Look, two: Look) -> None:
    first, second = (judge(compose(BODY, look)) for look in (one, two))
    assert why_better(first, first) == ()
    because = why_better(first, second)
    assert len(because) <= 3
    for finding, own in because:
        assert finding in (first if own else second).findings
        assert finding.stance == ("for" if own else "against")


@pytest.mark.parametrize("tuck", sorted(TUCKS))
def test_a_tuck_is_made_in_steps_that_end_as_it_is_worn(tuck: str) -> None:
    look = Look.of([{"is": "jeans", "rise": "high"}, {"is": "shirt", "fit": "relaxed", "tuck": tuck}])
    outfit = compose(BODY, look)
    steps = tuck_steps(outfit)
    assert bool(steps) == (tuck != "none")
    for step in steps:
        assert step.text.endswith(".") and step.bottom < step.hand[1] < step.top
    before = [step for step in steps if not step.behind]
    if before:
        worn, last = (
            next(s.points for s in shapes if s.key == "top") for shapes in (picture(outfit), before[-1].shapes)
        )
        assert last == worn


@given(looks())
@settings(max_examples=60)
def test_to_buy_the_same_again_lands_the_same_again(look: Look) -> None:
    """The figures told of what is worn, written on the pieces, change no edge."""
    outfit = compose(BODY, look)
    same = look
    for slot, figures in figures_worn(outfit).items():
        if slot in ("bottom", "one_piece"):
            same = same.changed(slot, **dict(figures))
    again = {edge.key: edge.height for edge in compose(BODY, same).edges}
    for edge in outfit.edges:
        if edge.key == "leg_hem" and edge.height > 0.5:
            assert again[edge.key] == pytest.approx(edge.height, abs=0.6), edge.key


@given(
    bodies(),
    st.sampled_from(["jeans", "trousers", "skirt", "dress"]),
    st.sampled_from(["above_knee", "knee", "below_knee", "lower_calf", "ankle", "foot"]),
    st.sampled_from([0.0, 4.0, 9.0]),
)
def test_what_to_shop_for_lands_where_it_was_asked(body: Body, kind: str, hem: str, heel: float) -> None:
    assume(not (kind in ("skirt", "dress") and hem == "foot"))
    cut = "wide" if hem == "foot" else "slim"
    words = {"is": kind, "cut": cut} if kind in ("jeans", "trousers") else {"is": kind}
    ((key, (low, high)),) = target(body, {**words, "hem": hem, "heel_cm": heel}).items()
    shoe = {"is": "pumps", "heel_cm": heel}
    at = {
        name: compose(body, Look.of([{**words, **more}, shoe])).bottom
        for name, more in (("shortest", {key: low}), ("asked", {"hem": hem}), ("longest", {key: high}))
    }
    ends = {name: worn.falls_to for name, worn in at.items() if worn is not None}
    assert ends["longest"] <= ends["asked"] + 0.01 and ends["asked"] <= ends["shortest"] + 0.01
    assert ends["shortest"] - ends["longest"] == pytest.approx(high - low)


def test_what_cannot_be_solved_backwards_says_so() -> None:
    with pytest.raises(NoTarget, match="wavy"):
        target(BODY, {"is": "jeans", "hem": "wavy"})
    with pytest.raises(NoTarget, match="necklace"):
        target(BODY, {"is": "necklace"})
    assert set(target(BODY, {"is": "jeans", "rise_at": "waist", "reads_as": "straight"})) == {
        "front_rise_cm", "leg_opening_min_cm",
    }  # fmt: skip
    navel, waist = (target(BODY, {"is": "jeans", "rise_at": at})["front_rise_cm"] for at in ("navel", "waist"))
    assert navel[0] < waist[0]


def test_symmetric_looks_are_drawn_as_their_own_mirror() -> None:
    for _, outfit, _ in judged_looks()[::6]:
        shapes = {shape.key: shape for shape in picture(outfit)}
        for key, shape in shapes.items():
            if key.endswith("_right") and shape.slot != "extra":
                mirrored = sorted((round(-x, 6), round(y, 6)) for x, y in shapes[key.replace("_right", "_left")].points)
                assert mirrored == sorted((round(x, 6), round(y, 6)) for x, y in shape.points), key


def test_judgement_does_not_depend_on_what_was_composed_before() -> None:
    """A look hung with another one as its pattern is the look itself."""
    held = judged_looks()[::7]
    for (_, like, _), (_, outfit, aims) in pairwise(held):
        same_body = replace(outfit, body=like.body)
        fresh = compose(like.body, same_body.look, outfit.schools)
        hinted = compose(
            like.body, same_body.look, outfit.schools, like=like if like.schools == outfit.schools else None
        )
        assert judge(fresh, aims).findings == judge(hinted, aims).findings
