"""The book as a worker makes it, with progress: variants that nobody has asked for yet, the cards, the pages."""

from __future__ import annotations

import hashlib
import json
from collections.abc import Mapping
from dataclasses import dataclass
from functools import cached_property
from typing import Any

from django.db import transaction

from craft.search.crew import Progress
from studio.bodies.known import measures_of, today
from studio.edit.models import ToBuy
from studio.edit.services import last_found
from studio.handover.book import document_of
from studio.handover.cards import Teller, rows_of
from studio.handover.content import Parts, content_of
from studio.handover.models import Book, OutfitCard
from studio.outfits.kinds import KINDS, Kind
from studio.outfits.situation import engine
from studio.paper import pdf_of
from studio.people.models import Client, Member
from studio.rack.models import RackPiece
from studio.wall import tell_studio

KIND = "book"


@dataclass(frozen=True)
class BookAsked:
    """A book that is asked for: of whose cards, how it is laid out, with what, by whom."""

    client: Client
    asked: Mapping[str, Any]

    @cached_property
    def key(self) -> str:
        """What the book depends on."""
        cards = [(str(row.id), row.version, str(row.look.changed_at), row.position) for row in rows_of(self.client)]
        rack = RackPiece.objects.filter(client=self.client).order_by("id").values_list("id", "version", "removed_at")
        buying = ToBuy.objects.filter(client=self.client).order_by("id").values_list("id", "version", "removed_at")
        told = (
            measures_of(self.client),
            list(buying),
            last_found(self.client, "sorting").get("colours"),
            engine(), today(), self.client.version, str(self.client.changed_at), cards, list(rack), self.client.studio.version,
            json.dumps(self.asked, sort_keys=True),
        )  # fmt: skip
        return hashlib.sha256(repr(told).encode()).hexdigest()


def make_book(wanted: BookAsked, tell: Progress) -> dict[str, Any]:
    """Make the book and keep it as a file, in place of the last of its kind."""
    client, asked = wanted.client, wanted.asked
    with transaction.atomic():
        tell_studio(client.studio_id)
        rows = [row for row in rows_of(client) if str(row.id) in asked["cards"]]
        teller = Teller(client)
        # What the teller reads once is read now, while the database knows whose it is.
        _ = teller.rack, teller.week, teller.names, teller.called(rows[0].look, ()) if rows else None
    for number, row in enumerate(rows):
        if not teller.standing(row):
            row.variants = teller.variants(row)
            with transaction.atomic():
                tell_studio(client.studio_id)
                OutfitCard.objects.filter(pk=row.pk).update(variants=row.variants)
        tell(0.5 * (number + 1) / len(rows))
    with transaction.atomic():
        tell_studio(client.studio_id)
        member = Member.objects.get(id=asked["by"])
        content = content_of(member, client, rows, Parts(**asked["parts"]), asked["note"])
    tell(0.7)
    document = document_of(content, asked["layout"], today())
    tell(0.85)
    pdf = pdf_of(document)
    tell(0.98)
    with transaction.atomic():
        tell_studio(client.studio_id)
        Book.objects.filter(client=client, layout=asked["layout"]).delete()
        book = Book.objects.create(
            studio_id=client.studio_id, client=client, layout=asked["layout"], pages=len(document.pages), pdf=pdf,
            changed_by=member,
        )  # fmt: skip
    return {"book": str(book.id), "pages": book.pages, "cards": len(rows)}


KINDS[KIND] = Kind(BookAsked, make_book)
