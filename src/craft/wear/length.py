"""How long a piece hangs: the one way from where it hangs down to its hem, and back.

What is measured flat goes along the body, not down in the air: a skirt's length runs out over the hip, a top's over the
bust. So a fuller seat lifts a hem, and a fuller bust lifts the front.
"""

from __future__ import annotations

from dataclasses import dataclass
from functools import lru_cache

from craft.body import Body
from craft.cloth import Piece
from craft.cloth.kinds import KIND
from craft.wear.cuts import CUFF_CM, cut_of
from craft.wear.landing import Landing, landed_height
from craft.wear.over import girth_at, over_bust, over_hip

#: How finely the place where a loose band holds is sought, cm.
SLIDES_BY = 0.25


@dataclass(frozen=True, slots=True)
class Fall:
    """How a piece's length runs down a body: the figure that says it, and where a length of nought would end, cm above
    the barefoot floor, with the way over hip and bust in it. `rests_on` names the body's measures behind that."""

    figure: str
    start: float
    rests_on: tuple[str, ...]

    def ends(self, length: float, lift: float) -> float:
        """Where a length ends above the ground, cm, in shoes that lift the body by `lift`.

        >>> Fall("length_cm", 104.0, ("waist_height",)).ends(70.0, 2.0)
        36.0
        """
        return self.start + lift - length

    def length(self, height: float, lift: float) -> float:
        """The length that ends at a height above the ground, cm: `ends` backwards."""
        return self.start + lift - height


@lru_cache(maxsize=4096)
def fall_of(body: Body, piece: Piece) -> Fall | None:
    """How a piece's length runs down a body; None where no figure says how long it is.

    >>> from craft.body import Measures
    >>> body = Body.of(Measures.of({"stature": 165, "crotch_height": 76}))
    >>> fall_of(body, Piece.of({"is": "jeans", "cut": "slim"})).ends(70.0, 0.0)
    6.0
    """
    row = KIND[piece.kind]
    if row.length is None:
        return None
    match row.hangs:
        case "crotch" | "suit":
            cuff = CUFF_CM if piece.flag("cuffed") else 0.0
            loop = piece.figure("torso_loop_cm")
            rests_on = ("crotch_height",) if loop is None else ("crotch_height", "torso_girth")
            return Fall(row.length, fork_of(body, piece) + cuff, rests_on)
        case "waist":
            band = band_of(body, piece)
            return Fall(row.length, band + over_hip(body, band), ("waist_height",))
        case _:
            way = over_bust(body)
            if row.hangs == "whole":
                # A dress is measured down its middle, half-way between front and side: half of what the hip takes.
                way += 0.5 * over_hip(body, body.height("waist"))
            return Fall(row.length, body.height("shoulder") + way, ("shoulder_height",))


def length_to(body: Body, piece: Piece, word: str, lift: float) -> float:
    """The length, cm, that lands a piece's hem on a word in shoes of this lift: the landing backwards. Raises ValueError
    where no figure says how long it is.

    >>> from craft.body import Measures
    >>> body = Body.of(Measures.of({"stature": 165, "crotch_height": 76, "narrow_ankle_height": 10.5}))
    >>> length_to(body, Piece.of({"is": "jeans", "cut": "slim"}), "ankle", 0.0)
    65.5
    """
    fall = fall_of(body, piece)
    if fall is None:
        raise ValueError(f"no figure says how long a {piece.kind} is")
    return fall.length(landed_height(body, word, lift), lift)


def fork_of(body: Body, piece: Piece) -> float:
    """Where the legs of a piece part, cm above the barefoot floor: a dropped cut hangs below the body's own crotch, and
    so does a suit whose loop is longer than the torso."""
    loop = piece.figure("torso_loop_cm")
    sags = max(0.0, loop - body.lengths["torso_girth"].cm) / 2 if loop is not None else 0.0
    return body.height("crotch") - cut_of(piece)[1].drop - sags


def band_of(body: Body, piece: Piece) -> float:
    """Where a skirt's band sits, cm above the barefoot floor: at the natural waist, or where a looser one first holds."""
    waist, hip = body.height("waist"), body.height("hip")
    if KIND[piece.kind].hangs != "waist":
        return waist
    girth = piece.figure("waist_cm")
    if girth is None:
        return _sits(body, piece.word("rise"))
    at = waist
    while at > hip and girth_at(body, at)[0] < girth:
        at -= SLIDES_BY
    return at


def _sits(body: Body, rise: str | None) -> float:
    """Where a skirt of this rise sits: a low one on the hips, a mid one at the navel, else at the natural waist."""
    at = {"low": "high_hip", "mid": "navel"}.get(rise or "", "waist")
    return body.height(at)


def hem_of(body: Body, piece: Piece, lift: float, usual: str) -> Landing:
    """Where a hem hangs free: by its length, by the height it was drawn to, or by its word, `usual` where none is said."""
    fall = fall_of(body, piece)
    length = piece.figure(fall.figure) if fall else None
    if fall is not None and length is not None:
        return Landing.on(body, fall.ends(length, lift), *fall.rests_on)
    drawn = piece.figure("hem_cm")
    cm = drawn if drawn is not None else landed_height(body, piece.word("hem") or usual, lift)
    return Landing.on(body, cm, described=True)
