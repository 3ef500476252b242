"""Before a visit and after it: what to prepare, and what follows, each with a day."""

from __future__ import annotations

from datetime import date, timedelta
from typing import NamedTuple

from craft.body.measures import label
from craft.diary.kinds import KINDS, VisitKind
from craft.formats.brief_form import BriefForm
from studio.bodies.desk import next_for
from studio.bodies.known import today
from studio.diary.models import Appointment
from studio.edit.models import KitPiece, ToBuy
from studio.fittings.models import Errand
from studio.handover.cards import rows_of
from studio.people.models import Client, Member
from studio.plan.models import Worn
from studio.rack.models import RackPiece
from studio.rack.naming import title_of
from studio.stored import readable, stored

#: So many of each are named.
NAMED = 5


class Preparing(NamedTuple):
    """Something to prepare, and its particulars."""

    what: str
    of: list[str]


class Following(NamedTuple):
    """What usually comes after, and about when."""

    kind: VisitKind
    name: str
    on: date
    #: Whether the diary has one for this client already.
    there: bool


def preparing(member: Member, row: Appointment) -> list[Preparing]:
    """What a visit needs, from what is known of the client; nothing where it is nobody's."""
    client = row.client
    if client is None:
        return []
    found = [*_forms(row, client)]
    if row.kind in ("measuring", "check", "try_on"):
        found.append(Preparing("Measures that would settle most", _measures(member, client)))
    if row.kind in ("edit", "try_on", "shops"):
        kit = [
            title_of(piece)
            for piece in readable(
                KitPiece.objects.filter(studio_id=row.studio_id, removed_at=None).values_list("piece", flat=True)
            )
        ]
        found.append(Preparing("Kit to bring", kit[: 3 * NAMED]))
    if row.kind in ("shops", "hand_over"):
        buying = ToBuy.objects.filter(client=client, removed_at=None, bought=False).exclude(when="never")
        found.append(
            Preparing(
                "To buy", [title_of(piece) for piece in readable(buying.values_list("piece", flat=True))][: 2 * NAMED]
            )
        )
    if row.kind in ("try_on", "tailor", "hand_over"):
        due = Errand.objects.filter(client=client, removed_at=None, done_at=None).order_by("due_on")
        found.append(Preparing("Still open", [f"{one.title}: {one.text}" for one in due[:NAMED]]))
    if row.kind in ("try_on", "edit"):
        away = [
            one.name or title_of(piece)
            for one in RackPiece.objects.filter(client=client, removed_at=None, facts__state="at_the_tailor")
            for piece in readable([one.piece])
        ]
        found.append(Preparing("At the tailor", away[:NAMED]))
    if row.kind == "hand_over":
        found.append(Preparing("Cards", [one.look.name or "Outfit" for one in rows_of(client)][: 2 * NAMED]))
    if row.kind == "check":
        worn = Worn.objects.filter(client=client, removed_at=None)
        found.append(
            Preparing("Worn since", [f"{one.on.day} {one.on:%B}: {one.title or 'a look'}" for one in worn[:NAMED]])
        )
    return [one for one in found if one.of]


def _forms(row: Appointment, client: Client) -> list[Preparing]:
    forms = ["Consent to be measured"] if row.kind in ("measuring", "try_on", "check") else []
    brief = stored(BriefForm, client.brief)
    if brief.minor:
        forms.append(f"The guardian’s consent{f', {brief.guardian}' if brief.guardian else ''}")
    return [Preparing("To be signed", forms)]


def _measures(member: Member, client: Client) -> list[str]:
    return [label(one.measure) for one in next_for(member, client.id)[:NAMED]]


def following(row: Appointment) -> list[Following]:
    """What usually follows a visit, from the day it is on."""
    base = max(row.starts_at.astimezone(row.clock).date(), today())
    coming = Appointment.objects.filter(client=row.client, removed_at=None, starts_at__gt=row.starts_at)
    kinds = set(coming.values_list("kind", flat=True)) if row.client_id else set()
    return [
        Following(kind, KINDS[kind].name, base + timedelta(days), kind in kinds)
        for kind, days in KINDS[row.kind].follows
    ]
