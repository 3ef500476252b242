"""What is kept of an erasure: that it was done, by whom and how much; nothing of the client."""

from __future__ import annotations

import uuid
from typing import Any, ClassVar

from django.db import models
from django.utils import timezone

from studio.people.models import Member, Studio
from studio.scoping import StudioQuerySet


class Erasure(models.Model):
    """The proof that a client was erased: rows by table, and what was found of them afterwards."""

    id: Any = models.UUIDField(primary_key=True, default=uuid.uuid4, editable=False)
    studio = models.ForeignKey(Studio, on_delete=models.CASCADE, related_name="+")
    by = models.ForeignKey(Member, null=True, on_delete=models.SET_NULL, related_name="+")
    at = models.DateTimeField(default=timezone.now)
    rows = models.JSONField(default=dict)
    #: Rows that still spoke of the client when every table was searched afterwards: nought.
    remaining = models.PositiveIntegerField()

    objects = StudioQuerySet.as_manager()

    class Meta:
        ordering: ClassVar[list[str]] = ["-at"]
