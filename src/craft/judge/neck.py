"""Necklines: open ones lengthen, closed ones shorten and broaden; a pendant makes a V."""

from __future__ import annotations

from collections.abc import Iterator

from craft.judge.aims import Aims
from craft.judge.finding import Figure, Finding
from craft.look import Outfit
from craft.units import Sentence

OPEN = ("v", "scoop", "open_collar", "square")
CLOSED = ("crew", "polo", "closed_collar", "boat", "halter")
#: A bust this much fuller than the girth under it counts as full (cm over cm; brief, section 11: the reference body's is 1.17).
FULL_BUST = 1.21


def full_bust(outfit: Outfit, aims: Aims) -> bool:
    """Whether the bust is full, or to be softened."""
    return "bust" in aims.soften or outfit.body.girth("bust") / outfit.body.girth("under_bust") >= FULL_BUST


def line(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """What the neckline does to neck and bust."""
    top = outfit.top
    if top is None:
        return
    at = outfit.body.height("shoulder") + outfit.lift - 10.0
    full = full_bust(outfit, aims)
    figure = Figure(
        "bust over under-bust", outfit.body.girth("bust") / outfit.body.girth("under_bust"), FULL_BUST, "share"
    )
    wraps = top.piece.word("cut") == "wrap"
    pendant = outfit.extras.get("necklace")
    if pendant is not None and pendant.word("drop") == "long":
        text = Sentence.of("The long pendant draws a V on the front.")
        yield Finding(
            "neck.pendant", "neck_lengthens", "for", 0.3 if full or top.neck in CLOSED else 0.2, "bust", at, figure,
            "Pendant makes a V", text, None, ("lengthening_line",),
        )  # fmt: skip
    elif top.neck in OPEN or wraps:
        text = Sentence.of(
            f"The {'wrap' if wraps else top.neck.replace('_', ' ')} opens the neck and breaks the plain front."
        )
        said = top.piece.word("neck") is not None or wraps
        weight = (0.3 if full else 0.12) if said else 0.05
        yield Finding("neck.line", "neck_lengthens", "for", weight, "bust", at, figure, "Open neck lengthens", text)
    elif top.neck in CLOSED and full and top.piece.word("neck") is not None and outfit.one_piece is None:
        text = Sentence.of("A closed neck over a full bust shortens the neck and broadens the front.")
        yield Finding("neck.line", "neck_shortens", "against", 0.3, "bust", at, figure, "Closed neck shortens", text)
    elif top.neck in CLOSED and top.piece.word("neck") is not None and outfit.shape in ("oval", "inverted_triangle"):
        text = Sentence.of("A closed neck broadens the upper half.")
        yield Finding(
            "neck.line", "neck_shortens", "against", 0.15, "shoulders", at, figure, "Closed neck broadens", text
        )


def buttoned(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """Fully buttoned up and covered reads stiff."""
    top = outfit.top
    if top is None or top.piece.kind not in ("shirt", "blouse"):
        return
    at = outfit.body.height("shoulder") + outfit.lift - 4.0
    rolled = top.piece.flag("rolled")
    figure = Figure("volume of the top", top.volume, 4.0, "scale")
    if top.neck == "closed_collar" and top.sleeve == "long" and not rolled:
        text = Sentence.of(
            "Buttoned to the neck and down to the wrist it reads stiff: open the collar, roll the sleeve."
        )
        yield Finding("neck.buttoned", "buttoned_up", "against", 0.3, "neck", at, figure, "Buttoned up", text)
    elif rolled:
        text = Sentence.of("The rolled sleeve shows the wrist, a narrow place.")
        yield Finding("neck.buttoned", "buttoned_up", "for", 0.1, "arm", at, figure, "Sleeve rolled", text)
