"""Hanging one piece on a body: every edge of every kind, from the crotch, the waist or the shoulder.

What is measured flat goes along the body, not down in the air: a skirt's length runs out over the hip, a
top's over the bust. So a fuller seat lifts a hem, and a fuller bust lifts the front.
"""

from __future__ import annotations

import math
from collections.abc import Callable

from craft.body import Body
from craft.cloth import Piece
from craft.cloth.words import said
from craft.fit.edges import LandedEdge, edge
from craft.schools import Schools
from craft.wear.bottom import CUTS, wear_bottom
from craft.wear.landing import landed_height, name_height
from craft.wear.over import girth_at, over_bust, over_hip
from craft.wear.shoes import BAREFOOT, WornShoes, sock_top, wear_shoes

Edges = tuple[LandedEdge, ...]

#: Where a piece that says nothing ends, by kind or by cut.
HEMS: dict[str, str] = {
    "tee": "high_hip",
    "tank": "high_hip",
    "camisole": "high_hip",
    "shirt": "hip",
    "blouse": "high_hip",
    "knit": "high_hip",
    "sweatshirt": "high_hip",
    "bodysuit": "high_hip",
    "tankini": "high_hip",
    "waistcoat": "high_hip",
    "gilet": "high_hip",
    "cardigan": "hip",
    "blazer": "hip",
    "jacket": "high_hip",
    "coat": "knee",
    "duster": "lower_calf",
    "kimono": "seat",
    "dress": "knee",
    "skirt": "knee",
    "slip": "lower_calf",
    "pencil": "below_knee",
    "pleated": "lower_calf",
    "shift": "above_knee",
    "longline": "seat",
    "cropped": "waist",
    "wrap": "below_knee",
    "bikini_top": "under_bust",
}
#: Depth of a neckline below the high point of the shoulder, cm (W).
NECK_DEPTH = {
    "crew": 9.0,
    "boat": 8.0,
    "polo": 1.0,
    "closed_collar": 5.0,
    "open_collar": 15.0,
    "square": 15.0,
    "scoop": 17.0,
    "v": 19.0,
    "halter": 6.0,
    "one_shoulder": 14.0,
}
#: Where a sleeve word ends, as a share of the way from the shoulder's end to the wrist.
SLEEVE_SHARE = {"short": 0.33, "elbow": 0.56, "three_quarter": 0.78, "long": 1.0}
BELT_CM = {"thin": 2.0, "medium": 3.5, "wide": 6.0}
#: Length of a necklace where only its drop is said, cm: to the collar bones, to below the bust.
NECKLACE_CM = {"short": 45.0, "long": 85.0}
#: How far the high point of the shoulder lies above its end, where a sleeve begins, cm (W).
SHOULDER_FALLS = 4.0


def hang(body: Body, piece: Piece, shoes: WornShoes, schools: Schools) -> tuple[Edges, float | None]:
    """Every edge of a piece, top to bottom, and where its band sits above the barefoot floor, cm."""
    edges, band = _HANGERS[piece.slot](body, piece, shoes, schools)
    return tuple(sorted(edges, key=lambda one: -one.height)), band


def _bottom(body: Body, piece: Piece, shoes: WornShoes, schools: Schools) -> tuple[Edges, float | None]:
    if piece.kind == "skirt":
        return _skirt(body, piece, shoes)
    return _legs(body, piece, shoes, schools)


def _legs(body: Body, piece: Piece, shoes: WornShoes, schools: Schools) -> tuple[Edges, float | None]:
    worn_as = piece if piece.kind in ("jeans", "trousers", "leggings") else _as_trousers(piece)
    worn = wear_bottom(body, worn_as, shoes, schools)
    rise = ("navel_height", "front_rise_navel") if piece.figure("front_rise_cm") is not None else ("navel_height",)
    described = piece.figure("front_rise_cm") is None
    band = edge(
        body,
        "waistband",
        "waistband",
        worn.waistband.cm,
        shoes.lift,
        *rise,
        described=described,
        at=f"{worn.rise}_rise",
    )
    length = piece.figure("inseam_cm") is not None
    free = worn.falls_to
    hem = edge(body, "hem", f"{said(piece.kind)} hem", free, shoes.lift, "crotch_height", described=not length)
    return (band, hem), worn.waistband.cm - shoes.lift


def _as_trousers(piece: Piece) -> Piece:
    """Shorts and the legs of a jumpsuit, as the trousers they are below the waist."""
    words = {key: value for key, value in piece.described().items() if key in ("cut", "fit", "rise", "hem", "fabric")}
    if words.get("cut") not in CUTS:
        words["cut"] = "straight"
    if piece.kind == "shorts":
        words.setdefault("hem", "mid_thigh")
    figures = {key: cm for key, cm in piece.figures if key in ("front_rise_cm", "inseam_cm", "thigh_cm", "knee_cm")}
    return Piece.of({"is": "trousers", **words, **figures})


def _skirt(body: Body, piece: Piece, shoes: WornShoes) -> tuple[Edges, float | None]:
    band = _skirt_band(body, piece)
    length, lift = piece.figure("length_cm"), shoes.lift
    if length is not None:
        free = band - length + over_hip(body, band) + lift
        hem = edge(body, "hem", "skirt hem", free, lift, "waist_height")
    else:
        hem = _described_hem(body, piece, lift, "skirt hem")
    settled = piece.figure("waist_cm") is not None
    top = edge(body, "waistband", "waistband", band + lift, lift, "waist_height", described=not settled)
    return (top, hem), band


def _skirt_band(body: Body, piece: Piece) -> float:
    """A skirt sits at the natural waist, or slides down to where its band first holds, cm."""
    waist, hip = body.height("waist"), body.height("hip")
    girth = piece.figure("waist_cm")
    if girth is None:
        return waist
    at = waist
    while at > hip and girth_at(body, at)[0] < girth:
        at -= 0.25
    return at


def _described_hem(body: Body, piece: Piece, lift: float, name: str) -> LandedEdge:
    landed = piece.figure("hem_cm")
    cut = piece.word("cut") or ""
    word = piece.word("hem") or HEMS.get(cut) or HEMS[piece.kind]
    cm = landed if landed is not None else landed_height(body, word, lift)
    return edge(body, "hem", name, cm, lift, described=True)


def _from_shoulder(body: Body, piece: Piece, shoes: WornShoes, schools: Schools) -> tuple[Edges, float | None]:
    """Tops, layers and dresses: hem, neckline and sleeve, from the high point of the shoulder."""
    lift, name = shoes.lift, f"{said(piece.kind)} hem"
    shoulder = body.height("shoulder") + lift
    length = piece.figure("length_cm")
    found: list[LandedEdge] = []
    if piece.kind in ("jumpsuit", "dungarees"):
        found += _legs_of_suit(body, piece, shoes, schools)
    elif piece.kind == "bodysuit":
        found.append(edge(body, "hem", "leg line", body.height("crotch") + lift, lift, "crotch_height", described=True))
    elif length is not None:
        front = shoulder - length + over_bust(body)
        if piece.slot == "one_piece":
            front += 0.5 * over_hip(body, body.height("waist"))
        found.append(edge(body, "hem", name, front, lift, "shoulder_height"))
    else:
        found.append(_described_hem(body, piece, lift, name))
    found += _neck(body, piece, lift)
    found += _sleeve(body, piece, lift)
    return tuple(found), None


def _legs_of_suit(body: Body, piece: Piece, shoes: WornShoes, schools: Schools) -> list[LandedEdge]:
    """A suit hangs from the shoulder: a loop longer than the torso lets the crotch, and so the hem, hang lower."""
    edges, _ = _legs(body, piece, shoes, schools)
    loop = piece.figure("torso_loop_cm")
    drop = max(0.0, loop - body.lengths["torso_girth"].cm) / 2 if loop is not None else 0.0
    hem = next(one for one in edges if one.key == "hem")
    measured = piece.figure("inseam_cm") is not None
    rests_on = ("crotch_height", "torso_girth") if loop is not None else ("crotch_height",)
    cm = hem.height - (drop if measured else 0.0)
    return [edge(body, "hem", hem.name, cm, shoes.lift, *rests_on, described=not measured)]


def _neck(body: Body, piece: Piece, lift: float) -> list[LandedEdge]:
    depth = piece.figure("neck_depth_cm")
    word = piece.word("neck")
    if depth is None and word is None:
        return []
    cm = body.height("shoulder") + lift - (depth if depth is not None else NECK_DEPTH[word or "crew"])
    return [
        edge(
            body,
            "neckline",
            "neckline",
            cm,
            lift,
            "shoulder_height",
            described=depth is None,
            at=_neck_at(body, cm - lift),
        )
    ]


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
    return [edge(body, "cuff", "sleeve end", cm, lift, "arm_length", described=measured is None, at=at)]


def _shoes(body: Body, piece: Piece, shoes: WornShoes, schools: Schools) -> tuple[Edges, float | None]:
    worn = wear_shoes(body, piece)
    name = "shaft top" if worn.is_boot else "vamp"
    rests_on = () if piece.figure("shaft_cm") is not None or not worn.is_boot else ("narrow_ankle_height",)
    top = edge(
        body, "cover", name, worn.cover.cm, worn.lift, *rests_on, described=piece.figure("shaft_cm") is None,
        at=name_height(body, worn.cover.cm, worn.lift) if worn.is_boot else "foot",
    )  # fmt: skip
    if worn.strap is None:
        return (top,), None
    return (top, edge(body, "strap", "ankle strap", worn.strap, worn.lift, "narrow_ankle_height", described=True)), None


def _swim(body: Body, piece: Piece, shoes: WornShoes, schools: Schools) -> tuple[Edges, float | None]:
    if piece.kind in ("bikini_top", "tankini"):
        return _from_shoulder(body, piece, shoes, schools)
    rise = piece.figure("front_rise_cm")
    if piece.kind == "swimsuit":
        leg = edge(body, "hem", "leg line", body.height("crotch"), 0.0, "crotch_height", described=True)
        return (leg, *_neck(body, piece, 0.0)), None
    at = body.rise.height_of(rise) if rise is not None else body.height("high_hip")
    rests_on = ("navel_height", "front_rise_navel") if rise is not None else ()
    return (edge(body, "waistband", "waistband", at, 0.0, *rests_on, described=rise is None),), at


def _extra(body: Body, piece: Piece, shoes: WornShoes, schools: Schools) -> tuple[Edges, float | None]:
    lift, at = shoes.lift, body.height
    length, width = piece.figure("length_cm"), piece.figure("width_cm")
    match piece.kind:
        case "belt":
            wide = width if width is not None else BELT_CM[piece.word("belted") or "medium"]
            ends = [("belt_top", "belt, upper edge", wide / 2), ("belt_foot", "belt, lower edge", -wide / 2)]
            return tuple(
                edge(body, key, name, at("waist") + off + lift, lift, "waist_height", described=width is None)
                for key, name, off in ends
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
            end = sock_top(piece, 0.0).cm
            return (
                edge(body, "end", "sock top", end + lift, lift, "ankle_bone_height", described=length is None),
            ), None
        case "hat":
            height, name, rests_on = 0.95 * body.stature, "brim", "stature"
        case _:
            return (
                edge(body, "waistband", "waistband", at("waist") + lift, lift, "waist_height", described=True),
            ), at("waist")
    place = "face" if piece.kind in ("earrings", "hat") else "" if piece.kind == "bag" else _neck_at(body, height)
    return (edge(body, "end", name, height + lift, lift, rests_on, described=length is None, at=place),), None


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

__all__ = ["BAREFOOT", "hang"]
