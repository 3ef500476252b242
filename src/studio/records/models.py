"""What is kept of an erasure: that it was done, by whom and how much, nothing of the client; and what was handed in
already, so that it is not taken in twice unasked."""

from __future__ import annotations

import uuid
from typing import Any, ClassVar

from django.db import models
from django.utils import timezone

from studio.people.models import Client, Member, Studio
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


class HandedIn(models.Model):
    """A file or a table that was taken in: a digest of what it held, and the client it went to."""

    client_path: ClassVar[str] = "client"
    studio = models.ForeignKey(Studio, on_delete=models.CASCADE, related_name="+")
    client = models.ForeignKey(Client, on_delete=models.CASCADE, related_name="+")
    by = models.ForeignKey(Member, null=True, on_delete=models.SET_NULL, related_name="+")
    at = models.DateTimeField(default=timezone.now)
    #: A client file, a table of measures, or a table of pieces.
    what = models.CharField(max_length=8)
    digest = models.CharField(max_length=64)

    objects = StudioQuerySet.as_manager()

    class Meta:
        ordering: ClassVar[list[str]] = ["-at", "-id"]
        indexes: ClassVar[list[models.Index]] = [models.Index(fields=["studio", "digest"])]
