"""What a client says herself that she wore."""

from __future__ import annotations

from collections.abc import Sequence

from studio.bodies.known import today
from studio.people.models import Client
from studio.plan.models import Worn


def heard_worn(client: Client, card_id: str, title: str, pieces: Sequence[str]) -> None:
    """A client says herself that she wore a look: today, and by the same press not after all."""
    source = f"card {card_id} {today().isoformat()}"
    held = Worn.objects.filter(client=client, source=source, removed_at=None)
    if held.exists():
        held.delete()
        return
    if pieces:
        Worn.objects.create(
            studio_id=client.studio_id,
            client=client,
            on=today(),
            pieces=sorted(pieces),
            title=title[:120],
            source=source,
            by_client=True,
        )
