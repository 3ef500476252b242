"""Cloth on the body: what clings, what shows through, what bags, what skims."""

from __future__ import annotations

from collections.abc import Iterator

from craft.body.proportions import GIRTH_ROWS
from craft.cloth.stretch import stretch
from craft.cloth.words import said
from craft.fit.cloth_checks import sheer
from craft.judge.aims import Aims
from craft.judge.finding import Figure, Remark, con, pro
from craft.judge.rise import FULL_MIDDLE, minds_middle
from craft.judge.rule import Client, Subject
from craft.judge.zones import area_over, height_of, quiet
from craft.look import Outfit
from craft.look.readings import BASE
from craft.wear import WornBottom, WornTop

rule = Subject("cloth", "Volume (7)", sees_colour=False)
BOTTOM = ("bottom", "one_piece")
UPPER = (*BASE, "layer")

#: A leg at most this full lies on the leg (0 to 4); from the second on it skims.
ON_THE_LEG, SKIMS = 1.0, 1.6
#: A hip this slim for the waist, or for the bust, or a thigh this slim for the hip, gives a straight rigid leg nothing to
#: hang from; a cloth that gives less than the last is firm (W).
SLIM_HIP, UNDER_BUST, SLIM_THIGH, FIRM = 1.06, 0.95, 0.94, 0.03
#: A hip less than this share of the stature is a slim one, less than the second whatever the bust (W: half a deviation and one
#: and a half under the mean of proportions.py).
SLIM_FOR_STATURE, VERY_SLIM = 0.568, 0.52
#: A dress or tunic that ends so far below the crotch hides what is sheer below, cm (W).
HIDES = 8.0
#: What it weighs that something is seen through a top where the client softens nothing there (W).
SHOWS_ANYWHERE = 0.1
#: What a seat that bags weighs in denim, and in trousers, which are cut to it (W).
BAGS, CUT_TO_IT = 0.35, 0.25
_CLINGS = frozenset({"clinging", "thin", "ribbed", "satin"})
_STRAIGHT = ("straight", "boyfriend", "girlfriend", "bootcut")


def _lies_on(bottom: WornBottom) -> bool:
    return bottom.piece.word("fit") in ("tight", "fitted") or bottom.volume <= ON_THE_LEG


def _held(volume: float, border: float, of: str = "volume below") -> Figure:
    return Figure(of, volume, border, "scale")


@rule("cloth.sheer", looks_at=(*BOTTOM, "top", "underslip"), reads=("heel",), sees_colour=True)
def bottom_shows(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Light, thin cloth over the leg lets what is under it be seen."""
    bottom, top = outfit.bottom, outfit.top
    if bottom is None or not sheer(bottom.piece) or "underslip" in outfit.extras:
        return
    if top is not None and not top.tucked and top.hem.cm <= outfit.at("crotch") - HIDES:
        return
    close = _lies_on(bottom)
    text = "Light, thin cloth lets what is under it be seen" + (", the more as it lies close." if close else ".")
    where, held = ("thighs", outfit.at("mid_thigh")), _held(bottom.volume, ON_THE_LEG)
    yield con(0.4 if close else 0.25, "sheer", where, "Shows through", text, held, also=("clings",))


@rule("cloth.thin", looks_at=BOTTOM, reads=("heel",), sees_colour=True)
def bottom_clings(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Thin cloth drawn over the leg shows everything."""
    bottom = outfit.bottom
    if bottom is None or "thin" not in bottom.piece.fabric or sheer(bottom.piece) or not _lies_on(bottom):
        return
    weight = 0.4 if aims.soften & {"thighs", "hips", "seat"} else 0.25
    text = "Thin cloth drawn over the leg shows every line and creases."
    where = ("thighs", outfit.at("mid_thigh"))
    yield con(weight, "clings", where, "Thin cloth clings", text, _held(bottom.volume, ON_THE_LEG))


@rule("cloth.skims", looks_at=BOTTOM, reads=("heel",), sees_colour=True)
def bottom_skims(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Relaxed linen skims the leg."""
    bottom = outfit.bottom
    if bottom is None or sheer(bottom.piece) or ("thin" in bottom.piece.fabric and _lies_on(bottom)):
        return
    if bottom.piece.word("fit") == "relaxed" and "linen" in bottom.piece.fabric:
        text = "Relaxed cloth skims instead of showing what is under it."
        where = ("thighs", outfit.at("mid_thigh"))
        yield pro(0.15, "skims", where, "Skims", text, _held(bottom.volume, ON_THE_LEG))


def _over_middle(outfit: Outfit) -> WornTop | None:
    """The top that is seen over the middle."""
    return None if outfit.outer is not None and not outfit.outer.open else outfit.top


def _drapes(top: WornTop) -> bool:
    gathered = top.piece.word("gathers") in ("middle", "side")
    return gathered or top.piece.word("cut") in ("wrap", "empire", "ruched", "peplum") or "draping" in top.piece.fabric


@rule("cloth.drapes", looks_at=UPPER, reads=("heel",), borders=(FULL_MIDDLE,), speaks_to=minds_middle)
def drapes(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Drape, a wrap or gathers hide a soft middle."""
    top = _over_middle(outfit)
    if top is not None and _drapes(top):
        held, where = _held(top.volume, ON_THE_LEG, "volume of the top"), ("middle", outfit.at("navel"))
        yield pro(0.3, "skims", where, "Drape over the middle", "Drape and gathers hide a soft middle.", held)


@rule("cloth.clings", looks_at=UPPER, reads=("heel",), borders=(FULL_MIDDLE,), speaks_to=minds_middle)
def upper_clings(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A close upper part over a full middle clings."""
    top = _over_middle(outfit)
    if top is None or _drapes(top) or top.volume > ON_THE_LEG:
        return
    clinging = bool(top.piece.fabric & _CLINGS)
    # volume.cling speaks of a plain top; this of a dress, or of cloth that draws itself to the body.
    if clinging or (top.fit == "tight" and outfit.one_piece is not None):
        held, where = _held(top.volume, ON_THE_LEG, "volume of the top"), ("middle", outfit.at("navel"))
        text = "The cloth draws itself to the middle and shows it."
        yield con(0.4, "clings", where, "Clings to the middle", text, held)


@rule("cloth.skims_middle", looks_at=UPPER, reads=("heel",), borders=(FULL_MIDDLE,), speaks_to=minds_middle)
def upper_skims(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Ease over a full middle skims it."""
    top = _over_middle(outfit)
    if top is not None and not _drapes(top) and top.volume >= SKIMS:
        held, where = _held(top.volume, ON_THE_LEG, "volume of the top"), ("middle", outfit.at("navel"))
        yield pro(0.2, "skims", where, "Skims the middle", "There is ease over the middle: it skims.", held)


def shows_above(outfit: Outfit) -> WornTop | None:
    """The top that lets what is under it be seen, with nothing between or closed over it."""
    top = outfit.top
    if top is None or not sheer(top.piece) or len(outfit.look.all("top")) > 1:
        return None
    return None if outfit.outer is not None and not outfit.outer.open else top


@rule("cloth.shows", looks_at=UPPER, reads=("heel",), sees_colour=True)
def upper_shows(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A top that shows what is under it, with nothing between: over a zone to soften, and a little anywhere."""
    top = shows_above(outfit)
    if top is None:
        return
    kept = aims.soften & {"middle", "bust", "upper_arms"}
    zone = min(kept, default="bust")
    text = f"The cloth lets the {said(zone)} be seen through it: line it, or wear something under it."
    held, where = _held(top.volume, ON_THE_LEG, "volume of the top"), (zone, height_of(outfit, zone))
    weight = (0.4 if top.volume <= SKIMS else 0.25) if kept else SHOWS_ANYWHERE
    yield con(weight, "sheer", where, "Shows through above", text, held, also=("draws_to_zone",))


def has_slim_hip(of: Client) -> bool:
    """Whether the hip is slim for the waist or the bust, or the thigh for the hip."""
    body, hip = of.body, of.body.girth("hip")
    usual_thigh = hip * GIRTH_ROWS["thigh"].fraction / GIRTH_ROWS["hip"].fraction
    slim_thigh = body.girth("thigh") < SLIM_THIGH * usual_thigh
    # A full bust says nothing of the seat: the hip is slim against the waist, and for the stature.
    slim = hip < SLIM_FOR_STATURE * body.stature and hip / body.girth("bust") < UNDER_BUST
    slim = slim or hip < VERY_SLIM * body.stature
    return hip / body.girth("waist") < SLIM_HIP or slim or slim_thigh


def bags_at_seat(outfit: Outfit, aims: Aims) -> bool:
    """Whether a straight leg in cloth that does not give hangs from a slim hip."""
    bottom = outfit.bottom
    if bottom is None or bottom.hem.cm > outfit.at("knee"):
        # Shorts have no leg that pulls at the seat.
        return False
    firm = stretch(bottom.piece) < FIRM and bottom.cut in _STRAIGHT
    return firm and has_slim_hip(Client(outfit.body, aims, outfit.schools))


@rule("cloth.bags", about="legs", looks_at=BOTTOM, reads=("heel",), speaks_to=has_slim_hip)
def bags(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A straight leg in rigid cloth on a slim hip bags at the seat, unless it stretches and hugs."""
    bottom, body = outfit.bottom, outfit.body
    if bottom is None or not bottom.has_legs:
        return
    over_waist = body.girth("hip") / body.girth("waist")
    held, where = Figure("hip over waist", over_waist, SLIM_HIP, "share"), ("seat", outfit.at("hip"))
    if bags_at_seat(outfit, aims):
        text = "On so slim a hip a straight leg in firm cloth bags at seat and rise."
        # Trousers are cut to the seat and pressed; denim hangs as it is.
        denim = bottom.piece.kind == "jeans" or "denim" in bottom.piece.fabric
        yield con(BAGS if denim else CUT_TO_IT, "baggy_seat", where, "Bags at the seat", text, held)
    elif stretch(bottom.piece) >= FIRM and bottom.volume <= SKIMS:
        text = "Cloth that gives hugs the slim seat: nothing bags."
        yield pro(0.15, "baggy_seat", where, "Hugs the seat", text, held)


@rule(
    "cloth.hips",
    looks_at=BOTTOM,
    reads=("areas",),
    schools=("hip_strategy",),
    speaks_to=lambda of: bool({"hips", "thighs", "seat"} & set(quiet(of))),
)
def skims_hips(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Over hips to soften: an eased leg or skirt that hangs from them skims; a skin-tight one shows them."""
    bottom = outfit.bottom
    if bottom is None:
        return
    skim = outfit.schools.position("hip_strategy") == "skim"
    seat = "seat" in aims.soften and not aims.soften & {"hips", "thighs"}
    covered = area_over(outfit, "hips", behind=seat)
    hidden = covered is not None and covered.piece != bottom.piece
    where, held = ("hips", height_of(outfit, "hips")), _held(bottom.volume, SKIMS)
    if bottom.volume >= SKIMS and skim and not hidden:
        text = "The cloth hangs from the hip and skims what is below it."
        yield pro(0.3, "skims", where, "Skims from the hip", text, held, also=("balance_gained",))
    elif bottom.volume <= ON_THE_LEG and not hidden:
        weight = 0.3 if aims.soften & {"hips", "thighs", "seat"} else 0.15
        weight += 0.2 if bottom.piece.fabric & _CLINGS else 0.0
        text = "Close cloth over the hips shows just what they are."
        yield con(weight, "clings", where, "Close over the hips", text, held)
    # Of a seat alone what covers it is said by the hem that does (edges, layers).
    elif hidden and not skim and not seat and bottom.volume <= SKIMS:
        text = "An eased, longer top over a close leg covers the hips."
        yield pro(0.35, "covers_zone", where, "Hips covered", text, held, also=("balance_gained",))
