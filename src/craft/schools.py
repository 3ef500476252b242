"""Schools: where practitioners differ. A studio sets a default, a client may override."""

from __future__ import annotations

from collections.abc import Iterable, Mapping
from dataclasses import dataclass, field

from craft.errors import UnknownSchool

#: Brief, section 15, and from section 18 whether a quiet look wants waking. The first position of each is the default.
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
    "quiet_look": ("wake", "let_be"),
    "rules_weight": ("guide", "strict"),
}
#: Each school as a question, and each position as its answer.
SAYS: dict[str, tuple[str, dict[str, str]]] = {
    "rise_naming": (
        "What is a rise at the navel called?",
        {
            "navel_is_mid": "Mid; above it is high, below it low.",
            "navel_is_high": "High; mid lies 2.5 to 5 cm below, low on the hips.",
        },
    ),
    "full_middle_rise": (
        "Which rise for a full middle?",
        {
            "hold_high": "High, with a firm band that holds.",
            "cross_middle": "Mid, without elastane: high ones mould and push out.",
        },
    ),
    "wide_leg_shoe": (
        "Which shoe under a wide leg?",
        {
            "taper": "A slim, pointed toe that carries the line on.",
            "echo": "A platform or thick sole that answers the width.",
        },
    ),
    "volume_rule": (
        "May a look be eased above and below?",
        {
            "one_close": "One half eased, the other close.",
            "relaxed": "Both may be, where ankle, wrist or neck shows.",
        },
    ),
    "hip_strategy": (
        "What for fuller hips?",
        {
            "cover": "An eased, longer top over a close leg.",
            "skim": "A fitted top; skirt or wide leg skims from the hip.",
        },
    ),
    "attention": (
        "Where does one begin?",
        {"show": "With what is shown: lead the eye there.", "soften": "With what is softened: dress that first."},
    ),
    "loose_knit_on_slip": (
        "A loose knit over a slip skirt?",
        {"tuck": "Half-tuck it, or shorten it.", "hang": "Let it hang: that is fine on a bias cut."},
    ),
    "straight_into_tall_boot": (
        "A straight leg and a tall boot?",
        {"inside_ok": "A slim straight leg may go inside.", "outside_only": "Straight legs stay outside."},
    ),
    "belt_width": (
        "How wide a belt?",
        {"thin": "Thin: a wide one takes from the torso.", "statement": "Wide, where the torso has room for it."},
    ),
    "quiet_look": (
        "A quiet look of like tones?",
        {
            "wake": "Wake it: one bright, one contrast or one shine.",
            "let_be": "Let it be: quiet is a choice.",
        },
    ),
    "rules_weight": (
        "How firm are the rules?",
        {
            "guide": "A guide: what is liked may outrank one.",
            "strict": "Strict: what is liked is noted, and the rule counts.",
        },
    ),
}


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
    # Asked for every look, as a part of what is kept of it.
    _hash: int = field(init=False, repr=False, compare=False)

    def __post_init__(self) -> None:
        object.__setattr__(self, "_hash", hash((self.taken, self.muted, self.moved)))

    def __hash__(self) -> int:
        return self._hash

    @classmethod
    def of(
        cls, taken: Mapping[str, str], muted: Iterable[str] = (), moved: Mapping[str, float] | None = None
    ) -> Schools:
        """Check the words. Raises UnknownSchool."""
        for school, position in taken.items():
            if position not in POSITIONS.get(school, ()):
                raise UnknownSchool(f"“{school}: {position}” is not a known school.")
        return cls(tuple(sorted(taken.items())), frozenset(muted), tuple(sorted((moved or {}).items())))

    def position(self, school: str) -> str:
        """The position taken in a school, the default where none was."""
        for name, position in self.taken:
            if name == school:
                return position
        return POSITIONS[school][0]
