"""The tape on loopback: JSON messages over a WebSocket, one object a message (docs/tape-protocol.md)."""

from __future__ import annotations

import asyncio
import contextlib
import json
import re
from dataclasses import dataclass, field

from websockets.asyncio.server import ServerConnection, serve
from websockets.exceptions import ConnectionClosed

from stands.tape.device import Message, Tape

#: Only pages of this machine may listen.
ORIGINS = [re.compile(r"https?://(127\.0\.0\.1|localhost)(:\d+)?"), None]
#: Between the messages of one reading, seconds.
BEAT = 0.03


@dataclass
class Carrier:
    """Carries one tape's messages to whoever listens; loses the connection when the script says so."""

    tape: Tape
    #: When set, a hand presses the button by itself so many seconds after a measure is shown, and again
    #: after each reading that was kept, as long as that measure is shown: it plays a whole session.
    auto: float | None = None
    listeners: set[ServerConnection] = field(default_factory=set)
    out_until: float = 0.0
    _hand: asyncio.Task[None] | None = None

    async def listen(self, link: ServerConnection) -> None:
        """One desk, from its connection to its end."""
        if self._now() < self.out_until:
            await link.close(1013, "out of reach")
            return
        self.listeners.add(link)
        try:
            await link.send(json.dumps(self.tape.hello()))
            async for text in link:
                await self._heard(link, text)
        except ConnectionClosed:
            pass
        finally:
            self.listeners.discard(link)

    def _now(self) -> float:
        return asyncio.get_running_loop().time()

    async def _heard(self, link: ServerConnection, text: str | bytes) -> None:
        try:
            told = json.loads(text)
            say = told["say"]
        except (ValueError, TypeError, KeyError):
            await link.send(json.dumps({"type": "error", "message": "Not a message of this protocol."}))
            return
        if say == "show":
            self.tape.show(str(told.get("measure", ""))[:40])
            self._start_hand()
        elif say == "read":
            await self.press()
        elif say == "since":
            for reading in self.tape.since(int(told.get("seq", 0))):
                await self._send(reading)
        elif say == "got":
            self.tape.got(int(told.get("seq", 0)))
            self._start_hand()

    def _start_hand(self) -> None:
        """Let the hand press in a while; what it was about to do before no longer counts."""
        if self._hand:
            self._hand.cancel()
        after = self.auto
        if after is None or not self.tape.shown:
            return

        async def hand() -> None:
            await asyncio.sleep(after)
            await self.press()

        self._hand = asyncio.get_running_loop().create_task(hand())

    async def press(self) -> None:
        """The button: live figures, then the reading. At a drop-out the reading is only remembered."""
        messages, drops = self.tape.press()
        if drops:
            self.out_until = self._now() + drops[0].seconds
            for link in list(self.listeners):
                await link.close(1001, "out of reach")
            return
        for message in messages:
            await self._send(message)
            await asyncio.sleep(BEAT)

    async def _send(self, message: Message) -> None:
        for link in list(self.listeners):
            with contextlib.suppress(ConnectionClosed):
                await link.send(json.dumps(message))


async def run(carrier: Carrier, port: int, ready: asyncio.Event | None = None) -> None:
    """Serve until cancelled."""
    async with serve(carrier.listen, "127.0.0.1", port, origins=ORIGINS):
        if ready:
            ready.set()
        await asyncio.get_running_loop().create_future()
