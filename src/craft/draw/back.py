"""The dressed figure from behind: the same landing, turned round. What is open in front is whole here, tails hang or are tucked,
pockets and seams lie where the eye finds them."""

from __future__ import annotations

from craft.draw.behind import as_behind, legs_behind, only_in_front, trunk_behind
from craft.draw.bottom import bottom_frame
from craft.draw.figure import draw_figure, neck_half
from craft.draw.frames import Cloth
from craft.draw.garments import draw_look
from craft.draw.hood import hood_behind
from craft.draw.layer import at_their_places, layer_frame
from craft.draw.shapes import Run, Shape, flip, lines, moved
from craft.draw.top import top_frame
from craft.look import Look, Outfit, compose


def draw_back(outfit: Outfit) -> tuple[Shape, ...]:
    """The dressed figure from behind, as shapes to paint in order: the client's left is on the left.

    >>> from craft.body import Body, Measures
    >>> from craft.look import Look
    >>> look = Look.of([{"is": "jeans"}, {"is": "tee"}, {"is": "blazer", "open": True}])
    >>> keys = [shape.key for shape in draw_back(compose(Body.of(Measures.of({"stature": 165})), look))]
    >>> "pocket_left" in keys, "layer0" in keys, "layer0_left" in keys
    (True, True, False)
    """
    behind = compose(outfit.body, Look(tuple(as_behind(piece) for piece in outfit.pieces)), outfit.schools)
    worn = [shape for shape in draw_look(behind, back=True) if not only_in_front(shape)]
    seams = at_their_places(behind, _seams(behind))
    # Seams lie on their own piece: a pocket under a coat is not seen.
    painted: list[Shape] = []
    last = {shape.slot: at for at, shape in enumerate(worn)}
    for at, shape in enumerate(worn):
        painted.append(shape)
        painted += [seam for seam in seams if last.get(seam.slot) == at]
    shoes = outfit.shoes.piece
    figure = [_from_behind(outfit, shape) for shape in draw_figure(outfit.body, outfit.lift, shod=shoes is not None)]
    return tuple(moved(shape, turned=True) for shape in (*figure, *painted))


def _from_behind(outfit: Outfit, shape: Shape) -> Shape:
    """The same contour; but other lines on it: shoulder blades, spine, seat, the hollow of the knee."""
    if shape.key != "lines":
        return shape
    body, lift = outfit.body, outfit.lift
    at = {name: body.height(name) + lift for name in ("shoulder", "bust", "waist", "hip", "crotch", "knee")}
    half, seat = body.half_breadth(body.height("bust")), body.half_breadth(body.height("hip"))
    centre, wide = body.leg_centre(body.height("knee")), body.leg_half_breadth(body.height("knee"))
    right: list[Run] = [
        [(half * 0.66, at["shoulder"] - 9.0), (half * 0.34, at["bust"] + 2.0), (half * 0.5, at["bust"] - 3.0)],
        [(0.8, at["crotch"] + 0.8), (seat * 0.34, at["crotch"] - 1.6), (seat * 0.74, at["crotch"] + 0.6)],
        [(centre - wide * 0.5, at["knee"] + 0.5), (centre, at["knee"] - 0.3), (centre + wide * 0.5, at["knee"] + 0.6)],
    ]
    spine: Run = [(0.0, at["shoulder"] - 6.0), (0.2, at["waist"]), (0.0, at["hip"] + 5.0)]
    cleft: Run = [(0.0, at["hip"] + 3.0), (0.0, at["crotch"])]
    return lines("lines", "body", "skinline", [*right, *(flip(run) for run in right), spine, cleft])


def _seams(outfit: Outfit) -> list[Shape]:
    """Seams, pockets and hoods that are seen from behind, on their pieces."""
    bottom, top = outfit.bottom, outfit.top
    high, neck = outfit.at("shoulder"), neck_half(outfit.body)
    found: list[Shape] = []
    if bottom is not None and bottom.piece.slot == "bottom" and bottom.has_legs:
        found += legs_behind(Cloth(bottom.piece, "bottom", "bottom", bottom.colour), bottom_frame(outfit, bottom))
    if top is not None:
        cloth = Cloth(top.piece, top.piece.slot, "top", top.colour)
        found += trunk_behind(cloth, top_frame(outfit, top))
        found += hood_behind(cloth, neck, high) if top.piece.flag("hooded") else ()
    for at, layer in enumerate(outfit.layers):
        cloth = Cloth(layer.piece, "layer", f"layer{at}", layer.colour)
        found += trunk_behind(cloth, layer_frame(outfit, layer))
        found += hood_behind(cloth, neck, high) if layer.piece.flag("hooded") else ()
    return found
