"""What is kept of searches: what was asked, how far it is, what was found; and what a client has rejected together."""

from __future__ import annotations

import uuid
from typing import Any, ClassVar

from django.db import models

from studio.people.models import NAME_LENGTH, Client
from studio.scoping import StudioRow

WAITING, RUNNING, DONE, FAILED, CANCELLED = "waiting", "running", "done", "failed", "cancelled"


class OutfitSearch(StudioRow):
    """Long work over a client's wardrobe: a search, or what an edit asks for. Its result is good as long as its key is: a hash of all that it depends on."""

    id: Any = models.UUIDField(primary_key=True, default=uuid.uuid4, editable=False)
    client = models.ForeignKey(Client, on_delete=models.CASCADE, related_name="searches")
    key = models.CharField(max_length=64)
    #: Which kind of work it is (kinds.py).
    kind = models.CharField(max_length=12, default="outfits")
    #: What was asked (services.Ask), as the worker reads it again.
    asked = models.JSONField()
    #: Whether it was asked for the whole wardrobe on any day, as the rack counts.
    general = models.BooleanField(default=False)
    state = models.CharField(max_length=10, default=WAITING)
    #: How much of it is done, 0 to 1, and when the worker last said so.
    done = models.FloatField(default=0.0)
    beat_at = models.DateTimeField(auto_now_add=True)
    found = models.JSONField(default=dict, blank=True)

    class Meta:
        constraints: ClassVar[list[models.BaseConstraint]] = [
            models.UniqueConstraint(fields=["client", "key"], name="one_search_a_question")
        ]
        indexes: ClassVar[list[models.Index]] = [models.Index(fields=["client", "-changed_at"])]


class Apart(StudioRow):
    """Pieces that a client has rejected together: no search puts them together again."""

    id: Any = models.UUIDField(primary_key=True, default=uuid.uuid4, editable=False)
    client = models.ForeignKey(Client, on_delete=models.CASCADE, related_name="apart")
    #: The ids of the rack's pieces.
    pieces = models.JSONField()
    #: Why, in a word or two.
    word = models.CharField(max_length=NAME_LENGTH, blank=True, default="")

    class Meta:
        ordering: ClassVar[list[str]] = ["created_at", "id"]
