"""Many stylists at once: what a server of two workers answers, and how long the slowest wait.

Each stylist keeps one connection and asks what a working day asks, in turn; first without pause, then with the pauses of
somebody who looks at what they see. Runs in a process of its own, so that it does not share an interpreter with anybody.
"""

from __future__ import annotations

import gevent.monkey

gevent.monkey.patch_all()

import http.client  # noqa: E402 (patched first)
import json  # noqa: E402
import random  # noqa: E402
import sys  # noqa: E402
import time  # noqa: E402
from collections.abc import Iterator  # noqa: E402

import gevent  # noqa: E402

STYLISTS = 50


def asked(client: str, look: list[dict[str, object]]) -> list[tuple[str, str, object]]:
    """What one stylist asks in turn, about one client."""
    path = f"/api/clients/{client}"
    pieces = {"pieces": look}
    return [
        ("GET", "/api/clients", None),
        ("GET", path, None),
        ("GET", f"{path}/desk", None),
        ("POST", f"{path}/assess", pieces),
        ("POST", f"{path}/assess", pieces),
        ("GET", f"{path}/looks", None),
        ("GET", f"{path}/rack", None),
        ("POST", f"{path}/assess", pieces),
        ("GET", f"{path}/reading", None),
        ("GET", f"{path}/shopping", None),
    ]


def stylist(at: int, told: dict[str, object], ends: float, pause: float, took: list[float], wrong: list[int]) -> None:
    """One stylist until the time is up."""
    chance = random.Random(at)  # noqa: S311 (a crowd, no secret)
    clients: list[str] = told["clients"]  # type: ignore[assignment]
    looks: list[list[dict[str, object]]] = told["looks"]  # type: ignore[assignment]
    link = http.client.HTTPConnection("127.0.0.1", int(str(told["port"])), timeout=60)
    headers = {"Cookie": str(told["cookie"]), "X-CSRFToken": str(told["token"]), "Content-Type": "application/json"}
    gevent.sleep(chance.uniform(0, pause or 0.5))
    for method, path, body in _for_ever(clients, looks, chance):
        if time.monotonic() > ends:
            return
        began = time.monotonic()
        link.request(method, path, None if body is None else json.dumps(body), headers)
        answer = link.getresponse()
        answer.read()
        took.append(time.monotonic() - began)
        if answer.status != 200:
            wrong.append(answer.status)
        if pause:
            gevent.sleep(chance.uniform(0.5, 1.5) * pause)


def _for_ever(
    clients: list[str], looks: list[list[dict[str, object]]], chance: random.Random
) -> Iterator[tuple[str, str, object]]:
    while True:
        yield from asked(chance.choice(clients), chance.choice(looks))


def run(told: dict[str, object], seconds: float, pause: float) -> dict[str, object]:
    """All of them at once for so long; how many a second were answered, and how long they took, ms."""
    took: list[float] = []
    wrong: list[int] = []
    ends = time.monotonic() + seconds
    gevent.joinall([gevent.spawn(stylist, at, told, ends, pause, took, wrong) for at in range(STYLISTS)])
    ranked = sorted(took)
    at = {
        name: round(ranked[int(len(ranked) * share)] * 1000, 1)
        for name, share in (("p50", 0.5), ("p95", 0.95), ("p99", 0.99))
    }
    return {"a second": round(len(took) / seconds, 1), **at, "worst": round(ranked[-1] * 1000, 1), "wrong": len(wrong)}


if __name__ == "__main__":
    given = json.loads(sys.stdin.read())
    print(json.dumps(run(given, float(sys.argv[1]), float(sys.argv[2]))))
