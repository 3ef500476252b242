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


def size_charts_csv() -> str:
    """The same as a table: one row a size."""
    keys = ("hip", "waist", "chest", "front_rise", "inseam", "leg_opening", "length", "sleeve")
    out = io.StringIO()
    writer = csv.writer(out, lineterminator="\n")
    writer.writerow(["maker", "product", "size", *(f"{key.replace('_', ' ')} (cm)" for key in keys)])
    for pattern in PATTERNS:
        for size in sizes(pattern):
            writer.writerow(
                [pattern.maker, pattern.name, size["label"], *(size["figures"].get(key, "") for key in keys)]
            )
    return out.getvalue()
