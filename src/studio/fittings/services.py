"""The verbs of a fitting: begin it, log a piece, take over what was learned, end it.

Everything a stylist does may arrive late, twice, or both: identities are made on the desk, and what is here
already is answered, not done again.
"""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, field
from datetime import UTC, date, datetime, timedelta
from decimal import Decimal
from typing import Any, Literal
from uuid import UUID

from django.db import transaction
from django.http import Http404
from pydantic import ValidationError

from craft.body.measures import kind_of
from craft.cloth import Piece
from craft.cloth.quick import read_line
from craft.fit import Landed
from craft.formats.fitting_form import Decision, ErrandKind, Seen
from craft.tryon import Correction, Learned, Sample, explain, frame_of, learned
from craft.units import Unit, parse_signed
from studio.bodies.models import MeasuringSession, Reading, Withdrawal
from studio.bodies.services import waits_for_eyes
from studio.concurrency import hold, keep_once, write
from studio.errors import NotTried
from studio.fittings.models import Errand, Fitting, Place, Trial
from studio.people.models import Client, Member
from studio.rack.models import RackPiece
from studio.rack.naming import title_of
from studio.shopping.services import Shopper, land_on, shopper_of
from studio.stored import stored

#: A fitting that was not ended counts as over after half a day.
OPEN_FOR = timedelta(hours=12)
#: A desk's clock may be ahead of ours by so much.
CLOCKS_DIFFER = timedelta(minutes=10)


@dataclass(frozen=True)
class Due:
    """An errand as the desk hands it in."""

    id: UUID
    kind: ErrandKind
    text: str
    figure: str = ""
    by_cm: float = 0.0
    due_on: date | None = None


@dataclass(frozen=True)
class Typed:
    """Edges and eases as they were typed at the desk, each from where it is told."""

    by_key: Mapping[str, str]
    unit: Unit


@dataclass(frozen=True)
class Tried:
    """A trial as the desk hands it in: a piece of the rack, or one said in a line."""

    id: UUID
    tried_at: datetime
    seen: Seen
    typed: Typed
    decision: Decision
    why: str
    heel_cm: float
    piece_id: UUID | None = None
    line: str = ""
    maker: str = ""
    label_size: str = ""
    errands: tuple[Due, ...] = field(default=())


def begin(member: Member, client_id: Any, fitting_id: UUID, place: Place, where: str, started_at: datetime) -> Fitting:
    """Begin a fitting; the same one handed in again is answered, not begun twice."""
    with transaction.atomic():
        client = hold(member, client_id)
        begun = {"place": place, "where": where, "started_at": _not_later(started_at)}
        return keep_once(Fitting, member, fitting_id, {"client_id": client.id}, **begun)


def end(member: Member, fitting_id: Any) -> Fitting:
    """End a fitting; ending it twice changes nothing."""
    with transaction.atomic():
        fitting: Fitting = Fitting.objects.of(member).not_removed().locked_or_404(id=fitting_id)
        if fitting.ended_at is None:
            fitting.ended_at = datetime.now(UTC)
            fitting.save(update_fields=["ended_at"])
    return fitting


def _not_later(when: datetime) -> datetime:
    """A desk's time, but never one that is still to come."""
    now = datetime.now(UTC)
    return when if when <= now + CLOCKS_DIFFER else now


def log(member: Member, fitting_id: Any, tried: Tried) -> Trial:
    """Log one piece with what is due from it; one that is here already is answered as it is.

    A piece said in a line that is kept or altered is hung on the rack. Raises NotTried, NotUnderstood,
    UnknownWord or Http404; then nothing is written.
    """
    with transaction.atomic():
        fitting: Fitting = Fitting.objects.of(member).not_removed().locked_or_404(id=fitting_id)
        whose = {"fitting_id": fitting.id}
        held: Trial | None = Trial.objects.of(member).filter(id=tried.id).first()
        if held is not None:
            return keep_once(Trial, member, tried.id, whose)
        shopper = shopper_of(member, fitting.client_id)
        piece, row = _piece(member, fitting, tried, shopper)
        landed = land_on(shopper, piece, tried.heel_cm)
        trial = keep_once(
            Trial,
            member,
            tried.id,
            whose,
            rack_piece=row,
            title=(row.name if row and row.name else title_of(piece))[:120],
            piece=piece.described(),
            maker=(row.facts.get("maker", "") if row else tried.maker),
            label_size=(row.facts.get("label_size", "") if row else tried.label_size),
            heel_cm=tried.heel_cm,
            expected=expected_of(landed),
            seen=_read(tried.seen, tried.typed, landed, shopper).model_dump(mode="json"),
            decision=tried.decision,
            why=tried.why,
            tried_at=_not_later(tried.tried_at),
        )
        for due in tried.errands:
            _owe(member, trial, due)
        _settle(member, row, tried.decision)
    return trial


def _read(seen: Seen, typed: Typed, landed: Landed, shopper: Shopper) -> Seen:
    """What was seen, with what was typed read into it; an empty text takes a figure away. Raises NotALength."""
    edges, eases = dict(seen.edges), dict(seen.eases)
    zones = {ease.zone for ease in landed.eases}
    for key, text in typed.by_key.items():
        held = eases if key in zones else edges
        held.pop(key, None)
        if not text.strip():
            continue
        cm = parse_signed(text, typed.unit)
        frame = frame_of(shopper.body, key, landed.shoes.lift)
        held[key] = round(cm if key in zones else frame.height(cm), 1)
    try:
        return Seen.model_validate({**seen.model_dump(), "edges": edges, "eases": eases})
    except ValidationError as wrong:
        raise NotTried("A figure that was seen cannot be: look at it again.") from wrong


def _piece(member: Member, fitting: Fitting, tried: Tried, shopper: Shopper) -> tuple[Piece, RackPiece | None]:
    if tried.piece_id is not None:
        row: RackPiece = RackPiece.objects.of(member).get_or_404(id=tried.piece_id, client_id=fitting.client_id)
        return Piece.of(row.piece), row
    if not tried.line.strip():
        raise NotTried("Say which piece: one of the rack, or in one line.")
    piece = read_line(tried.line, shopper.unit)
    if tried.decision not in ("keep", "alter"):
        return piece, None
    facts = {"maker": tried.maker, "label_size": tried.label_size}
    return piece, RackPiece.objects.create(
        studio_id=member.studio_id,
        client_id=fitting.client_id,
        piece=piece.described(),
        facts={key: value for key, value in facts.items() if value},
        changed_by=member,
    )


def _owe(member: Member, trial: Trial, due: Due) -> None:
    keep_once(
        Errand,
        member,
        due.id,
        {"client_id": trial.fitting.client_id, "trial_id": trial.id},
        rack_piece=trial.rack_piece,
        title=trial.title,
        kind=due.kind,
        text=due.text,
        figure=due.figure,
        by_cm=due.by_cm,
        due_on=due.due_on,
    )


_STATE: Mapping[str, str] = {"alter": "at_the_tailor", "return": "to_let_go", "let_go": "to_let_go", "keep": "in_use"}


def _settle(member: Member, row: RackPiece | None, decision: str) -> None:
    """What a decision makes of the piece on the rack."""
    state = _STATE.get(decision)
    if row is None or state is None or row.facts.get("state", "in_use") == state:
        return
    write(RackPiece, member, row.id, row.version, facts={**row.facts, "state": state})


def expected_of(landed: Landed) -> dict[str, Any]:
    """What was computed of a piece, as a trial keeps it: cm, and each check's standing."""
    return {
        "edges": {edge.key: round(edge.height, 1) for edge in landed.edges},
        "eases": {ease.zone: round(ease.cm, 1) for ease in landed.eases},
        "checks": {check.key: [check.stance, check.title] for check in landed.checks},
    }


def change(
    member: Member, trial_id: Any, version: int, seen: Seen, typed: Typed, decision: Decision, why: str
) -> Trial:
    """Change what was seen and decided of a piece; raises Stale or NotALength."""
    with transaction.atomic():
        trial = _held_trial(member, trial_id)
        shopper = shopper_of(member, trial.fitting.client_id)
        landed = land_on(shopper, Piece.of(trial.piece), trial.heel_cm)
        read = _read(seen, typed, landed, shopper)
        told = {"seen": read.model_dump(mode="json"), "decision": decision, "why": why}
        changed = write(Trial, member, trial_id, version, **told)
        _settle(member, changed.rack_piece, decision)
    return changed


def remove(member: Member, trial_id: Any) -> None:
    """Take a trial out of the log, with what is due from it; it can be brought back."""
    with transaction.atomic():
        trial = _held_trial(member, trial_id)
        now = datetime.now(UTC)
        Trial.objects.of(member).filter(id=trial.id).update(removed_at=now, changed_by=member)
        Errand.objects.of(member).filter(trial=trial, removed_at=None).update(removed_at=now)


def restore(member: Member, trial_id: Any) -> Trial:
    """Undo a removal, and bring back what was due from the trial with it."""
    with transaction.atomic():
        trial: Trial = Trial.objects.of(member).of_kept_clients().locked_or_404(id=trial_id)
        Errand.objects.of(member).filter(trial=trial, removed_at=trial.removed_at).update(removed_at=None)
        restored: Trial = Trial.objects.restore(member, id=trial.id)
    return restored


def own_trial(member: Member, trial_id: Any) -> Trial:
    """A trial of the member's studio. Raises Http404."""
    trial: Trial = (
        Trial.objects.of(member).not_removed().select_related("fitting", "rack_piece").get_or_404(id=trial_id)
    )
    return trial


def _held_trial(member: Member, trial_id: Any) -> Trial:
    """A trial held for this transaction, its client first. Raises Http404."""
    rows = Trial.objects.of(member).not_removed().select_related("fitting", "rack_piece")
    trial: Trial = rows.locked_or_404(id=trial_id)
    return trial


def corrections_of(shopper: Shopper, trial: Trial) -> tuple[Correction, ...]:
    """What would explain what was seen of a piece, likeliest first; what was taken over is not said again."""
    done = {(one["whose"], one["key"]) for one in trial.corrected}
    piece = Piece.of(trial.piece)
    seen = stored(Seen, trial.seen)
    shoes = land_on(shopper, piece, trial.heel_cm).shoes
    found = [
        correction
        for key, cm in (*seen.edges.items(), *seen.eases.items())
        for correction in explain(shopper.body, piece, shoes, shopper.schools, key, cm)
    ]
    if done:
        found = [one for one in found if one.whose == "body" and (one.whose, one.key) not in done]
    return tuple(found)


def take_over(member: Member, trial_id: Any, whose: Literal["piece", "body"], key: str) -> Trial:
    """Correct the piece or the body by what was seen; undone by `take_back`. Raises NotTried."""
    with transaction.atomic():
        trial = _held_trial(member, trial_id)
        shopper = shopper_of(member, trial.fitting.client_id)
        wanted = next((c for c in corrections_of(shopper, trial) if (c.whose, c.key) == (whose, key)), None)
        if wanted is None:
            raise NotTried("What was seen no longer asks for this correction.")
        entry: dict[str, Any] = {"whose": whose, "key": key, "was": wanted.was, "becomes": wanted.becomes}
        if whose == "piece":
            _correct_piece(member, trial, key, wanted.becomes)
        else:
            entry["reading"] = str(_correct_body(member, trial, key, wanted.becomes))
        trial.corrected = [*trial.corrected, entry]
        trial.version += 1
        trial.save(update_fields=["corrected", "version", "changed_at"])
    return trial


def take_back(member: Member, trial_id: Any, whose: str, key: str) -> Trial:
    """Undo a correction that was taken over."""
    with transaction.atomic():
        trial = _held_trial(member, trial_id)
        entry = next((one for one in trial.corrected if (one["whose"], one["key"]) == (whose, key)), None)
        if entry is None:
            return trial
        if whose == "piece":
            _correct_piece(member, trial, key, entry["was"])
        elif "reading" in entry:
            reading = Reading.objects.of(member).get_or_404(id=entry["reading"])
            Withdrawal.objects.get_or_create(reading=reading, defaults={"by": member})
        trial.corrected = [one for one in trial.corrected if one is not entry]
        trial.version += 1
        trial.save(update_fields=["corrected", "version", "changed_at"])
    return trial


def _correct_piece(member: Member, trial: Trial, key: str, cm: float | None) -> None:
    row = trial.rack_piece
    if row is None or row.removed_at is not None:
        raise NotTried("The piece hangs on no rack: there is nothing to correct.")
    piece = Piece.of(row.piece).with_(**{key: cm})
    write(RackPiece, member, row.id, row.version, piece=piece.described())


def _correct_body(member: Member, trial: Trial, measure: str, cm: float) -> UUID:
    """What a fitting says of the body: a reading in a session of its own, marked as no measurement."""
    kind_of(measure)
    session, _ = MeasuringSession.objects.get_or_create(
        studio_id=member.studio_id,
        client_id=trial.fitting.client_id,
        protocol="fitting",
        started_at=trial.fitting.started_at,
        defaults={
            "taken_by": member,
            "ended_at": trial.fitting.started_at,
            "ended": "finished",
            "twice": False,
            "consent": {"agreed": ["measure", "record"]},
        },
    )
    made = Reading.objects.create(
        studio_id=member.studio_id,
        awaits=waits_for_eyes(member),
        session=session,
        taken_by=member,
        measure=measure,
        cm=Decimal(str(round(cm, 2))),
        typed=f"seen on the {trial.title}"[:40],
        source="fitting",
        said=True,
    )
    return UUID(str(made.id))


@dataclass(frozen=True)
class Made:
    """What is known of a maker: what was learned of its landings, and how many computed checks were confirmed."""

    maker: str
    confirmed: int
    checked: int
    learned: tuple[Learned, ...]


def makers_of(member: Member) -> tuple[Made, ...]:
    """What the studio's fittings say of each maker, by name."""
    rows = Trial.objects.of(member).not_removed().exclude(maker="")
    samples: list[Sample] = []
    told: dict[str, list[bool]] = {}
    for maker, expected, raw in rows.values_list("maker", "expected", "seen"):
        seen = stored(Seen, raw)
        told.setdefault(maker, []).extend(verdict == "as_said" for verdict in seen.checks.values())
        for kind, found in (("edges", seen.edges), ("eases", seen.eases)):
            computed = expected.get(kind, {})
            samples += [Sample(maker, key, computed[key], cm) for key, cm in found.items() if key in computed]
    known = learned(samples)
    return tuple(
        Made(maker, sum(held), len(held), tuple(one for one in known if one.maker == maker))
        for maker, held in sorted(told.items())
    )


def fittings_of(member: Member, client_id: Any) -> list[Fitting]:
    """A client's fittings, newest first, with their trials."""
    if not Client.objects.of(member).not_removed().filter(id=client_id).exists():
        raise Http404
    rows = Fitting.objects.of(member).not_removed().filter(client_id=client_id)
    return list(rows.prefetch_related("trials__errands"))
