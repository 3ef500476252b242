"""What was rejected together, into a client file and out of one: pieces are said by their places in the file."""

from __future__ import annotations

from collections.abc import Sequence
from typing import Any

from craft.formats.client_file import FiledApart
from studio.outfits.models import Apart
from studio.people.models import Client, Member
from studio.rack.models import RackPiece


def filed_apart(member: Member, client: Client, rack: Sequence[Any]) -> list[FiledApart]:
    """What was rejected together; `rack` are the ids of the pieces in the file. What names a piece that is gone is left out."""
    at = {str(row_id): number for number, row_id in enumerate(rack)}
    rows = Apart.objects.of(member).not_removed().filter(client=client)
    return [
        FiledApart(rack_at=sorted(at[piece] for piece in row.pieces), word=row.word)
        for row in rows
        if all(piece in at for piece in row.pieces)
    ]


def restore_apart(member: Member, client: Client, filed: Sequence[FiledApart], hung: Sequence[RackPiece]) -> None:
    """Rejections from a file; what points outside the file is left out."""
    for one in filed:
        if all(0 <= number < len(hung) for number in one.rack_at):
            pieces = sorted({str(hung[number].id) for number in one.rack_at})
            Apart.objects.create(
                studio_id=member.studio_id, client=client, pieces=pieces, word=one.word, changed_by=member
            )
