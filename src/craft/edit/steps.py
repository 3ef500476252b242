"""The progress of several searches, one after the other, as one."""

from __future__ import annotations

from collections.abc import Sequence

from craft.search.crew import Progress


class Steps:
    """Progress cut into steps, each so much of the whole; every step moves it on, so that whoever waits sees that it goes on.

    >>> told = []
    >>> steps = Steps(told.append, (0.5, 0.5))
    >>> first, second = steps.next(), steps.next()
    >>> first(0.5), second(1.0), told
    (None, None, [0.25, 1.0])
    """

    def __init__(self, progress: Progress | None, shares: Sequence[float]) -> None:
        self._progress, self._shares, self._at = progress, tuple(shares), 0

    def next(self) -> Progress | None:
        """The progress of the next step."""
        began, share, progress = sum(self._shares[: self._at]), self._shares[self._at], self._progress
        self._at += 1
        return None if progress is None else lambda part: progress(began + share * part)
