"""Laws of what is handed over: a card says only what the look has, in the client's language."""

from __future__ import annotations

import re
from collections.abc import Iterator
from pathlib import Path
from typing import Any

import pytest
import yaml

from craft.body import Body, Measures
from craft.cloth import Piece
from craft.hand.book import by_occasion, by_piece
from craft.hand.card import air_of, card_of, serves
from craft.hand.said import REASONS, TUCKS, heel_said, the
from craft.hand.variants import told, variant
from craft.judge import Aims, judge
from craft.judge.aims import Setting
from craft.look import Look, compose
from craft.search.crew import Asked
from craft.search.ways import Owned
from craft.wear.top import TUCKS as WORN_TUCKS

BODY = Body.of(Measures.of({"stature": 166, "bust": 93, "waist": 75, "hip": 101}))
CASES = yaml.safe_load((Path(__file__).parents[1] / "cases" / "looks.yaml").read_text())["cases"]
#: Words for a body that no client need read on a card, and for what a judge weighs.
UNSAID = re.compile(
    r"\b(girth|weight|kilo|fat|big|slim\w*|short-waisted|belly|middle|thigh\w*|seat|bust|hips|score|verdict)\b", re.I
)


def looks() -> Iterator[list[dict[str, Any]]]:
    """Every look of the judged cases."""
    for case in CASES:
        for part in ("look", "better", "worse"):
            if isinstance(case.get(part), list):
                yield [*case.get("same", []), *case[part]] if part != "look" else case[part]


EVERY = list(looks())


def test_there_are_looks_to_hold_cards_to() -> None:
    assert len(EVERY) > 100


@pytest.mark.parametrize("hundred", range(0, len(EVERY), 100))
def test_a_card_says_only_what_the_look_has(hundred: int) -> None:
    for described in EVERY[hundred : hundred + 100]:
        look = Look.of(described)
        card = card_of(compose(BODY, look), Aims(), {})
        assert {piece.place for piece in card.pieces} == {piece.place for piece in look.pieces}
        own = {piece.name for piece in look.pieces}
        # A piece is named as it is called: after “the”, nothing that is not on.
        for line in card.how:
            for name in (piece.name for piece in map(Piece.of, ({"is": "blazer"}, {"is": "loafers"}, {"is": "scarf"}))):
                assert name not in line.text or any(name in one for one in own), (line, own)
            assert not re.search(r"\d", line.text), line
        for line in card.reasons:
            assert line.text in REASONS.values()
        keys = [line.key for line in (*card.how, *card.reasons, *card.mind)]
        assert len(keys) == len(set(keys)), keys
        tucked = any(line.key == "tuck" for line in card.how)
        assert not tucked or (look.piece("top") is not None and look.piece("bottom") is not None)


def test_the_clients_language_names_no_fault() -> None:
    for text in REASONS.values():
        assert not UNSAID.search(text) and not re.search(r"\d", text), text
    assert set(TUCKS) >= set(WORN_TUCKS)


def test_reasons_are_told_of_codes_that_rules_give() -> None:
    given = {
        finding.code
        for described in EVERY
        for finding in judge(
            compose(BODY, Look.of(described)), Aims.of({"wants": ["look_smart", "look_current"]})
        ).findings
        if finding.stance == "for"
    }
    told_of = set(REASONS) & given
    assert len(told_of) >= 18


def test_a_coat_is_for_colder_air() -> None:
    plain = [{"is": "trousers"}, {"is": "shirt"}, {"is": "loafers"}]
    bare, coated = (air_of(compose(BODY, Look.of(one))) for one in (plain, [*plain, {"is": "coat"}]))
    assert bare and coated and coated[0] < bare[0] and coated[1] == bare[1]


def test_the_variant_works_where_the_look_did_not_and_changes_little() -> None:
    look = Look.of([{"is": "trousers", "cut": "straight"}, {"is": "blouse", "tuck": "full"}, {"is": "trainers"}])
    asked, formal = Asked(BODY), Setting.of("ceremony", "formal")
    rack = [Owned(kind, Piece.of({"is": kind})) for kind in ("pumps", "sandals", "blazer", "necklace", "hat")]
    made = variant(asked, look, rack, formal)
    assert made is not None and made.works and 1 <= len(made.changes) <= 3
    assert "ceremony" not in serves(compose(BODY, look), Aims(), {"ceremony": formal})
    assert serves(compose(BODY, made.look), Aims(), {"ceremony": formal}) == ["ceremony"]
    base = {piece.kind for piece in look.pieces if piece.slot in ("bottom", "top")}
    assert base <= {piece.kind for piece in made.look.pieces}
    text = told(
        made, "ceremony", look, {one.key: one.key for one in rack}, {piece.place: piece.name for piece in look.pieces}
    )
    assert text.startswith("For ceremony: change to the pumps")
    assert variant(asked, look, [], formal) is None


def test_a_heel_and_a_name_are_said_plainly() -> None:
    assert [heel_said(cm) for cm in (0, 3, 6, 9)] == ["flat", "a low heel", "a middling heel", "a high heel"]
    assert (the("Navy blazer"), the("the good coat"), the("A4 bag")) == (
        "the navy blazer",
        "the good coat",
        "the A4 bag",
    )


def test_every_card_stands_once_in_a_book() -> None:
    cards = {"1": ["dinner", "office"], "2": ["office"], "3": [], "4": ["a feast"]}
    order = by_occasion(cards, ["office", "dinner"])
    assert sorted(card for _, listed in order for card in listed) == sorted(cards)
    index = by_piece([("1", ["Jeans", "Tee"]), ("2", ["Jeans", "Knit"])])
    assert [name for name, _ in index["Jeans"]] == ["1", "2"] and index["Tee"] == [("1", ["Jeans"])]
