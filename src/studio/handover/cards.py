"""The verbs of cards: make them of looks, write a sentence anew, put them in order; and what a card says."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace
from functools import cached_property
from typing import Any
from uuid import UUID

from django.db import transaction

from craft.assessment import picture
from craft.body import Body
from craft.brief import OCCASIONS
from craft.cloth import Piece
from craft.cloth.words import said
from craft.draw.svg import framed_svg
from craft.errors import InvalidInput
from craft.formats.brief_form import BriefForm
from craft.formats.look_form import LookFacts
from craft.formats.rack_form import Facts
from craft.hand.card import Card, CardPiece, Line, card_of, serves
from craft.hand.variants import told, variant
from craft.judge.aims import Setting
from craft.look import Look as CraftLook
from craft.look import Outfit, compose
from craft.search.crew import Asked
from craft.search.ways import Owned
from studio.bodies.known import measures_of
from studio.concurrency import hold, keep_once, write
from studio.edit.models import KitPiece, ToBuy
from studio.handover.models import OutfitCard
from studio.looks.links import worn_now
from studio.looks.models import Look
from studio.outfits.situation import AWAY
from studio.people.known import client_of
from studio.people.models import Client, Member
from studio.rack.models import RackPiece
from studio.rack.naming import title_of
from studio.stored import PieceRow, readable, stored, stored_piece

#: So many cards a client has; a sentence is no longer, letters.
MOST, LONGEST = 120, 300


@dataclass(frozen=True)
class Told:
    """A card as it reads now: what it says, with the sentences that were written anew, and when it is for."""

    row: OutfitCard
    name: str
    card: Card
    outfit: Outfit
    lines: dict[str, list[tuple[Line, bool]]]
    occasions: list[str]
    care: list[tuple[str, str]]


class Teller:
    """Tells the cards of one client: the body, the week and the rack are read once."""

    def __init__(self, client: Client) -> None:
        self.client = client
        self.body = Body.of(measures_of(client))
        self.asked = Asked(self.body, client.ways, client.wishes)
        hung = RackPiece.objects.filter(client=client, removed_at=None).values_list(
            "id", "version", "name", "piece", "facts"
        )
        self.hung = {str(row_id): (version, name, piece, facts) for row_id, version, name, piece, facts in hung}

    @cached_property
    def week(self) -> dict[str, Setting]:
        """The occasions of the client's week, by name; all that there are where nobody said."""
        stretches = [one for one in stored(BriefForm, self.client.brief).week if one.share]
        if not stretches:
            return {said(name): Setting.of(name) for name in OCCASIONS if name not in ("workshop", "home")}
        return {
            said(one.occasion): Setting.of(one.occasion, None if one.dress_code == "none" else one.dress_code)
            for one in stretches
        }

    @cached_property
    def rack(self) -> list[Owned]:
        """What of the rack can be put on today."""
        found = []
        for key, (version, _, words, facts) in self.hung.items():
            piece = stored_piece(PieceRow(UUID(key), version, words))
            if piece is not None and not AWAY.get((facts or {}).get("state", "")):
                found.append(Owned(key, piece))
        return found

    @cached_property
    def names(self) -> dict[str, str]:
        """What each piece of the rack is called."""
        return {
            key: name or title_of(Piece.of(words))
            for key, (_, name, words, _) in self.hung.items()
            if readable([words])
        }

    @cached_property
    def _elsewhere(self) -> list[tuple[Piece, str]]:
        """Pieces that hang elsewhere, and where: of the studio's kit, and still to be bought."""
        kit = KitPiece.objects.filter(studio_id=self.client.studio_id, removed_at=None).values_list("piece", flat=True)
        buying = ToBuy.objects.filter(client=self.client, removed_at=None, bought=False).values_list("piece", flat=True)
        return [
            *((piece, "brought") for piece in readable(kit)),
            *((piece, "to_buy") for piece in readable(buying)),
        ]

    def called(self, look: Look, pieces: Sequence[Piece]) -> dict[str, tuple[str, Any]]:
        """What each piece of a look is called, and whose it is."""
        found: dict[str, tuple[str, Any]] = {}
        for piece in pieces:
            link = look.links.get(piece.place)
            if link and str(link["piece"]) in self.names:
                found[piece.place] = self.names[str(link["piece"])], "owned"
            else:
                whose = next((where for other, where in self._elsewhere if _same(piece, other)), "described")
                found[piece.place] = title_of(piece), whose
        return found

    def tell(self, row: OutfitCard) -> Told:
        """A card as it reads now. Pieces that cannot be read are left out."""
        look = row.look
        rack = {key: words for key, (_, _, words, _) in self.hung.items()}
        worn = readable(worn_now(look, rack))
        outfit = compose(self.body, CraftLook.of([piece.described() for piece in worn]), self.client.ways)
        facts = stored(LookFacts, look.facts)
        aims = replace(
            self.client.wishes, setting=facts.setting.read(), liked=frozenset(one.rule for one in facts.liked)
        )
        card = card_of(outfit, aims, self.called(look, worn))
        # What was said for the look itself stands first: it is worn there, whatever the week holds.
        own = said(facts.setting.occasion) if facts.setting.occasion else ""
        works = serves(outfit, self.client.wishes, self.week)
        return Told(
            row=row,
            name=look.name or "Outfit",
            card=card,
            outfit=outfit,
            lines={
                "how": _edited(card.how, row.edits),
                "reasons": _edited(card.reasons, row.edits),
                "mind": _edited(card.mind, row.edits),
                "variants": _edited(
                    [Line(f"variant:{one['occasion']}", one["text"]) for one in self.standing(row)], row.edits
                ),
                "own": _edited([Line("own", "")], row.edits),
            },
            occasions=list(dict.fromkeys([*([own] if own else []), *works])),
            care=self._care(look),
        )

    def standing(self, row: OutfitCard) -> list[dict[str, Any]]:
        """The variants that still hold: of the look as it is, with pieces that hang."""
        return [
            one
            for one in row.variants
            if one.get("of") == row.look.version and all(key in self.hung for key in one["pieces"])
        ]

    def _care(self, look: Look) -> list[tuple[str, str]]:
        found = []
        for link in look.links.values():
            key = str(link["piece"])
            if key in self.hung and (care := stored(Facts, self.hung[key][3]).care):
                found.append((self.names.get(key, ""), care))
        return found

    def variants(self, row: OutfitCard) -> list[dict[str, Any]]:
        """A card's look made over for each other occasion of the week."""
        look = row.look
        rack = {key: words for key, (_, _, words, _) in self.hung.items()}
        worn = CraftLook.of([piece.described() for piece in readable(worn_now(look, rack))])
        named = {place: title for place, (title, _) in self.called(look, worn.pieces).items()}
        linked = {str(link["piece"]) for link in look.links.values()}
        others = [one for one in self.rack if one.key not in linked]
        outfit = compose(self.body, worn, self.client.ways)
        # What a look is kept for it is for, whatever else is said of it there.
        own = stored(LookFacts, look.facts).setting.occasion
        works = {said(own or ""), *serves(outfit, self.client.wishes, self.week)}
        found = []
        for name, setting in self.week.items():
            made = None if name in works else variant(self.asked, worn, others, setting)
            if made is not None:
                keys = [change.on.key for change in made.changes if change.on is not None]
                text = told(made, name, worn, self.names, named)
                found.append({"occasion": name, "text": text, "pieces": keys, "of": look.version})
        return found


def _same(one: Piece, other: Piece) -> bool:
    """Whether a piece is another, in whichever way it is worn."""
    plain: dict[str, Any] = dict.fromkeys(("tuck", "open", "cuffed", "worn", "rolled", "pushed", "belted"))
    return one.with_(**plain) == other.with_(**plain)


def _edited(lines: Sequence[Line], edits: Mapping[str, str]) -> list[tuple[Line, bool]]:
    """The lines as a stylist left them, and whether she changed them; struck ones stay, empty."""
    return [(Line(one.key, edits.get(one.key, one.text)), one.key in edits) for one in lines]


def spoken(lines: Sequence[tuple[Line, bool]]) -> list[str]:
    """What is left to read of some lines."""
    return [line.text for line, _ in lines if line.text]


def pieces_told(card: Card) -> list[CardPiece]:
    """The pieces of a card that are named on it: what is worn beneath is told under how to wear it."""
    return [piece for piece in card.pieces if piece.place not in ("bra", "smoothing_shorts", "underslip")]


def drawn_card(card: Told, name: str) -> str:
    """The look as an SVG element."""
    return framed_svg(picture(card.outfit), card.name, name)


def cards_of(member: Member, client_id: Any) -> tuple[Client, list[OutfitCard]]:
    """A client's cards in their order. Raises Http404."""
    client = client_of(member, client_id)
    return client, rows_of(client)


def rows_of(client: Client) -> list[OutfitCard]:
    """The cards of a client whose looks are kept."""
    rows = OutfitCard.objects.filter(client=client, removed_at=None, look__removed_at=None)
    return list(rows.select_related("look", "changed_by"))


def make(member: Member, client_id: Any, card_id: UUID, look_id: UUID) -> OutfitCard:
    """Make a card of a look; one that was taken away comes back as it was. Raises Http404 or InvalidInput."""
    with transaction.atomic():
        client = hold(member, client_id)
        look: Look = Look.objects.of(member).not_removed().get_or_404(id=look_id, client=client)
        held: OutfitCard | None = OutfitCard.objects.filter(client=client, look=look).first()
        if held is not None:
            if held.removed_at is not None:
                held.removed_at, held.changed_by = None, member
                held.save(update_fields=["removed_at", "changed_by", "changed_at"])
            return held
        position = OutfitCard.objects.filter(client=client, removed_at=None).count()
        if position >= MOST:
            raise InvalidInput(f"A client has {MOST} cards at most.", "look_id")
        return keep_once(OutfitCard, member, card_id, {"client_id": client.id}, look=look, position=position)


def write_line(member: Member, card_id: UUID, version: int, key: str, text: str | None) -> OutfitCard:
    """Write a sentence anew, strike it (an empty text), or take it as it is made (None). Raises Stale or Http404."""
    with transaction.atomic():
        row: OutfitCard = OutfitCard.objects.of(member).not_removed().locked_or_404(id=card_id)
        edits = {name: value for name, value in row.edits.items() if name != key}
        if text is not None:
            edits[key] = text
        return write(OutfitCard, member, card_id, version, edits=edits)


def find_variants(member: Member, card_id: UUID) -> OutfitCard:
    """Find how a card's look is made over for the other occasions of the week, and keep that. Raises Http404."""
    row: OutfitCard = (
        OutfitCard.objects.of(member).not_removed().select_related("look", "client__studio").get_or_404(id=card_id)
    )
    found = Teller(row.client).variants(row)
    OutfitCard.objects.filter(pk=row.pk).update(variants=found)
    row.variants = found
    return row


def put_in_order(member: Member, client_id: Any, order: Sequence[UUID]) -> list[OutfitCard]:
    """Put cards in order; those that are not named keep theirs, after. Raises Http404."""
    with transaction.atomic():
        client = hold(member, client_id)
        rows = {row.id: row for row in rows_of(client)}
        listed = [rows[one] for one in dict.fromkeys(order) if one in rows]
        listed += [row for row in rows.values() if row not in listed]
        for number, row in enumerate(listed):
            if row.position != number:
                OutfitCard.objects.filter(pk=row.pk).update(position=number)
                row.position = number
    return listed


def take_away(member: Member, card_id: UUID) -> None:
    """Take a card away; the look stays, and the card can be brought back."""
    OutfitCard.objects.soft_delete(member, id=card_id)


def bring_back(member: Member, card_id: UUID) -> OutfitCard:
    """Undo a removal. Raises Http404."""
    OutfitCard.objects.restore(member, id=card_id)
    row: OutfitCard = OutfitCard.objects.select_related("look", "client__studio").get(id=card_id)
    return row
