"""What is kept of the diary."""

from __future__ import annotations

import uuid
from typing import Any, ClassVar
from zoneinfo import ZoneInfo

from django.db import models

from craft.diary.kinds import VisitKind
from studio.people.models import NAME_LENGTH, Client, Member
from studio.scoping import StudioRow, within_window


class Appointment(StudioRow):
    """Something in the diary. Where it repeats, the rule is RFC 5545's, in the wall time of its zone; single days that are otherwise
    are excepted and stand by themselves."""

    #: Whether it is open to who asks; only where that was asked with it (services.days).
    is_open: bool
    id: Any = models.UUIDField(primary_key=True, default=uuid.uuid4, editable=False)
    client = models.ForeignKey(Client, null=True, blank=True, on_delete=models.CASCADE, related_name="appointments")
    kind: models.CharField[VisitKind, VisitKind] = models.CharField(max_length=12)
    title = models.CharField(max_length=NAME_LENGTH, blank=True, default="")
    starts_at = models.DateTimeField()
    minutes = models.PositiveIntegerField()
    zone = models.CharField(max_length=40)
    #: Ids of the members who are there.
    members = models.JSONField(default=list)
    place = models.CharField(max_length=NAME_LENGTH, blank=True, default="")
    travel = models.PositiveIntegerField(default=0)
    buffer = models.PositiveIntegerField(default=0)
    #: Who comes along: a guardian, a chaperone.
    along = models.CharField(max_length=NAME_LENGTH, blank=True, default="")
    note = models.CharField(max_length=400, blank=True, default="")
    rule = models.CharField(max_length=120, blank=True, default="")
    #: Beginnings that are left out of the rule, as ISO instants.
    excepted = models.JSONField(default=list, blank=True)
    #: What came of it, and when that was said.
    came_of = models.CharField(max_length=400, blank=True, default="")
    done_at = models.DateTimeField(null=True, blank=True)
    #: Its identity in other calendars.
    uid = models.CharField(max_length=200, blank=True, default="")

    class Meta:
        ordering: ClassVar[list[str]] = ["starts_at", "id"]
        indexes: ClassVar[list[models.Index]] = [models.Index(fields=["studio", "starts_at"])]
        constraints: ClassVar[list[models.BaseConstraint]] = within_window("starts_at", "done_at")

    @property
    def clock(self) -> ZoneInfo:
        """The clock on its wall."""
        return ZoneInfo(self.zone)


class Feed(StudioRow):
    """A secret address under which a member's diary is read by her other calendars; only its hash is kept."""

    client_path: ClassVar[str] = ""
    id: Any = models.UUIDField(primary_key=True, default=uuid.uuid4, editable=False)
    member = models.ForeignKey(Member, on_delete=models.CASCADE, related_name="feeds")
    token_hash = models.CharField(max_length=64, unique=True)
    read_at = models.DateTimeField(null=True, blank=True)

    class Meta:
        constraints: ClassVar[list[models.BaseConstraint]] = within_window("read_at")
