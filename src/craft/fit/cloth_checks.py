"""Checks that follow from the cloth rather than from the cut: what wear does to it, and what shows through it."""

from __future__ import annotations

from collections.abc import Iterator

from craft.cloth import Piece
from craft.cloth.colour import hex_of, lightness
from craft.cloth.stretch import loosens
from craft.fit.alter import Alteration, belt, take_in
from craft.fit.fitting import GAPES, Check, Fitting, Stance
from craft.units import Sentence

#: A day's growth of a band that is worth saying, cm (W).
WORTH_SAYING = 0.5
#: Lighter than this (OKLCH lightness), and lighter in weight than this, g/m², a cloth lets what is under it be
#: seen (W; brief, section 4: white and light, tight or thin cloth shows what is under it).
LIGHT_COLOUR, LIGHT_WEIGHT = 0.88, 170.0
_NEXT_TO_SKIN = ("bottom", "one_piece", "top")


def loosening(of: Fitting) -> Iterator[Check]:
    """What a day of wear does to a waistband."""
    ease = of.ease("band")
    share = loosens(of.piece)
    if ease is None or share * ease.garment < WORTH_SAYING:
        return
    grows = share * ease.garment
    later = ease.cm + grows
    at = ease.height + of.lift
    if ease.cm <= GAPES < later:
        text = Sentence.of(
            "Through the day it gives by about {grows}: the band stands off by {later} in the evening.",
            grows=grows, later=later,
        )  # fmt: skip
        yield Check(
            "loosens", "watch", "Gapes after a day", text, at, (belt(later), take_in(later - 1.0, "waist", 1.0))
        )
    else:
        text = Sentence.of("Through the day it gives by about {grows} at the waist.", grows=grows)
        yield Check("loosens", "fits", "Gives a little in wear", text, at)


def shows_through(of: Fitting) -> Iterator[Check]:
    """Light and thin cloth close to the skin shows what is under it."""
    piece = of.piece
    if piece.slot not in _NEXT_TO_SKIN or not sheer(piece):
        return
    close = any(ease.word in ("tight", "fitted") for ease in of.eases)
    hem = of.edge("waistband") or of.edge("hem")
    at = hem.height if hem else of.body.height("hip") + of.lift
    stance: Stance = "against" if close and piece.slot != "top" else "watch"
    text = Sentence("What is worn under it shows" + (", the more so as it lies close." if close else "."))
    mends = (
        Alteration(
            "up",
            "shop",
            0.0,
            Sentence("Try the size above: white and pale cloth wants room."),
            Sentence("Then it skims instead of showing."),
        ),
        Alteration("under", "free", 0.0, Sentence("Wear skin tones under it."), Sentence("Then nothing stands out.")),
        Alteration("line", "tailor", 0.0, Sentence("Have it lined."), Sentence("Then it covers.")),
    )
    yield Check("sheer", stance, "Shows what is under it", text, at, mends)


def sheer(piece: Piece) -> bool:
    """Whether a cloth lets what is under it be seen.

    >>> sheer(Piece.of({"is": "trousers", "colour": "white", "fabric": ["linen", "thin"]}))
    True
    >>> sheer(Piece.of({"is": "trousers", "colour": "white"}))
    False
    """
    said = piece.word("sheerness")
    if said is not None:
        return said != "opaque"
    if "sheer" in piece.fabric:
        return True
    weight = piece.figure("weight_gsm")
    thin = weight < LIGHT_WEIGHT if weight is not None else "thin" in piece.fabric
    colour = piece.word("colour")
    return thin and colour is not None and lightness(hex_of(colour)) > LIGHT_COLOUR


def belt_closes(of: Fitting) -> Iterator[Check]:
    """A belt between its first hole and its last."""
    first, last = of.piece.figure("first_hole_cm"), of.piece.figure("last_hole_cm")
    if of.piece.kind != "belt" or (first is None and last is None):
        return
    waist, at = of.body.girth("waist"), of.body.height("waist") + of.lift
    if first is not None and waist < first:
        text = Sentence.of(
            "Its first hole closes at {first}, {by} too wide for the waist.", first=first, by=first - waist
        )
        mend = Alteration("hole", "tailor", first - waist, Sentence.of("Punch a hole {by} further in.", by=first - waist),
                          Sentence("Then it closes on the waist."))  # fmt: skip
        yield Check("belt", "against", "Too long to close", text, at, (mend,))
    elif last is not None and waist > last:
        text = Sentence.of("Its last hole closes at {last}, {by} short of the waist.", last=last, by=waist - last)
        yield Check("belt", "against", "Does not close", text, at)
    else:
        text = Sentence.of("It closes on a waist of {waist}.", waist=waist)
        yield Check("belt", "fits", "Closes on the waist", text, at)
