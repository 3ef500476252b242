"""The record of who saw and did what: added to and never changed, which the database itself holds (migrations)."""

from __future__ import annotations

from typing import ClassVar

from django.db import models
from django.utils import timezone

from studio.people.models import Member, Studio
from studio.scoping import StudioQuerySet


class Entry(models.Model):
    """Somebody did something, mostly to what is kept of a client. The client is called by a name of the record's own, which only
    the client's row explains: once they are erased, the entry speaks of nobody any more."""

    studio = models.ForeignKey(Studio, on_delete=models.DO_NOTHING, related_name="+")
    at = models.DateTimeField(default=timezone.now)
    by = models.ForeignKey(Member, null=True, on_delete=models.DO_NOTHING, related_name="+")
    subject = models.UUIDField(null=True)
    #: What kind of thing it was (words.Kind), and to what (words.AREAS).
    kind = models.CharField(max_length=8)
    area = models.CharField(max_length=24)
    #: From where: the network address and the device.
    place = models.CharField(max_length=45)
    device = models.CharField(max_length=60)

    objects = StudioQuerySet.as_manager()

    class Meta:
        ordering: ClassVar[list[str]] = ["-at", "-id"]
        indexes: ClassVar[list[models.Index]] = [
            models.Index(fields=["studio", "-at"]),
            models.Index(fields=["subject", "by", "area", "kind", "-at"]),
        ]
