"""`./basilwood load`: fill a studio, serve it as for real, let its stylists work, and say how long they waited.

./basilwood load                        # 50 stylists, 2,000 clients, 5 minutes, one server and then two
./basilwood load --minutes 1 --clients 200
"""

from __future__ import annotations

import argparse
import contextlib
import csv
import os
import subprocess
import tempfile
import threading
import time
import urllib.request
from collections.abc import Iterator
from pathlib import Path

import psutil

from house import production, serve, setup
from house.places import PYTHON, ROOT
from house.postgres import free_port
from load.full import LOOKS_EACH, PIECES_EACH

Env = dict[str, str]


@contextlib.contextmanager
def served(env: Env, servers: int) -> Iterator[list[tuple[int, subprocess.Popen[bytes]]]]:
    """So many servers, two workers each, and a worker of the queue."""
    running: list[tuple[int, subprocess.Popen[bytes]]] = []
    with contextlib.ExitStack() as stack:
        try:
            for _ in range(servers):
                port = free_port()
                whole = {**env, **stack.enter_context(production.figures_folder())}
                running.append((port, serve.gunicorn(port, whole, "--workers", str(serve.WORKERS))))
            queue = serve.worker(env)
            for port, server in running:
                serve.wait_for(port, server)
            yield running
            serve.stop(queue)
        finally:
            for _, server in running:
                serve.stop(server)


def memory(server: subprocess.Popen[bytes]) -> float:
    """What a server and its workers hold, MB."""
    family = [psutil.Process(server.pid), *psutil.Process(server.pid).children(recursive=True)]
    return sum(one.memory_info().rss for one in family) / 1e6


class Watched:
    """What servers hold, looked at every half minute while others work."""

    def __init__(self, servers: list[subprocess.Popen[bytes]]) -> None:
        self.servers = servers
        self.seen: list[float] = []
        self.done = threading.Event()
        self.looking = threading.Thread(target=self._look, daemon=True)
        self.looking.start()

    def _look(self) -> None:
        while True:
            self.seen.append(sum(memory(server) for server in self.servers) / len(self.servers))
            if self.done.wait(30):
                return

    def told(self) -> str:
        """What was seen, the mean of the servers."""
        self.done.set()
        self.looking.join()
        return " ".join(f"{one:.0f}" for one in self.seen)


def metric(port: int, name: str) -> float:
    """A metric of a server, all of its labels together."""
    with urllib.request.urlopen(f"http://127.0.0.1:{port}/metrics", timeout=20) as answer:
        lines = answer.read().decode().splitlines()
    return sum(float(line.split()[-1]) for line in lines if line and line.split("{")[0].split()[0] == name)


def watched(port: int) -> str:
    """How much waits in the queue, and what the record of who saw what took of all requests' time."""
    record, requests = (metric(port, f"basilwood_{of}_seconds_sum") for of in ("record", "request"))
    entries, asked = (metric(port, f"basilwood_{of}_seconds_count") for of in ("record", "request"))
    return (
        f"{metric(port, 'basilwood_queue_waiting'):.0f} waiting in the queue; the record of who saw what asked the database at "
        f"{entries:.0f} of {asked:.0f} requests and took {100 * record / max(requests, 1e-9):.2f} % of their time"
    )


def work(ports: list[int], stylists: int, seconds: float, folder: Path, waits: str) -> list[dict[str, str]]:
    """Let the stylists come in, one a second, and then work; what locust wrote down of each request once all were there."""
    hosts = ",".join(f"http://127.0.0.1:{port}" for port in ports)
    words = [
        "--headless",
        "--users",
        str(stylists),
        "--spawn-rate",
        "1",
        "--run-time",
        f"{seconds + stylists:.0f}s",
        "--reset-stats",
    ]
    subprocess.run(
        [
            str(PYTHON),
            "-m",
            "locust",
            "-f",
            "load/stylists.py",
            *words,
            "--csv",
            str(folder / "told"),
            "--only-summary",
            "--loglevel",
            "ERROR",
        ],
        cwd=ROOT,
        env={
            **os.environ,
            "PYTHONPATH": f"{ROOT / 'src'}:{ROOT}",
            "BASILWOOD_LOAD_HOSTS": hosts,
            "BASILWOOD_LOAD_WAITS": waits,
        },
        check=False,
        stdout=subprocess.DEVNULL,
    )
    with (folder / "told_stats.csv").open() as file:
        return list(csv.DictReader(file))


def told(rows: list[dict[str, str]]) -> None:
    """The whole, and the ten slowest."""
    *each, whole = rows
    print(
        f"  {whole['Request Count']} requests, {float(whole['Requests/s']):.1f} a second, {whole['Failure Count']} failed; "
        f"p50 {whole['50%']} ms, p95 {whole['95%']} ms, p99 {whole['99%']} ms"
    )
    for row in sorted(each, key=lambda row: -float(row["95%"] or 0))[:10]:
        print(
            f"    {row['Name']:34} {row['Request Count']:>6} times, p50 {row['50%']:>5}, p95 {row['95%']:>5}, p99 {row['99%']:>5} ms"
        )


def main() -> None:
    parser = argparse.ArgumentParser(prog="./basilwood load")
    parser.add_argument("--minutes", type=float, default=5)
    parser.add_argument("--stylists", type=int, default=50)
    parser.add_argument("--clients", type=int, default=2000)
    parser.add_argument("--waits", default="4,12", help="between two things done, s")
    parser.add_argument("--servers", type=int, nargs="*", default=[1, 2])
    asked = parser.parse_args()
    held = {key: text for key, text in os.environ.items() if key.startswith("BASILWOOD_")}
    env = {**held, **setup.SETTINGS, "PYTHONPATH": f"{ROOT / 'src'}:{ROOT}"}
    production.migrate(env)
    began = time.monotonic()
    filling = [str(PYTHON), "-m", "load.full", str(asked.stylists), str(asked.clients)]
    subprocess.run(filling, cwd=ROOT, env={**os.environ, **env}, check=True)
    many = f"{asked.clients:,} clients, {asked.clients * PIECES_EACH:,} pieces, {asked.clients * LOOKS_EACH:,} looks"
    print(f"{many}: filled in {time.monotonic() - began:.0f} s")
    for servers in asked.servers:
        with served(env, servers) as running, tempfile.TemporaryDirectory() as folder:
            watch = Watched([server for _, server in running])
            print(
                f"\n{asked.stylists} stylists for {asked.minutes:g} minutes, {servers} server{'s' * (servers > 1)}:",
                flush=True,
            )
            rows = work([port for port, _ in running], asked.stylists, asked.minutes * 60, Path(folder), asked.waits)
            told(rows)
            print(f"  memory, MB, each half minute: {watch.told()}; {watched(running[0][0])}")


if __name__ == "__main__":
    main()
