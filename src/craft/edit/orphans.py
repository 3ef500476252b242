"""Orphans: pieces that stand in no look that works; why, and the smallest thing that would adopt each.

What is tried, from the smallest on: another way to wear it, what a tailor can do, a piece of the stylist's kit, a cheap thing
to buy, a garment or a pair of shoes to buy. Each is really put into the wardrobe and its looks are counted.
"""

from __future__ import annotations

from collections import Counter
from collections.abc import Iterable, Iterator, Sequence
from dataclasses import dataclass, replace
from typing import Any, Literal

from craft.cloth import Piece
from craft.edit.candidates import Candidate
from craft.edit.gaps import along_one
from craft.fit import land
from craft.search.alter import for_the_tailor
from craft.search.crew import Asked
from craft.search.search import FoundLook, Search
from craft.search.wardrobe import Breadth, Family, Wardrobe, families_adding
from craft.search.ways import Owned, misfit, ways_of
from craft.search.week import Day, by_day
from craft.search.wish import Wish
from craft.search.worn import AXES
from craft.wear import BAREFOOT, WornShoes, wear_shoes
from craft.wear.length import fall_of

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
    "one_piece": ({"belted": "thin"}, {"belted": "medium"}, {"rolled": True}, {"pushed": True}),
    "layer": ({"open": True}, {"open": False}, {"belted": "medium"}, {"belted": "wide"}, {"rolled": True}, {"pushed": True}),
}  # fmt: skip
#: By so many cm a tailor shortens (W: a hem on its own is taken up so far at most), the least first.
SHORTENS = (2.0, 4.0, 6.0, 8.0, 10.0, 12.0, 16.0, 20.0)
#: How broadly looks are tried with what might adopt a piece; and of so many of its best looks it is asked what stands in the way.
TRIED, LOOKED_AT = Breadth(0, 1), 12
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
    text: str
    adoptions: tuple[Adoption, ...]


def stands_in_the_way(asked: Asked, search: Search, key: str, wish: Wish | None = None) -> tuple[str, str]:
    """The finding against that most of a piece's best looks share, as its title and its sentence in centimetres; empty where
    there is no look at all."""
    looks = search.with_all([key]).best(LOOKED_AT, wish)
    counted: Counter[str] = Counter()
    said: dict[str, str] = {}
    for look in looks:
        for finding in look.judged(asked).findings:
            if finding.counts_against:
                counted[finding.title] += finding.thousandths
                said.setdefault(finding.title, finding.text.say())
    if not counted:
        return "", ""
    title = max(counted, key=lambda one: (counted[one], one))
    return title, said[title]


def adoptions(
    asked: Asked,
    orphan: Owned,
    others: Sequence[Owned],
    days: tuple[Day, ...],
    candidates: Sequence[Candidate] = (),
    kit: Sequence[Owned] = (),
    wish: Wish | None = None,
) -> tuple[Adoption, ...]:
    """What would adopt a piece, the smallest first. `others` are the other pieces that fit and are at hand; a piece that does not
    fit is asked of the tailor only.

    >>> from craft.body import Body, Measures
    >>> from craft.judge.aims import Aims, Setting
    >>> asked = Asked(Body.of(Measures.of({"stature": 165})), aims=Aims.of({"wont": ["sleeveless"]}))
    >>> owned = [Owned(kind, Piece.of({"is": kind})) for kind in ("trousers", "flats")]
    >>> blazer = Candidate("blazer", Piece.of({"is": "blazer", "open": True}))
    >>> [one.kind for one in adoptions(asked, Owned("tank", Piece.of({"is": "tank"})), owned, (Day(Setting()),), [blazer])]
    ['blazer']
    """
    wish, plain = wish or Wish(), [one for one in others if one.piece.slot != "extra" and one.key != orphan.key]
    fits = misfit(asked.body, orphan.piece, schools=asked.schools) is None
    found = list(_as_altered(asked, orphan, plain, days, wish))
    if fits:
        found += _as_worn(asked, orphan, plain, days, wish)
        found += _with_one_more(asked, orphan, plain, days, kit, "kit", wish)
        found += _with_one_more(asked, orphan, plain, days, [one.owned for one in candidates], "buy", wish)
    return tuple(sorted(found, key=lambda one: one.order))


def _as_worn(asked: Asked, orphan: Owned, others: list[Owned], days: tuple[Day, ...], wish: Wish) -> Iterator[Adoption]:
    usual = {way.piece for way in ways_of(asked.body, orphan, asked.schools, boots=True)}
    tried: dict[str, tuple[dict[str, Any], Piece]] = {}
    for number, words in enumerate(WAYS.get(orphan.piece.slot, ())):
        piece = orphan.piece.with_(**words)
        if piece not in usual and piece != orphan.piece:
            tried[f"{orphan.key} {number}"] = words, piece
    variants = [Owned(key, piece) for key, (_, piece) in tried.items()]
    for key, looks in _counted(asked, variants, others, days, wish, PLAIN).items():
        if looks:
            yield Adoption("worn", looks, worn=tuple(tried[key][0].items()))


def _as_altered(
    asked: Asked, orphan: Owned, others: list[Owned], days: tuple[Day, ...], wish: Wish
) -> Iterator[Adoption]:
    """The least change of each figure with which it fits, and stands in looks that work."""
    tried: dict[str, tuple[str, float, Owned]] = {}
    for number, (figure, change, piece) in enumerate(altered(asked, orphan.piece, _lowest(asked, others))):
        if misfit(asked.body, piece, schools=asked.schools) is None:
            key = f"{orphan.key} {number}"
            tried[key] = figure, change, replace(orphan, key=key, piece=piece)
    found: dict[str, Adoption] = {}
    for key, looks in _counted(asked, [one for *_, one in tried.values()], others, days, wish, TRIED).items():
        figure, change, _ = tried[key]
        if looks and figure not in found:
            found[figure] = Adoption("tailor", looks, change=(figure, change))
    yield from found.values()


def altered(asked: Asked, piece: Piece, shoes: WornShoes = BAREFOOT) -> Iterator[tuple[str, float, Piece]]:
    """A piece with one figure changed by the tailor, the least changes first: the figure, by how many cm, the piece so."""
    fall = fall_of(asked.body, piece)
    landed = land(asked.body, piece, shoes, asked.schools)
    has: dict[str, float] = {key: figure for key in piece.row.figures if (figure := piece.figure(key)) is not None}
    if fall is not None and landed.edges:
        has.setdefault(fall.figure, fall.length(landed.edge("hem").falls_to, shoes.lift))
    changes = [(key, by) for key, by in for_the_tailor(asked.body, piece, shoes, asked.schools).items() if key in has]
    if fall is not None and fall.figure in has:
        changes += [(fall.figure, -by) for by in SHORTENS]
    for key, by in sorted(changes, key=lambda one: abs(one[1])):
        if has[key] + by > 0:
            yield key, by, piece.with_(**{key: has[key] + by})


def _lowest(asked: Asked, owned: Iterable[Owned]) -> WornShoes:
    worn = [wear_shoes(asked.body, one.piece) for one in owned if one.piece.slot == "shoes"]
    return min(worn, key=lambda shoes: shoes.lift, default=BAREFOOT)


def _with_one_more(
    asked: Asked,
    orphan: Owned,
    others: list[Owned],
    days: tuple[Day, ...],
    more: Sequence[Owned],
    means: Means,
    wish: Wish,
) -> Iterator[Adoption]:
    """Of everything that might come to it, in how many looks that work the two would stand."""
    families = []
    for axis, family in families_adding(asked.body, [*others, orphan], more, asked.schools, TRIED):
        for at, name in enumerate(AXES):
            choices = [
                number for number, ways in enumerate(family.at(name)) if any(way.key == orphan.key for way in ways)
            ]
            if choices and name != axis:
                every = [list(range(len(family.at(other)))) for other in AXES]
                every[at] = choices
                families.append((axis, family.part(every)))
    pieces = {one.key: one.piece for one in more}
    for key, looks in _best_day(asked, families, days, wish).items():
        if key in pieces and looks:
            yield Adoption(means, looks, key=key, piece=pieces[key])


def _counted(
    asked: Asked, variants: Sequence[Owned], others: list[Owned], days: tuple[Day, ...], wish: Wish, breadth: Breadth
) -> dict[str, int]:
    """In how many outfits that work each of some variants of a piece would stand."""
    if not variants:
        return {}
    families = list(families_adding(asked.body, others, variants, asked.schools, breadth))
    return {one.key: 0 for one in variants} | _best_day(asked, families, days, wish)


def _best_day(asked: Asked, families: list[tuple[str, Family]], days: tuple[Day, ...], wish: Wish) -> dict[str, int]:
    found: dict[str, int] = {}
    wardrobe = Wardrobe(tuple(family for _, family in families), TRIED)
    for search in by_day(asked, wardrobe, days) if families else ():
        of_day: Counter[str] = Counter()
        for (axis, _), (family, sums) in zip(families, search.families, strict=True):
            of_day.update(along_one(family, sums, wish, axis)[0])
        for key, looks in of_day.items():
            found[key] = max(found.get(key, 0), looks)
    return found


def looks_with(
    asked: Asked, orphan: Owned, others: Sequence[Owned], added: Owned, many: int, wish: Wish | None = None
) -> list[FoundLook]:
    """A few looks of a piece with what adopts it."""
    kept = [one for one in others if one.key != orphan.key and one.piece.slot != "extra"]
    families = [family for _, family in families_adding(asked.body, [*kept, orphan], [added], asked.schools, TRIED)]
    search = Search(asked, Wardrobe(tuple(families), TRIED)).with_all([orphan.key, added.key])
    return search.few(many, wish, frozenset({orphan.key, added.key}))
