"""An outfit card: what the look is made of, how to wear it, when, and why it is good, told to who wears it.

Every sentence has a key, so that one that a stylist wrote anew stays hers when the card is made again. A card says only what the
look has: it reads the outfit and its findings, and nothing else.
"""

from __future__ import annotations

from collections.abc import Iterator, Mapping
from dataclasses import dataclass, replace
from typing import Literal, NamedTuple

from craft.cloth import Piece
from craft.cloth.colour import lightness
from craft.cloth.piece import colour_of
from craft.draw.how_to import TuckStep, tuck_steps
from craft.hand.said import TUCKS, heel_said, listed, reasons_of, the
from craft.judge import Aims, judge
from craft.judge.aims import Setting
from craft.judge.register import BEARABLE
from craft.look import Outfit
from craft.look.register import AT_REST, WALKING, at_ease_in

#: Whose a piece is: the client's own, of the studio's kit, or still to be bought; of a described one nobody has said.
Source = Literal["owned", "brought", "to_buy", "described"]
#: White and pale cloth from this lightness on shows what is beneath (OKLCH, as rule and brief 19 and 23 have it; W).
PALE = 0.85
#: Cloth that shows what is beneath it.
_THIN = frozenset({"thin", "linen", "sheer", "clinging"})
#: A hem so near above the ground is cut for its shoe, cm (W).
NEAR = 5.0
#: Air that people dress for, °C.
COLDEST, HOTTEST = -20, 40


class Line(NamedTuple):
    """A sentence of a card, and what it is known by."""

    key: str
    text: str


class CardPiece(NamedTuple):
    """A piece of a card: its place, what it is called, and whose it is."""

    place: str
    title: str
    source: Source


@dataclass(frozen=True)
class Card:
    """A look told to who wears it. `air` is from and to how many °C it is right; none where it is right in none."""

    pieces: tuple[CardPiece, ...]
    how: tuple[Line, ...]
    reasons: tuple[Line, ...]
    mind: tuple[Line, ...]
    air: tuple[int, int] | None
    steps: tuple[TuckStep, ...]


def card_of(outfit: Outfit, aims: Aims, called: Mapping[str, tuple[str, Source]]) -> Card:
    """The card of an outfit; `called` says by the place of each piece what it is called and whose it is.

    >>> from craft.body import Body, Measures
    >>> from craft.look import Look, compose
    >>> look = Look.of([{"is": "jeans"}, {"is": "tee", "tuck": "front"}, {"is": "loafers"}])
    >>> outfit = compose(Body.of(Measures.of({"stature": 165})), look)
    >>> [line.text for line in card_of(outfit, Aims(), {"top": ("White tee", "owned")}).how][0]
    'Tuck the white tee in at the front only, between the two front loops.'
    """
    names = {piece.place: called.get(piece.place, (piece.name, "described")) for piece in outfit.look.pieces}
    judged = judge(outfit, aims)
    return Card(
        pieces=tuple(CardPiece(place, title, source) for place, (title, source) in names.items()),
        how=tuple(_how(outfit, {place: the(title) for place, (title, _) in names.items()})),
        reasons=tuple(Line(f"reason:{code}", text) for code, text in reasons_of(judged.findings)),
        mind=tuple(
            Line(f"mind:{finding.rule}", finding.text.say())
            for finding in judged.findings
            if finding.stance == "caution" and not any(letter.isdigit() for letter in finding.text.say())
        ),
        air=air_of(outfit),
        steps=tuck_steps(outfit),
    )


def _how(outfit: Outfit, names: Mapping[str, str]) -> Iterator[Line]:
    """How to wear it, from the body outwards."""
    yield from _beneath(outfit, names)
    top = outfit.top
    # Under a bib or a dress nothing is tucked.
    if top is not None and outfit.look.piece("bottom") is not None and top.piece.slot == "top" and top.tuck in TUCKS:
        yield Line("tuck", TUCKS[top.tuck].format(names[top.piece.place]))
    for piece in outfit.look.pieces:
        yield from _of_piece(piece, names[piece.place])
    shoes = outfit.shoes
    if shoes.piece is not None:
        yield Line("shoes", _with_shoes(outfit, names["shoes"]))
    worn = [names[place] for place, piece in outfit.extras.items() if place in names and piece.place not in _HIDDEN]
    if worn:
        yield Line("besides", f"Add {listed(worn)}.")


#: What is worn besides and not in sight.
_HIDDEN = ("bra", "smoothing_shorts", "underslip", "tights", "socks")


def _beneath(outfit: Outfit, names: Mapping[str, str]) -> Iterator[Line]:
    worn = [names[piece.place] for piece in outfit.look.pieces if piece.place in _HIDDEN]
    if worn:
        yield Line("beneath", f"Beneath: {listed(worn)}.")
        return
    for piece in outfit.look.pieces:
        if piece.slot not in ("top", "bottom", "one_piece"):
            continue
        if "sheer" in piece.fabric or piece.word("sheerness") == "see_through":
            yield Line("beneath", f"Beneath {names[piece.place]}: a slip or a camisole in the tone of your skin.")
            return
        if lightness(colour_of(piece)) >= PALE and (piece.fabric & _THIN or piece.slot == "bottom"):
            yield Line("beneath", f"Beneath {names[piece.place]}: underwear in the tone of your skin, not white.")
            return


def _of_piece(piece: Piece, name: str) -> Iterator[Line]:
    place = piece.place
    if piece.slot == "bottom" and piece.flag("cuffed"):
        yield Line("cuff", f"Turn up the hem of {name} once.")
    if piece.slot == "bottom" and piece.word("worn") in ("inside", "outside"):
        where = "inside the shaft of the boot" if piece.word("worn") == "inside" else "over the boot"
        yield Line("boot", f"Wear {name} {where}.")
    if piece.slot == "layer" or piece.word("worn") == "over":
        yield Line(f"layer:{place}", f"Wear {name} {'open' if piece.flag('open') else 'closed'}.")
    if piece.word("worn") == "shoulders":
        yield Line(f"shoulders:{place}", f"Lay {name} round your shoulders, the sleeves tied once in front.")
    if piece.flag("rolled") and piece.slot != "bottom":
        yield Line(f"sleeves:{place}", f"Roll the sleeves of {name}: two even turns.")
    elif piece.flag("pushed"):
        yield Line(f"sleeves:{place}", f"Push up the sleeves of {name}.")
    if piece.word("belted"):
        yield Line(f"belted:{place}", f"Belt {name} at the waist.")


def _with_shoes(outfit: Outfit, name: str) -> str:
    shoes, bottom = outfit.shoes, outfit.bottom
    heel = heel_said(shoes.rise_of_foot)
    told = f"With {name}, {heel}." if heel != "flat" else f"With {name}."
    if (
        bottom is not None
        and bottom.piece.row.has_legs
        and bottom.is_wide_hemmed
        and not (bottom.cuffed or bottom.inside)
        and 0 < bottom.falls_to < NEAR
    ):
        return f"{told} The hem is right for this shoe: a higher or lower one changes it."
    return told


def air_of(outfit: Outfit) -> tuple[int, int] | None:
    """From and to how many °C a look is right: walking with everything on, to sitting without the layers; as the rule of
    the weather weighs it (craft/judge/register.py)."""
    slack = BEARABLE.of(outfit)
    low = at_ease_in(outfit.insulation, WALKING) - slack
    high = at_ease_in(outfit.insulation_without_layers, AT_REST) + slack
    if low > high:
        return None
    return max(COLDEST, round(low)), min(HOTTEST, round(high))


def serves(outfit: Outfit, aims: Aims, settings: Mapping[str, Setting]) -> list[str]:
    """For which of some occasions a look works, by their names."""
    return [
        name for name, setting in settings.items() if judge(outfit, replace(aims, setting=setting)).verdict == "works"
    ]
