"""Tees, shirts and knits, worn: hem, tuck and ease on this body."""

from __future__ import annotations

from dataclasses import dataclass
from functools import lru_cache
from typing import NamedTuple

from craft.body import Body
from craft.cloth import Piece
from craft.cloth.kinds import KIND
from craft.cloth.piece import colour_of
from craft.wear.ease import FIT_EASE, top_volume
from craft.wear.landing import Landing
from craft.wear.length import hem_of

#: A cut word that says where the top ends, and one that says how it fits.
CUT_HEM = {"longline": "seat", "cropped": "waist"}
CUT_FIT = {"boxy": "relaxed", "sheath": "fitted", "pencil": "fitted", "shift": "relaxed", "ruched": "fitted"}
#: Cuts that mark a waist by themselves, 0 to 1 (W).
CUT_MARKS = {"wrap": 0.7, "sheath": 0.6, "pencil": 0.6, "peplum": 0.7, "empire": 0.45, "a_line": 0.45, "pleated": 0.45}
#: How clearly darts mark a waist, 0 to 1; and a hem that ends so near to it, cm, where the middle is less than the last of
#: the hip round (W).
DARTS, CROPPED, AT_WAIST, NARROW = 0.6, 0.6, 4.0, 0.93
#: Of a very long top what hangs further than this under the band rolls up behind, so much a cm (brief, section 5; W).
LIES_FLAT, ROLLS = 18.0, 0.02
#: What a top has in slack from this volume on is pushed under a band with it, so much a step of volume, in whatever cloth (W).
SLACK_FROM, SLACK = 2.0, 0.2
CLOTH_THICKNESS = {"chunky": 0.9, "substantial": 0.5, "thin": 0.05, "satin": 0.06, "crochet": 0.35, "lace": 0.08}


class TuckRow(NamedTuple):
    """What a tuck does: which parts of the hem go in, how clearly it marks the waist, what volume it leaves.

    `front`, `side` and `back` are 1 where that part is tucked; `blouse` the cm eased out over
    the band; `volume` is added to the top's (brief, section 5).
    """

    front: float
    side: float
    back: float
    marks: float
    volume: float
    blouse: float


TUCKS: dict[str, TuckRow] = {
    "none": TuckRow(0, 0, 0, 0.0, 0.0, 0.0),
    "full": TuckRow(1, 1, 1, 1.0, -0.7, 0.0),
    "bloused": TuckRow(1, 1, 1, 0.8, -0.2, 3.0),
    "front": TuckRow(1, 0, 0, 0.7, -0.3, 1.5),
    "half": TuckRow(0.5, 0.5, 0, 0.6, -0.4, 1.0),
    "side": TuckRow(0, 0.5, 0, 0.4, -0.3, 1.0),
    "back": TuckRow(0, 0, 1, 0.35, -0.2, 0.0),
    "tail_fold": TuckRow(0, 0, 0.5, 0.2, 0.0, 0.0),
    "knot": TuckRow(1, 0.5, 0, 0.8, -0.4, 0.0),
    "bra": TuckRow(1, 1, 1, 0.8, -0.6, 0.0),
    "lifted": TuckRow(1, 1, 1, 1.0, -0.7, 0.0),
    "front_and_tail": TuckRow(0.5, 0.5, 0.5, 0.6, -0.4, 1.0),
    "gathered": TuckRow(0, 0.5, 0, 0.55, -0.4, 0.0),
}
#: Tucks whose cloth is smoothed or held where no fold is seen: up in the bra's band, lifted above the seat (brief, section 23).
SMOOTH = ("bra", "lifted")


@dataclass(frozen=True, slots=True)
class WornTop:
    """A top on the body. Heights above the ground, cm; ease as a share of the bust."""

    piece: Piece
    fit: str
    tuck: str
    hem: Landing
    front: Landing
    side: Landing
    tucked: bool
    ease: float
    chest: float
    volume: float
    marks_waist: float
    bulk: float
    #: Whether cloth lies under the band behind, where it can show as a ridge; and where the top ends behind.
    ridge: bool
    behind: float
    blouse: float
    sleeve: str
    neck: str
    thickness: float
    #: What it is seen as: the colour said, or its kind's usual one.
    colour: str

    @property
    def is_all_tucked(self) -> bool:
        """Whether it ends at the band all round, as far as is seen from the front."""
        return self.tucked and self.front == self.side


@lru_cache(maxsize=8192)
def wear_top(
    body: Body, piece: Piece, lift: float, waistband: Landing | None, *, hem: Landing | None = None, held: bool = False
) -> WornTop:
    """Put a top on a body; `waistband` is the band it may be tucked into. Of a dress `hem` is where its upper part ends;
    `held` is a top that something else holds in, such as a bib."""
    row = KIND[piece.kind]
    cut = piece.word("cut") or "plain"
    fit = piece.word("fit") or CUT_FIT.get(cut, row.fit)
    chest = piece.figure("chest_cm")
    ease = FIT_EASE[fit] if chest is None else chest / body.girth("bust") - 1
    if hem is None:
        hem = hem_of(body, piece, lift, CUT_HEM.get(cut, row.hem or "waist"))
    tuck = "full" if held else piece.word("tuck") or row.tuck
    # A top that ends above the band has nothing to tuck.
    reaches = waistband is not None and hem.cm < waistband.cm
    style = TUCKS[tuck] if reaches else TUCKS["none"]
    thickness = max([row.thickness, *(CLOTH_THICKNESS.get(word, 0.0) for word in piece.fabric)])
    if "thin" in piece.fabric:
        thickness = CLOTH_THICKNESS["thin"]
    loose = top_volume(ease)
    darts = DARTS if piece.flag("darts") else 0.0
    ends_at_waist = piece.slot == "top" and abs(hem.cm - lift - body.height("waist")) <= AT_WAIST
    cropped = CROPPED if ends_at_waist and body.girth("belly") < NARROW * body.girth("hip") else 0.0
    own_waist = max(darts, cropped, 0.5 if loose <= 1.2 and cut != "boxy" else 0.0, CUT_MARKS.get(cut, 0.0))
    return WornTop(
        piece=piece,
        fit=fit,
        tuck=tuck if reaches else "none",
        hem=hem,
        front=waistband if waistband and style.front else hem,
        side=waistband if waistband and style.side >= 1 else hem,
        tucked=bool(style.front or style.side),
        ease=ease,
        chest=body.girth("bust") * (1 + ease),
        volume=max(0.0, min(4.0, loose + (style.volume if loose > 1 else 0.0))),
        marks_waist=max(style.marks, own_waist),
        bulk=0.0
        if tuck in SMOOTH or row.hangs == "body"
        else _bulk(style, thickness, loose, waistband.cm - hem.cm if waistband else 0.0),
        ridge=style.back >= 1 and tuck not in SMOOTH and row.hangs != "body",
        behind=_behind(body, style, hem, waistband, lift),
        blouse=style.blouse if loose > 1 else 0.0,
        sleeve=piece.word("sleeve") or row.sleeve,
        neck=piece.word("neck") or row.neck,
        thickness=thickness,
        colour=colour_of(piece),
    )


def _bulk(style: TuckRow, thickness: float, loose: float, under: float) -> float:
    """How much cloth is pushed under the band: by its thickness and ease, and behind by what hangs `under` the band, cm."""
    pushed = (style.front + style.side + style.back) / 3
    rolled = style.back * ROLLS * max(0.0, under - LIES_FLAT)
    slack = 0.0 if style.blouse else SLACK * max(0.0, loose - SLACK_FROM) * pushed
    return (thickness * pushed + rolled * min(1.0, thickness / 0.12)) * (0.6 + 0.15 * loose) + slack


def _behind(body: Body, style: TuckRow, hem: Landing, waistband: Landing | None, lift: float) -> float:
    """Where a top ends behind, cm above the ground: at the band where its tail is tucked, at the seat's top where it is
    folded under."""
    if waistband is None or style.back >= 1:
        return waistband.cm if waistband is not None else hem.cm
    return max(hem.cm, body.height("high_hip") + lift) if style.back else hem.cm
