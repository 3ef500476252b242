"""Shopping numbers: the body turned into the figures to shop with. Landings run backwards, kind by kind.

Each number is a range that does well, where there is one a range that does not, why, and how sure it is:
its spread is that of the body's measures it rests on.
"""

from __future__ import annotations

import math
from collections.abc import Iterable, Iterator
from dataclasses import dataclass, replace

from craft.advise.targets import loop_for
from craft.body import Body
from craft.cloth import Piece
from craft.cloth.words import RISE, said
from craft.fit.check import ON_WIDE, SLEEVE_PLAY
from craft.judge import Aims
from craft.schools import Schools
from craft.units import Sentence
from craft.wear.bottom import rise_height
from craft.wear.ease import FIT_EASE, HANGS_STRAIGHT, SLIM_STRAIGHT
from craft.wear.landing import landed_height, word_height
from craft.wear.length import length_to
from craft.wear.over import girth_at

Range = tuple[float, float]

#: The shoes that a floor length is worked out for: their name and the heel, cm.
SHOES: tuple[tuple[str, float], ...] = (
    ("flat shoes", 2.0),
    ("a kitten heel", 4.5),
    ("a mid heel", 6.5),
    ("a high heel", 9.5),
)
#: A rise may be off by this and still land on its word, cm.
RISE_PLAY = 1.0
#: How wide a belt may be, of the way from the waist to the under-bust: a wide one eats a short torso (W).
BELT_OF_WAY = 0.4
#: A print does well while its figure is between these shares of the stature: smaller scatters, larger
#: enlarges (W).
PRINT_OF_STATURE = (0.015, 0.045)


@dataclass(frozen=True, slots=True)
class Number:
    """One figure to shop with, cm: where it does well and where it does not.

    `heights` are where the good range lands above the ground, barefoot or in the shoe named, for what has
    a height, and `poor_heights` where the poor one does (`poor_why` in words); `spread` is one deviation of the whole, cm.
    """

    key: str
    group: str
    name: str
    worn: str
    good: Range
    poor: Range | None
    heights: Range | None
    poor_heights: Range | None
    poor_why: str
    reason: Sentence
    rests_on: tuple[str, ...]
    spread: float
    settled: bool
    #: What it does for the client's aims, in a few words; empty where it is for everybody.
    serves: str = ""


#: What serves an aim: of which kind the aim is and what it is, the numbers, and what they do (brief, sections 4 to 9).
_SERVES: tuple[tuple[str, str, tuple[str, ...], str], ...] = (
    ("wants", "lengthen_legs", ("front rise, high", "inseam, wide to the foot", "length, short", "length, above the knee"), "lengthens the leg"),
    ("wants", "lengthen_torso", ("front rise, low", "front rise, mid", "length, over a close leg"), "lengthens the torso"),
    ("wants", "define_waist", ("front rise, high", "waistband at the navel", "length, short"), "marks the waist"),
    ("wants", "slim", ("leg opening, straight", "neckline depth, V or scoop", "length, coat"), "draws a long line"),
    ("wants", "comfort", ("chest, relaxed", "thigh, straight"), "leaves room to move"),
    ("soften", "hips", ("length, over a close leg", "length, blazer"), "passes the hip"),
    ("soften", "seat", ("length, over a close leg", "length, blazer"), "covers the seat"),
    ("soften", "middle", ("chest, skimming", "length, worn out"), "skims the middle"),
    ("soften", "bust", ("neckline depth, V or scoop", "chest, skimming"), "opens the front"),
    ("soften", "calves", ("leg opening, straight", "length, long", "length, below the knee"), "keeps off the calf"),
    ("soften", "upper_arms", ("sleeve, long",), "covers the upper arm"),
)  # fmt: skip


def _for_aims(number: Number, aims: Aims, schools: Schools) -> Number:
    """The number with what it does for this client's aims."""
    said = [does for kind, aim, names, does in _SERVES if aim in getattr(aims, kind) and number.name in names]
    high = number.name in ("front rise, high", "front rise, very high")
    if "middle" in aims.soften and high and schools.position("full_middle_rise") == "hold_high":
        said.append("holds the middle")
    return replace(number, serves=" and ".join(dict.fromkeys(said))) if said else number


def shopping_numbers(
    body: Body, schools: Schools | None = None, *, heels: bool = True, aims: Aims | None = None
) -> tuple[Number, ...]:
    """Every number of a client, in the order of a shopping list; without heels for who does not wear them, and
    with what each does for their aims.

    >>> from craft.body import Measures
    >>> body = Body.of(Measures.of({"stature": 165, "crotch_height": 76, "narrow_ankle_height": 10.5}))
    >>> next(n for n in shopping_numbers(body) if n.name == "inseam, ankle length").good
    (63.0, 66.0)
    """
    schools = schools or Schools()
    shoes = SHOES if heels else SHOES[:1]
    parts = (_rises(body, schools), _inseams(body, shoes), _legs(body), _skirts(body), _tops(body), _rest(body))
    aims = aims or Aims()
    return tuple(_for_aims(number, aims, schools) for part in parts for number in part)


def _number(
    body: Body,
    key: str,
    group: str,
    name: str,
    good: Range,
    reason: Sentence,
    rests_on: Iterable[str],
    *,
    worn: str = "",
    poor: Range | None = None,
    heights: Range | None = None,
    poor_heights: Range | None = None,
    poor_why: str = "",
) -> Number:
    names = tuple(rests_on)
    sources = [body.quantity(one) for one in names]
    spread = math.hypot(*(source.spread for source in sources))
    settled = all(source.settled for source in sources)
    return Number(
        key, group, name, worn, _halves(good), poor and _halves(poor), heights, poor_heights, poor_why, reason, names, spread, settled
    )  # fmt: skip


def _halves(ends: Range) -> Range:
    """A range as a tape is read in a shop: to the half cm."""
    return round(ends[0] * 2) / 2, round(ends[1] * 2) / 2


def _rises(body: Body, schools: Schools) -> Iterator[Number]:
    for word in RISE:
        height = rise_height(body, word, schools)
        off = height - body.height("navel")
        rise = body.rise.along(height)
        where = "at the navel" if abs(off) < 0.05 else f"{{off}} {'above' if off > 0 else 'below'} the navel"
        text = Sentence.of(f"Lands {where}, measured along your own front.", off=abs(off))
        rests_on = ("front_rise_navel", "navel_height")
        yield _number(
            body,
            "front_rise_cm",
            "Trousers and jeans",
            f"front rise, {said(word)}",
            (rise - RISE_PLAY, rise + RISE_PLAY),
            text,
            rests_on,
            heights=(height, height),
        )
    band, _, _ = girth_at(body, body.height("navel"))
    text = Sentence("Round the body where a band at the navel lies: snug, and two fingers go in.")
    yield _number(
        body, "waist_cm", "Trousers and jeans", "waistband at the navel", (band, band + 2.5), text, ("belly",)
    )


def _inseams(body: Body, shoes: tuple[tuple[str, float], ...]) -> Iterator[Number]:
    group, rests_on = "Trousers and jeans", ("crotch_height", "narrow_ankle_height")
    ankle = length_to(body, Piece.of({"is": "jeans", "cut": "slim"}), "ankle", 0.0)
    text = Sentence("Ends on the narrow place above the ankle bone; it stays there in any shoe.")
    at = body.height("narrow_ankle")
    yield _number(
        body, "inseam_cm", group, "inseam, ankle length", (ankle - 2.5, ankle + 0.5), text, rests_on, worn="any shoe", heights=(at, at + 2.5)
    )  # fmt: skip
    bone = length_to(body, Piece.of({"is": "jeans"}), "ankle_bone", 0.0)
    text = Sentence("Reaches the ankle bone and does not bunch: for full-length close legs.")
    bone_at = body.height("ankle_bone")
    yield _number(
        body, "inseam_cm", group, "inseam, to the bone", (bone - 1.0, bone + 1.0), text, ("crotch_height", "ankle_bone_height"),
        worn="any shoe", heights=(bone_at, bone_at),
    )  # fmt: skip
    wide = Piece.of({"is": "trousers", "cut": "wide"})
    for shoe, heel in shoes:
        full = length_to(body, wide, "foot", heel)
        text = Sentence("A wide hem skims the top of the foot; a floor length is right for one heel height only.")
        yield _number(
            body, "inseam_cm", group, "inseam, wide to the foot", (full - 1.5, full + 1.0), text, ("crotch_height",),
            worn=shoe, heights=(2.0, 4.5),
        )  # fmt: skip
    shorts = Piece.of({"is": "shorts"})
    low, high = length_to(body, shorts, "mid_thigh", 0.0) - 4.0, length_to(body, shorts, "above_knee", 0.0)
    text = Sentence("From mid-thigh to a hand above the knee; hips and a seat lift the side, so rather a little more.")
    yield _number(
        body, "inseam_cm", "Shorts", "inseam", (max(low, 8.0), min(high, 23.0)), text, ("crotch_height", "knee_height"),
        heights=(word_height(body, "above_knee"), word_height(body, "mid_thigh") + 4.0),
    )  # fmt: skip


def _legs(body: Body) -> Iterator[Number]:
    group, calf, thigh = "Trousers and jeans", body.girth("calf"), body.girth("thigh")
    text = Sentence.of(
        "A straight leg needs {ease} over your calf to hang straight; with less it reads slim.", ease=HANGS_STRAIGHT
    )
    yield _number(
        body, "leg_opening_cm", group, "leg opening, straight", (calf + HANGS_STRAIGHT, calf + HANGS_STRAIGHT + 6), text, ("calf",),
        poor=(0.0, calf + SLIM_STRAIGHT), poor_why="reads slim on this calf",
    )  # fmt: skip
    text = Sentence("Close past the calf and still out over the heel.")
    yield _number(body, "leg_opening_cm", group, "leg opening, slim", (calf - 6, calf - 1), text, ("calf",))
    text = Sentence.of("Your thigh and {ease}: a straight leg that skims.", ease=6.0)
    yield _number(body, "thigh_cm", group, "thigh, straight", (thigh + 4, thigh + 9), text, ("thigh",))
    text = Sentence("Your hip and a little: cloth without stretch needs it.")
    yield _number(body, "hip_cm", group, "hip", (body.girth("hip") + 2, body.girth("hip") + 7), text, ("hip",))


#: The hems that do well, by the group they belong to: words from the one nearer the floor up.
_GOOD_HEMS = (
    ("ankle", "long"),
    ("lower_calf", "midi"),
    ("below_knee", "below the knee"),
    ("above_knee", "above the knee"),
)


def _skirts(body: Body) -> Iterator[Number]:
    calf = body.height("calf")
    for group, kind, start in (("Skirts", "skirt", "waist"), ("Dresses", "dress", "shoulder")):
        piece = Piece.of({"is": kind})
        on_calf = length_to(body, piece, "mid_calf", 0.0)
        poor = (on_calf - ON_WIDE, on_calf + ON_WIDE)
        for word, name in _GOOD_HEMS:
            at = landed_height(body, word, 0.0)
            length = length_to(body, piece, word, 0.0)
            text = Sentence.of(f"Measured from the {start}: ends {{at}} up.", at=at)
            yield _number(
                body, "length_cm", group, f"length, {name}", (length - 1.5, length + 1.5), text, (f"{start}_height", "calf_height"),
                poor=poor, heights=(at - 1.5, at + 1.5), poor_heights=(calf - ON_WIDE, calf + ON_WIDE),
                poor_why="ends on the fullest calf",
            )  # fmt: skip


def _tops(body: Body) -> Iterator[Number]:
    shoulder, hip = body.height("shoulder"), body.height("hip")
    on_hip = length_to(body, Piece.of({"is": "tee"}), "hip", 0.0)
    poor = (on_hip - ON_WIDE, on_hip + ON_WIDE)
    ends = (
        ("Tops", "length, worn out", "high_hip", "Ends at the high hip, above the widest place."),
        ("Tops", "length, over a close leg", "seat", "Covers the seat, below the widest place."),
        ("Jackets and coats", "length, short", "high_hip", "Over a skirt or a wide leg: ends above the widest place."),
        ("Jackets and coats", "length, blazer", "seat", "Just clears the seat and covers it."),
        ("Jackets and coats", "length, coat", "knee", "To the knee: over short and midi hems alike."),
    )
    for group, name, word, why in ends:
        at = word_height(body, word)
        length = length_to(body, Piece.of({"is": "tee"}), word, 0.0)
        yield _number(
            body, "length_cm", group, name, (length - 1.5, length + 1.5), Sentence(why), ("shoulder_height", "hip_height"),
            poor=poor if word != "knee" else None, heights=(at - 1.5, at + 1.5),
            poor_heights=(hip - ON_WIDE, hip + ON_WIDE) if word != "knee" else None, poor_why="ends on the fullest hip",
        )  # fmt: skip
    bust = body.girth("bust")
    for fit in ("fitted", "skimming", "relaxed"):
        ease = FIT_EASE[fit]
        text = Sentence.of(f"{{ease}} over your bust: {fit}.", ease=ease * bust)
        good = (bust * (1 + ease - 0.02), bust * (1 + ease + 0.025))
        yield _number(body, "chest_cm", "Tops", f"chest, {fit}", good, text, ("bust",))
    arm = body.lengths["arm_length"].cm
    text = Sentence("From the shoulder’s end over the bent elbow to the wrist bone.")
    yield _number(
        body, "sleeve_cm", "Tops", "sleeve, long", (arm - SLEEVE_PLAY, arm + SLEEVE_PLAY), text, ("arm_length",)
    )
    drop = shoulder - body.height("bust")
    text = Sentence("Opens the neck and stays above the bust line.")
    yield _number(
        body, "neck_depth_cm", "Tops", "neckline depth, V or scoop", (0.55 * drop, 0.9 * drop), text, ("shoulder_height", "bust_height"),
        poor=(0.98 * drop, 1.4 * drop), heights=(shoulder - 0.9 * drop, shoulder - 0.55 * drop),
        poor_heights=(shoulder - 1.4 * drop, shoulder - 0.98 * drop), poor_why="falls to the bust line",
    )  # fmt: skip


def _rest(body: Body) -> Iterator[Number]:
    narrow, knee, calf = body.height("narrow_ankle"), body.height("knee"), body.height("calf")
    text = Sentence("Ends on the narrow place, or a little over it.")
    yield _number(
        body, "shaft_cm", "Boots", "shaft height, ankle boot", (narrow, narrow + 4), text, ("narrow_ankle_height",),
        poor=(calf - 6, calf + 3), heights=(narrow, narrow + 4), poor_heights=(calf - 6, calf + 3), poor_why="ends on the fullest calf",
    )  # fmt: skip
    text = Sentence("Ends above the fullest calf, under the knee.")
    yield _number(
        body, "shaft_cm", "Boots", "shaft height, tall", (knee - 8, knee - 3), text, ("knee_height", "calf_height"),
        poor=(calf - 6, calf + 3), heights=(knee - 8, knee - 3), poor_heights=(calf - 6, calf + 3), poor_why="ends on the fullest calf",
    )  # fmt: skip
    girth = body.girth("calf")
    text = Sentence("Round your fullest calf, with room for a close leg inside.")
    yield _number(body, "shaft_girth_cm", "Boots", "shaft girth, tall", (girth + 0.5, girth + 4), text, ("calf",))
    text = Sentence("Your torso girth: a suit with a shorter loop pulls at shoulder and crotch.")
    yield _number(body, "torso_loop_cm", "One-pieces and swim", "torso loop", loop_for(body), text, ("torso_girth",))
    way = body.height("under_bust") - body.height("waist")
    text = Sentence.of("The way from waist to under-bust is {way}: a wider belt takes too much of it.", way=way)
    yield _number(
        body,
        "width_cm",
        "Belts and prints",
        "belt width, up to",
        (1.5, max(2.0, BELT_OF_WAY * way)),
        text,
        ("under_bust_height", "waist_height"),
    )
    small, large = (share * body.stature for share in PRINT_OF_STATURE)
    text = Sentence("Prints whose figures go with your frame; larger ones enlarge where they lie.")
    yield _number(body, "print_cm", "Belts and prints", "figure of a print", (small, large), text, ("stature",))
