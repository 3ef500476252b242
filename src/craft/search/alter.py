"""What the tailor is asked of a piece: the figure that changes, and by how much."""

from __future__ import annotations

from craft.body import Body
from craft.cloth import Piece
from craft.fit import land
from craft.schools import Schools
from craft.wear import BAREFOOT, WornShoes

#: The figure of a piece behind each zone that is taken in or let out, and behind a sleeve.
_FIGURE = {"band": "waist_cm", "waist": "waist_cm", "hip": "hip_cm", "bust": "chest_cm", "thigh": "thigh_cm",
           "upper arm": "upper_arm_cm", "sleeve": "sleeve_cm"}  # fmt: skip


def for_the_tailor(
    body: Body, piece: Piece, shoes: WornShoes = BAREFOOT, schools: Schools | None = None
) -> dict[str, float]:
    """Figures that a tailor would change, and by how many cm: less is shorter or closer.

    >>> from craft.body import Measures
    >>> body = Body.of(Measures.of({"stature": 160, "crotch_height": 72}))
    >>> wide = Piece.of({"is": "trousers", "cut": "wide", "inseam_cm": 78, "leg_opening_cm": 56})
    >>> round(for_the_tailor(body, wide)["inseam_cm"])
    -10
    """
    found: dict[str, float] = {}
    for check in land(body, piece, shoes, schools).checks:
        for change in check.alterations:
            if change.cost != "tailor":
                continue
            figure = piece.row.length if change.key == "hem" else _FIGURE.get(check.key)
            if figure is not None and figure not in found:
                found[figure] = change.cm if change.key == "let_out" else -change.cm
    return found
