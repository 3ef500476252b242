"""The house is in order: style, types, arrows, and types of the front end that match the interface."""

from __future__ import annotations

import os
import subprocess
import sys
from pathlib import Path

import pytest

ROOT = Path(__file__).parents[2]
BIN = Path(sys.executable).parent

CHECKS = {
    "ruff": [BIN / "ruff", "check", "."],
    "ruff format": [BIN / "ruff", "format", "--check", "."],
    "mypy, strict": [BIN / "mypy"],
    "arrows only go down": [BIN / "lint-imports"],
    "svelte-check": ["npm", "--prefix", "web", "run", "check"],
    "the screens' logic": ["npm", "--prefix", "web", "run", "test"],
    "eslint": ["npm", "--prefix", "web", "run", "eslint"],
    "prettier": ["npm", "--prefix", "web", "run", "lint"],
}


@pytest.mark.parametrize("name", CHECKS)
def test_in_order(name: str) -> None:
    ran = subprocess.run([*map(str, CHECKS[name])], cwd=ROOT, capture_output=True, text=True, check=False)
    assert ran.returncode == 0, ran.stdout[-3000:] + ran.stderr[-2000:]


def test_the_front_ends_types_are_those_of_the_interface(tmp_path: Path) -> None:
    document = tmp_path / "openapi.json"
    env = {**os.environ, "PYTHONPATH": "src"}
    subprocess.run([sys.executable, "-m", "studio.openapi", document], cwd=ROOT, env=env, check=True)
    made = tmp_path / "schema.d.ts"
    subprocess.run(
        ["npx", "openapi-typescript", document, "-o", made], cwd=ROOT / "web", check=True, capture_output=True
    )
    kept = ROOT / "web" / "src" / "lib" / "api" / "schema.d.ts"
    assert made.read_text() == kept.read_text(), "run: ./basilwood types"


def test_no_registry_host_in_a_lock_file() -> None:
    for name in ("requirements.txt", "requirements-test.txt", "web/package-lock.json"):
        text = (ROOT / name).read_text()
        assert '"resolved"' not in text and "index-url" not in text and "--find-links" not in text
