"""What was worn: told by a client herself, and how her pieces were used."""

from __future__ import annotations

from collections.abc import Iterable, Sequence

from craft.plan.occasion import Wearing
from craft.plan.worn import Use, uses
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


def used_of(client: Client, keys: Iterable[str]) -> dict[str, Use]:
    """How some pieces were used, by their keys; nothing where nothing was ever recorded."""
    rows = Worn.objects.filter(client=client, removed_at=None).values_list("on", "pieces")
    worn = [Wearing(on, frozenset(pieces)) for on, pieces in rows]
    return {use.key: use for use in uses(keys, worn, {})} if worn else {}
