"""Choosing with CP-SAT: one solver, seeded, that says how far it is and stops where nobody waits."""

from __future__ import annotations

from concurrent.futures import ThreadPoolExecutor
from time import monotonic
from typing import Any

from ortools.sat.python import cp_model

from craft.search.crew import Progress

#: How often whoever waits is told, s; how many workers search, on two cores.
TELLS, WORKERS = 0.5, 2


def solve(model: cp_model.CpModel, seconds: float, progress: Progress | None = None) -> cp_model.CpSolver | None:
    """A solver that has solved a model, to the best within a time; None where nothing keeps its limits."""
    solver = cp_model.CpSolver()
    solver.parameters.max_time_in_seconds = seconds
    solver.parameters.num_workers = WORKERS
    solver.parameters.random_seed = 1
    status = _told_while(solver, model, seconds, progress)
    return solver if status in (cp_model.OPTIMAL, cp_model.FEASIBLE) else None


def solved(model: cp_model.CpModel, seconds: float, progress: Progress | None = None) -> cp_model.CpSolver:
    """As `solve`, of a model that can always be kept. Raises RuntimeError where no answer came within the time."""
    solver = solve(model, seconds, progress)
    if solver is None:
        raise RuntimeError("no answer within the time")
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
