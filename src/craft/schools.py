"""Schools: where practitioners differ. A studio sets a default, a client may override."""

from __future__ import annotations

from collections.abc import Iterable, Mapping
from dataclasses import dataclass

#: Brief, section 15. The first position of each is the default.
POSITIONS: dict[str, tuple[str, ...]] = {
    "rise_naming": ("navel_is_mid", "navel_is_high"),
    "full_middle_rise": ("hold_high", "cross_middle"),
    "wide_leg_shoe": ("taper", "echo"),
    "volume_rule": ("one_close", "relaxed"),
    "hip_strategy": ("cover", "skim"),
    "attention": ("show", "soften"),
    "loose_knit_on_slip": ("tuck", "hang"),
    "straight_into_tall_boot": ("inside_ok", "outside_only"),
    "belt_width": ("thin", "statement"),
    "rules_weight": ("guide", "strict"),
}
#: The schools that a rule of the engine asks about so far.
ASKED = (
    *("rise_naming", "full_middle_rise", "wide_leg_shoe", "volume_rule", "hip_strategy", "attention"),
    *("loose_knit_on_slip", "straight_into_tall_boot", "belt_width", "rules_weight"),
)


class UnknownSchool(ValueError):
    """A school or a position that is not known."""


@dataclass(frozen=True, slots=True)
class Schools:
    """The positions taken, the default where none was; the rules that the house has muted and the borders it has moved,
    by key.

    >>> Schools.of({"wide_leg_shoe": "echo"}).position("wide_leg_shoe")
    'echo'
    """

    taken: tuple[tuple[str, str], ...] = ()
    muted: frozenset[str] = frozenset()
    moved: tuple[tuple[str, float], ...] = ()

    @classmethod
    def of(
        cls, taken: Mapping[str, str], muted: Iterable[str] = (), moved: Mapping[str, float] | None = None
    ) -> Schools:
        for school, position in taken.items():
            if position not in POSITIONS.get(school, ()):
                raise UnknownSchool(f"“{school}: {position}” is not a known school.")
        return cls(tuple(sorted(taken.items())), frozenset(muted), tuple(sorted((moved or {}).items())))

    def position(self, school: str) -> str:
        return dict(self.taken).get(school, POSITIONS[school][0])

    def border(self, key: str, usual: float) -> float:
        """Where this house draws a border: where it has moved it, else the usual."""
        return dict(self.moved).get(key, usual) if self.moved else usual
