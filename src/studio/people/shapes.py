"""Who is signed in, and the studio, as the screens read them."""

from __future__ import annotations

from collections.abc import Sequence

from ninja import Schema

from studio.members.services import has_second_factor
from studio.members.shapes import RoleWord
from studio.people.models import Member
from studio.policy import MAY, Right, Role
from studio.schemas import Unit


class StudioOut(Schema):
    name: str
    unit: Unit
    schools: dict[str, str]
    own_list: list[str]
    muted: list[str]
    borders: dict[str, float]
    second_factor: bool
    keep_years: int
    holidays_of: str
    version: int


class WorksIn(Schema):
    """A studio that an account works in, and as which member."""

    member: int
    studio: str
    role: RoleWord


class Me(Schema):
    """Who is signed in, as what, in which studio; `rights` is what their role may do here."""

    member: int
    name: str
    email: str
    role: RoleWord
    rights: list[Right]
    studio: StudioOut
    #: Every studio this account works in.
    works_in: list[WorksIn]
    #: The studio asks for a second factor, and this account has none yet.
    needs_second_factor: bool


def me_out(member: Member, works_in: Sequence[Member]) -> Me:
    """A member who is signed in, and what else their account is: asked for before the database was told of one studio."""
    due = member.studio.second_factor and not has_second_factor(member.account)
    return Me(
        member=member.pk,
        name=member.name,
        email=member.email,
        role=Role(member.role).value,
        rights=[right for right in Right if right in MAY[Role(member.role)]],
        studio=StudioOut.model_validate(member.studio),
        works_in=[WorksIn(member=one.pk, studio=one.studio.name, role=Role(one.role).value) for one in works_in],
        needs_second_factor=due,
    )
