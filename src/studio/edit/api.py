"""The edit: what is proposed for each piece, what is missing, a capsule, what changed; decided by hand, each way back kept."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Any
from uuid import UUID

from django.http import HttpResponse
from ninja import Router, Status
from pydantic import BaseModel

from craft.body import Body
from craft.cloth import Piece
from craft.cloth.words import figure_name
from craft.draw.flats import flat_of
from craft.edit.shape import PLACES
from craft.formats.brief_form import BriefForm
from studio.bodies.known import measures_of
from studio.drawings import drawn
from studio.edit import services
from studio.edit.hanging import EditAsk
from studio.edit.models import KitPiece, Sorted, ToBuy
from studio.edit.shapes import (
    BuyingOut,
    CapsuleIn,
    CapsuleOut,
    CapsulePartOut,
    ChangedOut,
    ChangedPieceOut,
    ClusterOut,
    ColoursOut,
    DayOut,
    DecideIn,
    DecidingOut,
    GainOut,
    GapNumberOut,
    GapsOut,
    JobOut,
    KitIn,
    KitOut,
    KitPieceOut,
    OrphanOut,
    ProposalOut,
    SeveralOut,
    ShapeOut,
    SortedListOut,
    SortedOut,
    SortingOut,
    ToBuyChange,
    ToBuyIn,
    ToBuyOut,
    VerdictIn,
    VerdictOut,
    words,
)
from studio.edit.telling import Names, days_of, job_of
from studio.outfits import services as searches
from studio.outfits.models import DONE
from studio.people.models import Client
from studio.rack.naming import title_of
from studio.requests import MemberRequest
from studio.schemas import Refusal, words_of
from studio.stored import stored

router = Router()


def _told(answer: BaseModel) -> HttpResponse:
    """An answer with pieces in the words of the craft, and nothing that is not said."""
    return HttpResponse(answer.model_dump_json(by_alias=True, exclude_none=True), content_type="application/json")


def _names(request: MemberRequest, client_id: UUID, new: Mapping[str, dict[str, Any]] | None = None) -> Names:
    return Names.of(client_id, request.user.studio_id, request.user.studio.unit, new)


@router.post("/clients/{uuid:client_id}/edit/sorting", response=SortingOut, exclude_none=True, by_alias=True)
def sorting(request: MemberRequest, client_id: UUID) -> Any:
    """What is proposed for each piece of a wardrobe and why, and what the whole says; read in the background."""
    row, situation = services.ask_for(request.user, client_id, EditAsk("sorting"))
    # While it is read anew, what was read last stands: nobody has to wait with a piece in the hand.
    found = row.found if row.state == DONE else services.last_found(situation.client, "sorting")
    names = _names(request, client_id)
    return _told(
        SortingOut(
            job=job_of(row),
            pieces=[
                _proposal(key, found["pieces"][key], names) for key in found.get("order", []) if key in names.owned
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


def _proposal(key: str, one: Mapping[str, Any], names: Names) -> ProposalOut:
    twin = names.described(one["twin"]) if one["twin"] else None
    return ProposalOut(
        piece_id=UUID(key),
        decision=one["decision"],
        reason=names.say(one["reason"]),
        works=one["works"],
        share=one["share"],
        adoption=names.adoption(one["adoption"]),
        twin=twin[1] if twin else "",
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
    return _told(
        GapsOut(
            job=job_of(row),
            gains=[_gain(one, names) for one in found.get("gains", [])],
            lead=found.get("lead", []),
            small=found.get("small", []),
            together=[
                SeveralOut(**one, titles=[title_of(Piece.of(new[key])) for key in one["keys"]])
                for one in found.get("together", [])
            ],
            **{key: found.get(key, 0) for key in ("weighed", "listed", "tried", "candidates")},
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
    return _told(
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
    return _told(ChangedOut(job=job_of(row), pieces=pieces, **told))


@router.get("/edit/{uuid:search_id}", response=JobOut)
def look_after(request: MemberRequest, search_id: UUID) -> Any:
    """How far long work of an edit is."""
    return job_of(searches.look_after(request.user, search_id))


@router.post("/edit/{uuid:search_id}/cancel", response=JobOut)
def cancel(request: MemberRequest, search_id: UUID) -> Any:
    """Give long work up."""
    return job_of(searches.give_up(request.user, search_id))


@router.get("/clients/{uuid:client_id}/edit/sorted", response=SortedListOut)
def sorted_pieces(request: MemberRequest, client_id: UUID) -> Any:
    """Every decision about a client's pieces, and where those go that leave."""
    return SortedListOut(decisions=[sorted_out(row) for row in services.sorted_of(request.user, client_id)])


@router.put("/rack/{uuid:piece_id}/sorted", response={200: SortedOut, 409: Refusal, 422: Refusal})
def decide(request: MemberRequest, piece_id: UUID, given: DecideIn) -> Any:
    """Decide of a piece; told where somebody else has decided meanwhile."""
    told = given.model_dump(exclude={"id", "version"})
    return sorted_out(services.decide(request.user, piece_id, given.id, given.version, **told))


@router.delete("/rack/{uuid:piece_id}/sorted", response={204: None})
def undecide(request: MemberRequest, piece_id: UUID) -> Any:
    """Take a decision back: the piece hangs as it did."""
    services.undecide(request.user, piece_id)
    return Status(204, None)


@router.post("/rack/{uuid:piece_id}/gone", response={200: SortedOut, 422: Refusal})
def gone(request: MemberRequest, piece_id: UUID) -> Any:
    """Say that a piece on a list is gone."""
    return sorted_out(services.gone(request.user, piece_id))


@router.delete("/rack/{uuid:piece_id}/gone", response=SortedOut)
def not_gone(request: MemberRequest, piece_id: UUID) -> Any:
    """Undo that a piece is gone."""
    return sorted_out(services.not_gone(request.user, piece_id))


def sorted_out(row: Sorted) -> SortedOut:
    """A decision as it is told."""
    decision: Any = row.decision
    goes: Any = row.goes
    return SortedOut(
        id=row.id,
        version=row.version,
        piece_id=row.piece_id,
        title=row.piece.name or title_of(Piece.of(row.piece.piece)),
        decision=decision,
        proposed=row.proposed,
        word=row.word,
        goes=goes,
        place=row.place,
        on=row.on,
        gone_at=row.gone_at,
        by=row.changed_by.name if row.changed_by else "",
    )


@router.get("/kit", response=KitOut, exclude_none=True, by_alias=True)
def kit(request: MemberRequest) -> Any:
    """The studio's kit: pieces that travel along."""
    return _told(KitOut(pieces=[_kit(row) for row in KitPiece.objects.of(request.user).not_removed()]))


@router.post("/kit", response={201: KitPieceOut, 422: Refusal}, exclude_none=True, by_alias=True)
def carry(request: MemberRequest, given: KitIn) -> Any:
    """Put a piece into the kit, said in one line."""
    return Status(201, _kit(services.carry(request.user, given.id, given.line)))


@router.delete("/kit/{uuid:kit_id}", response={204: None})
def leave_home(request: MemberRequest, kit_id: UUID) -> Any:
    """Take a piece out of the kit; can be undone."""
    services.leave_home(request.user, kit_id)
    return Status(204, None)


@router.post("/kit/{uuid:kit_id}/restore", response=KitPieceOut, exclude_none=True, by_alias=True)
def carry_again(request: MemberRequest, kit_id: UUID) -> Any:
    """Undo the taking out."""
    return _kit(services.carry_again(request.user, kit_id))


def _kit(row: KitPiece) -> KitPieceOut:
    piece = Piece.of(row.piece)
    return KitPieceOut(id=row.id, title=row.name or title_of(piece), slot=piece.slot, words=words(row.piece))


@router.get("/clients/{uuid:client_id}/buying", response=BuyingOut, exclude_none=True, by_alias=True)
def buying(request: MemberRequest, client_id: UUID) -> Any:
    """A client's buying list."""
    rows = services.buying_of(request.user, client_id)
    client: Client = Client.objects.of(request.user).get_or_404(id=client_id)
    budget = stored(BriefForm, client.brief).budget
    return _told(BuyingOut(things=[to_buy_out(row) for row in rows], currency=budget.currency, budget=budget.amount))


@router.post(
    "/clients/{uuid:client_id}/buying", response={201: ToBuyOut, 422: Refusal}, exclude_none=True, by_alias=True
)
def to_buy(request: MemberRequest, client_id: UUID, given: ToBuyIn) -> Any:
    """Put a thing on the buying list."""
    told = given.model_dump(include={"why", "looks", "price", "when"})
    row = services.to_buy(request.user, client_id, given.id, words_of(given.piece), **told)
    return Status(201, to_buy_out(row))


@router.patch("/buying/{uuid:buy_id}", response={200: ToBuyOut, 409: Refusal}, exclude_none=True, by_alias=True)
def change_buy(request: MemberRequest, buy_id: UUID, given: ToBuyChange) -> Any:
    """Change a thing on the list: when, for how much, bought."""
    changes = given.model_dump(exclude={"version"}, exclude_unset=True)
    changes = {key: value for key, value in changes.items() if value is not None or key == "price"}
    return _told(to_buy_out(services.change_buy(request.user, buy_id, given.version, **changes)))


@router.delete("/buying/{uuid:buy_id}", response={204: None})
def strike(request: MemberRequest, buy_id: UUID) -> Any:
    """Take a thing off the list; can be undone."""
    services.strike(request.user, buy_id)
    return Status(204, None)


@router.post("/buying/{uuid:buy_id}/restore", response=ToBuyOut, exclude_none=True, by_alias=True)
def unstrike(request: MemberRequest, buy_id: UUID) -> Any:
    """Undo a removal."""
    return _told(to_buy_out(services.unstrike(request.user, buy_id)))


def to_buy_out(row: ToBuy) -> ToBuyOut:
    """A thing of the buying list as it is told."""
    when: Any = row.when
    return ToBuyOut(
        id=row.id,
        version=row.version,
        title=title_of(Piece.of(row.piece)),
        words=words(row.piece),
        why=row.why,
        looks=row.looks,
        price=row.price,
        when=when,
        bought=row.bought,
    )


@router.post("/clients/{uuid:client_id}/buying/verdict", response={200: VerdictOut, 422: Refusal})
def verdict(request: MemberRequest, client_id: UUID, given: VerdictIn) -> Any:
    """Whether to buy a piece: does it fit, how many outfits does it make with what hangs there, what would it need."""
    found, situation = services.verdict_on(request.user, client_id, words_of(given.piece))
    unit = request.user.studio.unit
    hanging = situation.hanging
    return VerdictOut(
        verdict=found.verdict,
        reasons=[reason.say(unit) for reason in found.reasons],
        looks=list(found.looks),
        days=[DayOut(name=name, share=day.share) for name, day in zip(hanging.day_names, hanging.days, strict=True)],
    )
