"""Who may do what: the one policy. An operation says which right it asks for; here stands which role has it.

Two questions are asked of every request. May somebody of this role do such a thing at all (`may`)? And is this client
open to them (`seen_by`)? Both are asked by the server whatever a screen shows.
"""

from __future__ import annotations

from enum import StrEnum
from typing import TYPE_CHECKING

from django.db.models import Q

if TYPE_CHECKING:
    from studio.people.models import Member


class Role(StrEnum):
    """What somebody is in a studio."""

    OWNER = "owner"
    STYLIST = "stylist"
    APPRENTICE = "apprentice"
    FRONT_DESK = "front_desk"


class Right(StrEnum):
    """What an operation asks for."""

    #: To be of the studio: to see its name and its words, and to look after one's own account.
    BELONG = "belong"
    #: The diary, what clients are called and how they are reached.
    DIARY = "diary"
    #: Bodies, pictures, looks, racks: to see and to work on.
    WORK = "work"
    #: To say that a measure which an apprentice took is right.
    CONFIRM = "confirm"
    #: To let something leave the house: files, tables, papers, links, letters.
    HAND_OUT = "hand_out"
    #: To take a client off the list, and to say to whom a client is open.
    CLIENTS = "clients"
    #: The rules, schools, charts and kit of the house.
    HOUSE = "house"
    #: To invite people, to say what they are, to end their work here.
    MEMBERS = "members"
    #: To search the record of who saw what.
    AUDIT = "audit"
    #: To erase for good, and to see the proofs.
    ERASE = "erase"


_WORKING = frozenset({Right.BELONG, Right.DIARY, Right.WORK})
MAY: dict[Role, frozenset[Right]] = {
    Role.OWNER: frozenset(Right),
    Role.STYLIST: _WORKING | {Right.CONFIRM, Right.HAND_OUT, Right.CLIENTS},
    Role.APPRENTICE: _WORKING,
    Role.FRONT_DESK: frozenset({Right.BELONG, Right.DIARY}),
}


def may(member: Member, right: Right) -> bool:
    """Whether the member's role has this right."""
    return right in MAY[Role(member.role)]


def seen_by(member: Member, path: str) -> Q | None:
    """Which clients are open to a member, as a condition on rows that lead to a client by `path` (empty: clients
    themselves); None where all are. The front desk has every name and, by its rights, nothing else."""
    role = Role(member.role)
    if role in (Role.OWNER, Role.FRONT_DESK):
        return None
    to = f"{path}__" if path else ""
    from studio.members.models import Assignment

    assigned = Assignment.objects.filter(member=member).values("client_id")
    theirs = Q(**{f"{path}_id__in" if path else "id__in": assigned})
    if role is Role.STYLIST:
        theirs |= Q(**{f"{to}restricted": False})
    # What is nobody's in particular is the studio's.
    return theirs | Q(**{f"{path}__isnull": True}) if path else theirs
