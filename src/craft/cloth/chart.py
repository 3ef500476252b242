"""A maker's size chart: what its labels stand for, as figures of the garment or of the body it is cut for."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass
from typing import Literal

from craft.cloth.piece import Piece
from craft.cloth.words import FIGURES, SLOT_OF

Of = Literal["garment", "body"]
#: Ease of a garment over the girth that a body chart names, by fit word and figure, as a share (W: the middle of
#: the ease bands of craft.fit.zones).
_OVER: dict[str, dict[str, float]] = {
    "waist_cm": {"tight": -0.01, "fitted": 0.02, "skimming": 0.05, "relaxed": 0.12, "oversized": 0.25},
    "hip_cm": {"tight": -0.02, "fitted": 0.02, "skimming": 0.06, "relaxed": 0.12, "oversized": 0.20},
    "chest_cm": {"tight": -0.04, "fitted": 0.02, "skimming": 0.075, "relaxed": 0.15, "oversized": 0.25},
    "thigh_cm": {"tight": -0.02, "fitted": 0.03, "skimming": 0.10, "relaxed": 0.20, "oversized": 0.35},
}
#: The ease meant where a piece does not say.
USUAL_FIT = "skimming"


@dataclass(frozen=True, slots=True)
class SizeChart:
    """One product's chart, or a maker's for a kind: its words, and figures by label, cm."""

    maker: str
    product: str
    of: Of
    piece: Mapping[str, object]
    sizes: tuple[tuple[str, Mapping[str, float]], ...]

    def pieces(self) -> dict[str, Piece]:
        """Every size as a piece; body figures get the ease of the piece's fit. Raises UnknownWord.

        >>> chart = SizeChart("Fenn", "Lark", "body", {"is": "jeans"}, (("10", {"hip_cm": 100.0, "inseam_cm": 70.0}),))
        >>> chart.pieces()["10"].figure("hip_cm"), chart.pieces()["10"].figure("inseam_cm")
        (106.0, 70.0)
        """
        return {label: Piece.of({**self.piece, **self._worn(figures)}) for label, figures in self.sizes}

    def _worn(self, figures: Mapping[str, float]) -> dict[str, float]:
        if self.of == "garment":
            return dict(figures)
        fit = str(self.piece.get("fit") or USUAL_FIT)
        known = FIGURES[SLOT_OF[str(self.piece["is"])]]
        return {
            key: round(cm * (1 + _OVER[key][fit]) if key in _OVER else cm, 1)
            for key, cm in figures.items()
            if key in known
        }
