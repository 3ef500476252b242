"""What a swim top holds: the bust's fullness against cups, straps and band."""

from __future__ import annotations

from collections.abc import Iterator

from craft.fit.alter import Alteration
from craft.fit.fitting import Check, Fitting
from craft.units import Sentence

#: How much hold a detail gives, in steps (W, in the order practitioners rank them: brief, section 12).
HOLD = {"underwire": 2.0, "soft_cup": 1.0, "thick_strap": 1.0, "panel": 0.5, "thin_strap": 0.0, "full_cup": 1.0}
#: A halter or one-shoulder neck takes from what straps hold (W).
HANGS_FROM_NECK, LESS_AT_NECK = ("halter", "one_shoulder"), 0.5
#: A band this much smaller than the girth under the bust, as a share of it, holds by itself (W).
FIRM_BAND, BY_BAND = -0.05, 1.0
#: Fullness, bust less under-bust, cm, from which so many steps of hold are wanted (W).
WANTED = ((10.0, 1.0), (15.0, 2.0), (20.0, 3.0))
SUPPORTING = ("swimsuit", "bikini_top", "tankini")


def wanted_for(fullness: float) -> float:
    """Steps of hold wanted for a fullness, cm.

    >>> wanted_for(8), wanted_for(17)
    (0.0, 2.0)
    """
    return max((steps for least, steps in WANTED if fullness >= least), default=0.0)


def support(of: Fitting) -> Iterator[Check]:
    """Whether cups, straps and band hold the bust, where the piece says anything of them."""
    if of.piece.kind not in SUPPORTING:
        return
    details = {detail for key, said in of.piece.said if key == "swim_detail" for detail in said}
    band = of.ease("under bust")
    if not details & HOLD.keys() and band is None:
        return
    held = sum(HOLD.get(detail, 0.0) for detail in details)
    held -= LESS_AT_NECK if of.piece.word("neck") in HANGS_FROM_NECK else 0.0
    held += BY_BAND if band is not None and band.cm / band.body <= FIRM_BAND else 0.0
    fullness = of.body.girth("bust") - of.body.girth("under_bust")
    at = of.body.height("bust") + of.lift
    missing = wanted_for(fullness) - held
    if missing <= 0:
        text = Sentence.of("Cups, straps and band hold a bust {by} fuller than under it.", by=fullness)
        yield Check("support", "fits", "Holds the bust", text, at)
        return
    lacking = [name for name, said in (("underwire", "an underwire"), ("thick_strap", "broad straps"), ("soft_cup", "sized cups"))
               if name not in details and not (name == "soft_cup" and "underwire" in details)]  # fmt: skip
    look = Alteration(
        "support", "shop", 0.0, Sentence(f"Look for {' and '.join(lacking[:2]) or 'a firmer band'}."),
        Sentence("Then it holds."),
    )  # fmt: skip
    text = Sentence.of("Little holds a bust {by} fuller than under it.", by=fullness)
    yield Check("support", "against" if missing >= 2 else "watch", "Little hold for the bust", text, at, (look,))
