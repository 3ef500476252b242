"""Requests as views see them: every operation but signing in is a member's."""

from __future__ import annotations

from typing import TYPE_CHECKING

from django.http import HttpRequest

if TYPE_CHECKING:
    from studio.people.models import Member


class MemberRequest(HttpRequest):
    """A request of somebody who is signed in."""

    user: Member  # type: ignore[assignment]
