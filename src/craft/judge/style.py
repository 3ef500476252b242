"""Style: the client's own, in a few plain words, how far they will go, and what they never wear."""

from __future__ import annotations

from collections.abc import Callable, Iterator

from craft.cloth import Piece
from craft.cloth.colour import chroma
from craft.cloth.register import formality
from craft.cloth.words import said
from craft.facts import fact, most
from craft.judge.aims import Aims
from craft.judge.finding import Figure, Remark, con, pro
from craft.judge.limits import WONT
from craft.judge.rule import Subject
from craft.look import Outfit
from craft.look.readings import BASE, CLOTHES, SMALL

rule = Subject("style", "The talk before the tape (1)")

#: Detail from which a look is no longer plain, and from which it is bold; chroma from which a colour is (W).
PLAIN_TO, BOLD_FROM, BOLD_CHROMA = 0.5, 0.9, 0.13
#: Formality up to which a look is sporty, and from which it is not (0 to 4; W).
SPORTY_TO, NOT_SPORTY = 1.5, 2.8
#: How much a style word weighs for and against, and by how much more or less where the client keeps to what they wear, or
#: will go far (W).
FOR, AGAINST = 0.14, 0.16
REACHES = {"as_ever": 1.5, "a_step": 1.0, "far": 0.5}
#: Cues of another decade, and how many at once are a costume (W: the trade's own memory of them).
DECADES = {
    "fifties": frozenset({"cut pleated", "pattern small_print", "heel kitten", "pumps", "hat", "cut peplum"}),
    "seventies": frozenset(
        {"cut flare", "pattern large_print", "heel_shape platform", "cut ruffled", "sleeve_shape wide", "hat"}
    ),
    "eighties": frozenset(
        {"padded", "leggings", "sleeve_shape puffed", "cut skinny", "heel_shape stiletto", "pattern animal"}
    ),
}
COSTUME_FROM = 4
#: What is childish by itself; from this formality a piece beside it is grown up (0 to 4; W).
CHILDISH, CHILDISH_PATTERNS, GROWN_UP = ("dungarees",), ("lettering",), 2.3
_SOFT = frozenset({"draping", "satin", "chunky", "linen", "crochet", "lace"})
_CRISP = frozenset({"structured", "rigid", "leather"})


@rule("style.never", looks_at=CLOTHES, reads=("heel",), speaks_to=lambda of: bool(of.aims.never))
def never(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A kind of piece that the client never wears decides alone."""
    piece = next((piece for piece in outfit.pieces if piece.kind in aims.never), None)
    if piece is not None:
        what = said(piece.kind) if piece.row.plural else f"a {said(piece.kind)}"
        text = f"This client never wears {what}."
        yield con(WONT, "style", ("whole", outfit.at("bust")), "Not one for it", text)


def _structure(outfit: Outfit) -> float:
    """How structured a look is, less how soft it is: pieces that hold their form against those that fall."""
    worn = [piece for piece in outfit.pieces if piece.slot in (*BASE, "layer")]
    crisp = sum(bool(piece.fabric & _CRISP) for piece in worn) + sum(layer.structured for layer in outfit.layers)
    soft = sum(bool(piece.fabric & _SOFT) or piece.kind in ("knit", "cardigan", "kimono") for piece in worn)
    return float(crisp - soft)


def _brightest(outfit: Outfit) -> float:
    return most(*(chroma(seen.colour) for seen in outfit.palette), 0.0)


#: What each word asks of a look: a figure, from which on it is so, up to which it is not; and which way it runs.
_ASKS: dict[str, tuple[Callable[[Outfit], float], float, float]] = {
    "plain": (lambda of: -of.detail, -PLAIN_TO, -BOLD_FROM),
    "bold": (lambda of: of.detail + (1.0 if _brightest(of) >= BOLD_CHROMA else 0.0), BOLD_FROM, PLAIN_TO - 0.2),
    "sharp": (_structure, 1.0, -1.0),
    "soft": (lambda of: -_structure(of), 1.0, -1.0),
    "sporty": (lambda of: -(of.formality or 2.0), -SPORTY_TO, -NOT_SPORTY),
}


def _cues(outfit: Outfit) -> dict[str, int]:
    """How many of the cues of another decade a look wears at once."""
    seen = [piece for piece in outfit.pieces if piece.slot in CLOTHES or piece.kind == "hat"]
    return {decade: len(frozenset().union(*(cues_of(piece, decade) for piece in seen))) for decade in DECADES}


@fact
def cues_of(piece: Piece, decade: str) -> frozenset[str]:
    """The cues of a decade that a piece wears.

    >>> sorted(cues_of(Piece.of({"is": "jeans", "cut": "flare"}), "seventies"))
    ['cut flare']
    """
    return DECADES[decade].intersection(_words_of(piece))


def _words_of(piece: Piece) -> Iterator[str]:
    yield piece.kind
    for key in ("cut", "pattern", "heel_shape", "heel", "sleeve_shape"):
        if piece.word(key):
            yield f"{key} {piece.word(key)}"
    yield from (flag for flag in ("padded",) if piece.flag(flag))


@rule("style.costume", looks_at=(*CLOTHES, "hat"), reads=("heel",))
def costume(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Every cue of another decade at once looks like its costume: one or two are a quotation."""
    decade, cues = max(_cues(outfit).items(), key=lambda found: found[1])
    if cues >= COSTUME_FROM:
        text = f"So many cues of the {decade} at once look like a costume of them: keep one or two."
        held = Figure("cues at once", float(cues), float(COSTUME_FROM), "scale")
        yield con(0.25, "dated", ("whole", outfit.at("bust")), f"A costume of the {decade}", text, held)


@rule("style.grown_up", looks_at=CLOTHES, reads=("heel",))
def grown_up(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """What is childish by itself is made grown up by one structured or fine piece beside it."""
    worn = [piece for piece in outfit.pieces if piece.slot in CLOTHES]
    childish = next((p for p in worn if p.kind in CHILDISH or p.word("pattern") in CHILDISH_PATTERNS), None)
    if childish is None:
        return
    beside = (p for p in worn if p is not childish and formality(p) >= GROWN_UP)
    adult = next((layer.piece for layer in outfit.layers if layer.structured), next(beside, None))
    if adult is not None:
        text = f"The {said(adult.kind)} makes the {said(childish.kind)} grown up."
        yield pro(0.08, "smart", ("whole", outfit.at("bust")), "Made grown up", text)


@rule(
    "style.own",
    looks_at=(*CLOTHES, *SMALL),
    reads=("detail", "palette", "formality", "heel"),
    speaks_to=lambda of: bool(of.aims.style),
)
def own(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """What is in the client's own style, and what is out of it, the more as they keep to what they wear."""
    reach = REACHES[next(iter(aims.reach), "a_step")]
    for word in sorted(aims.style):
        measure, enough, lacks = _ASKS[word]
        reads, where = measure(outfit), ("whole", outfit.at("waist"))
        held = Figure(f"how {word} it reads", reads, enough, "scale")
        if reads >= enough:
            yield pro(FOR, "style", where, f"In their style: {word}", f"It is {word}, as this client is.", held)
        elif reads <= lacks:
            text = f"It is not {word}, which this client is."
            yield con(AGAINST * reach, "style", where, f"Out of their style: {word}", text, held)
