"""Mends: the smallest change that answers a finding, found by trying changes on the same engine.

Free changes come first, then another shoe's height, then the tailor, then another piece. A
change counts as a mend only if the finding is gone and the look scores higher for it.
"""

from __future__ import annotations

import math
from collections.abc import Collection, Iterator
from dataclasses import dataclass
from typing import Any

from craft.advise.swaps import swaps
from craft.cloth.words import said
from craft.judge import Aims, Judged, Judgement, Sentence
from craft.judge.length import ON_LOWER_LEG
from craft.look import Look, Outfit, compose
from craft.wear.cuts import CUFF_CM
from craft.wear.ease import HANGS_STRAIGHT
from craft.wear.landing import landed_height
from craft.wear.shoes import HEEL_CM


@dataclass(frozen=True, slots=True)
class Mend:
    """A change of one piece that mends a finding: the words to change, and what it reaches."""

    slot: str
    change: tuple[tuple[str, Any], ...]
    text: Sentence
    cost: int
    score: float


@dataclass(frozen=True, slots=True)
class Change:
    """A change of one piece that may be worth trying: what it says and what it costs."""

    slot: str
    change: dict[str, Any]
    text: Sentence
    cost: int


FREE, SWAP_SHOE, TAILOR, OTHER_PIECE = 0, 1, 2, 3


def mends_for(outfit: Outfit, judgement: Judgement, aims: Aims) -> dict[str, Mend]:
    """The smallest mend of each finding against, by rule id; rules without one are left out."""
    open_ = {f.rule: f for f in judgement.findings if f.stance == "against"}
    mends: dict[str, Mend] = {}
    judged = Judged(outfit, aims, judgement)
    for change in changes(outfit, aims, open_.keys()):
        if not open_:
            break
        after = judged.again(compose(outfit.body, apply(outfit.look, change), outfit.schools, like=outfit))
        if after.score <= judgement.score:
            continue
        against = {f.rule: f for f in after.findings if f.stance == "against"}
        # A change that opens a new fault of some weight is no mend.
        fresh = max((f.weight for rule, f in against.items() if rule not in _rules(judgement)), default=0.0)
        for rule, finding in list(open_.items()):
            if rule not in against and fresh <= finding.weight / 2:
                mends[rule] = Mend(change.slot, tuple(change.change.items()), change.text, change.cost, after.score)
                del open_[rule]
    return mends


def _rules(judgement: Judgement) -> set[str]:
    return {f.rule for f in judgement.findings if f.stance == "against"}


def apply(look: Look, change: Change) -> Look:
    """The look with a change made."""
    return look.changed(change.slot, **change.change)


def changes(outfit: Outfit, aims: Aims, rules: Collection[str]) -> Iterator[Change]:
    """Every change worth trying for what these rules find, the smallest first.

    `rules` may lose members while the changes are tried: what is mended asks for nothing further.
    """

    def asked(*subjects: str) -> bool:
        return any(rule.split(".")[0] in subjects for rule in rules)

    if rules:
        yield from _tucks(outfit, rules)
    if asked("layers", "volume", "neck"):
        yield from _fastenings(outfit)
    if asked("length", "edges", "feet"):
        yield from _legs(outfit)
        yield from _shoes(outfit, aims)
        yield from _hems(outfit)
    if asked("hems", "edges"):
        yield from _skirt_hems(outfit)
    if asked("layers"):
        yield from _layer_lengths(outfit)
    if asked("rise", "leg", "length", "volume", "edges", "feet", "cloth", "limits", "register"):
        yield from _others(outfit, {rule.split(".")[0] for rule in rules})
    for place, words, text in swaps(outfit, aims, rules):
        yield Change(place, words, text, OTHER_PIECE)


def _tucks(outfit: Outfit, rules: Collection[str]) -> Iterator[Change]:
    top = outfit.top
    if top is None or outfit.bottom is None or top.piece.slot != "top":
        return
    how = {
        "front": "Tuck the front between the belt loops.",
        "full": "Tuck it in all round and pull it flat.",
        "half": "Tuck one side of the front.",
        "bloused": "Tuck it in, then raise the arms to ease it out.",
        "bra": "Turn the hem up into the bra band.",
        "none": "Leave it untucked.",
    }
    if not {"volume.ridge", "volume.tuck_bulk"}.isdisjoint(rules):
        how["lifted"] = "Tuck it flat, then lift it above the seat."
    if "edges.top_hem" in rules or "edges.proportion" in rules:
        how["tail_fold"] = "Fold the tail up under itself."
    for tuck, text in how.items():
        if tuck != top.tuck and not (tuck == "bra" and top.thickness < 0.4):
            yield Change("top", {"tuck": tuck}, Sentence.of(text), FREE)


def _fastenings(outfit: Outfit) -> Iterator[Change]:
    """Open or close it, belt it, open the collar, roll the sleeve: free changes of what is on."""
    layer, top = outfit.outer, outfit.top
    if layer is not None:
        kind = said(layer.piece.kind)
        if not layer.open:
            yield Change("layer", {"open": True}, Sentence.of(f"Wear the {kind} open."), FREE)
        if layer.belted is None:
            yield Change("layer", {"belted": "medium", "open": None}, Sentence.of(f"Belt the {kind}."), FREE)
    if top is not None and top.neck == "closed_collar":
        yield Change("top", {"neck": "open_collar"}, Sentence.of("Open the collar."), FREE)
    if top is not None and top.sleeve == "long" and not top.piece.flag("rolled"):
        yield Change("top", {"rolled": True}, Sentence.of("Roll the sleeve."), FREE)
    if outfit.one_piece is not None and outfit.one_piece.word("belted") is None:
        yield Change("one_piece", {"belted": "medium"}, Sentence.of("Belt it."), FREE)


def _skirt_hems(outfit: Outfit) -> Iterator[Change]:
    """A skirt or dress shortened to a narrower place."""
    bottom = outfit.bottom
    if bottom is None or bottom.has_legs:
        return
    for word in ("below_knee", "knee", "above_knee"):
        off = landed_height(outfit.body, word, outfit.lift) - bottom.hem.cm
        if off < 0.5:
            continue
        change: dict[str, Any] = {"hem": word, "hem_cm": None, "length_cm": None}
        length = bottom.piece.figure("length_cm")
        if length is not None:
            change = {"length_cm": round(length - off, 1)}
        text = Sentence.of(f"Hem it by {{off}}, to end {said(word)}.", off=off)
        yield Change(bottom.piece.slot, change, text, TAILOR)


def _layer_lengths(outfit: Outfit) -> Iterator[Change]:
    """A layer like it that ends elsewhere."""
    layer = outfit.outer
    if layer is None:
        return
    for word in ("waist", "high_hip", "seat", "above_knee", "lower_calf"):
        text = Sentence.of(f"A {said(layer.piece.kind)} that ends at the {said(word)}.")
        yield Change("layer", {"hem": word, "hem_cm": None, "length_cm": None}, text, OTHER_PIECE)


def _legs(outfit: Outfit) -> Iterator[Change]:
    bottom = outfit.bottom
    if bottom is None or bottom.piece.slot != "bottom" or not bottom.has_legs:
        return
    if bottom.inside:
        yield Change("bottom", {"worn": "outside"}, Sentence.of("Wear the leg outside the shaft."), FREE)
    elif outfit.shoes.cover.cm > outfit.body.height("calf") + outfit.lift:
        yield Change("bottom", {"worn": "inside"}, Sentence.of("Wear the leg inside the shaft."), FREE)
    if not bottom.cuffed and bottom.stack and bottom.piece.figure("inseam_cm") is not None:
        text = Sentence.of("Cuff it once ({cuff}).", cuff=CUFF_CM)
        yield Change("bottom", {"cuffed": True}, text, FREE)


def _shoes(outfit: Outfit, aims: Aims) -> Iterator[Change]:
    shoes, bottom = outfit.shoes, outfit.bottom
    if shoes.piece is None:
        return
    if shoes.piece.flag("ankle_strap"):
        yield Change("shoes", {"ankle_strap": False}, Sentence.of("A shoe like it without the strap."), SWAP_SHOE)
    if shoes.toe != "pointed":
        yield Change("shoes", {"toe": "pointed"}, Sentence.of("A shoe like it with a pointed toe."), SWAP_SHOE)
    for bulk, text in (
        ("medium", "A plainer, lighter sole."),
        ("dainty", "A slim, light shoe."),
        ("chunky", "A heavier sole."),
    ):
        if bulk != shoes.bulk:
            yield Change("shoes", {"bulk": bulk}, Sentence.of(text), SWAP_SHOE)
    if shoes.is_boot and shoes.bulk != "dainty":
        change = {"bulk": "dainty", "shaft": "close"}
        yield Change("shoes", change, Sentence.of("A slim boot with a close shaft."), SWAP_SHOE)
    if bottom and bottom.piece.figure("inseam_cm") is not None and bottom.falls_to < 3 and "heels" not in aims.wont:
        heel = shoes.heel + 3.0 - bottom.falls_to
        if bottom.is_wide_hemmed and heel <= HEEL_CM["high"]:
            yield Change(
                "shoes",
                {"heel_cm": round(heel, 1)},
                Sentence.of("Wear it with a heel of {heel}.", heel=heel),
                SWAP_SHOE,
            )
    if "heels" not in aims.wont and shoes.rise_of_foot < 2.5:
        yield Change(
            "shoes", {"heel": "kitten"}, Sentence.of("A small heel of {heel}.", heel=HEEL_CM["kitten"]), SWAP_SHOE
        )


def _hems(outfit: Outfit) -> Iterator[Change]:
    """Shorten only: a tailor can always take off, seldom let down."""
    bottom = outfit.bottom
    if bottom is None or bottom.inside or not bottom.has_legs or bottom.piece.slot != "bottom":
        return
    words = ("foot",) if bottom.is_wide_hemmed else ("ankle_bone", "ankle")
    for word in words:
        target = landed_height(outfit.body, word, outfit.lift)
        off = target - bottom.falls_to
        if off < 0.5:
            continue
        text = Sentence.of(
            f"Hem it by {{off}}, to {'skim the foot' if word == 'foot' else f'the {said(word)}'}.", off=off
        )
        if bottom.piece.figure("inseam_cm") is not None:
            change: dict[str, Any] = {"inseam_cm": round(bottom.inseam - off, 1), "hem": None}
        else:
            change = {"hem": word, "hem_cm": None}
        yield Change("bottom", change, text, TAILOR)


def _others(outfit: Outfit, subjects: set[str]) -> Iterator[Change]:
    """Another piece: the nearest fit, length, rise or cut that would do."""
    top, bottom = outfit.top, outfit.bottom
    if top and top.piece.slot != "top":
        top = None
    if top and "volume" in subjects:
        for fit in ("skimming", "relaxed", "fitted"):
            if fit != top.fit:
                yield Change("top", {"fit": fit}, Sentence.of(f"A {fit} {said(top.piece.kind)} instead."), OTHER_PIECE)
    if top and "edges" in subjects:
        for hem in ("high_hip", "seat", "waist"):
            text = Sentence.of(f"A {said(top.piece.kind)} that ends at the {said(hem)}.")
            yield Change("top", {"hem": hem, "length_cm": None}, text, OTHER_PIECE)
    if bottom is None or not bottom.has_legs or bottom.piece.slot != "bottom":
        return
    if "leg" in subjects:
        # What to shop for: the least opening, with a knee as wide, that hangs straight on this calf.
        least = math.ceil(outfit.body.girth("calf") + HANGS_STRAIGHT)
        text = Sentence.of(f"{said(bottom.cut).capitalize()} with a leg opening of {{least}} or more.", least=least)
        yield Change("bottom", {"leg_opening_cm": least, "knee_cm": None}, text, OTHER_PIECE)
    if "length" in subjects and bottom.hem_at in ON_LOWER_LEG:
        # What is too short cannot be let down.
        longer = bottom.hem.cm - landed_height(outfit.body, "ankle", outfit.lift)
        text = Sentence.of("A pair that is {longer} longer and ends at the ankle.", longer=longer)
        yield Change("bottom", {"hem": "ankle", "inseam_cm": None, "hem_cm": None}, text, OTHER_PIECE)
    if "rise" in subjects:
        for rise in ("mid", "high"):
            text = Sentence.of(f"A {rise} rise on this body.")
            yield Change("bottom", {"rise": rise, "front_rise_cm": None}, text, OTHER_PIECE)
    for cut in ("straight", "slim_straight", "slim"):
        if cut != bottom.cut:
            # Leggings have no cut: what is like them and has one is trousers.
            kind = "trousers" if bottom.piece.kind == "leggings" else bottom.piece.kind
            change = {"is": kind, "cut": cut, "fit": None, "leg_opening_cm": None, "knee_cm": None}
            if bottom.is_wide_hemmed:
                # A closer leg falls to the ankle, not to the floor.
                change |= {"hem": "ankle", "inseam_cm": None}
            yield Change("bottom", change, Sentence.of(f"{said(cut).capitalize()} {said(kind)} instead."), OTHER_PIECE)
    if bottom.hem_at in ("mid_calf", "lower_calf", "below_knee"):
        text = Sentence.of(f"{said(bottom.piece.kind).capitalize()} that reach the ankle.")
        yield Change("bottom", {"hem": "ankle", "inseam_cm": None}, text, OTHER_PIECE)
