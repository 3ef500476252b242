"""The tape itself: what it shows, what it remembers, what it says when its button is pressed."""

from __future__ import annotations

import random
import uuid
from dataclasses import dataclass, field
from typing import Any

from stands.tape.script import Event, Script

CM_PER_INCH = 2.54
#: What it does not know is read as lying on the table, cm.
ON_THE_TABLE = 0.0
#: A fold in the tape swallows this much, cm.
FOLD = 20.0

Message = dict[str, Any]


@dataclass
class Tape:
    """A simulated tape. `press` takes a reading of the measure shown; unheard ones are remembered."""

    script: Script
    seed: int = 1
    unit: str = "cm"
    battery: int = 84
    shown: str = ""
    presses: int = 0
    remembered: list[Message] = field(default_factory=list)

    def __post_init__(self) -> None:
        self._chance = random.Random(self.seed)  # noqa: S311 (noise, no secret)

    def hello(self) -> Message:
        return {"type": "hello", "protocol": 1, "tape": "stand-in", "unit": self.unit, "battery": self.battery}

    def show(self, measure: str) -> None:
        """The desk asks for a measure; the tape's little display shows it."""
        self.shown = measure

    def press(self) -> tuple[list[Message], list[Event]]:
        """Take a reading: messages to send, and events that the carrier must act on (drop-outs)."""
        self.presses += 1
        events = self.script.happening(self.presses)
        messages: list[Message] = []
        for event in events:
            if event.do == "unit":
                self.unit = event.how
                messages.append({"type": "unit", "unit": self.unit})
            elif event.do == "battery":
                self.battery = event.percent
                messages.append({"type": "battery", "percent": self.battery})
        slips = [event.how for event in events if event.do == "slip"]
        cm = self._read(slips)
        messages += [
            {"type": "live", "value": self._written(cm * part), "unit": self.unit} for part in (0.4, 0.8, 0.97)
        ]
        reading = {
            "type": "reading",
            "id": str(uuid.UUID(int=self._chance.getrandbits(128), version=4)),
            "seq": self.presses,
            "for": self.shown,
            "value": self._slipped(cm, slips),
            "unit": self.unit,
            "battery": self.battery,
        }
        self.remembered.append(reading)
        return [*messages, reading], [event for event in events if event.do == "drop"]

    def _read(self, slips: list[str]) -> float:
        truth = self.script.body.get(self.shown, ON_THE_TABLE)
        cm = truth + self._chance.gauss(0.0, self.script.spread(self.shown)) if truth else ON_THE_TABLE
        return max(cm - (FOLD if "folded" in slips else 0.0), 0.0)

    def _slipped(self, cm: float, slips: list[str]) -> str:
        if "inches" in slips:
            # Its unit was switched and its label was not.
            return f"{cm / CM_PER_INCH:.1f}"
        if "digit" in slips:
            return f"{cm * 10:.0f}"
        return self._written(cm)

    def _written(self, cm: float) -> str:
        return f"{cm if self.unit == 'cm' else cm / CM_PER_INCH:.{1 if self.unit == 'cm' else 2}f}"

    def since(self, seq: int) -> list[Message]:
        """Readings after `seq` that nobody has confirmed."""
        return [reading for reading in self.remembered if reading["seq"] > seq]

    def got(self, seq: int) -> None:
        """A reading arrived and was kept: it need not be remembered."""
        self.remembered = [reading for reading in self.remembered if reading["seq"] != seq]
