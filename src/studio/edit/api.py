"""The edit: what is proposed for each piece, what is missing, a capsule, what changed; decided by hand, each way back kept."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Any
from uuid import UUID

from ninja import Router

from craft.body import Body
from craft.cloth import Piece
from craft.cloth.words import figure_name
from craft.draw.flats import flat_of
from craft.edit.shape import PLACES
from craft.plan.worn import Use
from studio.bodies.known import measures_of
from studio.drawings import drawn
from studio.edit import services
from studio.edit.hanging import EditAsk
from studio.edit.shapes import (
    CapsuleIn,
    CapsuleOut,
    CapsulePartOut,
    ChangedOut,
    ChangedPieceOut,
    ClusterOut,
    ColoursOut,
    DayOut,
    DecidingOut,
    GainOut,
    GapNumberOut,
    GapsOut,
    JobOut,
    OrphanOut,
    ProposalOut,
    SeveralOut,
    ShapeOut,
    SortingOut,
    words,
)
from studio.edit.telling import Names, days_of, in_words, job_of
from studio.outfits import services as searches
from studio.outfits.models import DONE
from studio.plan.wearing import used_of
from studio.rack.naming import title_of
from studio.requests import MemberRequest
from studio.schemas import Refusal, words_of

router = Router()


def _names(request: MemberRequest, client_id: UUID, new: Mapping[str, dict[str, Any]] | None = None) -> Names:
    return Names.of(client_id, request.user.studio_id, request.user.studio.unit, new)


@router.post("/clients/{uuid:client_id}/edit/sorting", response=SortingOut, exclude_none=True, by_alias=True)
def sorting(request: MemberRequest, client_id: UUID) -> Any:
    """What is proposed for each piece of a wardrobe and why, and what the whole says; read in the background."""
    row, situation = services.ask_for(request.user, client_id, EditAsk("sorting"))
    # While it is read anew, what was read last stands: nobody has to wait with a piece in the hand.
    found = row.found if row.state == DONE else services.last_found(situation.client, "sorting")
    names = _names(request, client_id)
    used = used_of(situation.client, names.owned)
    return in_words(
        SortingOut(
            job=job_of(row),
            pieces=[
                _proposal(key, found["pieces"][key], names, used.get(key))
                for key in found.get("order", [])
                if key in names.owned
            ],
            orphans=[
                OrphanOut(
                    piece_id=UUID(one["key"]),
                    why=one["why"],
                    adoptions=[told for two in one["adoptions"] if (told := names.adoption(two)) is not None],
                )
                for one in found.get("orphans", [])
                if one["key"] in names.owned
            ],
            twins=[[UUID(key) for key in pair] for pair in found.get("twins", [])],
            deciding=[
                DecidingOut(
                    piece_id=UUID(one["key"]),
                    title=known[1],
                    figure=figure_name(one["figure"]),
                    taken_for=one["taken_for"],
                    outfits=one["outfits"],
                )
                for one in found.get("deciding", [])
                if (known := names.described(one["key"])) is not None
            ],
            colours=_colours(found["colours"]) if "colours" in found else None,
            shape=ShapeOut.model_validate(found["shape"]) if "shape" in found else None,
            days=days_of(found),
        )
    )


def _proposal(key: str, one: Mapping[str, Any], names: Names, used: Use | None) -> ProposalOut:
    twin = names.described(one["twin"]) if one["twin"] else None
    return ProposalOut(
        piece_id=UUID(key),
        decision=one["decision"],
        reason=names.say(one["reason"]),
        works=one["works"],
        share=one["share"],
        adoption=names.adoption(one["adoption"]),
        twin=twin[1] if twin else "",
        worn_days=used.days if used else None,
        last_worn=used.last if used else None,
        looks=names.looks(one["looks"]),
    )


def _colours(found: Mapping[str, Any]) -> ColoursOut:
    clusters = [ClusterOut.model_validate(one) for one in found["clusters"]]
    return ColoursOut(**{**found, "clusters": clusters})


@router.post("/clients/{uuid:client_id}/edit/gaps", response=GapsOut, exclude_none=True, by_alias=True)
def gaps(request: MemberRequest, client_id: UUID) -> Any:
    """What to buy: each thing with the outfits that it makes, the best few together; found in the background."""
    row, situation = services.ask_for(request.user, client_id, EditAsk("gaps"))
    found = row.found or {}
    new = {one["key"]: one["piece"] for one in found.get("gains", [])}
    names = _names(request, client_id, new)
    return in_words(
        GapsOut(
            job=job_of(row),
            gains=[_gain(one, names) for one in found.get("gains", [])],
            lead=found.get("lead", []),
            small=found.get("small", []),
            together=[
                SeveralOut(**one, titles=[title_of(Piece.of(new[key])) for key in one["keys"]])
                for one in found.get("together", [])
            ],
            **{key: found.get(key, 0) for key in ("weighed", "listed", "left_off", "tried", "candidates")},
            there=found.get("there", []),
            left_out=found.get("left_out", []),
            days=days_of(found),
            currency=situation.currency,
            budget=situation.budget,
        )
    )


def _gain(one: Mapping[str, Any], names: Names) -> GainOut:
    price, wears = one["price"], one["wears"]
    return GainOut(
        key=one["key"],
        title=title_of(Piece.of(one["piece"])),
        piece=words(one["piece"]),
        looks=one["looks"],
        newness=one["newness"],
        small=one["small"],
        lasts=one["lasts"],
        instead=[" ".join(_short(described)) for described in one["instead"]],
        numbers=[GapNumberOut.model_validate(number) for number in one["numbers"]],
        price=price,
        a_wear=round(price / wears, 2) if price is not None and wears else None,
        shown=names.looks(one["shown"]),
    )


def _short(described: Mapping[str, Any]) -> list[str]:
    """A thing in few words: colour, cut, rise, kind, length."""
    said = [str(described[key]) for key in ("colour", "fit", "cut", "rise", "is", "hem") if described.get(key)]
    return [word.replace("_", " ") for word in said]


@router.post(
    "/clients/{uuid:client_id}/edit/capsule", response={200: CapsuleOut, 422: Refusal}, exclude_none=True, by_alias=True
)
def capsule(request: MemberRequest, client_id: UUID, given: CapsuleIn) -> Any:
    """A few pieces that make the most different good outfits for the week, and what each is for; found in the background."""
    ask = EditAsk(
        "capsule",
        given.pieces,
        given.bought,
        tuple(sorted(str(one) for one in given.must)),
        tuple(sorted(str(one) for one in given.never)),
    )
    row, situation = services.ask_for(request.user, client_id, ask)
    found = row.found or {}
    names = _names(request, client_id, found.get("new", {}))
    days = days_of(found)
    parts = [part for one in found.get("parts", []) if (part := _part(one, names, days, found)) is not None]
    parts.sort(key=lambda part: PLACES.index(Piece.of(words_of(part.words)).slot))
    looks = [{"pieces": keys, "worn": {}, "verdict": "works", "reasons": []} for keys in found.get("looks", [])]
    return in_words(
        CapsuleOut(
            job=job_of(row),
            parts=parts,
            outfits=found.get("outfits", 0),
            bases=found.get("bases", 0),
            by_day=found.get("by_day", []),
            proven=found.get("proven", False),
            chosen_from=found.get("chosen_from", 0),
            looks=names.looks(looks),
            days=days,
            currency=situation.currency,
        )
    )


def _part(one: Mapping[str, Any], names: Names, days: list[DayOut], found: Mapping[str, Any]) -> CapsulePartOut | None:
    piece = names.piece(one["key"], {})
    if piece is None:
        return None
    return CapsulePartOut(
        **piece.model_dump(exclude={"how", "words"}),
        words=piece.words,
        outfits=one["outfits"],
        day=" and ".join(days[number].name for number in one["days"]),
        price=found["prices"].get(one["key"]),
    )


@router.post("/clients/{uuid:client_id}/edit/changed", response=ChangedOut, exclude_none=True, by_alias=True)
def changed(request: MemberRequest, client_id: UUID) -> Any:
    """What the last measuring changed for the wardrobe: what no longer fits, what the tailor can save; found in the background."""
    row, situation = services.ask_for(request.user, client_id, EditAsk("changed"))
    found, names = row.found or {}, _names(request, client_id)
    body = Body.of(measures_of(situation.client))
    pieces = []
    for one in found.get("pieces", []):
        known = names.described(one["key"])
        if known is not None:
            pieces.append(
                ChangedPieceOut(
                    piece_id=UUID(one["key"]),
                    title=known[1],
                    then=one["then"],
                    now=one["now"],
                    saved_by=names.tailored(one["saved_by"]),
                    flat=drawn(flat_of(body, Piece.of(known[2])).shapes),
                )
            )
    told = {key: found.get(key, 0) for key in ("then", "now", "saved")}
    return in_words(ChangedOut(job=job_of(row), pieces=pieces, **told))


@router.get("/edit/{uuid:search_id}", response=JobOut)
def look_after(request: MemberRequest, search_id: UUID) -> Any:
    """How far long work of an edit is."""
    return job_of(searches.look_after(request.user, search_id))


@router.post("/edit/{uuid:search_id}/cancel", response=JobOut)
def cancel(request: MemberRequest, search_id: UUID) -> Any:
    """Give long work up."""
    return job_of(searches.give_up(request.user, search_id))
