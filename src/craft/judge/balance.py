"""Balance of the whole: what is eased or light above against below, on a shape that leads with one of them."""

from __future__ import annotations

from collections.abc import Iterator

from craft.cloth.colour import lightness
from craft.judge.aims import Aims
from craft.judge.finding import Figure, Finding
from craft.look import Outfit
from craft.units import Sentence

#: Necklines that draw a line from shoulder to shoulder, and one that cuts the shoulder away.
BROADENS, NARROWS = ("boat", "one_shoulder", "square"), ("halter",)
#: One half so much lighter than the other comes forward (OKLCH lightness, W).
LIGHTER = 0.3
#: Volumes apart by this much move weight from one half of the figure to the other (0 to 4).
MOVES = 0.6


def shape(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """A triangle wants interest and ease above, an inverted triangle ease and weight below."""
    bottom = outfit.bottom
    if bottom is None or (outfit.top is None and not outfit.layers) or outfit.one_piece is not None:
        return
    at = bottom.waistband.cm
    apart = outfit.above - bottom.volume
    figure = Figure("ease above less below", apart, MOVES, "scale")
    wanted = 0.1 if aims.wanted("balance") else 0.0
    if outfit.shape == "triangle" and apart >= MOVES and outfit.schools.position("hip_strategy") == "cover":
        text = Sentence.of("Ease above answers the hips: the halves balance.")
        yield Finding(
            "balance.shape", "balance_gained", "for", 0.25 + wanted, "whole", at, figure, "Balances the hips", text
        )
    elif outfit.shape == "inverted_triangle" and outfit.above <= 0.8:
        text = Sentence.of("A skin-tight top makes the most of the shoulders, and nothing below answers.")
        yield Finding(
            "balance.shape",
            "balance_gained",
            "against",
            0.25 + wanted,
            "shoulders",
            at,
            figure,
            "Shoulders lead alone",
            text,
        )


def shoulders(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """A wide neckline gives shoulders to a figure that asks for them; a halter takes them away."""
    top = outfit.top
    broaden = aims.wanted("broaden_shoulders")
    if top is None or not (broaden or outfit.shape == "triangle") or "shoulders" in aims.soften:
        return
    at = outfit.body.height("shoulder") + outfit.lift - 3.0
    breadth, hip = outfit.body.quantity("shoulder_breadth").cm, outfit.body.quantity("hip_breadth").cm
    figure = Figure("shoulder over hip breadth", breadth / hip, 1.0, "share")
    wanted = 0.15 if broaden or aims.wanted("balance") else 0.0
    if top.neck in BROADENS or top.piece.word("cut") == "ruffled":
        text = Sentence.of("The line runs from shoulder to shoulder and answers the hips.")
        yield Finding(
            "balance.shoulders",
            "balance_gained",
            "for",
            0.2 + wanted,
            "shoulders",
            at,
            figure,
            "Broadens the shoulders",
            text,
        )
    elif top.neck in NARROWS:
        text = Sentence.of("A halter cuts the shoulders away, and the hips lead the more.")
        yield Finding(
            "balance.shoulders",
            "balance_gained",
            "against",
            0.15 + wanted,
            "shoulders",
            at,
            figure,
            "Narrows the shoulders",
            text,
        )


def light(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """Lighter, or fuller, where the shape has less: above on a triangle, below on an inverted one."""
    top, bottom = outfit.top, outfit.bottom
    if top is None or bottom is None or outfit.one_piece is not None:
        return
    apart = lightness(top.colour) - lightness(bottom.colour)
    at = bottom.waistband.cm
    figure = Figure("lighter above by", apart, LIGHTER, "share")
    wanted = 0.1 if aims.wanted("balance") else 0.0
    if outfit.shape == "triangle" and apart >= LIGHTER:
        text = Sentence.of("Light above, dark below: what the shape has less of comes forward.")
        yield Finding("balance.light", "balance_gained", "for", 0.12 + wanted, "whole", at, figure, "Light above", text)
    elif outfit.shape == "inverted_triangle" and (apart <= -LIGHTER or bottom.volume - outfit.above >= MOVES):
        text = Sentence.of("What is light or eased lies below, where the shape has less: the halves balance.")
        yield Finding(
            "balance.light", "balance_gained", "for", 0.15 + wanted, "whole", at, figure, "Weight below", text
        )
