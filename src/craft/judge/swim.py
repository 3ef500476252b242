"""Swim: fewer pieces, the same reasoning, plus support."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import replace

from craft.fit.support import HOLD, wanted_for
from craft.judge.aims import Aims
from craft.judge.finding import Figure, Finding, Stance
from craft.judge.neck import full_bust
from craft.look import Outfit
from craft.units import Sentence

#: Details by what they do (brief, section 12).
MARKS_WAIST = ("side_detail", "drawn_waist", "ruching", "panel")
OPENS_NECK = ("low_neck",)
LIFTS_EYE = ("flounce", "shoulder_detail", "high_neck")
AT_HIP = ("side_ties", "low_leg", "side_detail")
LONG_TORSO = ("high_leg", "side_ties", "underwire", "thick_strap", "high_neck")


def _details(outfit: Outfit) -> frozenset[str]:
    return frozenset(
        str(word)
        for piece in outfit.look.all("swim")
        for key, said in piece.said
        if key == "swim_detail"
        for word in said
    )


def _found(outfit: Outfit, rule: str, code: str, weight: float, level: str, title: str, text: str) -> Finding:
    at = outfit.body.height(level)
    stance: Stance = "for" if weight > 0 else "against"
    figure = Figure("height", at, at)
    return Finding(rule, code, stance, abs(weight), level, at, figure, title, Sentence.of(text))


def support(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """Cups and straps against the bust."""
    details = _details(outfit)
    if not details & HOLD.keys():
        return
    held = sum(HOLD.get(detail, 0.0) for detail in details)
    fullness = outfit.body.girth("bust") - outfit.body.girth("under_bust")
    wanted = max(wanted_for(fullness), 2.0 if full_bust(outfit, aims) else 0.0)
    if held >= wanted and held >= 1.0:
        yield _found(outfit, "swim.support", "support", 0.3, "bust", "Holds the bust", "Cups and straps hold the bust.")
    elif held < wanted:
        yield _found(
            outfit, "swim.support", "support", -0.4, "bust", "Little hold", "The bust asks for more hold than this."
        )


def waist(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """Details that draw a waist, or skim a middle."""
    if not outfit.look.all("swim"):
        return
    marks = _details(outfit) & set(MARKS_WAIST)
    if marks and (outfit.shape in ("oval", "rectangle") or aims.soften & {"middle"}):
        text = "Side detail and gathers draw a waist and skim the middle."
        found = _found(outfit, "swim.waist", "waist_marked", 0.35, "waist", "Draws a waist", text)
        yield replace(found, also=("skims",))


def pattern(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """Neck, stripes and prints of a suit."""
    for piece in outfit.look.all("swim"):
        word = piece.word("pattern")
        if word == "horizontal_stripe":
            yield _found(
                outfit,
                "swim.stripes",
                "widening_line",
                -0.3,
                "waist",
                "Stripes widen",
                "The stripes run across and widen.",
            )
        if word in ("large_print", "animal") and outfit.shape == "triangle":
            text = "A large print over the hips draws the eye there."
            yield _found(outfit, "swim.print", "draws_to_zone", -0.35, "hip", "Print at the hips", text)
    details = _details(outfit)
    if details & set(OPENS_NECK):
        yield _found(
            outfit, "swim.neck", "neck_lengthens", 0.2, "bust", "Lower neckline", "The lower neckline lengthens."
        )
    necks = [piece.word("neck") for piece in outfit.look.all("swim")]
    if outfit.shape == "triangle" and (details & set(LIFTS_EYE) or "one_shoulder" in necks):
        text = "Flounce and shoulder draw the eye up."
        yield _found(outfit, "swim.up", "draws_to_asset", 0.35, "shoulder", "Attention up", text)
    if outfit.shape == "triangle" and details & {"side_ties", "low_leg"}:
        yield _found(
            outfit, "swim.hip", "draws_to_zone", -0.25, "hip", "Ties at the hip", "Ties and low legs mark the hip."
        )
    if outfit.shape == "inverted_triangle" and details & {"shoulder_detail", "flounce"}:
        text = "Detail at the shoulder's edge broadens it."
        yield _found(outfit, "swim.shoulder", "widening_line", -0.3, "shoulder", "Detail at the shoulder", text)
    if outfit.shape == "inverted_triangle" and "centre_detail" in details:
        yield _found(
            outfit,
            "swim.centre",
            "balance_gained",
            0.25,
            "bust",
            "Detail at the centre",
            "Detail at the centre draws in.",
        )


def torso(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """A short torso: low bottoms, higher leg, one colour from neck to hip."""
    pieces = outfit.look.all("swim")
    if not pieces or not outfit.short_torso:
        return
    details = _details(outfit)
    helps = details & set(LONG_TORSO)
    rises = [piece.word("rise") for piece in pieces]
    if "very_high" in rises or "high" in rises or "low_leg" in details:
        text = "A high bottom or a low leg takes from a short torso."
        yield _found(outfit, "swim.torso", "torso_shortened", -0.35, "waist", "Shortens the torso", text)
    elif helps or "low" in rises:
        text = "A low bottom, a high leg and a lifted bust give the torso length."
        yield _found(outfit, "swim.torso", "torso_lengthened", 0.35, "waist", "Lengthens the torso", text)


def leg(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """A high leg lengthens the leg, a low one cuts it, where length is wanted."""
    details = _details(outfit)
    if not aims.wanted("lengthen_legs"):
        return
    if "high_leg" in details:
        text = "The leg begins higher and reads longer."
        yield _found(outfit, "swim.leg", "leg_lengthened", 0.3, "crotch", "High leg lengthens", text)
    elif "low_leg" in details:
        text = "The leg begins lower and reads shorter."
        yield _found(outfit, "swim.leg", "leg_cut", -0.25, "crotch", "Low leg shortens", text)
