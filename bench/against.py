"""The engine of this checkout against another commit's: both measured in one run, turn by turn, as ratios."""

from __future__ import annotations

import json
import os
import subprocess
import tempfile
from pathlib import Path

from house.places import PYTHON, ROOT

#: How often the two take turns. Of each its quietest turn counts: a slower one is somebody else's work on the machine.
TURNS = 5


def compare(revision: str) -> None:
    """Print each figure here and there, ms, and the ratio of this checkout to that commit."""
    with tempfile.TemporaryDirectory(prefix="basilwood-bench-") as temporary:
        there = Path(temporary) / "there"
        subprocess.run(
            ["git", "worktree", "add", "--detach", there, revision], cwd=ROOT, check=True, capture_output=True
        )
        try:
            turns = [(_measured(ROOT), _measured(there)) for _ in range(TURNS)]
        finally:
            subprocess.run(["git", "worktree", "remove", "--force", there], cwd=ROOT, check=False)
    print(f"against {revision}")
    for name in turns[0][0]:
        here, before = (min(turn[side][name] for turn in turns) for side in (0, 1))
        print(f"{name:44} {here:8.3f} ms  before {before:8.3f} ms  ratio {here / before:5.2f}", flush=True)


def _measured(checkout: Path) -> dict[str, float]:
    env = {**os.environ, "PYTHONPATH": str(checkout / "src")}
    script = ROOT / "bench" / "engine.py"
    told = subprocess.run([PYTHON, script], cwd=checkout, env=env, check=True, capture_output=True, text=True)
    found: dict[str, float] = json.loads(told.stdout)
    return found
