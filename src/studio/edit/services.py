"""The verbs of an edit: decide of a piece, say that it is gone, carry a kit, put down what to buy, and take each back."""

from __future__ import annotations

from datetime import UTC, date, datetime
from typing import Any
from uuid import UUID

from django.db import transaction
from django.db.models import Q

from craft.cloth import Piece
from craft.cloth.quick import read_entry
from craft.edit.buying import Bought, buy_or_leave
from craft.edit.capsule import FEWEST, MOST
from craft.errors import InvalidInput
from craft.formats.rack_form import Facts
from craft.search.wardrobe import wearable
from studio.concurrency import hold, keep_once, new_identity, write
from studio.edit.hanging import EditAsk, EditSituation, edit_situation
from studio.edit.models import KitPiece, Sorted, ToBuy
from studio.errors import Stale
from studio.outfits.models import DONE, OutfitSearch
from studio.outfits.services import wanted
from studio.people.known import client_of
from studio.people.models import Client, Member
from studio.rack.models import RackPiece
from studio.stored import stored

#: Where what goes does not come back to hang: it stands in no look any more.
FOR_GOOD = ("sell", "give", "return")
#: Where it is away for a while, as the rack says it.
FOR_A_WHILE = {"mend": "at_the_tailor", "dye": "at_the_tailor"}
STATES = {**dict.fromkeys(FOR_GOOD, "to_let_go"), **FOR_A_WHILE}


def ask_for(member: Member, client_id: Any, ask: EditAsk) -> tuple[OutfitSearch, EditSituation]:
    """An answer of the edit: as it was found, where nothing has changed since, or handed to the queue. Raises Http404 or
    InvalidInput."""
    client = hold(member, client_id)
    if ask.kind == "capsule" and not FEWEST <= ask.pieces <= MOST:
        raise InvalidInput(f"A capsule has {FEWEST} to {MOST} pieces.", "pieces")
    situation = edit_situation(client, ask)
    return wanted(member, client, ask.kind, situation.key, ask.kept()), situation


def last_found(client: Client, kind: str) -> dict[str, Any]:
    """What the last work of a kind came to for a client, while a new one goes on: nothing where there was none."""
    row = OutfitSearch.objects.filter(client=client, kind=kind, state=DONE).order_by("-changed_at").first()
    return dict(row.found) if row is not None else {}


def decide(
    member: Member,
    piece_id: UUID,
    decision_id: UUID,
    version: int | None,
    *,
    decision: str,
    proposed: str = "",
    word: str = "",
    goes: str = "",
    place: str = "",
    on: date | None = None,
) -> Sorted:
    """Decide of a piece. `version` is that of the decision on the screen, None where there was none: another that came in between
    is told. Raises Stale or Http404."""
    told = {"decision": decision, "proposed": proposed, "word": word, "goes": goes, "place": place, "on": on}
    with transaction.atomic():
        piece = _held_piece(member, piece_id)
        held: Sorted | None = Sorted.objects.of(member).filter(piece=piece).first()
        if held is not None and held.removed_at is None and held.id == decision_id and version is None:
            return held
        was = held.goes if held is not None and held.removed_at is None else ""
        if held is not None and held.removed_at is None and held.version != version:
            raise Stale(held)
        if held is None:
            with new_identity():
                held = Sorted.objects.create(
                    id=decision_id,
                    studio_id=member.studio_id,
                    client_id=piece.client_id,
                    piece=piece,
                    changed_by=member,
                    **told,
                )
        else:
            for name, value in told.items():
                setattr(held, name, value)
            held.version += 1
            held.removed_at, held.changed_by = None, member
            held.save()
        _state(member, piece, was, goes)
        return held


def undecide(member: Member, piece_id: UUID) -> None:
    """Take a decision back: the piece hangs as it did. Raises Http404."""
    with transaction.atomic():
        piece = _held_piece(member, piece_id)
        held: Sorted = Sorted.objects.of(member).not_removed().get_or_404(piece=piece)
        held.removed_at, held.changed_by, held.version = datetime.now(UTC), member, held.version + 1
        held.save()
        _state(member, piece, held.goes, "")


def _held_piece(member: Member, piece_id: UUID) -> RackPiece:
    piece: RackPiece = RackPiece.objects.of(member).not_removed().locked_or_404(id=piece_id)
    return piece


def _state(member: Member, piece: RackPiece, was: str, goes: str) -> None:
    """What goes is in no look from now on; what was to go by the decision before, and is not to go after all, hangs again. What is
    away for another reason stays away."""
    facts = stored(Facts, piece.facts)
    by_decision = was in STATES and facts.state == STATES[was]
    state = STATES.get(goes, "in_use" if by_decision else facts.state)
    if state != facts.state:
        kept = facts.model_copy(update={"state": state}).model_dump(mode="json", exclude_defaults=True)
        write(RackPiece, member, piece.id, piece.version, facts=kept)


def gone(member: Member, piece_id: UUID) -> Sorted:
    """Say that a piece on a list is gone: it is off the rack. Raises Http404 or InvalidInput."""
    with transaction.atomic():
        piece = _held_piece(member, piece_id)
        held: Sorted = Sorted.objects.of(member).not_removed().get_or_404(piece=piece)
        if held.goes not in FOR_GOOD:
            raise InvalidInput("Only what is sold, given away or sent back is gone for good.", "goes")
        held.gone_at, held.changed_by, held.version = datetime.now(UTC), member, held.version + 1
        held.save()
        RackPiece.objects.soft_delete(member, id=piece.id)
        return held


def not_gone(member: Member, piece_id: UUID) -> Sorted:
    """Undo that a piece is gone: it hangs again, and is on its list. Raises Http404."""
    with transaction.atomic():
        RackPiece.objects.restore(member, id=piece_id)
        held: Sorted = Sorted.objects.of(member).of_kept_clients().get_or_404(piece_id=piece_id)
        held.gone_at, held.changed_by, held.version = None, member, held.version + 1
        held.save()
        return held


def sorted_of(member: Member, client_id: Any) -> list[Sorted]:
    """Every decision about a client's pieces. Raises Http404."""
    client = client_of(member, client_id)
    rows = Sorted.objects.of(member).filter(client=client, removed_at=None)
    # A piece that was taken off the rack by another door is on no list.
    hangs = Q(piece__removed_at=None) | Q(gone_at__isnull=False)
    return list(rows.filter(hangs).select_related("piece", "changed_by"))


def carry(member: Member, kit_id: UUID, line: str) -> KitPiece:
    """Put a piece into the studio's kit, said in one line. Raises NotUnderstood or UnknownWord."""
    piece = read_entry(line, member.studio.unit).piece
    return keep_once(KitPiece, member, kit_id, {}, piece=piece.described())


def leave_home(member: Member, kit_id: UUID) -> None:
    """Take a piece out of the kit; it can be brought back."""
    KitPiece.objects.soft_delete(member, id=kit_id)


def carry_again(member: Member, kit_id: UUID) -> KitPiece:
    """Undo a removal."""
    row: KitPiece = KitPiece.objects.restore(member, id=kit_id)
    return row


def to_buy(member: Member, client_id: Any, buy_id: UUID, piece: dict[str, Any], **told: Any) -> ToBuy:
    """Put a thing on the buying list. Raises UnknownWord or Http404."""
    with transaction.atomic():
        client = hold(member, client_id)
        described = Piece.of(piece).described()
        return keep_once(ToBuy, member, buy_id, {"client_id": client.id}, piece=described, **told)


def change_buy(member: Member, buy_id: UUID, version: int, **changes: Any) -> ToBuy:
    """Change a thing on the list: when, for how much, bought. Raises Stale or Http404."""
    return write(ToBuy, member, buy_id, version, **changes)


def strike(member: Member, buy_id: UUID) -> None:
    """Take a thing off the list; it can be brought back."""
    ToBuy.objects.soft_delete(member, id=buy_id)


def unstrike(member: Member, buy_id: UUID) -> ToBuy:
    """Undo a removal."""
    row: ToBuy = ToBuy.objects.restore(member, id=buy_id)
    return row


def buying_of(member: Member, client_id: Any) -> list[ToBuy]:
    """A client's buying list. Raises Http404."""
    client = client_of(member, client_id)
    return list(ToBuy.objects.of(member).filter(client=client, removed_at=None))


def verdict_on(member: Member, client_id: Any, piece: dict[str, Any]) -> tuple[Bought, EditSituation]:
    """Whether to buy a piece, with what hangs there. Raises UnknownWord or Http404."""
    client = client_of(member, client_id)
    situation = edit_situation(client, EditAsk("sorting"))
    hanging = situation.hanging
    kept, _ = wearable(hanging.asked.body, hanging.owned, hanging.asked.schools)
    return buy_or_leave(hanging.asked, Piece.of(piece), kept, hanging.days, hanging.wish), situation
