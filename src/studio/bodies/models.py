"""What is kept of a body. Readings are added, never changed: the newest of a measure is in force."""

from __future__ import annotations

import uuid
from typing import Any, ClassVar

from django.db import models

from studio.people.models import Client, Member, Studio
from studio.scoping import StudioQuerySet


class MeasuringSession(models.Model):
    """One stylist measuring one client on one day."""

    studio = models.ForeignKey(Studio, on_delete=models.CASCADE, related_name="+")
    client = models.ForeignKey(Client, on_delete=models.CASCADE, related_name="sessions")
    taken_by = models.ForeignKey(Member, null=True, on_delete=models.SET_NULL, related_name="+")
    started_at = models.DateTimeField(auto_now_add=True)

    objects = StudioQuerySet.as_manager()


class Reading(models.Model):
    """One reading of one measure. A reading without a figure withdraws those before it."""

    id: Any = models.UUIDField(primary_key=True, default=uuid.uuid4, editable=False)
    studio = models.ForeignKey(Studio, on_delete=models.CASCADE, related_name="+")
    session = models.ForeignKey(MeasuringSession, on_delete=models.CASCADE, related_name="readings")
    measure = models.CharField(max_length=32)
    cm = models.DecimalField(max_digits=6, decimal_places=2, null=True)
    typed = models.CharField(max_length=40, blank=True, default="")
    checked = models.BooleanField(default=False)
    taken_at = models.DateTimeField(auto_now_add=True)

    objects = StudioQuerySet.as_manager()

    def save(self, *args: Any, **options: Any) -> None:
        """Add the reading; one that is kept is never written again."""
        if not self._state.adding:
            raise TypeError("A reading is only ever added.")
        super().save(*args, **options)

    class Meta:
        ordering: ClassVar[list[str]] = ["taken_at", "id"]
        indexes: ClassVar[list[models.Index]] = [models.Index(fields=["studio", "measure", "taken_at"])]
