"""What is known of a look beside its pieces, as it is kept and filed."""

from __future__ import annotations

from typing import Annotated, Any, Literal

from pydantic import BaseModel, ConfigDict, Field

from craft import brief
from craft.formats.brief_form import Said, Short
from craft.formats.moments import PastDay
from craft.judge.aims import Setting

#: How a look stands with the client; and how it is a variant of another: dressed up, dressed down, or otherwise.
Standing = Literal["", "chosen", "rejected"]
Variant = Literal["", "up", "down", "other"]
#: Air as weather has it, °C.
Celsius = Annotated[float, Field(ge=-40, le=50)]


class _Form(BaseModel):
    model_config = ConfigDict(extra="forbid")


class FiledSetting(_Form):
    """Where the look is to be worn; all may stay open."""

    occasion: Literal[brief.OCCASIONS] | None = None  # type: ignore[valid-type]
    code: Literal[brief.DRESS_CODES] | None = None  # type: ignore[valid-type]
    celsius: Celsius | None = None
    rain: bool = False

    def read(self) -> Setting:
        """The setting as the engine reads it."""
        return Setting.of(self.occasion, self.code, self.celsius, self.rain)


class Liked(_Form):
    """An exception: a rule that speaks against the look, and who likes it so all the same."""

    rule: Short
    who: Literal["client", "stylist"] = "client"
    on: PastDay | None = None
    why: Said = ""


class LookFacts(_Form):
    """Tags, notes, what the client said, where it is worn, how it stands, and what was liked in spite of a rule."""

    tags: list[Short] = Field(default=[], max_length=12)
    note: Said = ""
    client_said: Said = ""
    setting: FiledSetting = FiledSetting()
    standing: Standing = ""
    why_not: Said = ""
    variant: Variant = ""
    liked: list[Liked] = Field(default=[], max_length=40)


class FiledLook(_Form):
    """A look in a client file: its pieces in words and figures, and what is known of it besides.

    `variant_of` is the place of another look in the file; `from_rack` says by the place on the body which piece of the
    file's rack is worn, and as what it was put on.
    """

    name: Short = ""
    pieces: list[dict[str, Any]] = Field(default=[], max_length=12)
    facts: LookFacts = LookFacts()
    variant_of: int | None = None
    from_rack: dict[str, FiledLink] = Field(default={}, max_length=12)


class FiledLink(_Form):
    """A piece of the file's rack, and its words when it was put on."""

    rack_at: int
    worn_as: dict[str, Any]


FiledLook.model_rebuild()
