"""The demo studio: invented people of an invented town, whose work makes demands on clothes."""

from __future__ import annotations

from dataclasses import dataclass, field
from typing import Any

STUDIO = "Hollin Row"
STYLISTS = (("maud@hollinrow.example", "Maud Averill"), ("tobin@hollinrow.example", "Tobin Hale"))
OTHER_STUDIO = "Quay Street"
OTHER_STYLIST = ("ines@quaystreet.example", "Ines Corbel")

Piece = dict[str, Any]


@dataclass(frozen=True)
class Person:
    """One demo client: what they do, what the tape said, and their looks."""

    name: str
    note: str
    measures: dict[str, float]
    aims: dict[str, list[str]] = field(default_factory=dict)
    looks: tuple[tuple[str, list[Piece]], ...] = ()


PEOPLE = (
    Person(
        "Ottoline Brae",
        "Cellist at Tillenbrook. Sits with an instrument four hours a day; black on stage.",
        {
            "stature": 165,
            "shoulder_height": 136,
            "waist_height": 104,
            "navel_height": 99,
            "crotch_height": 76,
            "bust": 92,
            "waist": 74,
            "belly": 84,
            "hip": 100,
            "thigh": 58,
            "calf": 37,
            "shoulder_breadth": 38,
            "front_rise_navel": 28,
        },
        {"wants": ["lengthen_legs"]},
        (
            (
                "Rehearsal",
                [
                    {"is": "knit", "fit": "relaxed", "tuck": "front", "colour": "burgundy"},
                    {"is": "jeans", "cut": "straight", "rise": "high", "hem": "ankle", "colour": "dark_denim"},
                    {"is": "loafers", "toe": "almond", "colour": "black"},
                ],
            ),
            (
                "On stage",
                [
                    {"is": "blouse", "fit": "fitted", "tuck": "full", "neck": "v", "colour": "black"},
                    {"is": "trousers", "cut": "wide", "rise": "high", "hem": "foot", "colour": "black"},
                    {"is": "pumps", "heel": "kitten", "toe": "pointed", "colour": "black"},
                ],
            ),
            (
                "The jeans that never work",
                [
                    {"is": "shirt", "fit": "relaxed", "tuck": "none", "colour": "light_blue"},
                    {
                        "is": "jeans",
                        "cut": "wide",
                        "inseam_cm": 79,
                        "front_rise_cm": 25,
                        "rise": "high",
                        "colour": "mid_blue",
                    },
                    {"is": "ankle_boots", "bulk": "chunky", "toe": "round", "colour": "brown"},
                ],
            ),
        ),
    ),
    Person(
        "Idris Calloway",
        "Signwriter. Ladders, paint, all weathers; wants to look less like his van.",
        {
            "stature": 181,
            "crotch_height": 85,
            "navel_height": 109,
            "bust": 104,
            "waist": 90,
            "hip": 102,
            "shoulder_breadth": 43,
            "thigh": 60,
            "calf": 39,
        },
        {},
        (
            (
                "Yard",
                [
                    {"is": "sweatshirt", "fit": "relaxed", "colour": "olive"},
                    {
                        "is": "trousers",
                        "cut": "straight",
                        "hem": "ankle_bone",
                        "fabric": ["substantial"],
                        "colour": "charcoal",
                    },
                    {"is": "ankle_boots", "bulk": "chunky", "colour": "chestnut"},
                ],
            ),
            (
                "Quote at the client's",
                [
                    {"is": "shirt", "fit": "skimming", "tuck": "full", "colour": "white"},
                    {"is": "jeans", "cut": "slim_straight", "hem": "ankle_bone", "colour": "dark_denim"},
                    {"is": "loafers", "colour": "cognac"},
                ],
            ),
        ),
    ),
    Person(
        "Perpetua Lindgren-Osei",
        "Speaks in court. Formal dress code, long days standing, quick changes.",
        {
            "stature": 172,
            "crotch_height": 80.5,
            "bust": 104,
            "waist": 84,
            "hip": 93,
            "shoulder_breadth": 42,
            "waist_height": 109,
        },
        {"wants": ["look_smart"]},
        (
            (
                "Hearing",
                [
                    {"is": "shirt", "fit": "skimming", "tuck": "full", "neck": "open_collar", "colour": "ivory"},
                    {"is": "trousers", "cut": "straight", "rise": "high", "hem": "ankle", "colour": "navy"},
                    {"is": "pumps", "heel": "mid", "toe": "almond", "colour": "navy"},
                ],
            ),
        ),
    ),
    Person(
        "Wilf Harrow",
        "Ran the post boat; back from a knee operation. No heels, no loose soles.",
        {"stature": 170, "bust": 112, "waist": 104, "belly": 114, "hip": 106, "crotch_height": 78},
        {"wont": ["heels"], "soften": ["middle"]},
        (
            (
                "Harbour office",
                [
                    {"is": "knit", "fit": "skimming", "colour": "navy"},
                    {"is": "trousers", "cut": "straight", "rise": "low", "colour": "grey"},
                    {"is": "trainers", "colour": "white"},
                ],
            ),
        ),
    ),
    Person(
        "Marnie Dunmore",
        "Bookbinder, works seated all day. Likes a soft band and a dry ankle.",
        {
            "stature": 160,
            "waist_height": 100,
            "navel_height": 95.5,
            "crotch_height": 72,
            "bust": 104,
            "waist": 92,
            "belly": 102,
            "hip": 112,
            "thigh": 66,
            "knee": 44,
            "calf": 44,
            "ankle": 26,
            "front_rise_navel": 32,
        },
        {"wants": ["comfort", "lengthen_legs"], "soften": ["calves"]},
        (
            (
                "Straight, said the label",
                [
                    {"is": "tee", "fit": "oversized", "tuck": "bloused", "colour": "sage"},
                    {
                        "is": "jeans",
                        "cut": "straight",
                        "knee_cm": 45,
                        "leg_opening_cm": 42,
                        "inseam_cm": 62,
                        "colour": "mid_blue",
                    },
                    {"is": "flats", "toe": "almond", "colour": "tan"},
                ],
            ),
        ),
    ),
    Person(
        "Constance Ebbing",
        "Seventy-four, chairs the allotments. Small, upright, fond of colour.",
        {"stature": 154, "bust": 90, "waist": 80, "hip": 92, "crotch_height": 70, "shoulder_breadth": 35},
        {"wants": ["lengthen_legs"]},
        (
            (
                "Committee",
                [
                    {"is": "tee", "fit": "skimming", "tuck": "full", "colour": "coral"},
                    {"is": "trousers", "cut": "slim", "rise": "high", "hem": "ankle", "colour": "navy"},
                    {"is": "flats", "toe": "pointed", "colour": "navy"},
                ],
            ),
        ),
    ),
    Person(
        "Sunniva Pell",
        "Teaches swimming; in a tracksuit all week and tired of it.",
        {"stature": 178, "bust": 98, "waist": 72, "hip": 99, "crotch_height": 85},
    ),
    Person("Jory Penhallow", "First visit on Thursday.", {}),
)
