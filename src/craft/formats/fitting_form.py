"""What is seen at a fitting, and what is decided, as they are kept and filed."""

from __future__ import annotations

from typing import Annotated, Any, Literal

from pydantic import BaseModel, ConfigDict, Field, StringConstraints, field_validator

from craft.cloth import Piece
from craft.formats.brief_form import Said, Short
from craft.formats.moments import Due, Past

Verdict = Literal["as_said", "not_so"]
#: The three life checks of a try-on (brief, section 1): the shape, the person's style, the person's week.
Life = Literal["shape", "style", "week"]
Move = Literal["sit", "reach", "walk", "back"]
Decision = Literal["", "keep", "alter", "size", "return", "let_go"]
ErrandKind = Literal["alter", "return", "size"]
#: A height above the ground, or ease, cm.
Height = Annotated[float, Field(ge=-20, le=260)]
Ease = Annotated[float, Field(ge=-60, le=120)]


class _Form(BaseModel):
    model_config = ConfigDict(extra="forbid")


class Seen(_Form):
    """What was seen of one piece: edges above the ground and ease by zone, cm; each computed check confirmed or
    contradicted; how it moved, how it felt, and whether it suits shape, style and week."""

    edges: dict[Short, Height] = Field(default={}, max_length=12)
    eases: dict[Short, Ease] = Field(default={}, max_length=12)
    checks: dict[Short, Verdict] = Field(default={}, max_length=30)
    moves: dict[Move, Literal["well", "not_well"]] = {}
    comfort: Literal["", "comfortable", "bearable", "not"] = ""
    life: dict[Life, bool] = {}


class FiledErrand(_Form):
    """An alteration, a return or another size, with its date. `rack_at` is its piece's place in the file's rack."""

    rack_at: int | None = None
    kind: ErrandKind
    title: Short
    text: Said
    figure: Annotated[str, StringConstraints(max_length=32)] = ""
    by_cm: float = Field(default=0.0, ge=-60, le=60)
    due_on: Due | None = None
    done_at: Past | None = None
    applied: bool = False


class FiledTrial(_Form):
    """One piece tried on. `rack_at` is its place in the file's rack, where it hangs there."""

    rack_at: int | None = None
    title: Short
    piece: dict[str, Any]
    maker: Short = ""
    label_size: Annotated[str, StringConstraints(max_length=20)] = ""
    heel_cm: float = Field(default=0.0, ge=0, le=20)
    expected: dict[str, Any] = {}
    seen: Seen = Seen()
    decision: Decision = ""
    why: Said = ""
    corrected: list[dict[str, Any]] = Field(default=[], max_length=20)
    tried_at: Past
    errands: list[FiledErrand] = Field(default=[], max_length=20)

    @field_validator("piece")
    @classmethod
    def _known(cls, value: dict[str, Any]) -> dict[str, Any]:
        return Piece.of(value).described()


class FiledFitting(_Form):
    """One fitting."""

    place: Literal["wardrobe", "shop"]
    where: Short = ""
    started_at: Past
    ended_at: Past | None = None
    trials: list[FiledTrial] = Field(default=[], max_length=500)
