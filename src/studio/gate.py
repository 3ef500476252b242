"""The gate of the interface. What comes in is JSON whose text and numbers can be kept, or it is refused in words;
whatever goes wrong leaves as JSON of one shape: a sentence, and the field it is about."""

from __future__ import annotations

import json
import math
import re
import sys
from collections.abc import Callable
from typing import Any

from django.db import InterfaceError, OperationalError, connection
from django.http import HttpRequest, HttpResponse, JsonResponse, QueryDict
from ninja.parser import Parser
from psycopg_pool import PoolTimeout

from craft.errors import InvalidInput
from studio import postgres

Answer = Callable[[HttpRequest], HttpResponse]

#: What no text that is kept may hold: a zero, which PostgreSQL refuses, or half of a character.
_UNKEPT = re.compile("[\x00\ud800-\udfff]")
#: The same as JSON writes it, looked for in the bytes first: nearly no body has it.
_ESCAPED = re.compile(rb"\\u(?:0000|[dD][89a-fA-F])")
#: No honest body is nested deeper, and no honest whole number is longer.
DEEPEST, LONGEST_NUMBER = 24, 15
#: How long a screen should wait before it asks again while the database is brought back, s.
ASK_AGAIN = 1

SENTENCES = {
    400: "This cannot be read.",
    403: "This page has been open too long. Load it again; what you saved is safe.",
    404: "This is not here, or not in your studio.",
    405: "This cannot be done here.",
    413: "This is too large.",
    415: "Send this as JSON.",
    500: "Something went wrong here, and nothing of this was kept. It has been noted; try again.",
    503: "The server is being brought back. Wait a moment; what you typed stays here.",
}


class Unreadable(InvalidInput):
    """A body or a question that cannot be kept as text and numbers; the message says why."""


class Gate(Parser):
    """Reads bodies and questions, and lets nothing through that the database could not keep."""

    def parse_body(self, request: HttpRequest) -> Any:
        """The JSON of a body. Raises Unreadable."""
        body = request.body
        try:
            told = json.loads(body, parse_constant=_no_number, parse_float=_finite, parse_int=_whole)
        except (ValueError, RecursionError) as error:
            if isinstance(error, Unreadable):
                raise
            raise Unreadable("This is not JSON that can be read.") from error
        if body.count(b"[") + body.count(b"{") > DEEPEST or _ESCAPED.search(body):
            _look_through(told)
        return told

    def parse_querydict(self, data: Any, list_fields: list[str], request: HttpRequest) -> dict[str, Any]:
        """The fields of a question. Raises Unreadable."""
        if isinstance(data, QueryDict):
            for key, texts in data.lists():
                for text in texts:
                    _keepable(text, key)
        return super().parse_querydict(data, list_fields, request)


def _no_number(text: str) -> float:
    raise Unreadable(f"{text} is not a number.")


def _finite(text: str) -> float:
    value = float(text)
    return value if math.isfinite(value) else _no_number(text[:20])


def _whole(text: str) -> int:
    if len(text) > LONGEST_NUMBER:
        raise Unreadable("This number is too long.")
    return int(text)


def _keepable(text: str, field: str = "") -> None:
    if _UNKEPT.search(text):
        raise Unreadable("This text holds a character that cannot be kept. Type it anew.", field or None)


def _look_through(told: Any, field: str = "", depth: int = 0) -> None:
    """Every text of a body, and how deep it goes. Raises Unreadable."""
    if depth > DEEPEST:
        raise Unreadable("This is nested too deeply.")
    if isinstance(told, str):
        _keepable(told, field)
    elif isinstance(told, dict):
        for key, value in told.items():
            _keepable(key)
            _look_through(value, field or key, depth + 1)
    elif isinstance(told, list):
        for value in told:
            _look_through(value, field, depth + 1)


def refusal(status: int, message: str = "", field: str | None = None) -> JsonResponse:
    """The one shape of an error."""
    told = JsonResponse({"message": message or SENTENCES.get(status, SENTENCES[400]), "field": field}, status=status)
    if status == 503:
        told["Retry-After"] = str(ASK_AGAIN)
    return told


def one_shape(get_response: Answer) -> Answer:
    """Middleware: no form where JSON is meant, and no error of the interface but in its one shape."""

    def answer(request: HttpRequest) -> HttpResponse:
        if not request.path.startswith("/api/"):
            return get_response(request)
        if request.content_type in ("multipart/form-data", "application/x-www-form-urlencoded"):
            return refusal(415)
        response = get_response(request)
        wrong = response.status_code >= 400 and response.headers.get("Content-Type") != "application/json"
        if not wrong or "json" in response.headers.get("Content-Type", ""):
            return response
        told = refusal(response.status_code)
        if "Allow" in response.headers:
            told["Allow"] = response.headers["Allow"]
        return told

    return answer


def broken(request: HttpRequest) -> HttpResponse:
    """What is answered where something broke: a database that is away comes back, so the screen is asked to wait."""
    away = isinstance(sys.exc_info()[1], OperationalError | InterfaceError | PoolTimeout)
    if away and connection.connection is not None and connection.connection.broken:
        # The others of the pool lead to the same database that is gone.
        postgres.forget_connections()
    return refusal(503 if away else 500)
