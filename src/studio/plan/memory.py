"""What is remembered of a client's looks when days are planned: what she loved, and what she said is not her."""

from __future__ import annotations

from collections.abc import Iterator
from typing import Any

from craft.formats.look_form import LookFacts
from studio.handover.models import OutfitCard, Said
from studio.looks.models import Look
from studio.people.models import Client
from studio.stored import stored


def liked_best(client: Client) -> frozenset[str]:
    """Pieces of looks that she loved or chose, by their ids."""
    return frozenset(key for look in _looks(client, "loved", "chosen") for key in _pieces(look))


def kept_apart(client: Client) -> frozenset[frozenset[str]]:
    """Sets of pieces that she said are not her together."""
    sets = (frozenset(_pieces(look)) for look in _looks(client, "not_me", "rejected"))
    return frozenset(one for one in sets if len(one) > 1)


def _looks(client: Client, says: str, standing: str) -> Iterator[Look]:
    about = Said.objects.filter(share__client=client, says=says, removed_at=None).values_list("about", flat=True)
    spoken = set(OutfitCard.objects.filter(client=client, id__in=list(about)).values_list("look_id", flat=True))
    for look in Look.objects.filter(client=client, removed_at=None).only("id", "links", "facts"):
        if look.id in spoken or stored(LookFacts, look.facts).standing == standing:
            yield look


def _pieces(look: Look) -> list[str]:
    links: dict[str, Any] = look.links
    return [str(link["piece"]) for link in links.values()]
