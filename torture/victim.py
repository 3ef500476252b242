"""A server to be tortured: two workers on a durable database of its own, looked after as the demo looks after its own."""

from __future__ import annotations

import os
import random
import shutil
import signal
import subprocess
import threading
import time
from collections.abc import Iterator
from contextlib import contextmanager
from dataclasses import dataclass
from pathlib import Path
from typing import Literal

from bench.visitor import Visitor

from house import serve, setup
from house.places import PYTHON, ROOT
from house.postgres import Cluster, free_port, temporary_cluster
from house.supervise import LOOK_EVERY, Kept, look_after, stop
from studio.people.demo import STYLISTS

PASSWORD = "torture-words-only"
Part = Literal["worker", "master", "database"]
PARTS: tuple[Part, ...] = ("worker", "master", "database")


@dataclass
class Victim:
    """A running server and its database, by their processes."""

    cluster: Cluster
    server: Kept
    port: int
    watcher: Visitor | None = None

    @property
    def address(self) -> str:
        return f"http://127.0.0.1:{self.port}"

    def visitor(self) -> Visitor:
        """A stylist who has signed in."""
        made = Visitor(self.address)
        made.sign_in(STYLISTS[0][0], PASSWORD)
        return made

    def kill(self, part: Part, chance: random.Random) -> None:
        """Kill one of its parts outright."""
        if part == "database":
            pid = int((self.cluster.data / "postmaster.pid").read_text().split()[0])
        else:
            pid = self.server.process.pid
            if part == "worker":
                pid = chance.choice(_children(pid) or [pid])
        os.kill(pid, signal.SIGKILL)

    def answers(self) -> bool:
        """Whether a question that needs the database is answered now."""
        self.watcher = self.watcher or self.visitor()
        try:
            self.watcher.ask("GET", "/api/session")
        except OSError:
            return False
        return True

    def memory(self) -> int:
        """What the server and all that it started take now, bytes."""
        held = 0
        for pid in (self.server.process.pid, *_children(self.server.process.pid, deep=True)):
            try:
                pages = int(Path(f"/proc/{pid}/statm").read_text().split()[1])
            except OSError:
                continue
            held += pages * os.sysconf("SC_PAGE_SIZE")
        return held


def _children(pid: int, *, deep: bool = False) -> list[int]:
    try:
        found = [int(one) for one in Path(f"/proc/{pid}/task/{pid}/children").read_text().split()]
    except OSError:
        return []
    return [*found, *(below for one in found for below in _children(one, deep=True))] if deep else found


@contextmanager
def victim() -> Iterator[Victim]:
    """A server with the demo's data; taken away afterwards."""
    cluster = temporary_cluster(durable=True)
    over = threading.Event()
    try:
        database = cluster.start()
        env = {**setup.environment(cluster.environment(database)), "BASILWOOD_DEMO_PASSWORD": PASSWORD}
        words = [PYTHON, "-m", "django", "load_demo", "--migrate"]
        subprocess.run(words, cwd=ROOT, env={**os.environ, **env}, check=True, capture_output=True)
        port = free_port()
        server = Kept("The server", lambda: serve.gunicorn(port, env, "--workers", str(serve.WORKERS)))
        server.forgiving = True

        def look() -> None:
            while not over.is_set():
                look_after(cluster, database, [server])
                time.sleep(LOOK_EVERY)

        keeper = threading.Thread(target=look)
        try:
            serve.wait_for(port, server.process)
            keeper.start()
            yield Victim(cluster, server, port)
        finally:
            over.set()
            if keeper.ident:
                keeper.join()
            stop(server.process)
    finally:
        cluster.stop()
        shutil.rmtree(cluster.data.parent, ignore_errors=True)
