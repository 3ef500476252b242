"""A whole wardrobe for the demo: about 120 pieces of one client, made up, as a stylist would say each in a line.

She works in a relaxed office, goes out now and then, has kept what she wore five years ago, and buys the same black
trousers again and again: so some pieces no longer fit, some are twins, and some go with nothing that she owns.
"""

from __future__ import annotations

from typing import Any

OWNER = "Rosalind Thackeray-Oyelaran"

BOTTOMS = (
    "dark denim straight jeans high rise, ankle",
    "dark denim bootcut jeans mid rise, front rise 26, inseam 79, leg opening 46",
    "mid blue straight jeans high rise, front rise 28.5, inseam 68, leg opening 41",
    "light blue boyfriend jeans, ankle",
    "black slim jeans mid rise, ankle",
    "white straight jeans high rise, ankle",
    "mid blue skinny jeans, waist 68, hip 88, front rise 21, inseam 74",
    "dark denim skinny jeans, waist 70, hip 90, front rise 22, inseam 76",
    "black slim trousers mid rise, ankle",
    "black slim trousers mid rise, ankle",
    "black straight trousers high rise, foot",
    "charcoal straight trousers high rise, waist 84, hip 109, front rise 30, inseam 74, leg opening 44",
    "navy wide trousers high rise draping, front rise 31, inseam 78, leg opening 60",
    "olive straight trousers high rise linen, ankle",
    "camel wide trousers high rise, foot",
    "cream wide trousers high rise linen, foot",
    "grey slim trousers, waist 70, hip 92, front rise 23, inseam 72",
    "navy slim trousers high rise, ankle",
    "black leggings",
    "navy shorts linen, mid thigh",
    "black pencil skirt below knee",
    "olive pleated skirt lower calf",
    "navy slip skirt satin lower calf",
    "camel a line skirt knee",
    "denim skirt mid blue, above knee",
)
ONE_PIECES = (
    "black dress wrap v neck long sleeve, below knee",
    "navy dress sheath short sleeve, knee",
    "rust dress shift elbow sleeve, knee",
    "dark green dress wrap v neck, lower calf",
    "burgundy dress, slip satin, lower calf",
    "light blue dress a line linen, below knee",
    "black dress sheath, chest 84, waist 66, hip 90, length 98",
    "black jumpsuit straight, ankle",
    "dark denim dungarees straight",
)
TOPS = (
    "white tee skimming crew neck",
    "white tee fitted v neck",
    "black tee fitted crew neck",
    "navy tee skimming, horizontal stripe, white",
    "grey tee relaxed",
    "sage tee skimming v neck",
    "white tee relaxed, lettering",
    "black tank fitted",
    "white tank fitted",
    "ivory camisole satin",
    "black camisole satin",
    "white shirt relaxed",
    "light blue shirt relaxed vertical stripe",
    "light blue shirt skimming",
    "white shirt fitted, chest 84",
    "olive shirt relaxed linen",
    "mid blue shirt denim skimming",
    "cream blouse draping v neck",
    "ivory blouse satin v neck",
    "black blouse skimming v neck",
    "burgundy blouse satin skimming",
    "coral blouse draping short sleeve",
    "teal blouse skimming v neck",
    "navy blouse small print, white",
    "rust blouse draping v neck",
    "lilac blouse",
    "black knit fitted v neck",
    "black knit fitted v neck",
    "navy knit skimming crew neck",
    "camel knit relaxed",
    "cream knit chunky oversized",
    "grey knit relaxed v neck",
    "burgundy knit fitted polo neck",
    "dark green knit skimming crew neck",
    "charcoal knit fitted polo neck",
    "mustard knit chunky relaxed",
    "red knit skimming v neck",
    "pink knit cropped",
    "grey sweatshirt relaxed",
    "olive sweatshirt oversized",
    "black bodysuit",
    "white bodysuit v neck",
)
LAYERS = (
    "navy blazer skimming",
    "black blazer fitted, chest 86",
    "grey blazer relaxed check",
    "camel blazer relaxed",
    "mid blue jacket denim high hip",
    "black jacket leather high hip",
    "olive jacket skimming linen hip",
    "grey cardigan skimming hip",
    "navy cardigan fitted high hip",
    "camel cardigan longline",
    "cream cardigan chunky relaxed",
    "black waistcoat fitted",
    "navy gilet relaxed",
    "camel coat knee",
    "navy coat below knee",
    "black coat oversized lower calf",
    "cream duster linen",
    "teal kimono small print",
)
SHOES = (
    "white trainers",
    "white trainers chunky",
    "black loafers almond",
    "cognac loafers almond",
    "black flats pointed",
    "nude flats almond",
    "navy flats pointed",
    "black pumps kitten pointed",
    "nude pumps mid heel pointed",
    "black pumps high heel pointed",
    "burgundy slingbacks kitten pointed",
    "camel mules almond",
    "tan sandals flat",
    "bronze sandals mid heel",
    "black ankle boots close shaft pointed kitten",
    "brown ankle boots chunky round",
    "black sock boots kitten",
    "chestnut tall boots slim shaft",
)
BESIDES = (
    "black belt thin",
    "cognac belt",
    "camel belt wide",
    "silver necklace long",
    "gold necklace short",
    "gold earrings",
    "scarf navy and camel",
    "scarf rust and cream",
    "burgundy scarf",
    "black bag",
    "cognac bag",
    "black tights",
    "camel hat",
)

#: What is known of some of them besides, by their line: most are simply in use.
KNOWN: dict[str, dict[str, Any]] = {
    "cream wide trousers high rise linen, foot": {"seasons": ["spring", "summer"]},
    "black coat oversized lower calf": {"seasons": ["autumn", "winter"]},
    "black blouse skimming v neck": {"state": "lent", "note": "Her sister has it until Sunday."},
    "camel a line skirt knee": {"state": "at_the_tailor"},
    "lilac blouse": {"state": "to_let_go"},
}

LINES = (*BOTTOMS, *ONE_PIECES, *TOPS, *LAYERS, *SHOES, *BESIDES)
#: The wardrobe as the demo hangs it.
WARDROBE = tuple((line, KNOWN.get(line, {})) for line in LINES)
