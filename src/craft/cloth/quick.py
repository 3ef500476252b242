"""A piece for the rack in one line: “black slim jeans high rise, front rise 29, inseam 70”."""

from __future__ import annotations

import re
from typing import NamedTuple

from craft.cloth.description import find_cloth, find_figures
from craft.cloth.kinds import FIGURES, KIND, KINDS
from craft.cloth.piece import Piece
from craft.cloth.spoken import hear, kind_of
from craft.cloth.words import COLOUR_KEYS, figure_name, said
from craft.errors import NotUnderstood, UnknownWord
from craft.units import Unit


class Entry(NamedTuple):
    """A piece as it was entered, and the words that were not understood: kept as a note, asked later."""

    piece: Piece
    note: str


def read_entry(line: str, unit: Unit = "cm") -> Entry:
    """One piece from one line; words that are not understood are kept as a note and refuse nothing. Raises NotUnderstood where
    no piece is named, or a figure is no length, and UnknownWord for a figure that this kind does not have.

    >>> entry = read_entry("black riding boots from the market")
    >>> entry.piece.kind, entry.note
    ('tall_boots', 'from market')
    """
    notes: list[str] = []
    return Entry(_read(line, unit, notes), "; ".join(notes))


def read_line(line: str, unit: Unit = "cm") -> Piece:
    """One piece from one line of words and figures. Raises NotUnderstood, or UnknownWord for a figure that
    this kind does not have.

    >>> piece = read_line("camel coat knee, chest 108")
    >>> piece.kind, piece.figure("chest_cm")
    ('coat', 108.0)
    >>> read_line("navy jeans, 98% cotton, 2% elastane").figure("elastane_pct")
    2.0
    """
    return _read(line, unit, None)


def _read(line: str, unit: Unit, notes: list[str] | None) -> Piece:
    cloth, rest = find_cloth(" ".join(line.lower().split()))
    figures, _, unread, rest = find_figures(rest, unit)
    figures |= cloth
    if unread:
        raise NotUnderstood(f"“{unread[0][:60]}” is not a length.")
    heard = hear(" ".join(rest.replace(",", " ").replace(";", " ").split()), KINDS, notes)
    second = any(kind_of(note.split(), KINDS)[0] for note in notes or ())
    if len(heard) != 1 or second:
        raise NotUnderstood("Say one piece a line: jeans, tee, loafers.")
    described = heard[0]
    known = FIGURES[KIND[described["is"]].slot]
    for key in figures:
        if key not in known:
            raise UnknownWord(f"figure of {said(described['is'])}", figure_name(key), known)
    return Piece.of({**described, **figures})


#: How one says “another like it”: the same, or the last one, in another colour.
_LIKE = re.compile(
    r"^(?:and )?(?:like (?:the )?last(?: one)?|(?:the )?same|another)(?: (?:but )?in)? (?P<colour>.+)$", re.I
)


def read_like(line: str, last: Piece | None, unit: Unit = "cm") -> Entry | None:
    """A piece said by the one before it: “like the last one in navy”; None where the line says it otherwise. Raises NotUnderstood
    where there is none before it, or the rest is no colour.

    >>> read_like("the same in navy", Piece.of({"is": "tee", "neck": "v", "colour": "white"})).piece.described()
    {'is': 'tee', 'colour': 'navy', 'neck': 'v'}
    """
    said_so = _LIKE.match(" ".join(line.split()))
    if said_so is None:
        return None
    if last is None:
        raise NotUnderstood("There is no piece before it that it could be like.")
    notes: list[str] = []
    heard = hear(f"{said_so['colour'].lower()} {said(last.kind)}", KINDS, notes)
    colours = {key: heard[0][key] for key in COLOUR_KEYS if len(heard) == 1 and key in heard[0]}
    if not colours:
        raise NotUnderstood(f"“{said_so['colour'][:60]}” is no colour that is known here.")
    return Entry(last.with_(**{**dict.fromkeys(COLOUR_KEYS), **colours}), "; ".join(notes))
