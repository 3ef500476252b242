"""What is kept of an edit: what was decided of each piece and where it goes, the studio's kit, what is to be bought."""

from __future__ import annotations

import uuid
from typing import Any, ClassVar

from django.db import models

from studio.people.models import NAME_LENGTH, Client
from studio.rack.models import RackPiece
from studio.scoping import StudioRow, within_window

#: Where a piece goes that leaves the wardrobe, for good or for a while.
GOES = ("sell", "give", "mend", "dye", "return", "keep", "ask")
#: When a thing is bought.
WHEN = ("now", "next", "never")


class Sorted(StudioRow):
    """What was decided of a piece, and where it goes from here. It hangs until it is said to be gone."""

    id: Any = models.UUIDField(primary_key=True, default=uuid.uuid4, editable=False)
    client = models.ForeignKey(Client, on_delete=models.CASCADE, related_name="sorted")
    piece = models.ForeignKey(RackPiece, on_delete=models.CASCADE, related_name="sorted")
    decision = models.CharField(max_length=20)
    #: What was proposed when it was decided, and why it was decided otherwise, in a word or two.
    proposed = models.CharField(max_length=20, blank=True, default="")
    word = models.CharField(max_length=NAME_LENGTH, blank=True, default="")
    #: Where it goes: one of GOES, or nowhere; the place, the day it is due there, and when it was said to be gone.
    goes = models.CharField(max_length=10, blank=True, default="")
    place = models.CharField(max_length=NAME_LENGTH, blank=True, default="")
    on = models.DateField(null=True, blank=True)
    gone_at = models.DateTimeField(null=True, blank=True)

    class Meta:
        ordering: ClassVar[list[str]] = ["created_at", "id"]
        constraints: ClassVar[list[models.BaseConstraint]] = [
            models.UniqueConstraint(fields=["piece"], name="one_decision_a_piece"),
            *within_window("gone_at", days=("on",)),
        ]


class KitPiece(StudioRow):
    """A piece of the studio's own that travels along."""

    client_path: ClassVar[str] = ""
    id: Any = models.UUIDField(primary_key=True, default=uuid.uuid4, editable=False)
    name = models.CharField(max_length=NAME_LENGTH, blank=True, default="")
    piece = models.JSONField()

    class Meta:
        ordering: ClassVar[list[str]] = ["created_at", "id"]


class ToBuy(StudioRow):
    """A thing to be bought for a client: its words, why, when, for how much."""

    id: Any = models.UUIDField(primary_key=True, default=uuid.uuid4, editable=False)
    client = models.ForeignKey(Client, on_delete=models.CASCADE, related_name="buying")
    #: The piece as craft.cloth.Piece reads it: what is looked for, not one exact thing.
    piece = models.JSONField()
    why = models.CharField(max_length=300, blank=True, default="")
    #: Outfits that it makes with what hangs there, as it was counted when it was put down.
    looks = models.PositiveIntegerField(default=0)
    price = models.PositiveIntegerField(null=True, blank=True)
    when = models.CharField(max_length=10, default="now")
    bought = models.BooleanField(default=False)

    class Meta:
        ordering: ClassVar[list[str]] = ["created_at", "id"]
