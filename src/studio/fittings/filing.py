"""Fittings in a client file: out, and in again."""

from __future__ import annotations

from collections.abc import Iterable, Sequence
from typing import Any

from craft.formats.fitting_form import FiledErrand, FiledFitting, FiledTrial, Seen
from studio.fittings.models import Errand, Fitting, Trial
from studio.people.models import Client, Member
from studio.rack.models import RackPiece
from studio.stored import stored

_TRIAL = ("title", "piece", "maker", "label_size", "heel_cm", "expected", "decision", "why", "tried_at")
_ERRAND = ("kind", "title", "text", "figure", "by_cm", "due_on", "done_at", "applied")


def filed_of(member: Member, client: Client, rack: Sequence[Any]) -> list[FiledFitting]:
    """A client's fittings; `rack` are the identities of the pieces filed beside them, in their order."""
    rows = Fitting.objects.of(member).not_removed().filter(client=client).order_by("started_at", "id")
    return [
        FiledFitting(
            place=fitting.place,
            where=fitting.where,
            started_at=fitting.started_at,
            ended_at=fitting.ended_at,
            trials=[_trial(trial, rack) for trial in fitting.trials.all() if trial.removed_at is None],
        )
        for fitting in rows.prefetch_related("trials__errands")
    ]


def _trial(trial: Trial, rack: Sequence[Any]) -> FiledTrial:
    return FiledTrial(
        **{name: getattr(trial, name) for name in _TRIAL},
        rack_at=_place(trial, rack),
        seen=stored(Seen, trial.seen),
        # The identity of a reading means nothing in another studio.
        corrected=[{key: value for key, value in one.items() if key != "reading"} for one in trial.corrected],
        errands=[_errand(errand, rack) for errand in trial.errands.all() if errand.removed_at is None],
    )


def _errand(errand: Errand, rack: Sequence[Any]) -> FiledErrand:
    return FiledErrand(**{name: getattr(errand, name) for name in _ERRAND}, rack_at=_place(errand, rack))


def _place(row: Trial | Errand, rack: Sequence[Any]) -> int | None:
    """Where a row's piece stands in the file's rack."""
    return rack.index(row.rack_piece_id) if row.rack_piece_id in rack else None


def errands_of(member: Member, client: Client, rack: Sequence[Any]) -> list[FiledErrand]:
    """What is due of pieces that were not tried on."""
    return [_errand(one, rack) for one in Errand.objects.of(member).not_removed().filter(client=client, trial=None)]


def restore(member: Member, client: Client, fittings: Iterable[FiledFitting], rack: Sequence[RackPiece]) -> None:
    """Write a file's fittings; `rack` are the pieces made of the same file, in its order."""
    for filed in fittings:
        fitting = Fitting.objects.create(
            studio_id=member.studio_id,
            client=client,
            changed_by=member,
            **{name: getattr(filed, name) for name in ("place", "where", "started_at", "ended_at")},
        )
        for trial in filed.trials:
            made = Trial.objects.create(
                studio_id=member.studio_id,
                fitting=fitting,
                rack_piece=_hanging(trial.rack_at, rack),
                seen=trial.seen.model_dump(mode="json"),
                corrected=trial.corrected,
                changed_by=member,
                **{name: getattr(trial, name) for name in _TRIAL},
            )
            restore_errands(member, client, trial.errands, rack, made)


def restore_errands(
    member: Member, client: Client, errands: Iterable[FiledErrand], rack: Sequence[RackPiece], trial: Trial | None
) -> None:
    """Write what is due, of a trial or of none."""
    for errand in errands:
        Errand.objects.create(
            studio_id=member.studio_id,
            client=client,
            trial=trial,
            rack_piece=_hanging(errand.rack_at, rack),
            changed_by=member,
            **{name: getattr(errand, name) for name in _ERRAND},
        )


def _hanging(at: int | None, rack: Sequence[RackPiece]) -> RackPiece | None:
    return rack[at] if at is not None and 0 <= at < len(rack) else None
