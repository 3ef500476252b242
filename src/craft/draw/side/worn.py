"""What is worn besides, and what lies on the skin, from the side."""

from __future__ import annotations

from craft.cloth import Piece
from craft.cloth.piece import colour_of
from craft.draw.bottom import outer
from craft.draw.extras import draw_hat, end_of
from craft.draw.shapes import Point, Run, Shape, area, lines, moved, oval, steps
from craft.draw.side.body import arm_side, foot_side, neck_round, side_of
from craft.draw.side.round_shoulders import knit_side
from craft.draw.top import belted_at, top_half
from craft.draw.weave import THREAD, light_of, thread, weave_of
from craft.look import Outfit
from craft.wear.openings import BELT_CM

#: Half-sheer legwear hides so much of the leg.
SHEER_HIDES = 0.62


def draw_beneath_side(outfit: Outfit) -> tuple[Shape, ...]:
    """What lies on the skin: legwear, and what is worn beneath."""
    at, lift = outfit.body.height, outfit.lift
    found: list[Shape] = []
    for piece in outfit.extras.values():
        match piece.kind:
            case "tights":
                found.append(_on_skin(outfit, piece, at("waist") + lift, None))
            case "socks":
                top = outfit.sock.cm if outfit.sock else at("narrow_ankle") + lift
                found.append(_on_skin(outfit, piece, top, None))
            case "smoothing_shorts":
                found.append(_on_skin(outfit, piece, at("waist") + lift, at("mid_thigh") + lift))
            case "underslip":
                found.append(_on_skin(outfit, piece, at("bust") + lift + 5.0, end_of(outfit, piece)))
            case "bra":
                found.append(_on_skin(outfit, piece, at("bust") + lift + 4.0, at("under_bust") + lift - 1.5))
    return tuple(found)


def _on_skin(outfit: Outfit, piece: Piece, high: float, low: float | None) -> Shape:
    """Cloth on the skin between two heights; where no lower one is said, over the foot."""
    side, lift, bone = side_of(outfit.body), outfit.lift, outfit.body.height("ankle_bone")
    heights = steps(high, bone + lift + 1.0 if low is None else low, 5.0)
    front: Run = [(side.front(h - lift) + 0.15, h) for h in heights]
    back: Run = [(side.back(h - lift) - 0.15, h) for h in reversed(heights)]
    foot: list[Run] = [foot_side(outfit)] if low is None else [[front[-1], back[0]]]
    sheer = piece.word("sheerness") in ("half_sheer", "see_through") or "sheer" in piece.fabric
    return area(piece.kind, piece.place, [front, *foot, back, [back[-1], front[0]]], colour_of(piece),
                weave=weave_of(piece, colour_of(piece)), light=light_of(piece), opacity=SHEER_HIDES if sheer else 1.0)  # fmt: skip


def draw_besides_side(outfit: Outfit) -> tuple[tuple[Shape, ...], tuple[Shape, ...]]:
    """What is worn besides: what lies on the trunk under layers and arm, and what lies over both. A bag hangs at the other side."""
    under: list[Shape] = [*_bib(outfit)]
    over: list[Shape] = []
    for place, piece in outfit.extras.items():
        if place == "belt":
            under += _belt(outfit, piece)
        elif place == "necklace":
            under += _necklace(outfit, piece)
        elif place == "scarf":
            over += knit_side(outfit, piece) if piece.kind != "scarf" else _scarf(outfit, piece)
        elif place == "hat":
            over += [moved(shape, -0.5) for shape in draw_hat(outfit, piece)]
        elif place == "earrings":
            over += _earring(outfit, piece)
        elif place == "bracelet":
            over += _bracelet(outfit, piece)
    return tuple(under), tuple(over)


def _off(outfit: Outfit, height: float) -> float:
    """How far the clothes stand off the body at a height, cm."""
    body, lift = outfit.body, outfit.lift
    own = body.half_breadth(max(height - lift, body.height("crotch")))
    bottom, top = outfit.bottom, outfit.top
    below = outer(outfit, bottom, height) if bottom is not None and height <= bottom.waistband.cm else own
    above = top_half(outfit, top, height) if top is not None and height >= top.front.cm else own
    return min(max(below, above, own + 0.3) - own, 12.0)


def _belt(outfit: Outfit, piece: Piece) -> list[Shape]:
    bottom, side, lift = outfit.bottom, side_of(outfit.body), outfit.lift
    wide = piece.figure("width_cm") or BELT_CM[piece.word("belted") or "medium"]
    on_band = belted_at(outfit) is None and bottom is not None and bottom.has_legs
    at = bottom.waistband.cm - 1.8 if on_band and bottom is not None else outfit.at("waist")
    off = _off(outfit, at) + 0.4
    ahead, behind, half = side.front(at - lift) + off, side.back(at - lift) - off, wide / 2
    runs: list[Run] = [[(behind, at + half), (ahead, at + half - 0.3)], [(ahead, at + half - 0.3), (ahead, at - half - 0.3)],
                       [(ahead, at - half - 0.3), (behind, at - half)], [(behind, at - half), (behind, at + half)]]  # fmt: skip
    return [area("belt", "belt", runs, colour_of(piece), light="form")]


def _down_the_front(outfit: Outfit, high: float, low: float, off: float) -> list[Point]:
    """What hangs in front between two heights lies on the furthest of the chest above it."""
    side, lift = side_of(outfit.body), outfit.lift
    found: list[Point] = []
    furthest = 0.0
    for height in steps(high, low, 6.0):
        furthest = max(furthest, side.front(height - lift) + _off(outfit, height))
        found.append((furthest + off, height))
    return found


def _necklace(outfit: Outfit, piece: Piece) -> list[Shape]:
    low, n, high = end_of(outfit, piece), neck_round(outfit.body), outfit.at("shoulder")
    hung = _down_the_front(outfit, high - 6.0, low + 1.4, 0.2)
    chain: Run = [(-n * 1.2, high + 2.6), (n * 0.3, high + 0.4), *hung]
    colour = colour_of(piece)
    return [
        lines("necklace", piece.place, "edge", [chain], thread(colour)),
        area("pendant", piece.place, oval(hung[-1][0], low + 0.6, 0.5, 0.9), colour, light="satin"),
    ]


def _scarf(outfit: Outfit, piece: Piece) -> list[Shape]:
    low, n, high = end_of(outfit, piece), neck_round(outfit.body), outfit.at("shoulder") + 3.4
    colour = colour_of(piece)
    weave = weave_of(piece, colour)
    loop: list[Run] = [[(-n * 1.5, high + 0.6), (-n * 0.4, high + 1.8), (n * 1.1, high + 0.2), (n * 1.75, high - 3.4), (n * 1.3, high - 7.6),
                        (-n * 0.2, high - 6.4), (-n * 1.6, high - 4.0), (-n * 1.95, high - 1.4), (-n * 1.5, high + 0.6)]]  # fmt: skip
    hung = _down_the_front(outfit, high - 7.0, low + 2.0, 0.3)
    inner = [(x - 4.6, y) for x, y in reversed(hung)]
    end: list[Run] = [hung, [hung[-1], inner[0]], inner, [inner[-1], hung[0]]]
    fringe: list[Run] = [[(inner[0][0] + 4.6 * part, low + 2.0), (inner[0][0] + 4.6 * part, low)] for part in (0.1, 0.35, 0.6, 0.85)]  # fmt: skip
    return [
        area("scarf_end", piece.place, end, colour, weave=weave, light="form"),
        lines("scarf_end_fringe", piece.place, "seam", fringe, colour),
        area("scarf_loop", piece.place, loop, colour, weave=weave, light="form"),
    ]


def _earring(outfit: Outfit, piece: Piece) -> list[Shape]:
    low = end_of(outfit, piece)
    drop: Run = [(-0.3, low + 2.4), (0.5, low + 0.9), (-0.3, low), (-1.1, low + 0.9), (-0.3, low + 2.4)]
    return [area("earring", piece.place, [drop], colour_of(piece))]


def _bracelet(outfit: Outfit, piece: Piece) -> list[Shape]:
    (x, y), half = arm_side(outfit.body, outfit.lift)[-1]
    band: Run = [(x - half - 0.3, y + 1.0), (x + half + 0.3, y + 0.7), (x + half + 0.2, y - 0.1), (x - half - 0.2, y + 0.2)]  # fmt: skip
    return [area("bracelet", piece.place, [[*band, band[0]]], colour_of(piece), light="satin")]


def _bib(outfit: Outfit) -> list[Shape]:
    """The bib of dungarees, which lies on the chest, and the strap that holds it."""
    whole, bottom = outfit.one_piece, outfit.bottom
    if whole is None or bottom is None or whole.kind != "dungarees":
        return []
    low, high, n = bottom.waistband.cm - 0.5, outfit.at("bust") + 1.0, neck_round(outfit.body)
    front = _down_the_front(outfit, high, low, 0.5)
    back = side_of(outfit.body).back(low - outfit.lift) - _off(outfit, low)
    inner: Run = [(front[-1][0] - 9.0, low), (front[0][0] - 4.0, high - 0.4)]
    strap: Run = [(front[0][0] - 1.0, high - 2.0), (n, outfit.at("shoulder") - 3.0), (-0.8, outfit.at("shoulder") + 0.8),
                  (-n * 1.4, outfit.at("shoulder") - 5.0), (back * 0.96, (high + low) / 2), (back, low)]  # fmt: skip
    return [
        lines("strap_bib", "one_piece", "edge", [strap, [(x - 2.6, y - 0.5) for x, y in strap]], bottom.colour),
        area("bib", "one_piece", [front, [front[-1], inner[0]], inner, [inner[-1], front[0]]], bottom.colour,
             weave=weave_of(whole, bottom.colour), light="form"),
        lines("bib_stitches", "one_piece", "stitch", [[(front[0][0] - 3.4, high - 1.4), (front[0][0] - 0.4, high - 1.2)]], THREAD),
    ]  # fmt: skip
