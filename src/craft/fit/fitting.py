"""What a fit check is, and what the checks look at."""

from __future__ import annotations

from dataclasses import dataclass, replace
from typing import Literal

from craft.body import Body
from craft.body.measures import label
from craft.body.quantity import OF_80
from craft.cloth import Piece
from craft.cloth.kinds import KIND
from craft.fit.alter import Alteration
from craft.fit.edges import LandedEdge
from craft.fit.zones import ZoneEase
from craft.schools import Schools
from craft.units import Sentence
from craft.wear.shoes import WornShoes

Stance = Literal["fits", "watch", "against", "caution"]

#: A band that stands off by more than this, cm, gapes (W: two fingers flat).
GAPES = 3.5


@dataclass(frozen=True, slots=True)
class Check:
    """One check of a piece on a body, at a height above the ground, cm, with what would mend it."""

    key: str
    stance: Stance
    title: str
    text: Sentence
    height: float
    alterations: tuple[Alteration, ...] = ()


@dataclass(frozen=True, slots=True)
class Fitting:
    """What the checks look at: a piece on a body in shoes, hung and eased."""

    body: Body
    piece: Piece
    shoes: WornShoes
    schools: Schools
    edges: tuple[LandedEdge, ...]
    eases: tuple[ZoneEase, ...]
    seated: bool
    heels: bool

    @property
    def lift(self) -> float:
        """How far the shoes lift the body off the floor, cm."""
        return self.shoes.lift

    def edge(self, key: str) -> LandedEdge | None:
        """The edge of this key, if the piece has it."""
        return next((edge for edge in self.edges if edge.key == key), None)

    def ease(self, zone: str) -> ZoneEase | None:
        """The ease of this zone, if the piece has it."""
        return next((ease for ease in self.eases if ease.zone == zone), None)

    @property
    def has_legs(self) -> bool:
        """Whether it ends round each leg."""
        return KIND[self.piece.kind].has_legs


#: The body's measure behind each zone of ease, where it has another name.
_BEHIND = {
    "band": "waist",
    "under bust": "under_bust",
    "torso": "torso_girth",
    "shaft": "calf",
    "upper arm": "upper_arm",
}


def sure(check: Check, margin: float, ease: ZoneEase) -> Check:
    """A check on a girth: a doubt instead, where the body's girth is estimated and could decide otherwise."""
    return check if ease.settled else unless(check, margin, ease.spread, _BEHIND.get(ease.zone, ease.zone))


def unless(check: Check, margin: float, spread: float, measure: str) -> Check:
    """The same check, or “look twice, measure this” where its margin, cm, lies within an estimate's spread."""
    if margin >= OF_80 * spread:
        return check
    template = f"{check.text.template} That rests on an estimate: measure the {label(measure)} to be sure."
    return replace(check, stance="watch", text=Sentence(template, check.text.lengths))
