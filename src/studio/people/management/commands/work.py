"""A worker of the queue: long searches one after another, and beside them the letters, so that none waits for a search."""

from __future__ import annotations

import asyncio
import signal
from typing import Any

from django.core.management.base import BaseCommand
from procrastinate.contrib.django import app

from craft.search.crew import ready

#: The queues, and what of their jobs is cleared away when it is done: of letters there are many, a look at what is due each minute.
#: Each is worked on one at a time: two searches at once would be too much for one machine's memory.
QUEUES = {"searches": "never", "post": "successful"}


class Command(BaseCommand):
    help = "Work on the queue until SIGTERM or Ctrl-C: searches, plans and books, and beside them the letters."

    def handle(self, *args: Any, **options: Any) -> None:
        """Work until told to stop; what is in hand is finished first."""
        ready()
        with app.replace_connector(app.connector.get_worker_connector()):  # type: ignore[attr-defined]
            asyncio.run(_work())


async def _work() -> None:
    async with app.open_async():
        await _until_told()


async def _until_told() -> None:
    working = asyncio.gather(*(_worker(queue, cleared) for queue, cleared in QUEUES.items()))
    for told in (signal.SIGTERM, signal.SIGINT):
        asyncio.get_running_loop().add_signal_handler(told, working.cancel)
    try:
        await working
    except asyncio.CancelledError:
        return


async def _worker(queue: str, cleared: str) -> None:
    await app.run_worker_async(
        queues=[queue], concurrency=1, name=queue, install_signal_handlers=False, delete_jobs=cleared
    )
