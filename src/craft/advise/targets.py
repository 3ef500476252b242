"""Shopping numbers: the garment figure that lands where it is wanted. Landings run backwards."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Any

from craft.body import Body
from craft.cloth import Piece
from craft.cloth.kinds import KIND
from craft.cloth.words import HEM
from craft.errors import NoTarget
from craft.wear.cuts import CUTS
from craft.wear.ease import HANGS_STRAIGHT, SLIM_STRAIGHT
from craft.wear.length import length_to

#: How far an inseam may be off and still land on its word, cm: an ankle hem may be up to
#: 2.5 cm higher (brief, section 4); a floor length has less play.
PLAY = {"ankle": (-2.5, 0.5), "foot": (-1.5, 1.0), "ankle_bone": (-1.0, 1.0)}
ANY_PLAY = (-1.5, 1.5)
RISE_PLAY = 1.0
#: A leg opening up to this much over the least that hangs straight still reads straight, cm.
OPENING_PLAY = 6.0
#: What a rise may be asked to reach, and the height that it is.
RISE_TO = ("navel", "waist", "high_hip")

Range = tuple[float, float]


#: Pieces whose fit number is the torso loop; how much shorter and longer than the torso's girth it may be, cm (W: a suit
#: stretches, so it is made smaller).
LOOPED, LOOP_PLAY = ("swimsuit", "bodysuit"), (-8.0, 2.0)


def loop_for(body: Body) -> Range:
    """The torso loop to shop for, cm: about the torso's girth.

    >>> from craft.body import Measures
    >>> loop_for(Body.of(Measures.of({"stature": 165, "torso_girth": 152})))
    (144.0, 154.0)
    """
    girth = body.lengths["torso_girth"].cm
    return girth + LOOP_PLAY[0], girth + LOOP_PLAY[1]


def target(body: Body, ask: Mapping[str, Any]) -> dict[str, Range]:
    """The figures to shop for, as ranges in cm, for a piece that lands as asked. Raises NoTarget.

    >>> from craft.body import Measures
    >>> body = Body.of(Measures.of({"stature": 165, "crotch_height": 76, "narrow_ankle_height": 10.5}))
    >>> target(body, {"is": "jeans", "cut": "slim", "hem": "ankle"})["inseam_cm"]
    (63.0, 66.0)
    """
    hem, heel = ask.get("hem"), float(ask.get("heel_cm", 0.0))
    if hem is not None and hem not in HEM:
        raise NoTarget(f"“{hem}” is not a known hem.")
    if ask.get("is") in LOOPED:
        return {"torso_loop_cm": loop_for(body)}
    piece = _asked(ask)
    figure = KIND[piece.kind].length
    found: dict[str, Range] = {}
    if hem is not None and figure is not None:
        found[figure] = _around(length_to(body, piece, hem, heel), hem)
    if not KIND[piece.kind].has_legs:
        return found
    if ask.get("rise_at") in RISE_TO:
        rise = body.rise.along(body.height(ask["rise_at"]))
        found["front_rise_cm"] = (rise - RISE_PLAY, rise + RISE_PLAY)
    if ask.get("reads_as") in ("straight", "slim_straight"):
        ease = HANGS_STRAIGHT if ask["reads_as"] == "straight" else SLIM_STRAIGHT
        least = body.girth("calf") + ease
        found["leg_opening_min_cm"] = (least, least + OPENING_PLAY)
    return found


def _asked(ask: Mapping[str, Any]) -> Piece:
    """What is asked about, as far as its length goes: its kind and cut."""
    kind, cut = ask.get("is"), ask.get("cut")
    row = KIND.get(str(kind))
    if row is None or row.length is None or (row.has_legs and cut is not None and cut not in CUTS):
        raise NoTarget(f"No target for {cut or ''} {kind} yet.")
    return Piece.of({"is": kind, "cut": cut})


def _around(figure: float, hem: str) -> Range:
    shorter, longer = PLAY.get(hem, ANY_PLAY)
    return figure + shorter, figure + longer
