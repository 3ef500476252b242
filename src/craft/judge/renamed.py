"""Ids that rules were known by before they declared themselves: what was muted or liked under one is still meant.

Used by the studio's migration and by the reading of client files that were written earlier.
"""

from __future__ import annotations

from collections.abc import Iterable

#: What was muted under a function's name, by the ids of the rules that it has become.
MUTED: dict[str, tuple[str, ...]] = {
    "rise.label_against_truth": ("rise.label",),
    "rise.full_middle": ("rise.middle",),
    "length.trailing": ("length.trailing", "length.trip_hazard"),
    "length.hem_place": ("length.place",),
    "length.floor_length": ("length.floor",),
    "length.cuffed_ankle": ("length.ankle",),
    "volume.waist": ("volume.waist", "volume.waist_lost"),
    "edges.top_hem": ("edges.top_hem", "edges.covers"),
    "edges.leg_gap": ("edges.gap",),
    "feet.weight": ("feet.weight", "feet.balance"),
    "feet.heel": ("feet.heel", "feet.dated"),
    "feet.limits": ("feet.limit",),
    "layers.third_piece": ("layers.third",),
    "layers.hem": ("layers.hem", "layers.covers"),
    "layers.under_short": ("layers.under",),
    "layers.sleeves": ("layers.arms",),
    "layers.shapeless": ("layers.waist",),
    "cloth.bottom_clings": ("cloth.sheer", "cloth.thin", "cloth.skims"),
    "cloth.upper_clings": ("cloth.drapes", "cloth.clings", "cloth.skims_middle"),
    "cloth.upper_shows": ("cloth.shows",),
    "cloth.skims_hips": ("cloth.hips",),
    "colour.recede": ("colour.recedes", "colour.advances"),
    "colour.foot": ("feet.colour", "colour.again"),
    "colour.bright": ("feet.bright",),
    "colour.near_tones": ("colour.near",),
    "colour.near_face": ("colour.face",),
    "pattern.stripes_across": ("pattern.across",),
    "pattern.stripes_down": ("pattern.down",),
    "pattern.draws": ("attention.pattern", "attention.fade"),
    "neck.line": ("neck.line", "neck.pendant"),
    "attention.jewellery": ("attention.face",),
    "attention.belt": ("belt.width", "belt.marks", "attention.belt"),
    "attention.assets": ("attention.shows",),
    "attention.limits": ("limits.tight", "limits.short", "limits.heels"),
    "balance.shape": ("balance.shape", "balance.shoulders_lead"),
    "register.code": ("register.code", "register.before", "register.black"),
    "register.weather": ("register.weather", "register.rain", "register.wet_hem"),
    "swim.pattern": (
        *("swim.stripes", "swim.print", "swim.neck", "swim.up", "swim.hip", "swim.shoulder", "swim.centre"),
    ),
}
#: What was liked in spite of a rule that has been parted in two.
LIKED: dict[str, tuple[str, ...]] = {
    "volume.waist": ("volume.waist", "volume.waist_lost"),
    "feet.weight": ("feet.weight", "feet.balance"),
    "balance.shape": ("balance.shape", "balance.shoulders_lead"),
}


def muted_now(ids: Iterable[str]) -> list[str]:
    """The rules that are muted by ids of before, in order and once each; ids of today stay.

    >>> muted_now(["colour.foot", "rise.rides_up"])
    ['colour.again', 'feet.colour', 'rise.rides_up']
    """
    return sorted({now for was in ids for now in MUTED.get(was, (was,))})


def liked_now(ids: Iterable[str]) -> list[str]:
    """The rules that are liked all the same by ids of before.

    >>> liked_now(["feet.weight", "edges.gap"])
    ['feet.weight', 'feet.balance', 'edges.gap']
    """
    return list(dict.fromkeys(now for was in ids for now in LIKED.get(was, (was,))))
