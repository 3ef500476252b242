"""Steps: each says one line, keeps its output in a log, and is skipped when already done."""

from __future__ import annotations

import errno
import hashlib
import os
import shutil
import subprocess
import sys
import time
from collections.abc import Iterable, Mapping, Sequence
from pathlib import Path

from house.places import HOUSE, LOGS, ROOT, STAMPS

#: A first set-up writes about this much: packages, the front end's tools, a database, a browser.
NEEDED_BYTES = 1_500_000_000


class Trouble(Exception):
    """Something the reader has to know or do; the message says what."""


def say(line: str) -> None:
    print(line, flush=True)


def fingerprint(paths: Iterable[Path], *more: str) -> str:
    """A digest of what the files hold, so that a step is done again when they change."""
    digest = hashlib.sha256()
    for path in sorted(paths):
        digest.update(str(path.relative_to(ROOT)).encode())
        digest.update(path.read_bytes())
    for text in more:
        digest.update(text.encode())
    return digest.hexdigest()


def is_done(name: str, mark: str, where: Path = STAMPS) -> bool:
    stamp = where / name
    return stamp.is_file() and stamp.read_text() == mark


def done(name: str, mark: str, where: Path = STAMPS) -> None:
    where.mkdir(parents=True, exist_ok=True)
    (where / name).write_text(mark)


def check_room() -> None:
    """Stop before a set-up that the disk has no room for."""
    free = shutil.disk_usage(ROOT).free
    if not STAMPS.exists() and free < NEEDED_BYTES:
        raise Trouble(f"The disk has {free / 1e9:.1f} GB left; setting up takes about {NEEDED_BYTES / 1e9:.1f} GB.")


def run(
    name: str,
    line: str,
    command: Sequence[str | Path],
    *,
    cwd: Path = ROOT,
    env: Mapping[str, str] | None = None,
    user: str | None = None,
) -> None:
    """Run one step's command, its output into a log; raise Trouble with the end of it if it fails."""
    say(f"  {line} ...")
    LOGS.mkdir(parents=True, exist_ok=True)
    log = LOGS / f"{name}.log"
    began = time.monotonic()
    try:
        with log.open("w") as output:
            ended = subprocess.run(
                [str(part) for part in command],
                cwd=cwd,
                env={**os.environ, **(env or {})},
                stdin=subprocess.DEVNULL,
                stdout=output,
                stderr=subprocess.STDOUT,
                user=user,
                check=False,
            )
    except OSError as error:
        if error.errno == errno.ENOSPC:
            raise Trouble("The disk is full. Free some room and run the same command again.") from error
        raise Trouble(f"{command[0]} cannot be run: {error.strerror}.") from error
    if ended.returncode:
        tail = "\n".join(f"    {text}" for text in log.read_text(errors="replace").splitlines()[-15:])
        full = "\nThe disk is full." if "No space left" in tail else ""
        raise Trouble(f"This step failed: {line}.\n{tail}\n  All of it: {log.relative_to(ROOT)}{full}")
    took = time.monotonic() - began
    if took > 20 and sys.stdout.isatty():
        say(f"    took {took:.0f} s")


def open_house() -> None:
    """Make the ignored folder, and take away what a half-finished set-up left without its stamp."""
    HOUSE.mkdir(exist_ok=True)
    STAMPS.mkdir(exist_ok=True)
