"""Every error of the studio's verbs. What the interface answers to each stands in studio/answers.py."""

from __future__ import annotations

from typing import TYPE_CHECKING

from craft.errors import InvalidInput

if TYPE_CHECKING:
    from django.db.models import Model

    from craft.measuring.checks import Doubt
    from craft.units import Unit
    from studio.bodies.models import Reading


class NotAllowed(InvalidInput):
    """A measuring session may not begin or go on: no consent, no guardian, or nobody opened one."""


class NotPermitted(Exception):
    """The role of who asks has no right to this; the message says so."""


class NoStudio(Exception):
    """Somebody is signed in who works in no studio, or in another than the screen shows; the message says what to do."""


class NeedsSecondFactor(Exception):
    """The studio asks for a second factor and this account has none yet."""


class NotInvited(InvalidInput):
    """An invitation or a change of who works here that cannot be; the message says why."""


class NotTried(InvalidInput):
    """A trial that cannot be logged as it is; the message says why."""

    field = "piece"


class NotAPicture(InvalidInput):
    """A file that is not taken for a picture; the message says why."""

    field = "picture"


class TooMany(InvalidInput):
    """More charts than a studio keeps."""

    field = "text"


class UnknownRule(InvalidInput):
    """An id that is no rule of the engine."""

    field = "muted"


class Busy(Exception):
    """More at once than is taken in; the message says what to try again."""


class NoShop(Exception):
    """No shop is known, or it does not answer, or not with a feed; the message says which."""


class NoForecast(Exception):
    """No forecast is known, or it does not answer; the message says which."""


class NoPost(Exception):
    """A letter was not sent: no mail server is set, or it does not answer; the message says which."""


class Overtaken(Exception):
    """Somebody took this measure since the screen last saw it; holds the newest reading."""

    def __init__(self, measure: str, current: Reading | None) -> None:
        self.measure, self.current = measure, current
        super().__init__("overtaken")


class Doubtful(Exception):
    """A reading should be looked at again before it is kept."""

    def __init__(self, measure: str, doubt: Doubt, unit: Unit) -> None:
        self.measure, self.doubt = measure, doubt
        super().__init__(doubt.text.say(unit))


class Taken(Exception):
    """An identity that the desk made stands for something else in this studio already."""


class Again(Exception):
    """A file or a table that was handed in before; the message says when, and asks."""


class Stale(Exception):
    """A row was changed since the version that a write was made from; `current` is the row as it is now."""

    def __init__(self, current: Model) -> None:
        self.current = current
        super().__init__("stale")
