"""Choosing with CP-SAT: one solver, seeded, that says how far it is and stops where nobody waits."""

from __future__ import annotations

from concurrent.futures import ThreadPoolExecutor
from time import monotonic
from typing import TYPE_CHECKING, Any, NamedTuple

from craft.search.crew import Progress

if TYPE_CHECKING:
    from ortools.sat.python import cp_model

#: How often whoever waits is told, s.
TELLS = 0.5


class Effort(NamedTuple):
    """How a model is searched: by so many workers side by side, and how much of it is relaxed to a linear program (0 to 2)."""

    workers: int
    linear: int


#: As most models are searched, on two cores.
SIDE_BY_SIDE = Effort(workers=2, linear=1)
#: So many times the time is waited, one after the other, while there is no answer at all (W).
PATIENCE = (1, 5, 30)


def new_model() -> cp_model.CpModel:
    """A model without anything in it. The solver is loaded here: that takes half a second, and most processes solve nothing."""
    from ortools.sat.python import cp_model

    return cp_model.CpModel()


def solve(
    model: cp_model.CpModel, seconds: float, progress: Progress | None = None, effort: Effort = SIDE_BY_SIDE
) -> cp_model.CpSolver | None:
    """A solver that has solved a model, to the best within a time; None where nothing keeps its limits. On a machine so slow that
    there is no answer at all by then it goes on: a late answer is better than none."""
    from ortools.sat.python import cp_model

    for patience in PATIENCE:
        solver = cp_model.CpSolver()
        solver.parameters.max_time_in_seconds = patience * seconds
        solver.parameters.num_workers, solver.parameters.linearization_level = effort
        solver.parameters.random_seed = 1
        status = _told_while(solver, model, patience * seconds, progress)
        if status != cp_model.UNKNOWN:
            return solver if status in (cp_model.OPTIMAL, cp_model.FEASIBLE) else None
    raise RuntimeError("no answer within the time")


def solved(
    model: cp_model.CpModel, seconds: float, progress: Progress | None = None, effort: Effort = SIDE_BY_SIDE
) -> cp_model.CpSolver:
    """As `solve`, of a model that can always be kept. Raises RuntimeError where it cannot."""
    solver = solve(model, seconds, progress, effort)
    if solver is None:
        raise RuntimeError("nothing keeps the limits of what can always be kept")
    return solver


def _told_while(solver: cp_model.CpSolver, model: cp_model.CpModel, seconds: float, progress: Progress | None) -> Any:
    """Solve, and say meanwhile how much of the time is gone; where nobody waits any more the solver stops."""
    with ThreadPoolExecutor(1) as hands:
        solving, began = hands.submit(solver.solve, model), monotonic()
        while True:
            try:
                return solving.result(timeout=TELLS)
            except TimeoutError:
                try:
                    if progress is not None:
                        progress(min(1.0, (monotonic() - began) / seconds))
                except BaseException:
                    solver.stop_search()
                    raise
