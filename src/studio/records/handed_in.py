"""Files and tables that were handed in before: seen, and asked, not taken in twice."""

from __future__ import annotations

import hashlib
from typing import Any, Literal

from studio.errors import Again
from studio.people.models import Client, Member
from studio.records.models import HandedIn

What = Literal["file", "measures", "rack"]
_NAMES: dict[What, str] = {"file": "file", "measures": "table of measures", "rack": "table of pieces"}


def digest_of(content: str) -> str:
    """What tells one content from another: of what was read, so that a table saved anew is the same table."""
    return hashlib.sha256(content.encode()).hexdigest()


def said_before(member: Member, what: What, content: str, client: Client | None = None) -> str:
    """Where the same was handed in before, and its client is here still, when, by whom and for whom; else nothing."""
    rows = HandedIn.objects.of(member).filter(what=what, digest=digest_of(content), client__removed_at=None)
    if client is not None:
        rows = rows.filter(client=client)
    held = rows.select_related("client", "by").first()
    if held is None:
        return ""
    by = held.by.name if held.by else "Somebody"
    return f"{by} took in this same {_NAMES[what]} on {held.at:%-d %B %Y}, for {held.client.name}."


def not_again(member: Member, what: What, content: str, again: bool, client: Client | None = None) -> None:
    """Raises Again where the same was handed in before, unless it is meant."""
    before = "" if again else said_before(member, what, content, client)
    if before:
        raise Again(f"{before} Take it in once more?")


def note(member: Member, client: Any, what: What, content: str) -> None:
    """Remember that it was handed in."""
    HandedIn.objects.create(studio_id=member.studio_id, client=client, by=member, what=what, digest=digest_of(content))
