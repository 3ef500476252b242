"""A plan on paper, and in the words of a client's page."""

from __future__ import annotations

from typing import TYPE_CHECKING, Any

from craft.assessment import picture
from craft.body import Body
from craft.cloth.words import said
from craft.draw.svg import framed_svg
from craft.look import Look, compose
from studio.bodies.known import measures_of
from studio.edit.shapes import EditLookOut
from studio.paper import laid_out
from studio.plan.forms import OccasionForm
from studio.plan.models import TRIP, Plan
from studio.plan.shapes import PlanOut
from studio.schemas import words_of

if TYPE_CHECKING:
    from weasyprint.document import Document


def plan_document(row: Plan, told: PlanOut) -> Document:
    """The days drawn four in a row, and of a trip the list to tick."""
    body = Body.of(measures_of(row.client))
    looks = {one.key: one.look for one in told.days}
    ways = {one.key: one.way for one in told.days}
    days = [
        {**day_told(one, looks[one.key], ways[one.key]), "picture": _drawn(body, row, looks[one.key], f"d{number}")}
        for number, one in enumerate(told.occasions)
    ]
    by_key = {one.key: f"{one.on.day} {one.on:%b}" for one in told.occasions}
    taken = [
        {**one.model_dump(), "for": ", ".join(dict.fromkeys(by_key[key] for key in one.days))} for one in told.taken
    ]
    return laid_out(
        "plan.html",
        {
            "name": row.name, "client": row.client.name, "studio": row.client.studio.name, "place": row.place, "days": days,
            "taken": taken if row.kind == TRIP else [], "kilos": f"{told.grams / 1000:.1f}",
        },
    )  # fmt: skip


def _drawn(body: Body, row: Plan, look: EditLookOut | None, name: str) -> str:
    if look is None:
        return ""
    worn = Look.of([words_of(piece.words) for piece in look.pieces])
    return framed_svg(picture(compose(body, worn, row.client.ways)), "", name)


def day_told(one: OccasionForm, look: EditLookOut | None, way: str = "") -> dict[str, Any]:
    """A day in words."""
    where = one.name or said(one.occasion).capitalize()
    air = "" if one.celsius is None else f"{one.celsius:.0f} °C{', rain' if one.rain else ''}"
    pieces = [f"{piece.title}, {piece.how}" if piece.how else piece.title for piece in look.pieces] if look else []
    pieces += [f"for the way: {way}"] if way else []
    return {"on": f"{one.on:%A} {one.on.day} {one.on:%B}", "name": where, "air": air, "pieces": pieces}


def days_for_page(told: PlanOut) -> list[dict[str, Any]]:
    """A plan's days for a client's page."""
    days = {one.key: one for one in told.days}
    found = []
    for one in told.occasions:
        day = day_told(one, days[one.key].look, days[one.key].way)
        found.append({"on": day["on"], "name": day["name"], "wears": "; ".join(day["pieces"])})
    return found
