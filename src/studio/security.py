"""Headers every answer carries, and how a forged request is answered."""

from __future__ import annotations

from collections.abc import Callable
from typing import Any

from django.http import HttpRequest, HttpResponse, JsonResponse

Answer = Callable[[HttpRequest], HttpResponse]


def headers(get_response: Answer) -> Answer:
    """Middleware: no sniffing of types, no device access, and no shared cache keeps personal data."""

    def answer(request: HttpRequest) -> HttpResponse:
        response = get_response(request)
        response["Permissions-Policy"] = "camera=(), microphone=(), geolocation=(), payment=()"
        response["Cross-Origin-Resource-Policy"] = "same-origin"
        if request.path.startswith("/api/"):
            response["Cache-Control"] = "no-store"
        return response

    return answer


def csrf_failure(request: HttpRequest, reason: str = "") -> JsonResponse:
    """A request without its token: say what to do instead of showing a page."""
    return JsonResponse(
        {"message": "This page has been open too long. Load it again; what you saved is safe."}, status=403
    )


def locked_out(request: HttpRequest, response: Any = None, credentials: Any = None, **more: Any) -> JsonResponse:
    """Too many misses at sign-in from one place: say how long to wait."""
    told = {"message": "Too many tries. Wait a quarter of an hour, then try again.", "field": "password"}
    return JsonResponse(told, status=429)
