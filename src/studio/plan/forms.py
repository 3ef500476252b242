"""A plan's days as forms: what is typed, kept and told alike."""

from __future__ import annotations

from collections.abc import Sequence
from datetime import date
from typing import Annotated, Any, Literal

from pydantic import BaseModel, ConfigDict, Field, StringConstraints, model_validator

from craft import brief
from craft.formats.brief_form import Short
from craft.formats.look_form import Celsius
from craft.judge.aims import Setting
from craft.plan.laundry import Laundry
from craft.plan.occasion import Occasion
from craft.plan.trip import Bag

#: A plan has so many occasions, over so many days.
MOST, MOST_DAYS = 40, 31
Key = Annotated[str, StringConstraints(min_length=1, max_length=40)]
#: Days that a plan can mean.
EARLIEST, LATEST = date(2000, 1, 1), date(2199, 12, 31)


class _Form(BaseModel):
    model_config = ConfigDict(extra="forbid")


class OccasionForm(_Form):
    """Something that is dressed for."""

    key: Key
    on: date = Field(ge=EARLIEST, le=LATEST)
    occasion: Literal[brief.OCCASIONS]  # type: ignore[valid-type]
    code: Literal[brief.DRESS_CODES] = "none"  # type: ignore[valid-type]
    name: Short = ""
    celsius: Celsius | None = None
    rain: bool = False
    #: The air outside, as the forecast has it: what the way there is in.
    outside: Celsius | None = None
    #: Whether the air came from the forecast: what was typed stays.
    forecast: bool = False
    seen_by: list[Short] = Field(default=[], max_length=6)

    def read(self) -> Occasion:
        """The occasion as the engine reads it."""
        setting = Setting.of(self.occasion, None if self.code == "none" else self.code, self.celsius, self.rain)
        people = frozenset(one.casefold() for one in self.seen_by if one)
        return Occasion(self.key, self.on, setting, people)

    @classmethod
    def of(cls, one: Occasion) -> OccasionForm:
        """An occasion that was proposed, as it can be changed."""
        return cls(
            key=one.key, on=one.on, occasion=one.setting.occasion, code=one.setting.code or "none",
            seen_by=sorted(one.seen_by),
        )  # fmt: skip


class Asks(_Form):
    """When the wash is done and how long it takes; of a trip, what the bag holds, kilograms."""

    wash: list[Annotated[int, Field(ge=0, le=6)]] = Field(default=[5], max_length=7)
    takes: int = Field(default=1, ge=0, le=7)
    pieces: int | None = Field(default=None, ge=1, le=60)
    kilos: float | None = Field(default=None, gt=0, le=60)
    shoes: int = Field(default=2, ge=1, le=10)

    @property
    def laundry(self) -> Laundry:
        """The wash as the engine reads it."""
        return Laundry(frozenset(self.wash), self.takes)

    @property
    def bag(self) -> Bag:
        """The bag as the engine reads it."""
        return Bag(self.pieces, None if self.kilos is None else round(1000 * self.kilos), self.shoes)


class DaysForm(_Form):
    """All that is typed of a plan."""

    name: Annotated[str, StringConstraints(strip_whitespace=True, min_length=1, max_length=120)]
    place: Short = ""
    occasions: list[OccasionForm] = Field(min_length=1, max_length=MOST)
    asks: Asks = Asks()

    @model_validator(mode="after")
    def _one_plan(self) -> DaysForm:
        if len({one.key for one in self.occasions}) < len(self.occasions):
            raise ValueError("Two occasions have one key.")
        days = [one.on for one in self.occasions]
        if (max(days) - min(days)).days >= MOST_DAYS:
            raise ValueError(f"A plan has {MOST_DAYS} days at most.")
        self.occasions.sort(key=lambda one: one.on)
        return self


def occasions_of(kept: Sequence[dict[str, Any]]) -> list[OccasionForm]:
    """The occasions of a plan as they are kept."""
    return [OccasionForm.model_validate(one) for one in kept]
