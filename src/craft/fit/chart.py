"""A maker's size chart: what its labels stand for, as figures of the garment or of the body it is cut for."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass
from typing import Literal

from craft.cloth import Piece
from craft.cloth.kinds import FIGURES, KIND
from craft.fit.zones import WORDS, EaseWord, nominal_ease, zone_of

Of = Literal["garment", "body"]
#: The ease meant where a piece does not say.
USUAL_FIT: EaseWord = "skimming"


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
        (106.2, 70.0)
        """
        return {label: Piece.of({**self.piece, **self._worn(figures)}) for label, figures in self.sizes}

    def _worn(self, figures: Mapping[str, float]) -> dict[str, float]:
        if self.of == "garment":
            return dict(figures)
        kind = str(self.piece["is"])
        row = KIND.get(kind)
        if row is None:
            return dict(figures)
        slot, known = row.slot, set(FIGURES[row.slot])
        if slot == "bottom" and row.has_legs:
            # A chart names the natural waist; a band that sits lower is cut for another place.
            known.discard("waist_cm")
        return {key: self._eased(slot, key, cm) for key, cm in figures.items() if key in known}

    def _eased(self, slot: str, key: str, cm: float) -> float:
        zone = zone_of(slot, key)
        if zone is None:
            return cm
        said = self.piece.get("fit")
        fit = next((word for word in WORDS if word == said), USUAL_FIT)
        return round(cm * (1 + nominal_ease(zone, fit, layer=slot == "layer")), 1)
