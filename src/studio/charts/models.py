"""What is kept of a maker's size chart."""

from __future__ import annotations

import uuid
from typing import Any, ClassVar

from django.db import models

from studio.people.models import NAME_LENGTH
from studio.scoping import StudioRow


class Chart(StudioRow):
    """One product's sizes, for the whole studio."""

    client_path: ClassVar[str] = ""
    id: Any = models.UUIDField(primary_key=True, default=uuid.uuid4, editable=False)
    maker = models.CharField(max_length=NAME_LENGTH)
    product = models.CharField(max_length=NAME_LENGTH, blank=True, default="")
    #: Whose figures they are: the garment's, or the body's it is cut for.
    of = models.CharField(max_length=8, default="garment")
    #: What all sizes share, as craft.cloth.Piece reads it.
    piece = models.JSONField()
    #: [[label, {figure: cm}], ...] in the chart's own order.
    sizes = models.JSONField()

    class Meta:
        ordering: ClassVar[list[str]] = ["maker", "product", "id"]
        indexes: ClassVar[list[models.Index]] = [models.Index(fields=["studio", "maker", "product"])]

    def __str__(self) -> str:
        return f"{self.maker} {self.product}".strip()
