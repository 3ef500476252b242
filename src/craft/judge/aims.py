"""What the client wants clothes to do, and where. Aims change weights, never facts."""

from __future__ import annotations

from collections.abc import Iterable, Mapping
from dataclasses import dataclass, field

from craft.brief import DRESS_CODES, OCCASIONS
from craft.cloth.kinds import KIND
from craft.errors import UnknownAim

WANTS = (
    *("lengthen_legs", "lengthen_torso", "define_waist", "balance", "slim"),
    *("broaden_shoulders", "look_current", "look_smart", "comfort"),
)
SOFTEN = ("bust", "middle", "hips", "seat", "thighs", "calves", "upper_arms", "shoulders")
SHOW = ("face", "bust", "waist", "legs", "ankles", "feet", "shoulders")
WONT = ("heels", "sleeveless", "tight", "short_hems")
#: The client's own style, in few plain words; how far they will go from what they wear now; what they never wear, by kind.
STYLE = ("plain", "sharp", "soft", "sporty", "bold")
REACH = ("as_ever", "a_step", "far")
NEVER = tuple(name for name, row in KIND.items() if row.slot not in ("extra", "swim"))
WORDS = {
    "wants": WANTS, "soften": SOFTEN, "show": SHOW, "wont": WONT, "style": STYLE, "reach": REACH, "never": NEVER,
}  # fmt: skip


@dataclass(frozen=True, slots=True)
class Setting:
    """Where a look is to be worn: the occasion, its dress code, the air in °C, and whether it rains. All may be open."""

    occasion: str | None = None
    code: str | None = None
    celsius: float | None = None
    rain: bool = False

    @classmethod
    def of(
        cls, occasion: str | None = None, code: str | None = None, celsius: float | None = None, rain: bool = False
    ) -> Setting:
        """Check the words. Raises UnknownAim.

        >>> Setting.of("dinner").asks
        'smart'
        """
        for key, word, known in (("an occasion", occasion, OCCASIONS), ("a dress code", code, DRESS_CODES)):
            if word and word not in known:
                raise UnknownAim(f"“{str(word)[:40]}” is not {key} here.")
        return cls(occasion or None, code or None, celsius, rain)

    @property
    def asks(self) -> str | None:
        """The dress code: the one that was said, else the one that goes with the occasion."""
        return self.code or USUAL_CODE.get(self.occasion or "")

    @property
    def outdoors(self) -> bool:
        """Whether it is worn out of doors, walking."""
        return self.occasion in ("outdoors", "travel", "weekend")


#: What an occasion asks where nobody said a code (brief, section 14).
USUAL_CODE = {
    "relaxed_office": "neat",
    "formal_office": "formal",
    "dinner": "smart",
    "ceremony": "formal",
    "weekend": "relaxed",
    "travel": "relaxed",
    "outdoors": "relaxed",
    "home": "relaxed",
    "workshop": "protective",
}


@dataclass(frozen=True, slots=True)
class Aims:
    """The client's aims: for the whole, per zone, and the limits; where it is worn; and what was liked in spite of a rule."""

    wants: frozenset[str] = frozenset()
    soften: frozenset[str] = frozenset()
    show: frozenset[str] = frozenset()
    wont: frozenset[str] = frozenset()
    style: frozenset[str] = frozenset()
    reach: frozenset[str] = frozenset()
    never: frozenset[str] = frozenset()
    #: The client's colouring, axis and word: ("depth", "light").
    colouring: tuple[tuple[str, str], ...] = ()
    setting: Setting = Setting()
    #: Rules that were overruled for this look because somebody likes it so.
    liked: frozenset[str] = frozenset()
    # Asked for every look, as a part of what is kept of it.
    _hash: int = field(init=False, repr=False, compare=False)

    def __post_init__(self) -> None:
        told = (self.wants, self.soften, self.show, self.wont, self.style, self.reach, self.never)
        object.__setattr__(self, "_hash", hash((*told, self.colouring, self.setting, self.liked)))

    def __hash__(self) -> int:
        return self._hash

    @classmethod
    def of(cls, said: Mapping[str, Iterable[str]], colouring: Mapping[str, str | None] | None = None) -> Aims:
        """Read the words of a client, and their colouring where it is known. Raises UnknownAim.

        >>> Aims.of({"wants": ["slim"]}).wanted("slim")
        True
        """
        for key, listed in said.items():
            for word in listed:
                if word not in WORDS.get(key, ()):
                    raise UnknownAim(f"“{str(word)[:40]}” is not a known word for {key}.")
        known = tuple(sorted((axis, word) for axis, word in (colouring or {}).items() if word))
        zones = {key: frozenset(said.get(key, ())) for key in WORDS}
        wants, soften, show, wont, style, reach, never = zones.values()
        return cls(wants, soften, show, wont, style, reach, never, known)

    def wanted(self, *aims: str) -> bool:
        """Whether any of these is wanted."""
        return not self.wants.isdisjoint(aims)
