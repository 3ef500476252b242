"""The solver's time: what is wanted of it within it, and that a slow machine is waited for."""

from __future__ import annotations

from typing import Any

import pytest

from craft.search import solving


def _model(limit: int) -> Any:
    model = solving.new_model()
    few = [model.new_int_var(0, 3, name) for name in ("tops", "bottoms")]
    model.add(sum(few) >= limit)
    model.minimize(sum(few))
    return model


def test_one_too_slow_for_its_time_is_waited_for(monkeypatch: pytest.MonkeyPatch) -> None:
    monkeypatch.setattr(solving, "PATIENCE", (0, 1))
    solver = solving.solve(_model(4), 30.0)
    assert solver is not None and solver.objective_value == 4


def test_what_nothing_keeps_is_told_from_what_takes_long(monkeypatch: pytest.MonkeyPatch) -> None:
    assert solving.solve(_model(7), 1.0) is None
    with pytest.raises(RuntimeError, match="keeps the limits"):
        solving.solved(_model(7), 1.0)
    monkeypatch.setattr(solving, "PATIENCE", (0,))
    with pytest.raises(RuntimeError, match="within the time"):
        solving.solve(_model(4), 1.0)
