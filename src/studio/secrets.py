"""Secrets in addresses: made here, given out once, kept as their hash alone."""

from __future__ import annotations

import hashlib
import secrets


def new_secret() -> str:
    """32 random bytes as an address can hold them."""
    return secrets.token_urlsafe(32)


def hashed(secret: str) -> str:
    """What is kept of it. The secret is random and long: a plain hash tells nothing of it."""
    return hashlib.sha256(secret.encode()).hexdigest()
