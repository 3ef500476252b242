"""Balance of the whole: what is eased or light above against below, on a shape that leads with one of them."""

from __future__ import annotations

from collections.abc import Iterator

from craft.cloth import Piece
from craft.cloth.colour import lightness
from craft.judge.aims import Aims
from craft.judge.finding import Figure, Remark, con, pro
from craft.judge.rule import Client, Subject
from craft.look import Outfit
from craft.look.readings import BASE
from craft.wear import WornBottom

rule = Subject("balance", "Reading the body (3)", sees_colour=False)

#: Necklines that draw a line from shoulder to shoulder, and one that cuts the shoulder away.
BROADENS, NARROWS = ("boat", "one_shoulder", "square"), ("halter",)
#: One half so much lighter than the other comes forward (OKLCH lightness, W).
LIGHTER = 0.3
#: By how much more it counts that the lower half is lighter and fuller at once (W).
BOTH_WAYS = 0.1
#: Volumes apart by this much move weight from one half of the figure to the other; a top at most the second full is
#: skin-tight (0 to 4).
MOVES, TIGHT_TOP = 0.6, 0.8


def _two_halves(outfit: Outfit) -> WornBottom | None:
    """The bottom of a look that has two halves, each a piece of its own."""
    dressed = outfit.top is not None or outfit.layers
    return outfit.bottom if dressed and outfit.one_piece is None else None


def _wanted(aims: Aims) -> float:
    return 0.1 if aims.wanted("balance") else 0.0


@rule(
    "balance.shape",
    looks_at=(*BASE, "layer"),
    reads=("above", "heel"),
    schools=("hip_strategy",),
    speaks_to=lambda of: of.shape == "triangle" and of.schools.position("hip_strategy") == "cover",
)
def shape(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A triangle wants interest and ease above, in the school that covers hips."""
    bottom = _two_halves(outfit)
    if bottom is None:
        return
    apart = outfit.above - bottom.volume
    if apart >= MOVES:
        held, where = Figure("ease above less below", apart, MOVES, "scale"), ("whole", bottom.waistband.cm)
        text = "Ease above answers the hips: the halves balance."
        yield pro(0.25 + _wanted(aims), "balance_gained", where, "Balances the hips", text, held)


@rule(
    "balance.shoulders_lead",
    looks_at=(*BASE, "layer"),
    reads=("above", "heel"),
    speaks_to=lambda of: of.shape == "inverted_triangle",
)
def shoulders_lead(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """An inverted triangle wants ease and weight below, not a skin-tight top."""
    bottom = _two_halves(outfit)
    if bottom is not None and outfit.above <= TIGHT_TOP:
        held = Figure("ease above less below", outfit.above - bottom.volume, MOVES, "scale")
        text = "A skin-tight top makes the most of the shoulders, and nothing below answers."
        where = ("shoulders", bottom.waistband.cm)
        yield con(0.25 + _wanted(aims), "balance_gained", where, "Shoulders lead alone", text, held)


def asks_for_shoulders(of: Client) -> bool:
    """Whether shoulders are to be given: to a triangle, or as wanted; never where they are to be softened."""
    asks = of.shape == "triangle" or of.aims.wanted("broaden_shoulders")
    return asks and "shoulders" not in of.aims.soften


def gives_shoulders(piece: Piece) -> bool:
    """Whether sleeve or shoulder of a piece stand out: puffed, wide, padded, or scrunched above a knot at the waist."""
    tied = piece.word("tuck") == "knot" and (piece.flag("pushed") or piece.flag("rolled"))
    return piece.word("sleeve_shape") in ("puffed", "wide") or piece.flag("padded") or tied


def has_shoulders(of: Client) -> bool:
    """Whether shoulders lead, or are to be softened."""
    return of.shape == "inverted_triangle" or "shoulders" in of.aims.soften


@rule("balance.wide_shoulder", looks_at=("top", "one_piece", "layer"), reads=("heel",), speaks_to=has_shoulders)
def wide_shoulder(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Padding, a puffed or wide sleeve, a frill or a line from shoulder to shoulder broadens shoulders that lead."""
    worn = [layer.piece for layer in outfit.layers] + ([outfit.top.piece] if outfit.top else [])
    wide = next((piece for piece in worn if gives_shoulders(piece)), None)
    boat = outfit.top is not None and outfit.top.piece.word("neck") in ("boat", "square")
    if wide is not None or boat:
        what = "sleeve or shoulder" if wide is not None else "neckline"
        text = f"The {what} draws a line where the figure is broad already."
        where = ("shoulders", outfit.at("shoulder"))
        yield con(
            0.22 if wide is not None else 0.12,
            "widening_line",
            where,
            "Broadens the shoulders",
            text,
            also=("balance_gained",),
        )


@rule("balance.curve", looks_at=BASE, reads=("heel",), speaks_to=lambda of: of.shape == "rectangle")
def curve(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A bias cut, a wrap or a peplum adds a curve to a straight frame."""
    bottom, top = outfit.bottom, outfit.top
    bias = bottom is not None and bottom.cut in ("slip", "wrap")
    shaped = top is not None and top.piece.word("cut") in ("wrap", "peplum")
    if bias or shaped:
        text = "The cut follows waist and hip on the bias and adds a curve to a straight frame."
        yield pro(0.18, "balance_gained", ("waist", outfit.at("waist")), "Adds a curve", text, also=("waist_marked",))


@rule("balance.shoulders", looks_at=("top", "one_piece"), reads=("heel",), speaks_to=asks_for_shoulders)
def shoulders(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A wide neckline or cloth gathered at the bust gives breadth above to a figure that asks for it; a halter takes it away."""
    top = outfit.top
    if top is None:
        return
    gathered = top.piece.word("gathers") == "bust" and "bust" not in aims.soften
    gives = top.neck in BROADENS or gives_shoulders(top.piece) or top.piece.word("cut") == "ruffled" or gathered
    if not gives and top.neck not in NARROWS:
        return
    breadth, hip = outfit.body.quantity("shoulder_breadth").cm, outfit.body.quantity("hip_breadth").cm
    held, where = (
        Figure("shoulder over hip breadth", breadth / hip, 1.0, "share"),
        ("shoulders", outfit.at("shoulder") - 3.0),
    )
    wanted = 0.15 if aims.wanted("broaden_shoulders", "balance") else 0.0
    if gives:
        text = "The line runs from shoulder to shoulder and answers the hips."
        yield pro(0.2 + wanted, "balance_gained", where, "Broadens the shoulders", text, held)
    else:
        text = "A halter cuts the shoulders away, and the hips lead the more."
        yield con(0.15 + wanted, "balance_gained", where, "Narrows the shoulders", text, held)


@rule(
    "balance.light",
    looks_at=BASE,
    reads=("above", "heel"),
    speaks_to=lambda of: of.shape in ("triangle", "inverted_triangle"),
    sees_colour=True,
)
def light(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Lighter, or fuller, where the shape has less: above on a triangle, below on an inverted one."""
    top, bottom = outfit.top, outfit.bottom
    if top is None or bottom is None or outfit.one_piece is not None:
        return
    apart = lightness(top.colour) - lightness(bottom.colour)
    if outfit.shape == "triangle" and apart < LIGHTER:
        return
    held, where = Figure("lighter above by", apart, LIGHTER, "share"), ("whole", bottom.waistband.cm)
    if outfit.shape == "triangle":
        text = "Light above, dark below: what the shape has less of comes forward."
        yield pro(0.12 + _wanted(aims), "balance_gained", where, "Light above", text, held)
        return
    lighter, fuller = apart <= -LIGHTER, bottom.volume - outfit.above >= MOVES
    if lighter or fuller:
        text = "What is light or eased lies below, where the shape has less: the halves balance."
        weight = 0.15 + (BOTH_WAYS if lighter and fuller else 0.0) + _wanted(aims)
        yield pro(weight, "balance_gained", where, "Weight below", text, held)
