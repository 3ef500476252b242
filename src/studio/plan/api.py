"""A client's week, trips, and what was worn."""

from __future__ import annotations

from typing import Any
from uuid import UUID

from django.http import HttpResponse
from ninja import Router, Status

from craft.cloth import Piece
from craft.cloth.words import said
from craft.formats.brief_form import BriefForm
from craft.formats.rack_form import Facts
from craft.plan.occasion import Wearing
from craft.plan.weights import grams
from craft.plan.worn import always_worn, unworn, uses
from studio.access import Requires
from studio.bodies.known import today
from studio.edit.telling import Names, in_words, job_of
from studio.paper import pdf_of
from studio.people.known import client_of
from studio.people.models import Client
from studio.plan import services
from studio.plan.forms import Asks, DaysForm, OccasionForm, occasions_of
from studio.plan.models import Plan, Worn
from studio.plan.paper import plan_document
from studio.plan.shapes import (
    DayDoing,
    PackedPieceOut,
    PlanChange,
    PlanDayOut,
    PlanIn,
    PlanJobOut,
    PlanOut,
    PlansOut,
    ProposedIn,
    ProposedOut,
    TickIn,
    UseOut,
    UsesOut,
    VersionIn,
    WornIn,
    WornOut,
)
from studio.policy import Right
from studio.rack.models import RackPiece
from studio.rack.naming import titles_of
from studio.requests import MemberRequest
from studio.schemas import Refusal, attached, file_of
from studio.stored import stored

router = Router()


@router.get("/clients/{uuid:client_id}/plans", response=PlansOut, exclude_none=True, by_alias=True)
def plans(request: MemberRequest, client_id: UUID) -> Any:
    """A client's plans, the newest first."""
    client, rows = services.plans_of(request.user, client_id)
    names = _names(client)
    return in_words(PlansOut(plans=[_plan(row, names) for row in rows]))


@router.post("/clients/{uuid:client_id}/plans/proposed", response=ProposedOut)
def propose(request: MemberRequest, client_id: UUID, given: ProposedIn) -> Any:
    """Occasions for some days, from how the client's time is spent."""
    client = client_of(request.user, client_id)
    return ProposedOut(occasions=services.propose(client, given.first, given.days))


@router.post("/clients/{uuid:client_id}/plans", response={201: PlanOut, 422: Refusal}, exclude_none=True, by_alias=True)
def begin(request: MemberRequest, client_id: UUID, given: PlanIn) -> Any:
    """Begin a plan."""
    return _answer(services.begin(request.user, client_id, given.id, given.kind, _days(given)), 201)


@router.put(
    "/plans/{uuid:plan_id}", response={200: PlanOut, 409: Refusal, 422: Refusal}, exclude_none=True, by_alias=True
)
def change(request: MemberRequest, plan_id: UUID, given: PlanChange) -> Any:
    """Change a plan's days."""
    return _answer(services.change(request.user, plan_id, given.version, _days(given)))


@router.post(
    "/plans/{uuid:plan_id}/air", response={200: PlanOut, 409: Refusal, 503: Refusal}, exclude_none=True, by_alias=True
)
def air(request: MemberRequest, plan_id: UUID, given: VersionIn) -> Any:
    """Take the forecast's air for the days that it reaches."""
    return _answer(services.ask_the_forecast(request.user, plan_id, given.version))


@router.post("/plans/{uuid:plan_id}/dress", response=PlanJobOut, exclude_none=True, by_alias=True)
def dress(request: MemberRequest, plan_id: UUID) -> Any:
    """Dress a plan's days, in the background; what is kept stays, the rest gives way as little as possible."""
    row, plan = services.have_dressed(request.user, plan_id)
    plan.refresh_from_db()
    return in_words(PlanJobOut(job=job_of(row), plan=plan_out(plan)))


@router.patch(
    "/plans/{uuid:plan_id}/day", response={200: PlanOut, 409: Refusal, 422: Refusal}, exclude_none=True, by_alias=True
)
def do_day(request: MemberRequest, plan_id: UUID, given: DayDoing) -> Any:
    """Change one day by hand."""
    told = given.model_dump(exclude={"version", "key", "doing"})
    return _answer(services.do_day(request.user, plan_id, given.version, given.key, given.doing, **told))


@router.post(
    "/plans/{uuid:plan_id}/undo", response={200: PlanOut, 409: Refusal, 422: Refusal}, exclude_none=True, by_alias=True
)
def undo(request: MemberRequest, plan_id: UUID, given: VersionIn) -> Any:
    """One step back."""
    return _answer(services.undo(request.user, plan_id, given.version))


@router.post("/plans/{uuid:plan_id}/tick", response=PlanOut, exclude_none=True, by_alias=True)
def tick(request: MemberRequest, plan_id: UUID, given: TickIn) -> Any:
    """Tick a piece that lies in the bag."""
    return _answer(services.tick(request.user, plan_id, given.piece, on=given.on))


@router.delete("/plans/{uuid:plan_id}", response={204: None})
def remove(request: MemberRequest, plan_id: UUID) -> Any:
    """Take a plan away; can be undone."""
    Plan.objects.soft_delete(request.user, id=plan_id)
    return Status(204, None)


@router.post("/plans/{uuid:plan_id}/restore", response=PlanOut, exclude_none=True, by_alias=True)
def restore(request: MemberRequest, plan_id: UUID) -> Any:
    """Undo a removal."""
    return _answer(Plan.objects.restore(request.user, id=plan_id))


@router.get(
    "/plans/{uuid:plan_id}/plan.pdf",
    response=bytes,
    openapi_extra=file_of("application/pdf"),
    auth=Requires(Right.HAND_OUT),
)
def on_paper(request: MemberRequest, plan_id: UUID) -> Any:
    """A plan on paper: the days drawn, and of a trip the list to tick."""
    row: Plan = Plan.objects.of(request.user).not_removed().select_related("client__studio").get_or_404(id=plan_id)
    return attached(pdf_of(plan_document(row, plan_out(row))), "application/pdf", "plan.pdf")


@router.get("/clients/{uuid:client_id}/worn", response=UsesOut)
def worn(request: MemberRequest, client_id: UUID) -> Any:
    """What a client wore and how each piece was used."""
    client, rows = services.worn_of(request.user, client_id)
    return _uses(client, rows)


@router.post("/clients/{uuid:client_id}/worn", response={201: WornOut, 422: Refusal})
def wear(request: MemberRequest, client_id: UUID, given: WornIn) -> Any:
    """Say what was worn on a day."""
    told = given.model_dump(exclude={"id", "on", "pieces"})
    row = services.wear(request.user, client_id, given.id, given.on, given.pieces, **told)
    return Status(201, _worn(row, titles_of(row.client_id)))


@router.delete("/worn/{uuid:worn_id}", response={204: None})
def unwear(request: MemberRequest, worn_id: UUID) -> Any:
    """Take back that something was worn; can be undone."""
    services.unwear(request.user, worn_id)
    return Status(204, None)


@router.post("/worn/{uuid:worn_id}/restore", response=WornOut)
def wear_again(request: MemberRequest, worn_id: UUID) -> Any:
    """Undo the taking back."""
    row = services.wear_again(request.user, worn_id)
    return _worn(row, titles_of(row.client_id))


def _days(given: DaysForm) -> DaysForm:
    return DaysForm.model_validate(given.model_dump(include=set(DaysForm.model_fields)))


def _answer(row: Plan, status: int = 200) -> HttpResponse:
    told = in_words(plan_out(row))
    told.status_code = status
    return told


def _names(client: Client) -> Names:
    return Names.of(client.id, client.studio_id, client.studio.unit)


def plan_out(row: Plan) -> PlanOut:
    """A plan as it is told."""
    return _plan(row, _names(row.client))


def _plan(row: Plan, names: Names) -> PlanOut:
    kind: Any = row.kind
    occasions = occasions_of(row.occasions)
    sources = {f"plan {row.id} {one.key}" for one in occasions}
    worn_of = Worn.objects.filter(client_id=row.client_id, source__in=sources, removed_at=None)
    said_worn = set(worn_of.values_list("source", flat=True))
    days = []
    for one in occasions:
        held = row.dressed.get(one.key)
        days.append(
            PlanDayOut(
                key=one.key,
                look=names.look(held) if held else None,
                kept=bool(held and held.get("kept")),
                others=names.looks(held["others"]) if held else [],
                without=[known[1] for key in row.kept_from.get(one.key, ()) if (known := names.described(key))],
                way=known[1] if held and (known := names.described(held.get("way", ""))) else "",
                worn=f"plan {row.id} {one.key}" in said_worn,
            )
        )
    told = row.told
    return PlanOut(
        id=row.id,
        version=row.version,
        kind=kind,
        name=row.name,
        place=row.place,
        occasions=occasions,
        asks=Asks.model_validate(row.asks),
        days=days,
        short_by=told.get("short_by", 0.0),
        weighed=told.get("weighed", 0),
        broken=[_broken(one, names, occasions) for one in told.get("broken", [])],
        taken=_taken(row, names, occasions),
        grams=told.get("grams", 0),
        fewest=told.get("fewest", False),
        can_undo=bool(row.before),
        by=row.changed_by.name if row.changed_by else "",
    )


def _broken(one: list[Any], names: Names, occasions: list[OccasionForm]) -> str:
    """A limit that is broken because somebody wants it so, in a sentence."""
    limit, piece, occasion, times = one
    known = names.described(piece) if piece else None
    title = known[1] if known else "A piece"
    on = next((_called(two) for two in occasions if two.key == occasion), "")
    return {
        "worn_out": f"{title}: worn {times} days before the wash.",
        "in_the_wash": f"{title}: worn while it is in the wash.",
        "seen_again": f"{on}: the same people saw this last.",
        "kept_from": f"{on}: {title} was to stay off.",
    }[limit]


def _called(one: OccasionForm) -> str:
    return one.name or f"{said(one.occasion)}, {one.on.day} {one.on:%B}"


def _taken(row: Plan, names: Names, occasions: list[OccasionForm]) -> list[PackedPieceOut]:
    """What is taken along, by what it is for."""
    on_the_way = set(row.told.get("on_the_way", ()))
    found = []
    for key in row.told.get("taken", ()):
        known = names.described(key)
        if known is None:
            continue
        days = [one.key for one in occasions if key in row.dressed.get(one.key, {}).get("pieces", ())]
        weight = round(grams(Piece.of(known[2])))
        found.append(
            PackedPieceOut(
                piece_id=UUID(key),
                title=known[1],
                grams=weight,
                on_the_way=key in on_the_way,
                ticked=key in row.ticked,
                days=days,
            )
        )
    return sorted(found, key=lambda one: (-len(one.days), one.title))


def _worn(row: Worn, titles: dict[str, str]) -> WornOut:
    pieces = [titles.get(key, "a piece that was taken away") for key in row.pieces]
    return WornOut(id=row.id, on=row.on, title=row.title, pieces=pieces, by_client=row.by_client)


def _uses(client: Client, rows: list[Worn]) -> UsesOut:
    titles = titles_of(client.id)
    hung = RackPiece.objects.filter(client=client, removed_at=None).values_list("id", "facts")
    facts = {str(key): stored(Facts, held) for key, held in hung if str(key) in titles}
    prices = {key: one.price for key, one in facts.items() if one.price}
    found = uses(facts, [Wearing(row.on, frozenset(row.pieces)) for row in rows], prices)
    begun = min((row.on for row in rows), default=None)
    return UsesOut(
        worn=[_worn(row, titles) for row in rows[: services.WORN_LISTED]],
        uses=[
            UseOut(piece_id=UUID(one.key), title=titles[one.key], days=one.days, last=one.last, a_wear=one.a_wear)
            for one in found
        ],
        unworn=[UUID(one.key) for one in unworn(found, today(), begun)] if begun else [],
        always=[UUID(one.key) for one in always_worn(found)],
        begun=begun,
        currency=stored(BriefForm, client.brief).budget.currency,
    )
