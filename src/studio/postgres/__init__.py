"""Django's PostgreSQL, asked with less patience: a database that is away is told at once."""

from __future__ import annotations

from typing import Any

from django.db import connection


def forget_connections() -> None:
    """Let go of all connections that are held ready: they lead to a database that is gone."""
    wrapper: Any = connection
    wrapper.close_pool()
