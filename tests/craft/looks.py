"""The looks of the judged cases, composed: everything that the laws of judging are held against."""

from __future__ import annotations

from functools import lru_cache
from pathlib import Path

from craft.cases.read import Malformed, read_cases
from craft.cases.run import aims_of, body_of
from craft.judge import Aims
from craft.look import Look, Outfit, compose

CASES = Path(__file__).parents[1] / "cases"


@lru_cache(maxsize=1)
def judged_looks() -> tuple[tuple[str, Outfit, Aims], ...]:
    """Every look of the judged cases: its case, the outfit on the case's client, the client's aims."""
    found = []
    for file in ("looks.yaml", "own.yaml"):
        for case in read_cases((CASES / file).read_text()):
            assert not isinstance(case, Malformed)
            same = case.body.get("same", [])
            for part in ("better", "worse", "look"):
                if part in case.body:
                    look = Look.of([*same, *case.body[part]])
                    found.append((case.id, compose(body_of(case.client), look, case.school), aims_of(case.client)))
    return tuple(found)
