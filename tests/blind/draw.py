"""Draws what a pair of judged looks, or a look with its verdict, leaves open, so that no habit of its writer does: body, companions and colours.

    python tests/blind/draw.py tests/blind/round_1.yaml > tests/cases/blind_1.yaml

A pair is drawn by its own id: the same pair is drawn the same way every time.
"""

from __future__ import annotations

import random
import sys
from pathlib import Path
from typing import Any

import yaml

SHAPES = ("rectangle", "triangle", "inverted_triangle", "hourglass")
BODY = {
    "stature": ("petite", "average", "tall"),
    "depth": ("light", "medium", "deep"),
    "warmth": ("warm", "neutral", "cool"),
}
FLAT = (
    {"is": "trainers", "colour": "white"},
    {"is": "loafers", "colour": "brown"},
    {"is": "loafers", "colour": "black"},
    {"is": "flats", "toe": "almond", "colour": "tan"},
)
SHOES = (
    *FLAT,
    {"is": "slingbacks", "colour": "black"},
    {"is": "pumps", "heel": "kitten", "colour": "navy"},
    {"is": "sandals", "colour": "brown"},
)
NEUTRAL = ("black", "navy", "charcoal", "grey", "camel", "cream", "white", "brown")
TOPS = (
    {"is": "tee", "tuck": "full", "colour": "white"},
    {"is": "tee", "tuck": "front", "colour": "navy"},
    {"is": "shirt", "tuck": "full", "colour": "light_blue"},
    {"is": "knit", "tuck": "front", "colour": "grey"},
)
BOTTOMS = (
    {"is": "jeans", "cut": "straight", "hem": "ankle", "colour": "dark_denim"},
    {"is": "trousers", "cut": "straight", "hem": "ankle", "colour": "navy"},
    {"is": "trousers", "cut": "slim_straight", "hem": "ankle", "colour": "charcoal"},
)
COMPANIONS = {"~flat_shoe": FLAT, "~shoe": SHOES, "~top": TOPS, "~bottom": BOTTOMS}
KEPT = ("of", "group", "say", "says", "school", "why")
PARTS = ("same", "better", "worse", "look")


def drawn(pair: dict[str, Any]) -> dict[str, Any]:
    """One judged case from a pair: what it leaves open is drawn."""
    dice = random.Random(pair["id"])
    client = dict(pair.get("client", {}))
    if "measures_cm" not in client:
        client = {word: dice.choice(listed) for word, listed in BODY.items()} | client
        if "shape" not in client:
            client["shape"] = dice.choice(SHAPES)
    neutrals = {f"~{at}": colour for at, colour in enumerate(dice.sample(NEUTRAL, 4))}
    companion = {name: dice.choice(listed) for name, listed in COMPANIONS.items()}

    def piece(said: Any) -> dict[str, Any]:
        worn = dict(companion[said] if isinstance(said, str) else said)
        if isinstance(worn.get("colour"), str):
            worn["colour"] = neutrals.get(worn["colour"], worn["colour"])
        return worn

    case = {"id": pair["id"], "client": client}
    case |= {part: [piece(said) for said in pair[part]] for part in PARTS if part in pair}
    return case | {key: pair[key] for key in KEPT if key in pair}


def main() -> None:
    """Print the cases of a file of pairs."""
    told = yaml.safe_load(Path(sys.argv[1]).read_text(encoding="utf-8"))
    print(f"# Drawn from {sys.argv[1]} by tests/blind/draw.py; written before the engine was asked.\ncases:")
    for pair in (*told.get("pairs", ()), *told.get("verdicts", ())):
        line = yaml.safe_dump([drawn(pair)], default_flow_style=True, width=10**6, sort_keys=False, allow_unicode=True)
        print(f"- {line.strip()[1:-1]}")


if __name__ == "__main__":
    main()
