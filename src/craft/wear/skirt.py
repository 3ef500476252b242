"""Skirts, and the skirt part of a dress, worn: where they sit, how much they stand off, where they end."""

from __future__ import annotations

from functools import lru_cache
from typing import NamedTuple

from craft.body import Body
from craft.cloth import Piece
from craft.cloth.piece import colour_of
from craft.schools import Schools
from craft.wear.bottom import WornBottom, rise_word
from craft.wear.landing import Landing
from craft.wear.length import band_of, hem_of


class SkirtRow(NamedTuple):
    """A cut of skirt: its volume on the scale of ease words (0 to 4), and where it ends when nothing is said."""

    volume: float
    hem: str


#: W, after the cuts' usual sweep over the hip.
SKIRT_CUTS: dict[str, SkirtRow] = {
    "pencil": SkirtRow(0.8, "below_knee"),
    "sheath": SkirtRow(0.9, "knee"),
    "ruched": SkirtRow(0.9, "knee"),
    "slip": SkirtRow(1.6, "lower_calf"),
    "wrap": SkirtRow(1.9, "below_knee"),
    "shift": SkirtRow(2.0, "above_knee"),
    "empire": SkirtRow(2.2, "knee"),
    "a_line": SkirtRow(2.3, "knee"),
    "pleated": SkirtRow(2.5, "lower_calf"),
}
PLAIN = SkirtRow(1.7, "knee")
#: How a fit word moves the volume.
BY_FIT = {"tight": -0.5, "fitted": -0.3, "skimming": 0.0, "relaxed": 0.6, "oversized": 1.2}
#: A hem this much wider than the hip swings: the front opening of a skirt as ease over the calf, cm (W).
ROOM_AT_CALF = 40.0


@lru_cache(maxsize=4096)
def wear_skirt(body: Body, piece: Piece, lift: float, schools: Schools) -> WornBottom:
    """Put a skirt on a body in shoes of this lift; of a dress, the part below the waist.

    >>> from craft.body import Measures
    >>> body = Body.of(Measures.of({"stature": 165, "calf_height": 31.5}))
    >>> wear_skirt(body, Piece.of({"is": "skirt", "hem": "mid_calf"}), 2.0, Schools()).hem.cm
    33.5
    """
    row = SKIRT_CUTS.get(piece.word("cut") or "", PLAIN)
    sits = band_of(body, piece)
    band = Landing.on(body, sits + lift, "waist_height", described=piece.figure("waist_cm") is None)
    hem = hem_of(body, piece, lift, row.hem)
    from_navel = sits - body.height("navel")
    calf = body.girth("calf")
    opening = calf + ROOM_AT_CALF
    return WornBottom(
        piece=piece,
        cut=piece.word("cut") or "plain",
        waistband=band,
        from_navel=from_navel,
        rise=rise_word(from_navel, schools.position("rise_naming")),
        front_rise=body.rise.along(sits),
        inseam=0.0,
        fork=body.height("crotch") + lift,
        hem=hem,
        hem_at=hem.at(body, lift),
        stack=0.0,
        opening=opening,
        leg=((band.cm, body.girth("hip")), (hem.cm, opening)),
        thigh_ease=ROOM_AT_CALF / 2,
        knee_ease=ROOM_AT_CALF / 2,
        calf_ease=ROOM_AT_CALF,
        volume=_volume(body, piece, row),
        reads_as=piece.word("cut") or "plain",
        inside=False,
        cuffed=False,
        colour=colour_of(piece),
        has_legs=False,
        is_wide_hemmed=False,
    )


def _volume(body: Body, piece: Piece, row: SkirtRow) -> float:
    """Volume from the sweep where it was measured, else from cut and fit."""
    sweep = piece.figure("hem_sweep_cm")
    if sweep is not None:
        over = sweep / body.girth("hip") - 1
        return max(0.3, min(4.0, 1.2 + 3.2 * over))
    return max(0.2, min(4.0, row.volume + BY_FIT[piece.word("fit") or "skimming"]))
