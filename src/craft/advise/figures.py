"""The figures of what is worn: what a tape would read on each piece, measured or as its words come to on this body."""

from __future__ import annotations

from craft.look import Outfit
from craft.wear.over import over_bust, over_hip
from craft.wear.top import top_length


def figures_worn(outfit: Outfit) -> dict[str, tuple[tuple[str, float], ...]]:
    """By slot, the figures that place its edges, cm: what to shop for to have the same again.

    >>> from craft.body import Body, Measures
    >>> from craft.look import Look, compose
    >>> body = Body.of(Measures.of({"stature": 165}))
    >>> [key for key, _ in figures_worn(compose(body, Look.of([{"is": "jeans"}])))["bottom"]]
    ['front_rise_cm', 'inseam_cm', 'leg_opening_cm']
    """
    found: dict[str, tuple[tuple[str, float], ...]] = {}
    body, bottom, top, shoes, layer = outfit.body, outfit.bottom, outfit.top, outfit.shoes, outfit.outer
    shoulder = body.height("shoulder") + outfit.lift
    waist = body.height("waist")
    if bottom and bottom.piece.slot == "bottom" and bottom.has_legs:
        found["bottom"] = (
            ("front_rise_cm", bottom.front_rise),
            ("inseam_cm", bottom.inseam),
            ("leg_opening_cm", bottom.opening),
        )
    elif bottom and bottom.piece.kind == "skirt":
        found["bottom"] = (("length_cm", waist + outfit.lift + over_hip(body, waist) - bottom.hem.cm),)
    elif bottom and bottom.piece.kind == "dress":
        found["one_piece"] = (("length_cm", shoulder + 0.5 * over_hip(body, waist) - bottom.hem.cm),)
    if top and top.piece.slot == "top":
        found["top"] = (("length_cm", top_length(body, top, outfit.lift)), ("chest_cm", top.chest))
    if layer:
        found["layer"] = (("length_cm", shoulder + over_bust(body) - layer.hem.cm),)
    if shoes.piece:
        found["shoes"] = (("heel_cm", shoes.heel),)
    return found
