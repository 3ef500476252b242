"""Shoes and boots, worn: what they lift, how much foot they cover, where the shaft ends."""

from __future__ import annotations

from dataclasses import dataclass
from functools import lru_cache

from craft.body import Body
from craft.cloth import Piece
from craft.cloth.kinds import KIND, Shoe
from craft.cloth.piece import colour_of
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


#: Heel heights by word, cm, at the back of the heel; flat is the sole alone.
HEEL_CM = {"kitten": 4.5, "mid": 6.5, "high": 9.5}
PLATFORM_CM = 2.5
CHUNKY_SOLE_CM = 1.2
#: Front-view breadth of one shoe over the foot's: a dainty shoe is about the foot (W).
BULK_BREADTH = {"dainty": 1.0, "medium": 1.12, "chunky": 1.34}
#: What the eye weighs at the foot, from 0 (bare) to about 3 (W).
BULK_WEIGHT = {"dainty": 0.6, "medium": 1.0, "chunky": 1.7}
#: How much more or less of the foot a high or low vamp covers, cm (W).
VAMP_CM = {"low": -1.5, "high": 3.0}
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
    is_boot: bool = False
    colour: str = "brown"

    @property
    def lift(self) -> float:
        """How far the ankle, and all above it, stands higher than barefoot."""
        return self.heel

    @property
    def rise_of_foot(self) -> float:
        """What lengthens: heel above the ball of the foot, cm."""
        return self.heel - self.platform


BAREFOOT = WornShoes(None, 0.0, 0.0, Landing(0.0, 0.0, "measured"), None, None, "round", "dainty", 9.0, 0.0)


@lru_cache(maxsize=64)
def barefoot_on(heel: float) -> WornShoes:
    """No shoe, but a heel of so many cm: how landing cases are stated."""
    return WornShoes(None, heel, 0.0, Landing(heel, 0.0, "measured"), None, None, "round", "dainty", 9.0, 0.0)


@lru_cache(maxsize=4096)
def wear_shoes(body: Body, piece: Piece) -> WornShoes:
    """Put shoes on: nominal figures for the words, measured ones where the piece has them. Raises ValueError for what is
    no shoe."""
    row = KIND[piece.kind].shoe
    if row is None:
        raise ValueError(f"{piece.kind} are no shoes")
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
    shaft_ease = _shaft_ease(body, piece, cover.cm - heel) if row.shaft else None
    strap = body.height("narrow_ankle") + heel if piece.flag("ankle_strap") else None
    foot = 0.37 * body.lengths["foot_length"].cm
    weight = BULK_WEIGHT[bulk] + (0.4 if shape == "platform" else 0.0)
    if shaft_ease is not None:
        weight += 0.1 + 0.06 * max(0.0, shaft_ease - PLAIN_SHAFT_EASE)
    toe = piece.word("toe") or row.toe
    return WornShoes(
        piece,
        heel,
        platform,
        cover,
        shaft_ease,
        strap,
        toe,
        bulk,
        foot * BULK_BREADTH[bulk],
        weight,
        row.shaft is not None,
        colour_of(piece),
    )


def _cover(body: Body, piece: Piece, row: Shoe, heel: float, platform: float) -> Landing:
    """Top of the vamp or of the shaft above the ground."""
    measured = piece.figure("shaft_cm")
    if measured is not None:
        return Landing(measured + (platform if row.shaft else 0.0), 0.5, "measured")
    if row.shaft is None:
        # The vamp lies over the ball and instep: half-way between platform and heel.
        vamp = VAMP_CM.get(piece.word("vamp") or "", 0.0)
        return Landing(platform + 0.5 * (heel - platform) + max(1.0, row.cover + vamp), 1.0, "described")
    landmark, above = row.shaft
    return Landing(body.height(landmark) + above + heel, 1.5, "described")


def _shaft_ease(body: Body, piece: Piece, height: float) -> float:
    measured = piece.figure("shaft_girth_cm")
    if measured is not None:
        return measured - body.leg_girth(height)
    return SHAFT_EASE.get(piece.word("shaft") or "", PLAIN_SHAFT_EASE)
