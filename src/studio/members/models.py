"""What is kept of accounts: who signs in, who was invited, and which clients are whose."""

from __future__ import annotations

import uuid
from typing import Any, ClassVar

from django.contrib.auth.base_user import AbstractBaseUser, BaseUserManager
from django.db import models
from django.utils import timezone

from studio.policy import Role
from studio.scoping import StudioQuerySet, StudioRow, within_window

ROLE_LENGTH = 12
ROLES = [(str(role), str(role)) for role in Role]


class AccountManager(BaseUserManager["Account"]):
    """Email addresses are compared without regard to case."""

    def get_by_natural_key(self, username: str | None) -> Account:
        return self.get(email=(username or "").strip().lower())


class Account(AbstractBaseUser):
    """Somebody who signs in with an email address. What they are in which studio stands in people.Member, so that one
    account can work for two."""

    email = models.EmailField(unique=True)
    is_active = models.BooleanField(default=True)
    created_at = models.DateTimeField(default=timezone.now)
    #: Devices it was signed in to from, as they are called (devices.py).
    devices = models.JSONField(default=list, blank=True)

    USERNAME_FIELD = "email"
    REQUIRED_FIELDS: ClassVar[list[str]] = []
    objects = AccountManager()

    def __str__(self) -> str:
        return self.email


class Invitation(StudioRow):
    """Somebody asked into a studio by mail. Only the hash of the address's secret is kept; it ends on a day."""

    client_path: ClassVar[str] = ""
    id: Any = models.UUIDField(primary_key=True, default=uuid.uuid4, editable=False)
    email = models.EmailField()
    role = models.CharField(max_length=ROLE_LENGTH, choices=ROLES)
    token_hash = models.CharField(max_length=64, unique=True)
    ends_at = models.DateTimeField()
    accepted_at = models.DateTimeField(null=True, blank=True)

    class Meta:
        ordering: ClassVar[list[str]] = ["-created_at"]
        constraints: ClassVar[list[models.BaseConstraint]] = within_window("ends_at", "accepted_at")


class Assignment(models.Model):
    """A client who is this member's: open to them though not to the whole studio."""

    studio = models.ForeignKey("people.Studio", on_delete=models.CASCADE, related_name="+")
    client = models.ForeignKey("people.Client", on_delete=models.CASCADE, related_name="assignments")
    member = models.ForeignKey("people.Member", on_delete=models.CASCADE, related_name="assignments")

    objects = StudioQuerySet.as_manager()
    #: Asked by whom one may see: it must not ask that of itself.
    client_path: ClassVar[str] = ""

    class Meta:
        constraints: ClassVar[list[models.BaseConstraint]] = [
            models.UniqueConstraint(fields=["client", "member"], name="members_assignment_once")
        ]
        indexes: ClassVar[list[models.Index]] = [models.Index(fields=["member", "client"])]
