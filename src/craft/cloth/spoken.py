"""A look said aloud: “relaxed burgundy knit, front tuck; straight jeans to the ankle; black loafers”."""

from __future__ import annotations

import re
from collections.abc import Iterator, Mapping
from typing import Any

from craft.cloth.kinds import KIND, KINDS
from craft.cloth.piece import Piece
from craft.cloth.words import (
    COLOURS,
    DRESS_CUTS,
    FABRIC,
    FIT,
    FLAGS,
    LEG_CUTS,
    NECK,
    ONE_OF,
    PATTERN,
    SWIM_DETAIL,
    TOP_CUTS,
    said,
)
from craft.errors import NotUnderstood

#: Words that carry no choice in a spoken description.
_FILLERS = {
    "a",
    "an",
    "and",
    "at",
    "ending",
    "ends",
    "in",
    "of",
    "on",
    "pair",
    "the",
    "to",
    "with",
    "worn",
    "cut",
    "leg",
}
#: Other ways to say a kind.
_KIND_AS = {
    "jean": "jeans",
    "denims": "jeans",
    "trouser": "trousers",
    "t-shirt": "tee",
    "tshirt": "tee",
    "jumper": "knit",
    "sweater": "knit",
    "pullover": "knit",
    "heels": "pumps",
    "ankle boot": "ankle_boots",
    "boots": "ankle_boots",
    "loafer": "loafers",
    "trainer": "trainers",
}
#: Keys whose words may be said bare, by slot, the first that knows the word wins.
_BARE: dict[str, tuple[tuple[str, tuple[str, ...]], ...]] = {
    "top": (("fit", FIT), ("cut", ("boxy", "longline", "cropped")), ("pattern", PATTERN), ("fabric", FABRIC)),
    "layer": (("fit", FIT), ("cut", TOP_CUTS), ("pattern", PATTERN), ("fabric", FABRIC)),
    "one_piece": (("fit", FIT), ("cut", (*DRESS_CUTS, *LEG_CUTS)), ("pattern", PATTERN), ("fabric", FABRIC)),
    "swim": (("swim_detail", SWIM_DETAIL), ("fit", FIT), ("pattern", PATTERN), ("fabric", FABRIC)),
    "extra": (("belted", ONE_OF["belted"]), ("drop", ONE_OF["drop"]), ("pattern", PATTERN), ("fabric", FABRIC)),
    "bottom": (("cut", (*LEG_CUTS, *DRESS_CUTS)), ("fit", FIT), ("pattern", PATTERN), ("fabric", FABRIC)),
    "shoes": (
        ("toe", ONE_OF["toe"]),
        ("bulk", ONE_OF["bulk"]),
        ("heel_shape", ONE_OF["heel_shape"]),
        ("heel", ("flat", "kitten")),
        ("fabric", FABRIC),
    ),
}
#: Keys whose words are said together with the key: “high rise”, “front tuck”, “v neck”.
_TOGETHER: dict[str, tuple[tuple[str, str], ...]] = {
    "top": (("tuck", "tuck"), ("neck", "neck"), ("sleeve", "sleeve"), ("hem", "")),
    "layer": (("neck", "neck"), ("sleeve", "sleeve"), ("hem", "")),
    "one_piece": (("neck", "neck"), ("sleeve", "sleeve"), ("hem", ""), ("belted", "belt")),
    "swim": (("neck", "neck"),),
    "extra": (),
    "bottom": (("rise", "rise"), ("hem", "")),
    "shoes": (("heel", "heel"), ("toe", "toe"), ("shaft", "shaft")),
}
#: The same for everything made of cloth.
_OF_CLOTH: tuple[tuple[str, str], ...] = (("drape", "drape"), ("surface", ""), ("wash", ""), ("hem_finish", "hem"),
                                          ("runs", ""), ("sheerness", ""))  # fmt: skip
_PARTED = re.compile(r"[,;.\n]+")


def hear(text: str, kinds: Mapping[str, tuple[str, ...]] = KINDS) -> list[dict[str, Any]]:
    """The pieces of a spoken description, in words of the vocabulary; `kinds` are those listened for.
    Raises NotUnderstood.

    >>> hear("slim black jeans, high rise, ankle; white tee full tuck")
    [{'is': 'jeans', 'cut': 'slim', 'colour': 'black', 'rise': 'high', 'hem': 'ankle'}, {'is': 'tee', 'colour': 'white', 'tuck': 'full'}]
    """
    pieces: list[dict[str, Any]] = []
    waiting: list[str] = []
    for part in _PARTED.split(text.lower()):
        tokens = [token for token in part.split() if token]
        if not tokens:
            continue
        kind, rest = _kind_of(tokens, kinds)
        if kind is None:
            # Said apart from its piece: it belongs to the one before, or waits for the first.
            if pieces:
                _add(pieces[-1], rest)
            else:
                waiting += rest
            continue
        piece: dict[str, Any] = {"is": kind}
        _add(piece, waiting + rest)
        waiting = []
        pieces.append(piece)
    if waiting:
        raise NotUnderstood(f"“{' '.join(waiting)[:60]}” names no piece. Say what it is: jeans, tee, loafers.")
    for piece in pieces:
        Piece.of(piece)
    return pieces


def _kind_of(tokens: list[str], kinds: Mapping[str, tuple[str, ...]]) -> tuple[str | None, list[str]]:
    heard = {kind for listed in kinds.values() for kind in listed}
    known = {name: kind for name, kind in _KIND_AS.items() if kind in heard} | {said(kind): kind for kind in heard}
    for size in (3, 2, 1):
        for at in range(len(tokens) - size + 1):
            phrase = " ".join(tokens[at : at + size])
            if phrase in known:
                return known[phrase], tokens[:at] + tokens[at + size :]
    return None, tokens


def _add(piece: dict[str, Any], tokens: list[str]) -> None:
    slot = KIND[piece["is"]].slot
    unknown = []
    at = 0
    while at < len(tokens):
        size, key, word = next(_meanings(slot, tokens, at), (1, "", ""))
        if key in ("fabric", "swim_detail"):
            piece[key] = [*piece.get(key, []), word]
        elif key in FLAGS:
            piece[key] = True
        elif key:
            piece[key] = word
        elif tokens[at] not in _FILLERS:
            unknown.append(tokens[at])
        at += size
    if unknown:
        raise NotUnderstood(f"“{' '.join(unknown)[:60]}” is not understood for {said(piece['is'])}.")


def _meanings(slot: str, tokens: list[str], at: int) -> Iterator[tuple[int, str, str]]:
    """What the words from `at` on can mean: how many they are, the key and the word; longest first."""
    for size in (4, 3, 2, 1):
        phrase = " ".join(tokens[at : at + size])
        if len(tokens) - at < size:
            continue
        for key, ending in (*_TOGETHER[slot], *(() if slot in ("shoes", "extra") else _OF_CLOTH)):
            for word in ONE_OF[key]:
                spoken = said(word)
                if phrase == f"{spoken} {ending}".strip() or (ending and phrase == f"{ending} {spoken}"):
                    yield size, key, word
        if phrase in (said(name) for name in COLOURS):
            yield size, "colour", phrase.replace(" ", "_")
        for key, choices in _BARE[slot]:
            if phrase.replace(" ", "_") in choices:
                yield size, key, phrase.replace(" ", "_")
        if slot == "top" and phrase in ("untucked", "tucked", "bloused", "knotted", "rolled"):
            meant = {"untucked": "none", "tucked": "full", "bloused": "bloused", "knotted": "knot"}.get(phrase)
            yield (size, "tuck", meant) if meant else (size, "rolled", "")
        if phrase == "distressed":
            yield size, phrase, ""
        if slot == "bottom" and phrase in ("cuffed", "inside", "outside"):
            yield (size, "cuffed", "") if phrase == "cuffed" else (size, "worn", phrase)
        if slot == "shoes" and phrase in ("ankle strap", "strap"):
            yield size, "ankle_strap", ""
        if slot in ("layer", "top") and phrase in ("open", "unfastened"):
            yield size, "open", ""
        if slot in ("top", "layer", "one_piece") and phrase in (said(word) for word in NECK):
            yield size, "neck", phrase.replace(" ", "_")
