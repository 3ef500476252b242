"""Shop for this one's figures: of each product the size whose figures come nearest to those of a piece that is loved."""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import dataclass

from craft.advise.choose import Offer
from craft.cloth import Piece
from craft.cloth.kinds import KIND

#: By how much a figure may differ and the piece is worn alike, cm: about half of what one size differs from the next, for what goes
#: round; half a hem's usual turn for a length; less where a line on the body moves with it (W).
ALIKE_WITHIN = {"length": 1.5, "inseam": 1.5, "sleeve": 1.5, "front_rise": 1.0, "back_rise": 1.5, "neck_depth": 1.0,
                "shoulder": 1.0, "leg_opening": 1.5, "heel": 1.0, "shaft": 2.0}  # fmt: skip
GOES_ROUND = 2.0
#: What a figure that a shop does not tell is off by, and a word of cut that is another, in such steps (W: unknown is not right).
UNTOLD, ANOTHER_WORD = 1.0, 1.5
#: Words that make another piece of it.
CUT = ("cut", "rise", "fit", "hem", "sleeve", "neck")


@dataclass(frozen=True, slots=True)
class Likeness:
    """A product in the size that comes nearest: by how many cm each figure is more, which figures the shop does not tell, which words
    of its cut are others, and how far off it is in all (0 is the same)."""

    key: str
    size: str
    piece: Piece
    differs: tuple[tuple[str, float], ...]
    untold: tuple[str, ...]
    other_words: tuple[str, ...]
    off: float


def figures_to_match(loved: Piece) -> dict[str, float]:
    """The figures that were taken of a piece, in the order of its kind.

    >>> figures_to_match(Piece.of({"is": "jeans", "inseam_cm": 72, "front_rise_cm": 28}))
    {'front_rise_cm': 28.0, 'inseam_cm': 72.0}
    """
    told = ((key, loved.figure(key)) for key in KIND[loved.kind].figures if key.endswith("_cm") and key != "repeat_cm")
    return {key: cm for key, cm in told if cm is not None}


def most_alike(loved: Piece, offers: Iterable[Offer]) -> tuple[Likeness, ...]:
    """Products of its kind, those first that come nearest to a piece; none where nothing of it was measured.

    >>> sizes = {size: Piece.of({"is": "jeans", "inseam_cm": inseam}) for size, inseam in (("S", 70), ("L", 78))}
    >>> (found,) = most_alike(Piece.of({"is": "jeans", "inseam_cm": 72}), [Offer("a", sizes)])
    >>> found.size, found.differs
    ('S', (('inseam_cm', -2.0),))
    """
    wanted = figures_to_match(loved)
    if not wanted:
        return ()
    found = []
    for offer in offers:
        of_kind = [(size, piece) for size, piece in offer.sizes.items() if piece.kind == loved.kind]
        tried = [_held_against(offer.key, size, piece, loved, wanted) for size, piece in of_kind]
        if tried:
            found.append(min(tried, key=lambda one: one.off))
    return tuple(sorted(found, key=lambda one: (one.off, one.key)))


def _held_against(key: str, size: str, piece: Piece, loved: Piece, wanted: dict[str, float]) -> Likeness:
    told = {figure: piece.figure(figure) for figure in wanted}
    differs = tuple((figure, round(cm - wanted[figure], 1)) for figure, cm in told.items() if cm is not None)
    untold = tuple(figure for figure, cm in told.items() if cm is None)
    words = tuple(word for word in CUT if loved.word(word) and piece.word(word) not in (None, loved.word(word)))
    steps = sum(abs(cm) / ALIKE_WITHIN.get(figure.removesuffix("_cm"), GOES_ROUND) for figure, cm in differs)
    return Likeness(key, size, piece, differs, untold, words, steps + UNTOLD * len(untold) + ANOTHER_WORD * len(words))
