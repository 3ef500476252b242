"""What is handed over, chosen and frozen: the cards, numbers for the shop, the buying list, colours, care and the next date, as
plain values that a page, a book and a mail are made of. No measure of the body is among them."""

from __future__ import annotations

from collections.abc import Sequence
from typing import Any

from pydantic import BaseModel

from craft.advise.shopping import Number
from craft.cloth.colour import hex_of
from craft.draw.svg import framed_svg, plainly
from craft.hand.book import by_occasion, by_piece
from craft.units import format_length
from studio.edit.models import ToBuy
from studio.edit.services import last_found
from studio.handover.cards import Teller, Told, drawn_card, pieces_told, spoken
from studio.handover.models import OutfitCard
from studio.handover.next import following
from studio.people.models import Client, Member
from studio.plan.api import plan_out
from studio.plan.models import Plan
from studio.plan.paper import days_for_page
from studio.rack.naming import title_of
from studio.shopping.services import numbers_for, shopper_of
from studio.stored import readable

#: What the source of a piece is called beside it; what is owned needs no word.
SOURCES = {"brought": "from the stylist’s kit", "to_buy": "to buy", "owned": "", "described": ""}


class Parts(BaseModel):
    """What of a hand-over is wanted beside its cards."""

    numbers: bool = False
    buying: bool = False
    colours: bool = False
    care: bool = True
    #: The next appointment, and what comes back from the tailor when.
    dates: bool = False


def content_of(
    member: Member, client: Client, rows: Sequence[OutfitCard], parts: Parts, note: str = "", plan: Plan | None = None
) -> dict[str, Any]:
    """Everything that was chosen, as it is now."""
    teller = Teller(client)
    told = [teller.tell(row) for row in rows]
    cards = [card_content(card, number) for number, card in enumerate(told, 1)]
    names = [(str(card["number"]), [piece["title"] for piece in card["pieces"]]) for card in cards]
    order = by_occasion({str(card["number"]): card["occasions"] for card in cards}, list(teller.week))
    return {
        "studio": client.studio.name,
        "client": client.name,
        "note": note,
        "cards": cards,
        "week": [{"occasion": occasion, "cards": [int(one) for one in listed]} for occasion, listed in order],
        "index": [
            {"title": title, "cards": [{"number": int(one), "with": others} for one, others in where]}
            for title, where in by_piece(names).items()
            if len(where) > 1
        ],
        "numbers": _numbers(member, client) if parts.numbers else [],
        "buying": _buying(client) if parts.buying else [],
        "colours": _colours(client) if parts.colours else [],
        "care": _care(told) if parts.care else [],
        "next": following(client) if parts.dates else "",
        "days": days_for_page(plan_out(plan)) if plan is not None else [],
    }


def card_content(card: Told, number: int) -> dict[str, Any]:
    """A card as plain values, its drawings as SVG."""
    name = f"c{number}"
    return {
        "id": str(card.row.id),
        "number": number,
        "name": card.name,
        "pieces": [
            {"place": piece.place, "title": _capital(piece.title), "source": SOURCES[piece.source]}
            for piece in pieces_told(card.card)
        ],
        "how": spoken(card.lines["how"]),
        "reasons": spoken(card.lines["reasons"]),
        "mind": spoken(card.lines["mind"]),
        "variants": spoken(card.lines["variants"]),
        "own": spoken(card.lines["own"]),
        "air": list(card.card.air) if card.card.air else None,
        "occasions": card.occasions,
        "picture": drawn_card(card, name),
        "steps": [
            {
                "text": step.text,
                "picture": framed_svg(plainly(step.shapes), step.text, f"{name}s{at}", 400.0, (step.bottom, step.top)),
            }
            for at, step in enumerate(card.card.steps)
        ],
    }


def _capital(title: str) -> str:
    return title[:1].upper() + title[1:]


def _numbers(member: Member, client: Client) -> list[dict[str, Any]]:
    """Numbers for the shop: what to look for on a label or with a tape along the piece."""
    shopper = shopper_of(member, client.id)
    groups: dict[str, list[Number]] = {}
    for number in numbers_for(shopper):
        groups.setdefault(number.group, []).append(number)
    return [
        {
            "group": group,
            "numbers": [
                {
                    "name": number.name[:1].upper() + number.name[1:],
                    "worn": number.worn,
                    "range": _range(number, shopper.unit),
                }
                for number in listed
            ],
        }
        for group, listed in groups.items()
    ]


def _range(number: Number, unit: Any) -> str:
    first, last = (format_length(end, unit) for end in number.good)
    return last if first == last else f"{first.removesuffix(f' {unit}')} – {last}"


def _buying(client: Client) -> list[dict[str, Any]]:
    rows = ToBuy.objects.filter(client=client, removed_at=None, bought=False).exclude(when="never")
    listed = sorted(rows, key=lambda row: (row.when != "now", -row.looks, row.created_at))
    found = []
    for row in listed:
        for piece in readable([row.piece]):
            makes = f"makes {row.looks:,} outfits with what hangs there".replace(",", " ") if row.looks else ""
            found.append(
                {
                    "id": str(row.id),
                    "title": _capital(title_of(piece)),
                    "why": row.why,
                    "makes": makes,
                    "when": row.when,
                }
            )
    return found


def _colours(client: Client) -> list[dict[str, Any]]:
    """The colours to build on, as the last edit read them."""
    read = last_found(client, "sorting").get("colours", {})
    build = read.get("build_on", [])
    hexes = {one["name"]: one["hex"] for one in read.get("clusters", [])}
    return [{"name": name, "hex": hexes.get(name) or hex_of(name)} for name in build]


def _care(told: Sequence[Told]) -> list[dict[str, str]]:
    found = {title: care for card in told for title, care in card.care}
    return [{"title": _capital(title), "care": care} for title, care in sorted(found.items())]
