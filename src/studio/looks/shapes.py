"""What the screen sends and is told of looks."""

from __future__ import annotations

from datetime import datetime
from typing import Any, Literal
from uuid import UUID

from ninja import Schema
from pydantic import BaseModel, Field

from craft.formats.look_form import FiledSetting, LookFacts
from studio.drawings import DrawnShape
from studio.schemas import Copied, MaybeName, PieceWords

Verdict = Literal["works", "watch", "against"]
#: A look of more pieces than this is a slip.
MOST_PIECES = 12


class LookIn(BaseModel):
    """A look to keep. `from_rack` says by the place on the body which piece of the client's rack is worn there."""

    name: MaybeName = ""
    pieces: list[PieceWords] = Field(max_length=MOST_PIECES)
    facts: LookFacts = LookFacts()
    variant_of: UUID | None = None
    from_rack: dict[str, UUID] = Field(default={}, max_length=MOST_PIECES)


class LookChange(LookIn):
    version: int


class LookOut(Copied):
    id: UUID
    client_id: UUID
    name: str
    pieces: list[PieceWords]
    #: How many pieces of it cannot be read any more, and are left out.
    unreadable: int
    facts: LookFacts
    #: Left out where it is a variant of none.
    variant_of: UUID | None = None
    from_rack: dict[str, UUID]
    version: int
    changed_at: datetime
    changed_by: str


class Pieces(BaseModel):
    """Pieces to be judged: where they are worn, the rules that are outranked because somebody likes it so, and whether
    the hand still moves, so that mends can wait."""

    pieces: list[PieceWords] = Field(max_length=MOST_PIECES)
    setting: FiledSetting = FiledSetting()
    liked: list[str] = Field(default=[], max_length=40)
    moving: bool = False


class Described(BaseModel):
    """Pieces that were heard in a sentence."""

    pieces: list[PieceWords]


class GoesOut(BaseModel):
    """A piece of the rack with what is on: the verdict and score with it, by how much that is more, and why."""

    piece_id: UUID
    verdict: Verdict
    score: float
    by: float
    why: str


class RailOut(BaseModel):
    """The rack beside the look that is on, the best first."""

    goes: list[GoesOut]


class UnsettledMeasure(Copied):
    """A measure that is estimated and could still turn the verdict."""

    measure: str
    label: str
    low: Verdict
    high: Verdict
    text: str


class UnsettledOut(BaseModel):
    unsettled: list[UnsettledMeasure]


class Several(BaseModel):
    """Looks to hold up side by side."""

    looks: list[Pieces] = Field(min_length=2, max_length=4)


class HeldUp(BaseModel):
    """One look among others: how it is judged, its shapes, and the places where it differs from the first."""

    verdict: Verdict
    score: float
    leading: list[str]
    height: float
    shapes: list[DrawnShape]
    differs: list[str]


class ComparedOut(BaseModel):
    """Looks side by side on one floor; which is best, and why it is better than the next."""

    looks: list[HeldUp]
    best: int
    because: list[str]


class Spoken(Schema):
    text: str = Field(max_length=600)


class Colour(Schema):
    name: str
    hex: str


class KindOut(Copied):
    """What the screens know of a kind: its slot and place, what a tape takes of it, which figure says how long it is,
    the slots that it fills beside its own, and whether it ends round each leg or has a shaft."""

    slot: str
    place: str
    figures: list[str]
    length: str | None
    covers: list[str]
    has_legs: bool
    is_boot: bool


class Vocabulary(Schema):
    kinds: dict[str, list[str]]
    of_kind: dict[str, KindOut]
    #: The places of a look, from the body outwards.
    places: list[str]
    one_of: dict[str, list[str]]
    some_of: dict[str, list[str]]
    leg_cuts: list[str]
    top_cuts: list[str]
    skirt_cuts: list[str]
    colours: list[Colour]


class StepOut(Copied):
    """One change of a way to mend: words of the piece at a slot, or a piece of the rack to put on."""

    means: Literal["free", "rack", "tailor", "buy"]
    text: str
    slot: str
    change: dict[str, Any]
    piece_id: UUID | None


class RemedyOut(BaseModel):
    """A way to mend, with what it reaches: verdict, what no longer speaks against the look, what then does."""

    means: Literal["free", "rack", "tailor", "buy"]
    steps: list[StepOut]
    verdict: Verdict
    score: float
    gone: list[str]
    new: list[str]
    shop: str


class RemediesOut(BaseModel):
    remedies: list[RemedyOut]


class OtherViewOut(BaseModel):
    """What another position of a school would say: the verdicts, and in words what comes, what goes and what turns."""

    school: str
    asks: str
    position: str
    answer: str
    taken: str
    now: Verdict
    then: Verdict
    says: list[str]


class OtherViewsOut(BaseModel):
    """The other positions of the schools that speak otherwise of what is on."""

    views: list[OtherViewOut]


class TuckStepOut(Copied):
    """One step of a tuck: what to do, how it then looks on this body, and where the hand is, cm."""

    text: str
    shapes: list[DrawnShape]
    hand: list[float]
    top: float
    bottom: float
    behind: bool


class ProfileOut(BaseModel):
    """The figure turned: the side outline, x forward of the plumb line through the ankle, cm; and the back."""

    shapes: list[DrawnShape]
    back: list[DrawnShape]


class HowTo(BaseModel):
    steps: list[TuckStepOut]
