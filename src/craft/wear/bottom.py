"""Jeans, trousers and leggings, worn: waistband, leg and hem on this body."""

from __future__ import annotations

from dataclasses import dataclass
from functools import lru_cache
from itertools import pairwise
from typing import NamedTuple

from craft.body import Body
from craft.cloth import Piece
from craft.schools import Schools
from craft.wear.ease import leg_volume, reads_as
from craft.wear.landing import FLOOR_BELOW, Landing, landed_height, name_height
from craft.wear.shoes import WornShoes


class CutRow(NamedTuple):
    """A cut's nominal ease over thigh and knee (cm), its leg opening and how low the crotch hangs.

    The opening is `over_calf` cm over the client's calf, or over the knee of the garment
    where `from_knee` is said: flares are cut from the knee.
    """

    thigh: float
    knee: float
    over_calf: float
    from_knee: bool
    drop: float
    hem: str


#: W: the trade's cuts as flat figures of common sizes, turned into ease over the body.
CUTS: dict[str, CutRow] = {
    "skinny": CutRow(-2.0, -1.0, -12.0, False, 0.0, "ankle"),
    "slim": CutRow(2.0, 3.0, -4.0, False, 0.0, "ankle"),
    "slim_straight": CutRow(4.0, 4.5, -0.5, False, 0.0, "ankle"),
    "straight": CutRow(6.0, 7.0, 5.0, False, 0.3, "ankle"),
    "girlfriend": CutRow(8.0, 7.0, 2.5, False, 0.6, "ankle"),
    "boyfriend": CutRow(12.0, 11.0, 5.0, False, 1.2, "ankle"),
    "bootcut": CutRow(3.5, 5.0, 6.0, True, 0.0, "foot"),
    "kick_flare": CutRow(3.0, 5.0, 8.0, True, 0.0, "ankle"),
    "flare": CutRow(3.0, 4.0, 16.0, True, 0.0, "foot"),
    "wide": CutRow(14.0, 25.0, 25.0, False, 0.8, "foot"),
    "balloon": CutRow(16.0, 18.0, 0.0, False, 2.0, "ankle"),
}
#: Leggings are cut smaller than the leg and stretch to it.
LEGGINGS = CutRow(-5.0, -4.0, -14.0, False, 0.0, "ankle")
#: A fit word makes the cut closer or looser by so much at the thigh; half of it below.
FIT_CM = {"tight": -3.0, "fitted": -1.5, "skimming": 0.0, "relaxed": 4.0, "oversized": 8.0}
DEFAULT_CUT = {"jeans": "straight", "trousers": "straight", "leggings": "skinny"}

#: What a kind looks like that says no colour.
COLOURS = {"jeans": "mid_blue", "dress": "navy", "jumpsuit": "navy", "dungarees": "dark_denim"}

#: Where a rise word lands from the navel, cm, and how far around it the word still holds, by
#: school of naming. Brief, section 15: navel_is_high has mid 2.5 to 5 cm below the navel.
RISE_AT: dict[str, dict[str, float]] = {
    "navel_is_mid": {"low": -4.5, "mid": 0.0, "high": 3.5, "very_high": 8.0},
    "navel_is_high": {"low": -8.0, "mid": -3.75, "high": 0.0, "very_high": 4.0},
}
_RISE_BORDERS = {"navel_is_mid": (-1.75, 1.75, 6.5), "navel_is_high": (-5.75, -1.75, 1.75)}

#: One turn of a cuff, cm.
CUFF_CM = 3.0
#: Heel and instep are this much more around than the ankle (W): a narrower hem cannot pass
#: down over the foot and rests at the bone.
FOOT_OVER_ANKLE = 1.45
#: A hem this wide falls past the instep to the ground instead of resting on the foot, cm (W).
FALLS_PAST_FOOT = 46.0
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
    falls_to: float
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

    @property
    def colour(self) -> str:
        return self.piece.word("colour") or COLOURS.get(self.piece.kind, "charcoal")

    @property
    def has_legs(self) -> bool:
        return self.piece.kind not in ("skirt", "dress")

    @property
    def is_wide_hemmed(self) -> bool:
        """Whether the hem of a leg falls to the ground rather than resting on the foot."""
        return self.has_legs and self.opening >= FALLS_PAST_FOOT

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


@lru_cache(maxsize=4096)
def wear_bottom(body: Body, piece: Piece, shoes: WornShoes, schools: Schools) -> WornBottom:
    """Put a bottom on a body in these shoes: words become nominal figures, measured ones win."""
    lift = shoes.lift
    cut, row = _cut_of(piece)
    waistband, front_rise = _waistband(body, piece, lift, schools)
    # The fork of a dropped cut hangs below the body's own.
    fork = body.height("crotch") - row.drop
    measured = piece.figure("inseam_cm")
    hem_word = piece.word("hem") or row.hem
    landed = piece.figure("hem_cm")
    if measured is not None:
        free = fork + lift - measured + (CUFF_CM if piece.flag("cuffed") else 0.0)
    else:
        free = landed if landed is not None else landed_height(body, hem_word, lift)
    thigh, knee, opening = _girths(body, piece, row)
    if measured is None and landed is None and hem_word == "foot" and opening < FALLS_PAST_FOOT:
        free += FOOT_TOP_RISES * shoes.rise_of_foot
    leg = _leg(body, free, fork, lift, thigh, knee, opening)
    opening = leg[-1][1]
    rest = _rests_at(body, shoes, opening)
    crotch = body.heights["crotch_height"]
    described = measured is None and landed is None
    sources = (crotch,) if measured is not None else ()
    hem = Landing.of(max(free, rest), *sources, described=described)
    calf_at = max(body.height("calf") + lift, free)
    calf_ease = _girth_on(leg, calf_at) - body.leg_girth(calf_at - lift)
    navel = body.height("navel") + lift
    from_navel = waistband.cm - navel
    return WornBottom(
        piece=piece,
        cut=cut,
        waistband=waistband,
        from_navel=from_navel,
        rise=rise_word(from_navel, schools.position("rise_naming")),
        front_rise=front_rise,
        inseam=measured if measured is not None else fork + lift - free,
        fork=fork + lift,
        hem=hem,
        hem_at=name_height(body, free, lift),
        falls_to=free,
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


def _cut_of(piece: Piece) -> tuple[str, CutRow]:
    usual = DEFAULT_CUT.get(piece.kind, "straight")
    cut = piece.word("cut") or usual
    if cut not in CUTS:
        cut = usual
    row = LEGGINGS if piece.kind == "leggings" and piece.word("cut") is None else CUTS[cut]
    by = FIT_CM.get(piece.word("fit") or "skimming", 0.0) if piece.kind != "leggings" else 0.0
    return cut, row._replace(thigh=row.thigh + by, knee=row.knee + by / 2, over_calf=row.over_calf + by / 2)


def _waistband(body: Body, piece: Piece, lift: float, schools: Schools) -> tuple[Landing, float]:
    """The waistband above the ground, and the front rise that reaches it."""
    measured = piece.figure("front_rise_cm")
    navel = body.heights["navel_height"]
    if measured is not None:
        height = body.rise.height_of(measured)
        own = body.lengths["front_rise_navel"]
        return Landing.of(height + lift, navel, own, described=False), measured
    default = "high" if piece.kind == "leggings" else "mid"
    offset = RISE_AT[schools.position("rise_naming")][piece.word("rise") or default]
    height = min(navel.cm + offset, body.height("under_bust") - 4.0)
    return Landing.of(height + lift, navel, described=True), body.rise.along(height)


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


def _rests_at(body: Body, shoes: WornShoes, opening: float) -> float:
    """The height at which a hem that is too long comes to rest."""
    bone = body.height("ankle_bone") + shoes.lift
    if opening < FOOT_OVER_ANKLE * body.girth("ankle"):
        return bone
    slope = SLIDES_DOWN * max(0.0, shoes.rise_of_foot)
    return max(0.0, bone - FLOOR_BELOW - slope) if opening < FALLS_PAST_FOOT else 0.0


def inseam_for(body: Body, cut: str, hem_word: str, lift: float) -> float:
    """The inseam, cm, that lands a cut's hem on a word in shoes of this lift: a landing backwards.

    >>> from craft.body import Measures
    >>> body = Body.of(Measures.of({"stature": 165, "crotch_height": 76, "narrow_ankle_height": 10.5}))
    >>> inseam_for(body, "slim", "ankle", 0.0)
    65.5
    """
    return body.height("crotch") - CUTS[cut].drop + lift - landed_height(body, hem_word, lift)
