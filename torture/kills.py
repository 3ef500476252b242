"""Stylists write while workers, master and database are killed under them; then every acknowledged write is looked for."""

from __future__ import annotations

import random
import threading
import time
import urllib.error
import uuid
from collections import Counter
from dataclasses import dataclass, field
from datetime import UTC, datetime
from http.client import HTTPException
from typing import Any

from bench.visitor import Visitor

from torture.victim import PARTS, Victim

WRITERS = 6
#: How long one who is not answered waits before asking again, as the screens do; and how long at most, s.
AGAIN, PATIENCE = 0.2, 40.0


@dataclass
class Acknowledged:
    """What one writer was told is kept."""

    pieces: list[str] = field(default_factory=list)
    #: Trials with the errand that was handed in with each, acknowledged or not.
    trials: dict[str, tuple[str, bool]] = field(default_factory=dict)
    look: str = ""
    look_says: str = ""
    asked_again: int = 0
    #: Answers that no screen should ever see.
    broken: list[str] = field(default_factory=list)


@dataclass
class Storm:
    """What became of it."""

    kills: Counter[str]
    writes: int
    asked_again: int
    lost: list[str]
    doubled: list[str]
    half: list[str]
    broken: list[str]
    #: How long nothing was answered after each kill, s, by what was killed.
    away: dict[str, list[float]]

    @property
    def whole(self) -> bool:
        """Whether nothing was lost, doubled, half or broken."""
        return not (self.lost or self.doubled or self.half or self.broken)


def storm(victim: Victim, kills: int, seed: int = 5) -> Storm:
    """Kill so often under six writers, and count."""
    boss = victim.visitor()
    clients = [row["id"] for row in boss.ask("GET", "/api/clients")["rows"] if row["measures"]][:WRITERS]
    over, told = threading.Event(), [Acknowledged() for _ in clients]
    hands = [
        threading.Thread(target=_write, args=(victim.visitor(), client, ledger, over))
        for client, ledger in zip(clients, told, strict=True)
    ]
    for hand in hands:
        hand.start()
    killed, away = _kill(victim, kills, random.Random(seed))
    over.set()
    for hand in hands:
        hand.join()
    return _counted(boss, clients, told, killed, away)


def _kill(victim: Victim, kills: int, chance: random.Random) -> tuple[Counter[str], dict[str, list[float]]]:
    killed: Counter[str] = Counter()
    away: dict[str, list[float]] = {part: [] for part in PARTS}
    for at in range(kills):
        time.sleep(chance.uniform(0.3, 1.0))
        part = PARTS[at % len(PARTS)]
        victim.kill(part, chance)
        killed[part] += 1
        began = time.monotonic()
        time.sleep(0.05)
        while not victim.answers() and time.monotonic() - began < PATIENCE:
            time.sleep(0.05)
        away[part].append(time.monotonic() - began)
    return killed, away


def _write(visitor: Visitor, client: str, told: Acknowledged, over: threading.Event) -> None:
    """One stylist: hangs pieces, logs trials with what is due from them, changes a look; all of it again until told yes."""
    path = f"/api/clients/{client}"
    fitting, now = str(uuid.uuid4()), datetime.now(UTC).isoformat()
    _ask(visitor, told, "PUT", f"{path}/fittings/{fitting}", {"place": "shop", "started_at": now})
    look = _ask(visitor, told, "POST", f"{path}/looks", {"name": "0", "pieces": []})
    told.look, version = look["id"], look["version"]
    for at in range(1, 1_000_000):
        if over.is_set():
            return
        piece, trial, due = (str(uuid.uuid4()) for _ in range(3))
        if _ask(visitor, told, "POST", f"{path}/rack", {"id": piece, "line": "white tee"}):
            told.pieces.append(piece)
        errand = {"id": due, "kind": "alter", "text": "Hem it.", "figure": "length_cm", "by_cm": -1}
        body = {"tried_at": now, "piece_id": piece, "decision": "alter", "errands": [errand]}
        told.trials[trial] = (due, False)
        if _ask(visitor, told, "PUT", f"/api/fittings/{fitting}/trials/{trial}", body):
            told.trials[trial] = (due, True)
        change = {"name": str(at), "pieces": [{"is": "jeans"}]}
        changed = _ask(visitor, told, "PUT", f"/api/looks/{told.look}", {"version": version, **change})
        if changed:
            version, told.look_says = changed["version"], changed["name"]


def _ask(visitor: Visitor, told: Acknowledged, method: str, path: str, body: dict[str, Any]) -> Any:
    """The answer, asked for again while the server is away. A conflict with one's own write that was kept, but not
    acknowledged, is answered by what is there."""
    ends = time.monotonic() + PATIENCE
    while time.monotonic() < ends:
        try:
            return visitor.ask(method, path, body)
        except urllib.error.HTTPError as error:
            if error.code == 409:
                return visitor.last_refusal(error).get("current")
            if error.code != 503:
                told.broken.append(f"{method} {path}: {error.code}")
                return None
        except (OSError, HTTPException):
            pass
        told.asked_again += 1
        time.sleep(AGAIN)
    told.broken.append(f"{method} {path}: never answered")
    return None


def _counted(
    boss: Visitor, clients: list[str], told: list[Acknowledged], killed: Counter[str], away: dict[str, list[float]]
) -> Storm:
    found = Storm(killed, 0, 0, [], [], [], [], away)
    for client, ledger in zip(clients, told, strict=True):
        path = f"/api/clients/{client}"
        hung = Counter(piece["id"] for piece in boss.ask("GET", f"{path}/rack")["pieces"])
        fittings = boss.ask("GET", f"{path}/fittings")["fittings"]
        trials = {trial["id"]: trial for fitting in fittings for trial in fitting["trials"]}
        found.lost += [piece for piece in ledger.pieces if not hung[piece]]
        found.doubled += [piece for piece, count in hung.items() if count > 1]
        for trial, (due, acknowledged) in ledger.trials.items():
            if trial not in trials:
                found.lost += [trial] if acknowledged else []
            elif due not in {errand["id"] for errand in trials[trial]["errands"]}:
                found.half.append(trial)
        look = next(one for one in boss.ask("GET", f"{path}/looks") if one["id"] == ledger.look)
        if int(look["name"]) < int(ledger.look_says or 0):
            found.lost.append(look["id"])
        found.broken += ledger.broken
        found.asked_again += ledger.asked_again
        found.writes += (
            len(ledger.pieces) + sum(kept for _, kept in ledger.trials.values()) + int(ledger.look_says or 0)
        )
    return found
