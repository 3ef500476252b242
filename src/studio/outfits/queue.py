"""The queue in the database, and what a worker does with a search: `./basilwood demo` starts one, more may run anywhere.

    python -m django work

A search that a worker lost in the middle is begun anew by the next one that hears of it (services.look_after): a result is
written whole or not at all.
"""

from __future__ import annotations

import logging
from collections import OrderedDict
from datetime import UTC, datetime
from threading import Lock
from time import monotonic
from typing import Any

from django.db import close_old_connections, transaction
from procrastinate.contrib.django import app

from craft.errors import InvalidInput
from craft.search.crew import Progress
from craft.search.search import Search
from craft.search.wardrobe import wardrobe_of
from studio.outfits.finding import found_of
from studio.outfits.kinds import KINDS, Kind
from studio.outfits.models import CANCELLED, DONE, FAILED, RUNNING, WAITING, OutfitSearch
from studio.outfits.situation import Ask, Situation, situation_of
from studio.wall import tell_studio

#: How often a worker says how far it is, s; the sums of so many wardrobes are kept at hand.
SAYS_EVERY, AT_HAND = 0.5, 2
_log = logging.getLogger(__name__)
_held: OrderedDict[str, Search] = OrderedDict()
_holding = Lock()


class GivenUp(Exception):
    """Nobody waits for this search any more."""


def hand_over(row: OutfitSearch) -> None:
    """Put a search into the queue, with this transaction."""
    search.defer(search_id=str(row.id), studio_id=row.studio_id)


@app.task(name="outfits.search", queue="searches")
def search(search_id: str, studio_id: int) -> None:
    """Search one wardrobe and keep what was found."""
    close_old_connections()
    try:
        _search(search_id, studio_id)
    finally:
        close_old_connections()


def _search(search_id: str, studio_id: int) -> None:
    begun = _begin(search_id, studio_id)
    if begun is None:
        return
    kind, situation = begun
    try:
        told = kind.find(situation, _Telling(search_id, studio_id))
    except GivenUp:
        return
    except InvalidInput as error:
        # It cannot be had as it was asked for; the screen says why.
        _end(search_id, studio_id, FAILED, {"refused": str(error)})
        return
    except Exception:
        # What went wrong stands in the log; the screen says that it did, and offers to try again.
        _log.exception("a search failed: %s", search_id)
        _end(search_id, studio_id, FAILED, {})
        return
    _end(search_id, studio_id, DONE, told)


def _begin(search_id: str, studio_id: int) -> tuple[Kind, Any] | None:
    with transaction.atomic():
        tell_studio(studio_id)
        rows = OutfitSearch.objects.select_for_update(of=("self",), skip_locked=True).select_related("client__studio")
        row = rows.filter(id=search_id, state__in=(WAITING, RUNNING), client__removed_at=None).first()
        if row is None:
            return None
        kind = KINDS[row.kind]
        situation = kind.read(row.client, row.asked)
        if situation.key != row.key:
            # What it was asked of is no more: whoever looks asks anew.
            row.state = CANCELLED
            row.save(update_fields=["state", "changed_at"])
            return None
        row.state, row.beat_at = RUNNING, datetime.now(UTC)
        row.save(update_fields=["state", "beat_at"])
        return kind, situation


def _end(search_id: str, studio_id: int, state: str, found: dict[str, Any]) -> None:
    with transaction.atomic():
        tell_studio(studio_id)
        rows = OutfitSearch.objects.filter(id=search_id, state=RUNNING)
        rows.update(state=state, found=found, done=1.0 if state == DONE else 0.0, changed_at=datetime.now(UTC))


class _Telling:
    """Says how far a search is, now and then; raises GivenUp when nobody waits for it."""

    def __init__(self, search_id: str, studio_id: int) -> None:
        self.search_id, self.studio_id = search_id, studio_id
        self._said = monotonic()

    def __call__(self, part: float) -> None:
        if monotonic() - self._said < SAYS_EVERY:
            return
        self._said = monotonic()
        with transaction.atomic():
            tell_studio(self.studio_id)
            rows = OutfitSearch.objects.filter(id=self.search_id, state=RUNNING)
            if not rows.update(done=part, beat_at=datetime.now(UTC)):
                raise GivenUp


def sums_of(situation: Situation, tell: Progress) -> Search:
    """The sums of a wardrobe, from hand where they are; of one that hangs otherwise only what is other is asked."""
    key, asked = situation.tables_key, situation.asked
    with _holding:
        if key in _held:
            _held.move_to_end(key)
            return _held[key]
        # The newest for the same body: what is as it was there is not asked anew.
        before = next((one for one in reversed(_held.values()) if one.asked.body == asked.body), None)
        while len(_held) >= AT_HAND:
            # Made room for first: two of the largest and a new one would be too much.
            _held.popitem(last=False)
    as_if = situation.ask.as_if
    wardrobe = wardrobe_of(asked.body, situation.owned, asked.schools, as_if=as_if)
    made = Search(asked, wardrobe, tell, before)
    with _holding:
        _held[key] = made
    return made


def _find(situation: Situation, tell: Progress) -> dict[str, Any]:
    return found_of(sums_of(situation, tell), situation)


KINDS["outfits"] = Kind(lambda client, asked: situation_of(client, Ask.read(asked)), _find)
