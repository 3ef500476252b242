"""Print the figures: an assessment in process, the assess request, the first load's script.

Times differ between machines, so each is also given as a ratio to a fixed piece of plain
Python measured in the same run. Nothing here is asserted.
"""

from __future__ import annotations

import argparse
import gzip
import json
import os
import re
import statistics
import subprocess
import urllib.request
from concurrent.futures import ThreadPoolExecutor
from pathlib import Path
from urllib.parse import quote

from bench import against, crowd, drag, edit, engine, paper, plan, tables
from bench.engine import LOOKS, timed
from bench.visitor import Visitor
from craft.body import Body, Measures
from craft.fit import land
from craft.wear.shoes import barefoot_on
from house import serve, setup
from house.places import PYTHON, ROOT, WEB
from house.postgres import free_port
from studio.people.demo import STYLISTS

REQUESTS = 300
PASSWORD = "bench-words-only"


def yardstick() -> None:
    """A fixed piece of plain Python, to compare machines by."""
    sum(at * at % 7 for at in range(5000))


def say(name: str, ms: list[float], unit: float, aim: str) -> None:
    ranked = sorted(ms)
    p95 = ranked[int(len(ranked) * 0.95)]
    median = statistics.median(ranked)
    print(f"{name:44} median {median:7.2f} ms  p95 {p95:7.2f} ms  {median / unit:6.1f} yardsticks  {aim}", flush=True)


def in_process(unit: float) -> None:
    """The engine's own figures, and a change of rules over the racks of 30 clients."""
    for figure in engine.figures():
        timed(figure.call, max(2, figure.rounds // 8))
        say(figure.name, timed(figure.call, figure.rounds), unit, f"aim: {figure.aim}")
    others = [Body.of(Measures.of({"stature": 150 + at, "waist": 66 + at, "hip": 92 + at})) for at in range(30)]
    hung = crowd.rack(300)

    def changed() -> None:
        land.cache_clear()
        for body in others:
            for piece in hung:
                land(body, piece, barefoot_on(2.0))

    say("30 clients x 300 pieces after a change of rules", timed(changed, 3), unit, "aim: under 5 s")


def end_to_end(unit: float) -> None:
    env = {**os.environ, **setup.SETTINGS, "BASILWOOD_DEMO_PASSWORD": PASSWORD}
    for command in ("migrate", "load_demo"):
        subprocess.run([PYTHON, "-m", "django", command], cwd=ROOT, env=env, check=True, capture_output=True)
    port = free_port()
    server = serve.gunicorn(port, env, "--workers", str(serve.WORKERS))
    try:
        serve.wait_for(port, server)
        visitor = Visitor(f"http://127.0.0.1:{port}")
        visitor.sign_in(STYLISTS[0][0], PASSWORD)
        client = next(row for row in visitor.ask("GET", "/api/clients")["rows"] if row["looks"])
        path = f"/api/clients/{client['id']}/assess"
        at = iter(range(10**9))

        def once() -> object:
            return visitor.ask("POST", path, {"pieces": LOOKS[next(at) % len(LOOKS)]})

        timed(once, 30)
        say("the assess request, end to end", timed(once, REQUESTS), unit, "aim: p95 under 40 ms")
        crowded(visitor, unit)
        under_load(visitor, port)
        print(f"{'script of all screens together, compressed':44} {first_load(port) / 1000:7.1f} kB  aim: under 180 kB")
    finally:
        serve.stop(server)


def crowded(visitor: Visitor, unit: float) -> None:
    """A full studio: 2,000 clients, one of them with 50 sessions."""
    settled = crowd.fill(STYLISTS[0][0])
    path = f"/api/clients/{settled}"
    screens = {
        "people list of 2,000": ["/api/clients"],
        "... found by a part of a name": ["/api/clients?q=" + quote("wen ro")],
        "... its last page": ["/api/clients?offset=1940"],
        "client screen, 50 sessions: what it asks first": [path, "/api/words", "/api/measuring", "/api/brief/words"],
        "... and then": [f"{path}/desk", f"{path}/looks"],
        "... history": [f"{path}/sessions"],
        "... reading of the body": [f"{path}/reading"],
        "... next best measure": [f"{path}/next"],
        "... shopping numbers": [f"{path}/shopping"],
        "... a rack of 300 pieces": [f"{path}/rack"],
    }
    hands = ThreadPoolExecutor(6)
    for name, asked in screens.items():

        def once(asked: list[str] = asked) -> None:
            # At once, as the browser asks for what a screen needs.
            list(hands.map(lambda path: visitor.ask("GET", path), asked))

        timed(once, 10)
        queries = crowd.queries(STYLISTS[0][0], asked)
        aim = "aim: p95 under 250 ms, the first below" if asked[0].endswith("/rack") else "aim: p95 under 100 ms"
        say(name, timed(once, 100), unit, f"{queries} queries; {aim}")
    firsts = [timed(lambda heel=heel: visitor.ask("GET", f"{path}/rack?heel_cm={heel}"), 1)[0] for heel in range(1, 17)]
    say("... the same in a heel not landed before", firsts, unit, "aim: under 250 ms")


def under_load(visitor: Visitor, port: int) -> None:
    """Fifty stylists at once on two workers; in a process of its own, on the same machine."""
    clients = [row["id"] for row in visitor.ask("GET", "/api/clients?q=e&limit=40")["rows"] if row["measures"]]
    told = {"port": port, "clients": clients, "looks": LOOKS, "cookie": visitor.cookies, "token": visitor.token}
    for name, seconds, pause in (("without pause", 12, 0), ("with two seconds between", 16, 2)):
        words = [str(PYTHON), "-m", "bench.load", str(seconds), str(pause)]
        ran = subprocess.run(words, cwd=ROOT, input=json.dumps(told), capture_output=True, text=True, check=True)
        found = ", ".join(f"{key} {value}" for key, value in json.loads(ran.stdout).items())
        print(f"{f'50 stylists {name}':44} {found}", flush=True)


def first_load(port: int) -> int:
    """Bytes of script that the client's screen transfers, compressed: the shell's and every chunk they import."""
    shell = (WEB / "build" / "index.html").read_text()
    base = WEB / "build"
    waiting = {base / found for found in re.findall(r'"/?(_app/immutable/[^"]+\.js)"', shell)}
    # Every screen's code, as if all were opened: the most a first load can come to.
    waiting |= set(base.glob("_app/immutable/nodes/*.js"))
    seen: set[Path] = set()
    while waiting:
        script = waiting.pop()
        if script in seen or not script.is_file():
            continue
        seen.add(script)
        for found in re.findall(r'(?:from|import)\s*\(?["\'](\.{1,2}/[^"\']+\.js)["\']', script.read_text()):
            waiting.add((script.parent / found).resolve())
    total = 0
    for script in seen:
        address = f"http://127.0.0.1:{port}/{script.relative_to(base)}"
        request = urllib.request.Request(address, headers={"Accept-Encoding": "gzip, br"})
        with urllib.request.urlopen(request, timeout=10) as answer:  # noqa: S310
            sent = answer.read()
            total += len(sent) if answer.headers.get("Content-Encoding") else len(gzip.compress(sent))
    return total


def main() -> None:
    parser = argparse.ArgumentParser(prog="./basilwood bench", description="Print the figures.")
    parser.add_argument(
        "--against", metavar="COMMIT", help="the engine beside another commit's, as ratios, and no more"
    )
    asked = parser.parse_args()
    if asked.against:
        against.compare(asked.against)
        return
    unit = statistics.median(timed(yardstick, 200))
    print(f"{'yardstick (plain Python)':44} median {unit:7.2f} ms")
    in_process(unit)
    tables.proof()
    edit.proof()
    plan.proof()
    paper.proof()
    edge, figure = drag.latencies()
    say("a hem dragged in the browser, until it is there", edge, unit, "aim: p95 under 100 ms")
    say("... until figure and reasons are", figure, unit, "aim: p95 under 100 ms")
    end_to_end(unit)


if __name__ == "__main__":
    main()
