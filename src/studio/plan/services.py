"""The verbs of plans: begin one, change its days, have it dressed, dress one day otherwise, undo; and say what was worn."""

from __future__ import annotations

from collections.abc import Sequence
from datetime import date, timedelta
from typing import Any, Literal
from uuid import UUID

from django.db import transaction

from craft.errors import InvalidInput
from craft.formats.brief_form import BriefForm
from craft.plan.proposed import proposed
from studio.bodies.known import today
from studio.concurrency import hold, keep_once, write
from studio.errors import Stale
from studio.outfits import services as work
from studio.outfits.models import OutfitSearch
from studio.people.known import client_of
from studio.people.models import Client, Member
from studio.plan.forecast import air_of, with_air
from studio.plan.forms import MOST_DAYS, DaysForm, OccasionForm, occasions_of
from studio.plan.jobs import KIND, PlanAsked
from studio.plan.models import Plan, Worn, with_now
from studio.rack.models import RackPiece
from studio.stored import stored

#: So many plans of a client are listed; so much of what was worn.
LISTED, WORN_LISTED = 30, 200
#: What is done with a day.
Doing = Literal["keep", "free", "other", "without"]


def propose(client: Client, first: date, days: int) -> list[OccasionForm]:
    """Occasions for some days, from how the client's time is spent; a plain day each where nobody said."""
    week = [one for one in stored(BriefForm, client.brief).week if one.share]
    shares = {one.occasion: float(one.share) for one in week} or {"relaxed_office": 70.0, "weekend": 30.0}
    codes = {one.occasion: None if one.dress_code == "none" else one.dress_code for one in week}
    return [OccasionForm.of(one) for one in proposed(shares, codes, first, days)]


def begin(member: Member, client_id: Any, plan_id: UUID, kind: str, form: DaysForm) -> Plan:
    """Begin a plan. Raises Http404."""
    with transaction.atomic():
        client = hold(member, client_id)
        return keep_once(Plan, member, plan_id, {"client_id": client.id}, kind=kind, **_kept(form))


def _kept(form: DaysForm) -> dict[str, Any]:
    told = form.model_dump(mode="json")
    return {"name": told["name"], "place": told["place"], "occasions": told["occasions"], "asks": told["asks"]}


def change(member: Member, plan_id: UUID, version: int, form: DaysForm) -> Plan:
    """Change a plan's days; what an occasion wears stays with it. Raises Stale or Http404."""
    with transaction.atomic():
        plan: Plan = Plan.objects.of(member).not_removed().locked_or_404(id=plan_id)
        there = {one.key for one in form.occasions}
        dressed = {key: one for key, one in plan.dressed.items() if key in there}
        kept_from = {key: one for key, one in plan.kept_from.items() if key in there}
        return write(
            Plan, member, plan_id, version, **_kept(form), dressed=dressed, kept_from=kept_from, **_changed(plan)
        )


def ask_the_forecast(member: Member, plan_id: UUID, version: int) -> Plan:
    """Take the forecast's air for the days that it reaches. Raises Stale, Http404 or NoForecast."""
    plan: Plan = Plan.objects.of(member).not_removed().get_or_404(id=plan_id)
    occasions = occasions_of(plan.occasions)
    first = occasions[0].on
    air = air_of(plan.place or plan.client.studio.name, first, (occasions[-1].on - first).days + 1)
    told = [one.model_dump(mode="json") for one in with_air(occasions, air)]
    return write(Plan, member, plan_id, version, occasions=told, **_changed(plan))


def _changed(plan: Plan) -> dict[str, Any]:
    """What any change by hand keeps beside itself: the way back, and that the plan is to be dressed anew."""
    return {"before": with_now(plan), "told": {**plan.told, "pending": True}}


def have_dressed(member: Member, plan_id: UUID) -> tuple[OutfitSearch, Plan]:
    """Hand a plan to the queue; what is kept stays, and the rest gives way as little as possible. Raises Http404."""
    with transaction.atomic():
        plan: Plan = Plan.objects.of(member).not_removed().get_or_404(id=plan_id)
        client = hold(member, plan.client_id)
        asked = {"plan": str(plan.id)}
        return work.wanted(member, client, KIND, PlanAsked(client, asked).key, asked), plan


def do_day(
    member: Member,
    plan_id: UUID,
    version: int,
    key: str,
    doing: Doing,
    *,
    other: int | None = None,
    piece: UUID | None = None,
) -> Plan:
    """Change one day by hand: keep what it wears, free it again, take another look that was offered (which keeps it), or do
    without a piece on it. Raises Stale, Http404 or InvalidInput."""
    with transaction.atomic():
        plan: Plan = Plan.objects.of(member).not_removed().locked_or_404(id=plan_id)
        if plan.version != version:
            raise Stale(plan)
        dressed, kept_from = dict(plan.dressed), dict(plan.kept_from)
        worn = dressed.get(key)
        if worn is None and doing != "free":
            raise InvalidInput("This occasion wears nothing yet.", "key")
        if doing == "other":
            others = worn["others"] if worn else []
            if other is None or not 0 <= other < len(others):
                raise InvalidInput("This look is not offered any more.", "other")
            rest = [one for number, one in enumerate(others) if number != other]
            now = {name: worn[name] for name in ("pieces", "worn", "score", "verdict", "reasons")} if worn else {}
            dressed[key] = {**others[other], "kept": True, "others": [now, *rest]}
        elif doing == "without":
            if piece is None or (worn and str(piece) not in worn["pieces"]):
                raise InvalidInput("This piece is not worn there.", "piece")
            kept_from[key] = sorted({*kept_from.get(key, ()), str(piece)})
            dressed[key] = {**worn, "kept": False} if worn else {}
        elif doing == "free":
            kept_from.pop(key, None)
            if worn:
                dressed[key] = {**worn, "kept": False}
        else:
            dressed[key] = {**worn, "kept": True} if worn else {}
        return write(Plan, member, plan_id, version, dressed=dressed, kept_from=kept_from, **_changed(plan))


def undo(member: Member, plan_id: UUID, version: int) -> Plan:
    """One step back. Raises Stale, Http404 or InvalidInput."""
    with transaction.atomic():
        plan: Plan = Plan.objects.of(member).not_removed().locked_or_404(id=plan_id)
        if not plan.before:
            raise InvalidInput("There is nothing to undo.", "version")
        last, *rest = plan.before
        return write(Plan, member, plan_id, version, **last, before=rest)


def tick(member: Member, plan_id: UUID, piece: UUID, *, on: bool) -> Plan:
    """Tick a piece that lies in the bag, or take that back. Two may tick at once. Raises Http404."""
    with transaction.atomic():
        plan: Plan = Plan.objects.of(member).not_removed().locked_or_404(id=plan_id)
        ticked = {*plan.ticked, str(piece)} if on else set(plan.ticked) - {str(piece)}
        plan.ticked = sorted(ticked)
        plan.save(update_fields=["ticked"])
    return plan


def plans_of(member: Member, client_id: Any) -> tuple[Client, list[Plan]]:
    """A client's plans, the newest first. Raises Http404."""
    client = client_of(member, client_id)
    return client, list(Plan.objects.filter(client=client, removed_at=None)[:LISTED])


def wear(
    member: Member, client_id: Any, worn_id: UUID, on: date, pieces: Sequence[UUID], *, seen_by: Sequence[str] = (),
    title: str = "", source: str = "",
) -> Worn:  # fmt: skip
    """Say what was worn on a day. Raises Http404 or InvalidInput."""
    if not today() - timedelta(MOST_DAYS * 24) <= on <= today() + timedelta(1):
        raise InvalidInput("What was worn lies in the past two years.", "on")
    with transaction.atomic():
        client = hold(member, client_id)
        known = RackPiece.objects.filter(client=client, id__in=pieces).values_list("id", flat=True)
        if not known or len(set(known)) < len(set(pieces)):
            raise InvalidInput("A piece that was worn is not of this rack.", "pieces")
        ids = sorted(str(one) for one in known)
        return keep_once(
            Worn,
            member,
            worn_id,
            {"client_id": client.id},
            on=on,
            pieces=ids,
            seen_by=list(seen_by),
            title=title[:120],
            source=source,
        )


def worn_of(member: Member, client_id: Any) -> tuple[Client, list[Worn]]:
    """What a client wore, the last first. Raises Http404."""
    client = client_of(member, client_id)
    return client, list(Worn.objects.filter(client=client, removed_at=None))


def unwear(member: Member, worn_id: UUID) -> None:
    """Take back that something was worn; it can be undone."""
    Worn.objects.soft_delete(member, id=worn_id)


def wear_again(member: Member, worn_id: UUID) -> Worn:
    """Undo the taking back."""
    row: Worn = Worn.objects.restore(member, id=worn_id)
    return row
