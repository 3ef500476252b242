"""A letter on its way, and what became of it."""

from __future__ import annotations

import uuid
from typing import Any, ClassVar

from django.db import models
from django.utils import timezone

from studio.people.models import Client, Studio

WAITING, SENT, REFUSED, STOPPED = "waiting", "sent", "refused", "stopped"


class Outgoing(models.Model):
    """A letter that was put into the post. What it says and to whom lies here under the server's key, and only until it has gone."""

    id: Any = models.UUIDField(primary_key=True, default=uuid.uuid4, editable=False)
    #: Whose it is; a letter about an account is no studio's.
    studio = models.ForeignKey(Studio, on_delete=models.CASCADE, null=True, related_name="+")
    #: Of whom it tells: erased with them.
    client = models.ForeignKey(Client, on_delete=models.CASCADE, null=True, related_name="+")
    state = models.CharField(max_length=10, default=WAITING)
    #: How often it was tried in vain, and when it is tried next.
    tries = models.PositiveSmallIntegerField(default=0)
    next_at = models.DateTimeField(default=timezone.now)
    sealed = models.BinaryField()
    #: What the mail server said when it was tried last.
    answer = models.CharField(max_length=300, blank=True, default="")
    created_at = models.DateTimeField(auto_now_add=True)
    ended_at = models.DateTimeField(null=True)

    class Meta:
        indexes: ClassVar[list[models.Index]] = [
            models.Index(fields=["next_at"], condition=models.Q(state=WAITING), name="post_waiting")
        ]
