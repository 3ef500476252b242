"""Jeans, trousers, leggings, shorts and the legs of a suit, worn: waistband, leg and hem on this body."""

from __future__ import annotations

from dataclasses import dataclass
from functools import lru_cache
from itertools import pairwise

from craft.body import Body
from craft.cloth import Piece
from craft.cloth.kinds import KIND
from craft.cloth.piece import colour_of
from craft.schools import Schools
from craft.wear.cuts import CutRow, cut_of
from craft.wear.ease import leg_volume, reads_as
from craft.wear.landing import FLOOR_BELOW, Landing
from craft.wear.length import fall_of, fork_of, hem_of
from craft.wear.shoes import WornShoes

#: Where a rise word lands from the navel, cm, and how far around it the word still holds, by
#: school of naming. Brief, section 15: navel_is_high has mid 2.5 to 5 cm below the navel.
RISE_AT: dict[str, dict[str, float]] = {
    "navel_is_mid": {"low": -4.5, "mid": 0.0, "high": 3.5, "very_high": 8.0},
    "navel_is_high": {"low": -8.0, "mid": -3.75, "high": 0.0, "very_high": 4.0},
}
#: However high a rise is called, its band stays this far under the under-bust, cm (W).
BELOW_BUST = 4.0
_RISE_BORDERS = {"navel_is_mid": (-1.75, 1.75, 6.5), "navel_is_high": (-5.75, -1.75, 1.75)}

#: Heel and instep are this much more around than the ankle (W): a narrower hem cannot pass
#: down over the foot and rests at the bone.
FOOT_OVER_ANKLE = 1.45
#: A hem as wide as this many lengths of the foot falls past the instep to the ground instead of resting on it (W: 46 cm of the usual
#: foot of 25.5).
FEET_ROUND = 1.8
#: In a heel the foot slopes: the top of it stands higher above the ground by the first share of the heel, and a hem
#: slides down it by the second before it stacks, which is why a heel takes up a long leg (brief, section 4; shares W).
FOOT_TOP_RISES, SLIDES_DOWN = 0.8, 0.5


@dataclass(frozen=True, slots=True)
class WornBottom:
    """A bottom on the body. Heights above the ground and girths of one leg, cm."""

    piece: Piece
    cut: str
    waistband: Landing
    from_navel: float
    rise: str
    front_rise: float
    inseam: float
    fork: float
    hem: Landing
    hem_at: str
    stack: float
    opening: float
    leg: tuple[tuple[float, float], ...]
    thigh_ease: float
    knee_ease: float
    calf_ease: float
    volume: float
    reads_as: str
    inside: bool
    cuffed: bool
    colour: str
    #: Whether it ends round each leg; and whether its hem would fall past the foot rather than rest on it: shorts' never does.
    has_legs: bool
    is_wide_hemmed: bool

    @property
    def falls_to(self) -> float:
        """Where the hem would end above the ground if nothing held it up, cm."""
        return self.hem.falls_to

    def girth_at(self, height: float) -> float:
        """Girth of one garment leg at a height above the ground, cm."""
        return _girth_on(self.leg, height)


def _girth_on(leg: tuple[tuple[float, float], ...], height: float) -> float:
    for (h1, g1), (h0, g0) in pairwise(leg):
        if height >= h0:
            return g1 if height >= h1 else g0 + (g1 - g0) * (height - h0) / max(h1 - h0, 0.01)
    return leg[-1][1]


def rise_word(from_navel: float, naming: str) -> str:
    """The rise word for a waistband so far from the navel, cm, in a school of naming.

    >>> rise_word(-3.5, "navel_is_mid"), rise_word(-3.5, "navel_is_high")
    ('low', 'mid')
    """
    low, mid, high = _RISE_BORDERS[naming]
    if from_navel < low:
        return "low"
    if from_navel < mid:
        return "mid"
    return "high" if from_navel <= high else "very_high"


@lru_cache(maxsize=8192)
def wear_legs(body: Body, piece: Piece, shoes: WornShoes, schools: Schools) -> WornBottom:
    """Put a piece with legs on a body in these shoes: words become nominal figures, measured ones win."""
    lift = shoes.lift
    cut, row = cut_of(piece)
    waistband, front_rise = _waistband(body, piece, lift, schools)
    fork = fork_of(body, piece)
    hem_word = piece.word("hem") or KIND[piece.kind].hem or row.hem
    hangs = hem_of(body, piece, lift, hem_word)
    free = hangs.cm
    thigh, knee, opening = _girths(body, piece, row)
    if (
        hangs.origin == "described"
        and piece.figure("hem_cm") is None
        and hem_word == "foot"
        and opening < falls_past(body)
    ):
        free += FOOT_TOP_RISES * shoes.rise_of_foot
    leg = _leg(body, free, fork, lift, thigh, knee, opening)
    opening = leg[-1][1]
    rest = _rests_at(body, shoes, opening)
    hem = hangs._replace(cm=max(free, rest), free=free)
    calf = body.height("calf") + lift
    # The curve of the leg is made where a leg ends above the calf; at the calf it is the calf's girth.
    own = body.girth("calf") if free <= calf else body.leg_girth(free - lift)
    calf_ease = _girth_on(leg, max(calf, free)) - own
    from_navel = waistband.cm - body.height("navel") - lift
    fall = fall_of(body, piece)
    return WornBottom(
        piece=piece,
        cut=cut,
        waistband=waistband,
        from_navel=from_navel,
        rise=rise_word(from_navel, schools.position("rise_naming")),
        front_rise=front_rise,
        inseam=fall.length(free, lift) if fall else 0.0,
        fork=fork + lift,
        hem=hem,
        hem_at=hem.at(body, lift),
        stack=max(0.0, rest - free),
        opening=opening,
        leg=leg,
        thigh_ease=thigh - body.girth("thigh"),
        knee_ease=knee - body.girth("knee"),
        calf_ease=calf_ease,
        volume=_volume(body, free - lift, thigh, knee, calf_ease, opening),
        reads_as=reads_as(calf_ease, knee, opening, knee - body.girth("knee")),
        inside=piece.word("worn") == "inside",
        cuffed=piece.flag("cuffed"),
        colour=colour_of(piece),
        has_legs=True,
        is_wide_hemmed=opening >= falls_past(body) and free - lift < body.height("knee"),
    )


def _volume(body: Body, hem: float, thigh: float, knee: float, calf_ease: float, opening: float) -> float:
    """Volume of the leg from its ease at thigh, knee, calf and hem; of one that ends above the knee, from what there is."""
    calf = body.girth("calf")
    if hem > body.height("knee"):
        at_hem = body.leg_girth(hem)
        return leg_volume(0.5 * (thigh - body.girth("thigh")) / body.girth("thigh") + 0.5 * (opening - at_hem) / at_hem)
    mean = (
        0.3 * max(thigh - body.girth("thigh"), -3.0) / body.girth("thigh")
        + 0.3 * (knee - body.girth("knee")) / body.girth("knee")
        + 0.2 * max(calf_ease / calf, -0.05)
        + 0.2 * max((opening - calf) / calf, -0.10)
    )
    return leg_volume(mean)


def _waistband(body: Body, piece: Piece, lift: float, schools: Schools) -> tuple[Landing, float]:
    """The waistband above the ground, and the front rise that reaches it."""
    measured = piece.figure("front_rise_cm")
    if measured is not None:
        height = body.rise.height_of(measured)
        return Landing.on(body, height + lift, "navel_height", "front_rise_navel"), measured
    height = rise_height(body, piece.word("rise") or KIND[piece.kind].rise, schools)
    return Landing.on(body, height + lift, "navel_height", described=True), body.rise.along(height)


def rise_height(body: Body, word: str, schools: Schools) -> float:
    """Where a rise word puts the band in a house's naming, cm above the barefoot floor: never up under the bust.

    >>> from craft.body import Measures
    >>> rise_height(Body.of(Measures.of({"stature": 165, "navel_height": 99})), "high", Schools())
    102.5
    """
    offset = RISE_AT[schools.position("rise_naming")][word]
    return min(body.height("navel") + offset, body.height("under_bust") - BELOW_BUST)


def _girths(body: Body, piece: Piece, row: CutRow) -> tuple[float, float, float]:
    """Thigh, knee and leg opening of the garment, cm."""
    thigh = piece.figure("thigh_cm")
    thigh = body.girth("thigh") + row.thigh if thigh is None else thigh
    knee = piece.figure("knee_cm")
    knee = body.girth("knee") + row.knee if knee is None else knee
    opening = piece.figure("leg_opening_cm")
    if opening is None:
        opening = (knee if row.from_knee else body.girth("calf")) + row.over_calf
        opening = max(opening, body.girth("ankle") + 1.0)
    return thigh, knee, opening


def _leg(
    body: Body, free: float, fork: float, lift: float, thigh: float, knee: float, opening: float
) -> tuple[tuple[float, float], ...]:
    """Heights and girths down one leg, top first; a cropped hem lies on the way to the full one."""
    knee_at = body.height("knee") + lift
    full = min(free, body.height("narrow_ankle") + lift)
    points = [(fork + lift, thigh), (knee_at, knee), (min(full, knee_at - 2.0), opening)]
    if free <= full:
        return tuple(points)
    kept = [point for point in points if point[0] > free]
    (h1, g1) = kept[-1] if kept else points[0]
    (h0, g0) = points[min(len(kept), 2)]
    girth = g0 + (g1 - g0) * (free - h0) / max(h1 - h0, 0.01)
    return (*kept, (free, girth))


def falls_past(body: Body) -> float:
    """How wide a hem is, round, that falls past this foot to the ground, cm.

    >>> from craft.body import Measures
    >>> falls_past(Body.of(Measures.of({"stature": 165, "foot_length": 25})))
    45.0
    """
    return FEET_ROUND * body.lengths["foot_length"].cm


def _rests_at(body: Body, shoes: WornShoes, opening: float) -> float:
    """The height at which a hem that is too long comes to rest."""
    bone = body.height("ankle_bone") + shoes.lift
    if opening < FOOT_OVER_ANKLE * body.girth("ankle"):
        return bone
    slope = SLIDES_DOWN * max(0.0, shoes.rise_of_foot)
    return max(0.0, bone - FLOOR_BELOW - slope) if opening < falls_past(body) else 0.0
