"""Every edge of one piece on a body, named: bands and hems where they are worn, necklines, sleeves, what is worn besides."""

from __future__ import annotations

import math
from collections.abc import Callable

from craft.body import Body
from craft.cloth import Piece
from craft.cloth.kinds import KIND
from craft.cloth.words import said
from craft.fit.edges import LandedEdge, edge
from craft.schools import Schools
from craft.wear import Landing, WornShoes, wear_bottom, wear_layer, wear_shoes, wear_top
from craft.wear.length import hem_of
from craft.wear.openings import BELT_CM, NECK_DEPTH, NECKLACE_CM, SHOULDER_FALLS, SLEEVE_SHARE
from craft.wear.shoes import sock_top

Edges = tuple[LandedEdge, ...]


def hang(body: Body, piece: Piece, shoes: WornShoes, schools: Schools) -> tuple[Edges, float | None]:
    """Every edge of a piece, top to bottom, and where its band sits above the barefoot floor, cm."""
    edges, band = _HANGERS[piece.slot](body, piece, shoes, schools)
    return tuple(sorted(edges, key=lambda one: -one.height)), band


def _bottom(body: Body, piece: Piece, shoes: WornShoes, schools: Schools) -> tuple[Edges, float | None]:
    worn = wear_bottom(body, piece, shoes, schools)
    at = f"{worn.rise}_rise" if worn.has_legs else ""
    band = edge(body, "waistband", "waistband", worn.waistband, shoes.lift, at=at)
    hem = edge(body, "hem", f"{said(piece.kind)} hem", worn.hem, shoes.lift)
    return (band, hem), worn.waistband.cm - shoes.lift


def _from_shoulder(body: Body, piece: Piece, shoes: WornShoes, schools: Schools) -> tuple[Edges, float | None]:
    """Tops, layers, dresses and suits: hem, neckline and sleeve."""
    name = "leg line" if KIND[piece.kind].hangs == "body" else f"{said(piece.kind)} hem"
    hem = edge(body, "hem", name, _hem(body, piece, shoes, schools), shoes.lift)
    return (hem, *_neck(body, piece, shoes.lift), *_sleeve(body, piece, shoes.lift)), None


def _hem(body: Body, piece: Piece, shoes: WornShoes, schools: Schools) -> Landing:
    """A piece's hem, worn as the look wears it."""
    match piece.slot:
        case "one_piece":
            return wear_bottom(body, piece, shoes, schools).hem
        case "layer":
            return wear_layer(body, piece, shoes.lift).hem
    return wear_top(body, piece, shoes.lift, None).hem


def _neck(body: Body, piece: Piece, lift: float) -> list[LandedEdge]:
    depth = piece.figure("neck_depth_cm")
    word = piece.word("neck")
    if depth is None and word is None:
        return []
    cm = body.height("shoulder") + lift - (depth if depth is not None else NECK_DEPTH[word or "crew"])
    landing = Landing.on(body, cm, "shoulder_height", described=depth is None)
    return [edge(body, "neckline", "neckline", landing, lift, at=_neck_at(body, cm - lift))]


#: How far above or below the wrist a thing is worn, cm (W).
WORN_AT = {"watch": 2.0, "bracelet": 0.5, "ring": -8.0}


def _neck_at(body: Body, height: float) -> str:
    """A neckline is named by what it lies above: collar bones, bust line, or below it."""
    bust, shoulder = body.height("bust"), body.height("shoulder")
    share = (shoulder - height) / max(shoulder - bust, 1.0)
    if share < 0.55:
        return "above_the_collar_bones" if share < 0.3 else "at_the_collar_bones"
    if share < 1.1:
        return "above_the_bust_line" if share < 0.95 else "at_the_bust_line"
    return "below_the_bust_line"


def _sleeve(body: Body, piece: Piece, lift: float) -> list[LandedEdge]:
    measured, word = piece.figure("sleeve_cm"), piece.word("sleeve")
    if piece.kind == "bikini_top" or (measured is None and word in (None, "none")):
        return []
    arm = body.lengths["arm_length"].cm
    length = measured if measured is not None else SLEEVE_SHARE[word or "long"] * arm
    wrist = body.height("shoulder") - SHOULDER_FALLS - arm
    cm = wrist + (arm - length) + lift
    off = arm - length
    at = "at_the_wrist" if abs(off) <= 1.5 else "over_the_hand" if off < 0 else "on_the_arm"
    landing = Landing.on(body, cm, "arm_length", described=measured is None)
    return [edge(body, "cuff", "sleeve end", landing, lift, at=at)]


def _shoes(body: Body, piece: Piece, shoes: WornShoes, schools: Schools) -> tuple[Edges, float | None]:
    worn = wear_shoes(body, piece)
    name = "shaft top" if worn.is_boot else "vamp"
    at = worn.cover.at(body, worn.lift) if worn.is_boot else "foot"
    top = edge(body, "cover", name, worn.cover, worn.lift, at=at)
    if worn.strap is None:
        return (top,), None
    strap = Landing.on(body, worn.strap, "narrow_ankle_height", described=True)
    return (top, edge(body, "strap", "ankle strap", strap, worn.lift)), None


def _swim(body: Body, piece: Piece, shoes: WornShoes, schools: Schools) -> tuple[Edges, float | None]:
    if piece.kind in ("bikini_top", "tankini"):
        return _from_shoulder(body, piece, shoes, schools)
    rise = piece.figure("front_rise_cm")
    if piece.kind == "swimsuit":
        leg = Landing.on(body, body.height("crotch"), "crotch_height", described=True)
        return (edge(body, "hem", "leg line", leg, 0.0), *_neck(body, piece, 0.0)), None
    if piece.kind == "swim_shorts":
        row = KIND[piece.kind]
        hem = edge(body, "hem", "hem", hem_of(body, piece, shoes.lift, row.hem), shoes.lift)
        band = Landing.on(body, body.height("high_hip") + shoes.lift, described=True)
        return (edge(body, "waistband", "waistband", band, shoes.lift), hem), body.height("high_hip")
    at = body.rise.height_of(rise) if rise is not None else body.height("high_hip")
    rests_on = ("navel_height", "front_rise_navel") if rise is not None else ()
    band = Landing.on(body, at, *rests_on, described=rise is None)
    return (edge(body, "waistband", "waistband", band, 0.0),), at


def _extra(body: Body, piece: Piece, shoes: WornShoes, schools: Schools) -> tuple[Edges, float | None]:
    lift, at = shoes.lift, body.height
    length, width = piece.figure("length_cm"), piece.figure("width_cm")

    def worn(on_body: float, rests_on: str, figure: float | None) -> Landing:
        return Landing.on(body, on_body + lift, rests_on, described=figure is None)

    match piece.place:
        case "belt":
            wide = width if width is not None else BELT_CM[piece.word("belted") or "medium"]
            ends = [("belt_top", "belt, upper edge", wide / 2), ("belt_foot", "belt, lower edge", -wide / 2)]
            return tuple(
                edge(body, key, name, worn(at("waist") + off, "waist_height", width), lift) for key, name, off in ends
            ), at("waist")
        case "necklace":
            loop = length if length is not None else NECKLACE_CM[piece.word("drop") or "short"]
            # Half the loop hangs each side of the neck, from its side down to the middle.
            drop = math.sqrt(max(1.0, (loop / 2) ** 2 - (body.girth("neck") / (2 * math.pi)) ** 2)) - 7.0
            height, name, rests_on = at("shoulder") - max(drop, 2.0), "lowest point", "shoulder_height"
        case "scarf":
            drop = (length if length is not None else 170.0) / 2 - 0.5 * body.girth("neck")
            height, name, rests_on = max(at("shoulder") - drop, 1.0), "scarf end", "shoulder_height"
        case "bag":
            drop = length if length is not None else 55.0
            height, name, rests_on = max(at("shoulder") - drop, 1.0), "bag, upper edge", "shoulder_height"
        case "earrings":
            drop = length if length is not None else 3.0
            height, name, rests_on = 0.925 * body.stature - drop, "earring end", "stature"
        case "socks":
            return (edge(body, "end", "sock top", sock_top(piece, lift), lift),), None
        case "hat":
            height, name, rests_on = 0.95 * body.stature, "brim", "stature"
        case "watch" | "bracelet" | "ring":
            wrist = at("shoulder") - SHOULDER_FALLS - body.lengths["arm_length"].cm
            height, name, rests_on = wrist + WORN_AT[piece.kind], piece.kind, "arm_length"
            return (edge(body, "end", name, worn(height, rests_on, length), lift, at="at_the_wrist"),), None
        case "bra":
            band = worn(at("under_bust"), "under_bust_height", None)
            return (edge(body, "end", "band under the bust", band, lift, at="under_bust"),), None
        case "underslip":
            fall = length if length is not None else at("shoulder") - at("knee") - 4.0
            hem = worn(max(at("shoulder") - fall, 1.0), "shoulder_height", length)
            return (edge(body, "end", "slip hem", hem, lift),), None
        case _:
            band = worn(at("waist"), "waist_height", None)
            return (edge(body, "waistband", "waistband", band, lift),), at("waist")
    place = "face" if piece.kind in ("earrings", "hat") else "" if piece.kind == "bag" else _neck_at(body, height)
    return (edge(body, "end", name, worn(height, rests_on, length), lift, at=place),), None


_Hanger = Callable[[Body, Piece, WornShoes, Schools], tuple[Edges, float | None]]
_HANGERS: dict[str, _Hanger] = {
    "bottom": _bottom,
    "top": _from_shoulder,
    "layer": _from_shoulder,
    "one_piece": _from_shoulder,
    "shoes": _shoes,
    "swim": _swim,
    "extra": _extra,
}
