"""How each measure is taken: where the tape lies, what the client does, what goes wrong.

The order is the one that moves round a body least: with the tape's end on the floor, down the
side from the crown; then up the front, girth by girth, from the ankle; then across, and along.
"""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal

from craft.body.measures import MEASURES
from craft.errors import UnknownMeasure

Turn = Literal["down the side", "up the front", "the arm", "across", "along the body"]


@dataclass(frozen=True, slots=True)
class Card:
    """One measure as the hand takes it."""

    measure: str
    turn: Turn
    tape: str
    client: str
    slip: str


def _turn(turn: Turn, *rows: tuple[str, str, str, str]) -> tuple[Card, ...]:
    return tuple(Card(measure, turn, tape, client, slip) for measure, tape, client, slip in rows)


_UPRIGHT = "Stands straight, heels together, eyes level, weight on both feet."
_CARDS = (
    *_turn(
        "down the side",
        (
            "stature",
            "Floor to crown, a flat thing laid level on the head.",
            "Barefoot against a wall. " + _UPRIGHT,
            "Hair and shoes counted in; chin lifted.",
        ),
        (
            "shoulder_height",
            "Floor to the high point of the shoulder, where a strap would hang.",
            _UPRIGHT + " Shoulders let down.",
            "Taken at the arm’s end, which is lower.",
        ),
        (
            "bust_height",
            "Floor to the apex of the bust, in the bra usually worn.",
            "May hold the end of the tape at the apex.",
            "Another bra than the usual one moves it by centimetres.",
        ),
        (
            "under_bust_height",
            "Floor to the crease under the bust, where the band sits.",
            "Breathes normally, arms a little away.",
            "The band has ridden up at the back.",
        ),
        (
            "waist_height",
            "Floor to the natural waist, where the side bends in.",
            "Bends once to the side: the crease is the waist.",
            "Taken at the trouser band instead of the bend.",
        ),
        ("navel_height", "Floor to the navel.", "Breathes out and lets the belly go.", "Belly drawn in."),
        (
            "high_hip_height",
            "Floor to the top of the hip bone at the side.",
            "Points to the bone with a finger.",
            "Mixed up with the fullest hip, a hand lower.",
        ),
        (
            "hip_height",
            "Floor to the fullest place of the seat, seen from the side.",
            "Stands side on, feet together.",
            "Read from the front, where it looks higher.",
        ),
        (
            "crotch_height",
            "Floor to the crotch: the inside leg.",
            "Holds the upper end of the tape in place, feet a hand apart.",
            "Trousers that hang low are measured instead of the leg.",
        ),
        (
            "mid_thigh_height",
            "Floor to half way between crotch and knee.",
            _UPRIGHT,
            "Guessed at the hem of the shorts worn.",
        ),
        ("knee_height", "Floor to the middle of the kneecap.", "Knee straight, not locked.", "Leg bent a little."),
        ("calf_height", "Floor to the fullest calf, seen from the side.", "Weight on both feet.", "On tiptoe."),
        (
            "narrow_ankle_height",
            "Floor to the narrowest place of the leg, just above the ankle bone.",
            "Trouser leg pushed up.",
            "Taken at the bone, which is lower.",
        ),
        ("ankle_bone_height", "Floor to the middle of the outer ankle bone.", "Barefoot.", "Carpet counted in."),
    ),
    *_turn(
        "up the front",
        ("ankle", "Level round the narrowest leg.", "Weight on both feet.", "A sock under the tape."),
        ("calf", "Level round the fullest calf.", "Weight on both feet.", "Sitting: the calf spreads."),
        ("knee", "Level round the middle of the kneecap.", "Knee straight, not locked.", "Leg bent a little."),
        (
            "thigh",
            "Level round the fullest thigh, just below the crotch.",
            "Feet a hand apart.",
            "The tape slips down at the back.",
        ),
        ("hip", "Level round the fullest seat.", "Feet together.", "Pockets full; the tape rides up behind."),
        ("high_hip", "Level round the top of the hip bones.", "Breathes normally.", "Over a thick waistband."),
        (
            "belly",
            "Level round the fullest place of the middle, relaxed.",
            "Breathes out and lets go.",
            "Breath held; the tape biting.",
        ),
        ("waist", "Level round the bend at the side.", "Breathes out, arms down.", "Belly drawn in; a finger under."),
        ("under_bust", "Level where the band sits.", "Breathes out.", "The tape rides up at the back."),
        (
            "bust",
            "Level round the fullest bust and across the blades, in the usual bra.",
            "May hold the tape in front; arms down once it lies.",
            "The tape drops at the back.",
        ),
        ("neck", "Round the base of the neck, a finger under.", "Looks ahead.", "Taken over a collar."),
    ),
    *_turn(
        "the arm",
        ("upper_arm", "Round the fullest upper arm.", "Arm hangs loose.", "Muscle tensed."),
        (
            "elbow_length",
            "From the shoulder’s end to the tip of the elbow.",
            "Arm bent a little, hand on the hip.",
            "Begun at the neck.",
        ),
        (
            "arm_length",
            "From the shoulder’s end over the elbow to the wrist bone.",
            "Arm bent a little, hand on the hip.",
            "Arm straight: the sleeve comes out short.",
        ),
        ("wrist", "Round the wrist bone.", "Hand open.", "A watch under the tape."),
    ),
    *_turn(
        "across",
        (
            "shoulder_breadth",
            "Across the back from one shoulder’s end to the other.",
            "Arms down, shoulders let down.",
            "Shoulders drawn back; begun beyond the bone.",
        ),
        (
            "hip_breadth",
            "Straight across at the fullest hip, between two books or rulers.",
            "Feet together.",
            "The tape follows the curve.",
        ),
    ),
    *_turn(
        "along the body",
        (
            "front_rise_navel",
            "From the crotch point up over the belly to the navel.",
            "Holds the end of the tape at the crotch.",
            "Measured in the air, straight up.",
        ),
        (
            "front_rise_waist",
            "On over the navel to the natural waist.",
            "Keeps holding the end.",
            "Ends at the trouser band.",
        ),
        (
            "back_rise",
            "From the crotch point over the seat to the natural waist behind.",
            "Stands straight; passes the end through.",
            "The tape hangs off the seat.",
        ),
        (
            "torso_girth",
            "From the shoulder down the front, through the crotch and up the back to the shoulder.",
            "Holds the tape at the shoulder.",
            "Pulled tight; a torso loop must not bite.",
        ),
        ("foot_length", "Heel to the longest toe.", "Standing, weight on both feet.", "Sitting: the foot is shorter."),
    ),
)

#: Cards by measure, in the order a full session takes them.
CARDS: dict[str, Card] = {card.measure: card for card in _CARDS}


@dataclass(frozen=True, slots=True)
class Protocol:
    """A list of measures to take, in order, and what it is for."""

    key: str
    name: str
    purpose: str
    measures: tuple[str, ...]


def in_order(measures: tuple[str, ...]) -> tuple[str, ...]:
    """Any list of measures in the order that moves round a body least. Raises UnknownMeasure.

    >>> in_order(("hip", "stature", "calf"))
    ('stature', 'calf', 'hip')
    """
    for name in measures:
        if name not in CARDS:
            raise UnknownMeasure(f"“{name[:40]}” is not on the measure list.")
    return tuple(name for name in CARDS if name in measures)


def _protocol(key: str, name: str, purpose: str, *measures: str) -> Protocol:
    return Protocol(key, name, purpose, in_order(measures))


_BOTTOMS = (
    *("stature", "waist_height", "navel_height", "hip_height", "crotch_height", "knee_height", "calf_height"),
    *("narrow_ankle_height", "ankle_bone_height", "waist", "belly", "high_hip", "hip", "thigh", "knee", "calf"),
    *("ankle", "front_rise_navel", "front_rise_waist", "back_rise"),
)
_TOPS = (
    *("stature", "shoulder_height", "bust_height", "under_bust_height", "waist_height", "high_hip_height"),
    *("hip_height", "neck", "bust", "under_bust", "waist", "belly", "high_hip", "hip", "upper_arm", "wrist"),
    *("shoulder_breadth", "elbow_length", "arm_length", "torso_girth"),
)
_SEATED = (
    *("neck", "bust", "under_bust", "waist", "belly", "hip", "thigh", "knee", "calf", "ankle", "upper_arm"),
    *("wrist", "shoulder_breadth", "elbow_length", "arm_length", "front_rise_navel", "back_rise", "foot_length"),
)

PROTOCOLS: dict[str, Protocol] = {
    protocol.key: protocol
    for protocol in (
        _protocol(
            "quick",
            "Quick",
            "The eight that settle most: shape, rise and leg.",
            *("stature", "navel_height", "crotch_height", "bust", "waist", "belly", "hip", "front_rise_navel"),
        ),
        _protocol("full", "Full", "Everything, once round the body.", *MEASURES),
        _protocol("trousers", "Trousers only", "What a waistband, a leg and a hem meet.", *_BOTTOMS),
        _protocol("tops", "Tops only", "What hangs from the shoulder.", *_TOPS),
        _protocol("seated", "Seated client", "What can be taken without standing up.", *_SEATED),
    )
}
