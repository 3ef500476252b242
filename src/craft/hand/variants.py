"""A look made over for another occasion with what is owned: the fewest changes that make it work there ("for dinner: change the
shoe and add ..."). The base stays; shoe, layer and what is worn besides change (brief, section 21)."""

from __future__ import annotations

from collections.abc import Iterator, Mapping, Sequence
from dataclasses import dataclass, replace
from itertools import combinations

from craft.advise.rail import with_piece
from craft.hand.said import listed, the
from craft.judge import judge
from craft.judge.aims import Setting
from craft.look import Look, compose
from craft.search.crew import Asked
from craft.search.ways import BENEATH, Owned

#: Of single changes the best so many of each place are tried together with those of other places.
TOGETHER = 3
#: Another change has to be worth so much of a score (W).
WORTH = 0.04
#: What is changed, in the order in which hands do it.
PLACES = ("shoes", "layer", "besides")


@dataclass(frozen=True, slots=True)
class Change:
    """One change: a piece put on at its place, or what is at a place taken off."""

    place: str
    on: Owned | None


@dataclass(frozen=True)
class Variant:
    """A look made over for an occasion: the changes, how the look then scores, and whether it works."""

    changes: tuple[Change, ...]
    look: Look
    score: float
    works: bool


def variant(asked: Asked, look: Look, rack: Sequence[Owned], setting: Setting) -> Variant | None:
    """The fewest changes that make a look work on an occasion, the best of those; None where nothing on the rack does, or where
    it works as it is and nothing makes it plainly better.

    >>> from craft.body import Body, Measures
    >>> from craft.cloth import Piece
    >>> asked = Asked(Body.of(Measures.of({"stature": 165})))
    >>> look = Look.of([{"is": "trousers", "cut": "straight"}, {"is": "blouse", "tuck": "full"}, {"is": "trainers"}])
    >>> made = variant(asked, look, [Owned("court", Piece.of({"is": "pumps"}))], Setting.of("dinner", "formal"))
    >>> [change.on.key for change in made.changes] if made else None
    ['court']
    """
    asked = replace(asked, aims=replace(asked.aims, setting=setting))
    now = _made(asked, look, ())
    singles = sorted((_made(asked, look, (one,)) for one in _changes(look, rack)), key=lambda one: -one.score)
    leading = [
        one for place in PLACES for one in [made for made in singles if _place(made.changes[0]) == place][:TOGETHER]
    ]
    more = [
        _made(asked, look, tuple(made.changes[0] for made in several))
        for many in (2, 3)
        for several in combinations(leading, many)
        if len({_place(made.changes[0]) for made in several}) == many
    ]
    best = now
    for made in [*singles[:1], *sorted(more, key=lambda one: (len(one.changes), -one.score))]:
        better = made.works and (
            not best.works or made.score >= best.score + WORTH * (len(made.changes) - len(best.changes))
        )
        if better and (made.score > best.score or not best.works):
            best = made
    return best if best.changes and best.works else None


def _place(change: Change) -> str:
    return change.place if change.place in ("shoes", "layer") else "besides"


def _changes(look: Look, rack: Sequence[Owned]) -> Iterator[Change]:
    on = set(look.pieces)
    worn = {piece.place for piece in look.pieces}
    if look.all("layer"):
        yield Change("layer", None)
    for one in rack:
        piece = one.piece
        if piece in on or piece.place in BENEATH or piece.place in ("tights", "socks"):
            continue
        if piece.slot in ("shoes", "layer") or (piece.slot == "extra" and piece.place not in worn):
            yield Change(piece.place if piece.slot == "extra" else piece.slot, one)


def _made(asked: Asked, look: Look, changes: tuple[Change, ...]) -> Variant:
    for change in changes:
        if change.on is not None:
            look = with_piece(look, change.on.piece)
        else:
            look = Look(tuple(piece for piece in look.pieces if piece.slot != change.place))
    judged = judge(compose(asked.body, look, asked.schools), asked.aims, asked.rules)
    return Variant(changes, look, judged.score, judged.verdict == "works")


def told(made: Variant, occasion: str, before: Look, called: Mapping[str, str], named: Mapping[str, str]) -> str:
    """A variant in a sentence; `called` names pieces of the rack by key, `named` those of the look by place.

    "For dinner: change to the black slingbacks, leave off the cardigan and add the pendant."
    """
    worn = {piece.slot for piece in before.pieces}
    steps = []
    for change in sorted(made.changes, key=lambda one: PLACES.index(_place(one))):
        if change.on is None:
            steps.append(f"leave off {the(named.get(change.place, change.place))}")
        elif change.place in ("shoes", "layer") and change.place in worn:
            steps.append(f"change to {the(called[change.on.key])}")
        else:
            steps.append(f"add {the(called[change.on.key])}")
    return f"For {occasion}: {listed(steps)}."
