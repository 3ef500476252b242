"""A piece of a rack as it is kept and filed: words and figures, and what is known of it besides."""

from __future__ import annotations

from typing import Annotated, Any, Literal

from pydantic import BaseModel, ConfigDict, Field, StringConstraints, field_validator

from craft.cloth import Piece
from craft.formats.brief_form import Said, Short
from craft.formats.moments import PastDay

#: Where a piece is in its life with the client.
State = Literal["in_use", "at_the_tailor", "lent", "to_let_go"]
Season = Literal["spring", "summer", "autumn", "winter"]


class Facts(BaseModel):
    """What no landing needs: maker and label size, price, when it was bought, care, season, state."""

    model_config = ConfigDict(extra="forbid")

    maker: Short = ""
    label_size: Annotated[str, StringConstraints(strip_whitespace=True, max_length=20)] = ""
    price: int | None = Field(default=None, ge=0, le=1_000_000)
    bought_on: PastDay | None = None
    seasons: list[Season] = Field(default=[], max_length=4)
    formality: Literal["", "home", "relaxed", "smart", "formal"] = ""
    state: State = "in_use"
    care: Short = ""
    note: Said = ""


class FiledPiece(BaseModel):
    """One piece in a client file. `piece` holds its words and figures, cm."""

    model_config = ConfigDict(extra="forbid")

    name: Short = ""
    piece: dict[str, Any]
    facts: Facts = Facts()

    @field_validator("piece")
    @classmethod
    def _known(cls, value: dict[str, Any]) -> dict[str, Any]:
        return Piece.of(value).described()
