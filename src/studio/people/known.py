"""How a request comes by the client that it is about, in a question put together once for each role."""

from __future__ import annotations

from functools import cache
from typing import Any
from uuid import UUID

from django.http import Http404

from studio.people.models import Client, Member
from studio.policy import Role
from studio.questions import Question
from studio.touched import touch

#: What stands in the question where the studio, the member and the client are given.
_STUDIO, _MEMBER, _CLIENT = -1, -2, UUID(int=0)


def client_of(member: Member, client_id: Any) -> Client:
    """A client who is kept and open to the member. Raises Http404, which does not say whether another studio has them."""
    given = {_STUDIO: member.studio_id, _MEMBER: member.pk, _CLIENT: client_id}
    client: Client | None = _question(Role(member.role)).one(given)
    if client is None:
        raise Http404
    client.studio = member.studio
    touch(client)
    return client


@cache
def _question(role: Role) -> Question:
    anybody = Member(pk=_MEMBER, studio_id=_STUDIO, role=role)
    return Question.of(Client.objects.of(anybody).not_removed().filter(id=_CLIENT))
