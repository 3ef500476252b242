"""Looks into a client file and out of one: what they point at is said by its place in the file."""

from __future__ import annotations

from collections.abc import Sequence
from typing import Any

from craft.formats.look_form import FiledLink, FiledLook, LookFacts
from studio.looks.models import Look
from studio.people.models import Client, Member
from studio.rack.models import RackPiece
from studio.stored import stored


def filed_looks(looks: Sequence[Look], rack: Sequence[Any]) -> list[FiledLook]:
    """Looks as they are filed; `rack` are the ids of the pieces in the file, in their order."""
    looks_at = {look.id: at for at, look in enumerate(looks)}
    rack_at = {str(row_id): at for at, row_id in enumerate(rack)}
    return [
        FiledLook(
            name=look.name,
            pieces=look.pieces,
            facts=stored(LookFacts, look.facts),
            variant_of=looks_at.get(look.variant_of_id),
            from_rack={
                place: FiledLink(rack_at=rack_at[link["piece"]], worn_as=link["worn_as"])
                for place, link in look.links.items()
                if link["piece"] in rack_at
            },
        )
        for look in looks
    ]


def restore_looks(member: Member, client: Client, filed: Sequence[FiledLook], hung: Sequence[RackPiece]) -> list[Look]:
    """Looks from a file, in its order; what points outside the file is left unsaid."""
    made = [
        Look.objects.create(
            studio_id=member.studio_id,
            client=client,
            name=look.name,
            pieces=look.pieces,
            facts=look.facts.model_dump(mode="json"),
            links={
                place: {"piece": str(hung[link.rack_at].id), "worn_as": link.worn_as}
                for place, link in look.from_rack.items()
                if 0 <= link.rack_at < len(hung)
            },
            changed_by=member,
        )
        for look in filed
    ]
    for row, look in zip(made, filed, strict=True):
        if look.variant_of is not None and 0 <= look.variant_of < len(made):
            Look.objects.filter(pk=row.pk).update(variant_of=made[look.variant_of])
    return made
