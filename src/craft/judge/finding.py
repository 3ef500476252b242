"""A finding: one thing that is so about a look, where, by how much, and whether it helps."""

from __future__ import annotations

from dataclasses import dataclass, field
from typing import Literal

from craft.units import Sentence, Unit, format_length

Stance = Literal["for", "against", "caution"]


@dataclass(frozen=True, slots=True)
class Figure:
    """A figure with the threshold it was held against: what is measured, its value, and in what."""

    name: str
    value: float
    threshold: float
    unit: Literal["cm", "share", "scale", "°C"] = "cm"

    def say(self, unit: Unit = "cm") -> str:
        """The figure beside its threshold: “below the break 62 % · asks 60 %”."""
        return f"{self.name} {self._write(self.value, unit)} · border {self._write(self.threshold, unit)}"

    def _write(self, value: float, unit: Unit) -> str:
        if self.unit == "cm":
            return format_length(value, unit)
        if self.unit == "°C":
            return f"{value:.0f} °C"
        return f"{100 * value:.0f} %" if self.unit == "share" else f"{value:.1f} of 4"


@dataclass(frozen=True, slots=True)
class Finding:
    """What a rule says about an outfit. `weight` is how much it counts, 0 to 1."""

    rule: str
    code: str
    stance: Stance
    weight: float
    zone: str
    height: float
    figure: Figure
    title: str
    text: Sentence
    school: str | None = None
    also: tuple[str, ...] = field(default=())
    #: Somebody likes it so all the same; and whether, in this house, that outranks the rule.
    liked: bool = False
    outranked: bool = False
    #: The rule that found it, as a house or a client leaves it out.
    key: str = ""

    @property
    def codes(self) -> tuple[str, ...]:
        """The reason code, and others that say the same in other words."""
        return (self.code, *self.also)

    @property
    def counts_against(self) -> bool:
        """Whether it weighs against the look."""
        return self.stance == "against" and not self.outranked
