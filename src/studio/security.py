"""Headers every answer carries, and how a forged request is answered."""

from __future__ import annotations

from collections.abc import Callable

from django.conf import settings
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


def place_of(request: HttpRequest) -> str:
    """The network address a request comes from: as the outermost proxy of ours heard it, where there are any."""
    heard = request.headers.get("X-Forwarded-For", "") if settings.PROXIES else ""
    told = [one.strip() for one in heard.split(",") if one.strip()]
    return (
        told[-settings.PROXIES] if len(told) >= max(settings.PROXIES, 1) else str(request.META.get("REMOTE_ADDR", ""))
    )
