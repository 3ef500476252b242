"""Beneath: what nobody sees and everybody sees the work of."""

from __future__ import annotations

from collections.abc import Iterator

from craft.judge.aims import Aims
from craft.judge.finding import Figure, Remark, con, pro, warn
from craft.judge.neck import FULL_BUST, full_bust
from craft.judge.rule import Subject
from craft.look import Outfit
from craft.look.readings import BASE
from craft.units import Sentence
from craft.wear import wear_top
from craft.wear.openings import neck_of

rule = Subject("beneath", "Front, back and beneath (23)", sees_colour=False)

#: A hem beneath shows from so much, and up to so much it is meant, cm (W).
SHOWS_FROM, SHOWS_TO = 1.5, 8.0


@rule("beneath.bra", looks_at=("bra",), reads=("heel",))
def bra(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A bust that is lifted lets the waist be seen; one that is not runs into the middle."""
    piece = outfit.extras.get("bra")
    lift = piece.word("lift") if piece else None
    if lift is None:
        return
    full, wanted = full_bust(outfit, aims), 0.1 if aims.wanted("define_waist") else 0.0
    fullness = outfit.body.girth("bust") / outfit.body.girth("under_bust")
    held, where = Figure("bust over under-bust", fullness, FULL_BUST, "share"), ("bust", outfit.at("bust"))
    if lift == "lifted":
        weight, also = (0.25 if full else 0.12) + wanted, ("waist_marked",)
        text = "Lifted, the bust leaves room above the waist, and the waist appears."
        yield pro(weight, "support", where, "Lifted: the waist appears", text, held, also=also)
    elif full:
        text = "Unlifted, a full bust runs into the middle: a right size with a firm band lifts it."
        yield con(0.2 + wanted, "support", where, "Bust rests on the middle", text, held, also=("waist_lost",))


@rule("beneath.collar", looks_at=("top",), reads=("heel",))
def collar(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A collar that shows at the neck of a knit finishes it."""
    tops = outfit.look.all("top")
    if len(tops) < 2 or tops[-1].kind not in ("knit", "sweatshirt"):
        return
    shows = neck_of(tops[0]) in ("open_collar", "closed_collar") and neck_of(tops[-1]) in ("crew", "v", "scoop")
    if shows:
        text = "The collar of the shirt shows at the neck and finishes the knit."
        yield pro(0.12, "third_piece", ("neck", outfit.at("shoulder")), "Collar shows", text)


@rule("beneath.hem", looks_at=BASE, reads=("heel",))
def hem(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A hem that shows a little below the top over it is meant; one that hangs far out is a second edge."""
    tops, top = outfit.look.all("top"), outfit.top
    if len(tops) < 2 or top is None or top.tucked or top.piece == tops[0]:
        return
    below = top.hem.cm - wear_top(outfit.body, tops[0], outfit.lift, None).hem.cm
    held, where = Figure("hem below the one over it", below, SHOWS_TO), ("hip", top.hem.cm)
    if SHOWS_FROM <= below <= SHOWS_TO:
        text = Sentence.of("{by} of the hem beneath shows: two lengths that are meant.", by=below)
        yield pro(0.08, "third_piece", where, "Hem shows beneath", text, held)
    elif below > SHOWS_TO:
        text = Sentence.of("The hem beneath hangs {by} out: two edges where one would do.", by=below)
        yield con(0.2, "chopped", where, "Hangs out beneath", text, held)


@rule("beneath.smooths", about="smoothing_shorts", looks_at=("smoothing_shorts", *BASE), reads=("heel",))
def smooths(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A smoothing layer under bias satin or clinging cloth keeps lines from showing: by choice."""
    bottom = outfit.bottom
    if "smoothing_shorts" not in outfit.extras or bottom is None:
        return
    if bottom.piece.fabric & {"satin", "clinging", "thin", "sheer"}:
        text = "Under cloth that lies on the body a smooth layer keeps lines from showing."
        yield pro(0.15, "skims", ("hips", outfit.at("hip")), "Smooth beneath", text)


@rule("beneath.caution", looks_at=("smoothing_shorts",), reads=("heel",), source="Cautions (16)")
def caution(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Smoothing layers are a choice, with their cautions."""
    if "smoothing_shorts" in outfit.extras:
        text = (
            "By choice only: a size up, few hours; stop at numbness, breathlessness or marks, "
            "and ask a doctor if they stay."
        )
        yield warn("support", ("hips", outfit.at("hip")), "Smoothing layer", text)
