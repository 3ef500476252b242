"""Rules are held to what they declare: what they look at, the readings, borders and schools that they ask.

One piece at a time is swapped over thousands of looks. What a rule says may change only with a place that it looks at,
or with a reading that it names; a reading only with a place that it names.
"""

from __future__ import annotations

import random
from collections.abc import Iterator
from dataclasses import replace
from typing import Any

import pytest

from craft.body import Body
from craft.body.words import SHAPES, nominal_measures
from craft.cloth import Piece
from craft.cloth.kinds import KIND, KINDS
from craft.cloth.words import DRESS_CUTS, LEG_CUTS, ONE_OF, SOME_OF, SWIM_DETAIL, TOP_CUTS
from craft.judge import RULES, Aims, Rule
from craft.judge.aims import SHOW, SOFTEN, WANTS, WONT, Setting
from craft.judge.borders import Border
from craft.judge.judgement import BORDERS
from craft.look import Look, Outfit, compose
from craft.look.readings import READINGS
from craft.schools import POSITIONS, Schools
from craft.search.worn import uncoloured
from tests.craft.looks import judged_looks

#: Looks that are drawn, and swaps tried on each.
DRAWN, SWAPS = 700, 6
COLOURS = ("black", "white", "navy", "dark_denim", "mid_blue", "camel", "burgundy", "nude", "neon_yellow", "cream")
CUTS = {"crotch": LEG_CUTS, "suit": LEG_CUTS, "waist": DRESS_CUTS, "whole": DRESS_CUTS, "shoulder": TOP_CUTS}
SAID = {
    "bottom": ("rise", "hem", "worn", "wash", "fit", "pattern"),
    "top": ("tuck", "hem", "neck", "sleeve", "fit", "pattern"),
    "layer": ("hem", "sleeve", "belted", "fit", "pattern"),
    "one_piece": ("hem", "neck", "sleeve", "belted", "fit", "pattern"),
    "shoes": ("toe", "bulk", "heel", "heel_shape", "shaft"),
    "swim": ("neck", "pattern", "rise"),
    "extra": ("belted", "drop", "pattern"),
}
FLAGS = {"bottom": "cuffed", "top": "rolled", "layer": "open", "shoes": "ankle_strap"}
FIGURES = {"inseam_cm": (20, 92), "leg_opening_cm": (26, 66), "front_rise_cm": (20, 38), "chest_cm": (78, 130),
           "length_cm": (40, 120), "waist_cm": (64, 96), "hem_cm": (2, 90)}  # fmt: skip


def a_piece(draw: random.Random, slot: str, kind: str | None = None) -> Piece:
    """Any piece of a slot, in words and figures."""
    kind = kind or draw.choice(KINDS[slot])
    words: dict[str, Any] = {"is": kind, "colour": draw.choice(COLOURS)}
    for key in draw.sample(SAID[slot], k=min(3, len(SAID[slot]))):
        words[key] = draw.choice(ONE_OF[key])
    if KIND[kind].hangs in CUTS and draw.random() < 0.6:
        words["cut"] = draw.choice(CUTS[KIND[kind].hangs])
    if slot not in ("shoes", "extra", "swim") and draw.random() < 0.5:
        words["fabric"] = draw.sample(SOME_OF["fabric"], k=2)
    if slot == "bottom" and draw.random() < 0.2:
        words["fade"] = ["thighs"]
    if slot == "swim":
        words["swim_detail"] = draw.sample(SWIM_DETAIL, k=2)
    if slot in FLAGS and draw.random() < 0.4:
        words[FLAGS[slot]] = True
    for key, (low, high) in FIGURES.items():
        if key in KIND[kind].figures and slot not in ("extra", "swim") and draw.random() < 0.12:
            words[key] = draw.randint(low, high)
    return Piece.of(words)


def a_look(draw: random.Random) -> Look:
    """Any look: clothes, now and then a dress over trousers or swimwear, and some things worn besides."""
    if draw.random() < 0.08:
        return Look(
            (a_piece(draw, "swim"), *(a_piece(draw, slot) for slot in ("shoes", "layer") if draw.random() < 0.4))
        )
    base = draw.choice([("bottom", "top")] * 6 + [("one_piece",)] * 3 + [("bottom", "one_piece"), ("one_piece", "top")])
    more = [slot for slot, often in (("layer", 0.6), ("shoes", 0.9)) if draw.random() < often]
    besides = [kind for kind in KINDS["extra"] if draw.random() < 0.25]
    return Look(
        (*(a_piece(draw, slot) for slot in (*base, *more)), *(a_piece(draw, "extra", kind) for kind in besides))
    )


def an_aim(draw: random.Random) -> Aims:
    """Any client: what they want, soften, show and will not wear, their colouring, where it is worn."""
    said = {key: draw.sample(words, k=draw.randint(0, 3))
            for key, words in (("wants", WANTS), ("soften", SOFTEN), ("show", SHOW), ("wont", WONT))}  # fmt: skip
    aims = Aims.of(said, {"depth": draw.choice(["light", "deep"]), "warmth": draw.choice(["warm", "cool"])})
    code = draw.choice([None, "formal", "relaxed", "black", "protective"])
    return replace(aims, setting=Setting.of("weekend", code, draw.choice([None, 2.0, 16.0, 31.0]), draw.random() < 0.3))


BODIES = [Body.of(nominal_measures({"shape": shape, "torso": torso, "middle": middle}, {}))
          for shape, torso, middle in zip(SHAPES, ("even", "short", "even", "short", "even"), ("flat", "average", "full", "average", "full"), strict=True)]  # fmt: skip


def seat(piece: Piece) -> str:
    """What rules and readings call a piece's place."""
    return piece.kind if piece.slot == "extra" else piece.slot


def swapped(draw: random.Random, look: Look) -> tuple[str, Look]:
    """A look with one piece put on, taken off or changed for another, and the place where that was."""
    piece = a_piece(draw, draw.choice(["bottom", "top", "layer", "shoes", "extra", "extra", "one_piece", "swim"]))
    on = [one for one in look.pieces if seat(one) == seat(piece)]
    rest = [one for one in look.pieces if seat(one) != seat(piece)]
    kept = rest if on and draw.random() < 0.3 else [*rest, piece]
    return seat(piece), Look(tuple(sorted(kept, key=lambda one: list(KINDS).index(one.slot))))


def drawn() -> Iterator[tuple[Outfit, Outfit, str, Aims]]:
    """Looks before and after a swap, the place that was swapped, and a client."""
    draw = random.Random(20261126)
    for _ in range(DRAWN):
        body, aims, look = draw.choice(BODIES), an_aim(draw), a_look(draw)
        schools = Schools.of({school: draw.choice(positions) for school, positions in POSITIONS.items()})
        before = compose(body, look, schools)
        for _ in range(SWAPS):
            place, other = swapped(draw, look)
            yield before, compose(body, other, schools), place, aims


@pytest.fixture(scope="module")
def swaps() -> list[tuple[Outfit, Outfit, str, Aims]]:
    return list(drawn())


def same(one: Any, two: Any) -> bool:
    return bool(one == two)


def test_a_reading_moves_only_with_what_it_looks_at(swaps: list[tuple[Outfit, Outfit, str, Aims]]) -> None:
    wrong = {
        (name, place)
        for before, after, place, _ in swaps
        for name, looks_at in READINGS.items()
        if name != "over" and place not in looks_at and not same(getattr(before, name), getattr(after, name))
    }
    assert wrong == set()


def test_what_a_rule_says_moves_only_with_what_it_declares(swaps: list[tuple[Outfit, Outfit, str, Aims]]) -> None:
    wrong: dict[str, set[str]] = {}
    said: dict[str, Any] = {}
    for at, (before, after, place, aims) in enumerate(swaps):
        if at % SWAPS == 0:
            said = {rule.id: rule.said_of(before, aims) for rule in RULES}
        moved = {name for name in READINGS if not same(getattr(before, name), getattr(after, name))}
        for rule in RULES:
            if (
                place not in rule.looks_at
                and moved.isdisjoint(rule.reads)
                and said[rule.id] != rule.said_of(after, aims)
            ):
                wrong.setdefault(rule.id, set()).add(place)
    assert wrong == {}


def test_a_rule_that_sees_no_colour_says_the_same_whatever_colours_are_on(
    swaps: list[tuple[Outfit, Outfit, str, Aims]],
) -> None:
    draw = random.Random(1)
    blind = [rule for rule in RULES if not rule.sees_colour]
    assert len(blind) > len(RULES) / 3

    def said(rule: Rule, outfit: Outfit, aims: Aims) -> list[tuple[Any, ...]]:
        return [(one.stance, one.thousandths, one.code, one.also) for one in rule.said_of(outfit, aims)]

    def painted(piece: Piece) -> Piece:
        plain, colour = uncoloured(piece), draw.choice((None, *COLOURS))
        return replace(plain, said=tuple(sorted((*plain.said, ("colour", colour))))) if colour else plain

    looks = [(before, aims) for before, _, _, aims in swaps[::SWAPS]] + [look[1:] for look in judged_looks()]
    wrong = set()
    for outfit, aims in looks:
        other = compose(outfit.body, Look(tuple(map(painted, outfit.look.pieces))), outfit.schools)
        wrong |= {rule.id for rule in blind if said(rule, outfit, aims) != said(rule, other, aims)}
    assert wrong == set()


def test_no_rule_reads_a_border_or_asks_a_school_that_it_does_not_declare(
    monkeypatch: pytest.MonkeyPatch, swaps: list[tuple[Outfit, Outfit, str, Aims]]
) -> None:
    read: set[str] = set()
    usual_of, usual_position = Border.of, Schools.position

    def of(self: Border, judged: Any) -> float:
        read.add(self.key)
        return usual_of(self, judged)

    def position(self: Schools, school: str) -> str:
        read.add(school)
        return usual_position(self, school)

    monkeypatch.setattr(Border, "of", of)
    monkeypatch.setattr(Schools, "position", position)
    found: dict[str, set[str]] = {rule.id: set() for rule in RULES}
    for outfit, _, _, aims in swaps[::SWAPS]:
        for rule in RULES:
            read.clear()
            rule.said_of(outfit, aims)
            found[rule.id] |= read
    for rule in RULES:
        declared = {border.key for border in rule.borders} | set(rule.schools)
        assert found[rule.id] <= declared, rule.id
        # What is declared is read: nothing is claimed that is not so.
        assert {border.key for border in rule.borders} <= found[rule.id] or not found[rule.id], rule.id


def test_a_moved_border_moves_only_the_rules_that_declare_it() -> None:
    looks = [(outfit, aims) for _, outfit, aims in judged_looks()][::3]
    for border in BORDERS:
        for outfit, aims in looks:
            ends = [replace(outfit, schools=replace(outfit.schools, moved=((border.key, end),))) for end in (border.low, border.high)]  # fmt: skip
            for rule in RULES:
                if border not in rule.borders:
                    low, high = (rule.said_of(end, aims) for end in ends)
                    assert low == high, (border.key, rule.id)


def test_every_rule_speaks_of_some_look_and_is_found_under_its_subject() -> None:
    spoken = {rule.id for _, outfit, aims in judged_looks() for rule in RULES if rule.said_of(outfit, aims)}
    # What a look of two tops says; looks are drawn with one.
    under = compose(BODIES[0], Look.of([{"is": "jeans"}, {"is": "shirt", "hem": "seat"}, {"is": "knit"}]))
    spoken |= {rule.id for rule in RULES if rule.said_of(under, Aims())}
    seventies = compose(
        BODIES[0],
        Look.of([{"is": "jeans", "cut": "flare"}, {"is": "blouse", "cut": "ruffled", "pattern": "large_print"},
                 {"is": "pumps", "heel_shape": "platform"}]),
    )  # fmt: skip
    pushed = compose(BODIES[0], Look.of([{"is": "jeans"}, {"is": "knit", "pushed": True}]))
    cold = replace(Aims(), setting=Setting.of("seated_work", None, 16))
    spoken |= {rule.id for rule in RULES if rule.said_of(seventies, Aims()) or rule.said_of(pushed, cold)}
    spoken |= {rule.id for before, _, _, aims in drawn() for rule in RULES if rule.said_of(before, aims)}
    assert [rule.id for rule in RULES if rule.id not in spoken] == []
    assert all(rule.says.endswith(".") and rule.source and rule.subject for rule in RULES)


def test_rules_are_told_apart_and_readings_known() -> None:
    from craft.judge.rule import Subject

    test = Subject("test", "Tests")
    with pytest.raises(ValueError, match="two rules are called"):
        test("volume.contrast")
    with pytest.raises(ValueError, match="no reading"):
        test("test.one", reads=("moods",))


def test_no_rule_pools_what_it_does_not_look_at() -> None:
    """A rule says the same of a look and of that look without everything that it neither looks at nor reads."""
    draw = random.Random(7)
    for _ in range(150):
        body, aims, look = draw.choice(BODIES), an_aim(draw), a_look(draw)
        whole = compose(body, look)
        for rule in RULES:
            seen = Look(tuple(piece for piece in look.pieces if seat(piece) in rule.places))
            assert rule.said_of(whole, aims) == rule.said_of(compose(body, seen), aims), rule.id
