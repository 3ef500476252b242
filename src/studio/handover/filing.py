"""Cards into a client file and out of one: looks are said by their places; letters, and what the client said, into one."""

from __future__ import annotations

from collections.abc import Sequence
from email import message_from_bytes
from email.policy import default
from typing import Any

from craft.formats.client_file import FiledCard, FiledLetter, FiledSaid
from studio.handover.cards import rows_of
from studio.handover.models import Letter, OutfitCard, Said
from studio.looks.models import Look
from studio.people.models import Client, Member


def filed_cards(client: Client, looks: Sequence[Any]) -> list[FiledCard]:
    """The cards in their order; `looks` are the ids of the looks in the file."""
    at = {look_id: number for number, look_id in enumerate(looks)}
    return [FiledCard(look_at=at[row.look_id], edits=row.edits) for row in rows_of(client) if row.look_id in at]


def told_letters(client: Client) -> list[FiledLetter]:
    """Letters to the client, the last first, without what went along with them."""
    rows = Letter.objects.filter(client=client, removed_at=None).select_related("outgoing", "changed_by")
    return [
        FiledLetter(
            at=row.created_at, by=row.changed_by.name if row.changed_by else "", to=row.to, subject=row.subject,
            text=_text_of(row.message), state=row.outgoing.state if row.outgoing else "file",
        )
        for row in rows
    ]  # fmt: skip


def _text_of(message: str) -> str:
    body = message_from_bytes(message.encode(), policy=default).get_body(("plain",))
    return str(body.get_content()).strip()[:4000] if body is not None else ""


def told_said(client: Client) -> list[FiledSaid]:
    """What the client said on the pages that were sent to them, the last first."""
    rows = Said.objects.filter(share__client=client, removed_at=None)
    return [FiledSaid(at=row.created_at, says=row.says, title=row.title, text=row.text) for row in rows]


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
