"""What is kept of a look: its pieces in the words of the craft, where they come from, and what is known besides."""

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
    #: Tags, notes, where it is worn, what was liked all the same (craft.formats.look_form.LookFacts).
    facts = models.JSONField(default=dict, blank=True)
    #: The look this one was made from as a variant.
    variant_of = models.ForeignKey("self", null=True, blank=True, on_delete=models.SET_NULL, related_name="variants")
    #: Pieces that come from the rack, by place: {"bottom": {"piece": id, "worn_as": words when it was put on}}.
    links = models.JSONField(default=dict, blank=True)

    class Meta:
        indexes: ClassVar[list[models.Index]] = [models.Index(fields=["studio", "client", "-changed_at"])]

    def __str__(self) -> str:
        return self.name
