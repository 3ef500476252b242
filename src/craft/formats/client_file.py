"""The open client file: one client as JSON, versioned, with a published schema.

docs/client-file.schema.json is made from these models; `./basilwood types` makes it anew and a
test holds it. Exported and imported again, a file gives the same client.
"""

from __future__ import annotations

from typing import Annotated, Any, Literal

from pydantic import BaseModel, ConfigDict, Field, StringConstraints, ValidationError, field_validator, model_validator

from craft.body.measures import MEASURES
from craft.cloth import Piece
from craft.diary.kinds import VisitKind
from craft.edit.sorting import DECISIONS
from craft.errors import NotAClientFile
from craft.formats.brief_form import Aims, BriefForm, Said, Short
from craft.formats.fitting_form import FiledErrand, FiledFitting, FiledTrial
from craft.formats.look_form import FiledLook
from craft.formats.moments import Due, Moment, Past
from craft.formats.rack_form import FiledPiece
from craft.judge.renamed import liked_now, muted_now

FORMAT: Literal["basilwood-client"] = "basilwood-client"
#: Version 2 knows rules by ids of their own; version 1 is still read.
VERSION: Literal[2] = 2
#: So many entries of who saw what go along.
SEEN = 20_000
#: What a file tells and is never taken in again: without it two files are of one client's same records.
TOLD = frozenset({"seen", "letters", "said", "plans"})


class _Part(BaseModel):
    model_config = ConfigDict(extra="forbid")


class FiledReading(_Part):
    """One reading: cm, what was typed or sent, and what became of it."""

    measure: Literal[MEASURES]  # type: ignore[valid-type]
    cm: float = Field(gt=0, le=300)
    typed: Annotated[str, StringConstraints(max_length=40)] = ""
    source: Literal["typed", "tape", "table", "fitting"] = "typed"
    said: bool = False
    checked: bool = False
    set_aside: bool = False
    withdrawn: bool = False
    taken_at: Past


class FiledConsent(_Part):
    """What the client agreed to and who was there."""

    agreed: list[Short] = Field(default=[], max_length=10)
    present: Short = ""
    guardian: Short = ""
    #: What was agreed to, word for word as it was read to the client.
    texts: list[Annotated[str, StringConstraints(max_length=400)]] = Field(default=[], max_length=10)


class FiledReach(_Part):
    """How the client is reached."""

    email: Annotated[str, StringConstraints(max_length=254)] = ""
    phone: Annotated[str, StringConstraints(max_length=40)] = ""
    address: Annotated[str, StringConstraints(max_length=300)] = ""
    prefers: Short = ""


class FiledSeen(_Part):
    """Who saw or did what of the client, and from where. It is told and never taken in: it is the record of the house it was
    made in."""

    at: Moment
    by: Annotated[str, StringConstraints(max_length=120)] = ""
    did: Annotated[str, StringConstraints(max_length=120)]
    place: Annotated[str, StringConstraints(max_length=45)] = ""
    device: Annotated[str, StringConstraints(max_length=60)] = ""


class FiledLetter(_Part):
    """A letter that was written to the client, and what became of it. Told and never taken in: it was sent where it was sent."""

    at: Moment
    by: Annotated[str, StringConstraints(max_length=120)] = ""
    to: Annotated[str, StringConstraints(max_length=254)]
    subject: Short
    text: Annotated[str, StringConstraints(max_length=4000)] = ""
    state: Annotated[str, StringConstraints(max_length=10)] = ""


class FiledSaid(_Part):
    """Something the client said on the page that was sent to them, of what. Told and never taken in, as the page ends with its
    house."""

    at: Moment
    says: Annotated[str, StringConstraints(max_length=10)]
    title: Short = ""
    text: Annotated[str, StringConstraints(max_length=400)] = ""


class FiledPlanDay(_Part):
    """A day of a plan: what for, and the pieces that it is dressed in, by places in the file's rack."""

    on: Due
    occasion: Short
    rack_at: list[int] = Field(default=[], max_length=12)


class FiledPlan(_Part):
    """A week or a trip as it was planned. Told and never taken in: it was of its days, its air and its wash."""

    kind: Literal["week", "trip"]
    name: Short
    place: Short = ""
    days: list[FiledPlanDay] = Field(default=[], max_length=100)


class FiledSession(_Part):
    """One measuring session."""

    started_at: Past
    ended_at: Past | None = None
    ended: Literal["", "finished", "stopped"] = ""
    protocol: Annotated[str, StringConstraints(max_length=20)] = "full"
    side: Literal["left", "right"] = "right"
    twice: bool = True
    consent: FiledConsent = FiledConsent()
    readings: list[FiledReading] = Field(default=[], max_length=500)


class FiledWays(_Part):
    """Where this client is judged otherwise than the house judges: schools taken, rules not followed."""

    schools: dict[str, str] = {}
    muted: list[str] = Field(default=[], max_length=200)


class FiledApart(_Part):
    """Pieces that the client rejected together, by their places in the file's rack, and why in a word."""

    rack_at: list[int] = Field(min_length=2, max_length=12)
    word: Short = ""


class FiledSorted(_Part):
    """What was decided of a piece at an edit, by its place in the file's rack; where it goes, and by when."""

    rack_at: int = Field(ge=0)
    decision: Literal[DECISIONS]  # type: ignore[valid-type]
    proposed: Annotated[str, StringConstraints(max_length=20)] = ""
    word: Short = ""
    goes: Literal["", "sell", "give", "mend", "dye", "return", "keep", "ask"] = ""
    place: Short = ""
    on: Due | None = None


class FiledToBuy(_Part):
    """A thing of the buying list: its words, why, the outfits that it was counted to make, its price, when."""

    piece: dict[str, Any]
    why: Annotated[str, StringConstraints(max_length=300)] = ""
    looks: int = Field(default=0, ge=0)
    price: int | None = Field(default=None, ge=0, le=1_000_000)
    when: Literal["now", "next", "never"] = "now"
    bought: bool = False

    @field_validator("piece")
    @classmethod
    def _known(cls, value: dict[str, Any]) -> dict[str, Any]:
        return Piece.of(value).described()


class FiledCard(_Part):
    """An outfit card: of which look, by its place in the file, and the sentences that were written anew or struck, by their keys."""

    look_at: int = Field(ge=0)
    edits: dict[
        Annotated[str, StringConstraints(max_length=80)], Annotated[str, StringConstraints(max_length=300)]
    ] = {}


class FiledWorn(_Part):
    """What was worn on a day, by places in the file's rack, and before whom."""

    on: Due
    rack_at: list[int] = Field(min_length=1, max_length=12)
    seen_by: list[Short] = Field(default=[], max_length=6)
    title: Short = ""
    by_client: bool = False


class FiledVisit(_Part):
    """An appointment with the client: when it begins, in which zone, where, what came of it. Where it repeats, by a rule of RFC 5545."""

    kind: VisitKind
    starts_at: Moment
    zone: Annotated[str, StringConstraints(min_length=1, max_length=40)]
    minutes: int = Field(ge=5, le=44640)
    title: Short = ""
    place: Short = ""
    travel: int = Field(default=0, ge=0, le=600)
    buffer: int = Field(default=0, ge=0, le=600)
    along: Short = ""
    note: Annotated[str, StringConstraints(max_length=400)] = ""
    rule: Annotated[str, StringConstraints(max_length=120)] = ""
    excepted: list[Moment] = Field(default=[], max_length=400)
    came_of: Annotated[str, StringConstraints(max_length=400)] = ""
    done_at: Moment | None = None


class ClientFile(_Part):
    """One client with everything recorded of them. Lengths are cm, times ISO 8601 with their zone."""

    format: Literal["basilwood-client"] = FORMAT
    version: Literal[1, 2] = VERSION
    name: Annotated[str, StringConstraints(strip_whitespace=True, min_length=1, max_length=120)]
    note: Annotated[str, StringConstraints(strip_whitespace=True, max_length=400)] = ""
    aims: Aims = Aims()
    brief: BriefForm = BriefForm()
    ways: FiledWays = FiledWays()
    reach: FiledReach = FiledReach()
    sessions: list[FiledSession] = Field(default=[], max_length=500)
    looks: list[FiledLook] = Field(default=[], max_length=500)
    rack: list[FiledPiece] = Field(default=[], max_length=2000)
    fittings: list[FiledFitting] = Field(default=[], max_length=500)
    #: What is due of pieces that were not tried on at a fitting.
    errands: list[FiledErrand] = Field(default=[], max_length=500)
    apart: list[FiledApart] = Field(default=[], max_length=500)
    decided: list[FiledSorted] = Field(default=[], max_length=2000)
    buying: list[FiledToBuy] = Field(default=[], max_length=500)
    cards: list[FiledCard] = Field(default=[], max_length=200)
    worn: list[FiledWorn] = Field(default=[], max_length=5000)
    visits: list[FiledVisit] = Field(default=[], max_length=2000)
    #: Who saw what, the last first; the newest alone where there is more.
    seen: list[FiledSeen] = Field(default=[], max_length=SEEN)
    letters: list[FiledLetter] = Field(default=[], max_length=2000)
    said: list[FiledSaid] = Field(default=[], max_length=5000)
    plans: list[FiledPlan] = Field(default=[], max_length=500)

    @model_validator(mode="after")
    def _brought_up_to_date(self) -> ClientFile:
        """A file of version 1 knew rules by other ids."""
        if self.version == 1:
            self.version = VERSION
            self.ways.muted = muted_now(self.ways.muted)
            for look in self.looks:
                kept = {liked.rule: liked for liked in look.facts.liked}
                look.facts.liked = [
                    liked.model_copy(update={"rule": now}) for was, liked in kept.items() for now in liked_now([was])
                ]
        return self


__all__ = [
    "SEEN",
    "TOLD",
    "ClientFile",
    "FiledApart",
    "FiledCard",
    "FiledConsent",
    "FiledErrand",
    "FiledFitting",
    "FiledLetter",
    "FiledLook",
    "FiledPiece",
    "FiledPlan",
    "FiledReach",
    "FiledReading",
    "FiledSaid",
    "FiledSeen",
    "FiledSession",
    "FiledSorted",
    "FiledToBuy",
    "FiledTrial",
    "FiledVisit",
    "FiledWays",
    "FiledWorn",
    "NotAClientFile",
    "Said",
    "read_file",
]


def read_file(text: str) -> ClientFile:
    """Read a client file. Raises NotAClientFile with the first thing that is wrong, and where.

    >>> read_file('{"format": "basilwood-client", "version": 1, "name": "Pia Reed"}').name
    'Pia Reed'
    """
    try:
        return ClientFile.model_validate_json(text)
    except ValidationError as wrong:
        first = wrong.errors()[0]
        where = ".".join(str(part) for part in first["loc"])
        if where == "version":
            raise NotAClientFile(
                f"This file has another version than {VERSION}, the newest that is read here."
            ) from None
        at = f" at {where}" if where else ""
        raise NotAClientFile(f"This is not a client file{at}: {first['msg'].lower()}.") from None


def schema() -> dict[str, Any]:
    """The JSON Schema of the file."""
    told = ClientFile.model_json_schema()
    return {"$schema": "https://json-schema.org/draft/2020-12/schema", "title": "Basilwood client file", **told}
