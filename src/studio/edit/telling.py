"""What an edit found, as the screen is told it: names of pieces as they hang now, lengths in the studio's unit."""

from __future__ import annotations

import hashlib
import json
from collections.abc import Iterable, Mapping
from dataclasses import dataclass
from typing import Any
from uuid import UUID

from django.http import HttpResponse
from pydantic import BaseModel

from craft.cloth import Piece
from craft.cloth.words import said
from craft.edit.altering import said_of
from craft.units import Sentence, Unit
from studio.edit.models import KitPiece
from studio.edit.shapes import AdoptionOut, DayOut, EditLookOut, EditPieceOut, JobOut, Whose, words
from studio.outfits.api import HOW
from studio.outfits.models import OutfitSearch
from studio.outfits.shapes import ReasonOut
from studio.rack.models import RackPiece
from studio.rack.naming import title_of


@dataclass(frozen=True)
class Names:
    """The pieces that an answer speaks of: those that hang, those of the kit, and those to buy, by their keys."""

    owned: Mapping[str, tuple[str, dict[str, Any]]]
    kit: Mapping[str, tuple[str, dict[str, Any]]]
    new: Mapping[str, dict[str, Any]]
    unit: Unit

    @classmethod
    def of(cls, client_id: Any, studio_id: int, unit: Unit, new: Mapping[str, dict[str, Any]] | None = None) -> Names:
        """The names of a client's pieces, of the studio's kit, and of new things."""
        rack = RackPiece.objects.filter(client_id=client_id, removed_at=None).values_list("id", "name", "piece")
        kit = KitPiece.objects.filter(studio_id=studio_id, removed_at=None).values_list("id", "name", "piece")
        owned, brought = ({str(key): (name, piece) for key, name, piece in rows} for rows in (rack, kit))
        return cls(owned, brought, new or {}, unit)

    def described(self, key: str) -> tuple[Whose, str, dict[str, Any]] | None:
        """Whose a piece is, its name and its words; None where it is there no more."""
        whose: Whose
        for whose, held in (("owned", self.owned), ("brought", self.kit)):
            if key in held:
                name, piece = held[key]
                return whose, name or title_of(Piece.of(piece)), piece
        if key in self.new:
            return "to_buy", title_of(Piece.of(self.new[key])), self.new[key]
        return None

    def piece(self, key: str, worn: Mapping[str, Any]) -> EditPieceOut | None:
        """A piece as it is worn."""
        known = self.described(key)
        if known is None:
            return None
        whose, title, described = known
        told = {word: value for word, value in {**described, **worn}.items() if value is not None}
        how = ", ".join(HOW.get((word, value)) or f"{said(str(value))} tuck" for word, value in sorted(worn.items()))
        return EditPieceOut(
            piece_id=UUID(key) if whose == "owned" else None,
            whose=whose,
            title=title,
            words=words(told),
            how="over the top, open" if worn.get("worn") == "over" else how,
        )

    def look(self, one: Mapping[str, Any]) -> EditLookOut | None:
        """A look as it was kept; None where a piece of it is there no more."""
        pieces = [self.piece(key, one["worn"].get(key, {})) for key in one["pieces"]]
        there = [piece for piece in pieces if piece is not None]
        if len(there) < len(pieces):
            return None
        return EditLookOut(
            key=hashlib.sha256(json.dumps([one["pieces"], one["worn"]], sort_keys=True).encode()).hexdigest()[:16],
            pieces=there,
            verdict=one["verdict"],
            reasons=[
                ReasonOut(title=title, stance=stance, text=self.say([template, lengths]))
                for title, stance, template, lengths in one["reasons"]
            ],
        )

    def looks(self, kept: Iterable[Mapping[str, Any]]) -> list[EditLookOut]:
        """Looks as they were kept, those that can still be worn."""
        return [look for one in kept if (look := self.look(one)) is not None]

    def say(self, kept: list[Any]) -> str:
        """A sentence that was kept, in the studio's unit."""
        template, lengths = kept
        return Sentence(template, tuple((name, cm) for name, cm in lengths)).say(self.unit)

    def adoption(self, one: Mapping[str, Any] | None) -> AdoptionOut | None:
        """What would adopt a piece, in a sentence."""
        if one is None:
            return None
        piece = one["piece"]
        title = title_of(Piece.of(piece)) if piece else ""
        return AdoptionOut(
            means=one["means"],
            text=self._adopted(one, title),
            looks=one["looks"],
            piece=words(piece) if piece else None,
            title=title,
        )

    def _adopted(self, one: Mapping[str, Any], title: str) -> str:
        if one["means"] == "tailor":
            return self.tailored(one["change"])
        if one["means"] == "worn":
            return "Worn " + ", ".join(
                f"{said(word)} {'' if value is True else said(str(value))}".strip()
                for word, value in one["worn"].items()
            )
        return f"With the {title} of the kit" if one["means"] == "kit" else f"With {title}"

    def tailored(self, change: list[Any] | None) -> str:
        """What the tailor does, in a sentence; nothing where nothing is done."""
        if not change:
            return ""
        return said_of((change[0], change[1])).say(self.unit)


def job_of(row: OutfitSearch) -> JobOut:
    """Long work as it is."""
    state: Any = row.state
    return JobOut(id=row.id, state=state, done=row.done, refused=(row.found or {}).get("refused", ""))


def days_of(found: Mapping[str, Any]) -> list[DayOut]:
    """The kinds of day that an answer is about."""
    return [DayOut(name=name, share=share) for name, share in found.get("days", [])]


def in_words(answer: BaseModel) -> HttpResponse:
    """An answer with pieces in the words of the craft, and nothing that is not said."""
    return HttpResponse(answer.model_dump_json(by_alias=True, exclude_none=True), content_type="application/json")
