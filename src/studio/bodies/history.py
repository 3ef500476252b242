"""Memory: the sessions of a client side by side, and what changed between two of them."""

from __future__ import annotations

from datetime import date, datetime
from typing import Any

from pydantic import BaseModel

from craft.body import Body, Measures, Quantity
from craft.body.measures import MEASURES, label
from craft.measuring.ageing import due_on
from craft.measuring.change import Change, compare, doubtful_after
from studio.bodies.known import figure_of
from studio.bodies.models import MeasuringSession, Reading
from studio.drawings import DrawnShape, undressed
from studio.people.known import client_of
from studio.people.models import Member
from studio.schemas import Copied


class FigureOf(BaseModel):
    """One measure of one session: cm, and where four of five true values lie."""

    measure: str
    cm: float
    low: float
    high: float
    settled: bool


class PastSession(Copied):
    id: int
    on: date
    started_at: datetime
    by: str
    protocol: str
    ended: str
    agreed: list[str]
    present: str
    guardian: str
    figures: list[FigureOf]


class ChangeOut(Copied):
    measure: str
    label: str
    before: float
    after: float
    cm: float
    noise: float
    beyond_noise: bool


class DoubtfulOut(BaseModel):
    measure: str
    label: str
    because: str
    held_cm: float
    expected_cm: float


class ComparisonOut(BaseModel):
    """Two sessions: what changed beyond noise, what that makes doubtful, and both figures, cm."""

    before: int
    after: int
    changes: list[ChangeOut]
    doubtful: list[DoubtfulOut]
    outline_before: list[DrawnShape]
    outline_after: list[DrawnShape]
    stature: float


class HistoryOut(BaseModel):
    sessions: list[PastSession]
    due_on: date | None


def _figures(sessions: list[MeasuringSession]) -> dict[int, dict[str, Quantity]]:
    """What each session's counting readings come to."""
    held: dict[int, dict[str, list[Any]]] = {session.id: {} for session in sessions}
    alive = Reading.objects.filter(session__in=sessions, set_aside=False, withdrawal__isnull=True)
    for row in alive.values_list("session_id", "measure", "cm", "said", named=True):
        held[row.session_id].setdefault(row.measure, []).append(row)
    twice = {session.id: session.twice for session in sessions}
    return {
        at: {name: figure_of(name, rows, twice=twice[at])[0] for name, rows in by_name.items()}
        for at, by_name in held.items()
    }


def history_of(member: Member, client_id: Any) -> HistoryOut:
    """Every session with a reading that counts, newest first."""
    client = client_of(member, client_id)
    rows = list(MeasuringSession.objects.filter(client=client).select_related("taken_by").order_by("-started_at"))
    figures = _figures(rows)
    rows = [row for row in rows if figures[row.id] or row.ended == "stopped"]
    return HistoryOut(
        sessions=[_past(row, figures[row.id]) for row in rows],
        due_on=due_on(rows[0].started_at.date()) if rows else None,
    )


def _past(row: MeasuringSession, figures: dict[str, Quantity]) -> PastSession:
    return PastSession.of(
        row,
        on=row.started_at.date(),
        by=row.taken_by.name if row.taken_by else "",
        agreed=row.consent.get("agreed", []),
        present=row.consent.get("present", ""),
        guardian=row.consent.get("guardian", ""),
        figures=[_figure(name, figures[name]) for name in MEASURES if name in figures],
    )


def _figure(name: str, figure: Quantity) -> FigureOf:
    low, high = (round(end, 1) for end in figure.range80)
    return FigureOf(measure=name, cm=round(figure.cm, 1), low=low, high=high, settled=figure.settled)


def comparison_of(member: Member, client_id: Any, before_id: int, after_id: int) -> ComparisonOut:
    """What changed from one session to another."""
    client = client_of(member, client_id)
    own = MeasuringSession.objects.filter(client=client)
    before, after = own.get_or_404(id=before_id), own.get_or_404(id=after_id)
    figures = _figures([before, after])
    then = {name: figure for name, figure in figures[before.id].items() if figure.origin != "said"}
    now = {name: figure for name, figure in figures[after.id].items() if figure.origin != "said"}
    changes = compare(then, now)
    held = {name: figure for name, figure in then.items() if name not in now}
    body_then, body_now = Body.of(Measures.of(then)), Body.of(Measures.of({**held, **now}))
    return ComparisonOut(
        before=before.id,
        after=after.id,
        changes=[_change(change) for change in changes],
        doubtful=[
            DoubtfulOut(
                measure=found.measure,
                label=label(found.measure),
                because=label(found.because),
                held_cm=round(held[found.measure].cm, 1),
                expected_cm=round(found.expected_cm, 1),
            )
            for found in doubtful_after(changes, held)
        ],
        outline_before=undressed(body_then),
        outline_after=undressed(body_now),
        stature=max(body_then.stature, body_now.stature),
    )


def _change(change: Change) -> ChangeOut:
    figures = {"before": change.before.cm, "after": change.after.cm, "cm": change.cm, "noise": change.noise}
    return ChangeOut.of(
        change, "cm", label=label(change.measure), **{name: round(cm, 1) for name, cm in figures.items()}
    )
