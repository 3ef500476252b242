"""What a plan dresses: occasions on days, who sees the client there, and the looks that each could be dressed in."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from datetime import date

from craft.judge.aims import Setting
from craft.judge.judgement import Verdict
from craft.search.ways import Way

#: Places that make the base of a look: what people remember of it.
BASE = ("bottom", "top", "one_piece")


@dataclass(frozen=True, slots=True)
class Occasion:
    """Something in a client's days that she dresses for: when, where, in what air, and before whom.

    A day may hold several, in their order; what is worn twice on one day is worn once.
    """

    key: str
    on: date
    setting: Setting
    seen_by: frozenset[str] = frozenset()


@dataclass(frozen=True, slots=True)
class Option:
    """A look that an occasion could be dressed in: its pieces in their ways, its score and verdict there."""

    ways: tuple[Way, ...]
    score: float
    verdict: Verdict = "works"

    @property
    def keys(self) -> frozenset[str]:
        """The keys of its pieces."""
        return frozenset(way.key for way in self.ways)

    @property
    def base(self) -> frozenset[str]:
        """The keys of its base: two looks of one base are taken for the same outfit."""
        return frozenset(way.key for way in self.ways if way.piece.slot in BASE)


@dataclass(frozen=True, slots=True)
class Wearing:
    """What was worn: on which day, which pieces, before whom."""

    on: date
    keys: frozenset[str]
    seen_by: frozenset[str] = frozenset()


@dataclass(frozen=True, slots=True)
class Chosen:
    """What a plan dresses an occasion in; nothing where nothing that is at hand works."""

    occasion: Occasion
    option: Option | None


@dataclass(frozen=True, slots=True)
class Planned:
    """A plan: what each occasion is dressed in, and how sure it is. `short_by` is how much better any other plan from the same
    looks could be at most, as a share; 0 is proved best."""

    chosen: tuple[Chosen, ...]
    short_by: float
    weighed: int

    @property
    def bare(self) -> tuple[Occasion, ...]:
        """Occasions for which nothing was found."""
        return tuple(one.occasion for one in self.chosen if one.option is None)


def in_order(occasions: Sequence[Occasion]) -> list[Occasion]:
    """Occasions by day; those of a day in the order in which they were told."""
    return sorted(occasions, key=lambda one: one.on)
