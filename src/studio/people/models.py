"""What is kept of people."""

from __future__ import annotations

import uuid
from typing import Any, ClassVar

from django.db import models

from craft.judge import Aims
from craft.schools import Schools
from craft.units import Unit
from studio.policy import Role
from studio.scoping import StudioRow

NAME_LENGTH = 120
#: Years that a client is kept without being seen, until the studio says otherwise (W: a wardrobe and a body of three years
#: ago tell little of today's; how long a studio may keep them is for its own law and its own consent to say).
KEEP_YEARS = 3


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
    #: Whether everybody here signs in with a second factor.
    second_factor = models.BooleanField(default=False)
    #: After so many years without a visit the studio is reminded to keep or to erase.
    keep_years = models.PositiveSmallIntegerField(default=KEEP_YEARS)
    #: The place whose public holidays the diary shows: a country or a part of one (ISO 3166), or none.
    holidays_of = models.CharField(max_length=12, blank=True, default="")
    version = models.PositiveIntegerField(default=1)

    @property
    def ways(self) -> Schools:
        """How this house judges: the schools it follows, the rules it has muted, the borders it has moved."""
        return Schools.of(self.schools, self.muted, self.borders)

    def __str__(self) -> str:
        return self.name


class MemberManager(models.Manager["Member"]):
    def get_queryset(self) -> models.QuerySet[Member]:
        """Members with their studio and account: who they are takes both."""
        return super().get_queryset().select_related("studio", "account")


class Member(models.Model):
    """What an account is in a studio: a name to be called by, and a role."""

    studio = models.ForeignKey(Studio, on_delete=models.CASCADE, related_name="members")
    account = models.ForeignKey("members.Account", on_delete=models.CASCADE, related_name="members")
    name = models.CharField(max_length=NAME_LENGTH)
    role = models.CharField(max_length=12, default=Role.STYLIST, choices=[(str(role), str(role)) for role in Role])
    #: Whether they work here still; who left is named where their work is.
    is_active = models.BooleanField(default=True)

    objects = MemberManager()

    class Meta:
        constraints: ClassVar[list[models.BaseConstraint]] = [
            models.UniqueConstraint(fields=["studio", "account"], name="people_member_once")
        ]

    @property
    def email(self) -> str:
        """The address they sign in with."""
        return self.account.email

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
    #: How to reach them: {"email": ..., "phone": ..., "address": ..., "prefers": ...}.
    reach = models.JSONField(default=dict, blank=True)
    #: Open to those assigned only, and to the owner; else to the whole studio.
    restricted = models.BooleanField(default=False)
    #: What the record of who saw what calls them: it is not their identity, so that nothing speaks of them once they are erased.
    subject = models.UUIDField(default=uuid.uuid4, editable=False, unique=True)

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
