"""How a tuck is made: a few steps, each drawn as this top on this body."""

from __future__ import annotations

from dataclasses import dataclass

from craft.draw.garments import draw_dressed
from craft.draw.shapes import Point, Shape
from craft.look import Outfit, compose

#: How much is shown above the waistband and below the hem, cm.
ABOVE, BELOW = 24.0, 8.0


@dataclass(frozen=True, slots=True)
class TuckStep:
    """What to do, how it then looks, and where the hand is. Points in cm, x from the midline, y above the ground.

    `top` and `bottom` bound the part that matters; `behind` says that it is seen from the back.
    """

    text: str
    shapes: tuple[Shape, ...]
    hand: Point
    top: float
    bottom: float
    behind: bool = False


@dataclass(frozen=True, slots=True)
class _Act:
    """A step before it is drawn: the tuck as far as it is made, and the hand, in half breadths and towards the hem."""

    text: str
    so_far: str
    across: float = 0.0
    behind: bool = False


_LAY = "Open the waistband’s button and lay the hem flat all round."
_CLOSE = "Close the button, smooth the front, and look at the back."
#: The order in which practised hands do it (brief, section 5).
_ACTS: dict[str, tuple[_Act, ...]] = {
    "full": (
        _Act(_LAY, "none"),
        _Act("Tuck the front flat from the middle outwards, a placket in line with the fly.", "front"),
        _Act("Take the slack to the side seams and fold it back, then the back in.", "full", 0.9),
        _Act(_CLOSE, "full", behind=True),
    ),
    "bloused": (
        _Act(_LAY, "none"),
        _Act("Tuck all of it in, flat.", "full"),
        _Act("Raise both arms once: the cloth eases out over the band.", "bloused", 0.6),
        _Act("Even the fold out, and mind the back: it blouses most there.", "bloused", behind=True),
    ),
    "front": (
        _Act("Take the middle of the hem, as wide as the two front belt loops.", "none"),
        _Act("Push it straight down behind the band and let the sides fall.", "front"),
        _Act("Ease the fold over the band a little, so that it does not pull.", "front", 0.5),
    ),
    "half": (
        _Act("Open the lowest buttons; take one front, from the middle to its side seam.", "none", 0.3),
        _Act("Tuck that front flat, the deepest at the middle.", "half", 0.3),
        _Act("Let the other front hang, and draw the slanting line smooth.", "half", -0.5),
    ),
    "side": (
        _Act("Take a hand’s breadth of the hem at one side seam.", "none", 0.9),
        _Act("Fold it under and push it down at the hip only.", "side", 0.9),
        _Act("Let front and back fall from there without a line across.", "side", -0.3),
    ),
    "back": (
        _Act("Gather the back hem between the side seams.", "none", behind=True),
        _Act("Tuck it flat into the band behind; the front stays free.", "full", behind=True),
        _Act("From the front nothing shows: the jacket falls over it.", "back"),
    ),
    "tail_fold": (
        _Act("Take the long back hem with both hands.", "none", behind=True),
        _Act("Fold it up inside on itself until it ends above the seat.", "tail_fold", behind=True),
        _Act("Smooth it so that no ridge shows from the side.", "tail_fold"),
    ),
    "knot": (
        _Act("Open the lowest buttons, or gather the hem at the middle.", "none"),
        _Act("Tie the two ends once, just at the band.", "knot"),
        _Act("Tuck the ends under the knot; the back stays down.", "knot", 0.2),
        _Act("To show more of the waist, fold the knot and the back under.", "knot", behind=True),
    ),
    "lifted": (
        _Act(_LAY, "none"),
        _Act("Tuck it flat all round, slack folded back at the side seams.", "full", 0.9),
        _Act("Behind, lift the tucked cloth up above the seat with both palms.", "lifted", behind=True),
        _Act("Close the button: no ridge shows under the cloth.", "lifted", behind=True),
    ),
    "front_and_tail": (
        _Act("Open the lowest buttons; tuck one front flat, its placket in line with the fly.", "half", 0.2),
        _Act("Let the other front hang, and ease the tucked one out a little.", "half", -0.5),
        _Act("Behind, fold the tail up inside until it ends above the seat.", "front_and_tail", behind=True),
    ),
    "gathered": (
        _Act("From beneath, take the hem together at one side seam.", "none", 0.9),
        _Act("Wind a hair elastic round it, close to the hem, and let it lie inside.", "gathered", 0.9),
        _Act("Pull the folds even; the other side stays smooth.", "gathered", -0.5),
    ),
    "bra": (
        _Act("Lift the hem all round, the bulk of the knit in both hands.", "none"),
        _Act("Slip the hem up under the band of the bra, the front first.", "front"),
        _Act("Let the knit fall over it to the waistband, even all round.", "bra", 0.6),
    ),
}


def tuck_steps(outfit: Outfit) -> tuple[TuckStep, ...]:
    """The steps of the tuck that the top of an outfit wears; none where nothing is tucked.

    >>> from craft.body import Body, Measures
    >>> from craft.look import Look
    >>> worn = Look.of([{"is": "jeans"}, {"is": "tee", "tuck": "front"}])
    >>> [step.behind for step in tuck_steps(compose(Body.of(Measures.of({"stature": 165})), worn))]
    [False, False, False]
    """
    top, bottom = outfit.top, outfit.bottom
    if top is None or bottom is None or outfit.look.piece("top") is None:
        return ()
    band = bottom.waistband.cm
    half = outfit.body.half_breadth(band - outfit.lift)
    return tuple(
        TuckStep(
            text=act.text,
            shapes=_so_far(outfit, act),
            hand=(act.across * half, band - 2.0),
            top=band + ABOVE,
            bottom=min(band - 14.0, top.hem.cm) - BELOW,
            behind=act.behind,
        )
        for act in _ACTS.get(top.tuck, ())
    )


def _so_far(outfit: Outfit, act: _Act) -> tuple[Shape, ...]:
    """The figure, bottom and top with the tuck as far as it is made; what is worn over them is left off."""
    look = outfit.look.changed("top", tuck=act.so_far, **({"neck": "crew"} if act.behind else {}))
    made = compose(outfit.body, look, outfit.schools)
    return tuple(shape for shape in draw_dressed(made) if shape.slot in ("body", "top", "bottom"))
