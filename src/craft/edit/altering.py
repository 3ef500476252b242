"""What a tailor can make of a piece: one figure changed, the least change that makes it fit, and how that is said."""

from __future__ import annotations

from collections.abc import Iterator

from craft.cloth import Piece
from craft.cloth.words import figure_name
from craft.fit import land
from craft.search.alter import for_the_tailor
from craft.search.crew import Asked
from craft.search.ways import misfit
from craft.units import Sentence
from craft.wear import BAREFOOT, WornShoes
from craft.wear.length import fall_of

#: By so many cm a tailor shortens (W: a hem on its own is taken up so far at most), the least first.
SHORTENS = (2.0, 4.0, 6.0, 8.0, 10.0, 12.0, 16.0, 20.0)
#: A tailor takes in or lets out by up to so much to make a piece fit; what asks for more is another piece (cm; W).
MOST_ALTERED = 10.0
#: A figure, and by how many cm it changes: less is shorter or closer.
Change = tuple[str, float]


def altered(asked: Asked, piece: Piece, shoes: WornShoes = BAREFOOT) -> Iterator[tuple[str, float, Piece]]:
    """A piece with one figure changed by the tailor, the least changes first: the figure, by how many cm, the piece so."""
    fall = fall_of(asked.body, piece)
    landed = land(asked.body, piece, shoes, asked.schools)
    has: dict[str, float] = {key: figure for key in piece.row.figures if (figure := piece.figure(key)) is not None}
    if fall is not None and landed.edges:
        has.setdefault(fall.figure, fall.length(landed.edge("hem").falls_to, shoes.lift))
    changes = [(key, by) for key, by in for_the_tailor(asked.body, piece, shoes, asked.schools).items() if key in has]
    if fall is not None and fall.figure in has:
        changes += [(fall.figure, -by) for by in SHORTENS]
    for key, by in sorted(changes, key=lambda one: abs(one[1])):
        if has[key] + by > 0:
            yield key, by, piece.with_(**{key: has[key] + by})


def saved_by(asked: Asked, piece: Piece) -> tuple[Change, Piece] | None:
    """The least change with which a piece fits, and the piece so; None where no tailor makes it good.

    >>> from craft.body import Body, Measures
    >>> asked = Asked(Body.of(Measures.of({"stature": 165})))
    >>> saved_by(asked, Piece.of({"is": "jeans", "waist_cm": 50})) is None
    True
    """
    for figure, by, other in altered(asked, piece):
        if abs(by) <= MOST_ALTERED and misfit(asked.body, other, schools=asked.schools) is None:
            return (figure, by), other
    return None


def said_of(change: Change) -> Sentence:
    """What the tailor is told.

    >>> said_of(("inseam_cm", -6.0)).say()
    'Take 6 cm off the inseam'
    """
    figure, by = change
    does = "Take {by} off the" if by < 0 else "Let out by {by} the"
    return Sentence.of(f"{does} {figure_name(figure)}", by=abs(by))
