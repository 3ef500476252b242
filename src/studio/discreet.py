"""Logs without personal data: what broke and where, not the values it broke on."""

from __future__ import annotations

import logging
import traceback
from types import TracebackType
from typing import Any

from django.db import OperationalError

Caught = tuple[type[BaseException], BaseException, TracebackType | None] | tuple[None, None, None]


class Discreet(logging.Formatter):
    """Tells an exception by its kind and its way through the code: its message may hold a name or a measure."""

    def formatException(self, ei: Caught) -> str:  # noqa: N802 (the name is logging's)
        kind, error, trace = ei
        if kind is not None and issubclass(kind, OperationalError):
            # Every request hears it while the database is away; where in the code it heard it is no news.
            return kind.__name__
        lines = traceback.format_tb(trace)
        while error is not None and (error := error.__cause__ or error.__context__) is not None:
            lines += [f"after {type(error).__name__}\n"]
        return "".join([*lines, kind.__name__ if kind else ""])


def logging_config() -> dict[str, Any]:
    """Django's logging: warnings and worse, discreetly. Who missed at sign-in stands in the database for a day, not here."""
    return {
        "version": 1,
        "disable_existing_loggers": False,
        "formatters": {"discreet": {"()": Discreet, "format": "%(asctime)s %(levelname)s %(name)s: %(message)s"}},
        "handlers": {
            "console": {"class": "logging.StreamHandler", "formatter": "discreet"},
        },
        "root": {"handlers": ["console"], "level": "WARNING"},
        "loggers": {
            "django": {"handlers": ["console"], "level": "WARNING", "propagate": False},
            # What was refused is told to whoever asked, and is no news.
            "django.request": {"handlers": ["console"], "level": "ERROR", "propagate": False},
        },
    }
