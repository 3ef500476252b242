"""What the client wants clothes to do. Aims change weights, never facts."""

from __future__ import annotations

from collections.abc import Iterable, Mapping
from dataclasses import dataclass

WANTS = (
    *("lengthen_legs", "lengthen_torso", "define_waist", "balance", "slim"),
    *("broaden_shoulders", "look_current", "look_smart", "comfort"),
)
SOFTEN = ("bust", "middle", "hips", "seat", "thighs", "calves", "upper_arms", "shoulders")
SHOW = ("face", "bust", "waist", "legs", "ankles", "feet", "shoulders")
WONT = ("heels", "sleeveless", "tight", "short_hems")
WORDS = {"wants": WANTS, "soften": SOFTEN, "show": SHOW, "wont": WONT}


class UnknownAim(ValueError):
    """A word that is not an aim, a zone or a limit."""


@dataclass(frozen=True, slots=True)
class Aims:
    """The client's aims: for the whole, per zone, and the limits."""

    wants: frozenset[str] = frozenset()
    soften: frozenset[str] = frozenset()
    show: frozenset[str] = frozenset()
    wont: frozenset[str] = frozenset()
    #: The client's colouring, axis and word: ("depth", "light").
    colouring: tuple[tuple[str, str], ...] = ()

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
        return cls(**{key: frozenset(listed) for key, listed in said.items()}, colouring=known)

    def wanted(self, *aims: str) -> bool:
        return any(aim in self.wants for aim in aims)
