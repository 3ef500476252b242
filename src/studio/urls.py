"""Two addresses: the interface under /api/, and the application's one page for all others."""

from __future__ import annotations

from django.conf import settings
from django.http import HttpRequest, HttpResponse
from django.urls import path, re_path
from django.views.decorators.http import require_safe

from studio.api import api


@require_safe
def page(request: HttpRequest) -> HttpResponse:
    """The front end's shell; it finds its own way from the address."""
    shell = settings.WEB_BUILD / "index.html"
    if not shell.is_file():
        return HttpResponse(
            "The front end has not been built. Run ./basilwood demo.", status=503, content_type="text/plain"
        )
    response = HttpResponse(shell.read_bytes())
    response["Cache-Control"] = "no-cache"
    return response


#: What broke is answered in words, by whether it comes back.
handler500 = "studio.gate.broken"
urlpatterns = [
    path("api/", api.urls),
    re_path(r"^(?!api/|_app/|static/).*$", page),
]
