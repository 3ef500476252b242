"""Outfits: every look that a client's wardrobe can make."""

from __future__ import annotations

import hashlib
import json
from collections.abc import Mapping
from datetime import date
from typing import Any
from uuid import UUID

from django.http import HttpResponse
from ninja import Router, Status

from craft.assessment import picture
from craft.cloth import Piece
from craft.cloth.kinds import KIND
from craft.cloth.words import said
from craft.draw.told import what_is_worn
from craft.formats.look_form import LookFacts
from craft.judge import RULES, Sentence
from craft.look import Look as CraftLook
from craft.look import compose
from craft.units import Unit
from studio.drawings import drawn
from studio.looks.models import Look
from studio.looks.services import Question, worn_by
from studio.outfits import services
from studio.outfits.finding import looks_of
from studio.outfits.models import DONE, Apart, OutfitSearch
from studio.outfits.shapes import (
    ApartIn,
    ApartOut,
    AskIn,
    CountsOut,
    DrawnLookOut,
    DrawnLooksOut,
    FoundLookOut,
    FoundPieceOut,
    LikedOut,
    PieceCountOut,
    ReasonOut,
    RememberedOut,
    SearchOut,
    ToDraw,
)
from studio.outfits.situation import BASES, Ask, situation_of, worn_within
from studio.people.known import client_of
from studio.rack.models import RackPiece
from studio.rack.naming import title_of, titles_of
from studio.requests import MemberRequest
from studio.schemas import PieceWords, answer, words_of
from studio.stored import stored

router = Router()
#: What was worn within so many days is told (W: a season).
REMEMBERED = 90
#: How a way to wear a piece is said.
HOW = {
    ("open", True): "open",
    ("open", False): "closed",
    ("cuffed", True): "turned up",
    ("cuffed", False): "not turned up",
    ("worn", "inside"): "inside the boot",
    ("worn", "over"): "over the top",
    ("tuck", "none"): "left out",
    ("rolled", True): "sleeves rolled",
    ("pushed", True): "sleeves pushed up",
}


def _answer(told: SearchOut) -> HttpResponse:
    """A search, its pieces in the words of the craft and nothing that is not said."""
    return HttpResponse(told.model_dump_json(by_alias=True, exclude_none=True), content_type="application/json")


def _ask(given: AskIn) -> Ask:
    setting = given.setting.read()
    kept = {"occasion": setting.occasion, "code": setting.code, "celsius": setting.celsius, "rain": setting.rain}
    told = {key: value for key, value in kept.items() if value not in (None, False)}
    must, must_not = (tuple(sorted(str(piece) for piece in ids)) for ids in (given.must, given.must_not))
    return Ask(
        told, must, must_not, given.one_statement, given.as_if, given.dial, given.rest_days, given.by_the_face or ""
    )


@router.post("/clients/{uuid:client_id}/outfits", response=SearchOut, exclude_none=True, by_alias=True)
def search(request: MemberRequest, client_id: UUID, given: AskIn) -> Any:
    """Search every look that a client's wardrobe can make; what was found before stands at once, if nothing has changed."""
    row, situation = services.ask_for(request.user, client_id, _ask(given))
    first = []
    if row.state != DONE:
        first = looks_of(services.first_looks(situation), situation)
    return _answer(_told(row, request.user.studio.unit, first))


@router.get("/outfits/{uuid:search_id}", response=SearchOut, exclude_none=True, by_alias=True)
def look_after(request: MemberRequest, search_id: UUID) -> Any:
    """A search as it is."""
    return _answer(_told(services.look_after(request.user, search_id), request.user.studio.unit, []))


@router.post("/outfits/{uuid:search_id}/cancel", response=SearchOut, exclude_none=True, by_alias=True)
def cancel(request: MemberRequest, search_id: UUID) -> Any:
    """Give a search up."""
    return _answer(_told(services.give_up(request.user, search_id), request.user.studio.unit, []))


@router.get("/clients/{uuid:client_id}/outfits/counts", response=CountsOut)
def counts(request: MemberRequest, client_id: UUID) -> Any:
    """In how many good looks each piece of the rack stands, as it was last searched."""
    client = client_of(request.user, client_id)
    row = services.newest_general(client)
    if row is None:
        return CountsOut(pieces=[], stale=False, known=False)
    return CountsOut(pieces=_counts(row.found), stale=situation_of(client, Ask()).key != row.key, known=True)


@router.post("/clients/{uuid:client_id}/outfits/drawn", response=DrawnLooksOut)
def draw(request: MemberRequest, client_id: UUID, given: ToDraw) -> Any:
    """Looks drawn on the client's body, on one floor line at one scale."""
    on = worn_by(request.user, client_id, Question([]))
    found = []
    for pieces in given.described():
        outfit = compose(on.body, CraftLook.of([words_of(piece) for piece in pieces]), on.schools)
        told = what_is_worn(outfit)
        found.append(DrawnLookOut(shapes=drawn(picture(outfit)), height=outfit.height, told="; ".join(told)))
    return answer(DrawnLooksOut(looks=found))


@router.post("/clients/{uuid:client_id}/outfits/apart", response={201: ApartOut})
def reject(request: MemberRequest, client_id: UUID, given: ApartIn) -> Any:
    """Keep that the client rejects these pieces together: no search puts them together again."""
    row = services.reject(request.user, client_id, given.id, given.pieces, given.word)
    return Status(201, _apart(row, titles_of(row.client_id)))


@router.get("/clients/{uuid:client_id}/outfits/remembered", response=RememberedOut)
def remembered(request: MemberRequest, client_id: UUID) -> Any:
    """What was rejected together, and what is liked in spite of a rule: each can be taken back."""
    client = client_of(request.user, client_id)
    titles = titles_of(client.id)
    apart = Apart.objects.of(request.user).not_removed().filter(client=client)
    says = {rule.id: rule.says for rule in RULES}
    liked = [
        LikedOut(look_id=look.id, look=look.name, rule=says.get(one.rule, one.rule), who=one.who)
        for look in Look.objects.of(request.user).not_removed().filter(client=client)
        for one in stored(LookFacts, look.facts).liked
    ]
    return RememberedOut(apart=[_apart(row, titles) for row in apart], liked=liked)


@router.delete("/outfits/apart/{uuid:apart_id}", response={204: None})
def take_back(request: MemberRequest, apart_id: UUID) -> Any:
    """Take back that pieces were rejected together; can be undone."""
    services.take_back(request.user, apart_id)
    return Status(204, None)


@router.post("/outfits/apart/{uuid:apart_id}/restore", response=ApartOut)
def reject_again(request: MemberRequest, apart_id: UUID) -> Any:
    """Undo the taking back."""
    row = services.reject_again(request.user, apart_id)
    return _apart(row, titles_of(row.client_id))


def _apart(row: Apart, titles: Mapping[str, str]) -> ApartOut:
    pieces = [str(piece) for piece in row.pieces]
    return ApartOut(
        id=row.id,
        pieces=[UUID(piece) for piece in pieces],
        titles=[titles.get(piece, "a piece that was taken away") for piece in pieces],
        word=row.word,
    )


def _counts(found: Mapping[str, Any]) -> list[PieceCountOut]:
    out = found.get("out", {})
    return [
        PieceCountOut(piece_id=UUID(key), looks=looks, works=works, stays_out=out.get(key, ""))
        for key, (looks, works) in found.get("pieces", {}).items()
    ]


def _told(row: OutfitSearch, unit: Unit, first: list[dict[str, Any]]) -> SearchOut:
    found = row.found or {}
    looks = found.get("looks", first)
    rows = RackPiece.objects.filter(client_id=row.client_id).values_list("id", "name", "piece")
    hangs = {str(row_id): (name, piece) for row_id, name, piece in rows} if looks else {}
    days = worn_within(row.client_id, REMEMBERED) if looks else []
    count, works = found.get("counts", (0, 0))
    state: Any = row.state
    return SearchOut(
        id=row.id,
        state=state,
        done=row.done,
        looks=[look for one in looks if (look := _look(one, hangs, days, unit)) is not None],
        count=count,
        works=works,
        pieces=_counts(found),
        left_out=found.get("left_out", []),
    )


def _look(
    one: Mapping[str, Any], hangs: Mapping[str, tuple[str, Any]], days: list[tuple[date, frozenset[str]]], unit: Unit
) -> FoundLookOut | None:
    """A look as it is told; None where a piece of it hangs no more."""
    if any(key not in hangs for key in one["pieces"]):
        return None
    pieces = [_piece(key, one["worn"].get(key, {}), *hangs[key]) for key in one["pieces"]]
    titles = {str(piece.piece_id): piece.title for piece in pieces}
    base = {
        key
        for key in one["pieces"]
        if Piece.of(hangs[key][1]).slot in BASES and one["worn"].get(key, {}).get("worn") != "over"
    }
    new = [titles[key] for key in one["new"] if key in titles]
    return FoundLookOut(
        key=hashlib.sha256(json.dumps([one["pieces"], one["worn"]], sort_keys=True).encode()).hexdigest()[:16],
        pieces=pieces,
        verdict=one["verdict"],
        score=one["score"],
        reasons=[_reason(unit, *reason) for reason in one["reasons"]],
        new=f"{new[0]} with {new[1]}" if len(new) == 2 else "",
        worn_on=next((on for on, worn in days if base <= worn), None),
    )


def _reason(unit: Unit, title: str, stance: Any, template: str, lengths: list[list[Any]]) -> ReasonOut:
    sentence = Sentence(template, tuple((name, cm) for name, cm in lengths))
    return ReasonOut(title=title, stance=stance, text=sentence.say(unit))


def _piece(key: str, worn: Mapping[str, Any], name: str, described: Any) -> FoundPieceOut:
    words = {word: value for word, value in {**described, **worn}.items() if value is not None}
    figures = KIND[described["is"]].figures
    how = [
        HOW.get((word, value)) or f"{said(str(value))} tuck"
        for word, value in sorted(worn.items())
        if word not in figures
    ]
    if any(word in figures for word in worn):
        how.append("as it comes back from the tailor")
    return FoundPieceOut(
        piece_id=UUID(key),
        title=name or title_of(Piece.of(described)),
        words=PieceWords.model_validate(words),
        how="over the top, open" if worn.get("worn") == "over" else ", ".join(how),
    )
