"""Details: what of a piece draws the eye, and where on it that lies. One list for every kind of piece, suits included."""

from __future__ import annotations

from typing import Literal, NamedTuple

from craft.cloth.piece import Piece
from craft.facts import fact

Side = Literal["front", "back"]

#: Kinds that cover the lower half only: what they say lies on the hip.
LOWER = ("bikini_bottom", "swim_shorts")
_PRINTS = {"large_print": "print", "animal": "print", "lettering": "lettering", "check": "check"}
#: Where a cut's own frill lies, and where cloth is cut out.
_FRILL_AT = {"ruffled": ("bust", "shoulders"), "peplum": ("hips",), "pleated": ("hips",)}
_CUT_OUT_AT = {"midriff": ("middle",), "sides": ("middle",), "shoulders": ("shoulders",)}
#: Where pockets lie, and from which side they are seen.
_POCKETS_AT: dict[str, tuple[tuple[str, ...], Side]] = {
    "seat_high": (("seat",), "back"),
    "seat_low": (("seat",), "back"),
    "seat_wide": (("seat",), "back"),
    "hip": (("hips",), "front"),
    "chest": (("bust",), "front"),
    "thigh": (("thighs",), "front"),
}
#: Where a fade draws to, by where it is.
_FADE_AT: dict[str, tuple[tuple[str, ...], Side]] = {
    "thighs": (("thighs", "hips"), "front"),
    "seat": (("seat", "hips"), "back"),
}


class Detail(NamedTuple):
    """Something of a piece that draws the eye: what, the zones that it lies on (all that the piece covers where there are
    none), and the side from which it is seen (either where there is none)."""

    what: str
    zones: tuple[str, ...] = ()
    side: Side | None = None


@fact
def details_of(piece: Piece) -> tuple[Detail, ...]:
    """What of a piece draws the eye, and where.

    >>> [detail.zones for detail in details_of(Piece.of({"is": "bikini_bottom", "swim_detail": ["flounce"]}))]
    [('hips',)]
    >>> details_of(Piece.of({"is": "jeans", "fade": ["seat"]}))[0].side
    'back'
    """
    return (*_of_the_cloth(piece), *_of_the_cut(piece), *_of_a_suit(piece))


def _of_the_cloth(piece: Piece) -> list[Detail]:
    found = []
    pattern, surface, swim = piece.word("pattern"), piece.word("surface"), piece.slot == "swim"
    if pattern in _PRINTS:
        found.append(Detail(_PRINTS[pattern]))
    if surface in ("shiny", "metallic"):
        found.append(Detail("shine"))
    if "crochet" in piece.fabric or (swim and (surface == "textured" or "satin" in piece.fabric)):
        found.append(Detail("texture"))
    for fade in sorted(piece.words("fade")):
        zones, side = _FADE_AT[fade]
        found.append(Detail(f"fade at the {fade}", zones, side))
    return found


def _of_the_cut(piece: Piece) -> list[Detail]:
    found = []
    cut, cut_out, pockets = piece.word("cut"), piece.word("cut_out"), piece.word("pockets")
    if cut in _FRILL_AT and piece.slot != "bottom":
        found.append(Detail("frill", _FRILL_AT[cut]))
    if cut_out in _CUT_OUT_AT:
        found.append(Detail("cut-out", _CUT_OUT_AT[cut_out]))
    if pockets in _POCKETS_AT:
        found.append(Detail("pockets", *_POCKETS_AT[pockets]))
    return found


def _of_a_suit(piece: Piece) -> list[Detail]:
    said = piece.words("swim_detail")
    own = ("hips",) if piece.kind in LOWER else ("bust",)
    centre = ("middle",) if piece.kind in ("swimsuit", "tankini") else own
    found = []
    for word, what, zones in (
        ("flounce", "frill", own),
        ("lacing", "lacing", own),
        ("shoulder_detail", "detail at the shoulder", ("shoulders",)),
        ("side_ties", "ties", ("hips",)),
        ("cut_out", "cut-out", ("middle",)),
    ):
        if word in said:
            found.append(Detail(what, zones))
    if "centre_detail" in said and piece.kind not in LOWER:
        found.append(Detail("detail at the centre", centre, "front"))
    if piece.slot == "swim" and piece.word("neck") == "one_shoulder":
        found.append(Detail("one shoulder", ("shoulders",)))
    return found
