"""A product description or a row of a size chart, read: “High-rise jeans, front rise 27 cm, inseam 30in, leg opening 19 cm”.

Shops measure girths flat or round and do not say which: a girth too small to be round was taken flat, and is doubled.
"""

from __future__ import annotations

import re
from dataclasses import dataclass

from craft.cloth import words
from craft.cloth.kinds import FIBRES, FIGURES, KIND
from craft.cloth.piece import Piece
from craft.cloth.words import said
from craft.errors import NotALength, NothingRead
from craft.units import Unit, parse_length

#: How shops name figures, longest first where one name holds another.
_NAMES: tuple[tuple[str, str], ...] = (
    *(("front rise", "front_rise_cm"), ("back rise", "back_rise_cm"), ("rise", "front_rise_cm")),
    *(("inside leg", "inseam_cm"), ("inseam", "inseam_cm"), ("outseam", "outseam_cm"), ("outside leg", "outseam_cm")),
    *(("leg opening", "leg_opening_cm"), ("hem width", "leg_opening_cm"), ("bottom opening", "leg_opening_cm")),
    *(
        ("upper arm", "upper_arm_cm"),
        ("bicep", "upper_arm_cm"),
        ("sleeve length", "sleeve_cm"),
        ("sleeve", "sleeve_cm"),
    ),
    *(("torso loop", "torso_loop_cm"), ("torso", "torso_loop_cm"), ("neck depth", "neck_depth_cm")),
    *(("shaft height", "shaft_cm"), ("shaft girth", "shaft_girth_cm"), ("shaft circumference", "shaft_girth_cm")),
    *(("calf width", "shaft_girth_cm"), ("heel height", "heel_cm"), ("heel", "heel_cm"), ("platform", "platform_cm")),
    *(("chest", "chest_cm"), ("bust", "chest_cm"), ("waist", "waist_cm"), ("hips", "hip_cm"), ("hip", "hip_cm")),
    *(("thigh", "thigh_cm"), ("knee", "knee_cm"), ("sweep", "hem_sweep_cm"), ("shoulder", "shoulder_cm")),
    *(("length", "length_cm"), ("width", "width_cm")),
)
#: Smaller than this, cm, a girth was measured flat: no adult's is so small round.
ROUND_FROM = {
    "chest_cm": 66.0,
    "waist_cm": 52.0,
    "hip_cm": 70.0,
    "thigh_cm": 40.0,
    "knee_cm": 29.0,
    "leg_opening_cm": 24.0,
    "upper_arm_cm": 21.0,
    "hem_sweep_cm": 60.0,
    "shaft_girth_cm": 24.0,
}
_KINDS_AS = {"pants": "trousers", "chinos": "trousers", "slacks": "trousers", "denim": "jeans", "t-shirt": "tee", "top": "tee",
             "sweater": "knit", "jumper": "knit", "one-piece": "swimsuit", "boots": "tall_boots"}  # fmt: skip
_KIND_BY_FIGURE = (
    *(("inseam_cm", "trousers"), ("front_rise_cm", "trousers"), ("leg_opening_cm", "trousers")),
    *(("shaft_cm", "tall_boots"), ("shaft_girth_cm", "tall_boots"), ("torso_loop_cm", "swimsuit")),
    *(("chest_cm", "tee"), ("sleeve_cm", "tee"), ("length_cm", "skirt")),
)
#: What may stand between a figure's name and the figure.
_BETWEEN = r"[\s\-–(=]*(?:(?:laid )?flat|round|approx\.?|about|girth|circumference|width)?[\s)=\-–]*"
_LENGTH = r"(\d+(?:[.,]\d+)?(?:\s+\d+/\d+)?\s*(?:cm|in\b|inch(?:es)?|″|\")?)"
#: “98 % cotton, 2 % elastane”, and the other names that fibres have.
_FIBRE_AS = {"spandex": "elastane", "nylon": "polyamide", "linen": "flax", "rayon": "viscose", "stretch": "elastane"}
_SHARE = re.compile(rf"(\d{{1,3}}(?:[.,]\d)?)\s*%\s*({'|'.join((*FIBRES, *_FIBRE_AS))})\b")
_WEIGHT = re.compile(r"(\d{2,4})\s*(?:g/m²|g/m2|gsm)")


@dataclass(frozen=True, slots=True)
class Description:
    """A described piece, the figures that were flat and have been doubled, and what was not understood."""

    piece: Piece
    doubled: tuple[str, ...]
    unread: tuple[str, ...]


def read_description(text: str, unit: Unit = "cm") -> Description:
    """Read the figures of a description; `unit` is meant where none is said. Raises NothingRead.

    >>> told = read_description("Slim jeans. Front rise 27 cm, inseam 30in, leg opening 19 cm")
    >>> told.piece.kind, told.piece.figure("leg_opening_cm"), told.doubled
    ('jeans', 38.0, ('leg_opening_cm',))
    """
    low = " ".join(text.lower().replace(":", " ").split())[:4000]
    figures, doubled, unread, _ = find_figures(low, unit)
    if not figures:
        raise NothingRead("No figure was found. Paste it like “front rise 27 cm, inseam 30in, leg opening 19 cm”.")
    kind = _kind(low, figures)
    slot = KIND[kind].slot
    known = FIGURES[slot]
    unread += [said(key.removesuffix("_cm")) for key in figures if key not in known]
    described = {"is": kind, **_words(low, slot), **{key: cm for key, cm in figures.items() if key in known}}
    described |= {key: share for key, share in find_cloth(low)[0].items() if key in known}
    return Description(Piece.of(described), tuple(doubled), tuple(unread))


def find_cloth(text: str) -> tuple[dict[str, float], str]:
    """The shares of fibres and the weight that a text names, and the text without them.

    >>> find_cloth("jeans, 98 % cotton 2% spandex")[0]
    {'cotton_pct': 98.0, 'elastane_pct': 2.0}
    """
    found: dict[str, float] = {}
    for share, fibre in _SHARE.findall(text):
        found.setdefault(f"{_FIBRE_AS.get(fibre, fibre)}_pct", float(share.replace(",", ".")))
    weight = _WEIGHT.search(text)
    if weight:
        found["weight_gsm"] = float(weight[1])
    return found, _WEIGHT.sub(" ", _SHARE.sub(" ", text))


def find_figures(text: str, unit: Unit) -> tuple[dict[str, float], list[str], list[str], str]:
    """The figures named in a text, cm; those that were flat and are doubled; what was no length; and the
    text without them."""
    figures: dict[str, float] = {}
    doubled: list[str] = []
    unread: list[str] = []
    taken: list[tuple[int, int]] = []
    for name, key in _NAMES:
        for found in re.finditer(rf"\b{name}\b{_BETWEEN}{_LENGTH}", text):
            if key in figures or any(start < found.end() and found.start() < end for start, end in taken):
                continue
            taken.append(found.span())
            typed = re.sub(r"\s*(?:inch(?:es)?|″|\")$", "in", found[1].strip())
            try:
                cm = parse_length(typed, unit)
            except NotALength:
                unread.append(found[0])
                continue
            if cm < ROUND_FROM.get(key, 0.0):
                cm, doubled = cm * 2, [*doubled, key]
            figures[key] = round(cm, 1)
    rest = list(text)
    for start, end in taken:
        rest[start:end] = " " * (end - start)
    return figures, doubled, unread, "".join(rest)


def _kind(text: str, figures: dict[str, float]) -> str:
    named = {said(kind): kind for kind in KIND} | _KINDS_AS
    found = [(text.find(name), -len(name), kind) for name, kind in named.items() if re.search(rf"\b{name}\b", text)]
    fits = [(at, size, kind) for at, size, kind in found if any(key in FIGURES[KIND[kind].slot] for key in figures)]
    if fits:
        return min(fits)[2]
    return next((kind for key, kind in _KIND_BY_FIGURE if key in figures), "tee")


def _words(text: str, slot: str) -> dict[str, object]:
    """The words of the vocabulary that a description uses: cut, rise, cloth, neck."""
    plain = text.replace("-", " ")
    found: dict[str, object] = {}
    for word in ("very_high", "high", "mid", "low"):
        if slot == "bottom" and re.search(rf"\b{said(word)} (?:rise|waist(?:ed)?)\b", plain):
            found["rise"] = word
            break
    cuts = words.LEG_CUTS if slot == "bottom" else words.TOP_CUTS if slot in ("top", "layer") else words.DRESS_CUTS
    for cut in sorted((*cuts, *(words.DRESS_CUTS if "skirt" in plain else ())), key=len, reverse=True):
        if re.search(rf"\b{said(cut)}\b", plain) and cut != "plain":
            found["cut"] = cut
            break
    cloth = [word for word in words.FABRIC if re.search(rf"\b{word}\b", plain)]
    if cloth and slot not in ("shoes", "extra", "swim"):
        found["fabric"] = cloth
    return found
