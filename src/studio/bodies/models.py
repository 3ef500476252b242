"""What is kept of a body: sessions with their consent, and readings, added and never changed."""

from __future__ import annotations

import uuid
from typing import Any, ClassVar

from django.db import models
from django.utils import timezone

from studio.people.models import Client, Member, Studio
from studio.scoping import StudioQuerySet, within_window


class MeasuringSession(models.Model):
    """One client measured once: what for, with what consent, on which side."""

    client_path: ClassVar[str] = "client"
    studio = models.ForeignKey(Studio, on_delete=models.CASCADE, related_name="+")
    client = models.ForeignKey(Client, on_delete=models.CASCADE, related_name="sessions")
    taken_by = models.ForeignKey(Member, null=True, on_delete=models.SET_NULL, related_name="+")
    started_at = models.DateTimeField(default=timezone.now)
    ended_at = models.DateTimeField(null=True, blank=True)
    #: How it ended: finished, or stopped at the client's wish.
    ended = models.CharField(max_length=10, blank=True, default="")
    protocol = models.CharField(max_length=20, default="full")
    side = models.CharField(max_length=5, default="right")
    #: Whether each measure is taken twice.
    twice = models.BooleanField(default=True)
    #: What the client agreed to, who was present, who the guardian is.
    consent = models.JSONField(default=dict, blank=True)

    objects = StudioQuerySet.as_manager()

    class Meta:
        indexes: ClassVar[list[models.Index]] = [
            models.Index(fields=["client", "-started_at"]),
            models.Index(fields=["studio", "started_at"]),
        ]
        constraints: ClassVar[list[models.BaseConstraint]] = within_window("started_at", "ended_at")


class Reading(models.Model):
    """One reading of one measure. All are kept; those set aside or withdrawn do not count."""

    client_path: ClassVar[str] = "session__client"
    id: Any = models.UUIDField(primary_key=True, default=uuid.uuid4, editable=False)
    studio = models.ForeignKey(Studio, on_delete=models.CASCADE, related_name="+")
    session = models.ForeignKey(MeasuringSession, on_delete=models.CASCADE, related_name="readings")
    taken_by = models.ForeignKey(Member, null=True, on_delete=models.SET_NULL, related_name="+")
    measure = models.CharField(max_length=32)
    cm = models.DecimalField(max_digits=6, decimal_places=2)
    #: What was typed or what the tape sent, before any correction.
    typed = models.CharField(max_length=40, blank=True, default="")
    source = models.CharField(
        max_length=8, default="typed", choices=[(s, s) for s in ("typed", "tape", "table", "fitting")]
    )
    #: The client's own word, not a measurement.
    said = models.BooleanField(default=False)
    #: Asked about and confirmed.
    checked = models.BooleanField(default=False)
    #: Asked about and measured again: kept, not counted.
    set_aside = models.BooleanField(default=False)
    #: Taken by an apprentice: it waits for a second pair of eyes until it is confirmed.
    awaits = models.BooleanField(default=False)
    taken_at = models.DateTimeField(default=timezone.now)

    objects = StudioQuerySet.as_manager()

    def save(self, *args: Any, **options: Any) -> None:
        """Add the reading; one that is kept is never written again."""
        if not self._state.adding:
            raise TypeError("A reading is only ever added.")
        super().save(*args, **options)

    class Meta:
        ordering: ClassVar[list[str]] = ["taken_at", "id"]
        indexes: ClassVar[list[models.Index]] = [
            models.Index(fields=["session", "measure", "taken_at"]),
            models.Index(fields=["studio", "measure"]),
            # The few that wait, among all there ever were.
            models.Index(fields=["studio"], name="bodies_reading_awaits", condition=models.Q(awaits=True)),
        ]
        constraints: ClassVar[list[models.BaseConstraint]] = within_window("taken_at")


class Withdrawal(models.Model):
    """A reading taken back; the reading itself stays. Deleting this row brings it back."""

    reading = models.OneToOneField(Reading, on_delete=models.CASCADE, related_name="withdrawal")
    by = models.ForeignKey(Member, null=True, on_delete=models.SET_NULL, related_name="+")
    at = models.DateTimeField(default=timezone.now)


class Confirmation(models.Model):
    """A second pair of eyes has looked at a reading that an apprentice took. Deleting this row lets it wait again."""

    reading = models.OneToOneField(Reading, on_delete=models.CASCADE, related_name="confirmation")
    by = models.ForeignKey(Member, null=True, on_delete=models.SET_NULL, related_name="+")
    at = models.DateTimeField(default=timezone.now)
