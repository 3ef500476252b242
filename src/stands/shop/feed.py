"""The feed: products as JSON, size charts as CSV."""

from __future__ import annotations

import csv
import io
import json

from stands.shop.makers import PATTERNS, sizes


def products_json() -> str:
    """Every product with every size."""
    products = [
        {
            "id": f"p{at + 1}",
            "maker": pattern.maker,
            "name": pattern.name,
            "piece": pattern.piece,
            "price": {"amount": pattern.price, "currency": "EUR"},
            "sizes": sizes(pattern),
        }
        for at, pattern in enumerate(PATTERNS)
    ]
    return json.dumps({"feed": "shop", "version": 1, "unit": "cm", "products": products}, indent=1)


_WORDS = ("cut", "rise", "fit", "neck", "colour", "fabric")
_FIGURES = ("hip", "waist", "chest", "front_rise", "inseam", "leg_opening", "length", "sleeve")


def size_charts_csv() -> str:
    """The same as a table: one row a size; what a product is in the words of the vocabulary, several split by “;”."""
    out = io.StringIO()
    writer = csv.writer(out, lineterminator="\n")
    figures = (f"{key.replace('_', ' ')} (cm)" for key in _FIGURES)
    writer.writerow(["maker", "product", "piece", *_WORDS, "size", *figures])
    for pattern in PATTERNS:
        words = [_cell(pattern.piece.get(key, "")) for key in _WORDS]
        for size in sizes(pattern):
            row = [size["figures"].get(key, "") for key in _FIGURES]
            writer.writerow([pattern.maker, pattern.name, pattern.piece["is"], *words, size["label"], *row])
    return out.getvalue()


def _cell(word: str | list[str]) -> str:
    return ("; ".join(word) if isinstance(word, list) else word).replace("_", " ")
