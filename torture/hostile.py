"""Half-sent requests by the hundred and pictures that open into gigabytes, while an honest stylist goes on."""

from __future__ import annotations

import io
import socket
import threading
import time
import urllib.error
import urllib.request
import uuid
from dataclasses import dataclass

from PIL import Image

from torture.victim import Victim

HALF_SENT = 300
PICTURES = 8
_HEAD = b"GET /api/session HTTP/1.1\r\nHost: 127.0.0.1\r\nX-Half: "
_BODY = (
    b"POST /api/session HTTP/1.1\r\nHost: 127.0.0.1\r\nContent-Type: application/json\r\nContent-Length: 900\r\n\r\n{"
)


def half_sent(victim: Victim, count: int = HALF_SENT) -> float:
    """The longest an honest request takes, s, while so many heads and bodies do not end."""
    visitor, sockets = victim.visitor(), []
    try:
        for at in range(count):
            one = socket.create_connection(("127.0.0.1", victim.port), 5)
            one.sendall(_HEAD if at % 2 else _BODY)
            sockets.append(one)
        took = []
        for _ in range(40):
            began = time.monotonic()
            visitor.ask("GET", "/api/clients")
            took.append(time.monotonic() - began)
        return max(took)
    finally:
        for one in sockets:
            one.close()


@dataclass(frozen=True)
class Flood:
    """What so many huge pictures at once came to: the most memory taken, bytes, and how each was answered."""

    before: int
    most: int
    after: int
    answers: tuple[int, ...]


def pictures(victim: Victim, count: int = PICTURES, side: int = 4990) -> Flood:
    """Send so many pictures of plain colour at once: small as files, huge when opened."""
    visitor = victim.visitor()
    client = next(row["id"] for row in visitor.ask("GET", "/api/clients")["rows"])
    piece = visitor.ask("POST", f"/api/clients/{client}/rack", {"id": str(uuid.uuid4()), "line": "white tee"})["id"]
    out = io.BytesIO()
    Image.new("RGBA", (side, side), "#1f2a44").save(out, "PNG")
    before, most, over = victim.memory(), 0, threading.Event()
    answers: list[int] = []

    def watch() -> None:
        nonlocal most
        while not over.is_set():
            most = max(most, victim.memory())
            time.sleep(0.02)

    def send() -> None:
        address = f"{victim.address}/api/rack/{piece}/pictures/{uuid.uuid4()}"
        headers = {"Content-Type": "image/png", "X-CSRFToken": visitor.token, "Cookie": visitor.cookies}
        request = urllib.request.Request(address, out.getvalue(), headers, method="PUT")
        try:
            with urllib.request.urlopen(request, timeout=120) as answer:
                answers.append(answer.status)
        except urllib.error.HTTPError as error:
            answers.append(error.code)

    hands = [threading.Thread(target=send) for _ in range(count)]
    watcher = threading.Thread(target=watch)
    for hand in (watcher, *hands):
        hand.start()
    for hand in hands:
        hand.join()
    over.set()
    watcher.join()
    return Flood(before, most, victim.memory(), tuple(sorted(answers)))
