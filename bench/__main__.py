"""Print the figures: an assessment in process, the assess request, the first load's script.

Times differ between machines, so each is also given as a ratio to a fixed piece of plain
Python measured in the same run. Nothing here is asserted.
"""

from __future__ import annotations

import contextlib
import gzip
import json
import os
import re
import statistics
import subprocess
import time
import urllib.error
import urllib.request
from collections.abc import Callable
from concurrent.futures import ThreadPoolExecutor
from http.cookiejar import CookieJar
from pathlib import Path
from typing import Any
from urllib.parse import quote

from bench import crowd, drag
from craft.advise.remedies import remedies
from craft.assessment import assess, picture
from craft.body import Body, Measures
from craft.fit import land
from craft.look import Look
from craft.wear.bottom import wear_bottom
from craft.wear.shoes import barefoot_on
from house import serve, setup
from house.places import PYTHON, ROOT, WEB
from house.postgres import free_port
from studio.people.demo import PEOPLE, STYLISTS

ROUNDS = 400
REQUESTS = 300
PASSWORD = "bench-words-only"

LOOKS = [
    [{"is": "jeans", "cut": "straight", "hem": "ankle"}, {"is": "shirt", "tuck": "front"}, {"is": "loafers"}],
    [{"is": "trousers", "cut": "wide"}, {"is": "knit", "fit": "oversized"}, {"is": "ankle_boots", "bulk": "chunky"}],
    [{"is": "jeans", "cut": "skinny", "hem": "puddle"}, {"is": "tee", "fit": "tight"}, {"is": "pumps"}],
]
SIX = [
    {"is": "skirt", "cut": "slip", "fabric": ["satin"], "hem": "lower_calf", "colour": "olive"},
    {"is": "knit", "fit": "relaxed", "tuck": "front", "colour": "cream"},
    {"is": "blazer", "fit": "skimming", "hem": "high_hip", "open": True, "colour": "navy"},
    {"is": "tall_boots", "bulk": "medium", "colour": "brown"},
    {"is": "belt", "belted": "thin", "colour": "brown"},
    {"is": "necklace", "drop": "long", "colour": "silver"},
]


def yardstick() -> None:
    """A fixed piece of plain Python, to compare machines by."""
    sum(at * at % 7 for at in range(5000))


def timed(what: Callable[[], object], rounds: int) -> list[float]:
    """Milliseconds of each round."""
    took = []
    for _ in range(rounds):
        began = time.perf_counter()
        what()
        took.append((time.perf_counter() - began) * 1000)
    return took


def say(name: str, ms: list[float], unit: float, aim: str) -> None:
    ranked = sorted(ms)
    p95 = ranked[int(len(ranked) * 0.95)]
    median = statistics.median(ranked)
    print(f"{name:44} median {median:7.2f} ms  p95 {p95:7.2f} ms  {median / unit:6.1f} yardsticks  {aim}", flush=True)


def in_process(unit: float) -> None:
    bodies = [Body.of(Measures.of(person.measures)) for person in PEOPLE if person.measures]
    looks = [Look.of(pieces) for pieces in LOOKS]
    turns = [(body, look) for body in bodies for look in looks]
    at = iter(range(10**9))

    def one(call: Callable[[Body, Look], object]) -> Callable[[], object]:
        return lambda: call(*turns[next(at) % len(turns)])

    def bare(body: Body, look: Look) -> object:
        return assess(body, look)

    def drawn(body: Body, look: Look) -> object:
        return picture(assess(body, look).outfit)

    for call in (bare, drawn):
        timed(one(call), 40)
    say("assess a three-piece look, with its mends", timed(one(bare), ROUNDS), unit, "aim: median under 3 ms")
    say("... and draw it", timed(one(drawn), ROUNDS), unit, "")
    six = Look.of(SIX)
    say(
        "assess a look of six pieces, and draw it",
        timed(lambda: drawn(bodies[0], six), ROUNDS),
        unit,
        "aim: under 5 ms",
    )
    hung = [(str(at), piece) for at, piece in enumerate(crowd.rack(150))]
    loose = Look.of(LOOKS[1])
    say(
        "ways to mend, through a rack of 150",
        timed(lambda: remedies(bodies[0], loose, hung), 20),
        unit,
        "aim: under 400 ms",
    )
    rack = crowd.rack(300)
    others = [Body.of(Measures.of({"stature": 150 + at, "waist": 66 + at, "hip": 92 + at})) for at in range(30)]

    def whole(body: Body) -> None:
        # What was landed is kept for the next request; here it is landed anew each time.
        land.cache_clear()
        wear_bottom.cache_clear()
        for piece in rack:
            land(body, piece, barefoot_on(2.0))

    timed(lambda: whole(bodies[0]), 2)
    say("land and fit-check a rack of 300 pieces", timed(lambda: whole(bodies[0]), 15), unit, "aim: under 150 ms")
    say(
        "... 30 clients after a change of rules",
        timed(lambda: [whole(body) for body in others], 3),
        unit,
        "aim: under 5 s",
    )


class Visitor:
    """A signed-in stylist on a keep-alive connection's worth of requests."""

    def __init__(self, address: str) -> None:
        self.address = address
        self.jar = CookieJar()
        self.opener = urllib.request.build_opener(urllib.request.HTTPCookieProcessor(self.jar))

    def ask(self, method: str, path: str, body: Any = None) -> Any:
        token = next((cookie.value for cookie in self.jar if cookie.name == "csrftoken"), "") or ""
        headers = {"Content-Type": "application/json", "X-CSRFToken": token}
        data = None if body is None else json.dumps(body).encode()
        request = urllib.request.Request(self.address + path, data=data, method=method, headers=headers)  # noqa: S310
        with self.opener.open(request, timeout=20) as answer:
            return json.loads(answer.read() or b"null")


def end_to_end(unit: float) -> None:
    env = {**os.environ, **setup.SETTINGS, "BASILWOOD_DEMO_PASSWORD": PASSWORD}
    for command in ("migrate", "load_demo"):
        subprocess.run([PYTHON, "-m", "django", command], cwd=ROOT, env=env, check=True, capture_output=True)
    port = free_port()
    server = serve.gunicorn(port, env, "--workers", str(serve.WORKERS))
    try:
        serve.wait_for(port, server)
        visitor = Visitor(f"http://127.0.0.1:{port}")
        # Nobody is signed in yet; the token comes all the same.
        with contextlib.suppress(urllib.error.HTTPError):
            visitor.ask("GET", "/api/session")
        visitor.ask("POST", "/api/session", {"email": STYLISTS[0][0], "password": PASSWORD})
        client = next(row for row in visitor.ask("GET", "/api/clients")["rows"] if row["looks"])
        path = f"/api/clients/{client['id']}/assess"
        at = iter(range(10**9))

        def once() -> object:
            return visitor.ask("POST", path, {"pieces": LOOKS[next(at) % len(LOOKS)]})

        timed(once, 30)
        say("the assess request, end to end", timed(once, REQUESTS), unit, "aim: p95 under 40 ms")
        crowded(visitor, unit)
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
    unit = statistics.median(timed(yardstick, 200))
    print(f"{'yardstick (plain Python)':44} median {unit:7.2f} ms")
    in_process(unit)
    edge, figure = drag.latencies()
    say("a hem dragged in the browser, until it is there", edge, unit, "aim: p95 under 100 ms")
    say("... until figure and reasons are", figure, unit, "aim: p95 under 100 ms")
    end_to_end(unit)


if __name__ == "__main__":
    main()
