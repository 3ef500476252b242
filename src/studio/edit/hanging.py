"""A client's wardrobe as an edit reads it, in one value: what hangs there, the days of the week, the kit, the budget."""

from __future__ import annotations

import hashlib
from collections.abc import Mapping
from dataclasses import dataclass
from functools import cached_property
from typing import Any, Literal

from craft.cloth.words import said
from craft.edit.candidates import Candidate, candidates
from craft.edit.reading import Hanging
from craft.formats.brief_form import BriefForm
from craft.formats.rack_form import Facts
from craft.judge.aims import Setting
from craft.search.ways import Owned
from craft.search.week import Day
from studio.edit.models import KitPiece
from studio.outfits.situation import Ask, Situation, situation_of
from studio.people.models import Client
from studio.rack.models import RackPiece
from studio.stored import PieceRow, stored, stored_piece

Kind = Literal["sorting", "gaps", "capsule", "changed"]
#: What a kind of day is called where the brief says no week.
ANY_DAY = "any day"


@dataclass(frozen=True)
class EditAsk:
    """What is asked of an edit: which of its answers, and what of a capsule."""

    kind: Kind
    #: A capsule: how many pieces, how many bought, by their ids those that must be in and never; the budget.
    pieces: int = 0
    bought: int = 0
    must: tuple[str, ...] = ()
    never: tuple[str, ...] = ()

    @classmethod
    def read(cls, kept: Mapping[str, Any]) -> EditAsk:
        """An ask as it was kept."""
        return cls(**{**kept, "must": tuple(kept.get("must", ())), "never": tuple(kept.get("never", ()))})

    def kept(self) -> dict[str, Any]:
        """The ask as it is kept."""
        told = {"kind": self.kind, "pieces": self.pieces, "bought": self.bought}
        return {**told, "must": sorted(self.must), "never": sorted(self.never)}


@dataclass(frozen=True)
class EditSituation:
    """Everything that an answer of an edit depends on."""

    ask: EditAsk
    wardrobe: Situation
    hanging: Hanging
    #: What was paid for pieces of each place; the budget in whole units and its currency.
    paid: Mapping[str, tuple[int, ...]]
    budget: int | None
    currency: str

    @property
    def client(self) -> Client:
        """Whose wardrobe it is."""
        return self.wardrobe.client

    @property
    def tables_key(self) -> str:
        """What the sums of the whole wardrobe depend on."""
        return self.wardrobe.tables_key

    @cached_property
    def key(self) -> str:
        """What the answer depends on."""
        hanging = self.hanging
        told = (
            self.tables_key,
            self.ask.kept(),
            sorted(sorted(one) for one in hanging.wish.apart),
            hanging.days,
            hanging.kit,
            sorted(hanging.notes.items()),
            sorted((key, tuple(value)) for key, value in hanging.seasons.items()),
            sorted(self.paid.items()),
            self.budget,
        )
        return hashlib.sha256(repr(told).encode()).hexdigest()

    @cached_property
    def candidates(self) -> tuple[Candidate, ...]:
        """What might be bought for this client; never what they do not wear."""
        never = self.hanging.asked.aims.never
        found = candidates(dict(self.hanging.asked.aims.colouring), (one.piece for one in self.hanging.owned))
        return tuple(one for one in found if one.piece.kind not in never)


def edit_situation(client: Client, ask: EditAsk) -> EditSituation:
    """An edit's situation, as it is now."""
    wardrobe = situation_of(client, Ask())
    brief = stored(BriefForm, client.brief)
    stretches = [one for one in brief.week if one.share]
    days = tuple(
        Day(Setting.of(one.occasion, None if one.dress_code == "none" else one.dress_code), float(one.share))
        for one in stretches
    )
    names = tuple(said(one.occasion) for one in stretches)
    notes, seasons, paid = {}, {}, dict[str, list[int]]()
    slots = {one.key: one.piece.slot for one in wardrobe.owned}
    for row_id, facts in RackPiece.objects.filter(client=client, removed_at=None).values_list("id", "facts"):
        known, key = stored(Facts, facts), str(row_id)
        notes[key] = known.note
        seasons[key] = tuple(known.seasons)
        if known.price and key in slots:
            paid.setdefault(slots[key], []).append(known.price)
    kit = []
    for row_id, version, words in KitPiece.objects.filter(studio_id=client.studio_id, removed_at=None).values_list(
        "id", "version", "piece"
    ):
        piece = stored_piece(PieceRow(row_id, version, words))
        if piece is not None:
            kit.append(Owned(str(row_id), piece))
    hanging = Hanging(
        wardrobe.asked,
        wardrobe.owned,
        days or (Day(Setting()),),
        names or (ANY_DAY,),
        tuple(kit),
        notes,
        seasons,
        wardrobe.wish,
    )
    budget = brief.budget.amount if brief.budget.per != "piece" else None
    return EditSituation(
        ask,
        wardrobe,
        hanging,
        {slot: tuple(sorted(prices)) for slot, prices in paid.items()},
        budget,
        brief.budget.currency,
    )
