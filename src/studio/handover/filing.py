"""Cards into a client file and out of one: looks are said by their places."""

from __future__ import annotations

from collections.abc import Sequence
from typing import Any

from craft.formats.client_file import FiledCard
from studio.handover.cards import rows_of
from studio.handover.models import OutfitCard
from studio.looks.models import Look
from studio.people.models import Client, Member


def filed_cards(client: Client, looks: Sequence[Any]) -> list[FiledCard]:
    """The cards in their order; `looks` are the ids of the looks in the file."""
    at = {look_id: number for number, look_id in enumerate(looks)}
    return [FiledCard(look_at=at[row.look_id], edits=row.edits) for row in rows_of(client) if row.look_id in at]


def restore_cards(member: Member, client: Client, filed: Sequence[FiledCard], made: Sequence[Look]) -> None:
    """Cards from a file, each look's once; what points outside the file is left out."""
    known = {one.look_at: one for one in filed if one.look_at < len(made)}
    for number, one in enumerate(known.values()):
        OutfitCard.objects.create(
            studio_id=member.studio_id,
            client=client,
            look=made[one.look_at],
            edits=one.edits,
            position=number,
            changed_by=member,
        )
