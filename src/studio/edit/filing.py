"""What was decided at edits and what is to be bought, into a client file and out of one: pieces are said by their places."""

from __future__ import annotations

from collections.abc import Sequence
from typing import Any

from craft.formats.client_file import FiledSorted, FiledToBuy
from studio.edit.models import Sorted, ToBuy
from studio.people.models import Client, Member
from studio.rack.models import RackPiece

TOLD = ("decision", "proposed", "word", "goes", "place", "on")
WANTED = ("piece", "why", "looks", "price", "when", "bought")


def filed_sorted(member: Member, client: Client, rack: Sequence[Any]) -> list[FiledSorted]:
    """The decisions about pieces that hang; `rack` are their ids in the order of the file."""
    at = {row_id: number for number, row_id in enumerate(rack)}
    rows = Sorted.objects.of(member).filter(client=client, removed_at=None, piece_id__in=at)
    return [FiledSorted(rack_at=at[row.piece_id], **{key: getattr(row, key) for key in TOLD}) for row in rows]


def filed_buying(member: Member, client: Client) -> list[FiledToBuy]:
    """The buying list."""
    rows = ToBuy.objects.of(member).not_removed().filter(client=client)
    return [FiledToBuy(**{key: getattr(row, key) for key in WANTED}) for row in rows]


def restore_edit(
    member: Member,
    client: Client,
    decided: Sequence[FiledSorted],
    buying: Sequence[FiledToBuy],
    hung: Sequence[RackPiece],
) -> None:
    """Decisions and a buying list from a file; what points outside the file, or twice at one piece, is left out."""
    whose: dict[str, Any] = {"studio_id": member.studio_id, "client": client, "changed_by": member}
    for one in {two.rack_at: two for two in decided if two.rack_at < len(hung)}.values():
        told = {key: getattr(one, key) for key in TOLD}
        Sorted.objects.create(**whose, piece=hung[one.rack_at], **told)
    for thing in buying:
        ToBuy.objects.create(**whose, **{key: getattr(thing, key) for key in WANTED})
