"""Rise: where the waistband lands on this body, whatever the label says."""

from __future__ import annotations

from collections.abc import Iterator

from craft.cloth.words import said
from craft.judge.aims import Aims
from craft.judge.borders import Border
from craft.judge.finding import Figure, Finding, Stance
from craft.look import Outfit
from craft.units import Sentence

#: A belly that comes to this share of the hip counts as a full middle (W; the reference body's
#: comes to 0.86, proportions.py).
FULL_MIDDLE = Border(
    "full_middle",
    ("rise.full_middle", "volume.cling", "cloth.upper_clings"),
    "A belly of this share of the hip counts as a full middle",
    0.93,
    0.85,
    1.02,
    "share",
)
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
    if not label:
        return
    where, truth = _where(bottom.from_navel), said(bottom.rise)
    found: tuple[str, Stance, float, str, str]
    if label == bottom.rise:
        found = ("rise_fits", "for", 0.2, "Rise as labelled", f"The band lies {where}: {truth}, as the label says.")
    else:
        text = f"The label says {said(label)}; on this body the band lies {where}, which is {truth}."
        found = ("rise_wrong", "against", 0.45, f"{truth.capitalize()}, not {said(label)}", text)
    code, stance, weight, title, text = found
    yield Finding(
        rule="rise.label",
        code=code,
        stance=stance,
        weight=weight,
        zone="waist",
        height=bottom.waistband.cm,
        figure=Figure("front rise", bottom.front_rise, own),
        title=title,
        text=Sentence.of(text, off=abs(bottom.from_navel)),
        school="rise_naming",
    )


def full_middle(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """A full middle: under a low band it sits over; the schools differ about a high one."""
    bottom, body = outfit.bottom, outfit.body
    if bottom is None:
        return
    if body.girth("belly") / body.girth("hip") < FULL_MIDDLE.of(outfit) and "middle" not in aims.soften:
        return
    school = outfit.schools.position("full_middle_rise")
    stretch = "stretch" in bottom.piece.fabric or bottom.piece.kind == "leggings"
    height = bottom.waistband.cm
    figure = Figure("band from the navel", bottom.from_navel, -SITS_UNDER)
    off = {"off": abs(bottom.from_navel)}

    def found(stance: Stance, weight: float, title: str, text: str) -> Finding:
        code = "rise_fits" if stance == "for" else "rise_wrong"
        sentence = Sentence.of(text, **off)
        return Finding(
            "rise.middle",
            code,
            stance,
            weight,
            "middle",
            height,
            figure,
            title,
            sentence,
            "full_middle_rise",
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
        yield found(
            "for", 0.4, "Mid band crosses flat", f"A firm band {_where(bottom.from_navel)} crosses the middle flat."
        )


def rides_up(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """A very high band on a short torso rides up."""
    bottom = outfit.bottom
    if bottom is None:
        return
    room = outfit.body.height("under_bust") + outfit.lift - bottom.waistband.cm
    if room < RIDES_UP and bottom.from_navel > 2.5:
        text = Sentence.of(
            "Only {room} are left between the band and the under-bust; on a torso this short it rides up.", room=room
        )
        figure = Figure("room under the bust", room, RIDES_UP)
        yield Finding(
            "rise.rides_up", "torso_shortened", "against", 0.35, "waist", bottom.waistband.cm, figure, "Rides up", text
        )
