"""Balance of the whole: what is eased or light above against below, on a shape that leads with one of them."""

from __future__ import annotations

from collections.abc import Iterator

from craft.judge.aims import Aims
from craft.judge.finding import Figure, Finding
from craft.look import Outfit
from craft.units import Sentence

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
