"""What the screen sends and is told of searches."""

from __future__ import annotations

from datetime import date
from typing import Any, Literal
from uuid import UUID

from pydantic import BaseModel, Field

from craft.cloth.words import COLOURS
from craft.formats.look_form import FiledSetting
from studio.drawings import DrawnShape
from studio.looks.shapes import MOST_PIECES, Verdict
from studio.schemas import MaybeName, PieceWords

#: So many pieces may be asked for or left out; so many looks drawn at once.
MOST_NAMED, MOST_DRAWN = 60, 12


class AskIn(BaseModel):
    """What is asked: where it is worn, what must be on and what not, from the best (0) to the most different (1)."""

    setting: FiledSetting = FiledSetting()
    must: list[UUID] = Field(default=[], max_length=MOST_NAMED)
    must_not: list[UUID] = Field(default=[], max_length=MOST_NAMED)
    one_statement: bool = False
    as_if: bool = False
    #: What was worn within so many days is left out.
    rest_days: int = Field(default=0, ge=0, le=90)
    #: A colour wanted by the face, by its name.
    by_the_face: Literal[tuple(COLOURS)] | None = None  # type: ignore[valid-type]
    dial: float = Field(default=0.4, ge=0, le=1)


class FoundPieceOut(BaseModel):
    """A piece of a found look: which of the rack, its name there, and its words as it is worn."""

    piece_id: UUID
    title: str
    words: PieceWords
    #: How it is worn, where that is not as it hangs: “tucked in front”.
    how: str


class ReasonOut(BaseModel):
    title: str
    text: str
    stance: Literal["for", "against", "caution"]


class FoundLookOut(BaseModel):
    """A look that was found: its pieces from the body outwards, how it is judged, why, and what is new in it."""

    key: str
    pieces: list[FoundPieceOut]
    verdict: Verdict
    score: float
    reasons: list[ReasonOut]
    new: str
    #: When its base was worn last, where that is not long ago.
    worn_on: date | None


class PieceCountOut(BaseModel):
    """In how many looks a piece stands, and in how many that work; or why it stands in none."""

    piece_id: UUID
    looks: int
    works: int
    stays_out: str


class SearchOut(BaseModel):
    """A search as it is: how far, and what was found; until it is done a few looks of a part of the wardrobe."""

    id: UUID
    state: Literal["waiting", "running", "done", "failed", "cancelled"]
    done: float
    looks: list[FoundLookOut]
    #: How many looks there are, and how many work.
    count: int
    works: int
    pieces: list[PieceCountOut]
    left_out: list[str]


class CountsOut(BaseModel):
    """In how many good looks each piece of the rack stands, as it was last searched; stale where something has changed."""

    pieces: list[PieceCountOut]
    stale: bool
    known: bool


class ToDraw(BaseModel):
    """Looks to draw, each by its pieces."""

    looks: list[list[PieceWords]] = Field(max_length=MOST_DRAWN)

    def described(self) -> list[list[Any]]:
        """The pieces of each look; of no look too many."""
        return [look[:MOST_PIECES] for look in self.looks]


class DrawnLookOut(BaseModel):
    shapes: list[DrawnShape]
    height: float
    #: What is worn, in words.
    told: str


class DrawnLooksOut(BaseModel):
    looks: list[DrawnLookOut]


class ApartIn(BaseModel):
    """Pieces that a client rejects together, and why in a word or two."""

    id: UUID
    pieces: list[UUID] = Field(min_length=2, max_length=MOST_PIECES)
    word: MaybeName = ""


class ApartOut(BaseModel):
    id: UUID
    pieces: list[UUID]
    titles: list[str]
    word: str


class LikedOut(BaseModel):
    """A rule that is outranked in a kept look because somebody likes it so: which look, which rule, and who."""

    look_id: UUID
    look: str
    rule: str
    who: str


class RememberedOut(BaseModel):
    """What searches and looks honour: rejected together, and liked all the same."""

    apart: list[ApartOut]
    liked: list[LikedOut]
