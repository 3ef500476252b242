"""Logs without personal data: what broke and where, not the values it broke on."""

from __future__ import annotations

import json
import logging
import traceback
from contextvars import ContextVar
from datetime import UTC, datetime
from types import TracebackType
from typing import Any

from django.db import OperationalError

WORDS = "%(asctime)s %(levelname)s %(name)s: %(message)s"
#: Of which request the code now at work is.
REQUEST_ID: ContextVar[str] = ContextVar("request_id", default="")
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


class JsonLines(Discreet):
    """A line of JSON for each record: when, how bad, from where in the code, of which request, and what."""

    def format(self, record: logging.LogRecord) -> str:
        told: dict[str, Any] = {
            "at": datetime.fromtimestamp(record.created, UTC).isoformat(timespec="milliseconds"),
            "level": record.levelname.lower(),
            "from": record.name,
            "request": REQUEST_ID.get(),
            "message": record.getMessage(),
            **getattr(record, "told", {}),
        }
        if record.exc_info:
            told["broke"] = self.formatException(record.exc_info)
        return json.dumps(told)


def logging_config(as_json: bool = False) -> dict[str, Any]:
    """Django's logging: warnings and worse, discreetly; as JSON every request too. Who missed at sign-in stands in the database
    for a quarter of an hour, not here."""
    formatter = {"()": JsonLines} if as_json else {"()": Discreet, "format": WORDS}
    return {
        "version": 1,
        "disable_existing_loggers": False,
        "formatters": {"discreet": formatter},
        "handlers": {
            "console": {"class": "logging.StreamHandler", "formatter": "discreet"},
        },
        "root": {"handlers": ["console"], "level": "WARNING"},
        "loggers": {
            "django": {"handlers": ["console"], "level": "WARNING", "propagate": False},
            "basilwood.request": {
                "handlers": ["console"],
                "level": "INFO" if as_json else "CRITICAL",
                "propagate": False,
            },
            # What was refused is told to whoever asked, and is no news.
            "django.request": {"handlers": ["console"], "level": "ERROR", "propagate": False},
        },
    }
