"""What a maker's other pieces tell of a new one: sizes wander between makers, less within one."""

from __future__ import annotations

import re
from collections.abc import Iterable, Sequence
from typing import NamedTuple

from craft.cloth.piece import Piece
from craft.cloth.words import said

#: What a maker cuts alike within a kind, and the figure that says it better than the word (W).
ALIKE = {"cut": "leg_opening_cm", "rise": "front_rise_cm", "fit": "chest_cm"}


#: “By”, but not who wore, gave, bought or lent it.
_BY = re.compile(
    r"(?<!worn )(?<!given )(?<!bought )(?<!lent )\bby (?P<maker>[A-Z][\w’'&-]*(?: (?:& |and )?[A-Z][\w’'&-]*)*)"
)
_SIZE = re.compile(r",?\s*\b(?:label )?size (?P<size>\d{1,3}(?:\.5)?|\d?X{0,3}[SML])(?![\w.])", re.I)


class Made(NamedTuple):
    """A piece that hangs already: by whom it was made, and the size on its label."""

    piece: Piece
    maker: str
    label_size: str = ""


class Taken(NamedTuple):
    """A new piece with what was taken from others of its maker; `words` are those taken, as read."""

    piece: Piece
    label_size: str
    words: tuple[str, ...]


def find_maker(line: str, makers: Iterable[str]) -> tuple[str, str]:
    """The maker named in a line, and the line without: one of those that are known, the longest name first; or whom a capital after
    “by” tells.

    >>> find_maker("navy jeans by Fenwick Loom, inseam 70", ["Fenwick", "Fenwick Loom"])
    ('Fenwick Loom', 'navy jeans, inseam 70')
    >>> find_maker("navy jeans by Orla Weft", []), find_maker("navy jeans given by Ann", ["Fenwick Loom"])
    (('Orla Weft', 'navy jeans'), ('', 'navy jeans given by Ann'))
    """
    for maker in sorted({one for one in makers if one.strip()}, key=lambda one: (-len(one), one)):
        name = r"\s+".join(re.escape(word) for word in maker.split())
        named = re.search(rf"(?:\b(?:by|from)\s+)?(?<!\w){name}(?!\w)", line, re.I)
        if named:
            return maker, _without(line, named)
    told = _BY.search(line)
    return (told["maker"], _without(line, told)) if told else ("", line)


def _without(line: str, named: re.Match[str]) -> str:
    rest = f"{line[: named.start()].rstrip()} {line[named.end() :].lstrip()}"
    return re.sub(r"\s+([,;])", r"\1", rest).strip(" ,;")


def find_size(line: str) -> tuple[str, str]:
    """The label's size said in a line, and the line without it.

    >>> find_size("navy jeans size 12, inseam 70"), find_size("black bag size small")
    (('12', 'navy jeans, inseam 70'), ('', 'black bag size small'))
    """
    said_so = _SIZE.search(line)
    if said_so is None:
        return "", line
    return said_so["size"].upper(), (line[: said_so.start()] + line[said_so.end() :]).strip(" ,;")


def taken_from(piece: Piece, maker: str, others: Sequence[Made]) -> Taken:
    """What is not said of a piece taken from the maker's others: the label's size from the last of its place, cut, rise and fit
    from the last of its kind. `others` stand in the order in which they were hung.

    >>> jeans = Piece.of({"is": "jeans", "cut": "straight", "rise": "high"})
    >>> taken = taken_from(Piece.of({"is": "jeans", "cut": "wide"}), "Orla Weft", [Made(jeans, "Orla Weft", "12")])
    >>> taken.piece.described(), taken.label_size, taken.words
    ({'is': 'jeans', 'cut': 'wide', 'rise': 'high'}, '12', ('high rise',))
    """
    theirs = [one for one in reversed(others) if one.maker == maker]
    size = next((one.label_size for one in theirs if one.piece.slot == piece.slot and one.label_size), "")
    of_kind = next((one.piece.described() for one in theirs if one.piece.kind == piece.kind), {})
    told = piece.described()
    words = {
        key: of_kind[key] for key, figure in ALIKE.items() if key in of_kind and key not in told and figure not in told
    }
    read = tuple(f"{said(word)} rise" if key == "rise" else said(word) for key, word in words.items())
    return Taken(piece.with_(**words) if words else piece, size, read)
