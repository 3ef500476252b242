"""Cloth on the body: what clings, what shows through, what bags, what skims."""

from __future__ import annotations

from collections.abc import Iterator

from craft.body.proportions import GIRTH_ROWS
from craft.cloth.stretch import stretch
from craft.cloth.words import said
from craft.fit.cloth_checks import sheer
from craft.judge.aims import Aims
from craft.judge.finding import Figure, Finding
from craft.judge.rise import FULL_MIDDLE
from craft.judge.zones import area_over, height_of, quiet
from craft.look import Outfit
from craft.units import Sentence

#: A leg at most this full lies on the leg (0 to 4); from the second on it skims.
ON_THE_LEG, SKIMS = 1.0, 1.6
#: A hip this slim for the waist, or for the bust, gives a straight rigid leg nothing to hang from (W).
SLIM_HIP, UNDER_BUST = 1.06, 0.95
_CLINGS = ("clinging", "thin", "ribbed", "satin")


def bottom_clings(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """Thin or light cloth drawn over the leg shows everything."""
    bottom = outfit.bottom
    if bottom is None:
        return
    piece = bottom.piece
    tight = piece.word("fit") in ("tight", "fitted") or bottom.volume <= ON_THE_LEG
    at = outfit.body.height("mid_thigh") + outfit.lift
    figure = Figure("volume below", bottom.volume, ON_THE_LEG, "scale")
    if sheer(piece):
        weight = 0.4 if tight else 0.2
        text = Sentence.of(
            "Light, thin cloth lets what is under it be seen" + (", the more as it lies close." if tight else ".")
        )
        yield Finding(
            "cloth.sheer", "sheer", "against", weight, "thighs", at, figure, "Shows through", text, None, ("clings",)
        )
    elif tight and "thin" in piece.fabric:
        weight = 0.4 if aims.soften & {"thighs", "hips", "seat"} else 0.25
        text = Sentence.of("Thin cloth drawn over the leg shows every line and creases.")
        yield Finding("cloth.thin", "clings", "against", weight, "thighs", at, figure, "Thin cloth clings", text)
    elif piece.word("fit") == "relaxed" and "linen" in piece.fabric:
        text = Sentence.of("Relaxed cloth skims instead of showing what is under it.")
        yield Finding("cloth.skims", "skims", "for", 0.15, "thighs", at, figure, "Skims", text)


def upper_clings(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """A close upper part over a full middle clings; one with drape, a wrap or a high waist skims it."""
    top, body = outfit.top, outfit.body
    full = body.girth("belly") / body.girth("hip") >= FULL_MIDDLE.of(outfit) or "middle" in aims.soften
    if top is None or not full or (outfit.outer is not None and not outfit.outer.open):
        return
    at = body.height("navel") + outfit.lift
    cut = top.piece.word("cut")
    figure = Figure("volume of the top", top.volume, ON_THE_LEG, "scale")
    clinging = any(word in _CLINGS for word in top.piece.fabric)
    drapes = cut in ("wrap", "empire", "ruched", "peplum") or "draping" in top.piece.fabric
    if drapes:
        text = Sentence.of("Drape and gathers hide a soft middle.")
        yield Finding("cloth.drapes", "skims", "for", 0.3, "middle", at, figure, "Drape over the middle", text)
    elif top.volume <= ON_THE_LEG and (clinging or top.fit == "tight"):
        # volume.cling speaks of a plain top; this of a dress, or of cloth that draws itself to the body.
        if outfit.one_piece is not None or clinging:
            text = Sentence.of("The cloth draws itself to the middle and shows it.")
            yield Finding("cloth.clings", "clings", "against", 0.4, "middle", at, figure, "Clings to the middle", text)
    elif top.volume >= SKIMS:
        text = Sentence.of("There is ease over the middle: it skims.")
        yield Finding("cloth.skims_middle", "skims", "for", 0.2, "middle", at, figure, "Skims the middle", text)


def upper_shows(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """A top that shows what is under it, over a zone to soften, with nothing between."""
    top = outfit.top
    kept = aims.soften & {"middle", "bust", "upper_arms"}
    if top is None or not kept or not sheer(top.piece) or len(outfit.look.all("top")) > 1:
        return
    if outfit.outer is not None and not outfit.outer.open:
        return
    zone = min(kept)
    at = height_of(outfit, zone)
    figure = Figure("volume of the top", top.volume, ON_THE_LEG, "scale")
    text = Sentence.of(f"The cloth lets the {said(zone)} be seen through it: line it, or wear something under it.")
    weight = 0.4 if top.volume <= SKIMS else 0.25
    yield Finding("cloth.shows", "sheer", "against", weight, zone, at, figure, "Shows through above", text, None,
                  ("draws_to_zone",))  # fmt: skip


def bags(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """A straight leg in rigid cloth on a slim hip bags at the seat, unless it stretches and hugs."""
    bottom, body = outfit.bottom, outfit.body
    if bottom is None or not bottom.has_legs:
        return
    hip = body.girth("hip")
    slim = (
        hip / body.girth("waist") < SLIM_HIP
        or hip / body.girth("bust") < UNDER_BUST
        or body.girth("thigh") < 0.94 * _usual_thigh(outfit)
    )
    firm = stretch(bottom.piece) < 0.03
    figure = Figure("hip over waist", body.girth("hip") / body.girth("waist"), SLIM_HIP, "share")
    at = body.height("hip") + outfit.lift
    if slim and firm and bottom.cut in ("straight", "boyfriend", "girlfriend", "wide", "bootcut"):
        text = Sentence.of("On so slim a hip a straight leg in firm cloth bags at seat and rise.")
        yield Finding("cloth.bags", "baggy_seat", "against", 0.35, "seat", at, figure, "Bags at the seat", text)
    elif slim and not firm and bottom.volume <= SKIMS:
        text = Sentence.of("Cloth that gives hugs the slim seat: nothing bags.")
        yield Finding("cloth.bags", "baggy_seat", "for", 0.15, "seat", at, figure, "Hugs the seat", text)


def _usual_thigh(outfit: Outfit) -> float:
    """The thigh that is usual for this hip, cm."""
    return outfit.body.girth("hip") * GIRTH_ROWS["thigh"].fraction / GIRTH_ROWS["hip"].fraction


def skims_hips(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """Over hips to soften: an eased leg or skirt that hangs from them skims; a skin-tight one shows them."""
    if not {"hips", "thighs"} & set(quiet(outfit, aims)) or outfit.bottom is None:
        return
    bottom = outfit.bottom
    at = height_of(outfit, "hips")
    figure = Figure("volume below", bottom.volume, SKIMS, "scale")
    skim = outfit.schools.position("hip_strategy") == "skim"
    covered = area_over(outfit, "hips")
    hidden = covered is not None and covered.piece is not bottom.piece
    if bottom.volume >= SKIMS and skim and not hidden:
        text = Sentence.of("The cloth hangs from the hip and skims what is below it.")
        yield Finding("cloth.hips", "skims", "for", 0.3, "hips", at, figure, "Skims from the hip", text, "hip_strategy",
                      ("balance_gained",))  # fmt: skip
    elif bottom.volume <= ON_THE_LEG and not hidden:
        text = Sentence.of("Close cloth over the hips shows just what they are.")
        weight = 0.3 if aims.soften & {"hips", "thighs"} else 0.15
        yield Finding(
            "cloth.hips", "clings", "against", weight, "hips", at, figure, "Close over the hips", text, "hip_strategy"
        )
    elif hidden and not skim and bottom.volume <= SKIMS:
        text = Sentence.of("An eased, longer top over a close leg covers the hips.")
        yield Finding("cloth.hips", "covers_zone", "for", 0.35, "hips", at, figure, "Hips covered", text, "hip_strategy",
                      ("balance_gained",))  # fmt: skip
