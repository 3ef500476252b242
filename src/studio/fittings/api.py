"""Fittings as the screen reads and writes them."""

from __future__ import annotations

from datetime import datetime
from typing import Annotated, Any, Literal
from uuid import UUID

from ninja import Router, Status
from pydantic import BaseModel, Field, StringConstraints

from craft.body.measures import label
from craft.cloth import Piece
from craft.cloth.quick import read_line
from craft.cloth.words import figure_name
from craft.fit import Landed
from craft.formats.fitting_form import Decision, ErrandKind, Seen
from craft.formats.moments import Due, Past
from craft.tryon import Correction, frame_of
from craft.tryon.style import style_says
from craft.units import Unit
from studio.fittings import services
from studio.fittings.models import Errand, Fitting, Trial
from studio.fittings.shapes import ErrandOut, errand_out
from studio.rack import services as rack
from studio.rack.naming import title_of
from studio.requests import MemberRequest
from studio.schemas import Copied, MaybeName, Note, Refusal, answer
from studio.shopping.api import Heel, PlacedOut, placed_out
from studio.shopping.services import Shopper, land_on, shopper_of
from studio.stored import PieceRow, stored, stored_piece

router = Router()
Length = Literal["cm", "in"]
ShortWord = Annotated[str, StringConstraints(max_length=32)]


class FittingIn(BaseModel):
    place: Literal["wardrobe", "shop"]
    where: MaybeName = ""
    started_at: Past


class DueIn(BaseModel):
    id: UUID
    kind: ErrandKind
    text: Annotated[str, StringConstraints(strip_whitespace=True, min_length=1, max_length=400)]
    figure: ShortWord = ""
    by_cm: float = Field(default=0.0, ge=-60, le=60)
    due_on: Due | None = None


class TrialIn(BaseModel):
    """One piece tried, as it is handed in: of the rack, or said in a line."""

    tried_at: Past
    seen: Seen = Seen()
    #: Edges and eases as they were typed, each from where it is told (ToSee.frame); read when they arrive.
    typed: dict[ShortWord, ShortWord] = Field(default={}, max_length=24)
    unit: Length = "cm"
    decision: Decision = ""
    why: Note = ""
    heel_cm: Heel = 0.0
    piece_id: UUID | None = None
    line: Annotated[str, StringConstraints(strip_whitespace=True, max_length=300)] = ""
    maker: MaybeName = ""
    label_size: Annotated[str, StringConstraints(strip_whitespace=True, max_length=20)] = ""
    errands: list[DueIn] = Field(default=[], max_length=12)


class TrialChange(BaseModel):
    version: int
    seen: Seen
    typed: dict[ShortWord, ShortWord] = Field(default={}, max_length=24)
    unit: Length = "cm"
    decision: Decision = ""
    why: Note = ""


class TakeOver(BaseModel):
    whose: Literal["piece", "body"]
    key: ShortWord


class SaidPiece(BaseModel):
    line: str = Field(max_length=300)
    heel_cm: Heel = 0.0


class CorrectionOut(Copied):
    """What would explain what was seen: whose figure, what it was and would be, cm, how likely, and in words."""

    whose: Literal["piece", "body"]
    key: str
    label: str
    was: float | None
    becomes: float
    share: float
    text: str
    possible: bool


class TakenOver(BaseModel):
    whose: Literal["piece", "body"]
    key: str
    label: str
    was: float | None
    becomes: float


class TrialOut(Copied):
    """One piece of the log."""

    id: UUID
    version: int
    piece_id: UUID | None
    title: str
    piece: dict[str, Any]
    maker: str
    label_size: str
    heel_cm: float
    expected: dict[str, Any]
    seen: Seen
    decision: Decision
    why: str
    tried_at: datetime
    to_see: list[ToSee]
    corrections: list[CorrectionOut]
    corrected: list[TakenOver]
    errands: list[ErrandOut]


class FittingOut(Copied):
    """One fitting and its pieces, in the order they were tried."""

    id: UUID
    place: Literal["wardrobe", "shop"]
    where: str
    started_at: datetime
    ended_at: datetime | None
    open: bool
    trials: list[TrialOut]
    #: Trials whose piece cannot be read any more.
    unreadable: int


class LearnedOut(Copied):
    key: str
    pieces: int
    by: float
    sure: bool
    text: str


class MadeOut(Copied):
    """What fittings say of a maker."""

    maker: str
    confirmed: int
    checked: int
    learned: list[LearnedOut]


class FittingsOut(BaseModel):
    fittings: list[FittingOut]
    makers: list[MadeOut]


class ToSee(BaseModel):
    """An edge or ease to look at: what is expected of it, cm, and from where it is told."""

    key: str
    kind: Literal["edge", "ease"]
    label: str
    expected: float
    seen: float | None
    frame: str


class ExpectedOut(BaseModel):
    """What is computed of a piece before it is put on. `piece_id` is empty for one said in a line."""

    piece_id: UUID | None
    title: str
    kind: str
    maker: str
    label_size: str
    placed: PlacedOut
    to_see: list[ToSee]
    #: What the client's own style says of it.
    in_style: bool | None
    style: str


class RackExpected(BaseModel):
    pieces: list[ExpectedOut]
    heels: bool


@router.get("/clients/{uuid:client_id}/fittings", response=FittingsOut)
def fittings(request: MemberRequest, client_id: UUID) -> Any:
    """The client's fittings, newest first, and what the studio's fittings say of each maker."""
    held = services.fittings_of(request.user, client_id)
    shopper = shopper_of(request.user, client_id)
    return answer(
        FittingsOut(
            # What explains an older fitting is no longer asked: its body and its pieces have moved on.
            fittings=[_fitting(fitting, shopper, explained=at == 0) for at, fitting in enumerate(held)],
            makers=[_made(made, shopper.unit) for made in services.makers_of(request.user)],
        )
    )


@router.get("/clients/{uuid:client_id}/expected", response=RackExpected)
def expected(request: MemberRequest, client_id: UUID, heel_cm: Heel = 2.0) -> Any:
    """What is computed of every piece of the rack: fetched whole, so that a fitting can go on without a connection."""
    found = rack.landed_rack(request.user, client_id, heel_cm)
    return answer(
        RackExpected(
            pieces=[
                _expected(landed, found.shopper, row.id, row.name, **{key: row.facts.get(key, "") for key in LABEL})
                for row, landed in found.hanging
            ],
            heels=found.shopper.heels,
        )
    )


@router.post("/clients/{uuid:client_id}/expect", response={200: ExpectedOut, 422: Refusal})
def expect(request: MemberRequest, client_id: UUID, given: SaidPiece) -> Any:
    """What is computed of a piece said in a line, before it is put on."""
    shopper = shopper_of(request.user, client_id)
    piece = read_line(given.line, shopper.unit)
    landed = land_on(shopper, piece, given.heel_cm)
    return answer(_expected(landed, shopper))


#: What is known of a piece by its label.
LABEL = ("maker", "label_size")


def _expected(
    landed: Landed,
    shopper: Shopper,
    piece_id: UUID | None = None,
    name: str = "",
    maker: str = "",
    label_size: str = "",
) -> ExpectedOut:
    in_style, style = style_says(shopper.body, landed.piece, shopper.aims, shopper.schools)
    return ExpectedOut(
        in_style=in_style,
        style=style,
        piece_id=piece_id,
        title=name or title_of(landed.piece),
        kind=landed.piece.kind,
        maker=maker,
        label_size=label_size,
        placed=placed_out(landed, [], [], shopper.unit),
        to_see=_to_see(landed, shopper, services.expected_of(landed), Seen()),
    )


def _to_see(landed: Landed, shopper: Shopper, expected: dict[str, Any], seen: Seen) -> list[ToSee]:
    """Edges and eases as they were expected and seen, each from where it is told."""
    found = []
    for edge in landed.edges:
        frame = frame_of(shopper.body, edge.key, landed.shoes.lift)
        was = round(frame.told(expected["edges"].get(edge.key, edge.height)), 1)
        at = None if edge.key not in seen.edges else round(frame.told(seen.edges[edge.key]), 1)
        found.append(ToSee(key=edge.key, kind="edge", label=edge.name, expected=was, seen=at, frame=frame.text))
    for ease in landed.eases:
        was, at = round(expected["eases"].get(ease.zone, ease.cm), 1), seen.eases.get(ease.zone)
        zone = f"ease, {ease.zone}"
        found.append(ToSee(key=ease.zone, kind="ease", label=zone, expected=was, seen=at, frame="to spare"))
    return found


@router.put("/clients/{uuid:client_id}/fittings/{uuid:fitting_id}", response={200: FittingOut})
def begin(request: MemberRequest, client_id: UUID, fitting_id: UUID, given: FittingIn) -> Any:
    """Begin a fitting; handing the same in again changes nothing."""
    made = services.begin(request.user, client_id, fitting_id, given.place, given.where, given.started_at)
    return _fitting(made, shopper_of(request.user, client_id))


@router.post("/fittings/{uuid:fitting_id}/end", response={200: FittingOut})
def end(request: MemberRequest, fitting_id: UUID) -> Any:
    """End a fitting."""
    ended = services.end(request.user, fitting_id)
    return _fitting(ended, shopper_of(request.user, ended.client_id))


@router.put("/fittings/{uuid:fitting_id}/trials/{uuid:trial_id}", response={200: TrialOut, 422: Refusal})
def log(request: MemberRequest, fitting_id: UUID, trial_id: UUID, given: TrialIn) -> Any:
    """Log a piece; handing the same in again changes nothing."""
    errands = tuple(services.Due(**due.model_dump()) for due in given.errands)
    told = given.model_dump(exclude={"seen", "typed", "unit", "errands"})
    typed = services.Typed(given.typed, given.unit)
    tried = services.Tried(id=trial_id, seen=given.seen, typed=typed, errands=errands, **told)
    return trial_out_of(request, services.log(request.user, fitting_id, tried))


@router.patch("/trials/{uuid:trial_id}", response={200: TrialOut, 422: Refusal})
def change(request: MemberRequest, trial_id: UUID, given: TrialChange) -> Any:
    """Change what was seen and decided."""
    typed = services.Typed(given.typed, given.unit)
    services.change(request.user, trial_id, given.version, given.seen, typed, given.decision, given.why)
    return trial_out_of(request, services.own_trial(request.user, trial_id))


@router.delete("/trials/{uuid:trial_id}", response={204: None})
def remove(request: MemberRequest, trial_id: UUID) -> Any:
    """Take a piece out of the log; can be undone."""
    services.remove(request.user, trial_id)
    return Status(204, None)


@router.post("/trials/{uuid:trial_id}/restore", response={200: TrialOut})
def restore(request: MemberRequest, trial_id: UUID) -> Any:
    """Undo a removal."""
    return trial_out_of(request, services.restore(request.user, trial_id))


@router.post("/trials/{uuid:trial_id}/correct", response={200: TrialOut, 422: Refusal})
def correct(request: MemberRequest, trial_id: UUID, given: TakeOver) -> Any:
    """Correct the piece or the body by what was seen."""
    return trial_out_of(request, services.take_over(request.user, trial_id, given.whose, given.key))


@router.post("/trials/{uuid:trial_id}/uncorrect", response={200: TrialOut, 422: Refusal})
def uncorrect(request: MemberRequest, trial_id: UUID, given: TakeOver) -> Any:
    """Undo a correction."""
    return trial_out_of(request, services.take_back(request.user, trial_id, given.whose, given.key))


def trial_out_of(request: MemberRequest, trial: Trial) -> TrialOut:
    """A trial as it is told, with what would explain it."""
    return trial_out(trial, shopper_of(request.user, trial.fitting.client_id))


def trial_out(trial: Trial, shopper: Shopper, *, explained: bool = True) -> TrialOut:
    """A trial as it is told; `explained` with what would explain what was seen, which takes a search."""
    seen = stored(Seen, trial.seen)
    landed = land_on(shopper, Piece.of(trial.piece), trial.heel_cm)
    corrections = services.corrections_of(shopper, trial) if explained else ()
    held: list[Errand] = [errand for errand in trial.errands.all() if errand.removed_at is None]
    hangs = trial.rack_piece_id is not None
    return TrialOut.of(
        trial,
        piece_id=trial.rack_piece_id,
        seen=seen,
        to_see=_to_see(landed, shopper, {"edges": {}, "eases": {}} | trial.expected, seen),
        corrections=[_correction(one, shopper.unit, hangs) for one in corrections],
        corrected=[TakenOver(**{**one, "label": _label(one["whose"], one["key"])}) for one in trial.corrected],
        errands=[errand_out(errand, shopper.name) for errand in held],
    )


def _label(whose: str, key: str) -> str:
    return label(key) if whose == "body" else figure_name(key)


def _correction(one: Correction, unit: Unit, hangs: bool) -> CorrectionOut:
    possible = one.whose == "body" or hangs
    share = round(one.share, 2)
    return CorrectionOut.of(one, unit, label=_label(one.whose, one.key), share=share, possible=possible)


def _fitting(fitting: Fitting, shopper: Shopper, *, explained: bool = True) -> FittingOut:
    recent = (datetime.now(fitting.started_at.tzinfo) - fitting.started_at) < services.OPEN_FOR
    rows = [trial for trial in fitting.trials.all() if trial.removed_at is None]
    kept = [trial for trial in rows if stored_piece(PieceRow(trial.id, trial.version, trial.piece))]
    return FittingOut.of(
        fitting,
        open=fitting.ended_at is None and recent,
        unreadable=len(rows) - len(kept),
        trials=[trial_out(trial, shopper, explained=explained) for trial in kept],
    )


def _made(made: services.Made, unit: Unit) -> MadeOut:
    return MadeOut.of(made, learned=[LearnedOut.of(one, unit, by=round(one.by, 1)) for one in made.learned])
