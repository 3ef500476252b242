"""Alterations, solved: by how many cm, and where the edge lands afterwards."""

from __future__ import annotations

import math
from dataclasses import dataclass
from typing import Literal

from craft.body import Body
from craft.cloth import Piece
from craft.fit.edges import LandedEdge, place
from craft.units import Sentence
from craft.wear.cuts import CUFF_CM
from craft.wear.landing import landed_height, name_height

Cost = Literal["free", "shoe", "tailor", "shop"]
#: The most turns of a cuff that still lie flat (W).
MOST_FOLDS = 3
#: The most that is turned inwards and taped, cm: more stands off (W).
MOST_TAPED = 6.0
#: Seams leave about so much to let out, cm, where nobody has looked (W: 1 cm on each of two seams).
ALLOWANCE = 2.0
#: A heel changes by no more than this, cm.
MOST_HEEL = 10.0


@dataclass(frozen=True, slots=True)
class Alteration:
    """One change of a piece: what it costs, by how many cm, and what it reaches."""

    key: str
    cost: Cost
    cm: float
    text: Sentence
    reaches: Sentence


#: What moves a top's edge for nothing (brief, section 5).
TUCK = Alteration(
    "tuck", "free", 0.0, Sentence("Tuck it, in front or all round."), Sentence("Then the edge is the waistband’s.")
)


def _reached(body: Body, height: float, lift: float) -> Sentence:
    return Sentence.of(
        f"Then it lands {{height}} above the ground, {place(name_height(body, height, lift))}.", height=height
    )


def hem_to(body: Body, edge: LandedEdge, word: str, lift: float) -> Alteration | None:
    """Shorten a hem to a word; None where it is shorter already."""
    target = landed_height(body, word, lift)
    by = target - edge.falls_to
    if by < 0.5:
        return None
    text = Sentence.of(f"Hem it by {{by}}, to end {place(word)}.", by=by)
    return Alteration("hem", "tailor", by, text, _reached(body, target, lift))


def tape_to(body: Body, edge: LandedEdge, word: str, lift: float) -> Alteration | None:
    """A stop-gap for a hem that is too long: tape that irons on holds it up until the tailor has it; turned inwards, at most
    so far as lies flat."""
    by = landed_height(body, word, lift) - edge.falls_to
    if not 0.5 <= by <= MOST_TAPED:
        return None
    text = Sentence.of("As a stop-gap turn {by} inwards and iron tape under it.", by=by)
    return Alteration("tape", "free", by, text, _reached(body, edge.falls_to + by, lift))


def cuff_to(body: Body, edge: LandedEdge, word: str, lift: float) -> Alteration | None:
    """Turn it up: the number of folds that comes nearest, if they lie flat."""
    by = landed_height(body, word, lift) - edge.falls_to
    folds = round(by / CUFF_CM)
    if not 1 <= folds <= MOST_FOLDS:
        return None
    times = {1: "once", 2: "twice", 3: "three times"}[folds]
    text = Sentence.of(f"Turn it up {times}, {{fold}} a fold.", fold=CUFF_CM)
    return Alteration("cuff", "free", folds * CUFF_CM, text, _reached(body, edge.falls_to + folds * CUFF_CM, lift))


def heel_for(body: Body, edge: LandedEdge, heel: float) -> Alteration | None:
    """Another heel, so that a floor length skims the foot; a heel moves the floor, not the garment."""
    target = landed_height(body, "foot", heel)
    needed = heel + target - edge.falls_to
    if not needed - heel >= 0.5 or needed > MOST_HEEL:
        return None
    text = Sentence.of("Wear it with a heel of {needed}.", needed=needed)
    return Alteration("heel", "shoe", needed - heel, text, _reached(body, edge.falls_to + needed - heel, needed))


def heel_of(body: Body, edge: LandedEdge, heel: float, needed: float) -> Alteration | None:
    """A heel of so many cm, where that is more than the one worn and can be worn at all."""
    if not heel < needed <= MOST_HEEL:
        return None
    text = Sentence.of("Wear it with a heel of {needed}.", needed=needed)
    return Alteration("heel", "shoe", needed - heel, text, _reached(body, edge.falls_to + needed - heel, needed))


def take_in(by: float, where: str, leaves: float) -> Alteration:
    """Take in a girth by so much."""
    text = Sentence.of(f"Take it in by {{by}} at the {where}.", by=by)
    return Alteration("take_in", "tailor", by, text, Sentence.of("Then {leaves} of ease is left.", leaves=leaves))


def let_out(missing: float, where: str) -> Alteration:
    """Let out a girth, where the seams have it; else the next size."""
    if missing <= ALLOWANCE:
        text = Sentence.of(f"Let it out by {{by}} at the {where}, if the seams allow.", by=missing)
        return Alteration("let_out", "tailor", missing, text, Sentence("Then it goes round without pulling."))
    return other_size(missing, where)


def other_size(missing: float, where: str) -> Alteration:
    """What no seam can give: another size."""
    text = Sentence.of(f"Look for {{by}} more at the {where}: another size.", by=missing)
    return Alteration("size", "shop", missing, text, Sentence("Then it goes round without pulling."))


def belt(gap: float) -> Alteration:
    """A belt takes up what stands off."""
    text = Sentence.of("A belt takes up the {gap} that stands off.", gap=gap)
    return Alteration("belt", "free", gap, text, Sentence("The band lies on; the cloth gathers a little behind."))


def shorten_sleeve(piece: Piece, by: float) -> tuple[Alteration, ...]:
    """A sleeve that is too long: pushed up for nothing, or shortened."""
    reaches = Sentence("Then it ends at the wrist bone.")
    tailor = Alteration("sleeve", "tailor", by, Sentence.of("Shorten the sleeve by {by}.", by=by), reaches)
    if piece.kind in ("blazer", "coat"):
        return (tailor,)
    folds = max(1, math.ceil(by / CUFF_CM))
    text = Sentence(f"Roll it {'once' if folds == 1 else f'{folds} times'}.")
    return (Alteration("roll", "free", by, text, Sentence("Then the wrist shows.")), tailor)
