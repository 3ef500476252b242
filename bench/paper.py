"""A book of thirty cards laid out as PDF, and the cards themselves: seconds."""

from __future__ import annotations

import os
import time
from datetime import date
from types import SimpleNamespace
from typing import Any, cast

CARDS = 30
LOOKS = (
    [
        {"is": "trousers", "cut": "wide", "colour": "navy"},
        {"is": "blouse", "colour": "rust", "tuck": "full"},
        {"is": "loafers"},
    ],
    [
        {"is": "jeans", "cut": "straight"},
        {"is": "knit", "fabric": ["ribbed"], "tuck": "front"},
        {"is": "trainers"},
        {"is": "coat", "open": True},
    ],
    [
        {"is": "dress", "cut": "wrap", "colour": "dark_green"},
        {"is": "ankle_boots"},
        {"is": "necklace", "colour": "gold"},
    ],
)


def proof() -> None:
    """Make thirty cards and lay them out, and say how long that took."""
    os.environ.setdefault("DJANGO_SETTINGS_MODULE", "studio.settings")
    os.environ.setdefault("BASILWOOD_SECRET_KEY", "bench")
    import django

    django.setup()
    from craft.body import Body, Measures
    from craft.hand.book import by_occasion
    from craft.hand.card import card_of
    from craft.judge import Aims
    from craft.look import Look, compose
    from studio.handover.book import document_of
    from studio.handover.cards import Told
    from studio.handover.content import card_content
    from studio.paper import pdf_of

    body = Body.of(Measures.of({"stature": 168, "bust": 95, "waist": 79, "hip": 103}))
    began = time.perf_counter()
    cards = []
    for number in range(CARDS):
        outfit = compose(body, Look.of(LOOKS[number % len(LOOKS)]))
        card = card_of(outfit, Aims(), {})
        lines = {
            part: [(line, False) for line in getattr(card, part, ())]
            for part in ("how", "reasons", "mind", "variants", "own")
        }
        row = cast(Any, SimpleNamespace(id=number, edits={}))
        told = Told(row, f"Outfit {number + 1}", card, outfit, lines, ["relaxed office"], [])
        cards.append(card_content(told, number + 1))
    made = time.perf_counter()
    week = [
        {"occasion": name, "cards": [int(one) for one in of]}
        for name, of in by_occasion({str(one["number"]): one["occasions"] for one in cards}, [])
    ]
    content = {"studio": "Bench", "client": "Pia Reed", "note": "", "cards": cards, "week": week, "index": [], "numbers": [],
               "buying": [], "colours": [], "care": [], "days": [], "next": ""}  # fmt: skip
    document = document_of(content, "week", date(2026, 3, 2))
    pdf = pdf_of(document)
    done = time.perf_counter()
    print(
        f"a book of {CARDS} cards: {done - began:.1f} s (aim 10 s): told and drawn in {made - began:.1f} s, "
        f"{len(document.pages)} pages laid out in {done - made:.1f} s, {len(pdf) / 1e6:.1f} MB"
    )


if __name__ == "__main__":
    proof()
