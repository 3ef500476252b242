"""Measure only what decides: which figures of which pieces would change most in what a wardrobe can make.

A piece in words is worn as its words usually come out. What it really measures may be a little more or less; where that changes many
outfits, a tape laid on it is worth the minute.
"""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, replace

from craft.edit.counting import BREADTH
from craft.edit.gaps import along_one
from craft.fit import land
from craft.search.crew import Asked, Progress
from craft.search.wardrobe import Wardrobe, families_adding
from craft.search.ways import Owned, misfit
from craft.search.week import Day, by_day
from craft.search.wish import Wish
from craft.wear import wear_top
from craft.wear.length import fall_of

#: By how much pieces of one word differ between makers, cm either way: a length, and a girth of a chest (W: a size up or down).
LENGTH, CHEST = 4.0, 6.0
#: So many figures are told.
TOLD = 3


@dataclass(frozen=True, slots=True)
class Deciding:
    """A figure of a piece that is worth measuring: what it is taken for, cm, and the outfits that the piece makes if it is less, as
    it is taken, and if it is more."""

    key: str
    figure: str
    taken_for: float
    outfits: tuple[int, int, int]

    @property
    def decides(self) -> int:
        """By how many outfits the answer may differ."""
        return max(self.outfits) - min(self.outfits)


def what_decides(
    asked: Asked,
    kept: Sequence[Owned],
    days: tuple[Day, ...],
    wish: Wish | None = None,
    most: int = TOLD,
    progress: Progress | None = None,
) -> tuple[Deciding, ...]:
    """The figures that decide most, of the pieces that fit as far as is known. Layers over them are left off.

    >>> from craft.body import Body, Measures
    >>> from craft.cloth.quick import read_line
    >>> from craft.judge.aims import Setting
    >>> asked = Asked(Body.of(Measures.of({"stature": 165})))
    >>> owned = [Owned(line, read_line(line)) for line in ("skirt below knee", "tee", "knit", "flats")]
    >>> [(one.figure, one.outfits) for one in what_decides(asked, owned, (Day(Setting()),))]
    [('length_cm', (2, 2, 1))]
    """
    open_ = [(one, figure, cm, by) for one in kept for figure, cm, by in _not_measured(asked, one)]
    variants = [
        replace(one, key=f"{number} {step}", piece=one.piece.with_(**{figure: cm + step * by}))
        for number, (one, figure, cm, by) in enumerate(open_)
        for step in (-1, 0, 1)
    ]
    fit = [one for one in variants if misfit(asked.body, one.piece, schools=asked.schools) is None]
    others = [one for one in kept if one.piece.slot not in ("extra", "layer")]
    families = list(families_adding(asked.body, others, fit, asked.schools, BREADTH)) if fit else []
    counted: dict[str, int] = {}
    wardrobe = Wardrobe(tuple(family for _, family in families), BREADTH)
    for search in by_day(asked, wardrobe, days, progress) if families else ():
        of_day: dict[str, int] = {}
        for (axis, _), (family, sums) in zip(families, search.families, strict=True):
            for key, many in along_one(family, sums, wish or Wish(), axis)[0].items():
                of_day[key] = of_day.get(key, 0) + many
        for key, many in of_day.items():
            counted[key] = max(counted.get(key, 0), many)
    found = []
    for number, (one, figure, cm, _) in enumerate(open_):
        less, taken, more = (counted.get(f"{number} {step}", 0) for step in (-1, 0, 1))
        found.append(Deciding(one.key, figure, cm, (less, taken, more)))
    found = [one for one in found if one.decides]
    return tuple(sorted(found, key=lambda one: (-one.decides, one.key, one.figure))[:most])


def _not_measured(asked: Asked, one: Owned) -> list[tuple[str, float, float]]:
    """The figures of a piece that nobody has measured: what each is taken for, and by how much it may differ."""
    piece, body = one.piece, asked.body
    if piece.slot in ("extra", "shoes", "swim"):
        return []
    found = []
    fall = fall_of(body, piece)
    if fall is not None and piece.figure(fall.figure) is None:
        landed = land(body, piece, schools=asked.schools)
        found.append((fall.figure, fall.length(landed.edge("hem").falls_to, 0.0), LENGTH))
    if piece.slot == "top" and "chest_cm" in piece.row.figures and piece.figure("chest_cm") is None:
        found.append(("chest_cm", wear_top(body, piece, 0.0, None).chest, CHEST))
    return found
