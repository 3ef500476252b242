"""What is kept of a picture: itself, made anew, and a small one for the rack."""

from __future__ import annotations

import uuid
from typing import Any, ClassVar

from django.db import models

from studio.fittings.models import Trial
from studio.people.models import Client
from studio.rack.models import RackPiece
from studio.scoping import StudioRow


class Picture(StudioRow):
    """One picture of a piece, on the rack or as it was tried on. JPEG, without the metadata it came with."""

    id: Any = models.UUIDField(primary_key=True, default=uuid.uuid4, editable=False)
    client = models.ForeignKey(Client, on_delete=models.CASCADE, related_name="pictures")
    piece = models.ForeignKey(RackPiece, null=True, on_delete=models.CASCADE, related_name="pictures")
    trial = models.ForeignKey(Trial, null=True, on_delete=models.CASCADE, related_name="pictures")
    image = models.BinaryField()
    small = models.BinaryField()
    width = models.PositiveIntegerField()
    height = models.PositiveIntegerField()
    #: Its main colours, most of it first: [["#rrggbb", share], ...].
    palette = models.JSONField(default=list)

    class Meta:
        ordering: ClassVar[list[str]] = ["created_at", "id"]
        indexes: ClassVar[list[models.Index]] = [models.Index(fields=["client", "created_at"])]
