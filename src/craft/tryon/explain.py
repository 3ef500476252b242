"""Why an edge was seen elsewhere than computed: the figure of the piece, or the estimate of the body, at which
the landing would be what was seen. Solved on the same landing that everything else uses.
"""

from __future__ import annotations

from collections.abc import Callable, Iterator
from dataclasses import dataclass
from typing import Literal

from scipy.optimize import brentq

from craft.body import Body, Measures
from craft.body.measures import label
from craft.body.quantity import OF_80, Quantity
from craft.cloth import Piece
from craft.cloth.kinds import FIGURES, KIND
from craft.cloth.words import figure_name
from craft.fit import Landed, land
from craft.schools import Schools
from craft.units import Sentence
from craft.wear.landing import FIGURE_SPREAD, WORD_SPREAD
from craft.wear.length import fall_of
from craft.wear.shoes import WornShoes

#: A height read off a dressed client, and cloth pinched between fingers, are read to about this, cm (W).
SEEN_SPREAD = 0.8
#: How far from the present figure an explanation is looked for, cm.
REACH = 30.0
#: What is seen of girths: the zone, then the piece's figure and the body's girth behind it.
GIRTHS: dict[str, tuple[str, str]] = {
    "band": ("waist_cm", "waist"),
    "bust": ("chest_cm", "bust"),
    "waist": ("waist_cm", "waist"),
    "hip": ("hip_cm", "hip"),
    "thigh": ("thigh_cm", "thigh"),
    "upper arm": ("upper_arm_cm", "upper_arm"),
    "torso": ("torso_loop_cm", "torso_girth"),
    "shaft": ("shaft_girth_cm", "calf"),
    "under bust": ("under_bust_cm", "under_bust"),
}
Whose = Literal["piece", "body"]


@dataclass(frozen=True, slots=True)
class Correction:
    """One explanation: whose figure, what it was and what it would be, cm, and how likely it is beside the others.

    `was` is None where the piece had no such figure. `share` is between 0 and 1: of the doubt in the landing, the
    part that comes from this figure.
    """

    whose: Whose
    key: str
    was: float | None
    becomes: float
    share: float
    text: Sentence


def explain(
    body: Body,
    piece: Piece,
    shoes: WornShoes,
    schools: Schools,
    key: str,
    seen: float,
) -> tuple[Correction, ...]:
    """What would make the landing what was seen, likeliest first; nothing where it was seen as computed.

    `key` is an edge (`seen` is its height above the ground, cm) or a zone of ease (`seen` is the ease, cm: cloth
    that could be pinched, or, negative, what was missing). Only estimates of the body are doubted, not measures.

    >>> from craft.wear.shoes import BAREFOOT
    >>> body = Body.of(Measures.of({"stature": 165, "crotch_height": 76}))
    >>> jeans = Piece.of({"is": "jeans", "inseam_cm": 70})
    >>> [(c.whose, c.key, round(c.becomes, 1)) for c in explain(body, jeans, BAREFOOT, Schools(), "hem", 4.0)]
    [('piece', 'inseam_cm', 71.7)]
    """
    found = tuple(_candidates(body, piece, shoes, schools, key))
    if not found:
        return ()
    landed = land(body, piece, shoes, schools)
    held, falls = _lies(landed, key), _measured(landed, key)
    expected = held if held is not None and seen >= held else falls
    doubt = sum(one.spread**2 for one in found) + SEEN_SPREAD**2
    if expected is not None and abs(seen - expected) <= OF_80 * doubt**0.5 and abs(seen - expected) < 2 * SEEN_SPREAD:
        return ()
    total = sum(one.spread**2 for one in found)
    solved = []
    for one in found:
        becomes = _solve(one, key, seen)
        if becomes is not None and (one.was is None or abs(becomes - one.was) >= 0.1):
            solved.append(Correction(one.whose, one.key, one.was, becomes, one.spread**2 / total, _text(one, becomes)))
    return tuple(sorted(solved, key=lambda correction: -correction.share))


@dataclass(frozen=True, slots=True)
class _Candidate:
    whose: Whose
    key: str
    was: float | None
    start: float
    spread: float
    landed: Callable[[float], Landed]


def _candidates(body: Body, piece: Piece, shoes: WornShoes, schools: Schools, key: str) -> Iterator[_Candidate]:
    figure, measures = _behind(body, piece, key)
    if figure is None or figure not in FIGURES[piece.slot]:
        return
    was = piece.figure(figure)
    start = was if was is not None else _nominal(body, measures)
    spread = FIGURE_SPREAD if was is not None else WORD_SPREAD

    def with_piece(cm: float) -> Landed:
        return land(body, piece.with_(**{figure: cm}), shoes, schools)

    yield _Candidate("piece", figure, was, start, spread, with_piece)
    for name in measures:
        known = body.quantity(name)
        if known.settled or was is None:
            continue

        def with_body(cm: float, name: str = name) -> Landed:
            taken = Quantity(cm, SEEN_SPREAD, "said")
            return land(
                Body.of(Measures.of({**body.measures.figures, name: taken}, body.measures.build)), piece, shoes, schools
            )

        yield _Candidate("body", name, known.cm, known.cm, known.spread, with_body)


def _behind(body: Body, piece: Piece, key: str) -> tuple[str | None, tuple[str, ...]]:
    """The piece's figure that decides an edge or an ease, and the body's measures that do."""
    if key in GIRTHS:
        figure, girth = GIRTHS[key]
        return figure, (girth,)
    match key:
        case "hem":
            fall = fall_of(body, piece)
            return (fall.figure, fall.rests_on) if fall else (None, ())
        case "waistband" if "front_rise_cm" in KIND[piece.kind].figures:
            return "front_rise_cm", ("front_rise_navel",)
        case "cuff":
            return "sleeve_cm", ("arm_length",)
        case "neckline":
            return "neck_depth_cm", ("shoulder_height",)
        case "cover":
            return "shaft_cm", ()
    return None, ()


def _nominal(body: Body, measures: tuple[str, ...]) -> float:
    return body.quantity(measures[0]).cm if measures else 30.0


def _measured(landed: Landed, key: str) -> float | None:
    """Where an edge's length takes it, or the ease of a zone, cm."""
    if key in GIRTHS:
        return next((ease.cm for ease in landed.eases if ease.zone == key), None)
    return next((edge.falls_to for edge in landed.edges if edge.key == key), None)


def _lies(landed: Landed, key: str) -> float | None:
    """Where an edge lies: what is seen of one that foot or ground holds up."""
    return next((edge.height for edge in landed.edges if edge.key == key), None)


def _solve(one: _Candidate, key: str, seen: float) -> float | None:
    """The figure at which the landing is what was seen, cm; None where none within reach does it."""

    def off(cm: float) -> float:
        got = _measured(one.landed(cm), key)
        return float("nan") if got is None else got - seen

    low, high = max(1.0, one.start - REACH), one.start + REACH
    try:
        return round(float(brentq(off, low, high, xtol=0.02)), 1)
    except ValueError:
        # The landing does not pass through what was seen: this figure is not why.
        return None


def _text(one: _Candidate, becomes: float) -> Sentence:
    if one.whose == "body":
        return Sentence.of(
            f"The {label(one.key)} was estimated as {{was}}; {{becomes}} would explain it.",
            was=one.was or 0.0, becomes=becomes,
        )  # fmt: skip
    name = figure_name(one.key)
    if one.was is None:
        return Sentence.of(f"The piece had no {name}; {{becomes}} would explain it.", becomes=becomes)
    return Sentence.of(f"The {name} would be {{becomes}}, not {{was}}.", was=one.was, becomes=becomes)
