"""What a garment is drawn on: its outline as numbers, worn on a body or laid flat. Seams and closings are placed on a frame
and know nothing of either."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass, replace

from craft.cloth import Piece
from craft.draw.shapes import Point, Run, back, flip


@dataclass(frozen=True)
class Cloth:
    """The piece a frame is of: where it belongs in the picture, and how its parts are named."""

    piece: Piece
    slot: str
    key: str
    colour: str


@dataclass(frozen=True)
class Sleeve:
    """The right sleeve: its outer edge from the shoulder down to the cuff, its inner one from the armhole down."""

    outer: list[Point]
    inner: list[Point]
    #: How far it leans from upright, degrees.
    turn: float

    #: Where it is sewn to the body: from the shoulder down to the armpit.
    armhole: list[Point]

    @property
    def runs(self) -> list[Run]:
        """The outline, closed across the cuff and along the seam that it shares with the body."""
        return [self.outer, [self.outer[-1], self.inner[-1]], list(reversed(self.inner)), list(reversed(self.armhole))]

    def across(self, up: float) -> tuple[Point, Point]:
        """The ends of a line across the sleeve, so many cm above its cuff."""
        return _up(self.outer, up), _up(self.inner, up)


def _up(side: list[Point], up: float) -> Point:
    """The point of an edge so far above its end, along it."""
    left = up
    for (x1, y1), (x0, y0) in zip(reversed(side), list(reversed(side))[1:], strict=False):
        long = ((x1 - x0) ** 2 + (y1 - y0) ** 2) ** 0.5
        if long >= left:
            part = left / (long or 1.0)
            return (x1 + (x0 - x1) * part, y1 + (y0 - y1) * part)
        left -= long
    return side[0]


@dataclass(frozen=True)
class Trunk:
    """A garment of the upper body, right side: neckline from the middle out, shoulder from the neck to the armhole's head,
    armhole down to the armpit, side down to the hem; the hem runs from the right side to the left."""

    neck: list[Point]
    shoulder: list[Point]
    armhole: list[Point]
    side: list[Point]
    hem: list[Point]
    half: Callable[[float], float]
    bust: float
    waist: float
    hip: float
    sleeve: Sleeve | None = None
    #: The left side where it ends elsewhere than the right one.
    side_left: list[Point] | None = None
    #: The left half from the neckline's middle to the armpit, where it is cut otherwise; as if it lay on the right.
    left_above: list[Run] | None = None
    #: How much cloth there is beyond the body, 0 (close) to 4, and whether it is laid flat.
    volume: float = 1.5
    flat: bool = False
    #: Where a band ties it, cm above the ground; none where it hangs.
    tied: float | None = None

    @property
    def low(self) -> float:
        """The middle of the hem."""
        return min(self.hem, key=lambda point: abs(point[0]))[1]

    @property
    def top(self) -> float:
        """The high point of the shoulder."""
        return self.neck[-1][1]

    @property
    def armpit(self) -> Point:
        """Where the armhole ends, at the side."""
        return self.armhole[-1]

    @property
    def runs(self) -> list[Run]:
        """The whole outline."""
        right: list[Run] = [self.neck, self.shoulder, self.armhole, self.side]
        above: list[Run] = self.left_above or [self.neck, self.shoulder, self.armhole]
        left: list[Run] = [*above, self.side_left or self.side]
        return [*right, self.hem, *(flip(run) for run in back(left))]


#: How far an armhole curves in towards the chest, cm (W).
CURVES_IN = 0.7


def armhole_of(start: Point, pit: Point) -> list[Point]:
    """Where a sleeve is sewn in, or the bare edge where there is none, from the shoulder's end down to the armpit."""
    fall, out = start[1] - pit[1], pit[0] - start[0]
    parts = ((0.34, 0.26), (0.68, 0.66))
    return [start, *((start[0] + out * share - CURVES_IN, start[1] - fall * part) for part, share in parts), pit]


def raglan(frame: Trunk) -> Trunk:
    """The same garment with sleeves that run up to the neck instead of being set in at the shoulder."""
    sleeve = frame.sleeve
    if sleeve is None:
        return frame
    neck, (x, y) = frame.neck[-1], frame.armpit
    seam = [neck, (0.3 * neck[0] + 0.62 * x, 0.5 * neck[1] + 0.5 * y), (x * 0.93, 0.14 * neck[1] + 0.86 * y), (x, y)]
    outer = [*frame.shoulder, *sleeve.outer[1:]]
    return replace(frame, shoulder=[neck], armhole=seam, sleeve=replace(sleeve, outer=outer, armhole=seam))


@dataclass(frozen=True)
class Legs:
    """A garment with legs, right side: half breadth above the fork, inner and outer edge of the leg below it."""

    band: float
    fork: float
    hem: float
    hip: float
    knee: float
    trunk: Callable[[float], float]
    inner: Callable[[float], float]
    outer: Callable[[float], float]
    volume: float = 1.5
    flat: bool = False

    def side(self) -> list[Point]:
        """The outer side from band to hem."""
        heights = [self.band, (self.band + self.hip) / 2, self.hip, (self.hip + self.fork) / 2]
        heights = [h for h in heights if h > self.fork + 1.5]
        upper = [(self.trunk(h), h) for h in dict.fromkeys(heights)]
        return [*upper, *((self.outer(h), h) for h in self.down())]

    def down(self) -> list[float]:
        """Heights of the leg from the fork to the hem."""
        long = self.fork - self.hem
        count = max(2, min(6, round(long / 12)))
        found = [self.fork - 2.0 - (long - 2.0) * at / count for at in range(count + 1)]
        near = [h for h in found if abs(h - self.knee) > 3.5 or h == found[-1]]
        return sorted({*near, *([self.knee] if self.hem + 4 < self.knee < self.fork - 6 else [])}, reverse=True)

    def inside(self) -> list[Point]:
        """The inner side from hem to fork."""
        return [*((self.inner(h), h) for h in reversed(self.down())), (0.0, self.fork)]


@dataclass(frozen=True)
class Skirt:
    """A skirt or the lower part of a dress, right side."""

    band: float
    hip: float
    hem: float
    half: Callable[[float], float]
    volume: float = 1.0
    flat: bool = False

    def side(self) -> list[Point]:
        """The right side from band to hem."""
        heights = {self.band, (self.band + self.hip) / 2, self.hip, self.hem}
        low = self.hip
        heights |= {low + (self.hem - low) * part for part in (0.33, 0.66)} if low > self.hem + 6 else set()
        kept = sorted((h for h in heights if self.hem <= h <= self.band), reverse=True)
        return [(self.half(h), h) for h in kept]
