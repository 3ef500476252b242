"""Rise: where the waistband lands on this body, whatever the label says."""

from __future__ import annotations

from collections.abc import Iterator

from craft.cloth.words import said
from craft.judge.aims import Aims
from craft.judge.finding import Figure, Finding, Sentence
from craft.look import Outfit

#: A belly this much fuller than the waist counts as a full middle, as a share of the waist (W).
FULL_MIDDLE = 0.10
#: ... or a waist that comes this near to the hip.
FULL_WAIST = 0.90
#: A band this far below the navel leaves a full middle above it, cm.
SITS_UNDER = 2.5
#: A very high band this near under the bust rides up on a short torso, cm (W).
RIDES_UP = 7.0


def _where(from_navel: float) -> str:
    if abs(from_navel) < 0.75:
        return "at the navel"
    return "{off} above the navel" if from_navel > 0 else "{off} below the navel"


def label_against_truth(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """A measured rise against the rise the label claims."""
    bottom = outfit.bottom
    if bottom is None or bottom.piece.figure("front_rise_cm") is None:
        return
    label = bottom.piece.word("rise")
    own = outfit.body.lengths["front_rise_navel"].cm
    figure = Figure("front rise", bottom.front_rise, own)
    where = _where(bottom.from_navel)
    lengths = {"off": abs(bottom.from_navel), "own": own}
    if label and label != bottom.rise:
        text = f"The label says {said(label)}; on this body the band lies {where}, which is {said(bottom.rise)}."
        title, stance, weight, code = f"{said(bottom.rise).capitalize()}, not {said(label)}", "against", 0.45, "rise_wrong"
    elif label:
        text = f"The band lies {where}: {said(label)}, as the label says."
        title, stance, weight, code = "Rise as labelled", "for", 0.2, "rise_fits"
    else:
        return
    height = bottom.waistband.cm
    yield Finding(
        "rise.label", code, stance, weight, "waist", height, figure, title, Sentence.of(text, **lengths), "rise_naming"
    )


def full_middle(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """A full middle: under a low band it sits over; the schools differ about a high one."""
    bottom, body = outfit.bottom, outfit.body
    if bottom is None:
        return
    fuller = body.girth("belly") / body.girth("waist") - 1
    if fuller < FULL_MIDDLE and body.girth("waist") / body.girth("hip") < FULL_WAIST and "middle" not in aims.soften:
        return
    school = outfit.schools.position("full_middle_rise")
    stretch = "stretch" in bottom.piece.fabric or bottom.piece.kind == "leggings"
    height = bottom.waistband.cm
    figure = Figure("band from the navel", bottom.from_navel, -SITS_UNDER)
    off = {"off": abs(bottom.from_navel)}

    def found(stance: str, weight: float, title: str, text: str) -> Finding:
        code = "rise_fits" if stance == "for" else "rise_wrong"
        sentence = Sentence.of(text, **off)
        return Finding(
            "rise.middle", code, stance, weight, "middle", height, figure, title, sentence, "full_middle_rise"  # type: ignore[arg-type]
        )

    if bottom.from_navel < -SITS_UNDER:
        text = f"The band lies {_where(bottom.from_navel)}, under the middle, which then rests over it."
        yield found("against", 0.5, "Band under the middle", text)
    elif school == "hold_high" and bottom.from_navel > 1.0:
        text = f"The band lies {_where(bottom.from_navel)} and holds the middle in one line."
        yield found("for", 0.45, "High band holds", text)
    elif school == "cross_middle" and bottom.from_navel > 2.5 and stretch:
        text = f"A stretchy band {_where(bottom.from_navel)} moulds the middle and pushes it out."
        yield found("against", 0.4, "High stretch band moulds", text)
    elif school == "cross_middle" and abs(bottom.from_navel) <= 2.5 and not stretch:
        yield found("for", 0.4, "Mid band crosses flat", f"A firm band {_where(bottom.from_navel)} crosses the middle flat.")


def rides_up(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """A very high band on a short torso rides up."""
    bottom = outfit.bottom
    if bottom is None:
        return
    room = outfit.body.height("under_bust") + outfit.lift - bottom.waistband.cm
    if room < RIDES_UP and bottom.from_navel > 2.5:
        text = Sentence.of("Only {room} are left between the band and the under-bust; on a torso this short it rides up.", room=room)
        figure = Figure("room under the bust", room, RIDES_UP)
        yield Finding(
            "rise.rides_up", "torso_shortened", "against", 0.35, "waist", bottom.waistband.cm, figure, "Rides up", text
        )
