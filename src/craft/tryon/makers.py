"""What fittings say of a maker: where its pieces were seen against where they were computed."""

from __future__ import annotations

import math
from collections.abc import Iterable
from dataclasses import dataclass
from statistics import fmean, stdev

from craft.body.quantity import OF_80
from craft.tryon.explain import SEEN_SPREAD
from craft.units import Sentence

#: From so few pieces nothing is said of a maker.
LEAST_PIECES = 3
#: An offset smaller than this, cm, is not worth a word (W).
WORTH_SAYING = 0.5


@dataclass(frozen=True, slots=True)
class Sample:
    """One edge or ease of one piece as it was computed and seen, cm."""

    maker: str
    key: str
    expected: float
    seen: float


@dataclass(frozen=True, slots=True)
class Learned:
    """How a maker's pieces come out: by how many cm more than computed, over how many, and whether that is more
    than the eye's own error."""

    maker: str
    key: str
    pieces: int
    by: float
    sure: bool
    text: Sentence


_SAID = {"hem": ("hems end", "lower", "higher"), "waistband": ("waistbands sit", "lower", "higher"),
         "cuff": ("sleeves end", "lower", "higher"), "neckline": ("necklines lie", "lower", "higher"),
         "cover": ("shafts end", "lower", "higher")}  # fmt: skip


def learned(samples: Iterable[Sample]) -> tuple[Learned, ...]:
    """What was learned of each maker and place, those that are sure first.

    >>> seen = [Sample("Fenn", "hem", 10, 12), Sample("Fenn", "hem", 8, 10.2), Sample("Fenn", "hem", 30, 31.9)]
    >>> [(one.maker, round(one.by, 1), one.sure) for one in learned(seen)]
    [('Fenn', 2.0, True)]
    """
    by_place: dict[tuple[str, str], list[float]] = {}
    for sample in samples:
        if sample.maker:
            by_place.setdefault((sample.maker, sample.key), []).append(sample.seen - sample.expected)
    found = [_of(maker, key, offs) for (maker, key), offs in by_place.items() if len(offs) >= LEAST_PIECES]
    return tuple(sorted(found, key=lambda one: (not one.sure, one.maker, one.key)))


def _of(maker: str, key: str, offs: list[float]) -> Learned:
    by, count = fmean(offs), len(offs)
    error = max(stdev(offs), SEEN_SPREAD) / math.sqrt(count)
    sure = abs(by) >= WORTH_SAYING and abs(by) > OF_80 * error
    if not sure:
        text = Sentence(f"{maker}: {key.replace('_', ' ')} as computed, over {count} pieces.")
    elif key in _SAID:
        what, lower, higher = _SAID[key]
        text = Sentence.of(
            f"{maker}: {what} {{by}} {higher if by > 0 else lower} than its figures say ({count} pieces).", by=abs(by)
        )
    else:
        word = "more" if by > 0 else "less"
        text = Sentence.of(
            f"{maker}: {{by}} {word} ease at the {key} than its figures say ({count} pieces).", by=abs(by)
        )
    return Learned(maker, key, count, by, sure, text)
