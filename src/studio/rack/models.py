"""What is kept of a piece: its words and figures as the craft reads them, and what is known of it besides."""

from __future__ import annotations

import uuid
from typing import Any, ClassVar

from django.db import models

from studio.people.models import NAME_LENGTH, Client
from studio.scoping import StudioRow


class RackPiece(StudioRow):
    """One piece of a client's wardrobe."""

    id: Any = models.UUIDField(primary_key=True, default=uuid.uuid4, editable=False)
    client = models.ForeignKey(Client, on_delete=models.CASCADE, related_name="rack")
    #: What the client calls it; empty where its words say enough.
    name = models.CharField(max_length=NAME_LENGTH, blank=True, default="")
    #: The piece as craft.cloth.Piece reads it.
    piece = models.JSONField()
    #: Maker, size, price, state and so on (craft.formats.rack_form.Facts).
    facts = models.JSONField(default=dict, blank=True)

    class Meta:
        ordering: ClassVar[list[str]] = ["created_at", "id"]
        indexes: ClassVar[list[models.Index]] = [models.Index(fields=["client", "created_at"])]

    def __str__(self) -> str:
        return self.name
