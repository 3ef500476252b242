"""Shoes and boots, worn: what they lift, how much foot they cover, where the shaft ends."""

from __future__ import annotations

from dataclasses import dataclass
from typing import NamedTuple

from craft.body import Body
from craft.cloth import Piece
from craft.wear.landing import Landing

#: How high a sock ends above the sole where nobody measured it, cm: a usual crew sock, under the fullest calf (W).
SOCK_CM = 20.0


def sock_top(piece: Piece, lift: float) -> Landing:
    """Where a sock ends above the ground; the foot and its heel carry it up.

    >>> sock_top(Piece.of({"is": "socks", "length_cm": 12}), 5.0).cm
    17.0
    """
    said = piece.figure("length_cm")
    return Landing(
        (SOCK_CM if said is None else said) + lift, 2.0 if said is None else 0.7, "measured" if said else "described"
    )


class ShoeRow(NamedTuple):
    """Nominal shoe: heel of the plain one, cover of the foot above the sole (cm), default toe and bulk."""

    heel: str
    cover: float
    toe: str
    bulk: str
    sole: float


#: The plain middle of each kind. W: common lasts and soles.
ROWS: dict[str, ShoeRow] = {
    "trainers": ShoeRow("flat", 6.5, "round", "medium", 2.6),
    "flats": ShoeRow("flat", 2.8, "round", "dainty", 1.0),
    "loafers": ShoeRow("flat", 5.5, "almond", "medium", 2.0),
    "mules": ShoeRow("flat", 5.0, "almond", "medium", 1.6),
    "slingbacks": ShoeRow("kitten", 2.8, "pointed", "dainty", 1.0),
    "pumps": ShoeRow("mid", 2.8, "almond", "dainty", 1.0),
    "sandals": ShoeRow("flat", 1.5, "round", "medium", 1.4),
    "ankle_boots": ShoeRow("flat", 12.0, "almond", "medium", 2.2),
    "sock_boots": ShoeRow("flat", 14.0, "almond", "dainty", 2.0),
    "tall_boots": ShoeRow("flat", 36.0, "almond", "medium", 2.2),
    "over_knee_boots": ShoeRow("flat", 52.0, "almond", "medium", 2.2),
}
BOOTS = ("ankle_boots", "sock_boots", "tall_boots", "over_knee_boots")

#: Heel heights by word, cm, at the back of the heel; flat is the sole alone.
HEEL_CM = {"kitten": 4.5, "mid": 6.5, "high": 9.5}
PLATFORM_CM = 2.5
CHUNKY_SOLE_CM = 1.2
#: Front-view breadth of one shoe over the foot's: a dainty shoe is about the foot (W).
BULK_BREADTH = {"dainty": 1.0, "medium": 1.12, "chunky": 1.34}
#: What the eye weighs at the foot, from 0 (bare) to about 3 (W).
BULK_WEIGHT = {"dainty": 0.6, "medium": 1.0, "chunky": 1.7}
#: Girth of a shaft over the leg it stands at, cm, by word; a plain boot is between.
SHAFT_EASE = {"close": 1.0, "slim": 3.0, "wide": 9.0}
PLAIN_SHAFT_EASE = 4.5
#: How far a toe carries the line on beyond the foot, cm.
TOE_LENGTH = {"round": 0.0, "square": 0.3, "almond": 1.0, "pointed": 2.2}


@dataclass(frozen=True, slots=True)
class WornShoes:
    """Shoes on the feet. Heights above the ground, cm."""

    piece: Piece | None
    heel: float
    platform: float
    cover: Landing
    shaft_ease: float | None
    strap: float | None
    toe: str
    bulk: str
    breadth: float
    weight: float

    @property
    def lift(self) -> float:
        """How far the ankle, and all above it, stands higher than barefoot."""
        return self.heel

    @property
    def rise_of_foot(self) -> float:
        """What lengthens: heel above the ball of the foot, cm."""
        return self.heel - self.platform

    @property
    def is_boot(self) -> bool:
        return self.piece is not None and self.piece.kind in BOOTS

    @property
    def colour(self) -> str:
        return (self.piece.word("colour") if self.piece else None) or "brown"


BAREFOOT = WornShoes(None, 0.0, 0.0, Landing(0.0, 0.0, "measured"), None, None, "round", "dainty", 9.0, 0.0)


def barefoot_on(heel: float) -> WornShoes:
    """No shoe, but a heel of so many cm: how landing cases are stated."""
    return WornShoes(None, heel, 0.0, Landing(heel, 0.0, "measured"), None, None, "round", "dainty", 9.0, 0.0)


def wear_shoes(body: Body, piece: Piece) -> WornShoes:
    """Put shoes on: nominal figures for the words, measured ones where the piece has them."""
    row = ROWS[piece.kind]
    bulk = piece.word("bulk") or row.bulk
    shape = piece.word("heel_shape")
    sole = row.sole + (CHUNKY_SOLE_CM if bulk == "chunky" else 0.0) + (PLATFORM_CM if shape == "platform" else 0.0)
    word = piece.word("heel") or (row.heel if shape is None or row.heel != "flat" else "mid")
    heel = piece.figure("heel_cm")
    if heel is None:
        heel = sole if word == "flat" else HEEL_CM[word] + (PLATFORM_CM if shape == "platform" else 0.0)
    platform = piece.figure("platform_cm")
    platform = min(sole if platform is None else platform, heel)
    cover = _cover(body, piece, row, heel, platform)
    shaft_ease = _shaft_ease(body, piece, cover.cm - heel) if piece.kind in BOOTS else None
    strap = body.height("narrow_ankle") + heel if piece.flag("ankle_strap") else None
    foot = 0.37 * body.lengths["foot_length"].cm
    weight = BULK_WEIGHT[bulk] + (0.4 if shape == "platform" else 0.0)
    if shaft_ease is not None:
        weight += 0.1 + 0.06 * max(0.0, shaft_ease - PLAIN_SHAFT_EASE)
    toe = piece.word("toe") or row.toe
    return WornShoes(piece, heel, platform, cover, shaft_ease, strap, toe, bulk, foot * BULK_BREADTH[bulk], weight)


def _cover(body: Body, piece: Piece, row: ShoeRow, heel: float, platform: float) -> Landing:
    """Top of the vamp or of the shaft above the ground."""
    measured = piece.figure("shaft_cm")
    if measured is not None:
        return Landing(measured + (platform if piece.kind in BOOTS else 0.0), 0.5, "measured")
    if piece.kind not in BOOTS:
        # The vamp lies over the ball and instep: half-way between platform and heel.
        return Landing(platform + 0.5 * (heel - platform) + row.cover, 1.0, "described")
    at = body.height
    top = {
        "ankle_boots": at("narrow_ankle") + 3.5,
        "sock_boots": at("narrow_ankle") + 6.0,
        "tall_boots": at("knee") - 6.0,
        "over_knee_boots": at("knee") + 10.0,
    }[piece.kind]
    return Landing(top + heel, 1.5, "described")


def _shaft_ease(body: Body, piece: Piece, height: float) -> float:
    measured = piece.figure("shaft_girth_cm")
    if measured is not None:
        return measured - body.leg_girth(height)
    return SHAFT_EASE.get(piece.word("shaft") or "", PLAIN_SHAFT_EASE)
