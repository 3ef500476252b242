"""How a signed-in member is found: in one question with their studio, which is told to the second wall with it."""

from __future__ import annotations

from typing import Any

from django.contrib.auth.backends import ModelBackend
from django.db import connection
from django.db.models import BooleanField, CharField, F, Func, Value
from django.db.models.functions import Cast

from studio.people.models import Member
from studio.scoping import SETTING


class MemberBackend(ModelBackend):
    """Django's own, but for the question by which every request finds out who asks."""

    def get_user(self, user_id: Any) -> Member | None:
        """The member, if they may sign in. `told` says whether this transaction's studio has been told with it."""
        studio = Cast(F("studio_id"), CharField())
        telling = Func(
            Value(SETTING), studio, Value(True, BooleanField()), function="set_config", output_field=CharField()
        )
        member: Any = Member.objects.filter(pk=user_id, is_active=True).annotate(telling=telling).first()
        if member is not None:
            # Outside of a transaction it was forgotten with the question.
            member.told = connection.in_atomic_block
        found: Member | None = member
        return found
