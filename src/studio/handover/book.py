"""The book and the cards on paper: what was chosen, laid out on A4 or four to a sheet to cut; a card as SVG and as PNG."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from datetime import date
from html import escape
from textwrap import wrap
from typing import TYPE_CHECKING, Any, Literal

from craft.hand.said import listed
from studio.paper import laid_out, pdf_of, png_of

if TYPE_CHECKING:
    from weasyprint.document import Document

Layout = Literal["week", "four"]
A_SHEET = 4
INK = "#241a12"


def document_of(content: Mapping[str, Any], layout: Layout, today: date) -> Document:
    """The book of some content, laid out."""
    cards = {card["number"]: _worded(card) for card in content["cards"]}
    told = {**content, "today": f"{today.day} {today:%B %Y}"}
    if layout == "four":
        return laid_out("four.html", told | {"sheets": _sheets(list(cards.values()))})
    week = [
        {"title": part["occasion"].capitalize(), "cards": [cards[n] for n in part["cards"]]} for part in content["week"]
    ]
    index = [
        {"title": one["title"], "cards": [{"number": w["number"], "told": listed(w["with"])} for w in one["cards"]]}
        for one in content["index"]
    ]
    return laid_out("book.html", told | {"week": week, "index": index})


def _worded(card: Mapping[str, Any]) -> dict[str, Any]:
    return {**card, "for": for_said(card["occasions"]), "weather": air_said(card["air"])}


def for_said(occasions: Sequence[str]) -> str:
    """“For relaxed office and dinner”."""
    return f"For {listed(occasions)}" if occasions else ""


def air_said(air: Sequence[int] | None) -> str:
    """“9 to 21 °C”."""
    return f"{air[0]} to {air[1]} °C" if air else ""


def _sheets(cards: Sequence[dict[str, Any]]) -> list[list[dict[str, Any]]]:
    """Four cards to a sheet: a row of two above another."""
    placed = [{**card, "right": at % 2 == 1, "low": at % A_SHEET >= 2} for at, card in enumerate(cards)]
    return [placed[at : at + A_SHEET] for at in range(0, len(placed), A_SHEET)]


def card_png(card: Mapping[str, Any], studio: str) -> bytes:
    """A card as a picture."""
    told = {"client": "", "studio": studio, "single": True, "sheets": [[_worded(card)]]}
    return png_of(pdf_of(laid_out("four.html", told)))


#: A card as SVG: its size in units, where the words begin, a line's height and its letters.
WIDE, TALL, FROM, LINE, LETTERS = 1480, 1050, 560, 34, 52


def card_svg(card: Mapping[str, Any], studio: str) -> str:
    """A card as one SVG file: the look, and its words beside it."""
    worded = _worded(card)
    when = "; ".join(part for part in (worded["for"], worded["weather"]) if part)
    pieces = [f"{one['title']} ({one['source']})" if one["source"] else one["title"] for one in card["pieces"]]
    blocks = [[when] if when else [], pieces, card["own"], card["how"], card["reasons"], card["variants"]]
    rows = [f'<text x="{FROM}" y="80" font-size="44" font-family="serif" fill="{INK}">{escape(card["name"])}</text>']
    y = 130
    for block in blocks:
        for line in block:
            for part in wrap(line, LETTERS):
                if y < TALL - 60:
                    rows.append(
                        f'<text x="{FROM}" y="{y}" font-size="25" font-family="sans-serif" fill="{INK}">{escape(part)}</text>'
                    )
                    y += LINE
        y += LINE // 3 if block else 0
    rows.append(
        f'<text x="{FROM}" y="{TALL - 25}" font-size="20" font-family="sans-serif" fill="{INK}">{escape(studio)}</text>'
    )
    picture = card["picture"].replace("<svg ", '<svg x="20" y="25" width="510" height="1000" ', 1)
    return (
        f'<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 {WIDE} {TALL}" role="img"><title>{escape(card["name"])}</title>'
        f'<rect width="{WIDE}" height="{TALL}" fill="#fff"/>{picture}{"".join(rows)}</svg>\n'
    )
