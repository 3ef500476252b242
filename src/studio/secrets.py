"""Secrets in addresses, made here, given out once, kept as their hash alone; and what lies in the database under the server's key."""

from __future__ import annotations

import base64
import hashlib
import secrets

from cryptography.fernet import Fernet
from django.conf import settings


def new_secret() -> str:
    """32 random bytes as an address can hold them."""
    return secrets.token_urlsafe(32)


def hashed(secret: str) -> str:
    """What is kept of it. The secret is random and long: a plain hash tells nothing of it."""
    return hashlib.sha256(secret.encode()).hexdigest()


def box(use: str) -> Fernet:
    """What closes and opens something that lies in the database under the server's key, for one use."""
    key = hashlib.sha256(f"{use} {settings.SECRET_KEY}".encode()).digest()
    return Fernet(base64.urlsafe_b64encode(key))
