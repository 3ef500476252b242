"""`./basilwood test` and whatever else runs against a temporary cluster of its own."""

from __future__ import annotations

import os
import shutil
import subprocess
import tempfile
from collections.abc import Iterator, Sequence
from contextlib import ExitStack, contextmanager
from typing import IO, Any

from house import setup
from house.debian import ensure_browser
from house.places import PYTHON, ROOT
from house.postgres import temporary_cluster
from house.steps import check_room, open_house

#: The tests in two halves that take about as long: those at the screen wait much of the time, and leave room for the others.
ORDER = "tests/house/test_order.py"
AT_THE_SCREEN = ("tests/browser", ORDER)
OTHERS = (
    *("tests/blind", "tests/craft", "tests/house", "tests/reliability", "tests/stands", "tests/studio", "src/craft"),
    f"--ignore={ORDER}",
)
#: What pytest ends with where it had nothing to run.
NOTHING_RAN = 5


def in_test_cluster(command: Sequence[str], *, durable: bool = False) -> int:
    """Run a module of Python against a temporary cluster of its own, which is taken away afterwards; `durable` where it is to
    write as a studio's does."""
    _set_up()
    with _begun(command, durable=durable) as running:
        return running.wait()


def test(words: Sequence[str]) -> int:
    """Set up and run the tests: all of them in two halves side by side, or those that pytest's arguments name."""
    if words:
        return in_test_cluster(["pytest", *words])
    _set_up()
    with ExitStack() as stack:
        told = stack.enter_context(tempfile.TemporaryFile())
        others = stack.enter_context(_begun(["pytest", *OTHERS], told))
        at_the_screen = stack.enter_context(_begun(["pytest", *AT_THE_SCREEN]))
        ended = [at_the_screen.wait(), others.wait()]
        told.seek(0)
        print(told.read().decode(errors="replace"), flush=True)
    # One that was killed ends with less than nothing.
    return max((abs(code) for code in ended if code != NOTHING_RAN), default=NOTHING_RAN)


def _set_up() -> None:
    check_room()
    open_house()
    setup.python_packages(tests=True)
    setup.front_end()
    ensure_browser()


@contextmanager
def _begun(
    command: Sequence[str], told: IO[Any] | None = None, *, durable: bool = False
) -> Iterator[subprocess.Popen[bytes]]:
    """A module of Python that runs in a cluster of its own; stopped with it where nobody waits any more."""
    cluster = temporary_cluster(durable=durable)
    try:
        env = setup.environment(cluster.environment(cluster.start()))
        running = subprocess.Popen(
            [str(PYTHON), "-m", *command],
            cwd=ROOT,
            env={**os.environ, **env},
            stdout=told,
            stderr=subprocess.STDOUT if told else None,
        )
        try:
            yield running
        finally:
            running.terminate()
            running.wait()
    finally:
        cluster.stop()
        shutil.rmtree(cluster.data.parent, ignore_errors=True)
