"""What the screen sends and is told of an edit."""

from __future__ import annotations

from datetime import date, datetime
from typing import Annotated, Any, Literal
from uuid import UUID

from pydantic import BaseModel, Field

from craft.edit.capsule import FEWEST, MOST
from craft.edit.sorting import DECISIONS
from craft.formats.moments import Due
from studio.drawings import DrawnShape
from studio.edit.models import GOES, WHEN
from studio.looks.shapes import Verdict
from studio.outfits.shapes import ReasonOut
from studio.schemas import MaybeName, PieceWords

Decision = Literal[DECISIONS]  # type: ignore[valid-type]
Goes = Literal[("", *GOES)]  # type: ignore[valid-type]
When = Literal[WHEN]  # type: ignore[valid-type]
Whose = Literal["owned", "brought", "to_buy"]
State = Literal["waiting", "running", "done", "failed", "cancelled"]
MOST_LINES = 200


class JobOut(BaseModel):
    """Long work as it is: how far, and why it could not be done as it was asked for."""

    id: UUID
    state: State
    done: float
    refused: str


class EditPieceOut(BaseModel):
    """A piece of a look of the edit: whose it is (owned, brought along, to buy), and its words as it is worn."""

    piece_id: UUID | None = None
    whose: Whose
    title: str
    words: PieceWords
    how: str


class EditLookOut(BaseModel):
    key: str
    pieces: list[EditPieceOut]
    verdict: Verdict
    reasons: list[ReasonOut]


class AdoptionOut(BaseModel):
    """What would adopt a piece, in a sentence, by which means, and how many outfits that makes; a thing to buy with its words."""

    means: Literal["worn", "tailor", "kit", "buy"]
    text: str
    looks: int
    piece: PieceWords | None = None
    title: str


class ProposalOut(BaseModel):
    """What is proposed for a piece: the decision, why, in how many outfits it works, what would adopt it, and its best looks."""

    piece_id: UUID
    decision: Decision
    reason: str
    works: int
    share: float
    adoption: AdoptionOut | None = None
    twin: str
    #: On how many days it was worn, and the last of them; None where nothing was ever recorded for this client.
    worn_days: int | None = None
    last_worn: date | None = None
    looks: list[EditLookOut]


class OrphanOut(BaseModel):
    piece_id: UUID
    why: str
    adoptions: list[AdoptionOut]


class ClusterOut(BaseModel):
    """Colours that go for one: its share of the pieces, and in how many good looks those stand."""

    name: str
    hex: str
    share: float
    pieces: list[UUID]
    neutral: bool
    joins: int
    by_face: Literal["good", "plain", "away", ""]


class ColoursOut(BaseModel):
    clusters: list[ClusterOut]
    joins: list[str]
    build_on: list[str]
    enough: list[str]
    missing: list[str]
    neutral_share: float


class SlotOut(BaseModel):
    slot: str
    pieces: int
    fits: int
    works: int
    works_on: list[int]
    seasons: dict[str, int]


class ShapeOut(BaseModel):
    places: list[SlotOut]
    says: list[str]


class DayOut(BaseModel):
    """A kind of day, and which share of the week it is, per cent."""

    name: str
    share: float


class DecidingOut(BaseModel):
    """A figure that is worth measuring: of which piece, what it is taken for, cm, and the outfits if it is less, so, and more."""

    piece_id: UUID
    title: str
    figure: str
    taken_for: float
    outfits: list[int]


class SortingOut(BaseModel):
    """The sorting: how far it is read, and what is proposed for each piece, in the order to go through them."""

    job: JobOut
    pieces: list[ProposalOut]
    orphans: list[OrphanOut]
    twins: list[list[UUID]]
    #: What to measure first, since most hangs on it.
    deciding: list[DecidingOut]
    colours: ColoursOut | None = None
    shape: ShapeOut | None = None
    days: list[DayOut]


class GapNumberOut(BaseModel):
    """A figure to shop with, cm."""

    name: str
    low: float
    high: float
    settled: bool


class GainOut(BaseModel):
    """A thing to buy: what it is, the outfits that it makes by kind of day, its figures, what it costs and a wear, what else would do,
    and a few of its looks."""

    key: str
    title: str
    piece: PieceWords
    looks: list[int]
    newness: float
    small: bool
    lasts: bool
    instead: list[str]
    numbers: list[GapNumberOut]
    price: int | None = None
    a_wear: float | None = None
    shown: list[EditLookOut]


class SeveralOut(BaseModel):
    """Things to buy together, and the outfits that they make, by kind of day."""

    keys: list[str]
    titles: list[str]
    looks: list[int]
    price: int | None = None


class GapsOut(BaseModel):
    job: JobOut
    gains: list[GainOut]
    #: What makes most, of different kinds; and the small things that mend most.
    lead: list[str]
    small: list[str]
    together: list[SeveralOut]
    #: How many sets were weighed, of how many things; how many looks were judged, with how many candidates.
    weighed: int
    listed: int
    #: What the best thing that is not among them is worth by itself, in per cent of the first: the sets are the best of the list only.
    left_off: int
    tried: int
    candidates: int
    #: Outfits that work already, by kind of day.
    there: list[int]
    left_out: list[str]
    days: list[DayOut]
    currency: str
    budget: int | None = None


class CapsuleIn(BaseModel):
    pieces: int = Field(ge=FEWEST, le=MOST)
    bought: int = Field(default=0, ge=0, le=10)
    must: list[UUID] = Field(default=[], max_length=MOST)
    never: list[UUID] = Field(default=[], max_length=MOST_LINES)


class CapsulePartOut(BaseModel):
    """A piece of a capsule: in how many of its outfits it stands, and the kinds of day that it is for; none where it serves all."""

    piece_id: UUID | None = None
    whose: Whose
    title: str
    words: PieceWords
    outfits: int
    day: str
    price: int | None = None


class CapsuleOut(BaseModel):
    job: JobOut
    parts: list[CapsulePartOut]
    outfits: int
    bases: int
    by_day: list[int]
    #: Whether no other choice can make more; and from how many pieces it was chosen.
    proven: bool
    chosen_from: int
    looks: list[EditLookOut]
    days: list[DayOut]
    currency: str


class ChangedPieceOut(BaseModel):
    """A piece that fits otherwise than before: what was and is against it, and what the tailor does to save it."""

    piece_id: UUID
    title: str
    then: str
    now: str
    saved_by: str
    flat: list[DrawnShape]


class ChangedOut(BaseModel):
    job: JobOut
    pieces: list[ChangedPieceOut]
    #: Outfits that work: then, now, and with what a tailor can save.
    then: int
    now: int
    saved: int


class DecideIn(BaseModel):
    """What is decided of a piece; `version` is that of the decision on the screen, if there is one."""

    id: UUID
    version: int | None = None
    decision: Decision
    proposed: Annotated[str, Field(max_length=20)] = ""
    word: MaybeName = ""
    goes: Goes = ""
    place: MaybeName = ""
    on: Due | None = None


class SortedOut(BaseModel):
    """A decision about a piece, by whom, and where the piece goes."""

    id: UUID
    version: int
    piece_id: UUID
    title: str
    decision: Decision
    proposed: str
    word: str
    goes: Goes
    place: str
    on: date | None
    gone_at: datetime | None
    by: str


class SortedListOut(BaseModel):
    decisions: list[SortedOut]


class KitIn(BaseModel):
    id: UUID
    line: str = Field(max_length=300)


class KitPieceOut(BaseModel):
    id: UUID
    title: str
    slot: str
    words: PieceWords


class KitOut(BaseModel):
    pieces: list[KitPieceOut]


class ToBuyIn(BaseModel):
    id: UUID
    piece: PieceWords
    why: Annotated[str, Field(max_length=300)] = ""
    looks: int = Field(default=0, ge=0, le=100_000_000)
    price: int | None = Field(default=None, ge=0, le=1_000_000)
    when: When = "now"


class ToBuyChange(BaseModel):
    version: int
    price: int | None = Field(default=None, ge=0, le=1_000_000)
    when: When | None = None
    bought: bool | None = None


class ToBuyOut(BaseModel):
    id: UUID
    version: int
    title: str
    words: PieceWords
    why: str
    looks: int
    price: int | None = None
    when: When
    bought: bool


class BuyingOut(BaseModel):
    """A client's buying list, and the budget it is held against."""

    things: list[ToBuyOut]
    currency: str
    budget: int | None = None


class VerdictIn(BaseModel):
    piece: PieceWords


class VerdictOut(BaseModel):
    """Whether to buy a piece: buy, alter and buy, or leave; why, and the outfits that it makes by kind of day."""

    verdict: Literal["buy", "alter", "leave"]
    reasons: list[str]
    looks: list[int]
    days: list[DayOut]


def words(of: Any) -> Any:
    """Words of a piece as the screen is told them."""
    return PieceWords.model_validate(of)
