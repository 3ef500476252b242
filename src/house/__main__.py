"""The words of `./basilwood`."""

from __future__ import annotations

import argparse
import errno
import os
import signal
import subprocess
import sys
from collections.abc import Callable
from pathlib import Path

from house import keeping, production, setup
from house.places import PYTHON
from house.serve import DEFAULT_PORT, demo, dev
from house.steps import Trouble, open_house, say
from house.testing import in_test_cluster, test

#: What is done to a studio that is served for real (docs/operating.md).
STUDIO_WORDS = {
    "serve": "serve studios for real",
    "found": "found a studio and ask its owner in",
    "backup": "a sealed copy of everything, while people work",
    "check": "prove that a copy comes back row for row",
    "restore": "bring a copy back into an empty place",
    "upgrade": "bring the database to this version; where that fails, all is as before",
}


def judge(words: list[str]) -> int:
    """Hold the engine against files of judged cases."""
    open_house()
    setup.python_packages()
    env = {**os.environ, **setup.SETTINGS}
    return subprocess.run([str(PYTHON), "-m", "craft.cases", *words], env=env, check=False).returncode


def outfits(words: list[str]) -> int:
    """Every look of the wardrobes in a file."""
    open_house()
    setup.python_packages()
    env = {**os.environ, **setup.SETTINGS}
    return subprocess.run([str(PYTHON), "-m", "craft.cases.outfits", *words], env=env, check=False).returncode


def main() -> int:
    parser = argparse.ArgumentParser(prog="./basilwood", description="Basilwood, for personal stylists.")
    words = parser.add_subparsers(
        dest="word",
        required=True,
        metavar="demo | serve | found | backup | check | restore | upgrade | test | dev | judge | outfits | bench | load | torture | types | shots | specimens",
    )
    for name, what in (("demo", "set up and serve with demo data"), ("dev", "serve with reload")):
        word = words.add_parser(name, help=what)
        word.add_argument("--port", type=int, default=DEFAULT_PORT)
        if name == "demo":
            how = "let a hand press the simulated tape so long after each measure is shown"
            word.add_argument("--hand", type=float, metavar="SECONDS", help=how)
    for name, what in STUDIO_WORDS.items():
        word = words.add_parser(name, help=what)
        word.add_argument("--settings", type=Path, metavar="FILE", help="a file of BASILWOOD_... variables")
        if name in ("backup", "check", "restore"):
            word.add_argument("file", type=Path)
        if name in ("check", "restore"):
            word.add_argument("--identity", type=Path, help="what opens the copy, if not the one made here")
        if name == "found":
            word.add_argument("name")
            word.add_argument("email")
            word.add_argument("--address", help="what the studio is known under, for the owner's invitation")
        if name == "serve":
            word.add_argument("--listen", default=f"127.0.0.1:{DEFAULT_PORT}", metavar="ADDRESS:PORT")
            word.add_argument("--workers", type=int, default=os.cpu_count() or 2, help="of the application; 0 for none")
            word.add_argument("--queue", type=int, default=1, help="workers of the queue; 0 for none")
    words.add_parser(
        "test",
        help="set up and run the tests, all in two halves side by side, or as pytest's arguments say",
        add_help=False,
    )
    words.add_parser("judge", help="hold the engine against judged cases", add_help=False)
    words.add_parser("outfits", help="every look of a wardrobe, best first", add_help=False)
    words.add_parser("bench", help="print the engine's figures", add_help=False)
    words.add_parser("load", help="a studio of fifty under load, and how long they wait", add_help=False)
    words.add_parser("torture", help="kill, race and abuse a server, and count what is lost", add_help=False)
    words.add_parser("shots", help="take the pictures of docs/screenshots anew")
    words.add_parser("specimens", help="draw the specimen sheets and the looks that tests hold anew")
    words.add_parser("types", help="make the front end's types anew from the interface")
    for told in (signal.SIGTERM, signal.SIGINT):
        # A shell that starts us in the background has SIGINT ignored; stopping must work all the same.
        signal.signal(told, signal.default_int_handler)
    known, rest = parser.parse_known_args()
    if known.word in ("demo", "dev", *STUDIO_WORDS) and rest:
        parser.error(f"unknown: {' '.join(rest)}")
    calls: dict[str, Callable[[], int | None]] = {
        "demo": lambda: demo(known.port, known.hand),
        "dev": lambda: dev(known.port),
        "serve": lambda: production.serve(known.settings, known.listen, known.workers, known.queue),
        "found": lambda: production.found(known.name, known.email, known.settings, known.address),
        "backup": lambda: keeping.backup(known.file, known.settings),
        "check": lambda: keeping.check(known.file, known.identity),
        "restore": lambda: keeping.restore(known.file, known.settings, known.identity),
        "upgrade": lambda: keeping.upgrade(known.settings),
        "test": lambda: test(rest),
        "bench": lambda: in_test_cluster(["bench", *rest]),
        "load": lambda: in_test_cluster(["load", *rest], durable=True),
        "torture": lambda: in_test_cluster(["torture", *rest]),
        "shots": lambda: in_test_cluster(["tests.browser.shots"]),
        "specimens": lambda: in_test_cluster(["tests.browser.specimens"]),
        "judge": lambda: judge(rest),
        "outfits": lambda: outfits(rest),
        "types": setup.front_end_types,
    }
    try:
        return calls[known.word]() or 0
    except Trouble as trouble:
        say(f"\n{trouble}")
        return 1
    except KeyboardInterrupt:
        say("\nStopped.")
        return 130
    except OSError as error:
        if error.errno != errno.ENOSPC:
            raise
        say("\nThe disk is full. Free some room and run the same command again.")
        return 1


if __name__ == "__main__":
    sys.exit(main())
