"""The verbs of links: make one for a client, open it, hear what she says, take it back.

A link is 32 bytes from the system's generator; only its hash is kept, so no copy of the database opens a page. Before it is known
whose a link is, the database shows the one row with its hash and no other (migration 0002).
"""

from __future__ import annotations

from dataclasses import dataclass
from datetime import UTC, date, datetime, timedelta
from typing import Any, Literal
from uuid import UUID

from django.contrib.auth.hashers import check_password, make_password
from django.db import transaction
from django.utils.crypto import salted_hmac

from craft.errors import InvalidInput
from studio.bodies.known import today
from studio.concurrency import hold, keep_once
from studio.handover.content import Parts, content_of
from studio.handover.models import NOTE_LENGTH, SAYS, Knock, Opening, OutfitCard, Said, Share
from studio.people.models import Client, Member
from studio.plan.models import Plan
from studio.plan.wearing import heard_worn
from studio.secrets import hashed, new_secret
from studio.wall import tell_link, tell_studio

#: A link lasts so many days at most, usually so many; so many may lie open for one client.
LONGEST, USUAL, OPEN_AT_ONCE = 400, 90, 20
#: After so many missed words a link is closed for so long.
MISSES, PAUSE = 5, timedelta(minutes=15)
#: One place may try so many links that are not there within so long.
KNOCKS, WITHIN = 20, timedelta(minutes=15)
#: A link takes so many answers; more is not a client.
MOST_SAID = 500

State = Literal["open", "asks", "paused", "over"]


class TooMany(Exception):
    """Too many links that are not there were tried from one place."""


@dataclass(frozen=True)
class Opened:
    """A link that there is: whether its page may be shown."""

    share: Share
    state: State


def make(
    member: Member,
    client_id: Any,
    share_id: UUID,
    cards: list[UUID],
    parts: Parts,
    ends_on: date,
    word: str,
    note: str,
    plan_id: UUID | None = None,
) -> tuple[Share, str]:
    """A new link to what is chosen, and the token that opens it: it is told once. Raises Http404 or InvalidInput."""
    days = (ends_on - today()).days
    if not 0 <= days <= LONGEST:
        raise InvalidInput(f"A link ends today at the earliest and in {LONGEST} days at the latest.", "ends_on")
    with transaction.atomic():
        client = hold(member, client_id)
        rows = list(
            OutfitCard.objects.filter(
                client=client, removed_at=None, look__removed_at=None, id__in=cards
            ).select_related("look")
        )
        plan: Plan | None = None
        if plan_id is not None:
            plan = Plan.objects.of(member).not_removed().get_or_404(id=plan_id, client=client)
        if not rows and plan is None and not (parts.numbers or parts.buying):
            raise InvalidInput(
                "Choose a card, a plan, the numbers or the buying list: this page would be empty.", "cards"
            )
        if alive(client).count() >= OPEN_AT_ONCE:
            raise InvalidInput(f"{OPEN_AT_ONCE} links are open for this client. Take one back first.", "cards")
        token = new_secret()
        content = content_of(member, client, rows, parts, note, plan)
        share = keep_once(
            Share, member, share_id, {"client_id": client.id}, token_hash=hashed(token), ends_on=ends_on,
            word=make_password(_heard(word)) if word else "", content=content,
        )  # fmt: skip
        if share.token_hash != hashed(token):
            raise InvalidInput("This link was made before; it is told once. Take it back and make another.", "id")
        return share, token


def alive(client: Client) -> Any:
    """The links of a client that still open."""
    return Share.objects.filter(client=client, removed_at=None, taken_back_at=None, ends_on__gte=today())


def take_back(member: Member, share_id: UUID) -> Share:
    """Take a link back: it opens nothing any more. Raises Http404."""
    with transaction.atomic():
        share: Share = Share.objects.of(member).not_removed().locked_or_404(id=share_id)
        if share.taken_back_at is None:
            share.taken_back_at, share.changed_by = datetime.now(UTC), member
            share.version += 1
            share.save()
    return share


def open_again(member: Member, share_id: UUID) -> Share:
    """Undo the taking back. Raises Http404."""
    with transaction.atomic():
        share: Share = Share.objects.of(member).not_removed().locked_or_404(id=share_id)
        share.taken_back_at, share.changed_by = None, member
        share.version += 1
        share.save()
    return share


def _heard(word: str) -> str:
    """A word as it is compared: said at a table, in whatever case."""
    return " ".join(word.casefold().split())


def find(token: str, place: str) -> Opened | None:
    """The link that a token opens; None where there is none. Raises TooMany for who guesses.

    To be called within a transaction, which from then on is the studio's whose link it is.
    """
    # Kept so that nobody reads a place off it again.
    here = salted_hmac("studio.handover.knock", place, algorithm="sha256").hexdigest()
    since = datetime.now(UTC) - WITHIN
    if Knock.objects.filter(place=here, at__gt=since).count() >= KNOCKS:
        raise TooMany
    tell_link(hashed(token))
    share = Share.objects.filter(token_hash=hashed(token)).first()
    if share is None:
        Knock.objects.filter(at__lte=since).delete()
        Knock.objects.create(place=here)
        return None
    tell_studio(share.studio_id)
    # With the studio told the client can be read: what was removed with them opens nothing.
    kept = Client.objects.filter(id=share.client_id, removed_at=None).exists()
    if not kept or share.removed_at or share.taken_back_at or share.ends_on < today():
        return Opened(share, "over")
    if share.closed_until and share.closed_until > datetime.now(UTC):
        return Opened(share, "paused")
    return Opened(share, "asks" if share.word else "open")


def note_opening(share: Share, *, let_in: bool) -> None:
    """Put an opening on record."""
    Opening.objects.create(studio_id=share.studio_id, share=share, let_in=let_in)


def try_word(share: Share, word: str) -> bool:
    """Whether this is the word; after some misses the link is closed for a while."""
    if check_password(_heard(word), share.word):
        Share.objects.filter(pk=share.pk).update(misses=0, closed_until=None)
        return True
    misses = share.misses + 1
    until = datetime.now(UTC) + PAUSE if misses >= MISSES else None
    Share.objects.filter(pk=share.pk).update(misses=0 if until else misses, closed_until=until)
    return False


def hear(share: Share, says: str, about: str, text: str) -> bool:
    """Keep what a client says; False where it is about nothing on this page, or says nothing. A second press takes a tick or a
    mark back while nobody has seen to it."""
    text = text.strip()[:NOTE_LENGTH]
    if says not in SAYS or (says == "question" and not text):
        return False
    titles = {
        one["id"]: one.get("name") or one.get("title", "")
        for part in ("cards", "buying")
        for one in share.content[part]
    }
    if says != "question" and about not in titles:
        return False
    if Said.objects.filter(share=share).count() >= MOST_SAID:
        return False
    whose: dict[str, Any] = {"studio_id": share.studio_id, "share": share, "says": says, "about": about or None}
    if says == "wore":
        _note_worn(share, about, titles[about])
    if says != "question":
        held = Said.objects.filter(**whose, seen_at=None, removed_at=None).first()
        if held is not None:
            held.removed_at = datetime.now(UTC)
            held.save(update_fields=["removed_at"])
            return True
    Said.objects.create(**whose, title=titles.get(about, "")[:120], text=text)
    return True


def _note_worn(share: Share, card_id: str, title: str) -> None:
    """What she says she wore goes into what was worn, as her look hangs now."""
    card = OutfitCard.objects.filter(id=card_id, client_id=share.client_id).select_related("look").first()
    if card is not None:
        heard_worn(share.client, card_id, title, [str(link["piece"]) for link in card.look.links.values()])


def said_by(share: Share) -> dict[str, set[str]]:
    """What was said through a link, by what it is about."""
    found: dict[str, set[str]] = {}
    for about, says in Said.objects.filter(share=share, removed_at=None).values_list("about", "says"):
        found.setdefault(str(about), set()).add(says)
    return found
