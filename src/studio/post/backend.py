"""Django's way into the post: whatever sends a mail puts it there, and waits for no mail server."""

from __future__ import annotations

from collections.abc import Sequence

from django.core.mail import EmailMessage
from django.core.mail.backends.base import BaseEmailBackend


class PostBackend(BaseEmailBackend):
    """Puts letters of no studio into the post."""

    def send_messages(self, email_messages: Sequence[EmailMessage]) -> int:
        """How many letters are on their way."""
        from studio.post.services import put

        for letter in email_messages:
            put(letter)
        return len(email_messages)
