"""The verbs of shopping: a client's numbers, and a piece from a shop landed on their body."""

from __future__ import annotations

from dataclasses import dataclass, field
from typing import Any

from craft.advise.shopping import Number, shopping_numbers
from craft.body import Body
from craft.cloth import Piece
from craft.cloth.description import Description, read_description
from craft.cloth.kinds import KIND
from craft.fit import Landed, land
from craft.judge import Aims
from craft.schools import Schools
from craft.units import Unit
from craft.wear.shoes import barefoot_on
from studio.bodies.known import body_of
from studio.people.known import client_of
from studio.people.models import Member

INJURY = "foot_ankle_knee_back_injury"


@dataclass(frozen=True)
class Shopper:
    """A client as a shop meets them."""

    name: str
    body: Body
    schools: Schools
    heels: bool
    seated: bool
    unit: Unit
    aims: Aims = field(default_factory=Aims)


def shopper_of(member: Member, client_id: Any) -> Shopper:
    """The client's body as it is known today, with what they will not wear. Raises Http404."""
    client = client_of(member, client_id)
    return Shopper(
        client.name,
        body_of(client),
        client.ways,
        # After an injury a change of heel is the clinician's to allow (brief, section 16).
        heels="heels" not in client.aims.get("wont", ()) and INJURY not in client.brief.get("limits", ()),
        seated=bool(client.brief.get("seated")),
        unit=client.studio.unit,
        aims=client.wishes,
    )


def numbers_for(shopper: Shopper) -> tuple[Number, ...]:
    """Everything to shop with."""
    return shopping_numbers(shopper.body, shopper.schools, heels=shopper.heels, aims=shopper.aims)


def read_and_land(shopper: Shopper, text: str, heel: float) -> tuple[Description, Landed]:
    """A pasted description, read and landed in a heel of so many cm. Raises NothingRead."""
    told = read_description(text, shopper.unit)
    return told, land_on(shopper, told.piece, heel)


def land_on(shopper: Shopper, piece: Piece, heel: float) -> Landed:
    """A piece on this body. A boot brings its own heel."""
    own = piece.figure("heel_cm") if KIND[piece.kind].is_boot else None
    shoes = barefoot_on(heel if own is None else own)
    return land(shopper.body, piece, shoes, shopper.schools, seated=shopper.seated, heels=shopper.heels)
