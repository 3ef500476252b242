"""What is worn below the waist: legs or a skirt, by what the piece hangs from."""

from __future__ import annotations

from craft.body import Body
from craft.cloth import Piece
from craft.cloth.kinds import KIND
from craft.schools import Schools
from craft.wear.bottom import WornBottom, wear_legs
from craft.wear.shoes import WornShoes
from craft.wear.skirt import wear_skirt


def wear_bottom(body: Body, piece: Piece, shoes: WornShoes, schools: Schools) -> WornBottom:
    """Put a bottom, or the part of a one-piece below the waist, on a body in these shoes.

    >>> from craft.body import Measures
    >>> from craft.wear.shoes import BAREFOOT
    >>> body = Body.of(Measures.of({"stature": 165, "knee_height": 45}))
    >>> wear_bottom(body, Piece.of({"is": "dress"}), BAREFOOT, Schools()).hem.cm
    45.0
    """
    if KIND[piece.kind].has_legs:
        return wear_legs(body, piece, shoes, schools)
    return wear_skirt(body, piece, shoes.lift, schools)


def wear_bottom_once(body: Body, piece: Piece, shoes: WornShoes, schools: Schools) -> WornBottom:
    """The same of a body that is looked at once, among many that are drawn: it is not kept at hand, where it would push out what
    is asked for again.

    >>> from craft.body import Measures
    >>> from craft.wear.shoes import BAREFOOT
    >>> body, jeans = Body.of(Measures.of({"stature": 165})), Piece.of({"is": "jeans"})
    >>> wear_bottom_once(body, jeans, BAREFOOT, Schools()) == wear_bottom(body, jeans, BAREFOOT, Schools())
    True
    """
    if KIND[piece.kind].has_legs:
        return wear_legs.__wrapped__(body, piece, shoes, schools)
    return wear_skirt.__wrapped__(body, piece, shoes.lift, schools)
