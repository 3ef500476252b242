"""Where necklines, sleeves and what is worn besides end: the tables that landing and drawing read."""

from __future__ import annotations

from craft.body import Body
from craft.cloth import Piece
from craft.cloth.kinds import KIND
from craft.facts import fact

#: Depth of a neckline below the high point of the shoulder, cm (W).
NECK_DEPTH = {
    "crew": 9.0,
    "boat": 8.0,
    "polo": 1.0,
    "closed_collar": 5.0,
    "open_collar": 15.0,
    "square": 15.0,
    "scoop": 17.0,
    "v": 19.0,
    "halter": 6.0,
    "one_shoulder": 14.0,
}
#: Where a sleeve word ends, as a share of the way from the shoulder's end to the wrist.
SLEEVE_SHARE = {"short": 0.33, "elbow": 0.56, "three_quarter": 0.78, "long": 1.0}
#: Layers that are cut open at the neck, though they are closed.
CUT_OPEN = ("blazer", "waistcoat", "kimono", "cardigan", "jacket")
BELT_CM = {"thin": 2.0, "medium": 3.5, "wide": 6.0}
#: Length of a necklace where only its drop is said, cm: to the collar bones, to below the bust.
NECKLACE_CM = {"short": 45.0, "long": 85.0}
#: How far the high point of the shoulder lies above its end, where a sleeve begins, cm (W).
SHOULDER_FALLS = 4.0


@fact
def neck_of(piece: Piece) -> str:
    """The neckline of a piece: the one said, or its kind's usual one.

    >>> neck_of(Piece.of({"is": "tee"})), neck_of(Piece.of({"is": "blazer"}))
    ('crew', 'v')
    """
    return piece.word("neck") or KIND[piece.kind].neck or ("v" if piece.slot == "layer" else "crew")


@fact
def sleeve_of(piece: Piece) -> str:
    """The sleeve of a piece: the one said, or its kind's usual one.

    >>> sleeve_of(Piece.of({"is": "shirt"})), sleeve_of(Piece.of({"is": "dungarees"}))
    ('long', 'none')
    """
    return piece.word("sleeve") or KIND[piece.kind].sleeve or "none"


@fact
def leaves_neck(piece: Piece) -> bool:
    """Whether a piece is a layer that leaves the neck to what is beneath it: it is open, or cut open there.

    >>> leaves_neck(Piece.of({"is": "blazer"})), leaves_neck(Piece.of({"is": "coat"}))
    (True, False)
    """
    return piece.slot == "layer" and (piece.flag("open") or piece.kind in CUT_OPEN)


def neck_depth(piece: Piece, neck: str) -> float:
    """How deep a neckline is, cm below the high point of the shoulder: as measured, or as its word says.

    >>> neck_depth(Piece.of({"is": "tee", "neck_depth_cm": 12}), "crew"), neck_depth(Piece.of({"is": "tee"}), "crew")
    (12.0, 9.0)
    """
    measured = piece.figure("neck_depth_cm")
    return NECK_DEPTH[neck] if measured is None else measured


def sleeve_share(body: Body, piece: Piece, sleeve: str) -> float:
    """How far down the arm a sleeve ends, as a share of the arm, at most the whole: as measured, or as its word says."""
    measured = piece.figure("sleeve_cm")
    return SLEEVE_SHARE.get(sleeve, 0.0) if measured is None else min(1.0, measured / body.lengths["arm_length"].cm)
