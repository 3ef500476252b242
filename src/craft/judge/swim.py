"""Swim: fewer pieces, the same reasoning, plus support."""

from __future__ import annotations

from collections.abc import Iterator

from craft.fit.support import HOLD, wanted_for
from craft.judge.aims import Aims
from craft.judge.finding import Remark, con, pro
from craft.judge.neck import full_bust
from craft.judge.rule import Subject
from craft.look import Outfit

rule = Subject("swim", "Swim (12)")
SWIM = ("swim",)

#: Details by what they do (brief, section 12).
MARKS_WAIST = frozenset({"side_detail", "drawn_waist", "ruching", "panel"})
OPENS_NECK = frozenset({"low_neck"})
LIFTS_EYE = frozenset({"flounce", "shoulder_detail", "high_neck"})
AT_HIP = frozenset({"side_ties", "low_leg"})
AT_SHOULDER = frozenset({"shoulder_detail", "flounce"})
LONG_TORSO = frozenset({"high_leg", "side_ties", "underwire", "thick_strap", "high_neck"})
#: Steps of hold that a full bust asks for at least (W).
FULL_ASKS = 2.0


def _details(outfit: Outfit) -> frozenset[str]:
    return frozenset().union(*(piece.words("swim_detail") for piece in outfit.look.all("swim")))


def _where(outfit: Outfit, level: str) -> tuple[str, float]:
    """A place on a swimmer, who stands barefoot."""
    return level, outfit.body.height(level)


@rule("swim.support", looks_at=SWIM)
def support(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Cups and straps against the bust."""
    details, where = _details(outfit), _where(outfit, "bust")
    if not details & HOLD.keys():
        return
    held = sum(HOLD.get(detail, 0.0) for detail in details)
    fullness = outfit.body.girth("bust") - outfit.body.girth("under_bust")
    wanted = max(wanted_for(fullness), FULL_ASKS if full_bust(outfit, aims) else 0.0)
    if held >= max(wanted, 1.0):
        yield pro(0.3, "support", where, "Holds the bust", "Cups and straps hold the bust.")
    elif held < wanted:
        yield con(0.4, "support", where, "Little hold", "The bust asks for more hold than this.")


@rule("swim.waist", looks_at=SWIM, speaks_to=lambda of: of.shape in ("oval", "rectangle") or "middle" in of.aims.soften)
def waist(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Details that draw a waist, or skim a middle."""
    if _details(outfit) & MARKS_WAIST:
        text = "Side detail and gathers draw a waist and skim the middle."
        yield pro(0.35, "waist_marked", _where(outfit, "waist"), "Draws a waist", text, also=("skims",))


@rule("swim.stripes", looks_at=SWIM)
def stripes(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Stripes across a suit widen."""
    for piece in outfit.look.all("swim"):
        if piece.word("pattern") == "horizontal_stripe":
            text = "The stripes run across and widen."
            yield con(0.3, "widening_line", _where(outfit, "waist"), "Stripes widen", text)


@rule("swim.print", looks_at=SWIM, speaks_to=lambda of: of.shape == "triangle")
def hip_print(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A large print over hips that lead draws the eye there."""
    for piece in outfit.look.all("swim"):
        if piece.word("pattern") in ("large_print", "animal"):
            text = "A large print over the hips draws the eye there."
            yield con(0.35, "draws_to_zone", _where(outfit, "hip"), "Print at the hips", text)


@rule("swim.neck", looks_at=SWIM)
def neck(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A lower neckline lengthens."""
    if _details(outfit) & OPENS_NECK:
        text = "The lower neckline lengthens."
        yield pro(0.2, "neck_lengthens", _where(outfit, "bust"), "Lower neckline", text)


@rule("swim.up", looks_at=SWIM, speaks_to=lambda of: of.shape == "triangle")
def up(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """On a triangle, flounce and shoulder draw the eye up."""
    one_shoulder = any(piece.word("neck") == "one_shoulder" for piece in outfit.look.all("swim"))
    if one_shoulder or _details(outfit) & LIFTS_EYE:
        text = "Flounce and shoulder draw the eye up."
        yield pro(0.35, "draws_to_asset", _where(outfit, "shoulder"), "Attention up", text)


@rule("swim.hip", looks_at=SWIM, speaks_to=lambda of: of.shape == "triangle")
def hip(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """On a triangle, ties and low legs mark the hip."""
    if _details(outfit) & AT_HIP:
        text = "Ties and low legs mark the hip."
        yield con(0.25, "draws_to_zone", _where(outfit, "hip"), "Ties at the hip", text)


@rule("swim.shoulder", looks_at=SWIM, speaks_to=lambda of: of.shape == "inverted_triangle")
def shoulder(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """On an inverted triangle, detail at the shoulder's edge broadens it."""
    if _details(outfit) & AT_SHOULDER:
        text = "Detail at the shoulder's edge broadens it."
        yield con(0.3, "widening_line", _where(outfit, "shoulder"), "Detail at the shoulder", text)


@rule("swim.centre", looks_at=SWIM, speaks_to=lambda of: of.shape == "inverted_triangle")
def centre(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """On an inverted triangle, detail at the centre draws in."""
    if "centre_detail" in _details(outfit):
        text = "Detail at the centre draws in."
        yield pro(0.25, "balance_gained", _where(outfit, "bust"), "Detail at the centre", text)


@rule("swim.torso", looks_at=SWIM)
def torso(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A short torso: low bottoms, higher leg, one colour from neck to hip."""
    pieces = outfit.look.all("swim") if outfit.short_torso else ()
    if not pieces:
        return
    details, rises = _details(outfit), {piece.word("rise") for piece in pieces}
    if rises & {"very_high", "high"} or "low_leg" in details:
        text = "A high bottom or a low leg takes from a short torso."
        yield con(0.35, "torso_shortened", _where(outfit, "waist"), "Shortens the torso", text)
    elif "low" in rises or details & LONG_TORSO:
        text = "A low bottom, a high leg and a lifted bust give the torso length."
        yield pro(0.35, "torso_lengthened", _where(outfit, "waist"), "Lengthens the torso", text)


@rule("swim.leg", looks_at=SWIM, speaks_to=lambda of: of.aims.wanted("lengthen_legs"))
def leg(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A high leg lengthens the leg, a low one cuts it, where length is wanted."""
    details = _details(outfit)
    if "high_leg" in details:
        text = "The leg begins higher and reads longer."
        yield pro(0.3, "leg_lengthened", _where(outfit, "crotch"), "High leg lengthens", text)
    elif "low_leg" in details:
        yield con(
            0.25, "leg_cut", _where(outfit, "crotch"), "Low leg shortens", "The leg begins lower and reads shorter."
        )
