"""What is kept of people."""

from __future__ import annotations

import uuid
from typing import Any, ClassVar

from django.contrib.auth.base_user import AbstractBaseUser, BaseUserManager
from django.db import models

from craft.judge import Aims
from craft.schools import Schools
from craft.units import Unit
from studio.scoping import StudioRow

NAME_LENGTH = 120


class Studio(models.Model):
    """A stylist's house: its people, its units, its schools."""

    name = models.CharField(max_length=NAME_LENGTH)
    unit: models.CharField[Unit, Unit] = models.CharField(
        max_length=2, default="cm", choices=[("cm", "cm"), ("in", "in")]
    )
    schools = models.JSONField(default=dict, blank=True)
    #: Rules of the engine that this house does not follow, by key.
    muted = models.JSONField(default=list, blank=True)
    #: Borders of rules that this house draws elsewhere than usual, by key.
    borders = models.JSONField(default=dict, blank=True)
    #: The studio's own list of measures to take, beside the protocols that come with the house.
    own_list = models.JSONField(default=list, blank=True)
    version = models.PositiveIntegerField(default=1)

    @property
    def ways(self) -> Schools:
        """How this house judges: the schools it follows, the rules it has muted, the borders it has moved."""
        return Schools.of(self.schools, self.muted, self.borders)

    def __str__(self) -> str:
        return self.name


class MemberManager(BaseUserManager["Member"]):
    def get_queryset(self) -> models.QuerySet[Member]:
        """Members with their studio: every request asks for both."""
        return super().get_queryset().select_related("studio")

    def create_member(self, studio: Studio, email: str, name: str, password: str) -> Member:
        """A stylist of a studio; email addresses are compared without regard to case."""
        member = self.model(studio=studio, email=email.strip().lower(), name=name)
        member.set_password(password)
        member.save(using=self._db)
        return member

    def get_by_natural_key(self, username: str | None) -> Member:
        return self.get(email=(username or "").strip().lower())


class Member(AbstractBaseUser):
    """A stylist who signs in with an email address."""

    studio = models.ForeignKey(Studio, on_delete=models.CASCADE, related_name="members")
    email = models.EmailField(unique=True)
    name = models.CharField(max_length=NAME_LENGTH)
    is_active = models.BooleanField(default=True)

    USERNAME_FIELD = "email"
    REQUIRED_FIELDS: ClassVar[list[str]] = ["name"]
    objects = MemberManager()

    def __str__(self) -> str:
        return self.name


class Client(StudioRow):
    """A client of the studio."""

    client_path: ClassVar[str] = ""
    id: Any = models.UUIDField(primary_key=True, default=uuid.uuid4, editable=False)
    name = models.CharField(max_length=NAME_LENGTH)
    note = models.CharField(max_length=400, blank=True, default="")
    #: Their aims in the words of the craft: {"wants": [...], "soften": [...], ...}.
    aims = models.JSONField(default=dict, blank=True)
    #: The brief as the conversation filled it (craft.formats.brief_form).
    brief = models.JSONField(default=dict, blank=True)
    #: Where they are judged otherwise than the house judges: {"schools": {...}, "muted": [...]}.
    own_ways = models.JSONField(default=dict, blank=True)

    @property
    def ways(self) -> Schools:
        """How this client is judged: as the house judges, but where they take another school or leave a rule out."""
        return self.ways_in(self.studio.ways)

    def ways_in(self, house: Schools) -> Schools:
        """How this client is judged in a house that judges so."""
        own: dict[str, Any] = self.own_ways
        taken = {**dict(house.taken), **own.get("schools", {})}
        return Schools.of(taken, house.muted | frozenset(own.get("muted", ())), dict(house.moved))

    @property
    def wishes(self) -> Aims:
        """What the client wants clothes to do, with their colouring."""
        return Aims.of(self.aims, self.brief.get("colouring"))

    class Meta:
        indexes: ClassVar[list[models.Index]] = [models.Index(fields=["studio", "name"])]

    def __str__(self) -> str:
        return self.name
