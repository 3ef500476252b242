"""What advice a shape asks for, and what holds on both sides of a near border.

Most people sit near a border; then advice that holds on both sides beats a label (brief, section 3).
The advice is the brief's (sections 4 to 11), each said once and with the shapes it holds for.
"""

from __future__ import annotations

from dataclasses import dataclass

from craft.body.shape import Shape


@dataclass(frozen=True, slots=True)
class Advice:
    """One piece of advice and the shapes it holds for."""

    key: str
    text: str
    holds_for: frozenset[Shape]


def _advice(key: str, text: str, *shapes: Shape) -> Advice:
    return Advice(key, text, frozenset(shapes))


ADVICE: tuple[Advice, ...] = (
    _advice(
        "mark_waist",
        "Let the waist be seen: a tuck, a belt or a cut that comes in.",
        *("hourglass", "triangle", "rectangle"),
    ),
    _advice(
        "draw_waist",
        "Draw a waist where the line runs straight: a front tuck, a wrap, a belt over a layer.",
        "rectangle",
    ),
    _advice(
        "follow_line",
        "Follow the line from bust to hip; cloth that skims shows it better than cloth that hangs.",
        "hourglass",
    ),
    _advice(
        "straight_leg",
        "Straight legs from the hip down: they skim and lengthen.",
        "triangle",
        "hourglass",
        "rectangle",
        "oval",
    ),
    _advice(
        "attention_up",
        "Lead the eye up: an open neck, a lighter top, an earring.",
        *("triangle", "oval"),
    ),
    _advice("open_neck", "Open the neck downwards, a V or an open collar.", "inverted_triangle", "oval", "hourglass"),
    _advice(
        "weight_below",
        "Give the lower half weight: a wide leg, a full hem, the lighter colour below.",
        *("inverted_triangle", "rectangle"),
    ),
    _advice("quiet_shoulder", "Keep the shoulder line plain: no puff, no epaulette.", "inverted_triangle", "oval"),
    _advice(
        "skim_hip",
        "Skim the hip with cloth that has some weight; end tops above it or well below.",
        "triangle",
        "hourglass",
    ),
    _advice(
        "skim_middle",
        "Skim the middle: drape, a bloused tuck, an open layer; nothing that grips.",
        "oval",
        "rectangle",
        "inverted_triangle",
    ),
    _advice("show_leg", "Show the leg: a close leg or an ankle, with the ease above it.", "oval", "inverted_triangle"),
    _advice("even_halves", "Keep top and bottom even in depth and volume.", "rectangle", "hourglass"),
    _advice(
        "edge_off_hip", "No hem at the fullest hip.", "triangle", "hourglass", "oval", "rectangle", "inverted_triangle"
    ),
)


def advice_for(*shapes: Shape) -> tuple[Advice, ...]:
    """The advice that holds for every one of these shapes.

    >>> [advice.key for advice in advice_for("triangle", "hourglass")][:2]
    ['mark_waist', 'straight_leg']
    """
    return tuple(advice for advice in ADVICE if advice.holds_for.issuperset(shapes))
