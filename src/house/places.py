"""Where things are. Everything that is made lies in one ignored folder of the project."""

from __future__ import annotations

from pathlib import Path

ROOT = Path(__file__).resolve().parents[2]
HOUSE = ROOT / ".house"
VENV = HOUSE / "venv"
PYTHON = VENV / "bin" / "python"
STAMPS = HOUSE / "stamps"
LOGS = HOUSE / "logs"
WEB = ROOT / "web"
SRC = ROOT / "src"
