"""A letter as it lies in the database until it has gone: whole, with whom it goes to, under the server's key."""

from __future__ import annotations

import base64
import json
from email import message_from_bytes
from email.message import Message
from email.policy import SMTP
from typing import Any

from django.core.mail import EmailMessage

from studio.secrets import box

_BOX = "post"


class _Written(Message):
    """A message that Django hands to the mail server, which asks for its ends of lines by a name of its own."""

    def as_bytes(self, unixfrom: bool = False, policy: Any = None, linesep: str = "\n") -> bytes:
        """The message as it travels."""
        return super().as_bytes(unixfrom, policy or SMTP.clone(linesep=linesep))


class Envelope(EmailMessage):
    """A letter that was written before, to be sent as it is."""

    def __init__(self, raw: bytes, sender: str, recipients: list[str]) -> None:
        super().__init__(from_email=sender, to=recipients)
        self.raw = raw

    def message(self, **_told: Any) -> Message:  # type: ignore[override]
        """The message, as it was written."""
        return message_from_bytes(self.raw, _class=_Written, policy=SMTP)


def seal(letter: EmailMessage) -> bytes:
    """A letter and whom it goes to, to be kept."""
    raw = base64.b64encode(letter.message().as_bytes()).decode()
    told = {"raw": raw, "from": letter.from_email, "to": letter.recipients()}
    return box(_BOX).encrypt(json.dumps(told).encode())


def opened(sealed: bytes) -> Envelope:
    """What was sealed. Raises cryptography.fernet.InvalidToken where the server's key is another by now."""
    told = json.loads(box(_BOX).decrypt(sealed))
    return Envelope(base64.b64decode(told["raw"]), told["from"], told["to"])
