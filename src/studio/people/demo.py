"""The demo studio: invented people of an invented town, whose work makes demands on clothes."""

from __future__ import annotations

from dataclasses import dataclass, field
from typing import Any

from studio.policy import Role

STUDIO = "Hollin Row"
STYLISTS = (
    ("maud@hollinrow.example", "Maud Averill", Role.OWNER),
    ("tobin@hollinrow.example", "Tobin Hale", Role.STYLIST),
    ("juno@hollinrow.example", "Juno Pell", Role.APPRENTICE),
    ("lark@hollinrow.example", "Lark Denby", Role.FRONT_DESK),
)
#: Whom the apprentice looks after.
APPRENTICES_CLIENTS = ("Idris Calloway", "Sunniva Pell")
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
    #: The brief, as the conversation left it.
    brief: dict[str, Any] = field(default_factory=dict)
    #: Earlier sessions: how many days before the last one, and what was otherwise then, cm.
    earlier: tuple[tuple[int, dict[str, float]], ...] = ()
    #: How long ago the last session was, days.
    days_ago: int = 9
    #: Each reading taken once or twice.
    twice: bool = True


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
            (
                "Reception",
                [
                    {
                        "is": "dress",
                        "cut": "wrap",
                        "neck": "v",
                        "sleeve": "elbow",
                        "hem": "below_knee",
                        "colour": "burgundy",
                    },
                    {"is": "coat", "hem": "below_knee", "open": True, "colour": "black"},
                    {"is": "pumps", "heel": "kitten", "toe": "pointed", "colour": "black"},
                ],
            ),
            (
                "Day in town",
                [
                    {"is": "skirt", "cut": "slip", "fabric": ["satin"], "hem": "lower_calf", "colour": "olive"},
                    {"is": "knit", "fit": "relaxed", "tuck": "front", "colour": "cream"},
                    {"is": "blazer", "fit": "skimming", "hem": "high_hip", "open": True, "colour": "navy"},
                    {"is": "tall_boots", "bulk": "medium", "colour": "brown"},
                    {"is": "belt", "belted": "thin", "colour": "brown"},
                ],
            ),
            (
                "Rehearsal, dressed up",
                [
                    {"is": "blouse", "fit": "skimming", "tuck": "full", "colour": "ivory"},
                    {"is": "jeans", "cut": "straight", "rise": "high", "hem": "ankle", "colour": "dark_denim"},
                    {"is": "pumps", "heel": "kitten", "toe": "pointed", "colour": "black"},
                ],
            ),
        ),
        brief={
            "changed": "Back to full rehearsals since spring; a little fuller at the middle than last year.",
            "no_longer_fits": "Three pairs of jeans gape behind when she sits down to play.",
            "clothes_should": "Let her sit for hours and still look put together when she stands up to bow.",
            "will_not_wear": "Anything that rides up behind; cuffs that touch the strings.",
            "week": [
                {"occasion": "seated_work", "share": 45, "dress_code": "relaxed"},
                {"occasion": "on_stage", "share": 20, "dress_code": "black"},
                {"occasion": "weekend", "share": 25, "dress_code": "none"},
                {"occasion": "dinner", "share": 10, "dress_code": "smart"},
            ],
            "colouring": {"warmth": "cool", "depth": "deep", "clarity": "clear"},
            "budget": {"amount": 450, "currency": "EUR", "per": "season"},
            "seated": True,
        },
        earlier=(
            (540, {"waist": 70.5, "belly": 79, "hip": 98, "bust": 90.5, "thigh": 57}),
            (350, {"waist": 71.5, "belly": 80.5, "hip": 98.6, "bust": 91, "thigh": 57.4}),
            (170, {"waist": 72.6, "belly": 82.4, "hip": 99.2, "bust": 91.6}),
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
        brief={
            "clothes_should": "Survive paint, and look like a firm of one that means it.",
            "will_not_wear": "Anything that has to be ironed.",
            "limits": ["ladders_or_machinery"],
            "week": [
                {"occasion": "workshop", "share": 70, "dress_code": "none"},
                {"occasion": "relaxed_office", "share": 15, "dress_code": "smart"},
                {"occasion": "weekend", "share": 15, "dress_code": "none"},
            ],
            "colouring": {"warmth": "warm", "depth": "medium"},
        },
        days_ago=40,
        twice=False,
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
        brief={
            "clothes_should": "Be forgotten by the bench and remembered by the client.",
            "limits": ["religious_or_uniform_code"],
            "limits_note": "Robes and bands over everything in the higher courts.",
            "week": [
                {"occasion": "formal_office", "share": 65, "dress_code": "formal"},
                {"occasion": "travel", "share": 15, "dress_code": "smart"},
                {"occasion": "weekend", "share": 20, "dress_code": "none"},
            ],
            "colouring": {"warmth": "warm", "depth": "deep", "clarity": "clear"},
            "budget": {"amount": 1800, "currency": "EUR", "per": "year"},
        },
        earlier=((190, {"waist": 83.4, "hip": 92.4}),),
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
        brief={
            "changed": "Knee operation in February; walks with a stick on bad days.",
            "no_longer_fits": "Trousers bought before the hospital.",
            "limits": ["foot_ankle_knee_back_injury", "reflux_or_breathlessness"],
            "week": [
                {"occasion": "relaxed_office", "share": 50, "dress_code": "relaxed"},
                {"occasion": "home", "share": 50, "dress_code": "none"},
            ],
        },
        earlier=((210, {"waist": 108, "belly": 118.5, "bust": 113.5, "hip": 107.5}),),
        days_ago=204,
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
        brief={
            "no_longer_fits": "Every straight leg she has tried on since May.",
            "clothes_should": "Stay soft at the band all day and dry at the ankle on the way home.",
            "limits": ["nickel", "bicycle"],
            "week": [
                {"occasion": "seated_work", "share": 60, "dress_code": "none"},
                {"occasion": "outdoors", "share": 20, "dress_code": "none"},
                {"occasion": "weekend", "share": 20, "dress_code": "none"},
            ],
            "colouring": {"warmth": "neutral", "depth": "light", "clarity": "soft"},
            "seated": True,
        },
        earlier=((185, {"waist": 90, "belly": 99.5, "hip": 111, "calf": 43.6}),),
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
        brief={
            "clothes_should": "Be colourful and let her kneel.",
            "will_not_wear": "Beige.",
            "week": [
                {"occasion": "outdoors", "share": 60, "dress_code": "none"},
                {"occasion": "ceremony", "share": 10, "dress_code": "smart"},
                {"occasion": "home", "share": 30, "dress_code": "none"},
            ],
            "colouring": {"warmth": "warm", "depth": "light", "clarity": "clear"},
        },
        days_ago=120,
    ),
    Person(
        "Sunniva Pell",
        "Teaches swimming; in a tracksuit all week and tired of it.",
        {"stature": 178, "bust": 98, "waist": 72, "hip": 99, "crotch_height": 85},
    ),
    Person(
        "Tamsin Roe",
        "Fourteen, dances; grows faster than her trousers. Comes with her aunt.",
        {"stature": 158, "bust": 80, "waist": 64, "hip": 86, "crotch_height": 75},
        {"wants": ["comfort"]},
        brief={"minor": True, "guardian": "Hester Roe", "clothes_should": "Last a term."},
        earlier=((200, {"stature": 154, "crotch_height": 72.6, "hip": 84}),),
        days_ago=21,
    ),
    Person("Jory Penhallow", "First visit on Thursday.", {}),
    Person(
        "Rosalind Thackeray-Oyelaran",
        "Runs a small publishing house. Buys the same black trousers again and again, and says she has nothing to wear.",
        {
            "stature": 168,
            "waist_height": 105.5,
            "navel_height": 101,
            "crotch_height": 77,
            "knee_height": 46,
            "bust": 95,
            "waist": 79,
            "hip": 103,
            "front_rise_navel": 28.5,
        },
        {"wants": ["lengthen_legs"], "soften": ["middle"], "show": ["waist"], "wont": ["heels"]},
        (),
        {
            "week": [
                {"occasion": "relaxed_office", "share": 55},
                {"occasion": "dinner", "share": 15, "dress_code": "smart"},
                {"occasion": "weekend", "share": 30},
            ],
            "colouring": {"warmth": "neutral", "depth": "medium"},
            "changed": "Two sizes since the old jeans, evenings out again, and an ankle that rules out heels.",
            "budget": {"amount": 900, "currency": "EUR", "per": "season"},
        },
        earlier=((700, {"bust": 90, "waist": 72, "hip": 96}),),
        days_ago=4,
    ),
)
