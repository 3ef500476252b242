"""In how many outfits each piece of a wardrobe works, on each kind of day."""

from __future__ import annotations

from collections.abc import Iterator, Sequence

from craft.edit.gaps import along_one
from craft.search.crew import Asked, Progress
from craft.search.search import Search
from craft.search.wardrobe import Breadth, Wardrobe, families_of
from craft.search.ways import Owned
from craft.search.week import Day, by_day
from craft.search.wish import Wish
from craft.search.worn import AXES

#: Each piece as it hangs, tops tucked and untucked, one layer, nothing besides: enough to count by, and quick.
BREADTH = Breadth(0, 1, every_way=False)


def counted_by_day(
    asked: Asked, kept: Sequence[Owned], days: Sequence[Day], wish: Wish, progress: Progress | None = None
) -> Iterator[tuple[Search, dict[str, int]]]:
    """For each kind of day its search, and in how many outfits each garment works on it.

    >>> from craft.body import Body, Measures
    >>> from craft.cloth import Piece
    >>> from craft.judge.aims import Setting
    >>> owned = [Owned(kind, Piece.of({"is": kind})) for kind in ("trousers", "blouse", "knit", "flats")]
    >>> ((_, counted),) = counted_by_day(Asked(Body.of(Measures.of({"stature": 165}))), owned, [Day(Setting())], Wish())
    >>> counted["flats"] == counted["trousers"] >= counted["knit"]
    True
    """
    plain = [one for one in kept if one.piece.slot != "extra"]
    wardrobe = Wardrobe(tuple(families_of(asked.body, plain, asked.schools, BREADTH)), BREADTH)
    for search in by_day(asked, wardrobe, days, progress):
        counted: dict[str, int] = {}
        for family, sums in search.families:
            for axis in AXES:
                for key, many in along_one(family, sums, wish, axis)[0].items():
                    counted[key] = counted.get(key, 0) + many
        yield search, counted
