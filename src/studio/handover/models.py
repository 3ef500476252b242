"""What is kept of a hand-over: cards with the sentences that a stylist wrote anew, links for clients with what was said through
them, books as files, and mail that was written."""

from __future__ import annotations

import uuid
from typing import Any, ClassVar

from django.db import models

from studio.looks.models import Look
from studio.people.models import NAME_LENGTH, Client
from studio.post.models import Outgoing
from studio.scoping import StudioRow, within_window

#: What a client may say: of a card, of a thing to buy, or of nothing in particular.
SAYS = ("wore", "loved", "not_me", "ticked", "question")
NOTE_LENGTH = 400


class OutfitCard(StudioRow):
    """A look as a card. Its sentences are made from the look whenever it is read; `edits` holds those that were written anew, by
    the sentence's key, and those that were struck out, as nothing."""

    id: Any = models.UUIDField(primary_key=True, default=uuid.uuid4, editable=False)
    client = models.ForeignKey(Client, on_delete=models.CASCADE, related_name="cards")
    look = models.ForeignKey(Look, on_delete=models.CASCADE, related_name="cards")
    edits = models.JSONField(default=dict, blank=True)
    #: For other occasions, as they were found last: [{"occasion", "text", "pieces"}].
    variants = models.JSONField(default=list, blank=True)
    position = models.PositiveIntegerField(default=0)

    class Meta:
        ordering: ClassVar[list[str]] = ["position", "created_at", "id"]
        constraints: ClassVar[list[models.BaseConstraint]] = [
            models.UniqueConstraint(fields=["client", "look"], name="one_card_a_look")
        ]


class Share(StudioRow):
    """A link for a client: what was chosen for it, as it was when it was made. The link itself is not kept, only its hash."""

    id: Any = models.UUIDField(primary_key=True, default=uuid.uuid4, editable=False)
    client = models.ForeignKey(Client, on_delete=models.CASCADE, related_name="shares")
    token_hash = models.CharField(max_length=64, unique=True)
    ends_on = models.DateField()
    taken_back_at = models.DateTimeField(null=True, blank=True)
    #: The word agreed on, hashed; empty where none is asked for. Misses count up to a pause.
    word = models.CharField(max_length=200, blank=True, default="")
    misses = models.PositiveIntegerField(default=0)
    closed_until = models.DateTimeField(null=True, blank=True)
    #: All that the page shows (craft of page.py): nothing that was not chosen.
    content = models.JSONField()

    class Meta:
        ordering: ClassVar[list[str]] = ["-created_at", "id"]
        constraints: ClassVar[list[models.BaseConstraint]] = within_window(
            "taken_back_at", "closed_until", days=("ends_on",)
        )


class Opening(models.Model):
    """One opening of a link: when, and whether it was let in."""

    studio = models.ForeignKey("people.Studio", on_delete=models.CASCADE, related_name="+")
    share = models.ForeignKey(Share, on_delete=models.CASCADE, related_name="openings")
    at = models.DateTimeField(auto_now_add=True)
    let_in = models.BooleanField(default=True)

    class Meta:
        ordering: ClassVar[list[str]] = ["-at", "id"]


class Said(StudioRow):
    """Something a client said through a link; due until somebody has seen to it."""

    client_path: ClassVar[str] = "share__client"
    id: Any = models.UUIDField(primary_key=True, default=uuid.uuid4, editable=False)
    share = models.ForeignKey(Share, on_delete=models.CASCADE, related_name="said")
    says = models.CharField(max_length=10)
    #: The card or the thing to buy that it is about, and what that is called.
    about = models.UUIDField(null=True, blank=True)
    title = models.CharField(max_length=NAME_LENGTH, blank=True, default="")
    text = models.CharField(max_length=NOTE_LENGTH, blank=True, default="")
    seen_at = models.DateTimeField(null=True, blank=True)

    class Meta:
        ordering: ClassVar[list[str]] = ["-created_at", "id"]
        constraints: ClassVar[list[models.BaseConstraint]] = within_window("seen_at")


class Book(StudioRow):
    """A book as a file; the last of each kind is kept."""

    id: Any = models.UUIDField(primary_key=True, default=uuid.uuid4, editable=False)
    client = models.ForeignKey(Client, on_delete=models.CASCADE, related_name="books")
    layout = models.CharField(max_length=10)
    pages = models.PositiveIntegerField()
    pdf = models.BinaryField()


class Letter(StudioRow):
    """A mail that was written to a client."""

    id: Any = models.UUIDField(primary_key=True, default=uuid.uuid4, editable=False)
    client = models.ForeignKey(Client, on_delete=models.CASCADE, related_name="letters")
    to = models.EmailField()
    subject = models.CharField(max_length=NAME_LENGTH)
    #: The whole message, as it can be taken away (RFC 5322).
    message = models.TextField()
    #: Its way through the post; none where it is only taken away.
    outgoing = models.OneToOneField(Outgoing, on_delete=models.SET_NULL, null=True, related_name="+")

    class Meta:
        ordering: ClassVar[list[str]] = ["-created_at", "id"]


class Knock(models.Model):
    """Somebody tried a link that there is not: from where, as a hash, and when. It slows down who guesses."""

    place = models.CharField(max_length=64)
    at = models.DateTimeField(auto_now_add=True)

    class Meta:
        indexes: ClassVar[list[models.Index]] = [models.Index(fields=["place", "at"])]
