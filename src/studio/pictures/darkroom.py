"""Pictures are developed one at a time, each in a process of its own with bounds on memory and time.

What is sent may be made to hurt: a small file that opens into gigabytes, or one that a decoder chokes on. It gets no
further than that process, and whatever it took is given back when the process ends.
"""

from __future__ import annotations

import fcntl
import json
import os
import resource
import subprocess
import sys
import tempfile
import threading
from pathlib import Path

from studio.errors import Busy, NotAPicture
from studio.pictures.harmless import LARGEST_BYTES, Harmless, made_harmless, too_large

#: Memory that one picture may take, bytes, and how long it may take, s.
MOST_MEMORY, LONGEST = 1_200_000_000, 20
#: So many pictures wait for their turn in one server process; one more is asked to come back.
MOST_WAITING = 6
#: Whoever holds this file's lock develops, on the whole machine.
TURN = Path(tempfile.gettempdir()) / f"basilwood-darkroom-{os.getuid()}"

_waiting = threading.BoundedSemaphore(MOST_WAITING)


def develop(given: bytes) -> Harmless:
    """Make a picture harmless. Raises NotAPicture, or Busy where too many wait already."""
    if len(given) > LARGEST_BYTES:
        raise too_large()
    if not _waiting.acquire(blocking=False):
        raise Busy("Many pictures are being taken in. This one has not been yet; try again in a moment.")
    try:
        done = subprocess.run(
            [sys.executable, "-m", "studio.pictures.darkroom"],
            input=given,
            stdout=subprocess.PIPE,
            stderr=subprocess.DEVNULL,
            timeout=LONGEST * (MOST_WAITING + 1),
            check=False,
            env={"PYTHONPATH": os.pathsep.join(sys.path)},
        )
    except subprocess.TimeoutExpired as late:
        raise NotAPicture("This picture takes too long to read. Send it smaller.") from late
    finally:
        _waiting.release()
    if done.returncode:
        raise NotAPicture("This picture takes too much to read. Send it smaller.")
    head, _, images = done.stdout.partition(b"\n")
    told = json.loads(head)
    if "refused" in told:
        raise NotAPicture(told["refused"])
    palette = tuple((str(colour), float(share)) for colour, share in told["palette"])
    at = int(told["image"])
    return Harmless(images[:at], images[at:], int(told["width"]), int(told["height"]), palette)


def main() -> None:
    """In the process of its own: wait for the turn, read a picture, write what became of it."""
    resource.setrlimit(resource.RLIMIT_AS, (MOST_MEMORY, MOST_MEMORY))
    resource.setrlimit(resource.RLIMIT_CPU, (LONGEST, LONGEST))
    with os.fdopen(os.open(TURN, os.O_WRONLY | os.O_CREAT | os.O_NOFOLLOW, 0o600), "w") as turn:
        fcntl.flock(turn, fcntl.LOCK_EX)
        try:
            made = made_harmless(sys.stdin.buffer.read(LARGEST_BYTES + 1))
        except NotAPicture as refused:
            print(json.dumps({"refused": str(refused)}))
            return
    told = {"width": made.width, "height": made.height, "palette": made.palette, "image": len(made.image)}
    # What a decoder may have been made to do stays in here: plain figures and bytes go out, nothing that is run.
    sys.stdout.buffer.write(json.dumps(told).encode() + b"\n" + made.image + made.small)


if __name__ == "__main__":
    main()
