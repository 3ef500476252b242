"""The whole reading of a body, with sentences that a stylist can say aloud."""

from __future__ import annotations

from dataclasses import dataclass
from functools import lru_cache

from craft.body import Body, ShapeReading, read_front, read_shape
from craft.read.advice import Advice, advice_for
from craft.read.balance import Part, Place, StatureWord, WaistWord, parts, places, stature_word, waist_word
from craft.units import Sentence

#: A seated hem rises by about this share of the knee's girth: the cloth has to go over the bent
#: knee, a quarter of a circle (W).
SEATED_HEM_OVER_KNEE = 0.25
#: A seated back rise needs about this share of the hip's girth more (W: the seat fills out as the
#: hip bends).
SEATED_BACK_OVER_HIP = 0.06
#: Sitting, crown above the seat over stature. G89 (sitting height).
SITTING_OVER_STATURE = 0.523


@dataclass(frozen=True, slots=True)
class Seated:
    """What sitting changes, cm: how far hems rise, how much more the back of a band needs, and how
    much of the person shows above the seat."""

    hem_rises: float
    back_needs: float
    above_seat: float


@dataclass(frozen=True, slots=True)
class BodyReading:
    """Everything a body's measures say."""

    girths: ShapeReading
    front: ShapeReading
    parts: tuple[Part, ...]
    places: tuple[Place, ...]
    stature: StatureWord
    waist: WaistWord
    seated: Seated
    advice: tuple[Advice, ...]
    both_sides: bool
    sentences: tuple[Sentence, ...]


@lru_cache(maxsize=512)
def read_body(body: Body) -> BodyReading:
    """Read a body.

    >>> from craft.body import Measures
    >>> read_body(Body.of(Measures.of({"stature": 158, "bust": 88, "waist": 72, "hip": 104}))).stature
    'petite'
    """
    girths, front = read_shape(body), read_front(body)
    near = girths.runner_up.shape if girths.runner_up and girths.near_border else None
    shapes = (girths.shape, near) if near else (girths.shape,)
    divided, found = parts(body), places(body)
    seated = Seated(
        SEATED_HEM_OVER_KNEE * body.girth("knee"),
        SEATED_BACK_OVER_HIP * body.girth("hip"),
        SITTING_OVER_STATURE * body.stature,
    )
    word, waist = stature_word(body.stature), waist_word(body)
    said = (*_of_shape(girths, front), *_of_balance(divided, word, waist), *_of_places(found))
    return BodyReading(girths, front, divided, found, word, waist, seated, advice_for(*shapes), near is not None, said)


_LINES = {
    "rectangle": "The line runs straight from shoulder to hip.",
    "triangle": "The line opens towards the hip.",
    "inverted_triangle": "The line opens towards the shoulder.",
    "hourglass": "The line comes in clearly at the waist, with bust and hip close to one another.",
    "oval": "The line is roundest in the middle, on slim legs.",
}


def _of_shape(girths: ShapeReading, front: ShapeReading) -> list[Sentence]:
    said = [Sentence(_LINES[girths.shape])]
    if girths.runner_up and girths.near_border:
        other = girths.runner_up.shape.replace("_", " ")
        said.append(Sentence(f"It is close to {other} too, so we choose what does well for both."))
    if front.shape != girths.shape and front.settled:
        seen = front.shape.replace("_", " ")
        said.append(Sentence(f"From the front it reads more as {seen}: cloth that meets the eye can follow that."))
    said.append(
        Sentence(
            "There is a waist to mark."
            if girths.has_waist
            else "The waist is quiet; a line can be drawn there or left out."
        )
    )
    return said


def _of_balance(divided: tuple[Part, ...], stature: StatureWord, waist: WaistWord) -> list[Sentence]:
    by_name = {part.name: part for part in divided}
    said = []
    if stature == "petite":
        said.append(Sentence("On a petite frame few edges and short breaks go furthest."))
    if stature == "tall":
        said.append(Sentence("Height leaves room for long lines and for an edge more."))
    if waist == "short_waisted":
        said.append(Sentence("The torso is short against a long leg: the break may sit lower."))
    elif waist == "long_waisted":
        said.append(Sentence("The torso is long: a higher break gives the leg its length."))
    else:
        said.append(Sentence("Torso and leg are in the usual balance."))
    if by_name["lower leg"].word == "long" and by_name["thigh"].word != "long":
        said.append(Sentence("The length lies below the knee: midi hems and ankle lengths have room."))
    if by_name["thigh"].word == "long" and by_name["lower leg"].word != "long":
        said.append(Sentence("The length lies in the thigh: hems above the knee have room, and calf hems come early."))
    return said


def _of_places(found: tuple[Place, ...]) -> list[Sentence]:
    by_name = {place.name: place for place in found}
    narrow = [name for name in ("waist", "under the bust") if by_name[name].by < -2.0]
    said = []
    if narrow:
        said.append(Sentence(f"Edges sit well {' and '.join(_at(name) for name in narrow)}."))
    calf, ankle = by_name["fullest calf"], by_name["above the ankle bone"]
    if calf.girth - ankle.girth > 12.0:
        said.append(Sentence("The leg comes in well above the ankle bone: a fine place for a hem."))
    return said


def _at(name: str) -> str:
    return name if name.startswith(("under", "above")) else f"at the {name}"
