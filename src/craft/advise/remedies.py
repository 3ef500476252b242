"""Ways to mend a look: a search, over the same engine, through what is free, what hangs on the rack, what a tailor
does and what could be bought; one change, or two where one does not do.

`mends_for` answers each finding while a hand still moves; this is asked for, and looks further.
"""

from __future__ import annotations

from collections.abc import Iterable, Iterator
from dataclasses import dataclass
from itertools import combinations
from typing import Any, Literal

from craft.advise.figures import figures_worn
from craft.advise.mends import FREE, OTHER_PIECE, SWAP_SHOE, TAILOR, Change, apply, changes
from craft.advise.rail import place_of, with_piece
from craft.body import Body
from craft.cloth import Piece
from craft.cloth.words import figure_name, said
from craft.judge import Aims, Judged, Judgement, judge
from craft.judge.finding import Finding
from craft.look import Look, Outfit, compose
from craft.schools import Schools
from craft.units import Sentence

Means = Literal["free", "rack", "tailor", "buy"]
#: What costs least comes first: nothing, then what hangs there, then the tailor, then the shop.
ORDER: tuple[Means, ...] = ("free", "rack", "tailor", "buy")
_MEANS: dict[int, Means] = {FREE: "free", SWAP_SHOE: "buy", TAILOR: "tailor", OTHER_PIECE: "buy"}
_RANK = {"against": 0, "watch": 1, "works": 2}
#: So many single changes are tried with each other, and so many ways are told.
PAIRED, TOLD = 12, 8
#: A change must raise the score by this much to be worth saying; a second one by this much more (W).
RAISES, SECOND_RAISES = 0.02, 0.05


@dataclass(frozen=True, slots=True)
class Step:
    """One change: words of the piece at a slot, or all the words of a piece of the rack put on there, and its key."""

    means: Means
    text: Sentence
    slot: str
    change: tuple[tuple[str, Any], ...] = ()
    key: str | None = None


@dataclass(frozen=True, slots=True)
class Remedy:
    """One or two changes with what they reach: the verdict, the findings that go and those that come.

    `shop` holds the figures to shop with, where one is a piece to buy.
    """

    steps: tuple[Step, ...]
    judgement: Judgement
    gone: tuple[Finding, ...]
    new: tuple[Finding, ...]
    shop: tuple[tuple[str, float], ...] = ()

    @property
    def means(self) -> Means:
        """The dearest of its steps."""
        return max((step.means for step in self.steps), key=ORDER.index)


def remedies(
    body: Body,
    look: Look,
    rack: Iterable[tuple[str, Piece]] = (),
    schools: Schools | None = None,
    aims: Aims | None = None,
) -> tuple[Remedy, ...]:
    """The ways to make a look better, the smallest first: those that reach a better verdict, then by what they cost.

    Nothing is offered that brings a new finding against as heavy as one that it takes away.

    >>> from craft.body import Measures
    >>> body = Body.of(Measures.of({"stature": 165}))
    >>> loose = Look.of([{"is": "trousers", "cut": "wide"}, {"is": "shirt", "fit": "relaxed"}])
    >>> remedies(body, loose)[0].means
    'free'
    """
    aims = aims or Aims()
    now = compose(body, look, schools)
    before = judge(now, aims)
    singles = [tried for tried in _singles(now, before, aims, rack) if tried[1].score > before.score + RAISES]
    singles.sort(key=lambda tried: _place(before, tried[1], [tried[0]]))
    found = [_remedy(now, before, [step], after, outfit) for step, after, outfit in singles]
    if not any(after.verdict == "works" and step.means in ("free", "rack") for step, after, _ in singles):
        found += _pairs(now, before, aims, [step for step, _, _ in _varied(singles)], dict(rack))
    found.sort(key=lambda remedy: _place(before, remedy.judgement, remedy.steps))
    return _told(found)


def _singles(
    now: Outfit, before: Judgement, aims: Aims, rack: Iterable[tuple[str, Piece]]
) -> Iterator[tuple[Step, Judgement, Outfit]]:
    against = {finding.rule for finding in before.findings if finding.counts_against}
    if not against:
        return
    for change in changes(now, aims, against):
        step = Step(_MEANS[change.cost], change.text, change.slot, tuple(change.change.items()))
        yield from _tried(now, before, aims, step, apply(now.look, change))
    worn = {place_of(piece) for piece in now.look.pieces}
    swims = any(piece.slot == "swim" for piece in now.look.pieces)
    for key, piece in rack:
        if piece in now.look.pieces or (piece.slot == "swim") != swims:
            continue
        how = "Change to the" if place_of(piece) in worn else "Put on the"
        text = Sentence.of(f"{how} {_told_apart(piece)}.")
        step = Step("rack", text, place_of(piece), tuple(piece.described().items()), key)
        yield from _tried(now, before, aims, step, with_piece(now.look, piece))


def _told_apart(piece: Piece) -> str:
    """A piece by colour and name: a rack holds more than one pair of trousers."""
    colour = piece.word("colour", "")
    return f"{said(colour)} {piece.name}" if colour and not colour.startswith("#") else piece.name


def _tried(
    now: Outfit, before: Judgement, aims: Aims, step: Step, look: Look
) -> Iterator[tuple[Step, Judgement, Outfit]]:
    """A change that is worth it: nothing new against it weighs what the heaviest that goes did."""
    outfit = compose(now.body, look, now.schools, like=now)
    after = Judged(now, aims, before).again(outfit)
    gone, new = _difference(before, after)
    if gone and max((f.weight for f in new), default=0.0) < max(f.weight for f in gone):
        yield step, after, outfit


def _difference(before: Judgement, after: Judgement) -> tuple[tuple[Finding, ...], tuple[Finding, ...]]:
    """The findings against that go, and those that come."""
    was = {finding.rule: finding for finding in before.findings if finding.counts_against}
    is_ = {finding.rule: finding for finding in after.findings if finding.counts_against}
    return (
        tuple(f for rule, f in was.items() if rule not in is_),
        tuple(f for rule, f in is_.items() if rule not in was),
    )


def _place(before: Judgement, after: Judgement, steps: Iterable[Step]) -> tuple[float, ...]:
    """Where a way stands: a better verdict first, then the cheaper, the fewer steps, the higher score."""
    listed = list(steps)
    dearest = max(ORDER.index(step.means) for step in listed)
    better = _RANK[after.verdict] - _RANK[before.verdict]
    return (-float(better), float(dearest), float(len(listed)), -after.score)


def _varied(singles: list[tuple[Step, Judgement, Outfit]]) -> list[tuple[Step, Judgement, Outfit]]:
    """The best single changes, no place more than three times."""
    kept: list[tuple[Step, Judgement, Outfit]] = []
    for tried in sorted(singles, key=lambda tried: -tried[1].score):
        if sum(other[0].slot == tried[0].slot for other in kept) < 3:
            kept.append(tried)
    return kept[:PAIRED]


def _pairs(now: Outfit, before: Judgement, aims: Aims, steps: list[Step], rack: dict[str, Piece]) -> list[Remedy]:
    """Two changes at two places, where together they do clearly more than either."""
    judged = Judged(now, aims, before)
    alone = {
        step: judged.again(compose(now.body, _with(now.look, step, rack), now.schools, like=now)).score
        for step in steps
    }
    found = []
    for one, two in combinations(steps, 2):
        if one.slot == two.slot or {one.slot, two.slot} & {"one_piece"}:
            continue
        look = _with(_with(now.look, one, rack), two, rack)
        outfit = compose(now.body, look, now.schools, like=now)
        after = judged.again(outfit)
        gone, new = _difference(before, after)
        if after.score < max(alone[one], alone[two]) + SECOND_RAISES or not gone:
            continue
        if max((f.weight for f in new), default=0.0) < max(f.weight for f in gone):
            found.append(_remedy(now, before, [one, two], after, outfit))
    return found


def _with(look: Look, step: Step, rack: dict[str, Piece]) -> Look:
    if step.key is not None:
        return with_piece(look, rack[step.key])
    return apply(look, Change(step.slot, dict(step.change), step.text, 0))


def _remedy(now: Outfit, before: Judgement, steps: list[Step], after: Judgement, outfit: Outfit) -> Remedy:
    gone, new = _difference(before, after)
    bought = [step.slot for step in steps if step.means == "buy"]
    worn = figures_worn(outfit)
    shop = tuple((figure_name(key), cm) for slot in bought for key, cm in worn.get(slot, ()))
    return Remedy(tuple(steps), after, gone, new, shop)


def _told(found: list[Remedy]) -> tuple[Remedy, ...]:
    """The first of each means and place; then the rest, as far as there is room."""
    seen: set[tuple[object, ...]] = set()
    first: list[Remedy] = []
    rest: list[Remedy] = []
    for remedy in found:
        key = (remedy.means, len(remedy.steps), *sorted(step.slot for step in remedy.steps))
        (rest if key in seen else first).append(remedy)
        seen.add(key)
    kept = [*first, *rest][:TOLD]
    return tuple(remedy for remedy in found if remedy in kept)
