"""What the shops have that is most like a piece of the rack, by its figures."""

from __future__ import annotations

from typing import Any
from uuid import UUID

from ninja import Router
from pydantic import BaseModel

from craft.advise.alike import Likeness, figures_to_match, most_alike
from craft.advise.choose import Choice
from craft.cloth import Piece
from craft.cloth.words import figure_name, said
from studio.rack.models import RackPiece
from studio.requests import MemberRequest
from studio.schemas import Refusal, answer
from studio.shopping import feed
from studio.shopping.api import Heel, OnOffer, offer_out
from studio.shopping.services import land_on, shopper_of

router = Router()
#: So many are worth holding against each other (W).
MOST = 5


class Differs(BaseModel):
    """A figure, and by how many cm the shop's is more."""

    figure: str
    cm: float


class LikeOut(BaseModel):
    """A product in the size that comes nearest: what differs, what the shop does not tell, which of its words are others."""

    offer: OnOffer
    differs: list[Differs]
    untold: list[str]
    other_words: list[str]


class LikesOut(BaseModel):
    """The nearest first; `figures` are those of the piece that were held against: none, and nothing can be found."""

    figures: list[str]
    likes: list[LikeOut]


@router.get("/rack/{uuid:piece_id}/like", response={200: LikesOut, 503: Refusal})
def like_this_one(request: MemberRequest, piece_id: UUID, heel_cm: Heel = 2.0) -> Any:
    """Shop for this one's figures: what of its kind comes nearest to a piece, in which size, and how that lands."""
    row: RackPiece = RackPiece.objects.of(request.user).not_removed().get_or_404(id=piece_id)
    loved, shopper = Piece.of(row.piece), shopper_of(request.user, row.client_id)
    wanted = figures_to_match(loved)
    if not wanted:
        return answer(LikesOut(figures=[], likes=[]))
    stock = feed.shelf()

    def told(one: Likeness) -> LikeOut:
        choice = Choice(one.key, one.size, land_on(shopper, one.piece, heel_cm), one.off)
        return LikeOut(
            offer=offer_out(choice, stock.products[one.key], shopper.unit),
            differs=[Differs(figure=figure_name(figure), cm=cm) for figure, cm in one.differs],
            untold=[figure_name(figure) for figure in one.untold],
            other_words=[f"{said(str(one.piece.word(word)))} {said(word)}" for word in one.other_words],
        )

    likes = [told(one) for one in most_alike(loved, stock.offers)[:MOST]]
    return answer(LikesOut(figures=[figure_name(figure) for figure in wanted], likes=likes))
