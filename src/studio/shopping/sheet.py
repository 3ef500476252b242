"""The shopping numbers on one sheet of paper: a PDF with the figure on its rule and every number beside it."""

from __future__ import annotations

import itertools
from collections.abc import Iterable, Sequence
from datetime import date
from typing import TYPE_CHECKING, Any

from craft.advise.shopping import Number
from craft.body import Body
from craft.body.measures import HEIGHTS
from craft.draw.figure import draw_figure
from craft.draw.svg import painted
from craft.units import CM_PER_INCH, Unit, format_length
from studio.paper import laid_out, pdf_of
from studio.shopping.services import Shopper, numbers_for

if TYPE_CHECKING:
    from weasyprint.document import Document

#: The drawing, in its own units of a cm of body: room above the head, the rule, the figure's half, the labels.
HEADROOM, RULE, HALF, LABELS = 4.0, 7.0, 27.0, 36.0
#: Half the breadth of a band.
BAND = 18.0
#: A longer label would run into the lists, letters.
LONGEST_LABEL = 33
#: Labels stand at least so far apart, and a band is at least so tall.
APART, LEAST = 3.1, 0.5


def numbers_pdf(shopper: Shopper, studio: str, today: date) -> bytes:
    """The sheet, PDF. Nothing is fetched from anywhere but the application's own fonts."""
    return pdf_of(numbers_document(shopper, studio, today))


def numbers_document(shopper: Shopper, studio: str, today: date) -> Document:
    """The sheet, laid out."""
    return laid_out("numbers_sheet.html", _told(shopper, studio, today))


def _told(shopper: Shopper, studio: str, today: date) -> dict[str, Any]:
    numbers = numbers_for(shopper)
    return {
        "client": shopper.name,
        "studio": studio,
        "today": f"{today.day} {today:%B %Y}",
        "groups": [
            {"name": group, "numbers": _rows([n for n in numbers if n.group == group], shopper.unit)}
            for group in dict.fromkeys(number.group for number in numbers)
        ],
        **_drawing(shopper.body, numbers, shopper.unit),
    }


def _rows(numbers: Sequence[Number], unit: Unit) -> list[dict[str, Any]]:
    """The rows of a group; what several in a row have to leave in common is said once, under the last of them."""
    rows = [_row(number, unit) for number in numbers]
    for row, following in itertools.pairwise(rows):
        if row["poor"] == following["poor"]:
            row["poor"] = ""
    return rows


def _row(number: Number, unit: Unit) -> dict[str, Any]:
    poor = ""
    if number.poor is not None:
        low, high = number.poor
        leave = f"under {format_length(high, unit)}" if low == 0 else _range(low, high, unit)
        poor = f"Leave {leave}: {number.poor_why}"
    name = number.name[:1].upper() + number.name[1:]
    return {
        "name": name,
        "worn": number.worn,
        "range": _range(*number.good, unit),
        "poor": poor,
        "settled": number.settled,
        "serves": number.serves,
    }


def _range(low: float, high: float, unit: Unit) -> str:
    """“63 – 66 cm”; one figure where both ends are the same."""
    first, last = format_length(low, unit), format_length(high, unit)
    return last if first == last else f"{first.removesuffix(f' {unit}')} – {last}"


def _drawing(body: Body, numbers: Sequence[Number], unit: Unit) -> dict[str, Any]:
    floor = body.stature + HEADROOM
    middle = RULE + 2 + HALF
    named: dict[tuple[float, float], list[Number]] = {}
    for number in numbers:
        if number.heights is not None:
            named.setdefault(number.heights, []).append(number)
    good = sorted(named.items(), key=lambda one: -sum(one[0]))
    poor = {number.poor_heights for number in numbers if number.poor_heights is not None}
    bands = [_band(heights, floor) | {"name": _label(held)} for heights, held in good]
    for band, at in zip(bands, _apart([band["mid"] for band in bands], floor), strict=True):
        band["label"] = at
    step = 20.0 if unit == "cm" else 10 * CM_PER_INCH
    return {
        "wide": round(middle + HALF + LABELS, 1),
        "tall": round(floor + 1.5, 1),
        "top": HEADROOM,
        "floor": floor,
        "left": middle - BAND,
        "across": 2 * BAND,
        "right": middle + BAND,
        "elbow": middle + HALF + 1,
        "text": middle + HALF + 3,
        "middle": middle,
        "figure": painted(draw_figure(body)),
        "good": bands,
        "poor": [_band(heights, floor) for heights in sorted(poor)],
        "marks": [
            {"y": round(floor - q.cm, 2), "settled": q.settled} for q in (body.heights[name] for name in HEIGHTS)
        ],
        "ticks": [
            {"y": round(floor - at * step, 2), "name": f"{at * (20 if unit == 'cm' else 10)}"}
            for at in range(int(body.stature // step) + 1)
        ],
    }


#: What a length on the drawing is a length of.
_OF = {"Skirts": "skirt", "Dresses": "dress", "Tops": "top", "Jackets and coats": "jacket", "Shorts": "shorts"}


def _label(numbers: Sequence[Number]) -> str:
    """What edges lie in one band: “skirt, dress: midi”, “inseam, ankle length”."""
    first = numbers[0]
    kinds = dict.fromkeys(_OF[number.group] for number in numbers if number.group in _OF)
    if not kinds or not first.name.startswith("length, "):
        return f"{_OF[first.group]} {first.name}" if first.group in _OF else first.name
    places = dict.fromkeys(number.name.removeprefix("length, ") for number in numbers)
    named = f"{', '.join(kinds)}: {' or '.join(places)}"
    return named if len(named) <= LONGEST_LABEL else ", ".join(kinds)


def _band(heights: tuple[float, float], floor: float) -> dict[str, Any]:
    low, high = heights
    tall = max(high - low, LEAST)
    return {"y": round(floor - low - tall, 2), "height": round(tall, 2), "mid": round(floor - low - tall / 2, 2)}


def _apart(wanted: Iterable[float], floor: float) -> list[float]:
    """Labels from the top down, each at its place or as near below as the one before leaves; none under the floor."""
    placed: list[float] = []
    for at in wanted:
        placed.append(max(at, placed[-1] + APART) if placed else at)
    for back in range(len(placed) - 1, -1, -1):
        limit = placed[back + 1] - APART if back + 1 < len(placed) else floor - 1.6
        placed[back] = round(min(placed[back], limit), 2)
    return placed
