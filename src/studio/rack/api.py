"""The rack as the screen reads it: pieces as flats with what they do on this body."""

from __future__ import annotations

from dataclasses import dataclass, field
from functools import lru_cache
from typing import Annotated, Any, Literal
from uuid import UUID

from ninja import Router, Status
from pydantic import BaseModel, Field, StringConstraints

from craft.body import Body
from craft.cloth import Piece
from craft.cloth.colour import hex_of
from craft.cloth.kinds import KIND
from craft.cloth.piece import colour_of
from craft.cloth.words import figure_name, said, unit_of
from craft.draw.flat_lines import flat_lines
from craft.draw.flats import flat_behind, flat_of, has_back
from craft.fit import Landed
from craft.formats.brief_form import Said
from craft.formats.rack_form import Facts
from studio.access import Requires
from studio.charts.services import label_says
from studio.drawings import DrawnShape, drawn
from studio.pictures.services import first_of_pieces
from studio.policy import Right
from studio.rack import services
from studio.rack.models import RackPiece
from studio.rack.naming import title_of
from studio.requests import MemberRequest
from studio.schemas import CSV, Added, MaybeName, Refusal, RefusedOut, Text, TextIn, answer, attached, file_of
from studio.shopping.api import Heel, PlacedOut, Stance, placed_out
from studio.shopping.services import Shopper
from studio.stored import stored

router = Router()


class Line(BaseModel):
    id: UUID
    line: str = Field(max_length=300)


class Lines(BaseModel):
    """Many pieces, a line each."""

    lines: list[Line] = Field(max_length=200)


class LineOut(BaseModel):
    """What became of a line: the piece that hangs, and what of it was not understood; or why it does not hang."""

    id: UUID
    title: str
    note: str
    #: Whose it is, as far as the line says so, and what was not said and taken from others of the same maker.
    maker: str
    taken: list[str]
    refused: str


class LinesOut(BaseModel):
    lines: list[LineOut]


class Hung(BaseModel):
    """A piece of a shop or a chart: its words and figures, whose it is and in which size, and what is to be noted of it."""

    id: UUID
    piece: Annotated[dict[str, Any], Field(max_length=60)]
    maker: MaybeName = ""
    label_size: Annotated[str, StringConstraints(strip_whitespace=True, max_length=20)] = ""
    note: Said = ""


class PieceChange(BaseModel):
    version: int
    name: MaybeName | None = None
    piece: Annotated[dict[str, Any], Field(max_length=60)] | None = None
    facts: Facts | None = None


class CheckMark(BaseModel):
    """A check in short: which, how it stands, and what it says in a few words."""

    key: str
    stance: Stance
    title: str


class RackPieceOut(BaseModel):
    """A piece: what it is, how it stands on this body, and its flat, cm; none on a whole rack, whose flats are asked for by the
    page."""

    id: UUID
    version: int
    name: str
    title: str
    slot: str
    kind: str
    colour: str
    piece: dict[str, Any]
    figures: list[str]
    measured: bool
    facts: Facts
    stance: Stance
    marks: list[CheckMark]
    flat: list[DrawnShape]
    #: Its first picture, if it has one.
    picture: UUID | None


class Unreadable(BaseModel):
    """A piece whose words cannot be read any more: what it was called."""

    id: UUID
    name: str


class RackOut(BaseModel):
    """The rack, how many of its flats make a page, what of it cannot be read, and whether this client is offered heels at all."""

    pieces: list[RackPieceOut]
    page: int
    unreadable: list[Unreadable]
    heels: bool


class FlatOut(BaseModel):
    """A piece's flat, cm."""

    id: UUID
    flat: list[DrawnShape]


class FlatsOut(BaseModel):
    """The flats of a page of a rack, in its order; none where the rack has ended."""

    flats: list[FlatOut]


class PieceRowOut(BaseModel):
    """A piece that a table would hang: its line, what it is, and how many figures it has."""

    line: int
    title: str
    figures: int


class PieceTableOut(BaseModel):
    rows: list[PieceRowOut]
    refused: list[RefusedOut]
    #: Where the same table was hung before: when, by whom.
    before: str


class FlatMeasure(BaseModel):
    """Where the tape lies for a figure, on the piece's flat, cm; `half` where it reads half of the figure."""

    key: str
    points: list[list[float]]
    half: bool


class OffLabel(BaseModel):
    """A figure that is not what the maker's chart says of the label, cm."""

    label: str
    chart: float
    piece: float


class RackDetail(BaseModel):
    """One piece with everything its landing says, where each of its figures is measured on it, and where it is not
    what its label says; its flat from behind, where a back is sewn on it."""

    piece: RackPieceOut
    behind: list[DrawnShape]
    placed: PlacedOut
    lines: list[FlatMeasure]
    off_label: list[OffLabel]


#: So many pieces' drawings and answers are kept at hand: seven and fourteen large racks.
FLATS, ANSWERS = 2048, 4096
#: What is known besides of a piece of which nothing is.
NO_FACTS = Facts()
#: So many flats are told at once: more than a screen shows. Drawing a rack of three hundred takes a quarter of a second.
PAGE = 36


@lru_cache(maxsize=FLATS)
def _flat(body: Body, piece: Piece) -> list[DrawnShape]:
    """A piece's flat, which is the same in every heel: a rack is looked at again and again."""
    return drawn(flat_of(body, piece).shapes)


def rack_piece_out(row: RackPiece | services.ShownRow, landed: Landed, picture: UUID | None = None) -> RackPieceOut:
    """A piece as the rack shows it, without its flat; kept, as its landing is, for as long as the row is of this version."""
    return _piece_out(_Row(row.id, row.version, picture, row), landed)


@dataclass(frozen=True)
class _Row:
    """A row by what it can be told from others by, and the row itself."""

    id: UUID
    version: int
    picture: UUID | None
    row: RackPiece | services.ShownRow = field(compare=False)


@lru_cache(maxsize=ANSWERS)
def _piece_out(of: _Row, landed: Landed) -> RackPieceOut:
    row, picture = of.row, of.picture
    piece = landed.piece
    return RackPieceOut(
        id=row.id,
        version=row.version,
        name=row.name,
        title=row.name or title_of(piece),
        slot=piece.slot,
        kind=said(piece.kind),
        colour=hex_of(colour_of(piece)),
        piece=row.piece,
        figures=list(KIND[piece.kind].figures),
        measured=bool(piece.figures),
        facts=stored(Facts, row.facts) if row.facts else NO_FACTS,
        stance=landed.stance,
        marks=[CheckMark(key=check.key, stance=check.stance, title=check.title) for check in landed.checks],
        flat=[],
        picture=picture,
    )


@router.get("/clients/{uuid:client_id}/rack", response=RackOut)
def rack(request: MemberRequest, client_id: UUID, heel_cm: Heel = 2.0) -> Any:
    """Every piece of a client's rack, landed."""
    found = services.landed_rack(request.user, client_id, heel_cm)
    pictures = first_of_pieces(request.user, client_id)
    pieces = [rack_piece_out(row, landed, pictures.get(row.id)) for row, landed in found.hanging]
    unreadable = [Unreadable(id=row.id, name=row.name or "without a name") for row in found.unreadable]
    return answer(RackOut(pieces=pieces, page=PAGE, unreadable=unreadable, heels=found.shopper.heels))


@router.get("/clients/{uuid:client_id}/rack/flats", response=FlatsOut)
def flats(request: MemberRequest, client_id: UUID, page: Annotated[int, Field(ge=0, le=200)] = 0) -> Any:
    """The flats of a page of a rack, as its pieces hang there."""
    body, rows = services.rack_page(request.user, client_id, page * PAGE, PAGE)
    return answer(FlatsOut(flats=[FlatOut(id=row_id, flat=_flat(body, piece)) for row_id, piece in rows]))


@router.post("/clients/{uuid:client_id}/rack", response={201: RackPieceOut, 422: Refusal})
def hang(request: MemberRequest, client_id: UUID, given: Line, heel_cm: Heel = 2.0) -> Any:
    """Hang a piece said in one line: “black slim jeans high rise, front rise 29, inseam 70”."""
    row = services.hang_line(request.user, client_id, given.line, given.id)
    return Status(201, _piece(request, row.id, heel_cm))


@router.post("/clients/{uuid:client_id}/rack/lines", response=LinesOut)
def hang_lines(request: MemberRequest, client_id: UUID, given: Lines) -> Any:
    """Hang many pieces, a line each; a line that cannot be read hangs nothing and is told. “Like the last one in navy” is understood."""
    found = services.hang_lines(request.user, client_id, [(one.id, one.line) for one in given.lines])
    return LinesOut(lines=[_line_out(one) for one in found])


def _line_out(one: services.Brought) -> LineOut:
    if one.row is None:
        return LineOut(id=one.line_id, title="", note="", maker="", taken=[], refused=one.refused)
    facts, title = stored(Facts, one.row.facts), one.row.name or title_of(Piece.of(one.row.piece))
    return LineOut(id=one.line_id, title=title, note=facts.note, maker=facts.maker, taken=list(one.taken), refused="")


@router.post("/clients/{uuid:client_id}/rack/pieces", response={201: RackPieceOut, 422: Refusal})
def hang_piece(request: MemberRequest, client_id: UUID, given: Hung, heel_cm: Heel = 2.0) -> Any:
    """Hang a piece as it was placed: from a shop, a chart or a pasted description."""
    facts = Facts(maker=given.maker, label_size=given.label_size, note=given.note)
    row = services.hang_piece(request.user, client_id, given.id, given.piece, facts)
    return Status(201, _piece(request, row.id, heel_cm))


@router.get(
    "/clients/{uuid:client_id}/rack/table", response=str, openapi_extra=file_of(CSV), auth=Requires(Right.HAND_OUT)
)
def export_table(request: MemberRequest, client_id: UUID, unit: Literal["cm", "in"] = "cm") -> Any:
    """The rack as CSV."""
    return attached(services.table_of(request.user, client_id, unit), CSV, "rack.csv")


@router.post("/clients/{uuid:client_id}/rack/table/preview", response={200: PieceTableOut, 422: Refusal})
def preview_table(request: MemberRequest, client_id: UUID, given: Text) -> Any:
    """Row by row what a table would hang, and what is refused and why; nothing is written."""
    table, before = services.preview_table(request.user, client_id, given.text)
    return PieceTableOut(
        before=before,
        rows=[
            PieceRowOut(
                line=row.line,
                title=row.filed.name or title_of(Piece.of(row.filed.piece)),
                figures=sum(unit_of(key) is not None for key in row.filed.piece),
            )
            for row in table.rows
        ],
        refused=[RefusedOut.of(bad) for bad in table.refused],
    )


@router.post("/clients/{uuid:client_id}/rack/table", response={200: Added, 422: Refusal})
def keep_table(request: MemberRequest, client_id: UUID, given: TextIn) -> Any:
    """Hang a table's good rows; a table hung before is asked about."""
    return Added(added=services.keep_table(request.user, client_id, given.text, again=given.again))


@router.get("/rack/{uuid:piece_id}", response=RackDetail)
def piece(request: MemberRequest, piece_id: UUID, heel_cm: Heel = 2.0) -> Any:
    """One piece with its whole landing."""
    return answer(_one(request, piece_id, heel_cm))


def _piece(request: MemberRequest, piece_id: UUID, heel: float) -> RackPieceOut:
    """A piece as the rack shows it, with its flat."""
    return _shown(request, *services.landed_piece(request.user, piece_id, heel))


def _shown(request: MemberRequest, shopper: Shopper, row: RackPiece, landed: Landed) -> RackPieceOut:
    picture = first_of_pieces(request.user, row.client_id).get(row.id)
    return rack_piece_out(row, landed, picture).model_copy(update={"flat": _flat(shopper.body, landed.piece)})


def _one(request: MemberRequest, piece_id: UUID, heel: float) -> RackDetail:
    shopper, row, landed = services.landed_piece(request.user, piece_id, heel)
    facts = stored(Facts, row.facts)
    return RackDetail(
        piece=_shown(request, shopper, row, landed),
        behind=drawn(flat_behind(shopper.body, landed.piece)) if has_back(landed.piece) else [],
        placed=placed_out(landed, [], [], shopper.unit),
        lines=[
            FlatMeasure(key=line.key, points=[list(point) for point in line.points], half=line.half)
            for line in flat_lines(shopper.body, landed)
        ],
        off_label=[
            OffLabel(label=figure_name(key), chart=chart, piece=cm)
            for key, chart, cm in label_says(request.user, landed.piece, facts.maker, facts.label_size)
        ],
    )


def piece_out(request: MemberRequest, piece_id: UUID) -> RackPieceOut:
    """A piece as the rack shows it, in the heel that the question was asked with."""
    return _piece(request, piece_id, float(request.GET.get("heel_cm", 2.0)))


@router.patch("/rack/{uuid:piece_id}", response={200: RackPieceOut, 422: Refusal})
def change(request: MemberRequest, piece_id: UUID, given: PieceChange, heel_cm: Heel = 2.0) -> Any:
    """Change a piece's name, words and figures, or what is known of it besides."""
    changes = given.model_dump(mode="json", exclude={"version"}, exclude_none=True)
    if given.facts is not None:
        changes["facts"] = given.facts.model_dump(mode="json")
    services.change(request.user, piece_id, given.version, **changes)
    return _piece(request, piece_id, heel_cm)


@router.post("/rack/{uuid:piece_id}/copy", response={201: RackPieceOut})
def copy(request: MemberRequest, piece_id: UUID, heel_cm: Heel = 2.0) -> Any:
    """Hang another like it."""
    return Status(201, _piece(request, services.copy(request.user, piece_id).id, heel_cm))


@router.delete("/rack/{uuid:piece_id}", response={204: None})
def remove(request: MemberRequest, piece_id: UUID) -> Any:
    """Take a piece off the rack; can be undone."""
    services.remove(request.user, piece_id)
    return Status(204, None)


@router.post("/rack/{uuid:piece_id}/restore", response={200: RackPieceOut})
def restore(request: MemberRequest, piece_id: UUID, heel_cm: Heel = 2.0) -> Any:
    """Undo a removal."""
    return _piece(request, services.restore(request.user, piece_id).id, heel_cm)
