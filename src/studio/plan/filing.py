"""What was worn, into a client file and out of one, and plans into one: pieces are said by their places."""

from __future__ import annotations

from collections.abc import Iterator, Sequence
from typing import Any

from craft.cloth.words import said
from craft.formats.client_file import FiledPlan, FiledPlanDay, FiledWorn
from studio.people.models import Client, Member
from studio.plan.forms import occasions_of
from studio.plan.models import Plan, Worn
from studio.rack.models import RackPiece


def filed_worn(client: Client, rack: Sequence[Any]) -> list[FiledWorn]:
    """What was worn, the last first; `rack` are the ids of the pieces in the file. Of a piece that hangs no more nothing is said."""
    at = {str(row_id): number for number, row_id in enumerate(rack)}
    found = []
    for row in Worn.objects.filter(client=client, removed_at=None):
        there = sorted(at[piece] for piece in row.pieces if piece in at)
        if there:
            told = {"seen_by": row.seen_by, "title": row.title, "by_client": row.by_client}
            found.append(FiledWorn(on=row.on, rack_at=there, **told))
    return found


def told_plans(client: Client, rack: Sequence[Any]) -> list[FiledPlan]:
    """Plans as they are dressed, the last first; `rack` are the ids of the pieces in the file."""
    at = {str(row_id): number for number, row_id in enumerate(rack)}

    def days(plan: Plan) -> Iterator[FiledPlanDay]:
        for one in occasions_of(plan.occasions):
            pieces = plan.dressed.get(one.key, {}).get("pieces", [])
            there = [at[piece] for piece in pieces if piece in at]
            yield FiledPlanDay(on=one.on, occasion=one.name or said(one.occasion), rack_at=there)

    rows = Plan.objects.filter(client=client, removed_at=None)
    return [FiledPlan(kind=row.kind, name=row.name, place=row.place, days=list(days(row))) for row in rows]


def restore_worn(member: Member, client: Client, filed: Sequence[FiledWorn], hung: Sequence[RackPiece]) -> None:
    """What was worn, from a file; what points outside the file is left out."""
    whose: dict[str, Any] = {"studio_id": member.studio_id, "client": client, "changed_by": member}
    # The last first, as it is listed: of one day the later is made later.
    for one in reversed(filed):
        pieces = sorted(str(hung[number].id) for number in set(one.rack_at) if 0 <= number < len(hung))
        if pieces:
            Worn.objects.create(
                **whose, on=one.on, pieces=pieces, seen_by=one.seen_by, title=one.title, by_client=one.by_client
            )
