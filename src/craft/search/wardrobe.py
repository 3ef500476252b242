"""A client's wardrobe as racks to search: what fits and is at hand, in every sensible way to wear it, as far as is searched."""

from __future__ import annotations

from collections.abc import Iterable, Iterator
from dataclasses import dataclass, field
from itertools import product
from math import prod

from craft.body import Body
from craft.cloth import Piece
from craft.schools import Schools
from craft.search.ways import BENEATH, Owned, Way, layered, misfit, over_another, pairs, ways_of
from craft.search.worn import AXES, Rack

#: Several ways chosen together on an axis: none, one, two layers, two things worn besides.
Chosen = tuple[Way, ...]
#: So many looks are searched in one go; of a larger wardrobe less is tried, and said (memory: four bytes a look).
MOST = 40_000_000


@dataclass(frozen=True)
class Family:
    """Looks of one kind of base: which ways are chosen on each axis."""

    name: str
    chosen: dict[str, tuple[Chosen, ...]]

    @property
    def rack(self) -> Rack:
        """The pieces of the choices."""
        return Rack({axis: tuple(tuple(way.piece for way in one) for one in of) for axis, of in self.chosen.items()})

    @property
    def size(self) -> int:
        """How many looks it has."""
        return prod(len(self.at(axis)) for axis in AXES)

    def at(self, axis: str) -> tuple[Chosen, ...]:
        """The choices on an axis; one empty one where the family has none."""
        return self.chosen.get(axis) or ((),)

    def with_all(self, keys: Iterable[str]) -> Iterator[list[list[int]]]:
        """The choices on each axis with which all of these pieces are on, for each way to spread the pieces over the axes."""
        listed = sorted(keys)
        for axes in product(range(len(AXES)), repeat=len(listed)):
            found = [list(range(len(self.at(axis)))) for axis in AXES]
            for key, axis in zip(listed, axes, strict=True):
                choices = self.at(AXES[axis])
                found[axis] = [at for at in found[axis] if any(way.key == key for way in choices[at])]
                if not found[axis]:
                    break
            else:
                yield found

    def part(self, at: list[list[int]]) -> Family:
        """The family with only some of the choices on each axis."""
        chosen = {axis: tuple(self.at(axis)[number] for number in of) for axis, of in zip(AXES, at, strict=True)}
        return Family(self.name, chosen)

    def look(self, at: Iterable[int]) -> tuple[Way, ...]:
        """The ways of the look at these numbers, axis by axis."""
        return tuple(way for axis, number in zip(AXES, at, strict=True) for way in self.at(axis)[number])


@dataclass(frozen=True)
class Breadth:
    """How much of a wardrobe is tried: things worn besides at once, layers at once, whether in every way, and whether with sleeves
    up as well."""

    besides: int = 2
    layers: int = 2
    every_way: bool = True
    sleeves: bool = False

    @property
    def left_out(self) -> tuple[str, ...]:
        """What is not tried, in words."""
        said = {
            0: "nothing worn besides was tried: no belt, scarf or jewellery",
            1: "one thing worn besides at a time was tried, not two",
        }
        found = [said[self.besides]] if self.besides in said else []
        if self.layers < 2:
            found.append("one layer at a time was tried, not two")
        if not self.every_way:
            found.append("each piece was tried as it hangs, tops tucked and untucked")
        elif not self.sleeves:
            found.append("long sleeves were left down")
        return tuple(found)


#: From all of it to the least, in the order in which less is tried.
BREADTHS = (
    Breadth(sleeves=True),
    Breadth(),
    Breadth(1),
    Breadth(1, 1),
    Breadth(1, 1, every_way=False),
    Breadth(0, 1),
    Breadth(0, 1, every_way=False),
)


@dataclass(frozen=True)
class Wardrobe:
    """What of a wardrobe is searched: its families, how broadly, and what stays out, with the reason."""

    families: tuple[Family, ...]
    breadth: Breadth
    out: dict[str, str] = field(default_factory=dict)

    @property
    def size(self) -> int:
        """How many looks there are."""
        return sum(family.size for family in self.families)


def wardrobe_of(
    body: Body,
    owned: Iterable[Owned],
    schools: Schools | None = None,
    *,
    as_if: bool = False,
    most: int = MOST,
    breadths: tuple[Breadth, ...] = BREADTHS,
) -> Wardrobe:
    """The looks that a client's pieces can make, as broadly as fits into so many. Pieces that do not fit or are not at hand
    stay out; `as_if` takes those that are away as if they were there.

    >>> from craft.body import Measures
    >>> body = Body.of(Measures.of({"stature": 165}))
    >>> owned = [Owned(kind, Piece.of({"is": kind})) for kind in ("jeans", "tee", "loafers")]
    >>> wardrobe_of(body, owned).size
    6
    """
    schools = schools or Schools()
    kept, out = wearable(body, owned, schools, as_if=as_if)
    for breadth in breadths:
        families = tuple(families_of(body, kept, schools, breadth))
        if sum(family.size for family in families) <= most:
            break
    return Wardrobe(families, breadth, out)


def wearable(
    body: Body, owned: Iterable[Owned], schools: Schools, *, as_if: bool = False
) -> tuple[list[Owned], dict[str, str]]:
    """The pieces that looks are made of, and why each of the others stays out; of swimwear and of what is worn beneath no
    look is made here."""
    out: dict[str, str] = {}
    kept: list[Owned] = []
    for one in owned:
        wrong = misfit(body, one.piece, schools=schools)
        if wrong is not None:
            out[one.key] = wrong.title
        elif one.away and not as_if:
            out[one.key] = one.away
        elif one.piece.slot != "swim" and one.piece.place not in BENEATH:
            kept.append(one)
    return kept, out


def families_adding(
    body: Body, owned: list[Owned], added: Iterable[Owned], schools: Schools, breadth: Breadth
) -> Iterator[tuple[str, Family]]:
    """The looks with exactly one of the added pieces, by the axis on which it is worn. On the axis of what is worn besides the
    first choice is none, to hold against."""
    added = list(added)
    new = {one.key for one in added}
    for family in families_of(body, [*owned, *added], schools, breadth):
        has = {axis: [any(way.key in new for way in one) for one in family.at(axis)] for axis in AXES}
        for there in AXES:
            chosen = {
                axis: tuple(
                    one for one, is_new in zip(family.at(axis), has[axis], strict=True) if is_new is (axis == there)
                )
                for axis in AXES
            }
            if there == "besides" and chosen[there]:
                chosen[there] = ((), *chosen[there])
            if all(chosen.values()):
                yield there, Family(family.name, chosen)


def families_of(body: Body, owned: list[Owned], schools: Schools, breadth: Breadth) -> Iterator[Family]:
    """The families of looks that some pieces can make, as broadly as is said."""
    boots = any(one.piece.row.is_boot for one in owned)
    ways: dict[str, list[Way]] = {}
    for one in owned:
        found = list(ways_of(body, one, schools, boots=boots, sleeves=breadth.sleeves))
        if not breadth.every_way:
            plain = {"tuck", *dict(one.altered)}
            found = [way for way in found if dict(way.worn).keys() <= plain][:2]
        ways.setdefault(one.piece.slot, []).extend(found)
        over = over_another(one)
        if over is not None and breadth.every_way:
            ways.setdefault("layer", []).append(over)
    common = {
        "shoes": _single(ways.get("shoes", [])),
        "layer": _layers(body, ways.get("layer", []), breadth),
        "besides": _besides(ways.get("extra", []), breadth),
    }
    legs = [way for way in ways.get("bottom", []) if way.piece.row.has_legs and dict(way.worn).get("worn") != "inside"]
    dresses = [way for way in ways.get("one_piece", []) if not way.piece.row.has_legs]
    bibs = [way for way in ways.get("one_piece", []) if "top" not in way.piece.row.covers]
    whole = [way for way in ways.get("one_piece", []) if "top" in way.piece.row.covers]
    for name, bases in (
        ("separates", {"bottom": ways.get("bottom", []), "top": ways.get("top", [])}),
        ("one_piece", {"one_piece": whole}),
        ("bib", {"one_piece": bibs, "top": ways.get("top", [])}),
        ("dress_over_legs", {"bottom": legs, "one_piece": dresses}),
    ):
        if all(bases.values()):
            yield Family(name, common | {axis: _single(of) for axis, of in bases.items()})


def _single(ways: Iterable[Way]) -> tuple[Chosen, ...]:
    return tuple((way,) for way in ways)


def _layers(body: Body, ways: list[Way], breadth: Breadth) -> tuple[Chosen, ...]:
    two = tuple(layered(body, ways)) if breadth.layers > 1 else ()
    return ((), *_single(ways), *two)


def _besides(ways: list[Way], breadth: Breadth) -> tuple[Chosen, ...]:
    one = _single(ways) if breadth.besides else ()
    return ((), *one, *(pairs(ways) if breadth.besides > 1 else ()))


def owned_of(pieces: Iterable[tuple[str, Piece]]) -> list[Owned]:
    """Pieces by their keys, all of them at hand."""
    return [Owned(key, piece) for key, piece in pieces]
