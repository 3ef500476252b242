"""Shopping numbers: the garment figure that lands where it is wanted. Landings run backwards."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Any

from craft.body import Body
from craft.cloth.words import HEM
from craft.wear.bottom import CUTS, inseam_for
from craft.wear.ease import HANGS_STRAIGHT, SLIM_STRAIGHT

#: How far an inseam may be off and still land on its word, cm: an ankle hem may be up to
#: 2.5 cm higher (brief, section 4); a floor length has less play.
PLAY = {"ankle": (-2.5, 0.5), "foot": (-1.5, 1.0), "ankle_bone": (-1.0, 1.0)}
ANY_PLAY = (-1.5, 1.5)
RISE_PLAY = 1.0
#: A leg opening up to this much over the least that hangs straight still reads straight, cm.
OPENING_PLAY = 6.0
KINDS = ("jeans", "trousers")

Range = tuple[float, float]


class NoTarget(ValueError):
    """A question the engine cannot solve backwards yet."""


def target(body: Body, ask: Mapping[str, Any]) -> dict[str, Range]:
    """The figures to shop for, as ranges in cm, for a bottom that lands as asked.

    >>> from craft.body import Measures
    >>> body = Body.of(Measures.of({"stature": 165, "crotch_height": 76, "narrow_ankle_height": 10.5}))
    >>> target(body, {"is": "jeans", "cut": "slim", "hem": "ankle"})["inseam_cm"]
    (63.0, 66.0)
    """
    kind, cut = ask.get("is"), ask.get("cut", "straight")
    if kind not in KINDS or cut not in CUTS:
        raise NoTarget(f"No target for {cut} {kind} yet.")
    found: dict[str, Range] = {}
    if "hem" in ask:
        if ask["hem"] not in HEM:
            raise NoTarget(f"“{ask['hem']}” is not a known hem.")
        inseam = inseam_for(body, cut, ask["hem"], float(ask.get("heel_cm", 0.0)))
        shorter, longer = PLAY.get(ask["hem"], ANY_PLAY)
        found["inseam_cm"] = (inseam + shorter, inseam + longer)
    if ask.get("rise_at") == "navel":
        rise = body.rise.along(body.height("navel"))
        found["front_rise_cm"] = (rise - RISE_PLAY, rise + RISE_PLAY)
    if ask.get("reads_as") in ("straight", "slim_straight"):
        ease = HANGS_STRAIGHT if ask["reads_as"] == "straight" else SLIM_STRAIGHT
        least = body.girth("calf") + ease
        found["leg_opening_min_cm"] = (least, least + OPENING_PLAY)
    return found
