"""Orphans: pieces that stand in no look that works; why, and the smallest thing that would adopt each.

What is tried, from the smallest on: another way to wear it, what a tailor can do, a piece of the stylist's kit, a cheap thing
to buy, a garment or a pair of shoes to buy. Each is really put into the wardrobe and its looks are counted.
"""

from __future__ import annotations

from collections import Counter
from collections.abc import Iterable, Iterator, Sequence
from dataclasses import dataclass, replace
from itertools import product
from typing import Any, Literal

import numpy as np

from craft.cloth import Piece
from craft.edit.altering import altered
from craft.edit.candidates import Candidate
from craft.edit.gaps import along_one, outfits
from craft.edit.steps import Steps
from craft.search.crew import Asked, Progress
from craft.search.search import Search
from craft.search.tables import Packed
from craft.search.wardrobe import Breadth, Family, Wardrobe, families_adding
from craft.search.ways import Owned, misfit, ways_of
from craft.search.week import Day, by_day
from craft.search.wish import Wish
from craft.search.worn import AXES
from craft.wear import BAREFOOT, WornShoes, wear_shoes

Means = Literal["worn", "tailor", "kit", "buy"]
#: The smallest first.
ORDER: tuple[Means, ...] = ("worn", "tailor", "kit", "buy")
#: Ways that are sensible with one piece or another and are not tried of every one, by where it is worn.
WAYS: dict[str, tuple[dict[str, Any], ...]] = {
    "top": (
        {"tuck": "front"}, {"tuck": "half"}, {"tuck": "bloused"}, {"tuck": "side"}, {"tuck": "knot"}, {"tuck": "full"},
        {"pushed": True}, {"rolled": True},
    ),
    "bottom": ({"cuffed": True}, {"hem_finish": "rolled_in"}),
    "one_piece": ({"rolled": True}, {"pushed": True}),
    "layer": ({"open": True}, {"open": False}, {"rolled": True}, {"pushed": True}),
}  # fmt: skip
#: How broadly looks are tried with what might adopt a piece; and of so many of its best looks it is asked what stands in the way.
TRIED, LOOKED_AT = Breadth(1, 1), 12
#: So many looks of orphans with things to buy are tried with a layer over them.
MOST = 400_000
PLAIN = Breadth(0, 1, every_way=False)


@dataclass(frozen=True, slots=True)
class Adoption:
    """Something that would bring a piece into looks that work: by which means, what exactly, and how many looks."""

    means: Means
    looks: int
    #: The words to wear it by, or the figure that the tailor changes and by how many cm.
    worn: tuple[tuple[str, Any], ...] = ()
    change: tuple[str, float] | None = None
    #: The candidate or the piece of the kit that adopts it.
    key: str = ""
    piece: Piece | None = None

    @property
    def kind(self) -> str:
        """What adopts it, as a judged wardrobe says it: `worn`, `tailor`, or the kind of piece."""
        return self.piece.kind if self.piece is not None else self.means

    @property
    def order(self) -> tuple[int, bool, int, str]:
        """The smallest thing first; of two as small the one that makes more looks."""
        dear = self.piece is not None and self.piece.slot != "extra"
        return ORDER.index(self.means), dear, -self.looks, self.key


@dataclass(frozen=True)
class Orphan:
    """A piece in no look that works: what stands in the way most often, and what would adopt it, the smallest first."""

    key: str
    why: str
    adoptions: tuple[Adoption, ...]


def stands_in_the_way(asked: Asked, search: Search, key: str, wish: Wish | None = None) -> str:
    """What stands in a piece's way: the finding against that weighs most over its best looks, by its title; empty where there is
    no look at all."""
    counted: Counter[str] = Counter()
    for look in search.with_all([key]).best(LOOKED_AT, wish):
        for finding in look.judged(asked).findings:
            if finding.counts_against:
                counted[finding.title] += finding.thousandths
    return max(counted, key=lambda one: (counted[one], one), default="")


def adoptions(
    asked: Asked,
    orphan: Owned,
    others: Sequence[Owned],
    days: tuple[Day, ...],
    candidates: Sequence[Candidate] = (),
    kit: Sequence[Owned] = (),
    wish: Wish | None = None,
) -> tuple[Adoption, ...]:
    """What would adopt a piece, the smallest first. `others` are the pieces that fit and are at hand; a piece that does not
    fit is asked of the tailor only.

    >>> from craft.body import Body, Measures
    >>> from craft.judge.aims import Aims, Setting
    >>> asked = Asked(Body.of(Measures.of({"stature": 165})), aims=Aims.of({"wont": ["sleeveless"]}))
    >>> owned = [Owned(kind, Piece.of({"is": kind})) for kind in ("trousers", "flats")]
    >>> blazer = Candidate("blazer", Piece.of({"is": "blazer", "open": True}))
    >>> [one.kind for one in adoptions(asked, Owned("tank", Piece.of({"is": "tank"})), owned, (Day(Setting()),), [blazer])]
    ['blazer']
    """
    return adoptions_of(asked, [orphan], others, days, candidates, kit, wish)[orphan.key]


def adoptions_of(
    asked: Asked,
    orphans: Sequence[Owned],
    others: Sequence[Owned],
    days: tuple[Day, ...],
    candidates: Sequence[Candidate] = (),
    kit: Sequence[Owned] = (),
    wish: Wish | None = None,
    progress: Progress | None = None,
) -> dict[str, tuple[Adoption, ...]]:
    """The same of several pieces at once, by their keys: they are tried together, which is quicker than one after the other."""
    wish, plain = wish or Wish(), [one for one in others if one.piece.slot != "extra"]
    found: dict[str, list[Adoption]] = {one.key: [] for one in orphans}
    fit = [one for one in orphans if misfit(asked.body, one.piece, schools=asked.schools) is None]
    steps = Steps(progress, (0.15, 0.1, 0.1, 0.65))
    tried = [
        _as_altered(asked, orphans, plain, days, wish, steps.next()),
        _as_worn(asked, fit, plain, days, wish, steps.next()),
        _with_one_more(asked, fit, plain, days, kit, "kit", wish, steps.next()),
        _with_one_more(asked, fit, plain, days, [one.owned for one in candidates], "buy", wish, steps.next()),
    ]
    for key, adoption in (one for each in tried for one in each):
        found[key].append(adoption)
    return {key: tuple(sorted(listed, key=lambda one: one.order)) for key, listed in found.items()}


def _as_worn(
    asked: Asked,
    orphans: Sequence[Owned],
    others: list[Owned],
    days: tuple[Day, ...],
    wish: Wish,
    progress: Progress | None,
) -> Iterator[tuple[str, Adoption]]:
    tried: dict[str, tuple[str, dict[str, Any]]] = {}
    variants = []
    for orphan in orphans:
        usual = {way.piece for way in ways_of(asked.body, orphan, asked.schools, boots=True)}
        for number, words in enumerate(WAYS.get(orphan.piece.slot, ())):
            piece = orphan.piece.with_(**words)
            if piece not in usual and piece != orphan.piece:
                key = f"{orphan.key} {number}"
                tried[key] = orphan.key, words
                variants.append(Owned(key, piece))
    for key, looks in _counted(asked, variants, others, days, wish, progress).items():
        if looks:
            orphan_key, words = tried[key]
            yield orphan_key, Adoption("worn", looks, worn=tuple(words.items()))


def _as_altered(
    asked: Asked,
    orphans: Sequence[Owned],
    others: list[Owned],
    days: tuple[Day, ...],
    wish: Wish,
    progress: Progress | None,
) -> Iterator[tuple[str, Adoption]]:
    """The least change of each figure with which a piece fits, and stands in looks that work."""
    lowest = _lowest(asked, others)
    tried: dict[str, tuple[str, str, float]] = {}
    variants = []
    for orphan in orphans:
        for number, (figure, change, piece) in enumerate(altered(asked, orphan.piece, lowest)):
            if misfit(asked.body, piece, schools=asked.schools) is None:
                key = f"{orphan.key} {number}"
                tried[key] = orphan.key, figure, change
                variants.append(replace(orphan, key=key, piece=piece))
    found: set[tuple[str, str]] = set()
    for key, looks in _counted(asked, variants, others, days, wish, progress).items():
        orphan_key, figure, change = tried[key]
        if looks and (orphan_key, figure) not in found:
            found.add((orphan_key, figure))
            yield orphan_key, Adoption("tailor", looks, change=(figure, change))


def _lowest(asked: Asked, owned: Iterable[Owned]) -> WornShoes:
    worn = [wear_shoes(asked.body, one.piece) for one in owned if one.piece.slot == "shoes"]
    return min(worn, key=lambda shoes: shoes.lift, default=BAREFOOT)


def _with_one_more(
    asked: Asked,
    orphans: Sequence[Owned],
    others: list[Owned],
    days: tuple[Day, ...],
    more: Sequence[Owned],
    means: Means,
    wish: Wish,
    progress: Progress | None,
) -> Iterator[tuple[str, Adoption]]:
    """Of everything that might come to them, in how many outfits that work each two would stand."""
    alone = {one.key for one in orphans}
    there = [*(one for one in others if one.key not in alone), *orphans]
    families = _pairs(asked, there, more, alone)
    if sum(family.size for *_, family in families) > MOST:
        # A large wardrobe: what adopts a piece does so without a layer too.
        families = _pairs(asked, [one for one in there if one.piece.slot != "layer" or one.key in alone], more, alone)
    pieces = {one.key: one.piece for one in more}
    found: dict[tuple[str, str], int] = {}
    wardrobe = Wardrobe(tuple(family for *_, family in families), TRIED)
    for search in by_day(asked, wardrobe, days, progress) if families else ():
        of_day: Counter[tuple[str, str]] = Counter()
        for (new, old, _), (family, sums) in zip(families, search.families, strict=True):
            of_day.update(along_two(family, sums, wish, old, new))
        for pair, looks in of_day.items():
            found[pair] = max(found.get(pair, 0), looks)
    for (orphan, key), looks in found.items():
        if orphan in alone and key in pieces and looks:
            yield orphan, Adoption(means, looks, key=key, piece=pieces[key])


def _pairs(asked: Asked, there: list[Owned], more: Sequence[Owned], alone: set[str]) -> list[tuple[str, str, Family]]:
    """The looks of an orphan with one thing more: the axis of the one, that of the other, and the family."""
    found = []
    for new, family in families_adding(asked.body, there, more, asked.schools, TRIED):
        for at, old in enumerate(AXES):
            choices = [number for number, ways in enumerate(family.at(old)) if any(way.key in alone for way in ways)]
            if choices and old != new:
                every = [list(range(len(family.at(other)))) for other in AXES]
                every[at] = choices
                found.append((new, old, family.part(every)))
    return found


def along_two(family: Family, sums: Packed, wish: Wish, one: str, other: str) -> dict[tuple[str, str], int]:
    """How many outfits work with each two pieces on two axes."""
    worth, keys = outfits(family, sums, wish)
    axes = (AXES.index(one), AXES.index(other))
    many = np.count_nonzero(worth, axis=tuple(at for at in range(len(AXES)) if at not in axes))
    many = many if axes[0] < axes[1] else many.T
    found: dict[tuple[str, str], int] = {}
    for row, first in enumerate(keys[axes[0]]):
        for column, second in enumerate(keys[axes[1]]):
            for pair in product(first, second):
                found[pair] = found.get(pair, 0) + int(many[row, column])
    return found


def _counted(
    asked: Asked,
    variants: Sequence[Owned],
    others: list[Owned],
    days: tuple[Day, ...],
    wish: Wish,
    progress: Progress | None,
) -> dict[str, int]:
    """In how many outfits that work each of some variants of a piece would stand, on the kind of day that it serves most."""
    if not variants:
        return {}
    families = list(families_adding(asked.body, others, variants, asked.schools, PLAIN))
    found = {one.key: 0 for one in variants}
    wardrobe = Wardrobe(tuple(family for _, family in families), TRIED)
    for search in by_day(asked, wardrobe, days, progress) if families else ():
        of_day: Counter[str] = Counter()
        for (axis, _), (family, sums) in zip(families, search.families, strict=True):
            of_day.update(along_one(family, sums, wish, axis)[0])
        for key, looks in of_day.items():
            found[key] = max(found.get(key, 0), looks)
    return found
