"""Lengths as people type and read them. Inside, a length is always a float in cm."""

from __future__ import annotations

import re
from fractions import Fraction
from typing import Literal, NamedTuple

from craft.errors import NotALength

Unit = Literal["cm", "in"]

#: Exact by the international yard and pound agreement of 1959.
CM_PER_INCH = 2.54

#: A tape is read to the eighth of an inch and to the half centimetre or better.
INCH_STEP = Fraction(1, 8)

_VULGAR = {"¼": " 1/4", "½": " 1/2", "¾": " 3/4", "⅛": " 1/8", "⅜": " 3/8", "⅝": " 5/8", "⅞": " 7/8"}
_FEET = re.compile(r"^(?P<feet>\d+)\s*(?:ft|feet|foot|')\s*(?P<rest>.*)$")
_NUMBER = re.compile(r"^(?P<whole>-?\d+(?:[.,]\d+)?)?\s*(?:(?P<num>\d+)\s*/\s*(?P<den>\d+))?$")
_UNIT = re.compile(r"(?P<unit>cm|mm|m|inches|inch|in|\"|'')\s*$")
_FACTOR = {"cm": 1.0, "mm": 0.1, "m": 100.0, "in": CM_PER_INCH}


def parse_length(text: str, unit: Unit = "cm") -> float:
    """Read a typed length and return it in cm.

    `unit` is what a bare number means. Fractions, both decimal marks, feet and
    a unit written behind the number are understood.

    >>> parse_length("82.5")
    82.5
    >>> round(parse_length("32 1/2in"), 2)
    82.55
    >>> round(parse_length("5ft 4", "cm"), 2)
    162.56

    Raises NotALength for anything else, negative lengths included.
    """
    shown = text.strip()[:40]
    rest = text.strip().lower()
    for sign, plain in _VULGAR.items():
        rest = rest.replace(sign, plain)
    if not rest:
        raise NotALength("Type a length, such as 82.5 or 32 1/2in.")
    feet = _FEET.match(rest) if not rest.endswith("''") else None
    if feet:
        inches = feet["rest"].removesuffix('"').removesuffix("in").strip() or "0"
        return int(feet["feet"]) * 12 * CM_PER_INCH + parse_length(inches, "in")
    factor = _FACTOR[unit]
    written = _UNIT.search(rest)
    if written:
        factor = _FACTOR.get(written["unit"], CM_PER_INCH)
        rest = rest[: written.start()].strip()
    return _number(rest, shown) * factor


def parse_signed(text: str, unit: Unit = "cm") -> float:
    """Read a length that may lie the other way, as cm: with a minus before it. Raises NotALength.

    >>> parse_signed("-1.5"), parse_signed("−1in"), parse_signed("2")
    (-1.5, -2.54, 2.0)
    """
    rest = text.strip()
    if rest[:1] in ("-", "−", "–"):
        return -parse_length(rest[1:], unit)
    return parse_length(rest.removeprefix("+"), unit)


def _number(text: str, shown: str) -> float:
    found = _NUMBER.match(text)
    if not found or not text or len(text) > 12:
        raise NotALength(f"“{shown}” is not a length. Type it like 82.5 or 32 1/2in.")
    whole = float((found["whole"] or "0").replace(",", "."))
    if found["num"]:
        if int(found["den"]) == 0:
            raise NotALength(f"“{shown}” divides by nought. Type it like 32 1/2in.")
        if whole < 0:
            raise NotALength("A length cannot be negative.")
        whole += int(found["num"]) / int(found["den"])
    if whole < 0:
        raise NotALength("A length cannot be negative.")
    return whole


def format_length(cm: float, unit: Unit = "cm", *, signed: bool = False) -> str:
    """Write a length for a reader: cm to the half millimetre's rounding, inches to the eighth.

    >>> format_length(82.55, "cm"), format_length(82.55, "in")
    ('82.5 cm', '32 1/2 in')
    >>> format_length(-3.81, "in", signed=True)
    '−1 1/2 in'
    """
    sign = "−" if cm < 0 else ("+" if signed and cm > 0 else "")
    size = abs(cm)
    if unit == "cm":
        body = f"{size:.1f}".removesuffix(".0")
        return f"{'' if body == '0' else sign}{body} cm"
    steps = round(size / CM_PER_INCH / float(INCH_STEP))
    whole, part = divmod(steps, INCH_STEP.denominator)
    fraction = str(Fraction(part, INCH_STEP.denominator)) if part else ""
    body = " ".join(piece for piece in (str(whole) if whole or not part else "", fraction) if piece)
    return f"{sign if steps else ''}{body} in"


class Sentence(NamedTuple):
    """Words with lengths in them, so that it can be said in cm or inches.

    >>> Sentence.of("{gap} of ankle shows.", gap=5.08).say("in")
    '2 in of ankle shows.'
    """

    template: str
    lengths: tuple[tuple[str, float], ...] = ()

    @classmethod
    def of(cls, template: str, **lengths: float) -> Sentence:
        """Words with lengths, cm, named in braces."""
        return cls(template, tuple(lengths.items()))

    def say(self, unit: Unit = "cm") -> str:
        """The sentence with its lengths written in a unit."""
        return self.template.format(**{name: format_length(cm, unit) for name, cm in self.lengths})
