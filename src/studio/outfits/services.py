"""The verbs of outfits: ask for a search, give it up, reject together, take that back."""

from __future__ import annotations

from datetime import UTC, datetime, timedelta
from typing import Any
from uuid import UUID

from django.db import transaction

from craft.errors import InvalidInput
from craft.search.search import FoundLook, Search
from craft.search.wardrobe import wardrobe_of
from craft.search.ways import Owned
from studio.concurrency import hold, keep_once
from studio.outfits import queue
from studio.outfits.models import CANCELLED, DONE, FAILED, RUNNING, WAITING, Apart, OutfitSearch
from studio.outfits.situation import Ask, Situation, situation_of
from studio.people.models import Client, Member
from studio.rack.models import RackPiece

#: A worker that has said nothing for so long is gone: the search is handed to another, s.
GONE_AFTER = 15.0
#: So many searches of a client are kept; older ones are forgotten.
KEPT = 40
#: The first answers: of so many pieces of each place, in so many looks at most.
FIRST, FIRST_LOOKS, SHOWN_FIRST = {"bottom": 6, "top": 8, "one_piece": 3, "shoes": 3, "layer": 2}, 1200, 12


def ask_for(member: Member, client_id: Any, ask: Ask) -> tuple[OutfitSearch, Situation]:
    """The search for what is asked: as it was found before, where nothing has changed since, or handed to the queue.

    Raises Http404 or InvalidInput.
    """
    client = hold(member, client_id)
    _check(client, ask)
    situation = situation_of(client, ask)
    row = wanted(member, client, "outfits", situation.key, ask.kept(), general=ask.is_general)
    return row, situation


def wanted(
    member: Member, client: Client, kind: str, key: str, asked: dict[str, Any], *, general: bool = False
) -> OutfitSearch:
    """Long work with such a key: as it was found, or handed to the queue. The client is held."""
    row, made = OutfitSearch.objects.get_or_create(
        client=client,
        key=key,
        defaults={
            "studio_id": member.studio_id,
            "kind": kind,
            "asked": asked,
            "general": general,
            "changed_by": member,
        },
    )
    refused = row.state == FAILED and "refused" in row.found
    if made or (row.state in (FAILED, CANCELLED) and not refused) or is_gone(row):
        _hand_over(row)
    if made:
        _forget(client)
    return row


def anew(row: OutfitSearch) -> OutfitSearch:
    """Have something done once more though it was done: what it made is gone. The client is held."""
    _hand_over(row)
    return row


def _check(client: Client, ask: Ask) -> None:
    named = {*ask.must, *ask.must_not}
    if named & set(ask.must) & set(ask.must_not):
        raise InvalidInput("A piece cannot both be on and be left out.", "must_not")
    known = RackPiece.objects.filter(client=client, id__in=named, removed_at=None).values_list("id", flat=True)
    if len(named) > len(set(known)):
        raise InvalidInput("A piece that is asked for does not hang on this rack any more.", "must")


def _hand_over(row: OutfitSearch) -> None:
    row.state, row.done, row.found, row.beat_at = WAITING, 0.0, {}, datetime.now(UTC)
    row.save(update_fields=["state", "done", "found", "beat_at", "changed_at"])
    queue.hand_over(row)


def is_gone(row: OutfitSearch) -> bool:
    """Whether the worker that had it has not been heard of."""
    return row.state == RUNNING and datetime.now(UTC) - row.beat_at > timedelta(seconds=GONE_AFTER)


def _forget(client: Client) -> None:
    old = OutfitSearch.objects.filter(client=client).order_by("-changed_at").values_list("id", flat=True)[KEPT:]
    OutfitSearch.objects.filter(id__in=list(old)).delete()


def look_after(member: Member, search_id: UUID) -> OutfitSearch:
    """A search as it is; one whose worker is gone is handed over once more."""
    row: OutfitSearch = OutfitSearch.objects.of(member).of_kept_clients().get_or_404(id=search_id)
    if is_gone(row):
        with transaction.atomic():
            row = OutfitSearch.objects.of(member).of_kept_clients().locked_or_404(id=search_id)
            if is_gone(row):
                _hand_over(row)
    return row


def give_up(member: Member, search_id: UUID) -> OutfitSearch:
    """Give a search up; one that is done stays."""
    with transaction.atomic():
        row: OutfitSearch = OutfitSearch.objects.of(member).of_kept_clients().locked_or_404(id=search_id)
        if row.state in (WAITING, RUNNING):
            row.state = CANCELLED
            row.save(update_fields=["state", "changed_at"])
    return row


def newest_general(client: Client) -> OutfitSearch | None:
    """The last search of the whole wardrobe that was done: what the rack counts."""
    return OutfitSearch.objects.filter(client=client, general=True, state=DONE).order_by("-changed_at").first()


def first_looks(situation: Situation) -> list[FoundLook]:
    """Looks to begin with, from a part of the wardrobe: the best of it while the whole is searched."""
    wanted, taken = dict(FIRST), dict[str, int]()
    part: list[Owned] = []
    named = situation.wish.must
    for one in sorted(situation.owned, key=lambda one: (one.key not in named, one.key)):
        slot = one.piece.slot
        if one.key in named or taken.get(slot, 0) < wanted.get(slot, 0):
            taken[slot] = taken.get(slot, 0) + 1
            part.append(one)
    asked = situation.asked
    wardrobe = wardrobe_of(asked.body, part, asked.schools, as_if=situation.ask.as_if, most=FIRST_LOOKS)
    return Search(asked, wardrobe).varied(SHOWN_FIRST, situation.ask.dial, situation.wish)


def reject(member: Member, client_id: Any, apart_id: UUID, pieces: list[UUID], word: str) -> Apart:
    """Keep that a client rejects these pieces together. Raises Http404 or InvalidInput."""
    with transaction.atomic():
        client = hold(member, client_id)
        known = set(RackPiece.objects.filter(client=client, id__in=pieces).values_list("id", flat=True))
        if len(known) < 2 or known != set(pieces):
            raise InvalidInput("Two pieces or more of this rack are rejected together.", "pieces")
        listed = sorted(str(piece) for piece in known)
        return keep_once(Apart, member, apart_id, {"client_id": client.id}, pieces=listed, word=word)


def take_back(member: Member, apart_id: UUID) -> None:
    """Take back that pieces were rejected together; it can be undone."""
    Apart.objects.soft_delete(member, id=apart_id)


def reject_again(member: Member, apart_id: UUID) -> Apart:
    """Undo the taking back."""
    row: Apart = Apart.objects.restore(member, id=apart_id)
    return row
