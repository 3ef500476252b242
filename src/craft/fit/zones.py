"""Ease zone by zone: the garment's girth, with what its cloth gives, against the body's."""

from __future__ import annotations

from bisect import bisect_right
from collections.abc import Iterator
from dataclasses import dataclass
from typing import Literal

from craft.body import Body
from craft.cloth import Piece
from craft.cloth.stretch import USABLE, stretch
from craft.wear.over import girth_at

EaseWord = Literal["tight", "fitted", "skimming", "relaxed", "oversized"]
WORDS: tuple[EaseWord, ...] = ("tight", "fitted", "skimming", "relaxed", "oversized")

#: Where one ease word turns into the next, as ease over the body's girth. The bust's are half-way
#: between the fit classes of wear/ease.py; the others W, after common pattern-drafting ease for
#: wovens: about 2 cm at a fitted waist, 5 at a fitted hip.
BORDERS: dict[str, tuple[float, float, float, float]] = {
    "bust": (-0.015, 0.045, 0.105, 0.195),
    "waist": (0.0, 0.05, 0.13, 0.26),
    "band": (-0.005, 0.025, 0.06, 0.12),
    "hip": (-0.01, 0.04, 0.085, 0.16),
    "thigh": (-0.02, 0.06, 0.14, 0.28),
    "upper arm": (0.02, 0.12, 0.26, 0.45),
    "calf": (-0.02, 0.05, 0.13, 0.26),
    "shaft": (0.0, 0.05, 0.12, 0.22),
    "under bust": (-0.14, -0.04, 0.0, 0.04),
    "torso": (-0.04, 0.0, 0.03, 0.06),
}
#: A layer is worn over something: its words begin so much later (W).
LAYER_MORE = 0.05
#: A cloth that gives nothing must be larger by at least this share, to move and breathe in; one that
#: stretches by ENOUGH needs no ease at all (W).
LEAST: dict[str, float] = {"bust": 0.02, "hip": 0.01, "thigh": 0.01, "upper arm": 0.04}
ENOUGH = 0.10

#: Which figure of a piece goes round which girth of the body, by slot.
_ROUND: dict[str, tuple[tuple[str, str, str], ...]] = {
    "bottom": (("waist_cm", "band", ""), ("hip_cm", "hip", "hip"), ("thigh_cm", "thigh", "thigh")),
    "top": (("chest_cm", "bust", "bust"), ("waist_cm", "waist", "waist"), ("hip_cm", "hip", "hip")),
    "one_piece": (("chest_cm", "bust", "bust"), ("waist_cm", "waist", "waist"), ("hip_cm", "hip", "hip")),
    "layer": (("chest_cm", "bust", "bust"), ("waist_cm", "waist", "waist"), ("hip_cm", "hip", "hip")),
    "swim": (
        ("chest_cm", "bust", "bust"),
        ("under_bust_cm", "under bust", "under_bust"),
        ("waist_cm", "waist", "waist"),
        ("hip_cm", "hip", "hip"),
    ),
    "shoes": (),
    "extra": (),
}
_SLEEVED = ("top", "one_piece", "layer")


@dataclass(frozen=True, slots=True)
class ZoneEase:
    """Ease in one zone: the garment's girth and the body's, cm, at a height above the barefoot floor.

    `strain` is how much of what the cloth gives is used: nought where there is ease, more than one
    where the garment does not go round. `spread` is that of the body's girth.
    """

    zone: str
    height: float
    garment: float
    body: float
    word: EaseWord
    strain: float
    gives: float
    spread: float
    settled: bool

    @property
    def cm(self) -> float:
        """The ease round the body, cm; below zero where the piece is smaller than the body."""
        return self.garment - self.body

    @property
    def missing(self) -> float:
        """By how much the garment is too small even when its cloth gives all it can, cm."""
        return self.garment * (self.strain - 1) * max(self.gives, 0.005) if self.strain > 1 else 0.0


def ease_word(zone: str, share: float, *, layer: bool = False) -> EaseWord:
    """The word for an ease, as a share of the body's girth in a zone.

    >>> ease_word("bust", 0.07), ease_word("hip", 0.2)
    ('skimming', 'oversized')
    """
    more = LAYER_MORE if layer else 0.0
    return WORDS[bisect_right([border + more for border in BORDERS[zone]], share)]


def nominal_ease(zone: str, word: EaseWord, *, layer: bool = False) -> float:
    """The middle of an ease word in a zone, as a share of the body's girth; the outer words reach as far as their
    neighbours.

    >>> ease_word("hip", nominal_ease("hip", "relaxed"))
    'relaxed'
    """
    borders, at = BORDERS[zone], WORDS.index(word)
    low = borders[at - 1] if at > 0 else borders[0] - (borders[1] - borders[0])
    high = borders[at] if at < len(borders) else borders[-1] + (borders[-1] - borders[-2])
    return (low + high) / 2 + (LAYER_MORE if layer else 0.0)


def zone_of(slot: str, figure: str) -> str | None:
    """The zone that a girth of a piece goes round, or None where it is no such girth."""
    return next((zone for key, zone, _ in _ROUND[slot] if key == figure), None)


def ease_in(body: Body, piece: Piece, zone: str, garment: float, girth: str, height: float) -> ZoneEase:
    """The ease of a garment girth over one of the body's girths."""
    figure = body.quantity(girth)
    return _ease(piece, zone, garment, figure.cm, figure.spread, height, settled=figure.settled)


def _ease(
    piece: Piece, zone: str, garment: float, own: float, spread: float, height: float, *, settled: bool
) -> ZoneEase:
    give = stretch(piece)
    gives = USABLE * give
    least = LEAST.get(zone, 0.0) * max(0.0, 1 - give / ENOUGH)
    strain = max(0.0, own * (1 + least) / garment - 1) / max(gives, 0.005)
    word = ease_word(zone, garment / own - 1, layer=piece.slot == "layer")
    return ZoneEase(zone, height, garment, own, word, strain, gives, spread, settled)


def eases(body: Body, piece: Piece, band: float | None) -> Iterator[ZoneEase]:
    """Every zone that a measured figure of the piece speaks of; `band` is where its band sits, cm
    above the barefoot floor."""
    at = {"bust": body.height("bust"), "waist": body.height("waist"), "hip": body.height("hip")}
    at["under bust"] = body.height("under_bust")
    at["thigh"] = body.height("crotch") - 2.0
    for key, zone, girth in _ROUND[piece.slot]:
        garment = piece.figure(key)
        if garment is None or garment <= 0:
            continue
        if zone == "band" and band is not None:
            own, spread, settled = girth_at(body, band)
            yield _ease(piece, zone, garment, own, spread, band, settled=settled)
        elif girth:
            yield ease_in(body, piece, zone, garment, girth, at[zone])
    sleeve = piece.figure("upper_arm_cm")
    if sleeve and piece.slot in _SLEEVED:
        height = body.height("bust") + 0.2 * (body.height("shoulder") - body.height("bust"))
        yield ease_in(body, piece, "upper arm", sleeve, "upper_arm", height)
    loop = piece.figure("torso_loop_cm")
    if loop:
        yield ease_in(body, piece, "torso", loop, "torso_girth", body.height("waist"))
