"""What is due, as it is told."""

from __future__ import annotations

from datetime import date, datetime
from uuid import UUID

from craft.formats.fitting_form import ErrandKind
from studio.fittings.models import Errand
from studio.schemas import Copied


class ErrandOut(Copied):
    """An alteration, another size or a return: for whom, of what, by when."""

    id: UUID
    version: int
    client_id: UUID
    client: str
    piece_id: UUID | None
    kind: ErrandKind
    title: str
    text: str
    figure: str
    by_cm: float
    due_on: date | None
    done_at: datetime | None
    applied: bool


def errand_out(errand: Errand, client: str) -> ErrandOut:
    return ErrandOut.of(errand, client=client, piece_id=errand.rack_piece_id)
