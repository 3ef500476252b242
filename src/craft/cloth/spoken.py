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
#: Names the trade has for a piece of a certain kind, with the words that it means.
TRADE_NAMES: dict[str, dict[str, Any]] = {
    "riding boots": {"is": "tall_boots", "heel": "flat"},
    "knee boots": {"is": "tall_boots"},
    "chelsea boots": {"is": "ankle_boots", "heel": "flat", "shaft": "slim"},
    "combat boots": {"is": "ankle_boots", "bulk": "chunky", "heel": "flat"},
    "biker boots": {"is": "ankle_boots", "bulk": "chunky", "heel": "flat"},
    "ballet flats": {"is": "flats", "bulk": "dainty", "toe": "round"},
    "ballerinas": {"is": "flats", "bulk": "dainty", "toe": "round"},
    "court shoes": {"is": "pumps"},
    "stilettos": {"is": "pumps", "heel": "high", "heel_shape": "stiletto"},
    "wedges": {"is": "sandals", "heel": "mid", "heel_shape": "wedge"},
    "sneakers": {"is": "trainers"},
    "plimsolls": {"is": "trainers", "bulk": "dainty"},
    "moccasins": {"is": "loafers", "toe": "round"},
    "breton": {"is": "tee", "sleeve": "long", "neck": "boat", "pattern": "horizontal_stripe"},
    "breton top": {"is": "tee", "sleeve": "long", "neck": "boat", "pattern": "horizontal_stripe"},
    "roll neck": {"is": "knit", "neck": "polo"},
    "turtleneck": {"is": "knit", "neck": "polo"},
    "vest top": {"is": "tank"},
    "cami": {"is": "camisole"},
    "hoodie": {"is": "sweatshirt", "hooded": True},
    "body": {"is": "bodysuit"},
    "tunic": {"is": "blouse", "hem": "upper_thigh"},
    "trench": {"is": "coat", "belted": "medium", "fabric": ["structured"]},
    "trench coat": {"is": "coat", "belted": "medium", "fabric": ["structured"]},
    "overcoat": {"is": "coat"},
    "parka": {"is": "coat", "hem": "mid_thigh", "fit": "relaxed", "hooded": True},
    "denim jacket": {"is": "jacket", "fabric": ["denim"]},
    "leather jacket": {"is": "jacket", "fabric": ["leather"]},
    "bomber": {"is": "jacket", "hem": "high_hip", "fit": "relaxed"},
    "shacket": {"is": "jacket", "fit": "relaxed", "hem": "hip"},
    "vest": {"is": "waistcoat"},
    "chinos": {"is": "trousers", "cut": "slim_straight"},
    "slacks": {"is": "trousers"},
    "cigarette trousers": {"is": "trousers", "cut": "slim", "hem": "ankle"},
    "palazzo trousers": {"is": "trousers", "cut": "wide", "fabric": ["draping"]},
    "culottes": {"is": "trousers", "cut": "wide", "hem": "mid_calf"},
    "joggers": {"is": "trousers", "band": "drawstring", "fit": "relaxed"},
    "mom jeans": {"is": "jeans", "cut": "girlfriend", "rise": "high"},
    "jeggings": {"is": "leggings", "fabric": ["denim", "stretch"]},
    "mini skirt": {"is": "skirt", "hem": "mid_thigh"},
    "midi skirt": {"is": "skirt", "hem": "lower_calf"},
    "maxi skirt": {"is": "skirt", "hem": "foot"},
    "maxi dress": {"is": "dress", "hem": "foot"},
    "midi dress": {"is": "dress", "hem": "lower_calf"},
    "shirt dress": {"is": "dress", "neck": "open_collar", "belted": "medium"},
    "slip dress": {"is": "dress", "cut": "slip", "fabric": ["satin"]},
    "overalls": {"is": "dungarees"},
    "romper": {"is": "jumpsuit", "hem": "mid_thigh"},
    "pendant": {"is": "necklace", "drop": "long"},
    "choker": {"is": "necklace", "drop": "short"},
    "clutch": {"is": "bag", "size": "small"},
    "tote": {"is": "bag", "size": "large"},
    "swimming trunks": {"is": "swim_shorts"},
    "sash": {"is": "belt", "belted": "medium"},
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
    "extra": (("size", ""), ("lift", "bra"), ("surface", "")),
    "bottom": (("rise", "rise"), ("hem", "")),
    "shoes": (("heel", "heel"), ("toe", "toe"), ("shaft", "shaft"), ("vamp", "vamp"), ("surface", "")),
}
#: The same for everything made of cloth.
_OF_CLOTH: tuple[tuple[str, str], ...] = (
    *(("drape", "drape"), ("surface", ""), ("wash", ""), ("hem_finish", "hem"), ("runs", ""), ("sheerness", "")),
    *(
        ("band", "band"),
        ("pockets", "pockets"),
        ("sleeve_shape", "sleeve"),
        ("gathers", "gathers"),
        ("cut_out", "cut-out"),
    ),
)
_PARTED = re.compile(r"[,;.\n]+")


def hear(
    text: str, kinds: Mapping[str, tuple[str, ...]] = KINDS, notes: list[str] | None = None
) -> list[dict[str, Any]]:
    """The pieces of a spoken description, in words of the vocabulary; `kinds` are those listened for. Words that are not
    understood are put into `notes`; where none are given they are refused. Raises NotUnderstood.

    >>> hear("slim black jeans, high rise, ankle; white tee full tuck")
    [{'is': 'jeans', 'cut': 'slim', 'colour': 'black', 'rise': 'high', 'hem': 'ankle'}, {'is': 'tee', 'colour': 'white', 'tuck': 'full'}]
    """
    pieces: list[dict[str, Any]] = []
    waiting: list[str] = []
    for part in _PARTED.split(text.lower()):
        tokens = [token for token in part.split() if token]
        if not tokens:
            continue
        piece, rest = kind_of(tokens, kinds)
        if piece is None:
            # Said apart from its piece: it belongs to the one before, or waits for the first.
            if pieces:
                _add(pieces[-1], rest, notes)
            else:
                waiting += rest
            continue
        _add(piece, waiting + rest, notes)
        waiting = []
        pieces.append(piece)
    if waiting:
        raise NotUnderstood(f"“{' '.join(waiting)[:60]}” names no piece. Say what it is: jeans, tee, loafers.")
    for piece in pieces:
        Piece.of(piece)
    return pieces


def kind_of(tokens: list[str], kinds: Mapping[str, tuple[str, ...]]) -> tuple[dict[str, Any] | None, list[str]]:
    """What piece the words name, with what its name means besides, and the words that are left."""
    heard = {kind for listed in kinds.values() for kind in listed}
    known: dict[str, dict[str, Any]] = {name: {"is": kind} for name, kind in _KIND_AS.items() if kind in heard}
    known |= {name: words for name, words in TRADE_NAMES.items() if words["is"] in heard}
    known |= {said(kind): {"is": kind} for kind in heard}
    for size in (3, 2, 1):
        for at in range(len(tokens) - size + 1):
            phrase = " ".join(tokens[at : at + size])
            if phrase in known:
                return dict(known[phrase]), tokens[:at] + tokens[at + size :]
    return None, tokens


def _add(piece: dict[str, Any], tokens: list[str], notes: list[str] | None) -> None:
    slot = KIND[piece["is"]].slot
    unknown = []
    at = 0
    while at < len(tokens):
        size, key, word = next(_meanings(slot, tokens, at), (1, "", ""))
        if key in ("fabric", "swim_detail"):
            piece[key] = [*piece.get(key, []), word]
        elif key == "colour" and key in piece and "second_colour" not in piece:
            # “navy and white scarf”: the ground, then what is on it.
            piece["second_colour"] = word
        elif key == "colour" and "second_colour" in piece:
            piece["third_colour"] = word
        elif key in FLAGS:
            piece[key] = True
        elif key:
            piece[key] = word
        elif tokens[at] not in _FILLERS:
            unknown.append(tokens[at])
        at += size
    if unknown and notes is not None:
        notes.append(" ".join(unknown))
    elif unknown:
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
        if phrase in ("distressed", "padded", "tapered", "side stripe", "pushed", "darts", "hooded"):
            yield size, phrase.replace(" ", "_"), ""
        if phrase == "hood":
            yield size, "hooded", ""
        if slot == "bottom" and phrase in ("cuffed", "inside", "outside"):
            yield (size, "cuffed", "") if phrase == "cuffed" else (size, "worn", phrase)
        if slot == "shoes" and phrase in ("ankle strap", "strap"):
            yield size, "ankle_strap", ""
        if slot in ("layer", "top") and phrase in ("open", "unfastened"):
            yield size, "open", ""
        if slot in ("top", "layer", "one_piece") and phrase in (said(word) for word in NECK):
            yield size, "neck", phrase.replace(" ", "_")
