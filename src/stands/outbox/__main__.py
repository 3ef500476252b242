"""`python -m stands.outbox --port N --folder F`: SMTP on loopback (RFC 5321); each letter becomes an .eml file."""

from __future__ import annotations

import argparse
import contextlib
import time
from datetime import UTC, datetime
from pathlib import Path
from typing import Any

from aiosmtpd.controller import Controller

#: So many letters are kept; older ones are thrown away.
KEPT = 200


class Outbox:
    """Lays letters down in a folder."""

    def __init__(self, folder: Path) -> None:
        self.folder = folder
        folder.mkdir(parents=True, exist_ok=True)

    async def handle_DATA(self, server: Any, session: Any, envelope: Any) -> str:  # noqa: N802 (the name is the library's)
        """Take a letter."""
        name = datetime.now(UTC).strftime("%Y%m%d-%H%M%S-%f")
        (self.folder / f"{name}.eml").write_bytes(envelope.original_content)
        for old in sorted(self.folder.glob("*.eml"))[:-KEPT]:
            old.unlink(missing_ok=True)
        return "250 Taken"


def main() -> None:
    asked = argparse.ArgumentParser(prog="stands.outbox", description="A simulated mail server on loopback.")
    asked.add_argument("--port", type=int, required=True)
    asked.add_argument("--folder", type=Path, default=Path(".house") / "outbox")
    told = asked.parse_args()
    controller = Controller(Outbox(told.folder), hostname="127.0.0.1", port=told.port)
    controller.start()
    with contextlib.suppress(KeyboardInterrupt):
        while True:
            time.sleep(3600)


if __name__ == "__main__":
    main()
