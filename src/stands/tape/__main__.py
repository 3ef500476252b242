"""`python -m stands.tape --port N`: the simulated tape on loopback."""

from __future__ import annotations

import argparse
import asyncio
import contextlib

from stands.tape.device import Tape
from stands.tape.script import read_script
from stands.tape.server import Carrier, run


def main() -> None:
    asked = argparse.ArgumentParser(prog="stands.tape", description="A simulated measuring tape on loopback.")
    asked.add_argument("--port", type=int, required=True)
    asked.add_argument("--session", default="evening", help="a shipped session, or a file of the same form")
    asked.add_argument("--seed", type=int, default=1, help="the hand’s noise")
    asked.add_argument("--auto", type=float, metavar="SECONDS", help="a hand presses the button by itself")
    told = asked.parse_args()
    carrier = Carrier(Tape(read_script(told.session), told.seed), told.auto)
    with contextlib.suppress(KeyboardInterrupt, asyncio.CancelledError):
        asyncio.run(run(carrier, told.port))


if __name__ == "__main__":
    main()
