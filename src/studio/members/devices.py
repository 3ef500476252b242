"""What a browser calls itself, said as people say it: a browser on a machine."""

from __future__ import annotations

_BROWSERS = (("Edg/", "Edge"), ("OPR/", "Opera"), ("Firefox/", "Firefox"), ("Chrome/", "Chrome"), ("Safari/", "Safari"))
_MACHINES = (
    ("iPad", "iPad"), ("iPhone", "iPhone"), ("Android", "Android"), ("Windows", "Windows"), ("Macintosh", "Mac"), ("Linux", "Linux"),
)  # fmt: skip


def device_of(user_agent: str) -> str:
    """The device of a `User-Agent`.

    >>> device_of("Mozilla/5.0 (X11; Linux x86_64) AppleWebKit/537.36 Chrome/120.0 Safari/537.36")
    'Chrome on Linux'
    >>> device_of("")
    'an unknown device'
    """
    browser = next((name for mark, name in _BROWSERS if mark in user_agent), "")
    machine = next((name for mark, name in _MACHINES if mark in user_agent), "")
    return " on ".join(filter(None, [browser, machine])) or "an unknown device"
