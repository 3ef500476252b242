"""Necklines: open ones lengthen, closed ones shorten and broaden; a pendant makes a V."""

from __future__ import annotations

from collections.abc import Iterator

from craft.judge.aims import Aims
from craft.judge.finding import Figure, Remark, con, pro
from craft.judge.rule import Subject
from craft.look import Outfit

rule = Subject("neck", "Focal points (11)", sees_colour=False)
UPPER = ("top", "one_piece")

#: Necklines that open the front, deep or wide; and those that close it.
OPEN = ("v", "scoop", "open_collar", "square", "boat", "one_shoulder")
CLOSED = ("crew", "polo", "closed_collar", "halter")
#: Those that open by their width alone do so by less (W).
WIDE, BY_WIDTH = ("boat", "one_shoulder"), 0.6
#: A bust this much fuller than the girth under it counts as full (cm over cm; brief, section 11: the reference body's is 1.17).
FULL_BUST = 1.21


def full_bust(outfit: Outfit, aims: Aims) -> bool:
    """Whether the bust is full, or to be softened."""
    return "bust" in aims.soften or _fullness(outfit) >= FULL_BUST


def _fullness(outfit: Outfit) -> float:
    return outfit.body.girth("bust") / outfit.body.girth("under_bust")


def _has_pendant(outfit: Outfit) -> bool:
    necklace = outfit.extras.get("necklace")
    return necklace is not None and necklace.word("drop") == "long"


@rule("neck.pendant", about="necklace", looks_at=(*UPPER, "necklace"), reads=("heel",))
def pendant(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A long pendant draws a V."""
    top = outfit.top
    if top is None or not _has_pendant(outfit):
        return
    weight = 0.3 if full_bust(outfit, aims) or top.neck in CLOSED else 0.2
    held, where = Figure("bust over under-bust", _fullness(outfit), FULL_BUST, "share"), ("bust", _at(outfit))
    text, also = "The long pendant draws a V on the front.", ("lengthening_line",)
    yield pro(weight, "neck_lengthens", where, "Pendant makes a V", text, held, also=also)


def _at(outfit: Outfit) -> float:
    return outfit.at("shoulder") - 10.0


@rule("neck.line", looks_at=(*UPPER, "necklace"), reads=("heel",))
def line(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """What the neckline does to neck and bust."""
    top = outfit.top
    if top is None or _has_pendant(outfit):
        return
    named, wraps = top.piece.word("neck") is not None, top.piece.word("cut") == "wrap"
    opens = top.neck in OPEN or wraps
    if not opens and (not named or top.neck not in CLOSED):
        return
    full, at = full_bust(outfit, aims), _at(outfit)
    held = Figure("bust over under-bust", _fullness(outfit), FULL_BUST, "share")
    if opens:
        weight = (0.3 if full else 0.12) if named or wraps else 0.05
        weight *= BY_WIDTH if top.neck in WIDE and not wraps else 1.0
        what = "wrap" if wraps else top.neck.replace("_", " ")
        text = f"The {what} opens the neck and breaks the plain front."
        yield pro(weight, "neck_lengthens", ("bust", at), "Open neck lengthens", text, held)
    elif full and outfit.one_piece is None:
        text = "A closed neck over a full bust shortens the neck and broadens the front."
        yield con(0.3, "neck_shortens", ("bust", at), "Closed neck shortens", text, held)
    elif outfit.shape in ("oval", "inverted_triangle"):
        text = "A closed neck broadens the upper half."
        yield con(0.15, "neck_shortens", ("shoulders", at), "Closed neck broadens", text, held)


@rule("neck.buttoned", looks_at=("top", "bottom", "one_piece"), reads=("heel",))
def buttoned(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Fully buttoned up and covered reads stiff; a sleeve that is rolled or pushed up shows the wrist."""
    top = outfit.top
    if top is None:
        return
    at, held = outfit.at("shoulder") - 4.0, Figure("volume of the top", top.volume, 4.0, "scale")
    shirt = top.piece.kind in ("shirt", "blouse")
    if top.sleeve != "none" and any(top.piece.flag(flag) for flag in ("rolled", "pushed", "one_rolled")):
        text = "The sleeve is up and shows the wrist, a narrow place."
        yield pro(0.1, "buttoned_up", ("arm", at), "Sleeve up", text, held)
    elif shirt and top.neck == "closed_collar" and top.sleeve == "long":
        text = "Buttoned to the neck and down to the wrist it reads stiff: open the collar, roll the sleeve."
        yield con(0.3, "buttoned_up", ("neck", at), "Buttoned up", text, held)
