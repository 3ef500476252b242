"""What the laws of judging and of advice are held against: the looks of the judged cases, composed, and looks drawn at
random."""

from __future__ import annotations

from functools import lru_cache
from pathlib import Path

from hypothesis import strategies as st

from craft.cases.read import Malformed, read_cases
from craft.cases.run import aims_of, body_of
from craft.cloth import Piece
from craft.cloth.kinds import KINDS
from craft.cloth.words import COLOURS, FIT, PATTERN
from craft.judge import Aims
from craft.look import Look, Outfit, compose

CASES = Path(__file__).parents[1] / "cases"


@lru_cache(maxsize=1)
def judged_looks() -> tuple[tuple[str, Outfit, Aims], ...]:
    """Every look of the judged cases: its case, the outfit on the case's client, the client's aims."""
    found = []
    for file in ("looks.yaml", "own.yaml", *(f"blind_{round_}.yaml" for round_ in range(1, 15))):
        for case in read_cases((CASES / file).read_text()):
            assert not isinstance(case, Malformed)
            same = case.body.get("same", [])
            for part in ("better", "worse", "look"):
                if part in case.body:
                    look = Look.of([*same, *case.body[part]])
                    found.append((case.id, compose(body_of(case.client), look, case.school), aims_of(case.client)))
    return tuple(found)


@st.composite
def looks(draw: st.DrawFn) -> Look:
    """Any look: a base, perhaps a layer, shoes and things worn besides."""

    def piece(slot: str) -> Piece:
        words = {"is": draw(st.sampled_from(KINDS[slot])), "colour": draw(st.sampled_from(sorted(COLOURS)))}
        if slot not in ("shoes", "extra", "swim"):
            words["fit"] = draw(st.sampled_from(FIT))
            if draw(st.booleans()):
                words["pattern"] = draw(st.sampled_from(PATTERN))
        return Piece.of(words)

    base = ["one_piece"] if draw(st.booleans()) else ["bottom", "top"]
    more = [slot for slot in ("layer", "shoes", "extra") if draw(st.booleans())]
    return Look(tuple(piece(slot) for slot in (*base, *more)))
