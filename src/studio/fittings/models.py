"""What is kept of fittings: the occasion, each piece tried, and what is due from it."""

from __future__ import annotations

import uuid
from typing import Any, ClassVar, Literal, get_args

from django.db import models
from django.utils import timezone

from studio.people.models import NAME_LENGTH, Client
from studio.rack.models import RackPiece
from studio.scoping import StudioRow, within_window

Place = Literal["wardrobe", "shop"]
Decision = Literal["", "keep", "alter", "size", "return", "let_go"]
ErrandKind = Literal["alter", "return", "size"]


class Fitting(StudioRow):
    """One occasion: at the client's wardrobe or in a shop. Its identity is made where it was begun, which may be
    without a connection."""

    id: Any = models.UUIDField(primary_key=True, default=uuid.uuid4, editable=False)
    client = models.ForeignKey(Client, on_delete=models.CASCADE, related_name="fittings")
    place: models.CharField[Place, Place] = models.CharField(
        max_length=8, choices=[(place, place) for place in get_args(Place)]
    )
    where = models.CharField(max_length=NAME_LENGTH, blank=True, default="")
    started_at = models.DateTimeField(default=timezone.now)
    ended_at = models.DateTimeField(null=True, blank=True)

    class Meta:
        ordering: ClassVar[list[str]] = ["-started_at", "id"]
        indexes: ClassVar[list[models.Index]] = [models.Index(fields=["client", "-started_at"])]
        constraints: ClassVar[list[models.BaseConstraint]] = within_window("started_at", "ended_at")

    def __str__(self) -> str:
        return self.where or self.place


class Trial(StudioRow):
    """One piece tried on. `piece` is the piece as it was then; `expected` what was computed of it, `seen` what was
    seen (craft.formats.fitting_form)."""

    client_path: ClassVar[str] = "fitting__client"
    id: Any = models.UUIDField(primary_key=True, default=uuid.uuid4, editable=False)
    fitting = models.ForeignKey(Fitting, on_delete=models.CASCADE, related_name="trials")
    rack_piece = models.ForeignKey(RackPiece, null=True, on_delete=models.SET_NULL, related_name="trials")
    title = models.CharField(max_length=NAME_LENGTH)
    piece = models.JSONField()
    maker = models.CharField(max_length=NAME_LENGTH, blank=True, default="")
    label_size = models.CharField(max_length=20, blank=True, default="")
    heel_cm = models.FloatField(default=0.0)
    expected = models.JSONField(default=dict)
    seen = models.JSONField(default=dict)
    decision: models.CharField[Decision, Decision] = models.CharField(max_length=8, blank=True, default="")
    why = models.CharField(max_length=400, blank=True, default="")
    #: Corrections that were taken over, as they were shown: whose figure, what it was, what it became.
    corrected = models.JSONField(default=list)
    tried_at = models.DateTimeField(default=timezone.now)

    class Meta:
        ordering: ClassVar[list[str]] = ["tried_at", "id"]
        indexes: ClassVar[list[models.Index]] = [models.Index(fields=["studio", "maker"])]
        constraints: ClassVar[list[models.BaseConstraint]] = within_window("tried_at")

    def __str__(self) -> str:
        return self.title


class Errand(StudioRow):
    """Something to be done by a date: an alteration, or a return."""

    id: Any = models.UUIDField(primary_key=True, default=uuid.uuid4, editable=False)
    client = models.ForeignKey(Client, on_delete=models.CASCADE, related_name="errands")
    trial = models.ForeignKey(Trial, null=True, on_delete=models.SET_NULL, related_name="errands")
    rack_piece = models.ForeignKey(RackPiece, null=True, on_delete=models.SET_NULL, related_name="errands")
    kind: models.CharField[ErrandKind, ErrandKind] = models.CharField(
        max_length=8, choices=[(kind, kind) for kind in get_args(ErrandKind)]
    )
    title = models.CharField(max_length=NAME_LENGTH)
    text = models.CharField(max_length=400)
    #: The figure of the piece that an alteration changes, and by how many cm.
    figure = models.CharField(max_length=32, blank=True, default="")
    by_cm = models.FloatField(default=0.0)
    due_on = models.DateField(null=True, blank=True)
    done_at = models.DateTimeField(null=True, blank=True)
    #: Whether the piece's figure was changed when it was done.
    applied = models.BooleanField(default=False)

    class Meta:
        ordering: ClassVar[list[Any]] = [models.F("due_on").asc(nulls_last=True), "created_at", "id"]
        indexes: ClassVar[list[models.Index]] = [models.Index(fields=["studio", "done_at", "due_on"])]
        constraints: ClassVar[list[models.BaseConstraint]] = within_window("done_at", days=("due_on",))

    def __str__(self) -> str:
        return self.text
