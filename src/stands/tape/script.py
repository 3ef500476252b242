"""What a simulated session is made of: an invented body, a hand's noise, and what goes wrong when."""

from __future__ import annotations

import json
from dataclasses import dataclass, field
from pathlib import Path
from typing import Any, Literal

SESSIONS = Path(__file__).parent / "sessions"

Slip = Literal["inches", "folded", "digit"]
What = Literal["slip", "drop", "unit", "battery"]


@dataclass(frozen=True)
class Event:
    """Something that happens at the nth press of the button, counted from one."""

    at: int
    do: What
    how: str = ""
    seconds: float = 0.0
    percent: int = 0


@dataclass(frozen=True)
class Script:
    """A body in cm by measure, the noise of height and of other readings, cm, and the events."""

    name: str
    body: dict[str, float]
    noise_height: float
    noise: float
    events: tuple[Event, ...] = field(default=())

    def truth(self, measure: str) -> float:
        """The true length, cm. Raises KeyError for a measure this body does not have."""
        return self.body[measure]

    def spread(self, measure: str) -> float:
        return self.noise_height if measure.endswith("_height") or measure == "stature" else self.noise

    def happening(self, press: int) -> list[Event]:
        return [event for event in self.events if event.at == press]


def read_script(name_or_path: str) -> Script:
    """A script by the name of a shipped session, or from a file of the same form."""
    path = Path(name_or_path)
    if not path.suffix:
        path = SESSIONS / f"{name_or_path}.json"
    told: dict[str, Any] = json.loads(path.read_text())
    return Script(
        told["name"],
        {name: float(cm) for name, cm in told["body"].items()},
        float(told["noise_height"]),
        float(told["noise"]),
        tuple(Event(**event) for event in told.get("events", [])),
    )
