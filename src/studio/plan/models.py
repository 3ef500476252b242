"""What is kept of plans: the days and what they are dressed in, and what was worn."""

from __future__ import annotations

import uuid
from typing import Any, ClassVar

from django.db import models

from studio.people.models import NAME_LENGTH, Client
from studio.scoping import StudioRow, within_window

WEEK, TRIP = "week", "trip"


class Plan(StudioRow):
    """A week or a trip. Its days are forms (forms.py), and so is what they are dressed in, by the key of the occasion."""

    id: Any = models.UUIDField(primary_key=True, default=uuid.uuid4, editable=False)
    client = models.ForeignKey(Client, on_delete=models.CASCADE, related_name="plans")
    kind = models.CharField(max_length=4)
    name = models.CharField(max_length=NAME_LENGTH)
    place = models.CharField(max_length=NAME_LENGTH, blank=True, default="")
    occasions = models.JSONField()
    #: The wash and the bag (forms.Asks).
    asks = models.JSONField(default=dict)
    #: {key: {"pieces", "worn", "score", "verdict", "reasons", "kept", "others"}}
    dressed = models.JSONField(default=dict, blank=True)
    #: Pieces that are kept from an occasion: {key: [ids]}.
    kept_from = models.JSONField(default=dict, blank=True)
    #: How sure the plan is, what it weighed, and of a trip what is taken.
    told = models.JSONField(default=dict, blank=True)
    #: Ids of pieces that lie in the bag already.
    ticked = models.JSONField(default=list, blank=True)
    #: How it was before, the last first: what is undone.
    before = models.JSONField(default=list, blank=True)

    class Meta:
        ordering: ClassVar[list[str]] = ["-created_at", "id"]


class Worn(StudioRow):
    """What a client wore on a day, before whom; told by her or by a stylist."""

    id: Any = models.UUIDField(primary_key=True, default=uuid.uuid4, editable=False)
    client = models.ForeignKey(Client, on_delete=models.CASCADE, related_name="worn")
    on = models.DateField()
    #: Ids of the rack's pieces.
    pieces = models.JSONField()
    seen_by = models.JSONField(default=list, blank=True)
    #: What it was said of: a look, a card, an occasion of a plan.
    title = models.CharField(max_length=NAME_LENGTH, blank=True, default="")
    #: The plan's occasion or the card's answer it was told by, so that the same press takes it back.
    source = models.CharField(max_length=80, blank=True, default="")
    by_client = models.BooleanField(default=False)

    class Meta:
        ordering: ClassVar[list[str]] = ["-on", "-created_at", "id"]
        indexes: ClassVar[list[models.Index]] = [models.Index(fields=["client", "-on"])]
        constraints: ClassVar[list[models.BaseConstraint]] = within_window(days=("on",))


#: So many steps back are kept.
STEPS = 12


def with_now(plan: Plan) -> list[dict[str, Any]]:
    """How a plan was, with how it is now as the first step back."""
    told = {key: value for key, value in plan.told.items() if key != "pending"}
    now = {"dressed": plan.dressed, "kept_from": plan.kept_from, "told": told, "occasions": plan.occasions}
    return [now, *plan.before][:STEPS]
