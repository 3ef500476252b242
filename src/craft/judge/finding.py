"""What a rule says of a look, and a finding: what was said, by which rule, as this house and client weigh it."""

from __future__ import annotations

from typing import Literal, NamedTuple

from craft.units import Sentence, Unit, format_length

Stance = Literal["for", "against", "caution"]


class Figure(NamedTuple):
    """A figure with the border it was held against: what is measured, its value, and in what."""

    name: str
    value: float
    threshold: float
    unit: Literal["cm", "share", "scale", "°C"] = "cm"

    def say(self, unit: Unit = "cm") -> str:
        """The figure beside its border; nothing where the two read the same, for then it says nothing.

        >>> Figure("below the break", 0.62, 0.6, "share").say()
        'below the break 62 % · border 60 %'
        >>> Figure("height", 133.2, 133.2).say()
        ''
        """
        value, border = self._write(self.value, unit), self._write(self.threshold, unit)
        return "" if value == border else f"{self.name} {value} · border {border}"

    def _write(self, value: float, unit: Unit) -> str:
        if self.unit == "cm":
            return format_length(value, unit)
        if self.unit == "°C":
            return f"{value:.0f} °C"
        return f"{100 * value:.0f} %" if self.unit == "share" else f"{value:.1f} of 4"


class Remark(NamedTuple):
    """What a rule says: for or against, how much it counts in thousandths, why, where, held against what, and in words.

    Weights are whole thousandths, so that their sum is the same in whatever order they are added.
    """

    stance: Stance
    thousandths: int
    code: str
    zone: str
    height: float
    figure: Figure
    title: str
    text: Sentence
    also: tuple[str, ...] = ()


def _said(
    stance: Stance,
    weight: float,
    code: str,
    where: tuple[str, float],
    title: str,
    text: Sentence | str,
    held: Figure | None,
    also: tuple[str, ...],
) -> Remark:
    zone, height = where
    figure = held or Figure("height", height, height)
    sentence = text if isinstance(text, Sentence) else Sentence(text)
    return Remark(stance, round(1000 * weight), code, zone, height, figure, title, sentence, also)


def pro(
    weight: float,
    code: str,
    where: tuple[str, float],
    title: str,
    text: Sentence | str,
    held: Figure | None = None,
    *,
    also: tuple[str, ...] = (),
) -> Remark:
    """Something that speaks for a look, by its weight, 0 to 1: the reason's code, the zone and height it lies at, its
    title and sentence, the figure it was held against, and codes that say the same in other words.

    >>> pro(0.25, "waist_marked", ("waist", 104.0), "Waist marked", "The band shows.").thousandths
    250
    """
    return _said("for", weight, code, where, title, text, held, also)


def con(
    weight: float,
    code: str,
    where: tuple[str, float],
    title: str,
    text: Sentence | str,
    held: Figure | None = None,
    *,
    also: tuple[str, ...] = (),
) -> Remark:
    """Something that speaks against a look; as `pro`."""
    return _said("against", weight, code, where, title, text, held, also)


def warn(code: str, where: tuple[str, float], title: str, text: Sentence | str, held: Figure | None = None) -> Remark:
    """A caution: it is said, and counts neither way."""
    return _said("caution", 0.0, code, where, title, text, held, ())


class Finding(NamedTuple):
    """What a rule said about an outfit, under the rule's id, weighed as this house weighs it."""

    rule: str
    stance: Stance
    thousandths: int
    code: str
    zone: str
    height: float
    figure: Figure
    title: str
    text: Sentence
    also: tuple[str, ...] = ()
    #: The school that the rule asks, where practitioners differ.
    school: str | None = None
    #: Somebody likes it so all the same; and whether, in this house, that outranks the rule.
    liked: bool = False
    outranked: bool = False

    @property
    def weight(self) -> float:
        """How much it counts, 0 to 1."""
        return self.thousandths / 1000

    @property
    def codes(self) -> tuple[str, ...]:
        """The reason code, and others that say the same in other words."""
        return (self.code, *self.also)

    @property
    def counts_against(self) -> bool:
        """Whether it weighs against the look."""
        return self.stance == "against" and not self.outranked
