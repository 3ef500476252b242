"""Ways along the body that are longer than they are tall: over the bust, over the hip; and the trunk's girth between."""

from __future__ import annotations

import itertools
import math

from craft.body import Body

#: How far a bust stands out in front, as a share of what it is more than the girth under it: half of it
#: lies in front, and a girth goes there and back (W).
BUST_FORWARD = 0.30


def over(vertical: float, out: float) -> float:
    """How much longer a way is than it is tall, cm, when it goes `out` on the way down."""
    return math.hypot(vertical, out) - vertical


def over_bust(body: Body) -> float:
    """What a bust takes of a front's length, cm."""
    forward = BUST_FORWARD * max(0.0, body.girth("bust") - body.girth("under_bust"))
    return over(body.height("shoulder") - body.height("bust"), forward)


def over_hip(body: Body, band: float) -> float:
    """What the hip takes of a length that begins at a band, cm above the barefoot floor."""
    hip = body.height("hip")
    if band <= hip:
        return 0.0
    round_, _, _ = girth_at(body, band)
    return over(band - hip, max(0.0, body.girth("hip") - round_) / (2 * math.pi))


def girth_at(body: Body, height: float) -> tuple[float, float, bool]:
    """Girth of the trunk at a height between hip and under-bust, cm, its spread, and whether it is settled."""
    levels = [
        ("hip", "hip"),
        ("high_hip", "high_hip"),
        ("navel", "belly"),
        ("waist", "waist"),
        ("under_bust", "under_bust"),
    ]
    points = [(body.height(level), body.quantity(girth)) for level, girth in levels]
    height = min(max(height, points[0][0]), points[-1][0])
    for (low, one), (high, two) in itertools.pairwise(points):
        if height <= high:
            part = (height - low) / max(high - low, 0.1)
            nearer = one if part < 0.5 else two
            return one.cm + (two.cm - one.cm) * part, max(one.spread, two.spread), nearer.settled
    return points[-1][1].cm, points[-1][1].spread, points[-1][1].settled
