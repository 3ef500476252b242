"""What is kept of a look: its name and its pieces in the words of the craft."""

from __future__ import annotations

import uuid
from typing import Any, ClassVar

from django.db import models

from studio.people.models import NAME_LENGTH, Client
from studio.scoping import StudioRow


class Look(StudioRow):
    """An outfit for a client. `pieces` is a list of pieces from the body outwards."""

    id: Any = models.UUIDField(primary_key=True, default=uuid.uuid4, editable=False)
    client = models.ForeignKey(Client, on_delete=models.CASCADE, related_name="looks")
    name = models.CharField(max_length=NAME_LENGTH, blank=True, default="")
    pieces = models.JSONField(default=list)

    class Meta:
        indexes: ClassVar[list[models.Index]] = [models.Index(fields=["studio", "client", "-changed_at"])]

    def __str__(self) -> str:
        return self.name
