"""What hangs on the demo clients' racks: one line a piece, as a stylist would say it, and what is known besides."""

from __future__ import annotations

from typing import Any

from studio.people.demo_wardrobe import OWNER, WARDROBE

Rack = tuple[tuple[str, dict[str, Any]], ...]

#: Invented makers.
ALDERLANE, BRIGG, TWELVE = "Alderlane", "Brigg & Daughter", "Twelve Looms"

RACKS: dict[str, Rack] = {
    OWNER: WARDROBE,
    "Ottoline Brae": (
        (
            "dark denim straight jeans high rise, front rise 28.5, inseam 67, leg opening 42, waist 86, hip 106",
            {"maker": BRIGG, "label_size": "40"},
        ),
        (
            "mid blue wide jeans high rise, front rise 25, inseam 79, leg opening 62",
            {"maker": ALDERLANE, "label_size": "29/32", "price": 96},
        ),
        (
            "black wide trousers high rise, front rise 31.5, inseam 74, leg opening 58, waist 79, hip 106",
            {"maker": TWELVE, "formality": "formal"},
        ),
        ("black slim trousers, front rise 28, inseam 64, leg opening 32", {"maker": BRIGG, "label_size": "38"}),
        ("black leggings", {}),
        ("navy pleated skirt lower calf, length 82", {"maker": TWELVE}),
        (
            "black slip skirt satin, length 71, waist 75",
            {"maker": ALDERLANE, "state": "at_the_tailor", "note": "Hem up by five."},
        ),
        ("burgundy knit relaxed, chest 106, length 58, sleeve 58", {"maker": TWELVE, "label_size": "M"}),
        ("cream knit chunky oversized", {"state": "lent"}),
        ("black blouse fitted v neck, chest 96, sleeve 60, length 61", {"formality": "formal"}),
        ("ivory blouse draping, chest 104, length 64", {}),
        ("white tee skimming crew neck, chest 98, length 60", {"maker": BRIGG}),
        ("black tank fitted, chest 90, length 57", {}),
        ("light blue shirt relaxed vertical stripe, chest 108, length 72, sleeve 59", {"maker": ALDERLANE}),
        ("grey blazer relaxed, chest 104, length 70, sleeve 62", {"maker": BRIGG, "label_size": "40", "price": 240}),
        ("camel coat knee, chest 112, length 98, sleeve 60", {"seasons": ["autumn", "winter"]}),
        ("black dress wrap v neck long sleeve, chest 97, waist 80, length 112", {"formality": "smart"}),
        ("red swimsuit underwire, torso 144, hip 94", {"seasons": ["summer"]}),
        ("black loafers almond", {}),
        ("black pumps kitten pointed", {}),
        ("brown ankle boots chunky round", {}),
        ("chestnut tall boots, shaft height 38, shaft girth 37.5", {"maker": ALDERLANE}),
        ("black belt thin", {}),
        ("silver necklace long", {}),
    ),
    "Idris Calloway": (
        (
            "charcoal straight trousers substantial, front rise 29, inseam 84, leg opening 44, waist 92",
            {"label_size": "36"},
        ),
        ("dark denim slim straight jeans, front rise 27, inseam 81, leg opening 38, waist 90", {}),
        ("olive sweatshirt relaxed, chest 118, length 70", {}),
        ("white shirt skimming, chest 110, length 76, sleeve 64", {"maker": BRIGG}),
        ("navy gilet relaxed", {}),
        ("chestnut ankle boots chunky", {}),
        ("cognac loafers", {}),
    ),
    "Marnie Dunmore": (
        (
            "mid blue straight jeans, front rise 29, inseam 66, leg opening 42, waist 100",
            {"label_size": "16", "maker": ALDERLANE},
        ),
        (
            "navy straight trousers stretch, front rise 33, inseam 62, leg opening 50, waist 102, hip 118",
            {"maker": TWELVE},
        ),
        ("sage tee oversized, chest 124, length 66", {}),
        ("olive pleated skirt, length 74", {}),
        ("grey cardigan relaxed, chest 122, length 64", {}),
        ("tan flats almond", {}),
        ("brown tall boots, shaft height 37, shaft girth 40", {"state": "to_let_go"}),
    ),
    "Constance Ebbing": (
        ("navy slim trousers high rise, front rise 28, inseam 58, leg opening 33", {}),
        ("coral tee skimming, chest 98, length 58", {}),
        ("mustard dress shift, chest 102, length 92", {}),
        ("red cardigan skimming, chest 100, length 56, sleeve 52", {}),
        ("navy flats pointed", {}),
    ),
}

#: What the demo studio takes along to a wardrobe: cheap things that restyle dear ones.
KIT = (
    "black elastic belt wide",
    "cognac belt",
    "gold necklace long",
    "scarf navy and rust",
    "camel cardigan longline",
    "light blue kimono",
    "tan flats pointed",
)
