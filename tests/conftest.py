"""What holds for all tests: property tests are about laws, not about speed (how fast is what `./basilwood bench` measures); and
what shares a server stays in one process when the tests run in several."""

from __future__ import annotations

from pathlib import Path

import pytest
from hypothesis import settings

HERE = Path(__file__).parent
#: Folders whose tests share servers and ports.
TOGETHER = ("browser", "house", "reliability")

settings.register_profile("house", deadline=None)
settings.load_profile("house")


def pytest_itemcollected(item: pytest.Item) -> None:
    """Each of these folders runs in one process, in its order; all else runs wherever there is room."""
    folder = item.path.relative_to(HERE).parts[0] if item.path.is_relative_to(HERE) else ""
    if folder in TOGETHER:
        item.add_marker(pytest.mark.xdist_group(folder))
