"""Kept running: what ends by itself is started again, logs stay short, and what has expired is cleared away."""

from __future__ import annotations

import os
import shutil
import signal
import subprocess
import time
from collections.abc import Callable, Sequence
from dataclasses import dataclass, field
from pathlib import Path

from house.places import LOGS
from house.postgres import Cluster
from house.steps import Trouble, say

Process = subprocess.Popen[bytes]

#: How often all of it is looked at, s.
LOOK_EVERY = 0.25
#: One that ends so often within so long, s, will not be mended by starting it once more.
MOST_STARTS, WITHIN = 5, 60.0
#: How often logs are looked at and expired rows cleared away, s; how long a log may grow, bytes.
TIDY_EVERY, LONGEST_LOG = 3600.0, 5_000_000


def stop(process: Process) -> None:
    """Stop a process we started with all that it started, gently first."""
    if process.poll() is None:
        os.killpg(process.pid, signal.SIGTERM)
        try:
            process.wait(10)
        except subprocess.TimeoutExpired:
            os.killpg(process.pid, signal.SIGKILL)
            process.wait()


@dataclass
class Kept:
    """A process that is started again whenever it ends by itself."""

    name: str
    start: Callable[[], Process]
    process: Process = field(init=False)
    #: Whether it may end as often as it likes: where it is killed on purpose.
    forgiving: bool = False
    _started: list[float] = field(default_factory=list)

    def __post_init__(self) -> None:
        self._begin()

    def _begin(self) -> None:
        self._started = [*self._started[-MOST_STARTS:], time.monotonic()]
        self.process = self.start()

    def look(self) -> None:
        """Start it again if it ended. Raises Trouble where that has not helped."""
        if self.process.poll() is None:
            return
        if (
            not self.forgiving
            and len(self._started) > MOST_STARTS
            and time.monotonic() - self._started[-MOST_STARTS] < WITHIN
        ):
            raise Trouble(f"{self.name} ends again and again; see .house/logs/")
        say(f"  {self.name} ended by itself; it is started again")
        self._begin()


def keep_running(cluster: Cluster | None, port: int, kept: Sequence[Kept], tidy: Callable[[], object]) -> None:
    """Look after the database on its port and these processes until Ctrl-C or SIGTERM."""
    tidied = -TIDY_EVERY
    try:
        while True:
            look_after(cluster, port, kept)
            if time.monotonic() - tidied > TIDY_EVERY:
                tidied = time.monotonic()
                shorten_logs()
                tidy()
            time.sleep(LOOK_EVERY)
    except KeyboardInterrupt:
        say("\nStopping. What you did is kept.")


def look_after(cluster: Cluster | None, port: int, kept: Sequence[Kept]) -> None:
    """Look once, and start again what has ended."""
    if cluster is not None and not cluster.alive():
        say("  PostgreSQL ended by itself; it is started again")
        cluster.start_again(port)
    for one in kept:
        one.look()


def shorten_logs(folder: Path = LOGS) -> None:
    """Put a log that has grown long aside, in the place of the one before, and let it begin anew. Whoever writes it goes
    on: logs are opened to be added to."""
    for log in folder.glob("*.log"):
        if log.stat().st_size > LONGEST_LOG:
            shutil.copyfile(log, log.with_suffix(".log.1"))
            os.truncate(log, 0)
